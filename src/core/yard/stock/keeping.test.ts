import { KEEPINGS } from '../../../records/vocabulary.ts';
import type { Treatment } from '../../../records/lot.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { airTemperatureC } from '../../ground/climate/weather.ts';
import { defaultParameters } from '../../model/simulation/parameters.ts';
import {
  airFactor,
  heapTemperatureC,
  moistureFactor,
  moistureNextDay,
  restingMoisture,
  selfHeatingC,
} from './keeping.ts';

const DAY = dayNumberFromIso('2026-05-14', []);
const JANUARY = dayNumberFromIso('2026-01-15', []);
const JULY = dayNumberFromIso('2026-07-15', []);
const still: Treatment = { keeping: 'covered', isTurned: false, isHot: false };

describe('moisture of a lot', () => {
  it('stays under a cover, dries under a roof, follows rain in the open', () => {
    expect(restingMoisture('covered', MILD, DAY)).toBeNull();
    expect(restingMoisture('shut', MILD, DAY)).toBeNull();
    expect(restingMoisture('roofed', MILD, DAY)).toBeLessThan(0.3);
    expect(restingMoisture('open', MILD, JANUARY)).toBeGreaterThan(restingMoisture('open', MILD, JULY)!);
    expect(moistureNextDay(0.5, null)).toBe(0.5);
  });
  it('nears where it is drawn to and never passes it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.constantFrom(...KEEPINGS),
        (start, keeping) => {
          const resting = restingMoisture(keeping, MILD, JULY);
          let moisture = start;
          for (let i = 0; i < 400; i++) moisture = moistureNextDay(moisture, resting);
          if (resting === null) expect(moisture).toBe(start);
          else
            expect(Math.abs(moisture - resting)).toBeLessThanOrEqual(
              Math.abs(start - resting) * 0.01 + 1e-12,
            );
        },
      ),
    );
  });
  it('slows decay when too dry or too wet, and not between', () => {
    expect([0.05, 0.12].map(moistureFactor)).toEqual([0, 0]);
    expect([0.4, 0.5, 0.65].map(moistureFactor)).toEqual([1, 1, 1]);
    expect(moistureFactor(0.8)).toBeCloseTo(0.4, 12);
    expect(moistureFactor(0.26)).toBeCloseTo(0.5, 12);
  });
});

describe('air and warmth of a lot', () => {
  it('turning lets air in, a lid keeps it out', () => {
    const p = defaultParameters;
    expect(airFactor({ ...still, isTurned: true }, p)).toBeGreaterThan(airFactor(still, p));
    expect(airFactor({ ...still, keeping: 'shut' }, p)).toBeCloseTo(airFactor(still, p) / 2, 12);
  });
  it('is the air’s for a cold heap, and heats and cools for a hot one', () => {
    const at = (day: number, treatment = still, readings: { day: number; temperatureC: number }[] = []) =>
      heapTemperatureC({ climate: MILD, day, treatment, heatingFrom: DAY, readings, p: defaultParameters });
    const air = (day: number) => airTemperatureC(MILD, day);
    expect(at(DAY + 10)).toBe(air(DAY + 10));
    const hot = { ...still, isHot: true };
    const excess = (days: number) => at(DAY + days, hot) - air(DAY + days);
    expect(excess(0)).toBe(0);
    expect(excess(7)).toBeCloseTo(selfHeatingC(7, defaultParameters), 9);
    expect(excess(3)).toBeGreaterThan(40);
    expect(excess(14)).toBeGreaterThan(38);
    expect(excess(60)).toBeLessThan(5);
    const summed = Array.from({ length: 400 }, (_, day) => selfHeatingC(day, defaultParameters));
    const ofPileMode = defaultParameters.pileHeatingC * defaultParameters.pileCoolingDays;
    expect(summed.reduce((sum, one) => sum + one, 0) / ofPileMode).toBeCloseTo(1.25, 1);
  });
  it('goes by the probe between readings, fades after the last, and forgets those before it was made anew', () => {
    const readings = [
      { day: DAY + 2, temperatureC: 60 },
      { day: DAY + 6, temperatureC: 50 },
    ];
    const at = (day: number, from = DAY) =>
      heapTemperatureC({
        climate: MILD,
        day,
        treatment: still,
        heatingFrom: from,
        readings,
        p: defaultParameters,
      });
    expect(at(DAY + 2)).toBeCloseTo(60, 9);
    expect(at(DAY + 4)).toBeGreaterThan(54);
    expect(at(DAY + 4)).toBeLessThan(56);
    expect(at(DAY + 46)).toBeLessThan(at(DAY + 10));
    expect(at(DAY + 4, DAY + 3)).toBe(airTemperatureC(MILD, DAY + 4));
    const farApart = [readings[0], { day: DAY + 60, temperatureC: 55 }];
    const between = heapTemperatureC({
      climate: MILD,
      day: DAY + 40,
      treatment: still,
      heatingFrom: DAY,
      readings: farApart,
      p: defaultParameters,
    });
    expect(between).toBeLessThan(45);
  });
});
