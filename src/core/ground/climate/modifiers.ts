/**
 * Temperature modifier of decay, 1 near 9.25 C (RothC-26.3, Coleman and Jenkinson 1996, from memory).
 * `airC` in degrees C; 0 at or below `frozenC`; never above `cap`.
 *
 * @example
 * temperatureModifier(20, -5, 3) // 2.82
 */
export function temperatureModifier(airC: number, frozenC: number, cap: number): number {
  if (airC <= frozenC) return 0;
  return Math.min(cap, 47.91 / (1 + Math.exp(106.06 / (airC + 18.27))));
}

const Q10_REFERENCE_C = 15;

/**
 * Factor on what doubles with every 10 C (a Q10 of 2), 1 at 15 C (set here). `airC` in degrees C.
 *
 * @example
 * q10Modifier(25) // 2
 */
export const q10Modifier = (airC: number): number => Math.exp((airC - Q10_REFERENCE_C) * (Math.LN2 / 10));

/**
 * Moisture modifier of decay, 0.2 to 1, from the deficit of a zone and its largest deficit, both mm
 * (RothC-26.3, from memory).
 *
 * @example
 * moistureModifier(30, 40) // 0.56
 */
export function moistureModifier(deficitMm: number, maximumDeficitMm: number): number {
  const onset = 0.444 * maximumDeficitMm;
  if (deficitMm <= onset) return 1;
  return Math.max(0.2, 0.2 + (0.8 * (maximumDeficitMm - deficitMm)) / (maximumDeficitMm - onset));
}

/**
 * RothC's x: C respired per C kept, at `clayPct` % clay (RothC-26.3, from memory).
 *
 * @example
 * respiredPerKept(20) // 3.64
 */
export const respiredPerKept = (clayPct: number): number => 1.67 * (1.85 + 1.6 * Math.exp(-0.0786 * clayPct));

/**
 * Factor on humification by clay, 1 at `referenceClayPct`.
 *
 * @example
 * clayFactor(30, 20) // 1.07
 */
export const clayFactor = (clayPct: number, referenceClayPct: number): number =>
  (respiredPerKept(referenceClayPct) + 1) / (respiredPerKept(clayPct) + 1);

/**
 * Largest topsoil moisture deficit, mm per 23 cm (RothC-26.3, from memory).
 *
 * @example
 * maximumDeficitPer23Cm(20) // 42
 */
export const maximumDeficitPer23Cm = (clayPct: number): number =>
  20 + 1.3 * clayPct - 0.01 * clayPct * clayPct;
