import type { CollectionName } from '../../records/collections.ts';
import type { EntryDraft } from '../../records/entry.ts';
import type { ImportOutcome } from '../../contract/imports.ts';
import type { FieldProblem } from '../../contract/problem.ts';
import { finding, refusal, type Finding } from '../../refusals/refusal.ts';
import { InputError } from '../../refusals/input-error.ts';
import { weighDraft } from '../entry-revision.ts';
import { fromInputError, isConstraint, ProblemError } from '../problems.ts';
import type { Filed, ImportWrite, Stores } from '../stores.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { differingFields } from './differing.ts';
import { storeOf, type AnyRecord, type Garden, type JudgedRow, type NamedRow, type Setting } from './rows.ts';

/** Where a kept record belongs; entries and plantings belong to the garden of their bed. */
const gardenOf = (stores: Stores, record: AnyRecord): string | undefined =>
  record.gardenId ??
  (record.bedId === undefined ? undefined : stores.beds.findEvenRemoved(record.bedId)?.record.gardenId);

const isOwnBed = ({ stores, gardenId }: Garden, bedId: unknown) =>
  typeof bedId === 'string' && stores.beds.find(bedId)?.gardenId === gardenId;
const isOwnLot = ({ stores, gardenId }: Garden, lotId: unknown) =>
  typeof lotId === 'string' && stores.lots.find(lotId)?.gardenId === gardenId;

type NoName = 'bed' | 'ownPile' | 'ownLayer';

/** What a record leans on and the garden does not have. */
function missingReferences(garden: Garden, collection: CollectionName, record: object): Finding[] {
  const { bedId, lotId, toLotId, unburntToLotId, layerId } = record as Record<string, unknown>;
  const missing: Finding[] = [];
  const say = (field: string, what: NoName, value: unknown) =>
    missing.push(finding(refusal('namesNone', { what, got: String(value) }), field));
  if (bedId !== undefined && bedId !== null && !isOwnBed(garden, bedId)) say('bedId', 'bed', bedId);
  if (lotId !== undefined && lotId !== null && !isOwnLot(garden, lotId)) say('lotId', 'ownPile', lotId);
  if (toLotId !== undefined && !isOwnLot(garden, toLotId)) say('toLotId', 'ownPile', toLotId);
  if (typeof unburntToLotId === 'string' && !isOwnLot(garden, unburntToLotId))
    say('unburntToLotId', 'ownPile', unburntToLotId);
  if (
    collection === 'entries' &&
    typeof layerId === 'string' &&
    !garden.stores.entries.findEvenRemoved(layerId)
  )
    say('layerId', 'ownLayer', layerId);
  return missing;
}

/** The record as it will be kept: stamped, and weighed where it says how much but not how heavy. */
function asKept(setting: Setting, row: NamedRow, kept: AnyRecord | undefined): Filed<AnyRecord> {
  const { stores, now, gardenId } = setting;
  const isOfBed = row.collection === 'entries' || row.collection === 'plantings';
  const stamped = {
    createdAt: kept?.createdAt ?? now,
    updatedAt: now,
    ...row.record,
    id: row.id,
    ...(isOfBed ? {} : { gardenId }),
  };
  if (
    row.collection !== 'entries' ||
    !('type' in stamped) ||
    stamped.type !== 'lay' ||
    'massFreshKg' in stamped
  )
    return stamped;
  const { createdAt, updatedAt, bedId, ...draft } = stamped as unknown as EntryDraft & Filed<AnyRecord>;
  const bed = stores.beds.find(bedId!)!;
  const entry = weighDraft(stores, bed, { id: row.id, draft });
  return { ...entry, createdAt, updatedAt };
}

const refused = (row: NamedRow, reasons: readonly FieldProblem[]): JudgedRow => ({
  collection: row.collection,
  index: row.index,
  id: row.id,
  outcome: 'rejected',
  fields: [],
  reasons,
});

/** What the books refuse without naming a field, as the reason of a row. */
const asReason = ({ message }: ProblemError): FieldProblem => ({
  ...describeFinding(finding(refusal('mustBe', { requirement: message }), 'row')),
  sentence: message,
});

/** Writes one row unless it cannot be; what stood there before goes into the list of writes. */
export function writeRow(setting: Setting, row: NamedRow, writes: ImportWrite[]): JudgedRow {
  const { stores, gardenId } = setting;
  if (row.reasons.length > 0) return refused(row, row.reasons.map(describeFinding));
  const store = storeOf(stores, row.collection);
  const kept = store.findEvenRemoved(row.id);
  if (kept && gardenOf(stores, kept.record) !== gardenId) {
    return refused(row, [describeFinding(finding(refusal('ofAnotherGarden'), 'id'))]);
  }
  const missing = missingReferences({ stores, gardenId }, row.collection, row.record);
  if (missing.length > 0) return refused(row, missing.map(describeFinding));
  const before = kept && !kept.isRemoved ? kept.record : undefined;
  const fields = before ? differingFields(row.record, before) : [];
  const outcome: ImportOutcome = !before ? 'added' : fields.length > 0 ? 'changed' : 'same';
  if (outcome !== 'same') {
    let record;
    try {
      record = asKept(setting, row, before);
    } catch (error) {
      const problem = error instanceof InputError ? fromInputError(error) : error;
      if (!(problem instanceof ProblemError)) throw error;
      return refused(row, problem.extra.errors ?? [asReason(problem)]);
    }
    let version: number;
    try {
      ({ version } = store.upsert(record));
    } catch (error) {
      if (!isConstraint(error)) throw error;
      return refused(row, [describeFinding(finding(refusal('doesNotFit'), 'input'))]);
    }
    writes.push({ collection: row.collection, id: row.id, version, before: before ?? null });
  }
  const { collection, index, id } = row;
  return { collection, index, id, outcome, fields, reasons: [] };
}
