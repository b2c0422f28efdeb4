import { describeFinding } from '../../src/words/refusal-words.ts';
import { parse as parseCsv } from 'csv-parse/sync';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportReport } from '../../src/contract/imports.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { asCsv } from '../../src/contract/tables/csv.ts';
import { GARDEN_TABLES, type Table } from '../../src/contract/tables/garden-tables.ts';
import { likelyTable, recognize } from '../../src/contract/tables/recognize.ts';
import { readRow, tableCells } from '../../src/contract/tables/table-rows.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const GARDEN = 'ternhollow';
const folder = newFolder();
let server: Answering;
let books: GardenBooks;

const WEATHER = [
  { date: '2026-03-01', temperatureC: 6.5, rainMm: 0, evapotranspirationMm: null },
  { date: '2026-03-02', temperatureC: 7, rainMm: 12.4, evapotranspirationMm: 1.1 },
];

const send = async (table: Table, rows: object[], dryRun = false) => {
  const request = { collection: table.collection, summary: table.title, rows };
  const path = `/api/gardens/${GARDEN}/imports?dryRun=${String(dryRun)}`;
  return (await askAt<ImportReport>(server, 'POST', path, request)).body;
};
const recordsOf = (table: Table): readonly (object & { readonly id?: string })[] =>
  books[table.collection].filter((record) => table.holds?.(record) ?? true);
const csvOf = (table: Table): string => asCsv(tableCells(table, recordsOf(table), books));

/** As the wizard reads a file, with nothing changed by hand. */
function readCsv(table: Table, csv: string) {
  const [headers = [], ...rows] = Papa.parse<string[]>(csv, { skipEmptyLines: true }).data;
  const { mapping } = recognize(table, { headers, rows }, 'metric');
  return rows.map((row) =>
    readRow({
      table,
      cells: row,
      mapping,
      names: books,
      kept: (id) => recordsOf(table).find((one) => one.id === id),
    }),
  );
}

beforeAll(async () => {
  server = openBooks(`${folder}/demo.sqlite`, ['--demo']);
  const request = { collection: 'weather', summary: 'measured', rows: WEATHER };
  await askAt(server, 'POST', `/api/gardens/${GARDEN}/imports`, request);
  books = (await askAt<GardenBooks>(server, 'GET', `/api/gardens/${GARDEN}/books`)).body;
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('tables of a garden', () => {
  it.each(GARDEN_TABLES.map((table) => [table.id, table] as const))(
    '%s come back as the records they were made of, and are recognized by their headers',
    async (_, table) => {
      const csv = csvOf(table);
      const rows = readCsv(table, csv);
      expect(rows.length).toBe(recordsOf(table).length);
      expect(rows.length).toBeGreaterThan(0);
      expect(rows.flatMap(({ reasons }) => reasons)).toEqual([]);
      const report = await send(
        table,
        rows.map(({ record }) => record),
        true,
      );
      expect(report.rows).toEqual([]);
      expect(report.counts).toEqual({ added: 0, changed: 0, same: rows.length, rejected: 0 });
      const cells = Papa.parse<string[]>(csv).data;
      expect(parseCsv(csv)).toEqual(cells);
      expect(csv).not.toMatch(/\d\.\d{12,}/);
      const [headers = []] = cells;
      expect(likelyTable(GARDEN_TABLES, headers).id).toBe(table.id);
    },
  );

  it('bring back a figure to its last digit that was written out with fewer', () => {
    const table = GARDEN_TABLES.find(({ id }) => id === 'beds')!;
    const bed = { ...books.beds[0], areaM2: 0.1 + 0.2 };
    const csv = asCsv(tableCells(table, [bed], books));
    expect(csv).toContain(',0.3,');
    const [headers = [], cells = []] = Papa.parse<string[]>(csv).data;
    const { mapping } = recognize(table, { headers, rows: [cells] }, 'metric');
    const { record } = readRow({ table, cells, mapping, names: books, kept: () => bed });
    expect(record).toMatchObject({ areaM2: bed.areaM2 });
  });

  it('change only what a file says: a missing column leaves its field alone, an empty cell empties it', async () => {
    const table = GARDEN_TABLES.find(({ id }) => id === 'beds')!;
    const bed = books.beds[0];
    const rows = readCsv(table, `id,name,ph\r\n${bed.id},Renamed bed,\r\n`);
    const report = await send(
      table,
      rows.map(({ record }) => record),
      true,
    );
    expect(report.rows).toMatchObject([{ id: bed.id, outcome: 'changed' }]);
    expect([...report.rows[0].fields].sort()).toEqual(bed.ph === null ? ['name'] : ['name', 'ph']);
  });

  it('takes in what somebody else wrote, in inches and with names, and the same file again adds nothing', async () => {
    const table = GARDEN_TABLES.find(({ id }) => id === 'entries')!;
    const bed = books.beds[0];
    const csv = [
      'Bed;Date;Material;Amount;Unit;Dug in (in);Notes',
      `${bed.name};13.05.2026;Cereal straw;1,5;barrow85L;2;by hand`,
      `${bed.name};12.05.2026;Cereal straw;1,5;barrow85L;;`,
      `${bed.name};12.05.2026;Cereal straw;1,5;barrow85L;;`,
    ].join('\n');
    const rows = readCsv(table, csv);
    expect(rows.flatMap(({ reasons }) => reasons)).toEqual([]);
    expect(rows[0].record).toMatchObject({
      date: '2026-05-13',
      amount: 1.5,
      dugDepthCm: 5.08,
      materialId: 'straw_cereal',
    });
    const first = await send(
      table,
      rows.map(({ record }) => record),
    );
    expect(first).toMatchObject({ isWritten: true, counts: { added: 3, rejected: 0 } });
    const again = await send(
      table,
      rows.map(({ record }) => record),
    );
    expect(again.counts).toMatchObject({ added: 0, same: 3 });
    const after = (await askAt<GardenBooks>(server, 'GET', `/api/gardens/${GARDEN}/books`)).body;
    const added = after.entries.filter(({ note, bedId }) => note === 'by hand' && bedId === bed.id);
    expect(added).toMatchObject([{ massFreshKg: expect.closeTo(1.5 * 85 * 0.06, 6) as number }]);
    expect((await askAt(server, 'POST', `/api/imports/${first.importId}/undo`)).status).toBe(200);
    const undone = (await askAt<GardenBooks>(server, 'GET', `/api/gardens/${GARDEN}/books`)).body;
    expect(undone.entries.map(({ id }) => id)).toEqual(books.entries.map(({ id }) => id));
  });

  it('says of each row and column what it cannot take', () => {
    const table = GARDEN_TABLES.find(({ id }) => id === 'entries')!;
    const rows = readCsv(table, 'bed,date,material,amount,unit\nNowhere,2026-02-30,Moon dust,much,armful\n');
    expect(rows[0].reasons.map(({ at }) => at.field)).toEqual(['bed', 'date', 'material', 'amount', 'unit']);
    for (const found of rows[0].reasons) expect(describeFinding(found).sentence).toMatch(/; got "/);
  });
});
