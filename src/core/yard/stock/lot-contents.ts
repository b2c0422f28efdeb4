import { CHAR_TEMPERATURES, type CharTemperature } from '../../../records/vocabulary.ts';
import {
  type Material,
  type MaterialKind,
  hasTrait,
  phosphorusFractionDryBasis,
  potassiumFractionDryBasis,
  total,
} from '../../ground/index.ts';
import { type ModelParameters, type PileCohort, openingFromDryMass } from '../../model/index.ts';

/**
 * What a lot holds of one thing that went in, g for the whole lot. Carbon and nitrogen move as the pile mode of the
 * model says; ash, phosphorus and potassium only leave with what is taken.
 */
export interface LotCohort extends PileCohort {
  /** The material it arrived as. */
  readonly materialId: string;
  readonly kind: MaterialKind;
  /** Mineral nitrogen on char surfaces, and how much they can hold. */
  readonly charHeldG: number;
  readonly charCapacityG: number;
  readonly ashG: number;
  /** Dry mass that is neither ash nor goes with carbon: the salts of a fertiliser. */
  readonly saltsG: number;
  /** Carbon it had when it arrived: the share that is left shows how recognizable it is. */
  readonly arrivedCarbonG: number;
  /** Days it has lain in a heap here. */
  readonly ageDays: number;
  /** Organic dry mass that goes with a gram of carbon. */
  readonly organicPerCarbon: number;
  readonly dryDensityKgPerM3: number;
  readonly ammoniaExposure: number;
  readonly vaporBarrier: number;
  /** Share of unrotted pieces that pass the sieve of a laboratory. */
  readonly sievedShare: number;
  readonly charTemperature: CharTemperature;
  /** What of it raises pH so far that ammonium leaves as ammonia; null for anything else. */
  readonly alkali: 'ash' | 'lime' | null;
  readonly phosphorusG: number;
  readonly potassiumG: number;
}

/** Everything in a lot. Mineral nitrogen is common to all of it. */
export interface LotContents {
  readonly cohorts: readonly LotCohort[];
  readonly mineralNitrogenG: number;
  /** Of that, what is still ammonium; the rest has turned into nitrate. */
  readonly ammoniumG: number;
  readonly waterG: number;
}

export const NOTHING: LotContents = { cohorts: [], mineralNitrogenG: 0, ammoniumG: 0, waterG: 0 };

const GRAMS_PER_KILOGRAM = 1000;

/** Contents made of so much of a material. `dryG` above 0. */
export function contentsOfMaterial({
  materialId,
  material,
  dryG,
  p,
}: {
  readonly materialId: string;
  readonly material: Material;
  readonly dryG: number;
  readonly p: ModelParameters;
}): LotContents {
  const opening = openingFromDryMass(material, dryG, p);
  const carbonG = total(opening.carbonG);
  const { ashG } = opening;
  const moisture = material.moistureFractionWetBasis;
  const { kind, carbonG: pools, nitrogenG, microbialCn, decayRateFactor } = opening;
  return {
    cohorts: [
      {
        materialId,
        kind,
        carbonG: pools,
        nitrogenG,
        microbialCn,
        decayRateFactor,
        humificationFactor: opening.humificationFactor,
        sievedShare: opening.sievedShare,
        charHeldG: opening.charHeldG,
        charCapacityG: opening.charCapacityG,
        ashG,
        saltsG: carbonG > 0 ? 0 : dryG - ashG,
        arrivedCarbonG: carbonG,
        ageDays: 0,
        organicPerCarbon: carbonG > 0 ? (dryG - ashG) / carbonG : 0,
        dryDensityKgPerM3: opening.dryDensityKgPerM3,
        ammoniaExposure: opening.ammoniaExposure,
        vaporBarrier: opening.vaporBarrier,
        charTemperature: opening.charTemperature,
        alkali: hasTrait(material, 'isWoodAsh')
          ? 'ash'
          : hasTrait(material, 'drivesOffAmmonia')
            ? 'lime'
            : null,
        phosphorusG: dryG * phosphorusFractionDryBasis(materialId, material),
        potassiumG: dryG * potassiumFractionDryBasis(materialId, material),
      },
    ],
    mineralNitrogenG: opening.ammoniumG,
    ammoniumG: opening.ammoniumG,
    waterG: (dryG * moisture) / (1 - moisture),
  };
}

export const cohortCarbonG = (cohort: LotCohort): number => total(cohort.carbonG);

export const cohortDryG = (cohort: LotCohort): number =>
  cohort.ashG + cohort.saltsG + cohort.organicPerCarbon * cohortCarbonG(cohort);

export const carbonG = ({ cohorts }: LotContents): number => total(cohorts.map(cohortCarbonG));

/** All nitrogen: organic, mineral, and what char holds. */
export const nitrogenG = ({ cohorts, mineralNitrogenG }: LotContents): number =>
  total(cohorts.flatMap((one) => [...one.nitrogenG, one.charHeldG])) + mineralNitrogenG;

export const dryG = ({ cohorts }: LotContents): number => total(cohorts.map(cohortDryG));

