import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { LeafStep } from '../../../records/vocabulary.ts';
import type { Observation } from '../../../records/journal.ts';
import type { Bed } from '../../../records/bed.ts';
import type { Entry } from '../../../records/entry.ts';
import { testedNitrogenGPerM2 } from '../books/soil-tests.ts';

/** Something that was measured or seen, in terms of what the model can be asked for. */
export type MeasuredPoint = { readonly day: DayNumber } & (
  | { readonly type: 'thickness'; readonly layerId: string | null; readonly thicknessCm: number }
  | { readonly type: 'leafColor'; readonly plantingId: string | null; readonly step: LeafStep }
  /** Over the sampled depth, on the morning before the test set the books right. */
  | { readonly type: 'mineralNitrogen'; readonly nitrogenGPerM2: number; readonly sampledDepthCm: number }
  | { readonly type: 'organicMatter'; readonly organicMatterPct: number }
);

const pointOf = ({ date, plantingId, observed }: Observation): MeasuredPoint[] => {
  const day = dayNumberFromIso(date, ['date']);
  switch (observed.type) {
    case 'thickness':
      return [{ ...observed, day }];
    case 'leafColor':
      return [{ ...observed, day, plantingId }];
    default:
      return [];
  }
};

function pointsOfTest(entry: Entry, bed: Bed): MeasuredPoint[] {
  if (entry.type !== 'soilTest' || entry.state !== 'laid') return [];
  const { sampledDepthCm, organicMatterPct } = entry;
  const nitrogenGPerM2 = testedNitrogenGPerM2(entry, bed);
  const day = dayNumberFromIso(entry.date, ['date']);
  return [
    ...(nitrogenGPerM2 === null
      ? []
      : [{ type: 'mineralNitrogen' as const, day, sampledDepthCm, nitrogenGPerM2 }]),
    ...(organicMatterPct === null ? [] : [{ type: 'organicMatter' as const, day, organicMatterPct }]),
  ];
}

/** All that a bed's log and soil tests say in figures, by day. */
export const measuredPoints = (
  bed: Bed,
  entries: readonly Entry[],
  observations: readonly Observation[],
): MeasuredPoint[] =>
  [...observations.flatMap(pointOf), ...entries.flatMap((entry) => pointsOfTest(entry, bed))].sort(
    (a, b) => a.day - b.day,
  );
