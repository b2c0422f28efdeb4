import type { DayNumber } from '../climate/calendar.ts';
import { CARBON_LEFT_AFTER_100_YEARS } from '../char/permanence.ts';
import {
  carbonLaid,
  carbonToAir,
  nitrogenBought,
  nitrogenGiven,
  nitrogenLaid,
  nitrogenLost,
} from './flow-sums.ts';
import { outlookDays } from '../projection/outlook.ts';
import type { Bed } from '../simulation/bed.ts';
import { BALANCE_COUNT, readBalances } from '../simulation/books.ts';
import { freshCarbon } from '../simulation/cohort-table.ts';
import type { FedCarbon } from '../opinions/carbon-feed.ts';
import type { CohortOpening } from '../simulation/cohort-opening.ts';
import { openingOf } from '../simulation/events.ts';
import { foldCohorts } from '../simulation/fold-cohorts.ts';
import { mulchHeightCm, organicMatterPct } from '../simulation/report.ts';
import { runTo, startRun, type BedRun } from '../simulation/run.ts';
import type { BedScenario } from '../simulation/scenario.ts';

/** What a bed holds on the same day of a coming year, per m2; what happened is that of the year before that day. */
export interface YearPoint {
  readonly yearsAhead: number;
  readonly day: DayNumber;
  /** Of the soil beneath all layers, % of its weight, over the depth the bed's figure was sampled to. */
  readonly organicMatterPct: number;
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  /** Of all char laid up to then, the part that outlasts a century (IPCC 2019): least, likely, most. */
  readonly lastingCharG: readonly [low: number, likely: number, high: number];
  /** Still recognizable, and the decomposers on it. */
  readonly freshCarbonG: number;
  readonly microbialCarbonG: number;
  readonly mulchCm: number;
  /** Of all wood laid, the share that is still wood; null where none was. */
  readonly woodLeftShare: number | null;
  /** Nitrogen bound in humus, fresh matter, decomposers and char: what the soil can still give. */
  readonly nitrogenBankG: number;
  readonly carbonLaidG: number;
  readonly carbonToAirG: number;
  readonly nitrogenLaidG: number;
  /** Set free for roots from all that is bound, less what decomposers took back. */
  readonly nitrogenGivenG: number;
  readonly nitrogenBoughtG: number;
  readonly cropWantG: number;
  /** What crops missed for good: so much would have had to be bought. */
  readonly cropMissedG: number;
  readonly nitrogenLostG: number;
}

export interface YearsRun {
  /** From today on, one a year. */
  readonly points: readonly YearPoint[];
  /** What reached the bed, char left out: what a model of soil carbon is fed with. */
  readonly inputs: readonly FedCarbon[];
  readonly largestRelativeError: number;
}

/** One sub-step a day is enough for a look once a year: tests show what it costs. */
const STEPS_PER_DAY = 1;
/** How often old cohorts are laid together, days. */
const FOLDED_EVERY_DAYS = 122;
/** Cohorts are laid together once they are this old, days. */
const FOLDED_AFTER_DAYS = 365;

/** Follows a bed from today for so many years. `scenario` must reach past the last of them. */
export function runYears(scenario: BedScenario, today: DayNumber, years: number): YearsRun {
  return follow({ ...scenario, stepsPerDay: STEPS_PER_DAY }, today, years, FOLDED_AFTER_DAYS);
}

/** The same with every cohort kept apart and the sub-steps of the book: what `runYears` is held against. */
export function runYearsUnfolded(scenario: BedScenario, today: DayNumber, years: number): YearsRun {
  return follow(scenario, today, years, Infinity);
}

function follow(scenario: BedScenario, today: DayNumber, years: number, foldedAfterDays: number): YearsRun {
  const run = startRun(scenario);
  const watch = inputWatch(run, scenario);
  const fold = folderOf(run, scenario, watch, foldedAfterDays);
  const lasting = lastingChar(run);
  const points: YearPoint[] = [];
  let before: Float64Array | null = null;
  const goTo = (day: DayNumber) => {
    for (let until = run.day + FOLDED_EVERY_DAYS; until < day; until += FOLDED_EVERY_DAYS) {
      runTo(run, until, watch.onMorning);
      fold(until);
    }
    runTo(run, day, watch.onMorning);
  };
  outlookDays(today, years).forEach((day, yearsAhead) => {
    goTo(day);
    watch.onMorning(run);
    points.push({ yearsAhead, day, ...standing(run.bed, lasting(day)), ...happened(run, before) });
    before = totalsOf(run);
    fold(day);
  });
  return { points, inputs: watch.inputs, largestRelativeError: run.largestRelativeError };
}

interface InputWatch {
  readonly inputs: FedCarbon[];
  readonly openedOn: Map<string, DayNumber>;
  readonly onMorning: (run: BedRun) => void;
}

