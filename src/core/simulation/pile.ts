import { total } from '../numerics/total.ts';
import { lostShare } from '../numerics/exponential-loss.ts';
import { airTemperatureC } from '../climate/weather.ts';
import { temperatureModifier } from '../climate/modifiers.ts';
import type { ClimateNormals } from '../climate/climate.ts';
import { FLOW, FLOW_COUNT } from '../ledger/flows.ts';
import type { MaterialKind } from '../materials/material.ts';
import {
  carbonPools,
  createCohortTable,
  freshCarbon,
  livingCarbon,
  nitrogenPools,
  type CohortTable,
} from './cohort-table.ts';
import { microbialCnForFeed, openingFromFreshMass, type CohortOpening } from './cohort-opening.ts';
import { postOpening } from './cohorts.ts';
import { createDecayClasses, decayClassFor, updateDecayClasses } from './decay-classes.ts';
import { applyDecay, settleRequests, workOutPotentials, type DecayTask } from './nitrogen-limited-decay.ts';
import { addPart, allowDraw, clearParts, createParts } from './parts.ts';
import type { ModelParameters } from './parameters.ts';
import type { PilePlan } from './scenario.ts';

/** The account of a pile's mineral nitrogen sits where the first layer of a bed would. */
const PILE_ACCOUNT = 2;
/** C:N below which what comes out counts as compost (S10 of the model, set here). */
const COMPOST_BELOW_CN = 20;
const SPREAD_AMMONIA_EXPOSURE = 0.3;

/** A pile at its end date, masses in g for the whole pile. */
export interface PileResult {
  readonly id: string;
  readonly massInKg: number;
  readonly carbonInG: number;
  readonly nitrogenInG: number;
  readonly ammoniaG: number;
  readonly respiredCarbonG: number;
  readonly carbonLeftG: number;
  /** Mineral nitrogen included. */
  readonly nitrogenLeftG: number;
  readonly carbonToNitrogen: number;
  /** Fresh carbon left over all carbon at the start: the share that still looks like the input. */
  readonly visibleShare: number;
  /** The seven pools in the order of POOL_NAMES. */
  readonly carbonPoolsG: readonly number[];
  readonly nitrogenPoolsG: readonly number[];
  readonly mineralNitrogenG: number;
  readonly dryMassG: number;
  readonly kind: MaterialKind;
  readonly decayRateFactor: number;
  readonly dryDensityKgPerM3: number;
}

interface RunningPile {
  readonly task: DecayTask;
  readonly openings: readonly CohortOpening[];
}

/** Ages a mix day by day: all mineral nitrogen in common, self-heating if hot, no leaching (cover assumed). */
export function runPile(plan: PilePlan, climate: ClimateNormals, p: ModelParameters): PileResult {
  const pile = openPile(plan, p);
  const dt = 1 / plan.stepsPerDay;
  const airFactor = (plan.isTurned ? p.turnedPileFactor : p.stillPileFactor) * plan.moistureFactor;
  for (let i = 0; i < plan.endDay - plan.startDay; i++) {
    const heating = plan.isHot ? p.pileHeatingC * Math.exp(-i / p.pileCoolingDays) : 0;
    const heapC = airTemperatureC(climate, plan.startDay + i) + heating;
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    for (let s = 0; s < plan.stepsPerDay; s++) ageSubStep(pile, warmth, warmth * airFactor, dt);
  }
  return closePile(plan, pile);
}

function openPile(plan: PilePlan, p: ModelParameters): RunningPile {
  const count = plan.mix.length;
  const cohorts = createCohortTable(count);
  const classes = createDecayClasses();
  const mineralN = new Float64Array(PILE_ACCOUNT + 1);
  const flows = new Float64Array(FLOW_COUNT);
  const openings = plan.mix.map(({ material, massFreshKg }) =>
    openingFromFreshMass(material, massFreshKg, p),
  );
  openings.forEach((opening, i) => {
    cohorts.count += 1;
    carbonPools(cohorts).forEach((pool, k) => (pool[i] = opening.carbonG[k]!));
    nitrogenPools(cohorts).forEach((pool, k) => (pool[i] = opening.nitrogenG[k]!));
    cohorts.microbialCn[i] = opening.microbialCn;
    cohorts.contactClass[i] = decayClassFor(classes, opening.decayRateFactor, 0, 1);
    mineralN[PILE_ACCOUNT] += opening.ammoniumG + opening.charHeldG;
    postOpening(flows, opening, 'materials');
    flows[FLOW.ammoniumToLayers] += opening.ammoniumG;
    flows[FLOW.charToLayers] += opening.charHeldG;
  });
  const task: DecayTask = {
    parts: createParts(count, mineralN.length),
    cohorts,
    classes,
    mineralN,
    flows,
    parameters: p,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** (1 / plan.stepsPerDay),
    biomassHumified: p.biomassHumifiedShare,
    woodyHumified: p.woodyHumifiedShare,
  };
  return { task, openings };
}

