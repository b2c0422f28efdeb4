import type { MaterialDraft } from '../../../records/material.ts';
import type { CuttingSeason } from '../../../records/vocabulary.ts';
import { plainFigure } from '../../../words/figures.ts';
import { formatQuantity } from '../../../quantities/format-quantity.ts';
import type { Reader } from '../forms/typed-quantity.ts';
import { USUAL_CM } from '../forms/usual-figures.ts';
import { LOAD_CHIPS_FIGURES, readFigures, typedFigures, type TypedFigures } from './figure-fields.ts';

/** Chips by what is seen of them, as typed. */
export interface ChipsForm {
  readonly id: string;
  readonly figures: TypedFigures;
  readonly season: CuttingSeason | 'unknown';
}

/** Branches of a usual thickness, no leaf, no conifer, nothing said of the bark. */
export const blankChips = (reader: Reader): ChipsForm => ({
  id: crypto.randomUUID(),
  figures: typedFigures(
    LOAD_CHIPS_FIGURES,
    { branchDiameterCm: USUAL_CM[reader.system].branch, leafShare: 0, coniferShare: 0 },
    reader,
  ),
  season: 'unknown',
});

/** Another description is another material, also when the first was saved and the answer got lost. */
export const describedAnew = (chips: ChipsForm, change: Partial<Omit<ChipsForm, 'id'>>): ChipsForm => ({
  ...chips,
  ...change,
  id: crypto.randomUUID(),
});

export interface ReadChips {
  readonly draft: MaterialDraft & { readonly id: string };
  /** By field of the basis: `basis.leafShare`. */
  readonly troubles: Readonly<Record<string, string>>;
}

const PERCENT = 100;
const shareWords = (share: number | null | undefined, of: string): string =>
  share ? `, ${plainFigure(share * PERCENT)} % ${of}` : '';

/** Chips as they were described, and what is wrong with the description. */
export function readChips({ id, figures, season }: ChipsForm, reader: Reader): ReadChips {
  const { values, troubles } = readFigures(LOAD_CHIPS_FIGURES, figures, reader);
  const { branchDiameterCm, leafShare, coniferShare, barkShare } = values as Record<string, number>;
  const isRead = Object.keys(troubles).length === 0;
  const thick = isRead ? formatQuantity(branchDiameterCm!, 'length', reader.system) : '';
  const parts = shareWords(leafShare, 'leaf') + shareWords(coniferShare, 'conifer');
  return {
    draft: {
      id,
      name: `Chips of ${thick} branches${parts}`,
      basis: {
        type: 'chips',
        branchDiameterCm: branchDiameterCm!,
        leafShare: leafShare!,
        coniferShare: coniferShare!,
        ...(barkShare === undefined ? {} : { barkShare }),
        season: season === 'unknown' ? null : season,
      },
      note: '',
    },
    troubles: Object.fromEntries(
      Object.entries(troubles).map(([field, sentence]) => [`basis.${field}`, sentence]),
    ),
  };
}
