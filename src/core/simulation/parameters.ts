import type { CharTemperature, Exposure, ParticleSize } from '../materials/material.ts';

/**
 * Every constant of the daily model, once. `low` and `high` are the plausible range for uncertainty runs;
 * a row without them is held fixed. "Set here" marks our own choice, "calibrated" a value fitted so that
 * tests/anchors pass; everything else names its source, all of them from memory.
 */
interface ParameterRow {
  readonly symbol: string;
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  readonly unit: string;
  readonly meaning: string;
  readonly source: string;
}

const CALIBRATED = 'calibrated, tests/anchors';
const SET_HERE = 'set here';

// prettier-ignore
export const PARAMETER_TABLE = {
  quickDecayPerYear: { symbol: 'k_q', value: 12.5, low: 8, high: 20, unit: '/yr', meaning: 'decay of quick carbon', source: 'RothC DPM is 10 (from memory); calibrated, tests/anchors' },
  structuralDecayPerYear: { symbol: 'k_s', value: 3.3, low: 2.3, high: 4.5, unit: '/yr', meaning: 'decay of structural carbon, fine particles', source: CALIBRATED },
  woodyDecayPerYear: { symbol: 'k_w', value: 0.42, low: 0.25, high: 0.55, unit: '/yr', meaning: 'decay of woody carbon, fine particles', source: 'RothC RPM is 0.3 (from memory); calibrated, tests/anchors' },
  microbialTurnoverPerYear: { symbol: 'k_b', value: 1.4, low: 0.9, high: 2.0, unit: '/yr', meaning: 'turnover of decomposer biomass and its fresh remains', source: 'RothC BIO is 0.66 (from memory); calibrated, tests/anchors' },
  humusDecayPerYear: { symbol: 'k_h', value: 0.017, low: 0.012, high: 0.024, unit: '/yr', meaning: 'net decay of humus', source: 'RothC HUM is 0.02 gross, about a fifth re-formed (from memory)' },
  growthEfficiency: { symbol: 'e', value: 0.41, low: 0.35, high: 0.48, unit: '-', meaning: 'share of quick and structural carbon kept as biomass', source: 'literature 0.3-0.6 (from memory); calibrated, tests/anchors' },
  woodyGrowthEfficiency: { symbol: 'e_w', value: 0.12, low: 0.08, high: 0.2, unit: '-', meaning: 'share of woody carbon kept as biomass', source: CALIBRATED },
  biomassHumifiedShare: { symbol: 'h_b', value: 0.37, low: 0.3, high: 0.43, unit: '-', meaning: 'share of dying biomass carbon turned into humus at the reference clay', source: CALIBRATED },
  woodyHumifiedShare: { symbol: 'h_w', value: 0.13, low: 0.08, high: 0.22, unit: '-', meaning: 'share of decayed woody carbon turned straight into humus', source: CALIBRATED },
  humusCarbonToNitrogen: { symbol: 'cn_h', value: 11, low: 10, high: 12.5, unit: '-', meaning: 'C:N of newly made humus', source: 'textbooks 10-12 (from memory)' },
  biomassCnLow: { symbol: 'cnb_lo', value: 7, low: 6.5, high: 8.5, unit: '-', meaning: 'C:N of bacterial biomass', source: 'textbooks 5-8 (from memory); calibrated, tests/anchors' },
  biomassCnHigh: { symbol: 'cnb_hi', value: 12, low: 10.5, high: 15, unit: '-', meaning: 'C:N of fungal biomass', source: 'textbooks 8-15 (from memory); calibrated, tests/anchors' },
  biomassCnSlope: { symbol: 'cnb_slope', value: 0.03, low: 0.02, high: 0.06, unit: '-', meaning: 'rise of biomass C:N per unit of feed C:N', source: 'Nicolardot et al. 2001 use a rising curve too, theirs is higher (from memory); calibrated, tests/anchors' },
  biomassCnOnset: { symbol: 'cnb_cn', value: 12, unit: '-', meaning: 'feed C:N from which biomass C:N rises', source: CALIBRATED },
  quickNitrogenWeight: { symbol: 'w_q', value: 2.6, low: 1.8, high: 3.6, unit: '-', meaning: 'relative nitrogen per carbon, quick and biomass', source: CALIBRATED },
  structuralNitrogenWeight: { symbol: 'w_s', value: 1, unit: '-', meaning: 'relative nitrogen per carbon, structural', source: CALIBRATED },
  woodyNitrogenWeight: { symbol: 'w_w', value: 0.9, low: 0.5, high: 1.1, unit: '-', meaning: 'relative nitrogen per carbon, woody', source: CALIBRATED },
  humusNitrogenWeight: { symbol: 'w_h', value: 3.5, low: 2.5, high: 4.2, unit: '-', meaning: 'relative nitrogen per carbon, arriving humus', source: CALIBRATED },
  charNitrogenWeight: { symbol: 'w_c', value: 1, unit: '-', meaning: 'relative nitrogen per carbon, char', source: SET_HERE },
  starvedDecayFloor: { symbol: 'f_min', value: 0.25, low: 0.1, high: 0.4, unit: '-', meaning: 'floor of nitrogen-starved decay (overflow respiration)', source: CALIBRATED },
  microbialDrawPerDay: { symbol: 'phi', value: 0.8, low: 0.5, high: 0.95, unit: '/d', meaning: 'largest share of the nitrogen of a zone that microbes take in a day', source: SET_HERE },
  cropDrawPerDay: { symbol: 'phi_crop', value: 0.2, low: 0.1, high: 0.4, unit: '/d', meaning: 'the same for roots in soil they reach', source: SET_HERE },
  temperatureModifierCap: { symbol: 'a_max', value: 6, low: 4, high: 7, unit: '-', meaning: 'cap on the temperature modifier', source: SET_HERE },
  frozenC: { symbol: 't_zero', value: -5, unit: 'C', meaning: 'no decay at or below', source: 'RothC convention (from memory)' },
  referenceClayPct: { symbol: 'clay_ref', value: 23.4, unit: '%', meaning: 'clay at which the humified shares hold', source: 'Rothamsted Hoosfield (from memory)' },
  contactDepthCm: { symbol: 'contact_cm', value: 2.5, low: 1.5, high: 4, unit: 'cm', meaning: 'mulch in touch with the soil', source: SET_HERE },
  contactDraw: { symbol: 'contact_draw', value: 0.6, low: 0.3, high: 1, unit: '-', meaning: 'share of its need the contact part may ask of the soil', source: CALIBRATED },
  fungalLiftGPerM2Day: { symbol: 'draw_flux', value: 0.007, low: 0.004, high: 0.012, unit: 'g/m2/d', meaning: 'most nitrogen fungal threads lift into a layer from below', source: 'Frey et al. 2000 report 2-3 g N/m2/yr (from memory)' },
  humusMixingPerYear: { symbol: 'hum_mix', value: 0.5, low: 0.2, high: 1, unit: '/yr', meaning: 'arriving humus on top carried into the soil', source: SET_HERE },
  compactedPathFactor: { symbol: 'path', value: 0.6, low: 0.4, high: 0.8, unit: '-', meaning: 'decay on a compacted path', source: SET_HERE },
  settlingShare: { symbol: 'settle', value: 0.25, low: 0.1, high: 0.4, unit: '-', meaning: 'settling of a fresh layer', source: SET_HERE },
  settlingDays: { symbol: 'settle_days', value: 45, low: 20, high: 90, unit: 'd', meaning: 'e-folding time of settling', source: SET_HERE },
  bareSoilEvaporation: { symbol: 'kc_bare', value: 0.5, low: 0.3, high: 0.7, unit: '-', meaning: 'evaporation of bare soil over potential', source: SET_HERE },
  contactZoneEvaporationShare: { symbol: 'et_top', value: 0.25, low: 0.15, high: 0.4, unit: '-', meaning: 'share of evapotranspiration drawn from the contact zone', source: SET_HERE },
  mulchEvaporationCut: { symbol: 'mulch_et', value: 0.5, low: 0.3, high: 0.7, unit: '-', meaning: 'cut in bare-soil evaporation under 5 cm of mulch or more', source: SET_HERE },
  fieldCapacityBase: { symbol: 'theta0', value: 0.14, low: 0.1, high: 0.2, unit: '-', meaning: 'water at field capacity without clay', source: 'general pedotransfer, set here' },
  fieldCapacityPerClayPct: { symbol: 'theta_clay', value: 0.005, low: 0.003, high: 0.006, unit: '/%', meaning: 'rise of field capacity per % clay', source: 'general pedotransfer, set here' },
  rainGapDays: { symbol: 'rain_gap', value: 4, low: 1, high: 7, unit: 'd', meaning: 'rain falls every so many days', source: SET_HERE },
  washingMm: { symbol: 'wash_mm', value: 10, low: 5, high: 20, unit: 'mm', meaning: 'e-folding rain for washing nitrogen down out of a layer', source: SET_HERE },
  ammoniaLossPerDay: { symbol: 'k_vol', value: 0.2, low: 0.08, high: 0.35, unit: '/d', meaning: 'ammonia loss at 15 C, fully exposed', source: 'about half in 3 days, extension manure tables (from memory)' },
  layerAmmoniaLossPerDay: { symbol: 'k_vol_layer', value: 0.03, low: 0.02, high: 0.04, unit: '/d', meaning: 'ammonia loss from nitrogen mineralized in a layer, 15 C', source: SET_HERE },
  pileAmmoniaLossPerDay: { symbol: 'k_vol_pile', value: 0.008, low: 0.003, high: 0.02, unit: '/d', meaning: 'ammonia loss from a pile at modifier 1', source: '20-50 % loss of a hot heap, range of NRAES-54 (from memory)' },
  ammoniaCoverCm: { symbol: 'vol_cover_cm', value: 2, low: 1, high: 4, unit: 'cm', meaning: 'e-folding cover that stops ammonia', source: SET_HERE },
  labileCharShare: { symbol: 'char_lab', value: 0.03, low: 0.01, high: 0.06, unit: '-', meaning: 'labile share of char carbon', source: 'Wang et al. 2016 (from memory)' },
  labileCharResidenceDays: { symbol: 'char_lab_mrt_d', value: 108, low: 50, high: 200, unit: 'd', meaning: 'mean residence time of labile char', source: 'Wang et al. 2016 (from memory)' },
  charCapacityGPerKg: { symbol: 'char_cap', value: 2, low: 0.5, high: 6, unit: 'g N/kg dry', meaning: 'mineral nitrogen held by raw char', source: 'general sorption literature, inconsistent (from memory)' },
  charFillingDays: { symbol: 'char_ads_days', value: 21, low: 7, high: 60, unit: 'd', meaning: 'filling time of char sites', source: SET_HERE },
  charFoulingPerYear: { symbol: 'char_foul', value: 0.5, low: 0.2, high: 1.5, unit: '/yr', meaning: 'closing of char sites', source: SET_HERE },
  stillPileFactor: { symbol: 'pile_static', value: 0.8, low: 0.4, high: 1, unit: '-', meaning: 'air and moisture factor of a still pile', source: SET_HERE },
  turnedPileFactor: { symbol: 'pile_turned', value: 1, low: 0.8, high: 1.1, unit: '-', meaning: 'air and moisture factor of a turned pile', source: SET_HERE },
  pileHeatingC: { symbol: 'pile_dt', value: 40, low: 25, high: 50, unit: 'C', meaning: 'self-heating of a hot pile above the air', source: SET_HERE },
  pileCoolingDays: { symbol: 'pile_tau', value: 40, low: 20, high: 60, unit: 'd', meaning: 'e-folding time of self-heating', source: SET_HERE },
  liquidSoakShare: { symbol: 'soak', value: 0.7, low: 0.4, high: 0.9, unit: '-', meaning: 'share of the ammonium of a liquid that soaks in at once', source: SET_HERE },
  heldAmmoniumGPerM2Cm: { symbol: 'hold_n', value: 0.04, low: 0.02, high: 0.06, unit: 'g/m2/cm', meaning: 'ammonium held against leaching at 20 % clay', source: 'set here (spring mineral nitrogen)' },
  denitrifiedPer10Mm: { symbol: 'k_den', value: 0.04, low: 0.01, high: 0.08, unit: 'per 10 mm', meaning: 'share denitrified per 10 mm drained, 50 % clay or more', source: SET_HERE },
  backlogDays: { symbol: 'backlog_d', value: 14, low: 7, high: 21, unit: 'd', meaning: 'e-folding time after which unmet demand of a crop is lost', source: SET_HERE },
  legumeFixedShare: { symbol: 'fix_share', value: 0.5, low: 0.3, high: 0.8, unit: '-', meaning: 'share of the demand of a legume fixed whatever the soil holds', source: SET_HERE },
  doseStepG: { symbol: 'dose_step', value: 0.5, unit: 'g/m2', meaning: 'step of the doses tried', source: SET_HERE },
  doseMaximumG: { symbol: 'dose_max', value: 10, unit: 'g/m2', meaning: 'largest dose tried', source: SET_HERE },
  dosePrice: { symbol: 'dose_price', value: 0.15, unit: '-', meaning: 'lost crop nitrogen that one gram of dose must save', source: SET_HERE },
} as const satisfies Record<string, ParameterRow>;

