import type { GardenBooks } from '../contract/garden-books.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { JournalRecord } from '../records/journal.ts';
import type { MovementRecord } from '../records/movement.ts';
import type { PlantingRecord } from '../records/planting.ts';
import { findCrop, findLibraryMaterial } from '../core/ground/index.ts';
import { clearTaskKey, isClearingAsked } from '../core/season/index.ts';
import { brewLine } from './brew-words.ts';
import { dayOf } from './dates.ts';
import { entryWords } from './entry-words.ts';
import { observedInWords, OBSERVED_WORDS } from './journal-words.ts';
import type { Measures } from './measures.ts';
import { searchText } from './name-search.ts';
import { cropName } from './record-names.ts';
import { movementInWords } from './stock-words.ts';

/** What a line of the whole log is about. */
export const LOG_KINDS = ['seen', 'spread', 'fed', 'tested', 'grown', 'stock', 'closed'] as const;
export type LogKind = (typeof LOG_KINDS)[number];
export const LOG_KIND_WORDS: Readonly<Record<LogKind, string>> = {
  seen: 'seen and measured',
  spread: 'spread and dug',
  fed: 'fed and watered',
  tested: 'soil tests',
  grown: 'planted and cleared',
  stock: 'stock and yard',
  closed: 'years, trials and brews',
};
const KIND_OF_ENTRY: Readonly<Record<EntryRecord['type'], LogKind>> = {
  lay: 'spread',
  dig: 'spread',
  takeOff: 'spread',
  feed: 'fed',
  water: 'fed',
  soilTest: 'tested',
};

/** The record that a line is about, and the kind of record it is. */
export type LoggedRecord =
  | { readonly book: 'journal'; readonly record: JournalRecord }
  | { readonly book: 'entries'; readonly record: EntryRecord }
  | { readonly book: 'plantings'; readonly record: PlantingRecord }
  | { readonly book: 'movements'; readonly record: MovementRecord };

/** Something that was written down about a garden, as a line. */
export type LogLine = LoggedRecord & {
  readonly key: string;
  /** ISO date. */
  readonly date: string;
  readonly kind: LogKind;
  readonly bedId: string | null;
  readonly lotId: string | null;
  readonly cropId: string | null;
  readonly words: string;
  readonly note: string;
  /** All it can be found by, as `searchText` makes it. */
  readonly found: string;
};

type Unfound = LogLine extends infer Line ? (Line extends unknown ? Omit<Line, 'found'> : never) : never;

/** What is sought in the log; null and empty for anything. */
export interface LogFilter {
  readonly text: string;
  readonly bedId: string | null;
  readonly kind: LogKind | null;
  readonly cropId: string | null;
  readonly from: string;
  readonly until: string;
}

export const ANY_LINE: LogFilter = { text: '', bedId: null, kind: null, cropId: null, from: '', until: '' };

/** What a record of the log says in words; for one of two lines, the first. Nothing for what is no line. */
export function wordsOfLogged(logged: LoggedRecord, books: GardenBooks, measures: Measures): string | null {
  const [first] = linesOf(logged, { books, measures, cropIds: cropIdsOf(books), ticked: new Set() });
  return first?.words ?? null;
}

interface LineSetting {
  readonly books: GardenBooks;
  readonly measures: Measures;
  /** By the planting. */
  readonly cropIds: ReadonlyMap<string, string>;
  readonly ticked: ReadonlySet<string>;
}

const cropIdsOf = ({ plantings }: GardenBooks): ReadonlyMap<string, string> =>
  new Map(plantings.map(({ id, cropId }) => [id, cropId]));

/** The lines of a record: none where it is no fact of the log, two for a crop that was cleared. */
function linesOf(
  { book, record }: LoggedRecord,
  { books, measures, cropIds, ticked }: LineSetting,
): Unfound[] {
  switch (book) {
    case 'journal':
      return ofJournal(record, cropIds, measures);
    case 'entries':
      return record.state === 'laid' ? [ofEntry(record, books, measures)] : [];
    case 'plantings':
      return ofPlanting(record, books, ticked);
    case 'movements':
      return record.state === 'laid' ? [ofMovement(record, books, measures)] : [];
  }
}

/** Everything that was done and seen in a garden up to today, newest first. */
export function logLines(books: GardenBooks, measures: Measures): LogLine[] {
  const ticked = new Set(
    books.journal.flatMap((record) =>
      record.kind === 'mark' && record.state === 'done' ? [record.taskKey] : [],
    ),
  );
  const setting = { books, measures, cropIds: cropIdsOf(books), ticked };
  const logged: LoggedRecord[] = [
    ...books.journal.map((record) => ({ book: 'journal' as const, record })),
    ...books.entries.map((record) => ({ book: 'entries' as const, record })),
    ...books.plantings.map((record) => ({ book: 'plantings' as const, record })),
    ...books.movements.map((record) => ({ book: 'movements' as const, record })),
  ];
  const lines = logged.flatMap((one) => linesOf(one, setting));
  const beds = new Map(books.beds.map(({ id, name }) => [id, name]));
  const lots = new Map(books.lots.map(({ id, name }) => [id, name]));
  return lines
    .map((line): LogLine => ({
      ...line,
      found: searchText(
        [
          line.words,
          line.note,
          beds.get(line.bedId ?? '') ?? '',
          lots.get(line.lotId ?? '') ?? '',
          LOG_KIND_WORDS[line.kind],
          synonymsOf(line, books),
        ].join(' '),
      ),
    }))
    .toSorted((a, b) => b.date.localeCompare(a.date));
}

