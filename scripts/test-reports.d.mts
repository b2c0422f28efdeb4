/** What the tests of one runner came to. */
export interface Outcome {
  readonly passed: number;
  readonly failed: number;
  /** One text for each test that failed: its name, and why. */
  readonly failures: readonly string[];
}

export function vitestOutcome(report: object): Outcome;
export function playwrightOutcome(report: object): Outcome & { readonly unsteady: readonly string[] };
