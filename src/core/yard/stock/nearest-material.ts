import { LEAF_MOULD } from './lot-what.ts';
import { cohortCarbonG, cohortDryG, type LotContents } from './lot-contents.ts';
import { figuresOf, kindOf } from './lot-figures.ts';

/** The library material whose name, look and cautions fit what a lot has become. Not for an empty lot. */
export function nearestMaterialId(contents: LotContents): string {
  const kind = kindOf(contents);
  if (kind === 'compost' && contents.cohorts.every((one) => one.kind === 'leaf')) return LEAF_MOULD;
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
