import { serve } from '@hono/node-server';
import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { weatherStation } from '../../src/standins/weather-station.ts';
import { GARDEN } from '../fixtures/books.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { expectAccessible } from './accessible.ts';
import { answer, choose, isAnswered } from './bed-page.ts';
import { onAny as test } from './books-of-file.ts';
import { downloaded } from './downloaded.ts';
import { goTo } from './pages.ts';

const folder = newFolder();
const MILD = CLIMATE_PATTERNS.find(({ id }) => id === 'mild_maritime')!;
const station = serve({ fetch: weatherStation(MILD, 4).fetch, hostname: '127.0.0.1', port: 0 });
let demo: RunningServer;
let empty: RunningServer;
const DATA = '/garden/ternhollow/data';

test.beforeAll(async () => {
  const { port } = station.address() as AddressInfo;
  demo = await startServer(join(folder, 'demo.sqlite'), ['--demo', '--weather', `http://127.0.0.1:${port}`]);
  empty = await startServer(join(folder, 'empty.sqlite'));
});
test.afterAll(async () => {
  await Promise.all([demo.stop(), empty.stop()]);
  station.close();
  removeFolder(folder);
});

test('a whole garden goes out as a file, and a newcomer’s empty book opens it', async ({ page }) => {
  await page.goto(demo.address + DATA);
  const file = await downloaded(page, () =>
    page.getByRole('link', { name: 'The whole garden as one file' }).click(),
  );
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'open a garden file' }).click();
  await page
    .getByLabel('The file')
    .setInputFiles({ name: 'garden.json', mimeType: 'application/json', buffer: file });
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('0 cannot be imported')).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByRole('link', { name: 'Open Ternhollow' }).click();
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  const again = await fetch(`${empty.address}/api/gardens/ternhollow/garden.json`);
  expect(Buffer.from(await again.arrayBuffer()).equals(file)).toBe(true);
});

test('a deleted garden stays listed after a reload, on an empty book too, and is brought back', async ({
  page,
  request,
}) => {
  await request.post(`${empty.address}/api/gardens`, {
    data: { ...GARDEN, id: 'shore', name: 'Shore plot' },
  });
  await page.goto(`${empty.address}/garden/shore/data`);
  const line = page.getByRole('listitem').filter({ hasText: 'Shore plot' });
  await line.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Shore plot is deleted.')).toBeVisible();
  await page.goto(`${empty.address}/welcome`);
  const deleted = page.getByRole('region', { name: 'Deleted gardens' });
  await expect(deleted).toContainText('Shore plot, deleted on');
  await expectAccessible(page);
  await deleted.getByRole('button', { name: 'Restore' }).click();
  await expect(deleted).toHaveCount(0);
  await goTo(page, '/garden/shore');
  await expect(page.getByRole('heading', { name: /at Shore plot/ })).toBeVisible();
  await request.delete(`${empty.address}/api/gardens/shore?version=3`);
});

test('a backup is made, looked into and restored', async ({ page, request }) => {
  await page.goto(demo.address + DATA);
  const backups = page.getByRole('region', { name: 'Backups' });
  await backups.getByRole('button', { name: 'Make one now' }).click();
  // The server makes one by itself a minute after it has started.
  const byHand = backups.getByRole('listitem').filter({ hasText: 'made by hand' }).first();
  await expect(byHand.getByRole('button', { name: 'Look inside' })).toBeVisible();
  const { gardens } = (await (await request.get(`${demo.address}/api/gardens`)).json()) as {
    gardens: (object & { id: string; version: number })[];
  };
  const { id, createdAt, updatedAt, ...garden } = gardens[0] as never as Record<string, unknown>;
  await request.put(`${demo.address}/api/gardens/ternhollow`, {
    data: { ...garden, name: 'Renamed by mistake' },
  });
  await page.reload();
  await byHand.getByRole('button', { name: 'Look inside' }).click();
  await expect(byHand.getByText(/Whole and sound: Ternhollow.* 11 beds/)).toBeVisible();
  await expectAccessible(page);
  await byHand.getByRole('button', { name: 'Put it in the place of the books' }).click();
  await expect(backups.getByText(/Restored: Ternhollow.* 11 beds/)).toBeVisible();
  await page.goto(`${demo.address}/garden/ternhollow`);
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
});

/** A demo garden with a backup, whose file was then spoilt. */
async function damagedServer(name: string, spoil: (bytes: Buffer) => void): Promise<RunningServer> {
  const file = join(folder, name);
  const first = await startServer(file, ['--demo']);
  await fetch(`${first.address}/api/backups`, { method: 'POST' });
  await first.stop();
  const bytes = readFileSync(file);
  spoil(bytes);
  writeFileSync(file, bytes);
  return startServer(file);
}

async function restoreTheBackup(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Look inside' }).click();
  await page.getByRole('button', { name: 'Put it in the place of the books' }).click();
  await expect(page.getByText('The file of the books is damaged')).toHaveCount(0);
}

test('a damaged file says so on every page, can be saved as far as it goes, and is replaced by a backup', async ({
  page,
}) => {
  // Some pages in the middle are gone; the first ones, by which all others are found, are whole.
  const damaged = await damagedServer('damaged.sqlite', (bytes) => bytes.fill(0xa5, bytes.length - 4 * 4096));
  try {
    await page.goto(damaged.address);
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
    await expect(page.getByText('The file of the books is damaged')).toContainText(
      /At least \d{1,3} records? in it could not be read; the others are here/,
    );
    await page.getByRole('link', { name: 'Save what can be read, and restore a backup' }).click();
    await restoreTheBackup(page);
    await page.goto(damaged.address);
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  } finally {
    await damaged.stop();
  }
});

