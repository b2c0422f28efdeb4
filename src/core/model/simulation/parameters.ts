import type { CharTemperature, Exposure } from '../../../records/vocabulary.ts';
import { CHAR_MAJORITY_SHARE, type ParticleSize } from '../../ground/index.ts';

/** Version of the model that docs/method.md describes. */
export const MODEL_VERSION = 3;

/** What was done with a soil before, which decides how much of its organic matter is half-rotted and active. */
export const SOIL_HISTORIES = ['fallow', 'arable', 'garden', 'grass'] as const;
export type SoilHistory = (typeof SOIL_HISTORIES)[number];

/**
 * Every constant of the daily model, once. `low` and `high` are the plausible range, from which likely ranges draw;
 * a row without them, or not drawn, is held fixed there. "Set here" marks our own choice, "calibrated" a value fitted so that
 * tests/anchors pass; everything else names its source, all of them from memory.
 */
interface ParameterRow {
  readonly symbol: string;
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  /** False for a row that shapes the arithmetic more than it says something about gardens. */
  readonly isDrawn?: false;
  readonly unit: string;
  readonly meaning: string;
  readonly source: string;
}

const CALIBRATED = 'calibrated, tests/anchors';
const SET_HERE = 'set here';

// oxfmt-ignore
export const PARAMETER_TABLE = {
  quickDecayPerYear: { symbol: 'k_q', value: 12.5, low: 8, high: 20, unit: '/yr', meaning: 'decay of quick carbon', source: 'RothC DPM is 10 (from memory); calibrated, tests/anchors' },
  structuralDecayPerYear: { symbol: 'k_s', value: 3.3, low: 2.0, high: 5.0, unit: '/yr', meaning: 'decay of structural carbon in fine particles', source: CALIBRATED },
  woodyDecayPerYear: { symbol: 'k_w', value: 0.42, low: 0.22, high: 0.65, unit: '/yr', meaning: 'decay of woody carbon in fine particles', source: 'RothC RPM is 0.3 (from memory); calibrated, tests/anchors' },
  microbialTurnoverPerYear: { symbol: 'k_b', value: 0.85, low: 0.5, high: 1.4, unit: '/yr', meaning: 'turnover of decomposer biomass and its fresh remains', source: 'RothC BIO is 0.66 (from memory); calibrated, tests/anchors (straw keeps its lock for a year)' },
  humusDecayPerYear: { symbol: 'k_h', value: 0.0095, low: 0.006, high: 0.014, unit: '/yr', meaning: 'decay of slow native organic matter and of the humus of cohorts', source: 'RothC HUM is 0.02 gross; long bare fallows (Barre et al. 2010) point to about 0.01 (from memory); calibrated, tests/anchors' },
  activeHumusDecayPerYear: { symbol: 'k_na', value: 0.06, low: 0.03, high: 0.12, unit: '/yr', meaning: 'decay of active native organic matter', source: 'between RothC RPM 0.3 and HUM 0.02 (from memory); calibrated, tests/anchors (spring supply, long fallows)' },
  growthEfficiency: { symbol: 'e', value: 0.41, low: 0.33, high: 0.49, unit: '-', meaning: 'share of quick and structural carbon kept as biomass', source: 'literature 0.3-0.6 (from memory); calibrated, tests/anchors' },
  woodyGrowthEfficiency: { symbol: 'e_w', value: 0.12, low: 0.07, high: 0.2, unit: '-', meaning: 'share of woody carbon kept as biomass', source: CALIBRATED },
  biomassHumifiedShare: { symbol: 'h_b', value: 0.345, low: 0.25, high: 0.44, unit: '-', meaning: 'share of dying biomass carbon turned into humus at the reference clay', source: CALIBRATED },
  woodyHumifiedShare: { symbol: 'h_w', value: 0.13, low: 0.07, high: 0.22, unit: '-', meaning: 'share of decayed woody carbon turned straight into humus at the reference clay', source: CALIBRATED },
  largestHumifiedShare: { symbol: 'hb_max', value: 0.7, low: 0.6, high: 0.8, isDrawn: false, unit: '-', meaning: 'most of dying biomass carbon that can become humus, whatever clay and feed', source: SET_HERE },
  humusCarbonToNitrogen: { symbol: 'cn_h', value: 11, low: 9.5, high: 13, unit: '-', meaning: 'C:N of newly made humus', source: 'textbooks 10-12 (from memory)' },
  biomassCnLow: { symbol: 'cnb_lo', value: 7, low: 6, high: 9, unit: '-', meaning: 'C:N of bacterial biomass', source: 'textbooks 5-8 (from memory); calibrated, tests/anchors' },
  biomassCnHigh: { symbol: 'cnb_hi', value: 12, low: 10.5, high: 15, unit: '-', meaning: 'C:N of fungal biomass', source: 'textbooks 8-15 (from memory); calibrated, tests/anchors' },
  biomassCnSlope: { symbol: 'cnb_slope', value: 0.03, low: 0.015, high: 0.06, unit: '-', meaning: 'rise of biomass C:N per unit of feed C:N', source: 'Nicolardot et al. 2001 use a rising curve too, theirs is higher (from memory); calibrated, tests/anchors' },
  biomassCnOnset: { symbol: 'cnb_cn', value: 12, unit: '-', meaning: 'feed C:N from which biomass C:N rises', source: CALIBRATED },
  quickNitrogenWeight: { symbol: 'w_q', value: 3.4, low: 2.2, high: 4.6, unit: '-', meaning: 'relative nitrogen per carbon, quick (its protein) and biomass', source: CALIBRATED },
  structuralNitrogenWeight: { symbol: 'w_s', value: 1, unit: '-', meaning: 'relative nitrogen per carbon, structural', source: 'set here: the unit the other weights are told in' },
  woodyNitrogenWeight: { symbol: 'w_w', value: 0.9, low: 0.5, high: 1.2, unit: '-', meaning: 'relative nitrogen per carbon, woody', source: CALIBRATED },
  humusNitrogenWeight: { symbol: 'w_h', value: 3, low: 2.2, high: 3.8, unit: '-', meaning: 'relative nitrogen per carbon, arriving humus', source: CALIBRATED },
  charNitrogenWeight: { symbol: 'w_c', value: 1, unit: '-', meaning: 'relative nitrogen per carbon, char', source: SET_HERE },
  starvedDecayFloor: { symbol: 'f_min', value: 0.25, low: 0.1, high: 0.4, unit: '-', meaning: 'floor of nitrogen-starved decay (overflow respiration)', source: CALIBRATED },
  microbialDrawPerDay: { symbol: 'phi', value: 0.5, low: 0.2, high: 0.9, unit: '/d', meaning: 'largest share of the nitrogen of a zone that microbes take in a day', source: SET_HERE },
  cropDrawPerDay: { symbol: 'phi_crop', value: 0.15, low: 0.08, high: 0.3, unit: '/d', meaning: 'largest share of the nitrogen of a zone that roots take in a day, in soil they reach', source: SET_HERE },
  deepDrawPerDay: { symbol: 'phi_deep', value: 0.12, low: 0.04, high: 0.2, unit: '/d', meaning: 'largest share of the nitrogen below the bed that roots take in a day; they are few there', source: 'set here: trials of catch crops and deep roots find 20-65 % again (from memory)' },
  temperatureModifierCap: { symbol: 'a_max', value: 6, low: 4, high: 7, unit: '-', meaning: 'cap on the temperature modifier', source: SET_HERE },
  frozenC: { symbol: 't_zero', value: -5, unit: 'C', meaning: 'no decay at or below', source: 'RothC convention (from memory)' },
  referenceClayPct: { symbol: 'clay_ref', value: 23.4, unit: '%', meaning: 'clay at which the humified shares hold', source: 'Rothamsted Hoosfield (from memory)' },
  contactZoneLagDays: { symbol: 'tau0', value: 3, low: 2, high: 5, unit: 'd', meaning: 'lag of the warmth of the contact zone behind the air, bare', source: SET_HERE },
  rootZoneLagDays: { symbol: 'tau1', value: 8, low: 5, high: 14, unit: 'd', meaning: 'lag of the warmth of the soil below the contact zone, to the depth of the bed, behind the air, bare', source: 'damping as in EPIC (Parton; from memory); set here' },
  mulchLagDaysPerCm: { symbol: 'tau_mulch', value: 1.3, low: 0.7, high: 2.5, unit: 'd/cm', meaning: 'lag added by each cm of insulating cover', source: 'resistance of straw times the heat capacity of the top meter gives 2-3 (estimate); calibrated, tests/anchors (cool spring soil under straw)' },
  mulchDampingPerCm: { symbol: 'damp_mulch', value: 0.015, low: 0.005, high: 0.025, unit: '/cm', meaning: 'how much each cm of insulating cover flattens the wave of the year', source: 'mulch trials: 5-20 % less swing (from memory); set here' },
  insulationCapCm: { symbol: 'ins_max', value: 15, unit: 'cm', meaning: 'cover beyond this adds no insulation', source: SET_HERE },
  compostInsulation: { symbol: 'ins_compost', value: 0.3, low: 0.2, high: 0.5, unit: '-', meaning: 'insulation of compost against the same of straw or chips', source: SET_HERE },
  frostFactor: { symbol: 'n_frost', value: 0.3, low: 0.15, high: 0.5, unit: '-', meaning: 'surface over air temperature below 0 C, under snow', source: 'freezing n-factors (from memory)' },
  contactDepthCm: { symbol: 'contact_cm', value: 2.5, low: 1.5, high: 4, unit: 'cm', meaning: 'mulch in touch with the soil', source: SET_HERE },
  contactDraw: { symbol: 'contact_draw', value: 0.6, low: 0.3, high: 1, unit: '-', meaning: 'share of its need the contact part may ask of the soil', source: CALIBRATED },
  fungalLiftGPerM2Day: { symbol: 'draw_flux', value: 0.006, low: 0.003, high: 0.012, unit: 'g/m2/d', meaning: 'most nitrogen fungal threads lift into a layer from below', source: 'Frey et al. 2000 report 2-3 g N/m2/yr (from memory)' },
  thinnestSourceCm: { symbol: 'lift_min', value: 0.1, low: 0.05, high: 0.2, isDrawn: false, unit: 'cm', meaning: 'thinner layers are passed over when threads reach for what lies beneath', source: SET_HERE },
  humusMixingPerYear: { symbol: 'hum_mix', value: 0.5, low: 0.2, high: 1, unit: '/yr', meaning: 'fine matter and ash on top carried into the soil', source: SET_HERE },
  compactedPathFactor: { symbol: 'path', value: 0.6, low: 0.4, high: 0.8, unit: '-', meaning: 'decay on a compacted path', source: SET_HERE },
  ashDensityGPerCm3: { symbol: 'rho_ash', value: 1.2, low: 0.9, high: 1.5, unit: 'g/cm3', meaning: 'density of the mineral part of a layer', source: SET_HERE },
  largestAshVolume: { symbol: 'va_max', value: 0.9, low: 0.8, high: 0.95, isDrawn: false, unit: '-', meaning: 'most of a fresh layer that its minerals can fill', source: SET_HERE },
  organicMatterDensityGPerCm3: { symbol: 'rho_om', value: 0.244, low: 0.2, high: 0.3, unit: 'g/cm3', meaning: 'density of organic matter in soil', source: 'Adams 1973: 0.244 (from memory)' },
  lightestMineralSoil: { symbol: 'bd_lo', value: 0.8, low: 0.7, high: 0.9, isDrawn: false, unit: 'g/cm3', meaning: 'least density of the mineral part of a soil', source: SET_HERE },
  densestMineralSoil: { symbol: 'bd_hi', value: 2, low: 1.8, high: 2.2, isDrawn: false, unit: 'g/cm3', meaning: 'greatest density of the mineral part of a soil', source: SET_HERE },
  settlingShare: { symbol: 'settle', value: 0.25, low: 0.1, high: 0.4, unit: '-', meaning: 'settling of a fresh layer', source: SET_HERE },
  settlingDays: { symbol: 'settle_days', value: 45, low: 20, high: 90, unit: 'd', meaning: 'e-folding time of settling', source: SET_HERE },
  workedDepthCm: { symbol: 'z_max', value: 50, unit: 'cm', meaning: 'deepest bed that is treated as worked (double digging)', source: SET_HERE },
  subsoilBottomCm: { symbol: 'sub_bottom', value: 120, low: 100, high: 150, unit: 'cm', meaning: 'bottom of the subsoil: what passes is lost', source: SET_HERE },
  bareSoilEvaporation: { symbol: 'kc_bare', value: 0.75, low: 0.5, high: 1, unit: '-', meaning: 'evaporation of bare soil over potential', source: 'calibrated: about 360 mm a year drain at Rothamsted (drain gauges, from memory)' },
  bareSoilDryness: { symbol: 'bare_dry', value: 0.556, low: 0.45, high: 0.8, unit: '-', meaning: 'largest water deficit of bare soil below the contact zone, as a share of the largest under a crop', source: 'RothC 1/1.8 (from memory)' },
  contactZoneEvaporationShare: { symbol: 'et_top', value: 0.25, low: 0.15, high: 0.4, unit: '-', meaning: 'share of evapotranspiration drawn from the contact zone', source: SET_HERE },
  mulchEvaporationCut: { symbol: 'mulch_et', value: 0.35, low: 0.2, high: 0.6, unit: '-', meaning: 'cut in bare-soil evaporation under full cover of mulch', source: SET_HERE },
  fullCoverMulchCm: { symbol: 'mulch_full', value: 5, low: 3, high: 8, isDrawn: false, unit: 'cm', meaning: 'mulch from which that cut is full', source: SET_HERE },
  fieldCapacityBase: { symbol: 'theta0', value: 0.14, low: 0.1, high: 0.2, unit: '-', meaning: 'water at field capacity without clay', source: 'general pedotransfer, set here' },
  fieldCapacityPerClayPct: { symbol: 'theta_clay', value: 0.005, low: 0.003, high: 0.006, unit: '/%', meaning: 'rise of field capacity per % clay', source: 'general pedotransfer, set here' },
  rainGapDays: { symbol: 'rain_gap', value: 4, low: 2, high: 6, isDrawn: false, unit: 'd', meaning: 'rain falls every so many days', source: SET_HERE },
  washingMm: { symbol: 'wash_mm', value: 10, low: 5, high: 20, unit: 'mm', meaning: 'rain that washes down 63 % of the ammonium, and of the mineral nitrogen in the contact zone', source: SET_HERE },
  washedLayerCm: { symbol: 'wash_cm', value: 5, low: 3, high: 8, isDrawn: false, unit: 'cm', meaning: 'layer thickness for which that rain holds', source: SET_HERE },
  thinnestWashing: { symbol: 'wash_lo', value: 0.2, low: 0.1, high: 0.3, isDrawn: false, unit: '-', meaning: 'a layer thinner than this share of it washes no faster', source: SET_HERE },
  thickestWashing: { symbol: 'wash_hi', value: 3, low: 2, high: 5, isDrawn: false, unit: '-', meaning: 'a layer thicker than so many times it washes no slower', source: SET_HERE },
  ammoniaLossPerDay: { symbol: 'k_vol', value: 0.31, low: 0.12, high: 0.55, unit: '/d', meaning: 'ammonia loss at 15 C, fully exposed', source: 'half in 2-3 days; 40-85 % of the ammonium of spread manure in all (manure literature, from memory); calibrated, tests/anchors' },
  layerAmmoniaLossPerDay: { symbol: 'k_vol_layer', value: 0.03, low: 0.02, high: 0.04, unit: '/d', meaning: 'ammonia loss from nitrogen mineralized in a layer, 15 C', source: SET_HERE },
  releasedAmmoniaShare: { symbol: 'vol_rel', value: 0.5, low: 0.2, high: 0.9, unit: '-', meaning: 'ammonia share of the nitrogen that rich matter sets free while it rots on top, 15 C', source: 'Whitehead 1988, Larsson et al. 1998: 5-40 % of the nitrogen of cut greens (from memory); calibrated, tests/anchors' },
  largestReleasedAmmoniaShare: { symbol: 'vx_max', value: 0.6, low: 0.5, high: 0.8, isDrawn: false, unit: '-', meaning: 'most of what is set free on top that can go as ammonia', source: SET_HERE },
  ammoniaFreeFeedCn: { symbol: 'vr_cn', value: 25, low: 20, high: 30, isDrawn: false, unit: '-', meaning: 'feed C:N from which nothing set free on top goes as ammonia', source: SET_HERE },
  ammoniaFeedCnSpan: { symbol: 'vr_span', value: 12, low: 8, high: 16, isDrawn: false, unit: '-', meaning: 'feed C:N below that over which the loss rises to full', source: SET_HERE },
  pileAmmoniaLossPerDay: { symbol: 'k_vol_pile', value: 0.008, low: 0.003, high: 0.02, unit: '/d', meaning: 'ammonia loss from a pile at modifier 1', source: '20-50 % loss of a hot heap, range of NRAES-54 (from memory)' },
  spreadHeapAmmoniaExposure: { symbol: 'pile_vol', value: 0.3, low: 0.1, high: 0.6, isDrawn: false, unit: '-', meaning: 'how freely the ammonium of a spread heap escapes', source: SET_HERE },
  ammoniaCoverCm: { symbol: 'vol_cover_cm', value: 2, low: 1, high: 4, unit: 'cm', meaning: 'e-folding cover that stops ammonia', source: SET_HERE },
  ammoniaPhSlope: { symbol: 'ph_slope', value: 0.5, low: 0.3, high: 0.8, isDrawn: false, unit: '-', meaning: 'rise of ammonia loss per unit of pH (natural logarithm)', source: SET_HERE },
  ammoniaReferencePh: { symbol: 'ph_ref', value: 6.8, unit: 'pH', meaning: 'soil pH at which the loss rates hold', source: SET_HERE },
  leastPhFactor: { symbol: 'phf_lo', value: 0.3, low: 0.2, high: 0.4, isDrawn: false, unit: '-', meaning: 'least factor of soil pH on ammonia loss', source: SET_HERE },
  largestPhFactor: { symbol: 'phf_hi', value: 3, low: 2, high: 4, isDrawn: false, unit: '-', meaning: 'largest factor of soil pH on ammonia loss', source: SET_HERE },
  nitrificationPerDay: { symbol: 'k_nit', value: 0.12, low: 0.06, high: 0.25, unit: '/d', meaning: 'ammonium turned into nitrate at modifier 1', source: 'half-life 6 d at 9 C, 2 d at 20 C (textbooks, from memory)' },
  ammoniumShareAtStart: { symbol: 'n4_start', value: 0.2, low: 0.1, high: 0.4, isDrawn: false, unit: '-', meaning: 'ammonium share of the mineral nitrogen of a soil at the start', source: SET_HERE },
  labileCharShare: { symbol: 'char_lab', value: 0.03, low: 0.01, high: 0.06, unit: '-', meaning: 'labile share of char carbon', source: 'Wang et al. 2016 (from memory)' },
  labileCharResidenceDays: { symbol: 'char_lab_mrt_d', value: 108, low: 50, high: 200, unit: 'd', meaning: 'mean residence time of labile char', source: 'Wang et al. 2016 (from memory)' },
  charQ10: { symbol: 'char_q10', value: 2, low: 1.5, high: 2.6, unit: '-', meaning: 'char decay per 10 C of soil temperature', source: 'Woolf et al. 2021, direction and size (from memory)' },
  charReferenceC: { symbol: 'char_tref', value: 14.9, unit: 'C', meaning: 'soil temperature at which the share left after 100 years holds', source: 'Woolf et al. 2021 (from memory)' },
  charMajorityShare: { symbol: 'char_major', value: CHAR_MAJORITY_SHARE, unit: '-', meaning: 'char share of the carbon from which a material holds nitrogen as char does', source: SET_HERE },
  charCapacityGPerKg: { symbol: 'char_cap', value: 0.7, low: 0.3, high: 1.6, unit: 'g N/kg dry', meaning: 'ammonium held by raw char', source: 'laboratory maxima of a few g/kg lie far above what a garden soil offers; 0.5-1 at soil concentrations (general literature, inconsistent, from memory)' },
  charFillingDays: { symbol: 'char_ads_days', value: 21, low: 7, high: 60, unit: 'd', meaning: 'filling time of char sites', source: SET_HERE },
  charDrawPerDay: { symbol: 'char_draw', value: 0.1, low: 0.05, high: 0.2, isDrawn: false, unit: '/d', meaning: 'largest share of the ammonium of a zone that char takes in a day', source: SET_HERE },
  charFoulingPerYear: { symbol: 'char_foul', value: 0.5, low: 0.2, high: 1.5, unit: '/yr', meaning: 'closing of char sites', source: SET_HERE },
  stillPileFactor: { symbol: 'pile_static', value: 0.8, low: 0.4, high: 1, unit: '-', meaning: 'air factor of a still pile', source: SET_HERE },
  turnedPileFactor: { symbol: 'pile_turned', value: 1, low: 0.8, high: 1.1, unit: '-', meaning: 'air factor of a turned pile', source: SET_HERE },
  pileHeatingC: { symbol: 'pile_dt', value: 40, low: 25, high: 50, unit: 'C', meaning: 'self-heating of a hot pile above the air', source: SET_HERE },
  pileCoolingDays: { symbol: 'pile_tau', value: 28, low: 20, high: 60, unit: 'd', meaning: 'e-folding time of self-heating', source: 'set here (carbon and nitrogen lost by hot heaps)' },
  compostBelowCn: { symbol: 'pile_cn', value: 20, low: 15, high: 25, isDrawn: false, unit: '-', meaning: 'C:N below which what comes out of a pile counts as compost', source: SET_HERE },
  liquidMoisture: { symbol: 'liquid', value: 0.9, unit: '-', meaning: 'moisture from which a material flows and soaks in', source: SET_HERE },
  liquidSoakShare: { symbol: 'soak', value: 0.7, low: 0.4, high: 0.9, unit: '-', meaning: 'share of the ammonium of a liquid that soaks in at once', source: SET_HERE },
  heldAmmoniumGPerM2Cm: { symbol: 'hold_n', value: 0.03, low: 0.015, high: 0.05, unit: 'g/m2/cm', meaning: 'mineral nitrogen held against leaching at 20 % clay', source: 'set here (spring mineral nitrogen)' },
  denitrifiedPer10Mm: { symbol: 'k_den', value: 0.025, low: 0.006, high: 0.06, unit: 'per 10 mm', meaning: 'share of the nitrate denitrified by water entering a wet zone at modifier 1, 50 % clay or more', source: 'set here; tests/anchors' },
  backlogDays: { symbol: 'backlog_d', value: 14, low: 7, high: 21, unit: 'd', meaning: 'e-folding time after which unmet demand of a crop is lost', source: SET_HERE },
  legumeFixedShare: { symbol: 'fix_share', value: 0.5, low: 0.3, high: 0.8, unit: '-', meaning: 'share of the demand of a legume fixed whatever the soil holds', source: SET_HERE },
  cropBaseC: { symbol: 't_base', value: 4, low: 0, high: 8, unit: 'C', meaning: 'base of the day-degrees of crops', source: 'hardy crops 0-5, tender ones 8-10 (from memory); one value for all, set here' },
  cropWarmestC: { symbol: 't_cap', value: 25, unit: 'C', meaning: 'warmer days grow crops no faster', source: SET_HERE },
  rootsFullAtProgress: { symbol: 'roots_full', value: 0.6, low: 0.5, high: 0.8, isDrawn: false, unit: '-', meaning: 'share of its growth by which the roots of an annual are at full depth', source: SET_HERE },
  paleWindowDays: { symbol: 'pale_window', value: 14, unit: 'd', meaning: 'time over which unmet demand is held against demand', source: SET_HERE },
  paleFromDemandShare: { symbol: 'pale_from', value: 0.03, unit: '-', meaning: 'a crop that has asked for less of its demand is too small to judge', source: SET_HERE },
  paleLeastShare: { symbol: 'pale_least', value: 0.01, unit: '-', meaning: 'least demand of that time the backlog is held against, of the whole demand', source: SET_HERE },
  visiblyPale: { symbol: 'pale_seen', value: 0.25, low: 0.15, high: 0.4, isDrawn: false, unit: '-', meaning: 'unmet over recent demand from which a day counts as pale', source: SET_HERE },
  rootCarbonGPerM2: { symbol: 'root_c', value: 90, low: 45, high: 150, unit: 'g C/m2', meaning: 'carbon of roots and exudates of one crop with closed cover by harvest', source: 'Bolinder et al. 2007, Taghizadeh-Toosi et al. 2016, Hirte et al. 2018: 40-150, little moved by nitrogen (from memory); calibrated, tests/anchors (unfed crops)' },
  rootNitrogenShare: { symbol: 'root_n', value: 0.15, low: 0.08, high: 0.2, unit: '-', meaning: 'share of the nitrogen a crop takes up that goes to root litter', source: 'reviews of rhizodeposition 10-20 % (from memory)' },
  rootHumification: { symbol: 'root_hum', value: 1.6, low: 1.1, high: 2.1, unit: '-', meaning: 'factor on humification of root litter', source: 'Katterer et al. 2011: 2.3 (from memory), less here because its woody share already counts' },
  rootQuickShare: { symbol: 'root_q', value: 0.2, low: 0.1, high: 0.35, unit: '-', meaning: 'quick (exudate) share of root carbon', source: SET_HERE },
  rootWoodyShare: { symbol: 'root_w', value: 0.4, low: 0.25, high: 0.5, unit: '-', meaning: 'woody (suberin, lignin) share of root carbon', source: SET_HERE },
  rootLateShare: { symbol: 'root_late', value: 0.6, low: 0.4, high: 0.8, unit: '-', meaning: 'share of the root carbon and nitrogen of an annual that lives until harvest', source: SET_HERE },
  rootFedFloor: { symbol: 'root_fed', value: 0.5, low: 0.3, high: 0.8, isDrawn: false, unit: '-', meaning: 'share of its root carbon that a crop gives even when it gets no nitrogen', source: SET_HERE },
  rootFeedCn: { symbol: 'root_cn', value: 40, unit: '-', meaning: 'feed C:N that sets the biomass C:N on root litter', source: SET_HERE },
  rootLitterDepthCm: { symbol: 'root_depth', value: 20, low: 15, high: 30, unit: 'cm', meaning: 'depth over which root litter lies', source: 'Jackson et al. 1996: two thirds in the top 20-30 cm (from memory)' },
  doseStepG: { symbol: 'dose_step', value: 0.5, unit: 'g/m2', meaning: 'step of the doses tried', source: SET_HERE },
  doseMaximumG: { symbol: 'dose_max', value: 10, unit: 'g/m2', meaning: 'largest single dose tried', source: SET_HERE },
  doseSeasonG: { symbol: 'dose_season', value: 25, unit: 'g/m2/yr', meaning: 'most that is advised in a calendar year, unless the crops themselves need more', source: 'Nitrates Directive 17, RB209 vegetables up to 30 (from memory); set here' },
  dosePrice: { symbol: 'dose_price', value: 0.15, unit: '-', meaning: 'lost crop nitrogen that one gram of dose must save', source: SET_HERE },
} as const satisfies Record<string, ParameterRow>;

