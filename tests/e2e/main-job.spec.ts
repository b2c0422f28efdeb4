import { expect } from './expect.ts';
import { answer, choose, everyText } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';

test.use({ contextOptions: { reducedMotion: 'no-preference' } });

/** From an empty book to an answered bed: the job the app is for. */
test('a new bed is planted, chips are tried on top and dug in, kept, and still there after a reload', async ({
  page,
}) => {
  await test.step('an empty book asks for a garden, and says what is missing', async () => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Vine Ledger' })).toBeVisible();
    await page.getByLabel('What is your garden called?').fill('');
    await page.getByRole('button', { name: 'Only the garden for now' }).click();
    await expect(page.getByRole('alert').first()).toContainText('name');
    await page.getByLabel('What is your garden called?').fill('Driftwood Corner');
    await page.getByText('cm, kg, barrows').click();
    await choose(page, 'Nearest town or weather station', 'Dublin, Ireland');
    await page.getByRole('button', { name: 'Only the garden for now' }).click();
    await expect(page.getByRole('heading', { name: '14 May 2026 at Driftwood Corner' })).toBeVisible();
    await expect(page.getByText('No beds yet')).toBeVisible();
    const guide = page.getByRole('list', { name: 'First steps' });
    await expect(guide.locator('[aria-current=step]')).toContainText('A bed');
  });

  await test.step('a bed is made', async () => {
    await page.getByRole('button', { name: 'Make a bed' }).click();
    await page.getByLabel('Name').fill('Lower bed');
    await page.getByLabel('Area, m²').fill('six');
    await page.getByRole('button', { name: 'Make the bed' }).click();
    await expect(page.getByRole('alert')).toContainText(
      'Area cannot be read: "six" is not an area. Write for example 1.2 x 2.5 m.',
    );
    await page.getByLabel('Area, m²').fill('6');
    await page.getByRole('button', { name: 'Make the bed' }).click();
    await expect(page.getByRole('heading', { name: 'Lower bed' })).toBeVisible();
    await expect(answer(page, 'Lock-up')).toContainText('Nothing locked up');
  });

  await test.step('a crop is planted', async () => {
    await page.getByRole('button', { name: 'Plant something' }).click();
    await choose(page, 'Crop', 'Tomato');
    await page.getByLabel('In the ground from').fill('2026-05-28');
    await page.getByRole('button', { name: 'Plant it' }).click();
    await expect(page.getByText('Tomato, until 5 October 2026')).toBeVisible();
  });

  await test.step('an absurd amount is refused before it is kept', async () => {
    await page.getByRole('button', { name: 'Spread something' }).click();
    await page.getByLabel('How much').fill('900');
    await expect(page.getByText(/at most 100 cm .* can be spread at once/)).toBeVisible();
    await page.getByLabel('How much').fill('seven');
    await expect(page.getByText('amount must be a finite number')).toBeVisible();
  });

  await test.step('7 cm of fresh chips on top lock the contact zone and hardly touch the root zone', async () => {
    await page.getByLabel('How much').fill('7');
    await expect(answer(page, 'Lock-up')).toContainText('Top 5 cm only');
    await expect(answer(page, 'Lock-up')).toContainText('The root zone is hardly touched');
    await expect(page.getByRole('img', { name: /Section of the bed/ })).toHaveAccessibleName(
      /7 cm Wood chips/,
    );
  });

  await test.step('dug in, the same chips lock the root zone and ask for a dose on a date', async () => {
    await page.getByText('dug in', { exact: true }).click();
    await expect(answer(page, 'Lock-up')).toContainText('Root zone, until');
    await expect(answer(page, 'Feed')).toContainText(/\d+ g nitrogen/);
    await expect(answer(page, 'Feed')).toContainText(/\d+ g on \d+ (May|June|July|August|September)/);
    await expect(answer(page, 'Feed')).toContainText('of it is needed because of what you spread');
  });

  await test.step('it is kept, and all there after a reload', async () => {
    const isAnswered = () =>
      expect(page.locator('.answers')).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
    await isAnswered();
    const before = await answer(page, 'Feed').textContent();
    const shown = await everyText(answer(page, 'Feed'));
    await page.getByRole('button', { name: 'Save entry' }).click();
    const posting = page.getByText(/Wood chips, thin leafless branches: 7 cm thick/);
    await expect(posting).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save entry' })).toBeHidden();
    await isAnswered();
    expect(await shown()).toEqual([before]);
    await page.reload();
    await expect(posting).toBeVisible();
    await expect(answer(page, 'Lock-up')).toContainText('Root zone, until');
    await expect(answer(page, 'Feed')).toHaveText(before!);
    await expect(page.getByRole('region', { name: 'Ten years' })).toContainText(/organic matter in 10 years/);
    await expect(page.getByRole('region', { name: 'Ledger' })).toContainText('Balance');
  });

  await test.step('striking it out can be undone', async () => {
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Wood chips' })
      .getByRole('button', { name: 'Delete' })
      .click();
    await expect(answer(page, 'Lock-up')).toContainText('Nothing locked up');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(answer(page, 'Lock-up')).toContainText('Root zone, until');
  });

  await test.step('the bed is changed where it stands', async () => {
    await page.getByRole('button', { name: 'Change the bed' }).click();
    await page.getByLabel('Area, m²').fill('12');
    await page.getByRole('button', { name: 'Save the change' }).click();
    await expect(page.getByText('vegetable bed · 12 m²')).toBeVisible();
  });

  await test.step('the garden lists the bed with what to do next', async () => {
    await page.getByRole('navigation').getByRole('link', { name: 'Garden', exact: true }).click();
    const row = page.getByRole('row').filter({ hasText: 'Lower bed' });
    await expect(row).toContainText('locked up');
    await expect(row).toContainText(/plant tomato, 28 May|feed \d+ g nitrogen/);
  });

  await test.step('the garden turns to inches and ounces', async () => {
    await page.getByRole('button', { name: 'Change the garden' }).click();
    await page.getByText('inches, lb, barrows').click();
    await page.getByRole('button', { name: 'Save the change' }).click();
    await expect(page.getByText('129 sq ft')).toBeVisible();
    await expect(
      page.getByRole('columnheader', { name: 'available to roots, lb/1000 sq ft, 8 weeks' }),
    ).toBeVisible();
  });
});

