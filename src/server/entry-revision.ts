import type { BedRecord } from '../records/bed.ts';
import type { BedRevision } from '../contract/requests.ts';
import type { EntryChange, EntryDraft, EntryRecord } from '../records/entry.ts';
import { dayNumberFromIso, massFreshKgFromAmount } from '../core/ground/index.ts';
import { InputError } from '../refusals/input-error.ts';
import { type BedBooks, type GardenRecords, materialFinder } from '../core/bed/index.ts';
import { nearestMaterialId } from '../core/yard/index.ts';
import { keptForStock, requireSoundStock } from './kept-stock.ts';
import { notFound } from './problems.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from './answers.ts';
import type { Stores } from './stores.ts';

const UNSTAMPED = { version: 1, createdAt: '', updatedAt: '' };

type LayRecord = Extract<EntryRecord, { type: 'lay' }>;

/** Something to be kept under an id. */
interface Named {
  readonly id: string;
  readonly draft: EntryDraft | EntryChange;
}

/** All that draws on the stock as it would be with these layings. */
function recordsWith(stores: Stores, gardenId: string, entries: readonly LayRecord[]): GardenRecords {
  const drafts = new Map(entries.map((entry) => [entry.id, entry]));
  const records = keptForStock(stores, gardenId);
  const known = new Set(records.entries.map(({ id }) => id));
  return {
    ...records,
    // What is changed keeps its place among all that is taken on the same day.
    entries: [
      ...records.entries.map((entry) => drafts.get(entry.id) ?? entry),
      ...entries.filter(({ id }) => !known.has(id)),
    ],
  };
}

/** What is taken from stock weighs what that amount of the pile weighs on the day, and is called what it has become. */
function takenFromStock(stores: Stores, { gardenId }: BedRecord, entries: readonly LayRecord[]) {
  const taken = requireSoundStock({
    stores,
    gardenId,
    records: recordsWith(stores, gardenId, entries),
    about: entries.map(({ id }) => id),
  });
  const asTaken = (entry: LayRecord): EntryRecord => {
    const { massFreshKg, contents } = taken.get(entry.id)!;
    return { ...entry, massFreshKg, materialId: nearestMaterialId(contents) };
  };
  return { taken, asTaken };
}

/** An amount of material is weighed by what lies on how much ground. */
function weighedByMaterial(stores: Stores, bed: BedRecord, entry: LayRecord & { readonly amount: number }) {
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(bed.gardenId),
    labResults: stores.labResults.listOf(bed.gardenId),
  });
  const material = findMaterial(entry.materialId, dayNumberFromIso(entry.date, ['date']));
  if (!material) {
    throw new InputError(['materialId'], 'namesNone', { what: 'material', got: entry.materialId });
  }
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  return {
    ...entry,
    massFreshKg: massFreshKgFromAmount({ amount: entry.amount, unit: entry.unit, measured }),
  };
}

interface Weighed {
  readonly entries: readonly EntryRecord[];
  /** What the stock gives all beds then; undefined when none of this comes from it. */
  readonly taken?: BedBooks['taken'];
}

/** A draft as it will be kept, before it is weighed. */
function unweighed({ id }: BedRecord, named: Named) {
  const entry = { ...named.draft, ...UNSTAMPED, id: named.id, bedId: id };
  return entry.type === 'lay' ? { ...entry, massFreshKg: 0 } : entry;
}

const fromStockAmong = (entries: readonly ReturnType<typeof unweighed>[]) =>
  entries.flatMap((entry) => (entry.type === 'lay' && entry.lotId ? [entry] : []));

const draftsOf = ({ creates, changes }: BedRevision): Named[] => [
  ...creates.map((draft) => ({ id: draft.id, draft })),
  ...changes.map(({ id, ...draft }) => ({ id, draft })),
];

/** What the stock would be proved with for a revision; null when nothing of it comes from there. */
export function stockAhead(stores: Stores, bed: BedRecord, revision: BedRevision): GardenRecords | null {
  const fromStock = fromStockAmong(draftsOf(revision).map((named) => unweighed(bed, named)));
  return fromStock.length > 0 ? recordsWith(stores, bed.gardenId, fromStock) : null;
}

/** Drafts as they will be kept, each weighed; the stock is proved once for all that comes from it. */
export function weighDrafts(stores: Stores, bed: BedRecord, drafts: readonly Named[]): Weighed {
  const kept = drafts.map((named) => unweighed(bed, named));
  const fromStock = fromStockAmong(kept);
  const stock = fromStock.length > 0 ? takenFromStock(stores, bed, fromStock) : null;
  const entries = kept.map((entry) => {
    if (entry.type !== 'lay') return entry;
    return entry.lotId && stock ? stock.asTaken(entry) : weighedByMaterial(stores, bed, entry);
  });
  return stock ? { entries, taken: stock.taken } : { entries };
}

export const weighDraft = (stores: Stores, bed: BedRecord, named: Named): EntryRecord =>
  weighDrafts(stores, bed, [named]).entries[0]!;

/**
 * Writes every part of a revision; the books are weighed by the caller, who takes all of it back if they fail. Returns what
 * the stock then gives the beds, where that was proved on the way.
 */
export function carryOutRevision(
  stores: Stores,
  bed: BedRecord,
  revision: BedRevision,
): Pick<Weighed, 'taken'> {
  for (const { id, version } of revision.removals)
    requireRemoved(stores.entries.remove(id, version), 'entry');
  for (const id of revision.restores) {
    const { bedId } = requireWritten(stores.entries.restore(id), 'entry');
    if (bedId !== bed.id) throw notFound('entry');
  }
  const creates = revision.creates.filter(
    (draft) => !sentAgain(stores.entries.find(draft.id), { ...draft, bedId: bed.id }),
  );
  for (const { id, version } of revision.changes) {
    requireSeen(requireFound(stores.entries.find(id), 'entry'), version);
  }
  const { entries, taken } = weighDrafts(stores, bed, draftsOf({ ...revision, creates }));
  entries.slice(0, creates.length).forEach((entry) => stores.entries.insert(entry));
  revision.changes.forEach(({ id, version }, i) =>
    requireWritten(stores.entries.update(id, version, entries[creates.length + i]!), 'entry'),
  );
  requireOwnEntries(
    stores,
    bed.id,
    revision.order.map((id) => ({ id })),
  );
  stores.entries.reorder(revision.order);
  // In another order the stock may give something else.
  return taken && revision.order.length === 0 ? { taken } : {};
}

/** Every entry a revision names must be one of the bed's own. */
export function requireOwnEntries(
  stores: Stores,
  bedId: string,
  named: readonly { readonly id: string }[],
): void {
  const own = new Set(stores.entries.listOf(bedId).map(({ id }) => id));
  for (const { id } of named) if (!own.has(id)) throw notFound('entry');
}
