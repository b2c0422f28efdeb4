import type { BedRecord } from '../../../records/bed.ts';
import { layingCautions } from '../../../core/bed/index.ts';
import type { FindMaterial } from '../../../core/ground/index.ts';
import type { Measures } from '../../../words/measures.ts';
import { cautionInWords } from '../../../words/words.ts';

/** Something that is about to be planned on a bed. */
export interface PlannedLaying {
  readonly date: string;
  readonly materialId: string;
  readonly bed: Pick<BedRecord, 'kind' | 'clayPct' | 'areaM2'>;
  readonly massFreshKg: number;
  readonly dugDepthCm: number;
}

/** What to mind, each thing once: of several layings of a kind the first one's dates. */
export function planCautions(
  layings: readonly PlannedLaying[],
  findMaterial: FindMaterial,
  measures: Measures,
): string[] {
  const said = new Map<string, string>();
  for (const { bed, massFreshKg, ...laying } of layings.toSorted((a, b) => a.date.localeCompare(b.date))) {
    const material = findMaterial(laying.materialId);
    if (!material) continue;
    const thicknessCm = (massFreshKg / bed.areaM2 / material.bulkDensityKgPerM3) * 100;
    for (const caution of layingCautions({ ...laying, material, thicknessCm }, bed)) {
      if (!said.has(caution.code)) said.set(caution.code, cautionInWords(caution, measures));
    }
  }
  return [...said.values()];
}
