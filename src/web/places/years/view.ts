import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { type Band, FEWEST_DRAWS } from '../../../core/bed/index.ts';
import { ORGANIC_MATTER_PER_CARBON, SOIL_DEFAULTS, type SecondOpinions } from '../../../core/model/index.ts';
import {
  type LimitSetting,
  type YearMeasure,
  type YearPoint,
  asOneBed,
  bandOfYears,
  isDrawn,
  widenedByOpinions,
  sampledSoilKgPerM2,
} from '../../../core/long-run/index.ts';
import type { Line } from './lines.ts';
import { lineKey, type Followed, type FollowedLine } from './use-years.ts';

/** One habit on one bed, as far as it is known. */
export interface ViewedLine {
  readonly line: Line;
  /** Its place among the habits followed. */
  readonly place: number;
  readonly points: readonly YearPoint[];
  readonly draws: readonly (readonly YearPoint[])[];
  readonly opinions: SecondOpinions | null;
  /** What a gram of humus carbon on a square meter is as organic matter of the sampled soil. */
  readonly pctPerCarbonG: number;
}

/** A bed, or the whole garden as one. */
export interface ViewedBed {
  readonly id: string;
  readonly name: string;
  readonly areaM2: number;
  /** The bed itself; null for the whole garden. */
  readonly bed: BedRecord | null;
  readonly lines: readonly ViewedLine[];
  /** The beds of a whole garden; none of a single bed. */
  readonly parts: readonly ViewedBed[];
}

/** What the page shows: nothing but lines that are there. */
export interface YearsView {
  readonly years: number;
  readonly beds: readonly ViewedBed[];
  readonly done: number;
  readonly total: number;
}

/** Between what figures a measure of a line is likely to lie: as the draws have it, and the published models; null while too few are drawn. */
export function likelyBand(line: ViewedLine, measure: YearMeasure): Band | null {
  const { draws, points, opinions, pctPerCarbonG } = line;
  if (draws.length < FEWEST_DRAWS || !isDrawn(measure)) return null;
  const band = bandOfYears(draws, measure);
  return opinions ? widenedByOpinions(band, measure, { points, opinions, pctPerCarbonG }) : band;
}

export const SAMPLED_DEPTH_CM = SOIL_DEFAULTS.samplingDepthCm;

/** Over the soil of all of them. */
function pctPerCarbonG(beds: readonly BedRecord[]): number {
  const areaM2 = beds.reduce((sum, bed) => sum + bed.areaM2, 0);
  const soilKg = beds.reduce((sum, bed) => sum + sampledSoilKgPerM2(bed) * bed.areaM2, 0);
  return (100 * ORGANIC_MATTER_PER_CARBON) / ((1000 * soilKg) / areaM2);
}

/**
 * What was followed as the page shows it. While a newer plan has not begun to answer, the older one stays, as far as it
 * is about the same beds and habits.
 */
export function viewOf({
  followed,
  beds,
  lines,
  isGarden,
  books: { garden },
}: {
  readonly followed: Followed;
  readonly beds: readonly BedRecord[];
  readonly lines: readonly Line[];
  readonly isGarden: boolean;
  readonly books: Pick<GardenBooks, 'garden'>;
}): YearsView | null {
  const { plan, done, total } = followed;
  if (plan.sparesPaths !== isGarden) return null;
  const known = ({ id }: BedRecord, line: Line): FollowedLine | undefined =>
    followed.lines.get(lineKey(plan.bedIds.indexOf(id), plan.lineIds.indexOf(line.id)));
  const single: ViewedBed[] = beds.map((bed) => ({
    id: bed.id,
    name: bed.name,
    areaM2: bed.areaM2,
    bed,
    parts: [],
    lines: lines.flatMap((line, place) => {
      const one = known(bed, line);
      return one ? [{ line, place, ...one, pctPerCarbonG: pctPerCarbonG([bed]) }] : [];
    }),
  }));
  const viewed: ViewedBed[] = isGarden
    ? [
        {
          id: 'garden',
          name: garden.name,
          areaM2: beds.reduce((sum, { areaM2 }) => sum + areaM2, 0),
          bed: null,
          parts: single,
          lines: lines.flatMap((line, place) =>
            gardenLine({ line, place, beds, known: beds.map((bed) => known(bed, line)) }),
          ),
        },
      ]
    : single;
  const isKnown = viewed.every((bed) => bed.lines.length > 0);
  return isKnown ? { years: plan.years, beds: viewed, done, total } : null;
}

/** All beds under one habit as one; nothing until every bed is known. */
function gardenLine({
  line,
  place,
  beds,
  known,
}: {
  readonly line: Line;
  readonly place: number;
  readonly beds: readonly BedRecord[];
  readonly known: readonly (FollowedLine | undefined)[];
}): ViewedLine[] {
  const all = known.flatMap((one) => one ?? []);
  if (all.length < beds.length) return [];
  const together = (pointsOf: (one: FollowedLine) => readonly YearPoint[]) =>
    asOneBed(
      beds.map((bed, b) => ({
        areaM2: bed.areaM2,
        soilMassKgPerM2: sampledSoilKgPerM2(bed),
        points: pointsOf(all[b]!),
      })),
    );
  const draws = Math.min(...all.map((one) => one.draws.length));
  return [
    {
      line,
      place,
      points: together(({ points }) => points),
      draws: Array.from({ length: draws }, (_, i) => together((one) => one.draws[i]!)),
      opinions: opinionsTogether(beds, all),
      pctPerCarbonG: pctPerCarbonG(beds),
    },
  ];
}

function opinionsTogether(beds: readonly BedRecord[], all: readonly FollowedLine[]): SecondOpinions | null {
  const areaM2 = beds.reduce((sum, bed) => sum + bed.areaM2, 0);
  const mean = (id: keyof SecondOpinions) =>
    all[0]!.points.map((_, i) =>
      all.reduce((sum, one, b) => sum + ((one.opinions?.[id][i] ?? 0) * beds[b]!.areaM2) / areaM2, 0),
    );
  if (all.some(({ opinions }) => opinions === null)) return null;
  return { fivePools: mean('fivePools'), youngAndOld: mean('youngAndOld'), isohumic: mean('isohumic') };
}

/** What limits are held against: of the whole garden, soil tests of single beds are left out. */
export const limitSetting = (
  { garden, entries }: Pick<GardenBooks, 'garden' | 'entries'>,
  { bed }: ViewedBed,
): LimitSetting => ({
  climate: garden.climate,
  entries: bed ? entries.filter(({ bedId }) => bedId === bed.id) : [],
});

/** The line of a place, or the first one that is there. */
export const lineAt = ({ lines }: ViewedBed, place: number): ViewedLine | undefined =>
  lines.find((one) => one.place === place) ?? lines[0];