export type ScalarParameterName = keyof typeof PARAMETER_TABLE;

/** Constants that differ by class. Same keys of provenance as the table above. */
// prettier-ignore
export const PARAMETER_CLASSES = {
  contactExposure: { symbol: 'exp_contact', value: { damp: 0.9, normal: 0.73, dry: 0.35 }, range: '+-25 %', meaning: 'decay of a layer where it touches the soil', source: 'calibrated (life of chips), tests/anchors' },
  upperExposure: { symbol: 'exp_upper', value: { damp: 0.7, normal: 0.51, dry: 0.22 }, range: '+-30 %', meaning: 'decay of a layer above the soil', source: 'calibrated (life of chips), tests/anchors' },
  particleFactor: { symbol: 'size', value: { fine: 1, chip: 0.6, coarse: 0.4, log: 0.12 }, range: 'chip 0.4-0.8, coarse 0.25-0.55, log 0.06-0.2', meaning: 'particle factor on decay', source: SET_HERE },
  charLeftAfter100Years: { symbol: 'char_fperm', value: { low: 0.65, medium: 0.8, high: 0.89 }, range: '+-0.11 to 0.13', meaning: 'char carbon left after 100 years: 350-450, 450-600, above 600 C', source: 'IPCC 2019 refinement (from memory)' },
} as const;

