import { isoDateOf } from '../core/ground/index.ts';
import { InputError } from '../refusals/input-error.ts';
import {
  BALANCE_TOLERANCE,
  type Bed,
  type BedRun,
  type Cohort,
  type Crop,
  FLOW_COUNT,
  MODEL_VERSION,
  type PileResult,
  type PoolAmounts,
  carbonIncome,
  mineralNitrogen,
  mulchHeightCm,
  readBooks,
  readPostings,
  reportCohort,
  reportCrop,
  reportSoil,
  runTo,
  startRun,
} from '../core/model/index.ts';
import { type Dose, leastDoses } from '../core/bed/index.ts';
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
    model: MODEL_VERSION,
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
  const mineral = mineralNitrogen(bed);
  const soil = reportSoil(bed);
  return {
    date: isoDateOf(day),
    mineral_n: {
      L: mineral.layersG,
      Z0: mineral.contactZoneG,
      Z1: mineral.rootZoneG,
      Z2: mineral.upperSubsoilG,
      Z3: mineral.lowerSubsoilG,
      ammonium_share: [state.contactAmmoniumShare, state.rootAmmoniumShare],
    },
    deficit_mm: [state.contactDeficitMm, state.rootDeficitMm],
    soil_temp: [state.contactSoilC, state.rootSoilC],
    som_pct: soil.organicMatterPct,
    humus_pct: soil.humusOfFirstSoilPct,
    native_humus_c: state.activeHumusC + state.slowHumusC,
    native_humus_n: state.activeHumusN + state.slowHumusN,
    native_active_c: state.activeHumusC,
    inert_c: constants.inertC,
    mulch_cm: mulchHeightCm(bed),
    rise_cm: soil.riseCm,
    flows: flowsReport(bed),
    cohorts: state.cohorts.map((cohort) => cohortReport(bed, cohort)),
    roots: state.roots === null ? null : cohortReport(bed, state.roots),
    crops: state.crops.map(cropReport),
  };
}

function flowsReport({ state }: Bed) {
  const { postings: p } = state;
  const flows = new Float64Array(FLOW_COUNT);
  readPostings(p, flows);
  return {
    C_in: carbonIncome(flows) - p.rootCarbonToFresh,
    C_root: p.rootCarbonToFresh,
    C_out: p.freshCarbonTakenOff + p.microbialCarbonTakenOff + p.humusCarbonTakenOff + p.charCarbonTakenOff,
    co2_native: p.nativeHumusCarbonRespired,
    native_min: p.nativeHumusToContactZone + p.nativeHumusToRootZone,
    N_mat:
      p.nitrogenLaidAsFresh +
      p.nitrogenLaidAsMicrobes +
      p.nitrogenLaidAsHumus +
      p.nitrogenLaidAsChar +
      p.nitrogenLaidAsAmmonium,
    N_fert: p.fedToContactZone + p.fedToRootZone,
    N_dep: p.deposited,
    N_fix: p.fixed,
    N_sub: p.liftedFromSubsoil,
    N_adj: p.testedContactZone + p.testedRootZone + p.testedUpperSubsoil + p.testedLowerSubsoil,
    N_root: p.rootNitrogenToFresh,
    leach: p.rootZoneToSubsoil,
    deep_uptake: p.upperSubsoilToCrops + p.lowerSubsoilToCrops,
    deep_loss: p.leached,
    den: p.contactZoneDenitrified + p.rootZoneDenitrified,
    vol: p.ammoniumVolatilized + p.layersVolatilized + p.mineralizedVolatilized,
    harvest: p.harvested,
    N_removed:
      p.freshNitrogenTakenOff +
      p.microbialNitrogenTakenOff +
      p.humusNitrogenTakenOff +
      p.charNitrogenTakenOff +
      p.ammoniumTakenOff +
      p.layersTakenOff,
    uptake: p.contactZoneToCrops + p.rootZoneToCrops + p.upperSubsoilToCrops + p.lowerSubsoilToCrops,
    drain: state.drainedMm,
    char_ads: p.contactZoneToChar + p.rootZoneToChar,
    ash_in: p.ashLaid,
    ash_out: p.ashTakenOff,
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

function cohortReport(bed: Bed, one: Cohort) {
  const cohort = reportCohort(bed, one);
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
    ash: cohort.ashG,
  };
}

function cropReport(one: Crop) {
  const crop = reportCrop(one);
  return {
    id: crop.id,
    demand: crop.demandedG,
    uptake: crop.takenG,
    in_crop: crop.inCropG,
    fixed: crop.fixedG,
    sub: crop.subsoilG,
    short: crop.shortG,
    backlog: crop.backlogG,
    pale: crop.paleness,
    pale_max: crop.palestSoFar,
    pale_days: crop.paleDays,
    first_pale: crop.firstPaleDay === null ? null : isoDateOf(crop.firstPaleDay),
    root_c: crop.rootCarbonG,
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
    peak_lock: Object.fromEntries(cohorts.map((cohort) => [cohort.traits.id, cohort.peakLockedN])),
  };
}
