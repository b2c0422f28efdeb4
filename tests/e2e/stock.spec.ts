import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { expectAccessible } from './accessible.ts';
import { choose, isAnswered, layers } from './bed-page.ts';
import { onDemo, onOwn } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';
import { goTo } from './pages.ts';

onOwn.describe('stock and preparing', () => {
  const test = onOwn;

  const row = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });
  const form = (page: Page, name: string) => page.getByRole('form', { name });

  /** Receives a load of a material of the library under a name of its own. */
  async function receive(page: Page, material: string, name: string, barrows: string): Promise<void> {
    await page.getByRole('button', { name: 'Receive something' }).click();
    await choose(page, 'What', material);
    await page.getByLabel('How much').fill(barrows);
    await page.getByLabel('Call it').fill(name);
    await form(page, 'Receive something').getByRole('button', { name: 'Save delivery' }).click();
    await expect(row(page, name)).toBeVisible();
  }

  test('unknown chips are judged, seasoned, mixed by the bucket, solved to 28:1 and made into a heap', async ({
    visit,
    request,
  }) => {
    await makeGarden(request, 'yard');
    const page = await visit('/garden/yard/stock');

    await test.step('a load is judged by a bucket, a handful and a count', async () => {
      await expect(page.getByText('Nothing in stock yet')).toBeVisible();
      await page.getByRole('button', { name: 'Receive something' }).click();
      await page.getByLabel('Thickness of the branches, cm').fill('9');
      await page.getByRole('button', { name: 'Weigh a bucket' }).click();
      await page.getByLabel('Empty, kg').fill('3.6');
      await page.getByLabel('Full, not packed, kg').fill('0.6');
      await expect(page.getByText('Are the two swapped?')).toBeVisible();
      await page.getByLabel('Empty, kg').fill('0.6');
      await page.getByLabel('Full, not packed, kg').fill('3.6');
      await expect(page.getByText('300 kg/m³')).toBeVisible();
      await page.getByRole('button', { name: 'Use it' }).click();
      await expect(page.getByLabel('Bulk density, kg/m³')).toHaveValue('300');
      await page.getByRole('button', { name: 'How wet is it?' }).click();
      await choose(page, 'A squeezed handful', 'holds together');
      await page.getByRole('button', { name: 'Use it' }).click();
      await expect(page.getByLabel('Moisture, %')).toHaveValue('50');
      await page.getByRole('button', { name: 'Count leaf' }).click();
      await page.getByLabel('Pieces of leaf').fill('30');
      await page.getByLabel('Pieces of wood').fill('90');
      await page.getByRole('button', { name: 'Use it' }).click();
      await expect(page.getByLabel('Leaf, %')).toHaveValue('4.76');
    });

    await test.step('what cannot be is refused by its field', async () => {
      await page.getByLabel('How much').fill('20');
      await page.getByLabel('Moisture, %').fill('110');
      await page.getByLabel('Call it').fill('Lane chips');
      await page.getByLabel('Arrived').fill('2025-08-10');
      await page.getByRole('button', { name: 'Save delivery' }).click();
      await expect(page.getByText(/must be at least 0.% and less than 100.%/)).toBeVisible();
      await page.getByLabel('Moisture, %').fill('50');
      await page.getByRole('button', { name: 'Save delivery' }).click();
      await expect(row(page, 'Lane chips')).toBeVisible();
    });

    await test.step('nine months later it has shrunk and lost lock-up power', async () => {
      await expect(row(page, 'Lane chips')).toContainText('seasoned');
      await page.getByRole('row').filter({ hasText: 'Lane chips' }).getByRole('link').click();
      await expect(page.getByRole('heading', { name: 'Lane chips' })).toBeVisible();
      await expect(page.getByText('9 months old')).toBeVisible();
      const account = page.getByRole('region', { name: 'Account' });
      await expect(account).toContainText('Received 20 barrows (85 L)');
      await expect(account).toContainText('rotted, breathed out');
      await page.getByRole('link', { name: 'Stock', exact: true }).first().click();
      await receive(page, 'Grass clippings', 'Cut grass', '12');
    });

    await test.step('5:2 by the bucket is not what one thinks', async () => {
      await page.getByRole('link', { name: 'Mixing bench' }).click();
      await choose(page, 'What', 'Lane chips');
      await choose(page, 'What, 2', 'Cut grass');
      await choose(page, 'of', 'barrows (85 L)', 0);
      await choose(page, 'of', 'barrows (85 L)', 1);
      await page.getByLabel('How much').nth(0).fill('5');
      await page.getByLabel('How much').nth(1).fill('2');
      const heading = page.getByRole('heading', { name: /^5 : 2 by the bucket is truly/ });
      await expect(heading).toBeVisible();
      const ratio = Number(/truly (\d+(?:\.\d+)?)/.exec(await heading.innerText())![1]);
      expect(ratio).toBeGreaterThan(30);
      expect(ratio).toBeLessThan(60);
    });

    await test.step('28:1 with what is there: more grass, in whole barrows', async () => {
      await page.getByLabel('C:N from').fill('26');
      await page.getByLabel('to', { exact: true }).nth(0).fill('30');
      await page.getByLabel('Moisture, % from').fill('');
      await page.getByLabel('to', { exact: true }).nth(1).fill('');
      await page.getByRole('checkbox', { name: 'find' }).nth(1).check();
      await page.getByRole('button', { name: 'Find the amounts' }).click();
      const found = page.getByText(/^Found: C:N/);
      await expect(found).toBeVisible();
      const ratio = Number(/C:N (\d+(?:\.\d+)?)/.exec(await found.innerText())![1]);
      expect(ratio).toBeGreaterThanOrEqual(26);
      expect(ratio).toBeLessThanOrEqual(30);
      expect(Number(await page.getByLabel('How much').nth(1).inputValue()) % 1).toBe(0);
    });

    await test.step('what cannot be reached is said, with what would mend it', async () => {
      await page.getByLabel('How much').nth(0).fill('16');
      await page.getByLabel('C:N from').fill('14');
      await page.getByLabel('to', { exact: true }).nth(0).fill('15');
      await page.getByRole('button', { name: 'Find the amounts' }).click();
      await expect(page.getByText('It cannot be met exactly; the nearest is filled in above.')).toBeVisible();
      await expect(page.getByText(/of nitrogen would do it: .* of grass clippings/)).toBeVisible();
    });

    await test.step('the heap is made: stock is debited, a heap is born', async () => {
      await page.getByLabel('How much').nth(0).fill('500');
      await page.getByLabel('How much').nth(1).fill('6');
      await page.getByLabel('Call the heap').fill('May heap');
      await page.getByRole('button', { name: 'Make the heap' }).click();
      await expect(page.getByText(/is more than is in stock: on that day only/)).toBeVisible();
      await page.getByLabel('How much').nth(0).fill('5');
      await page.getByRole('button', { name: 'Make the heap' }).click();
      await expect(page.getByRole('heading', { name: 'May heap' })).toBeVisible();
      await expect(page.getByText('Made of 2 things')).toBeVisible();
      await page.getByRole('link', { name: 'Stock', exact: true }).first().click();
      await expect(row(page, 'Cut grass')).toContainText('6 barrows');
    });

    await test.step('the heap is followed: a probe, a turning, and undo', async () => {
      await page.getByRole('link', { name: 'Heaps' }).click();
      const heap = page.getByRole('region', { name: 'May heap' });
      await heap.getByRole('button', { name: 'Log the temperature' }).click();
      await heap.getByRole('button', { name: 'Read the probe' }).click();
      await expect(heap.getByLabel('Temperature inside, °C')).toHaveValue(/^3[78]\.\d$/);
      await heap.getByLabel('Temperature inside, °C').fill('61');
      await heap.getByRole('button', { name: 'Save entry' }).click();
      await expect(heap).toContainText('1 day at 55 °C or more');
      // The heap that was made may still be on offer to be taken back too.
      await page
        .getByRole('alert')
        .filter({ hasText: 'Measured.' })
        .getByRole('button', { name: 'Undo' })
        .click();
      await expect(heap).toContainText('No temperatures yet');
    });
    await expectAccessible(page);
  });

  test('wood is burnt to char, checked, charged, and laid on a bed', async ({ visit, request }) => {
    await makeGarden(request, 'kiln');
    const bed = await makeBed(request, 'kiln', { id: 'kiln-bed', name: 'Rowan bed', areaM2: 4 });
    const page = await visit('/garden/kiln/prepare/char');

    await test.step('a burn is kept step by step, with its warnings', async () => {
      await expect(page.getByText('No char yet')).toBeVisible();
      await page.getByRole('button', { name: 'Record a burn' }).first().click();
      await expect(page.getByRole('note')).toContainText('Local burning rules');
      await page.getByLabel('On', { exact: true }).fill('2026-05-01');
      await page.getByLabel('Call the char').fill('Rowan char');
      await page.getByRole('textbox', { name: 'How much' }).fill('80');
      await page.getByText('Water at hand: a hose').click();
      await page.getByRole('button', { name: 'Save the burn so far' }).click();
      await expect(page.getByText('not measured yet')).toBeVisible();
      await expect(page.getByText('the cold check of the day after is missing')).toBeVisible();
    });

    await test.step('more char than wood is refused; a likely yield is judged', async () => {
      await page.getByRole('button', { name: 'Go on' }).click();
      await page.getByLabel('Found cold to the bottom on').fill('2026-05-02');
      await page.getByText('A magnet drawn through it').click();
      await page.getByLabel('Char', { exact: true }).fill('60');
      await page.getByRole('button', { name: 'Save the char' }).click();
      await expect(page.getByText(/is more than went in/)).toBeVisible();
      await page.getByLabel('Char', { exact: true }).fill('8');
      await page.getByLabel('Not charred, % of the wood').fill('10');
      await choose(page, 'Those pieces go', 'to a new pile');
      await page.getByLabel('Call that pile').fill('Rowan ends');
      await page.getByRole('button', { name: 'Save the char' }).click();
      await expect(page.getByText('what such fires give')).toBeVisible();
      await expect(page.getByText('outlasts a century')).toBeVisible();
      await expect(row(page, 'Rowan char')).toContainText('raw');
    });

    await test.step('it is crushed and charged, and the books say what it holds', async () => {
      await row(page, 'Rowan char').getByRole('button', { name: 'Crush' }).click();
      await expect(form(page, 'Crush char')).toContainText('mask');
      await form(page, 'Crush char').getByRole('button', { name: 'Save entry' }).click();
      await expect(row(page, 'Rowan char')).toContainText('pea-sized');
      await row(page, 'Rowan char').getByRole('button', { name: 'Charge' }).click();
      await choose(page, 'Charge Rowan char', 'Nitrogen soak');
      await page.getByLabel('On', { exact: true }).fill('2026-05-03');
      await expect(page.getByText(/will be held when it is ready/)).toBeVisible();
      await page.getByRole('button', { name: /^Charge it, ready 13 May/ }).click();
      await expect(row(page, 'nitrogen soak')).toContainText('ready');
      await expect(row(page, 'nitrogen soak')).toContainText('✓ yes');
    });

    await test.step('what did not char waits as a pile for the next burn', async () => {
      await goTo(page, '/garden/kiln/stock');
      await page.getByRole('link', { name: 'Rowan ends', exact: true }).click();
      await expect(page.getByText('Pieces that did not char')).toBeVisible();
      await expect(row(page, 'Pieces that did not char')).toContainText('+6.6');
    });

    await test.step('the charged batch goes on a bed by the lot it is', async () => {
      await goTo(page, bed);
      await isAnswered(page);
      await page.getByRole('button', { name: 'Spread something' }).click();
      await choose(page, 'What', 'Rowan char, nitrogen soak');
      await choose(page, 'of', 'liters');
      await page.getByLabel('How much').fill('20');
      await page.getByRole('button', { name: 'Save entry' }).click();
      // The layer is drawn before it is saved; the form closes after it is.
      await expect(page.getByRole('form', { name: 'Write an entry' })).toHaveCount(0);
      await expect(layers(page)).toContainText('Rowan char, nitrogen soak');
      await page.getByRole('button', { name: 'Spread something' }).click();
      await choose(page, 'What', 'Rowan char, nitrogen soak');
      await choose(page, 'of', 'liters');
      await page.getByLabel('How much').fill('300');
      await page.getByRole('button', { name: 'Save entry' }).click();
      await expect(page.getByText(/is more than is in stock: on that day only/)).toBeVisible();
    });
  });

  test('ash is stopped by pH 7.8, and a brew says what its sugar costs', async ({ visit, request }) => {
    await makeGarden(request, 'ash');
    await makeBed(request, 'ash', { id: 'chalk', name: 'Chalk bed', ph: 7.8 });
    await makeBed(request, 'ash', { id: 'sour', name: 'Sour bed', ph: 5.4 });
    const page = await visit('/garden/ash/prepare/ash');
    await expect(page.getByText('No ash here')).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('pH 7.8: above 7.5 no ash goes on a bed');
    await expect(page.getByRole('form', { name: 'Give ash' })).toHaveCount(0);
    await choose(page, 'Bed', 'Sour bed');
    await page.getByLabel('On', { exact: true }).fill('2026-11-10');
    await expect(page.getByText('200 g/m² at most')).toBeVisible();
    await page.getByLabel('Give, g/m²').fill('300');
    await expect(page.getByText('At most 200 g/m² more this year.')).toBeVisible();
    await page.getByLabel('Give, g/m²').fill('120');
    await page.getByRole('button', { name: 'Plan it' }).click();
    await expect(page.getByText('No ash here')).toBeVisible();
    await expect(page.getByText(/test the pH in spring/)).toBeVisible();

    await page.getByRole('link', { name: 'Brews' }).click();
    await page.getByText('Molasses water for new paths').click();
    await expect(page.getByText(/takes about .* of nitrogen/)).toBeVisible();
    await page.getByRole('button', { name: 'Save entry' }).click();
    await expect(page.getByText('is saved for Chalk bed')).toBeVisible();

    await page.getByText('Compost tea').click();
    await page.getByLabel('or as much as fits a vessel of, L').fill('20');
    await expect(page.getByLabel('Make, L')).toHaveValue('18');
    await expect(page.getByText('use it by 16 May 2026')).toBeVisible();
    await page.getByRole('button', { name: 'Begin it: 18 L' }).click();
    const going = page.getByRole('region', { name: 'Brews that are going' });
    await expect(going).toContainText('Compost tea, 18 L');
    await going.getByRole('button', { name: 'Used' }).click();
    await choose(page, 'Poured on', 'Sour bed');
    await page
      .getByRole('form', { name: 'Where it was poured' })
      .getByRole('button', { name: 'Save' })
      .click();
    await expect(page.getByText('Compost tea is used.')).toBeVisible();
    await expect(going).toHaveCount(0);
    await goTo(page, '/garden/ash/bed/sour');
    await expect(page.getByText('Compost tea, 18 L.')).toBeVisible();
  });

  test('a link pressed while a load is being saved asks first, and goes on when it is saved', async ({
    page,
    request,
  }) => {
    await makeGarden(request, 'slow');
    await page.goto('/garden/slow/stock');
    let answer = () => {};
    const isAnswered = new Promise<void>((resolve) => (answer = resolve));
    await page.route('**/api/gardens/slow/stock', async (route) => {
      await isAnswered;
      await route.continue();
    });
    await page.getByRole('button', { name: 'Receive something' }).click();
    await choose(page, 'What', 'Grass clippings');
    await page.getByLabel('How much').fill('3');
    await form(page, 'Receive something').getByRole('button', { name: 'Save delivery' }).click();
    await page.getByRole('link', { name: 'Mixing bench' }).click();
    const asks = page.getByRole('dialog', { name: 'Leave without saving?' });
    await expect(asks).toContainText('What you typed in the form is not saved yet.');
    answer();
    await expect(page.getByRole('heading', { name: 'Mixing bench' })).toBeVisible();
    await expect(asks).toHaveCount(0);
    await page.getByRole('link', { name: 'Stock', exact: true }).first().click();
    await expect(row(page, 'Grass clippings')).toBeVisible();
  });

  test('the bench asks what if, keeps limits of a row, and scales to a bed', async ({ visit, request }) => {
    await makeGarden(request, 'bench');
    await makeBed(request, 'bench', { id: 'long', name: 'Long bed', areaM2: 5 });
    const page = await visit('/garden/bench/prepare');
    const whatIf = page.getByRole('region', { name: 'What if I had' });
    await whatIf.getByRole('button', { name: /of grass clippings/ }).click();
    await expect(whatIf.getByText('To bring C:N down')).toHaveCount(0);

    await page.getByRole('checkbox', { name: 'find' }).nth(1).check();
    await page.getByLabel('at most', { exact: true }).fill('2');
    await page.getByRole('button', { name: 'Find the amounts' }).click();
    await expect(page.getByText('It cannot be met exactly')).toBeVisible();
    await expect(page.getByLabel('How much').nth(1)).toHaveValue('2');

    await choose(page, 'Scale it to', 'Long bed');
    await page.getByLabel('so thick, cm').fill('10');
    await page.getByRole('button', { name: 'Scale', exact: true }).click();
    // Three buckets of chips and two of grass, on 5 m² of 10 cm.
    await expect(page.getByLabel('How much').nth(0)).toHaveValue('30');
    await expect(page.getByLabel('How much').nth(1)).toHaveValue('20');
  });

  test('a material is looked up, compared and given a laboratory report', async ({ visit, request }) => {
    await makeGarden(request, 'lab');
    const page = await visit('/garden/lab/materials');
    await page.getByLabel('Search').fill('horse');
    await page.getByRole('button', { name: 'Horse manure with bedding' }).click();
    await page.getByRole('button', { name: 'Add a report' }).click();
    await page.getByLabel('Nitrogen in dry matter, %').fill('2.1');
    await page.getByLabel('Sampled on').fill('2026-05-01');
    await page.getByRole('button', { name: 'Save the report' }).click();
    await expect(page.getByText('2.1 % N')).toBeVisible();
    await expect(row(page, 'Horse manure with bedding').first()).toContainText('lab');
    await page.getByRole('button', { name: 'Make one of your own like this' }).click();
    await page.getByLabel('Name').fill('Pony bedding');
    await form(page, 'One of your own').getByLabel('Nitrogen in dry matter, %').fill('0');
    await page.getByRole('button', { name: 'Save the material' }).click();
    await expect(page.getByRole('heading', { name: 'Pony bedding' })).toBeVisible();
    await page.getByLabel('Search').fill('compost');
    await page.getByRole('checkbox', { name: /Compare Finished yard/ }).check();
    await page.getByRole('checkbox', { name: /Compare Finished manure/ }).check();
    await expect(page.getByRole('region', { name: 'Compared' })).toContainText('nitrogen in a 10 L bucket');
  });
});

