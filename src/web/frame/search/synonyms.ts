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
