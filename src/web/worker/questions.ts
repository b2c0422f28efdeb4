import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { type GardenRecords, drawsOnStock, groundAsRead } from '../../core/bed/index.ts';
import type { School } from '../../records/vocabulary.ts';
import type { Brew, Observation } from '../../records/journal.ts';
import type { YardRecords } from '../../core/season/index.ts';
import type { BedQuestion, Worked } from './core-worker.ts';
import { keptOr } from './kept-answers.ts';
import { keyOf } from './question-about.ts';
import { startCore, type CoreThread } from './start-core.ts';
import { shareOnThread } from '../solver/ask-solver.ts';
import type { SharingAsked } from './sharing-answers.ts';
import type { PaleQuestion } from './log-answers.ts';
import type { ChargeAsked, StockQuestion, YardQuestion } from './stock-answers.ts';
import type { WaysAsked } from './ways-answers.ts';

export { questionAbout } from './question-about.ts';

/**
 * One thread for what is being drawn, one for advice that may take longer, each answering in turn. A question
 * nobody waits for any more is dropped before it is asked.
 */
function createLane() {
  let thread: CoreThread | undefined;
  let last: Promise<unknown> = Promise.resolve();
  return <Result>(
    signal: AbortSignal,
    ask: (core: CoreThread['core']) => Promise<Worked<Result>>,
  ): Promise<Worked<Result>> => {
    const turn = last.then(() => {
      signal.throwIfAborted();
      thread ??= startCore();
      return ask(thread.core);
    });
    last = turn.catch(() => undefined);
    return turn;
  };
}

const drawing = createLane();
const advising = createLane();
/** Of the two lanes in turn, so that questions about many beds are answered by both. */
const laneOf = (turn: number) => (turn % 2 === 0 ? drawing : advising);

type Asked = readonly [what: string, about: BedQuestion | StockQuestion | YardQuestion, more?: unknown];

const FOREVER = {
  queryKeyHashFn: ([what, about, more]: Asked) => `${what} ${JSON.stringify(more)} ${keyOf(about)}`,
  staleTime: Infinity,
  gcTime: 5 * 60_000,
  retry: false,
  placeholderData: keepPreviousData,
} as const;

export const nearQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['near', question] as Asked,
    queryFn: ({ signal }) => drawing(signal, (core) => core.near(question)),
    ...FOREVER,
  });

export const adviceQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['advice', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.plan(question)),
    ...FOREVER,
  });

/** Whether two questions would be answered alike. */
export const asksTheSame = (one: BedQuestion, other: BedQuestion): boolean => keyOf(one) === keyOf(other);

/** What is new in a plan. After all that is waited for: it is news, and no answer. */
export const planChangesQuery = (before: BedQuestion, after: BedQuestion) =>
  queryOptions({
    queryKey: ['changes', after, keyOf(before)] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.changes(before, after)),
    ...FOREVER,
  });

export const schoolsQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['schools', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.schools(question)),
    ...FOREVER,
  });

export const booksQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['books', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.books(question)),
    ...FOREVER,
  });

export const yearsQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['years', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.years(question)),
    ...FOREVER,
  });

export const briefQuery = (question: BedQuestion, turn: number) =>
  queryOptions({
    queryKey: ['brief', question] as Asked,
    queryFn: ({ signal }) =>
      keptOr('brief', question, () => laneOf(turn)(signal, (core) => core.brief(question))),
    ...FOREVER,
  });

/** All records of a garden but its log: what is worked out over years leaves postponed doses aside. */
export const recordsForYears = ({
  garden,
  beds,
  entries,
  plantings,
  crops,
  materials,
  labResults,
  lots,
  movements,
  weather,
}: GardenRecords): GardenRecords => ({
  ...groundAsRead({ garden, beds }),
  entries,
  plantings,
  crops,
  materials,
  labResults,
  lots,
  movements,
  ...(weather ? { weather } : {}),
  journal: [],
});

/** Only what decides how the stock fares. */
export const questionAboutStock = (records: GardenRecords, today: string): StockQuestion => ({
  today,
  records: {
    ...groundAsRead(records),
    materials: records.materials,
    crops: [],
    labResults: records.labResults,
    entries: records.entries.filter(drawsOnStock),
    plantings: [],
    lots: records.lots,
    movements: records.movements,
    journal: [],
  },
});

export const stockQuery = (question: StockQuestion, reserves: Readonly<Record<string, number>>) =>
  queryOptions({
    queryKey: ['stock', question, reserves] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.stock(question, reserves)),
    ...FOREVER,
  });

export const lotQuery = (question: StockQuestion, lotId: string) =>
  queryOptions({
    queryKey: ['lot', question, lotId] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.lot(question, lotId)),
    ...FOREVER,
  });

export const chargeQuery = (asked: ChargeAsked) =>
  queryOptions({
    queryKey: ['charge', asked.question, [asked.lotId, asked.recipeId, asked.litres]] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.charge(asked)),
    ...FOREVER,
  });

export const burnsQuery = (question: StockQuestion) =>
  queryOptions({
    queryKey: ['burns', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.burns(question)),
    ...FOREVER,
  });

/** Wood ash in what beds get from the stock. */
export const ashTakenQuery = (question: StockQuestion) =>
  queryOptions({
    queryKey: ['ashTaken', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.ashTaken(question)),
    ...FOREVER,
  });

