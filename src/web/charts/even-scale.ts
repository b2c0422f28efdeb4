/** Steps below this are no steps: no figure on any chart is that fine, and powers of ten run out further down. */
const FINEST_STEP = 1e-12;

/** 1, 2, 2.5 or 5 times a power of ten, not below `rough`; a quarter when there is nothing to step over. */
export function niceStep(rough: number): number {
  if (!(rough > FINEST_STEP)) return 0.25;
  const power = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 2.5, 5, 10].map((factor) => factor * power).find((step) => step >= rough * (1 - 1e-9))!;
}

/** From `low` in steps to the first figure that is not below `highest`; two figures at least. */
export const evenTicks = (low: number, highest: number, step: number): number[] =>
  Array.from({ length: Math.max(2, Math.ceil((highest - low) / step - 1e-9) + 1) }, (_, i) => low + i * step);

const STEPS = 4;

/**
 * Round figures, evenly apart, around all values; from zero on, or, when `isAbout` a level far from zero, from just
 * below the lowest. At least one value.
 */
export function evenScale(values: readonly number[], isAbout: boolean): readonly number[] {
  const [lowest, highest] = [Math.min(...values), Math.max(...values)];
  const step = niceStep((highest - (isAbout ? lowest : Math.min(0, lowest))) / STEPS);
  const low = isAbout || lowest < 0 ? Math.floor(lowest / step) * step : 0;
  return evenTicks(isAbout ? Math.max(0, low) : low, highest, step);
}
