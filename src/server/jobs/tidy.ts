import type { BooksFile } from '../db/books-file.ts';
import type { PhotoFiles } from '../photos/photo-files.ts';

const EVERY_MS = 10 * 60_000;

/**
 * Once a day, when nothing was written for ten minutes, lets go of what was deleted long ago and closes the gaps that
 * leaves in the file. Returns what ends it.
 */
export function tidyWhenIdle(
  books: Pick<BooksFile, 'state' | 'writes' | 'tidy'>,
  photoFiles: Pick<PhotoFiles, 'remove'>,
  now: () => string,
): () => void {
  let tidiedOn: string | undefined;
  let writes = books.writes();
  const look = async () => {
    const isIdle = books.writes() === writes;
    writes = books.writes();
    const today = now().slice(0, 10);
    if (!isIdle || tidiedOn === today || books.state().kind !== 'sound') return;
    tidiedOn = today;
    try {
      const { photoIds } = await books.tidy();
      for (const id of photoIds) photoFiles.remove(id);
    } catch (error) {
      console.error('The books could not be tidied:', (error as Error).message);
    }
    writes = books.writes();
  };
  const timer = setInterval(() => void look(), EVERY_MS).unref();
  return () => clearInterval(timer);
}
