import type { BooksFile } from '../db/books-file.ts';

const EVERY_MS = 10_000;

/**
 * Now and then writes what is new into the file of the books itself; says so once when it is not the one that was opened any more, or
 * when another program has written into it.
 */
export function watchFile(books: Pick<BooksFile, 'state' | 'writeBack'>): () => void {
  const timer = setInterval(() => {
    const { kind, reason } = books.state();
    if (kind === 'sound') books.writeBack();
    if (kind !== 'replaced' && kind !== 'overwritten') return;
    clearInterval(timer);
    console.error(`Nothing more is written: ${String(reason)}.`);
  }, EVERY_MS).unref();
  return () => clearInterval(timer);
}
