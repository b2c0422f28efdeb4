import { z } from 'zod';
import { date } from '../records/fields.ts';

/** A day as a station sends it; figures may be missing or absurd, so each is checked by itself later. */
export const stationDays = z.object({
  days: z.array(z.record(z.string(), z.unknown())).max(5000),
});

/** What was read off a station, and what was left out of it. */
export interface StationReading {
  readonly days: readonly {
    readonly date: string;
    readonly temperatureC: number;
    readonly rainMm: number;
    readonly evapotranspirationMm: number | null;
  }[];
  readonly leftOut: readonly { readonly date: string; readonly sentence: string }[];
}

export const weatherSpan = z.strictObject({ from: date, until: date });
