import {
  CENTIMETRES_PER_FOOT,
  CENTIMETRES_PER_METRE,
  type DayNumber,
  type Material,
  dayNumberFromIso,
  hasTrait,
} from '../../ground/index.ts';
import type { Bed } from '../../../records/bed.ts';

/** Days from raw manure to harvest: US organic rule, 7 CFR 205.203 (from memory); local rules prevail. */
export const MANURE_TO_HARVEST_DAYS = { ediblePartTouchesSoil: 120, otherwise: 90 } as const;
/** Urine is kept off edible plants for a month before harvest: WHO 2006 (from memory). */
export const URINE_TO_HARVEST_DAYS = 30;
/** A layer this deep wants to be laid in parts, and kept dry ones away from buildings (set here). */
const DEEP_LAYER_CM = 10;
/** Nobody lays deeper at once, but for raised clay under chips (common practice, no source). */
const DEEPEST_USUAL_CM = 60;
const WET_CLAY_FROM_PCT = 35;
const FEED_IN_ONE_GO_G_PER_M2 = 6;

export type Caution =
  | { readonly code: 'rawManure'; readonly touchingSoilDay: DayNumber; readonly otherwiseDay: DayNumber }
  | { readonly code: 'urine'; readonly harvestDay: DayNumber }
  | { readonly code: 'persistentWeedkiller' }
  | { readonly code: 'metals' }
  | { readonly code: 'plastic' }
  | { readonly code: 'compostDust' }
  | { readonly code: 'charDust' }
  | { readonly code: 'unchargedChar' }
  | { readonly code: 'keepOffTrunk' }
  | { readonly code: 'deepLayer' }
  | { readonly code: 'veryDeep'; readonly thicknessCm: number; readonly ifFeetCm: number }
  | { readonly code: 'wetClay' }
  | { readonly code: 'muchNitrogen'; readonly gPerM2: number };

/** A laying as it is being thought about. */
export interface Laying {
  readonly date: string;
  readonly material: Material;
  readonly dugDepthCm: number;
  readonly thicknessCm: number;
}

/** What to mind before laying something on a bed, the gravest first. */
export function layingCautions(laying: Laying, bed: Pick<Bed, 'kind' | 'clayPct'>): Caution[] {
  const { material, date, dugDepthCm, thicknessCm } = laying;
  const day = dayNumberFromIso(date, ['date']);
  const isManure = material.kind === 'manure';
  const cautions: (Caution | false)[] = [
    isManure && {
      code: 'rawManure',
      touchingSoilDay: day + MANURE_TO_HARVEST_DAYS.ediblePartTouchesSoil,
      otherwiseDay: day + MANURE_TO_HARVEST_DAYS.otherwise,
    },
    hasTrait(material, 'isUrine') && { code: 'urine', harvestDay: day + URINE_TO_HARVEST_DAYS },
    hasTrait(material, 'mayCarryWeedkiller') && { code: 'persistentWeedkiller' },
    hasTrait(material, 'mayHoldMetals') && { code: 'metals' },
    hasTrait(material, 'mayHoldPlastic') && { code: 'plastic' },
    material.kind === 'char' && { code: 'charDust' },
    material.kind === 'char' && !material.isCharged && { code: 'unchargedChar' },
    material.kind === 'compost' && { code: 'compostDust' },
    (bed.kind === 'treeRing' || bed.kind === 'shrubs') && dugDepthCm === 0 && { code: 'keepOffTrunk' },
    dugDepthCm > 0 && bed.clayPct >= WET_CLAY_FROM_PCT && { code: 'wetClay' },
    dugDepthCm === 0 && thicknessCm >= DEEP_LAYER_CM && { code: 'deepLayer' },
    dugDepthCm === 0 &&
      thicknessCm > DEEPEST_USUAL_CM && {
        code: 'veryDeep',
        thicknessCm,
        ifFeetCm: (thicknessCm / CENTIMETRES_PER_METRE) * CENTIMETRES_PER_FOOT,
      },
  ];
  return cautions.filter((caution) => caution !== false);
}

/** What to mind before feeding quick nitrogen. */
export const feedingCautions = (nitrogenGPerM2: number): Caution[] =>
  nitrogenGPerM2 > FEED_IN_ONE_GO_G_PER_M2 ? [{ code: 'muchNitrogen', gPerM2: nitrogenGPerM2 }] : [];
