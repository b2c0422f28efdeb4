/**
 * How long storms and drawn beds go on: a tenth of their full length with every test, the whole of it by `npm run storm`,
 * three times that with VINE_STORM=3.
 */
export const STORM = Number(process.env['VINE_STORM'] ?? 0.1);

export const stormy = (whole: number): number => Math.ceil(whole * STORM);
