import { total } from '../numerics/total.ts';
import { airTemperatureC } from '../climate/weather.ts';
import { temperatureModifier } from '../climate/modifiers.ts';
import type { ClimateNormals } from '../climate/climate.ts';
import type { MaterialKind } from '../materials/material.ts';
import { carbonPools, freshCarbon, nitrogenPools, type CohortTable } from './cohort-table.ts';
import { microbialCnForFeed, openingFromFreshMass, type CohortOpening } from './cohort-opening.ts';
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

/** C:N below which what comes out counts as compost (S10 of the model, set here). */
export const COMPOST_BELOW_CN = 20;
export const SPREAD_AMMONIA_EXPOSURE = 0.3;

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

interface MixedPile {
  readonly pile: RunningPile;
  readonly openings: readonly CohortOpening[];
}

/** Ages a mix day by day: all mineral nitrogen in common, self-heating if hot, no leaching (cover assumed). */
export function runPile(plan: PilePlan, climate: ClimateNormals, p: ModelParameters): PileResult {
  const mixed = openPile(plan, p);
  const airFactor = (plan.isTurned ? p.turnedPileFactor : p.stillPileFactor) * plan.moistureFactor;
  for (let i = 0; i < plan.endDay - plan.startDay; i++) {
    const heating = plan.isHot ? p.pileHeatingC * Math.exp(-i / p.pileCoolingDays) : 0;
    const heapC = airTemperatureC(climate, plan.startDay + i) + heating;
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    for (let s = 0; s < plan.stepsPerDay; s++) agePileSubStep(mixed.pile, warmth, warmth * airFactor);
  }
  return closePile(plan, mixed);
}

function openPile(plan: PilePlan, p: ModelParameters): MixedPile {
  const openings = plan.mix.map(({ material, massFreshKg }) =>
    openingFromFreshMass(material, massFreshKg, p),
  );
  const arrivingN = total(openings.map(({ ammoniumG, charHeldG }) => ammoniumG + charHeldG));
  return { pile: startPile(openings, arrivingN, plan.stepsPerDay, p), openings };
}

const poolTotals = (pools: Float64Array[]): number[] => pools.map((pool) => total(pool));

/** Organic matter at 50 % carbon plus the ash that came in (floored at 0), g. */
function dryMassLeft(openings: readonly CohortOpening[], carbonInG: number, carbonLeftG: number): number {
  const dryInG = total(openings.map((o) => o.dryMassG));
  return Math.max(2 * carbonLeftG, 2 * carbonLeftG + (dryInG - 2 * carbonInG));
}

function closePile(plan: PilePlan, { pile, openings }: MixedPile): PileResult {
  const { cohorts } = pile.task;
  const carbonPoolsG = poolTotals(carbonPools(cohorts));
  const nitrogenPoolsG = poolTotals(nitrogenPools(cohorts));
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
