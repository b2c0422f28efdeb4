import { setImmediate as othersFirst } from 'node:timers/promises';
import type { ImportReport } from '../../contract/imports.ts';
import type { JsonText } from '../answers.ts';
import type { AppContext } from '../app-context.ts';
import { ProblemError } from '../problems.ts';
import { visitor } from '../visitor.ts';
import type { ImportChoices } from './import-garden.ts';
import type { ImportDone, KeptPictures } from './import-asked.ts';
import { doImport, type ImportJob } from './import-work.ts';
import type { TableAsked } from './import-table.ts';
import type { IncomingGarden, IncomingPhoto } from './read-garden-file.ts';

/** Fewer records than these are read in while others wait: that takes less time than a thread. */
const FEW = 150;
/** Records that become text at once. */
const AT_ONCE = 500;

type Desk = Pick<AppContext, 'stores' | 'books' | 'today' | 'newId' | 'imports'>;

/** Reads a garden in that came as a file, or as a copy of another. */
export function takeGarden(
  desk: Desk,
  { records, photos }: IncomingGarden,
  choices: ImportChoices,
): Promise<JsonText<ImportReport>> {
  const facts = photos.map(({ keepAs: _, ...photo }) => photo);
  return take(desk, { kind: 'garden', records, photos: facts, choices }, photos);
}

/** Reads the rows of a table in. */
export const takeTable = (desk: Desk, gardenId: string, asked: TableAsked): Promise<JsonText<ImportReport>> =>
  take(desk, { kind: 'table', gardenId, asked }, []);

/** Takes back what was read in. */
export const takeBack = (desk: Desk, importId: string): Promise<JsonText<{ gardenId: string }>> =>
  take(desk, { kind: 'undo', importId }, []);

/**
 * Does a job: a small one at once; a large one by a thread on a copy of the books, which then takes their place. Where others
 * write meanwhile again and again, it is done at once after all, and they wait.
 */
async function take<Outcome>(
  desk: Desk,
  job: ImportJob,
  photos: readonly IncomingPhoto[],
): Promise<JsonText<Outcome>> {
  const keep = (index: number, id: string) => photos[index]!.keepAs(id);
  if (sizeOf(desk, job) > FEW) {
    const pieces = await piecesOf(job);
    const [today, who] = [desk.today(), visitor()];
    const done = await desk.books.workOnCopy(async (copy) => {
      const answer = await desk.imports.ask(
        (work) => work({ copy, job: pieces, today, who }) as Promise<ImportDone>,
      );
      return {
        result: answer,
        takeOver: answer.ok && answer.isKept ? keepingAll(answer.pictures, keep) : null,
      };
    });
    if (done) return { text: textOf(done) };
  }
  return { text: JSON.stringify(doImport(desk, job, keep)) };
}

const keepingAll =
  (pictures: KeptPictures, keep: (index: number, id: string) => void): (() => void) =>
  () => {
    for (const [index, id] of pictures) keep(index, id);
  };

function textOf(done: ImportDone): string {
  if (done.ok) return done.outcome;
  const { status, title, detail, extra } = done.problem;
  throw new ProblemError(status, title, detail, extra);
}

/** How many records it is about, as far as that can be seen from outside. */
function sizeOf({ stores }: Desk, job: ImportJob): number {
  switch (job.kind) {
    case 'garden':
      return listsIn(job.records).reduce(
        (sum, [name, { length }]) => sum + (name === 'photos' ? 0 : length),
        0,
      );
    case 'table':
      return job.asked.table.rows.length;
    case 'undo':
      return stores.imports.find(job.importId)?.writes.length ?? 0;
  }
}

const listsIn = (records: unknown): [string, unknown[]][] =>
  typeof records === 'object' && records !== null
    ? Object.entries(records).flatMap(([name, list]): [string, unknown[]][] =>
        Array.isArray(list) ? [[name, list]] : [],
      )
    : [];

/** A job as JSON: long lists become text some at a time, with others seen to in between. */
async function piecesOf(job: ImportJob): Promise<string[]> {
  if (job.kind !== 'garden') return [JSON.stringify(job)];
  const { records, ...rest } = job;
  const lists = new Map(listsIn(records));
  const head = JSON.stringify(rest);
  const others = Object.entries(records as object).filter(([name]) => !lists.has(name));
  const pieces = [`${head.slice(0, -1)},"records":{`];
  let isFirst = true;
  const named = (name: string) => {
    const before = isFirst ? '' : ',';
    isFirst = false;
    return `${before}${JSON.stringify(name)}:`;
  };
  for (const [name, value] of others) {
    if (value !== undefined) pieces.push(`${named(name)}${JSON.stringify(value)}`);
  }
  for (const [name, list] of lists) {
    pieces.push(`${named(name)}[`);
    for (let from = 0; from < list.length; from += AT_ONCE) {
      const some = JSON.stringify(list.slice(from, from + AT_ONCE));
      pieces.push(`${from === 0 ? '' : ','}${some.slice(1, -1)}`);
      await othersFirst();
    }
    pieces.push(']');
  }
  pieces.push('}}');
  return pieces;
}
