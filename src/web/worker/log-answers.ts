import {
  type ChoiceOutcome,
  type Expectation,
  type Task,
  type YearBrief,
  type YearSheet,
  bedAgenda,
  observedThings,
  yearBrief,
  yearChoices,
  yearSheet,
  yearSheets,
} from '../../core/season/index.ts';
import {
  type Diagnosis,
  type PaleFacts,
  type Remedies,
  atEndOf,
  diagnose,
  materialFinder,
  paleFacts,
  projectBed,
  tryRemedies,
} from '../../core/bed/index.ts';
import { type DayNumber, dayNumberFromIso, findLibraryMaterial } from '../../core/ground/index.ts';
import type { Observation } from '../../records/journal.ts';
import type { PlantSign } from '../../records/vocabulary.ts';
import {
  plannedBed,
  rememberedBooks,
  stockMemory,
  requireBooks,
  scenarioOf,
  type BedQuestion,
} from './bed-books.ts';

const SHORT_DAYS = 150;

/** What the books of a bed imply, task by task. */
export const bedAgendaAnswer = (question: BedQuestion): Task[] =>
  bedAgenda({
    records: question.records,
    bedId: question.bedId,
    todayIso: question.today,
    booksOf: rememberedBooks,
    planned: plannedBed(question),
    memory: stockMemory,
  });

/** What the model expected where something was seen, by observation. */
export function logAnswer(
  question: BedQuestion,
  observations: readonly Observation[],
  today: DayNumber,
): Record<string, Expectation | null> {
  const books = requireBooks(question);
  const scenario = scenarioOf(question, today, 2);
  const days = observations.map(({ date }) => dayNumberFromIso(date, ['date']) + 1);
  const projection = projectBed(scenario, scenario.endDay - scenario.startDay, days);
  const things = observedThings({ books, scenario, observations, today }, projection, observations);
  return Object.fromEntries(things.map(({ observation, expectation }) => [observation.id, expectation]));
}

/** What somebody says about plants that are not well. */
export interface PaleQuestion {
  readonly plantingId: string | null;
  /** ISO date; null when nobody saw it begin. */
  readonly beganOn: string | null;
  readonly signs: readonly PlantSign[];
}

export interface PaleAnswer {
  readonly facts: PaleFacts;
  readonly diagnosis: Diagnosis;
  /** Null when nothing stands on the bed. */
  readonly remedies: Remedies | null;
}

const CASTINGS_ID = 'worm_castings';

export function paleAnswer(question: BedQuestion, asked: PaleQuestion, today: DayNumber): PaleAnswer {
  const books = requireBooks(question);
  const scenario = scenarioOf(question, today, SHORT_DAYS);
  const projection = projectBed(scenario, 7, [today, today + 1]);
  const facts = paleFacts({
    books,
    findMaterial: materialFinder(question.records),
    projection,
    today,
    plantingId: asked.plantingId,
    isShortByPlan: ['short', 'pale'].includes(plannedBed(question).plan.status),
    beganDay: asked.beganOn === null ? null : dayNumberFromIso(asked.beganOn, ['beganOn']),
  });
  const cropIds = atEndOf(projection, today)
    .crops.map(({ id }) => id)
    .filter(
      (id) => asked.plantingId === null || id === asked.plantingId || id.startsWith(`${asked.plantingId}:`),
    );
  return {
    facts,
    diagnosis: diagnose(facts, asked.signs),
    remedies:
      cropIds.length === 0
        ? null
        : tryRemedies({
            scenario,
            today,
            cropIds,
            feeding: plannedBed(question).plan.feeding,
            castings: findLibraryMaterial(CASTINGS_ID)!,
          }),
  };
}

export const yearAnswer = ({
  question,
  observations,
  year,
  today,
}: {
  readonly question: BedQuestion;
  readonly observations: readonly Observation[];
  readonly year: number;
  readonly today: DayNumber;
}): YearSheet =>
  yearSheet(
    { books: requireBooks(question), scenario: scenarioOf(question, today, 2), observations, today },
    year,
  );

/** Years of a bed in short, out of one run. */
export function yearBriefsAnswer({
  question,
  observations,
  years,
  today,
}: {
  readonly question: BedQuestion;
  readonly observations: readonly Observation[];
  readonly years: readonly number[];
  readonly today: DayNumber;
}): YearBrief[] {
  const books = requireBooks(question);
  const setting = { books, scenario: scenarioOf(question, today, 2), observations, today };
  return yearSheets(setting, years).map((sheet) => yearBrief(sheet, books.bed.areaM2));
}

export const yearChoiceAnswer = (question: BedQuestion, today: DayNumber): ChoiceOutcome[] =>
  yearChoices({ books: requireBooks(question), findMaterial: materialFinder(question.records), today });
