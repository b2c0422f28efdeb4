import { describe, expect, it } from 'vitest';
import { CLIMATE_PATTERNS } from '../../../core/ground/index.ts';
import { readerOf, retyped } from '../forms/typed-quantity.ts';
import { climateFigures, climateInUnits, readClimate, typedClimate } from './climate-form.ts';

const METRIC = readerOf('metric');
const CUSTOMARY = readerOf('customary');

describe('twelve months of climate in their fields', () => {
  it.each(CLIMATE_PATTERNS.map((pattern) => [pattern.id, pattern] as const))(
    'give %s back to the last bit, in either system and changed from one to the other',
    (_, pattern) => {
      const { temperatureC, rainMm, evapotranspirationMm } = pattern;
      const typed = typedClimate(pattern, METRIC);
      const inInches = climateInUnits(typed, METRIC, CUSTOMARY);
      for (const [months, reader] of [[typed, METRIC] as const, [inInches, CUSTOMARY] as const]) {
        expect(climateFigures(months, reader)).toEqual({ temperatureC, rainMm, evapotranspirationMm });
      }
    },
  );

  it('read inches and degrees F in a garden that measures so', () => {
    const typed = typedClimate(CLIMATE_PATTERNS[0], CUSTOMARY);
    const changed = {
      ...typed,
      temperatureC: typed.temperatureC.map((month) => retyped(month, '50')),
      rainMm: typed.rainMm.map((month) => retyped(month, '2')),
    };
    const { temperatureC, rainMm } = climateFigures(changed, CUSTOMARY);
    expect(temperatureC).toEqual(Array(12).fill(10));
    expect(rainMm).toEqual(Array(12).fill(50.8));
  });

  it('say which month is wrong', () => {
    const typed = typedClimate(CLIMATE_PATTERNS[0], METRIC);
    const read = readClimate(
      { ...typed, rainMm: typed.rainMm.with(3, retyped(typed.rainMm[3], 'wet')) },
      METRIC,
    );
    const wrong = Object.entries(read).filter(([, { ok }]) => !ok);
    expect(wrong.map(([field]) => field)).toEqual(['climate.rainMm.3']);
  });
});
