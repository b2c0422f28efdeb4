import { lostShare } from '../../numerics/exponential-loss.ts';
import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, ROOT_ZONE, type Bed, type SubStep } from '../bed.ts';

const WARMEST_DENITRIFICATION = 2;
const DRAIN_REFERENCE_MM = 10;
const EQUAL_RATES = 1e-9;

/**
 * Drainage carries nitrate from the contact zone to the root zone and out of it, as two mixed cells solved
 * exactly (in the spirit of Burns 1975, from memory); on clay a share is denitrified on the way.
 */
export function leachAndDenitrify({ state, constants }: Bed, step: SubStep): void {
  if (step.contactDrainMm === 0 && step.rootDrainMm === 0) return;
  const { mineralN, flows } = state;
  const heldContact = Math.min(mineralN[CONTACT_ZONE], constants.heldAmmoniumG[0]);
  const heldRoot = Math.min(mineralN[ROOT_ZONE], constants.heldAmmoniumG[1]);
  const contact = mineralN[CONTACT_ZONE] - heldContact;
  const root = mineralN[ROOT_ZONE] - heldRoot;
  const contactRate = (step.soilShield * step.contactDrainMm) / constants.waterMm[0];
  const rootRate = (step.soilShield * step.rootDrainMm) / constants.waterMm[1];

  const intoRoot = contact * lostShare(contactRate);
  const caught =
    Math.abs(rootRate - contactRate) <= EQUAL_RATES
      ? contactRate * Math.exp(-contactRate)
      : (contactRate * (Math.exp(-contactRate) - Math.exp(-rootRate))) / (rootRate - contactRate);
  const leached = root * lostShare(rootRate) + Math.max(0, intoRoot - contact * caught);
  const contactLeft = contact - intoRoot;
  const rootLeft = root + intoRoot - leached;
  flows[FLOW.contactZoneToRootZone] += intoRoot;
  flows[FLOW.leached] += leached;

  const rate =
    (constants.parameters.denitrifiedPer10Mm *
      Math.min(WARMEST_DENITRIFICATION, step.temperatureModifier) *
      constants.denitrificationWeight) /
    DRAIN_REFERENCE_MM;
  const contactGas = denitrified(contact, contactLeft, rate * step.contactDrainMm);
  const rootGas = denitrified(root, rootLeft, rate * step.rootDrainMm);
  flows[FLOW.contactZoneDenitrified] += contactGas;
  flows[FLOW.rootZoneDenitrified] += rootGas;
  mineralN[CONTACT_ZONE] = heldContact + contactLeft - contactGas;
  mineralN[ROOT_ZONE] = heldRoot + rootLeft - rootGas;
}

/** The share acts on the mean content of the sub-step, and never on more than is left. */
const denitrified = (before: number, after: number, exponent: number): number =>
  Math.min(after, ((before + after) / 2) * lostShare(exponent));
