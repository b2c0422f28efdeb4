import { type DayNumber, clamp } from '../../ground/index.ts';
import type { ModelError } from '../projection/draws.ts';
import {
  type Bed,
  type BedRun,
  CONTACT_ZONE_CM,
  freshCarbon,
  isOnSurface,
  layerThicknessCm,
  mineralNitrogen,
  mulchHeightCm,
  organicMatterPct,
} from '../../model/index.ts';
import type { MeasuredPoint } from './measured-points.ts';

/** How far measurements are off by themselves (all set here). */
export const MEASURING = {
  /** A ruler in mulch, and hollows and humps of the bed. */
  thicknessCm: 0.5,
  thicknessShare: 0.12,
  /** Leaf color by eye, in paleness. */
  paleness: 0.12,
  /** Mineral nitrogen between two samples of the same ground: as a log ratio. */
  mineralLogRatio: 0.35,
  /** Organic matter between laboratories, as a share. */
  organicMatterShare: 0.08,
} as const;

/** Paleness that goes by each leaf step, from yellow to dark green. */
const PALENESS_OF_STEP = {
  1: [0.55, 1],
  2: [0.25, 0.55],
  3: [0.05, 0.25],
  4: [0, 0.1],
} as const;

/** The morning on which a draw is looked at for a point: soil tests before they set the books right. */
export const lookDay = ({ type, day }: MeasuredPoint): DayNumber =>
  type === 'mineralNitrogen' || type === 'organicMatter' ? day : day + 1;

const normal = (off: number, spread: number): number => -0.5 * (off / spread) ** 2;

/**
 * Logarithm of how well a draw, standing on the right morning, explains one point; 0 at best. A laboratory's organic
 * matter is held against what a laboratory would find, half-rotted matter included; mineral nitrogen against what the
 * draw has, with its own error of the model.
 */
export function logLikelihood(
  { bed }: BedRun,
  point: MeasuredPoint,
  { supplyFactor }: Pick<ModelError, 'supplyFactor'>,
): number {
  const { state, constants } = bed;
  switch (point.type) {
    case 'thickness': {
      const layer = state.cohorts.find(({ traits }) => traits.id === point.layerId);
      const cm =
        point.layerId === null
          ? mulchHeightCm(bed)
          : layer && isOnSurface(layer)
            ? layerThicknessCm(layer, constants.parameters.settlingShare)
            : 0;
      // A thicker layer is measured less well, so that what lies wide of a thick draw says less against it.
      const spread = Math.hypot(MEASURING.thicknessCm, MEASURING.thicknessShare * cm);
      return normal(cm - point.thicknessCm, spread) - Math.log(spread / MEASURING.thicknessCm);
    }
    case 'leafColor':
      return leafLikelihood(palest({ bed }, point.plantingId), point.step);
    case 'mineralNitrogen': {
      const there = sampledNitrogenG(bed, point.sampledDepthCm) * supplyFactor;
      return normal(Math.log((there + 0.1) / (point.nitrogenGPerM2 + 0.1)), MEASURING.mineralLogRatio);
    }
    case 'organicMatter': {
      const spread = MEASURING.organicMatterShare * point.organicMatterPct;
      return normal(organicMatterPct(bed) - point.organicMatterPct, Math.max(spread, 0.05));
    }
  }
}

/** Mineral nitrogen down to a depth, the subsoil included where the sample reached it, g/m2. */
export function sampledNitrogenG(bed: Bed, depthCm: number): number {
  const { contactZoneG, rootZoneG, upperSubsoilG, lowerSubsoilG } = mineralNitrogen(bed);
  const { rootZoneCm, subsoilCellCm } = bed.constants;
  const shareOf = (fromCm: number, thickCm: number) => clamp((depthCm - fromCm) / thickCm, 0, 1);
  return (
    contactZoneG * shareOf(0, CONTACT_ZONE_CM) +
    rootZoneG * shareOf(CONTACT_ZONE_CM, rootZoneCm - CONTACT_ZONE_CM) +
    upperSubsoilG * shareOf(rootZoneCm, subsoilCellCm) +
    lowerSubsoilG * shareOf(rootZoneCm + subsoilCellCm, subsoilCellCm)
  );
}

function palest({ bed: { state } }: Pick<BedRun, 'bed'>, plantingId: string | null): number | null {
  let palestSoFar: number | null = null;
  for (const { plan, isAlive, paleness } of state.crops) {
    const isMeant = plantingId === null || plan.id === plantingId || plan.id.startsWith(`${plantingId}:`);
    if (isAlive && isMeant) palestSoFar = Math.max(palestSoFar ?? 0, paleness);
  }
  return palestSoFar;
}

function leafLikelihood(paleness: number | null, step: keyof typeof PALENESS_OF_STEP): number {
  if (paleness === null) return 0;
  const [low, high] = PALENESS_OF_STEP[step];
  const off = paleness < low ? low - paleness : paleness > high ? paleness - high : 0;
  return normal(off, MEASURING.paleness);
}

/** How fast a layer has rotted since it was laid, per year; null when it is not there or has hardly begun. */
export function rotRate({ bed, scenario }: BedRun, layerId: string, day: DayNumber): number | null {
  const layer = bed.state.cohorts.find(({ traits }) => traits.id === layerId);
  const laid = scenario.events.find((event) => event.type === 'apply' && event.id === layerId);
  if (!layer || !laid || day <= laid.day) return null;
  const left = freshCarbon(layer) / layer.openingC;
  return left > 0 && left < 1 ? (-Math.log(left) * 365) / (day - laid.day) : null;
}
