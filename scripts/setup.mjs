// Brings a machine with nothing but Node.js and npm to the point where the project runs.
// Only Node's own modules here: this file works before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const OLDEST_NODE = [20, 19];
const STAMP = join(ROOT, 'node_modules', '.set-up-for');
// The headless shell is the same engine without windows: the tests take a fifth less time in it.
const CHROMIUM_PATHS = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Stops with one plain sentence instead of a stack trace. */
export function fail(sentence) {
  console.error(`\nVine Ledger: ${sentence}`);
  process.exit(1);
}

/** Runs a command in the project folder with its output shown; true when it succeeded. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) console.error(`${command}: ${error.message}`);
  return status === 0;
}

/** The same beside other things; tells whether it succeeded. */
export const runBeside = (command, args, options = {}) =>
  new Promise((resolve) => {
    spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
      .on('error', (error) => {
        console.error(`${command}: ${error.message}`);
        resolve(false);
      })
      .on('close', (status) => resolve(status === 0));
  });

function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  const [oldestMajor, oldestMinor] = OLDEST_NODE;
  if (major < oldestMajor || (major === oldestMajor && minor < oldestMinor)) {
    fail(`needs Node.js ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`);
  }
}

function machineKey() {
  const hash = createHash('sha256');
  for (const name of ['package.json', 'package-lock.json']) hash.update(readFileSync(join(ROOT, name)));
  return `${hash.digest('hex')} ${process.versions.modules} ${process.platform} ${process.arch}`;
}

const isCurrent = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === machineKey();

function installPackages() {
  console.log('Vine Ledger: installing packages (a minute or so, once) ...');
  if (!run('npm', ['ci', '--ignore-scripts', '--prefer-offline', '--no-audit', '--no-fund'])) {
    fail('the packages could not be installed; npm says why above. Is the package registry reachable?');
  }
}

function opensDatabase() {
  const probe = `const D = require('better-sqlite3'); new D(':memory:').prepare('SELECT 1').get();`;
  return spawnSync(process.execPath, ['-e', probe], { cwd: ROOT, stdio: 'ignore' }).status === 0;
}

/** The database driver is native code: taken from a cache of earlier builds, or built once. */
async function provideDatabaseDriver() {
  const packageFolder = join(ROOT, 'node_modules', 'better-sqlite3');
  const built = join(packageFolder, 'build', 'Release', 'better_sqlite3.node');
  const { version } = createRequire(import.meta.url)(join(packageFolder, 'package.json'));
  const cacheFolder = join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'vine-ledger');
  const cached = join(
    cacheFolder,
    `better_sqlite3-${version}-${process.versions.modules}-${process.platform}-${process.arch}.node`,
  );
  if (existsSync(cached)) {
    mkdirSync(dirname(built), { recursive: true });
    cpSync(cached, built);
    if (opensDatabase()) return;
    rmSync(cached);
    rmSync(built);
  }
  console.log('Vine Ledger: preparing the database driver (up to a few minutes, once) ...');
  const isBuilt = await runBeside('npm', ['rebuild', 'better-sqlite3', '--no-audit', '--no-fund'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (!isBuilt || !opensDatabase()) {
    fail('the database driver could not be built; it needs python3, make and a C++ compiler.');
  }
  try {
    mkdirSync(cacheFolder, { recursive: true });
    cpSync(built, `${cached}.new`);
    renameSync(`${cached}.new`, cached);
  } catch (error) {
    console.log(`(not kept for next time: ${error.message})`);
  }
}

/**
 * Installs the packages where they are missing; what it gives is there once the database can be opened too, which takes
 * minutes on a new machine, so that what needs no database may go on meanwhile.
 */
export function beginSetup() {
  requireNode();
  if (isCurrent()) return { isDatabaseReady: Promise.resolve() };
  installPackages();
  return { isDatabaseReady: provideDatabaseDriver().then(() => writeFileSync(STAMP, machineKey())) };
}

/** Installs whatever is missing for running the app. */
export const ensurePackages = () => beginSetup().isDatabaseReady;

/** Path of a Chromium for the browser tests; installs Debian's when it may. */
export async function ensureBrowser() {
  const find = () =>
    [process.env.VINE_CHROMIUM, ...CHROMIUM_PATHS].find((path) => path !== undefined && existsSync(path));
  const found = find();
  if (found) return found;
  if (process.platform === 'linux' && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Vine Ledger: installing Chromium for the browser tests (once) ...');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    await runBeside('apt-get', ['-qq', 'update'], { env });
    const install = (name) =>
      runBeside('apt-get', ['-qq', 'install', '-y', '--no-install-recommends', name], {
        env,
        stdio: ['ignore', 'ignore', 'inherit'],
      });
    if (!(await install('chromium-headless-shell'))) await install('chromium');
  }
  return find() ?? fail('the browser tests need Chromium: install it, or name it in VINE_CHROMIUM.');
}

/** A program that an installed package brings. */
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
