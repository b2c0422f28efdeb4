import type { DayNumber } from '../../ground/index.ts';
import type { LayEntry } from '../../../records/entry.ts';
import type { Lot } from '../../../records/lot.ts';
import type { Movement } from '../../../records/movement.ts';

/** What can be done with a heap of stuff, and a bed to do it for. */
export const WAY_CODES = [
  'onTop',
  'withinLimits',
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
  | { readonly lotId: string }
  | { readonly materialId: string; readonly arrivesOn: string };

/** A bed, some stuff, or both: what is not given is looked for in the garden. */
export interface WayQuestion {
  /** Null for whichever bed it does the most good on. */
  readonly bedId: string | null;
  /** Null for whatever of the stock does the bed the most good. */
  readonly from: WaySource | null;
  /** As it lies today, or as it will arrive; null for as much as does well on the bed, or all there is. */
  readonly amountL: number | null;
  readonly whatIf?: WhatIf;
}

/** One pile or load, for one bed. */
export interface PlainQuestion extends WayQuestion {
  readonly bedId: string;
  readonly from: WaySource;
}

/** What is to be otherwise than it would be proposed; null for as proposed. */
export interface WhatIf {
  /** ISO date before which nothing is done with the stuff. */
  readonly notBefore: string | null;
  /** How deep what is dug in is dug in. */
  readonly dugDepthCm: number | null;
  /** The thickest layer, cm. */
  readonly mostCm: number | null;
  /** What goes into a heap with it. */
  readonly partner: { readonly materialId: string; readonly amountL: number } | null;
}
/** As deep as anybody digs, and as thick as anything lies, cm (set here). */
export const MOST_DUG_DEPTH_CM = 60;
export const MOST_THICK_CM = 50;
export const AS_PROPOSED: WhatIf = { notBefore: null, dugDepthCm: null, mostCm: null, partner: null };

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
      /** Out of this pile; null for what comes from outside. */
      readonly lotId: string | null;
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
  /** Tells it from the others that were proposed with it. */
  readonly key: string;
  readonly code: WayCode;
  /** What was asked about or found: the bed it is for, and the pile it is out of. */
  readonly bedId: string;
  readonly lotId: string;
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
  /** Brought in from outside to go with it, L. */
  readonly boughtL: number;
  /** Carrying, laying, digging, turning, burning. */
  readonly trips: number;
  readonly hours: number;
}
