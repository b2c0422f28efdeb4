import { Hono } from 'hono';
import { bedRevision } from '../../contract/requests.ts';
import { entryChange, entryDraft, type EntryRecord } from '../../records/entry.ts';
import type { AppContext } from '../app-context.ts';
import { carryOutRevision, requireOwnEntries, stockAhead, weighDrafts } from '../entry-revision.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import type { StockWarmer } from '../warm-stock.ts';
import { body, seenVersion } from './validated.ts';

/** The list with the entry in the place of the one it changes, or at the end. */
const withEntry = (entries: readonly EntryRecord[], entry: EntryRecord): EntryRecord[] =>
  entries.some(({ id }) => id === entry.id)
    ? entries.map((other) => (other.id === entry.id ? entry : other))
    : [...entries, entry];

export const entryRoutes = ({ stores, today, newId }: AppContext, stock: Pick<StockWarmer, 'ahead'>) =>
  new Hono()
    .post('/beds/:bedId/entries', body(entryDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      return stores.atomically(() => {
        const bed = requireFound(stores.beds.find(c.req.param('bedId')), 'bed');
        const known = sentAgain(stores.entries.find(id), { ...draft, bedId: bed.id });
        if (known) return c.json(known, 200);
        const { entries, taken } = weighDrafts(stores, bed, [{ id, draft }]);
        const entry = entries[0]!;
        requireSoundBooks({
          stores,
          bedId: bed.id,
          today: today(),
          change: {
            entries: (all) => withEntry(all, entry),
            about: [id],
            ...(taken ? { taken } : {}),
          },
        });
        return c.json(stores.entries.insert(entry), 201);
      });
    })
    .post('/beds/:bedId/revisions', body(bedRevision), async (c) => {
      const revision = c.req.valid('json');
      const findBed = () => requireFound(stores.beds.find(c.req.param('bedId')), 'bed');
      const records = stockAhead(stores, findBed(), revision);
      if (records) await stock.ahead(findBed().gardenId, records);
      return stores.atomically(() => {
        const bed = findBed();
        requireOwnEntries(stores, bed.id, [...revision.changes, ...revision.removals]);
        const proved = carryOutRevision(stores, bed, revision);
        requireSoundBooks({
          stores,
          bedId: bed.id,
          today: today(),
          change: {
            about: [...revision.creates, ...revision.changes].map(({ id }) => id),
            ...proved,
          },
        });
        return c.json({ entries: stores.entries.listOf(bed.id) }, 200);
      });
    })
    .put('/entries/:entryId', body(entryChange), (c) => {
      const id = c.req.param('entryId');
      const change = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.entries.find(id), 'entry');
        requireSeen(before, change.version);
        const bed = requireFound(stores.beds.find(before.bedId), 'bed');
        const { entries, taken } = weighDrafts(stores, bed, [{ id, draft: change }]);
        const entry = entries[0]!;
        requireSoundBooks({
          stores,
          bedId: bed.id,
          today: today(),
          change: {
            entries: (all) => withEntry(all, entry),
            about: [id],
            ...(taken ? { taken } : {}),
          },
        });
        return c.json(requireWritten(stores.entries.update(id, change.version, entry), 'entry'), 200);
      });
    })
    .delete('/entries/:entryId', seenVersion, (c) => {
      const id = c.req.param('entryId');
      stores.atomically(() => {
        const { bedId } = requireFound(stores.entries.find(id), 'entry');
        requireSoundBooks({
          stores,
          bedId,
          today: today(),
          change: {
            entries: (all) => all.filter((entry) => entry.id !== id),
          },
        });
        requireRemoved(stores.entries.remove(id, c.req.valid('query').version), 'entry');
      });
      return c.body(null, 204);
    })
    .post('/entries/:entryId/restore', (c) =>
      stores.atomically(() => {
        const entry = requireWritten(stores.entries.restore(c.req.param('entryId')), 'entry');
        requireSoundBooks({ stores, bedId: entry.bedId, today: today(), change: { about: [entry.id] } });
        return c.json(entry, 200);
      }),
    );
