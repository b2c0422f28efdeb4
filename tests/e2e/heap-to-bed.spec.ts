import { request as requests, type Page } from '@playwright/test';
import { expect } from './expect.ts';
import { join } from 'node:path';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { choose } from './bed-page.ts';
import { onAny as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';
import { goTo } from './pages.ts';

/** A heap from the load to the bed: each stage is another day, on which the server is started anew on the same file. */
const folder = newFolder();
let server: RunningServer | undefined;
test.afterAll(async () => {
  await server?.stop();
  removeFolder(folder);
});

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const toast = (page: Page, words: string | RegExp) => expect(page.getByText(words).first()).toBeVisible();

const load = (id: string, name: string, materialId: string, amount: number) => ({
  lots: [
    { id, name, form: 'pile', keeping: 'covered', isTurned: false, isHot: false, reserveL: 0, note: '' },
  ],
  movements: [
    {
      id: `in-${id}`,
      type: 'receive',
      state: 'laid',
      date: '2026-04-01',
      note: '',
      lotId: id,
      materialId,
      amount,
      unit: 'litre',
      moistureFractionWetBasis: null,
      bulkDensityKgPerM3: null,
      seasonedMonths: 0,
    },
  ],
});

test('a load is mixed, heats, is found too hot, finishes, charges char, and goes on a bed; the books agree', async ({
  page,
}) => {
  const open = async (date: string, path: string) => {
    await server?.stop();
    server = await startServer(join(folder, 'heap.sqlite'), ['--today', date]);
    await page.goto(`${server.address}/garden/heap${path}`);
  };

  await test.step('April: manure, cut grass and a bag of char have come; a heap is made of the first two', async () => {
    server = await startServer(join(folder, 'heap.sqlite'), ['--today', '2026-04-02']);
    const request = await requests.newContext({ baseURL: server.address });
    await makeGarden(request, 'heap');
    await makeBed(request, 'heap', { id: 'reed', name: 'Reed bed', areaM2: 4 });
    for (const one of [
      load('stable', 'Stable litter', 'horse_bedding', 1500),
      load('grass', 'Cut grass', 'grass_clippings', 500),
      load('bag', 'Bag of char', 'biochar_raw', 40),
    ]) {
      expect((await request.post('/api/gardens/heap/stock', { data: one })).ok()).toBe(true);
    }
    await page.goto(`${server.address}/garden/heap/prepare`);
    await choose(page, 'What', 'Stable litter');
    await choose(page, 'What, 2', 'Cut grass');
    await choose(page, 'of', 'liters', 0);
    await choose(page, 'of', 'liters', 1);
    await page.getByLabel('How much').nth(0).fill('1400');
    await page.getByLabel('How much').nth(1).fill('450');
    await page.getByLabel('Call the heap').fill('Lane heap');
    await page.getByRole('checkbox', { name: 'turned now and then' }).check();
    await page.getByRole('button', { name: 'Make the heap' }).click();
    await toast(page, 'Lane heap is made');
  });

  await test.step('ten days on the probe reads 72 °C, which is too hot', async () => {
    await open('2026-04-12', '/prepare/heaps');
    const heap = region(page, 'Lane heap');
    await expect(heap).toContainText('In its hot phase.');
    await expect(heap).toContainText('more than a third still recognizable');
    await heap.getByRole('button', { name: 'Log the temperature' }).click();
    await page.getByLabel('Temperature inside, °C').fill('72');
    await page.getByRole('button', { name: 'Save entry' }).click();
    await expect(heap).toContainText('Too hot: above 70 °C');
  });

  await test.step('in December it is finished compost, by more than its C:N', async () => {
    await open('2026-12-10', '/prepare/heaps');
    const heap = region(page, 'Lane heap');
    await expect(heap).toContainText('Finished compost.');
    await expect(heap).toContainText('Nothing is missing.');
    await goTo(page, '/garden/heap/stock');
    await expect(page.getByRole('row').filter({ hasText: 'Lane heap' })).toContainText('finished compost');
  });

  await test.step('it charges the char from the bag', async () => {
    await goTo(page, '/garden/heap/prepare/char');
    await page.getByRole('button', { name: 'Charge', exact: true }).click();
    const form = page.getByRole('form', { name: 'Charge char' });
    await choose(page, '160 L of home garden compost, part-mature', 'from Lane heap');
    await form.getByRole('button', { name: /^Charge it/ }).click();
    await toast(page, /Charging; ready/);
  });

  await test.step('in March the charged char goes on the bed, and every account closes', async () => {
    await open('2027-03-01', '/bed/reed');
    await page.getByRole('button', { name: 'Spread something' }).click();
    await choose(page, 'What', 'Bag of char, blend with compost');
    await choose(page, 'of', 'liters');
    await page.getByLabel('How much').fill('100');
    await page.getByRole('button', { name: 'Save entry' }).click();
    await expect(region(page, 'Entries')).toContainText('100 liters');
    await goTo(page, '/garden/heap/stock');
    for (const lot of ['Lane heap', 'Bag of char, blend with compost', 'Stable litter']) {
      await page.getByRole('link', { name: lot, exact: true }).first().click();
      await expect(region(page, 'Account')).toContainText('the account closes to a billionth');
      await page.goBack();
    }
    await page.getByRole('link', { name: 'Bag of char, blend with compost' }).first().click();
    await expect(region(page, 'Account')).toContainText('Reed bed');
    await expect(page.getByText('finished compost with char').first()).toBeVisible();
  });
});
