import { isoDateOf } from '../core/climate/calendar.ts';
import { InputError } from '../core/input-error.ts';
import { carbonIncome } from '../core/ledger/balance.ts';
import { FLOW } from '../core/ledger/flows.ts';
import type { Bed } from '../core/simulation/bed.ts';
import { BALANCE_TOLERANCE, runTo, startRun, type BedRun } from '../core/simulation/run.ts';
import { readBooks } from '../core/simulation/books.ts';
import type { PileResult } from '../core/simulation/pile.ts';
import {
  mineralNitrogen,
  mulchHeightCm,
  organicMatterPct,
  reportCohort,
  reportCrop,
  type PoolAmounts,
} from '../core/simulation/report.ts';
import { leastDoses, type Dose } from '../core/supplement/least-doses.ts';
import { inFileWords } from './scenario-file-names.ts';
import type { ScenarioRequest } from './scenario-file.ts';

/** The report of a scenario, in the short names of docs/scenario-file.md. Figures are not rounded. */
export function reportScenario(request: ScenarioRequest) {
  try {
    return run(request);
  } catch (error) {
    throw error instanceof InputError ? inFileWords(error) : error;
  }
}

export type ScenarioReport = ReturnType<typeof run>;

function run({ name, scenario, reportEveryDays, supplement }: ScenarioRequest) {
  const doses = supplement ? leastDoses(scenario, supplement) : undefined;
  const bedRun = startRun(scenario);
  doses?.forEach((dose) => bedRun.doses.set(dose.day, dose.nitrogenGPerM2));
  const weekly: StateReport[] = [];
  runTo(bedRun, scenario.endDay, ({ day, bed }) => {
    if ((day - scenario.startDay) % reportEveryDays === 0) weekly.push(stateReport(bed, day));
  });
  const final = stateReport(bedRun.bed, scenario.endDay);
  weekly.push(final);
  return {
    name,
    piles: Object.fromEntries([...bedRun.piles.values()].map((pile) => [pile.id, pileReport(pile)])),
    ...(doses ? { supplement: doses.map(doseReport) } : {}),
    ledger: ledgerReport(bedRun),
    final,
    weekly,
  };
}

type StateReport = ReturnType<typeof stateReport>;

function stateReport(bed: Bed, day: number) {
  const { state, constants } = bed;
  const [layers, contactZone, rootZone] = mineralNitrogen(bed);
  return {
    date: isoDateOf(day),
    mineral_n: { L: layers, Z0: contactZone, Z1: rootZone },
    deficit_mm: [state.contactDeficitMm, state.rootDeficitMm],
    som_pct: organicMatterPct(bed),
    native_humus_c: state.nativeHumusC,
    native_humus_n: state.nativeHumusN,
    inert_c: constants.inertC,
    mulch_cm: mulchHeightCm(bed),
    flows: flowsReport(bed),
    cohorts: Array.from({ length: state.cohorts.count }, (_, i) => cohortReport(bed, i)),
    crops: Array.from({ length: state.crops.count }, (_, k) => cropReport(bed, k)),
  };
}

function flowsReport({ state }: Bed) {
  const { flows } = state;
  const sum = (...indices: number[]) => indices.reduce((total, index) => total + flows[index]!, 0);
  return {
    C_in: carbonIncome(flows),
    C_out: sum(
      FLOW.freshCarbonTakenOff,
      FLOW.microbialCarbonTakenOff,
      FLOW.humusCarbonTakenOff,
      FLOW.charCarbonTakenOff,
    ),
    co2_native: flows[FLOW.nativeHumusCarbonRespired]!,
    native_min: sum(FLOW.nativeHumusToContactZone, FLOW.nativeHumusToRootZone),
    N_mat: sum(
      FLOW.nitrogenLaidAsFresh,
      FLOW.nitrogenLaidAsMicrobes,
      FLOW.nitrogenLaidAsHumus,
      FLOW.nitrogenLaidAsChar,
      FLOW.nitrogenLaidAsAmmonium,
    ),
    N_fert: sum(FLOW.fedToContactZone, FLOW.fedToRootZone),
    N_dep: flows[FLOW.deposited]!,
    N_fix: flows[FLOW.fixed]!,
    N_sub: flows[FLOW.liftedFromSubsoil]!,
    N_adj: sum(FLOW.testedContactZone, FLOW.testedRootZone),
    leach: flows[FLOW.leached]!,
    den: sum(FLOW.contactZoneDenitrified, FLOW.rootZoneDenitrified),
    vol: sum(FLOW.ammoniumVolatilized, FLOW.layersVolatilized),
    harvest: flows[FLOW.harvested]!,
    N_removed: sum(
      FLOW.freshNitrogenTakenOff,
      FLOW.microbialNitrogenTakenOff,
      FLOW.humusNitrogenTakenOff,
      FLOW.charNitrogenTakenOff,
      FLOW.ammoniumTakenOff,
      FLOW.layersTakenOff,
    ),
    uptake: sum(FLOW.contactZoneToCrops, FLOW.rootZoneToCrops),
    drain: state.drainedMm,
    char_ads: sum(FLOW.contactZoneToChar, FLOW.rootZoneToChar),
  };
}

