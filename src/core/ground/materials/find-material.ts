import type { DayNumber } from '../climate/calendar.ts';
import type { Material } from './material.ts';

/** A material by its id, as it was known on a day: a later laboratory report changes nothing before it. */
export type FindMaterial = (materialId: string, on?: DayNumber) => Material | undefined;