/** Ash and lime in the dry mass, 0 to 1. */
export const alkaliShare = (contents: LotContents): number => {
  const dry = dryG(contents);
  return dry > 0 ? total(contents.cohorts.filter((one) => one.alkali !== null).map(cohortDryG)) / dry : 0;
};

/** Wood ash in it, dry. */
export const woodAshG = ({ cohorts }: LotContents): number =>
  total(cohorts.filter((one) => one.alkali === 'ash').map(cohortDryG));

export const freshKg = (contents: LotContents): number =>
  (dryG(contents) + contents.waterG) / GRAMS_PER_KILOGRAM;

/** Loose volume; volumes are added up, though fine material fills the gaps of coarse. */
export const volumeL = ({ cohorts }: LotContents): number =>
  total(cohorts.map((one) => cohortDryG(one) / one.dryDensityKgPerM3));

export const isEmpty = (contents: LotContents): boolean => dryG(contents) <= 0;

const scaledCohort = (one: LotCohort, share: number): LotCohort => ({
  ...one,
  carbonG: one.carbonG.map((c) => c * share),
  nitrogenG: one.nitrogenG.map((n) => n * share),
  charHeldG: one.charHeldG * share,
  charCapacityG: one.charCapacityG * share,
  ashG: one.ashG * share,
  saltsG: one.saltsG * share,
  arrivedCarbonG: one.arrivedCarbonG * share,
  phosphorusG: one.phosphorusG * share,
  potassiumG: one.potassiumG * share,
});

/** The same material, `share` times as much. */
export const scaleContents = (contents: LotContents, share: number): LotContents => ({
  cohorts: contents.cohorts.map((one) => scaledCohort(one, share)),
  mineralNitrogenG: contents.mineralNitrogenG * share,
  ammoniumG: contents.ammoniumG * share,
  waterG: contents.waterG * share,
});

/** Several contents thrown together; each keeps its own way of rotting. */
export const mixContents = (parts: readonly LotContents[]): LotContents => ({
  cohorts: parts.flatMap(({ cohorts }) => cohorts),
  mineralNitrogenG: total(parts.map(({ mineralNitrogenG }) => mineralNitrogenG)),
  ammoniumG: total(parts.map(({ ammoniumG }) => ammoniumG)),
  waterG: total(parts.map(({ waterG }) => waterG)),
});

/** The same material at a given moisture, wet basis from 0 to below 1. */
export const atMoisture = (contents: LotContents, moistureFractionWetBasis: number): LotContents => ({
  ...contents,
  waterG: (dryG(contents) * moistureFractionWetBasis) / (1 - moistureFractionWetBasis),
});

/** The same material at another bulk density, as received, kg/m3. */
export function atBulkDensity(contents: LotContents, bulkDensityKgPerM3: number): LotContents {
  const factor = (bulkDensityKgPerM3 * volumeL(contents)) / (freshKg(contents) * GRAMS_PER_KILOGRAM);
  return {
    ...contents,
    cohorts: contents.cohorts.map((one) => ({ ...one, dryDensityKgPerM3: one.dryDensityKgPerM3 * factor })),
  };
}

/**
 * The same material with its organic nitrogen and carbon brought to a laboratory's figures, shares of dry mass. Every pool
 * is scaled alike; dry mass, water and mineral nitrogen stay.
 */
export function atAnalysis(
  contents: LotContents,
  measured: { readonly carbonFractionDryBasis?: number; readonly nitrogenFractionDryBasis?: number },
): LotContents {
  const dry = dryG(contents);
  const carbonFactor =
    measured.carbonFractionDryBasis === undefined || carbonG(contents) === 0
      ? 1
      : (measured.carbonFractionDryBasis * dry) / carbonG(contents);
  const organicN = total(contents.cohorts.flatMap((one) => one.nitrogenG));
  const fixedN = nitrogenG(contents) - organicN;
  const nitrogenFactor =
    measured.nitrogenFractionDryBasis === undefined || organicN === 0
      ? 1
      : Math.max(0, (measured.nitrogenFractionDryBasis * dry - fixedN) / organicN);
  return {
    ...contents,
    cohorts: contents.cohorts.map((one) => ({
      ...one,
      carbonG: one.carbonG.map((c) => c * carbonFactor),
      arrivedCarbonG: one.arrivedCarbonG * carbonFactor,
      nitrogenG: one.nitrogenG.map((n) => n * nitrogenFactor),
      organicPerCarbon: one.organicPerCarbon / carbonFactor,
    })),
  };
}

/** The hottest firing among the chars of a lot decides nothing: the commonest by carbon does. */
export function charTemperatureOf({ cohorts }: LotContents): CharTemperature {
  const carbonAt = (temperature: CharTemperature) =>
    total(
      cohorts.filter((one) => one.charTemperature === temperature && one.kind === 'char').map(cohortCarbonG),
    );
  return CHAR_TEMPERATURES.reduce((best, one) => (carbonAt(one) > carbonAt(best) ? one : best), 'medium');
}
