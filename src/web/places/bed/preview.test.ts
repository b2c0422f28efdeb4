import { describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { MaterialDraft } from '../../../records/material.ts';
import { withPreview } from './preview.ts';

const watering = (id: string, version: number, waterMm = 10): EntryRecord => ({
  id,
  version,
  createdAt: '',
  updatedAt: '',
  bedId: 'bed',
  type: 'water',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  waterMm,
});
const books = (...entries: EntryRecord[]) =>
  ({ garden: { id: 'garden' }, entries, materials: [] }) as unknown as GardenBooks;
const CHIPS: MaterialDraft = {
  id: 'chips',
  name: 'Own chips',
  note: '',
  basis: { type: 'chips', branchDiameterCm: 5, leafShare: 0, coniferShare: 0 },
};

describe('records with a preview', () => {
  it('are those that were saved when nothing is previewed', () => {
    const saved = books(watering('a', 1));
    expect(withPreview(saved, null)).toBe(saved);
  });

  it('end with a new entry', () => {
    const shown = withPreview(books(watering('a', 1)), { entry: watering('new', 0), material: null });
    expect(shown.entries.map(({ id }) => id)).toEqual(['a', 'new']);
  });

  it('do not hold a new entry twice once it has been saved, while its form is still open', () => {
    const saved = books(watering('a', 1), watering('new', 1));
    expect(withPreview(saved, { entry: watering('new', 0), material: CHIPS })).toBe(saved);
  });

  it('show a changed entry in its place', () => {
    const saved = books(watering('a', 3), watering('b', 1));
    const shown = withPreview(saved, { entry: watering('a', 3, 25), material: null });
    expect(shown.entries).toEqual([watering('a', 3, 25), watering('b', 1)]);
  });

  it('hold chips that were described in the form once', () => {
    const preview = { entry: watering('new', 0), material: CHIPS };
    const once = withPreview(books(), preview);
    expect(once.materials).toMatchObject([{ id: 'chips', gardenId: 'garden', version: 0 }]);
    expect(withPreview({ ...books(), materials: once.materials }, preview).materials).toHaveLength(1);
  });
});
