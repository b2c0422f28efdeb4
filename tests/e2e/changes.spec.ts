import { expect } from '@playwright/test';
import { isAnswered, layers } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

test.use({ file: 'changes' });

test('what one window writes the other shows, and whole books are not sent again', async ({
  page,
  context,
  request,
}) => {
  await makeGarden(request, 'windows');
  const address = await makeBed(request, 'windows', { id: 'windows-bed', name: 'Two panes' }, [
    { materialId: 'chips_mixed', cm: 5 },
    { materialId: 'straw_cereal', cm: 4 },
  ]);
  const other = await context.newPage();
  for (const window of [page, other]) {
    await window.goto(address);
    await isAnswered(window);
    await expect(layers(window)).toContainText('Cereal straw');
  }
  const whole: string[] = [];
  let asked = 0;
  for (const window of [page, other])
    window.on('request', (sent) => {
      if (sent.url().endsWith('/books')) whole.push(sent.url());
      if (sent.url().includes('/changes?')) asked += 1;
    });
  await page.getByRole('button', { name: 'Delete' }).first().click();
  await expect(layers(page)).not.toContainText('Wood chips');
  await expect(layers(other)).not.toContainText('Wood chips');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(layers(page)).toContainText('Wood chips');
  await expect(layers(other)).toContainText('Wood chips');
  expect(whole).toEqual([]);
  expect(asked).toBeGreaterThan(0);
});
