import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { answer, choose, isAnswered } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';

/** A figure or a label in metric units. */
const METRIC = /(?:\d\s?|, |\()(?:mm|cm|m²|m³|kg|g|L|°C|kg\/m³|g\/m²|kg\/ha)(?![\w/])/u;
const isCustomary = async (page: Page) => {
  await expect(page.locator('main')).not.toContainText(METRIC);
};

test('a garden is begun, run and printed in inches, pounds and degrees F', async ({ page }) => {
  await test.step('it is begun with its own climate', async () => {
    await page.goto('/welcome');
    await page.getByLabel('What is your garden called?').fill('Quay Garden');
    await page.getByText('inches, lb, barrows').click();
    await page.getByText('twelve months of your own').click();
    await page.getByLabel('Latitude, °').fill('48');
    await expect(page.getByLabel('Temperature, °F, Jan')).toHaveValue('');
    await page
      .getByLabel('Paste a table, or type below')
      .fill(
        'Rain, inches\t4.9 3.7 3.7 2.8 2.4 1.6 0.6 0.7 1.5 3.3 5.7 5.9\nMean, °F\t41 44 47 52 58 63 69 69 63 54 46 41',
      );
    await page.getByRole('button', { name: 'Read it' }).click();
    await expect(page.getByLabel('Temperature, °F, Jul')).toHaveValue('69');
    await page.getByLabel('Temperature, °F, Jan').fill('41');
    await page.getByLabel('Rain, in, Jan').fill('3 1/2');
    await page.getByRole('button', { name: 'Only the garden for now' }).click();
    await expect(page.getByText('No beds yet')).toBeVisible();
  });
  await test.step('a bed of 4 x 8 ft is planted', async () => {
    await page.getByRole('button', { name: 'Make a bed' }).click();
    await page.getByLabel('Name').fill('Kitchen bed');
    await page.getByLabel('Area, sq ft').fill('4 x 8 ft');
    await expect(page.getByText('= 32 sq ft')).toBeVisible();
    await page.getByLabel('Root depth, in').fill('1 ft');
    await isCustomary(page);
    await page.getByRole('button', { name: 'Make the bed' }).click();
    await expect(page.getByRole('heading', { name: 'Kitchen bed' })).toBeVisible();
    await page.getByRole('button', { name: 'Plant something' }).click();
    await choose(page, 'Crop', 'Tomato');
    await page.getByLabel('In the ground from').fill('2026-05-28');
    await page.getByRole('button', { name: 'Plant it' }).click();
    await expect(page.getByText('Tomato, until 5 October 2026')).toBeVisible();
  });
  await test.step('three inches of chips are dug in, and the dose is in ounces', async () => {
    await page.getByRole('button', { name: 'Spread something' }).click();
    await page.getByLabel('How much').fill('3');
    await page.getByText('dug in', { exact: true }).click();
    await page.getByLabel('Dug to, in').fill('8');
    await page.getByRole('button', { name: 'Save entry' }).click();
    await isAnswered(page);
    await expect(answer(page, 'Feed')).toContainText(/oz nitrogen/);
    await isCustomary(page);
    await page.getByRole('button', { name: 'Feed: how is that worked out?' }).click();
    const sums = page.getByRole('dialog');
    await expect(sums).toContainText('1 lb of it holds');
    await expect(sums).not.toContainText(METRIC);
    await page.keyboard.press('Escape');
  });
  await test.step('water, a soil temperature and what is left are written in customary units', async () => {
    await page.getByRole('link', { name: 'Logbook' }).click();
    await page.getByRole('button', { name: 'Soil temperature' }).click();
    await page.getByLabel('Soil, a finger deep, °F').fill('200');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('between −22 °F and 140 °F');
    await page.getByLabel('Soil, a finger deep, °F').fill('77 F');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('region', { name: 'The log' })).toContainText('77 °F');
    await page.getByRole('button', { name: 'Watered' }).click();
    await page.getByLabel('Given, gal').fill('2');
    await page.getByRole('button', { name: 'Save' }).click();
    await isCustomary(page);
  });
  await test.step('it is printed so', async () => {
    await page.getByRole('link', { name: 'Kitchen bed' }).first().click();
    await isAnswered(page);
    await page.emulateMedia({ media: 'print' });
    await isCustomary(page);
  });
});
