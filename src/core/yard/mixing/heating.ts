import type { Blend } from './blend.ts';

/** A heap heats by itself from about a cubic metre on, moist and not too lean (common practice, no source). */
const LEAST_L = 700;
const LEANEST = 40;
const DRIEST = 0.4;
const WETTEST = 0.7;

/** Whether a fresh mix can be expected to heat. */
export const heatsUp = ({ volumeL, carbonToNitrogen, moistureFractionWetBasis }: Blend): boolean =>
  volumeL >= LEAST_L &&
  carbonToNitrogen !== null &&
  carbonToNitrogen <= LEANEST &&
  moistureFractionWetBasis >= DRIEST &&
  moistureFractionWetBasis <= WETTEST;
