import { expect } from '@playwright/test';
import { answer, choose, isAnswered } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

test.use({ file: 'plan' });

test('a crop meant for too cold a day is offered a better one, and every page then says the same', async ({
  page,
  request,
}) => {
  await makeGarden(request, 'plan');
  const address = await makeBed(request, 'plan', { id: 'plan-bed', name: 'Quay bed', areaM2: 6 });
  await page.goto(address);
  await isAnswered(page);
  await expect(answer(page, 'Planting')).toContainText('For crops in general; nothing is planned here.');
  await page.getByRole('button', { name: 'Plant something' }).click();
  await choose(page, 'Crop', 'Pumpkin');
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
  await expect(answer(page, 'Planting')).toContainText(/Pumpkin on .*nothing speaks against it/);
  await page.goto('/garden/plan/calendar');
  await expect(page.getByRole('listitem').filter({ hasText: 'Plant pumpkin' })).not.toContainText(
    'Not a good day',
  );
});

test('a build-up keeps its wait when it is saved', async ({ page, request }) => {
  await makeGarden(request, 'wait');
  const address = await makeBed(request, 'wait', { id: 'wait-bed', name: 'Net bed', areaM2: 5 });
  await page.goto(address);
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

test('a harvest that is ticked off clears the crop, and it is no longer fed', async ({ page, request }) => {
  await makeGarden(request, 'clear');
  const address = await makeBed(
    request,
    'clear',
    { id: 'clear-bed', name: 'Slip bed', areaM2: 5, organicMatterPct: 1 },
    [],
    [{ cropId: 'kale', plantedOn: '2026-04-01', clearedOn: '2026-09-30', nitrogenDemandGPerM2: 20 }],
  );
  await page.goto('/garden/clear/calendar');
  const task = page.getByRole('listitem').filter({ hasText: 'Harvest and clear kale' });
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' }).first()).toBeVisible();
  await task.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Cleared today; the plan of the bed follows.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Feed kale' }).first()).toBeVisible();
  await page.goto(address);
  await isAnswered(page);
  await expect(answer(page, 'Feed')).toContainText('for kale');
});
