import { describe, expect, it } from 'vitest';
import type { EntryRecord } from '../../../records/entry.ts';
import {
  afterEdit,
  applyEdit,
  EMPTY_SHEET,
  isEmptyRevision,
  redo,
  reverseOf,
  revisionOf,
  undo,
  withSheet,
} from './revision.ts';

const lay = (id: string, date = '2026-05-01', amount = 6): EntryRecord => ({
  id,
  version: 1,
  createdAt: 'c',
  updatedAt: 'u',
  bedId: 'bed',
  type: 'lay',
  state: 'laid',
  date,
  note: '',
  materialId: 'chips_mixed',
  amount,
  unit: 'cm',
  massFreshKg: amount * 14,
  dugDepthCm: 0,
  seasonedMonths: 0,
});
const KEPT = [lay('compost', '2026-04-01', 3), lay('low'), lay('high')];
const ids = (entries: readonly EntryRecord[]) => entries.map(({ id }) => id);

describe('edits of the layers', () => {
  it('thicken by a factor, in amount and mass alike', () => {
    const [, low] = applyEdit(KEPT, { type: 'thicken', entryId: 'low', factor: 1.5 });
    expect(low).toMatchObject({ amount: 9, massFreshKg: 126 });
  });
  it('split a layer into two halves that are what it was', () => {
    const halves = applyEdit(KEPT, { type: 'split', entryId: 'low', newId: 'upper half' });
    expect(ids(halves)).toEqual(['compost', 'low', 'upper half', 'high']);
    expect(halves.slice(1, 3).map((half) => 'amount' in half && half.amount)).toEqual([3, 3]);
  });
  it('move a layer past its neighbor of the same day, and no further', () => {
    expect(ids(applyEdit(KEPT, { type: 'move', entryId: 'low', step: 1 }))).toEqual([
      'compost',
      'high',
      'low',
    ]);
    expect(applyEdit(KEPT, { type: 'move', entryId: 'low', step: -1 })).toBe(KEPT);
  });
  it('delete a layer with what was done to it', () => {
    const dig: EntryRecord = {
      ...lay('dig'),
      type: 'dig',
      layerId: 'low',
      dugDepthCm: 15,
    } as unknown as EntryRecord;
    expect(ids(applyEdit([...KEPT, dig], { type: 'remove', entryId: 'low' }))).toEqual(['compost', 'high']);
  });
});

describe('a sheet', () => {
  const twice = afterEdit(afterEdit(EMPTY_SHEET, { type: 'remove', entryId: 'low' }), {
    type: 'remove',
    entryId: 'high',
  });
  it('goes back and forth, and forgets the way forth after a new edit', () => {
    expect(ids(withSheet(KEPT, twice))).toEqual(['compost']);
    expect(ids(withSheet(KEPT, undo(twice)))).toEqual(['compost', 'high']);
    expect(redo(undo(twice))).toEqual(twice);
    expect(withSheet(KEPT, undo(undo(twice)))).toBe(KEPT);
    const other = afterEdit(undo(twice), { type: 'thicken', entryId: 'high', factor: 2 });
    expect(redo(other)).toBe(other);
  });
  it('holds what was kept meanwhile beside what is tried', () => {
    const meanwhile = [...KEPT, lay('another window')];
    expect(ids(withSheet(meanwhile, twice))).toEqual(['compost', 'another window']);
    expect(
      withSheet([lay('low')], afterEdit(EMPTY_SHEET, { type: 'split', entryId: 'gone', newId: 'x' })),
    ).toHaveLength(1);
  });
  it('has no way back from the beginning', () => expect(undo(EMPTY_SHEET)).toBe(EMPTY_SHEET));
});

describe('a revision', () => {
  it('is empty when nothing changed', () => expect(isEmptyRevision(revisionOf(KEPT, KEPT))).toBe(true));
  it('names what is new, changed, gone, and the order where it differs', () => {
    const wanted = [lay('high'), { ...lay('low'), amount: 8 } as EntryRecord, { ...lay('new'), version: 0 }];
    const revision = revisionOf(KEPT, wanted);
    expect(revision.creates.map(({ id }) => id)).toEqual(['new']);
    expect(revision.changes).toMatchObject([{ id: 'low', amount: 8, version: 1 }]);
    expect(revision.removals).toEqual([{ id: 'compost', version: 1 }]);
    expect(revision.order).toEqual(['high', 'low', 'new']);
    expect(JSON.stringify(revision)).not.toContain('massFreshKg');
  });
  it('is taken back by its reverse, in the versions the book has by then', () => {
    const wanted = [lay('high'), { ...lay('low'), amount: 8 } as EntryRecord, { ...lay('new'), version: 0 }];
    const revision = revisionOf(KEPT, wanted);
    const now = [lay('high'), { ...lay('low'), version: 2 }, lay('new')];
    expect(reverseOf(revision, KEPT, now)).toMatchObject({
      removals: [{ id: 'new', version: 1 }],
      changes: [{ id: 'low', amount: 6, version: 2 }],
      restores: ['compost'],
      order: ['low', 'high'],
    });
  });
});
