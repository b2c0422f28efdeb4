import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { MaterialDraft } from '../../../records/material.ts';
import {
  MATERIAL_LIBRARY,
  type Material,
  type MaterialKind,
  carbonToNitrogenRatio,
} from '../../../core/ground/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import { plainFigure } from '../../../words/figures.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import { SEEN_CHIPS } from './seen-chips.ts';

const GROUPS: readonly { label: string; kinds: readonly MaterialKind[] }[] = [
  { label: 'Wood and bark', kinds: ['wood'] },
  { label: 'Straw, hay and husks', kinds: ['residue'] },
  { label: 'Leaves', kinds: ['leaf'] },
  { label: 'Paper and card', kinds: ['paper'] },
  { label: 'Compost and leaf mould', kinds: ['compost'] },
  { label: 'Manure', kinds: ['manure'] },
  { label: 'Greens', kinds: ['green'] },
  { label: 'Char', kinds: ['char'] },
  { label: 'Nitrogen carriers', kinds: ['fertiliser'] },
];

export function ratioWords(material: Material): string {
  const ratio = carbonToNitrogenRatio(material);
  return ratio === 0 ? 'no carbon' : `C:N ${plainFigure(ratio, ratio < 20 ? 2 : 3)}`;
}

/** What lies in stock today, to be taken from. */
export const stockOptions = (stocked: readonly StockedLot[], { lots }: Pick<GardenBooks, 'lots'>) => ({
  label: 'In stock',
  options: stocked.flatMap(({ lotId, now, material }) => {
    const lot = lots.find(({ id }) => id === lotId);
    return lot && now && material
      ? [{ value: `lot:${lotId}`, label: `${lot.name} · ${ratioWords(material)}` }]
      : [];
  }),
});

/** Everything one can lay, in groups: one's own first. */
export function materialOptions(books: GardenBooks) {
  const { materials } = books;
  const find = materialFinder(books);
  const option = (id: string, name: string, synonyms: readonly string[] = []) => {
    const material = find(id);
    return { value: id, label: material ? `${name} · ${ratioWords(material)}` : name, name, synonyms };
  };
  const seen = { value: SEEN_CHIPS, label: 'Wood chips, by what you see of them …' };
  return [
    { label: 'Your own', options: [seen, ...materials.map(({ id, name }) => option(id, name))] },
    ...GROUPS.map(({ label, kinds }) => ({
      label,
      options: MATERIAL_LIBRARY.filter(({ kind }) => kinds.includes(kind)).map(({ id, name, synonyms }) =>
        option(id, name, synonyms),
      ),
    })),
  ];
}

/** The material chosen in a form, which may be chips that are only being described. */
export function resolveMaterial(
  materialId: string,
  { materials, labResults }: GardenBooks,
  chips: MaterialDraft | null,
): Material | undefined {
  const described = chips ? [{ id: SEEN_CHIPS, basis: chips.basis }] : [];
  try {
    return materialFinder({ materials: [...described, ...materials], labResults })(materialId);
  } catch {
    // Chips that cannot be: the form says so by its own fields.
    return undefined;
  }
}
