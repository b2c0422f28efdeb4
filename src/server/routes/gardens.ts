import { Hono } from 'hono';
import { gardenChange, gardenDraft, type GardenDraft, type GardenRecord } from '../../records/garden.ts';
import { checkClimate, findLibraryMaterial } from '../../core/ground/index.ts';
import { FEED_FROM_STOCK } from '../../records/vocabulary.ts';
import { InputError } from '../../refusals/input-error.ts';
import { begunGarden } from '../../contract/requests.ts';
import { changesSince } from '../changes.ts';
import type { AppContext } from '../app-context.ts';
import { weighDraft } from '../entry-revision.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { visitor } from '../visitor.ts';
import { body, seenVersion, sinceMark } from './validated.ts';

/** Refuses months that cannot be those of the place, and a product to feed with that nobody knows. */
function requireLikelyGarden(
  { climate, location, feedMaterialId }: Pick<GardenDraft, 'climate' | 'location' | 'feedMaterialId'>,
  isOwnMaterial: (id: string) => boolean = () => false,
): void {
  if (location) checkClimate(climate, location.latitudeDeg);
  const isKnown =
    feedMaterialId === FEED_FROM_STOCK ||
    findLibraryMaterial(feedMaterialId) !== undefined ||
    isOwnMaterial(feedMaterialId);
  if (!isKnown) {
    throw new InputError(['feedMaterialId'], 'namesNone', { what: 'material', got: feedMaterialId });
  }
}

export const gardenRoutes = (
  { stores, today, newId, sendBooks, ahead }: AppContext,
  warmStock: (gardenId: string) => void,
) =>
  new Hono()
    .get('/', (c) => {
      const who = visitor();
      const isTheirs = ({ id }: GardenRecord) => who.role === 'keeper' || who.gardenId === id;
      const deleted = stores.gardens
        .listRemoved()
        .filter(({ record }) => isTheirs(record))
        .map(({ record: { id, name }, removedAt }) => ({ id, name, deletedAt: removedAt }));
      return c.json({ today: today(), gardens: stores.gardens.list().filter(isTheirs), deleted }, 200);
    })
    .post('/', body(gardenDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      requireLikelyGarden(draft);
      const known = sentAgain(stores.gardens.find(id), draft);
      return known ? c.json(known, 200) : c.json(stores.gardens.insert({ ...draft, id }), 201);
    })
    .post('/begun', body(begunGarden), (c) =>
      stores.atomically(() => {
        const { garden, bed, entry, planting } = c.req.valid('json');
        requireLikelyGarden(garden);
        const known = sentAgain(stores.gardens.find(garden.id), garden);
        if (known) return c.json(known, 200);
        const kept = stores.gardens.insert(garden);
        const keptBed = stores.beds.insert({ ...bed, gardenId: kept.id });
        if (entry) {
          stores.entries.insert(weighDraft(stores, keptBed, { id: entry.id, draft: entry }));
        }
        if (planting) stores.plantings.insert({ ...planting, bedId: keptBed.id });
        const about = [entry, planting].flatMap((one) => (one ? [one.id] : []));
        requireSoundBooks({ stores, bedId: keptBed.id, today: today(), change: { about } });
        return c.json(kept, 201);
      }),
    )
    .get('/:gardenId/books', async (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      warmStock(garden.id);
      ahead.opened(garden.id);
      const { body: sent, tag } = await sendBooks(garden);
      if (c.req.header('if-none-match') === tag) return c.body(null, 304, { ETag: tag });
      return c.body(sent, 200, {
        'Content-Type': 'application/json',
        'Cache-Control': 'private, no-cache',
        ETag: tag,
      });
    })
    .get('/:gardenId/worked-out', (c) => {
      const { id } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      return c.body(ahead.find(id) ?? 'null', 200, { 'Content-Type': 'application/json' });
    })
    .get('/:gardenId/changes', sinceMark, (c) => {
      const { id } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const { epoch, since } = c.req.valid('query');
      return c.json(
        changesSince({ stores, gardenId: id, since: { epoch, number: since }, today: today() }),
        200,
      );
    })
    .put('/:gardenId', body(gardenChange), (c) => {
      const { version, ...values } = c.req.valid('json');
      const gardenId = c.req.param('gardenId');
      requireLikelyGarden(values, (id) => stores.materials.find(id)?.gardenId === gardenId);
      return c.json(requireWritten(stores.gardens.update(gardenId, version, values), 'garden'), 200);
    })
    .delete('/:gardenId', seenVersion, (c) => {
      requireRemoved(stores.gardens.remove(c.req.param('gardenId'), c.req.valid('query').version), 'garden');
      return c.body(null, 204);
    })
    .post('/:gardenId/restore', (c) =>
      c.json(requireWritten(stores.gardens.restore(c.req.param('gardenId')), 'garden'), 200),
    );
