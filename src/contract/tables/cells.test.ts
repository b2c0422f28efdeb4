import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isoDateOf } from '../../core/ground/climate/calendar.ts';
import { booleanCell, dateCell, numberCell } from './cells.ts';
import { GARDEN_TABLES } from './garden-tables.ts';
import { QUANTITIES } from '../../quantities/units.ts';
import { dateOrdersIn, decimalIn, mapColumns, unitIn } from './recognize.ts';

describe('figures in cells', () => {
  it.each([
    ['1.5', '.', 1.5],
    ['1,5', ',', 1.5],
    ['1,234.5', '.', 1234.5],
    ['1.234,5', ',', 1234.5],
    ['1 234,5', ',', 1234.5],
    ['1’234.5', '.', 1234.5],
    ['−3', '.', -3],
    ['+.5', '.', 0.5],
    ['2e3', '.', 2000],
    ['1 1/2', '.', 1.5],
    ['1-1/2', '.', 1.5],
    ['2½', ',', 2.5],
    ['¾', '.', 0.75],
    ['ca. 20', '.', 20],
    ['~1,5', ',', 1.5],
  ] as const)('%s with %s is %d', (text, decimal, value) => {
    expect(numberCell(text, { decimal })).toEqual({ value });
  });

  it.each([
    ['1,5', '.'],
    ['1.5', ','],
    ['1,23,4', '.'],
    ['', '.'],
    ['much', '.'],
    ['1e999', '.'],
    ['12abc', '.'],
    ['0x10', '.'],
    ['1/0', '.'],
    ['1/2 or so', '.'],
  ] as const)('%s with %s is none', (text, decimal) => {
    expect(numberCell(text, { decimal })).toHaveProperty('trouble');
  });

  it('come back as they were written, with either sign', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, min: -1e9, max: 1e9 }), (value) => {
        const text = String(value);
        expect(numberCell(text, { decimal: '.' })).toEqual({ value: Number(text) });
        expect(numberCell(text.replace('.', ','), { decimal: ',' })).toEqual({ value: Number(text) });
      }),
    );
  });

  it('tell their decimal sign', () => {
    expect(decimalIn(['1,5', '2', '3,25'])).toBe(',');
    expect(decimalIn(['1.5', '2'])).toBe('.');
    expect(decimalIn(['1,234.5', '2'])).toBe('.');
    expect(decimalIn(['7', '2'])).toBe('.');
  });
});

describe('dates in cells', () => {
  it.each([
    ['2026-05-14', 'dmy', '2026-05-14'],
    ['14.05.2026', 'dmy', '2026-05-14'],
    ['5/14/2026', 'mdy', '2026-05-14'],
    ['14/5/26', 'dmy', '2026-05-14'],
    ['2026/5/14', 'ymd', '2026-05-14'],
    ['1.1.99', 'dmy', '1999-01-01'],
    ['29.02.2028', 'dmy', '2028-02-29'],
    ['2026-05-14T08:00', 'mdy', '2026-05-14'],
    ['5/14/2026 0:00', 'mdy', '2026-05-14'],
    ['14 May 2026', 'ymd', '2026-05-14'],
    ['May 14th, 2026', 'ymd', '2026-05-14'],
    ['14-May-26', 'mdy', '2026-05-14'],
    ['Thursday, 14. Mai 2026', 'mdy', '2026-05-14'],
    ['14 août 2025', 'ymd', '2025-08-14'],
    ['3 de marzo de 2026', 'mdy', '2026-03-03'],
    ['14 maja 2026', 'mdy', '2026-05-14'],
  ] as const)('%s read %s is %s', (text, dateOrder, value) => {
    expect(dateCell(text, { dateOrder })).toEqual({ value });
  });

  it.each([
    ['29.02.2027', 'dmy'],
    ['14.05.2026', 'mdy'],
    ['14.05.26', 'ymd'],
    ['May 14', 'dmy'],
    ['0.0.2026', 'dmy'],
    ['31 Feb 2026', 'dmy'],
    ['14 Moon 2026', 'dmy'],
  ] as const)('%s read %s is none', (text, dateOrder) => {
    expect(dateCell(text, { dateOrder })).toHaveProperty('trouble');
  });

  it('come back as they were written, in every order', () => {
    fc.assert(
      fc.property(fc.integer({ min: 715_000, max: 760_000 }), (day) => {
        const iso = isoDateOf(day);
        const [y, m, d] = iso.split('-');
        expect(dateCell(`${d}.${m}.${y}`, { dateOrder: 'dmy' })).toEqual({ value: iso });
        expect(dateCell(`${m}/${d}/${y}`, { dateOrder: 'mdy' })).toEqual({ value: iso });
        expect(dateCell(iso, { dateOrder: 'dmy' })).toEqual({ value: iso });
      }),
    );
  });

  it('tell their order, or that it cannot be told', () => {
    expect(dateOrdersIn(['14.05.2026', '03.04.2026'])).toEqual(['dmy']);
    expect(dateOrdersIn(['5/14/2026'])).toEqual(['mdy']);
    expect(dateOrdersIn(['03.04.2026'])).toEqual(['dmy', 'mdy']);
    // A day that never was does not speak for another order.
    expect(dateOrdersIn(['31.02.2026', '14.05.2026', '03.04.2026'])).toEqual(['dmy']);
    expect(dateOrdersIn(['2026-05-14', ''])).toContain('ymd');
  });
});

