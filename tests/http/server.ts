import { spawn, type ChildProcess, type SpawnOptions } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Tests and benchmarks run from the project's folder. */
const PROJECT = process.cwd();
/** A machine shared with others was seen to stand still for minutes. */
const PATIENCE_MS = 150_000;
/** As the commands start it (scripts/serve.mjs). */
const SERVER_FLAGS = ['--max-semi-space-size=4'];

/** What answers for books in a real file. */
export interface Answering {
  readonly file: string;
  /** Answers at a path of the books, as `fetch` does at an address. */
  request(path: string, init?: RequestInit): Promise<Response>;
  stop(): Promise<void>;
}

/** A server of its own: real process, real port. */
export interface RunningServer extends Answering {
  readonly address: string;
  readonly pid: number;
  /** Ends it as a power cut would. */
  kill(): Promise<void>;
}

/** Books are asked on a day of their own. */
export const argsFor = (file: string, extra: readonly string[]): string[] => [
  '--db',
  file,
  '--today',
  '2026-05-14',
  ...extra,
];

export const newFolder = (): string => mkdtempSync(join(tmpdir(), 'vine-ledger-test-'));

/** What the system lets the server do. */
interface Limits {
  /** No file may grow beyond this, as on a disk that is full. */
  readonly fileSizeLimitKb?: number;
  /** Runs it as this user. */
  readonly uid?: number;
}

export async function startServer(
  file: string,
  extra: readonly string[] = [],
  { fileSizeLimitKb, uid }: Limits = {},
): Promise<RunningServer> {
  const args = [...SERVER_FLAGS, '.cache/server/main.mjs', '--port', '0', ...argsFor(file, extra)];
  const options: SpawnOptions = {
    cwd: PROJECT,
    stdio: ['ignore', 'pipe', 'pipe'],
    ...(uid === undefined ? {} : { uid, gid: uid }),
  };
  const child =
    fileSizeLimitKb === undefined
      ? spawn(process.execPath, args, options)
      : // Without the trap the system would end the program instead of refusing the write.
        spawn(
          'bash',
          ['-c', `trap '' XFSZ; ulimit -f ${fileSizeLimitKb}; exec "$0" "$@"`, process.execPath, ...args],
          options,
        );
  const address = await addressOf(child);
  const end = async (signal: NodeJS.Signals) => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    const gone = once(child, 'exit');
    child.kill(signal);
    await gone;
  };
  return {
    address,
    file,
    pid: child.pid!,
    request: (path, init) => fetch(address + path, init),
    kill: () => end('SIGKILL'),
    stop: () => end('SIGTERM'),
  };
}

function addressOf(child: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    let output = '';
    const timer = setTimeout(
      () => reject(new Error(`no address within ${PATIENCE_MS} ms:\n${output}`)),
      PATIENCE_MS,
    );
    const listen = (chunk: Buffer) => {
      output += chunk.toString();
      const found = /listening on (http:\S+)/.exec(output);
      if (!found) return;
      clearTimeout(timer);
      resolve(found[1]);
    };
    child.stdout?.on('data', listen);
    child.stderr?.on('data', listen);
    child.on('exit', (code) => {
      clearTimeout(timer);
      reject(new Error(`the server ended with ${code}:\n${output}`));
    });
  });
}

export const removeFolder = (folder: string): void => rmSync(folder, { recursive: true, force: true });

export interface Answer<Body> {
  readonly status: number;
  readonly type: string | null;
  readonly body: Body;
}

/** One request, with a JSON body or a text that is sent as if it were one. */
export async function askAt<Body>(
  server: Answering,
  method: string,
  path: string,
  json?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer<Body>> {
  const response = await server.request(path, {
    method,
    headers: { ...(json === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    ...(json === undefined ? {} : { body: typeof json === 'string' ? json : JSON.stringify(json) }),
  });
  const text = await response.text();
  return {
    status: response.status,
    type: response.headers.get('content-type'),
    body: JSON.parse(text === '' ? '{}' : text) as Body,
  };
}
