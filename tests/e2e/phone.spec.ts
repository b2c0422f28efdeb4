import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { isAnswered } from './bed-page.ts';
import { onDemo as test } from './books-of-file.ts';
import { smallLetters } from './letters.ts';
import { goTo, openBook, overflowPx } from './pages.ts';

test.use({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });

const GARDEN = '/garden/ternhollow';
const PAGES = [
  '',
  '/bed/demo-ferry-strip',
  '/calendar',
  '/log',
  '/pale',
  '/stock',
  '/stock/demo-lot-hazel',
  '/trials',
  '/prepare',
  '/prepare/char',
  '/years',
];

/** Buttons in sight that a finger would miss, with their size. */
const smallButtons = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const FINGER_PX = 44;
    return [
      ...document.querySelectorAll<HTMLElement>('button, summary, [role="button"], .button-link, .tabs a'),
    ]
      .filter((button) => button.checkVisibility({ visibilityProperty: true }))
      .map((button) => ({ button, box: button.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 1 && (box.height < FINGER_PX - 0.5 || box.width < FINGER_PX - 0.5))
      .map(
        ({ button, box }) =>
          `${button.getAttribute('aria-label') ?? button.textContent.trim()}: ${box.width.toFixed(0)} x ${box.height.toFixed(0)}`,
      );
  });

test('every main page fits a phone, with buttons for fingers and letters one can read', async ({ page }) => {
  const faults: string[] = [];
  await openBook(page, GARDEN);
  for (const path of PAGES) {
    await goTo(page, GARDEN + path);
    await expect(page.locator('h1').first()).toBeVisible();
    const overflow = await overflowPx(page);
    const found = [
      ...(overflow > 0 ? [`wider than the phone by ${overflow} px`] : []),
      ...(await smallButtons(page)),
      ...(await smallLetters(page)),
    ];
    faults.push(...found.map((fault) => `${path || '/'} ${fault}`));
  }
  expect([...new Set(faults)]).toEqual([]);
});

test('the drawing of a bed folds away, and stays so on this device', async ({ page }) => {
  await page.goto(`${GARDEN}/bed/demo-ferry-strip`);
  const drawing = page.getByRole('img', { name: /Section of the bed/ });
  await expect(drawing).toBeVisible();
  await page.getByRole('button', { name: 'Hide the drawing' }).tap();
  await expect(drawing).toBeHidden();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Show the drawing' })).toBeVisible();
  await expect(drawing).toBeHidden();
  // The answers have their room from the start: what stands below them does not move from under the finger.
  const roomPx = async () => {
    const height = () => document.querySelector('.answers, .answers-waiting')?.getBoundingClientRect().height;
    return (await page.waitForFunction(height)).jsonValue();
  };
  const whileWaitingPx = await roomPx();
  await isAnswered(page);
  expect(await roomPx()).toBe(whileWaitingPx);
  await page.getByRole('button', { name: 'Show the drawing' }).tap();
  await expect(drawing).toBeVisible();
});
