import type { OwnCrop } from '../../records/crop.ts';
import type { Named } from './name-match.ts';

/** What names in cells may mean. */
export interface TableNames {
  readonly beds: readonly Named[];
  readonly lots: readonly Named[];
  readonly materials: readonly Named[];
  readonly crops: readonly OwnCrop[];
  /** ISO date: what is dated later has not been done yet. */
  readonly today?: string;
}
