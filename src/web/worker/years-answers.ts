import {
  type DayNumber,
  type FindMaterial,
  amountFromMassFreshKg,
  dayNumberFromIso,
  massFreshKgFromAmount,
} from '../../core/ground/index.ts';
import { type BedScenario, type SecondOpinions, secondOpinions } from '../../core/model/index.ts';
import {
  type BedBooks,
  type GardenRecords,
  bedScenario,
  carriedForward,
  drawScenario,
  materialFinder,
} from '../../core/bed/index.ts';
import type { Habit, LayAct } from '../../records/habit.ts';
import {
  type AmountAnswer,
  type Target,
  type YearPoint,
  amountFor,
  asOneBed,
  booksAsPlanned,
  booksWithHabit,
  checkHabit,
  checkTarget,
  endOfYears,
  habitSoFar,
  keepsToItsPlan,
  runYears,
  sampledSoilKgPerM2,
  withMinerals,
} from '../../core/long-run/index.ts';
import { rememberedBooks } from './bed-books.ts';

/** A habit, what was really done on each bed, or the books as they stand. */
export type FollowedHabit = Habit | 'soFar' | 'planned';

/** What is followed: which beds, for how long, under which habits. */
export interface YearsPlan {
  /** Names the plan, so that what is asked about an earlier one is not answered by a later. */
  readonly key: string;
  readonly records: GardenRecords;
  /** ISO date. */
  readonly today: string;
  readonly years: number;
  readonly bedIds: readonly string[];
  readonly habits: readonly FollowedHabit[];
  /** What the page calls them. */
  readonly lineIds: readonly string[];
  /** Of a whole garden the paths keep to their plan: what is meant for beds is not laid on them. */
  readonly sparesPaths: boolean;
}

/** One bed under one habit; draw null for the book's own figures. */
export interface YearsAsked {
  readonly plan: string;
  readonly bed: number;
  readonly habit: number;
  readonly draw: number | null;
}

export interface YearsLine {
  readonly points: readonly YearPoint[];
  /** Only beside the book's own figures. */
  readonly opinions: SecondOpinions | null;
}

const DRAW_SEED = 1;

/** The plan this thread works on, and the scenarios it has set up for it. */
interface OpenPlan {
  readonly plan: YearsPlan;
  readonly today: DayNumber;
  readonly findMaterial: FindMaterial;
  readonly courses: Map<string, Course>;
}
/** The one on the page, and the one that an amount is sought for. */
const MOST_OPEN = 2;
const open = new Map<string, OpenPlan>();

/** Makes this thread ready for a plan, instead of the oldest. Throws InputError for a habit that cannot be. */
export function openYears(plan: YearsPlan): void {
  const findMaterial = materialFinder(plan.records);
  for (const habit of plan.habits)
    if (typeof habit !== 'string') checkHabit(habit, { findMaterial, crops: plan.records.crops });
  open.delete(plan.key);
  open.set(plan.key, {
    plan,
    today: dayNumberFromIso(plan.today, ['today']),
    findMaterial,
    courses: new Map(),
  });
  for (const key of [...open.keys()].slice(0, -MOST_OPEN)) open.delete(key);
}

const booksFor = ({ plan }: OpenPlan, bed: number): BedBooks =>
  rememberedBooks(carriedForward(plan.records, plan.today), plan.bedIds[bed]!)!;

const NOTHING_MORE: Habit = { acts: [], keepsCrops: true };

/** What a habit means on one bed; null for its plan. */
function habitOn({ plan, today }: OpenPlan, books: BedBooks, followed: FollowedHabit): Habit | null {
  if (followed === 'planned' || (plan.sparesPaths && keepsToItsPlan(books.bed))) return null;
  return followed === 'soFar' ? (habitSoFar(books, today) ?? NOTHING_MORE) : followed;
}

/** The books of a bed under one habit, and the scenario they make. */
interface Course {
  readonly books: BedBooks;
  readonly scenario: BedScenario;
}

function courseFor({
  opened,
  books,
  habit,
  years,
}: {
  readonly opened: OpenPlan;
  readonly books: BedBooks;
  readonly habit: Habit | null;
  readonly years: number;
}): Course {
  const { today, findMaterial } = opened;
  const setting = { findMaterial, today, years };
  const followed = habit ? booksWithHabit(books, habit, setting) : booksAsPlanned(books, setting);
  const scenario = bedScenario({ books: followed, findMaterial, today, endDay: endOfYears(today, years) });
  return { books: followed, scenario };
}

function rememberedCourse(opened: OpenPlan, { bed, habit }: YearsAsked): Course {
  const key = `${bed} ${habit}`;
  const known = opened.courses.get(key);
  if (known) return known;
  const { habits, years } = opened.plan;
  const books = booksFor(opened, bed);
  const made = courseFor({
    opened,
    books,
    habit: habitOn(opened, books, habits[habit] ?? 'planned'),
    years,
  });
  opened.courses.set(key, made);
  return made;
}

