import type { DayNumber } from '../../core/ground/index.ts';
import { InputError } from '../../refusals/input-error.ts';
import {
  type BedBooks,
  type GardenRecords,
  type PlannedBed,
  bedScenario,
  booksOfBed,
  carriedForward,
  inRecordWords,
  materialFinder,
  planOfBed,
  stockBooksOf,
  takenByBed,
} from '../../core/bed/index.ts';
import type { BedScenario } from '../../core/model/index.ts';
import { emptyMemory } from '../../core/yard/index.ts';
import { booksAsPlanned, endOfYears } from '../../core/long-run/index.ts';
import { keeperOf } from './kept-pasts.ts';

/** Which bed, and the records it is worked out from. */
export interface BedQuestion {
  readonly records: GardenRecords;
  readonly bedId: string;
  /** ISO date. */
  readonly today: string;
}

/** What the stock came to, for all questions about it and about the beds that draw on it. */
export const stockMemory = emptyMemory();

/** What the stock gave last: all questions about one bed share it while nothing about the stock changes. */
let lastTaken: { readonly key: string; readonly taken: ReturnType<typeof takenByBed> } | undefined;

const rememberedTakes: typeof takenByBed = (records, bedId) => {
  if (records.lots.length === 0) return undefined;
  const { materials, labResults } = records;
  const key = JSON.stringify([bedId, stockBooksOf(records), materials, labResults]);
  if (lastTaken?.key !== key) lastTaken = { key, taken: takenByBed(records, bedId, stockMemory) };
  return lastTaken.taken;
};

export const rememberedBooks = (records: GardenRecords, bedId: string): BedBooks | undefined =>
  booksOfBed(records, bedId, rememberedTakes);

function required<Found>(found: Found | undefined): Found {
  if (!found) throw new InputError(['bedId'], 'namesNone', { what: 'bed', got: null });
  return found;
}

/** The books with plans gone by carried forward: what is not ticked off will be done today at the earliest. */
export const requireBooks = ({ records, bedId, today }: BedQuestion): BedBooks =>
  required(rememberedBooks(carriedForward(records, today), bedId));

function scenarioFrom({
  question,
  books,
  today,
  endDay,
}: {
  readonly question: BedQuestion;
  readonly books: BedBooks;
  readonly today: DayNumber;
  readonly endDay: DayNumber;
}): BedScenario {
  try {
    return bedScenario({ books, findMaterial: materialFinder(question.records), today, endDay });
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, books) : error;
  }
}

export const scenarioOf = (question: BedQuestion, today: DayNumber, daysAhead: number): BedScenario =>
  scenarioFrom({ question, books: requireBooks(question), today, endDay: today + daysAhead });

/** The bed for years as the page of years follows its plan: what grew last year grows again. */
export function plannedYearsOf(question: BedQuestion, today: DayNumber, years: number): BedScenario {
  const setting = { findMaterial: materialFinder(question.records), today, years };
  const books = booksAsPlanned(requireBooks(question), setting);
  return scenarioFrom({ question, books, today, endDay: endOfYears(today, years) });
}

/** The plans worked out last, by their question: every page that asks about a bed reads the same one. */
const plans = new Map<string, PlannedBed>();
const MOST_PLANS = 100;

/** The plan of a bed, worked out once for all who ask. */
export function plannedBed(question: BedQuestion, school = question.records.garden.school): PlannedBed {
  const key = JSON.stringify([question, school]);
  const known = plans.get(key);
  if (known) return known;
  const { records, bedId, today } = question;
  try {
    const keeper = keeperOf(bedId);
    const made = required(
      planOfBed({ records, bedId, todayIso: today, school, booksOf: rememberedBooks, keeper }),
    );
    if (plans.size >= MOST_PLANS) plans.delete(plans.keys().next().value!);
    plans.set(key, made);
    return made;
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, requireBooks(question)) : error;
  }
}
