import type { DayNumber } from '../../ground/index.ts';
import type { BedSample } from '../projection/bed-projection.ts';

export const ZONES = ['contact', 'root'] as const;
export type Zone = (typeof ZONES)[number];

/** Nitrogen that decomposers hold of each zone, g/m2. */
export type HeldG = Readonly<Record<Zone, number>>;

/** Less than this held back is neither drawn nor told, g/m2 (set here). */
export const HELD_TOLD_FROM_G = 0.05;

/** A time in which decomposers hold nitrogen drawn out of a zone. */
export interface LockUpWindow {
  readonly zone: Zone;
  readonly fromDay: DayNumber;
  readonly peakDay: DayNumber;
  readonly peakG: number;
  readonly nowG: number;
  /** First day after the peak on which half of it has been given back; null when the run ends before. */
  readonly halfBackDay: DayNumber | null;
  /** What holds it at the peak, the largest share first. */
  readonly causes: readonly LockUpCause[];
}

export interface LockUpCause {
  readonly layerId: string;
  /** Of all that is held in the zone, 0 to 1. */
  readonly share: number;
}

/** A lock-up that begins within this is as good as going on, days (set here). */
const AT_HAND_DAYS = 21;

export const isAtHand = ({ fromDay }: LockUpWindow, today: DayNumber): boolean =>
  fromDay <= today + AT_HAND_DAYS;

/** What holds less than this of a lock-up is not named. */
const NAMED_FROM_SHARE = 0.15;

function causesOf({ layers }: BedSample, zone: Zone, peakG: number): LockUpCause[] {
  return layers
    .map(({ id, heldContactG, heldRootG }) => ({
      layerId: id,
      share: (zone === 'contact' ? heldContactG : heldRootG) / peakG,
    }))
    .filter(({ share }) => share >= NAMED_FROM_SHARE)
    .sort((a, b) => b.share - a.share);
}

const heldIn = (sample: BedSample, zone: Zone): number =>
  zone === 'contact' ? sample.heldContactG : sample.heldRootG;

export const heldOn = (sample: BedSample): HeldG => ({
  contact: sample.heldContactG,
  root: sample.heldRootG,
});

/**
 * The lock-up of a zone that is going on at `today`, or the next one to come; null when there is none. It
 * starts when `feltFromG`, g/m2, is exceeded and counts as over when half its peak has been given back.
 */
export function lockUpWindow({
  samples,
  zone,
  today,
  feltFromG,
}: {
  readonly samples: readonly BedSample[];
  readonly zone: Zone;
  readonly today: DayNumber;
  readonly feltFromG: number;
}): LockUpWindow | null {
  const held = samples.map((sample) => heldIn(sample, zone));
  const isFelt = (i: number): boolean => held[i] >= feltFromG;
  const now = Math.max(
    0,
    // At the end of today, as the drawing shows it.
    samples.findLastIndex(({ day }) => day <= today + 1),
  );

  let from = now;
  if (isFelt(now)) while (from > 0 && isFelt(from - 1)) from -= 1;
  else from = samples.findIndex((_, i) => i > now && isFelt(i));
  if (from < 0) return null;

  let end = from;
  let peak = from;
  while (end < samples.length && isFelt(end)) {
    if (held[end] > held[peak]) peak = end;
    end += 1;
  }
  const halfBack = samples.findIndex((_, i) => i > peak && held[i] <= held[peak] / 2);
  if (halfBack >= 0 && samples[halfBack].day <= today) return null;
  return {
    zone,
    fromDay: samples[from].day,
    peakDay: samples[peak].day,
    peakG: held[peak],
    nowG: held[now],
    halfBackDay: halfBack < 0 ? null : samples[halfBack].day,
    causes: causesOf(samples[peak], zone, held[peak]),
  };
}
