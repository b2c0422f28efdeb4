import type { BooksFile } from '../db/books-file.ts';

const EVERY_MS = 10_000;

/** Looks now and then whether the file of the books is still the one that was opened, and says so once when it is not. */
export function watchFile(books: Pick<BooksFile, 'state'>): () => void {
  const timer = setInterval(() => {
    const { kind, reason } = books.state();
    if (kind !== 'replaced') return;
    clearInterval(timer);
    console.error(`Nothing more is written: ${String(reason)}. What was saved until then can still be read.`);
  }, EVERY_MS).unref();
  return () => clearInterval(timer);
}
