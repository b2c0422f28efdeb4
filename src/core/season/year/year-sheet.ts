import { type DayNumber, dayNumberFromIso, dayNumberOf, total } from '../../ground/index.ts';
import type { Observation } from '../../../records/journal.ts';
import {
  type BedBooks,
  type BedProjection,
  type CropOutcome,
  atEndOf,
  type RatedFigure,
  projectBed,
  ratedFigures,
  sampleOn,
  testedNitrogenGPerM2,
  testsUntil,
} from '../../bed/index.ts';
import type { SoilTestEntry } from '../../../records/entry.ts';
import { expectationOf, type Expectation } from '../journal/expectation.ts';
import {
  type AshParty,
  type BedScenario,
  CONTACT_ZONE_CM,
  type CarbonParty,
  type NitrogenParty,
  type Statement,
  ashStatement,
  carbonStatement,
  nitrogenFetchedBack,
  nitrogenStatement,
  nitrogenWashedOut,
  openingOf,
  startRun,
  withOverrides,
} from '../../model/index.ts';

/** Something laid in the year, as it came, g/m2. */
export interface PutIn {
  readonly entryId: string;
  readonly day: DayNumber;
  readonly carbonG: number;
  readonly nitrogenG: number;
}

/** A soil test beside what the books held that morning. */
export interface TestedSoil {
  readonly entryId: string;
  readonly day: DayNumber;
  /** Null where it was not measured. */
  readonly mineralNitrogenG: number | null;
  readonly expectedMineralNitrogenG: number;
  readonly organicMatterPct: number | null;
  readonly expectedOrganicMatterPct: number;
  readonly ph: number | null;
  /** Phosphorus, potassium and magnesium, where the extraction has classes. */
  readonly nutrients: readonly RatedFigure[];
}

export interface ObservedThing {
  readonly observation: Observation;
  readonly expectation: Expectation | null;
}

/** One bed in one year: what went in, what the books say, what was expected and what was found. Per m2. */
export interface YearSheet {
  readonly year: number;
  readonly fromDay: DayNumber;
  /** Exclusive: the first morning of the next year, or tomorrow while the year runs. */
  readonly untilDay: DayNumber;
  readonly isOver: boolean;
  readonly putIn: readonly PutIn[];
  readonly fedNitrogenG: number;
  readonly carbon: Statement<CarbonParty>;
  readonly nitrogen: Statement<NitrogenParty>;
  readonly ash: Statement<AshParty>;
  readonly openingOrganicMatterPct: number;
  readonly closingOrganicMatterPct: number;
  readonly closingMulchCm: number;
  readonly crops: readonly CropOutcome[];
  readonly tests: readonly TestedSoil[];
  readonly seen: readonly ObservedThing[];
  readonly hours: number;
  readonly wateredMm: number;
  readonly yieldKg: number;
  /** What each crop gave; null for a harvest that names none. */
  readonly yields: readonly CropYield[];
  /** Washed out of the ground and not fetched back by roots, as the limits reckon it. */
  readonly washedOutG: number;
}

export interface CropYield {
  readonly cropId: string | null;
  readonly massKg: number;
}

export interface YearSheetSetting {
  readonly books: BedBooks;
  /** Of those books, reaching beyond today. */
  readonly scenario: BedScenario;
  readonly observations: readonly Observation[];
  readonly today: DayNumber;
}

const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** The sheet of a year. A year before the run of the bed begins is an empty one of its first day. */
export const yearSheet = (setting: YearSheetSetting, year: number): YearSheet =>
  yearSheets(setting, [year])[0];

interface YearSpan {
  readonly year: number;
  readonly fromDay: DayNumber;
  /** Exclusive. */
  readonly untilDay: DayNumber;
  readonly isOver: boolean;
  readonly own: readonly Observation[];
  readonly tests: readonly SoilTestEntry[];
}

/** The sheets of several years, out of one run of the bed. */
export function yearSheets(setting: YearSheetSetting, years: readonly number[]): YearSheet[] {
  const { scenario } = setting;
  const spans = years.map((year) => spanOf(setting, year));
  const projection = projectBed(
    scenario,
    scenario.endDay - scenario.startDay,
    spans.flatMap(({ fromDay, untilDay, own, tests }) => [
      fromDay,
      untilDay,
      ...own.map(({ date }) => dayOf(date) + 1),
      ...tests.map(({ date }) => dayOf(date)),
    ]),
  );
  return spans.map((span) => sheetOf(setting, span, projection));
}

function spanOf({ books, scenario, observations, today }: YearSheetSetting, year: number): YearSpan {
  const nextYear = dayNumberOf({ year: year + 1, month: 1, day: 1 });
  const fromDay = clampDay(dayNumberOf({ year, month: 1, day: 1 }), scenario);
  const untilDay = Math.max(fromDay, Math.min(nextYear, today + 1, scenario.endDay));
  const isIn = (day: DayNumber) => day >= fromDay && day < untilDay;
  return {
    year,
    fromDay,
    untilDay,
    isOver: nextYear <= today,
    own: observations.filter(({ date }) => isIn(dayOf(date))),
    tests: testsIn(books, isIn),
  };
}

