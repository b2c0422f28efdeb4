import type { BedProjection, CropOutcome } from '../projection/bed-projection.ts';
import type { SchoolRules } from './schools.ts';

/**
 * What the lock-up means to a crop: nothing; pale leaves for a while, made good later (backlog); growth lost for
 * good; or a hunger the bare bed would have too.
 */
export type CropVerdict = 'unharmed' | 'palesOnly' | 'losesGrowth' | 'hungryAnyway';

/** What a crop misses as the books stand, and what it would miss had nothing been laid. */
export interface CropProspect extends CropOutcome {
  readonly shortWithoutMaterialsG: number;
  readonly paleDaysWithoutMaterials: number;
  readonly verdict: CropVerdict;
}

/** A week more of pale leaves than on bare soil is seen (set here). */
const PALE_SEEN_DAYS = 7;

/** How crops fare as the books stand, beside the same bed with nothing laid. */
export function cropProspects(
  { crops }: Pick<BedProjection, 'crops'>,
  bare: Pick<BedProjection, 'crops'>,
  rules: SchoolRules,
): CropProspect[] {
  const onBare = new Map(bare.crops.map((crop) => [crop.id, crop]));
  return crops.map((crop) => {
    const twin = onBare.get(crop.id) ?? crop;
    return {
      ...crop,
      shortWithoutMaterialsG: twin.shortG,
      paleDaysWithoutMaterials: twin.paleDays,
      verdict: verdictOf(crop, twin, rules),
    };
  });
}

function verdictOf(crop: CropOutcome, twin: CropOutcome, rules: SchoolRules): CropVerdict {
  if (crop.demandG === 0) return 'unharmed';
  const pales = crop.paleDays - twin.paleDays >= PALE_SEEN_DAYS;
  if (crop.shortG <= rules.harmlessShare * crop.demandG) return pales ? 'palesOnly' : 'unharmed';
  const blamed = (crop.shortG - twin.shortG) / crop.demandG > rules.blamedShare;
  return blamed ? 'losesGrowth' : 'hungryAnyway';
}
