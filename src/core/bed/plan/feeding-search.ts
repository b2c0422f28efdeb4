import { type DayNumber, calendarDateOf, total } from '../../ground/index.ts';
import {
  type BedRun,
  type BedScenario,
  type Bookmark,
  type CropPlan,
  resumeAt,
  returnTo,
  runTo,
  startRun,
  takeBookmark,
} from '../../model/index.ts';
import {
  LEAST_DOSE_G_PER_M2,
  SEEDLINGS_BEAR_G_PER_M2,
  type FedCrops,
  areTender,
  lastDayFor,
  obstacleOn,
} from './feeding-limits.ts';
import { yearlyCapG } from '../supplement/yearly-cap.ts';
import type { DosedProduct, FedOutcome, FeedingPlan, PlannedDose, UnmetReason } from './feeding-plan.ts';

/** Doses stand this far apart at least; a dose lies so long before it is missed, and serves so long (set here). */
export const APART_DAYS = 14;
const LEAD_DAYS = 7;
const SERVES_DAYS = 28;
/** A need within this is met by a quick product (set here). */
const QUICK_WITHIN_DAYS = 28;
const LOOK_DAYS = 7;
/** From here on a crop counts as hungry: so much missed, of its need and in g/m2 (set here). */
const HUNGRY_FROM_SHARE = 0.01;
const HUNGRY_FROM_G = 0.05;
const TOLERANCE = 1e-9;

/** A bed being fed in thought: the run, and all that the search asks for. */
interface Search extends FedCrops {
  readonly run: BedRun;
  readonly today: DayNumber;
  readonly untilDay: DayNumber;
  /** All that the plan is for; `crops` are those of them that go short unfed. */
  readonly plans: readonly CropPlan[];
  readonly givenInYear: Map<number, number>;
  readonly reasons: Map<string, UnmetReason>;
}

/** What a search comes to. */
export type Searched = Pick<FeedingPlan, 'doses' | 'hungryIds' | 'unmet' | 'fed' | 'yearG' | 'capG'>;

/**
 * Hungers that are passed over at first, tried when a need stays unmet: what was just dug in may swallow the doses of the
 * first weeks, and what is left of the year does more good later.
 */
const HOLDS_OFF = [1, 2, 4] as const;
const MENDED_BY_WAITING: ReadonlySet<UnmetReason> = new Set(['cap', 'swallowed', 'atOnce']);

type Asked = Pick<Search, 'today' | 'untilDay' | 'rules' | 'plans'> & {
  /** The bed on the morning of today, when it is at hand. */
  readonly morning?: Bookmark | null;
};

/** The doses of least cost for a bed from `today` on, and how its crops then fare. Does not look beyond `untilDay`. */
export function searchDoses(scenario: BedScenario, asked: Asked): Searched {
  const { untilDay } = asked;
  const run = startRun(scenario);
  if (asked.morning) resumeAt(run, asked.morning);
  else runTo(run, asked.today);
  const start = takeBookmark(run);
  const crops = hungryCrops(run, asked);
  const replay = (): void => returnTo(run, start);
  const attempt = (holdsOff: number): Searched & { readonly cost: number } => {
    const search: Search = {
      ...asked,
      run,
      crops,
      climate: scenario.climate,
      givenInYear: fedByYear(scenario),
      reasons: new Map(),
    };
    run.doses.clear();
    replay();
    const inTurn = dosesInTurn(search, holdsOff);
    replay();
    const doses = leastOverSeason(search, inTurn);
    replay();
    runTo(run, untilDay);
    const cost =
      missedOf(search) +
      run.bed.constants.parameters.dosePrice * total(doses.map(({ nitrogenGPerM2 }) => nitrogenGPerM2));
    const year = fullestYear(scenario, doses, search);
    return { doses, hungryIds: [...crops.keys()], ...outcomeOf(search), ...year, cost };
  };
  const first = attempt(0);
  const isWasted = first.doses.length > 0 && first.unmet.some(({ reason }) => MENDED_BY_WAITING.has(reason));
  const others = isWasted ? HOLDS_OFF.map(attempt) : [];
  const { cost: _, ...best } = others.reduce(
    (least, one) => (one.cost < least.cost - TOLERANCE ? one : least),
    first,
  );
  return best;
}

