import type { StartsAs, Warmth } from '../../../records/vocabulary.ts';
import { WARMTHS } from '../../../records/vocabulary.ts';
import { CROP_TABLE } from './crop-table.ts';

/** How a crop is drawn; nothing else hangs on it. */
export const PLANT_FORMS = [
  'leafy',
  'upright',
  'bushy',
  'climbing',
  'root',
  'sprawling',
  'grassy',
  'shrub',
  'tree',
] as const;
export type PlantForm = (typeof PLANT_FORMS)[number];

/** Seed by size, which decides through how much cover it comes up. */
export const SEED_SIZES = ['tiny', 'small', 'medium', 'large'] as const;
export type SeedSize = (typeof SEED_SIZES)[number];

/** Deepest cover over the seed that a seedling comes through, cm (common practice, no source). */
export const DEEPEST_COVER_CM: Readonly<Record<SeedSize, number>> = {
  tiny: 0.5,
  small: 1.5,
  medium: 3,
  large: 6,
};

/** Mean air temperature of its first six weeks between which a crop starts well, degrees C (common practice, no source). */
export const STARTS_BETWEEN_C: Readonly<
  Record<Warmth, { readonly coldestC: number; readonly hottestC: number }>
> = {
  hardy: { coldestC: 4, hottestC: 25 },
  cool: { coldestC: 8, hottestC: 26 },
  tender: { coldestC: 11, hottestC: 31 },
  heat: { coldestC: 13, hottestC: 34 },
};

/** What a gardener looks for a crop under. */
export const CROP_GROUPS = [
  'leaf',
  'salad',
  'brassica',
  'root',
  'fruit',
  'allium',
  'legume',
  'herb',
  'berry',
  'fruitTree',
  'citrus',
  'nutTree',
  'vine',
  'staple',
  'grain',
  'ornamental',
  'greenManure',
] as const;
export type CropGroup = (typeof CROP_GROUPS)[number];

export const SALT_TOLERANCES = ['sensitive', 'moderate', 'tolerant'] as const;
export type SaltTolerance = (typeof SALT_TOLERANCES)[number];

/** A crop as handbooks describe it. Demand is what it takes up when nothing is short. */
export interface Crop {
  readonly id: string;
  readonly name: string;
  /** What it is called elsewhere, and kinds of it. */
  readonly synonyms: readonly string[];
  readonly group: CropGroup;
  readonly form: PlantForm;
  /** g N/m2 over its time in the ground (a year for a perennial). */
  readonly nitrogenDemandGPerM2: number;
  readonly rootDepthCm: number;
  /** Days from sowing or planting to clearing; 365 for a perennial. */
  readonly daysInGround: number;
  readonly startsAs: StartsAs;
  readonly seedSize: SeedSize;
  readonly warmth: Warmth;
  /** What is eaten lies in or on the soil, so that raw manure must keep its longer distance. */
  readonly isEatenFromSoil: boolean;
  /** Its leaves are eaten, so that nothing is poured over them near harvest. */
  readonly isLeafEaten: boolean;
  /** Nobody eats it: a green manure or a living mulch. */
  readonly isCoverCrop: boolean;
  /** Stays beneath other crops and takes no room of its own. */
  readonly isLivingMulch: boolean;
  readonly isWoody: boolean;
  readonly isLegume: boolean;
  readonly isPerennial: boolean;
  /** Share of its nitrogen that stays on the bed when it is cleared. */
  readonly residueShare: number;
  /** What that residue is made of, in the material library; null when nothing stays. */
  readonly residueMaterialId: string | null;
  /** Fresh weight that is usually harvested, a year for a perennial; 0 for what is grown for the soil. */
  readonly yieldKgPerM2: number;
  /** What a kilogram of fresh harvest takes along. */
  readonly harvest: {
    readonly nitrogenGPerKg: number;
    readonly phosphorusGPerKg: number;
    readonly potassiumGPerKg: number;
  };
  readonly spacingCm: { readonly rows: number; readonly plants: number };
  readonly phRange: { readonly from: number; readonly to: number };
  readonly saltTolerance: SaltTolerance;
  readonly source: string;
}

