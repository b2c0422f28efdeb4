import { z } from 'zod';
import { dayNumberFromIso } from '../core/climate/calendar.ts';
import { InputError, type FieldPath } from '../core/input-error.ts';
import { findLibraryMaterial } from '../core/materials/library.ts';
import { MATERIAL_DEFAULTS, type CarbonPools, type Material } from '../core/materials/material.ts';
import { woodChipMaterial } from '../core/materials/wood-chips.ts';
import {
  PARAMETER_CLASSES,
  PARAMETER_TABLE,
  type ParameterOverrides,
} from '../core/simulation/parameters.ts';
import {
  DEFAULT_STEPS_PER_DAY,
  SOIL_DEFAULTS,
  type BedEvent,
  type BedScenario,
  type CropPlan,
  type PilePlan,
  type SoilStart,
} from '../core/simulation/scenario.ts';
import type { SupplementPlan } from '../core/supplement/least-doses.ts';
import { problemsOf } from './problem-fields.ts';

/**
 * The scenario file: one bed, one square metre, as JSON. Version 1 carries no version field. Short names are
 * those of docs/scenario-file.md; this module turns them into the core's own, and turns the core's field
 * names back when something is refused, so that an error names what stands in the file.
 */
const text = z.string();
const number = z.number();
const pair = z.tuple([number, number]);
const twelve = z.array(number);

/** Zod copies every key it is not told about; remarks are welcome, misspelt fields are not. */
const fields = <T extends z.ZodRawShape>(shape: T) =>
  z.strictObject({
    ...shape,
    name: text.optional(),
    describe: text.optional(),
    note: text.optional(),
  });

const materialFields = {
  id: text.optional(),
  kind: text.optional(),
  moisture: number.optional(),
  c: number.optional(),
  n: number.optional(),
  cn: number.optional(),
  amm: number.optional(),
  density: number.optional(),
  q: number.optional(),
  s: number.optional(),
  w: number.optional(),
  h: number.optional(),
  char: number.optional(),
  b: number.optional(),
  size: text.optional(),
  rate: number.optional(),
  vol: number.optional(),
  barrier: number.optional(),
  char_temp: text.optional(),
  char_cap: number.optional(),
  charged: z.boolean().optional(),
  moisture_range: z.array(number).nullable().optional(),
  cn_range: z.array(number).nullable().optional(),
  source: text.optional(),
};

const materialFile = z.union([
  text,
  fields({ chips: fields({ diam_cm: number, leaf: number.optional(), conifer: number.optional() }) }),
  fields({ ...materialFields, base: text.optional() }),
]);
const materialOverride = fields(materialFields);
type MaterialFile = z.infer<typeof materialFile>;
type MaterialFields = z.infer<typeof materialOverride>;

const eventFile = z.discriminatedUnion('type', [
  fields({
    type: z.literal('apply'),
    date: text,
    material: materialFile.optional(),
    pile: text.optional(),
    kg: number,
    dug_cm: number.optional(),
    exposure: text.optional(),
    path: z.boolean().optional(),
    id: text.optional(),
    override: materialOverride.optional(),
  }),
  fields({
    type: z.literal('dig'),
    date: text,
    depth_cm: number,
    cohorts: z.union([z.literal('all'), z.array(text)]).optional(),
  }),
  fields({ type: z.literal('fert'), date: text, n: number, depth_cm: number.optional() }),
  fields({ type: z.literal('remove'), date: text, cohort: text, share: number }),
  fields({ type: z.literal('test'), date: text, mineral_n: pair }),
  fields({ type: z.literal('irrigate'), date: text, mm: number }),
]);

