import type { MaterialKind } from '../../../core/ground/index.ts';

/** What people call materials of a kind (common practice, no source). */
export const KIND_SYNONYMS: Readonly<Record<MaterialKind, string>> = {
  wood: 'wood mulch arborist tree service ramial chippings',
  residue: 'straw hay crop residue',
  leaf: 'leaves autumn fall leaf mold',
  green: 'greens fresh',
  manure: 'manure muck dung droppings',
  compost: 'compost',
  paper: 'paper card sheet mulch',
  fertiliser: 'fertilizer feed organic meal nitrogen',
  char: 'biochar charcoal',
  none: 'mineral',
};

/** What people call one material, beside its name. */
export const MATERIAL_SYNONYMS: Readonly<Record<string, string>> = {
  chips_mixed: 'arborist chips',
  sawdust_hardwood: 'saw dust shop',
  sawdust_softwood: 'saw dust shop pine',
  shavings: 'planer pet bedding',
  bark_softwood: 'pine bark nuggets',
  log_wood: 'hugelkultur logs branches',
  straw_cereal: 'wheat barley oat bale',
  hay_grass: 'meadow bale',
  grass_clippings: 'lawn mowings cut grass',
  leaf_mould: 'leaf mold leafmould',
  veg_waste: 'kitchen scraps food waste peelings',
  dairy_fresh: 'cow slurry',
  dairy_separated: 'cow solids',
  cattle_fym: 'cow farmyard muck',
  horse_bedding: 'stable muck',
  broiler_litter: 'chicken hen poultry bedding',
  layer_manure: 'chicken hen poultry droppings',
  sheep_manure: 'goat rabbit pellets',
  worm_castings: 'vermicompost worm bin',
  cardboard: 'boxes card',
  paper_sheets: 'newspaper newsprint',
  urine: 'pee liquid gold',
  biochar_raw: 'charcoal',
  poultry_pellets: 'chicken hen pellets',
  wood_ash: 'stove fireplace potash',
  garden_lime: 'limestone chalk calcium carbonate',
  molasses: 'sugar syrup treacle',
  coffee_grounds: 'cafe coffee',
  weeds_fresh: 'pulled weeds',
  prunings_green: 'hedge trimmings',
};
