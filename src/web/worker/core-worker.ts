import {
  ADVICE_DAYS,
  type BedBrief,
  type BedPlan,
  type BedProjection,
  type DrawnOutcome,
  type MonthBooks,
  type PlanChange,
  type RangePlan,
  bedBrief,
  writtenOfBed,
  cropsConcerned,
  rulesFor,
  drawOutcome,
  drawnInputs,
  inRecordWords,
  looksAround,
  measuredPoints,
  monthBooks,
  planChanges,
  projectBed,
  telltaleDays,
  type FeedAvailability,
  type FeedLot,
  feedAvailability,
  feedLots,
} from '../../core/bed/index.ts';
import { expose } from 'comlink';
import { toldError } from '../../words/refusal-words.ts';
import { SCHOOLS, type School } from '../../records/vocabulary.ts';
import type { Observation } from '../../records/journal.ts';
import { type DayNumber, dayNumberFromIso } from '../../core/ground/index.ts';
import { InputError } from '../../refusals/input-error.ts';
import { type OutlookYear, endOfYears, outlook, outlookDays } from '../../core/long-run/index.ts';
import type { BedScenario } from '../../core/model/index.ts';
import { recallPast } from './kept-pasts.ts';
import { plannedYearsOf, requireBooks, scenarioOf, type BedQuestion, plannedBed } from './bed-books.ts';
import {
  bedAgendaAnswer,
  logAnswer,
  paleAnswer,
  yearAnswer,
  yearBriefsAnswer,
  yearChoiceAnswer,
  type PaleQuestion,
} from './log-answers.ts';
import {
  ashAnswers,
  burnAnswers,
  chargeAnswer,
  layingAnswer,
  lotAnswer,
  stockBriefs,
  yardAnswer,
  type ChargeAsked,
  type StockQuestion,
  type YardQuestion,
} from './stock-answers.ts';

import { UNWARMED } from './thread-names.ts';
import { warmUp } from './warm-up.ts';
import { type SharingAsked, sharingProblem } from './sharing-answers.ts';
import {
  openYears,
  yearsAmount,
  yearsLine,
  type AmountAsked,
  type YearsAsked,
  type YearsPlan,
} from './years-answers.ts';

import { drawnWay, proposedWays, type WaysAsked, weighedWay } from './ways-answers.ts';

export type { BedQuestion } from './bed-books.ts';

/** Refusals travel as data: errors lose their class between threads. */
export type Worked<Result> =
  | { readonly ok: true; readonly result: Result }
  | { readonly ok: false; readonly field: string; readonly sentence: string };

const OUTLOOK_YEARS = 10;
const RANGE_SEED = 1;
const RANGE_TIDE_DAYS = 14;
const RANGE_TIDE_LOOKS = 27;

