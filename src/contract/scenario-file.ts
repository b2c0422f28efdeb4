import {
  type CarbonPools,
  MATERIAL_DEFAULTS,
  type Material,
  SEEDED_WEATHER_DEFAULTS,
  type SeededWeather,
  dayNumberFromIso,
  findLibraryMaterial,
  woodChipMaterial,
} from '../core/ground/index.ts';
import { InputError, type FieldPath } from '../refusals/input-error.ts';
import {
  type BedEvent,
  type BedScenario,
  type CropPlan,
  DEFAULT_STEPS_PER_DAY,
  PILE_STEPS_PER_DAY,
  type ParameterOverrides,
  type PilePlan,
  SOIL_DEFAULTS,
  type SoilHistory,
  type SoilStart,
} from '../core/model/index.ts';
import type { SupplementPlan } from '../core/bed/index.ts';
import { finding } from '../refusals/refusal.ts';
import { findingsOf } from './problem-fields.ts';
import { NAME_BY_SYMBOL } from './scenario-file-names.ts';
import {
  scenarioFile,
  type EventFile,
  type MaterialFields,
  type MaterialFile,
  type ScenarioFile,
} from './scenario-file-schema.ts';

/**
 * The scenario file: one bed, one square meter, as JSON. Format 1 carries no format field; format 2 adds optional
 * fields only, so both are read alike. Short names are
 * those of docs/scenario-file.md; this module turns them into the core's own, and turns the core's field
 * names back when something is refused, so that an error names what stands in the file.
 */
export interface ScenarioRequest {
  readonly name: string;
  readonly scenario: BedScenario;
  readonly reportEveryDays: number;
  readonly supplement?: SupplementPlan;
}

const PERCENT = 100;

/** Figures of a material file that stand for themselves, by core name; percentages become fractions. */
function statedFigures(file: MaterialFields): Partial<Record<keyof Material, unknown>> {
  const stated = {
    kind: file.kind,
    moistureFractionWetBasis: file.moisture === undefined ? undefined : file.moisture / PERCENT,
    carbonFractionDryBasis: file.c === undefined ? undefined : file.c / PERCENT,
    nitrogenFractionDryBasis: file.n === undefined ? undefined : file.n / PERCENT,
    ammoniumShareOfNitrogen: file.amm,
    bulkDensityKgPerM3: file.density,
    particleSize: file.size,
    decayFactor: file.rate,
    ammoniaExposure: file.vol,
    vaporBarrier: file.barrier,
    charTemperature: file.char_temp,
    charCapacityGPerKg: file.char_cap,
    isCharged: file.charged,
    ashFractionDryBasis: file.ash === undefined ? undefined : file.ash / PERCENT,
    boundNitrogenShare: file.bound,
    humificationFactor: file.hum,
  };
  return Object.fromEntries(Object.entries(stated).filter(([, value]) => value !== undefined));
}

const NO_POOLS: CarbonPools = { quick: 0, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 };

function poolsOf(file: MaterialFields, base: CarbonPools): CarbonPools {
  return {
    quick: file.q ?? base.quick,
    structural: file.s ?? base.structural,
    woody: file.w ?? base.woody,
    microbial: file.b ?? base.microbial,
    humus: file.h ?? base.humus,
    char: file.char ?? base.char,
  };
}

const REQUIRED = ['moisture', 'c', 'n', 'density'] as const;

function requireLibraryMaterial(id: string, path: FieldPath): Material {
  const found = findLibraryMaterial(id);
  if (!found) throw new InputError(path, 'namesNone', { what: 'libraryMaterial', got: id });
  return found;
}

function materialFrom(file: MaterialFile, path: FieldPath): Material {
  if (typeof file === 'string') return requireLibraryMaterial(file, path);
  if ('chips' in file) {
    const { diam_cm, leaf = 0, conifer = 0 } = file.chips;
    return woodChipMaterial({ branchDiameterCm: diam_cm, leafShare: leaf, coniferShare: conifer }, [
      ...path,
      'chips',
    ]);
  }
  if (file.base !== undefined) {
    return overridden(requireLibraryMaterial(file.base, [...path, 'base']), file);
  }
  for (const name of REQUIRED) {
    if (file[name] === undefined) {
      throw new InputError([...path, name], 'missing', { hint: 'material' });
    }
  }
  // The core checks every figure; a missing or misspelt one is refused there by name.
  return {
    ...MATERIAL_DEFAULTS,
    ...statedFigures(file),
    pools: poolsOf(file, NO_POOLS),
  } as Material;
}

