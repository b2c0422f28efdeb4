/**
 * Phosphorus, share of dry mass, of what is spread by the barrow (order of magnitude of manure and compost tables of
 * extension services, from memory). Anything else counts as bringing none worth a limit.
 */
const PHOSPHORUS_FRACTION_DRY_BASIS: Readonly<Record<string, number>> = {
  dairy_fresh: 0.006,
  dairy_separated: 0.004,
  cattle_fym: 0.005,
  horse_bedding: 0.003,
  sheep_manure: 0.006,
  broiler_litter: 0.015,
  layer_manure: 0.02,
  poultry_pellets: 0.016,
  compost_manure: 0.008,
  compost_yard: 0.002,
  compost_garden: 0.003,
  mushroom_compost: 0.006,
  worm_castings: 0.006,
  leaf_mould: 0.001,
  fish_emulsion: 0.01,
  alfalfa_meal: 0.003,
  wood_ash: 0.01,
  veg_waste: 0.004,
  grass_clippings: 0.004,
  clover_cover: 0.003,
};

/** Phosphorus of a material of the library as a share of its dry mass; 0 where none worth counting. */
export const phosphorusFractionDryBasis = (materialId: string): number =>
  PHOSPHORUS_FRACTION_DRY_BASIS[materialId] ?? 0;
