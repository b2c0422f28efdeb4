import { utils, write, type BookType } from '@e965/xlsx';
import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../../tests/fixtures/books.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { placeKey } from '../../../contract/tables/table-rows.ts';
import type { Grid } from '../../../contract/tables/sheet-parts.ts';
import { rowSchemas } from '../../../records/collections.ts';
import {
  gridOf,
  needsAmountUnit,
  openNames,
  ownerMissing,
  readSheet,
  sheetOf,
  withMapping,
  withStyle,
  type Sheet,
} from './import-form.ts';
import { sheetsOf } from './workbook.ts';

const BOOKS = {
  ...NO_STOCK,
  garden: GARDEN,
  today: '2026-05-14',
  beds: [
    bedOf({ id: 'north', name: 'North bed' }),
    bedOf({ id: 'long', name: 'Long bed' }),
    bedOf({ id: 'third', name: 'By the gate' }),
  ],
  entries: [],
  plantings: [],
  materials: [],
  crops: [],
} as unknown as GardenBooks;

/** What is chosen by hand for a sheet; every line of it is one choice. */
interface Chosen {
  readonly names?: Readonly<Record<string, string>>;
  readonly bedId?: string;
  readonly amountUnit?: string;
  readonly dateOrder?: 'dmy' | 'mdy';
}

const choicesIn = ({ names = {}, bedId, amountUnit, dateOrder }: Chosen): number =>
  Object.keys(names).length + [bedId, amountUnit, dateOrder].filter((one) => one !== undefined).length;

/** The sheet with the choices made, each of which must have been asked for. */
function chosen(grid: Grid, { names = {}, bedId, amountUnit, dateOrder }: Chosen): Sheet {
  let sheet = sheetOf(grid, BOOKS);
  expect(
    openNames(sheet, BOOKS)
      .map(({ text }) => text)
      .toSorted(),
  ).toEqual(
    Object.keys(names)
      .map((key) => key.split(':')[1])
      .toSorted(),
  );
  expect(sheet.isDateOrderOpen).toBe(dateOrder !== undefined);
  expect(ownerMissing(sheet) !== null).toBe(bedId !== undefined);
  expect(needsAmountUnit(sheet)).toBe(amountUnit !== undefined || sheet.mapping.amountUnit !== null);
  const values = Object.fromEntries(
    Object.entries(names).map(([key, id]) => {
      const [kind, text] = key.split(':') as [string, string];
      return [placeKey(kind, text), id];
    }),
  );
  sheet = withMapping(sheet, { values, ...(amountUnit === undefined ? {} : { amountUnit }) });
  if (bedId !== undefined) sheet = withMapping(sheet, { everyRow: { bedId } });
  return dateOrder === undefined ? sheet : withStyle(sheet, { dateOrder });
}

/** What the rows say, as the records they would become; a row that cannot be taken says why. */
function recordsOf(sheet: Sheet): unknown[] {
  return readSheet(sheet, BOOKS).map(({ record, reasons }) => {
    if (reasons.length > 0) return reasons.map(({ code }) => code);
    const checked = rowSchemas[sheet.table.collection].safeParse(record);
    return checked.success
      ? checked.data
      : checked.error.issues.map(({ path, message }) => `${path}: ${message}`);
  });
}

interface Given {
  readonly text: string;
  readonly table: string;
  readonly choices: Chosen;
  readonly rows: readonly object[];
  /** Lines that are neither header nor rows. */
  readonly skipped?: readonly number[];
}

