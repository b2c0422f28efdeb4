import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { BUILD_UPS } from '../../src/core/build-ups/build-up-library.ts';
import { BUILD_UP_WORDS } from '../../src/web/format/build-up-words.ts';
import { makeBed, makeGarden } from './own-books.ts';

test.use({ baseURL: 'http://127.0.0.1:4192' });

const answer = (page: Page, title: string) => page.getByRole('region', { name: title, exact: true });
const section = (page: Page) => page.getByRole('img', { name: /Section of the bed/ });
const layers = (page: Page) => page.getByRole('region', { name: 'Layers' });
const isAnswered = (page: Page) => expect(answer(page, 'Planting')).toContainText(/Sow|Not for planting/);

async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
}

/** Presses Tab until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let presses = 0; presses < 120; presses++) {
    await page.keyboard.press('Tab');
    const called = await page.evaluate(() => {
      const on = document.activeElement;
      return on?.getAttribute('aria-label') ?? on?.textContent ?? '';
    });
    if (name.test(called)) return;
  }
  throw new Error(`Tab never came to ${String(name)}`);
}

test('the same fresh chips get three different answers on three beds', async ({ page, request }) => {
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

  await page.goto(seedlings);
  await isAnswered(page);
  await expect(page.getByRole('list', { name: 'Mind on this bed' })).toContainText(
    /Turnip would be sown under 7\.\d cm/,
  );
  await expect(answer(page, 'Feed')).toContainText(/\d+ g nitrogen/);
  await expect(answer(page, 'Lock-up')).toContainText('Top 5 cm only');

  await page.goto(established);
  await isAnswered(page);
  await expect(answer(page, 'Lock-up')).toContainText('Tomato does not feel it');
  await expect(answer(page, 'Feed')).toContainText(/No feed needed|if you like/);

  await page.goto(ring);
  await isAnswered(page);
  await expect(page.getByRole('list', { name: 'Mind on this bed' })).toContainText(
    '15 to 30 cm clear of the stem',
  );
  await expect(answer(page, 'Feed')).not.toContainText('misses 1');
});

test('every build-up can be laid, seen, changed and taken back', async ({ page, request }) => {
  test.setTimeout(180_000);
  await makeGarden(request, 'build');
  const address = await makeBed(request, 'build', {
    id: 'build-bed',
    name: 'Trial bed',
    areaM2: 5,
    rootZoneCm: 40,
  });
  await page.goto(address);
  await isAnswered(page);
  for (const { id, layers: planned } of BUILD_UPS) {
    await page.getByRole('button', { name: 'Build up' }).click();
    await page
      .getByRole('button', { name: new RegExp(`^${BUILD_UP_WORDS[id].name}`) })
      .first()
      .click();
    await expect(page.getByRole('region', { name: 'Build-ups' })).toContainText(/\d+ trips, [\d.]+ h/);
    await page.getByRole('button', { name: 'Try it on the bed' }).click();
    const onTop = planned.some(({ dugDepthCm }) => dugDepthCm === 0);
    await expect(section(page)).toHaveAccessibleName(onTop ? /From the soil upwards/ : /Dug in/);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(section(page)).toHaveAccessibleName(/Nothing lies on the soil/);
  }
  await page.getByRole('button', { name: 'Build up' }).click();
  await page.getByRole('button', { name: /^Fungal mulch/ }).click();
  await page.getByLabel('Thickness of layer 1, cm').fill('6');
  await page.getByRole('button', { name: 'Try it on the bed' }).click();
  await page.getByRole('button', { name: 'Write the changes into the book' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Fungal mulch' })).toHaveCount(3);
  await layers(page).getByRole('button', { name: 'Save as a build-up' }).click();
  await page.getByLabel('What do you call it?').fill('Our fungal mulch');
  await page.getByRole('button', { name: 'Save the build-up' }).click();
  await page.getByRole('button', { name: 'Build up' }).click();
  await expect(page.getByRole('button', { name: /^Our fungal mulch 3 layers/ })).toBeVisible();
  await expectAccessible(page);
});

test('a layer is dragged thicker in the drawing, written down, and taken back', async ({ page, request }) => {
  await makeGarden(request, 'drag');
  const address = await makeBed(request, 'drag', { id: 'drag-bed', name: 'Drag bed', areaM2: 5 }, [
    { materialId: 'compost_garden', cm: 3 },
    { materialId: 'chips_mixed', cm: 5 },
  ]);
  await page.goto(address);
  await isAnswered(page);
  const edge = page.getByRole('slider', { name: /Thickness of Wood chips/ });
  const before = Number(await edge.getAttribute('aria-valuenow'));
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + 80, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 80, box.y - 30, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText('Tried, not in the book yet')).toBeVisible();
  await expect(async () => {
    expect(Number(await edge.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 1);
  }).toPass();

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByText('Leave without writing it down?')).toBeVisible();
  await page.getByRole('button', { name: 'Stay here' }).click();

  await page.getByRole('button', { name: 'Write the changes into the book' }).click();
  await expect(page.getByText('The changes are in the book.')).toBeVisible();
  const amounts = async () => {
    const { entries } = (await (await request.get('/api/gardens/drag/books')).json()) as {
      entries: { id: string; amount: number }[];
    };
    return entries.map(({ id, amount }) => [id, amount] as const);
  };
  expect((await amounts())[1][1]).toBeGreaterThan(6);
  await page.getByRole('alert').getByRole('button', { name: 'Undo' }).click();
  await expect(async () => expect((await amounts())[1]).toEqual(['drag-bed-1', 5])).toPass();
});

test('all of it by the keyboard: thicken, reorder, split, strike out, undo, redo, write', async ({
  page,
  request,
}) => {
  await makeGarden(request, 'keys');
  const address = await makeBed(request, 'keys', { id: 'keys-bed', name: 'Keyboard bed', areaM2: 5 }, [
    { materialId: 'compost_garden', cm: 3 },
    { materialId: 'chips_mixed', cm: 5 },
  ]);
  await page.goto(address);
  await isAnswered(page);
  await tabTo(page, /^Thickness of Wood chips/);
  await page.keyboard.press('ArrowUp');
  await expect(section(page)).toHaveAccessibleName(
    /3 cm Home garden compost, part-mature, 5\.5 cm Wood chips/,
  );
  await page.keyboard.press('Alt+ArrowDown');
  await expect(section(page)).toHaveAccessibleName(/5\.5 cm Wood chips, .*3 cm Home garden compost/);
  await page.keyboard.press('Control+z');
  await expect(section(page)).toHaveAccessibleName(/3 cm Home garden compost, part-mature, 5\.5 cm/);
  await page.keyboard.press('Control+y');
  await expect(section(page)).toHaveAccessibleName(/5\.5 cm Wood chips, .*3 cm Home garden compost/);
  await tabTo(page, /^What to do with Home garden compost/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Split in two' })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(section(page)).toHaveAccessibleName(
    /1\.5 cm Home garden compost.*1\.5 cm Home garden compost/,
  );
  await page.getByRole('button', { name: 'Write the changes into the book' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('The changes are in the book.')).toBeVisible();
  const { entries } = (await (await request.get('/api/gardens/keys/books')).json()) as {
    entries: { materialId: string; amount: number }[];
  };
  expect(entries.map(({ materialId }) => materialId)).toEqual([
    'chips_mixed',
    'compost_garden',
    'compost_garden',
  ]);
  expect(entries[0].amount).toBeCloseTo(5.5, 1);
});

test('answers show how they were worked out, and what the schools would say', async ({ page, request }) => {
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
  await page.goto(address);
  await isAnswered(page);
  await expect(answer(page, 'Feed')).toContainText('of feather meal');
  await expect(answer(page, 'Lock-up')).toContainText('Held by sawdust, hardwood');
  await expect(answer(page, 'Lock-up')).toContainText('Kale feels it and loses growth');
  await page.getByRole('button', { name: 'Lock-up: how is that worked out?' }).click();
  const drawer = page.getByRole('dialog');
  await expect(drawer).toContainText(/C:N = 445/);
  await expect(drawer).toContainText('Source:');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(drawer).toHaveCount(0);

  await page.getByRole('combobox', { name: 'Feed with' }).click();
  await page.locator('.ant-select-item-option').filter({ hasText: 'Urine' }).click();
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
  await expect(note).toContainText(/in 10: no shortage for kale/);
  await expect(note).toContainText(/mm of water a year/);
  await note.getByRole('button', { name: 'Stop' }).click();
  await expect(note.getByRole('button', { name: 'Go on' })).toBeVisible();
  await note.getByRole('button', { name: 'Go on' }).click();
  await expect(note).toContainText('400 times the same bed', { timeout: 60_000 });
  await expect(note).toContainText('It hangs most on');
});

test('the books open on a month, show their postings, and leave as CSV', async ({ page, request }) => {
  await makeGarden(request, 'ledger');
  const address = await makeBed(request, 'ledger', { id: 'ledger-bed', name: 'Ledger bed', areaM2: 5 }, [
    { materialId: 'cattle_fym', cm: 3, date: '2026-03-02' },
  ]);
  await page.goto(address);
  const ledger = page.getByRole('region', { name: 'Ledger' });
  await ledger.getByText('month', { exact: true }).click();
  await expect(ledger).toContainText('1 May 2026 to 31 May 2026');
  await ledger.getByRole('button', { name: 'The period before' }).click();
  await expect(ledger).toContainText('1 April 2026 to 30 April 2026');
  await ledger.getByRole('button', { name: 'Available, contact zone' }).click();
  await expect(ledger.getByRole('row', { name: /from native humus/ })).toBeVisible();
  await expect(ledger).toContainText('They differ by');
  await ledger.getByText('by batch').click();
  await expect(ledger.getByRole('row', { name: /Cattle farmyard manure|manure/i }).first()).toBeVisible();
  const saving = page.waitForEvent('download');
  await ledger.getByRole('button', { name: 'CSV' }).click();
  const file = readFileSync(await (await saving).path(), 'utf8').split('\r\n');
  expect(file[0]).toBe('from,until,element,account,line,counterparty,amount_g');
  const rows = file.slice(1).map((line) => line.split(','));
  const april = rows.filter(
    ([from, , element, account]) =>
      from === '2026-04-01' && element === 'nitrogen' && account === 'contactZone',
  );
  const amount = (line: string) => Number(april.find((row) => row[4] === line)![6]);
  const posted = april.filter((row) => row[5] !== '').reduce((sum, row) => sum + Number(row[6]), 0);
  expect(Math.abs(amount('opening') + posted - amount('closing'))).toBeLessThan(1e-9);
});

test('the ground is found by feel and the climate by twelve months of one’s own', async ({
  page,
  request,
}) => {
  await makeGarden(request, 'ground');
  await page.goto('/garden/ground');
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
  await expect(page.getByRole('alert')).toContainText('ph must be at most 11');
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
  await page.getByLabel('Which weather is most like yours?').click();
  await page.locator('.ant-select-item-option').filter({ hasText: 'your own twelve months' }).click();
  await page.getByLabel('Temperature, °C, Jan').fill('warm');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByRole('alert')).toContainText('climate.temperatureC.0 must be a finite number');
  await page.getByLabel('Temperature, °C, Jan').fill('7.5');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByLabel('Temperature, °C, Jan')).toHaveCount(0);
});

test('the bed and its sheet fit a phone, and the sheet is accessible', async ({ page, request }) => {
  await makeGarden(request, 'phone');
  const address = await makeBed(request, 'phone', { id: 'phone-bed', name: 'Pocket bed', areaM2: 5 }, [
    { materialId: 'leaves_mixed', cm: 6 },
  ]);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(address);
  await isAnswered(page);
  const overflow = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(await overflow()).toBeLessThanOrEqual(0);
  await page.goto(`${address}/sheet`);
  await expect(page.getByRole('heading', { name: /^Lock-up:/ })).toBeVisible();
  expect(await overflow()).toBeLessThanOrEqual(0);
  await expectAccessible(page);
});
