/* The ground: units, numbers, climate, crops and materials. It knows nothing of beds. */

// climate
export {
  type DayNumber,
  calendarDateOf,
  dayNumberFromIso,
  dayNumberOf,
  isoDateOf,
} from './climate/calendar.ts';
export { checkClimate } from './climate/check-climate.ts';
export { isSouthern } from './climate/climate.ts';
export { evapotranspirationMm } from './climate/evapotranspiration.ts';
export { type FrostDates, frostDates, frostFrom, frostUntil, nightlyMinimumC } from './climate/frost.ts';
export {
  COLD_SOIL_BELOW_C,
  type GroundWarning,
  HEAVY_CLAY_FROM_PCT,
  groundWarnings,
  isWetMonth,
  nextSeasonDay,
} from './climate/ground.ts';
export {
  clayFactor,
  maximumDeficitPer23Cm,
  moistureModifier,
  respiredPerKept,
  temperatureModifier,
} from './climate/modifiers.ts';
export { koppenClass } from './climate/koppen.ts';
export { CLIMATE_PATTERNS, type ClimatePattern } from './climate/patterns.ts';
export { LARGEST_SEED, SEEDED_WEATHER_DEFAULTS, type SeededWeather } from './climate/seeded-weather.ts';
export { STATIONS, type Station, atElevation, nearestStations, normalsOf } from './climate/stations.ts';
export { type WeatherSeries, airTemperatureC, sumOverDays, weatherSeries } from './climate/weather.ts';

// crops
export {
  type ClimateObstacle,
  type YoungPlant,
  climateObstacle,
  startMonths,
  youngPlantOf,
} from './crops/crop-climate.ts';
export {
  CROP_GROUPS,
  CROP_LIBRARY,
  STARTS_BETWEEN_C,
  type Crop,
  type CropGroup,
  DEEPEST_COVER_CM,
  type PlantForm,
  demandRange,
  findLibraryCrop,
} from './crops/crop-library.ts';
export { findCrop, ownCrop } from './crops/own-crop.ts';

// materials
export { MATERIAL_EFFECTS, type MaterialEffect, effectOf } from './materials/effect.ts';
export { LOADS_APART, type Chemistry, chemistryOf } from './materials/chemistry.ts';
export { checkMaterial } from './materials/check-material.ts';
export type { FindMaterial } from './materials/find-material.ts';
export { asMeasured } from './materials/lab-result.ts';
export { MATERIAL_LIBRARY, findLibraryMaterial } from './materials/library.ts';
export {
  CHAR_MAJORITY_SHARE,
  type CarbonPools,
  type LibraryMaterial,
  MATERIAL_DEFAULTS,
  MULCH_KINDS,
  type Material,
  type MaterialKind,
  type MaterialTrait,
  type ParticleSize,
  carbonToNitrogenRatio,
  hasTrait,
} from './materials/material.ts';
export { phosphorusFractionDryBasis, potassiumFractionDryBasis } from './materials/nutrients.ts';
export { ownMaterial } from './materials/own-material.ts';
export { woodChipMaterial } from './materials/wood-chips.ts';

// numerics
export { bracketedRoot } from './numerics/bracketed-root.ts';
export { lostShare } from './numerics/exponential-loss.ts';
export { clamp, smoothStep } from './numerics/interpolation.ts';
export {
  type LinearProgram,
  type LinearRow,
  type LinearVariable,
  type SolveLinearProgram,
  linearProgramText,
} from './numerics/linear-program.ts';
export { bandShares, correlationOfRanks, quantileSorted, ranksOf } from './numerics/ranks.ts';
export { seededStream, triangular } from './numerics/seeded-stream.ts';
export { lognormalFactor, normalDraw, shareBelow } from './numerics/spreads.ts';
export { total } from './numerics/total.ts';

// units
export { amountFromMassFreshKg, isDepthUnit, massFreshKgFromAmount } from './units/amount.ts';
export {
  SQUARE_METRES_PER_SQUARE_FOOT,
  squareFeetFromSquareMetres,
  squareMetresFromSquareFeet,
} from './units/area.ts';
export {
  CENTIMETRES_PER_FOOT,
  CENTIMETRES_PER_INCH,
  CENTIMETRES_PER_METRE,
  centimetresFromInches,
  inchesFromCentimetres,
} from './units/length.ts';
export { GRAMS_PER_OUNCE, KILOGRAMS_PER_POUND, ouncesFromGrams, poundsFromKilograms } from './units/mass.ts';
export { G_PER_M2_PER_KG_PER_HA, type SampledSoil, mineralNitrogenGPerM2 } from './units/soil-nitrogen.ts';
export { celsiusFromFahrenheit, fahrenheitFromCelsius } from './units/temperature.ts';
export {
  LITRES_PER_CUBIC_FOOT,
  LITRES_PER_CUBIC_METRE,
  LITRES_PER_CUBIC_YARD,
  LITRES_PER_CUP,
  LITRES_PER_CUSTOMARY_BARROW,
  LITRES_PER_CUSTOMARY_BUCKET,
  LITRES_PER_GALLON,
  LITRES_PER_METRIC_BARROW,
  LITRES_PER_METRIC_BUCKET,
  LITRES_PER_QUART,
  LITRES_PER_TABLESPOON,
  LITRES_PER_TEASPOON,
} from './units/volume.ts';