const SHEETS: Readonly<Record<string, Given>> = {
  'titles above, sums below, decimal commas, days first': {
    text: [
      'Mulchbuch 2026;;;;',
      ';;;;',
      'Date;Bed;Material;Amount (kg);Note',
      '14.03.2026;North bed;Cereal straw;12,5;windy',
      '03.04.2026;Long bed;Cereal straw;8;',
      'Total;;;20,5;',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      {
        type: 'lay',
        bedId: 'north',
        date: '2026-03-14',
        materialId: 'straw_cereal',
        amount: 12.5,
        unit: 'kg',
      },
      { bedId: 'long', date: '2026-04-03', amount: 8 },
    ],
    skipped: [1, 6],
  },
  'words that name nothing of ours, months first, barrows in the cells': {
    text: [
      'date\twhere\twhat\thow much',
      '4/13/2026\tNorth bed\tArborist mix\t1 1/2 barrows',
      '4/2/2026\tnorth bed\tarborist mix\t½ barrow',
      '5/1/2026\tgate\tStraw\t2 wheelbarrows',
    ].join('\n'),
    table: 'entries',
    choices: {
      names: { 'material:Arborist mix': 'chips_mixed', 'bed:gate': 'third' },
    },
    rows: [
      { bedId: 'north', date: '2026-04-13', materialId: 'chips_mixed', amount: 1.5, unit: 'barrow85L' },
      { date: '2026-04-02', amount: 0.5 },
      { bedId: 'third', date: '2026-05-01', materialId: 'straw_cereal', amount: 2 },
    ],
  },
  'one day that never was, among many that were': {
    text: [
      'Date,Bed,Material,Amount,Unit',
      '31.02.2026,North bed,Cereal straw,1,bucket',
      '14.03.2026,North bed,Cereal straw,2,buckets',
      '03.04.2026,North bed,Cereal straw,3,Buckets',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      ['noDate'],
      { date: '2026-03-14', amount: 2, unit: 'bucket10L' },
      { date: '2026-04-03', amount: 3, unit: 'bucket10L' },
    ],
  },
  'cubic yards, and a unit line below the header': {
    text: [
      'Date,Bed,Material,Amount,Dug in',
      ',,,(cubic yards),(in)',
      '"May 1, 2026",North bed,"Wood chips, mixed branches and stems",0.5,0',
      '"May 2nd, 2026",Long bed,"Wood chips, mixed branches and stems",1/4,4',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      { date: '2026-05-01', amount: 0.5, unit: 'cubicYard', dugDepthCm: 0 },
      { date: '2026-05-02', amount: 0.25, dugDepthCm: 10.16 },
    ],
  },
  'months in German': {
    text: [
      'Date;Plot;Material;Amount;Unit',
      '3. März 2026;North bed;Cereal straw;10;kg',
      '12. Okt. 2025;Long bed;Cereal straw;1 250,5;gram',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      { date: '2026-03-03', amount: 10 },
      { date: '2025-10-12', amount: 1250.5, unit: 'gram' },
    ],
  },
  'months in French, about so much': {
    text: [
      'date|bed|material|amount|unit|remarks',
      '14 févr. 2026|North bed|Cereal straw|ca. 20|liters|',
      '1 août 2025|Long bed|Cereal straw|~15|litres|a dry week',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      { date: '2026-02-14', amount: 20, unit: 'litre' },
      { date: '2025-08-01', amount: 15, note: 'a dry week' },
    ],
  },
  'plantings in the plural, without a nitrogen demand': {
    text: [
      'Crop,Bed,Sown',
      'Potatoes,North bed,2026-04-20',
      'Kale,Long bed,2026-05-02',
      'Leeks,By the gate,2026-06-10',
    ].join('\n'),
    table: 'plantings',
    choices: {},
    rows: [
      { cropId: 'potato', plantedOn: '2026-04-20', state: 'laid', isUndersown: false, areaShare: 1 },
      { cropId: 'kale', state: 'laid' },
      { cropId: 'leek', state: 'planned' },
    ],
  },
  'one bed a sheet, with its name in the title alone': {
    text: [
      'Long bed,,',
      'Date,Material,kg',
      '2026-03-02,Cereal straw,9',
      '2026-04-02,Hay (grass),4',
      'Straw was free this year,,',
    ].join('\n'),
    table: 'entries',
    choices: { bedId: 'long', amountUnit: 'kg' },
    rows: [
      { bedId: 'long', date: '2026-03-02', amount: 9, unit: 'kg' },
      { bedId: 'long', materialId: 'hay_grass', amount: 4 },
    ],
    skipped: [1, 5],
  },
  'days and months that look alike': {
    text: ['Date;Bed;Material;Amount;Unit', '03.04.2026;North bed;Cereal straw;1;barrow'].join('\n'),
    table: 'entries',
    choices: { dateOrder: 'dmy' },
    rows: [{ date: '2026-04-03' }],
  },
  'what was done, in other words; plans of later on': {
    text: [
      'date,bed,action,material,amount,unit',
      '2026-03-01,North bed,Mulched,Cereal straw,1,barrow',
      '2026-10-01,North bed,spread,Cereal straw,1,barrow',
    ].join('\n'),
    table: 'entries',
    choices: {},
    rows: [
      { type: 'lay', state: 'laid' },
      { type: 'lay', state: 'planned' },
    ],
  },
};

