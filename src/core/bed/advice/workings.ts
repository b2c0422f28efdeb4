import { type DayNumber, total } from '../../ground/index.ts';
import {
  type Apply,
  type BedScenario,
  type CohortOpening,
  type ModelParameters,
  isFromPile,
  openingOf,
  runPile,
  withOverrides,
} from '../../model/index.ts';

/** Why a layer draws nitrogen, in this bed's own figures, per m2. */
export interface LayerWorking {
  readonly layerId: string;
  readonly day: DayNumber;
  readonly massFreshKg: number;
  readonly carbonG: number;
  readonly nitrogenG: number;
  readonly carbonToNitrogen: number;
  readonly quickAndStructuralC: number;
  readonly woodyC: number;
  readonly growthEfficiency: number;
  readonly woodyGrowthEfficiency: number;
  readonly microbialCn: number;
  readonly woodyHumifiedShare: number;
  readonly humusCn: number;
  /** Microbial and humus nitrogen wanted were all of it eaten at once, and what the material itself brings for it. */
  readonly wantedG: number;
  readonly broughtG: number;
  readonly lackingG: number;
}

/** The nitrogen account of an application were all its carbon eaten: the model spreads it over years. */
export function layerWorking(scenario: BedScenario, layerId: string): LayerWorking | null {
  const event = scenario.events.find((one): one is Apply => one.type === 'apply' && one.id === layerId);
  if (!event) return null;
  const p = withOverrides(scenario.parameters);
  const opening = openingIn(event, scenario, p);
  const [quickC, structuralC, woodyC] = opening.carbonG as [number, number, number];
  const grownC = p.growthEfficiency * (quickC + structuralC) + p.woodyGrowthEfficiency * woodyC;
  const wantedG = grownC / opening.microbialCn + (p.woodyHumifiedShare * woodyC) / p.humusCarbonToNitrogen;
  const broughtG = total(opening.nitrogenG.slice(0, 3));
  const carbonG = total(opening.carbonG);
  const nitrogenG = total(opening.nitrogenG) + opening.ammoniumG + opening.charHeldG;
  return {
    layerId,
    day: event.day,
    massFreshKg: event.massFreshKgPerM2,
    carbonG,
    nitrogenG,
    carbonToNitrogen: nitrogenG > 0 ? carbonG / nitrogenG : 0,
    quickAndStructuralC: quickC + structuralC,
    woodyC,
    growthEfficiency: p.growthEfficiency,
    woodyGrowthEfficiency: p.woodyGrowthEfficiency,
    microbialCn: opening.microbialCn,
    woodyHumifiedShare: p.woodyHumifiedShare,
    humusCn: p.humusCarbonToNitrogen,
    wantedG,
    broughtG,
    lackingG: Math.max(0, wantedG - broughtG),
  };
}

/** Runs only the pile that the application is taken from. */
function openingIn(event: Apply, { piles, climate }: BedScenario, p: ModelParameters): CohortOpening {
  const plan = isFromPile(event) ? piles.find(({ id }) => id === event.pileId) : undefined;
  return openingOf(event, new Map(plan ? [[plan.id, runPile(plan, climate, p)]] : []), p);
}
