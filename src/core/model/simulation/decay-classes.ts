import { lostShare } from '../../ground/index.ts';
import type { ModelParameters } from './parameters.ts';

/** Whose warmth and moisture drive the decay of a part: the contact zone, the root zone, or the air over wet soil. */
export type DecayDriver = 'contactZone' | 'rootZone' | 'surface';

/**
 * Parts that share rate, exposure and driver lose the same shares, so the exponentials are worked out once per class
 * and modifier instead of once per part, and only when a part asks for them.
 */
export class DecayClass {
  readonly rateFactor: number = NaN;
  readonly exposure: number = NaN;
  readonly driver: DecayDriver;
  /** Modifier the losses were last worked out for. */
  modifier = NaN;
  // shares lost in a sub-step
  quickLoss = NaN;
  structuralLoss = NaN;
  woodyLoss = NaN;
  microbialLoss = NaN;

  constructor(rateFactor: number, exposure: number, driver: DecayDriver) {
    this.rateFactor = rateFactor;
    this.exposure = exposure;
    this.driver = driver;
    // A part of no share loses nothing, whatever its class says: it is never asked to work out its losses.
    this.quickLoss = 0;
    this.structuralLoss = 0;
    this.woodyLoss = 0;
    this.microbialLoss = 0;
  }
}

/** The modifiers of one sub-step: warmth times moisture. */
export class Modifiers {
  contactZone = NaN;
  rootZone = NaN;
  surface = NaN;
}

/** The class with these properties, made when it is not there yet. Mutates classes. */
export function decayClassFor(
  classes: DecayClass[],
  rateFactor: number,
  exposure: number,
  driver: DecayDriver,
): DecayClass {
  const known = classes.find(
    (one) => one.rateFactor === rateFactor && one.exposure === exposure && one.driver === driver,
  );
  if (known) return known;
  const made = new DecayClass(rateFactor, exposure, driver);
  classes.push(made);
  return made;
}

/** Works out the losses of a class for a sub-step of `dtDays`, unless they stand. Mutates one. */
export function updateDecayClass(
  one: DecayClass,
  p: ModelParameters,
  modifiers: Modifiers,
  dtDays: number,
): void {
  const driving =
    one.driver === 'contactZone'
      ? modifiers.contactZone
      : one.driver === 'rootZone'
        ? modifiers.rootZone
        : modifiers.surface;
  const modifier = driving * one.exposure;
  if (one.modifier === modifier) return;
  one.modifier = modifier;
  const years = (modifier * dtDays) / 365;
  const paced = one.rateFactor * years;
  one.quickLoss = lostShare(p.quickDecayPerYear * paced);
  one.structuralLoss = lostShare(p.structuralDecayPerYear * paced);
  one.woodyLoss = lostShare(p.woodyDecayPerYear * paced);
  one.microbialLoss = lostShare(p.microbialTurnoverPerYear * years);
}
