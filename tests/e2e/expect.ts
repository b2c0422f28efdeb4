import { expect as runners, type ExpectMatcherState, type Locator } from '@playwright/test';

interface Patience {
  readonly timeout?: number;
}
type Matcher = ReturnType<typeof runners<Locator>>;

/** Does not fail when nothing comes, because the runner's matcher fails afterwards with a better message. */
const waitQuietly = (wanted: Locator, state: 'attached' | 'visible', timeout: number): Promise<void> =>
  wanted.waitFor({ state, timeout }).catch(() => undefined);

/** Time left for the runner's matcher, ms, when all of it was spent on waiting: enough to find out what is there instead. */
const LAST_LOOK_MS = 1000;

/**
 * Waits, then asks the runner's own matcher. That matcher records the whole page each time it compares without success,
 * which was a tenth of the processor time of all pages in the tests, so it should be asked only once.
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
