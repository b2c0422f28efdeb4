import {
  type Material,
  type MaterialKind,
  findLibraryMaterial,
  hasTrait,
  total,
} from '../../ground/index.ts';
import {
  type CohortOpening,
  type ModelParameters,
  PARAMETER_TABLE,
  feedCarbonToNitrogen,
  microbialCnForFeed,
} from '../../model/index.ts';
import {
  carbonG,
  charTemperatureOf,
  cohortCarbonG,
  dryG,
  freshKg,
  nitrogenG,
  volumeL,
  woodAshG,
  type LotContents,
} from './lot-contents.ts';

const POOL_COUNT = 7;
const QUICK = 0;
const LIVING_POOLS = 3;
const FIRST_CHAR_POOL = 5;
const GRAMS_PER_KILOGRAM = 1000;
/** A mix counts as compost once so little quick carbon is left that it no longer heats (set here). */
const FINISHED_QUICK_SHARE = 0.03;
/** And so little of what came is still recognizable: the yardstick of a heap of 16 months (S12 of the model). */
export const FINISHED_RECOGNIZABLE_SHARE = 0.35;
/** And nothing in it is younger: weeks of heat and a month or more of curing (NRAES-54, from memory; the figure is set here). */
const FINISHED_FROM_DAYS = 90;
/**
 * And so little ammonium is left, g of its nitrogen in a gram of dry matter: 500 mg/kg parts mature compost from
 * immature (California Compost Quality Council, from memory).
 */
const FINISHED_AMMONIUM = 500e-6;
/** They do not decide what a mix is. */
const ADDITIONS: ReadonlySet<MaterialKind> = new Set(['char', 'fertiliser', 'none']);
const CHAR_MAJORITY = 0.5;

/** Figures of a lot at one moment, for the whole of it. */
export interface LotFigures {
  readonly freshKg: number;
  readonly dryKg: number;
  readonly volumeL: number;
  readonly moistureFractionWetBasis: number;
  readonly bulkDensityKgPerM3: number;
  readonly carbonKg: number;
  readonly nitrogenG: number;
  readonly mineralNitrogenG: number;
  /** Of that, what is still ammonium and can go as ammonia. */
  readonly ammoniumG: number;
  readonly charHeldNitrogenG: number;
  readonly charCarbonKg: number;
  /** Wood ash that was mixed in, dry. */
  readonly woodAshG: number;
  readonly phosphorusG: number;
  readonly potassiumG: number;
  /** 0 for nothing with carbon in it, Infinity never: a lot without nitrogen says null. */
  readonly carbonToNitrogen: number | null;
  readonly nitrogenFractionDryBasis: number;
  /** Fresh carbon over the carbon that came: what still looks like what went in. */
  readonly recognizableShare: number;
}

const sumPool = ({ cohorts }: LotContents, k: number): number =>
  total(cohorts.map(({ carbonG: pools }) => pools[k]));

const recognizableShareOf = (contents: LotContents): number =>
  ratio(
    total(Array.from({ length: LIVING_POOLS }, (_, k) => sumPool(contents, k))),
    total(contents.cohorts.map(({ arrivedCarbonG }) => arrivedCarbonG)),
  );

const ratio = (top: number, bottom: number): number => (bottom > 0 ? top / bottom : 0);

/** What a scale, a bucket and a laboratory would say of it. */
export function figuresOf(contents: LotContents): LotFigures {
  const dry = dryG(contents);
  const fresh = freshKg(contents);
  const volume = volumeL(contents);
  const carbon = carbonG(contents);
  const nitrogen = nitrogenG(contents);
  return {
    freshKg: fresh,
    dryKg: dry / GRAMS_PER_KILOGRAM,
    volumeL: volume,
    moistureFractionWetBasis: ratio(contents.waterG, dry + contents.waterG),
    bulkDensityKgPerM3: ratio(fresh * GRAMS_PER_KILOGRAM, volume),
    carbonKg: carbon / GRAMS_PER_KILOGRAM,
    nitrogenG: nitrogen,
    mineralNitrogenG: contents.mineralNitrogenG,
    ammoniumG: contents.ammoniumG,
    charHeldNitrogenG: total(contents.cohorts.map(({ charHeldG }) => charHeldG)),
    charCarbonKg:
      (sumPool(contents, FIRST_CHAR_POOL) + sumPool(contents, FIRST_CHAR_POOL + 1)) / GRAMS_PER_KILOGRAM,
    woodAshG: woodAshG(contents),
    phosphorusG: total(contents.cohorts.map(({ phosphorusG }) => phosphorusG)),
    potassiumG: total(contents.cohorts.map(({ potassiumG }) => potassiumG)),
    carbonToNitrogen: nitrogen > 0 ? carbon / nitrogen : null,
    nitrogenFractionDryBasis: ratio(nitrogen, dry),
    recognizableShare: recognizableShareOf(contents),
  };
}

