import type { StartsAs } from '../../../records/vocabulary.ts';
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

export const WARMTHS = ['hardy', 'cool', 'tender', 'heat'] as const;
export type Warmth = (typeof WARMTHS)[number];

/** Mean air temperature of its first six weeks between which a crop starts well, degrees C (common practice, no source). */
export const STARTS_BETWEEN_C: Readonly<
  Record<Warmth, { readonly coldestC: number; readonly hottestC: number }>
> = {
  hardy: { coldestC: 4, hottestC: 25 },
  cool: { coldestC: 8, hottestC: 26 },
  tender: { coldestC: 11, hottestC: 31 },
  heat: { coldestC: 13, hottestC: 34 },
};

/** A crop as handbooks describe it. Demand is what it takes up when nothing is short. */
export interface Crop {
  readonly id: string;
  readonly name: string;
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
  readonly source: string;
}

const VEGETABLE_TABLES = 'order of magnitude of vegetable fertiliser tables (from memory)';
const ROOT_TABLES = 'rooting depth of irrigation handbooks (from memory)';
const COVER_TABLES = 'order of magnitude of cover-crop handbooks (from memory)';
const PERENNIAL_TABLES =
  'order of magnitude of advisory leaflets on fruit and perennial vegetables (from memory)';
const SHARE_SET_HERE = 'share left on the bed set here';

type Row = readonly [
  id: string,
  name: string,
  form: PlantForm,
  demandGPerM2: number,
  rootCm: number,
  days: number,
  startsAs: StartsAs,
  residueShare: number,
  residueMaterialId: string | null,
  traits: string,
];

