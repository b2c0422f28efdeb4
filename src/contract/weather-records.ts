import { z } from 'zod';
import { creation, date, filed, finite, id, stamp } from './fields.ts';

/** Weather of a day as a station measured it; bounds are those of the places where people garden. */
const weatherFields = {
  date,
  temperatureC: finite.min(-60).max(55),
  rainMm: finite.min(0).max(600),
  evapotranspirationMm: finite.min(0).max(25).nullable().default(null),
};
export const weatherRow = z.strictObject({ ...creation, ...weatherFields });
export const weatherFiled = z.strictObject({ ...filed, ...weatherFields });
export const weatherRecord = z.object({ ...stamp, gardenId: id, ...weatherFields });
export type WeatherRow = z.infer<typeof weatherRow>;
export type WeatherRecord = z.infer<typeof weatherRecord>;