/** Notes cohorts as they are opened: on the morning after, before anything has been folded. */
function inputWatch({ piles, bed: { constants } }: BedRun, scenario: BedScenario): InputWatch {
  const inputs: FedCarbon[] = [];
  const openedOn = new Map<string, DayNumber>();
  const charOf = new Map(
    scenario.events.flatMap((event) =>
      event.type === 'apply' ? [[event.id, charCarbonG(openingOf(event, piles, constants.parameters))]] : [],
    ),
  );
  let newest: string | undefined;
  const onMorning = ({ bed, day }: BedRun) => {
    const { cohorts } = bed.state;
    const top = cohorts.ids[cohorts.count - 1];
    if (top === newest) return;
    newest = top;
    for (let i = cohorts.count - 1; i >= 0; i--) {
      const id = cohorts.ids[i];
      if (openedOn.has(id)) break;
      openedOn.set(id, day - 1);
      const carbonG = cohorts.openingC[i] - (charOf.get(id) ?? 0);
      inputs.push({ day: day - 1, kind: cohorts.kinds[i], carbonG });
    }
  };
  return { inputs, openedOn, onMorning };
}

/** Labile and stable char of an opening, g C. */
const charCarbonG = ({ carbonG }: CohortOpening): number => carbonG[5] + carbonG[6];

function folderOf(run: BedRun, scenario: BedScenario, watch: InputWatch, foldedAfterDays: number) {
  const lastNamed = new Map<string, DayNumber>();
  for (const event of scenario.events) {
    const ids = event.type === 'remove' ? [event.cohortId] : event.type === 'dig' ? event.cohortIds : [];
    if (ids !== 'all') for (const id of ids) lastNamed.set(id, Math.max(lastNamed.get(id) ?? 0, event.day));
  }
  return (day: DayNumber) => {
    if (!Number.isFinite(foldedAfterDays)) return;
    foldCohorts(run.bed, {
      openedBefore: day - foldedAfterDays,
      openedOn: (id) => watch.openedOn.get(id),
      isNamedLater: (id) => (lastNamed.get(id) ?? 0) >= day,
    });
  };
}

/** The part of all char laid before a day that outlasts a century, g C/m2. What is lifted off again still counts. */
function lastingChar({ scenario, piles, bed }: BedRun) {
  const laid = scenario.events.flatMap((event) => {
    if (event.type !== 'apply') return [];
    const opening = openingOf(event, piles, bed.constants.parameters);
    const charG = charCarbonG(opening);
    return charG > 0
      ? [{ day: event.day, charG, ...CARBON_LEFT_AFTER_100_YEARS[opening.charTemperature] }]
      : [];
  });
  return (before: DayNumber): [number, number, number] => {
    const sum: [number, number, number] = [0, 0, 0];
    for (const { day, charG, share, plusMinus } of laid) {
      if (day >= before) continue;
      sum[0] += charG * (share - plusMinus);
      sum[1] += charG * share;
      sum[2] += charG * Math.min(1, share + plusMinus);
    }
    return sum;
  };
}

type Standing = Pick<
  YearPoint,
  | 'organicMatterPct'
  | 'humusCarbonG'
  | 'charCarbonG'
  | 'lastingCharG'
  | 'freshCarbonG'
  | 'microbialCarbonG'
  | 'mulchCm'
  | 'woodLeftShare'
  | 'nitrogenBankG'
>;

function standing(bed: Bed, lastingCharG: [number, number, number]): Standing {
  const balances = new Float64Array(BALANCE_COUNT);
  readBalances(bed, balances);
  const [freshC, microbialC, humusC, charC, freshN, microbialN, humusN, charN] = balances;
  return {
    organicMatterPct: organicMatterPct(bed),
    humusCarbonG: humusC,
    charCarbonG: charC,
    lastingCharG,
    freshCarbonG: freshC,
    microbialCarbonG: microbialC,
    mulchCm: mulchHeightCm(bed),
    woodLeftShare: woodLeft(bed),
    nitrogenBankG: freshN + microbialN + humusN + charN,
  };
}

function woodLeft({ state: { cohorts: t } }: Bed): number | null {
  let laid = 0;
  let left = 0;
  for (let i = 0; i < t.count; i++) {
    if (t.kinds[i] !== 'wood') continue;
    laid += t.openingC[i];
    left += freshCarbon(t, i);
  }
  return laid > 0 ? left / laid : null;
}

/** Running totals of what a year is told by. */
function totalsOf({ bed }: BedRun): Float64Array {
  const { flows, crops } = bed.state;
  const add = (values: Float64Array) => values.subarray(0, crops.count).reduce((sum, one) => sum + one, 0);
  return Float64Array.of(
    carbonLaid(flows),
    carbonToAir(flows),
    nitrogenLaid(flows),
    nitrogenGiven(flows),
    nitrogenBought(flows),
    add(crops.demandedN),
    add(crops.shortN),
    nitrogenLost(flows),
  );
}

/** What happened since the year before; nothing on the first day. */
function happened(run: BedRun, before: Float64Array | null) {
  const now = totalsOf(run);
  const since = (i: number) => (before ? now[i] - before[i] : 0);
  return {
    carbonLaidG: since(0),
    carbonToAirG: since(1),
    nitrogenLaidG: since(2),
    nitrogenGivenG: since(3),
    nitrogenBoughtG: since(4),
    cropWantG: since(5),
    cropMissedG: since(6),
    nitrogenLostG: since(7),
  };
}
