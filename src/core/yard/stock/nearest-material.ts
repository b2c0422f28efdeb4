import { cohortCarbonG, cohortDryG, type LotContents } from './lot-contents.ts';
import { figuresOf, kindOf } from './lot-figures.ts';

/** What leaves become. */
export const LEAF_MOULD = 'leaf_mould';

/** Leaves alone, rotted through. */
export const isLeafMould = (contents: LotContents): boolean =>
  kindOf(contents) === 'compost' && contents.cohorts.every(({ kind }) => kind === 'leaf');

/** The library material whose name, look and cautions fit what a lot has become. Not for an empty lot. */
export function nearestMaterialId(contents: LotContents): string {
  const kind = kindOf(contents);
  if (isLeafMould(contents)) return LEAF_MOULD;
  if (kind === 'compost' && contents.cohorts.some((one) => one.kind !== 'compost')) {
    return contents.cohorts.some((one) => one.kind === 'manure') ? 'compost_manure' : 'compost_garden';
  }
  if (kind === 'char' && figuresOf(contents).charHeldNitrogenG > 0) return 'biochar_charged';
  const main = contents.cohorts.reduce((best, one) =>
    cohortCarbonG(one) > cohortCarbonG(best) ||
    (cohortCarbonG(best) === 0 && cohortDryG(one) > cohortDryG(best))
      ? one
      : best,
  );
  return main.materialId;
}
