import { openPostings, type Postings } from '../ledger/postings.ts';
import { lostShare } from '../../ground/index.ts';
import {
  carbonPools,
  emptyCohort,
  fillPools,
  livingCarbon,
  nitrogenPools,
  traits,
  type Cohort,
  type CohortTraits,
} from './cohort.ts';
import { decayClassFor, Modifiers, updateDecayClass, type DecayClass } from './decay-classes.ts';
import { askNitrogen, MineralAccount } from './decay-part.ts';
import { applyDecay, settleRequests, weighPart } from './nitrogen-limited-decay.ts';
import type { ModelParameters } from './parameters.ts';

/** What a pile holds of one thing that went in, g. Seven pools in the order of POOL_NAMES. */
export interface PileCohort {
  readonly carbonG: readonly number[];
  readonly nitrogenG: readonly number[];
  readonly microbialCn: number;
  readonly decayRateFactor: number;
  readonly humificationFactor: number;
}

/** A pile on its way through time: all mineral nitrogen in common, no leaching (cover assumed). */
export interface RunningPile {
  readonly cohorts: readonly Cohort[];
  readonly account: MineralAccount;
  readonly postings: Postings;
  readonly parameters: ModelParameters;
  /** Share of the mineral nitrogen that microbes take at most in a sub-step. */
  readonly microbialDraw: number;
  readonly modifiers: Modifiers;
  readonly dtDays: number;
}

/** Of what a cohort is, only its pace matters in a pile. */
const traitsOf = (one: PileCohort): CohortTraits =>
  traits({
    id: '',
    kind: 'none',
    decayRateFactor: one.decayRateFactor,
    sievedShare: 1,
    humificationFactor: one.humificationFactor,
    ammoniaExposure: 0,
    ammoniaProneShare: 0,
    vaporBarrier: 0,
    countsAsSoil: false,
    isLiftCapped: false,
  });

function openPileCohort(one: PileCohort, classes: DecayClass[], p: ModelParameters): Cohort {
  const decay = decayClassFor(classes, one.decayRateFactor, 1, 'surface');
  const cohort = emptyCohort(traitsOf(one), decay, decay);
  fillPools(cohort, one);
  cohort.microbialCn = one.microbialCn;
  // Clay does not help in a pile.
  cohort.biomassHumified = Math.min(p.largestHumifiedShare, p.biomassHumifiedShare * one.humificationFactor);
  cohort.woodyHumified = p.woodyHumifiedShare * one.humificationFactor;
  return cohort;
}

/** Sets up a pile of what it holds. `mineralNitrogenG` is common to all of it. */
export function startPile(
  contents: readonly PileCohort[],
  mineralNitrogenG: number,
  stepsPerDay: number,
  p: ModelParameters,
): RunningPile {
  const classes: DecayClass[] = [];
  return {
    cohorts: contents.map((one) => openPileCohort(one, classes, p)),
    account: new MineralAccount('layers', mineralNitrogenG),
    postings: openPostings(),
    parameters: p,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** (1 / stepsPerDay),
    modifiers: new Modifiers(),
    dtDays: 1 / stepsPerDay,
  };
}

/**
 * One sub-step: ammonia, humus, then decay. `escape` is the temperature modifier, times whatever else lets ammonia out;
 * `modifier` the temperature modifier times air and moisture; `ammoniumShare` is the share of the mineral nitrogen that
 * can escape as ammonia. Mutates pile.
 */
export function agePileSubStep(pile: RunningPile, escape: number, modifier: number, ammoniumShare = 1): void {
  const { cohorts, account, postings, parameters: p, dtDays } = pile;
  const ammonia = account.nitrogenG * ammoniumShare * lostShare(p.pileAmmoniaLossPerDay * escape * dtDays);
  account.nitrogenG -= ammonia;
  postings.layersVolatilized += ammonia;

  decayHumus(pile, lostShare((p.humusDecayPerYear * modifier * dtDays) / 365));

  pile.modifiers.surface = modifier;
  for (const cohort of cohorts) {
    if (livingCarbon(cohort) === 0) continue;
    updateDecayClass(cohort.contactDecay, p, pile.modifiers, dtDays);
    weighPart(p, cohort, cohort.contact, cohort.contactDecay, 1);
    const { need } = cohort.contact;
    if (need > 0) {
      askNitrogen(cohort.contact.first, account, 1, 1, Infinity);
    } else {
      account.nitrogenG -= need;
      postings.mineralizedToLayers -= need;
    }
  }
  settleRequests(account, pile.microbialDraw, postings);
  for (const cohort of cohorts) {
    if (livingCarbon(cohort) > 0) applyDecay(p, cohort, cohort.contact, postings);
  }
}

function decayHumus({ cohorts, account, postings }: RunningPile, lost: number): void {
  for (const cohort of cohorts) {
    const lostC = cohort.humusC * lost;
    const lostN = cohort.humusN * lost;
    cohort.humusC -= lostC;
    cohort.humusN -= lostN;
    account.nitrogenG += lostN;
    postings.laidHumusCarbonRespired += lostC;
    postings.laidHumusToLayers += lostN;
  }
}

export const mineralNitrogenOf = ({ account }: RunningPile): number => account.nitrogenG;

/** Takes mineral nitrogen out of a pile, onto char for instance. Mutates pile. */
export function drawMineralNitrogen({ account }: RunningPile, nitrogenG: number): void {
  account.nitrogenG -= nitrogenG;
}

/** Ammonia lost since the start, g N. */
export const ammoniaLostG = ({ postings }: RunningPile): number => postings.layersVolatilized;

/** Mineral nitrogen set free since the start, g: it comes as ammonium. */
export const mineralizedG = ({ postings }: RunningPile): number =>
  postings.mineralizedToLayers + postings.laidHumusToLayers;

/** Carbon breathed out since the start, g. */
export const carbonRespiredG = ({ postings }: RunningPile): number =>
  postings.freshCarbonRespired + postings.microbialCarbonRespired + postings.laidHumusCarbonRespired;

/** The pools of a cohort, in the order of POOL_NAMES. */
export const poolsOf = (cohort: Cohort): { readonly carbonG: number[]; readonly nitrogenG: number[] } => ({
  carbonG: carbonPools(cohort),
  nitrogenG: nitrogenPools(cohort),
});
