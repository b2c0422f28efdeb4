import type { Postings } from '../ledger/postings.ts';
import type { Cohort } from './cohort.ts';
import type { DecayClass } from './decay-classes.ts';
import type { DecayPart, DrawRequest, MineralAccount } from './decay-part.ts';
import type { ModelParameters } from './parameters.ts';

/*
 * Decay under shared nitrogen. Microbes keep a share of the carbon they eat and need nitrogen for it; what the
 * material lacks they draw from the accounts they touch; when those run short, decay slows, down to a floor below
 * which carbon is respired without growth.
 */

/** What `share` of a cohort would lose, grow and need, were there nitrogen enough. Mutates part. */
export function weighPart(
  p: ModelParameters,
  cohort: Cohort,
  part: DecayPart,
  losses: DecayClass,
  share: number,
): void {
  const quickLoss = share * losses.quickLoss;
  const structuralLoss = share * losses.structuralLoss;
  const woodyLoss = share * losses.woodyLoss;
  const turnover = share * losses.microbialLoss;
  const quickC = quickLoss * cohort.quickC;
  const structuralC = structuralLoss * cohort.structuralC;
  const woodyC = woodyLoss * cohort.woodyC;
  const quickN = quickLoss * cohort.quickN;
  const structuralN = structuralLoss * cohort.structuralN;
  const woodyN = woodyLoss * cohort.woodyN;
  const microbialC = turnover * cohort.microbialC;
  const microbialN = turnover * cohort.microbialN;
  const humifiedN = Math.min((cohort.biomassHumified * microbialC) / p.humusCarbonToNitrogen, microbialN);
  const grownC = p.growthEfficiency * (quickC + structuralC) + p.woodyGrowthEfficiency * woodyC;
  const demandN = grownC / cohort.microbialCn + (cohort.woodyHumified * woodyC) / p.humusCarbonToNitrogen;

  part.share = share;
  part.quickC = quickC;
  part.structuralC = structuralC;
  part.woodyC = woodyC;
  part.quickN = quickN;
  part.structuralN = structuralN;
  part.woodyN = woodyN;
  part.microbialC = microbialC;
  part.microbialN = microbialN;
  part.humifiedN = humifiedN;
  part.need = demandN - (quickN + structuralN + woodyN) - (microbialN - humifiedN);
  part.got = 0;
  part.first.account = null;
  part.second.account = null;
}

/**
 * Settles all requests to one account: every ask is worked out before any is paid, and each receives its ask, or its
 * share of what lies within its reach. Mutates account, its requests and their parts, and postings.
 */
export function settleRequests(account: MineralAccount, microbialDraw: number, postings: Postings): void {
  let total = 0;
  for (let one = account.requests; one !== null; one = one.next) {
    const asked = Math.min(one.gain * (one.part.need - one.part.got), one.cap);
    one.asked = asked > 0 ? asked : 0;
    total += one.asked;
  }
  let paid = 0;
  if (total > 0) {
    const perAsked = (microbialDraw * account.nitrogenG) / total;
    for (let one = account.requests; one !== null; one = one.next) paid += pay(one, perAsked);
    account.nitrogenG = Math.max(0, account.nitrogenG - paid);
  } else {
    for (let one = account.requests; one !== null; one = one.next) one.paid = 0;
  }
  account.requests = null;
  if (account.place === 'contactZone') postings.immobilizedFromContactZone += paid;
  else if (account.place === 'rootZone') postings.immobilizedFromRootZone += paid;
  else postings.immobilizedFromLayers += paid;
}

function pay(one: DrawRequest, perAsked: number): number {
  const amount = one.asked * Math.min(1, perAsked * one.reach);
  one.paid = amount;
  one.part.got += amount;
  return amount;
}

/** Moves carbon and nitrogen of a part as far as its nitrogen allows. Mutates cohort and postings. */
export function applyDecay(p: ModelParameters, cohort: Cohort, part: DecayPart, postings: Postings): void {
  noteDraw(cohort, part.first);
  noteDraw(cohort, part.second);
  const { microbialC } = part;
  const supplyN = part.quickN + part.structuralN + part.woodyN;
  const potentialC =
    p.growthEfficiency * (part.quickC + part.structuralC) + p.woodyGrowthEfficiency * part.woodyC;
  let pace = 1;
  let growthShare = 1;
  if (part.need > 0) {
    const demandN =
      potentialC / cohort.microbialCn + (cohort.woodyHumified * part.woodyC) / p.humusCarbonToNitrogen;
    const available = part.microbialN - part.humifiedN + part.got;
    pace = Math.min(1, available / (demandN - supplyN));
    if (pace < p.starvedDecayFloor) {
      pace = p.starvedDecayFloor;
      growthShare = (pace * supplyN + available) / (pace * demandN);
    }
  }
  const woodyC = pace * part.woodyC;
  const grownC = pace * growthShare * potentialC;
  const woodyHumusC = growthShare * cohort.woodyHumified * woodyC;
  const biomassHumusC = cohort.biomassHumified * microbialC;
  const humusC = woodyHumusC + biomassHumusC;
  const humusN = woodyHumusC / p.humusCarbonToNitrogen + part.humifiedN;
  const freshRespiredC = pace * (part.quickC + part.structuralC) + woodyC - grownC - woodyHumusC;
  const biomassRespiredC = microbialC - biomassHumusC;

  cohort.quickC -= pace * part.quickC;
  cohort.structuralC -= pace * part.structuralC;
  cohort.woodyC -= woodyC;
  cohort.quickN -= pace * part.quickN;
  cohort.structuralN -= pace * part.structuralN;
  cohort.woodyN -= pace * part.woodyN;
  cohort.microbialC += grownC - microbialC;
  cohort.microbialN += grownC / cohort.microbialCn - part.microbialN;
  cohort.humusC += humusC;
  cohort.humusN += humusN;
  cohort.humifiedC += humusC;
  cohort.respiredC += freshRespiredC + biomassRespiredC;
  cohort.decayLimit += part.share * pace;

  postings.freshCarbonGrown += grownC;
  postings.freshCarbonHumified += woodyHumusC;
  postings.freshCarbonRespired += freshRespiredC;
  postings.microbialCarbonHumified += biomassHumusC;
  postings.microbialCarbonRespired += biomassRespiredC;
  postings.freshNitrogenTaken += pace * supplyN;
  postings.microbialNitrogenHumified += humusN;
}

function noteDraw(cohort: Cohort, { account, paid }: DrawRequest): void {
  if (account === null) return;
  if (account.place === 'contactZone') cohort.drawnFromContactZoneN += paid;
  else if (account.place === 'rootZone') cohort.drawnFromRootZoneN += paid;
  else cohort.drawnFromLayersN += paid;
}

/** Notes the largest lock-up so far. Mutates cohort. */
export function notePeakLock(cohort: Cohort): void {
  const lockedN =
    cohort.drawnFromLayersN +
    cohort.drawnFromContactZoneN +
    cohort.drawnFromRootZoneN -
    cohort.releasedToLayersN -
    cohort.releasedToContactZoneN -
    cohort.releasedToRootZoneN;
  if (lockedN > cohort.peakLockedN) cohort.peakLockedN = lockedN;
}
