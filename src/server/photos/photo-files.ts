import { closeSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Pictures as files; their names are ids that the contract has let through. */
export interface PhotoFiles {
  /** On disk when it returns. */
  write(id: string, picture: Uint8Array): void;
  /** Undefined when the file is gone. */
  read(id: string): Uint8Array<ArrayBuffer> | undefined;
}

export function photoFilesIn(folder: string): PhotoFiles {
  return {
    write: (id, picture) => {
      mkdirSync(folder, { recursive: true });
      const path = join(folder, id);
      const half = `${path}.part`;
      writeFileSync(half, picture);
      const file = openSync(half, 'r');
      fsyncSync(file);
      closeSync(file);
      renameSync(half, path);
    },
    read: (id) => {
      try {
        return new Uint8Array(readFileSync(join(folder, id)));
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
        throw error;
      }
    },
  };
}
