import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { photoFolderOf } from './db/books-file.ts';
import { lookInto } from './db/look-into.ts';
import { counted } from '../words/counted.ts';
import { readBackupName } from './db/backup-rules.ts';

/** Where the pictures of a file lie: beside the books, or with the other backups. */
const photosOf = (file: string): string =>
  readBackupName(file.slice(dirname(file).length + 1)) ? join(dirname(file), 'photos') : photoFolderOf(file);

/** Looks at a file of books or a backup, page by page; 0 when it is sound, 1 when it is not, 2 when there is none. */
function verify(file: string | undefined): number {
  if (file === undefined || !existsSync(file)) {
    console.error(
      `Name a file of books or a backup: npm run verify -- FILE${file === undefined ? '' : `; there is no ${file}`}`,
    );
    return 2;
  }
  try {
    const { gardens, beds, entries, observations, newestRecordAt, photos } = lookInto(file);
    const folder = photosOf(file);
    const missing = photos.filter(
      ({ id, bytes }) => statSync(join(folder, id), { throwIfNoEntry: false })?.size !== bytes,
    );
    console.log(
      `${file} is whole: ${counted(gardens.length, 'garden')} (${gardens.join(', ')}), ${counted(beds, 'bed')}, ${counted(entries, 'entry', 'entries')}, ${counted(observations, 'note in the log', 'notes in the log')}, last written ${newestRecordAt ?? 'never'}.`,
    );
    if (missing.length === 0) return 0;
    console.error(
      `${missing.length} of ${photos.length} photos are missing or cut off in ${folder}, the first is ${missing[0]!.id}.`,
    );
    return 1;
  } catch (error) {
    console.error(`${file} is damaged: ${(error as Error).message}. Try one of its backups.`);
    return 1;
  }
}

process.exitCode = verify(process.argv[2]);
