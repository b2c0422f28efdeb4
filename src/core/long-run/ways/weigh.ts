import { type DayNumber, LITRES_PER_CUBIC_METRE, total } from '../../ground/index.ts';
import { type BedScenario, type ModelParameters, withOverrides } from '../../model/index.ts';
import {
  type BedProjection,
  type Conflict,
  type GardenRecords,
  type HarvestWait,
  type PastKeeper,
  type PlannedBed,
  type BedLimit,
  bedScenario,
  booksOfBed,
  planOfBed,
  takenByBed,
  waterSavedMm,
} from '../../bed/index.ts';
import type { GardenPrices } from '../../../records/garden.ts';
import type { School } from '../../../records/vocabulary.ts';
import { booksAsPlanned } from '../years/habit-books.ts';
import { endOfYears } from '../years/outlook-days.ts';
import { type RunYear, runYears } from '../years/run-years.ts';
import type { ProposedWay, Proposal } from './propose.ts';
import { type Scene, withWay } from './scene.ts';
import type { Way, WayRecords } from './way.ts';

/** So far ahead the soil is followed, years. */
export const WAY_YEARS = 20;
/** Years after which the organic matter is told. */
export const TOLD_AFTER_YEARS = [1, 5, 20] as const;
/** Nitrogen is counted as lost over so many years: by then what is fresh has done its worst. */
const LOSS_YEARS = 3;
const YEAR_DAYS = 365;
/** Weeds stay down under a layer so thick, cm (common practice, no source). */
const COVERS_FROM_CM = 5;
const GRAMS_PER_KG = 1000;

/** What a way comes to for a garden. Whole beds; what is beyond leaving the stuff where it is says so. */
export interface WayOutcome {
  readonly way: Way;
  /** Quick nitrogen that the plans of the beds compared ask for in the next fifteen months, and what is more or less where else the way leads, g. */
  readonly nitrogenToAddG: number;
  /** Days that their crops stand pale, added up over all crops, and what is more or less where else the way leads. */
  readonly paleDays: number;
  /** What those crops miss for good if nothing is fed, as a share of what they want; 0 where nothing grows. */
  readonly missedShare: number;
  /** When young plants can go in, and seeds; null where the model finds no day in fifteen months, or nothing is sown there. */
  readonly plantFrom: DayNumber | null;
  readonly sowFrom: DayNumber | null;
  /** So many days later than without it young plants can go in; a day that is not found counts as a year and a quarter. */
  readonly waitDays: number;
  /** As a laboratory would find it in the bed after 1, 5 and 20 years, %. */
  readonly organicMatterPct: readonly number[];
  /** Carbon in humus of the beds after 20 years beyond leaving it, kg. */
  readonly humusKg: number;
  /** Char that outlasts a century, kg C beyond leaving it. */
  readonly lastingCharKg: number;
  /** Water that does not evaporate in the first year, L beyond leaving it. */
  readonly waterSavedL: number;
  /** Days of the first year on which the bed is covered well enough to keep weeds down. */
  readonly coveredDays: number;
  /** On the way to the bed, and from the beds in three years beyond leaving it, g. */
  readonly nitrogenLostG: number;
  /** Guide values of manure, phosphorus and leaching that it passes, or passes further. */
  readonly limits: readonly BedLimit[];
  /** What speaks against what it lays. */
  readonly conflicts: readonly Conflict[];
  readonly waits: readonly HarvestWait[];
  /** What nitrogen, hours and what is bought in cost in the gardener’s money; null without prices. */
  readonly money: number | null;
  readonly largestRelativeError: number;
}

/** What a bed comes to, with a way or without. */
interface BedOutcome {
  readonly planned: PlannedBed;
  readonly years: readonly RunYear[];
  readonly largestRelativeError: number;
  readonly areaM2: number;
}

export interface WeighSetting {
  readonly todayIso: string;
  readonly keeper: PastKeeper;
  readonly prices: GardenPrices | null;
}

/** What is written of a bed, with what the stock gives it: most of that is worked out already. */
const booksIn =
  ({ memory }: Scene) =>
  (records: GardenRecords, bedId: string) =>
    booksOfBed(records, bedId, (all, id) => takenByBed(all, id, memory));

/** A bed over the years as its books stand, with what grew last year grown again. */
export function yearsScenarioOf(scene: Scene, records: GardenRecords, bedId: string): BedScenario {
  const { findMaterial, today } = scene;
  const books = booksAsPlanned(booksIn(scene)(records, bedId)!, { findMaterial, today, years: WAY_YEARS });
  return bedScenario({ books, findMaterial, today, endDay: endOfYears(today, WAY_YEARS) });
}

interface BedAt {
  readonly scene: Scene;
  /** Null for the bed as it is without any of the ways. */
  readonly way: Way | null;
  readonly bedId: string;
}

