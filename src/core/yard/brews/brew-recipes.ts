import type { BrewId } from '../../../records/vocabulary.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import {
  LITRES_PER_CUBIC_METRE,
  LITRES_PER_CUP,
  LITRES_PER_GALLON,
  LITRES_PER_TABLESPOON,
  LITRES_PER_TEASPOON,
  type DayNumber,
  findLibraryMaterial,
  total,
} from '../../ground/index.ts';
import { openingFromFreshMass, withOverrides } from '../../model/index.ts';

/** What goes into a litre of the finished brew, L; ids of the library, or words of their own for what is in none. */
interface Share {
  readonly what: 'compost_garden' | 'molasses' | 'woodlandSoil' | 'cookedRice' | 'starter' | 'water';
  readonly litres: number;
}

export interface BrewStep {
  readonly code: string;
  /** Days after the start. */
  readonly day: number;
}

/** A small preparation (all common practice, no source). */
export interface BrewRecipe {
  readonly id: BrewId;
  readonly perLitre: readonly Share[];
  readonly days: readonly [least: number, most: number];
  /** Days it keeps after that. */
  readonly keepsDays: number;
  /** Share of a vessel it may fill: what ferments or is stirred wants room. */
  readonly fillShare: number;
  readonly steps: readonly BrewStep[];
  /** What must be so before it is used, and what means it is thrown away. */
  readonly go: readonly string[];
  readonly noGo: readonly string[];
  readonly cautions: readonly string[];
  /** Litres of the finished brew to a litre of water when it is given; 1 for as it is. */
  readonly dilution: number;
}

const perGallon = (litres: number): number => litres / LITRES_PER_GALLON;
/** Parts that fill a litre together. */
const parts = (...shares: readonly (readonly [Share['what'], number])[]): Share[] => {
  const all = shares.reduce((sum, [, amount]) => sum + amount, 0);
  return shares.map(([what, amount]) => ({ what, litres: amount / all }));
};
/** Cups of soil and rice, and tablespoons of molasses, of the starter. */
const STARTER = parts(
  ['woodlandSoil', 2 * LITRES_PER_CUP],
  ['cookedRice', LITRES_PER_CUP],
  ['molasses', 2 * LITRES_PER_TABLESPOON],
);

export const BREWS: readonly BrewRecipe[] = [
  {
    id: 'compostTea',
    perLitre: parts(['compost_garden', 1], ['water', 5]),
    days: [1, 2],
    keepsDays: 0,
    fillShare: 0.9,
    steps: [
      { code: 'steep', day: 0 },
      { code: 'stir', day: 0 },
      { code: 'pourOverCard', day: 1 },
    ],
    go: ['smellsOfEarth'],
    noGo: ['smellsFoul'],
    cautions: ['notOnLeaves', 'washHands', 'legionella'],
    dilution: 1,
  },
  {
    id: 'molassesWater',
    perLitre: [
      { what: 'molasses', litres: perGallon(LITRES_PER_TEASPOON) },
      { what: 'water', litres: 1 - perGallon(LITRES_PER_TEASPOON) },
    ],
    days: [0, 0],
    keepsDays: 0,
    fillShare: 0.9,
    steps: [
      { code: 'dissolve', day: 0 },
      { code: 'pourOnMulch', day: 0 },
    ],
    go: ['mulchIsMoist'],
    noGo: ['cropIsPale'],
    cautions: ['molassesCostsNitrogen'],
    dilution: 1,
  },
  {
    id: 'molassesPath',
    perLitre: [
      { what: 'molasses', litres: 0.05 },
      { what: 'water', litres: 0.95 },
    ],
    days: [0, 0],
    keepsDays: 0,
    fillShare: 0.9,
    steps: [
      { code: 'dissolve', day: 0 },
      { code: 'pourOnPath', day: 0 },
    ],
    go: ['chipsAreFresh'],
    noGo: ['bedBesideIsPale'],
    cautions: ['molassesCostsNitrogen', 'slippery'],
    dilution: 1,
  },
  {
    id: 'nativeStarter',
    perLitre: STARTER,
    days: [7, 14],
    keepsDays: 90,
    fillShare: 0.75,
    steps: [
      { code: 'mixStarter', day: 0 },
      { code: 'keepLoose', day: 0 },
      { code: 'lookForMould', day: 7 },
      { code: 'lookForMould', day: 14 },
    ],
    go: ['whiteYellowOrPinkMould'],
    noGo: ['blueGreenOrBlackMould', 'smellsFoul'],
    cautions: ['looseLid', 'mouldSpores', 'washHands'],
    dilution: 1,
  },
  {
    id: 'nativeWater',
    perLitre: parts(['starter', 1], ['molasses', 1], ['water', 20]),
    days: [7, 7],
    keepsDays: 5,
    fillShare: 0.8,
    steps: [
      { code: 'mixWater', day: 0 },
      { code: 'looseLid', day: 0 },
      { code: 'useUp', day: 7 },
    ],
    go: ['smellsSweetSour'],
    noGo: ['smellsFoul', 'blueGreenOrBlackMould'],
    cautions: ['neverTightLid', 'noChlorine', 'molassesCostsNitrogen'],
    dilution: perGallon(LITRES_PER_CUP),
  },
];