/** Tasks of one bed; beds take turns on the two threads. */
export const agendaQuery = (question: BedQuestion, turn: number) =>
  queryOptions({
    queryKey: ['agenda', question] as Asked,
    queryFn: ({ signal }) =>
      keptOr('agenda', question, () => laneOf(turn)(signal, (core) => core.agenda(question))),
    ...FOREVER,
  });

/** The lots a bed may be fed from, each with the one product that lies in it. */
export const sourcesQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['sources', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.sources(question)),
    ...FOREVER,
  });

/** What the yard asks for. */
export const questionAboutYard = (
  records: YardRecords,
  brews: readonly Brew[],
  today: string,
): YardQuestion => ({
  today,
  brews,
  records: {
    ...questionAboutStock(records, today).records,
    lots: records.lots,
    movements: records.movements,
  },
});

export const yardQuery = (question: YardQuestion) =>
  queryOptions({
    queryKey: ['yard', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.yard(question)),
    ...FOREVER,
  });

/** Everything planned to be laid up to a day; the question holds all entries of the garden. */
export const layingQuery = (question: StockQuestion, untilDay: number) =>
  queryOptions({
    queryKey: ['laying', question, untilDay] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.laying(question, untilDay)),
    ...FOREVER,
  });

/** What the model expected where something was seen. */
export const logQuery = (question: BedQuestion, observations: readonly Observation[], turn: number) =>
  queryOptions({
    queryKey: ['log', question, observations] as Asked,
    queryFn: ({ signal }) => laneOf(turn)(signal, (core) => core.log(question, observations)),
    ...FOREVER,
  });

export const paleQuery = (question: BedQuestion, asked: PaleQuestion) =>
  queryOptions({
    queryKey: ['pale', question, asked] as Asked,
    queryFn: ({ signal }) => drawing(signal, (core) => core.pale(question, asked)),
    ...FOREVER,
  });

export const yearQuery = (question: BedQuestion, observations: readonly Observation[], year: number) =>
  queryOptions({
    queryKey: ['year', question, [observations, year]] as Asked,
    queryFn: ({ signal }) => drawing(signal, (core) => core.year(question, observations, year)),
    ...FOREVER,
  });

/** Years of a bed in short. `turn` spreads the beds of a garden over both threads. */
export const briefsQuery = (
  question: BedQuestion,
  asked: { readonly observations: readonly Observation[]; readonly years: readonly number[] },
  turn: number,
) =>
  queryOptions({
    queryKey: ['briefs', question, asked] as Asked,
    queryFn: ({ signal }) =>
      laneOf(turn)(signal, (core) => core.briefs(question, asked.observations, asked.years)),
    ...FOREVER,
  });

export const choicesQuery = (question: BedQuestion) =>
  queryOptions({
    queryKey: ['choices', question] as Asked,
    queryFn: ({ signal }) => advising(signal, (core) => core.choices(question)),
    ...FOREVER,
  });

/** Which ways there are to use some stuff for a bed. */
export const waysQuery = (asked: WaysAsked) =>
  queryOptions({
    queryKey: ['ways', asked.question, [asked.asked, asked.prices, asked.prefix]] as Asked,
    queryFn: ({ signal }) => drawing(signal, (core) => core.ways(asked)),
    ...FOREVER,
  });

/** One of them, weighed by the school of the garden where no other is asked for. */
interface WayAsked {
  readonly key: string;
  readonly school?: School;
}

/**
 * What one of them comes to. Both threads weigh, so that the first ones are there soon; by whatever school, one way is weighed
 * by the same thread, which knows already what no school changes.
 */
export const wayQuery = (asked: WaysAsked, { key, school }: WayAsked, turn: number) =>
  queryOptions({
    queryKey: ['way', asked.question, [asked.asked, asked.prices, asked.prefix, key, school]] as Asked,
    queryFn: ({ signal }) => laneOf(turn)(signal, (core) => core.way(asked, key, school)),
    ...FOREVER,
    placeholderData: (): undefined => undefined,
  });

/** The same as things may be; after all that is waited for. */
export const wayDrawsQuery = (asked: WaysAsked, key: string, turn: number) =>
  queryOptions({
    queryKey: ['way-as-may-be', asked.question, [asked.asked, asked.prefix, key]] as Asked,
    queryFn: ({ signal }) => laneOf(turn)(signal, (core) => core.wayDraws(asked, key)),
    ...FOREVER,
    placeholderData: (): undefined => undefined,
  });

/** Who gets what of the stock: the core says what it would do where, the solver chooses. */
export const shareQuery = (asked: SharingAsked) =>
  queryOptions({
    queryKey: [
      'share',
      asked.question,
      [asked.reserves, asked.aimOrganicMatterPct, asked.fixed, asked.carrier],
    ] as Asked,
    queryFn: async ({ signal }) => {
      const problem = await advising(signal, (core) => core.sharing(asked));
      if (!problem.ok) return problem;
      const solved = await shareOnThread(problem.result);
      return solved.ok
        ? { ok: true as const, result: { problem: problem.result, answer: solved.answer } }
        : { ok: false as const, field: solved.field, sentence: solved.sentence };
    },
    ...FOREVER,
  });
