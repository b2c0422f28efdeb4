import { fstatSync, readSync, statSync } from 'node:fs';

/** By which a file is known again: which one it is, when it was written to last, and how it begins. */
export interface Footprint {
  /**
   * Open for as long as the database is, and closed after it: when a program closes a file, it loses all its locks on that file,
   * SQLite’s too (fcntl, POSIX.1).
   */
  readonly handle: number;
  readonly inode: bigint;
  readonly writtenAtNs: bigint;
  readonly bytes: bigint;
  readonly head: string;
}

/** The head of a database changes whenever anything is written into the file (SQLite file format, 1.3). */
const HEAD_BYTES = 100;

function headOf(handle: number): string {
  const head = Buffer.alloc(HEAD_BYTES);
  readSync(handle, head, 0, HEAD_BYTES, 0);
  return head.toString('hex');
}

export function footprintOf(handle: number): Footprint {
  const { ino: inode, mtimeNs: writtenAtNs, size: bytes } = fstatSync(handle, { bigint: true });
  return { handle, inode, writtenAtNs, bytes, head: headOf(handle) };
}

/** Whether a file is still the one it was, and nobody has written into it since its footprint was taken. */
export function compared(file: string, before: Footprint): 'same' | 'another' | 'overwritten' {
  const found = statSync(file, { throwIfNoEntry: false, bigint: true });
  if (found?.ino !== before.inode) return 'another';
  if (found.mtimeNs === before.writtenAtNs && found.size === before.bytes) return 'same';
  // A file can be touched, or be said to have another time, without being another.
  const isSame = found.size === before.bytes && headOf(before.handle) === before.head;
  return isSame ? 'same' : 'overwritten';
}
