import { type DayNumber, calendarDateOf, dayNumberOf } from '../../core/ground/index.ts';
import type { BedSample } from '../../core/bed/index.ts';
import { CONTACT_ZONE_CM } from '../../core/model/index.ts';
import { fullDate } from '../../words/dates.ts';
import { formatFixed } from '../../words/figures.ts';
import type { Measures } from '../../words/measures.ts';
import { COLORS } from '../theme/tokens.ts';
import type { SeriesName } from './marks.tsx';
import type { ChartValues } from './values.tsx';

export interface TideBand {
  readonly days: readonly DayNumber[];
  readonly low: readonly number[];
  readonly high: readonly number[];
}

export interface TidePoint {
  readonly day: DayNumber;
  readonly sample: BedSample;
  readonly root: number;
  readonly contact: number;
  readonly heldContact: number;
  readonly heldRoot: number;
  readonly want: number;
  readonly likely: readonly [low: number, high: number] | null;
}

/** A band read off at a day between its own; null outside them. */
function bandAt({ days, low, high }: TideBand, day: DayNumber): readonly [number, number] | null {
  const after = days.findIndex((one) => one >= day);
  if (after < 0 || day < days[0]!) return null;
  if (after === 0) return [low[0]!, high[0]!];
  const share = (day - days[after - 1]!) / (days[after]! - days[after - 1]!);
  const between = (values: readonly number[]) =>
    values[after - 1]! + (values[after]! - values[after - 1]!) * share;
  return [between(low), between(high)];
}

export function tidePoints(
  samples: readonly BedSample[],
  band: TideBand | null,
  { rateFigure }: Measures,
): TidePoint[] {
  return samples.map((sample) => ({
    day: sample.day,
    sample,
    root: rateFigure(sample.availableRootG),
    contact: rateFigure(sample.availableContactG),
    heldContact: -rateFigure(sample.heldContactG),
    heldRoot: -rateFigure(sample.heldRootG),
    want: rateFigure(sample.cropWantG),
    likely: likelyAt(band, sample.day, rateFigure),
  }));
}

function likelyAt(
  band: TideBand | null,
  day: DayNumber,
  rateFigure: Measures['rateFigure'],
): TidePoint['likely'] {
  const at = band && bandAt(band, day);
  return at && [rateFigure(at[0]), rateFigure(at[1])];
}

export function monthStarts(fromDay: DayNumber, untilDay: DayNumber): DayNumber[] {
  const starts: DayNumber[] = [];
  const { year, month } = calendarDateOf(fromDay);
  for (let i = 1; ; i++) {
    const day = dayNumberOf({
      year: year + Math.floor((month - 1 + i) / 12),
      month: ((month - 1 + i) % 12) + 1,
      day: 1,
    });
    if (day > untilDay) return starts;
    starts.push(day);
  }
}

/** The point at which a series stands out most, for its name to sit by. */
const peakOf = (points: readonly TidePoint[], height: (point: TidePoint) => number): TidePoint | undefined =>
  points.reduce<TidePoint | undefined>(
    (best, point) => (best === undefined || height(point) > height(best) ? point : best),
    undefined,
  );

/** What takes up less of the height than this has no room for a name beside it. */
const NAMED_FROM_SHARE = 0.08;

interface Named {
  readonly points: readonly TidePoint[];
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly wantedBy: string | null;
  readonly measures: Measures;
}

const wantName = (wantedBy: string): string => `what ${wantedBy} will want in 4 weeks`;

/** Each series is named where it stands out most, away from both ends; what is too low for its name goes without. */
export function seriesNames({ points, fromDay, untilDay, wantedBy, measures }: Named): SeriesName[] {
  const span = untilDay - fromDay;
  const inner = points.filter(({ day }) => day > fromDay + span * 0.22 && day < fromDay + span * 0.72);
  const available = ({ root, contact }: TidePoint) => root + contact;
  const held = ({ heldContact, heldRoot }: TidePoint) => -heldContact - heldRoot;
  const highest = Math.max(
    0,
    ...points.map((point) => Math.max(available(point), point.want, point.likely?.[1] ?? 0)),
  );
  const namedFrom = NAMED_FROM_SHARE * (highest + Math.max(0, ...points.map(held)));
  const named = (
    height: (point: TidePoint) => number,
    name: (peak: TidePoint) => SeriesName,
  ): SeriesName[] => {
    const peak = peakOf(inner, height);
    return peak && height(peak) > namedFrom ? [name(peak)] : [];
  };
  return [
    ...named(available, (peak) => ({
      x: peak.day,
      y: available(peak),
      places: ['above', 'at'],
      name: 'available to roots',
      color: COLORS.nitrogen,
    })),
    ...named(held, (peak) => ({
      x: peak.day,
      y: -held(peak) / 2,
      places: ['at', 'below'],
      name: heldLabel(peak, `top ${measures.thickness(CONTACT_ZONE_CM)}`),
      color: COLORS.stop,
    })),
    ...(wantedBy === null
      ? []
      : named(
          ({ want }) => want,
          (peak) => ({
            x: peak.day,
            y: peak.want,
            places: ['below', 'above', 'at'],
            name: wantName(wantedBy),
            color: COLORS.ink,
            isLight: true,
          }),
        )),
  ];
}

/** The samples of the tide in words. */
export function tideValues(measures: Measures, wantedBy: string | null): ChartValues<TidePoint> {
  const top = `top ${measures.thickness(CONTACT_ZONE_CM)}`;
  const { rate, rateDecimals, rateUnit } = measures;
  const all: ChartValues<TidePoint>['columns'] = [
    {
      name: 'Available to roots',
      read: ({ sample }) => rate(sample.availableRootG + sample.availableContactG),
    },
    {
      name: '8 times out of 10',
      read: ({ likely }) =>
        likely &&
        `${formatFixed(likely[0], rateDecimals)} to ${formatFixed(likely[1], rateDecimals)} ${rateUnit}`,
    },
    { name: `Locked up, ${top}`, read: ({ sample }) => rate(sample.heldContactG) },
    { name: 'Locked up, root zone', read: ({ sample }) => rate(sample.heldRootG) },
  ];
  const want = {
    name: wantedBy === null ? '' : wantName(wantedBy),
    read: ({ sample }: TidePoint) => rate(sample.cropWantG),
  };
  return { along: 'Day', at: ({ day }) => fullDate(day), columns: wantedBy === null ? all : [...all, want] };
}

function heldLabel({ heldContact, heldRoot }: TidePoint, top: string): string {
  const total = heldContact + heldRoot;
  if (heldRoot / total < 0.1) return `locked up by microbes, ${top}`;
  if (heldContact / total < 0.1) return 'locked up by microbes, root zone';
  return `locked up by microbes, ${top} and root zone`;
}
