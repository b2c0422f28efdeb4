import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { expectAccessible } from './accessible.ts';
import { answer, choose, isAnswered } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';
import { goTo } from './pages.ts';

test('a crop of one’s own meant for too cold a day is offered a better one, and every page then says the same', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'plan');
  const address = await makeBed(request, 'plan', { id: 'plan-bed', name: 'Quay bed', areaM2: 6 });
  const page = await visit(address);
  await isAnswered(page);
  await expect(answer(page, 'Planting')).toContainText('For crops in general; nothing is planned here.');
  await page.getByRole('button', { name: 'Plant something' }).click();
  await choose(page, 'Crop', 'Pumpkin');
  await page.getByRole('button', { name: 'Make one of your own' }).click();
  const own = page.getByRole('dialog', { name: 'A crop of your own' });
  await own.getByLabel('Name').fill('Net loft pumpkin');
  await own.getByLabel('Roots to').fill('5 m');
  await own.getByRole('button', { name: 'Save the crop' }).click();
  await expect(own).toContainText('must be between 5 cm and 300 cm');
  await own.getByLabel('Roots to').fill('90');
  await expectAccessible(page);
  await own.getByRole('button', { name: 'Save the crop' }).click();
  await expect(own).toHaveCount(0);
  await expect(page.getByLabel('Roots to')).toHaveValue('90');
  await page.getByRole('textbox', { name: 'In the ground from' }).fill('3 December 2026');
  await page.getByRole('textbox', { name: 'Cleared on' }).fill('20 March 2027');
  const against = page.getByRole('status', { name: 'What speaks against it' });
  await expect(against).toContainText('its first six weeks would be too cold');
  await against
    .getByRole('button', { name: /^Plant on/ })
    .first()
    .click();
  await expect(against).toContainText('nothing speaks against it');
  await page.getByRole('button', { name: 'Plant it' }).click();
  await expect(answer(page, 'Planting')).toContainText(/Net loft pumpkin on .*nothing speaks against it/);
  await goTo(page, '/garden/plan/calendar');
  await expect(page.getByRole('listitem').filter({ hasText: 'Plant net loft pumpkin' })).not.toContainText(
    'Not a good day',
  );
});

test('a build-up keeps its wait when it is saved', async ({ visit, request }) => {
  await makeGarden(request, 'wait');
  const address = await makeBed(request, 'wait', { id: 'wait-bed', name: 'Net bed', areaM2: 5 });
  const page = await visit(address);
  await isAnswered(page);
  await page.getByRole('button', { name: 'Build up' }).click();
  await page
    .getByRole('button', { name: /^Sheet mulch/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Try it on the bed' }).click();
  const waits = 'the build-up that lies there is not ready before';
  await expect(answer(page, 'Planting')).toContainText(waits);
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await page.reload();
  await isAnswered(page);
  await expect(answer(page, 'Planting')).toContainText(waits);
  await expect(answer(page, 'Planting')).not.toContainText('Sow now');
});

test('a dose that is ticked off is laid as its product, out of the stock, and asked for no more', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'fed', { feedMaterialId: 'from_stock' });
  const address = await makeBed(
    request,
    'fed',
    { id: 'fed-bed', name: 'Slip bed', areaM2: 5, organicMatterPct: 1 },
    [],
    [{ cropId: 'kale', plantedOn: '2026-04-01', clearedOn: '2026-09-30', nitrogenDemandGPerM2: 20 }],
  );
  await request.post('/api/gardens/fed/stock', {
    data: {
      lots: [
        {
          id: 'fed-bag',
          name: 'Blood meal bag',
          form: 'bag',
          keeping: 'shut',
          isTurned: false,
          isHot: false,
          note: '',
        },
      ],
      movements: [
        {
          id: 'fed-came',
          type: 'receive',
          state: 'laid',
          date: '2026-05-01',
          note: '',
          lotId: 'fed-bag',
          materialId: 'blood_meal',
          amount: 3,
          unit: 'kg',
          moistureFractionWetBasis: null,
          bulkDensityKgPerM3: null,
          seasonedMonths: 0,
        },
      ],
    },
  });
  const page = await visit('/garden/fed/calendar');
  const doses = page.getByRole('listitem').filter({ hasText: 'Feed kale' });
  await expect(doses.first()).toContainText('of blood meal');
  const before = await doses.count();
  await doses.first().getByRole('button', { name: 'Otherwise' }).click();
  await expect(doses.first().getByText(/Blood meal bag, 3 kg there/)).toBeVisible();
  await doses.first().getByRole('button', { name: 'Cancel' }).click();
  await doses.first().getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText('Fed; bed and stock follow.')).toBeVisible();
  await expect(doses).toHaveCount(before - 1);
  await goTo(page, '/garden/fed/stock');
  await expect(page.getByText(/2\.\d+ kg/).first()).toBeVisible();
  await goTo(page, address);
  await expect(page.getByText(/Blood meal bag/).first()).toBeVisible();
});

