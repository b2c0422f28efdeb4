import { FLOW } from '../ledger/flows.ts';
import type { CohortTable } from './cohort-table.ts';
import { LOSSES_PER_CLASS, type DecayClasses } from './decay-classes.ts';
import type { ModelParameters } from './parameters.ts';
import { NO_REQUEST, REQUESTS_PER_PART, type Parts } from './parts.ts';

/**
 * Decay of all parts of one sub-step under shared nitrogen. Microbes keep a share of the carbon they eat
 * and need nitrogen for it; what the material lacks they draw from the accounts they touch; when those run
 * short, decay slows, down to a floor below which carbon is respired without growth.
 */
export interface DecayTask {
  readonly parts: Parts;
  readonly cohorts: CohortTable;
  readonly classes: DecayClasses;
  readonly mineralN: Float64Array;
  readonly flows: Float64Array;
  readonly parameters: ModelParameters;
  /** Share of a zone that microbes take at most in this sub-step. */
  readonly microbialDraw: number;
  readonly biomassHumified: number;
  readonly woodyHumified: number;
}

/** What each part would lose, grow and need, were there nitrogen enough; parts that give, give at once. */
export function workOutPotentials(task: DecayTask): void {
  const { parts, cohorts, classes, parameters: p } = task;
  for (let k = 0; k < parts.count; k++) {
    const i = parts.cohort[k];
    const share = parts.share[k];
    const at = parts.decayClass[k] * LOSSES_PER_CLASS;
    const quickLoss = share * classes.losses[at];
    const structuralLoss = share * classes.losses[at + 1];
    const woodyLoss = share * classes.losses[at + 2];
    const turnover = share * classes.losses[at + 3];

    const quickC = quickLoss * cohorts.quickC[i];
    const structuralC = structuralLoss * cohorts.structuralC[i];
    const woodyC = woodyLoss * cohorts.woodyC[i];
    const quickN = quickLoss * cohorts.quickN[i];
    const structuralN = structuralLoss * cohorts.structuralN[i];
    const woodyN = woodyLoss * cohorts.woodyN[i];
    const microbialC = turnover * cohorts.microbialC[i];
    const microbialN = turnover * cohorts.microbialN[i];

    const humifiedN = Math.min((task.biomassHumified * microbialC) / p.humusCarbonToNitrogen, microbialN);
    const turnedN = microbialN - humifiedN;
    const growthC = p.growthEfficiency * (quickC + structuralC) + p.woodyGrowthEfficiency * woodyC;
    const demandN =
      growthC / cohorts.microbialCn[i] + (task.woodyHumified * woodyC) / p.humusCarbonToNitrogen;
    const supplyN = quickN + structuralN + woodyN;
    const shortN = demandN - supplyN;

    parts.quickC[k] = quickC;
    parts.structuralC[k] = structuralC;
    parts.woodyC[k] = woodyC;
    parts.quickN[k] = quickN;
    parts.structuralN[k] = structuralN;
    parts.woodyN[k] = woodyN;
    parts.microbialC[k] = microbialC;
    parts.microbialN[k] = microbialN;
    parts.humifiedN[k] = humifiedN;
    parts.turnedN[k] = turnedN;
    parts.growthC[k] = growthC;
    parts.demandN[k] = demandN;
    parts.supplyN[k] = supplyN;
    parts.got[k] = 0;
    if (shortN > turnedN) {
      parts.need[k] = shortN - turnedN;
    } else {
      parts.need[k] = 0;
      release(task, k, turnedN - shortN);
    }
  }
}

function release({ parts, cohorts, mineralN, flows }: DecayTask, part: number, nitrogenG: number): void {
  const account = parts.releasesTo[part];
  const i = parts.cohort[part];
  mineralN[account] += nitrogenG;
  if (account === 0) {
    cohorts.releasedToContactZoneN[i] += nitrogenG;
    flows[FLOW.mineralizedToContactZone] += nitrogenG;
  } else if (account === 1) {
    cohorts.releasedToRootZoneN[i] += nitrogenG;
    flows[FLOW.mineralizedToRootZone] += nitrogenG;
  } else {
    cohorts.releasedToLayersN[i] += nitrogenG;
    flows[FLOW.mineralizedToLayers] += nitrogenG;
  }
}

/** Settles all requests to one account pro rata. Every ask is worked out before any is paid. */
export function settleRequests(task: DecayTask, account: number): void {
  const { parts, mineralN, microbialDraw } = task;
  const content = mineralN[account];
  if (content <= 0) return;
  let total = 0;
  let largestReach = 0;
  for (let r = parts.firstRequest[account]; r !== NO_REQUEST; r = parts.nextRequest[r]!) {
    const part = (r / REQUESTS_PER_PART) | 0;
    const missing = parts.need[part] - parts.got[part];
    if (missing <= 0) {
      parts.asked[r] = 0;
      continue;
    }
    const reach = parts.reach[r];
    const ask = Math.min(parts.gain[r] * missing, microbialDraw * reach * content, parts.cap[r]);
    parts.asked[r] = ask;
    total += ask;
    if (reach > largestReach) largestReach = reach;
  }
  if (total <= 0) return;
  const limit = microbialDraw * largestReach * content;
  pay(task, account, total <= limit ? 1 : limit / total);
}

