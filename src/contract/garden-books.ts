import type { BedRecord } from '../records/bed.ts';
import type { BuildUpRecord } from '../records/build-up.ts';
import type { CropRecord } from '../records/crop.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { GardenRecord } from '../records/garden.ts';
import type { HabitRecord } from '../records/habit.ts';
import type { JournalRecord } from '../records/journal.ts';
import type { LabResultRecord } from '../records/lab-result.ts';
import type { LotRecord } from '../records/lot.ts';
import type { MaterialRecord } from '../records/material.ts';
import type { MovementRecord } from '../records/movement.ts';
import type { PlantingRecord } from '../records/planting.ts';
import type { RecipeRecord } from '../records/recipe.ts';
import type { MeasuredDay } from '../records/weather.ts';

/** Everything about one garden in one answer: what the pages compute from. */
export interface GardenBooks {
  readonly today: string;
  readonly garden: GardenRecord;
  readonly beds: readonly BedRecord[];
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  readonly materials: readonly MaterialRecord[];
  /** Those of the garden's own. */
  readonly crops: readonly CropRecord[];
  readonly buildUps: readonly BuildUpRecord[];
  readonly habits: readonly HabitRecord[];
  readonly lots: readonly LotRecord[];
  readonly movements: readonly MovementRecord[];
  readonly labResults: readonly LabResultRecord[];
  readonly recipes: readonly RecipeRecord[];
  readonly journal: readonly JournalRecord[];
  readonly weather: readonly MeasuredDay[];
}
