import { randomUUID } from 'node:crypto';
import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Pictures as files; their names are ids that the contract has let through. */
export interface PhotoFiles {
  /** On disk when it returns. */
  write(id: string, picture: Uint8Array): void;
  /** Undefined when the file is gone. */
  read(id: string): Promise<Uint8Array<ArrayBuffer> | undefined>;
  has(id: string): boolean;
  remove(id: string): void;
  /** The same picture under another id too; where the disk allows it, it takes no room of its own. */
  copy(fromId: string, toId: string): void;
  /** A place for pictures of which it is not yet known whether they will be kept. */
  stage(): PhotoStage;
}

export interface PhotoStage {
  /** On disk when it returns; what it returns makes the picture one of those kept. */
  put(picture: Uint8Array): (id: string) => void;
  /** Takes away what was not kept. */
  end(): void;
}

const STAGE = '.incoming-';
const HALF = '.part';

function writeDurably(path: string, picture: Uint8Array): void {
  const half = `${path}${HALF}`;
  try {
    writeFileSync(half, picture);
    const file = openSync(half, 'r');
    fsyncSync(file);
    closeSync(file);
    renameSync(half, path);
  } catch (error) {
    rmSync(half, { force: true });
    throw error;
  }
}

/** What a server that was ended in the middle of a request has left behind. */
function removeHalves(folder: string): void {
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    const isLeft = name.startsWith(STAGE) || name.endsWith(HALF);
    if (isLeft) rmSync(join(folder, name), { recursive: true, force: true });
  }
}

/** Opens the folder of the pictures, which is made when the first one comes. */
export function photoFilesIn(folder: string): PhotoFiles {
  removeHalves(folder);
  return {
    write: (id, picture) => {
      mkdirSync(folder, { recursive: true });
      writeDurably(join(folder, id), picture);
    },
    read: async (id) => {
      try {
        return new Uint8Array(await readFile(join(folder, id)));
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
        throw error;
      }
    },
    has: (id) => existsSync(join(folder, id)),
    remove: (id) => rmSync(join(folder, id), { force: true }),
    copy: (fromId, toId) => {
      const [from, to] = [join(folder, fromId), join(folder, toId)];
      try {
        linkSync(from, to);
      } catch {
        copyFileSync(from, to);
      }
    },
    stage: () => {
      const stage = join(folder, `${STAGE}${randomUUID()}`);
      let count = 0;
      return {
        put: (picture) => {
          mkdirSync(stage, { recursive: true });
          const path = join(stage, String(count++));
          writeDurably(path, picture);
          return (id) => renameSync(path, join(folder, id));
        },
        end: () => rmSync(stage, { recursive: true, force: true }),
      };
    },
  };
}
