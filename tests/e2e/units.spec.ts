import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from './expect.ts';
import { onDemo as test } from './books-of-file.ts';
import { smallLetters } from './letters.ts';
import { goTo, openBook } from './pages.ts';

test.use({ worksOutRanges: true });

const GARDEN = '/garden/ternhollow';
/** Every page of the demo but Method, which gives published results in the units they were published in. */
const PAGES = [
  '',
  '/bed/demo-ferry-strip',
  '/bed/demo-gourd-mound',
  '/bed/demo-boathouse-path',
  '/bed/demo-gourd-mound/sheet',
  '/calendar',
  '/laying',
  '/log',
  '/pale',
  '/trials',
  '/year',
  '/years',
  '/stock',
  '/stock/demo-lot-hazel',
  '/ways',
  '/share',
  '/materials',
  '/materials/chips_mixed',
  '/prepare',
  '/prepare/heaps',
  '/prepare/char',
  '/prepare/ash',
  '/prepare/brews',
  '/data',
] as const;

type System = 'metric' | 'customary';

/** A figure with a unit, or a label that names one, of each system. */
const UNITS: Readonly<Record<System, RegExp>> = {
  metric:
    /(?:[\d½¼¾]\s?|, |\()(?:mm|cm|m²|m³|km|kg|g|L|°C|kg\/m³|g\/m²|L\/m²|kg\/ha|g\/kg)(?![\w/])|\b(?:liters?|litres?|kilograms?|grams|centimeters?|square meters?|degrees C)\b/gu,
  customary:
    /(?:[\d½¼¾]\s?|, |\()(?:in(?= thick| deep| of|[,.;)]|$)|ft|sq ft|cu ft|cu yd|oz|lb|gal|qt|°F|lb\/cu ft|lb\/1000 sq ft)(?![\w/])|\b(?:inch(?:es)?|pounds?|ounces?|gallons?|quarts?|cubic f(?:ee|oo)t|square f(?:ee|oo)t|degrees F)\b/gu,
};
/** How the garden's page says the area of a bed. */
const AREA: Readonly<Record<System, RegExp>> = { metric: /\d m²/, customary: /\d sq ft/ };
const OTHER = { metric: 'customary', customary: 'metric' } as const;

async function measureIn(request: APIRequestContext, measures: System): Promise<void> {
  const { gardens } = (await (await request.get('/api/gardens')).json()) as {
    gardens: { id: string; version: number; createdAt: string; updatedAt: string }[];
  };
  const { id, createdAt, updatedAt, ...garden } = gardens.find((one) => one.id === 'ternhollow')!;
  const answer = await request.put(`/api/gardens/${id}`, { data: { ...garden, measures } });
  expect(answer.ok()).toBe(true);
}

/** All that is read on a page, by eye or by a screen reader, but for what people wrote themselves. */
const readOnPage = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const own = '[translate="no"]';
    const main = document.querySelector('main') ?? document.body;
    const texts: string[] = [];
    const walker = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    const blocks = new Map<Element, string>();
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement!;
      if (parent.closest(`${own}, style, script`)) continue;
      const block =
        parent.closest(
          'p, li, td, th, h1, h2, h3, dd, dt, label, button, text, option, legend, caption, figcaption, summary, span',
        ) ?? parent;
      blocks.set(block, (blocks.get(block) ?? '') + (node.textContent ?? ''));
    }
    texts.push(...blocks.values());
    for (const element of main.querySelectorAll('[aria-label], [title], [placeholder], input')) {
      if (element.closest(own)) continue;
      for (const name of ['aria-label', 'title', 'placeholder']) texts.push(element.getAttribute(name) ?? '');
    }
    return texts;
  });

async function leaksOn(page: Page, path: string, system: System): Promise<string[]> {
  return leaksOf(await readOnPage(page), path || '/', system);
}

const leaksOf = (texts: readonly string[], where: string, system: System): string[] =>
  texts.flatMap((text) =>
    [...text.matchAll(UNITS[OTHER[system]])].map(
      (found) => `${where}: …${text.slice(Math.max(0, found.index - 30), found.index + 25).trim()}…`,
    ),
  );

/** What a calendar program shows of the garden: titles and descriptions, their folded lines put together again. */
async function calendarTexts(request: APIRequestContext): Promise<string[]> {
  const answer = await request.get('/api/gardens/ternhollow/calendar.ics');
  const lines = (await answer.text()).replaceAll('\r\n ', '').split('\r\n');
  const texts = lines.filter((line) => /^(?:SUMMARY|DESCRIPTION)/.test(line));
  expect(texts.length).toBeGreaterThan(10);
  return texts;
}

/** Makes the page fetch what was changed elsewhere, as a gardener's return to the window does. */
const comeBack = (page: Page): Promise<unknown> =>
  page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));

test('every page of the demo measures in the units of its garden only, in letters one can read', async ({
  page,
  request,
}) => {
  test.setTimeout(600_000);
  const faults: string[] = [];
  await openBook(page, GARDEN);
  // One window for both systems: the model's answers are the same in either, so they are worked out only once.
  for (const system of ['metric', 'customary'] as const) {
    await test.step(system, async () => {
      await measureIn(request, system);
      await comeBack(page);
      for (const path of PAGES) {
        await goTo(page, GARDEN + path);
        if (path === '') await expect(page.getByText(AREA[system]).first()).toBeVisible();
        faults.push(...(await leaksOn(page, path, system)));
        faults.push(...(await smallLetters(page)).map((small) => `${path || '/'}: ${small}`));
      }
      faults.push(...leaksOf(await calendarTexts(request), 'calendar.ics', system));
    });
  }
  expect([...new Set(faults)]).toEqual([]);
});
