import { expect } from './expect.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { bedOf } from '../fixtures/books.ts';
import { expectAccessible } from './accessible.ts';
import { isAnswered, layers } from './bed-page.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

test('what was changed elsewhere while a form was open is settled field by field', async ({
  page,
  request,
}) => {
  await makeGarden(request, 'settled');
  const address = await makeBed(request, 'settled', { id: 'settled-bed', name: 'Old name' });
  await page.goto(address);
  await page.getByRole('button', { name: 'Change the bed' }).click();
  const form = page.getByRole('form', { name: 'Change the bed' });
  await form.getByLabel('Name', { exact: true }).fill('My name');
  const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({
    id: 'settled-bed',
    name: 'Their name',
  });
  const { id, ...change } = { ...bed, isWatered: false };
  await request.put(`/api/beds/${id}`, { data: { ...change, version: 1 } });
  const save = form.getByRole('button', { name: 'Save the change' });
  await save.click();
  const asked = page.getByRole('dialog', { name: 'Changed meanwhile' });
  await expect(asked.getByRole('radio', { name: 'yours: My name' })).toBeChecked();
  await expect(asked.getByRole('radio', { name: 'as it is now: no' })).toBeChecked();
  await expectAccessible(page);
  await asked.getByRole('button', { name: 'Leave it as it is now' }).click();
  await expect(form.getByText('What was changed meanwhile stays')).toBeVisible();
  await save.click();
  await asked.getByRole('button', { name: 'Save what is chosen' }).click();
  await expect(page.getByRole('heading', { name: 'My name' })).toBeVisible();
  await expect
    .poll(async () => {
      const { beds } = (await (await request.get('/api/gardens/settled/books')).json()) as GardenBooks;
      return beds.map(({ name, isWatered }) => [name, isWatered]);
    })
    .toEqual([['My name', false]]);
});

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
