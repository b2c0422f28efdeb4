/** A record as it is sent and kept: fields by name. */
type Fields = Readonly<Record<string, unknown>>;

/** The same record, changed in two places. */
export interface Conflict {
  /** As the books have it by now. */
  readonly theirs: Fields;
  /** What was to be written; null when it was to be deleted. */
  readonly mine: Fields | null;
  /** As it was when it was opened; null where that is not known any more. */
  readonly opened: Fields | null;
}

/** Finds a record as it was in a version; null when it is not at hand. */
export type FindVersion = (id: unknown, version: unknown) => Fields | null;

/** What is written in the end: fields by name, true to delete it all the same, or null to leave what is there. */
export type Settlement = Fields | true | null;

type Asker = (conflict: Conflict) => Promise<Settlement>;
let askPerson: Asker | null = null;

/** Who is asked; null when nobody is there to ask. */
export function settleConflictsBy(asker: Asker | null): void {
  askPerson = asker;
}

const CONFLICT = 409;
/** Known by the server alone. */
const OF_THE_BOOKS = new Set(['id', 'version', 'createdAt', 'updatedAt', 'gardenId', 'bedId']);

/** The fields that both have and in which they differ, in the order of mine. */
export const differingFields = ({ theirs, mine }: Conflict): readonly string[] =>
  Object.keys(mine ?? {}).filter(
    (field) =>
      !OF_THE_BOOKS.has(field) &&
      field in theirs &&
      JSON.stringify(mine![field]) !== JSON.stringify(theirs[field]),
  );

/** Whether a field was left as it was when the record was opened. */
export const isUntouched = ({ mine, opened }: Conflict, field: string): boolean =>
  opened !== null && JSON.stringify(mine?.[field]) === JSON.stringify(opened[field]);

const asFields = (value: unknown): Fields | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Fields) : null;

/** What the server answered to a write that came too late; null for every other answer. */
async function conflictOf(
  response: Response,
  init: RequestInit,
  find: FindVersion,
): Promise<Conflict | null> {
  if (response.status !== CONFLICT) return null;
  const problem = asFields(await response.clone().json());
  const theirs = asFields(problem?.['current']);
  if (!theirs || typeof theirs['version'] !== 'number') return null;
  if (init.method === 'DELETE') return { theirs, mine: null, opened: null };
  const mine = typeof init.body === 'string' ? asFields(JSON.parse(init.body)) : null;
  // Of several records at once nobody can be asked one by one.
  if (typeof mine?.['version'] !== 'number') return null;
  return { theirs, mine, opened: find(theirs['id'], mine['version']) };
}

const theirsStays = (): Response =>
  new Response(
    JSON.stringify({
      type: 'about:blank',
      title: 'Changed meanwhile',
      status: CONFLICT,
      detail: 'What was changed meanwhile stays, and yours was not saved. Open it again to go on from there.',
    }),
    { status: CONFLICT, headers: { 'Content-Type': 'application/problem+json' } },
  );

/** The same request once more, upon what is there by now. */
function sentAgain(
  send: typeof fetch,
  [input, init]: readonly [RequestInfo | URL, RequestInit],
  { settled, theirs }: { readonly settled: Fields | true; readonly theirs: Fields },
): Promise<Response> {
  if (settled !== true) {
    return send(input, { ...init, body: JSON.stringify({ ...settled, version: theirs['version'] }) });
  }
  const url = new URL(input instanceof Request ? input.url : input, window.location.origin);
  url.searchParams.set('version', String(theirs['version']));
  return send(url, init);
}

/** Sends a write; when it comes too late, asks what is to be kept, and sends that. */
export async function sentSettled(
  send: typeof fetch,
  [input, init]: readonly [RequestInfo | URL, RequestInit],
  find: FindVersion,
): Promise<Response> {
  let response = await send(input, init);
  // It may be changed once more while the question stands.
  for (;;) {
    const conflict = askPerson && (await conflictOf(response, init, find));
    if (!askPerson || !conflict) return response;
    const settled = await askPerson(conflict);
    if (settled === null) return theirsStays();
    response = await sentAgain(send, [input, init], { settled, theirs: conflict.theirs });
  }
}