function ageSubStep({ task }: RunningPile, warmth: number, modifier: number, dt: number): void {
  const { cohorts, mineralN, flows, parameters: p, parts, classes } = task;
  const ammonia = mineralN[PILE_ACCOUNT] * lostShare(p.pileAmmoniaLossPerDay * warmth * dt);
  mineralN[PILE_ACCOUNT] -= ammonia;
  flows[FLOW.layersVolatilized] += ammonia;

  const humusLoss = lostShare((p.humusDecayPerYear * modifier * dt) / 365);
  for (let i = 0; i < cohorts.count; i++) {
    const lostC = cohorts.humusC[i] * humusLoss;
    const lostN = cohorts.humusN[i] * humusLoss;
    cohorts.humusC[i] -= lostC;
    cohorts.humusN[i] -= lostN;
    mineralN[PILE_ACCOUNT] += lostN;
    flows[FLOW.laidHumusCarbonRespired] += lostC;
    flows[FLOW.laidHumusToLayers] += lostN;
  }

  updateDecayClasses(classes, p, modifier, modifier, dt);
  clearParts(parts);
  for (let i = 0; i < cohorts.count; i++) {
    if (livingCarbon(cohorts, i) === 0) continue;
    const part = addPart(parts, i, 1, cohorts.contactClass[i], PILE_ACCOUNT);
    allowDraw(parts, part, 0, PILE_ACCOUNT, 1, 1, Infinity);
  }
  workOutPotentials(task);
  settleRequests(task, PILE_ACCOUNT);
  applyDecay(task);
}

const poolTotals = (pools: Float64Array[]): number[] => pools.map((pool) => total(pool));

/** Organic matter at 50 % carbon plus the ash that came in (floored at 0), g. */
function dryMassLeft(openings: readonly CohortOpening[], carbonInG: number, carbonLeftG: number): number {
  const dryInG = total(openings.map((o) => o.dryMassG));
  return Math.max(2 * carbonLeftG, 2 * carbonLeftG + (dryInG - 2 * carbonInG));
}

function closePile(plan: PilePlan, { task, openings }: RunningPile): PileResult {
  const { cohorts, mineralN, flows } = task;
  const carbonPoolsG = poolTotals(carbonPools(cohorts));
  const nitrogenPoolsG = poolTotals(nitrogenPools(cohorts));
  const carbonInG = total(openings.flatMap((o) => o.carbonG));
  const carbonLeftG = total(carbonPoolsG);
  const mineralNitrogenG = mineralN[PILE_ACCOUNT];
  const nitrogenLeftG = total(nitrogenPoolsG) + mineralNitrogenG;
  const carbonToNitrogen = carbonLeftG / nitrogenLeftG;
  const byCarbon = (value: (o: CohortOpening) => number): number =>
    total(openings.map((o) => value(o) * total(o.carbonG))) / carbonInG;
  return {
    id: plan.id,
    massInKg: total(plan.mix.map((input) => input.massFreshKg)),
    carbonInG,
    nitrogenInG: total(openings.flatMap((o) => [...o.nitrogenG, o.ammoniumG, o.charHeldG])),
    ammoniaG: flows[FLOW.layersVolatilized],
    respiredCarbonG:
      flows[FLOW.freshCarbonRespired] +
      flows[FLOW.microbialCarbonRespired] +
      flows[FLOW.laidHumusCarbonRespired],
    carbonLeftG,
    nitrogenLeftG,
    carbonToNitrogen,
    visibleShare: sumFresh(cohorts) / carbonInG,
    carbonPoolsG,
    nitrogenPoolsG,
    mineralNitrogenG,
    dryMassG: dryMassLeft(openings, carbonInG, carbonLeftG),
    kind: plan.kind ?? (carbonToNitrogen < COMPOST_BELOW_CN ? 'compost' : 'residue'),
    decayRateFactor: byCarbon((o) => o.decayRateFactor),
    dryDensityKgPerM3: byCarbon((o) => o.dryDensityKgPerM3),
  };
}

function sumFresh(cohorts: CohortTable): number {
  let freshC = 0;
  for (let i = 0; i < cohorts.count; i++) freshC += freshCarbon(cohorts, i);
  return freshC;
}

/** Opening balances of `massInKg` of a pile's original input, taken at its end and spread on a bed. */
export function openingFromPile(pile: PileResult, massInKg: number, p: ModelParameters): CohortOpening {
  const share = massInKg / pile.massInKg;
  const [quick, structural, woody] = pile.carbonPoolsG as [number, number, number];
  const [quickN, structuralN, woodyN] = pile.nitrogenPoolsG as [number, number, number];
  return {
    kind: pile.kind,
    carbonG: pile.carbonPoolsG.map((c) => c * share),
    nitrogenG: pile.nitrogenPoolsG.map((n) => n * share),
    ammoniumG: pile.mineralNitrogenG * share,
    charHeldG: 0,
    charCapacityG: 0,
    microbialCn: microbialCnForFeed(quick + structural + woody, quickN + structuralN + woodyN, p),
    decayRateFactor: pile.decayRateFactor,
    ammoniaExposure: SPREAD_AMMONIA_EXPOSURE,
    vaporBarrier: 0,
    charTemperature: 'medium',
    dryMassG: pile.dryMassG * share,
    carbonPerDryMass: pile.carbonLeftG / pile.dryMassG,
    dryDensityKgPerM3: pile.dryDensityKgPerM3,
    isLiquid: false,
  };
}
