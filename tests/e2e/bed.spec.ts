import { expect } from './expect.ts';
import { readFileSync } from 'node:fs';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { expectAccessible } from './accessible.ts';
import { answer, choose, isAnswered, press } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';
import { goTo, overflowPx } from './pages.ts';

test('the same fresh chips get three different answers on three beds', async ({ visit, request }) => {
  await makeGarden(request, 'three');
  const chips = [{ materialId: 'chips_branch', cm: 8 }];
  const seedlings = await makeBed(
    request,
    'three',
    {
      id: 'seedlings',
      name: 'Seedling row',
      kind: 'seedbed',
      areaM2: 4,
      organicMatterPct: 2.5,
      isWatered: false,
    },
    chips,
    [
      {
        cropId: 'turnip',
        startsAs: 'seed',
        plantedOn: '2026-05-20',
        clearedOn: '2026-07-29',
        nitrogenDemandGPerM2: 10,
        rootDepthCm: 30,
        state: 'planned',
      },
    ],
  );
  const established = await makeBed(
    request,
    'three',
    { id: 'established', name: 'Tall row', kind: 'annual', areaM2: 6, organicMatterPct: 6 },
    chips,
    [
      {
        cropId: 'tomato',
        plantedOn: '2026-04-10',
        clearedOn: '2026-09-30',
        nitrogenDemandGPerM2: 12,
        rootDepthCm: 80,
      },
    ],
  );
  const ring = await makeBed(
    request,
    'three',
    { id: 'ring', name: 'Quince ring', kind: 'treeRing', areaM2: 3, rootZoneCm: 60 },
    chips,
    [
      {
        cropId: 'quince',
        plantedOn: '2020-03-01',
        clearedOn: null,
        nitrogenDemandGPerM2: 4,
        rootDepthCm: 120,
      },
    ],
  );

  const page = await visit(seedlings);
  await isAnswered(page);
  await expect(answer(page, 'Planting')).toContainText(/7\.\d cm of cover lies over the seed/);
  await expect(answer(page, 'Feed')).toContainText(/\d+ g nitrogen/);
  await expect(answer(page, 'Lock-up')).toContainText('Top 5 cm only');

  await goTo(page, established);
  await isAnswered(page);
  await expect(answer(page, 'Lock-up')).toContainText('Tomato does not feel it');
  await expect(answer(page, 'Feed')).toContainText(/No feed needed|if you like/);

  await goTo(page, ring);
  await isAnswered(page);
  await expect(page.getByRole('list', { name: 'Watch out on this bed' })).toContainText(
    '15 to 30 cm clear of the stem',
  );
  await expect(answer(page, 'Feed')).not.toContainText('gets 8');
});

test('answers show how they were worked out, and what the schools would say', async ({ visit, request }) => {
  await makeGarden(request, 'why');
  const address = await makeBed(
    request,
    'why',
    { id: 'why-bed', name: 'Asking bed', areaM2: 5 },
    [{ materialId: 'sawdust_hardwood', cm: 3, dugDepthCm: 20 }],
    [
      {
        cropId: 'kale',
        plantedOn: '2026-05-20',
        clearedOn: '2026-12-06',
        nitrogenDemandGPerM2: 20,
        state: 'planned',
      },
    ],
  );
  const page = await visit(address);
  await isAnswered(page);
  await expect(answer(page, 'Feed')).toContainText('of feather meal');
  await expect(answer(page, 'Lock-up')).toContainText('Locked up by sawdust, hardwood');
  await expect(answer(page, 'Lock-up')).toContainText('Kale feels it and loses growth');
  const how = page.getByRole('button', { name: 'Lock-up: how is that worked out?' });
  await how.click();
  const drawer = page.getByRole('dialog');
  await expect(drawer).toContainText(/C:N 445/);
  await expect(drawer).toContainText('Taken from the soil, little by little over the years');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(drawer).toHaveCount(0);
  await expect(how).toBeFocused();

  await choose(page, 'Feed with', 'urine');
  await expect(answer(page, 'Feed')).toContainText(/gal|L of water|in \d+ parts/);
  await page.getByRole('button', { name: /compare schools/ }).click();
  const schools = page.getByRole('dialog');
  await expect(schools.getByRole('region', { name: 'Cautious' })).toContainText('g nitrogen');
  const feedOf = async (school: string) => {
    const text = (await schools.getByRole('region', { name: school }).textContent()) ?? '';
    return Number(/(\d[\d\s]*) g nitrogen/.exec(text)![1].replaceAll(/\s/g, ''));
  };
  expect(await feedOf('Cautious')).toBeGreaterThan(await feedOf('By depth'));
  await expectAccessible(page);
});

