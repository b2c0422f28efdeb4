import type { Locator, Page } from '@playwright/test';
import { expect } from './expect.ts';

/** What the bed page is asked about in several tests. */
export const answer = (page: Page, title: string) => page.getByRole('region', { name: title, exact: true });
export const section = (page: Page) => page.getByRole('img', { name: /Section of the bed/ });
export const layers = (page: Page) => page.getByRole('region', { name: 'Layers' });
export const isAnswered = (page: Page) =>
  expect(answer(page, 'Planting')).toContainText(/[Ss]ow (?:now|from|not)|Not for sowing/);

/** Watches a part of the page from now on; what it gives tells each different text that has stood there since. */
export async function everyText(part: Locator): Promise<() => Promise<(string | null)[]>> {
  const watched = await part.evaluateHandle((element) => {
    const texts = [element.textContent];
    new MutationObserver(() => {
      if (!texts.includes(element.textContent)) texts.push(element.textContent);
    }).observe(element, { subtree: true, childList: true, characterData: true });
    return texts;
  });
  return () => watched.jsonValue();
}

/** Presses an option of one of the component library's lists, whatever comes of it. */
export async function press(page: Page, field: string, option: string, nth = 0): Promise<void> {
  const box = page.getByLabel(field, { exact: true }).nth(nth);
  const list = page.locator('.ant-select-dropdown:visible');
  const wanted = page.locator('.ant-select-item-option:visible').filter({ hasText: option }).first();
  await expect(async () => {
    if ((await list.count()) === 0) await box.click({ timeout: 10_000 });
    if (await box.isEditable()) await box.fill(option, { timeout: 10_000 });
    await wanted.click({ timeout: 10_000 });
    // The list fades; the next one must not be mistaken for it.
    await expect(list).toHaveCount(0, { timeout: 3_000 });
  }).toPass({ timeout: 60_000 });
}

/**
 * Chooses from one of the component library's lists. An answer that arrives meanwhile, or the page scrolling to the
 * option, can move the list away between pressing and letting go, or close it: then it is chosen again.
 */
export async function choose(page: Page, field: string, option: string, nth = 0): Promise<void> {
  const box = page.getByLabel(field, { exact: true }).nth(nth);
  const shown = box.locator('xpath=ancestor::*[contains(concat(" ", @class, " "), " ant-select ")][1]');
  await expect(async () => {
    await press(page, field, option, nth);
    await expect(shown).toContainText(option, { timeout: 2_000 });
  }).toPass({ timeout: 60_000 });
}