/**
 * The kind most of its carbon is of; what has gone quiet, narrow and ripe counts as compost (after S10 of the model), and
 * char or a feed in it changes nothing about that.
 */
export function kindOf(contents: LotContents): MaterialKind {
  const byKind = new Map<MaterialKind, number>();
  for (const one of contents.cohorts) {
    // Kinds without carbon still have a name of their own.
    byKind.set(one.kind, (byKind.get(one.kind) ?? 0) + cohortCarbonG(one) + Number.MIN_VALUE);
  }
  const [main = 'none'] = [...byKind].sort((a, b) => b[1] - a[1]).map(([kind]) => kind);
  if (carbonG(contents) === 0 || main === 'char' || main === 'paper' || main === 'fertiliser') return main;
  const body = bodyOf(contents);
  if (isFinished(body)) return 'compost';
  const kinds = [...new Set(body.cohorts.map(({ kind }) => kind))];
  return kinds.length === 1 ? kinds[0] : 'residue';
}

/** Of more than one kind of thing: it is on its way to compost. */
export const isMix = ({ cohorts }: LotContents): boolean => new Set(cohorts.map(({ kind }) => kind)).size > 1;

/** Rotted through here, or bought so. */
export const isMature = (contents: LotContents): boolean => {
  const body = bodyOf(contents);
  const cameSo = body.cohorts.every(({ materialId }) =>
    hasTrait(findLibraryMaterial(materialId), 'isMature'),
  );
  return body.cohorts.length > 0 && (cameSo || isFinished(body));
};

/** What has to hold before a mix counts as finished compost. */
export type FinishingSign = 'cured' | 'gentle' | 'unrecognizable' | 'narrow' | 'littleAmmonium';

const FINISHING: Readonly<Record<FinishingSign, (body: LotContents) => boolean>> = {
  narrow: (body) => carbonG(body) / nitrogenG(body) < PARAMETER_TABLE.compostBelowCn.value,
  gentle: (body) => sumPool(body, QUICK) / carbonG(body) < FINISHED_QUICK_SHARE,
  unrecognizable: (body) => recognizableShareOf(withoutBoughtCompost(body)) < FINISHED_RECOGNIZABLE_SHARE,
  littleAmmonium: (body) => ratio(body.ammoniumG, dryG(body)) < FINISHED_AMMONIUM,
  cured: (body) => body.cohorts.every(({ ageDays }) => ageDays >= FINISHED_FROM_DAYS),
};

/** Compost that came as compost is crumbs already; nothing in it is to be recognized. */
const withoutBoughtCompost = (body: LotContents): LotContents => ({
  ...body,
  cohorts: body.cohorts.filter(({ kind }) => kind !== 'compost'),
});

/** Of a lot, what is not char, feed or mineral: that has to ripen. */
export const bodyOf = (contents: LotContents): LotContents => ({
  ...contents,
  cohorts: contents.cohorts.filter(({ kind }) => !ADDITIONS.has(kind)),
});

/** What makes compost of a lot, each met or not. */
export function finishing(
  contents: LotContents,
): { readonly sign: FinishingSign; readonly isMet: boolean }[] {
  const body = bodyOf(contents);
  return (Object.keys(FINISHING) as FinishingSign[]).map((sign) => ({ sign, isMet: FINISHING[sign](body) }));
}

