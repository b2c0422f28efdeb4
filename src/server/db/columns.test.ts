import { describe, expect, it } from 'vitest';
import { bedFields } from '../../records/bed.ts';
import { buildUpFields } from '../../records/build-up.ts';
import { cropFields } from '../../records/crop.ts';
import { entryFields } from '../../records/entry.ts';
import { gardenFields } from '../../records/garden.ts';
import { habitFields } from '../../records/habit.ts';
import { labResultFields } from '../../records/lab-result.ts';
import { lotFields } from '../../records/lot.ts';
import { materialFields } from '../../records/material.ts';
import { plantingFields } from '../../records/planting.ts';
import { recipeFields } from '../../records/recipe.ts';
import { weatherFields } from '../../records/weather.ts';
import { columnsOf } from './columns.ts';
import { openDatabase } from './open.ts';

/** Columns that a table has beside those of the fields: who it belongs to, its stamps, its place. */
const ALL_ROWS = ['id', 'version', 'created_at', 'updated_at', 'removed_at'];

const TABLES = [
  ['garden', [gardenFields], []],
  ['bed', [bedFields], ['garden_id']],
  ['entry', Object.values(entryFields), ['bed_id', 'sequence']],
  ['planting', [plantingFields], ['bed_id']],
  ['material', [materialFields], ['garden_id']],
  ['crop', [cropFields], ['garden_id']],
  ['build_up', [buildUpFields], ['garden_id']],
  ['habit', [habitFields], ['garden_id']],
  ['lot', [lotFields], ['garden_id']],
  ['lab_result', [labResultFields], ['garden_id']],
  ['recipe', [recipeFields], ['garden_id']],
  ['weather', [weatherFields], ['garden_id']],
] as const;

describe('the tables of the database', () => {
  const db = openDatabase(':memory:');

  it.each(TABLES)('%s has a column for every field, and for nothing else', (table, shapes, own) => {
    const kept = (db.pragma(`table_info(${table})`) as { name: string }[]).map(({ name }) => name);
    const fields = shapes.flatMap((fields) => Object.values(columnsOf(fields)).map(([column]) => column));
    expect(new Set(kept)).toEqual(new Set([...ALL_ROWS, ...own, ...fields]));
  });
});
