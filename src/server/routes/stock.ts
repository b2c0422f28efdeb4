import { Hono } from 'hono';
import { lotChange, type LotRecord } from '../../records/lot.ts';
import { movementChange, type MovementRecord } from '../../records/movement.ts';
import { stockPosting, takingBack, type TakingBack } from '../../contract/requests.ts';
import { requireSoundBooks } from '../kept-books.ts';
import type { Stores } from '../stores.ts';
import type { AppContext } from '../app-context.ts';
import { changeMovement, keepMovement } from '../kept-movements.ts';
import { requireSoundStock } from '../kept-stock.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { keepMaterial } from './materials.ts';
import { body, seenVersion } from './validated.ts';

/** What is taken back must be of this garden. */
function requireOfGarden(stores: Stores, gardenId: string, { movements, lots, entries }: TakingBack): void {
  const requireOwn = (owner: string | undefined, what: string) =>
    requireFound(owner === gardenId ? owner : undefined, what);
  for (const { id } of movements) requireOwn(stores.movements.find(id)?.gardenId, 'stock posting');
  for (const { id } of lots) requireOwn(stores.lots.find(id)?.gardenId, 'pile');
  for (const { id } of entries) {
    const { bedId } = requireFound(stores.entries.find(id), 'entry');
    requireOwn(stores.beds.find(bedId)?.gardenId, 'bed');
  }
}

/** Lots and what moves among them. Every write is weighed against the whole stock before it is kept. */
export const stockRoutes = ({ stores, today }: AppContext) => {
  const requireSound = (gardenId: string, about: readonly string[]) =>
    requireSoundStock({ stores, gardenId, about });
  return new Hono()
    .post('/gardens/:gardenId/stock', body(stockPosting), (c) => {
      const { materials, lots, movements, changes } = c.req.valid('json');
      return stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        for (const material of materials) keepMaterial(stores, gardenId, material);
        const keptLots = lots.map((draft): LotRecord => {
          const lot = { ...draft, gardenId };
          return sentAgain(stores.lots.find(lot.id), lot) ?? stores.lots.insert(lot);
        });
        const keptMovements = movements.map((draft): MovementRecord =>
          keepMovement({ stores, today: today() }, gardenId, draft),
        );
        const changed = changes.map(({ id, ...change }): MovementRecord => {
          const before = stores.movements.find(id);
          return changeMovement(
            { stores, today: today() },
            requireFound(before?.gardenId === gardenId ? before : undefined, 'stock posting'),
            change,
          );
        });
        requireSound(
          gardenId,
          [...movements, ...changes].map(({ id }) => id),
        );
        return c.json({ lots: keptLots, movements: keptMovements, changed }, 201);
      });
    })
    .post('/gardens/:gardenId/stock/taken-back', body(takingBack), (c) => {
      const { movements, lots, entries } = c.req.valid('json');
      stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        requireOfGarden(stores, gardenId, { movements, lots, entries });
        const beds = new Set(entries.map(({ id }) => stores.entries.find(id)!.bedId));
        for (const { id, version } of movements.toReversed())
          requireRemoved(stores.movements.remove(id, version), 'stock posting');
        for (const { id, version } of lots) requireRemoved(stores.lots.remove(id, version), 'pile');
        for (const { id, version } of entries) requireRemoved(stores.entries.remove(id, version), 'entry');
        for (const bedId of beds) requireSoundBooks({ stores, bedId, today: today(), change: {} });
        requireSound(gardenId, []);
      });
      return c.body(null, 204);
    })
    .put('/lots/:lotId', body(lotChange), (c) => {
      const id = c.req.param('lotId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const lot = requireWritten(stores.lots.update(id, version, values), 'pile');
        requireSound(lot.gardenId, []);
        return c.json(lot, 200);
      });
    })
    .delete('/lots/:lotId', seenVersion, (c) => {
      const id = c.req.param('lotId');
      stores.atomically(() => {
        const { gardenId } = requireFound(stores.lots.find(id), 'pile');
        requireRemoved(stores.lots.remove(id, c.req.valid('query').version), 'pile');
        requireSound(gardenId, []);
      });
      return c.body(null, 204);
    })
    .post('/lots/:lotId/restore', (c) =>
      stores.atomically(() => {
        const lot = requireWritten(stores.lots.restore(c.req.param('lotId')), 'pile');
        requireSound(lot.gardenId, []);
        return c.json(lot, 200);
      }),
    )
    .put('/movements/:movementId', body(movementChange), (c) => {
      const id = c.req.param('movementId');
      const change = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.movements.find(id), 'stock posting');
        const after = changeMovement({ stores, today: today() }, before, change);
        requireSound(before.gardenId, [id]);
        return c.json(after, 200);
      });
    })
    .delete('/movements/:movementId', seenVersion, (c) => {
      const id = c.req.param('movementId');
      stores.atomically(() => {
        const { gardenId } = requireFound(stores.movements.find(id), 'stock posting');
        requireRemoved(stores.movements.remove(id, c.req.valid('query').version), 'stock posting');
        requireSound(gardenId, []);
      });
      return c.body(null, 204);
    })
    .post('/movements/:movementId/restore', (c) =>
      stores.atomically(() => {
        const movement = requireWritten(stores.movements.restore(c.req.param('movementId')), 'stock posting');
        requireSound(movement.gardenId, [movement.id]);
        return c.json(movement, 200);
      }),
    );
};
