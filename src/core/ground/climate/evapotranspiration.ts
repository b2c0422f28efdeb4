import { daysInMonth } from '../../../records/iso-date.ts';

/** Radiation that reaches the top of the air at a right angle, MJ/m2 a minute (FAO-56, from memory). */
const SOLAR_CONSTANT = 0.082;
/** Heat that a kilogram of water takes to evaporate, MJ (FAO-56, from memory). */
const LATENT_HEAT_MJ_PER_KG = 2.45;
const MINUTES_PER_DAY = 24 * 60;
const DAYS_PER_YEAR = 365;
/** No evapotranspiration below this mean temperature, degrees C, and the divisor of the formula (Oudin et al. 2005). */
const OUDIN = { fromC: -5, divisor: 100 } as const;
const MID_MONTH = 15;

/**
 * Radiation from the sun at the top of the air on a day of the year (1 to 365), MJ/m2, at `latitudeDeg`, south negative.
 * FAO-56, equation 21 (from memory).
 */
export function sunAboveMJPerM2(latitudeDeg: number, dayOfYear: number): number {
  const latitude = (latitudeDeg * Math.PI) / 180;
  const angle = (2 * Math.PI * dayOfYear) / DAYS_PER_YEAR;
  const distance = 1 + 0.033 * Math.cos(angle);
  const declination = 0.409 * Math.sin(angle - 1.39);
  const cosine = -Math.tan(latitude) * Math.tan(declination);
  const sunset = Math.acos(Math.min(1, Math.max(-1, cosine)));
  return (
    ((MINUTES_PER_DAY * SOLAR_CONSTANT) / Math.PI) *
    distance *
    (sunset * Math.sin(latitude) * Math.sin(declination) +
      Math.cos(latitude) * Math.cos(declination) * Math.sin(sunset))
  );
}

/**
 * What a green cover evaporates in each month, mm, from twelve mean temperatures, degrees C, and the latitude: Oudin et al.
 * (2005), which needs no more than these two (from memory).
 *
 * @example
 * evapotranspirationMm(findClimate('cool_temperate').temperatureC, 51.8)[6] // 106
 */
export function evapotranspirationMm(temperatureC: readonly number[], latitudeDeg: number): number[] {
  let dayOfYear = 0;
  return temperatureC.map((meanC, i) => {
    const days = daysInMonth(2025, i + 1);
    const sun = sunAboveMJPerM2(latitudeDeg, dayOfYear + MID_MONTH);
    dayOfYear += days;
    const warmth = Math.max(0, meanC - OUDIN.fromC) / OUDIN.divisor;
    return (days * sun * warmth) / LATENT_HEAT_MJ_PER_KG;
  });
}
