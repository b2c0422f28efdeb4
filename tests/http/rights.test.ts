import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Role, Visitor } from '../../src/contract/people.ts';
import { EXAMPLE_IDS, EXAMPLES } from '../../src/server/api-docs/examples.ts';
import { ROUTE_WORDS } from '../../src/server/api-docs/route-words.ts';
import { openBooks as openFile, type BooksFile } from '../../src/server/db/books-file.ts';
import { requireRight } from '../../src/server/rights.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder } from './server.ts';

/** Books that hold something of every kind: what the examples of the API write. */
const folder = newFolder();
let kept: BooksFile;
/** Ids that the books gave themselves. */
const ids: Record<string, string> = { ...EXAMPLE_IDS };

beforeAll(async () => {
  const file = `${folder}/books.sqlite`;
  const books = openBooks(file);
  for (const [key, body] of Object.entries(EXAMPLES)) {
    const [method, pattern] = key.split(' ');
    const path = pattern.replaceAll(/\{(\w+)\}/g, (_, name: string) => EXAMPLE_IDS[name]);
    const { body: answer } = await askAt<{ feed?: { id: string }; importId?: string }>(
      books,
      method,
      path,
      body,
    );
    if (answer.feed) ids['feedId'] = answer.feed.id;
    if (answer.importId) ids['importId'] = answer.importId;
  }
  await books.stop();
  kept = openFile({ file }, () => '2026-05-14T08:00:00.000Z');
  kept.stores.photos.insert({
    id: ids['photoId'],
    gardenId: ids['gardenId'],
    mediaType: 'image/png',
    bytes: 1,
    sentSha256: '',
  });
});
afterAll(() => {
  kept.close();
  removeFolder(folder);
});

const ROUTES = Object.keys(ROUTE_WORDS)
  .filter((route) => !route.includes('/feeds/{file}'))
  .map((route) => {
    const [method, pattern] = route.split(' ');
    return { route, method, pattern };
  });

/** What a visitor of a garden is answered before a request is looked at: 200 for all that may go on. */
function answered(who: Visitor, { method, pattern }: (typeof ROUTES)[number]): number {
  const path = pattern.replaceAll(/\{(\w+)\}/g, (_, name: string) => ids[name]);
  try {
    requireRight(kept.stores, who, { method, path });
    return 200;
  } catch (error) {
    return (error as { status: number }).status;
  }
}

const visitorIn = (gardenId: string, role: Role): Visitor => ({
  personId: 'x',
  name: 'X',
  role,
  isLink: false,
  gardenId,
});
const refusedTo = (who: Visitor): string[] =>
  ROUTES.filter((one) => answered(who, one) !== 200).map(({ route }) => route);

const KEEPERS = [
  'POST /api/gardens',
  'POST /api/gardens/begun',
  'POST /api/gardens/{gardenId}/copies',
  'POST /api/imports',
  'GET /api/backups',
  'POST /api/backups',
  'GET /api/backups/{name}',
  'POST /api/backups/{name}/restore',
  'POST /api/demo-garden',
  'GET /api/session/visits',
  'DELETE /api/session/visits/{visitId}',
];
const OWNERS = [
  'PUT /api/gardens/{gardenId}',
  'DELETE /api/gardens/{gardenId}',
  'POST /api/gardens/{gardenId}/restore',
  'GET /api/gardens/{gardenId}/people',
  'POST /api/gardens/{gardenId}/people',
  'PUT /api/people/{personId}',
  'DELETE /api/people/{personId}',
  'POST /api/gardens/{gardenId}/links',
  'GET /api/gardens/{gardenId}/feeds',
  'POST /api/gardens/{gardenId}/feeds',
  'DELETE /api/feeds/{feedId}',
  'POST /api/gardens/{gardenId}/imports',
  'POST /api/imports/{importId}/undo',
  'DELETE /api/gardens/{gardenId}/photos/unshown',
];
/** What tells nothing of one garden, or only of the visitor’s own. */
const OF_NO_GARDEN = [
  'GET /api/health',
  'GET /api/gardens',
  'GET /api/instruments',
  'GET /api/instruments/scale',
  'GET /api/instruments/probe',
  'GET /api/instruments/weather',
  'GET /api/instruments/laboratory/samples/{sampleId}',
  'GET /api/session',
  'POST /api/session',
  'DELETE /api/session',
];

describe('whoever comes in under a name', () => {
  const own = EXAMPLE_IDS['gardenId'];

  it('as the keeper may do all', () => {
    expect(refusedTo({ role: 'keeper' })).toEqual([]);
  });
  it('as an owner may do all in their garden', () => {
    expect(refusedTo(visitorIn(own, 'owner')).toSorted()).toEqual(KEEPERS.toSorted());
  });
  it('as a helper reads and writes in it, and leaves the garden itself as it is', () => {
    expect(refusedTo(visitorIn(own, 'helper')).toSorted()).toEqual([...KEEPERS, ...OWNERS].toSorted());
  });
  it('as a reader only reads', () => {
    const writing = ROUTES.filter(({ method, pattern }) => method !== 'GET' && pattern !== '/api/session');
    const refused = new Set([...writing.map(({ route }) => route), ...KEEPERS, ...OWNERS]);
    expect(refusedTo(visitorIn(own, 'reader')).toSorted()).toEqual([...refused].toSorted());
  });
  it('is told that there is nothing where nothing is, whatever it is called', () => {
    const reader = visitorIn(own, 'reader');
    for (const pattern of ['/api/nothing/x', '/api/__proto__/x', '/api/constructor/x', '/api/']) {
      expect(answered(reader, { route: '', method: 'GET', pattern })).toBe(404);
    }
  });
  it('finds nothing of another garden, whatever they are in theirs', () => {
    for (const role of ['owner', 'helper', 'reader'] as const) {
      const open = ROUTES.filter((one) => answered(visitorIn('front-plot', role), one) === 200);
      expect(open.map(({ route }) => route).toSorted()).toEqual(OF_NO_GARDEN.toSorted());
    }
  });
});
