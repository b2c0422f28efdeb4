import { z } from 'zod';
import { creation, date, field, filed, finite, id, stamp } from './fields.ts';
import type { Unchanging } from './shapes.ts';

/** Weather of a day as a station measured it; bounds are those of the places where people garden. */
export const weatherFields = {
  date,
  /** Mean of the day. */
  temperatureC: field(finite.min(-60).max(55), {
    quantity: 'temperature',
    also: ['temperature', 'temp', 'mean temperature', 'tavg', 't mean'],
  }),
  rainMm: field(finite.min(0).max(600), {
    quantity: 'waterDepth',
    also: ['rain', 'precipitation', 'rainfall', 'precip'],
  }),
  /** Null where the station does not work it out: the normal then stands. */
  evapotranspirationMm: field(finite.min(0).max(25).nullable().default(null), {
    quantity: 'waterDepth',
    also: ['evapotranspiration', 'et0', 'et', 'pet', 'evaporation'],
    empty: null,
  }),
};
export const weatherRow = z.strictObject({ ...creation, ...weatherFields });
export const weatherFiled = z.strictObject({ ...filed, ...weatherFields });
export const weatherRecord = z.object({ ...stamp, gardenId: id, ...weatherFields });
export type WeatherRecord = z.infer<typeof weatherRecord>;

/** What a station measured on one day, as the model reads it. */
export type MeasuredDay = Unchanging<z.infer<z.ZodObject<typeof weatherFields>>>;
