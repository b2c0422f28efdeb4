import { createRequire } from 'node:module';
import { Worker } from 'node:worker_threads';
import { DamagedFile } from './open.ts';

/** Tables that hold what people wrote; rows of them are marked as removed and stay, but for those of a demo made afresh. */
export const COUNTED_TABLES = ['garden', 'bed', 'entry', 'planting', 'journal', 'stock_movement'] as const;

/** SQL that counts all that people wrote. */
export const COUNT_RECORDS = `SELECT ${COUNTED_TABLES.map((table) => `(SELECT count(*) FROM ${table})`).join(' + ')}`;

interface Looked {
  readonly verdict: string;
  readonly records: number;
}

/** A database that is copied as it is keeps a log beside it; the copy is to stand alone. */
const PROGRAM = `
const { parentPort, workerData } = require('node:worker_threads');
const Database = require(workerData.driver);
try {
  const db = new Database(workerData.file);
  db.pragma('journal_mode = DELETE');
  const verdict = String(db.pragma('integrity_check(1)', { simple: true }));
  const records = verdict === 'ok' ? db.prepare(workerData.count).pluck().get() : 0;
  db.close();
  parentPort.postMessage({ verdict, records });
} catch (error) {
  if (!/^SQLITE_(CORRUPT|NOTADB)/.test(error.code)) throw error;
  parentPort.postMessage({ verdict: error.message, records: 0 });
}
`;

/** Looks at every page of a copy in a thread of its own, so that nobody waits for it. */
function lookAt(file: string): Promise<Looked> {
  const driver = createRequire(import.meta.url).resolve('better-sqlite3');
  const worker = new Worker(PROGRAM, { eval: true, workerData: { driver, file, count: COUNT_RECORDS } });
  return new Promise((resolve, reject) => {
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('the check was ended')));
  });
}

/** A copy that holds, and is not one of the books as they were: records came or went that it does not know of. */
export class UnlikeCopy extends Error {}

/** Throws DamagedFile unless every page of a fresh copy holds, and UnlikeCopy unless it has as many records as the books. */
export async function requireSoundCopy(
  file: string,
  records: readonly [least: number, most: () => number],
): Promise<void> {
  const looked = await lookAt(file);
  const [least, most] = records;
  if (looked.verdict !== 'ok') throw new DamagedFile(looked.verdict);
  if (looked.records < least || looked.records > most()) {
    throw new UnlikeCopy(`the copy holds ${looked.records} records, the books ${least}`);
  }
}
