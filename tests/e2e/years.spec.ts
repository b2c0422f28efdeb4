import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import Papa from 'papaparse';
import { expectAccessible } from './accessible.ts';
import { choose } from './bed-page.ts';
import { onDemo, onOwn } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

const GARDEN = '/garden/ternhollow';
/** Sand with little in it, and heavy clay. */
const TWO_BEDS = 'beds=years-sand,years-clay';
const region = (page: Page, name: string | RegExp) => page.getByRole('region', { name });
const charts = (page: Page) => page.getByRole('group', { name: /Organic matter of the top 20 cm/ });

async function savedText(page: Page, press: () => Promise<void>): Promise<{ name: string; text: string }> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: file.suggestedFilename(), text: await readFile(await file.path(), 'utf8') };
}

onOwn.describe('a sandy and a clay bed', () => {
  const test = onOwn;
  const garden = '/garden/two-soils';

  test('three habits on a sandy and a clay bed, the amount for 6 % by year 10, adopted, and taken out as files', async ({
    page,
    request,
  }) => {
    await makeGarden(request, 'two-soils');
    const planting = { id: 'sand-leek', cropId: 'leek', plantedOn: '2026-04-20', clearedOn: '2026-10-01' };
    await makeBed(
      request,
      'two-soils',
      { id: 'years-sand', name: 'Dune bed', clayPct: 6, organicMatterPct: 2 },
      [],
      [planting],
    );
    await makeBed(request, 'two-soils', {
      id: 'years-clay',
      name: 'Brook bed',
      clayPct: 45,
      organicMatterPct: 3.5,
    });
    await page.goto(`${garden}/years?${TWO_BEDS}&years=10&habits=compostYearly,chipsOnly,nothing`);
    await test.step('all three stand beside each other, on one scale, with their likely range', async () => {
      await expect(charts(page)).toHaveCount(2);
      for (const name of ['Compost yearly', 'Chips only', 'Nothing spread']) {
        await expect(charts(page).first()).toContainText(name);
      }
      await expect(page.getByText(/8 times out of 10/).first()).toBeVisible({ timeout: 30_000 });
      const answer = page.getByText(/Compost yearly on Dune bed: .* organic matter now, .* in 10 years/);
      await expect(answer).toContainText(/points \(.* to .*\) against “Chips only”/);
      await expectAccessible(page);
    });
    await test.step('400 years are refused in words, and the chart stays', async () => {
      await page.getByLabel('Years ahead').fill('400');
      await expect(page.getByText('must be whole years from 1 to 30')).toBeVisible();
      await page.getByLabel('Years ahead').fill('10');
      await expect(page.getByText('must be whole years from 1 to 30')).toHaveCount(0);
    });
    await test.step('compost builds more than nothing on both beds', async () => {
      for (const bed of ['Dune bed', 'Brook bed']) {
        const table = page.getByRole('table', { name: `${bed}: organic matter, %` });
        const inTenYears = async (habit: string) => {
          const cells = await table.getByRole('row', { name: habit }).getByRole('cell').allTextContents();
          return Number(cells[4]);
        };
        expect(await inTenYears('Compost yearly')).toBeGreaterThan((await inTenYears('Nothing spread')) + 1);
      }
    });
    await test.step('the amount of compost that reaches 6 % by year 10 is found for each bed', async () => {
      const search = page.getByRole('group', { name: 'Find the amount' });
      await search.getByLabel('to get there by year').fill('40');
      await expect(search.getByText('must be a whole year from 1 to 30')).toBeVisible();
      await search.getByLabel('to get there by year').fill('10');
      await search.getByRole('button', { name: 'Find the amount' }).click();
      const sandy = search.getByText(/6 % organic matter on Dune bed by year 10/);
      await expect(sandy).toContainText(
        /\d cm thick each time \(between .* figures\)\. 8 times out of 10 it takes/,
        {
          timeout: 60_000,
        },
      );
      await expect(search.getByText(/on Brook bed by year 10/)).toBeVisible();
      await expect(sandy).toContainText(
        /That passes a limit\. The most that does not is .* cm thick each time/,
      );
      await expect(sandy).toContainText(/In year \d+: .* of phosphorus a year/);
    });
    await test.step('the found amount goes into the habit, which becomes the plan and stands in the calendar', async () => {
      await page.getByRole('button', { name: 'Change Compost yearly' }).click();
      await page.getByLabel('To year').fill('400');
      await expect(page.getByText(/30/).filter({ hasText: 'must' }).first()).toBeVisible();
      await page.getByLabel('To year').fill('');
      await page.getByLabel('Each time').fill('1,2');
      await page.getByLabel('Name', { exact: true }).fill('Compost, as much as it takes');
      await page.getByRole('button', { name: 'Save as my habit' }).click();
      await expect(page.getByRole('button', { name: 'Save as my habit' })).toHaveCount(0);
      await expect(
        page.getByRole('button', { name: 'Compost, as much as it takes', exact: true }),
      ).toHaveAttribute('aria-pressed', 'true');
      const adopt = region(page, 'Make it the plan');
      await adopt.getByRole('button', { name: 'Plan it on Dune bed and Brook bed' }).click();
      await expect(adopt.getByText('is the plan of Dune bed and Brook bed')).toBeVisible();
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(adopt.getByText('2 years')).toBeVisible();
      await expect(adopt.getByText('4 entries for the bed and the calendar.')).toBeVisible();
      await adopt.getByRole('button', { name: 'Plan it on Dune bed and Brook bed' }).click();
      await expect(adopt.getByText('is the plan of Dune bed and Brook bed')).toBeVisible();
      await adopt.getByRole('link', { name: 'See the calendar' }).click();
      await expect(page.getByText(/Working out/)).toHaveCount(0);
      await expect(page.getByText(/yard-debris compost/).first()).toBeVisible();
    });
    await test.step('the chart leaves as SVG and the series as CSV', async () => {
      await page.goto(`${garden}/years?${TWO_BEDS}&years=5&habits=compostYearly,nothing`);
      await expect(charts(page)).toHaveCount(2);
      // Lines come one after the other; the picture is of all of them.
      await expect(charts(page).first().getByText('Compost yearly', { exact: true })).toBeVisible();
      await expect(charts(page).first().getByText('Nothing spread', { exact: true })).toBeVisible();
      const chart = await savedText(page, () =>
        page.getByRole('button', { name: /Save Dune bed .* as SVG/ }).click(),
      );
      expect(chart.name).toBe('Dune bed organic matter.svg');
      const parsed = await page.evaluate((text) => {
        const svg = new DOMParser().parseFromString(text, 'image/svg+xml');
        return {
          broken: svg.querySelector('parsererror') !== null,
          paths: svg.querySelectorAll('path').length,
          words: svg.documentElement.textContent,
        };
      }, chart.text);
      expect(parsed.broken).toBe(false);
      expect(parsed.paths).toBeGreaterThan(2);
      expect(parsed.words).toContain('Compost yearly');
      const series = await savedText(page, () => page.getByRole('button', { name: 'Series as CSV' }).click());
      const rows = Papa.parse<Record<string, string>>(series.text.trim(), { header: true }).data;
      expect(rows).toHaveLength(2 * 2 * 6);
      expect(new Set(rows.map(({ bed }) => bed))).toEqual(new Set(['Dune bed', 'Brook bed']));
      expect(Number(rows[5]['organic_matter_pct'])).toBeGreaterThan(1);
    });
  });
});

