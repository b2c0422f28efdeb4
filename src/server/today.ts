const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** The date of an instant by the clock of this machine's place, ISO date. */
export const dateHere = (at: Date): string =>
  `${at.getFullYear()}-${twoDigits(at.getMonth() + 1)}-${twoDigits(at.getDate())}`;
