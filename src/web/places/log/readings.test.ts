import { describe, expect, it } from 'vitest';
import { measuresOf } from '../../../words/measures.ts';
import { soilTemperatureOf, thicknessOf, wateringOf, yieldOf } from './readings.ts';

const METRIC = measuresOf({ measures: 'metric' });
const CUSTOMARY = measuresOf({ measures: 'customary' });

describe('a figure as typed', () => {
  it('is soil temperature in the degrees of the garden', () => {
    expect(soilTemperatureOf(12, METRIC)).toEqual({ type: 'soilTemperature', temperatureC: 12 });
    expect(soilTemperatureOf(50, CUSTOMARY)).toMatchObject({ temperatureC: 10 });
  });

  it('that no soil has is refused before it is sent: 77 degrees C, but not 77 degrees F', () => {
    expect(soilTemperatureOf(77, METRIC)).toBeNull();
    expect(soilTemperatureOf(77, CUSTOMARY)).toMatchObject({ temperatureC: 25 });
    expect(soilTemperatureOf(141, CUSTOMARY)).toBeNull();
    expect(soilTemperatureOf(Number.NaN, METRIC)).toBeNull();
  });

  it('is what is left of a layer, or of all of them', () => {
    expect(thicknessOf(4, 'chips', METRIC)).toEqual({
      type: 'thickness',
      layerId: 'chips',
      thicknessCm: 4,
    });
    expect(thicknessOf(2, null, CUSTOMARY)).toMatchObject({ layerId: null, thicknessCm: 5.08 });
    expect(thicknessOf(0, null, METRIC)).not.toBeNull();
    expect(thicknessOf(151, null, METRIC)).toBeNull();
    expect(thicknessOf(60, null, CUSTOMARY)).toBeNull();
  });

  it('is a harvest, which is more than nothing', () => {
    expect(yieldOf(3, METRIC)).toEqual({ type: 'yield', massKg: 3 });
    expect(yieldOf(10, CUSTOMARY)).toMatchObject({ massKg: expect.closeTo(4.5359237, 9) as number });
    expect(yieldOf(0, METRIC)).toBeNull();
  });

  it('is water over the area of a bed', () => {
    expect(wateringOf(20, 8, METRIC)).toEqual({ litres: 20, waterMm: 2.5 });
    expect(wateringOf(2, 8, CUSTOMARY)?.litres).toBeCloseTo(7.5708, 4);
    expect(wateringOf(0, 8, METRIC)).toBeNull();
    expect(wateringOf(4001, 8, METRIC)).toBeNull();
  });
});