test('a choice another window forestalled, and an undo that did not reach the books, say so and go on', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'forestalled');
  const bed = { id: 'forestalled-bed', name: 'Forestalled bed', areaM2: 5 };
  const planting = { cropId: 'kale', plantedOn: '2026-05-20', clearedOn: '2026-12-06' };
  const address = await makeBed(
    request,
    'forestalled',
    bed,
    [{ materialId: 'sawdust_hardwood', cm: 3, dugDepthCm: 20 }],
    [{ ...planting, nitrogenDemandGPerM2: 20, state: 'planned' }],
  );
  const page = await visit(address);
  await isAnswered(page);
  const { garden } = (await (await request.get('/api/gardens/forestalled/books')).json()) as GardenBooks;
  const { id, createdAt, updatedAt, ...change } = garden;
  await request.put(`/api/gardens/${id}`, { data: { ...change, place: 'Elsewhere' } });
  await press(page, 'Feed with', 'urine');
  await page.getByRole('button', { name: 'Leave it as it is now' }).click();
  await expect(page.getByText('It is fed as before. Choose once more.')).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: /yours was not saved/ })).toBeVisible();
  await choose(page, 'Feed with', 'urine');
  await expect(answer(page, 'Feed')).toContainText('of human urine');

  await page
    .getByRole('listitem')
    .filter({ hasText: 'Sawdust, hardwood' })
    .getByRole('button', { name: 'Delete' })
    .click();
  await expect(answer(page, 'Lock-up')).toContainText('Nothing locked up');
  await page.route('**/restore', (route) => route.abort());
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('It was not undone.')).toBeVisible();
  await expect(page.getByText(/books cannot be reached/)).toBeVisible();
  await page.unroute('**/restore');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(answer(page, 'Lock-up')).toContainText('Locked up by sawdust, hardwood');
});

test.describe('how sure that is', () => {
  test.use({ worksOutRanges: true });

  test('the likely range comes in bands and sentences, and can be stopped', async ({ page, request }) => {
    await makeGarden(request, 'range');
    const address = await makeBed(
      request,
      'range',
      { id: 'range-bed', name: 'Doubtful bed', areaM2: 5 },
      [{ materialId: 'chips_mixed', cm: 6 }],
      [{ cropId: 'kale', plantedOn: '2026-05-10', clearedOn: '2026-12-01' }],
    );
    await page.goto(address);
    const note = page.getByRole('region', { name: 'How sure is that?' });
    await expect(note).toContainText(/times out of 10: no shortage for kale/);
    await expect(note).toContainText(/mm of water a year/);
    await note.getByRole('button', { name: 'Stop' }).click();
    await expect(note.getByRole('button', { name: 'Go on' })).toBeVisible();
    await page.reload();
    await expect(note).toContainText('Not worked out on this device');
    await note.getByRole('button', { name: 'Work it out' }).click();
    await expect(note).toContainText('tried this bed 400 times', { timeout: 60_000 });
    await expect(note).toContainText('It depends most on');

    // What the range stands on: published results of its kind, and the log of the bed.
    await note.getByRole('link', { name: 'How far can such a range be trusted?' }).click();
    await expect(page.getByRole('heading', { name: 'What that range stands on' })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Lock-up: \d+ of \d+ inside/ })).toBeVisible();
    const own = page.getByRole('region', { name: 'Your own record' });
    await expect(own).toContainText('Nothing in the log of Doubtful bed that the model had an opinion on.');
    await expectAccessible(page);
  });
});

test('the books open on a month, show their postings, and leave as CSV', async ({ visit, request }) => {
  await makeGarden(request, 'ledger');
  const address = await makeBed(request, 'ledger', { id: 'ledger-bed', name: 'Ledger bed', areaM2: 5 }, [
    { materialId: 'cattle_fym', cm: 3, date: '2026-03-02' },
  ]);
  const page = await visit(address);
  const ledger = page.getByRole('region', { name: 'Ledger' });
  await ledger.getByText('month', { exact: true }).click();
  await expect(ledger).toContainText('1 May 2026 to 14 May 2026, whole bed');
  await ledger.getByRole('checkbox', { name: 'with the forecast' }).check();
  await expect(ledger).toContainText('1 May 2026 to 31 May 2026');
  await expect(ledger).toContainText('with what is expected from 15 May 2026 on');
  await ledger.getByRole('button', { name: 'The period before' }).click();
  await expect(ledger).toContainText('1 April 2026 to 30 April 2026');
  await ledger.getByRole('button', { name: 'Available, contact zone' }).click();
  await expect(ledger.getByRole('row', { name: /from native humus/ })).toBeVisible();
  await expect(ledger).toContainText('Difference');
  await ledger.getByRole('button', { name: 'from native humus' }).click();
  const postings = ledger.getByRole('table');
  await expect(postings.getByRole('row', { name: /April 2026 native humus/ })).toBeVisible();
  await expect(postings.getByRole('row', { name: /April 2026/ })).toHaveCount(1);
  await ledger.getByRole('button', { name: 'Show all kinds of postings' }).click();
  await ledger.getByLabel('Search the postings').fill('volatilization march');
  await expect(postings.getByRole('row', { name: /March 2026 .*ammonia/i }).first()).toBeVisible();
  await ledger.getByText('by batch').click();
  await expect(ledger.getByRole('row', { name: /Cattle farmyard manure|manure/i }).first()).toBeVisible();
  const saving = page.waitForEvent('download');
  await ledger.getByRole('button', { name: 'CSV' }).click();
  const file = readFileSync(await (await saving).path(), 'utf8').split('\r\n');
  expect(file[0]).toBe('from,until,basis,element,account,line,counterparty,amount_g');
  const rows = file.slice(1).map((line) => line.split(','));
  const april = rows.filter(
    ([from, , , element, account]) =>
      from === '2026-04-01' && element === 'nitrogen' && account === 'contactZone',
  );
  const amount = (line: string) => Number(april.find((row) => row[5] === line)![7]);
  const posted = april.filter((row) => row[6] !== '').reduce((sum, row) => sum + Number(row[7]), 0);
  expect(Math.abs(amount('opening') + posted - amount('closing'))).toBeLessThan(1e-9);
});

