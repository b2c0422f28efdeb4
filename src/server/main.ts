import { serve } from '@hono/node-server';
import { randomUUID } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { accessBy, hasPassphrase } from './access.ts';
import { createApp } from './app.ts';
import { openBooks } from './db/books-file.ts';
import { plantDemoGarden } from './demo/demo-garden.ts';
import { backUpDaily } from './jobs/daily-backup.ts';
import { passphraseFileOf, readOptions, type ServerOptions } from './options.ts';
import { servePages } from './pages.ts';
import { PROJECT } from './project.ts';
import { dateHere } from './today.ts';
import { photoFilesIn } from './photos/photo-files.ts';

const PAGES = join(PROJECT, 'dist');

const now = (): string => new Date().toISOString();

function accessFor({ isLoopback, file }: ServerOptions) {
  const passphrase = passphraseFileOf(file);
  if (hasPassphrase(passphrase)) return accessBy(passphrase);
  if (isLoopback) return undefined;
  throw new Error(
    'These books can be reached from other machines only with a passphrase. Set one first: npm run passphrase',
  );
}

function main(): void {
  const options = readOptions(process.argv.slice(2));
  const { file, isDemo } = options;
  const access = accessFor(options);
  const today = () => options.today ?? dateHere(new Date());
  const photoFolder = `${file}-photos`;
  if (isDemo) {
    for (const suffix of ['', '-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    for (const folder of [photoFolder, `${file}-backups`]) rmSync(folder, { force: true, recursive: true });
  }

  const books = openBooks(file, now);
  const { kind, reason } = books.state();
  if (kind !== 'sound') console.error(`${file} is opened to be read only (${kind}: ${String(reason)})`);
  if (isDemo) plantDemoGarden(books.stores, today());
  const endBackups = backUpDaily(books, now);
  const hasPages = existsSync(join(PAGES, 'index.html'));
  const app = createApp({
    stores: books.stores,
    books,
    access,
    hosts: options.hosts,
    today,
    newId: randomUUID,
    photoFiles: photoFilesIn(photoFolder),
    instruments: options.instruments,
    ...(hasPages ? { servePages: (base) => servePages(base, PAGES) } : {}),
  });

  const server = serve({ fetch: app.fetch, hostname: options.host, port: options.port }, (address) => {
    const host = isIP(options.host) === 6 ? `[${options.host}]` : options.host;
    console.log(`listening on http://${host}:${address.port}`);
  });
  const close = () => {
    endBackups();
    server.close(() => {
      books.close();
      process.exit(0);
    });
  };
  process.on('SIGINT', close);
  process.on('SIGTERM', close);
}

try {
  main();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
