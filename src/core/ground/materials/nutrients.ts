import { MATERIAL_LINES } from './material-table.ts';
import type { Material } from './material.ts';

/**
 * Phosphorus and potassium, share of dry mass, of what is spread by the barrow (order of magnitude of manure, compost,
 * plant and ash tables of extension services, from memory). What is not listed counts as bringing none worth a limit.
 */
const MINERALS: Readonly<
  Partial<Record<string, { readonly phosphorus: number; readonly potassium: number }>>
> = {
  chips_branch: { phosphorus: 0.0007, potassium: 0.003 },
  chips_inleaf: { phosphorus: 0.0014, potassium: 0.006 },
  chips_mixed: { phosphorus: 0.0004, potassium: 0.002 },
  chips_hardwood_trunk: { phosphorus: 0.0001, potassium: 0.001 },
  chips_softwood_trunk: { phosphorus: 0.0001, potassium: 0.0006 },
  chips_conifer_green: { phosphorus: 0.0009, potassium: 0.004 },
  bark_softwood: { phosphorus: 0.0002, potassium: 0.0015 },
  bark_hardwood: { phosphorus: 0.0004, potassium: 0.0025 },
  straw_cereal: { phosphorus: 0.0008, potassium: 0.012 },
  cereal_residue_1N: { phosphorus: 0.0012, potassium: 0.013 },
  hay_grass: { phosphorus: 0.0025, potassium: 0.018 },
  leaves_mixed: { phosphorus: 0.0012, potassium: 0.005 },
  leaves_oak_conifer: { phosphorus: 0.0009, potassium: 0.003 },
  leaf_mould: { phosphorus: 0.001, potassium: 0.003 },
  grass_clippings: { phosphorus: 0.004, potassium: 0.024 },
  clover_cover: { phosphorus: 0.003, potassium: 0.025 },
  rye_young: { phosphorus: 0.004, potassium: 0.03 },
  ryegrass_jenkinson: { phosphorus: 0.003, potassium: 0.025 },
  veg_waste: { phosphorus: 0.004, potassium: 0.025 },
  dairy_fresh: { phosphorus: 0.006, potassium: 0.018 },
  dairy_separated: { phosphorus: 0.004, potassium: 0.008 },
  cattle_fym: { phosphorus: 0.005, potassium: 0.02 },
  horse_bedding: { phosphorus: 0.003, potassium: 0.014 },
  sheep_manure: { phosphorus: 0.006, potassium: 0.022 },
  broiler_litter: { phosphorus: 0.015, potassium: 0.02 },
  layer_manure: { phosphorus: 0.02, potassium: 0.02 },
  poultry_pellets: { phosphorus: 0.016, potassium: 0.02 },
  compost_manure: { phosphorus: 0.008, potassium: 0.016 },
  compost_yard: { phosphorus: 0.002, potassium: 0.007 },
  compost_garden: { phosphorus: 0.003, potassium: 0.01 },
  mushroom_compost: { phosphorus: 0.006, potassium: 0.02 },
  worm_castings: { phosphorus: 0.006, potassium: 0.01 },
  fish_emulsion: { phosphorus: 0.01, potassium: 0.02 },
  alfalfa_meal: { phosphorus: 0.003, potassium: 0.02 },
  feather_meal: { phosphorus: 0.003, potassium: 0.002 },
  blood_meal: { phosphorus: 0.003, potassium: 0.003 },
  urine: { phosphorus: 0.018, potassium: 0.04 },
  wood_ash: { phosphorus: 0.01, potassium: 0.05 },
  molasses: { phosphorus: 0.001, potassium: 0.04 },
  cover_mixed: { phosphorus: 0.003, potassium: 0.025 },
  weeds_fresh: { phosphorus: 0.004, potassium: 0.035 },
  coffee_grounds: { phosphorus: 0.002, potassium: 0.006 },
  biochar_raw: { phosphorus: 0.001, potassium: 0.005 },
  biochar_charged: { phosphorus: 0.002, potassium: 0.007 },
};

const ofTable = new Map(
  MATERIAL_LINES.map(([id, , , , , , , , , , , phosphorusPct, potassiumPct]) => [
    id,
    { phosphorus: Number(phosphorusPct) / 100, potassium: Number(potassiumPct) / 100 },
  ]),
);
const mineralsById = (id: string) => MINERALS[id] ?? ofTable.get(id);

const mineralsOf = (materialId: string, material?: Pick<Material, 'mineralsLike'>) =>
  mineralsById(materialId) ?? mineralsById(material?.mineralsLike ?? '');

/**
 * Phosphorus as a share of dry mass, 0 where none worth counting; one's own has that of what it is like.
 *
 * @example
 * phosphorusFractionDryBasis('cattle_fym') // 0.005
 */
export const phosphorusFractionDryBasis = (
  materialId: string,
  material?: Pick<Material, 'mineralsLike'>,
): number => mineralsOf(materialId, material)?.phosphorus ?? 0;

/**
 * Potassium, likewise.
 *
 * @example
 * potassiumFractionDryBasis('cattle_fym') // 0.02
 */
export const potassiumFractionDryBasis = (
  materialId: string,
  material?: Pick<Material, 'mineralsLike'>,
): number => mineralsOf(materialId, material)?.potassium ?? 0;
