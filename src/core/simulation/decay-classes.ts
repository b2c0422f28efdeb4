import { lostShare } from '../numerics/exponential-loss.ts';
import type { ModelParameters } from './parameters.ts';

/**
 * Parts that share a rate factor, a moisture zone and an exposure decay by the same factors, so the
 * exponentials are worked out once per class and sub-step instead of once per part.
 */
export interface DecayClasses {
  count: number;
  readonly rateFactor: number[];
  readonly exposure: number[];
  /** 0 = contact zone, 1 = root zone, whose moisture governs. */
  readonly zone: number[];
  /** Shares lost in the current sub-step: quick, structural, woody, microbial. */
  losses: Float64Array;
  /** Modifiers the losses were last worked out for. */
  readonly workedOutFor: number[];
}

export const LOSSES_PER_CLASS = 4;
const INITIAL_CAPACITY = 16;

export const createDecayClasses = (): DecayClasses => ({
  count: 0,
  rateFactor: [],
  exposure: [],
  zone: [],
  losses: new Float64Array(INITIAL_CAPACITY * LOSSES_PER_CLASS),
  workedOutFor: [],
});

/** Index of the class with these properties, made when it is not there yet. Mutates classes. */
export function decayClassFor(
  classes: DecayClasses,
  rateFactor: number,
  zone: 0 | 1,
  exposure: number,
): number {
  for (let i = 0; i < classes.count; i++) {
    if (classes.rateFactor[i] === rateFactor && classes.zone[i] === zone && classes.exposure[i] === exposure)
      return i;
  }
  classes.rateFactor.push(rateFactor);
  classes.zone.push(zone);
  classes.exposure.push(exposure);
  classes.workedOutFor.push(Number.NaN);
  if (classes.count * LOSSES_PER_CLASS >= classes.losses.length) {
    const larger = new Float64Array(classes.losses.length * 2);
    larger.set(classes.losses);
    classes.losses = larger;
  }
  return classes.count++;
}

/** Works out the losses of every class for a sub-step of `dtDays`. Mutates classes. */
export function updateDecayClasses(
  classes: DecayClasses,
  p: ModelParameters,
  contactModifier: number,
  rootModifier: number,
  dtDays: number,
): void {
  for (let i = 0; i < classes.count; i++) {
    const modifier = (classes.zone[i] === 0 ? contactModifier : rootModifier) * classes.exposure[i];
    if (classes.workedOutFor[i] === modifier) continue;
    classes.workedOutFor[i] = modifier;
    const years = (modifier * dtDays) / 365;
    const paced = classes.rateFactor[i] * years;
    const at = i * LOSSES_PER_CLASS;
    classes.losses[at] = lostShare(p.quickDecayPerYear * paced);
    classes.losses[at + 1] = lostShare(p.structuralDecayPerYear * paced);
    classes.losses[at + 2] = lostShare(p.woodyDecayPerYear * paced);
    classes.losses[at + 3] = lostShare(p.microbialTurnoverPerYear * years);
  }
}
