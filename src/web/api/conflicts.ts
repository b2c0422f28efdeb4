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

/** Whether a part of a body writes the record: it names the version it has seen, and the record unless the address does. */
const isAbout = (part: Fields, { id }: Fields): boolean =>
  typeof part['version'] === 'number' && (part['id'] ?? id) === id;

/** The part of a body that writes the record, however deep it lies; null when none does. */
function partAbout(value: unknown, theirs: Fields): Fields | null {
  if (typeof value !== 'object' || value === null) return null;
  const fields = asFields(value);
  if (fields && isAbout(fields, theirs)) return fields;
  for (const inner of Object.values(value)) {
    const found = partAbout(inner, theirs);
    if (found) return found;
  }
  return null;
}

/** The same body with that part written anew. */
function withPart(value: unknown, theirs: Fields, part: Fields): unknown {
  if (Array.isArray(value)) return value.map((one) => withPart(one, theirs, part));
  const fields = asFields(value);
  if (!fields) return value;
  if (isAbout(fields, theirs)) return part;
  return Object.fromEntries(Object.entries(fields).map(([key, one]) => [key, withPart(one, theirs, part)]));
}

const isRemoval = (part: Fields): boolean =>
  Object.keys(part).every((field) => field === 'id' || field === 'version');

const bodyIn = ({ body }: RequestInit): unknown => (typeof body === 'string' ? JSON.parse(body) : null);

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
  const mine = partAbout(bodyIn(init), theirs);
  if (!mine) return null;
  return isRemoval(mine)
    ? { theirs, mine: null, opened: null }
    : { theirs, mine, opened: find(theirs['id'], mine['version']) };
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

type Sent = readonly [input: RequestInfo | URL, init: RequestInit];

/** The same request upon what is there by now. */
function settledRequest([input, init]: Sent, settled: Fields | true, theirs: Fields): Sent {
  const { id, version } = theirs;
  if (init.method === 'DELETE') {
    const url = new URL(input instanceof Request ? input.url : input, window.location.origin);
    url.searchParams.set('version', String(version));
    return [url, init];
  }
  const part = settled === true ? { id, version } : { ...settled, version };
  return [input, { ...init, body: JSON.stringify(withPart(bodyIn(init), theirs, part)) }];
}

/** Sends a write; when it comes too late, asks what is to be kept of each record, and sends that. */
export async function sentSettled(send: typeof fetch, first: Sent, find: FindVersion): Promise<Response> {
  let request = first;
  let response = await send(...request);
  // It may be changed once more while the question stands, or another record of the same request may be newer too.
  for (;;) {
    const conflict = askPerson && (await conflictOf(response, request[1], find));
    if (!askPerson || !conflict) return response;
    const settled = await askPerson(conflict);
    if (settled === null) return theirsStays();
    request = settledRequest(request, settled, conflict.theirs);
    response = await send(...request);
  }
}
