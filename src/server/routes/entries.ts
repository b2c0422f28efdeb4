import { Hono } from 'hono';
import {
  bedRevision,
  entryChange,
  entryDraft,
  type BedRecord,
  type BedRevision,
  type EntryChange,
  type EntryDraft,
  type EntryRecord,
} from '../../contract/records.ts';
import { dayNumberFromIso } from '../../core/climate/calendar.ts';
import { InputError } from '../../core/input-error.ts';
import { materialFinder } from '../../core/records/garden-books.ts';
import { nearestMaterialId } from '../../core/stock/nearest-material.ts';
import { massFreshKgFromAmount } from '../../core/units/amount.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { keptRecords, requireSoundStock } from '../kept-stock.ts';
import { notFound } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { found, requireRemoved, requireSeen, sentAgain, written } from './answers.ts';
import { body, seenVersion } from './validated.ts';

const UNSTAMPED = { version: 1, createdAt: '', updatedAt: '' };

interface Weighing {
  readonly stores: Stores;
  /** ISO date. */
  readonly today: string;
}

/** What is taken from stock weighs what that amount of the lot weighs on the day, and is called what it has become. */
function takenFromStock(
  stores: Stores,
  entry: Extract<EntryRecord, { type: 'lay' }>,
  gardenId: string,
  today: string,
): EntryRecord {
  const records = keptRecords(stores, gardenId);
  const others = records.entries.filter(({ id }) => id !== entry.id);
  const { taken } = requireSoundStock({ ...records, entries: [...others, entry] }, today, [entry.id]);
  const given = taken.get(entry.id)!;
  return { ...entry, massFreshKg: given.massFreshKg, materialId: nearestMaterialId(given.contents) };
}

/** A draft as it will be kept: an amount of material is weighed by what lies on how much ground. */
function weighed(
  { stores, today }: Weighing,
  bed: BedRecord,
  id: string,
  draft: EntryDraft | EntryChange,
): EntryRecord {
  const kept = { ...draft, ...UNSTAMPED, id, bedId: bed.id };
  if (kept.type !== 'lay') return kept;
  if (kept.lotId) return takenFromStock(stores, { ...kept, massFreshKg: 0 }, bed.gardenId, today);
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(bed.gardenId),
    labResults: stores.labResults.listOf(bed.gardenId),
  });
  const material = findMaterial(kept.materialId, dayNumberFromIso(kept.date, ['date']));
  if (!material) {
    throw new InputError(['materialId'], 'unknown', `names no material; got "${kept.materialId}"`);
  }
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  return { ...kept, massFreshKg: massFreshKgFromAmount(kept.amount, kept.unit, measured) };
}

/** The list with the entry in the place of the one it changes, or at the end. */
const withEntry = (entries: readonly EntryRecord[], entry: EntryRecord): EntryRecord[] =>
  entries.some(({ id }) => id === entry.id)
    ? entries.map((other) => (other.id === entry.id ? entry : other))
    : [...entries, entry];

/** Writes every part of a revision; the books are weighed by the caller, who takes all of it back if they fail. */
function carryOut({ stores, today }: Weighing, bed: BedRecord, revision: BedRevision): void {
  for (const { id, version } of revision.removals)
    requireRemoved(stores.entries.remove(id, version), 'entry');
  for (const id of revision.restores) written(stores.entries.restore(id), 'entry');
  for (const draft of revision.creates) {
    const known = sentAgain(stores.entries.find(draft.id), { ...draft, bedId: bed.id });
    if (!known) stores.entries.insert(weighed({ stores, today }, bed, draft.id, draft));
  }
  for (const { id, ...change } of revision.changes) {
    const before = found(stores.entries.find(id), 'entry');
    requireSeen(before, change.version);
    written(stores.entries.update(id, change.version, weighed({ stores, today }, bed, id, change)), 'entry');
  }
  requireOwn(
    stores,
    bed.id,
    revision.order.map((id) => ({ id })),
  );
  stores.entries.reorder(revision.order);
}

/** Every entry a revision names must be one of the bed's own. */
function requireOwn(stores: Stores, bedId: string, named: readonly { readonly id: string }[]): void {
  const own = new Set(stores.entries.listOf(bedId).map(({ id }) => id));
  for (const { id } of named) if (!own.has(id)) throw notFound('entry');
}

export const entryRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .post('/beds/:bedId/entries', body(entryDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      return stores.atomically(() => {
        const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
        const known = sentAgain(stores.entries.find(id), { ...draft, bedId: bed.id });
        if (known) return c.json(known, 200);
        const entry = weighed({ stores, today: today() }, bed, id, draft);
        requireSoundBooks(stores, bed.id, today(), { entries: (all) => withEntry(all, entry), about: [id] });
        return c.json(stores.entries.insert(entry), 201);
      });
    })
    .post('/beds/:bedId/revisions', body(bedRevision), (c) =>
      stores.atomically(() => {
        const revision = c.req.valid('json');
        const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
        requireOwn(stores, bed.id, [...revision.changes, ...revision.removals]);
        carryOut({ stores, today: today() }, bed, revision);
        requireSoundBooks(stores, bed.id, today(), {
          about: [...revision.creates, ...revision.changes].map(({ id }) => id),
        });
        return c.json({ entries: stores.entries.listOf(bed.id) }, 200);
      }),
    )
    .put('/entries/:entryId', body(entryChange), (c) => {
      const id = c.req.param('entryId');
      const change = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.entries.find(id), 'entry');
        requireSeen(before, change.version);
        const bed = found(stores.beds.find(before.bedId), 'bed');
        const entry = weighed({ stores, today: today() }, bed, id, change);
        requireSoundBooks(stores, bed.id, today(), { entries: (all) => withEntry(all, entry), about: [id] });
        return c.json(written(stores.entries.update(id, change.version, entry), 'entry'), 200);
      });
    })
    .delete('/entries/:entryId', seenVersion, (c) => {
      const id = c.req.param('entryId');
      stores.atomically(() => {
        const { bedId } = found(stores.entries.find(id), 'entry');
        requireSoundBooks(stores, bedId, today(), {
          entries: (all) => all.filter((entry) => entry.id !== id),
        });
        requireRemoved(stores.entries.remove(id, c.req.valid('query').version), 'entry');
      });
      return c.body(null, 204);
    })
    .post('/entries/:entryId/restore', (c) =>
      stores.atomically(() => {
        const entry = written(stores.entries.restore(c.req.param('entryId')), 'entry');
        requireSoundBooks(stores, entry.bedId, today(), { about: [entry.id] });
        return c.json(entry, 200);
      }),
    );