test('a change that came from elsewhere meanwhile is not overwritten', async ({ page, request }) => {
  const garden = {
    id: 'stale-garden',
    name: 'Two windows',
    place: '',
    depositionGPerM2Year: 1,
    measures: 'metric',
    climate: {
      temperatureC: Array(12).fill(12),
      rainMm: Array(12).fill(60),
      evapotranspirationMm: Array(12).fill(40),
    },
  };
  const bed = {
    id: 'stale-bed',
    name: 'Shared bed',
    kind: 'annual',
    areaM2: 4,
    organicMatterPct: 4,
    bulkDensityGPerCm3: 1.2,
    clayPct: 20,
    rootZoneCm: 30,
    exposure: 'normal',
    isWatered: true,
    note: '',
  };
  const layer = {
    type: 'lay',
    state: 'laid',
    date: '2026-05-01',
    note: '',
    materialId: 'compost_yard',
    amount: 3,
    unit: 'cm',
    dugDepthCm: 0,
    seasonedMonths: 0,
  };
  await request.post('/api/gardens', { data: garden });
  await request.post('/api/gardens/stale-garden/beds', { data: bed });
  await request.post('/api/beds/stale-bed/entries', { data: { ...layer, id: 'stale-layer' } });
  await page.goto('/garden/stale-garden/bed/stale-bed');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'compost' })
    .getByRole('button', { name: 'Change' })
    .click();
  await page.getByLabel('How much').fill('4');
  await request.put('/api/entries/stale-layer', { data: { ...layer, amount: 5, version: 1 } });
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('nothing has been overwritten yet')).toBeVisible();
  await expect(page.getByRole('group', { name: 'amount' })).toContainText('as it is now: 5');
  await page.getByRole('button', { name: 'Leave it as it is now' }).click();
  await expect(page.getByText('yours was not saved')).toBeVisible();
  const books = (await (await request.get('/api/gardens/stale-garden/books')).json()) as {
    entries: { amount: number }[];
  };
  expect(books.entries[0].amount).toBe(5);
});
