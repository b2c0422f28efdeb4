import type { GardenRecords } from './garden-books.ts';

/** What only people read of a garden and of a bed: names, units, prices, where it lies and when it was written. */
const UNREAD: ReadonlySet<string> = new Set([
  'name',
  'place',
  'location',
  'measures',
  'prices',
  'part',
  'potCount',
  'learnsFromLog',
  'outline',
  'note',
  'version',
  'createdAt',
  'updatedAt',
]);

const known = new WeakMap<object, object>();

/** The same object for the same record. */
function asRead<Kept extends object>(record: Kept): Kept {
  const found = known.get(record) as Kept | undefined;
  if (found) return found;
  const read = Object.fromEntries(Object.entries(record).filter(([name]) => !UNREAD.has(name))) as Kept;
  known.set(record, read);
  return read;
}

/**
 * The garden and its beds with what the model reads of them. Answers are kept for such records: a new name or another unit
 * asks for none of them again.
 */
export const groundAsRead = ({
  garden,
  beds,
}: Pick<GardenRecords, 'garden' | 'beds'>): Pick<GardenRecords, 'garden' | 'beds'> => ({
  garden: asRead(garden),
  beds: beds.map(asRead),
});
