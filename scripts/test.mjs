// npm test: sets up what is missing, then types and lint, format and import rules beside the unit and anchor tests, then
// the browser tests. A check of the text that was good is made again only when a file that it reads has changed.
// What needs no database runs while its driver is still being built, and the browser installed. Every stage runs even when
// an earlier one failed. What failed is told again at the end, where one looks first and what is left of a long output
// begins; the last line counts all of it.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { goodBefore } from './good-before.mjs';
import { beginSetup, bin, ensureBrowser, ROOT } from './setup.mjs';
import { buildServer, buildWeb } from './serve.mjs';
import { playwrightOutcome, vitestOutcome } from './test-reports.mjs';

const { isDatabaseReady } = beginSetup();
const browser = ensureBrowser();

const results = join(ROOT, 'test-results');
const e2eReport = join(results, 'e2e.json');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

const tally = { passed: 0, failed: 0 };
const whatFailed = [];
const count = ({ passed, failed, failures }) => {
  tally.passed += passed;
  tally.failed += failed;
  whatFailed.push(...failures);
};

/** Runs a check beside others; what it says is kept together and told when it has ended. */
const runCheck = (title, command, args) =>
  new Promise((resolve) => {
    const said = [];
    const child = spawn(command, args, { cwd: ROOT });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text));
    child.on('error', (error) => said.push(`${error.message}\n`));
    child.on('close', (code) => {
      const isGood = code === 0;
      const text = said.join('').trim();
      console.log(`\n== ${title}: ${isGood ? 'good' : 'not good'}\n${text}`);
      count(
        isGood
          ? { passed: 1, failed: 0, failures: [] }
          : { passed: 0, failed: 1, failures: [`${title}\n${text}`] },
      );
      resolve(isGood);
    });
  });

async function check(title, command, args, isRead) {
  const before = goodBefore(ROOT, title, isRead);
  if (before.isGood) {
    console.log(`\n== ${title}: good; no file that it reads has changed since it was checked`);
    count({ passed: 1, failed: 0, failures: [] });
  } else if (await runCheck(title, command, args)) before.keep();
}

const isNoProse = (name) => !/\.(?:md|png)$/.test(name);

/** Checks of the text, one after the other, beside the tests. */
async function checkTexts() {
  await check('types and lint', bin('oxlint'), ['.'], isNoProse);
  await check('format', bin('oxfmt'), ['--check', '.']);
  await check(
    'import rules',
    bin('depcruise'),
    ['--config', '.dependency-cruiser.cjs', 'src', 'tests'],
    isNoProse,
  );
}

/** Runs a test runner and adds its own counts; a runner that fails without a failed test counts as one. */
const runTests = (title, command, args, readOutcome) =>
  new Promise((resolve) => {
    console.log(`\n== ${title}`);
    spawn(command, args, { cwd: ROOT, stdio: 'inherit' }).on('close', (code) => {
      let outcome = { passed: 0, failed: 0, failures: [] };
      try {
        outcome = readOutcome();
      } catch (error) {
        outcome.failures.push(`No report from ${title}: ${error.message}`);
      }
      if (outcome.failed === 0 && (code !== 0 || outcome.passed === 0)) {
        const why = `${title}: ended with ${code} after ${outcome.passed} tests that passed`;
        outcome = { ...outcome, failed: 1, failures: [...outcome.failures, why] };
      }
      count(outcome);
      resolve();
    });
  });

const json = (file) => JSON.parse(readFileSync(file, 'utf8'));

/** Parts of the source whose tests open no database. */
const WITHOUT_DATABASE = [
  'core',
  'contract',
  'quantities',
  'records',
  'refusals',
  'standins',
  'web',
  'words',
].map((part) => `src/${part}/`);

function runUnitTests(title, options) {
  const report = join(results, `${title.replaceAll(' ', '-')}.json`);
  const args = ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`, ...options];
  return runTests(title, bin('vitest'), args, () => vitestOutcome(json(report)));
}

const texts = checkTexts();
await runUnitTests('tests of core and pages', WITHOUT_DATABASE);
await isDatabaseReady;
await runUnitTests('tests of server and whole', [
  ...WITHOUT_DATABASE.map((part) => `--exclude=${part}**`),
  // They wait for servers, storms and the terminal: one more at a time than there are cores.
  `--maxWorkers=${availableParallelism() + 1}`,
]);
await texts;
process.env.VINE_CHROMIUM = await browser;
buildWeb();
buildServer();
await runTests('browser tests', bin('playwright'), ['test'], () => {
  const outcome = playwrightOutcome(json(e2eReport));
  for (const name of outcome.unsteady) console.log(`Unsteady, passed at the second try: ${name}`);
  return outcome;
});

if (whatFailed.length > 0) console.log(`\n== What failed\n${whatFailed.join('\n\n')}`);
console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
