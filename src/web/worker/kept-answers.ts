import type { GardenBooks } from '../../contract/garden-books.ts';
import type { WorkedOutBed } from '../../contract/worked-out.ts';
import type { BedQuestion, Worked } from './core-worker.ts';
import { keyOf, questionAbout } from './question-about.ts';
import { type Kept, workedOutShelf } from './worked-out-shelf.ts';

/** What is asked of all beds of a garden at once. */
export type AskedOfAll = 'brief' | 'agenda';

/** Beds as they were worked out elsewhere, and the books this holds for. */
export interface WorkedOutAhead {
  readonly books: GardenBooks;
  readonly beds: readonly WorkedOutBed[];
}

/** Fetches what was worked out of the open garden before it was asked for. */
export type AheadSource = () => Promise<WorkedOutAhead | undefined>;

type Answers = ReadonlyMap<string, Kept<Worked<unknown>>>;

/** Lines of the list of beds and of the calendar: of many beds at once, and the same until a record or the day changes. */
const onDevice = workedOutShelf<Worked<unknown>>('vine-ledger-answers', import.meta.url);
const idOf = (what: AskedOfAll, bedId: string): string => `${what} ${bedId}`;

let source: AheadSource = () => Promise.resolve(undefined);

/** Sets where answers are fetched from before they are worked out here. */
export function setAheadSource(aheadSource: AheadSource): void {
  source = aheadSource;
}

async function answersAhead(): Promise<Answers> {
  const { books, beds } = (await source()) ?? { books: undefined, beds: [] };
  const answers = new Map<string, Kept<Worked<unknown>>>();
  for (const { bedId, brief, tasks } of beds) {
    const key = keyOf(questionAbout(books!, bedId, books!.today));
    answers.set(idOf('brief', bedId), { key, value: { ok: true, result: brief } });
    answers.set(idOf('agenda', bedId), { key, value: { ok: true, result: tasks } });
  }
  return answers;
}

const fetched = new WeakMap<object, { readonly today: string; readonly answers: Promise<Answers> }>();

/** Fetched once for a garden on a day: after a write, working it out here is quicker than waiting for the server. */
function fetchAhead({ records: { garden }, today }: BedQuestion): Promise<Answers> {
  const last = fetched.get(garden);
  if (last?.today === today) return last.answers;
  // Without them everything is worked out here.
  const answers = answersAhead().catch((): Answers => new Map());
  fetched.set(garden, { today, answers });
  return answers;
}

/** What is known of the answer to a question about a bed, or what `ask` says, to be kept. */
export async function keptOr<Result>(
  what: AskedOfAll,
  question: BedQuestion,
  ask: () => Promise<Worked<Result>>,
): Promise<Worked<Result>> {
  const [id, key] = [idOf(what, question.bedId), keyOf(question)];
  const isAnswer = (kept?: Kept<Worked<unknown>>): kept is Kept<Worked<Result>> => kept?.key === key;
  const kept = await onDevice.get(id);
  if (isAnswer(kept)) return kept.value;
  const given = (await fetchAhead(question)).get(id);
  const value = isAnswer(given) ? given.value : await ask();
  onDevice.put(id, { key, value });
  return value;
}