const overridden = (base: Material, file: MaterialFields): Material =>
  ({ ...base, ...statedFigures(file), pools: poolsOf(file, base.pools) }) as Material;

function eventFrom(file: EventFile, path: FieldPath): BedEvent {
  const day = dayNumberFromIso(file.date, [...path, 'date']);
  switch (file.type) {
    case 'apply':
      return applicationFrom(file, day, path);
    case 'dig':
      return { type: 'dig', day, depthCm: file.depth_cm, cohortIds: file.cohorts ?? 'all' };
    case 'fert':
      return {
        type: 'feed',
        day,
        nitrogenGPerM2: file.n,
        depthCm: file.depth_cm ?? 5,
        ...(file.nh4 === undefined ? {} : { ammoniumShare: file.nh4 }),
      };
    case 'remove':
      return { type: 'remove', day, cohortId: file.cohort, share: file.share };
    case 'test':
      return { type: 'soilTest', day, mineralNGPerM2: file.mineral_n };
    case 'irrigate':
      return { type: 'irrigate', day, waterMm: file.mm };
  }
}

function applicationFrom(
  file: Extract<EventFile, { type: 'apply' }>,
  day: number,
  path: FieldPath,
): BedEvent {
  const common = {
    type: 'apply' as const,
    day,
    ...(file.id === undefined ? {} : { id: file.id }),
    massFreshKgPerM2: file.kg,
    dugDepthCm: file.dug_cm ?? 0,
    exposure: (file.exposure ?? 'normal') as 'normal',
    isOnPath: file.path ?? false,
  };
  if (file.pile !== undefined) return { ...common, pileId: file.pile };
  if (file.material === undefined) {
    throw new InputError([...path, 'material'], 'missing', { hint: 'materialOrPile' });
  }
  const material = materialFrom(file.material, [...path, 'material']);
  return { ...common, material: file.override ? overridden(material, file.override) : material };
}

function cropFrom(file: NonNullable<ScenarioFile['crops']>[number], path: FieldPath): CropPlan {
  return {
    id: file.id,
    plantDay: dayNumberFromIso(file.plant, [...path, 'plant']),
    harvestDay: dayNumberFromIso(file.harvest, [...path, 'harvest']),
    nitrogenDemandGPerM2: file.n_demand,
    rootDepthCm: file.root_cm,
    isLegume: file.legume ?? false,
    ...(file.fix_share === undefined ? {} : { fixedShare: file.fix_share }),
    isPerennial: file.perennial ?? false,
    deepShare: file.deep_share ?? 0,
    ...(file.root_c === undefined ? {} : { rootCarbonGPerM2: file.root_c }),
    residueShare: file.residue_share ?? 0,
    ...(file.residue_material === undefined
      ? {}
      : { residueMaterial: materialFrom(file.residue_material, [...path, 'residue_material']) }),
    residueDugDepthCm: file.dug_cm ?? 0,
  };
}

function pileFrom(file: NonNullable<ScenarioFile['piles']>[number], path: FieldPath): PilePlan {
  return {
    id: file.id,
    startDay: dayNumberFromIso(file.start, [...path, 'start']),
    endDay: dayNumberFromIso(file.end, [...path, 'end']),
    mix: file.mix.map(({ material, kg }, i) => ({
      material: materialFrom(material, [...path, 'mix', i, 'material']),
      massFreshKg: kg,
    })),
    isTurned: file.turned ?? false,
    isHot: file.hot ?? false,
    moistureFactor: file.moisture ?? 1,
    ...(file.kind === undefined ? {} : { kind: file.kind as Material['kind'] }),
    stepsPerDay: file.steps_per_day ?? PILE_STEPS_PER_DAY,
  };
}

