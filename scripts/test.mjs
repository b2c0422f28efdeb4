// npm test: sets up what is missing, then types, lint, unit and anchor tests, and the browser tests.
// Every stage runs even when an earlier one failed; the last line counts all of it.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ensureBrowser, ensurePackages, ROOT, run } from './setup.mjs';
import { buildServer, buildWeb } from './serve.mjs';

ensurePackages();
process.env.VINE_CHROMIUM = ensureBrowser();

const results = join(ROOT, 'test-results');
const unitReport = join(results, 'unit.json');
const e2eReport = join(results, 'e2e.json');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

const tally = { passed: 0, failed: 0 };
const count = (passed, failed) => {
  tally.passed += passed;
  tally.failed += failed;
};

function check(title, command, args) {
  console.log(`\n== ${title}`);
  const isGood = run(command, args);
  count(isGood ? 1 : 0, isGood ? 0 : 1);
}

/** Runs a test runner and adds its own counts; a runner that fails without a failed test counts as one. */
function runTests(title, command, args, readCounts) {
  console.log(`\n== ${title}`);
  const isGood = run(command, args);
  let counts = { passed: 0, failed: 0 };
  try {
    counts = readCounts();
  } catch (error) {
    console.error(`No report from ${title}: ${error.message}`);
  }
  const hasTests = counts.passed > 0;
  count(counts.passed, counts.failed === 0 && !(isGood && hasTests) ? 1 : counts.failed);
}

const json = (file) => JSON.parse(readFileSync(file, 'utf8'));

check('types', bin('tsc'), ['-b']);
check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
check('import rules', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src', 'tests']);
runTests(
  'unit and anchor tests',
  bin('vitest'),
  ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitReport}`],
  () => {
    const report = json(unitReport);
    return { passed: report.numPassedTests, failed: report.numFailedTests };
  },
);
buildWeb();
buildServer();
runTests('browser tests', bin('playwright'), ['test'], () => {
  const { stats } = json(e2eReport);
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
});

console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
