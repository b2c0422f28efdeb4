import { InputError } from '../refusals/input-error.ts';
import { PARAMETER_CLASSES, PARAMETER_TABLE } from '../core/model/index.ts';

/** Core field names that the file spells otherwise; within a material first, then anywhere. */
const FILE_NAMES: Record<string, string> = {
  startDay: 'start',
  endDay: 'end',
  temperatureC: 't',
  rainMm: 'rain',
  evapotranspirationMm: 'pet',
  organicMatterPct: 'som_pct',
  bulkDensityGPerCm3: 'bulk_density',
  samplingDepthCm: 'sample_cm',
  clayPct: 'clay',
  rootZoneCm: 'root_cm',
  carbonToNitrogen: 'cn',
  mineralNGPerM2: 'mineral_n',
  deficitMm: 'deficit0',
  depositionGPerM2Year: 'deposition',
  parameters: 'params',
  stepsPerDay: 'steps_per_day',
  day: 'date',
  days: 'dates',
  massFreshKgPerM2: 'kg',
  massFreshKg: 'kg',
  dugDepthCm: 'dug_cm',
  pileId: 'pile',
  cohortIds: 'cohorts',
  cohortId: 'cohort',
  cropIds: 'crops',
  depthCm: 'depth_cm',
  nitrogenGPerM2: 'n',
  waterMm: 'mm',
  plantDay: 'plant',
  harvestDay: 'harvest',
  nitrogenDemandGPerM2: 'n_demand',
  rootDepthCm: 'root_cm',
  fixedShare: 'fix_share',
  deepShare: 'deep_share',
  residueShare: 'residue_share',
  residueMaterial: 'residue_material',
  residueDugDepthCm: 'dug_cm',
  moistureFactor: 'moisture',
  moistureFractionWetBasis: 'moisture',
  carbonFractionDryBasis: 'c',
  nitrogenFractionDryBasis: 'n',
  ammoniumShareOfNitrogen: 'amm',
  bulkDensityKgPerM3: 'density',
  particleSize: 'size',
  decayFactor: 'rate',
  ammoniaExposure: 'vol',
  vaporBarrier: 'barrier',
  charTemperature: 'char_temp',
  charCapacityGPerKg: 'char_cap',
  isCharged: 'charged',
  ashFractionDryBasis: 'ash',
  boundNitrogenShare: 'bound',
  humificationFactor: 'hum',
  ammoniumShare: 'nh4',
  rootCarbonGPerM2: 'root_c',
  seededWeather: 'weather',
  temperatureSdC: 't_sd',
  rainSd: 'rain_sd',
  yearShare: 'year_share',
  evapotranspirationPerC: 'pet_t',
  evapotranspirationPerLogRain: 'pet_rain',
  maximumDoseGPerM2: 'max_dose',
  branchDiameterCm: 'diam_cm',
  leafShare: 'leaf',
  coniferShare: 'conifer',
  quick: 'q',
  structural: 's',
  woody: 'w',
  humus: 'h',
  microbial: 'b',
};

const scalarSymbols = Object.fromEntries(
  Object.entries(PARAMETER_TABLE).map(([name, { symbol }]) => [symbol, name]),
);
const classSymbols = Object.fromEntries(
  Object.entries(PARAMETER_CLASSES).map(([name, { symbol }]) => [symbol, name]),
);
/** Names of parameters by the symbol the file uses. */
export const NAME_BY_SYMBOL: Record<string, string> = { ...scalarSymbols, ...classSymbols };
const SYMBOL_BY_NAME = Object.fromEntries(Object.entries(NAME_BY_SYMBOL).map(([s, n]) => [n, s]));

/** An error of the core with its field spelt as in the file. */
export function inFileWords(error: InputError): InputError {
  const path = error.path.map((key) =>
    typeof key === 'string' ? (SYMBOL_BY_NAME[key] ?? FILE_NAMES[key] ?? key) : key,
  );
  return error.at(path);
}
