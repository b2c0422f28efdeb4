import { daysInMonth } from '../../../records/iso-date.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from './calendar.ts';
import { isSouthern } from './climate.ts';
import { CLIMATE_PATTERNS } from './patterns.ts';
import { q10Modifier } from './modifiers.ts';
import { monthAnomaly, SEEDED_WEATHER_DEFAULTS } from './seeded-weather.ts';
import { airTemperatureC, weatherSeries } from './weather.ts';

const RULES = { rainGapDays: 4, frozenC: -5, temperatureModifierCap: 6, frostFactor: 0.3 };

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
    expect([...late.surfaceModifier]).toEqual([...early.surfaceModifier.slice(40)]);
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
    const measured = weatherSeries(climate, first, 31, RULES, {
      measured: [
        { date: '2026-03-10', temperatureC: 21, rainMm: 17.5, evapotranspirationMm: null },
        { date: '2026-03-11', temperatureC: 2, rainMm: 0, evapotranspirationMm: 0.4 },
        { date: '2027-01-01', temperatureC: 2, rainMm: 0, evapotranspirationMm: 0.4 },
      ],
    });
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

describe('seeded weather', () => {
  const rothamsted = CLIMATE_PATTERNS.find(({ id }) => id === 'cool_temperate')!;
  const seeded = (seed: number) => ({ seed, ...SEEDED_WEATHER_DEFAULTS });
  const dayOf = (iso: string) => dayNumberFromIso(iso, []);
  const on = (iso: string, seed: number) => {
    const series = weatherSeries(
      rothamsted,
      dayOf(iso),
      1,
      { ...RULES, rainGapDays: 1 },
      { seeded: seeded(seed) },
    );
    return [series.airC[0], series.rainMm[0], series.evapotranspirationMm[0]];
  };
  it('is the weather of the verification values', () => {
    const january = monthAnomaly(seeded(7), 2021, 1);
    expect(january.temperatureC).toBeCloseTo(-0.710557473, 8);
    expect(january.logRain).toBeCloseTo(-0.6653653462, 8);
    const december = monthAnomaly(seeded(2_147_483_647), 2022, 12);
    expect(december.temperatureC).toBeCloseTo(2.132101364, 8);
    expect(december.logRain).toBeCloseTo(-0.04704920051, 8);
    [3.50273456, 1.227172254, 0.2073643554].forEach((value, i) =>
      expect(on('2021-01-01', 7)[i]).toBeCloseTo(value, 7),
    );
    [16.4962783, 1.224179295, 2.520185833].forEach((value, i) =>
      expect(on('2021-07-20', 7)[i]).toBeCloseTo(value, 7),
    );
  });
  it('leaves the long mean where it was, and makes wet and dry winters', () => {
    const series = weatherSeries(rothamsted, dayOf('2021-01-01'), 365 * 60, RULES, { seeded: seeded(3) });
    const normal = weatherSeries(rothamsted, dayOf('2021-01-01'), 365 * 60, RULES);
    const sum = (values: Float64Array) => values.reduce((all, one) => all + one, 0);
    expect(Math.abs(sum(series.airC) - sum(normal.airC)) / series.airC.length).toBeLessThan(0.25);
    expect(Math.abs(sum(series.rainMm) / sum(normal.rainMm) - 1)).toBeLessThan(0.08);
    const winters = Array.from({ length: 50 }, (_, y) => sum(series.rainMm.subarray(y * 365, y * 365 + 90)));
    expect(Math.max(...winters) / Math.min(...winters)).toBeGreaterThan(1.5);
  });
  it('gives way to days that were measured', () => {
    const day = dayOf('2026-03-10');
    const series = weatherSeries(rothamsted, day, 2, RULES, {
      seeded: seeded(5),
      measured: [{ date: '2026-03-10', temperatureC: 21, rainMm: 17.5, evapotranspirationMm: 2 }],
    });
    expect([series.airC[0], series.rainMm[0], series.evapotranspirationMm[0]]).toEqual([21, 17.5, 2]);
    expect(series.airC[1]).toBeLessThan(15);
  });
  it('lies under snow when it freezes', () => {
    const frozen = { ...rothamsted, temperatureC: Array<number>(12).fill(-10) };
    const series = weatherSeries(frozen, dayOf('2026-01-01'), 1, RULES);
    expect([series.airC[0], series.surfaceC[0], series.yearlySurfaceC]).toEqual([-10, -3, -3]);
  });
});