/** The days of a brew. */
export interface BrewDates {
  readonly readyFrom: DayNumber;
  readonly readyBy: DayNumber;
  /** The last day it may be used. */
  readonly useBy: DayNumber;
}

export function brewDates(id: BrewId, begun: DayNumber): BrewDates {
  const { days, keepsDays } = findBrew(id);
  return { readyFrom: begun + days[0], readyBy: begun + days[1], useBy: begun + days[1] + keepsDays };
}

/**
 * Litres of a brew for a vessel that holds so much.
 *
 * @example
 * litresForVessel('nativeWater', 10) // 8
 */
export const litresForVessel = (id: BrewId, vesselL: number): number => vesselL * findBrew(id).fillShare;

export interface ScaledBrew {
  readonly ingredients: readonly { readonly what: Share['what']; readonly litres: number }[];
  /** Litres of the watering it makes when it is thinned as it should be. */
  readonly givesL: number;
  /** What of the library it brings to where it is poured, L. */
  readonly adds: readonly { readonly materialId: string; readonly litres: number }[];
  /** Carbon and nitrogen it brings to where it is poured, g. */
  readonly carbonG: number;
  readonly nitrogenG: number;
  /** Nitrogen that its microbes need beyond what it brings, g: what its sugar costs, according to the model. */
  readonly nitrogenCostG: number;
}

export const findBrew = (id: BrewId): BrewRecipe => {
  const brew = BREWS.find((one) => one.id === id);
  if (!brew) throw new InputError(['brew'], 'namesNone', { what: 'brew', got: id });
  return brew;
};

/** The starter is itself partly molasses; soil and rice are not followed. */
const molassesIn = (what: Share['what']): number =>
  what === 'molasses'
    ? 1
    : what === 'starter'
      ? (STARTER.find((one) => one.what === 'molasses')?.litres ?? 0)
      : 0;

/** A brew for so many litres. Throws InputError for none. */
export function scaleBrew(id: BrewId, litres: number): ScaledBrew {
  requireNumber(litres, ['litres'], { above: 0, max: 10_000 });
  const brew = findBrew(id);
  const ingredients = brew.perLitre.map((one) => ({ what: one.what, litres: one.litres * litres }));
  const p = withOverrides();
  const amountOf = (share: (what: Share['what']) => number) =>
    total(ingredients.map(({ what, litres: amount }) => share(what) * amount));
  const adds = [
    { materialId: 'molasses', litres: amountOf(molassesIn) },
    { materialId: 'compost_garden', litres: amountOf((what) => (what === 'compost_garden' ? TEA_TAKES : 0)) },
  ].filter((one) => one.litres > 0);
  const openings = adds.map(({ materialId, litres: amount }) => openingOfLitres(materialId, amount));
  const carbonG = total(openings.flatMap((one) => one.carbonG));
  const nitrogenG = total(openings.flatMap((one) => [...one.nitrogenG, one.ammoniumG]));
  const wantedG = total(
    openings.map(
      ({ carbonG: [quick = 0, structural = 0], microbialCn }) =>
        (p.growthEfficiency * (quick + structural)) / microbialCn,
    ),
  );
  return {
    ingredients,
    givesL: litres / brew.dilution,
    adds,
    carbonG,
    nitrogenG,
    nitrogenCostG: Math.max(0, wantedG - nitrogenG),
  };
}

/** Share of the compost that comes through into its tea (set here). */
const TEA_TAKES = 0.02;

function openingOfLitres(materialId: string, litres: number) {
  const material = findLibraryMaterial(materialId)!;
  return openingFromFreshMass(
    material,
    (litres * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE,
    withOverrides(),
  );
}