function sheetOf(setting: YearSheetSetting, span: YearSpan, projection: BedProjection): YearSheet {
  const { scenario } = setting;
  const { year, fromDay, untilDay, isOver, own, tests } = span;
  const isIn = (day: DayNumber) => day >= fromDay && day < untilDay;
  const [opening, closing] = [sampleOn(projection, fromDay), sampleOn(projection, untilDay)];
  return {
    year,
    fromDay,
    untilDay,
    isOver,
    putIn: putInBetween(scenario, isIn),
    fedNitrogenG: total(
      scenario.events.flatMap((event) =>
        event.type === 'feed' && isIn(event.day) ? [event.nitrogenGPerM2] : [],
      ),
    ),
    carbon: carbonStatement(opening, closing),
    nitrogen: nitrogenStatement(opening, closing),
    ash: ashStatement(opening, closing),
    openingOrganicMatterPct: opening.organicMatterPct,
    closingOrganicMatterPct: closing.organicMatterPct,
    closingMulchCm: closing.mulchCm,
    crops: projection.crops.filter(({ plantDay, harvestDay }) => plantDay < untilDay && harvestDay > fromDay),
    tests: tests.map((test) => testedSoil(test, setting.books, projection)),
    seen: observedThings(setting, projection, own),
    hours: total(own.map(({ observed }) => (observed.type === 'hours' ? observed.hours : 0))),
    yieldKg: total(own.map(({ observed }) => (observed.type === 'yield' ? observed.massKg : 0))),
    yields: yieldsOf(own, setting.books),
    washedOutG: washedOutUntil(closing.flows) - washedOutUntil(opening.flows),
    wateredMm: total(
      scenario.events.map((event) => (event.type === 'irrigate' && isIn(event.day) ? event.waterMm : 0)),
    ),
  };
}

const washedOutUntil = (flows: Float64Array): number => nitrogenWashedOut(flows) - nitrogenFetchedBack(flows);

/** What was harvested, crop by crop, the heaviest first. */
function yieldsOf(own: readonly Observation[], { plantings }: BedBooks): CropYield[] {
  const byCrop = new Map<string | null, number>();
  for (const { observed, plantingId } of own) {
    if (observed.type !== 'yield') continue;
    const cropId = plantings.find(({ id }) => id === plantingId)?.cropId ?? null;
    byCrop.set(cropId, (byCrop.get(cropId) ?? 0) + observed.massKg);
  }
  return [...byCrop].map(([cropId, massKg]) => ({ cropId, massKg })).sort((a, b) => b.massKg - a.massKg);
}

const clampDay = (day: DayNumber, { startDay, endDay }: BedScenario): DayNumber =>
  Math.min(Math.max(day, startDay), endDay);

const testsIn = (books: BedBooks, isIn: (day: DayNumber) => boolean): SoilTestEntry[] =>
  testsUntil(books, Infinity).flatMap(({ test, day }) => (isIn(day) ? [test] : []));

function putInBetween(scenario: BedScenario, isIn: (day: DayNumber) => boolean): PutIn[] {
  const { piles } = startRun(scenario);
  const parameters = withOverrides(scenario.parameters);
  return scenario.events.flatMap((event) => {
    if (event.type !== 'apply' || !isIn(event.day)) return [];
    const { carbonG, nitrogenG, ammoniumG, charHeldG } = openingOf(event, piles, parameters);
    return [
      {
        entryId: event.id ?? '',
        day: event.day,
        carbonG: total(carbonG),
        nitrogenG: total([...nitrogenG, ammoniumG, charHeldG]),
      },
    ];
  });
}

function testedSoil(test: SoilTestEntry, { bed }: BedBooks, projection: BedProjection): TestedSoil {
  const day = dayOf(test.date);
  const { sampledDepthCm } = test;
  const { rootZoneCm } = bed;
  const sample = sampleOn(projection, day);
  const rootShare = Math.min(
    1,
    Math.max(0, sampledDepthCm - CONTACT_ZONE_CM) / (rootZoneCm - CONTACT_ZONE_CM),
  );
  return {
    entryId: test.id,
    day,
    mineralNitrogenG: testedNitrogenGPerM2(test, bed),
    expectedMineralNitrogenG: sample.availableContactG + sample.availableRootG * rootShare,
    organicMatterPct: test.organicMatterPct,
    expectedOrganicMatterPct: sample.organicMatterPct,
    ph: test.ph,
    nutrients: ratedFigures({ test, day }),
  };
}

/** Observations with what the model expected that day. `projection` has a sample at the end of every such day. */
export function observedThings(
  { books, observations: all }: YearSheetSetting,
  projection: BedProjection,
  observations: readonly Observation[],
): ObservedThing[] {
  return observations.map((observation) => {
    const day = dayOf(observation.date);
    return {
      observation,
      expectation: expectationOf(observation.observed, {
        day,
        sample: atEndOf(projection, day),
        climate: books.site.climate,
        cropIds: observation.plantingId === null ? null : cropIdsOf(observation.plantingId, projection),
        layerAges: new Map(
          books.entries.filter(({ type }) => type === 'lay').map(({ id, date }) => [id, day - dayOf(date)]),
        ),
        earlierYieldsKg: earlierYields(observation, books, all),
      }),
    };
  });
}

const cropIdsOf = (plantingId: string, { crops }: BedProjection): string[] =>
  crops.map(({ id }) => id).filter((id) => id === plantingId || id.startsWith(`${plantingId}:`));

/** What the same crop gave on this bed in other plantings before, all pickings of one together. */
function earlierYields(
  { plantingId, date }: Observation,
  { plantings }: BedBooks,
  observations: readonly Observation[],
): number[] {
  const own = plantings.find(({ id }) => id === plantingId);
  if (!own) return [];
  const earlier = plantings.filter(
    ({ id, cropId, plantedOn }) => id !== own.id && cropId === own.cropId && plantedOn < date,
  );
  return earlier
    .map(({ id }) =>
      total(
        observations.flatMap(({ plantingId: of, observed }) =>
          of === id && observed.type === 'yield' ? [observed.massKg] : [],
        ),
      ),
    )
    .filter((massKg) => massKg > 0);
}
