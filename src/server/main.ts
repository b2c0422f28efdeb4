import { serve } from '@hono/node-server';
import { randomUUID } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { dayNumberFromIso } from '../core/climate/calendar.ts';
import { createApp } from './app.ts';
import { openDatabase } from './db/open.ts';
import { createStores } from './db/stores.ts';
import { plantDemoGarden } from './demo/demo-garden.ts';
import { servePages } from './pages.ts';
import { photoFilesIn } from './photos/photo-files.ts';

const PROJECT = join(import.meta.dirname, '..', '..');
const PAGES = join(PROJECT, 'dist');
const OWN_BOOKS = join(PROJECT, 'data', 'vine-ledger.sqlite');
const DEMO_BOOKS = join(PROJECT, 'data', 'demo.sqlite');
const LOOPBACK = '127.0.0.1';

const { values: options } = parseArgs({
  options: {
    port: { type: 'string', default: '4180' },
    db: { type: 'string' },
    /** A fresh demo garden instead of one's own books. */
    demo: { type: 'boolean', default: false },
    /** Pretend it is this day, YYYY-MM-DD. */
    today: { type: 'string' },
    /** Where a kitchen scale, a probe, a soil laboratory and a weather station answer, as http://host:port. */
    scale: { type: 'string' },
    probe: { type: 'string' },
    laboratory: { type: 'string' },
    weather: { type: 'string' },
  },
});

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** Today by the clock of this machine's place, ISO date. */
function todayHere(): string {
  const now = new Date();
  return `${now.getFullYear()}-${twoDigits(now.getMonth() + 1)}-${twoDigits(now.getDate())}`;
}

function main(): void {
  const port = Number(options.port);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
    throw new Error(`--port must be a whole number from 0 to 65535; got ${options.port}`);
  }
  if (options.today !== undefined) dayNumberFromIso(options.today, ['--today']);
  const today = () => options.today ?? todayHere();
  const file = options.db ?? (options.demo ? DEMO_BOOKS : OWN_BOOKS);
  const photoFolder = `${file}-photos`;
  if (options.demo) {
    for (const suffix of ['', '-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    rmSync(photoFolder, { force: true, recursive: true });
  }

  const db = openDatabase(file);
  const stores = createStores(db, () => new Date().toISOString());
  if (options.demo) plantDemoGarden(stores, today());
  const hasPages = existsSync(join(PAGES, 'index.html'));
  const app = createApp({
    stores,
    today,
    newId: randomUUID,
    photoFiles: photoFilesIn(photoFolder),
    instruments: {
      scale: options.scale,
      probe: options.probe,
      laboratory: options.laboratory,
      weather: options.weather,
    },
    ...(hasPages ? { servePages: (base) => servePages(base, PAGES) } : {}),
  });

  const server = serve({ fetch: app.fetch, hostname: LOOPBACK, port }, (address) => {
    console.log(`listening on http://${LOOPBACK}:${address.port}`);
  });
  const close = () => {
    server.close(() => {
      db.close();
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
