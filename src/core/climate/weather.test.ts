import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumberFromIso, daysInMonth } from './calendar.ts';
import { isSouthern } from './climate.ts';
import { CLIMATE_PATTERNS } from './patterns.ts';
import { q10Modifier } from './modifiers.ts';
import { airTemperatureC, weatherSeries } from './weather.ts';

const RULES = { rainGapDays: 4, frozenC: -5, temperatureModifierCap: 6 };

describe('days from monthly normals', () => {
  it.each(CLIMATE_PATTERNS.map((pattern) => [pattern.id, pattern] as const))(
    '%s has twelve months of each, and a source',
    (_, pattern) => {
      for (const list of [pattern.temperatureC, pattern.rainMm, pattern.evapotranspirationMm])
        expect(list).toHaveLength(12);
      expect(pattern.source).not.toBe('');
    },
  );

  it('know which side of the equator they are on', () => {
    expect(CLIMATE_PATTERNS.map((pattern) => isSouthern(pattern))).toEqual(
      CLIMATE_PATTERNS.map(({ id }) => id.startsWith('southern')),
    );
  });

  it('gather the rain and lose none of it but what still waits to fall', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 700_000, max: 760_000 }),
        fc.integer({ min: 30, max: 900 }),
        (first, days) => {
          const [climate] = CLIMATE_PATTERNS;
          const series = weatherSeries(climate, first, days, RULES);
          const fallen = series.rainMm.reduce((sum, mm) => sum + mm, 0);
          const expected = series.month.reduce((sum, month) => sum + climate.rainMm[month - 1] / 30.4, 0);
          expect(Math.abs(fallen / expected - 1)).toBeLessThan(0.2);
          series.rainMm.forEach((mm, i) => {
            if ((first + i) % RULES.rainGapDays !== 0) expect(mm).toBe(0);
          });
        },
      ),
      { numRuns: 30 },
    );
  });

  it('doubles with every ten degrees what a Q10 of 2 governs', () => {
    expect([5, 15, 25].map(q10Modifier)).toEqual([0.5, 1, 2]);
  });

  it('rain on the same days whenever the run starts', () => {
    const [climate] = CLIMATE_PATTERNS;
    const early = weatherSeries(climate, 738_000, 100, RULES);
    const late = weatherSeries(climate, 738_040, 60, RULES);
    expect([...late.temperatureModifier]).toEqual([...early.temperatureModifier.slice(40)]);
    expect([...late.q10Modifier]).toEqual([...early.q10Modifier.slice(40)]);
    expect([...late.rainMm.slice(4)]).toEqual([...early.rainMm.slice(44)]);
  });

  it('meet the monthly mean on the 15th and change without a jump', () => {
    const [climate] = CLIMATE_PATTERNS;
    const midMarch = 738_000 + ((74 - (738_000 % 365)) % 365);
    let largest = 0;
    for (let day = midMarch; day < midMarch + 366; day++) {
      largest = Math.max(
        largest,
        Math.abs(airTemperatureC(climate, day + 1) - airTemperatureC(climate, day)),
      );
    }
    expect(largest).toBeLessThan(0.25);
    expect([daysInMonth(2024, 2), daysInMonth(2023, 2), daysInMonth(1900, 2), daysInMonth(2000, 2)]).toEqual([
      29, 28, 28, 29,
    ]);
  });

  it('give way to days that were measured, and to nothing else', () => {
    const [climate] = CLIMATE_PATTERNS;
    const first = dayNumberFromIso('2026-03-01', []);
    const normal = weatherSeries(climate, first, 31, RULES);
    const measured = weatherSeries(climate, first, 31, RULES, [
      { date: '2026-03-10', temperatureC: 21, rainMm: 17.5, evapotranspirationMm: null },
      { date: '2026-03-11', temperatureC: 2, rainMm: 0, evapotranspirationMm: 0.4 },
      { date: '2027-01-01', temperatureC: 2, rainMm: 0, evapotranspirationMm: 0.4 },
    ]);
    expect([measured.rainMm[9], measured.rainMm[10]]).toEqual([17.5, 0]);
    expect(measured.evapotranspirationMm[9]).toBe(normal.evapotranspirationMm[9]);
    expect(measured.evapotranspirationMm[10]).toBe(0.4);
    expect(measured.q10Modifier[9]).toBe(q10Modifier(21));
    for (const i of [0, 5, 8, 11, 30]) {
      expect(measured.q10Modifier[i]).toBe(normal.q10Modifier[i]);
      expect(measured.evapotranspirationMm[i]).toBe(normal.evapotranspirationMm[i]);
    }
  });
});
