import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { askAt, type Answering } from '../http/server.ts';
import { expectAccessible } from './accessible.ts';
import { choose } from './bed-page.ts';
import { spareDevice } from '../spared.ts';
import { onDemo as test } from './books-of-file.ts';

const plansOf = async (demo: Answering) => {
  const { body } = await askAt<GardenBooks>(demo, 'GET', '/api/gardens/ternhollow/books');
  return {
    lots: body.lots.length,
    movements: body.movements.length,
    entries: body.entries.length,
  };
};
const decided = (page: Page) => page.getByText(/comes before|nearly the same/);
test.describe('as things may be', () => {
  test.use({ worksOutRanges: true });

  test('a pile and a bed: ways side by side, weighed by what matters, one of them made the plan and taken back', async ({
    page,
    demo,
  }) => {
    await page.goto(`/garden/ternhollow/stock`);
    await page.getByRole('link', { name: 'Which way?' }).first().click();
    await choose(page, 'For', 'Sawpit Corner');
    await expect(decided(page)).toBeVisible();
    await expectAccessible(page);
    await expect(page.getByText(/^likely .+ to /).first()).toBeVisible();
    await expect(page.getByRole('link', { name: 'How far can such a range be trusted?' })).toBeVisible();
    // Each change of the books below would have all ranges worked out again.
    await page.evaluate(spareDevice);
    const ways = page.getByRole('article');
    expect(await ways.count()).toBeGreaterThanOrEqual(5);

    await page.getByText('What the three schools would pick').click();
    for (const school of ['Cautious', 'By depth', 'Relaxed']) {
      await expect(page.getByRole('region', { name: school }).getByText(/young plants from/)).toBeVisible();
    }

    // Whoever wants the least work is not told to make compost first.
    const work = page.getByRole('slider', { name: 'Least work' });
    await work.focus();
    for (let i = 0; i < 3; i++) await work.press('ArrowRight');
    for (const other of [
      'Food now',
      'Soil later',
      'Least nitrogen lost',
      'Least to buy',
      'Least against it',
    ]) {
      const slider = page.getByRole('slider', { name: other });
      await slider.focus();
      await slider.press('Home');
    }
    await expect(page.getByText('it is less work').or(page.getByText('nearly the same'))).toBeVisible();
    await expect(ways.first()).not.toHaveAccessibleName('Composted first');

    const before = await plansOf(demo);
    await page.getByText('that another beats in everything').click();
    const composted = page.getByRole('article', { name: 'Composted first' });
    await composted.getByRole('button', { name: 'Make it the plan' }).click();
    await expect(page.getByText('“Composted first” is the plan; the calendar has its days.')).toBeVisible();
    expect(await plansOf(demo)).toEqual({
      lots: before.lots + 1,
      movements: before.movements + 1,
      entries: before.entries + 1,
    });
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(async () => expect(await plansOf(demo)).toEqual(before)).toPass();
    // What was taken back can be planned again.
    await expect(decided(page)).toBeVisible();
    await page.getByRole('article').first().getByRole('button', { name: 'Make it the plan' }).click();
    await expect(page.getByText('is the plan; the calendar has its days.').last()).toBeVisible();
  });
});

test('a load that is still to come is weighed too, and planned with its arrival', async ({ visit, demo }) => {
  const page = await visit(`/garden/ternhollow/ways`);
  await choose(page, 'What', 'A load to come …');
  await page.getByLabel('How much, L').fill('300');
  await choose(page, 'For', 'Gourd Mound');
  await expect(decided(page)).toBeVisible();
  const before = await plansOf(demo);
  const onTop = page.getByRole('article', { name: 'On top now' });
  if (!(await onTop.isVisible())) await page.getByText('that another beats in everything').click();
  await expect(onTop.getByText(/300 L of .+ arrive\./)).toBeVisible();
  await onTop.getByRole('button', { name: 'Make it the plan' }).click();
  await expect(page.getByText('“On top now” is the plan; the calendar has its days.')).toBeVisible();
  expect(await plansOf(demo)).toEqual({
    lots: before.lots + 1,
    movements: before.movements + 1,
    entries: before.entries + 1,
  });
  await page.getByLabel('How much, L').fill('none');
  await expect(page.getByText('Say how much of it there is, and for which bed.')).toBeVisible();
});

test('the bed or the pile is left open: ways of several stand side by side, in money where there are prices', async ({
  visit,
}) => {
  const page = await visit(`/garden/ternhollow/stock/demo-lot-hazel`);
  await page.getByRole('button', { name: 'Which way to use it?' }).click();
  await expect(decided(page)).toBeVisible();
  await expect(page.getByText('Pale leaves, all beds').first()).toBeVisible();
  // Some of them are folded away, being beaten by others.
  const named = (title: string) => page.locator('article h2').filter({ hasText: title }).first();
  await expect(named('Gourd Mound: ')).toBeAttached();
  await expect(named('Hazel Ring: ')).toBeAttached();

  await choose(page, 'What', 'Whatever does the bed most good');
  await expect(page.getByText('Choose a pile or a bed.')).toBeVisible();
  await choose(page, 'For', 'Sawpit Corner');
  await expect(decided(page)).toBeVisible();
  await expect(page.getByLabel('How much, L')).toHaveCount(0);
  await expect(named('Leaf cage: ')).toBeAttached();
  await expect(page.getByText(/more piles not looked at/)).toBeVisible();

  await page.getByText('Your prices').click();
  await page.getByLabel('1 hour of your time').fill('10');
  await page.getByLabel('1 m³ of compost or manure, brought').fill('60');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Costs', { exact: true }).first()).toBeVisible();

  await choose(page, 'What', 'Stove ash');
  await expect(page.getByRole('heading', { name: 'No ways to compare' })).toBeVisible();
  await expectAccessible(page);
});
