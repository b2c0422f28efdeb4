import { Hono } from 'hono';
import { gardenAct, type GardenAct } from '../../contract/act.ts';
import type { LotRecord } from '../../records/lot.ts';
import type { JournalRecord } from '../../records/journal.ts';
import type { MovementRecord } from '../../records/movement.ts';
import type { PlantingRecord } from '../../records/planting.ts';
import type { EntryRecord } from '../../records/entry.ts';
import type { AppContext } from '../app-context.ts';
import { carryOutRevision } from '../entry-revision.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { changeMovement, keepMovement } from '../kept-movements.ts';
import { requireSoundStock } from '../kept-stock.ts';
import { requireFound, requireRemoved, requireSeen, requireWritten, sentAgain } from '../answers.ts';
import type { Stores } from '../stores.ts';
import { journalKeeper } from './journal.ts';
import { requireRoomFor } from './plantings.ts';
import { body } from './validated.ts';

/** The garden an act is done in, and when. */
interface Scene {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly today: string;
}

/** Throws a problem for a bed of another garden. */
const requireOwnBed = ({ stores, gardenId }: Scene, bedId: string) =>
  requireFound(
    [stores.beds.find(bedId)].find((bed) => bed?.gardenId === gardenId),
    'bed',
  );

/** Entries by their beds: written, changed, removed. The beds that were touched come back with what is kept. */
function actOnEntries(scene: Scene, { creates, changes, removals }: GardenAct['entries']) {
  const { stores } = scene;
  const bedOf = (id: string) => requireFound(stores.entries.find(id), 'entry').bedId;
  const placed = [
    ...creates.map(({ bedId, draft }) => ({ bedId, creates: [draft], changes: [], removals: [] })),
    ...changes.map((change) => ({ bedId: bedOf(change.id), creates: [], changes: [change], removals: [] })),
    ...removals.map((one) => ({ bedId: bedOf(one.id), creates: [], changes: [], removals: [one] })),
  ];
  for (const { bedId, ...revision } of placed) {
    carryOutRevision(stores, requireOwnBed(scene, bedId), {
      ...revision,
      restores: [],
      order: [],
    });
  }
  const written = [...creates.map(({ draft }) => draft.id), ...changes.map(({ id }) => id)];
  const kept = written.map((id): EntryRecord => requireFound(stores.entries.find(id), 'entry'));
  return { beds: placed.map(({ bedId }) => bedId), written, kept };
}

function actOnPlantings(scene: Scene, { changes }: GardenAct['plantings']) {
  const { stores } = scene;
  const kept = changes.map(({ id, version, ...values }): PlantingRecord => {
    const before = requireFound(stores.plantings.find(id), 'planting');
    requireOwnBed(scene, before.bedId);
    requireSeen(before, version);
    requireRoomFor(stores, before, { ...before, ...values });
    return requireWritten(stores.plantings.update(id, version, values), 'planting');
  });
  return { beds: kept.map(({ bedId }) => bedId), written: kept.map(({ id }) => id), kept };
}

/** New piles with all that is posted: they are there before anything comes into them, and go after it. */
function actOnStock(scene: Scene, { lots, movements }: Pick<GardenAct, 'lots' | 'movements'>) {
  const { stores, gardenId } = scene;
  const made = lots.creates.map((draft): LotRecord => {
    const lot = { ...draft, gardenId };
    return sentAgain(stores.lots.find(lot.id), lot) ?? stores.lots.insert(lot);
  });
  const posted = actOnMovements(scene, movements);
  for (const { id, version } of lots.removals) {
    const lot = stores.lots.find(id);
    requireFound(lot?.gardenId === gardenId ? lot : undefined, 'pile');
    requireRemoved(stores.lots.remove(id, version), 'pile');
  }
  return { lots: made, movements: posted };
}

function actOnMovements(
  { stores, gardenId, today }: Scene,
  { creates, changes, removals }: GardenAct['movements'],
): MovementRecord[] {
  const requireOwn = (id: string) => {
    const movement = requireFound(stores.movements.find(id), 'stock posting');
    return requireFound(movement.gardenId === gardenId ? movement : undefined, 'stock posting');
  };
  const made = creates.map((draft) => keepMovement({ stores, today }, gardenId, draft));
  const changed = changes.map(({ id, ...change }) =>
    changeMovement({ stores, today }, requireOwn(id), change),
  );
  for (const { id, version } of removals) {
    requireOwn(id);
    requireRemoved(stores.movements.remove(id, version), 'stock posting');
  }
  return [...made, ...changed];
}

/** What one thing done writes into log, books and stock together. */
export const actRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/gardens/:gardenId/acts', body(gardenAct), (c) =>
    stores.atomically(() => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const scene: Scene = { stores, gardenId, today: today() };
      const act = c.req.valid('json');
      const journal = journalKeeper(scene);
      const removed = actOnEntries(scene, { creates: [], changes: [], removals: act.entries.removals });
      const { lots, movements } = actOnStock(scene, act);
      const entries = actOnEntries(scene, { ...act.entries, removals: [] });
      const plantings = actOnPlantings(scene, act.plantings);
      const records: JournalRecord[] = [
        ...act.journal.creates.map((draft, i) => journal.keep(draft, ['journal', 'creates', i])),
        ...act.journal.changes.map(({ id, ...change }) => journal.change(id, change)),
      ];
      for (const { id, version } of act.journal.removals) journal.remove(id, version);
      const about = [...entries.written, ...plantings.written];
      for (const bedId of new Set([...removed.beds, ...entries.beds, ...plantings.beds])) {
        requireSoundBooks({ stores, bedId, today: scene.today, change: { about } });
      }
      const { creates, changes, removals } = act.movements;
      if (creates.length + changes.length + removals.length + act.lots.removals.length > 0) {
        requireSoundStock({ stores, gardenId, about: movements.map(({ id }) => id) });
      }
      return c.json(
        { journal: records, entries: entries.kept, plantings: plantings.kept, lots, movements },
        200,
      );
    }),
  );