/** The calendar year that gets the most, and the most that it may get. */
function fullestYear(
  scenario: BedScenario,
  doses: readonly PlannedDose[],
  { run, plans, today }: Search,
): Pick<FeedingPlan, 'yearG' | 'capG'> {
  const years = fedByYear(scenario);
  for (const { day, nitrogenGPerM2 } of doses) {
    const { year } = calendarDateOf(day);
    years.set(year, (years.get(year) ?? 0) + nitrogenGPerM2);
  }
  const [year, yearG] = [...years]
    .filter(([one]) => one >= calendarDateOf(today).year)
    .reduce((most, one) => (one[1] > most[1] ? one : most), [calendarDateOf(today).year, 0]);
  return { yearG, capG: yearlyCapG(plans, year, run.bed.constants.parameters.doseSeasonG) };
}

/** The crops that go short when nothing is fed. Leaves the run at `untilDay`. */
function hungryCrops(run: BedRun, { plans, untilDay, rules }: Asked): ReadonlyMap<string, CropPlan> {
  runTo(run, untilDay);
  const hungry = plans.filter(({ id }) => {
    const crop = run.bed.state.crops.find(({ plan }) => plan.id === id);
    return crop && crop.shortN + crop.backlogN > rules.harmlessShare * crop.demandedN;
  });
  return new Map(hungry.map((plan) => [plan.id, plan]));
}

/** Nitrogen that the books give as feed, g/m2, by calendar year. */
function fedByYear({ events }: BedScenario): Map<number, number> {
  const years = new Map<number, number>();
  for (const event of events) {
    if (event.type !== 'feed') continue;
    const { year } = calendarDateOf(event.day);
    years.set(year, (years.get(year) ?? 0) + event.nitrogenGPerM2);
  }
  return years;
}

/** Goes from hunger to hunger. Leaves the run at its end, with its doses. */
function dosesInTurn(search: Search, holdsOff: number): PlannedDose[] {
  const { run, today, untilDay, rules } = search;
  const doses: PlannedDose[] = [];
  let from = today;
  let passedOver = 0;
  while (from < untilDay) {
    runTo(run, Math.min(from, untilDay));
    const hunger = nextHunger(search);
    if (!hunger) break;
    if (passedOver < holdsOff) {
      passedOver += 1;
      from = hunger.day + APART_DAYS;
      continue;
    }
    const postponedTo = rules.postponed.get(doses.length + 1) ?? today;
    const earliest = Math.max(from, hunger.plantDay, postponedTo);
    const lastDay = Math.max(...hunger.cropIds.map((id) => lastDayFor(search.crops.get(id)!, search)));
    // What will be missed when it is too late to feed is given on the last day on which it does good.
    const day = Math.max(earliest, Math.min(hunger.day - LEAD_DAYS, lastDay));
    if (day >= untilDay) break;
    const obstacle = obstacleOn(search, day, hunger.cropIds);
    runTo(run, day);
    const servesUntil = day === lastDay ? lastHarvest(search, hunger) : null;
    const dose = obstacle === null ? doseOn(search, hunger, servesUntil) : null;
    if (dose === null) {
      noteReason(search, hunger, obstacle ?? 'littleEach');
      from = Math.max(day, hunger.day) + LOOK_DAYS;
      continue;
    }
    doses.push(dose);
    from = day + APART_DAYS;
  }
  runTo(run, untilDay);
  return doses;
}

/** What stands in the way says more than another: the cap of the year, then the season, then what can be given at once. */
const WEIGHTIER: Readonly<Record<UnmetReason, number>> = {
  cap: 3,
  tooLate: 2,
  afterMidsummer: 2,
  tooCold: 2,
  atOnce: 1,
  littleEach: 0,
  swallowed: 0,
};

/** Notes why hungry crops get less than they need; the weightiest reason stays. */
function noteReason({ reasons }: Search, { cropIds }: Hunger, reason: UnmetReason): void {
  for (const id of cropIds) {
    const known = reasons.get(id);
    if (known === undefined || WEIGHTIER[reason] > WEIGHTIER[known]) reasons.set(id, reason);
  }
}

