import type { z } from 'zod';
import { cropDraft, cropFiled } from './crop.ts';
import { bedDraft, bedFiled } from './bed.ts';
import { buildUpDraft, buildUpFiled } from './build-up.ts';
import { entryFiled, entryRow } from './entry.ts';
import { habitDraft, habitFiled } from './habit.ts';
import { journalFiled, journalRow } from './journal.ts';
import { labResultDraft, labResultFiled } from './lab-result.ts';
import { lotDraft, lotFiled } from './lot.ts';
import { materialDraft, materialFiled } from './material.ts';
import { movementDraft, movementFiled } from './movement.ts';
import { plantingFiled, plantingRow } from './planting.ts';
import { recipeDraft, recipeFiled } from './recipe.ts';
import { weatherFiled, weatherRow } from './weather.ts';

/** Kinds of records of a garden as a file holds them, in the order in which one may lean on another. */
export const filedCollections = {
  materials: materialFiled,
  crops: cropFiled,
  labResults: labResultFiled,
  recipes: recipeFiled,
  buildUps: buildUpFiled,
  habits: habitFiled,
  lots: lotFiled,
  movements: movementFiled,
  beds: bedFiled,
  entries: entryFiled,
  plantings: plantingFiled,
  journal: journalFiled,
  weather: weatherFiled,
} as const;
export type CollectionName = keyof typeof filedCollections;
export const COLLECTION_NAMES = Object.keys(filedCollections) as CollectionName[];

/** What a line of a table must be, by the kind of record it makes. */
export const rowSchemas: Readonly<Record<CollectionName, z.ZodType<object>>> = {
  materials: materialDraft,
  crops: cropDraft,
  labResults: labResultDraft,
  recipes: recipeDraft,
  buildUps: buildUpDraft,
  habits: habitDraft,
  lots: lotDraft,
  movements: movementDraft,
  beds: bedDraft,
  entries: entryRow,
  plantings: plantingRow,
  journal: journalRow,
  weather: weatherRow,
};
