import type { BooksFile } from '../db/books-file.ts';

const HOUR_MS = 3_600_000;
/** Not while the server is still busy starting. */
const FIRST_AFTER_MS = 60_000;

/** Whether the last copy is from another day, or from a day that is still to come: a clock that was wrong. */
export const isBackupDue = (newestAt: string | undefined, now: string): boolean =>
  newestAt === undefined || newestAt.slice(0, 10) !== now.slice(0, 10);

/** Backs the books up once a day for as long as the server runs. Returns what ends it. */
export function backUpDaily(books: BooksFile, now: () => string): () => void {
  const look = async () => {
    const newest = books.backups().find(({ kind }) => kind === 'daily');
    if (books.state().kind !== 'sound' || !isBackupDue(newest?.at, now())) return;
    try {
      await books.backUp('daily');
    } catch (error) {
      console.error('The daily backup could not be made:', (error as Error).message);
    }
  };
  const first = setTimeout(() => void look(), FIRST_AFTER_MS).unref();
  const hourly = setInterval(() => void look(), HOUR_MS).unref();
  return () => {
    clearTimeout(first);
    clearInterval(hourly);
  };
}
