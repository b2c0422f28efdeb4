import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { MaterialDraft } from '../../../records/material.ts';

/** What the page shows as if it were saved already. A new entry has the id it will be saved under, and version 0. */
export interface Preview {
  readonly entry: EntryRecord;
  readonly material: MaterialDraft | null;
}

const UNSAVED = { version: 0, createdAt: '', updatedAt: '' };

/**
 * The records with a preview in them. A changed entry keeps its place. A new one that has been saved meanwhile is there
 * already: it is not counted twice.
 */
export function withPreview(books: GardenBooks, preview: Preview | null): GardenBooks {
  if (!preview) return books;
  const { entry, material } = preview;
  const saved = books.entries.find(({ id }) => id === entry.id);
  const isSavedAnew = saved !== undefined && entry.version === 0;
  if (isSavedAnew) return books;
  const entries = saved
    ? books.entries.map((other) => (other.id === entry.id ? entry : other))
    : [...books.entries, entry];
  const isNewMaterial = material && books.materials.every(({ id }) => id !== material.id);
  const own = isNewMaterial ? [{ ...material, ...UNSAVED, id: material.id!, gardenId: books.garden.id }] : [];
  return { ...books, entries, materials: [...books.materials, ...own] };
}
