import { expect, type Page } from '@playwright/test';

/** Goes from page to page as a link does, without loading the program anew, and waits until it is worked out. */
export async function goTo(page: Page, address: string): Promise<void> {
  const before = await page.title();
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, address);
  await expect(page).not.toHaveTitle(before);
  await expect(page.getByText(/working it out|Working out|Looking ahead|Trying every/)).toHaveCount(0);
}

/** Opens the demo's book at the page that has the least to work out. */
export async function openBook(page: Page, garden: string): Promise<void> {
  await page.goto(`${garden}/method`);
  await expect(page).toHaveTitle(/^Method/);
}

/** By how many pixels the page is wider than its window. */
export const overflowPx = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
