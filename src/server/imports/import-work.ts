import { randomUUID } from 'node:crypto';
import type { ImportReport } from '../../contract/imports.ts';
import { fsynced } from '../db/backups.ts';
import { closeWorkingCopy, openWorkingCopy } from '../db/open.ts';
import { createStores } from '../db/stores.ts';
import { requireWholeCharacters } from '../half-characters.ts';
import { ProblemError } from '../problems.ts';
import { inTheNameOf } from '../visitor.ts';
import type { ImportAsked, ImportDone, ImportSetting } from './import-asked.ts';
import { type ImportChoices, importGarden } from './import-garden.ts';
import { importTable, type TableAsked } from './import-table.ts';
import type { IncomingPhoto } from './read-garden-file.ts';
import { undoImport } from './undo-import.ts';

/** A photo of a file, whose picture somebody else keeps. */
export type PhotoFacts = Omit<IncomingPhoto, 'keepAs'>;

/** What is to be read in, or taken back. */
export type ImportJob =
  | {
      readonly kind: 'garden';
      readonly records: unknown;
      readonly photos: readonly PhotoFacts[];
      readonly choices: ImportChoices;
    }
  | { readonly kind: 'table'; readonly gardenId: string; readonly asked: TableAsked }
  | { readonly kind: 'undo'; readonly importId: string };

/** What a job comes to: a report, or the garden something was taken back from. */
export type ImportOutcome = ImportReport | { readonly gardenId: string };

/** Does a job on these books. Throws a problem for what cannot be. */
export function doImport(
  setting: ImportSetting,
  job: ImportJob,
  keepAs: (index: number, id: string) => void,
): ImportOutcome {
  switch (job.kind) {
    case 'garden': {
      const photos = job.photos.map((photo, i) => ({ ...photo, keepAs: (id: string) => keepAs(i, id) }));
      requireWholeCharacters(job.records);
      return importGarden(setting, { records: job.records, photos }, job.choices);
    }
    case 'table':
      return importTable(setting, job.gardenId, job.asked);
    case 'undo':
      return undoImport(setting, job.importId);
  }
}

/** Whether anything of it stands in the books. */
const isKept = (outcome: ImportOutcome): boolean => !('isWritten' in outcome) || outcome.isWritten;

/** Does a job on a copy of the books, which lies whole on the disk when it is done. */
export function importOnCopy({ copy, job, today, who }: ImportAsked): ImportDone {
  const db = openWorkingCopy(copy);
  const pictures: [number, string][] = [];
  try {
    const stores = createStores(db, () => new Date().toISOString());
    const setting = { stores, today: () => today, newId: randomUUID };
    const asked = JSON.parse(job.join('')) as ImportJob;
    const outcome = inTheNameOf(who, () =>
      doImport(setting, asked, (index, id) => void pictures.push([index, id])),
    );
    closeWorkingCopy(db);
    fsynced(copy);
    return { ok: true, outcome: JSON.stringify(outcome), isKept: isKept(outcome), pictures };
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    const { status, title, message, extra } = error;
    return { ok: false, problem: { status, title, detail: message, extra } };
  } finally {
    if (db.open) db.close();
  }
}
