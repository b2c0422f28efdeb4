import { lostShare } from '../numerics/exponential-loss.ts';
import { FLOW, FLOW_COUNT } from '../ledger/flows.ts';
import {
  carbonPools,
  createCohortTable,
  livingCarbon,
  nitrogenPools,
  type CohortTable,
} from './cohort-table.ts';
import { createDecayClasses, decayClassFor, updateDecayClasses } from './decay-classes.ts';
import { applyDecay, settleRequests, workOutPotentials, type DecayTask } from './nitrogen-limited-decay.ts';
import { addPart, allowDraw, clearParts, createParts } from './parts.ts';
import type { ModelParameters } from './parameters.ts';

/** The account of a pile's mineral nitrogen sits where the first layer of a bed would. */
const PILE_ACCOUNT = 2;

/** What a pile holds of one thing that went in, g. Seven pools in the order of POOL_NAMES. */
export interface PileCohort {
  readonly carbonG: readonly number[];
  readonly nitrogenG: readonly number[];
  readonly microbialCn: number;
  readonly decayRateFactor: number;
}

/** A pile on its way through time: all mineral nitrogen in common, no leaching (cover assumed). */
export interface RunningPile {
  readonly task: DecayTask;
  readonly dtDays: number;
}

/** Sets up a pile of what it holds. `mineralNitrogenG` is common to all of it. */
export function startPile(
  contents: readonly PileCohort[],
  mineralNitrogenG: number,
  stepsPerDay: number,
  p: ModelParameters,
): RunningPile {
  const cohorts = createCohortTable(contents.length);
  const classes = createDecayClasses();
  const mineralN = new Float64Array(PILE_ACCOUNT + 1);
  mineralN[PILE_ACCOUNT] = mineralNitrogenG;
  contents.forEach((one, i) => {
    cohorts.count += 1;
    carbonPools(cohorts).forEach((pool, k) => (pool[i] = one.carbonG[k]!));
    nitrogenPools(cohorts).forEach((pool, k) => (pool[i] = one.nitrogenG[k]!));
    cohorts.microbialCn[i] = one.microbialCn;
    cohorts.contactClass[i] = decayClassFor(classes, one.decayRateFactor, 0, 1);
  });
  const task: DecayTask = {
    parts: createParts(contents.length, mineralN.length),
    cohorts,
    classes,
    mineralN,
    flows: new Float64Array(FLOW_COUNT),
    parameters: p,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** (1 / stepsPerDay),
    biomassHumified: p.biomassHumifiedShare,
    woodyHumified: p.woodyHumifiedShare,
  };
  return { task, dtDays: 1 / stepsPerDay };
}

/**
 * One sub-step: ammonia, humus, then decay. `warmth` is the temperature modifier, `modifier` the same times air
 * and moisture. Mutates pile.
 */
export function agePileSubStep({ task, dtDays }: RunningPile, warmth: number, modifier: number): void {
  const { cohorts, mineralN, flows, parameters: p, parts, classes } = task;
  const ammonia = mineralN[PILE_ACCOUNT] * lostShare(p.pileAmmoniaLossPerDay * warmth * dtDays);
  mineralN[PILE_ACCOUNT] -= ammonia;
  flows[FLOW.layersVolatilized] += ammonia;

  decayHumus(task, lostShare((p.humusDecayPerYear * modifier * dtDays) / 365));

  updateDecayClasses(classes, p, modifier, modifier, dtDays);
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

function decayHumus({ cohorts, mineralN, flows }: DecayTask, lost: number): void {
  for (let i = 0; i < cohorts.count; i++) {
    const lostC = cohorts.humusC[i] * lost;
    const lostN = cohorts.humusN[i] * lost;
    cohorts.humusC[i] -= lostC;
    cohorts.humusN[i] -= lostN;
    mineralN[PILE_ACCOUNT] += lostN;
    flows[FLOW.laidHumusCarbonRespired] += lostC;
    flows[FLOW.laidHumusToLayers] += lostN;
  }
}

export const mineralNitrogenOf = ({ task }: RunningPile): number => task.mineralN[PILE_ACCOUNT];

/** Takes mineral nitrogen out of a pile, onto char for instance. Mutates pile. */
export function drawMineralNitrogen({ task }: RunningPile, nitrogenG: number): void {
  task.mineralN[PILE_ACCOUNT] -= nitrogenG;
}

/** Ammonia lost since the start, g N. */
export const ammoniaLostG = ({ task }: RunningPile): number => task.flows[FLOW.layersVolatilized];

/** Carbon breathed out since the start, g. */
export const carbonRespiredG = ({ task: { flows } }: RunningPile): number =>
  flows[FLOW.freshCarbonRespired] + flows[FLOW.microbialCarbonRespired] + flows[FLOW.laidHumusCarbonRespired];

/** The pools of cohort `i`, in the order of POOL_NAMES. */
export const poolsOf = (
  t: CohortTable,
  i: number,
): { readonly carbonG: number[]; readonly nitrogenG: number[] } => ({
  carbonG: carbonPools(t).map((pool) => pool[i]),
  nitrogenG: nitrogenPools(t).map((pool) => pool[i]),
});