export type ScalarParameterName = keyof typeof PARAMETER_TABLE;

/** Constants that differ by class. Same keys of provenance as the table above. */
// oxfmt-ignore
export const PARAMETER_CLASSES = {
  contactExposure: { symbol: 'exp_contact', value: { damp: 0.9, normal: 0.73, dry: 0.35 }, range: '+-40 %, together with exp_upper', meaning: 'decay of a layer where it touches the soil', source: 'calibrated (life of chips), tests/anchors' },
  upperExposure: { symbol: 'exp_upper', value: { damp: 0.7, normal: 0.51, dry: 0.22 }, range: 'see exp_contact', meaning: 'decay of a layer above the soil', source: 'calibrated (life of chips), tests/anchors' },
  particleFactor: { symbol: 'size', value: { fine: 1, chip: 0.6, coarse: 0.4, log: 0.12 }, range: 'chip 0.4-0.8, coarse 0.25-0.55, log 0.06-0.2', meaning: 'particle factor on decay', source: SET_HERE },
  sievedShare: { symbol: 'sieve', value: { fine: 1, chip: 0.3, coarse: 0.15, log: 0 }, range: 'chip 0.1-0.5, coarse 0-0.3', meaning: 'share of unrotted pieces that pass a 2 mm sieve in the laboratory', source: SET_HERE },
  activeShare: { symbol: 'act_share', value: { fallow: 0.05, arable: 0.12, garden: 0.15, grass: 0.28 }, range: 'x0.6-1.5', meaning: 'active share of the organic matter of a soil, by what was done with it before', source: 'light fractions 5-30 % (from memory); set here' },
  charLeftAfter100Years: { symbol: 'char_fperm', value: { low: 0.65, medium: 0.8, high: 0.89 }, range: '+-0.11 to 0.13', meaning: 'char carbon left after 100 years at char_tref: 350-450, 450-600, above 600 C', source: 'IPCC 2019 refinement (from memory)' },
} as const;