const recordsAt = ({ scene, way }: BedAt): GardenRecords =>
  way ? withWay(scene.records, wayRecords(scene, way)) : scene.records;

/** Works out beds by the school asked for. The years, which no school changes, are followed once for each bed and way. */
function bedOutcomes({ todayIso, keeper }: WeighSetting): (at: BedAt, school: School) => BedOutcome {
  const known = new Map<string, ReturnType<typeof runYears>>();
  const yearsOf = ({ scene, way, bedId }: BedAt, records: GardenRecords) => {
    const key = JSON.stringify([way?.key, bedId]);
    const followed =
      known.get(key) ?? runYears(yearsScenarioOf(scene, records, bedId), scene.today, WAY_YEARS);
    known.set(key, followed);
    return followed;
  };
  return (at, school) => {
    const { scene, bedId } = at;
    const records = recordsAt(at);
    const planned = planOfBed({ records, bedId, todayIso, keeper, booksOf: booksIn(scene), school })!;
    const { points, largestRelativeError } = yearsOf(at, records);
    const worst = Math.max(largestRelativeError, planned.projection.largestRelativeError);
    return { planned, years: points, largestRelativeError: worst, areaM2: planned.books.bed.areaM2 };
  };
}

const dosesG = ({ planned, areaM2 }: BedOutcome): number =>
  areaM2 * total((planned.standing.feeding?.doses ?? []).map(({ nitrogenGPerM2 }) => nitrogenGPerM2));

/** What a square meter loses while it counts, g N. */
export const lostIn = (years: readonly RunYear[]): number =>
  total(years.slice(1, LOSS_YEARS + 1).map(({ nitrogenLostG }) => nitrogenLostG));

/** What is lost before anything lies on a bed, g N. */
export const lostOnTheWay = ({ nitrogenInG, nitrogenLaidG }: Way): number =>
  Math.max(0, nitrogenInG - nitrogenLaidG);

/** As far as plans reach, days. */
const LONGEST_WAIT_DAYS = 450;

const plantingDay = ({ planned }: BedOutcome, start: string): DayNumber | null =>
  planned.plan.planting.find((one) => one.start === start)?.day ?? null;

const waitOf = (bed: BedOutcome, today: DayNumber): number => {
  const day = plantingDay(bed, 'transplants');
  return day === null ? LONGEST_WAIT_DAYS : Math.min(LONGEST_WAIT_DAYS, Math.max(0, day - today));
};

const wantedOf = ({ planned, areaM2 }: BedOutcome): number =>
  areaM2 * total(planned.standing.prospects.map(({ demandG }) => demandG));
const missedOf = ({ planned, areaM2 }: BedOutcome): number =>
  areaM2 * total(planned.standing.prospects.map(({ shortG }) => shortG));

const paleDaysOf = ({ planned }: BedOutcome): number =>
  total(planned.standing.prospects.map(({ paleDays }) => paleDays));

/** Stretches of the first year between two looks, with the layer that lies then. */
function coveredTimes({ samples }: BedProjection, today: DayNumber) {
  return samples.slice(0, -1).flatMap(({ day, mulchCm }, i) => {
    const fromDay = Math.max(day, today);
    const untilDay = Math.min(samples[i + 1].day, today + YEAR_DAYS);
    return untilDay > fromDay ? [{ fromDay, untilDay, mulchCm }] : [];
  });
}

const waterL = ({ planned, areaM2 }: BedOutcome, p: ModelParameters): number =>
  areaM2 *
  total(
    coveredTimes(planned.projection, planned.today).map((time) =>
      waterSavedMm(planned.books.site.climate, p, time),
    ),
  );

/**
 * Weighs the ways of a proposal, by the school of the garden or another. What leaving the stuff where it is comes to is worked
 * out once for each bed: it is the same in all scenes of a proposal.
 */
export function wayWeigher(
  { proposed, bedIds }: Proposal,
  setting: WeighSetting,
): (one: ProposedWay, school?: School) => WayOutcome {
  const workOut = bedOutcomes(setting);
  const known = new Map<string, BedOutcome>();
  const leftAlone = (bedId: string, school: School): BedOutcome => {
    const key = `${school} ${bedId}`;
    const found = known.get(key) ?? workOut({ scene: proposed[0].scene, way: null, bedId }, school);
    known.set(key, found);
    return found;
  };
  return (one, school = one.scene.records.garden.school) =>
    weighWay(one, {
      left: (bedId) => leftAlone(bedId, school),
      changed: (bedId) => workOut({ ...one, bedId }, school),
      bedIds,
      prices: setting.prices,
    });
}

interface Weighing {
  /** A bed without the way. */
  readonly left: (bedId: string) => BedOutcome;
  /** A bed with it. */
  readonly changed: (bedId: string) => BedOutcome;
  /** Beds that are compared: what is told of crops is told of all of them together. */
  readonly bedIds: readonly string[];
  readonly prices: GardenPrices | null;
}