const VEGETABLE_TABLES = 'order of magnitude of vegetable fertiliser tables (from memory)';
const ROOT_TABLES = 'rooting depth of irrigation handbooks (from memory)';
const COVER_TABLES = 'order of magnitude of cover-crop handbooks (from memory)';
const PERENNIAL_TABLES =
  'order of magnitude of advisory leaflets on fruit and perennial vegetables (from memory)';
const HARVEST_TABLES = 'order of magnitude of crop nutrient removal tables (from memory)';
const GROWING_TABLES =
  'spacing, yield and pH of gardening handbooks, salt after Maas and Hoffman 1977 (from memory)';
const SHARE_SET_HERE = 'share left on the bed set here';

function sourceOf(traits: ReadonlySet<string>): string {
  const demand = traits.has('cover')
    ? COVER_TABLES
    : traits.has('perennial')
      ? PERENNIAL_TABLES
      : VEGETABLE_TABLES;
  return `demand: ${demand}; roots: ${ROOT_TABLES}; harvest: ${HARVEST_TABLES}; ${GROWING_TABLES}; ${SHARE_SET_HERE}`;
}

const figures = (cell: string): number[] => cell.split(' ').map(Number);

function cropOfLine(line: string): Crop {
  const [
    id,
    name,
    others,
    group,
    form,
    demand,
    root,
    days,
    start,
    share,
    left,
    crop,
    taken,
    apart,
    ph,
    salt,
    all,
  ] = line.split('|');
  const traits = new Set(all.split(' '));
  const [nitrogenGPerKg, phosphorusGPerKg, potassiumGPerKg] = figures(taken);
  const [rowsCm, plantsCm] = figures(apart);
  const [phFrom, phTo] = figures(ph);
  return {
    id,
    name,
    synonyms: others === '' ? [] : others.split(', '),
    group: group as CropGroup,
    form: form as PlantForm,
    nitrogenDemandGPerM2: Number(demand),
    rootDepthCm: Number(root),
    daysInGround: Number(days),
    startsAs: start as StartsAs,
    seedSize: SEED_SIZES.find((size) => traits.has(size))!,
    warmth: WARMTHS.find((warmth) => traits.has(warmth))!,
    isEatenFromSoil: traits.has('soil'),
    isLeafEaten: traits.has('leaf'),
    isCoverCrop: traits.has('cover'),
    isLivingMulch: traits.has('mulch'),
    isWoody: traits.has('woody'),
    isLegume: traits.has('legume'),
    isPerennial: traits.has('perennial'),
    residueShare: Number(share),
    residueMaterialId: left,
    yieldKgPerM2: Number(crop),
    harvest: { nitrogenGPerKg, phosphorusGPerKg, potassiumGPerKg },
    spacingCm: { rows: rowsCm, plants: plantsCm },
    phRange: { from: phFrom, to: phTo },
    saltTolerance: salt as SaltTolerance,
    source: sourceOf(traits),
  };
}

export const CROP_LIBRARY: readonly Crop[] = CROP_TABLE.trim().split('\n').map(cropOfLine);

const byId = new Map(CROP_LIBRARY.map((crop) => [crop.id, crop]));

export const findLibraryCrop = (id: string): Crop | undefined => byId.get(id);

/** How far the demand of a crop lies apart between gardens, seasons and kinds, as a share of it (set here). */
const DEMAND_APART = { annual: 0.3, perennial: 0.5 } as const;

/**
 * From where to where the nitrogen demand of a crop goes, g/m2.
 *
 * @example
 * demandRange(findLibraryCrop('leek')) // [11.2, 20.8]
 */
export function demandRange({ nitrogenDemandGPerM2, isPerennial }: Crop): readonly [number, number] {
  const apart = isPerennial ? DEMAND_APART.perennial : DEMAND_APART.annual;
  return [nitrogenDemandGPerM2 * (1 - apart), nitrogenDemandGPerM2 * (1 + apart)];
}
