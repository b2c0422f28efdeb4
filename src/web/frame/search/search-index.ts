import MiniSearch from 'minisearch';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { MATERIAL_LIBRARY, findCrop } from '../../../core/ground/index.ts';
import { shortDate, dayOf } from '../../../words/dates.ts';
import { materialName } from '../../../words/record-names.ts';
import { BED_KIND_WORDS } from '../../../words/words.ts';
import { PLACES } from '../places.ts';
import { KIND_SYNONYMS } from './synonyms.ts';

export const SEARCH_KINDS = ['bed', 'pile', 'material', 'log', 'place'] as const;
export type SearchKind = (typeof SEARCH_KINDS)[number];

/** Something one can look for, and where it is. */
export interface Searchable {
  readonly id: string;
  readonly kind: SearchKind;
  readonly title: string;
  /** Said beneath the title. */
  readonly detail: string;
  /** Other words for it. */
  readonly also: string;
  readonly to: string;
}

const cropNames = ({ plantings, crops }: GardenBooks, bedId: string): string[] =>
  plantings.flatMap((planting) => {
    const crop = findCrop(planting.cropId, crops);
    return planting.bedId === bedId && crop ? [crop.name, ...crop.synonyms] : [];
  });

const bedsOf = (books: GardenBooks, root: string): Searchable[] =>
  books.beds.map(({ id, name, kind, part, note }) => ({
    id: `bed ${id}`,
    kind: 'bed',
    title: name,
    detail: part === '' ? BED_KIND_WORDS[kind] : `${BED_KIND_WORDS[kind]}, ${part}`,
    also: `bed ${note} ${cropNames(books, id).join(' ')}`,
    to: `${root}/bed/${id}`,
  }));

function pilesOf({ lots, movements, materials }: GardenBooks, root: string): Searchable[] {
  const contents = new Map<string, string>();
  for (const one of movements) {
    if (one.type !== 'receive') continue;
    const known = MATERIAL_LIBRARY.find(({ id }) => id === one.materialId);
    const words = `${materialName(one.materialId, materials)} ${known ? `${known.synonyms.join(' ')} ${KIND_SYNONYMS[known.kind]}` : ''}`;
    contents.set(one.lotId, `${contents.get(one.lotId) ?? ''} ${words}`);
  }
  return lots.map(({ id, name, note }) => ({
    id: `pile ${id}`,
    kind: 'pile',
    title: name,
    detail: note === '' ? 'in stock' : note,
    also: `pile stock ${contents.get(id) ?? ''}`,
    to: `${root}/stock/${id}`,
  }));
}

const materialsOf = ({ materials }: GardenBooks, root: string): Searchable[] => [
  ...materials.map(({ id, name, note }) => ({
    id: `material ${id}`,
    kind: 'material' as const,
    title: name,
    detail: 'your own',
    also: note,
    to: `${root}/materials?show=${encodeURIComponent(id)}`,
  })),
  ...MATERIAL_LIBRARY.map(({ id, name, kind, synonyms }) => ({
    id: `material ${id}`,
    kind: 'material' as const,
    title: name,
    detail: 'of the library',
    also: `${synonyms.join(' ')} ${KIND_SYNONYMS[kind]}`,
    to: `${root}/materials?show=${id}`,
  })),
];

/** What was noted in the log and at entries: only notes can be looked for, figures stand on their pages. */
function logOf({ beds, entries, journal }: GardenBooks, root: string): Searchable[] {
  const bedName = (id: string) => beds.find((bed) => bed.id === id)?.name ?? 'a bed';
  const seen = journal.flatMap((one): Searchable[] =>
    one.kind === 'observation' && one.note !== ''
      ? [
          {
            id: `log ${one.id}`,
            kind: 'log',
            title: one.note,
            detail: `${bedName(one.bedId)}, ${shortDate(dayOf(one.date))}`,
            also: '',
            to: `${root}/log?bed=${one.bedId}`,
          },
        ]
      : [],
  );
  const noted = entries.flatMap((entry): Searchable[] =>
    entry.note !== ''
      ? [
          {
            id: `entry ${entry.id}`,
            kind: 'log',
            title: entry.note,
            detail: `${bedName(entry.bedId)}, ${shortDate(dayOf(entry.date))}`,
            also: '',
            to: `${root}/bed/${entry.bedId}`,
          },
        ]
      : [],
  );
  return [...seen, ...noted];
}

const placesOf = (root: string): Searchable[] =>
  PLACES.map(({ path, name, also }) => ({
    id: `place ${path}`,
    kind: 'place',
    title: name,
    detail: '',
    also,
    to: `${root}/${path}`,
  }));

/** Everything in a garden that can be looked for. */
export function searchablesOf(books: GardenBooks): Searchable[] {
  const root = `/garden/${books.garden.id}`;
  return [
    ...bedsOf(books, root),
    ...pilesOf(books, root),
    ...placesOf(root),
    ...materialsOf(books, root),
    ...logOf(books, root),
  ];
}

const MOST_FOUND = 12;

/** Finds by parts of words and with a slip of the finger; the best first. Everything ends with the last letter typed. */
export function searcherOf(all: readonly Searchable[]): (text: string) => Searchable[] {
  const byId = new Map(all.map((one) => [one.id, one]));
  const index = new MiniSearch<Searchable>({
    fields: ['title', 'also', 'detail'],
    searchOptions: {
      boost: { title: 3 },
      prefix: true,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
      combineWith: 'AND',
      boostDocument: (id) => KIND_BOOST[byId.get(id as string)!.kind],
    },
  });
  index.addAll(all);
  return (text) =>
    index
      .search(text)
      .slice(0, MOST_FOUND)
      .map(({ id }) => byId.get(id as string)!);
}

/** What one has oneself is looked for more often than the library. */
const KIND_BOOST: Readonly<Record<SearchKind, number>> = {
  bed: 2,
  pile: 1.8,
  place: 1.5,
  material: 1,
  log: 1,
};