/** Runs `work`; what the model refuses comes back in the words of the records. */
function worked<Result>(question: BedQuestion, work: (today: DayNumber) => Result): Worked<Result> {
  try {
    return { ok: true, result: work(dayNumberFromIso(question.today, ['today'])) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const books = writtenOfBed(question.records, question.bedId);
    return refusedAsEntered(books ? inRecordWords(error, books) : error);
  }
}

/** A refusal by the last field of its path: forms have each field once. */
function refusedAsEntered(error: InputError): {
  readonly ok: false;
  readonly field: string;
  readonly sentence: string;
} {
  const { field, sentence } = toldError(error.at(error.path.slice(-1)));
  return { ok: false, field, sentence };
}

/** The bed through time, to draw. */
const near = (question: BedQuestion): Worked<BedProjection> =>
  worked(question, (today) => {
    const scenario = scenarioOf(question, today, ADVICE_DAYS);
    return projectBed(scenario, looksAround(today), telltaleDays(scenario, today));
  });

/** The plan of a bed with what is the same for all beds. */
export interface FullPlan extends BedPlan {
  readonly feedAvailability: FeedAvailability;
}

let products: FeedAvailability | null = null;
/** The library does not change while a page is open. */
const productAvailability = (): FeedAvailability => (products ??= feedAvailability());

const plan = (question: BedQuestion): Worked<FullPlan> =>
  worked(question, () => ({ ...plannedBed(question).plan, feedAvailability: productAvailability() }));

/** What is new in the plan of a bed since its records stood as they did in `before`. */
const changes = (before: BedQuestion, after: BedQuestion): Worked<PlanChange[]> =>
  worked(after, () => planChanges(plannedBed(before), plannedBed(after)));

/** The plans of the three schools for the same bed. */
const schools = (question: BedQuestion): Worked<Record<School, BedPlan>> =>
  worked(
    question,
    () =>
      Object.fromEntries(SCHOOLS.map((school) => [school, plannedBed(question, school).plan])) as Record<
        School,
        BedPlan
      >,
  );

const years = (question: BedQuestion): Worked<OutlookYear[]> =>
  worked(question, (today) => outlook(plannedYearsOf(question, today, OUTLOOK_YEARS), today, OUTLOOK_YEARS));

const books = (question: BedQuestion): Worked<MonthBooks> =>
  worked(question, (today) => monthBooks(scenarioOf(question, today, ADVICE_DAYS), today));

const brief = (question: BedQuestion): Worked<BedBrief> =>
  worked(question, () => bedBrief(plannedBed(question)));

/** What is looked at in every draw, and what is drawn. */
export interface RangeSetUp {
  readonly plan: RangePlan;
  readonly inputs: readonly string[];
  readonly harmlessShare: number;
}

/** What was measured on the bed up to today. */
function pointsOf(question: BedQuestion, observations: readonly Observation[], today: DayNumber) {
  const { bed, entries } = requireBooks(question);
  return measuredPoints(bed, entries, observations).filter(({ day }) => day <= today);
}

/** The bed that is being drawn from, kept here so that one draw is one small question. */
interface Prepared {
  readonly scenario: BedScenario;
  readonly decade: BedScenario;
  readonly plan: RangePlan;
}
let prepared: Prepared | null = null;

/** How far a draw is followed: through the season, or through ten years too. */
export type Reach = 'season' | 'years';

/** Makes this thread ready to draw a bed, instead of any other; `observations` are what is to be learnt from. */
const prepareDraws = (
  question: BedQuestion,
  observations: readonly Observation[] | null,
): Worked<RangeSetUp> =>
  worked(question, (today) => {
    const scenario = scenarioOf(question, today, endOfYears(today, OUTLOOK_YEARS) - today);
    const plan: RangePlan = {
      seed: RANGE_SEED,
      today,
      tideDays: Array.from({ length: RANGE_TIDE_LOOKS }, (_, i) => today + i * RANGE_TIDE_DAYS),
      yearDays: outlookDays(today, OUTLOOK_YEARS),
      cropIds: cropsConcerned(scenario.crops, today).map(({ id }) => id),
      points: observations ? pointsOf(question, observations, today) : [],
    };
    prepared = { scenario, decade: plannedYearsOf(question, today, OUTLOOK_YEARS), plan };
    const { harmlessShare } = rulesFor(question.records.garden.school, requireBooks(question).bed);
    return { plan, inputs: drawnInputs(scenario, plan), harmlessShare };
  });

/** One draw of the bed prepared last; null when none is. */
const draw = (number: number, reach: Reach): DrawnOutcome | null =>
  prepared &&
  drawOutcome({
    scenario: prepared.scenario,
    plan: prepared.plan,
    number,
    decade: reach === 'years' ? prepared.decade : null,
  });

/** The same for questions about the stock, whose refusals name a posting. */
function workedStock<Result>(work: () => Result): Worked<Result> {
  try {
    return { ok: true, result: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return refusedAsEntered(error);
  }
}

const stock = (question: StockQuestion, reserves: Readonly<Record<string, number>>) =>
  workedStock(() => stockBriefs(question, reserves));
const lot = (question: StockQuestion, lotId: string) => workedStock(() => lotAnswer(question, lotId));
const burns = (question: StockQuestion) => workedStock(() => burnAnswers(question));
const ashTaken = (question: StockQuestion) => workedStock(() => ashAnswers(question));
const charge = (asked: ChargeAsked) => workedStock(() => chargeAnswer(asked));

const yard = (question: YardQuestion) => workedStock(() => yardAnswer(question));
const laying = (question: StockQuestion, untilDay: DayNumber) =>
  workedStock(() => layingAnswer(question, untilDay));

const sources = (question: BedQuestion): Worked<FeedLot[]> =>
  worked(question, (today) => feedLots(question.records, today));
const agenda = (question: BedQuestion) => worked(question, () => bedAgendaAnswer(question));
const log = (question: BedQuestion, observations: readonly Observation[]) =>
  worked(question, (today) => logAnswer(question, observations, today));
const pale = (question: BedQuestion, asked: PaleQuestion) =>
  worked(question, (today) => paleAnswer(question, asked, today));
const year = (question: BedQuestion, observations: readonly Observation[], of: number) =>
  worked(question, (today) => yearAnswer({ question, observations, year: of, today }));
const briefs = (question: BedQuestion, observations: readonly Observation[], years: readonly number[]) =>
  worked(question, (today) => yearBriefsAnswer({ question, observations, years, today }));
const choices = (question: BedQuestion) => worked(question, (today) => yearChoiceAnswer(question, today));

const yearsOpen = (plan: YearsPlan) => workedStock(() => openYears(plan));
const yearsOne = (asked: YearsAsked) => workedStock(() => yearsLine(asked));
const amount = (asked: AmountAsked) => workedStock(() => yearsAmount(asked));
const sharing = (asked: SharingAsked) => workedStock(() => sharingProblem(asked));
const ways = (asked: WaysAsked) => workedStock(() => proposedWays(asked));
const way = (asked: WaysAsked, key: string, school?: School) =>
  workedStock(() => weighedWay(asked, key, school));
const wayDraws = (asked: WaysAsked, key: string) => workedStock(() => drawnWay(asked, key));

/** The same, once what is kept of the bed is at hand. */
const withPast =
  <Rest extends readonly unknown[], Answer>(answer: (question: BedQuestion, ...rest: Rest) => Answer) =>
  async (question: BedQuestion, ...rest: Rest): Promise<Answer> => {
    await recallPast(question.bedId);
    return answer(question, ...rest);
  };

const core = {
  near,
  plan: withPast(plan),
  changes: withPast(changes),
  schools: withPast(schools),
  years,
  books,
  brief: withPast(brief),
  prepareDraws,
  draw,
  stock,
  lot,
  charge,
  burns,
  ashTaken,
  yard,
  laying,
  agenda: withPast(agenda),
  sources,
  log,
  pale,
  year,
  briefs,
  choices,
  ways,
  way,
  wayDraws,
  yearsOpen,
  yearsOne,
  amount,
  sharing,
};
export type CoreWorker = typeof core;

expose(core);
if (self.name !== UNWARMED) warmUp();
