import { request as requests, type Page } from '@playwright/test';
import { expect } from './expect.ts';
import { join } from 'node:path';
import { phoneJpeg } from '../fixtures/photos.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { choose } from './bed-page.ts';
import { onAny as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

/**
 * A season from April to November on one file of books: each stage is another day, on which the server is started anew
 * on the same file, as it is on a machine that is switched off in between.
 */
const folder = newFolder();
let server: RunningServer | undefined;
const onDay = async (date: string): Promise<RunningServer> => {
  await server?.stop();
  server = await startServer(join(folder, 'season.sqlite'), ['--today', date]);
  return server;
};
test.afterAll(async () => {
  await server?.stop();
  removeFolder(folder);
});

const task = (page: Page, words: string | RegExp) => page.getByRole('listitem').filter({ hasText: words });
const isWorkedOut = (page: Page) => expect(page.getByText(/in all within a year\.$/)).toBeVisible();
const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('a season from April to November: sown, fed, put off, measured, tested, photographed, harvested, closed', async ({
  page,
}) => {
  const open = async (date: string, path: string) => {
    const { address } = await onDay(date);
    await page.goto(`${address}/garden/tarn${path}`);
  };

  await test.step('April: the bed is made, kale is planned, a bag of blood meal is in the shed', async () => {
    const { address } = await onDay('2026-04-08');
    const request = await requests.newContext({ baseURL: address });
    await makeGarden(request, 'tarn', { feedMaterialId: 'from_stock' });
    await makeBed(
      request,
      'tarn',
      { id: 'sluice', name: 'Sluice bed', areaM2: 5, organicMatterPct: 1.5, startedOn: '2025-10-01' },
      [{ materialId: 'chips_branch', cm: 5, date: '2025-10-20' }],
      [
        {
          cropId: 'kale',
          state: 'planned',
          plantedOn: '2026-04-20',
          clearedOn: '2026-10-05',
          nitrogenDemandGPerM2: 20,
        },
      ],
    );
    await request.post('/api/gardens/tarn/stock', {
      data: {
        lots: [
          {
            id: 'bag',
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
            id: 'came',
            type: 'receive',
            state: 'laid',
            date: '2026-04-01',
            note: '',
            lotId: 'bag',
            materialId: 'blood_meal',
            amount: 4,
            unit: 'kg',
            moistureFractionWetBasis: null,
            bulkDensityKgPerM3: null,
            seasonedMonths: 0,
          },
        ],
      },
    });
    await request.dispose();
    await page.goto(`${address}/garden/tarn/calendar`);
    await isWorkedOut(page);
    await expect(page.getByRole('region', { name: 'Late' })).toHaveCount(0);
  });

  await test.step('the day comes: planting is ticked off, and the first feeding is known', async () => {
    await open('2026-04-21', '/calendar');
    await isWorkedOut(page);
    await task(page, 'Plant kale').getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
    await expect(task(page, 'Plant kale').getByRole('button', { name: 'Postpone' })).toHaveCount(0);
    await expect(task(page, 'Feed kale').first()).toBeVisible();
  });

  await test.step('May: one tap feeds out of the bag; what is to be looked at in passing is measured', async () => {
    await open('2026-05-20', '/calendar');
    await isWorkedOut(page);
    const doses = task(page, 'Feed kale');
    const before = await doses.count();
    await doses.first().getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByText('Fed; bed and stock follow.')).toBeVisible();
    await expect(doses).toHaveCount(before - 1);
    await page
      .getByText(/^When you pass by:/)
      .first()
      .click();
    const look = task(page, 'Measure how much of the').first();
    await look.getByRole('button', { name: 'Done …' }).click();
    await look.getByLabel('Left, cm').fill('4.1');
    await look.getByRole('button', { name: 'Save' }).click();
    await expect(task(page, 'Measure how much of the')).toHaveCount(0);
  });

  await test.step('June: a feeding is put off, with its reason and what waiting costs', async () => {
    await open('2026-06-18', '/calendar');
    await isWorkedOut(page);
    const dose = task(page, 'Feed kale').first();
    await dose.getByRole('button', { name: 'Postpone' }).click();
    await dose.getByLabel('Until').fill('2026-07-02');
    await dose.getByLabel('Why').fill('away at the coast');
    await dose.getByRole('button', { name: 'Postpone it' }).click();
    await expect(task(page, 'away at the coast')).toContainText(/Waiting costs the crop/);
  });

  await test.step('July: the laboratory’s table is matched to the bed, and two photos are kept', async () => {
    await open('2026-07-15', '/log');
    await page.getByRole('button', { name: 'Laboratory’s table' }).click();
    await page
      .getByLabel('The laboratory’s table')
      .fill('Sample,Date,pH,Olsen P (ppm),K (ppm),Mg (ppm),OM %\nSluice,2026-07-10,6.2,14,95,70,2.1');
    await page.getByRole('button', { name: 'Save 1 test' }).click();
    const tests = region(page, 'Soil tests');
    await expect(tests).toContainText('Phosphorus 14 ppm: little');
    await expect(tests).toContainText('Magnesium 70 ppm: enough');
    await page.getByRole('button', { name: 'Note or photo' }).click();
    await page.getByLabel('Note', { exact: true }).fill('Leaves dark and firm');
    await page.getByLabel('Add photos').setInputFiles(
      ['a.jpg', 'b.jpg'].map((name) => ({
        name,
        mimeType: 'image/jpeg',
        buffer: Buffer.from(phoneJpeg()),
      })),
    );
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(region(page, 'Photos').getByRole('button')).toHaveCount(2);
    await page.getByRole('button', { name: 'Hours worked' }).click();
    await page.getByRole('button', { name: '2 h', exact: true }).click();
    await expect(region(page, 'The log')).toContainText('2 h');
  });

  await test.step('October: the harvest is weighed and the bed is cleared', async () => {
    await open('2026-10-06', '/calendar');
    await isWorkedOut(page);
    const clear = task(page, 'Harvest and clear kale');
    await clear.getByRole('button', { name: 'Done …' }).click();
    await clear.getByLabel('Harvested, kg').fill('-1');
    await clear.getByRole('button', { name: 'Save the harvest' }).click();
    await expect(clear.getByRole('alert').first()).toBeVisible();
    await clear.getByLabel('Harvested, kg').fill('7.5');
    await clear.getByRole('button', { name: 'Save the harvest' }).click();
    await expect(page.getByText('Cleared; the plan of the bed follows.')).toBeVisible();
    await expect(task(page, 'Feed kale')).toHaveCount(0);
  });

  await test.step('November: the year is read and closed, and its task is done', async () => {
    await open('2026-11-12', '/year?bed=sluice');
    const short = region(page, 'The year in short');
    await expect(short).toContainText('Harvested 7.5 kg of kale.');
    await expect(short).toContainText('The work took 2 hours.');
    await expect(region(page, 'Expected and found')).toContainText('Soil test of 10 July');
    await page.getByLabel('What to remember').fill('More chips in spring');
    await page.getByRole('button', { name: 'Close 2026' }).click();
    await expect(region(page, 'Closed')).toContainText('More chips in spring');
    await choose(page, 'Bed', 'Whole garden');
    await expect(region(page, 'The year in short')).toContainText('7.5 kg of kale');
    await page.getByRole('link', { name: 'Calendar', exact: true }).click();
    await isWorkedOut(page);
    await expect(task(page, 'Close the books of 2026').getByRole('button', { name: 'Postpone' })).toHaveCount(
      0,
    );
  });
});
