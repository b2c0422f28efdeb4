import type { DayNumber } from '../../ground/climate/calendar.ts';
import type { FindMaterial } from '../../ground/materials/find-material.ts';
import type { BedStanding } from '../../bed/advice/bed-advice.ts';
import type { PlantingDate } from '../../bed/advice/planting-dates.ts';
import type { BedBooks } from '../../bed/books/bed-books.ts';
import type { BedProjection } from '../../bed/projection/bed-projection.ts';

/** What the tasks of a bed are worked out from. */
export interface BedAgendaSetting {
  /** As they were written; plans gone by stand on their own days. */
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  /** ISO date of the same day. */
  readonly todayIso: string;
  /** Of the books with plans gone by carried forward to today. */
  readonly projection: BedProjection;
  readonly standing: BedStanding;
  readonly planting: readonly PlantingDate[];
}
