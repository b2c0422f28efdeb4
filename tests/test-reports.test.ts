import { describe, expect, it } from 'vitest';
import { playwrightOutcome, vitestOutcome } from '../scripts/test-reports.mjs';

const PASSED = { fullName: 'adds up', status: 'passed', failureMessages: [] };
const FAILED = {
  fullName: 'balances',
  status: 'failed',
  failureMessages: ['\u001b[31mexpected 1\u001b[39m to be 2', 'and again'],
};
const file = (name: string, ...assertionResults: object[]) => ({
  name,
  status: assertionResults.includes(FAILED) ? 'failed' : 'passed',
  message: '',
  assertionResults,
});

describe('a report of the tests without a browser', () => {
  it('is counted, and says of each test that failed where it is and why', () => {
    const testResults = [file('a.test.ts', PASSED), file('b.test.ts', PASSED, FAILED)];
    expect(vitestOutcome({ numPassedTests: 2, numFailedTests: 1, testResults })).toEqual({
      passed: 2,
      failed: 1,
      failures: ['b.test.ts: balances\nexpected 1 to be 2\nand again'],
    });
  });
  it('says why a file could not be read in, which has no tests then', () => {
    const broken = { ...file('c.test.ts'), status: 'failed', message: 'no such module' };
    const { failures } = vitestOutcome({ numPassedTests: 0, numFailedTests: 0, testResults: [broken] });
    expect(failures).toEqual(['c.test.ts\nno such module']);
  });
  it('tells the beginning of a reason that is very long', () => {
    const long = { ...FAILED, failureMessages: ['x'.repeat(100_000)] };
    const { failures } = vitestOutcome({
      numPassedTests: 0,
      numFailedTests: 1,
      testResults: [file('a.test.ts', long)],
    });
    expect(failures[0].length).toBeLessThan(3000);
  });
});

describe('a report of the tests in a browser', () => {
  const spec = (title: string, status: string, ...messages: string[]) => ({
    file: 'bed.spec.ts',
    title,
    tests: [{ status, results: messages.map((message) => ({ errors: [{ message }] })) }],
  });
  const stats = { expected: 1, flaky: 1, unexpected: 1 };
  const inner = [spec('is laid', 'unexpected', 'not visible', 'still not visible')];
  const suites = [
    { specs: [spec('opens', 'expected'), spec('closes', 'flaky', 'once')], suites: [{ specs: inner }] },
  ];

  it('is counted, with what passed at the second try, and says what failed and why', () => {
    expect(playwrightOutcome({ stats, suites, errors: [] })).toEqual({
      passed: 2,
      failed: 1,
      failures: ['bed.spec.ts: is laid\nnot visible\nstill not visible'],
      unsteady: ['bed.spec.ts: closes'],
    });
  });
  it('tells what went wrong beside the tests', () => {
    const { failures } = playwrightOutcome({ stats, suites: [], errors: [{ message: 'no browser' }] });
    expect(failures).toEqual(['Beside the tests\nno browser']);
  });
});
