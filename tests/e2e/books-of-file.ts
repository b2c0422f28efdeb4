import { test as base } from '@playwright/test';
import { join } from 'node:path';
import { TODAY } from './own-books.ts';
import { laboratoryAddress, probeAddress, scaleAddress } from './standins.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { spareDevice } from '../spared.ts';

interface Ranges {
  /** Whether the pages work out likely ranges; a device that is spared does not, nor anything ahead of a question. */
  readonly worksOutRanges: boolean;
}

interface Books {
  /** What day it is for books of one's own. */
  readonly today: string;
  readonly demo: RunningServer;
  readonly own: RunningServer;
}

/**
 * The servers of one file of tests, each started when it is first asked for: none sees what another file has written.
 * A process takes one file after the other, and keeps its browser.
 */
class ServersOfFile {
  #file = '';
  readonly #running = new Map<string, { readonly folder: string; readonly server: RunningServer }>();

  async server(file: string, name: string, flags: readonly string[]): Promise<RunningServer> {
    if (file !== this.#file) await this.end();
    this.#file = file;
    const running = this.#running.get(name);
    if (running) return running.server;
    const folder = newFolder();
    const server = await startServer(join(folder, `${name}.sqlite`), flags);
    this.#running.set(name, { folder, server });
    return server;
  }

  async end(): Promise<void> {
    for (const { folder, server } of this.#running.values()) {
      await server.stop();
      removeFolder(folder);
    }
    this.#running.clear();
  }
}

/** Tests of one file share two servers. */
export const onAny = base.extend<Ranges & Books, { readonly servers: ServersOfFile }>({
  worksOutRanges: [false, { option: true }],
  context: async ({ context, worksOutRanges }, use) => {
    if (!worksOutRanges) await context.addInitScript(spareDevice);
    await use(context);
  },
  servers: [
    // eslint-disable-next-line no-empty-pattern -- the runner asks for a pattern
    async ({}, use) => {
      const servers = new ServersOfFile();
      await use(servers);
      await servers.end();
    },
    { scope: 'worker' },
  ],
  today: [TODAY, { option: true }],
  demo: async ({ servers }, use, { file }) =>
    use(await servers.server(file, 'demo', ['--demo', '--laboratory', laboratoryAddress()])),
  own: async ({ servers, today }, use, { file }) =>
    use(
      await servers.server(file, 'own', [
        '--scale',
        scaleAddress(),
        '--probe',
        probeAddress(),
        '--today',
        today,
      ]),
    ),
});

/** Pages open the demo garden. */
export const onDemo = onAny.extend({ baseURL: async ({ demo }, use) => use(demo.address) });
/** Pages open books in which nothing is written yet. */
export const onOwn = onAny.extend({ baseURL: async ({ own }, use) => use(own.address) });
