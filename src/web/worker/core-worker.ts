import { expose } from 'comlink';
import { fieldAsEntered, sentenceAsEntered } from '../../contract/as-entered.ts';
import { adviseBed, bedStanding, type BedAdvice, type BedStanding } from '../../core/advice/bed-advice.ts';
import { dayNumberFromIso, type DayNumber } from '../../core/climate/calendar.ts';
import { InputError } from '../../core/input-error.ts';
import {
  atEndOf,
  projectBed,
  telltaleDays,
  type BedProjection,
  type BedSample,
} from '../../core/projection/bed-projection.ts';
import { outlook, type OutlookYear } from '../../core/projection/outlook.ts';
import { bedScenario, inRecordWords } from '../../core/records/bed-scenario.ts';
import { booksOfBed, materialFinder, type GardenRecords } from '../../core/records/garden-books.ts';
import type { BedScenario } from '../../core/simulation/scenario.ts';

/** Which bed, and the records it is worked out from. */
export interface BedQuestion {
  readonly records: GardenRecords;
  readonly bedId: string;
  /** ISO date. */
  readonly today: string;
}

/** Refusals travel as data: errors lose their class between threads. */
export type Worked<Result> =
  | { readonly ok: true; readonly result: Result }
  | { readonly ok: false; readonly field: string; readonly sentence: string };

/** A bed in one line of the garden. */
export interface BedBrief {
  readonly standing: BedStanding;
  readonly now: BedSample;
  /** Organic matter in a year, %, as the books stand. */
  readonly organicMatterNextYearPct: number;
}

const NEAR_DAYS = 900;
const YEAR_DAYS = 365;
const SAMPLE_EVERY_DAYS = 7;
const OUTLOOK_YEARS = 10;

function scenarioOf({ records, bedId }: BedQuestion, today: DayNumber, daysAhead: number): BedScenario {
  const books = booksOfBed(records, bedId);
  if (!books) throw new InputError(['bedId'], 'unknown', 'names no bed of this garden');
  try {
    return bedScenario(books, materialFinder(records.materials), today, today + daysAhead);
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, books) : error;
  }
}

/** Runs `work`; what the model refuses comes back in the words of the records. */
function worked<Result>(question: BedQuestion, work: (today: DayNumber) => Result): Worked<Result> {
  try {
    return { ok: true, result: work(dayNumberFromIso(question.today, ['today'])) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const books = booksOfBed(question.records, question.bedId);
    const { path, requirement } = books ? inRecordWords(error, books) : error;
    const field = String(path.at(-1) ?? '');
    return { ok: false, field: fieldAsEntered(field), sentence: sentenceAsEntered(field, requirement) };
  }
}

const isPath = ({ records, bedId }: BedQuestion): boolean =>
  records.beds.find(({ id }) => id === bedId)?.kind === 'path';

const projectNear = (scenario: BedScenario, today: DayNumber): BedProjection =>
  projectBed(scenario, SAMPLE_EVERY_DAYS, telltaleDays(scenario, today));

const near = (question: BedQuestion): Worked<BedProjection> =>
  worked(question, (today) => projectNear(scenarioOf(question, today, NEAR_DAYS), today));

const advice = (question: BedQuestion): Worked<BedAdvice> =>
  worked(question, (today) => {
    const scenario = scenarioOf(question, today, NEAR_DAYS);
    return adviseBed(scenario, projectNear(scenario, today), today, isPath(question));
  });

const years = (question: BedQuestion): Worked<OutlookYear[]> =>
  worked(question, (today) =>
    outlook(scenarioOf(question, today, OUTLOOK_YEARS * 366 + 1), today, OUTLOOK_YEARS),
  );

const brief = (question: BedQuestion): Worked<BedBrief> =>
  worked(question, (today) => {
    const scenario = scenarioOf(question, today, NEAR_DAYS);
    const projection = projectNear(scenario, today);
    return {
      standing: bedStanding(scenario, projection, today, isPath(question)),
      now: atEndOf(projection, today),
      organicMatterNextYearPct: atEndOf(projection, today + YEAR_DAYS).organicMatterPct,
    };
  });

const core = { near, advice, years, brief };
export type CoreWorker = typeof core;

expose(core);
