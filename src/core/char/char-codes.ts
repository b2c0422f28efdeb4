/** Ways of making char (common practice, no source). */
export const BURN_METHODS = ['emberRescue', 'trench', 'conePit', 'topLitDrum', 'closedRetort'] as const;
export type BurnMethod = (typeof BURN_METHODS)[number];

/** How far char is broken up. */
export const CHAR_FINENESSES = ['coarse', 'pea', 'sand', 'dust'] as const;
export type CharFineness = (typeof CHAR_FINENESSES)[number];

/** Ways of charging char before it is used (common practice, no source). */
export const CHARGE_RECIPE_IDS = [
  'slurry',
  'soak',
  'compostBlend',
  'castingsBlend',
  'throughHeap',
  'nitrogenSoak',
] as const;
export type ChargeRecipeId = (typeof CHARGE_RECIPE_IDS)[number];
