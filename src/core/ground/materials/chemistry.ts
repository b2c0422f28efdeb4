import type { Material, MaterialKind } from './material.ts';

/** What a material brings besides nitrogen, phosphorus and potassium; null where it says nothing of a material. */
export interface Chemistry {
  /** Share of dry mass. */
  readonly calcium: number | null;
  readonly magnesium: number | null;
  /** Electrical conductivity of one part in five of water, dS/m. */
  readonly saltsDSPerM: number | null;
  readonly ph: number | null;
}

/** Calcium and magnesium % of dry mass, salts dS/m, pH; a dash where nothing is told. */
type Row = readonly [
  calciumPct: number | '-',
  magnesiumPct: number | '-',
  saltsDSPerM: number | '-',
  ph: number | '-',
];

/** What is usual for a kind (order of magnitude of manure, compost, plant and wood tables, from memory). */
const OF_KIND: Readonly<Record<MaterialKind, Row>> = {
  wood: [0.4, 0.05, 0.3, 5.5],
  residue: [0.4, 0.12, 1, 6.5],
  leaf: [1.6, 0.25, 0.8, 6],
  green: [1.2, 0.3, 3, 6.2],
  manure: [2, 0.6, 5, 7.8],
  compost: [3, 0.5, 2.5, 7.3],
  paper: [1.5, 0.1, 0.5, 7.2],
  fertiliser: [0.5, 0.2, 4, 6.5],
  char: [1.5, 0.3, 1.5, 8.5],
  none: ['-', '-', '-', '-'],
};

/** Those that lie apart from their kind (order of magnitude of the same tables, from memory). */
const OF_MATERIAL: Readonly<Partial<Record<string, Row>>> = {
  chips_conifer_green: [0.6, 0.1, 0.5, 4.8],
  chips_softwood_trunk: [0.15, 0.02, 0.2, 4.8],
  chips_hardwood_trunk: [0.2, 0.03, 0.2, 5.5],
  chips_inleaf: [0.9, 0.15, 0.6, 6],
  chips_resinous: [0.2, 0.03, 0.2, 4.8],
  chips_eucalyptus: [0.4, 0.05, 0.3, 5],
  sawdust_softwood: [0.1, 0.02, 0.2, 4.8],
  bark_softwood: [0.6, 0.06, 0.3, 4.5],
  bark_hardwood: [1.8, 0.1, 0.3, 5.5],
  pine_needles: [0.5, 0.12, 0.5, 4.3],
  leaves_oak_conifer: [1, 0.15, 0.6, 4.8],
  leaves_beech: [1.2, 0.15, 0.6, 5.3],
  leaves_evergreen: [1.2, 0.2, 0.7, 5.5],
  leaf_mould: [1.8, 0.25, 0.6, 6.3],
  peat_moss: [0.3, 0.15, 0.2, 3.9],
  coir: [0.3, 0.15, 1, 5.8],
  composted_bark: [0.8, 0.12, 0.6, 5.5],
  bracken_brown: [0.4, 0.15, 0.5, 5],
  coffee_grounds: [0.15, 0.15, 0.8, 5.8],
  tea_leaves: [0.8, 0.2, 0.8, 5.5],
  citrus_peel: [0.8, 0.12, 2, 4],
  grape_pomace: [0.6, 0.1, 1.5, 4.5],
  fruit_pomace: [0.2, 0.06, 1, 4],
  olive_pomace: [0.5, 0.1, 4.5, 5.5],
  silage: [0.5, 0.2, 4, 4.2],
  bokashi: [0.8, 0.2, 6, 4],
  seaweed_kelp: [2, 0.8, 15, 7],
  hay_salt: [0.5, 0.3, 6, 6.5],
  clover_cover: [1.5, 0.35, 2.5, 6.2],
  comfrey_leaves: [2, 0.4, 4, 6.5],
  nettles: [3.5, 0.5, 3, 6.8],
  layer_manure: [8, 0.6, 8, 7.8],
  broiler_litter: [2.5, 0.5, 9, 8],
  turkey_litter: [3, 0.5, 8, 7.8],
  poultry_pellets: [5, 0.6, 9, 7.5],
  pig_manure: [2.8, 0.7, 7, 7.6],
  urine: [0.1, 0.05, 20, 8.8],
  digestate_liquid: [2, 0.7, 15, 8],
  mushroom_compost: [8, 0.8, 7, 7.2],
  worm_castings: [3, 0.6, 2, 7],
  compost_food: [4, 0.4, 5, 7.5],
  biosolids: [3, 0.5, 4, 7],
  sod: [0.4, 0.2, 0.3, 6.3],
  bone_meal: [24, 0.4, 1.5, 6.5],
  meat_bone_meal: [10, 0.3, 3, 6.3],
  fish_meal: [5, 0.3, 5, 6.2],
  crab_meal: [14, 1, 4, 8],
  seabird_guano: [8, 0.6, 12, 7],
  bat_guano: [3, 0.4, 8, 6.5],
  vinasse: [0.5, 0.2, 25, 5.5],
  molasses: [0.8, 0.3, 15, 5.2],
  fish_emulsion: [0.5, 0.2, 20, 4],
  wood_ash: [25, 2, 25, 12],
  garden_lime: [38, 0.5, '-', 8.5],
  dolomite_lime: [21, 12, '-', 8.8],
  gypsum: [23, '-', 2.2, 7],
  eggshells: [36, 0.4, '-', 8],
  rock_dust: [6, 4, '-', 8],
  rock_phosphate: [33, 0.3, '-', 7],
  epsom_salt: ['-', 9.9, '-', 6.5],
  sulphur: ['-', '-', '-', 3],
  calcium_nitrate: [19, '-', '-', 6],
  calcium_ammonium_nitrate: [8, 1, '-', 6.5],
  ammonium_sulphate: ['-', '-', '-', 5],
  potassium_nitrate: ['-', '-', '-', 7],
  potassium_sulphate: ['-', '-', '-', 6],
  npk_compound: [5, 0.5, '-', 6],
  urea: ['-', '-', '-', 8],
  sand: ['-', '-', 0.1, 7],
  perlite: ['-', '-', 0.1, 7.2],
};

const value = (cell: number | '-'): number | null => (cell === '-' ? null : cell);
const share = (cell: number | '-'): number | null => (cell === '-' ? null : cell / 100);

/** What a material of the library brings; one's own brings what the one it is like does. */
export function chemistryOf(
  materialId: string,
  material: Pick<Material, 'kind' | 'mineralsLike'>,
): Chemistry {
  const [calcium, magnesium, salts, ph] =
    OF_MATERIAL[materialId] ?? OF_MATERIAL[material.mineralsLike ?? ''] ?? OF_KIND[material.kind];
  return {
    calcium: share(calcium),
    magnesium: share(magnesium),
    saltsDSPerM: value(salts),
    ph: value(ph),
  };
}

/**
 * How far figures lie apart between loads of one kind (set here): a factor either way of what they bring, another of how
 * heavy they lie, and units of pH.
 */
export const LOADS_APART = { factor: 1.7, densityFactor: 1.35, ph: 0.6 } as const;

/** The materials that lie apart from their kind, so that a test can hold them against the library. */
export const NAMED_CHEMISTRY: readonly string[] = Object.keys(OF_MATERIAL);
