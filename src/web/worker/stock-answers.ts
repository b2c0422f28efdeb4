import {
  type BurnResult,
  type ChargePreview,
  type LotBrief,
  type LotContents,
  type LotCourse,
  type LotHistory,
  type LotLine,
  type TimelinePoint,
  ashTakenG,
  figuresOf,
  foldTime,
  isEmpty,
  isRawChar,
  kindOf,
  lotBrief,
  lotCourse,
  lotTimeline,
  materialOfContents,
  nearestMaterialId,
  previewCharge,
  scaleContents,
  volumeL,
} from '../../core/yard/index.ts';
import type { ChargeRecipeId } from '../../records/vocabulary.ts';
import type { Brew } from '../../records/journal.ts';
import {
  type DayNumber,
  type Material,
  dayNumberFromIso,
  findLibraryMaterial,
} from '../../core/ground/index.ts';
import {
  type LayingDay,
  type Task,
  type YardRecords,
  layingDay,
  yardAgenda,
} from '../../core/season/index.ts';
import { type GardenRecords, type StockRuns, materialFinder, stockRuns } from '../../core/bed/index.ts';
import { type BySeason, type MaterialPile, SHARE_SEASONS, seasonStart } from '../../core/long-run/index.ts';
import { stockMemory } from './bed-books.ts';

/** The stock of a garden, and the day it is looked at. */
export interface StockQuestion {
  readonly records: GardenRecords;
  /** ISO date. */
  readonly today: string;
}

/** What was worked out last: everything on the stock pages is a view of the same three runs. */
let last: { readonly key: string; readonly runs: StockRuns } | undefined;

function runsFor({ records, today }: StockQuestion): StockRuns {
  const key = JSON.stringify([records, today]);
  if (last?.key === key) return last.runs;
  const runs = stockRuns(records, today, stockMemory);
  last = { key, runs };
  return runs;
}

function briefOf(question: StockQuestion, lotId: string, reserveL: number): LotBrief {
  const readings = question.records.movements.flatMap((one) =>
    one.type === 'reading' && one.lotId === lotId && one.temperatureC !== null
      ? [{ day: dayNumberFromIso(one.date, ['date']), temperatureC: one.temperatureC }]
      : [],
  );
  return lotBrief(runsFor(question), lotId, {
    climate: question.records.garden.climate,
    today: dayNumberFromIso(question.today, ['today']),
    readings,
    reserveL,
  });
}

/** What every fire gave, by movement. */
export const burnAnswers = (question: StockQuestion): Record<string, BurnResult> =>
  Object.fromEntries(runsFor(question).planned.burnt);

/** Wood ash in what every entry gets from the stock, g. */
export const ashAnswers = (question: StockQuestion): Record<string, number> =>
  ashTakenG(runsFor(question).planned.taken);

/** A lot with what the mixing bench needs to know of it. */
export interface StockedLot extends LotBrief {
  /** Its figures as a material; null when it is empty. */
  readonly material: Material | null;
}

/** Every lot in one line. `reserves` in litres, by lot. */
export function stockBriefs(
  question: StockQuestion,
  reserves: Readonly<Record<string, number>>,
): StockedLot[] {
  const { today } = runsFor(question);
  return question.records.lots.map(({ id }) => {
    const { contents } = today.lots.get(id)!;
    return {
      ...briefOf(question, id, reserves[id] ?? 0),
      material: isEmpty(contents) ? null : materialOfContents(contents),
    };
  });
}

/** Every lot that holds something or is about to, as something to share out. */
export function stockPiles(
  question: StockQuestion,
  reserves: Readonly<Record<string, number>>,
): MaterialPile[] {
  const runs = runsFor(question);
  const today = dayNumberFromIso(question.today, ['today']);
  const starts = SHARE_SEASONS.map((season) => seasonStart(today, season));
  return question.records.lots.flatMap(({ id }): MaterialPile[] => {
    const { promises, finishedOn } = briefOf(question, id, reserves[id] ?? 0);
    const planned = runs.planned.lots.get(id)!;
    const isWorking = isStillWorking(runs.today.lots.get(id)!.contents, finishedOn, today);
    // A heap that is at work is left alone; it is given away when it has become compost.
    if (isWorking && (finishedOn === null || finishedOn > starts.at(-1)!)) return [];
    const now = runs.today.lots.get(id)!.contents;
    const later = planned.looks.find(
      ({ day, contents }) => contents && !isEmpty(contents) && day > (isWorking ? finishedOn! : today),
    );
    const contents = isWorking || isEmpty(now) ? later?.contents : now;
    if (!contents) return [];
    const kept = starts.map((day) => keptShare(runs.ahead.lots.get(id)!, today, day));
    const thereL = isWorking
      ? starts.map((day) => (day < finishedOn! ? 0 : volumeL(contents)))
      : starts.map((day) => promises.freeL + arrivedL(planned, day));
    const materialId = nearestMaterialId(contents);
    return [
      {
        id,
        kind: kindOf(contents),
        materialId,
        thereL: bySeason(thereL),
        // A heap at work is measured as what it will have become.
        keptShare: bySeason(isWorking ? starts.map(() => 1) : kept),
        isRawChar: kindOf(contents) === 'char' && isRawChar(figuresOf(contents)),
        isLogs: findLibraryMaterial(materialId)?.particleSize === 'log',
        material: materialOfContents(contents),
      },
    ];
  });
}

