import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../core/ground/index.ts';
import {
  type BedBooks,
  type GardenRecords,
  bedScenario,
  booksOfBed,
  carriedForward,
  materialFinder,
} from '../core/bed/index.ts';
import type { BedScenario } from '../core/model/index.ts';
import type { GardenFile } from '../contract/garden-file.ts';
import { recordsOfFile } from '../contract/garden-records.ts';
import { todayOf, UsageError, type Arguments } from './arguments.ts';

/** A bed of a garden file on a day, set up as the pages do. */
export interface BedInQuestion {
  readonly name: string;
  readonly bedId: string;
  readonly records: GardenRecords;
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  /** ISO date. */
  readonly todayIso: string;
  readonly today: DayNumber;
}

const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** The bed that `--bed` names; the only one there is needs no name. Throws UsageError when there is none. */
export function bedNamed(
  { beds }: GardenFile,
  { options: { bed: wanted } }: Arguments,
): GardenFile['beds'][number] {
  const found =
    wanted === undefined && beds.length === 1
      ? beds[0]
      : beds.find(({ id, name }) => id === wanted || same(name, wanted ?? ''));
  if (found) return found;
  const names = beds.map(({ name }) => name).join(', ');
  throw new UsageError(`Say which bed with --bed: ${names === '' ? 'the garden has none' : names}.`);
}

export function bedInQuestion(file: GardenFile, args: Arguments): BedInQuestion {
  const found = bedNamed(file, args);
  const todayIso = todayOf(args);
  const records = recordsOfFile(file);
  return {
    name: found.name,
    bedId: found.id,
    records,
    books: booksOfBed(carriedForward(records, todayIso), found.id)!,
    findMaterial: materialFinder(records),
    todayIso,
    today: dayNumberFromIso(todayIso, ['--today']),
  };
}

export const scenarioUntil = (
  { books, findMaterial, today }: BedInQuestion,
  endDay: DayNumber,
): BedScenario => bedScenario({ books, findMaterial, today, endDay });