/** What a way comes to, on the bed it is for and on the one it leads to, beside the others that are compared. */
function weighWay({ scene, way }: ProposedWay, { left, changed, bedIds, prices }: Weighing): WayOutcome {
  const { bed, today } = scene;
  const beds = [...new Set([bed.id, ...way.bedIds])].map((bedId) => ({
    now: way.bedIds.includes(bedId) ? changed(bedId) : left(bedId),
    before: left(bedId),
  }));
  const own = beds[0].now;
  const beyond = (read: (one: BedOutcome) => number) =>
    total(beds.map(({ now, before }) => read(now) - read(before)));
  /** Of all beds that are compared as they are, and what the way changes, wherever it does. */
  const ofAll = (read: (one: BedOutcome) => number) =>
    Math.max(0, total(bedIds.map((bedId) => read(left(bedId)))) + beyond(read));
  const { projection } = own.planned;
  const dates = (start: string) => plantingDay(own, start);
  const wantedG = ofAll(wantedOf);
  const nitrogenToAddG = ofAll(dosesG);
  const last = (one: BedOutcome) => one.years.at(-1)!;
  const p = withOverrides();
  const ownIds = new Set(way.records.entries.map(({ id }) => id));
  return {
    way,
    nitrogenToAddG,
    paleDays: ofAll(paleDaysOf),
    missedShare: wantedG > 0 ? ofAll(missedOf) / wantedG : 0,
    plantFrom: dates('transplants'),
    sowFrom: dates('seedlings'),
    waitDays: waitOf(own, today) - waitOf(beds[0].before, today),
    organicMatterPct: TOLD_AFTER_YEARS.map((years) => own.years[years].organicMatterPct),
    humusKg: beyond((one) => (one.areaM2 * last(one).humusCarbonG) / GRAMS_PER_KG),
    lastingCharKg: beyond((one) => (one.areaM2 * last(one).lastingCharG[1]) / GRAMS_PER_KG),
    waterSavedL: beyond((one) => waterL(one, p)),
    coveredDays: total(
      coveredTimes(projection, today)
        .filter(({ mulchCm }) => mulchCm >= COVERS_FROM_CM)
        .map(({ fromDay, untilDay }) => untilDay - fromDay),
    ),
    nitrogenLostG: lostOnTheWay(way) + beyond(({ years, areaM2 }) => areaM2 * lostIn(years)),
    limits: beds.flatMap(({ now, before }) =>
      passedFurther(now.planned.plan.limits, before.planned.plan.limits),
    ),
    conflicts: beds.flatMap(({ now }) => now.planned.plan.conflicts).filter((one) => namesAny(one, ownIds)),
    waits: beds.flatMap(({ now }) => now.planned.plan.waits).filter((one) => namesAny(one, ownIds)),
    money: moneyOf(prices, { nitrogenG: nitrogenToAddG, hours: way.hours, boughtL: way.boughtL }),
    largestRelativeError: Math.max(...beds.map(({ now }) => now.largestRelativeError)),
  };
}

/** A limit that is passed by so much more is told again (set here). */
const FURTHER = 1.1;

const amountOf = (limit: BedLimit): number => ('gPerM2Year' in limit ? limit.gPerM2Year : limit.gPerM2);

const passedFurther = (now: readonly BedLimit[], before: readonly BedLimit[]): BedLimit[] =>
  now.filter((limit) => {
    const same = before.find(({ code }) => code === limit.code);
    return !same || amountOf(limit) > FURTHER * amountOf(same);
  });

/** Whether something said of a plan is about one of these entries. */
const namesAny = (said: object, ids: ReadonlySet<string>): boolean =>
  Object.values(said).some((value) => typeof value === 'string' && ids.has(value));

/** What a way adds to the records of its scene, where the load to come stands already. */
export const wayRecords = ({ arrival }: Scene, { records }: Way): WayRecords => ({
  ...records,
  lots: records.lots.filter((lot) => !arrival.lots.includes(lot)),
  movements: records.movements.filter((one) => !arrival.movements.includes(one)),
});

/** In the gardener’s money; null when none of the three has a price. */
function moneyOf(
  prices: GardenPrices | null,
  { nitrogenG, hours, boughtL }: { nitrogenG: number; hours: number; boughtL: number },
): number | null {
  if (!prices) return null;
  const { nitrogenPerKg, hour, boughtInPerM3 } = prices;
  if (nitrogenPerKg === null && hour === null && boughtInPerM3 === null) return null;
  return (
    ((nitrogenPerKg ?? 0) * nitrogenG) / GRAMS_PER_KG +
    (hour ?? 0) * hours +
    ((boughtInPerM3 ?? 0) * boughtL) / LITRES_PER_CUBIC_METRE
  );
}
