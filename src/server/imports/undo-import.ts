import type { ImportSetting } from './import-asked.ts';
import { ProblemError } from '../problems.ts';
import type { Filed, ImportWrite, Stores } from '../stores.ts';
import { modelFindings } from '../../contract/check-garden.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { keptRecords } from '../kept-stock.ts';
import { storeOf, type AnyRecord, type AnyStore } from './rows.ts';

/** Puts back what an import has overwritten and takes away what it added; a problem when any of it was changed since. */
export function undoImport(
  { stores, today }: Pick<ImportSetting, 'stores' | 'today'>,
  importId: string,
): { gardenId: string } {
  return stores.atomically(() => {
    const record = stores.imports.find(importId);
    if (!record) throw new ProblemError(404, 'Not found', 'There is no such import.');
    const isLater = record.writes.some(({ collection, id, version }) => {
      const kept = undoStore(stores, collection).findEvenRemoved(id);
      return kept !== undefined && kept.record.version !== version;
    });
    if (isLater) {
      const detail =
        'Something that was imported has been changed since; undoing the import would lose that. Nothing was changed.';
      throw new ProblemError(409, 'Changed meanwhile', detail);
    }
    if (!stores.imports.markUndone(importId)) {
      throw new ProblemError(409, 'Undone already', 'This import has been undone already.');
    }
    for (const { collection, id, version, before } of [...record.writes].reverse()) {
      const store = undoStore(stores, collection);
      if (before) store.upsert(before as Filed<AnyRecord>);
      else store.remove(id, version);
    }
    const isGardenGone = !stores.gardens.find(record.gardenId);
    const [found] = isGardenGone ? [] : modelFindings(keptRecords(stores, record.gardenId), today());
    if (found) {
      const detail = `What was written since leans on it: ${describeFinding(found).sentence} Nothing was changed.`;
      throw new ProblemError(422, 'Not accepted', detail);
    }
    return { gardenId: record.gardenId };
  });
}

const undoStore = (stores: Stores, collection: ImportWrite['collection']): AnyStore =>
  collection === 'garden' ? stores.gardens : storeOf(stores, collection);
