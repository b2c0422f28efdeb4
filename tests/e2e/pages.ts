import type { Page } from '@playwright/test';
import { expect } from './expect.ts';

/** How often a title is compared, ms. The runner's own comparison would write down the whole page each time. */
const POLLING = { polling: 50 };

/** An address of no page. */
const NOWHERE = '/nowhere';

/**
 * Goes to a page with another title as a link does, without loading the program anew, and waits until it is worked out. Not
 * for a moment when the program changes the page by itself: the title may have changed already.
 */
export async function goTo(page: Page, address: string): Promise<void> {
  const before = await page.title();
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, address);
  await page.waitForFunction((title) => document.title !== title, before, POLLING);
  await expect(page.getByText(/working it out|Working out|Looking ahead|Trying every/)).toHaveCount(0);
}

/** Leaves a window at a page that keeps nothing of what was open. */
export async function putAway(page: Page): Promise<void> {
  await page.mouse.move(0, 0);
  await page
    .locator('.ant-notification-notice-close')
    .evaluateAll((all: HTMLElement[]) => all.forEach((one) => one.click()));
  await goTo(page, NOWHERE);
}

/** Goes to a page from wherever a window is, as if it were new; the program is loaded only where it is not there yet. */
export async function goInto(page: Page, address: URL): Promise<void> {
  const { origin, pathname } = new URL(page.url());
  if (origin !== address.origin) {
    await page.goto(address.href);
    return;
  }
  if (pathname !== NOWHERE) await putAway(page);
  await goTo(page, address.href);
}

/** Opens the demo's book at the page that has the least to work out. */
export async function openBook(page: Page, garden: string): Promise<void> {
  await page.goto(`${garden}/method`);
  await page.waitForFunction(() => document.title.startsWith('Method'), undefined, POLLING);
}

/** By how many pixels the page is wider than its window. */
export const overflowPx = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