test('a harvest that is ticked off is weighed and clears the crop, and it is no longer fed', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'clear');
  const address = await makeBed(
    request,
    'clear',
    { id: 'clear-bed', name: 'Slip bed', areaM2: 5, organicMatterPct: 1 },
    [],
    [{ cropId: 'kale', plantedOn: '2026-04-01', clearedOn: '2026-09-30', nitrogenDemandGPerM2: 20 }],
  );
  const page = await visit('/garden/clear/calendar');
  const task = page.getByRole('listitem').filter({ hasText: 'Harvest and clear kale' });
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' }).first()).toBeVisible();
  await task.getByRole('button', { name: 'Done …' }).click();
  await task.getByLabel('Harvested, kg').fill('400');
  await expect(task.getByRole('alert')).toContainText('Is the unit right?');
  await task.getByLabel('Harvested, kg').fill('6.5');
  await task.getByRole('button', { name: 'Save the harvest' }).click();
  await expect(page.getByText('Cleared; the plan of the bed follows.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' }).first()).toBeVisible();
  await goTo(page, address);
  await isAnswered(page);
  await expect(answer(page, 'Feed')).toContainText('for kale');
});

test.describe('what a change of the records changes', () => {
  test.use({ worksOutRanges: true });

  test('is said on whatever page it was made, and said again when it is taken back', async ({
    page,
    request,
  }) => {
    await makeGarden(request, 'news');
    await makeBed(
      request,
      'news',
      { id: 'news-bed', name: 'Jetty bed', areaM2: 5, organicMatterPct: 1 },
      [],
      [{ cropId: 'kale', plantedOn: '2026-04-01', clearedOn: '2026-09-30', nitrogenDemandGPerM2: 20 }],
    );
    await page.goto('/garden/news/calendar');
    const news = page.getByRole('alert').filter({ hasText: 'Jetty bed: its plan was made anew' });
    const feed = page.getByRole('listitem').filter({ hasText: 'Feed kale' }).first();
    await feed.getByRole('button', { name: 'Postpone' }).click();
    await page.getByRole('textbox', { name: 'Until' }).fill('10 June 2026');
    await page.getByRole('textbox', { name: 'Until' }).press('Enter');
    await expect(news).toContainText(/The dose of 14 May moves to 10 June/);
    // The next dose gives way: two of them two weeks apart at least.
    await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' }).nth(1)).toContainText('24 June');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(news).toContainText(/The dose of 10 June moves to 14 May/);
  });
});

