import { readFileSync, writeFileSync } from 'node:fs';
import type { BackupEntry, BooksState } from '../../src/contract/backups.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { GARDEN } from '../fixtures/books.ts';
import { askAt, type Answering } from './server.ts';

interface Backups {
  readonly state: BooksState;
  readonly backups: readonly BackupEntry[];
}
/** The backups, and how the file of the books is. */
export const listAt = async (server: Answering) => (await askAt<Backups>(server, 'GET', '/api/backups')).body;
export const namesAt = async (server: Answering) =>
  (await askAt<{ gardens: { name: string }[] }>(server, 'GET', '/api/gardens')).body.gardens.map(
    ({ name }) => name,
  );
export const makeGarden = (server: Answering, id: string) =>
  askAt<Problem>(server, 'POST', '/api/gardens', { ...GARDEN, id, name: `Garden ${id}` });

/** Spoils the middle of a file, where its records are. */
export function spoil(file: string): void {
  const bytes = readFileSync(file);
  for (let at = 4096; at < bytes.length; at += 64) bytes[at] = 0xa5;
  writeFileSync(file, bytes);
}
