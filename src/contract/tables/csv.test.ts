import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { asCsv, asWritten } from './csv.ts';

const DANGEROUS = ['=HYPERLINK("http://x","y")', '@SUM(A1:A9)', '+cmd', '-cmd', '\t=1', '\r=1'];

describe('a table as CSV', () => {
  it('runs nothing that somebody wrote, and comes back as it was written', () => {
    const rows = DANGEROUS.map((text) => [text, -3.5]);
    const csv = asCsv({ fields: ['name', 'change'], data: rows });
    const cells = Papa.parse<string[]>(csv, { newline: '\r\n' }).data.slice(1);
    for (const [name] of cells) expect(name).toMatch(/^'/);
    const back = Papa.parse<string[]>(csv, { newline: '\r\n', transform: asWritten }).data.slice(1);
    expect(back.map(([name]) => name)).toEqual(DANGEROUS);
    expect(back.map(([, change]) => change)).toEqual(DANGEROUS.map(() => '-3.5'));
  });

  it('leaves names alone that begin with a quotation mark of their own', () => {
    expect(asWritten("'Gravenhill' bed")).toBe("'Gravenhill' bed");
    expect(asWritten("'=1")).toBe('=1');
  });
});
