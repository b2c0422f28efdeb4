import { spawn } from 'node:child_process';
import { mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { bin, fail, ROOT, run } from './setup.mjs';

const LOOPBACK = '127.0.0.1';
/** Less room for what is soon thrown away: the server answers as fast, and takes a fifth less memory. */
const SERVER_FLAGS = ['--max-semi-space-size=4'];
const PATIENCE_MS = 20_000;
/** What listens but does not answer in this time is left for the server to find, ms. */
const HEARING_MS = 2000;

export function buildWeb() {
  console.log('Vine Ledger: building the pages ...');
  if (!run(bin('vite'), ['build', '--logLevel', 'warn'])) fail('the pages could not be built; see above.');
}

/** Packages of the older kind ask for Node's own modules by `require`, which modules do not have. */
const REQUIRE_FOR_PACKAGES =
  "import { createRequire as requireOf } from 'node:module'; const require = requireOf(import.meta.url);";

/** Each file takes the place of its forerunner in one step: another command may be starting from it just now. */
function putInPlace(made, bundles) {
  for (const entry of readdirSync(made, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue;
    const file = join(entry.parentPath, entry.name);
    const place = join(bundles, relative(made, file));
    mkdirSync(dirname(place), { recursive: true });
    renameSync(file, place);
  }
  rmSync(made, { recursive: true });
}

/** A program of this project in one file, which starts in a part of the time, and those of its threads. */
function bundled(name, ...threads) {
  const source = join(ROOT, 'src', name);
  const bundles = join(ROOT, '.cache', name);
  const made = `${bundles}.${process.pid}`;
  const isBuilt = run(bin('esbuild'), [
    ...['main.ts', ...threads].map((file) => join(source, file)),
    '--bundle',
    '--platform=node',
    '--format=esm',
    // All packages but the one with a binary: looked up file by file, they take as long to load as the rest.
    '--external:better-sqlite3',
    `--banner:js=${REQUIRE_FOR_PACKAGES}`,
    `--outbase=${source}`,
    `--outdir=${made}`,
    '--out-extension:.js=.mjs',
    '--log-level=warning',
  ]);
  if (!isBuilt) fail(`src/${name} could not be built; see above.`);
  putInPlace(made, bundles);
  return join(bundles, 'main.mjs');
}

export const buildServer = () =>
  bundled('server', join('ahead', 'garden-thread.ts'), join('imports', 'import-thread.ts'));
export const buildTerminal = () => bundled('cli');

async function answers(address) {
  try {
    return (await fetch(`${address}/api/health`)).ok;
  } catch {
    return false;
  }
}

/** Ends with a sentence when nothing can be served at an address. */
async function requireFree(address) {
  try {
    await fetch(address, { signal: AbortSignal.timeout(HEARING_MS) });
  } catch (error) {
    if (error.cause?.message !== 'bad port') return;
    fail(
      `browsers refuse to open ${address}: that port is kept for something else. Choose another with --port.`,
    );
  }
  fail(`something is open at ${address} already. Close it there, or choose another port with --port.`);
}

/** Starts the server and says where it is once it truly answers; ends when the server ends. */
export async function serve(args, port, host = LOOPBACK) {
  const address = `http://${host === '0.0.0.0' ? LOOPBACK : host}:${port}`;
  await requireFree(address);
  const server = spawn(process.execPath, [...SERVER_FLAGS, buildServer(), '--port', port, ...args], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
  for (const deadline = Date.now() + PATIENCE_MS; Date.now() < deadline; await pause(100)) {
    if (await answers(address)) {
      console.log(`\nVine Ledger is open at ${address}  (Ctrl+C closes it)`);
      return;
    }
  }
  server.kill();
  fail(`the server did not answer at ${address} within ${PATIENCE_MS / 1000} seconds.`);
}

/** `--port N` from the command line, the PORT variable, or the usual one. */
export function portFrom(argv) {
  const at = argv.indexOf('--port');
  return (at >= 0 ? argv[at + 1] : process.env.PORT) ?? '4180';
}

export function hostFrom(argv) {
  const at = argv.indexOf('--host');
  return at >= 0 ? argv[at + 1] : LOOPBACK;
}

/** What the server is told besides its port. */
export function serverArgs(argv) {
  const given = argv.slice(2).filter((word) => word !== '--build');
  const at = given.indexOf('--port');
  return at >= 0 ? given.toSpliced(at, 2) : given;
}
