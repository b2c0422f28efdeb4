import type { Role, Visitor } from '../contract/people.ts';
import type { CollectionName } from '../records/collections.ts';
import { READING } from './guards.ts';
import { notFound, ProblemError } from './problems.ts';
import type { Stores } from './stores.ts';

/** Each may do all that those before it may. */
const RANK = ['reader', 'helper', 'owner', 'keeper'] as const;
type Rank = (typeof RANK)[number];

interface Rule {
  readonly path: RegExp;
  /** Who may read it at least, and write. */
  readonly read: Rank;
  readonly write: Rank;
  /** Tells nothing of one garden, or sees to it by itself whose it is. */
  readonly isOfNoGarden?: true;
}

/** Paths below /api; the first that fits counts. */
const RULES: readonly Rule[] = [
  { path: /^(session|health|openapi\.json|docs)$/, read: 'reader', write: 'reader', isOfNoGarden: true },
  { path: /^gardens$/, read: 'reader', write: 'keeper', isOfNoGarden: true },
  { path: /^instruments(?!\/laboratory\/beds)/, read: 'reader', write: 'helper', isOfNoGarden: true },
  {
    path: /^(gardens\/begun|imports|demo-garden|backups.*|session\/.+)$/,
    read: 'keeper',
    write: 'keeper',
    isOfNoGarden: true,
  },
  { path: /^gardens\/[^/]+\/copies$/, read: 'keeper', write: 'keeper' },
  { path: /^(gardens\/[^/]+\/)?(people|links|feeds)(\/|$)/, read: 'owner', write: 'owner' },
  {
    path: /^(gardens\/[^/]+(\/(restore|imports|photos\/unshown))?$|imports\/)/,
    read: 'reader',
    write: 'owner',
  },
  { path: /^/, read: 'reader', write: 'helper' },
];

const REFUSED: Readonly<Record<Role, string>> = {
  owner: 'Only the keeper of these books may do that, with the passphrase of the books.',
  helper: 'Helpers write in the beds, the stock and the log. This is for the owner of the garden.',
  reader: 'You may read this garden, not write in it.',
};

interface Owned {
  readonly gardenId?: string | undefined;
  readonly bedId?: string | null;
}

type Finder = (stores: Stores, id: string) => Owned | undefined;

/** A record of a kind, removed or not. */
const recordOf =
  (kind: CollectionName): Finder =>
  (stores, id) =>
    stores[kind].findEvenRemoved(id)?.record;

/** What a path names, by the word before its id. */
const FINDERS: ReadonlyMap<string, Finder> = new Map<string, Finder>(
  Object.entries({
    gardens: ({ gardens }, id) => ({ gardenId: gardens.findEvenRemoved(id)?.record.id }),
    photos: ({ photos }, id) => photos.find(id),
    people: ({ people }, id) => people.find(id),
    feeds: ({ feeds }, id) => feeds.find(id),
    imports: ({ imports }, id) => imports.find(id),
    beds: recordOf('beds'),
    entries: recordOf('entries'),
    plantings: recordOf('plantings'),
    materials: recordOf('materials'),
    crops: recordOf('crops'),
    'build-ups': recordOf('buildUps'),
    habits: recordOf('habits'),
    lots: recordOf('lots'),
    movements: recordOf('movements'),
    'lab-results': recordOf('labResults'),
    recipes: recordOf('recipes'),
    journal: recordOf('journal'),
  } satisfies Record<string, Finder>),
);

/** The garden that a path is about; nothing when it is about none, or about nothing that is known. */
function gardenAt(stores: Stores, path: string): string | undefined {
  const [kind = '', id = ''] = path.replace(/^instruments\/laboratory\//, '').split('/');
  const { gardenId, bedId } = FINDERS.get(kind)?.(stores, id) ?? {};
  return gardenId ?? stores.beds.findEvenRemoved(bedId ?? '')?.record.gardenId;
}

const refused = (role: Role): ProblemError => new ProblemError(403, 'Not yours to do', REFUSED[role]);

/** Throws a problem unless the visitor may do this. What lies in another garden is not there for them. */
export function requireRight(
  stores: Stores,
  who: Visitor,
  { method, path }: { readonly method: string; readonly path: string },
): void {
  if (who.role === 'keeper') return;
  const about = path.replace(/^\/api\//, '');
  const rule = RULES.find((one) => one.path.test(about))!;
  const isOfOwnGarden = rule.isOfNoGarden === true || gardenAt(stores, about) === who.gardenId;
  if (!isOfOwnGarden) throw notFound('record');
  const least = READING.has(method) ? rule.read : rule.write;
  if (RANK.indexOf(who.role) < RANK.indexOf(least)) throw refused(who.role);
}
