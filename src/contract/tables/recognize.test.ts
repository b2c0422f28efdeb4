import type { Finding } from '../../refusals/refusal.ts';
import { refusalSentence } from '../../words/refusal-words.ts';
import { describe, expect, it } from 'vitest';
import { GARDEN, bedOf } from '../../../tests/fixtures/books.ts';
import { findTable, GARDEN_TABLES } from './garden-tables.ts';
import { likelyTable, recognize } from './recognize.ts';
import { readRow } from './table-rows.ts';

const NAMES = {
  garden: GARDEN,
  beds: [bedOf({ id: 'north', name: 'North bed' })],
  lots: [],
  materials: [],
  crops: [],
};
const ENTRIES = findTable('entries')!;
const mappedOf = (headers: readonly string[], columns: readonly (number | null)[]) =>
  Object.fromEntries(
    ENTRIES.columns.flatMap(({ field }, i) => {
      const from = columns[i];
      return from === null ? [] : [[field, headers[from]]];
    }),
  );

const sentence = (found: Finding): string => refusalSentence(found.at.field, found);

describe('a table of somebody else', () => {
  const headers = ['date', 'bed', 'what', 'how much lb', 'depth in'];
  const rows = [
    ['4/13/2026', 'North bed', 'Straw', '3.5', '0'],
    ['4/14/26', 'north BED', 'Straw', '1,200', ''],
  ];

  it('is known for entries, with units out of its headers', () => {
    expect(likelyTable(GARDEN_TABLES, headers)).toBe(ENTRIES);
    const { mapping, dateOrders } = recognize(ENTRIES, { headers, rows }, 'metric');
    expect(mappedOf(headers, mapping.columns)).toMatchObject({
      date: 'date',
      bedId: 'bed',
      materialId: 'what',
      amount: 'how much lb',
      dugDepthCm: 'depth in',
    });
    expect(mapping.amountUnit).toBe('pound');
    expect(mapping.style).toEqual({ decimal: '.', dateOrder: 'mdy' });
    expect(dateOrders).toEqual(['mdy']);
    const depth = ENTRIES.columns.findIndex(({ field }) => field === 'dugDepthCm');
    expect(mapping.units[depth]?.name).toBe('in');
  });

  it('shows how it is written by columns nobody has placed yet', () => {
    const odd = ['Datum', 'Beet', 'Menge'];
    const { mapping } = recognize(
      ENTRIES,
      {
        headers: odd,
        rows: [
          ['13.04.2026', 'North bed', '2.000,5'],
          ['14.04.2026', 'North bed', '1,5'],
        ],
      },
      'metric',
    );
    expect(mapping.style).toEqual({ decimal: ',', dateOrder: 'dmy' });
  });

  it.each([
    ['Amount (kg)', 'kg'],
    ['weight, lbs', 'pound'],
    ['volume yd3', 'cubicYard'],
    ['thickness inches', 'inch'],
    ['amount', null],
    ['amount (constructor)', null],
  ])('says in %s that amounts are in %s', (header, unit) => {
    const { mapping } = recognize(
      ENTRIES,
      { headers: ['date', header], rows: [['2026-04-13', '5']] },
      'metric',
    );
    expect(mappedOf(['date', header], mapping.columns)).toHaveProperty('amount', header);
    expect(mapping.amountUnit).toBe(unit);
  });

  it('may say its unit row by row in its own words; a name that is nearly one of ours is asked about', () => {
    const own = ['date', 'bed', 'material', 'amount', 'unit'];
    const { mapping } = recognize(ENTRIES, { headers: own, rows: [] }, 'metric');
    const read = (material: string, unit: string) =>
      readRow({
        table: ENTRIES,
        cells: ['2026-04-13', 'North bed', material, '5', unit],
        mapping,
        names: NAMES,
        kept: () => undefined,
      });
    expect(read('Cereal straw', 'lbs')).toMatchObject({ record: { unit: 'pound', amount: 5 }, reasons: [] });
    expect(sentence(read('Cereal straw', 'constructor').reasons[0])).toMatch(/^unit must be one of cm/);
    expect(sentence(read('Straw of some cereal', 'kg').reasons[0])).toBe(
      'material names no material; got "Straw of some cereal", perhaps "Cereal straw".',
    );
    expect(sentence(read('Moon cheese', 'kg').reasons[0])).toBe(
      'material names no material; got "Moon cheese".',
    );
  });

  it('fills in what is usual for a new row only: what a kept record leaves open stays open', () => {
    const plantings = findTable('plantings')!;
    const own = ['id', 'crop', 'bed', 'planted_on', 'cleared_on'];
    const { mapping } = recognize(plantings, { headers: own, rows: [] }, 'metric');
    const stays = { id: 'kept', cropId: 'leek', bedId: 'north', plantedOn: '2026-04-01', clearedOn: null };
    const readAs = (id: string) =>
      readRow({
        table: plantings,
        cells: [id, 'Leek', 'North bed', '2026-04-01', ''],
        mapping,
        names: NAMES,
        kept: (asked) => (asked === 'kept' ? stays : undefined),
      }).record;
    expect(readAs('kept')).toMatchObject({ clearedOn: null });
    expect(readAs('')).toMatchObject({
      clearedOn: expect.stringMatching(/^2026-/) as string,
      startsAs: 'transplant',
    });
  });
});
