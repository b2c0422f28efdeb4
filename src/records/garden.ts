import { z } from 'zod';
import { creation, field, filed, finite, id, name, note, stamp, version } from './fields.ts';
import type { Unchanging } from './shapes.ts';
import { MEASURES, SCHOOLS } from './vocabulary.ts';
import type { MeasuredDay } from './weather.ts';

const MONTHS = 12;

/** Twelve monthly normals, January first; temperature is the mean of the air, evapotranspiration that of a green cover. */
export const climateNormals = z.strictObject({
  temperatureC: z.array(finite.min(-60).max(60)).length(MONTHS),
  rainMm: z.array(finite.min(0).max(2000)).length(MONTHS),
  evapotranspirationMm: z.array(finite.min(0).max(1000)).length(MONTHS),
});
export type ClimateNormals = Unchanging<z.infer<typeof climateNormals>>;

const price = finite.min(0).max(1e6).nullable();
/** What its owner pays, in a money of their own. */
export const gardenPrices = z.strictObject({
  nitrogenPerKg: price,
  phosphorusPerKg: price,
  potassiumPerKg: price,
  hour: price,
  /** A cubic meter of compost, manure, straw or card, brought. */
  boughtInPerM3: price.default(null),
});
export type GardenPrices = Unchanging<z.infer<typeof gardenPrices>>;

const MOST_LETTERS = 120;
/** Where a garden lies and whose months it goes by; the latitude gives what evaporates. */
export const gardenLocation = z.strictObject({
  latitudeDeg: finite.min(-90).max(90),
  longitudeDeg: finite.min(-180).max(180).nullable(),
  elevationM: finite.min(-450).max(6000).nullable(),
  /** The station its months are from; empty when they are its own. */
  station: z.string().max(MOST_LETTERS),
});
export type GardenLocation = Unchanging<z.infer<typeof gardenLocation>>;

export const gardenFields = {
  name,
  place: note,
  climate: climateNormals,
  /** Null when it was not told. */
  location: gardenLocation.nullable().default(null),
  depositionGPerM2Year: field(finite.min(0).max(20), { label: 'nitrogen from rain and air' }),
  measures: z.enum(MEASURES),
  school: z.enum(SCHOOLS).default('byDepth'),
  /** The product that beds are fed with, or `FEED_FROM_STOCK`. */
  feedMaterialId: id.default('feather_meal'),
  /** Null when none was given. */
  prices: gardenPrices.nullable().default(null),
};
export const gardenDraft = z.strictObject({ ...creation, ...gardenFields });
export const gardenChange = z.strictObject({ version, ...gardenFields });
export const gardenRecord = z.object({ ...stamp, ...gardenFields });
export const gardenFiled = z.strictObject({ ...filed, ...gardenFields });
export type GardenChange = z.infer<typeof gardenChange>;
export type GardenDraft = z.infer<typeof gardenDraft>;
export type GardenRecord = z.infer<typeof gardenRecord>;

/** Where the beds lie, as far as the model asks: the weather, and what it brings. */
export interface Site {
  readonly climate: ClimateNormals;
  readonly weather?: readonly MeasuredDay[];
  readonly depositionGPerM2Year: number;
}