test('the ground is found by feel and the climate by twelve months of one’s own', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'ground');
  const page = await visit('/garden/ground');
  await page.getByRole('button', { name: 'Make a bed' }).click();
  await page.getByRole('button', { name: 'Finger test' }).click();
  for (const reply of ['Yes', 'Yes', 'Yes', 'No'])
    await page.getByRole('button', { name: reply, exact: true }).click();
  await expect(page.getByText(/clay loam.*about 30 % clay/)).toBeVisible();
  await page.getByRole('button', { name: 'Use that' }).click();
  await page.getByLabel('Name').fill('By feel');
  await page.getByLabel('Area, m²').fill('4');
  await page.getByLabel('pH').fill('15');
  await page.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByRole('alert')).toContainText('pH must be at most 11');
  await page.getByLabel('pH').fill('6.2');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByText('30 % clay · pH 6.2')).toBeVisible();

  await page.getByRole('button', { name: 'Plant something' }).click();
  await page.getByLabel('Cleared on').fill('2025-01-01');
  await page.getByRole('button', { name: 'Plant it' }).click();
  await expect(page.getByText('is the year right?')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('button', { name: 'Change the garden' }).click();
  await page.getByText('twelve months of your own').click();
  await page.getByLabel('Latitude, °').fill('-41');
  await page.getByLabel('Temperature, °C, Jan').fill('warm');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByRole('alert')).toContainText('"warm" is not a temperature');
  await page.getByLabel('Temperature, °C, Jan').fill('7.5');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Temperature is highest when it is winter at 41° south',
  );
  await page.getByLabel('Latitude, °').fill('48');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByLabel('Temperature, °C, Jan')).toHaveCount(0);
});

test('pots are made by number and size, filled with a mix, and fed one by one', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'patio');
  const page = await visit('/garden/patio');
  await page.getByRole('button', { name: 'Make a bed' }).first().click();
  await page.getByLabel('Name').fill('Step pots');
  await choose(page, 'Kind', 'container');
  await page.getByLabel('How many').fill('12');
  await page.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByRole('alert').first()).toContainText(/volume|amount/);
  await page.getByLabel('Each holds, L').fill('15');
  await expect(page.getByText('= 0.6 m²')).toBeVisible();
  await page.getByRole('button', { name: 'By what it is filled with' }).click();
  await choose(page, 'A mix to start from', 'Coir, compost and perlite');
  await expect(page.getByText('A laboratory would find')).toBeVisible();
  await page.getByRole('button', { name: 'Begin with this mix' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByText('12 pots of 15 L')).toBeVisible();
  await page.getByRole('button', { name: 'Plant something' }).click();
  await choose(page, 'Crop', 'Chard');
  await page.getByRole('button', { name: 'Plant it' }).click();
  await expect(answer(page, 'Feed')).toContainText(/for each of 12 pots/);
});

test('the bed and its sheet fit a phone, and the sheet is accessible', async ({ page, request }) => {
  await makeGarden(request, 'phone');
  const address = await makeBed(request, 'phone', { id: 'phone-bed', name: 'Pocket bed', areaM2: 5 }, [
    { materialId: 'leaves_mixed', cm: 6 },
  ]);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(address);
  await isAnswered(page);
  expect(await overflowPx(page)).toBeLessThanOrEqual(0);
  await page.goto(`${address}/sheet`);
  await expect(page.getByRole('heading', { name: /^Lock-up:/ })).toBeVisible();
  expect(await overflowPx(page)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
});
