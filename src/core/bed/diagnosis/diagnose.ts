import type { PlantSign } from '../../../records/vocabulary.ts';
import { CAUSES, COMMON, EVIDENCE, type Cause, type EvidenceCode, type PaleFacts } from './causes.ts';

/** How well a cause fits. Nothing here is ever certain. */
export type Fit = 'fitsBest' | 'possible' | 'unlikely';

export interface WeighedCause {
  readonly cause: Cause;
  readonly fit: Fit;
  /** Of all causes together, 0 to 1: how the evidence is spread, not a probability that was measured. */
  readonly share: number;
  /** What speaks for it and against it, the strongest first. */
  readonly speaksFor: readonly EvidenceCode[];
  readonly speaksAgainst: readonly EvidenceCode[];
}

export interface Diagnosis {
  readonly causes: readonly WeighedCause[];
  /** Whether one cause stands out; otherwise the cheap tests decide. */
  readonly standsOut: boolean;
}

/** Kept for what no evidence here can see, spread over all causes (set here): nothing is ever certain. */
const DOUBT = 0.06;
/** Nearly half of the weight, and twice the next, and a cause stands out (set here). */
const STANDS_OUT_SHARE = 0.45;
const STANDS_OUT_LEAD = 1.8;
const POSSIBLE_SHARE = 0.08;
/** Evidence weaker than this is not shown, steps in the log odds (set here). */
const TOLD_FROM = 0.3;

/** Weighs every cause by what is known of the bed and what was seen on the plants. */
export function diagnose(facts: PaleFacts, signs: readonly PlantSign[]): Diagnosis {
  const seen = new Set(signs);
  const holding = EVIDENCE.filter(({ holds }) => holds(facts, seen));
  const odds = CAUSES.map((cause) =>
    Math.exp(holding.reduce((sum, { weighs }) => sum + (weighs[cause] ?? 0), COMMON[cause])),
  );
  const all = odds.reduce((sum, one) => sum + one, 0);
  const told = (cause: Cause, isFor: boolean): EvidenceCode[] =>
    holding
      .map(({ code, weighs }) => ({ code, weight: (weighs[cause] ?? 0) * (isFor ? 1 : -1) }))
      .filter(({ weight }) => weight >= TOLD_FROM)
      .sort((a, b) => b.weight - a.weight)
      .map(({ code }) => code);
  const weighed = CAUSES.map((cause, i) => ({
    cause,
    share: (1 - DOUBT) * (odds[i] / all) + DOUBT / CAUSES.length,
  })).sort((a, b) => b.share - a.share);
  const [first, second] = weighed;
  const standsOut = first.share >= STANDS_OUT_SHARE && first.share >= STANDS_OUT_LEAD * second.share;
  return {
    standsOut,
    causes: weighed.map(({ cause, share }, i) => ({
      cause,
      share,
      fit: i === 0 && standsOut ? 'fitsBest' : share >= POSSIBLE_SHARE ? 'possible' : 'unlikely',
      speaksFor: told(cause, true),
      speaksAgainst: told(cause, false),
    })),
  };
}
