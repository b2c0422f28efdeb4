import { type DayNumber, total } from '../../ground/index.ts';
import { CARBON_LEFT_AFTER_100_YEARS } from '../../yard/index.ts';
import {
  BALANCE_COUNT,
  type Bed,
  type BedRun,
  type BedScenario,
  type CohortOpening,
  FLOW_COUNT,
  type FedCarbon,
  carbonLaid,
  carbonOfRoots,
  carbonToAir,
  foldCohorts,
  freshCarbon,
  mulchHeightCm,
  nitrogenBought,
  nitrogenBrought,
  nitrogenCarriedAway,
  nitrogenGiven,
  nitrogenLaid,
  nitrogenFetchedBack,
  nitrogenLost,
  nitrogenWashedOut,
  openingOf,
  readBalances,
  readPostings,
  reportSoil,
  runTo,
  startRun,
} from '../../model/index.ts';
import { outlookDays } from './outlook-days.ts';

/** What a bed holds on the same day of a coming year, per m2; what happened is that of the year before that day. */
export interface RunYear {
  readonly yearsAhead: number;
  readonly day: DayNumber;
  /** As a laboratory would find it beneath all layers, % of the soil's weight, over the depth the bed was sampled to. */
  readonly organicMatterPct: number;
  /** Humus proper, without what is half rotted, % of the same soil. */
  readonly humusPct: number;
  /** Height over the first surface of the bed. */
  readonly riseCm: number;
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
  /** What roots of crops gave the soil. */
  readonly rootCarbonG: number;
  readonly carbonToAirG: number;
  readonly nitrogenLaidG: number;
  /** Set free for roots from all that is bound, less what decomposers took back. */
  readonly nitrogenGivenG: number;
  readonly nitrogenBoughtG: number;
  readonly cropWantG: number;
  /** What crops missed for good: so much would have had to be bought. */
  readonly cropMissedG: number;
  readonly nitrogenLostG: number;
  /** Washed out of the depth of the bed and not fetched back. */
  readonly nitrogenWashedOutG: number;
  /** Brought from anywhere, less what harvests and lifting carried away: it is bound in the bed, or lost. */
  readonly nitrogenSurplusG: number;
}

/** The same with the minerals in what was laid: the model does not follow them. */
export interface YearPoint extends RunYear {
  /** Of manure and meals only. */
  readonly manureNitrogenG: number;
  readonly phosphorusG: number;
  readonly potassiumG: number;
  /** Of a year, as the mean of the three to this day: what was laid before today counts too. */
  readonly phosphorusMeanG: number;
  readonly potassiumMeanG: number;
}

export interface YearsRun {
  /** From today on, one a year. */
  readonly points: readonly RunYear[];
  /** What reached the bed, char left out: what a model of soil carbon is fed with. */
  readonly inputs: readonly FedCarbon[];
  readonly largestRelativeError: number;
}

/** How often what roots gave is noted, days. */
const ROOTS_NOTED_EVERY_DAYS = 30;
/** How often old cohorts are merged, days. */
const FOLDED_EVERY_DAYS = 122;
/** Cohorts are merged once they are this old, days. */
const FOLDED_AFTER_DAYS = 365;

/** Follows a bed from today for so many years. `scenario` must reach past the last of them. */
export function runYears(scenario: BedScenario, today: DayNumber, years: number): YearsRun {
  return follow({ scenario, today, years, foldedAfterDays: FOLDED_AFTER_DAYS });
}

/** The same with every cohort kept apart: what `runYears` is held against. */
export function runYearsUnfolded(scenario: BedScenario, today: DayNumber, years: number): YearsRun {
  return follow({ scenario, today, years, foldedAfterDays: Infinity });
}

