import type { EntryDraft } from '../../../records/entry.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { type Cause, MENDED_BY_NITROGEN, type RemedyOutcome } from '../../../core/bed/index.ts';
import { CAUSE_WORDS } from '../../../words/pale-words.ts';

/** Less than a good dew is not worth carrying, mm (set here). */
const LEAST_WATER_MM = 0.5;

/** Whether a remedy that the model has tried is one for this cause. */
export const isRemedyFor = (cause: Cause, { what }: RemedyOutcome): boolean =>
  what.code === 'wait' ||
  (what.code === 'water'
    ? cause === 'drought' && what.waterMm > LEAST_WATER_MM
    : MENDED_BY_NITROGEN.has(cause));

/** The remedy as an entry of the bed, done on `date`; null for waiting. */
export function remedyEntry(
  { what }: RemedyOutcome,
  cause: Cause,
  { areaM2, date }: Pick<BedRecord, 'areaM2'> & { readonly date: string },
): EntryDraft | null {
  const common = { state: 'laid' as const, date, note: `Against: ${CAUSE_WORDS[cause].name.toLowerCase()}.` };
  switch (what.code) {
    case 'feed':
      return { ...common, type: 'feed', nitrogenG: what.doses[0]!.nitrogenGPerM2 * areaM2 };
    case 'water':
      return { ...common, type: 'water', waterMm: what.waterMm };
    case 'workIn':
      return {
        ...common,
        type: 'lay',
        materialId: what.materialId,
        lotId: null,
        amount: what.thicknessCm,
        unit: 'cm',
        dugDepthCm: what.depthCm,
        seasonedMonths: 0,
      };
    case 'wait':
      return null;
  }
}
