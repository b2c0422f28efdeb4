import type { Bed } from '../../../records/bed.ts';
import type { SoilTestEntry } from '../../../records/entry.ts';
import { type DayNumber, dayNumberFromIso, mineralNitrogenGPerM2 } from '../../ground/index.ts';
import type { BedBooks } from './bed-books.ts';

/** Mineral nitrogen of a test over the depth that was sampled, g/m2; null where it was not measured. */
export function testedNitrogenGPerM2(
  { amount, unit, sampledDepthCm }: Pick<SoilTestEntry, 'amount' | 'unit' | 'sampledDepthCm'>,
  { bulkDensityGPerCm3 }: Pick<Bed, 'bulkDensityGPerCm3'>,
): number | null {
  return amount == null || !unit
    ? null
    : mineralNitrogenGPerM2(amount, unit, { sampledDepthCm, bulkDensityGPerCm3 });
}

export interface DatedTest {
  readonly test: SoilTestEntry;
  readonly day: DayNumber;
}

/** Soil tests that have been made up to a day, the oldest first. */
export const testsUntil = ({ entries }: Pick<BedBooks, 'entries'>, until: DayNumber): DatedTest[] =>
  entries
    .flatMap((entry) =>
      entry.type === 'soilTest' && entry.state === 'laid'
        ? [{ test: entry, day: dayNumberFromIso(entry.date, ['date']) }]
        : [],
    )
    .filter(({ day }) => day <= until)
    .sort((a, b) => a.day - b.day);

/** The last pH measured on or before a day, or what the bed's page says. */
export function phOn(books: Pick<BedBooks, 'bed' | 'entries'>, day: DayNumber): number | null {
  const measured = testsUntil(books, day).findLast(({ test }) => test.ph !== null);
  return measured?.test.ph ?? books.bed.ph;
}
