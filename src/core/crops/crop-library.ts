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
  readonly startsAs: 'seed' | 'transplant' | 'set';
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
const ORCHARD_TABLES = 'order of magnitude of fruit advisory leaflets (from memory)';
const SHARE_SET_HERE = 'share left on the bed set here';

type Row = readonly [
  id: string,
  name: string,
  form: PlantForm,
  demandGPerM2: number,
  rootCm: number,
  days: number,
  startsAs: Crop['startsAs'],
  residueShare: number,
  residueMaterialId: string | null,
  traits: string,
];

// prettier-ignore
const ROWS: readonly Row[] = [
  ['leek', 'Leek', 'upright', 16, 50, 190, 'transplant', 0.25, 'veg_waste', ''],
  ['onion', 'Onion', 'upright', 11, 35, 130, 'set', 0.1, 'veg_waste', ''],
  ['garlic', 'Garlic', 'upright', 10, 40, 260, 'set', 0.1, 'veg_waste', ''],
  ['cabbage', 'Cabbage', 'leafy', 24, 60, 120, 'transplant', 0.4, 'veg_waste', ''],
  ['kale', 'Kale', 'leafy', 20, 60, 200, 'transplant', 0.35, 'veg_waste', ''],
  ['spinach', 'Spinach', 'leafy', 12, 40, 55, 'seed', 0.2, 'veg_waste', ''],
  ['beetroot', 'Beetroot', 'root', 15, 60, 110, 'seed', 0.4, 'veg_waste', ''],
  ['parsnip', 'Parsnip', 'root', 13, 80, 180, 'seed', 0.35, 'veg_waste', ''],
  ['turnip', 'Turnip', 'root', 10, 50, 70, 'seed', 0.35, 'veg_waste', ''],
  ['potato', 'Potato', 'bushy', 16, 50, 115, 'set', 0.3, 'veg_waste', ''],
  ['tomato', 'Tomato', 'climbing', 20, 80, 130, 'transplant', 0.4, 'veg_waste', ''],
  ['pepper', 'Pepper', 'bushy', 16, 60, 130, 'transplant', 0.4, 'veg_waste', ''],
  ['pumpkin', 'Pumpkin', 'sprawling', 15, 80, 120, 'transplant', 0.45, 'veg_waste', ''],
  ['cucumber', 'Cucumber', 'climbing', 16, 60, 95, 'transplant', 0.4, 'veg_waste', ''],
  ['sweetcorn', 'Sweetcorn', 'grassy', 18, 80, 110, 'seed', 0.55, 'cereal_residue_1N', ''],
  ['pea', 'Pea', 'climbing', 14, 60, 95, 'seed', 0.5, 'clover_cover', 'legume'],
  ['french_bean', 'French bean', 'bushy', 12, 50, 85, 'seed', 0.5, 'clover_cover', 'legume'],
  ['clover', 'Clover, green manure', 'leafy', 12, 60, 200, 'seed', 1, 'clover_cover', 'legume'],
  ['vetch_rye', 'Vetch and rye, green manure', 'grassy', 12, 80, 210, 'seed', 1, 'rye_young', ''],
  ['phacelia', 'Phacelia, green manure', 'leafy', 8, 60, 80, 'seed', 1, 'veg_waste', ''],
  ['asparagus', 'Asparagus', 'upright', 10, 120, 365, 'set', 0.5, 'straw_cereal', 'perennial'],
  ['strawberry', 'Strawberry', 'leafy', 8, 40, 365, 'transplant', 0.5, 'veg_waste', 'perennial'],
  ['currant', 'Currant', 'shrub', 8, 80, 365, 'transplant', 0.5, 'leaves_mixed', 'perennial'],
  ['raspberry', 'Raspberry', 'shrub', 8, 70, 365, 'transplant', 0.4, 'leaves_mixed', 'perennial'],
  ['hazel', 'Hazel', 'shrub', 7, 120, 365, 'transplant', 0.6, 'leaves_mixed', 'perennial'],
  ['quince', 'Quince', 'tree', 7, 120, 365, 'transplant', 0.5, 'leaves_mixed', 'perennial'],
];

function sourceOf(form: PlantForm, residueMaterialId: string | null, isPerennial: boolean): string {
  const isCover = residueMaterialId !== null && form !== 'climbing' && /clover|rye/.test(residueMaterialId);
  const demand = isPerennial ? ORCHARD_TABLES : isCover ? COVER_TABLES : VEGETABLE_TABLES;
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
    isLegume: traits.includes('legume'),
    isPerennial: traits.includes('perennial'),
    residueShare,
    residueMaterialId,
    source: sourceOf(form, residueMaterialId, traits.includes('perennial')),
  }),
);

const byId = new Map(CROP_LIBRARY.map((crop) => [crop.id, crop]));

export const findCrop = (id: string): Crop | undefined => byId.get(id);
