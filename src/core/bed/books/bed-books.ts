import type { Bed } from '../../../records/bed.ts';
import type { OwnCrop } from '../../../records/crop.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Site } from '../../../records/garden.ts';
import type { Planting } from '../../../records/planting.ts';
import type { TakenForBed } from '../../yard/index.ts';

/** All that decides how a bed fares. */
export interface BedBooks {
  readonly site: Site;
  readonly bed: Bed;
  readonly entries: readonly Entry[];
  readonly plantings: readonly Planting[];
  /** Crops of the garden's own, among which its plantings may be. */
  readonly crops: readonly OwnCrop[];
  /** What the stock gives for entries that draw on it, by entry. */
  readonly taken?: ReadonlyMap<string, TakenForBed>;
}