const bySeason = (values: readonly number[]): BySeason<number> =>
  Object.fromEntries(SHARE_SEASONS.map((season, i) => [season, values[i]!])) as unknown as BySeason<number>;

/** What plans bring into a lot by the evening of a day, L. */
const arrivedL = ({ lines }: LotHistory, until: DayNumber): number =>
  lines
    .filter(({ isPlanned, cause, day }) => isPlanned && cause.type !== 'time' && day <= until)
    .reduce((sum, line) => sum + Math.max(0, line.volumeL), 0);

/** What is left of a liter of today on a later day, nothing taken; 1 where there is nothing today. */
function keptShare({ looks }: LotHistory, today: DayNumber, day: DayNumber): number {
  const volumeOn = (on: DayNumber) => looks.findLast((look) => look.day <= on + 1)?.figures.volumeL ?? 0;
  const [now, then] = [volumeOn(today), volumeOn(day)];
  return now > 0 && then > 0 ? Math.min(1, then / now) : 1;
}

/** A mix of several things that is on its way to compost. */
function isStillWorking(contents: LotContents, finishedOn: DayNumber | null, today: DayNumber): boolean {
  const isMix = new Set(contents.cohorts.map(({ kind }) => kind)).size > 1;
  const isChar = contents.cohorts.some(({ kind }) => kind === 'char');
  return isMix && !isChar && kindOf(contents) !== 'compost' && (finishedOn === null || finishedOn > today);
}

export interface LotAnswer {
  /** As facts have it, followed on. */
  readonly course: LotCourse;
  /** With plans carried out. */
  readonly planned: LotCourse;
  /** On some days to come, with plans carried out. */
  readonly timeline: readonly TimelinePoint[];
  /** Postings up to this evening, then what is planned. */
  readonly account: readonly LotLine[];
}

export function lotAnswer(question: StockQuestion, lotId: string): LotAnswer | null {
  const runs = runsFor(question);
  const history = runs.ahead.lots.get(lotId);
  const planned = runs.planned.lots.get(lotId);
  const today = runs.today.lots.get(lotId);
  if (!history || !planned || !today) return null;
  return {
    course: lotCourse(history),
    planned: lotCourse(planned),
    timeline: lotTimeline({ today, planned }, dayNumberFromIso(question.today, ['today'])),
    account: [...foldTime(today.lines), ...planned.lines.filter(({ isPlanned }) => isPlanned)],
  };
}

export interface ChargeAsked {
  readonly question: StockQuestion;
  readonly lotId: string;
  readonly recipeId: ChargeRecipeId;
  readonly litres: number;
}

/** What charging would do for the char in a lot; null when there is none. */
export function chargeAnswer({ question, lotId, recipeId, litres }: ChargeAsked): ChargePreview | null {
  const contents = runsFor(question).today.lots.get(lotId)?.contents;
  if (!contents || isEmpty(contents)) return null;
  const part = scaleContents(contents, litres / volumeL(contents));
  const day = dayNumberFromIso(question.today, ['today']);
  return previewCharge({
    char: part,
    charL: litres,
    recipeId,
    startDay: day,
    climate: question.records.garden.climate,
  });
}

/** Everything planned to be laid up to a day, as a list to carry. */
export const layingAnswer = (question: StockQuestion, untilDay: DayNumber): LayingDay =>
  layingDay({
    records: question.records,
    findMaterial: materialFinder(question.records),
    taken: question.records.lots.length > 0 ? runsFor(question).planned.taken : new Map(),
    untilDay,
  });

/** The yard, its brews, and the day it is looked at. */
export interface YardQuestion {
  readonly records: YardRecords;
  readonly brews: readonly Brew[];
  /** ISO date. */
  readonly today: string;
}

/** What stock, heaps, fires, charges and brews ask for. */
export const yardAnswer = ({ records, brews, today }: YardQuestion): Task[] =>
  yardAgenda({ records, brews, todayIso: today, runs: runsFor({ records, today }) });