// prettier-ignore
const ROWS: readonly Row[] = [
  ['leek', 'Leek', 'upright', 16, 50, 190, 'transplant', 0.25, 'veg_waste', 'small soil leaf cool'],
  ['onion', 'Onion', 'upright', 11, 35, 130, 'set', 0.1, 'veg_waste', 'small soil hardy'],
  ['garlic', 'Garlic', 'upright', 10, 40, 260, 'set', 0.1, 'veg_waste', 'large soil hardy'],
  ['cabbage', 'Cabbage', 'leafy', 24, 60, 120, 'transplant', 0.4, 'veg_waste', 'small leaf soil cool'],
  ['kale', 'Kale', 'leafy', 20, 60, 200, 'transplant', 0.35, 'veg_waste', 'small leaf cool'],
  ['spinach', 'Spinach', 'leafy', 12, 40, 55, 'seed', 0.2, 'veg_waste', 'medium leaf soil hardy'],
  ['beetroot', 'Beetroot', 'root', 15, 60, 110, 'seed', 0.4, 'veg_waste', 'medium soil cool'],
  ['parsnip', 'Parsnip', 'root', 13, 80, 180, 'seed', 0.35, 'veg_waste', 'medium soil cool'],
  ['turnip', 'Turnip', 'root', 10, 50, 70, 'seed', 0.35, 'veg_waste', 'small soil cool'],
  ['potato', 'Potato', 'bushy', 16, 50, 115, 'set', 0.3, 'veg_waste', 'large soil cool'],
  ['tomato', 'Tomato', 'climbing', 20, 80, 130, 'transplant', 0.4, 'veg_waste', 'small heat'],
  ['pepper', 'Pepper', 'bushy', 16, 60, 130, 'transplant', 0.4, 'veg_waste', 'small heat'],
  ['pumpkin', 'Pumpkin', 'sprawling', 15, 80, 120, 'transplant', 0.45, 'veg_waste', 'large soil heat'],
  ['cucumber', 'Cucumber', 'climbing', 16, 60, 95, 'transplant', 0.4, 'veg_waste', 'large heat'],
  ['sweetcorn', 'Sweetcorn', 'grassy', 18, 80, 110, 'seed', 0.55, 'cereal_residue_1N', 'large tender'],
  ['pea', 'Pea', 'climbing', 14, 60, 95, 'seed', 0.5, 'clover_cover', 'large legume hardy'],
  ['french_bean', 'French bean', 'bushy', 12, 50, 85, 'seed', 0.5, 'clover_cover', 'large legume tender'],
  ['clover', 'Clover, green manure', 'leafy', 12, 60, 200, 'seed', 1, 'clover_cover', 'tiny legume cover hardy'],
  ['vetch_rye', 'Vetch and rye, green manure', 'grassy', 12, 80, 210, 'seed', 1, 'rye_young', 'medium cover hardy'],
  ['phacelia', 'Phacelia, green manure', 'leafy', 8, 60, 80, 'seed', 1, 'veg_waste', 'tiny cover cool'],
  ['asparagus', 'Asparagus', 'upright', 10, 120, 365, 'set', 0.5, 'straw_cereal', 'medium perennial soil hardy'],
  ['strawberry', 'Strawberry', 'leafy', 8, 40, 365, 'transplant', 0.5, 'veg_waste', 'tiny perennial soil hardy'],
  ['currant', 'Currant', 'shrub', 8, 80, 365, 'transplant', 0.5, 'leaves_mixed', 'small perennial woody hardy'],
  ['raspberry', 'Raspberry', 'shrub', 8, 70, 365, 'transplant', 0.4, 'leaves_mixed', 'small perennial woody hardy'],
  ['hazel', 'Hazel', 'shrub', 7, 120, 365, 'transplant', 0.6, 'leaves_mixed', 'large perennial woody hardy'],
  ['white_clover', 'White clover', 'leafy', 10, 40, 365, 'seed', 1, 'clover_cover', 'tiny legume perennial cover mulch hardy'],
  ['trefoil', 'Black medick', 'leafy', 8, 40, 150, 'seed', 1, 'clover_cover', 'tiny legume cover mulch cool'],
  ['rye', 'Rye, green manure', 'grassy', 10, 90, 200, 'seed', 1, 'rye_young', 'medium cover hardy'],
  ['lupin', 'Blue lupin, green manure', 'upright', 14, 90, 120, 'seed', 1, 'clover_cover', 'large legume cover hardy'],
  ['celeriac', 'Celeriac', 'root', 18, 50, 180, 'transplant', 0.35, 'veg_waste', 'tiny soil cool'],
  ['broccoli', 'Broccoli', 'leafy', 24, 60, 110, 'transplant', 0.5, 'veg_waste', 'small cool'],
  ['squash_winter', 'Winter squash', 'sprawling', 15, 80, 120, 'seed', 0.45, 'veg_waste', 'large soil heat'],
  ['sunflower', 'Sunflower', 'upright', 12, 100, 110, 'seed', 0.5, 'cereal_residue_1N', 'large tender'],
  ['medlar', 'Medlar', 'tree', 6, 120, 365, 'transplant', 0.5, 'leaves_mixed', 'medium perennial woody hardy'],
  ['gooseberry', 'Gooseberry', 'shrub', 8, 60, 365, 'transplant', 0.5, 'leaves_mixed', 'small perennial woody hardy'],
  ['quince', 'Quince', 'tree', 7, 120, 365, 'transplant', 0.5, 'leaves_mixed', 'medium perennial woody hardy'],
];

function sourceOf(traits: string): string {
  const demand = traits.includes('cover')
    ? COVER_TABLES
    : traits.includes('perennial')
      ? PERENNIAL_TABLES
      : VEGETABLE_TABLES;
  return `demand: ${demand}; roots: ${ROOT_TABLES}; ${SHARE_SET_HERE}`;
}

export const CROP_LIBRARY: readonly Crop[] = ROWS.map(
  ([
    id,
    name,
    form,
    nitrogenDemandGPerM2,
    rootDepthCm,
    daysInGround,
    startsAs,
    residueShare,
    residueMaterialId,
    traits,
  ]) => ({
    id,
    name,
    form,
    nitrogenDemandGPerM2,
    rootDepthCm,
    daysInGround,
    startsAs,
    seedSize: SEED_SIZES.find((size) => traits.includes(size))!,
    warmth: WARMTHS.find((warmth) => traits.includes(warmth))!,
    isEatenFromSoil: traits.includes('soil'),
    isLeafEaten: traits.includes('leaf'),
    isCoverCrop: traits.includes('cover'),
    isLivingMulch: traits.includes('mulch'),
    isWoody: traits.includes('woody'),
    isLegume: traits.includes('legume'),
    isPerennial: traits.includes('perennial'),
    residueShare,
    residueMaterialId,
    source: sourceOf(traits),
  }),
);

const byId = new Map(CROP_LIBRARY.map((crop) => [crop.id, crop]));

export const findCrop = (id: string): Crop | undefined => byId.get(id);