const scenarioFile = fields({
  start: text,
  end: text,
  climate: fields({ t: twelve, rain: twelve, pet: twelve }),
  soil: fields({
    som_pct: number,
    bulk_density: number,
    sample_cm: number.optional(),
    clay: number.optional(),
    root_cm: number.optional(),
    cn: number.optional(),
    mineral_n: pair.optional(),
    deficit0: pair.optional(),
  }),
  events: z.array(eventFile).optional(),
  crops: z
    .array(
      fields({
        id: text,
        plant: text,
        harvest: text,
        n_demand: number,
        root_cm: number,
        legume: z.boolean().optional(),
        fix_share: number.optional(),
        perennial: z.boolean().optional(),
        deep_share: number.optional(),
        residue_share: number.optional(),
        residue_material: materialFile.optional(),
        dug_cm: number.optional(),
      }),
    )
    .optional(),
  piles: z
    .array(
      fields({
        id: text,
        start: text,
        end: text,
        mix: z.array(fields({ material: materialFile, kg: number })),
        turned: z.boolean().optional(),
        hot: z.boolean().optional(),
        moisture: number.optional(),
        kind: text.optional(),
        steps_per_day: number.optional(),
      }),
    )
    .optional(),
  irrigation: fields({ months: z.array(number), trigger: number, refill: number }).optional(),
  deposition: number.optional(),
  params: z.record(text, z.unknown()).optional(),
  steps_per_day: number.optional(),
  report_every: number.optional(),
  supplement: fields({
    dates: z.array(text),
    crops: z.union([z.literal('all'), z.array(text)]).optional(),
    availability: number.optional(),
    max_dose: number.optional(),
  }).optional(),
});
type ScenarioFile = z.infer<typeof scenarioFile>;
type EventFile = z.infer<typeof eventFile>;

export interface ScenarioRequest {
  readonly name: string;
  readonly scenario: BedScenario;
  readonly reportEveryDays: number;
  readonly supplement?: SupplementPlan;
}

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
  vapourBarrier: 'barrier',
  charTemperature: 'char_temp',
  charCapacityGPerKg: 'char_cap',
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
const NAME_BY_SYMBOL: Record<string, string> = { ...scalarSymbols, ...classSymbols };
const SYMBOL_BY_NAME = Object.fromEntries(Object.entries(NAME_BY_SYMBOL).map(([s, n]) => [n, s]));

/** An error of the core with its field spelt as in the file. */
export function inFileWords(error: InputError): InputError {
  const path = error.path.map((key) =>
    typeof key === 'string' ? (SYMBOL_BY_NAME[key] ?? FILE_NAMES[key] ?? key) : key,
  );
  return new InputError(path, error.code, error.requirement);
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
    vapourBarrier: file.barrier,
    charTemperature: file.char_temp,
    charCapacityGPerKg: file.char_cap,
    isCharged: file.charged,
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
  if (!found) throw new InputError(path, 'unknown', `names no material of the library; got "${id}"`);
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
      throw new InputError([...path, name], 'bad_shape', 'is missing; a material needs it');
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
      return { type: 'feed', day, nitrogenGPerM2: file.n, depthCm: file.depth_cm ?? 5 };
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
    throw new InputError([...path, 'material'], 'bad_shape', 'is missing; name a material or a pile');
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
    stepsPerDay: file.steps_per_day ?? DEFAULT_STEPS_PER_DAY,
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
    mineralNGPerM2: file.mineral_n ?? SOIL_DEFAULTS.mineralNGPerM2,
    deficitMm: file.deficit0 ?? SOIL_DEFAULTS.deficitMm,
  };
}

function parametersFrom(file: Record<string, unknown>): ParameterOverrides {
  return Object.fromEntries(
    Object.entries(file).map(([symbol, value]) => {
      const name = NAME_BY_SYMBOL[symbol];
      if (name === undefined) {
        throw new InputError(['params', symbol], 'unknown', 'is not a parameter of the model');
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
    const issue = parsed.error.issues[0]!;
    const [problem] = problemsOf(parsed.error);
    const field = problem!.field;
    const requirement = problem!.sentence.slice(field.length + 1).replace(/\.$/, '');
    throw new InputError(issue.path.length === 0 ? ['scenario'] : field.split('.'), 'bad_shape', requirement);
  }
  const file = parsed.data;
  const reportEveryDays = file.report_every ?? DEFAULT_REPORT_EVERY_DAYS;
  if (!(Number.isInteger(reportEveryDays) && reportEveryDays >= 1)) {
    throw new InputError(['report_every'], 'out_of_range', 'must be a whole number of days, at least 1');
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
