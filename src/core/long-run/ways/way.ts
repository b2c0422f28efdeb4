import type { DayNumber } from '../../ground/index.ts';
import type { LayEntry } from '../../../records/entry.ts';
import type { Lot } from '../../../records/lot.ts';
import type { Movement } from '../../../records/movement.ts';

/** What can be done with a heap of stuff, and a bed to do it for. */
export const WAY_CODES = [
  'onTop',
  'dugIn',
  'onTopInSpring',
  'onTopInAYear',
  'compostBeneath',
  'manureUnderCard',
  'composted',
  'pathFirst',
  'charred',
  'elsewhere',
] as const;
export type WayCode = (typeof WAY_CODES)[number];

/** Some of a pile of the stock, or of a load that is still to come. */
export type WaySource =
  { readonly lotId: string } | { readonly materialId: string; readonly arrivesOn: string };

export interface WayQuestion {
  readonly bedId: string;
  readonly from: WaySource;
  /** As it lies today, or as it will arrive. */
  readonly amountL: number;
}

/** Records that make a way the plan, all of them planned; what a stay on a path or a fire gives is an estimate until then. */
export interface WayRecords {
  readonly lots: readonly (Lot & { readonly name: string })[];
  readonly movements: readonly Movement[];
  readonly entries: readonly (LayEntry & { readonly bedId: string })[];
}

/** Something to do on a way. Amounts as they then are, for the whole bed or heap. */
export type WayStep =
  | {
      readonly code: 'arrives';
      readonly day: DayNumber;
      readonly amountL: number;
      readonly materialId: string;
    }
  | {
      readonly code: 'lay';
      readonly day: DayNumber;
      readonly bedId: string;
      readonly materialId: string;
      readonly amountL: number;
      readonly thicknessCm: number;
      readonly dugDepthCm: number;
    }
  | {
      readonly code: 'makeHeap';
      readonly day: DayNumber;
      readonly amountL: number;
      /** What else goes in. */
      readonly partnerId: string;
      readonly partnerL: number;
      readonly turns: number;
    }
  /** Into a pile of its own, where it waits. */
  | { readonly code: 'setAside'; readonly day: DayNumber; readonly amountL: number }
  | { readonly code: 'layOnPath'; readonly day: DayNumber; readonly bedId: string; readonly amountL: number }
  | { readonly code: 'burn'; readonly day: DayNumber; readonly amountL: number; readonly charL: number };

/** A way of using the stuff, worked out on its dates. */
export interface Way {
  readonly code: WayCode;
  readonly records: WayRecords;
  readonly steps: readonly WayStep[];
  /** Beds that are laid on, the one that was asked about first. */
  readonly bedIds: readonly string[];
  /** Of the stuff itself, what comes to a bed in the end, and what has no room there. */
  readonly laidL: number;
  readonly leftL: number;
  /** Nitrogen in the stuff that is used, and in what is mixed with it, before it lies on a bed, g. */
  readonly nitrogenInG: number;
  readonly nitrogenLaidG: number;
  /** Carrying, laying, digging, turning, burning. */
  readonly trips: number;
  readonly hours: number;
}
