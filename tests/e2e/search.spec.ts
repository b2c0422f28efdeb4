import type { Locator, Page } from '@playwright/test';
import { expect } from './expect.ts';
import { expectAccessible } from './accessible.ts';
import { onDemo, onOwn } from './books-of-file.ts';
import { downloaded } from './downloaded.ts';
import { makeBed, makeGarden } from './own-books.ts';

const box = (page: Page) => page.getByRole('combobox', { name: 'Search this garden' });
const found = (page: Page) => page.getByRole('listbox', { name: 'Found' }).getByRole('option');

onDemo('a bed, a material by its common name and a note are found by the keyboard', async ({ page }) => {
  await page.goto('/garden/ternhollow');
  await expect(page.getByRole('heading', { name: /Ternhollow/ })).toBeVisible();
  await page.keyboard.press('/');
  await box(page).fill('sawpit');
  await expect(found(page).first()).toContainText('Sawpit Corner');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Sawpit Corner' })).toBeVisible();

  await page.keyboard.press('Control+k');
  await box(page).fill('chicken');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await expect(found(page).first()).toHaveAttribute('aria-selected', 'true');
  await found(page)
    .filter({ hasText: /litter|manure|pellets/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Materials' })).toBeVisible();
  await expect(page).toHaveURL(/show=/);

  await page.keyboard.press('Control+k');
  await box(page).fill('nothing like it anywhere');
  await expect(page.getByText('Nothing is called so.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(box(page)).toHaveCount(0);
});

onOwn(
  'sixty beds stand in one list and by the parts of their garden, and the margin fits its window',
  async ({ page, request }) => {
    await makeGarden(request, 'sixty');
    for (let i = 1; i <= 60; i++) {
      await makeBed(request, 'sixty', {
        id: `sixty-${i}`,
        name: `Row ${i}`,
        kind: i % 2 ? 'annual' : 'perennial',
        part: i === 60 ? '' : i % 2 ? 'Lower terrace' : 'Upper terrace',
      });
    }
    await page.goto('/garden/sixty');
    const rows = page.getByRole('table').getByRole('link', { name: /^Row \d+$/ });
    await expect(rows).toHaveCount(60);
    await expect(page.getByRole('rowheader', { name: 'Rest of the garden 1 bed' })).toBeVisible();
    const heightOf = async (one: Locator) => (await one.boundingBox())!.y;
    expect(await heightOf(rows.first())).toBeLessThan(await heightOf(page.locator('svg.garden-strip')));
    const picture = await downloaded(page, () =>
      page.getByRole('button', { name: /^Save .* as SVG$/ }).click(),
    );
    expect(picture.toString().match(/>Row \d+<\/text>/g)).toHaveLength(60);
    await page.getByRole('button', { name: 'Upper terrace' }).click();
    await expect(rows).toHaveCount(31);
    await page.reload();
    await expect(rows).toHaveCount(31);
    await expect(page.getByRole('button', { name: 'Upper terrace' })).toHaveAttribute(
      'aria-expanded',
      'false',
    );
    const list = page.getByLabel('Go to a bed');
    await list.click();
    await list.fill('Row 47');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Row 47' })).toBeVisible();
    await expect(page.getByRole('navigation').getByRole('link', { name: 'Row 47' })).toBeVisible();
    await expect(page.getByRole('navigation').getByRole('link', { name: /^Row / })).toHaveCount(1);
  },
);