export type ModelParameters = Readonly<Record<ScalarParameterName, number>> & {
  readonly contactExposure: Readonly<Record<Exposure, number>>;
  readonly upperExposure: Readonly<Record<Exposure, number>>;
  readonly particleFactor: Readonly<Record<ParticleSize, number>>;
  readonly charLeftAfter100Years: Readonly<Record<CharTemperature, number>>;
};

const scalarNames = Object.keys(PARAMETER_TABLE) as ScalarParameterName[];

export const defaultParameters: ModelParameters = {
  ...(Object.fromEntries(scalarNames.map((name) => [name, PARAMETER_TABLE[name].value])) as Record<
    ScalarParameterName,
    number
  >),
  contactExposure: PARAMETER_CLASSES.contactExposure.value,
  upperExposure: PARAMETER_CLASSES.upperExposure.value,
  particleFactor: PARAMETER_CLASSES.particleFactor.value,
  charLeftAfter100Years: PARAMETER_CLASSES.charLeftAfter100Years.value,
};

export type ParameterOverrides = {
  readonly [Name in ScalarParameterName]?: number;
} & {
  readonly contactExposure?: Partial<Record<Exposure, number>>;
  readonly upperExposure?: Partial<Record<Exposure, number>>;
  readonly particleFactor?: Partial<Record<ParticleSize, number>>;
  readonly charLeftAfter100Years?: Partial<Record<CharTemperature, number>>;
};

/** The default parameters with some replaced; classes are merged key by key. */
export function withOverrides(overrides: ParameterOverrides = {}): ModelParameters {
  return {
    ...defaultParameters,
    ...overrides,
    contactExposure: { ...defaultParameters.contactExposure, ...overrides.contactExposure },
    upperExposure: { ...defaultParameters.upperExposure, ...overrides.upperExposure },
    particleFactor: { ...defaultParameters.particleFactor, ...overrides.particleFactor },
    charLeftAfter100Years: { ...defaultParameters.charLeftAfter100Years, ...overrides.charLeftAfter100Years },
  };
}
