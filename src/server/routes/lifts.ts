import { Hono } from 'hono';
import { liftDraft, type LiftDraft } from '../../contract/requests.ts';
import type { BedRecord } from '../../records/bed.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { InputError } from '../../refusals/input-error.ts';
import { bedScenario, booksOfBed, materialFinder } from '../../core/bed/index.ts';
import { LIFTED_HUMUS_SHARE, type Lifted, liftFrom } from '../../core/season/index.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { keptRecords, requireSoundStock } from '../kept-stock.ts';
import type { Stores } from '../stores.ts';
import { requireFound } from '../answers.ts';
import { body } from './validated.ts';

/** What the layers hold on the morning of that day, according to the model, as a material of its own. */
function lifted({
  stores,
  bed,
  draft: { date, layerIds },
  today,
}: {
  readonly stores: Stores;
  readonly bed: BedRecord;
  readonly draft: LiftDraft;
  readonly today: string;
}): Lifted {
  if (date > today) throw new InputError(['date'], 'inTheFuture', { date, today, isPlannable: false });
  const entries = stores.entries.listOf(bed.id);
  layerIds.forEach((layerId, i) => {
    const layer = entries.find(({ id }) => id === layerId);
    if (layer?.type !== 'lay' || layer.date > date) {
      throw new InputError(['layerIds', i], 'namesNone', { what: 'liftedLayer', got: null });
    }
    const off = entries.find(
      (entry) => entry.type === 'takeOff' && entry.layerId === layerId && entry.shareTakenOff === 1,
    );
    if (off) throw new InputError(['layerIds', i], 'takenOffAlready', { date: off.date });
  });
  const records = keptRecords(stores, bed.gardenId);
  const day = dayNumberFromIso(date, ['date']);
  const scenario = bedScenario({
    books: requireFound(booksOfBed(records, bed.id), 'bed'),
    findMaterial: materialFinder(records),
    today: day,
    endDay: day + 1,
  });
  return liftFrom({ scenario, layerIds, day, areaM2: bed.areaM2 });
}

/** Writes the taking off and the receiving. Ids follow from that of the lift, so that sending again finds them. */
function carryOut({
  stores,
  bed,
  draft,
  lifted: { basis, massFreshKg },
}: {
  readonly stores: Stores;
  readonly bed: BedRecord;
  readonly draft: LiftDraft;
  readonly lifted: Lifted;
}) {
  const { id, date, note, layerIds, lotName } = draft;
  const { gardenId } = bed;
  const name = `Lifted from ${bed.name}, ${date}`.slice(0, 80);
  const entries = layerIds.map((layerId, i) =>
    stores.entries.insert({
      id: `${id}-off-${i + 1}`,
      bedId: bed.id,
      type: 'takeOff',
      state: 'laid',
      date,
      note,
      layerId,
      shareTakenOff: 1,
      humusShareTakenOff: LIFTED_HUMUS_SHARE,
    }),
  );
  const material = stores.materials.insert({ id: `${id}-stuff`, gardenId, name, basis, note });
  const lot = stores.lots.insert({
    id: `${id}-lot`,
    gardenId,
    name: lotName,
    form: 'pile',
    keeping: 'covered',
    isTurned: false,
    isHot: false,
    reserveL: 0,
    note,
  });
  const movement = stores.movements.insert({
    id: `${id}-in`,
    gardenId,
    lotId: lot.id,
    type: 'receive',
    state: 'laid',
    date,
    note,
    materialId: material.id,
    amount: massFreshKg,
    unit: 'kg',
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    seasonedMonths: 0,
  });
  return { entries, lot, movement };
}

/** Finished layers lifted off a path or a bed into the stock: what the bed loses, the pile gains. */
export const liftRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/beds/:bedId/lifts', body(liftDraft), (c) => {
    const draft = c.req.valid('json');
    return stores.atomically(() => {
      const bed = requireFound(stores.beds.find(c.req.param('bedId')), 'bed');
      const known = stores.lots.find(`${draft.id}-lot`);
      if (known) {
        const entries = stores.entries.listOf(bed.id).filter(({ id }) => id.startsWith(`${draft.id}-off-`));
        return c.json(
          { entries, lot: known, movement: requireFound(stores.movements.find(`${draft.id}-in`), 'posting') },
          200,
        );
      }
      const written = carryOut({
        stores,
        bed,
        draft,
        lifted: lifted({ stores, bed, draft, today: today() }),
      });
      requireSoundBooks({
        stores,
        bedId: bed.id,
        today: today(),
        change: { about: written.entries.map(({ id }) => id) },
      });
      requireSoundStock(keptRecords(stores, bed.gardenId), today(), [written.movement.id]);
      return c.json(written, 201);
    });
  });
