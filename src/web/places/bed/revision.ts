import type { BedRevision } from '../../../contract/requests.ts';
import type { EntryChange, EntryRecord } from '../../../records/entry.ts';

type LayRecord = Extract<EntryRecord, { type: 'lay' }>;

/** Something done to the layers of a bed that is not saved yet. */
export type Edit =
  | { readonly type: 'thicken'; readonly entryId: string; readonly factor: number }
  | { readonly type: 'add'; readonly entries: readonly EntryRecord[] }
  | { readonly type: 'remove'; readonly entryId: string }
  | { readonly type: 'split'; readonly entryId: string; readonly newId: string }
  | { readonly type: 'move'; readonly entryId: string; readonly step: 1 | -1 };

/** Edits in the order they were made, and those taken back, the last one first. */
export interface Sheet {
  readonly done: readonly Edit[];
  readonly undone: readonly Edit[];
}

export const EMPTY_SHEET: Sheet = { done: [], undone: [] };

/** The entries of a bed with a sheet's edits carried out; whatever was kept meanwhile is among them. */
export const withSheet = (kept: readonly EntryRecord[], { done }: Sheet): readonly EntryRecord[] =>
  done.reduce(applyEdit, kept);

export const afterEdit = ({ done }: Sheet, edit: Edit): Sheet => ({ done: [...done, edit], undone: [] });

export function undo(sheet: Sheet): Sheet {
  const last = sheet.done.at(-1);
  return last ? { done: sheet.done.slice(0, -1), undone: [last, ...sheet.undone] } : sheet;
}

export function redo(sheet: Sheet): Sheet {
  const [next, ...undone] = sheet.undone;
  return next ? { done: [...sheet.done, next], undone } : sheet;
}

const scaleLay = (entry: LayRecord, factor: number): LayRecord => ({
  ...entry,
  amount: entry.amount * factor,
  massFreshKg: entry.massFreshKg * factor,
});

/** Entries with an edit carried out; the very same list when it comes to nothing. */
export function applyEdit(entries: readonly EntryRecord[], edit: Edit): readonly EntryRecord[] {
  switch (edit.type) {
    case 'add':
      return edit.entries.length === 0 ? entries : [...entries, ...edit.entries];
    case 'remove':
      return withoutEntry(entries, edit.entryId);
    case 'thicken':
      return mapLay(entries, edit.entryId, (entry) =>
        edit.factor > 0 && edit.factor !== 1 ? [scaleLay(entry, edit.factor)] : [entry],
      );
    case 'split':
      return mapLay(entries, edit.entryId, (entry) => [
        scaleLay(entry, 0.5),
        { ...scaleLay(entry, 0.5), id: edit.newId, version: 0 },
      ]);
    case 'move':
      return moved(entries, edit.entryId, edit.step);
  }
}

/** Deleting an entry deletes what was dug in or taken off of it. */
function withoutEntry(entries: readonly EntryRecord[], entryId: string): readonly EntryRecord[] {
  const rest = entries.filter(
    (entry) =>
      entry.id !== entryId &&
      !((entry.type === 'dig' || entry.type === 'takeOff') && entry.layerId === entryId),
  );
  return rest.length === entries.length ? entries : rest;
}

function mapLay(
  entries: readonly EntryRecord[],
  entryId: string,
  change: (entry: LayRecord) => LayRecord[],
): readonly EntryRecord[] {
  const changed = entries.flatMap((entry) =>
    entry.id === entryId && entry.type === 'lay' ? change(entry) : [entry],
  );
  const isSame = changed.length === entries.length && changed.every((entry, i) => entry === entries[i]);
  return isSame ? entries : changed;
}

/** The lay entry above (1) or below (-1) another on the same day, as an index; -1 when there is none. */
export function neighborOnTheDay(entries: readonly EntryRecord[], entryId: string, step: 1 | -1): number {
  const from = entries.findIndex(({ id }) => id === entryId);
  const entry = entries[from];
  if (!entry) return -1;
  for (let i = from + step; i >= 0 && i < entries.length; i += step) {
    const other = entries[i]!;
    if (other.date === entry.date && other.type === 'lay' && other.dugDepthCm === 0) return i;
  }
  return -1;
}

function moved(entries: readonly EntryRecord[], entryId: string, step: 1 | -1): readonly EntryRecord[] {
  const from = entries.findIndex(({ id }) => id === entryId);
  const to = neighborOnTheDay(entries, entryId, step);
  if (from < 0 || to < 0) return entries;
  const changed = [...entries];
  [changed[from], changed[to]] = [changed[to]!, changed[from]!];
  return changed;
}

/** A record as a change that leaves it as it is. */
export function asChange(entry: EntryRecord): EntryChange {
  const { id, bedId, createdAt, updatedAt, ...change } = entry;
  if (change.type !== 'lay') return change;
  const { massFreshKg, ...lay } = change;
  return lay;
}

function asDraft(entry: EntryRecord): BedRevision['creates'][number] {
  const { version, ...draft } = asChange(entry);
  return { ...draft, id: entry.id };
}

const isSameEntry = (a: EntryRecord, b: EntryRecord): boolean =>
  JSON.stringify(asChange(a)) === JSON.stringify(asChange(b));

const datesIn = (...lists: (readonly EntryRecord[])[]): string[] => [
  ...new Set(lists.flatMap((list) => list.map(({ date }) => date))),
];
const idsOn = (entries: readonly EntryRecord[], date: string): string[] =>
  entries.filter((entry) => entry.date === date).map(({ id }) => id);

/** What must be written so that the book says `wanted` where it says `kept`. */
export function revisionOf(kept: readonly EntryRecord[], wanted: readonly EntryRecord[]): BedRevision {
  const before = new Map(kept.map((entry) => [entry.id, entry]));
  const after = new Set(wanted.map(({ id }) => id));
  const creates = wanted.filter(({ id }) => !before.has(id));
  const order = datesIn(kept, wanted).flatMap((date) => {
    const written = [
      ...idsOn(kept, date).filter((id) => after.has(id)),
      ...creates.filter((entry) => entry.date === date).map(({ id }) => id),
    ];
    const meant = idsOn(wanted, date);
    return meant.join() === written.join() ? [] : meant;
  });
  return {
    creates: creates.map(asDraft),
    changes: wanted.flatMap((entry) => {
      const old = before.get(entry.id);
      return old && !isSameEntry(old, entry)
        ? [{ ...asChange(entry), id: entry.id, version: old.version }]
        : [];
    }),
    removals: kept.filter(({ id }) => !after.has(id)).map(({ id, version }) => ({ id, version })),
    restores: [],
    order,
  };
}

/** What takes a revision back: `now` is what the book says after it, `kept` what it said before. */
export function reverseOf(
  revision: BedRevision,
  kept: readonly EntryRecord[],
  now: readonly EntryRecord[],
): BedRevision {
  const versions = new Map(now.map(({ id, version }) => [id, version]));
  const before = new Map(kept.map((entry) => [entry.id, entry]));
  return {
    creates: [],
    removals: revision.creates.map(({ id }) => ({ id, version: versions.get(id) ?? 1 })),
    changes: revision.changes.map(({ id }) => ({
      ...asChange(before.get(id)!),
      id,
      version: versions.get(id) ?? 1,
    })),
    restores: revision.removals.map(({ id }) => id),
    order: datesIn(kept)
      .map((date) => idsOn(kept, date))
      .filter((ids) => ids.some((id) => revision.order.includes(id)))
      .flat(),
  };
}

export const isEmptyRevision = ({ creates, changes, removals, order }: BedRevision): boolean =>
  creates.length + changes.length + removals.length + order.length === 0;