function pay(task: DecayTask, account: number, scale: number): void {
  const { parts, cohorts, mineralN, flows } = task;
  const drawn =
    account === 0
      ? cohorts.drawnFromContactZoneN
      : account === 1
        ? cohorts.drawnFromRootZoneN
        : cohorts.drawnFromLayersN;
  let paid = 0;
  for (let r = parts.firstRequest[account]; r !== NO_REQUEST; r = parts.nextRequest[r]!) {
    const amount = parts.asked[r] * scale;
    if (amount === 0) continue;
    const part = (r / REQUESTS_PER_PART) | 0;
    parts.got[part] += amount;
    drawn[parts.cohort[part]] += amount;
    paid += amount;
  }
  mineralN[account] = Math.max(0, mineralN[account] - paid);
  const flow =
    account === 0
      ? FLOW.immobilizedFromContactZone
      : account === 1
        ? FLOW.immobilizedFromRootZone
        : FLOW.immobilizedFromLayers;
  flows[flow] += paid;
}

/** Moves carbon and nitrogen of every part as far as its nitrogen allows. */
export function applyDecay(task: DecayTask): void {
  const { parts, cohorts, flows, parameters: p } = task;
  let allGrownC = 0;
  let allWoodyHumusC = 0;
  let allFreshRespiredC = 0;
  let allBiomassHumusC = 0;
  let allBiomassRespiredC = 0;
  let allTakenN = 0;
  let allHumusN = 0;
  for (let k = 0; k < parts.count; k++) {
    const i = parts.cohort[k];
    const turnedN = parts.turnedN[k];
    const demandN = parts.demandN[k];
    const supplyN = parts.supplyN[k];
    const microbialC = parts.microbialC[k];
    let pace = 1;
    let growthShare = 1;
    if (parts.need[k] > 0) {
      const available = turnedN + parts.got[k];
      pace = Math.min(1, available / (demandN - supplyN));
      if (pace < p.starvedDecayFloor) {
        pace = p.starvedDecayFloor;
        growthShare = (pace * supplyN + available) / (pace * demandN);
      }
    }
    const quickC = pace * parts.quickC[k];
    const structuralC = pace * parts.structuralC[k];
    const woodyC = pace * parts.woodyC[k];
    const eatenC = quickC + structuralC + woodyC;
    const grownC = pace * growthShare * parts.growthC[k];
    const woodyHumusC = growthShare * task.woodyHumified * woodyC;
    const biomassHumusC = task.biomassHumified * microbialC;
    const woodyHumusN = woodyHumusC / p.humusCarbonToNitrogen;
    const takenN = pace * supplyN;

    cohorts.quickC[i] -= quickC;
    cohorts.structuralC[i] -= structuralC;
    cohorts.woodyC[i] -= woodyC;
    cohorts.quickN[i] -= pace * parts.quickN[k];
    cohorts.structuralN[i] -= pace * parts.structuralN[k];
    cohorts.woodyN[i] -= pace * parts.woodyN[k];
    cohorts.microbialC[i] += grownC - microbialC;
    cohorts.microbialN[i] += grownC / cohorts.microbialCn[i] - parts.microbialN[k];
    cohorts.humusC[i] += woodyHumusC + biomassHumusC;
    cohorts.humusN[i] += woodyHumusN + parts.humifiedN[k];
    cohorts.humifiedC[i] += woodyHumusC + biomassHumusC;
    const freshRespiredC = eatenC - grownC - woodyHumusC;
    cohorts.respiredC[i] += freshRespiredC + (microbialC - biomassHumusC);
    cohorts.decayLimit[i] += parts.share[k] * pace;

    allGrownC += grownC;
    allWoodyHumusC += woodyHumusC;
    allFreshRespiredC += freshRespiredC;
    allBiomassHumusC += biomassHumusC;
    allBiomassRespiredC += microbialC - biomassHumusC;
    allTakenN += takenN;
    allHumusN += woodyHumusN + parts.humifiedN[k];
  }
  flows[FLOW.freshCarbonGrown] += allGrownC;
  flows[FLOW.freshCarbonHumified] += allWoodyHumusC;
  flows[FLOW.freshCarbonRespired] += allFreshRespiredC;
  flows[FLOW.microbialCarbonHumified] += allBiomassHumusC;
  flows[FLOW.microbialCarbonRespired] += allBiomassRespiredC;
  flows[FLOW.freshNitrogenTaken] += allTakenN;
  flows[FLOW.microbialNitrogenHumified] += allHumusN;
}
