import type { DayNumber } from '../climate/calendar.ts';
import { isOnSurface, freshCarbon } from '../simulation/cohort-table.ts';
import { layerThicknessCm } from '../simulation/processes/mulch-stack.ts';
import { mineralNitrogen, mulchHeightCm, organicMatterPct } from '../simulation/report.ts';
import type { BedRun } from '../simulation/run.ts';
import { CONTACT_ZONE_CM } from '../simulation/scenario.ts';
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

/** Logarithm of how well a draw, standing on the right morning, explains one point; 0 at best. */
export function logLikelihood({ bed, scenario }: BedRun, point: MeasuredPoint): number {
  const { state, constants } = bed;
  switch (point.type) {
    case 'thickness': {
      const i = point.layerId === null ? -1 : state.cohorts.ids.indexOf(point.layerId);
      const cm =
        point.layerId === null
          ? mulchHeightCm(bed)
          : i >= 0 && isOnSurface(state.cohorts, i)
            ? layerThicknessCm(state.cohorts, i, constants.parameters.settlingShare)
            : 0;
      const spread = Math.hypot(MEASURING.thicknessCm, MEASURING.thicknessShare * point.thicknessCm);
      return normal(cm - point.thicknessCm, spread);
    }
    case 'leafColor':
      return leafLikelihood(palest({ bed }, point.plantingId), point.step);
    case 'mineralNitrogen': {
      const [, contact, root] = mineralNitrogen(bed);
      const below = scenario.soil.rootZoneCm - CONTACT_ZONE_CM;
      const share = Math.min(1, Math.max(0, point.sampledDepthCm - CONTACT_ZONE_CM) / below);
      const there = contact + root * share;
      return normal(Math.log((there + 0.1) / (point.nitrogenGPerM2 + 0.1)), MEASURING.mineralLogRatio);
    }
    case 'organicMatter': {
      const spread = MEASURING.organicMatterShare * point.organicMatterPct;
      return normal(organicMatterPct(bed) - point.organicMatterPct, Math.max(spread, 0.05));
    }
  }
}

function palest({ bed: { state } }: Pick<BedRun, 'bed'>, plantingId: string | null): number | null {
  const { crops } = state;
  let palestSoFar: number | null = null;
  for (let k = 0; k < crops.count; k++) {
    const id = crops.ids[k];
    const isMeant = plantingId === null || id === plantingId || id.startsWith(`${plantingId}:`);
    if (crops.isAlive[k] === 1 && isMeant) palestSoFar = Math.max(palestSoFar ?? 0, crops.paleness[k]);
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
  const { cohorts } = bed.state;
  const i = cohorts.ids.indexOf(layerId);
  const laid = scenario.events.find((event) => event.type === 'apply' && event.id === layerId);
  if (i < 0 || !laid || day <= laid.day) return null;
  const left = freshCarbon(cohorts, i) / cohorts.openingC[i];
  return left > 0 && left < 1 ? (-Math.log(left) * 365) / (day - laid.day) : null;
}
