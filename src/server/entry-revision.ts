import type { BedRecord } from '../records/bed.ts';
import type { BedRevision } from '../contract/requests.ts';
import type { EntryChange, EntryDraft, EntryRecord } from '../records/entry.ts';
import { dayNumberFromIso, massFreshKgFromAmount } from '../core/ground/index.ts';
import { InputError } from '../refusals/input-error.ts';
import { materialFinder } from '../core/bed/index.ts';
import { nearestMaterialId } from '../core/yard/index.ts';
import { keptForStock, requireSoundStock } from './kept-stock.ts';
import { notFound } from './problems.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from './answers.ts';
import type { Stores } from './stores.ts';

const UNSTAMPED = { version: 1, createdAt: '', updatedAt: '' };

interface Weighing {
  readonly stores: Stores;
  /** ISO date. */
  readonly today: string;
}

/** What is taken from stock weighs what that amount of the lot weighs on the day, and is called what it has become. */
function takenFromStock({
  stores,
  entry,
  gardenId,
  today,
}: {
  readonly stores: Stores;
  readonly entry: Extract<EntryRecord, { type: 'lay' }>;
  readonly gardenId: string;
  readonly today: string;
}): EntryRecord {
  const records = keptForStock(stores, gardenId);
  const others = records.entries.filter(({ id }) => id !== entry.id);
  const { taken } = requireSoundStock({ ...records, entries: [...others, entry] }, today, [entry.id]);
  const given = taken.get(entry.id)!;
  return { ...entry, massFreshKg: given.massFreshKg, materialId: nearestMaterialId(given.contents) };
}

/** A draft as it will be kept: an amount of material is weighed by what lies on how much ground. */
export function weighDraft({
  weighing: { stores, today },
  bed,
  id,
  draft,
}: {
  readonly weighing: Weighing;
  readonly bed: BedRecord;
  readonly id: string;
  readonly draft: EntryDraft | EntryChange;
}): EntryRecord {
  const kept = { ...draft, ...UNSTAMPED, id, bedId: bed.id };
  if (kept.type !== 'lay') return kept;
  if (kept.lotId)
    return takenFromStock({ stores, entry: { ...kept, massFreshKg: 0 }, gardenId: bed.gardenId, today });
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(bed.gardenId),
    labResults: stores.labResults.listOf(bed.gardenId),
  });
  const material = findMaterial(kept.materialId, dayNumberFromIso(kept.date, ['date']));
  if (!material) {
    throw new InputError(['materialId'], 'namesNone', { what: 'material', got: kept.materialId });
  }
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  return { ...kept, massFreshKg: massFreshKgFromAmount({ amount: kept.amount, unit: kept.unit, measured }) };
}

/** Writes every part of a revision; the books are weighed by the caller, who takes all of it back if they fail. */
export function carryOutRevision({ stores, today }: Weighing, bed: BedRecord, revision: BedRevision): void {
  for (const { id, version } of revision.removals)
    requireRemoved(stores.entries.remove(id, version), 'entry');
  for (const id of revision.restores) requireWritten(stores.entries.restore(id), 'entry');
  for (const draft of revision.creates) {
    const known = sentAgain(stores.entries.find(draft.id), { ...draft, bedId: bed.id });
    if (!known) stores.entries.insert(weighDraft({ weighing: { stores, today }, bed, id: draft.id, draft }));
  }
  for (const { id, ...change } of revision.changes) {
    const before = requireFound(stores.entries.find(id), 'entry');
    requireSeen(before, change.version);
    requireWritten(
      stores.entries.update(
        id,
        change.version,
        weighDraft({ weighing: { stores, today }, bed, id, draft: change }),
      ),
      'entry',
    );
  }
  requireOwnEntries(
    stores,
    bed.id,
    revision.order.map((id) => ({ id })),
  );
  stores.entries.reorder(revision.order);
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
