import { test as base } from '@playwright/test';
import { join } from 'node:path';
import { TODAY } from './own-books.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';

/** Instruments that stand in for real ones; playwright.config.ts starts them. */
export const SCALE = 'http://127.0.0.1:4195';
export const PROBE = 'http://127.0.0.1:4196';
export const LABORATORY = 'http://127.0.0.1:4197';

interface Ranges {
  /** Whether the pages work out likely ranges; a device that is spared does not, nor anything ahead of a question. */
  readonly worksOutRanges: boolean;
}

interface FileServers {
  /** Another for every file of tests: none sees what another one has written. */
  readonly file: string;
  /** What day it is for books of one's own. */
  readonly today: string;
  readonly demo: RunningServer;
  readonly own: RunningServer;
}

async function serve(
  name: string,
  flags: readonly string[],
  use: (server: RunningServer) => Promise<void>,
): Promise<void> {
  const folder = newFolder();
  const server = await startServer(join(folder, `${name}.sqlite`), flags);
  await use(server);
  await server.stop();
  removeFolder(folder);
}

/** Tests of one file share two servers, which start when they are first asked for. */
export const onAny = base.extend<Ranges, FileServers>({
  worksOutRanges: [false, { option: true }],
  context: async ({ context, worksOutRanges }, use) => {
    if (!worksOutRanges)
      await context.addInitScript(() => localStorage.setItem('vine-ledger:sparing', 'yes'));
    await use(context);
  },
  file: ['', { option: true, scope: 'worker' }],
  today: [TODAY, { option: true, scope: 'worker' }],
  demo: [
    async ({ file }, use) => serve(`${file}-demo`, ['--demo', '--laboratory', LABORATORY], use),
    { scope: 'worker', timeout: 180_000 },
  ],
  own: [
    async ({ file, today }, use) =>
      serve(`${file}-own`, ['--scale', SCALE, '--probe', PROBE, '--today', today], use),
    { scope: 'worker', timeout: 180_000 },
  ],
});

/** Pages open the demo garden. */
export const onDemo = onAny.extend({ baseURL: async ({ demo }, use) => use(demo.address) });
/** Pages open books in which nothing is written yet. */
export const onOwn = onAny.extend({ baseURL: async ({ own }, use) => use(own.address) });
