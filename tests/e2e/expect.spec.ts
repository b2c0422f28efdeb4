import { test } from '@playwright/test';
import { expect } from './expect.ts';

const BRIEFLY = { timeout: 200 };
const messageOf = (failing: Promise<void>): Promise<string> =>
  failing.then(
    () => '',
    (error: unknown) => String(error),
  );

test('what is expected of a page is waited for, and a failure says what is there instead', async ({
  page,
}) => {
  await page.setContent('<h1>Beds</h1><p>one</p><p hidden>two</p>');
  const [heading, paragraphs] = [page.locator('h1'), page.locator('p')];
  await expect(heading).toBeVisible();
  await expect(heading).toContainText(/^Bed/);
  await expect(heading).not.toContainText('Heaps');
  await expect(page.getByText('two')).not.toBeVisible();

  await page.evaluate(() => setTimeout(() => (document.querySelector('h1')!.textContent = 'Heaps'), 300));
  await expect(heading).toContainText('Heaps');

  expect(await messageOf(expect(heading).toContainText('heaps', BRIEFLY))).toContain('"Heaps"');
  expect(await messageOf(expect(heading).not.toContainText('Heaps', BRIEFLY))).toContain('Heaps');
  expect(await messageOf(expect(page.getByText('two')).toBeVisible(BRIEFLY))).toContain('hidden');
  expect(await messageOf(expect(heading).not.toBeVisible(BRIEFLY))).toContain('visible');
  expect(await messageOf(expect(page.getByText('three')).toBeVisible(BRIEFLY))).toContain('not found');
  expect(await messageOf(expect(paragraphs).toContainText('one', BRIEFLY))).toContain(
    'strict mode violation',
  );
});
