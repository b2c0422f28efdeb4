import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { extractText, getDocumentProxy } from 'unpdf';
import { onDemo as test } from './books-of-file.ts';
import { goTo, openBook } from './pages.ts';

const GARDEN = '/garden/ternhollow';

interface Printed {
  readonly pages: number;
  readonly text: string;
}

/** What a page says on paper of either size. */
async function printed(page: Page, format: 'A4' | 'Letter'): Promise<Printed> {
  const pdf = await getDocumentProxy(new Uint8Array(await page.pdf({ format, printBackground: true })));
  const { totalPages, text } = await extractText(pdf, { mergePages: true });
  return { pages: totalPages, text: text.replaceAll(/\s+/g, ' ') };
}

/** The page, what must be there before it is printed, what it says on paper, and the most sheets it takes. */
const PAGES = [
  ['the week', '/week', 'This week', /Ternhollow: week from 14 May 2026.*Late.*Turn the heap/, 2],
  [
    'a year sheet',
    '/year?bed=demo-ferry-strip',
    'What the books say',
    /Ferry Strip, 2026.*In short.*Beside earlier years/,
    4,
  ],
  ['the sheet of a bed', '/bed/demo-ferry-strip/sheet', 'Ferry Strip', /Ferry Strip/, 3],
  ['the spreading day', '/laying', 'Spreading day', /Spreading day/, 3],
  ['labels', '/labels', 'Labels', /Ferry Strip/, 4],
] as const;

test('on A4 and on US Letter what is wanted is there, nothing to press, and few sheets', async ({ page }) => {
  await openBook(page, GARDEN);
  for (const [name, path, ready, says, mostPages] of PAGES) {
    await test.step(name, async () => {
      await goTo(page, GARDEN + path);
      await expect(page.getByRole('heading', { name: ready }).first()).toBeVisible();
      await expect(page.getByText(/Working out|Adding up|Following all/)).toHaveCount(0);
      for (const format of ['A4', 'Letter'] as const) {
        const { pages, text } = await printed(page, format);
        expect(text, format).toMatch(says);
        for (const control of ['Postpone', 'Print', 'Mixing bench', 'Search', 'Reminders']) {
          expect(text, `${format}: ${control}`).not.toContain(control);
        }
        expect(pages, format).toBeLessThanOrEqual(mostPages);
      }
    });
  }
});