/**
 * The parameters of a run. One class, so that the daily loop reads plain doubles: the fields start as NaN and are filled
 * from the table above, which the compiler holds to the same names.
 */
export class ModelParameters implements Record<ScalarParameterName, number> {
  readonly quickDecayPerYear: number = NaN;
  readonly structuralDecayPerYear: number = NaN;
  readonly woodyDecayPerYear: number = NaN;
  readonly microbialTurnoverPerYear: number = NaN;
  readonly humusDecayPerYear: number = NaN;
  readonly activeHumusDecayPerYear: number = NaN;
  readonly growthEfficiency: number = NaN;
  readonly woodyGrowthEfficiency: number = NaN;
  readonly biomassHumifiedShare: number = NaN;
  readonly woodyHumifiedShare: number = NaN;
  readonly largestHumifiedShare: number = NaN;
  readonly humusCarbonToNitrogen: number = NaN;
  readonly biomassCnLow: number = NaN;
  readonly biomassCnHigh: number = NaN;
  readonly biomassCnSlope: number = NaN;
  readonly biomassCnOnset: number = NaN;
  readonly quickNitrogenWeight: number = NaN;
  readonly structuralNitrogenWeight: number = NaN;
  readonly woodyNitrogenWeight: number = NaN;
  readonly humusNitrogenWeight: number = NaN;
  readonly charNitrogenWeight: number = NaN;
  readonly starvedDecayFloor: number = NaN;
  readonly microbialDrawPerDay: number = NaN;
  readonly cropDrawPerDay: number = NaN;
  readonly deepDrawPerDay: number = NaN;
  readonly temperatureModifierCap: number = NaN;
  readonly frozenC: number = NaN;
  readonly referenceClayPct: number = NaN;
  readonly contactZoneLagDays: number = NaN;
  readonly rootZoneLagDays: number = NaN;
  readonly mulchLagDaysPerCm: number = NaN;
  readonly mulchDampingPerCm: number = NaN;
  readonly insulationCapCm: number = NaN;
  readonly compostInsulation: number = NaN;
  readonly frostFactor: number = NaN;
  readonly contactDepthCm: number = NaN;
  readonly contactDraw: number = NaN;
  readonly fungalLiftGPerM2Day: number = NaN;
  readonly thinnestSourceCm: number = NaN;
  readonly humusMixingPerYear: number = NaN;
  readonly compactedPathFactor: number = NaN;
  readonly ashDensityGPerCm3: number = NaN;
  readonly largestAshVolume: number = NaN;
  readonly organicMatterDensityGPerCm3: number = NaN;
  readonly lightestMineralSoil: number = NaN;
  readonly densestMineralSoil: number = NaN;
  readonly settlingShare: number = NaN;
  readonly settlingDays: number = NaN;
  readonly workedDepthCm: number = NaN;
  readonly subsoilBottomCm: number = NaN;
  readonly bareSoilEvaporation: number = NaN;
  readonly bareSoilDryness: number = NaN;
  readonly contactZoneEvaporationShare: number = NaN;
  readonly mulchEvaporationCut: number = NaN;
  readonly fullCoverMulchCm: number = NaN;
  readonly fieldCapacityBase: number = NaN;
  readonly fieldCapacityPerClayPct: number = NaN;
  readonly rainGapDays: number = NaN;
  readonly washingMm: number = NaN;
  readonly washedLayerCm: number = NaN;
  readonly thinnestWashing: number = NaN;
  readonly thickestWashing: number = NaN;
  readonly ammoniaLossPerDay: number = NaN;
  readonly layerAmmoniaLossPerDay: number = NaN;
  readonly releasedAmmoniaShare: number = NaN;
  readonly largestReleasedAmmoniaShare: number = NaN;
  readonly ammoniaFreeFeedCn: number = NaN;
  readonly ammoniaFeedCnSpan: number = NaN;
  readonly pileAmmoniaLossPerDay: number = NaN;
  readonly spreadHeapAmmoniaExposure: number = NaN;
  readonly ammoniaCoverCm: number = NaN;
  readonly ammoniaPhSlope: number = NaN;
  readonly ammoniaReferencePh: number = NaN;
  readonly leastPhFactor: number = NaN;
  readonly largestPhFactor: number = NaN;
  readonly nitrificationPerDay: number = NaN;
  readonly ammoniumShareAtStart: number = NaN;
  readonly labileCharShare: number = NaN;
  readonly labileCharResidenceDays: number = NaN;
  readonly charQ10: number = NaN;
  readonly charReferenceC: number = NaN;
  readonly charMajorityShare: number = NaN;
  readonly charCapacityGPerKg: number = NaN;
  readonly charFillingDays: number = NaN;
  readonly charDrawPerDay: number = NaN;
  readonly charFoulingPerYear: number = NaN;
  readonly stillPileFactor: number = NaN;
  readonly turnedPileFactor: number = NaN;
  readonly pileHeatingC: number = NaN;
  readonly pileCoolingDays: number = NaN;
  readonly compostBelowCn: number = NaN;
  readonly liquidMoisture: number = NaN;
  readonly liquidSoakShare: number = NaN;
  readonly heldAmmoniumGPerM2Cm: number = NaN;
  readonly denitrifiedPer10Mm: number = NaN;
  readonly backlogDays: number = NaN;
  readonly legumeFixedShare: number = NaN;
  readonly cropBaseC: number = NaN;
  readonly cropWarmestC: number = NaN;
  readonly rootsFullAtProgress: number = NaN;
  readonly paleWindowDays: number = NaN;
  readonly paleFromDemandShare: number = NaN;
  readonly paleLeastShare: number = NaN;
  readonly visiblyPale: number = NaN;
  readonly rootCarbonGPerM2: number = NaN;
  readonly rootNitrogenShare: number = NaN;
  readonly rootHumification: number = NaN;
  readonly rootQuickShare: number = NaN;
  readonly rootWoodyShare: number = NaN;
  readonly rootLateShare: number = NaN;
  readonly rootFedFloor: number = NaN;
  readonly rootFeedCn: number = NaN;
  readonly rootLitterDepthCm: number = NaN;
  readonly doseStepG: number = NaN;
  readonly doseMaximumG: number = NaN;
  readonly doseSeasonG: number = NaN;
  readonly dosePrice: number = NaN;
  readonly contactExposure: Readonly<Record<Exposure, number>> = PARAMETER_CLASSES.contactExposure.value;
  readonly upperExposure: Readonly<Record<Exposure, number>> = PARAMETER_CLASSES.upperExposure.value;
  readonly particleFactor: Readonly<Record<ParticleSize, number>> = PARAMETER_CLASSES.particleFactor.value;
  readonly sievedShare: Readonly<Record<ParticleSize, number>> = PARAMETER_CLASSES.sievedShare.value;
  readonly activeShare: Readonly<Record<SoilHistory, number>> = PARAMETER_CLASSES.activeShare.value;
  readonly charLeftAfter100Years: Readonly<Record<CharTemperature, number>> =
    PARAMETER_CLASSES.charLeftAfter100Years.value;
}