/** The stories of three beds, read from page to page: each page says of the bed what the others say. */
test.describe('one bed is told alike on all pages', () => {
  const rowOf = (page: Page, bed: string) => page.getByRole('row').filter({ hasText: bed });
  const tasks = (page: Page, bed: string) => page.getByRole('listitem').filter({ hasText: `${bed}:` });
  const turnTo = (page: Page, place: string) =>
    page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place, exact: true }).click();

  test('a bed for leaves under fresh chips', async ({ visit, request }) => {
    await makeGarden(request, 'leaves');
    const address = await makeBed(
      request,
      'leaves',
      { id: 'leaf-bed', name: 'Tarn bed', areaM2: 6, organicMatterPct: 3 },
      [{ materialId: 'chips_mixed', cm: 6, date: '2026-05-10' }],
      [
        {
          state: 'planned',
          cropId: 'spinach',
          plantedOn: '2026-05-20',
          clearedOn: '2026-07-14',
          startsAs: 'seed',
          nitrogenDemandGPerM2: 12,
        },
      ],
    );
    const page = await visit(address);
    await isAnswered(page);
    const against = 'of cover lies over the seed';
    await expect(answer(page, 'Planting')).toContainText('Spinach on 20 May: not a good day');
    await expect(answer(page, 'Planting')).toContainText(against);
    await expect(answer(page, 'Planting')).not.toContainText('ow now');
    await expect(answer(page, 'Lock-up')).toContainText('Top 5 cm only');
    const [, grams, day] = /([\d.]+) g on (\d+ \w+) for spinach/.exec(
      (await answer(page, 'Feed').textContent())!,
    )!;
    await turnTo(page, 'Garden');
    await expect(rowOf(page, 'Tarn bed')).toContainText('plant spinach, 20 May');
    await expect(rowOf(page, 'Tarn bed')).toContainText('Top 5 cm only');
    await turnTo(page, 'Calendar');
    await expect(tasks(page, 'Tarn bed').filter({ hasText: 'Sow spinach' })).toContainText(against);
    const fed = tasks(page, 'Tarn bed').filter({ hasText: `Feed spinach: ${grams} g` });
    await expect(fed.first()).toContainText(day);
  });

  test('manure under card on clay in autumn', async ({ visit, request }) => {
    await makeGarden(request, 'clay');
    const address = await makeBed(
      request,
      'clay',
      { id: 'clay-bed', name: 'Weir bed', areaM2: 6, clayPct: 42 },
      [],
      [
        {
          state: 'planned',
          cropId: 'broccoli',
          plantedOn: '2026-11-20',
          clearedOn: '2027-04-20',
          nitrogenDemandGPerM2: 24,
        },
      ],
    );
    for (const [i, [materialId, amount]] of Object.entries([
      ['cattle_fym', 3],
      ['cardboard', 0.7],
      ['straw_cereal', 8],
    ] as const)) {
      const date = '2026-10-20';
      await request.post('/api/beds/clay-bed/entries', {
        data: {
          ...{
            id: `clay-${i}`,
            type: 'lay',
            state: 'planned',
            date,
            note: '',
            materialId,
            amount,
            unit: 'cm',
          },
          ...{ dugDepthCm: 0, seasonedMonths: 0, plantFrom: '2027-01-18' },
        },
      });
    }
    const page = await visit(address);
    await isAnswered(page);
    const against = 'the build-up that lies there may be planted from 18 January 2027';
    await expect(answer(page, 'Planting')).toContainText('Broccoli on 20 November: not a good day');
    await expect(answer(page, 'Planting')).toContainText(against);
    const mind = page.getByRole('list', { name: 'Watch out on this bed' });
    await expect(mind).toContainText('Broccoli: harvest no earlier than 18 January 2027');
    await expect(mind).toContainText('of nitrogen in manure and meals');
    await turnTo(page, 'Garden');
    await expect(rowOf(page, 'Weir bed')).toContainText('spread farmyard cattle manure');
    await turnTo(page, 'Calendar');
    await expect(tasks(page, 'Weir bed').filter({ hasText: 'Plant broccoli' })).toContainText(against);
  });

  test('a ring of chips round a tree', async ({ visit, request }) => {
    await makeGarden(request, 'ring');
    const address = await makeBed(
      request,
      'ring',
      { id: 'ring-bed', name: 'Quince ring', kind: 'treeRing', areaM2: 3, organicMatterPct: 2 },
      [{ materialId: 'chips_mixed', cm: 12, date: '2026-05-01' }],
      [
        {
          cropId: 'quince',
          plantedOn: '2023-03-01',
          clearedOn: null,
          nitrogenDemandGPerM2: 7,
          rootDepthCm: 120,
        },
      ],
    );
    const page = await visit(address);
    await isAnswered(page);
    await expect(answer(page, 'Planting')).toContainText('Not for sowing');
    const told = (await answer(page, 'Feed').textContent())!;
    const months = [...told.matchAll(/ g on \d+ (\w+)/g)].map(([, month]) => month);
    expect(months.length).toBeGreaterThan(0);
    expect(months.filter((month) => !['May', 'June'].includes(month))).toEqual([]);
    await expect(page.getByRole('list', { name: 'Watch out on this bed' })).toContainText(
      'clear of the stem',
    );
    const [, grams, day] = /([\d.]+) g on (\d+ \w+)/.exec(told)!;
    await turnTo(page, 'Garden');
    await expect(rowOf(page, 'Quince ring')).toContainText(`feed ${grams} g nitrogen, ${day}`);
    await turnTo(page, 'Calendar');
    await expect(
      tasks(page, 'Quince ring')
        .filter({ hasText: `Feed quince: ${grams} g` })
        .first(),
    ).toContainText(day);
  });
});
