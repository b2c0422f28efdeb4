import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { newFolder, removeFolder, startServer } from './server.ts';

const PROJECT = join(import.meta.dirname, '..', '..');

interface Ended {
  readonly code: number | null;
  readonly said: string;
}

/** Does what the start commands do, on a port where it must end by itself. */
async function triedAt(port: number): Promise<Ended> {
  const script = `import('./scripts/serve.mjs').then(({ serve }) => serve([], '${port}'))`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', script], { cwd: PROJECT });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.on('data', (text: Buffer) => (said += text.toString()));
  }
  const [code] = (await once(child, 'close')) as [number | null];
  return { code, said };
}

describe('starting where nothing can be served', () => {
  it('names a port that browsers refuse, and starts no server', async () => {
    const { code, said } = await triedAt(4190);
    expect(code).toBe(1);
    expect(said).toMatch(/browsers refuse to open http:\/\/127\.0\.0\.1:4190/);
    expect(said).not.toMatch(/listening/);
  });

  it('says that something is open there already, and leaves it alone', async () => {
    const other = createServer((_, response) => response.end('somebody else'));
    other.listen(0, '127.0.0.1');
    await once(other, 'listening');
    const { port } = other.address() as AddressInfo;
    try {
      const { code, said } = await triedAt(port);
      expect(code).toBe(1);
      expect(said).toMatch(new RegExp(`something is open at http://127\\.0\\.0\\.1:${port} already`));
      expect(await (await fetch(`http://127.0.0.1:${port}`)).text()).toBe('somebody else');
    } finally {
      other.close();
    }
  });
});

describe('ending', () => {
  it('does not wait for a connection through which nothing was ever asked', async () => {
    const folder = newFolder();
    const server = await startServer(join(folder, 'ends.sqlite'));
    const silent = connect(Number(new URL(server.address).port), '127.0.0.1');
    await once(silent, 'connect');
    const ended = once(silent, 'close');
    await server.stop();
    await ended;
    removeFolder(folder);
  });
});
