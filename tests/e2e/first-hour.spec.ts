import { expect } from './expect.ts';
import { join } from 'node:path';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { expectAccessible } from './accessible.ts';
import { answer, choose } from './bed-page.ts';
import { onAny as test } from './books-of-file.ts';

const folder = newFolder();
let server: RunningServer;
let count = 0;
test.beforeEach(async () => {
  server = await startServer(join(folder, `${count++}.sqlite`));
});
test.afterEach(() => server.stop());
test.afterAll(() => removeFolder(folder));

test('a newcomer comes from nothing to a first true answer by four questions', async ({ page }) => {
  await page.goto(server.address);
  await expect(page.getByText('A guess.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Show me the answer' }).click();
  await expect(page.getByRole('alert').first()).toContainText('town');
  await choose(page, 'Nearest town or weather station', 'Dublin, Ireland');
  await page.getByLabel('What is your garden called?').fill('Brook plot');
  await page.getByText('cm, kg, barrows').click();
  await page.getByLabel('Area, m²').fill('2 x 3 m');
  await page.getByText('dug in', { exact: true }).click();
  await choose(page, 'Crop', 'Pumpkin');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Show me the answer' }).click();
  await expect(page.getByRole('heading', { name: 'First bed' })).toBeVisible();
  await expect(page.getByText('Pumpkin · vegetable bed · 6 m²')).toBeVisible();
  await expect(answer(page, 'Lock-up')).toContainText('Root zone');
  await expect(answer(page, 'Feed')).toContainText(/g nitrogen/);
  await expect(page.getByRole('list', { name: 'First steps' })).toHaveCount(0);
});

test('a newcomer looks around in the demo garden, is led through it, and makes it afresh', async ({
  page,
}) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'look around in an invented garden' }).click();
  const guide = page.getByRole('region', { name: 'A way through the demo garden' });
  await expect(guide.getByRole('listitem')).toHaveCount(6);
  await expectAccessible(page);
  for (const name of [
    'A bed under sawdust',
    'What to do when',
    'Two taps in the logbook',
    'Piles that age',
    'In and out',
  ]) {
    await guide.getByRole('link', { name }).click();
    await expect(page).not.toHaveURL(/guide=1/);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.goBack();
    await expect(page).toHaveURL(/guide=1/);
  }
  await guide.getByRole('link', { name: 'In and out' }).click();
  await page.getByRole('button', { name: 'Reset demo garden' }).click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Reset demo garden' }).click();
  await expect(page).toHaveURL(/ternhollow\?guide=1/);
  await expect(guide).toBeVisible();
  await guide.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Show the way through the demo garden' })).toHaveCount(0);
});

test('from the demo one comes to a garden of one’s own, and back; one can be taken out and had again', async ({
  page,
}) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'look around in an invented garden' }).click();
  await page.getByRole('link', { name: 'Begin your own garden' }).click();
  await expect(page.getByRole('link', { name: 'Back to your gardens' })).toBeVisible();
  await page.getByLabel('What is your garden called?').fill('Brook plot');
  await choose(page, 'Nearest town or weather station', 'Dublin, Ireland');
  await page.getByRole('button', { name: 'Only the garden for now' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Brook plot' })).toBeVisible();
  await page.getByText('Brook plot', { exact: true }).click();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Ternhollow', exact: true }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  await page.getByText('Ternhollow', { exact: true }).click();
  await page.getByRole('link', { name: 'Brook plot' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Brook plot' })).toBeVisible();
  await page.goto(server.address);
  await expect(page).toHaveURL(/garden\/(?!ternhollow)/);

  await page.getByRole('link', { name: 'Your data' }).click();
  const gardens = page.getByRole('region', { name: 'Gardens in these books' });
  await gardens
    .getByRole('listitem')
    .filter({ hasText: 'Brook plot' })
    .getByRole('button', { name: 'Delete' })
    .click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('Ternhollow', { exact: true }).click();
  await page.getByRole('link', { name: 'Brook plot' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Brook plot' })).toBeVisible();
});

test('an address of a garden that is not there leads to those that are', async ({ page, request }) => {
  await request.post(`${server.address}/api/demo-garden`);
  await page.goto(`${server.address}/garden/gone/calendar`);
  await expect(page.getByRole('alert')).toContainText('There is no such garden');
  await page.getByRole('link', { name: 'Open another garden' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
});

test('a demo garden that is there is opened as it is', async ({ page, request }) => {
  await request.post(`${server.address}/api/demo-garden`);
  const note = {
    kind: 'observation',
    id: 'seen',
    date: '2026-05-14',
    note: 'Tried.',
    bedId: 'demo-ferry-strip',
  };
  const sent = await request.post(`${server.address}/api/gardens/ternhollow/journal`, {
    data: { records: [{ ...note, plantingId: null, photoId: null, observed: { type: 'note' } }] },
  });
  expect(sent.status()).toBe(201);
  await page.goto(`${server.address}/welcome`);
  await page.getByRole('button', { name: 'look around in an invented garden' }).click();
  await page.getByRole('link', { name: 'Logbook', exact: true }).click();
  await expect(page.getByText('Tried.')).toBeVisible();
});

test.describe('with no connection', () => {
  test.use({ serviceWorkers: 'allow' });
  test('the pages open, show the books as they were, and say so', async ({ page, context }) => {
    await page.goto(server.address);
    await page.getByRole('button', { name: 'look around in an invented garden' }).click();
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
    expect(await (await fetch(`${server.address}/manifest.webmanifest`)).json()).toMatchObject({
      display: 'standalone',
    });

    await context.setOffline(true);
    await page.reload();
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
    await expect(page.getByText('No connection: the books are shown as they were last read.')).toBeVisible();
    await page.goto(`${server.address}/garden/ternhollow/bed/demo-sawpit-corner`);
    await expect(answer(page, 'Lock-up')).toContainText('Root zone');
    await context.setOffline(false);
    await page.reload();
    await expect(page.getByText('No connection')).toHaveCount(0);
  });
});
