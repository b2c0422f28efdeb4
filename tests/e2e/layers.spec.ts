import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { BUILD_UPS } from '../../src/core/bed/build-ups/build-up-library.ts';
import { BUILD_UP_WORDS } from '../../src/words/build-up-words.ts';
import { expectAccessible } from './accessible.ts';
import { isAnswered, layers, section } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

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

/** Presses the down arrow in an open menu until its entry has the focus. */
async function arrowTo(page: Page, entry: string): Promise<void> {
  await expect(async () => {
    const on = await page.evaluate(() => document.activeElement?.textContent);
    if (on !== entry) await page.keyboard.press('ArrowDown');
    expect(on).toBe(entry);
  }).toPass({ intervals: [150] });
}

test('every build-up can be laid, seen, changed and taken back', async ({ visit, request }) => {
  await makeGarden(request, 'build');
  const address = await makeBed(request, 'build', {
    id: 'build-bed',
    name: 'Trial bed',
    areaM2: 5,
    rootZoneCm: 40,
  });
  const page = await visit(address);
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
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Fungal mulch' })).toHaveCount(3);
  await layers(page).getByRole('button', { name: 'Save as a build-up' }).click();
  await page.getByLabel('What do you call it?').fill('Our fungal mulch');
  await page.getByRole('button', { name: 'Save the build-up' }).click();
  await page.getByRole('button', { name: 'Build up' }).click();
  await expect(page.getByRole('button', { name: /^Our fungal mulch 3 layers/ })).toBeVisible();
  await expectAccessible(page);
});

test('a layer is dragged thicker in the drawing, written down, and taken back', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'drag');
  const address = await makeBed(request, 'drag', { id: 'drag-bed', name: 'Drag bed', areaM2: 5 }, [
    { materialId: 'compost_garden', cm: 3 },
    { materialId: 'chips_mixed', cm: 5 },
  ]);
  const page = await visit(address);
  await isAnswered(page);
  const edge = page.getByRole('slider', { name: /Thickness of Wood chips/ });
  const before = Number(await edge.getAttribute('aria-valuenow'));
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + 80, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 80, box.y - 30, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText('Tried, not saved yet')).toBeVisible();
  await expect(async () => {
    expect(Number(await edge.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 1);
  }).toPass();

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByText('Leave without saving?')).toBeVisible();
  await page.getByRole('button', { name: 'Stay', exact: true }).click();

  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('The changes are saved.')).toBeVisible();
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

test('all of it by the keyboard: thicken, reorder, split, delete, undo, redo, write', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'keys');
  const address = await makeBed(request, 'keys', { id: 'keys-bed', name: 'Keyboard bed', areaM2: 5 }, [
    { materialId: 'compost_garden', cm: 3 },
    { materialId: 'chips_mixed', cm: 5 },
  ]);
  const page = await visit(address);
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
  await arrowTo(page, 'Split in two');
  await page.keyboard.press('Enter');
  await expect(section(page)).toHaveAccessibleName(
    /1\.5 cm Home garden compost.*1\.5 cm Home garden compost/,
  );
  await page.getByRole('button', { name: 'Save the changes' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('The changes are saved.')).toBeVisible();
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
