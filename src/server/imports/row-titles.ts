import type { CollectionName } from '../../records/collections.ts';
import type { ImportRow } from '../../contract/imports.ts';
import type { OwnCrop } from '../../records/crop.ts';
import { recordTitle } from '../../words/record-titles.ts';
import { storeOf, type Garden, type JudgedRow, type ReadRow } from './rows.ts';

/** Rows by what a gardener calls their records, the other lists of the import being known. */
export function withTitles(
  { stores, gardenId }: Garden,
  rows: readonly ReadRow[],
  judged: readonly JudgedRow[],
): ImportRow[] {
  const of = <Kept = { id: string; name: string }>(collection: CollectionName) =>
    rows.filter((row) => row.collection === collection).map(({ record }) => record as Kept);
  const names = {
    beds: [...of('beds'), ...stores.beds.listOf(gardenId)],
    lots: [...of('lots'), ...stores.lots.listOf(gardenId)],
    crops: [...of<OwnCrop>('crops'), ...stores.crops.listOf(gardenId)],
    materials: [...of('materials'), ...stores.materials.listOf(gardenId)],
  };
  const records = new Map(rows.map((row) => [`${row.collection} ${row.index}`, row.record]));
  return judged.map((row) => {
    const { collection, id, index } = row;
    const own = records.get(`${collection} ${index}`);
    const isKept = collection !== 'garden' && collection !== 'photos';
    const record = own ?? (isKept ? storeOf(stores, collection).findEvenRemoved(id)?.record : undefined);
    const title = recordTitle(collection, id, { ...names, [collection]: record ? [{ ...record, id }] : [] });
    return { ...row, title };
  });
}