const isFinished = (body: LotContents): boolean => Object.values(FINISHING).every((holds) => holds(body));

const byCarbon = (contents: LotContents, value: (one: LotContents['cohorts'][number]) => number): number => {
  const carbon = carbonG(contents);
  if (carbon === 0) return value(contents.cohorts[0]);
  return total(contents.cohorts.map((one) => value(one) * cohortCarbonG(one))) / carbon;
};

/** What a lot brings when all of it is laid, g. Not for an empty lot. */
export function openingOfContents(contents: LotContents, p: ModelParameters): CohortOpening {
  const pools = (of: 'carbonG' | 'nitrogenG') =>
    Array.from({ length: POOL_COUNT }, (_, k) => total(contents.cohorts.map((one) => one[of][k])));
  const carbonPools = pools('carbonG');
  const nitrogenPools = pools('nitrogenG');
  const dry = dryG(contents);
  const { moistureFractionWetBasis } = figuresOf(contents);
  return {
    kind: kindOf(contents),
    carbonG: carbonPools,
    nitrogenG: nitrogenPools,
    ammoniumG: contents.ammoniumG,
    nitrateG: contents.mineralNitrogenG - contents.ammoniumG,
    charHeldG: total(contents.cohorts.map(({ charHeldG }) => charHeldG)),
    charCapacityG: total(contents.cohorts.map(({ charCapacityG }) => charCapacityG)),
    microbialCn: microbialCnForFeed(
      feedCarbonToNitrogen({ carbonG: carbonPools, nitrogenG: nitrogenPools }),
      p,
    ),
    decayRateFactor: byCarbon(contents, ({ decayRateFactor }) => decayRateFactor),
    ammoniaExposure:
      contents.cohorts.length === 1 ? contents.cohorts[0].ammoniaExposure : p.spreadHeapAmmoniaExposure,
    vaporBarrier: contents.cohorts.length === 1 ? contents.cohorts[0].vaporBarrier : 0,
    charTemperature: charTemperatureOf(contents),
    dryMassG: dry,
    ashG: Math.min(dry, total(contents.cohorts.map(({ ashG }) => ashG))),
    dryDensityKgPerM3: dry / volumeL(contents),
    isLiquid: moistureFractionWetBasis >= p.liquidMoisture,
    sievedShare: byCarbon(contents, ({ sievedShare }) => sievedShare),
    humificationFactor: byCarbon(contents, ({ humificationFactor }) => humificationFactor),
  };
}

/** A lot as a material, for the mixing bench and for words: its figures as they are now. Not for an empty lot. */
export function materialOfContents(contents: LotContents): Material {
  const { carbonKg, dryKg, nitrogenG: nitrogen, ...figures } = figuresOf(contents);
  const share = (k: number) => ratio(sumPool(contents, k), carbonKg * GRAMS_PER_KILOGRAM);
  const char = share(FIRST_CHAR_POOL) + share(FIRST_CHAR_POOL + 1);
  return {
    kind: kindOf(contents),
    moistureFractionWetBasis: figures.moistureFractionWetBasis,
    carbonFractionDryBasis: carbonKg / dryKg,
    nitrogenFractionDryBasis: figures.nitrogenFractionDryBasis,
    ammoniumShareOfNitrogen: ratio(figures.mineralNitrogenG + figures.charHeldNitrogenG, nitrogen),
    bulkDensityKgPerM3: figures.bulkDensityKgPerM3,
    pools: {
      quick: carbonKg > 0 ? share(0) : 1,
      structural: share(1),
      woody: share(2),
      microbial: share(3),
      humus: share(4),
      char,
    },
    particleSize: 'fine',
    decayFactor: byCarbon(contents, ({ decayRateFactor }) => decayRateFactor),
    ammoniaExposure: contents.cohorts[0].ammoniaExposure,
    vaporBarrier: 0,
    charTemperature: charTemperatureOf(contents),
    traits: isMature(contents) ? ['isMature'] : [],
    isCharged: char > CHAR_MAJORITY && figures.charHeldNitrogenG > 0,
  };
}