/** Missed for good or still owed, g/m2, by crop. */
const missedBy = ({ run, crops }: Search): Map<string, number> =>
  new Map(
    run.bed.state.crops
      .filter(({ plan }) => crops.has(plan.id))
      .map(({ plan, shortN, backlogN }) => [plan.id, shortN + backlogN]),
  );

const missedOf = (search: Search): number => total([...missedBy(search).values()]);

interface Hunger {
  /** Last morning on which nothing is missed yet. */
  readonly day: DayNumber;
  readonly cropIds: readonly string[];
  /** When the first of them goes into the ground. */
  readonly plantDay: DayNumber;
}

/** The next time a crop begins to miss something from where the run stands. The run is left as it was. */
function nextHunger(search: Search): Hunger | null {
  const { run, crops, untilDay } = search;
  const mark = takeBookmark(run);
  const before = missedBy(search);
  let hunger: Hunger | null = null;
  while (hunger === null && run.day < untilDay) {
    const morning = run.day;
    runTo(run, Math.min(untilDay, morning + LOOK_DAYS));
    const hungry = [...missedBy(search)]
      .filter(([id, missedG]) => missedG - (before.get(id) ?? 0) > hungryFromG(crops.get(id)!))
      .map(([id]) => id);
    if (hungry.length > 0) {
      const plantDay = Math.min(...hungry.map((id) => crops.get(id)!.plantDay));
      hunger = { day: morning, cropIds: hungry, plantDay };
    }
  }
  returnTo(run, mark);
  return hunger;
}

const hungryFromG = ({ nitrogenDemandGPerM2 }: CropPlan): number =>
  Math.max(HUNGRY_FROM_G, HUNGRY_FROM_SHARE * nitrogenDemandGPerM2);

/** What a need is met with. */
const productFor = ({ day }: Hunger, { today, rules }: Search): DosedProduct =>
  rules.product.isQuick || day >= today + QUICK_WITHIN_DAYS ? rules.product : rules.quickProduct;

/** What is left of the year where the run stands, g/m2. */
function leftOfYear({ run, plans, givenInYear }: Search): number {
  const { year } = calendarDateOf(run.day);
  const capG = yearlyCapG(plans, year, run.bed.constants.parameters.doseSeasonG);
  return capG - (givenInYear.get(year) ?? 0);
}

/** When the last of the hungry crops is cleared: nothing is fed later for it. */
const lastHarvest = ({ crops }: Search, { cropIds }: Hunger): DayNumber =>
  Math.max(...cropIds.map((id) => crops.get(id)!.harvestDay));

/** The dose of least cost where the run stands; null when none is worth giving. Leaves the run there, dose noted. */
function doseOn(search: Search, hunger: Hunger, servesUntil: DayNumber | null): PlannedDose | null {
  const { run, untilDay, givenInYear } = search;
  const { day } = run;
  const product = productFor(hunger, search);
  const leftG = leftOfYear(search);
  const bearsG = areTender(search, day) ? SEEDLINGS_BEAR_G_PER_M2 : product.largestDoseGPerM2;
  const roomG = Math.min(bearsG, product.largestDoseGPerM2, leftG);
  if (leftG < LEAST_DOSE_G_PER_M2) {
    noteReason(search, hunger, 'cap');
    return null;
  }
  const needed = Math.max(day, hunger.day);
  const ends = servesUntil === null ? [needed + SERVES_DAYS, needed + 2 * SERVES_DAYS] : [servesUntil];
  for (const end of ends) {
    const solved = solveDose(search, Math.min(untilDay, end), roomG);
    if (solved.doseG < LEAST_DOSE_G_PER_M2) continue;
    run.doses.set(day, solved.doseG);
    const { year } = calendarDateOf(day);
    givenInYear.set(year, (givenInYear.get(year) ?? 0) + solved.doseG);
    if (solved.doseG > roomG - LEAST_DOSE_G_PER_M2) noteReason(search, hunger, 'atOnce');
    return {
      day,
      neededDay: hunger.day,
      materialId: product.materialId,
      nitrogenGPerM2: solved.doseG,
      reserveGPerM2: 0,
      cropIds: hunger.cropIds,
      unmetWithoutG: Math.max(0, solved.unmetWithoutG),
      unmetWithG: Math.max(0, solved.unmetWithG),
    };
  }
  run.doses.delete(day);
  return null;
}

