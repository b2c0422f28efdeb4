import { utils, write } from '@e965/xlsx';
import { serve } from '@hono/node-server';
import { expect } from './expect.ts';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { weatherStation } from '../../src/standins/weather-station.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { expectAccessible } from './accessible.ts';
import { choose } from './bed-page.ts';
import { onAny as test } from './books-of-file.ts';
import { downloaded } from './downloaded.ts';

const folder = newFolder();
const MILD = CLIMATE_PATTERNS.find(({ id }) => id === 'mild_maritime')!;
const station = serve({ fetch: weatherStation(MILD, 4).fetch, hostname: '127.0.0.1', port: 0 });
let demo: RunningServer;
const DATA = '/garden/ternhollow/data';

test.beforeAll(async () => {
  const { port } = station.address() as AddressInfo;
  demo = await startServer(join(folder, 'demo.sqlite'), ['--demo', '--weather', `http://127.0.0.1:${port}`]);
});
test.afterAll(async () => {
  await demo.stop();
  station.close();
  removeFolder(folder);
});

test('a table is read in by the wizard: understood, put right, tried, part left out, taken back', async ({
  visit,
}) => {
  const page = await visit(demo.address + DATA);
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  const wizard = page.getByRole('region', { name: 'Import a file or table' });
  await wizard
    .getByLabel('The table or text')
    .fill(
      [
        'Bed;Date;Material;Amount;Dug in (in);Notes',
        'Ferry Strip;03.04.2026;Cereal straw;1,5;;by hand',
        'Ferry Strip;04.05.2026;Moon dust;2;2;',
        'Nowhere;05.05.2026;Cereal straw;x;;',
      ].join('\n'),
    );
  await expect(wizard.getByRole('heading', { name: '3 rows, read as follows' })).toBeVisible();
  await expect(wizard.getByText('Say first whether the day or the month comes first')).toBeVisible();
  await expect(wizard.getByRole('button', { name: 'Try it' })).toBeDisabled();
  await choose(page, 'Dates written as', 'day, month, year');
  await expect(wizard.getByText('Say first in which unit the amounts are.')).toBeVisible();
  await choose(page, 'Amounts are in', 'barrow');
  await expectAccessible(page);

  await wizard.getByRole('button', { name: 'Try it' }).click();
  await expect(
    wizard.getByRole('row', { name: /^3 .*material names no material; got "Moon dust"/ }),
  ).toBeVisible();
  await expect(
    wizard.getByRole('row', { name: /^4 .*bed names no bed.*amount must be a number/ }),
  ).toBeVisible();
  await expect(wizard.getByRole('row', { name: /^2 .*added/ })).toBeVisible();
  await expect(wizard.getByRole('button', { name: 'Import', exact: true })).toBeDisabled();

  await wizard.getByRole('button', { name: 'Leave out the 2 that cannot be imported' }).click();
  await wizard.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(wizard.getByText('Done: 1 added, 0 changed.')).toBeVisible();
  await expect(page.getByText('Entries: laid, dug, fed, tested, watered 46')).toBeVisible();

  await wizard.getByRole('button', { name: 'Undo import' }).click();
  await expect(wizard.getByText('Undone: everything is as before.')).toBeVisible();
  await expect(page.getByText('Entries: laid, dug, fed, tested, watered 45')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Past imports' })).toContainText('undone');
});

test('a workbook as people keep it: words placed once, a cell mended, and all of it known the next time', async ({
  visit,
}) => {
  const book = utils.book_new();
  const lines = [
    ['Mulch book of this year'],
    ['Date', 'Plot', 'What', 'How much', 'Remarks'],
    ['14.03.2026', 'Ferry Strip', 'Straw', '1 1/2 barrows', 'windy'],
    ['31.02.2026', 'Ferry Strip', 'Arborist mix', '2 buckets', ''],
    ['Total', '', '', '2', ''],
  ];
  utils.book_append_sheet(book, utils.aoa_to_sheet(lines), 'Spreading');
  const file = {
    name: 'mulch.ods',
    mimeType: 'application/vnd.oasis.opendocument.spreadsheet',
    buffer: write(book, { type: 'buffer', bookType: 'ods' }) as Buffer,
  };
  const page = await visit(demo.address + DATA);
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  const wizard = page.getByRole('region', { name: 'Import a file or table' });
  await wizard.getByLabel('The file').setInputFiles(file);
  await expect(wizard.getByRole('heading', { name: '2 rows, read as follows' })).toBeVisible();
  await expect(wizard.getByText('2 lines are taken for a title, a sum or a remark')).toBeVisible();
  await choose(page, 'What “Arborist mix” is', 'mixed branches');
  await wizard.getByRole('button', { name: 'Try it' }).click();
  await expect(wizard.getByRole('row', { name: /^4 .*date must be a date that exists/ })).toBeVisible();
  await expectAccessible(page);
  await wizard.getByLabel('Date in line 4').fill('28.02.2026');
  await wizard.getByLabel('Date in line 4').press('Enter');
  await expect(wizard.getByText('0 cannot be imported')).toBeVisible();
  await wizard.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(wizard.getByText('Done: 2 added, 0 changed.')).toBeVisible();
  await wizard.getByRole('button', { name: 'Undo import' }).click();
  await expect(wizard.getByText('Undone: everything is as before.')).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  await wizard.getByLabel('The file').setInputFiles(file);
  await wizard.getByRole('button', { name: 'Try it' }).click();
  await expect(wizard.getByRole('row', { name: /^3 .*added/ })).toBeVisible();
  await expect(wizard.getByText(/names no material/)).toHaveCount(0);
});

test('a table goes out and comes in again without a change', async ({ visit }) => {
  const page = await visit(demo.address + DATA);
  const csv = await downloaded(page, () => page.getByRole('button', { name: 'Plantings as CSV' }).click());
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  await page
    .getByLabel('The file')
    .setInputFiles({ name: 'plantings.csv', mimeType: 'text/csv', buffer: csv });
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('25 the same')).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('Nothing to do: all of it was in the books already.')).toBeVisible();
});
test('outlines of beds come in as GeoJSON beside the areas in the book, and go out again', async ({
  visit,
}) => {
  const corners = [
    [-4.1, 50.2],
    [-4.09995, 50.2],
    [-4.09995, 50.20002],
    [-4.1, 50.20002],
    [-4.1, 50.2],
  ];
  const feature = (name: string) => ({
    type: 'Feature',
    properties: { name },
    geometry: { type: 'Polygon', coordinates: [corners] },
  });
  const page = await visit(demo.address + DATA);
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  const box = page.getByLabel('The table or text');
  await box.fill(JSON.stringify({ type: 'FeatureCollection', features: [feature('Nowhere')] }));
  await expect(page.getByText('name is that of no bed of this garden; got "Nowhere".')).toBeVisible();
  await box.fill(JSON.stringify({ type: 'FeatureCollection', features: [feature('Char Bed')] }));
  await expect(page.getByRole('row', { name: /Char Bed 7\.9 m²/ })).toBeVisible();
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('Done: 0 added, 1 changed.')).toBeVisible();
  const out = await downloaded(page, () => page.getByRole('button', { name: 'GeoJSON' }).click());
  expect(JSON.parse(out.toString())).toMatchObject({
    type: 'FeatureCollection',
    features: [{ properties: { name: 'Char Bed' }, geometry: { coordinates: [corners] } }],
  });
});