const poolsReport = (pools: PoolAmounts) => ({
  Q: pools.quick,
  S: pools.structural,
  W: pools.woody,
  B: pools.microbial,
  H: pools.humus,
  CL: pools.labileChar,
  CS: pools.stableChar,
});

function cohortReport(bed: Bed, i: number) {
  const cohort = reportCohort(bed, i);
  return {
    id: cohort.id,
    place: cohort.place,
    c: poolsReport(cohort.carbonG),
    n: poolsReport(cohort.nitrogenG),
    ammonium: cohort.ammoniumG,
    layer_n: cohort.layerNitrogenG,
    char_held_n: cohort.charHeldG,
    co2: cohort.respiredCarbonG,
    c_to_humus: cohort.humifiedCarbonG,
    immobilised: cohort.drawnG,
    immob_by_zone: cohort.drawnByZoneG,
    released: cohort.releasedG,
    locked_now: cohort.lockedG,
    nh3: cohort.volatilizedG,
    n_limit: cohort.decayLimit,
  };
}

function cropReport(bed: Bed, k: number) {
  const crop = reportCrop(bed, k);
  return {
    id: crop.id,
    demand: crop.demandedG,
    uptake: crop.takenG,
    fixed: crop.fixedG,
    sub: crop.subsoilG,
    short: crop.shortG,
    backlog: crop.backlogG,
    pale: crop.paleness,
    pale_max: crop.palestSoFar,
    pale_days: crop.paleDays,
    first_pale: crop.firstPaleDay === null ? null : isoDateOf(crop.firstPaleDay),
  };
}

function pileReport(pile: PileResult) {
  const [Q, S, W, B, H, CL, CS] = pile.carbonPoolsG.map((c) => c / pile.carbonLeftG);
  return {
    C_in: pile.carbonInG,
    N_in: pile.nitrogenInG,
    vol: pile.ammoniaG,
    co2: pile.respiredCarbonG,
    C_left: pile.carbonLeftG,
    N_left: pile.nitrogenLeftG,
    cn_end: pile.carbonToNitrogen,
    kg_in: pile.massInKg,
    visible: pile.visibleShare,
    pools: { Q, S, W, B, H, CL, CS },
  };
}

function doseReport(dose: Dose) {
  return {
    date: isoDateOf(dose.day),
    n_g_m2: dose.nitrogenGPerM2,
    unmet_without: dose.unmetWithoutG,
    unmet_with: dose.unmetWithG,
    met: dose.isMet,
    twin_n_g_m2: dose.twinNitrogenGPerM2,
    price_n_g_m2: dose.priceGPerM2,
    product_n_g_m2: dose.productNitrogenGPerM2,
  };
}

function ledgerReport(bedRun: BedRun) {
  const { bed, scenario } = bedRun;
  const books = readBooks(bed, bedRun.opening, bedRun.scratch);
  const { cohorts } = bed.state;
  return {
    C_in: books.carbonIn,
    C_accounted: books.carbonAccounted,
    N_in: books.nitrogenIn,
    N_accounted: books.nitrogenAccounted,
    max_rel_error:
      bedRun.largestRelativeError < BALANCE_TOLERANCE ? '<1e-9' : String(bedRun.largestRelativeError),
    days: scenario.endDay - scenario.startDay,
    peak_lock: Object.fromEntries(cohorts.ids.map((id, i) => [id, cohorts.peakLockedN[i]!])),
  };
}
