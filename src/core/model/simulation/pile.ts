import {
  type MaterialKind,
  type SeededWeather,
  temperatureModifier,
  total,
  weatherSeries,
} from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { carbonPools, freshCarbon, nitrogenPools, POOL_NAMES, type Cohort } from './cohort.ts';
import {
  feedCarbonToNitrogen,
  microbialCnForFeed,
  openingFromFreshMass,
  type CohortOpening,
} from './cohort-opening.ts';
import {
  agePileSubStep,
  ammoniaLostG,
  carbonRespiredG,
  mineralNitrogenOf,
  startPile,
  type RunningPile,
} from './pile-run.ts';
import type { ModelParameters } from './parameters.ts';
import type { PilePlan } from './scenario.ts';

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
  /** Minerals that went in: they come over whole. */
  readonly ashInG: number;
  readonly kind: MaterialKind;
  readonly decayRateFactor: number;
  readonly dryDensityKgPerM3: number;
}

interface MixedPile {
  readonly pile: RunningPile;
  readonly openings: readonly CohortOpening[];
}

/** Ages a mix day by day: all mineral nitrogen in common, self-heating if hot, no leaching (cover assumed). */
export function runPile(
  plan: PilePlan,
  climate: ClimateNormals,
  p: ModelParameters,
  seeded?: SeededWeather,
): PileResult {
  const mixed = openPile(plan, p);
  const airFactor = (plan.isTurned ? p.turnedPileFactor : p.stillPileFactor) * plan.moistureFactor;
  const days = plan.endDay - plan.startDay;
  const { airC } = weatherSeries(climate, plan.startDay, days, p, { seeded });
  for (let i = 0; i < days; i++) {
    const heating = plan.isHot ? p.pileHeatingC * Math.exp(-i / p.pileCoolingDays) : 0;
    const heapC = airC[i] + heating;
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    for (let s = 0; s < plan.stepsPerDay; s++) agePileSubStep(mixed.pile, warmth, warmth * airFactor);
  }
  return closePile(plan, mixed, p);
}

function openPile(plan: PilePlan, p: ModelParameters): MixedPile {
  const openings = plan.mix.map(({ material, massFreshKg }) =>
    openingFromFreshMass(material, massFreshKg, p),
  );
  const arrivingN = total(openings.map(({ ammoniumG, charHeldG }) => ammoniumG + charHeldG));
  return { pile: startPile(openings, arrivingN, plan.stepsPerDay, p), openings };
}

const poolTotals = (cohorts: readonly Cohort[], poolsOf: (cohort: Cohort) => number[]): number[] =>
  POOL_NAMES.map((_, k) => total(cohorts.map((cohort) => poolsOf(cohort)[k])));

/** Organic matter at 50 % carbon plus the ash that came in (floored at 0), g. */
function dryMassLeft(openings: readonly CohortOpening[], carbonInG: number, carbonLeftG: number): number {
  const dryInG = total(openings.map((o) => o.dryMassG));
  return Math.max(2 * carbonLeftG, 2 * carbonLeftG + (dryInG - 2 * carbonInG));
}

function closePile(plan: PilePlan, { pile, openings }: MixedPile, p: ModelParameters): PileResult {
  const { cohorts } = pile;
  const carbonPoolsG = poolTotals(cohorts, carbonPools);
  const nitrogenPoolsG = poolTotals(cohorts, nitrogenPools);
  const carbonInG = total(openings.flatMap((o) => o.carbonG));
  const carbonLeftG = total(carbonPoolsG);
  const mineralNitrogenG = mineralNitrogenOf(pile);
  const nitrogenLeftG = total(nitrogenPoolsG) + mineralNitrogenG;
  const carbonToNitrogen = carbonLeftG / nitrogenLeftG;
  const byCarbon = (value: (o: CohortOpening) => number): number =>
    total(openings.map((o) => value(o) * total(o.carbonG))) / carbonInG;
  return {
    id: plan.id,
    massInKg: total(plan.mix.map((input) => input.massFreshKg)),
    carbonInG,
    nitrogenInG: total(openings.flatMap((o) => [...o.nitrogenG, o.ammoniumG, o.charHeldG])),
    ammoniaG: ammoniaLostG(pile),
    respiredCarbonG: carbonRespiredG(pile),
    carbonLeftG,
    nitrogenLeftG,
    carbonToNitrogen,
    visibleShare: total(cohorts.map(freshCarbon)) / carbonInG,
    carbonPoolsG,
    nitrogenPoolsG,
    mineralNitrogenG,
    dryMassG: dryMassLeft(openings, carbonInG, carbonLeftG),
    ashInG: total(openings.map(({ ashG }) => ashG)),
    kind: plan.kind ?? (carbonToNitrogen < p.compostBelowCn ? 'compost' : 'residue'),
    decayRateFactor: byCarbon((o) => o.decayRateFactor),
    dryDensityKgPerM3: byCarbon((o) => o.dryDensityKgPerM3),
  };
}

/** Opening balances of `massInKg` of a pile's original input, taken at its end and spread on a bed. */
export function openingFromPile(pile: PileResult, massInKg: number, p: ModelParameters): CohortOpening {
  const share = massInKg / pile.massInKg;
  const carbonG = pile.carbonPoolsG.map((c) => c * share);
  const nitrogenG = pile.nitrogenPoolsG.map((n) => n * share);
  const dryMassG = pile.dryMassG * share;
  return {
    kind: pile.kind,
    carbonG,
    nitrogenG,
    ammoniumG: pile.mineralNitrogenG * share,
    nitrateG: 0,
    charHeldG: 0,
    charCapacityG: 0,
    microbialCn: microbialCnForFeed(feedCarbonToNitrogen({ carbonG, nitrogenG }), p),
    decayRateFactor: pile.decayRateFactor,
    ammoniaExposure: p.spreadHeapAmmoniaExposure,
    vaporBarrier: 0,
    charTemperature: 'medium',
    dryMassG,
    ashG: Math.min(dryMassG, pile.ashInG * share),
    dryDensityKgPerM3: pile.dryDensityKgPerM3,
    isLiquid: false,
    sievedShare: p.sievedShare.fine,
    humificationFactor: 1,
  };
}
