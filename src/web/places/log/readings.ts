import {
  celsiusFromFahrenheit,
  centimetresFromInches,
  KILOGRAMS_PER_POUND,
  LITRES_PER_GALLON,
} from '../../../core/ground/index.ts';
import { waterMm } from '../../../records/entry.ts';
import { observedShape, type Observed } from '../../../records/journal.ts';
import type { Measures } from '../../../words/measures.ts';

/** Figures as typed, in the units of the garden, made into what the records hold; null where they cannot hold it. */

export const isMetric = ({ depthUnit }: Measures): boolean => depthUnit === 'cm';

const held = (observed: Observed): Observed | null =>
  observedShape.safeParse(observed).success ? observed : null;

/** Soil temperature typed in degrees C or F. */
export const soilTemperatureOf = (figure: number, measures: Measures): Observed | null =>
  held({
    type: 'soilTemperature',
    temperatureC: isMetric(measures) ? figure : celsiusFromFahrenheit(figure),
  });

/** A harvest typed in kilograms or pounds. */
export const yieldOf = (figure: number, measures: Measures): Observed | null =>
  held({ type: 'yield', massKg: isMetric(measures) ? figure : figure * KILOGRAMS_PER_POUND });

/** What is left of a layer, or of all of them when `layerId` is null, typed in centimeters or inches. */
export const thicknessOf = (figure: number, layerId: string | null, measures: Measures): Observed | null =>
  held({
    type: 'thickness',
    layerId,
    thicknessCm: isMetric(measures) ? figure : centimetresFromInches(figure),
  });

/** Water given to a bed, typed in liters or gallons. */
export function wateringOf(
  figure: number,
  areaM2: number,
  measures: Measures,
): { readonly litres: number; readonly waterMm: number } | null {
  const litres = isMetric(measures) ? figure : figure * LITRES_PER_GALLON;
  const water = litres / areaM2;
  return waterMm.safeParse(water).success ? { litres, waterMm: water } : null;
}