/** One line of a plan; null when it is not open any more. */
export function yearsLine(asked: YearsAsked): YearsLine | null {
  const opened = open.get(asked.plan);
  if (!opened) return null;
  const { scenario, books } = rememberedCourse(opened, asked);
  const { today, findMaterial } = opened;
  const { years } = opened.plan;
  if (asked.draw !== null) {
    const drawn = drawScenario(scenario, DRAW_SEED, asked.draw).scenario;
    return {
      points: withMinerals(runYears(drawn, today, years).points, books, findMaterial),
      opinions: null,
    };
  }
  const { points, inputs } = runYears(scenario, today, years);
  return {
    points: withMinerals(points, books, findMaterial),
    opinions: secondOpinions(
      scenario,
      inputs,
      points.map(({ day }) => day),
    ),
  };
}

export interface AmountAsked extends Omit<YearsAsked, 'bed'> {
  /** Null for all beds of the plan as one. */
  readonly bed: number | null;
  /** Which act of the habit is varied; it lays something. */
  readonly act: number;
  readonly target: Target;
  readonly byYear: number;
}

/** More than this at a time is no gardening, cm as laid; in weight and volume as much. */
const MOST_AT_A_TIME_CM = 25;
const TOLERANCE_SHARE = 0.002;

/** The years of one bed under a habit, as they are asked for. */
function pointsUnder(
  opened: OpenPlan,
  books: BedBooks,
  { habit, byYear, draw }: Pick<AmountAsked, 'byYear' | 'draw'> & { readonly habit: Habit | null },
): readonly YearPoint[] {
  const course = courseFor({ opened, books, habit, years: byYear });
  const drawn = draw === null ? course.scenario : drawScenario(course.scenario, DRAW_SEED, draw).scenario;
  return withMinerals(runYears(drawn, opened.today, byYear).points, course.books, opened.findMaterial);
}

/** The same habit with another amount of one act; without the act where the amount is 0. */
const withAmount = (habit: Habit, act: number, amount: number): Habit => ({
  ...habit,
  acts: habit.acts.flatMap((one, i) => {
    if (i !== act || one.type !== 'lay') return [one];
    return amount > 0 ? [{ ...one, amount }] : [];
  }),
});

/** The amount of an act with which a target is met in time; null when the plan is not open or the act lays nothing. */
export function yearsAmount(asked: AmountAsked): AmountAnswer | null {
  checkTarget(asked.target);
  const opened = open.get(asked.plan);
  const habit = opened?.plan.habits[asked.habit] ?? 'planned';
  if (!opened || typeof habit === 'string') return null;
  const act = habit.acts[asked.act];
  if (act?.type !== 'lay') return null;
  const most = mostOf(act, opened.findMaterial);
  const beds = (asked.bed === null ? opened.plan.bedIds.map((_, i) => i) : [asked.bed]).map((bed) => {
    const books = booksFor(opened, bed);
    return { books, followsPlan: habitOn(opened, books, habit) === null };
  });
  // What keeps to its plan comes out the same whatever the amount.
  const planned = beds.map(({ books, followsPlan }) =>
    followsPlan ? pointsUnder(opened, books, { ...asked, habit: null }) : null,
  );
  const pointsWith = (amount: number): readonly YearPoint[] =>
    asOneBed(
      beds.map(({ books }, i) => ({
        areaM2: books.bed.areaM2,
        soilMassKgPerM2: sampledSoilKgPerM2(books.bed),
        points:
          planned[i] ?? pointsUnder(opened, books, { ...asked, habit: withAmount(habit, asked.act, amount) }),
      })),
    );
  const { target, byYear } = asked;
  const [first] = beds;
  if (!first) return null;
  const { site, entries } = first.books;
  // The draws only say how far the amount may be off. Of the whole garden, soil tests of single beds are left out.
  const limits =
    asked.draw === null ? { climate: site.climate, entries: asked.bed === null ? [] : entries } : null;
  return amountFor({ target, byYear, most, tolerance: most * TOLERANCE_SHARE, limits }, pointsWith);
}

/** The most of an act at a time, in its own unit. */
function mostOf({ materialId, unit }: LayAct, findMaterial: FindMaterial): number {
  const { bulkDensityKgPerM3 } = findMaterial(materialId)!;
  const measured = { bulkDensityKgPerM3, areaM2: 1 };
  const mostKg = massFreshKgFromAmount({ amount: MOST_AT_A_TIME_CM, unit: 'cm', measured });
  return amountFromMassFreshKg(mostKg, unit, measured);
}