/** Missed nitrogen until a day with each dose that may be, and the dose of least cost. The run is left as it was. */
function solveDose(search: Search, serveUntil: DayNumber, roomG: number) {
  const { run } = search;
  const { day } = run;
  const { doseStepG, dosePrice } = run.bed.constants.parameters;
  const mark = takeBookmark(run);
  const before = missedOf(search);
  const owedG = total(run.bed.state.crops.map(({ backlogN }) => backlogN));
  const missedWith = (doseG: number): number => {
    returnTo(run, mark);
    run.doses.set(day, doseG);
    runTo(run, serveUntil);
    return missedOf(search) - before;
  };
  const unmetWithoutG = missedWith(0);
  let best = { doseG: 0, unmetWithG: unmetWithoutG, cost: unmetWithoutG };
  for (let doseG = LEAST_DOSE_G_PER_M2; doseG <= roomG + TOLERANCE; doseG += doseStepG) {
    // What is lost stays lost: a dose cannot save more than was still owed when it was given.
    if (dosePrice * doseG - owedG >= best.cost) break;
    const unmetWithG = missedWith(doseG);
    const cost = unmetWithG + dosePrice * doseG;
    if (cost < best.cost - TOLERANCE) best = { doseG, unmetWithG, cost };
  }
  returnTo(run, mark);
  run.doses.delete(day);
  return { ...best, unmetWithoutG };
}

/**
 * The same doses, each made smaller or left out where the whole season is then no worse for its cost, the last first: what
 * comes later does not change what was before. The run stands at `start` to begin with.
 */
function leastOverSeason(search: Search, doses: readonly PlannedDose[]): PlannedDose[] {
  const { run, untilDay } = search;
  const { doseStepG, dosePrice } = run.bed.constants.parameters;
  const marks = doses.map(({ day }) => {
    runTo(run, day);
    return takeBookmark(run);
  });
  const costFrom = (place: number): number => {
    returnTo(run, marks[place]);
    runTo(run, untilDay);
    return missedOf(search) + dosePrice * total(doses.map(({ day }) => run.doses.get(day) ?? 0));
  };
  for (let place = doses.length - 1; place >= 0; place--) {
    const { day } = doses[place];
    let cost = costFrom(place);
    for (let doseG = run.doses.get(day)!; doseG > 0;) {
      const lessG = doseG - doseStepG < LEAST_DOSE_G_PER_M2 ? 0 : doseG - doseStepG;
      run.doses.set(day, lessG);
      const tried = costFrom(place);
      if (tried > cost + TOLERANCE) {
        run.doses.set(day, doseG);
        break;
      }
      cost = tried;
      doseG = lessG;
    }
  }
  return doses
    .map((dose) => ({ ...dose, nitrogenGPerM2: run.doses.get(dose.day)! }))
    .filter(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0);
}

/** How the crops have fared where the run stands, and what they still miss. */
function outcomeOf({ run, rules, reasons, plans }: Search): Pick<FeedingPlan, 'unmet' | 'fed'> {
  const ids = new Set(plans.map(({ id }) => id));
  const fed = run.bed.state.crops
    .filter(({ plan }) => ids.has(plan.id))
    .map((crop) => ({
      id: crop.plan.id,
      demandG: crop.demandedN,
      missedG: crop.shortN + crop.backlogN,
      paleDays: crop.paleDays,
    }));
  const isShort = ({ missedG, demandG }: FedOutcome): boolean => missedG > rules.harmlessShare * demandG;
  return {
    fed,
    unmet: fed.filter(isShort).map(({ id, missedG, demandG }) => ({
      cropId: id,
      missedG,
      demandG,
      reason: reasons.get(id) ?? 'swallowed',
    })),
  };
}