onDemo.describe('years on the demo', () => {
  const test = onDemo;

  test('second opinions by name, the whole garden as one, and what it is worth', async ({ visit }) => {
    const page = await visit(`${GARDEN}/years?beds=garden&years=5&habits=planned,compostYearly,nothing`);
    await expect(page.getByText(/As planned on Ternhollow/)).toBeVisible({ timeout: 30_000 });
    await page.getByLabel('Second opinions').check();
    await expect(page.getByRole('group', { name: /Carbon in humus/ })).toContainText('Hénin & D. 1945');
    await expect(page.getByText('Coleman and Jenkinson 1996')).toBeVisible();
    await expect(page.getByText(/They differ because/)).toBeVisible();
    const figures = page.getByRole('table', { name: 'Ternhollow: humus, kg/m²' });
    await expect(figures.getByRole('columnheader', { name: 'other models, 5 y' })).toBeVisible();
    await expect(figures.getByRole('row', { name: 'Compost yearly' }).getByRole('cell').nth(5)).toContainText(
      ' to ',
    );
    await page.getByText('N washed out', { exact: true }).click();
    await expect(page.getByRole('group', { name: /Nitrogen washed out/ })).toContainText(
      'guide value: 6.1 g/m²',
    );
    await expect(page.getByRole('list', { name: 'Limits that are passed' })).toContainText(
      'of phosphorus a year',
    );
    const search = page.getByRole('group', { name: 'Find the amount' });
    await search.getByLabel('to get there by year').fill('3');
    await search.getByRole('button', { name: 'Find the amount' }).click();
    await expect(search.getByText(/on Ternhollow by year 3/)).toContainText('thick each time');
    const together = region(page, 'What it is worth').getByRole('table', {
      name: /^Ternhollow, over 5 years/,
    });
    await expect(together.getByRole('row', { name: 'Compost yearly' })).toContainText(
      /\d+ barrows, .* h a year/,
    );
    await page.getByText('All carbon', { exact: true }).click();
    await expect(page.getByRole('group', { name: /All carbon of/ })).toBeVisible();

    await visit(`${GARDEN}/years?beds=demo-sawpit-corner&years=5&habits=compostYearly,nothing`);
    const worth = region(page, 'What it is worth');
    await worth.getByRole('button', { name: 'Your prices' }).click();
    await worth.getByLabel('1 hour of your time').fill('-3');
    await expect(worth.getByText('must not be negative')).toBeVisible();
    await worth.getByLabel('1 hour of your time').fill('8');
    await worth.getByLabel('1 kg of nitrogen').fill('20');
    const before = await worth.getByRole('table').elementHandle();
    await worth.getByRole('button', { name: 'Save' }).click();
    await expect(worth.getByRole('columnheader', { name: 'in your money' })).toBeVisible();
    await worth.getByText('What counts here, and what does not').click();
    await expect(worth.getByText(/None of this is a credit/)).toBeVisible();
    await page.getByLabel('At least, %').fill('2');
    await expect(region(page, 'Target').getByText('met already today').first()).toBeVisible();
    await page.getByLabel('At least, %').fill('-2');
    await expect(region(page, 'Target').getByText(/must be greater than 0/)).toBeVisible();
    // The years were followed anew for the prices, and nothing left the page meanwhile.
    expect(await worth.getByRole('table').evaluate((table, old) => table === old, before)).toBe(true);
    await expectAccessible(page);
  });

  test('the stock is shared out with reasons, own choices kept, and made the plan', async ({ visit }) => {
    const page = await visit(`${GARDEN}/share`);
    const answer = page.getByText(/of what the beds need is met within every limit/);
    await expect(answer).toBeVisible({ timeout: 30_000 });
    await test.step('within every limit, which sharing evenly is not', async () => {
      const ways = page.getByRole('table').filter({ hasText: 'Way of sharing' });
      await expect(ways.getByRole('row', { name: 'As proposed' })).toContainText('none');
      await expect(page.getByText(/^Evenly over all beds: \d+ limits passed$/)).toBeVisible();
      await expect(page.getByRole('list', { name: 'More than a bed should get' })).toHaveCount(0);
      await expect(region(page, 'this season')).toContainText('because');
      await expect(region(page, 'What stays in the yard')).toContainText('it does not belong on');
      await expectAccessible(page);
    });
    await test.step('a choice of one’s own stays; one that cannot be is said to be impossible', async () => {
      const own = region(page, 'Your own choices');
      const fix = async (pile: string, litres: string) => {
        await choose(page, 'Of', pile);
        await choose(page, 'to', 'Ferry Strip');
        await choose(page, 'of', 'liters');
        await page.getByLabel('exactly', { exact: true }).fill(litres);
        await own.getByRole('button', { name: 'Add' }).click();
      };
      await fix('Hazel chips by the gate', '30');
      await expect(region(page, 'this season').getByText('your own choice, kept as it is')).toBeVisible();
      await expect(page.getByRole('row', { name: 'Your own choices alone' })).toContainText('none');
      await fix('Last year’s compost', '60');
      await expect(page.getByRole('alert')).toContainText('of phosphorus; beside its plans');
      await own.getByRole('listitem').filter({ hasText: 'compost' }).getByRole('button').click();
      await fix('Hazel chips by the gate', '9000');
      await expect(page.getByRole('alert')).toContainText('It cannot be done like this');
      await expect(page.getByRole('alert')).toContainText('can be given');
      await page.reload();
      await expect(page.getByRole('alert')).toContainText('can be given');
      await own.getByRole('button', { name: 'Remove' }).click();
      await expect(answer).toBeVisible();
    });
    await test.step('it becomes the plan, and the spreading day has it', async () => {
      await region(page, 'this season').getByRole('button', { name: 'Make it the plan' }).click();
      await expect(page.getByText(/loads? (is|are) planned\. See the spreading day/)).toBeVisible();
      await page.getByRole('link', { name: 'See the spreading day' }).click();
      await expect(page.getByText('Hazel chips by the gate').first()).toBeVisible();
    });
  });
});

onOwn.describe('an empty book', () => {
  const test = onOwn;
  test('says what to do first', async ({ page, request }) => {
    await makeGarden(request, 'bare-years');
    await page.goto('/garden/bare-years/years');
    await expect(page.getByRole('link', { name: 'Make a bed first' })).toBeVisible();
    await page.getByRole('link', { name: 'Share out' }).click();
    await expect(page.getByRole('link', { name: 'Make a bed first' })).toBeVisible();
  });
});