function follow({
  scenario,
  today,
  years,
  foldedAfterDays,
}: {
  readonly scenario: BedScenario;
  readonly today: DayNumber;
  readonly years: number;
  readonly foldedAfterDays: number;
}): YearsRun {
  const run = startRun(scenario);
  const watch = inputWatch(run, scenario);
  const fold = folderOf({ run, scenario, watch, foldedAfterDays });
  const lasting = lastingChar(run);
  const points: RunYear[] = [];
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
  let rootsNoted = 0;
  /** What roots gave is noted every so often, as one crop residue. */
  const feedRoots = (bed: Bed, day: DayNumber): void => {
    const given = bed.state.postings.rootCarbonToFresh;
    if (day % ROOTS_NOTED_EVERY_DAYS !== 0 || given === rootsNoted) return;
    inputs.push({ day: day - 1, kind: 'residue', carbonG: given - rootsNoted });
    rootsNoted = given;
  };
  const onMorning = ({ bed, day }: BedRun) => {
    feedRoots(bed, day);
    const { cohorts } = bed.state;
    const top = cohorts.at(-1)?.traits.id;
    if (top === newest) return;
    newest = top;
    for (const { traits, openingC } of cohorts.toReversed()) {
      if (openedOn.has(traits.id)) break;
      openedOn.set(traits.id, day - 1);
      inputs.push({ day: day - 1, kind: traits.kind, carbonG: openingC - (charOf.get(traits.id) ?? 0) });
    }
  };
  return { inputs, openedOn, onMorning };
}

/** Labile and stable char of an opening, g C. */
const charCarbonG = ({ carbonG }: CohortOpening): number => carbonG[5] + carbonG[6];

function folderOf({
  run,
  scenario,
  watch,
  foldedAfterDays,
}: {
  readonly run: BedRun;
  readonly scenario: BedScenario;
  readonly watch: InputWatch;
  readonly foldedAfterDays: number;
}) {
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
  RunYear,
  | 'organicMatterPct'
  | 'humusPct'
  | 'riseCm'
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
    ...soilFigures(bed),
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

const soilFigures = (bed: Bed): Pick<RunYear, 'organicMatterPct' | 'humusPct' | 'riseCm'> => {
  const { organicMatterPct, humusPct, riseCm } = reportSoil(bed);
  return { organicMatterPct, humusPct, riseCm };
};

function woodLeft({ state }: Bed): number | null {
  const wood = state.cohorts.filter(({ traits }) => traits.kind === 'wood');
  const laid = total(wood.map(({ openingC }) => openingC));
  return laid > 0 ? total(wood.map(freshCarbon)) / laid : null;
}

/** Running totals of what is reported for a year. */
function totalsOf({ bed }: BedRun): Float64Array {
  const { postings, crops } = bed.state;
  const flows = new Float64Array(FLOW_COUNT);
  readPostings(postings, flows);
  return Float64Array.of(
    carbonLaid(flows),
    carbonOfRoots(flows),
    carbonToAir(flows),
    nitrogenLaid(flows),
    nitrogenGiven(flows),
    nitrogenBought(flows),
    total(crops.map(({ demandedN }) => demandedN)),
    total(crops.map(({ shortN }) => shortN)),
    nitrogenLost(flows),
    nitrogenWashedOut(flows) - nitrogenFetchedBack(flows),
    nitrogenBrought(flows) - nitrogenCarriedAway(flows),
  );
}

/** What happened since the year before; nothing on the first day. */
function happened(run: BedRun, before: Float64Array | null) {
  const now = totalsOf(run);
  const since = (i: number) => (before ? now[i] - before[i] : 0);
  return {
    carbonLaidG: since(0),
    rootCarbonG: since(1),
    carbonToAirG: since(2),
    nitrogenLaidG: since(3),
    nitrogenGivenG: since(4),
    nitrogenBoughtG: since(5),
    cropWantG: since(6),
    cropMissedG: since(7),
    nitrogenLostG: since(8),
    nitrogenWashedOutG: since(9),
    nitrogenSurplusG: since(10),
  };
}
