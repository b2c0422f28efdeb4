import type { DayNumber } from '../../ground/index.ts';

/** Crops that were to be cleared longer ago than this are taken as cleared, days (set here). */
const CLEARED_TOLD_DAYS = 14;

export const clearTaskKey = (plantingId: string): string => `clear:${plantingId}`;

/** Whether the calendar still asks for the clearing of a crop that the books count as cleared. */
export const isClearingAsked = (clearedDay: DayNumber, today: DayNumber): boolean =>
  clearedDay >= today - CLEARED_TOLD_DAYS;
