import { expect } from './expect.ts';
import { onOwn as test } from './books-of-file.ts';
import { makeBed, makeGarden } from './own-books.ts';

test('a bed is measured as people measure it: sides in feet, a fraction, another system', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'feet', { measures: 'customary' });
  const page = await visit('/garden/feet');
  await page.getByRole('button', { name: 'Make a bed' }).click();
  const form = page.getByRole('form', { name: 'Make a bed' });
  await form.getByLabel('Name').fill('Long bed');
  const area = form.getByLabel('Area, sq ft');
  await area.fill('4 x 8');
  await form.getByRole('button', { name: 'Make the bed' }).click();
  await expect(form.getByRole('alert')).toHaveText(
    'Area needs a unit: "4 x 8" can be feet or meters. Write for example 4 x 8 ft.',
  );
  await area.fill('4 x 8 ft');
  await expect(form.getByText('= 32 sq ft')).toBeVisible();
  await form.getByLabel('Root depth, in').fill('1 ft 1½ in');
  await expect(form.getByText('= 13.5 in')).toBeVisible();
  await form.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByRole('heading', { name: 'Long bed' })).toBeVisible();
  const { beds } = (await (await request.get('/api/gardens/feet/books')).json()) as {
    beds: { areaM2: number; rootZoneCm: number }[];
  };
  expect(beds[0].areaM2).toBeCloseTo(2.97289728, 9);
  expect(beds[0].rootZoneCm).toBeCloseTo(34.29, 9);
});

test('a half-filled form asks before it is left, and shows the field that is wrong', async ({
  visit,
  request,
}) => {
  await makeGarden(request, 'half');
  const page = await visit('/garden/half');
  await page.getByRole('button', { name: 'Make a bed' }).click();
  const form = page.getByRole('form', { name: 'Make a bed' });
  await form.getByLabel('Name', { exact: true }).fill('Half bed');
  await form.getByRole('button', { name: 'Make the bed' }).click();
  await expect(form.getByLabel(/^Area, m²/)).toBeFocused();

  const calendar = page.getByRole('navigation').getByRole('link', { name: 'Calendar', exact: true });
  await calendar.click();
  const asks = page.getByRole('dialog', { name: 'Leave without saving?' });
  await asks.getByRole('button', { name: 'Stay', exact: true }).click();
  await expect(form.getByLabel('Name', { exact: true })).toHaveValue('Half bed');

  await form.getByLabel(/^Area, m²/).fill('6 m2');
  await form.getByRole('button', { name: 'Make the bed' }).click();
  await expect(page.getByRole('heading', { name: 'Half bed' })).toBeVisible();
  await calendar.click();
  await expect(page.getByRole('heading', { name: /^Calendar from/ })).toBeVisible();
});

test('saving a form changes nothing that nobody touched', async ({ visit, request }) => {
  const odd = { areaM2: 1234.56, rootZoneCm: 30 };
  await makeGarden(request, 'untouched', { measures: 'customary' });
  const page = await visit(await makeBed(request, 'untouched', { id: 'odd', name: 'Odd bed', ...odd }));
  await page.getByRole('button', { name: 'Change the bed' }).click();
  const form = page.getByRole('form', { name: 'Change the bed' });
  await form.getByLabel('Name').fill('Even bed');
  await form.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByRole('heading', { name: 'Even bed' })).toBeVisible();
  const { beds } = (await (await request.get('/api/gardens/untouched/books')).json()) as {
    beds: (typeof odd)[];
  };
  expect(beds[0]).toMatchObject(odd);
});
