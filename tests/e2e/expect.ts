import { expect as runners, type ExpectMatcherState, type Locator } from '@playwright/test';

interface Patience {
  readonly timeout?: number;
}
type Matcher = ReturnType<typeof runners<Locator>>;

/** Without a word when it never comes: the runner's own matcher then says what is there instead. */
const waitQuietly = (wanted: Locator, state: 'attached' | 'visible', timeout: number): Promise<void> =>
  wanted.waitFor({ state, timeout }).catch(() => undefined);

/**
 * The verdict of the runner's own matcher, asked once what it asks for has come. While it waits itself, it writes down the
 * whole page at every look, in case the test fails: a tenth of all that the pages of tests had to do.
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
        timeout: Math.max(1000, timeout - (Date.now() - started)),
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
