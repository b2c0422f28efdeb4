import {
  type DayNumber,
  type FindMaterial,
  MULCH_KINDS,
  dayNumberFromIso,
  findLibraryCrop,
  isoDateOf,
  nextSeasonDay,
} from '../../ground/index.ts';
import type { YearChoice } from '../../../records/vocabulary.ts';
import { type BedBooks, atEndOf, bedScenario, leastDoses, projectBed } from '../../bed/index.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { type BedScenario, type CropPlan, endingOn } from '../../model/index.ts';

/** What a choice at the year's end leads to, per m2. */
export interface ChoiceOutcome {
  readonly choice: YearChoice;
  readonly mulchNextSpringCm: number;
  readonly peakHeldG: number;
  /** Nitrogen a hungry crop of the next summer would have to be given. */
  readonly feedNextYearG: number;
  readonly organicMatterInThreeYearsPct: number;
  /** Carbon carried off the bed by pulling its mulch, g. */
  readonly pulledCarbonG: number;
  /** What would be written into the plan. */
  readonly plan: readonly PlannedForChoice[];
}

export type PlannedForChoice =
  | { readonly type: 'lay'; readonly date: string; readonly like: LayEntry }
  | { readonly type: 'takeOff'; readonly date: string; readonly layerId: string }
  | {
      readonly type: 'plant';
      readonly cropId: string;
      readonly plantedOn: string;
      readonly clearedOn: string;
    };

const YEAR_DAYS = 365;
const FOLLOWED_DAYS = 3 * YEAR_DAYS + 30;
/** A summer crop as hungry as cabbage, to ask all three the same question, g N/m2 (set here). */
export const HUNGRY_CROP_DEMAND_G = 12;
const TEST_CROP = { demandG: HUNGRY_CROP_DEMAND_G, rootDepthCm: 40, days: 120 } as const;
const PLANTING_MONTH = 5;
const SPRING_MONTH = 3;
const RESTING_COVER_ID = 'clover';

export interface ChoiceSetting {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
}

/**
 * Stack, pull or rest, each followed for three years on this bed: another layer on top as last time; the mulch pulled
 * to be composted elsewhere; or nothing laid and a clover sown over everything.
 */
export function yearChoices(setting: ChoiceSetting): ChoiceOutcome[] {
  return (['stack', 'pull', 'rest'] as const).map((choice) => outcomeOf(choice, setting));
}

function outcomeOf(choice: YearChoice, setting: ChoiceSetting): ChoiceOutcome {
  const { books, findMaterial, today } = setting;
  const plan = planFor(choice, setting);
  const until = today + FOLLOWED_DAYS;
  const scenario = bedScenario({ books: withPlan(books, plan), findMaterial, today, endDay: until });
  const spring = nextSeasonDay(books.site.climate, SPRING_MONTH, today);
  const projection = projectBed(scenario, 14, [today, today + 1, spring]);
  // What is pulled goes tomorrow.
  const ahead = projection.samples.filter(({ day }) => day > today + 1 && day <= today + YEAR_DAYS);
  const before = atEndOf(
    projectBed(bedScenario({ books, findMaterial, today, endDay: today + 2 }), 400, [today + 1]),
    today,
  );
  return {
    choice,
    plan,
    mulchNextSpringCm: atEndOf(projection, spring).mulchCm,
    peakHeldG: Math.max(0, ...ahead.map(({ heldContactG, heldRootG }) => heldContactG + heldRootG)),
    feedNextYearG: feedNextYear(scenario, setting),
    organicMatterInThreeYearsPct: atEndOf(projection, today + 3 * YEAR_DAYS).organicMatterPct,
    pulledCarbonG:
      choice === 'pull'
        ? before.layers
            .filter(({ id }) => plan.some((one) => one.type === 'takeOff' && one.layerId === id))
            .reduce((sum, { freshCarbonG }) => sum + freshCarbonG, 0)
        : 0,
  };
}

/** Dose for a hungry crop planted next spring in place of whatever is planned there. */
function feedNextYear(scenario: BedScenario, { books, today }: ChoiceSetting): number {
  const plantDay = nextSeasonDay(books.site.climate, PLANTING_MONTH, today + 30);
  const harvestDay = plantDay + TEST_CROP.days;
  const crop: CropPlan = {
    id: 'next year',
    plantDay,
    harvestDay,
    nitrogenDemandGPerM2: TEST_CROP.demandG,
    rootDepthCm: TEST_CROP.rootDepthCm,
    isLegume: false,
    isPerennial: false,
    deepShare: 0,
    residueShare: 0,
    residueDugDepthCm: 0,
  };
  const cut = endingOn(scenario, harvestDay + 1);
  const ground = {
    ...cut,
    crops: [
      ...cut.crops
        .filter((one) => one.plantDay < plantDay)
        .map((one) => ({ ...one, harvestDay: Math.min(one.harvestDay, plantDay) })),
      crop,
    ],
  };
  const days = [plantDay, plantDay + 28, plantDay + 56];
  return leastDoses(ground, { days, cropIds: [crop.id], availability: 1 }).reduce(
    (sum, { nitrogenGPerM2 }) => sum + nitrogenGPerM2,
    0,
  );
}