function soilFrom(file: ScenarioFile['soil']): SoilStart {
  return {
    organicMatterPct: file.som_pct,
    bulkDensityGPerCm3: file.bulk_density,
    samplingDepthCm: file.sample_cm ?? SOIL_DEFAULTS.samplingDepthCm,
    clayPct: file.clay ?? SOIL_DEFAULTS.clayPct,
    rootZoneCm: file.root_cm ?? SOIL_DEFAULTS.rootZoneCm,
    carbonToNitrogen: file.cn ?? SOIL_DEFAULTS.carbonToNitrogen,
    ph: file.ph ?? SOIL_DEFAULTS.ph,
    history: (file.history ?? SOIL_DEFAULTS.history) as SoilHistory,
    mineralNGPerM2: file.mineral_n ?? SOIL_DEFAULTS.mineralNGPerM2,
    deficitMm: file.deficit0 ?? SOIL_DEFAULTS.deficitMm,
  };
}

function weatherFrom(file: NonNullable<ScenarioFile['weather']>): SeededWeather {
  const d = SEEDED_WEATHER_DEFAULTS;
  return {
    seed: file.seed,
    temperatureSdC: file.t_sd ?? d.temperatureSdC,
    rainSd: file.rain_sd ?? d.rainSd,
    yearShare: file.year_share ?? d.yearShare,
    evapotranspirationPerC: file.pet_t ?? d.evapotranspirationPerC,
    evapotranspirationPerLogRain: file.pet_rain ?? d.evapotranspirationPerLogRain,
  };
}

function parametersFrom(file: Record<string, unknown>): ParameterOverrides {
  return Object.fromEntries(
    Object.entries(file).map(([symbol, value]) => {
      const name = NAME_BY_SYMBOL[symbol];
      if (name === undefined) {
        throw new InputError(['params', symbol], 'namesNone', { what: 'parameter', got: null });
      }
      return [name, value];
    }),
  );
}

function supplementFrom(file: NonNullable<ScenarioFile['supplement']>): SupplementPlan {
  return {
    days: file.dates.map((date, i) => dayNumberFromIso(date, ['supplement', 'dates', i])),
    cropIds: file.crops ?? 'all',
    availability: file.availability ?? 1,
    ...(file.max_dose === undefined ? {} : { maximumDoseGPerM2: file.max_dose }),
  };
}

const DEFAULT_REPORT_EVERY_DAYS = 7;

/** Reads a parsed scenario file. Throws InputError, spelt as in the file, for the first thing wrong with it. */
export function readScenarioFile(json: unknown): ScenarioRequest {
  const parsed = scenarioFile.safeParse(json);
  if (!parsed.success) {
    const [first] = findingsOf(parsed.error);
    throw InputError.of(first!.at.field === 'input' ? finding(first!, 'scenario') : first!);
  }
  const file = parsed.data;
  const reportEveryDays = file.report_every ?? DEFAULT_REPORT_EVERY_DAYS;
  if (!(Number.isInteger(reportEveryDays) && reportEveryDays >= 1)) {
    throw new InputError(['report_every'], 'notWhole', { got: reportEveryDays, of: 'days', isFromOne: true });
  }
  const scenario: BedScenario = {
    startDay: dayNumberFromIso(file.start, ['start']),
    endDay: dayNumberFromIso(file.end, ['end']),
    climate: {
      temperatureC: file.climate.t,
      rainMm: file.climate.rain,
      evapotranspirationMm: file.climate.pet,
    },
    soil: soilFrom(file.soil),
    events: (file.events ?? []).map((event, i) => eventFrom(event, ['events', i])),
    crops: (file.crops ?? []).map((crop, i) => cropFrom(crop, ['crops', i])),
    piles: (file.piles ?? []).map((pile, i) => pileFrom(pile, ['piles', i])),
    ...(file.irrigation ? { irrigation: file.irrigation } : {}),
    ...(file.weather ? { seededWeather: weatherFrom(file.weather) } : {}),
    depositionGPerM2Year: file.deposition ?? 0,
    ...(file.params ? { parameters: parametersFrom(file.params) } : {}),
    stepsPerDay: file.steps_per_day ?? DEFAULT_STEPS_PER_DAY,
  };
  return {
    name: file.name ?? 'scenario',
    scenario,
    reportEveryDays,
    ...(file.supplement ? { supplement: supplementFrom(file.supplement) } : {}),
  };
}
