// What the reports of the two test runners say: how many tests passed and failed, and of each that failed why.

/** Long ones hold whole pages or files; the beginning says what was expected. */
const LONGEST_REASON = 2000;
// oxlint-disable-next-line no-control-regex -- terminals color text by control characters
const COLOR = /\u001b\[[\d;]*m/g;

const told = (title, reasons) =>
  `${title}\n${reasons.join('\n').replace(COLOR, '').slice(0, LONGEST_REASON)}`;

/** Of a report of Vitest as JSON. A file that could not be read in has no tests, and says why itself. */
export function vitestOutcome({ numPassedTests, numFailedTests, testResults }) {
  const failures = testResults.flatMap(({ name, status, message, assertionResults }) => {
    const failed = assertionResults.filter(({ status: one }) => one === 'failed');
    if (status === 'failed' && failed.length === 0) return [told(name, [message])];
    return failed.map(({ fullName, failureMessages }) => told(`${name}: ${fullName}`, failureMessages));
  });
  return { passed: numPassedTests, failed: numFailedTests, failures };
}

const specsIn = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [...specs, ...specsIn(inner)]);
const hasStatus = (status) => (spec) => spec.tests.some((test) => test.status === status);
const nameOf = ({ file, title }) => `${file}: ${title}`;

/** Of a report of Playwright as JSON; `unsteady` are those that passed at the second try only. */
export function playwrightOutcome({ stats, suites, errors }) {
  const specs = specsIn(suites);
  const failures = specs.filter(hasStatus('unexpected')).map((spec) =>
    told(
      nameOf(spec),
      spec.tests.flatMap(({ results }) =>
        results.flatMap((result) => result.errors.map((one) => one.message)),
      ),
    ),
  );
  return {
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
    failures: [...failures, ...errors.map(({ message }) => told('Beside the tests', [message]))],
    unsteady: specs.filter(hasStatus('flaky')).map(nameOf),
  };
}
