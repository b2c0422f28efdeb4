import { z } from 'zod';
import { finite, name, note } from './fields.ts';
import { ingredients } from './measured.ts';
import { shapesOf } from './shapes.ts';
import { MIX_PURPOSES } from './vocabulary.ts';

export const recipeFields = {
  name,
  purpose: z.enum(MIX_PURPOSES),
  ingredients,
  waterL: finite.min(0).max(1e6),
  isLayered: z.boolean(),
  note,
};
export const { draft: recipeDraft, record: recipeRecord, filed: recipeFiled } = shapesOf(recipeFields);
export type RecipeDraft = z.infer<typeof recipeDraft>;
export type RecipeRecord = z.infer<typeof recipeRecord>;
