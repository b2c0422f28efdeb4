import { randomUUID } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { accessBy, hasPassphrase } from './access.ts';
import { createApp, type Api } from './app.ts';
import { openBooks, photoFolderOf } from './db/books-file.ts';
import { DEMO_MARK, readDemoFile } from './db/demo-file.ts';
import { DEMO_GARDEN_IDS, replantDemoGardens } from './demo/demo-garden.ts';
import { backUpDaily } from './jobs/daily-backup.ts';
import { watchFile } from './jobs/file-watch.ts';
import { tidyWhenIdle } from './jobs/tidy.ts';
import { passphraseFileOf, type ServerOptions } from './options.ts';
import { servePages } from './pages.ts';
import { photoFilesIn } from './photos/photo-files.ts';
import { heavyThread } from './heavy-thread.ts';
import type { GardenThread } from './ahead/garden-thread.ts';
import { workAhead } from './ahead/work-ahead.ts';
import type { ImportThread } from './imports/import-asked.ts';
import { PROJECT } from './project.ts';
import { booksSender } from './sent-books.ts';
import { dateHere } from './today.ts';

const PAGES = join(PROJECT, 'dist');
const GARDEN_PROGRAM = join(PROJECT, '.cache', 'server', 'ahead', 'garden-thread.mjs');
/** Sixty beds with twenty years of records take half a minute on a slow machine, and 200 MB. */
const GARDEN_LIMITS = { memoryMb: 512, answerMs: 120_000, idleMs: 300_000, questions: 32 } as const;

const IMPORT_PROGRAM = join(PROJECT, '.cache', 'server', 'imports', 'import-thread.mjs');
/** Sixty-four megabytes of records are a million of them: minutes, and a gigabyte. */
const IMPORT_LIMITS = { memoryMb: 1536, answerMs: 600_000, idleMs: 30_000, questions: 8 } as const;

const now = (): string => new Date().toISOString();

/** Throws an error with a sentence unless books that others can reach have a passphrase. */
function requirePassphrase({ isReachable, file }: ServerOptions): void {
  if (!isReachable || hasPassphrase(passphraseFileOf(file))) return;
  throw new Error(
    'These books can be reached from other machines only with a passphrase. Set one first: npm run passphrase',
  );
}

/** Books that are open, and what answers for them; listening is left to the caller. */
export interface BooksServer {
  readonly app: Api;
  /** Closes the books; no request may come after it. */
  close(): void;
}

/** Opens the books that the options name. Throws an error with a sentence when they may not be opened so. */
export function openBooksServer(options: ServerOptions): BooksServer {
  const { file, isDemo } = options;
  requirePassphrase(options);
  const passphrase = passphraseFileOf(file);
  const today = () => options.today ?? dateHere(new Date());
  const photoFolder = photoFolderOf(file);
  if (isDemo && !readDemoFile(file, DEMO_GARDEN_IDS).hasOwnGardens) {
    for (const suffix of ['', '-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    for (const folder of [photoFolder, `${file}-backups`]) rmSync(folder, { force: true, recursive: true });
  }

  const books = openBooks({ file, backupTo: options.backupTo, mark: isDemo ? DEMO_MARK : undefined }, now);
  const { kind, reason } = books.state();
  if (kind !== 'sound') console.error(`${file} is opened to be read only (${kind}: ${String(reason)})`);
  if (isDemo) books.stores.atomically(() => replantDemoGardens(books.stores, today()));
  const endBackups = backUpDaily(books, now);
  const endWatch = watchFile(books);
  const photoFiles = photoFilesIn(photoFolder);
  const endTidying = tidyWhenIdle(books, photoFiles, now);
  const gardens = heavyThread<GardenThread>(GARDEN_PROGRAM, GARDEN_LIMITS);
  const sendBooks = booksSender(books.stores, today);
  const ahead = workAhead({ stores: books.stores, books, today, sendBooks, thread: gardens });
  const imports: ImportThread = heavyThread(IMPORT_PROGRAM, IMPORT_LIMITS);
  const hasPages = existsSync(join(PAGES, 'index.html'));
  const app = createApp({
    stores: books.stores,
    books,
    access: hasPassphrase(passphrase) ? accessBy(passphrase, () => books.stores.people) : undefined,
    hosts: options.hosts,
    trustsProxy: options.trustsProxy,
    today,
    newId: randomUUID,
    photoFiles,
    sendBooks,
    gardens,
    ahead,
    imports,
    instruments: options.instruments,
    ...(hasPages ? { servePages: (base) => servePages(base, PAGES) } : {}),
  });
  const close = () => {
    endBackups();
    endWatch();
    endTidying();
    ahead.end();
    gardens.end();
    imports.end();
    books.close();
  };
  return { app, close };
}
