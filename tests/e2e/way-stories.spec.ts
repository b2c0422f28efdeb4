import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from './expect.ts';
import { onOwn as test, type Visit } from './books-of-file.ts';
import { choose, press } from './bed-page.ts';
import { makeBed, makeGarden } from './own-books.ts';

test.use({ today: '2026-10-10' });

const verdict = (page: Page) => page.getByRole('status').filter({ hasText: /comes before|nearly the same/ });
const way = (page: Page, name: string) => page.getByRole('article', { name, exact: true });
const beaten = (page: Page) => page.getByText(/beats in everything/);

/** A salad bed that is sown in spring, a path and a row of shrubs; opens the ways of a load for the bed. */
async function askAbout(
  { visit, request }: { readonly visit: Visit; readonly request: APIRequestContext },
  garden: string,
  material: string,
  liters: string,
): Promise<Page> {
  await makeGarden(request, garden);
  const sown = { state: 'planned' as const, plantedOn: '2027-04-10', clearedOn: '2027-06-20' };
  const salad = { cropId: 'lettuce', startsAs: 'seed' as const, nitrogenDemandGPerM2: 9, rootDepthCm: 25 };
  await makeBed(
    request,
    garden,
    { id: `${garden}-bed`, name: 'Salad bed', areaM2: 5 },
    [],
    [{ ...sown, ...salad }],
  );
  await makeBed(request, garden, { id: `${garden}-path`, name: 'Mill path', kind: 'path', areaM2: 4 });
  await makeBed(request, garden, { id: `${garden}-row`, name: 'Berry row', kind: 'shrubs', areaM2: 6 });
  const page = await visit(`/garden/${garden}/ways`);
  await expect(page.getByLabel('What', { exact: true })).toBeVisible();
  await choose(page, 'Of what', material);
  await page.getByLabel('How much, L').fill(liters);
  await choose(page, 'For', 'Salad bed');
  await expect(verdict(page)).toBeVisible();
  return page;
}

/** Puts all weight on one aim. */
async function wantOnly(page: Page, aim: string): Promise<void> {
  for (const name of [
    'Food now',
    'Soil later',
    'Least work',
    'Least nitrogen lost',
    'Least to buy',
    'Least against it',
  ]) {
    const slider = page.getByRole('slider', { name });
    await slider.focus();
    await slider.press(name === aim ? 'End' : 'Home');
  }
}

test('fresh chips in autumn for a salad bed: never dug in first, most food the soonest by a detour or on top', async ({
  visit,
  request,
}) => {
  const page = await askAbout(
    { visit, request },
    'autumn-chips',
    'Wood chips, thin leafless branches',
    '400',
  );
  await expect(page.getByRole('article').first()).not.toHaveAccessibleName('Dug in now');
  await wantOnly(page, 'Food now');
  await expect(page.getByRole('article').first()).not.toHaveAccessibleName('Dug in now');
  await page.getByText('What the three schools would pick').click();
  for (const school of ['Cautious', 'By depth', 'Relaxed']) {
    const picked = page.getByRole('region', { name: school });
    await expect(picked.getByText(/young plants from/)).toBeVisible();
    await expect(picked.getByText(/Dug in now/)).toHaveCount(0);
  }
});

test('a load of manure, and card: the guide values are named, and kept by the thin layer', async ({
  visit,
  request,
}) => {
  const page = await askAbout({ visit, request }, 'manure', 'Farmyard cattle manure', '150');
  await wantOnly(page, 'Least against it');
  const thin = page.getByRole('article').first();
  await expect(thin).toHaveAccessibleName('A thin layer on top');
  await expect(thin.getByText(/of nitrogen in manure and meals/)).toHaveCount(0);
  if (!(await way(page, 'Dug in now').isVisible())) await beaten(page).click();
  const dugIn = way(page, 'Dug in now');
  await dugIn.getByText(/speaks? against it/).click();
  await expect(dugIn.getByText(/of nitrogen in manure and meals/)).toBeVisible();

  // Straw over manure and card.
  await press(page, 'Of what', 'Cereal straw');
  await expect(verdict(page)).toBeVisible();
  if (!(await way(page, 'On top, over manure and card').isVisible())) await beaten(page).click();
  const sheet = way(page, 'On top, over manure and card');
  await expect(sheet.getByRole('listitem').filter({ hasText: /card/i })).toBeVisible();
  await expect(sheet.getByRole('listitem').filter({ hasText: /manure/i })).toBeVisible();
});

test('prunings, char or chips: what lasts longest is burnt, and says what fire asks for', async ({
  visit,
  request,
}) => {
  const page = await askAbout({ visit, request }, 'prunings', 'Wood chips, thin leafless branches', '300');
  await wantOnly(page, 'Soil later');
  if (!(await way(page, 'Burnt to char').isVisible())) await beaten(page).click();
  const charred = way(page, 'Burnt to char');
  await expect(charred).toContainText('Burn only where and when your local rules allow it');
  await expect(charred.locator('dl > div').filter({ hasText: 'Of it char that lasts' })).toContainText(
    /\d.*carbon/,
  );
  await expect(way(page, 'On top now').locator('dl > div').filter({ hasText: 'Of it char' })).toContainText(
    'none',
  );
  await wantOnly(page, 'Least work');
  await expect(page.getByRole('article').first()).not.toHaveAccessibleName('Burnt to char');
});

test('two cubic meters of leaves: what has no room is told, and clippings go into the heap as wanted', async ({
  visit,
  request,
}) => {
  const page = await askAbout({ visit, request }, 'leaves', 'Autumn leaves, mixed', '2000');
  if (!(await way(page, 'On top now').isVisible())) await beaten(page).click();
  await expect(way(page, 'On top now')).toContainText(/1\.\d+ m³ more than does well there stay/);
  await page.getByText('What if …').click();
  await choose(page, 'Heaped with', 'Grass clippings');
  await page.getByLabel('How much of that, L').fill('300');
  await expect(page.getByText(/a heap of it with 300 L of grass clippings/).first()).toBeAttached();

  if (!(await way(page, 'Composted first').isVisible())) await beaten(page).click();
  await way(page, 'Composted first').getByRole('button', { name: 'Make it the plan' }).click();
  await expect(page.getByText('“Composted first” is the plan; the calendar has its days.')).toBeVisible();
  await visit('/garden/leaves/stock');
  await expect(page.getByText(/leaves.*composted first/i).first()).toBeVisible();
});
