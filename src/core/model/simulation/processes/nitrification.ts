import type { Bed, SubStep } from '../bed.ts';

/** What came to the zones in this sub-step is mixed in, and ammonium turns into nitrate. */
export function nitrify({ state, constants }: Bed, step: SubStep): void {
  const rate = constants.parameters.nitrificationPerDay * constants.dtDays;
  const { contactBeforeN, rootBeforeN, ammoniumToContactN, ammoniumToRootN, washedToContactN } = step;
  const contactN = contactBeforeN + ammoniumToContactN + washedToContactN + step.nitrateToContactN;
  const rootN = rootBeforeN + ammoniumToRootN;
  // What is washed out of layers is half ammonium.
  const contactAmmoniumN =
    state.contactAmmoniumShare * contactBeforeN + ammoniumToContactN + washedToContactN / 2;
  const rootAmmoniumN = state.rootAmmoniumShare * rootBeforeN + ammoniumToRootN;
  state.contactAmmoniumShare =
    contactN > 0 ? (contactAmmoniumN / contactN) * Math.exp(-rate * step.modifiers.contactZone) : 0;
  state.rootAmmoniumShare =
    rootN > 0 ? (rootAmmoniumN / rootN) * Math.exp(-rate * step.modifiers.rootZone) : 0;
}
