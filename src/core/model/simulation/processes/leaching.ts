import { lostShare } from '../../../ground/index.ts';
import type { Bed, SubStep } from '../bed.ts';

const WARMEST_DENITRIFICATION = 2;
const DRAIN_REFERENCE_MM = 10;
const EQUAL_RATES = 1e-9;

/**
 * Drainage carries nitrate from the contact zone to the root zone and out of it, as two mixed cells solved exactly (in
 * the spirit of Burns 1975, from memory), and on through the two cells of the subsoil; on clay a share is denitrified
 * where water enters. Ammonium and what is held fast stay.
 */
export function leachAndDenitrify(bed: Bed, step: SubStep): void {
  if (step.waterMm === 0) return;
  const { state, constants } = bed;
  const { contactZone, rootZone, postings } = state;
  const contactN = contactZone.nitrogenG;
  const rootN = rootZone.nitrogenG;
  const contact = (contactN - Math.min(contactN, constants.contactHeldN)) * (1 - state.contactAmmoniumShare);
  const root = (rootN - Math.min(rootN, constants.rootHeldN)) * (1 - state.rootAmmoniumShare);
  const contactRate = (step.soilShield * step.contactDrainMm) / constants.contactWaterMm;
  const rootRate = (step.soilShield * step.rootDrainMm) / constants.rootWaterMm;

  const intoRoot = contact * lostShare(contactRate);
  const caught =
    Math.abs(rootRate - contactRate) <= EQUAL_RATES
      ? contactRate * Math.exp(-contactRate)
      : (contactRate * (Math.exp(-contactRate) - Math.exp(-rootRate))) / (rootRate - contactRate);
  const intoSubsoil = root * lostShare(rootRate) + Math.max(0, intoRoot - contact * caught);
  const contactLeft = contact - intoRoot;
  const rootLeft = root + intoRoot - intoSubsoil;
  postings.contactZoneToRootZone += intoRoot;
  postings.rootZoneToSubsoil += intoSubsoil;
  if (step.rootDrainMm > 0) washSubsoil(bed, step);
  state.upperSubsoilN += intoSubsoil;

  const perMm =
    (constants.parameters.denitrifiedPer10Mm * constants.denitrificationWeight) / DRAIN_REFERENCE_MM;
  const contactGas =
    perMm === 0
      ? 0
      : denitrified(
          contact,
          contactLeft,
          perMm *
            Math.min(WARMEST_DENITRIFICATION, step.contactWarmth) *
            step.waterMm *
            (1 - state.contactDeficitMm / constants.contactMaximumDeficitMm),
        );
  const rootGas =
    perMm === 0
      ? 0
      : denitrified(
          root,
          rootLeft,
          perMm *
            Math.min(WARMEST_DENITRIFICATION, step.rootWarmth) *
            step.contactDrainMm *
            (1 - state.rootDeficitMm / constants.rootMaximumDeficitMm),
        );
  postings.contactZoneDenitrified += contactGas;
  postings.rootZoneDenitrified += rootGas;
  const contactAfter = contactN - contact + contactLeft - contactGas;
  const rootAfter = rootN - root + rootLeft - rootGas;
  contactZone.nitrogenG = contactAfter;
  rootZone.nitrogenG = rootAfter;
  // What left was nitrate: the ammonium that stays is a larger share of less.
  state.contactAmmoniumShare =
    contactAfter > 0 ? Math.min(1, (state.contactAmmoniumShare * contactN) / contactAfter) : 0;
  state.rootAmmoniumShare = rootAfter > 0 ? Math.min(1, (state.rootAmmoniumShare * rootN) / rootAfter) : 0;
}

/** What passes the lower cell is lost for good. Mutates bed.state. */
function washSubsoil({ state, constants }: Bed, step: SubStep): void {
  const { postings } = state;
  const moved = lostShare((step.soilShield * step.rootDrainMm) / constants.subsoilWaterMm);
  const intoLower = state.upperSubsoilN * moved;
  const lost = state.lowerSubsoilN * moved;
  state.upperSubsoilN -= intoLower;
  state.lowerSubsoilN += intoLower - lost;
  postings.upperToLowerSubsoil += intoLower;
  postings.leached += lost;
}

/** The share acts on the mean content of the sub-step, and never on more than is left. */
const denitrified = (before: number, after: number, exponent: number): number =>
  Math.min(after, ((before + after) / 2) * lostShare(exponent));
