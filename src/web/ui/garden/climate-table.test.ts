import { describe, expect, it } from 'vitest';
import { readClimateTable } from './climate-table.ts';

const T = [3.4, 3.6, 5.1, 7.3, 11, 13.9, 16, 16, 13.5, 10.2, 6.1, 4.6];
const P = [74, 59, 62, 51, 52, 57, 34, 55, 58, 56, 75, 71];
const NAMES = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const close = (got: readonly number[] | undefined, wanted: readonly number[]) => {
  expect(got).toHaveLength(12);
  wanted.forEach((value, i) => expect(got![i]).toBeCloseTo(value, 1));
};

describe('months pasted from anywhere', () => {
  it('are a row, apart by tabs, semicolons, commas or spaces', () => {
    for (const between of ['\t', ';', ', ', '  ', ' ']) {
      close(readClimateTable(T.join(between), 'metric').temperatureC, T);
    }
  });

  it('are a column, with or without the months', () => {
    close(readClimateTable(T.join('\n'), 'metric').temperatureC, T);
    close(readClimateTable(NAMES.map((name, i) => `${name}\t${T[i]}`).join('\n'), 'metric').temperatureC, T);
  });

  it('are two rows: temperature, then rain', () => {
    const found = readClimateTable(`${T.join('\t')}\n${P.join('\t')}`, 'metric');
    close(found.temperatureC, T);
    close(found.rainMm, P);
  });

  it('are named rows in any order, in Fahrenheit and inches, with the year at the end', () => {
    const inF = [...T.map((c) => (c * 1.8 + 32).toFixed(1)), '48.9'];
    const inInches = [...P.map((mm) => (mm / 25.4).toFixed(2)), '27.7'];
    const table = [
      ['Month', ...NAMES, 'Year'],
      ['Average precipitation inches (mm)', ...inInches],
      ['Average rainy days', ...Array<string>(13).fill('10')],
      ['Daily mean °F (°C)', ...inF],
    ];
    const found = readClimateTable(table.map((row) => row.join('\t')).join('\n'), 'metric');
    close(found.temperatureC, T);
    found.rainMm!.forEach((mm, i) => expect(Math.abs(mm - P[i])).toBeLessThan(0.2));
  });

  it('have figures in both units in one cell, and a typographic minus', () => {
    const cells = T.map((c) => `−${c} (${(32 - c * 1.8).toFixed(1)})`);
    close(
      readClimateTable(['Daily mean °C (°F)', ...cells].join('\t'), 'metric').temperatureC,
      T.map((c) => -c),
    );
  });

  it('give the middle of highs and lows where no mean is given', () => {
    const high = ['Mean daily maximum °C', ...T.map((c) => c + 4)].join('\t');
    const low = ['Mean daily minimum °C', ...T.map((c) => c - 4)].join('\t');
    close(readClimateTable(`${high}\n${low}`, 'metric').temperatureC, T);
    const mean = ['Daily mean °C', ...T.map((c) => c + 1)].join('\t');
    close(
      readClimateTable(`${high}\n${mean}\n${low}`, 'metric').temperatureC,
      T.map((c) => c + 1),
    );
  });

  it('are columns under names', () => {
    const lines = NAMES.map((name, i) => `${name}\t${P[i]}\t${T[i]}`);
    const found = readClimateTable(['\tRain (mm)\tTemp (°C)', ...lines].join('\n'), 'metric');
    close(found.temperatureC, T);
    close(found.rainMm, P);
  });

  it('begin with July and are put in order', () => {
    const turned = <Value>(all: readonly Value[]) => [...all.slice(6), ...all.slice(0, 6)];
    const table = `Month\t${turned(NAMES).join('\t')}\nMean temp\t${turned(T).join('\t')}`;
    close(readClimateTable(table, 'metric').temperatureC, T);
  });

  it('are in the units of the reader when none is told, and in F when no place is so hot', () => {
    const inF = T.map((c) => c * 1.8 + 32).join(' ');
    close(readClimateTable(inF, 'customary').temperatureC, T);
    close(readClimateTable(inF, 'metric').temperatureC, T);
  });

  it('are nothing when there are no twelve', () => {
    expect(readClimateTable('warm in summer', 'metric')).toEqual({});
    expect(readClimateTable('1 2 3', 'metric')).toEqual({});
    expect(readClimateTable('', 'metric')).toEqual({});
  });
});