onDemo.describe('the demo yard', () => {
  const test = onDemo;

  test('ash is mixed into finished compost, never into a heap at work, and taken back', async ({ visit }) => {
    const page = await visit('/garden/ternhollow/prepare/ash');
    const mixes = page.getByRole('region', { name: 'Ash into compost, soil or pots' });
    await expect(mixes).toContainText('110 g, 1 cup');
    await expect(mixes).toContainText(/Not into .*Spring heap/);
    await choose(page, 'Into', 'Last year’s compost');
    await expect(mixes).toContainText('Mix it in');
    await mixes.getByRole('button', { name: 'Mix it in' }).click();
    await expect(page.getByText('Ash is mixed into Last year’s compost.')).toBeVisible();
    await expect(mixes).toContainText('none more');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(mixes).not.toContainText('none more');
  });

  test('every page of Stock and Prepare is whole and accessible', async ({ visit }) => {
    const page = await visit('/garden/ternhollow/method');
    const broken: string[] = [];
    page.on('pageerror', (error) => broken.push(error.message));
    await expect(page).toHaveTitle(/^Method/);
    for (const [path, waitFor] of [
      ['stock', 'locks up to'],
      ['stock/demo-lot-hazel', 'Reserved'],
      ['materials', 'Molasses'],
      ['prepare', 'by the bucket is truly'],
      ['prepare/heaps', 'at 55 °C or more'],
      ['prepare/char', 'outlasts a century'],
      ['prepare/ash', 'Into compost, soil or pots'],
      ['prepare/brews', 'brings to its books'],
    ] as const) {
      await goTo(page, `/garden/ternhollow/${path}`);
      await expect(page.getByText(waitFor).first()).toBeVisible();
      await expectAccessible(page);
    }
    expect(broken).toEqual([]);
  });

  test('a delivery that is expected has its day and amount, is changed, comes, and is taken back', async ({
    visit,
  }) => {
    const page = await visit('/garden/ternhollow/stock/demo-lot-hazel');
    const years = page.getByRole('region', { name: 'Over the next two years' });
    await expect(years).toContainText('in 24 months');
    await expect(years).toContainText('To make what is available last');
    const planned = page.getByRole('region', { name: 'Planned' });
    await expect(planned).toContainText('30 November 2026: delivery of 2.5 cubic meters');
    await planned.getByRole('button', { name: /^Change/ }).click();
    const form = page.getByRole('form', { name: 'Change the plan' });
    await form.getByLabel('How much').fill('3');
    await form.getByRole('button', { name: 'Save the change' }).click();
    await expect(planned).toContainText('delivery of 3 cubic meters');
    await planned.getByRole('button', { name: /^Done today/ }).click();
    const account = page.getByRole('region', { name: 'Account' });
    await expect(account.getByRole('row', { name: /Received 3 cubic meters/ })).not.toContainText('planned');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(planned).toContainText('30 November 2026: delivery of 3 cubic meters');
  });

  test('stock is weighed at the shed door, on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    let workOut = () => {};
    const held = new Promise<void>((resolve) => (workOut = resolve));
    await page.route('**/core-worker*', async (route) => {
      await held;
      await route.continue();
    });
    await page.goto('/garden/ternhollow/stock/demo-lot-goat');
    await page.getByRole('button', { name: 'Do or measure something' }).click();
    const measure = page.getByText('Measure', { exact: true });
    await expect(page.getByText('Working it out …')).toBeVisible();
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const before = (await measure.boundingBox())?.y;
    workOut();
    await expect(page.getByText(/7 weeks old/)).toBeVisible();
    // A press while its age comes must not go astray.
    expect((await measure.boundingBox())?.y).toBe(before);
    await page.getByText('Measure', { exact: true }).click();
    await page.getByRole('button', { name: 'Weigh a bucket' }).click();
    await page.getByLabel('Empty, kg').fill('0.6');
    await page.getByLabel('Full, not packed, kg').fill('5.4');
    await expect(page.getByText('480 kg/m³').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
