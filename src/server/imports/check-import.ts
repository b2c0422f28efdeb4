import { findingAbout, findingsFrom } from '../../contract/check-garden.ts';
import { InputError } from '../../refusals/input-error.ts';
import type { Finding } from '../../refusals/refusal.ts';
import { checkJournal } from '../../core/season/index.ts';
import type { Stores } from '../stores.ts';

/**
 * What cannot have been so among these records of the journal. Of a whole garden only what leans on nothing is refused:
 * what was true when it was written may lie before a planting that was moved since.
 */
export function journalFindings(
  stores: Stores,
  gardenId: string,
  { ids, today, isWholeGarden }: { ids: ReadonlySet<string>; today: string; isWholeGarden: boolean },
): Finding[] {
  const journal = stores.journal.listOf(gardenId);
  const setting = {
    today,
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    trials: journal.filter((one) => one.kind === 'trial'),
    hasPhoto: (photoId: string) => stores.photos.find(photoId)?.gardenId === gardenId,
  };
  return journal
    .filter(({ id }) => ids.has(id))
    .flatMap((record) =>
      findingsFrom(
        () => {
          try {
            checkJournal(record, setting);
          } catch (error) {
            const isReference = error instanceof InputError && error.refusal.code === 'namesNone';
            if (!isWholeGarden || isReference || !(error instanceof InputError)) throw error;
          }
        },
        (error) => findingAbout({ collection: 'journal', id: record.id, path: error.path, error }),
      ),
    );
}