describe('headers', () => {
  const entries = GARDEN_TABLES.find(({ id }) => id === 'entries')!;
  const at = (header: string) => entries.columns.findIndex((column) => column.header === header);

  it('are found by what people call them, each once', () => {
    const mapped = mapColumns(entries, ['When', 'Plot', 'What', 'How much', 'Units', 'Remark', 'Weekday']);
    const found = (header: string) => mapped[at(header)];
    expect([
      found('date'),
      found('bed'),
      found('material'),
      found('amount'),
      found('unit'),
      found('note'),
    ]).toEqual([0, 1, 2, 3, 4, 5]);
    expect(mapped.filter((one) => one === 6)).toEqual([]);
  });

  it.each([
    ['Dug depth (in)', 'dug_depth_cm', 'in'],
    ['dug_depth_cm', 'dug_depth_cm', 'cm'],
    ['Dug in, mm', 'dug_depth_cm', 'mm'],
    ['Water [l/m2]', 'water_mm', 'mm'],
    ['share taken off (%)', 'share_taken_off', '%'],
  ])('%s is in %s', (header, column, unit) => {
    expect(unitIn(header, entries.columns[at(column)])?.name).toBe(unit);
  });

  it('say nothing of a unit that is none', () => {
    expect(unitIn('Dug depth (furlongs)', entries.columns[at('dug_depth_cm')])).toBeNull();
  });
  it('read every unit of the fields on screen, by its symbol and its name', () => {
    for (const quantity of ['length', 'area', 'temperature', 'waterDepth', 'share'] as const) {
      const column = { field: 'any', header: 'any', kind: 'number', quantity } as const;
      for (const { symbol, spellings } of QUANTITIES[quantity].units) {
        for (const word of [symbol, ...spellings]) {
          expect(unitIn(`Measured (${word})`, column), `${quantity} ${word}`).not.toBeNull();
        }
      }
    }
  });

  it('make what is kept without a trace of the conversion', () => {
    const kept = (header: string, quantity: 'temperature' | 'waterDepth' | 'length', figure: number) =>
      unitIn(header, { field: 'any', header: 'any', kind: 'number', quantity })!.toKept(figure);
    expect([kept('T (F)', 'temperature', 50), kept('T (F)', 'temperature', 68)]).toEqual([10, 20]);
    expect(kept('Rain (in)', 'waterDepth', 0.5)).toBe(12.7);
    expect(kept('Depth (ft)', 'length', 1)).toBe(30.48);
  });

  it.each([
    ['Depth (inches)', 'length', 'in'],
    ['Depth in feet', 'length', 'ft'],
    ['Size [acres]', 'area', 'acre'],
    ['Size (square feet)', 'area', 'ft2'],
    ['Mean, °F', 'temperature', 'F'],
    ['Moisture (percent)', 'share', '%'],
  ] as const)('%s is read as %s in %s', (header, quantity, unit) => {
    const column = { field: 'any', header: 'any', kind: 'number', quantity } as const;
    expect(unitIn(header, column)?.name).toBe(unit);
  });
});

it.each([
  ['yes', true],
  ['X', true],
  ['0', false],
  ['No', false],
])('%s is %s', (text, value) => {
  expect(booleanCell(text)).toEqual({ value });
  expect(booleanCell(`${text}?`)).toHaveProperty('trouble');
});