function planFor(choice: YearChoice, setting: ChoiceSetting): PlannedForChoice[] {
  switch (choice) {
    case 'stack':
      return stackPlan(setting);
    case 'pull':
      return pullPlan(setting);
    case 'rest':
      return restPlan(setting);
  }
}

const isMulch = (entry: Entry, findMaterial: FindMaterial): entry is LayEntry =>
  entry.type === 'lay' &&
  entry.dugDepthCm === 0 &&
  MULCH_KINDS.has(findMaterial(entry.materialId)?.kind ?? 'none');

/** The last mulch once more, a year after it, or tomorrow when that day has gone by. */
function stackPlan({ books, findMaterial, today }: ChoiceSetting): PlannedForChoice[] {
  const mulches = books.entries
    .filter((entry) => isMulch(entry, findMaterial))
    .toSorted((a, b) => a.date.localeCompare(b.date));
  const last = mulches.filter(({ state }) => state === 'laid').at(-1);
  if (!last || mulches.some(({ state }) => state === 'planned')) return [];
  const day = Math.max(today + 1, dayNumberFromIso(last.date, ['date']) + YEAR_DAYS);
  return [{ type: 'lay', date: isoDateOf(day), like: last }];
}

function pullPlan({ books, findMaterial, today }: ChoiceSetting): PlannedForChoice[] {
  const there = atEndOf(
    projectBed(bedScenario({ books, findMaterial, today, endDay: today + 2 }), 400, [today + 1]),
    today,
  );
  return there.layers
    .filter(({ isOnTop, kind }) => isOnTop && MULCH_KINDS.has(kind))
    .filter(({ id }) => books.entries.some((entry) => entry.id === id))
    .map(({ id }) => ({ type: 'takeOff', date: isoDateOf(today + 1), layerId: id }));
}

/** Clover over the whole bed from tomorrow, or from spring where it would only freeze, for a year. */
function restPlan({ books, today }: ChoiceSetting): PlannedForChoice[] {
  const spring = nextSeasonDay(books.site.climate, SPRING_MONTH, today);
  const from = spring - today < 150 ? spring : today + 1;
  const { id: cropId } = findLibraryCrop(RESTING_COVER_ID)!;
  return [{ type: 'plant', cropId, plantedOn: isoDateOf(from), clearedOn: isoDateOf(from + YEAR_DAYS - 60) }];
}

/** The books with a plan in them. Resting drops what else was planned to be laid or grown. */
function withPlan(books: BedBooks, plan: readonly PlannedForChoice[]): BedBooks {
  const rests = plan.some(({ type }) => type === 'plant');
  const kept = rests ? books.entries.filter(({ state }) => state === 'laid') : books.entries;
  const grown = rests ? books.plantings.filter(({ state }) => state === 'laid') : books.plantings;
  return {
    ...books,
    entries: [...kept, ...plan.flatMap((one, i) => plannedEntry(one, i))],
    plantings: [...grown, ...plan.flatMap((one, i) => plannedPlanting(one, i))],
  };
}

function plannedEntry(one: PlannedForChoice, i: number): Entry[] {
  const common = { id: `choice-${i}`, state: 'planned' as const };
  if (one.type === 'takeOff') {
    return [{ ...common, type: 'takeOff', date: one.date, layerId: one.layerId, shareTakenOff: 1 }];
  }
  // From outside: what will be in stock by then is another question.
  return one.type === 'lay' ? [{ ...one.like, ...common, date: one.date, lotId: null }] : [];
}

function plannedPlanting(one: PlannedForChoice, i: number): Planting[] {
  if (one.type !== 'plant') return [];
  const crop = findLibraryCrop(one.cropId)!;
  return [
    {
      id: `choice-${i}`,
      state: 'planned',
      cropId: one.cropId,
      plantedOn: one.plantedOn,
      clearedOn: one.clearedOn,
      startsAs: crop.startsAs,
      areaShare: 1,
      isUndersown: false,
      nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
      rootDepthCm: crop.rootDepthCm,
    },
  ];
}
