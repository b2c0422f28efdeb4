import { expect as runners, type ExpectMatcherState, type Locator } from '@playwright/test';

interface Patience {
  readonly timeout?: number;
}
type Matcher = ReturnType<typeof runners<Locator>>;

/** Ends quietly when nothing comes: the runner's matcher then says what is there instead. */
const waitQuietly = (wanted: Locator, state: 'attached' | 'visible', timeout: number): Promise<void> =>
  wanted.waitFor({ state, timeout }).catch(() => undefined);

/** The runner's matcher has at least so long, ms: enough for one look, and for saying what it saw. */
const LAST_LOOK_MS = 1000;

/**
 * The verdict of the runner's own matcher. While it waits, it writes down the whole page at every look, in case the test
 * fails, which was a tenth of all that the pages of tests had to do. So what it looks for is waited for first.
 */
async function judge(
  { isNot, timeout: usual }: ExpectMatcherState,
  locator: Locator,
  steps: {
    readonly patience: Patience | undefined;
    readonly wait: (timeout: number) => Promise<void>;
    readonly match: (matcher: Matcher, patience: Patience | undefined) => Promise<void>;
  },
) {
  const { patience, wait, match } = steps;
  try {
    if (isNot) await match(runners(locator).not, patience);
    else {
      const started = Date.now();
      const timeout = patience?.timeout ?? usual;
      await wait(timeout);
      await match(runners(locator), {
        ...patience,
        timeout: Math.max(LAST_LOOK_MS, timeout - (Date.now() - started)),
      });
    }
    return { pass: !isNot, message: () => '' };
  } catch (error) {
    return { pass: isNot, message: () => (error as Error).message };
  }
}

/** The runner's `expect`, whose two most used matchers wait at little cost. */
export const expect = runners.extend({
  async toBeVisible(locator: Locator, options?: Patience) {
    return judge(this, locator, {
      patience: options,
      wait: (timeout) => waitQuietly(locator, 'visible', timeout),
      match: (matcher, patience) => matcher.toBeVisible(patience),
    });
  },
  async toContainText(locator: Locator, text: string | RegExp, options?: Patience) {
    return judge(this, locator, {
      patience: options,
      wait: (timeout) => waitQuietly(locator.filter({ hasText: text }).first(), 'attached', timeout),
      match: (matcher, patience) => matcher.toContainText(text, patience),
    });
  },
});