test('weather is read off the station, and can be taken back', async ({ visit }) => {
  const page = await visit(demo.address + DATA);
  await page.getByRole('button', { name: 'Read the station until yesterday' }).click();
  await expect(page.getByText('120 days were measured, the last on 13 May 2026.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('The beds live under the twelve monthly normals')).toBeVisible();
});

test('a laboratory’s report and a station’s log are known for what they are', async ({ visit }) => {
  const page = await visit(demo.address + DATA);
  await page.getByRole('button', { name: 'Import a file or table' }).click();
  const wizard = page.getByRole('region', { name: 'Import a file or table' });
  const pasted = wizard.getByLabel('The table or text');
  await pasted.fill(
    ['Soil report 4711', 'Sample ID,pH,OM (%),P Mehlich-3 (lb/acre)', 'Ferry Strip,6.4,4.2,180'].join('\n'),
  );
  await expect(wizard.getByRole('heading', { name: 'A laboratory’s report on soil' })).toBeVisible();
  await expect(wizard.getByText('pH 6.4, organic matter 4.2 %, phosphorus 90 ppm')).toBeVisible();
  await expectAccessible(page);

  await pasted.fill(
    [
      'Date/Time;Temp (°F);Rain (in)',
      '2026-05-12 08:00;50;0.1',
      '2026-05-12 16:00;60;0.2',
      '2026-05-13 08:00;55;0',
    ].join('\n'),
  );
  await expect(wizard.getByText('its lines are taken together to 2 days')).toBeVisible();
  await wizard.getByRole('button', { name: 'Try it' }).click();
  await expect(wizard).toContainText('2 added');

  await pasted.fill(['sample,pH,OM (%)', 'Ferry Strip,6.5,4.4'].join('\n'));
  await wizard.getByRole('button', { name: 'Save 1 test' }).click();
  await expect(page.getByText('1 soil test saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('1 soil test saved.')).toBeHidden();
});