describe('tables as people keep them', () => {
  it.each(Object.entries(SHEETS))('%s', (_, { text, table, choices, rows, skipped = [] }) => {
    expect(choicesIn(choices)).toBeLessThanOrEqual(3);
    const sheet = chosen(gridOf(text).grid, choices);
    expect(sheet.table.id).toBe(table);
    expect(sheet.parts.skipped.map(({ line }) => line)).toEqual(skipped);
    expect(recordsOf(sheet)).toMatchObject(rows);
  });

  it('a crop brings its own figures from the library', () => {
    const sheet = chosen(gridOf(SHEETS['plantings in the plural, without a nitrogen demand']!.text).grid, {});
    const [potato] = recordsOf(sheet) as {
      nitrogenDemandGPerM2: number;
      clearedOn: string;
      rootDepthCm: number;
    }[];
    expect(potato!.nitrogenDemandGPerM2).toBeGreaterThan(5);
    expect(potato!.rootDepthCm).toBeGreaterThan(20);
    expect(potato!.clearedOn > '2026-07-01').toBe(true);
  });
});

describe.each<BookType>(['xlsx', 'ods'])('a workbook as .%s', (bookType) => {
  const lines = [
    ['Spreading of the year', '', '', ''],
    ['Date', 'Bed', 'Material', 'Amount (kg)'],
    [new Date(Date.UTC(2026, 2, 14)), 'North bed', 'Cereal straw', 12.25],
    [new Date(Date.UTC(2026, 11, 31)), 'Long bed', 'Cereal straw', 1 / 3],
  ];
  const fileOf = (book: ReturnType<typeof utils.book_new>) => {
    const bytes = write(book, { type: 'array', bookType, cellDates: true }) as ArrayBuffer;
    return { size: bytes.byteLength, arrayBuffer: () => Promise.resolve(bytes) };
  };
  it('is read sheet by sheet, days and figures as they are', async () => {
    const book = utils.book_new();
    utils.book_append_sheet(book, utils.aoa_to_sheet([[]]), 'Nothing');
    const sheet = utils.aoa_to_sheet(lines, { cellDates: true, UTC: true });
    sheet['!merges'] = [{ s: { r: 0, c: 0 }, e: { r: 0, c: 3 } }];
    utils.book_append_sheet(book, sheet, 'Spreading');
    const sheets = await sheetsOf(fileOf(book));
    expect(sheets.map(({ name }) => name)).toEqual(['Spreading']);
    const records = recordsOf(chosen(sheets[0]!.grid, {}));
    expect(records).toMatchObject([
      { bedId: 'north', date: '2026-03-14', amount: 12.25, unit: 'kg', state: 'laid' },
      { bedId: 'long', date: '2026-12-31', amount: 1 / 3, state: 'planned' },
    ]);
  });
});

describe('a file that is no workbook', () => {
  it('says so, and what to do', async () => {
    const empty = { size: 0, arrayBuffer: () => Promise.resolve(new ArrayBuffer(0)) };
    await expect(sheetsOf(empty)).rejects.toThrow(/nothing in the sheets|no workbook that can be read/);
    await expect(sheetsOf({ ...empty, size: 30_000_000 })).rejects.toThrow(/larger than 20 MB/);
  });
});
