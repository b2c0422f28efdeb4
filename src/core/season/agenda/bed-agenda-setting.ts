import type { DayNumber, FindMaterial } from '../../ground/index.ts';
import type { BedBooks, BedPlan, BedProjection, FeedLot } from '../../bed/index.ts';

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
  readonly plan: BedPlan;
  /** Lots of products to feed with; none needed where nothing is to be fed. */
  readonly feedLots: readonly FeedLot[];
}