export type ParameterOverrides = {
  readonly [Name in ScalarParameterName]?: number;
} & {
  readonly contactExposure?: Partial<Record<Exposure, number>>;
  readonly upperExposure?: Partial<Record<Exposure, number>>;
  readonly particleFactor?: Partial<Record<ParticleSize, number>>;
  readonly sievedShare?: Partial<Record<ParticleSize, number>>;
  readonly activeShare?: Partial<Record<SoilHistory, number>>;
  readonly charLeftAfter100Years?: Partial<Record<CharTemperature, number>>;
};

const SCALAR_NAMES = Object.keys(PARAMETER_TABLE) as ScalarParameterName[];
const CLASS_NAMES = Object.keys(PARAMETER_CLASSES) as (keyof typeof PARAMETER_CLASSES)[];

/** The default parameters with some replaced; classes are merged key by key. */
export function withOverrides(overrides: ParameterOverrides = {}): ModelParameters {
  const parameters = new ModelParameters();
  const scalars = Object.fromEntries(
    SCALAR_NAMES.map((name) => [name, overrides[name] ?? PARAMETER_TABLE[name].value]),
  );
  const classes = Object.fromEntries(
    CLASS_NAMES.map((name) => [name, { ...PARAMETER_CLASSES[name].value, ...overrides[name] }]),
  );
  return Object.assign(parameters, scalars, classes);
}

export const defaultParameters: ModelParameters = withOverrides();