/** What else its material or its crop is called. */
function synonymsOf({ cropId, book, record }: Unfound, { crops }: GardenBooks): string {
  const crop = cropId === null ? undefined : findCrop(cropId, crops);
  const material =
    book === 'entries' && record.type === 'lay' ? findLibraryMaterial(record.materialId) : undefined;
  return [crop?.name ?? '', ...(crop?.synonyms ?? []), ...(material?.synonyms ?? [])].join(' ');
}

/** `cropIds` by the planting. */
function ofJournal(
  record: JournalRecord,
  cropIds: ReadonlyMap<string, string>,
  measures: Measures,
): Unfound[] {
  const common = {
    book: 'journal' as const,
    record,
    key: record.id,
    date: record.date,
    note: record.note,
    lotId: null,
    cropId: null,
  };
  switch (record.kind) {
    case 'observation': {
      const cropId = cropIds.get(record.plantingId ?? '') ?? null;
      const { observed } = record;
      const words = observed.type === 'note' ? OBSERVED_WORDS.note : observedInWords(observed, measures);
      return [{ ...common, kind: 'seen', bedId: record.bedId, cropId, words }];
    }
    case 'yearClose':
      return [{ ...common, kind: 'closed', bedId: record.bedId, words: `Books of ${record.year} closed` }];
    case 'brew':
      return [
        { ...common, kind: 'closed', bedId: record.pouredOnBedId ?? null, words: brewLine(record, measures) },
      ];
    case 'trial':
      return [{ ...common, kind: 'closed', bedId: record.bedId, words: `Trial begun: ${record.name}` }];
    default:
      return [];
  }
}

const ofEntry = (record: EntryRecord, books: GardenBooks, measures: Measures): Unfound => ({
  book: 'entries',
  record,
  key: record.id,
  date: record.date,
  kind: KIND_OF_ENTRY[record.type],
  bedId: record.bedId,
  lotId: record.type === 'lay' ? (record.lotId ?? null) : null,
  cropId: null,
  words: entryWords({ entry: record, entries: books.entries, books, measures }),
  note: record.note,
});

function ofPlanting(record: PlantingRecord, books: GardenBooks, ticked: ReadonlySet<string>): Unfound[] {
  if (record.state !== 'laid') return [];
  const { id, bedId, cropId, plantedOn, clearedOn, note } = record;
  const name = cropName(id, books);
  const common = { book: 'plantings' as const, record, kind: 'grown' as const, bedId, lotId: null, cropId };
  const isToBeTicked =
    clearedOn !== null &&
    isClearingAsked(dayOf(clearedOn), dayOf(books.today)) &&
    !ticked.has(clearTaskKey(id));
  const clearedWords = isToBeTicked ? 'counted as cleared, not yet ticked off' : 'cleared';
  const began = record.startsAs === 'seed' ? 'sown' : 'planted';
  return [
    { ...common, key: id, date: plantedOn, words: `${name} ${began}`, note },
    ...(clearedOn !== null && clearedOn <= books.today
      ? [{ ...common, key: `${id} cleared`, date: clearedOn, words: `${name} ${clearedWords}`, note: '' }]
      : []),
  ];
}

const ofMovement = (record: MovementRecord, books: GardenBooks, measures: Measures): Unfound => ({
  book: 'movements',
  record,
  key: record.id,
  date: record.date,
  kind: 'stock',
  bedId: null,
  lotId: record.lotId,
  cropId: null,
  words: movementInWords(record, record.lotId, {
    nameOf: (lotId) => books.lots.find(({ id }) => id === lotId)?.name ?? 'another pile',
    measures,
  }),
  note: record.note,
});

/** The lines that answer everything that is asked; each word that is typed must begin a word of theirs. */
export function linesFor(lines: readonly LogLine[], filter: LogFilter): LogLine[] {
  const words = searchText(filter.text).split(' ').filter(Boolean);
  return lines.filter(
    (line) =>
      (filter.bedId === null || line.bedId === filter.bedId) &&
      (filter.kind === null || line.kind === filter.kind) &&
      (filter.cropId === null || line.cropId === filter.cropId) &&
      (filter.from === '' || line.date >= filter.from) &&
      (filter.until === '' || line.date <= filter.until) &&
      words.every((word) => ` ${line.found}`.includes(` ${word}`)),
  );
}
