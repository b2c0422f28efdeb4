import { serveStatic } from '@hono/node-server/serve-static';
import type { Hono } from 'hono';
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ProblemError } from './problems.ts';

const A_YEAR = 'public, max-age=31536000, immutable';

/** Files whose names stay the same from build to build. */
const STANDING_FILES = ['/favicon.svg', '/icon-192.png', '/icon-512.png', '/manifest.webmanifest', '/sw.js'];

/** Serves the built pages: files by name, and the one page for every address that is not a file. */
export function servePages(app: Hono, folder: string): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const root = relative(process.cwd(), folder);
  app.use('/assets/*', serveStatic({ root, onFound: (_, c) => c.header('Cache-Control', A_YEAR) }));
  app.get('/assets/*', () => {
    throw new ProblemError(404, 'Not found', 'There is no such file.');
  });
  for (const file of STANDING_FILES)
    app.get(file, serveStatic({ root, onFound: (_, c) => c.header('Cache-Control', 'no-cache') }));
  app.get('*', (c) => c.html(page, 200, { 'Cache-Control': 'no-cache' }));
}
