import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryRecord } from '../../../records/entry.ts';
import { bedRevision } from '../../../contract/requests.ts';
import {
  afterEdit,
  asChange,
  EMPTY_SHEET,
  isEmptyRevision,
  redo,
  reverseOf,
  revisionOf,
  undo,
  withSheet,
  type Edit,
} from './revision.ts';

const IDS = ['a', 'b', 'c', 'd'];
const lay = (id: string, version = 1): EntryRecord => ({
  id,
  version,
  createdAt: '',
  updatedAt: '',
  bedId: 'bed',
  type: 'lay',
  state: 'laid',
  date: id < 'c' ? '2026-05-01' : '2026-05-02',
  note: '',
  materialId: 'chips_mixed',
  amount: 5,
  unit: 'cm',
  massFreshKg: 70,
  dugDepthCm: 0,
  seasonedMonths: 0,
});
const KEPT = IDS.map((id) => lay(id));

const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({
    type: fc.constant('thicken' as const),
    entryId: fc.constantFrom(...IDS),
    factor: fc.double({ min: 0.1, max: 4, noNaN: true }),
  }),
  fc.record({ type: fc.constant('remove' as const), entryId: fc.constantFrom(...IDS) }),
  fc.record({
    type: fc.constant('split' as const),
    entryId: fc.constantFrom(...IDS),
    newId: fc.uuid(),
  }),
  fc.record({
    type: fc.constant('move' as const),
    entryId: fc.constantFrom(...IDS),
    step: fc.constantFrom(1 as const, -1 as const),
  }),
  fc.record({
    type: fc.constant('add' as const),
    entries: fc.uuid().map((id) => [lay(id, 0)]),
  }),
);

const said = (entries: readonly EntryRecord[]) =>
  entries.map((entry) => ({ ...asChange(entry), id: entry.id, version: 0 }));

/** The book as the server would leave it: by date, on one day by the order written or asked for. */
function book(kept: readonly EntryRecord[], revision: ReturnType<typeof revisionOf>): EntryRecord[] {
  const removed = new Set(revision.removals.map(({ id }) => id));
  const changed = new Map(revision.changes.map((change) => [change.id, change]));
  const written = [
    ...kept
      .filter(({ id }) => !removed.has(id))
      .map((entry) => ({ ...entry, ...changed.get(entry.id), version: entry.version + 1 }) as EntryRecord),
    ...revision.creates.map((draft) => ({ ...lay(draft.id), ...draft, version: 1 }) as EntryRecord),
  ];
  const place = (id: string) => {
    const at = revision.order.indexOf(id);
    return at < 0 ? written.findIndex((entry) => entry.id === id) : at;
  };
  return written.sort((a, b) => a.date.localeCompare(b.date) || place(a.id) - place(b.id));
}

const byDate = (entries: readonly EntryRecord[]) => [...entries].sort((a, b) => a.date.localeCompare(b.date));

describe('any edits of the layers', () => {
  it('are taken back one by one to what was kept, and done again', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
        const sheet = edits.reduce(afterEdit, EMPTY_SHEET);
        const back = edits.reduce(undo, sheet);
        expect(withSheet(KEPT, back)).toBe(KEPT);
        expect(withSheet(KEPT, edits.reduce(redo, back))).toEqual(withSheet(KEPT, sheet));
      }),
    );
  });

  it('make a revision the server takes, which says exactly what was tried', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
        const wanted = withSheet(KEPT, edits.reduce(afterEdit, EMPTY_SHEET));
        const revision = revisionOf(KEPT, wanted);
        expect(bedRevision.safeParse(revision).success).toBe(true);
        expect(said(book(KEPT, revision)).map(({ id }) => id)).toEqual(byDate(wanted).map(({ id }) => id));
        expect(said(book(KEPT, revision))).toEqual(said(byDate(wanted)));
        expect(isEmptyRevision(revisionOf(wanted, wanted))).toBe(true);
      }),
    );
  });

  it('are undone in the book by the reverse, every entry as it was', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 8 }), (edits) => {
        const wanted = withSheet(KEPT, edits.reduce(afterEdit, EMPTY_SHEET));
        const revision = revisionOf(KEPT, wanted);
        const now = book(KEPT, revision);
        const reverse = reverseOf(revision, KEPT, now);
        expect(new Set(reverse.removals.map(({ id }) => id))).toEqual(
          new Set(revision.creates.map(({ id }) => id)),
        );
        expect(reverse.restores).toEqual(revision.removals.map(({ id }) => id));
        for (const change of reverse.changes) {
          const before = KEPT.find(({ id }) => id === change.id)!;
          expect({ ...change, version: 0 }).toEqual({ ...asChange(before), id: change.id, version: 0 });
          expect(change.version).toBe(now.find(({ id }) => id === change.id)!.version);
        }
        expect(bedRevision.safeParse(reverse).success).toBe(true);
      }),
    );
  });
});
