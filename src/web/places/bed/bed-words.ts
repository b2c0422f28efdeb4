import type { DayNumber } from '../../../core/ground/index.ts';
import { type BedProjection, type BedSample, WANT_AHEAD_DAYS } from '../../../core/bed/index.ts';
import type { NamedCrop, NamedLayer } from '../../drawing/section-frame.ts';
import { dateNear, fullDate } from '../../../words/dates.ts';
import type { Measures } from '../../../words/measures.ts';

const YEAR_DAYS = 365;

/** The crop that wants most in the window, as the subject of "what … will want". */
export function wantedBy({
  projection: { samples, crops },
  fromDay,
  untilDay,
  names,
}: {
  readonly projection: BedProjection;
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly names: (cropIds: readonly string[]) => string;
}): string | null {
  const peak = samples
    .filter(({ day }) => day >= fromDay && day <= untilDay)
    .reduce<(typeof samples)[number] | undefined>(
      (best, one) => (!best || one.cropWantG > best.cropWantG ? one : best),
      undefined,
    );
  if (!peak || peak.cropWantG <= 0) return null;
  const standing = crops.filter(
    ({ plantDay, harvestDay }) => plantDay <= peak.day + WANT_AHEAD_DAYS && harvestDay > peak.day,
  );
  return standing.length === 0 ? null : names(standing.slice(0, 1).map(({ id }) => id)).toLowerCase();
}

/** Everything the section shows. */
export function sectionInWords({
  sample,
  layers,
  crops,
  day,
  measures,
}: {
  readonly sample: BedSample;
  readonly layers: readonly NamedLayer[];
  readonly crops: readonly NamedCrop[];
  readonly day: DayNumber;
  readonly measures: Measures;
}): string {
  const onTop = layers.filter(({ isOnTop }) => isOnTop);
  const stack =
    onTop.length === 0
      ? 'Nothing lies on the soil.'
      : `From the soil upwards: ${onTop.map(({ name, thicknessCm }) => `${measures.thickness(thicknessCm)} ${name}`).join(', ')}.`;
  const dug = layers.filter(({ isOnTop, dugDepthCm }) => !isOnTop && dugDepthCm > 0);
  const dugWords = dug.length > 0 ? ` Dug in: ${dug.map(({ name }) => name).join(', ')}.` : '';
  const growing =
    crops.length > 0
      ? ` Growing: ${crops.map(({ name, rootDepthCm }) => `${name}, roots to ${measures.thickness(rootDepthCm)}`).join('; ')}.`
      : '';
  return `Section of the bed on ${fullDate(day)}. ${stack}${dugWords}${growing} Contact zone: ${measures.rate(sample.availableContactG)} nitrogen available, ${measures.rate(sample.heldContactG)} locked up. Root zone: ${measures.rate(sample.availableRootG)} available, ${measures.rate(sample.heldRootG)} held.`;
}

/** What the tide comes to. */
export function tideInWords({ samples }: BedProjection, today: DayNumber, measures: Measures): string {
  const ahead = samples.filter(({ day }) => day >= today && day <= today + YEAR_DAYS);
  const held = ahead.reduce(
    (best, one) => (one.heldContactG + one.heldRootG > best.heldContactG + best.heldRootG ? one : best),
    ahead[0]!,
  );
  return `Nitrogen over the coming year. Most is locked up on ${dateNear(held.day, today)}: ${measures.rate(held.heldContactG)} in the contact zone, ${measures.rate(held.heldRootG)} in the root zone.`;
}