test('a file of which nothing can be read leads to its backups', async ({ page }) => {
  const damaged = await damagedServer('gone.sqlite', (bytes) => bytes.fill(0xa5));
  try {
    await page.goto(damaged.address);
    await expect(page.getByText('The file of the books is damaged')).toBeVisible();
    await expectAccessible(page);
    await restoreTheBackup(page);
    await page.getByRole('link', { name: 'Open your gardens' }).click();
    await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  } finally {
    await damaged.stop();
  }
});

test('the method is read chapter by chapter, and looked through', async ({ visit }) => {
  const page = await visit(`${demo.address}/garden/ternhollow/method`);
  await expect(page.getByRole('heading', { name: /^1\. Accounts/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Look for a word').fill('outline');
  await expect(page.getByRole('heading', { name: /^1\. Accounts/ })).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
});

test('keys lead through the book, and are listed', async ({ visit }) => {
  const page = await visit(`${demo.address}/garden/ternhollow`);
  await expect(page.getByRole('heading', { name: /at Ternhollow/ })).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('c');
  await expect(page).toHaveURL(/calendar$/);
  await page.keyboard.press('g');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Ferry Strip' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Mixing bench');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
});

test('a part of the program that was renewed meanwhile is loaded again', async ({ page }) => {
  await page.route('**/assets/method-*.js', (route) => route.fulfill({ status: 404 }));
  await page.goto(`${demo.address}/garden/ternhollow`);
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(page.getByText('Vine Ledger was renewed while this page was open')).toBeVisible();
  await expectAccessible(page);
  await page.unroute('**/assets/method-*.js');
  await page.getByRole('button', { name: 'Load it again' }).click();
  await expect(page.getByRole('heading', { name: /^1\. Accounts/ })).toBeVisible();
});

test.describe('with less motion', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } });
  test('what opens closes all the same', async ({ visit }) => {
    const page = await visit(`${demo.address}/garden/ternhollow/data`);
    await page.getByRole('button', { name: 'Reset demo garden' }).click();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('tooltip')).toBeHidden();
    await page.getByRole('button', { name: /^Keys/ }).click();
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
    await visit(`${demo.address}/garden/ternhollow/bed/demo-sawpit-corner`);
    await isAnswered(page);
    await choose(page, 'Feed with', 'urine');
    const how = page.getByRole('button', { name: 'Lock-up: how is that worked out?' });
    await how.click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(how).toBeFocused();
  });
});

test('a garden is copied with its records, or as a template without; one bed leaves as a file of its own', async ({
  visit,
}) => {
  const page = await visit(demo.address + DATA);
  const lines = page.getByRole('region', { name: 'Gardens in these books' }).getByRole('listitem');
  await choose(page, 'One bed as a file', 'Sawpit Corner');
  const file = await downloaded(page, () => page.getByRole('link', { name: 'Save the bed' }).click());
  const part = JSON.parse(file.toString('utf8')) as { beds: { name: string }[]; entries: unknown[] };
  expect(part.beds.map(({ name }) => name)).toEqual(['Sawpit Corner']);
  expect(part.entries.length).toBeGreaterThan(0);
  await lines
    .filter({ hasText: 'Ternhollow' })
    .getByRole('button', { name: 'Copy without what was done' })
    .click();
  await expect(page.getByRole('heading', { name: /at Copy of Ternhollow/ })).toBeVisible();
  await expect(page.getByText('Sawpit Corner').first()).toBeVisible();
  await page.getByRole('link', { name: 'Your data' }).click();
  await expect(page.getByText('Entries: laid, dug, fed, tested, watered none yet')).toBeVisible();
  await lines.filter({ hasText: 'Copy of Ternhollow, open' }).getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Copy of Ternhollow is deleted.')).toBeVisible();
});

test('drawings are kept as pictures that stand alone', async ({ visit }) => {
  const page = await visit(`${demo.address}/garden/ternhollow/bed/demo-ferry-strip`);
  await expect(answer(page, 'Lock-up')).toBeVisible();
  const svg = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save Ferry Strip section as SVG' }).click(),
  );
  expect(svg.toString()).toMatch(/^<\?xml.*<svg[^>]* width="\d+"/s);
  expect(svg.toString()).toMatch(/fill: rgb/);
  const png = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save Ferry Strip nitrogen as PNG' }).click(),
  );
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.length).toBeGreaterThan(10_000);
  // The browser's own readers of both, apart from the page that made them.
  const read = await page.evaluate(
    async ([svgText, pngBase64]) => {
      const { documentElement } = new DOMParser().parseFromString(svgText, 'image/svg+xml');
      const bytes = Uint8Array.from(atob(pngBase64), (sign) => sign.codePointAt(0)!);
      const { width, height } = await createImageBitmap(new Blob([bytes], { type: 'image/png' }));
      return { svg: documentElement.nodeName, isWide: width > 300 && height > 100 };
    },
    [svg.toString(), png.toString('base64')] as const,
  );
  expect(read).toEqual({ svg: 'svg', isWide: true });
});
