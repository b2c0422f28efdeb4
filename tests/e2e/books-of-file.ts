import { test as base, type Browser, type Page } from '@playwright/test';
import { join } from 'node:path';
import { TODAY } from './own-books.ts';
import { goInto, putAway } from './pages.ts';
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

/** Opens a page of the program in the window that the tests of a file share. */
export type Visit = (address: string) => Promise<Page>;

/**
 * The window that tests of one file share: the program that was loaded for one is there for the next. After a test that failed the
 * runner takes another process, and so another window.
 */
class WindowOfFile {
  #file = '';
  #page: Page | undefined;

  async visit(file: string, browser: Browser, address: URL): Promise<Page> {
    if (file !== this.#file) {
      await this.#page?.context().close();
      this.#page = undefined;
    }
    this.#file = file;
    this.#page ??= await sparedPage(browser);
    await goInto(this.#page, address);
    return this.#page;
  }

  /** Nothing that a test has open stays for the next one. */
  async clear(): Promise<void> {
    if (this.#page) await putAway(this.#page);
  }
}

async function sparedPage(browser: Browser): Promise<Page> {
  const context = await browser.newContext();
  await context.addInitScript(spareDevice);
  return context.newPage();
}

/** Tests of one file share two servers. */
export const onAny = base.extend<
  Ranges & Books & { readonly visit: Visit },
  { readonly servers: ServersOfFile; readonly window: WindowOfFile }
>({
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
  window: [
    // eslint-disable-next-line no-empty-pattern -- the runner asks for a pattern
    async ({}, use) => use(new WindowOfFile()),
    { scope: 'worker' },
  ],
  visit: async ({ window, browser, baseURL }, use, test) => {
    await use((address) => window.visit(test.file, browser, new URL(address, baseURL)));
    // What a failed test saw last is kept as a picture.
    if (test.status === test.expectedStatus) await window.clear();
  },
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
