import type { BedState } from './bed.ts';

/** Ammonium share of a zone of `contentG` after `addedG` of the share `addedShare` is mixed into it. */
const mixedShare = (contentG: number, share: number, addedG: number, addedShare: number): number =>
  contentG + addedG > 0 ? (share * contentG + addedShare * addedG) / (contentG + addedG) : share;

/** Mixes mineral nitrogen, `ammoniumShare` of it ammonium, into the top 5 cm at once. Mutates state. */
export function addToContactZone(state: BedState, nitrogenG: number, ammoniumShare: number): void {
  const zone = state.contactZone;
  state.contactAmmoniumShare = mixedShare(
    zone.nitrogenG,
    state.contactAmmoniumShare,
    nitrogenG,
    ammoniumShare,
  );
  zone.nitrogenG += nitrogenG;
}

/** The same from 5 cm to the depth of the bed. Mutates state. */
export function addToRootZone(state: BedState, nitrogenG: number, ammoniumShare: number): void {
  const zone = state.rootZone;
  state.rootAmmoniumShare = mixedShare(zone.nitrogenG, state.rootAmmoniumShare, nitrogenG, ammoniumShare);
  zone.nitrogenG += nitrogenG;
}
