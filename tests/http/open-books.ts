import { copyFileSync } from 'node:fs';
import { openBooksServer } from '../../src/server/books-server.ts';
import { readOptions } from '../../src/server/options.ts';
import { argsFor, type Answering } from './server.ts';

/** The books and all that answers for them in this process: where neither the line nor the process is the point. */
export function openBooks(file: string, extra: readonly string[] = []): Answering {
  const books = openBooksServer(readOptions(argsFor(file, extra)));
  return {
    file,
    request: async (path, init = {}) => {
      const headers = new Headers(init.headers);
      headers.set('host', '127.0.0.1');
      return books.app.request(path, { ...init, headers });
    },
    stop: () => Promise.resolve(books.close()),
  };
}

/** The books as a power cut leaves them: the files as they lie at this moment, opened anew. */
export async function afterPowerCut(books: Answering): Promise<Answering> {
  const left = `${books.file}-left`;
  for (const suffix of ['', '-wal']) copyFileSync(books.file + suffix, left + suffix);
  await books.stop();
  return openBooks(left);
}
