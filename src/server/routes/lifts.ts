import { Hono } from 'hono';
import { liftDraft, type LiftDraft } from '../../contract/requests.ts';
import type { BedRecord } from '../../records/bed.ts';
import type { EntryRecord } from '../../records/entry.ts';
import type { LotRecord } from '../../records/lot.ts';
import type { MaterialRecord } from '../../records/material.ts';
import type { MovementRecord } from '../../records/movement.ts';
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

/** What the layers hold on the morning of that day, according to the model, as materials of their own. */
function lifted({
  stores,
  bed,
  draft: { date, layerIds, share },
  today,
}: {
  readonly stores: Stores;
  readonly bed: BedRecord;
  readonly draft: LiftDraft;
  readonly today: string;
}): Lifted[] {
  if (date > today) throw new InputError(['date'], 'inTheFuture', { date, today, isPlannable: false });
  const entries = stores.entries.listOf(bed.id);
  layerIds.forEach((layerId, i) => {
    const layer = entries.find(({ id }) => id === layerId);
    if (layer?.type !== 'lay' || layer.date > date) {
      throw new InputError(['layerIds', i], 'namesNone', { what: 'liftedLayer', got: null });
    }
    const off = entries.find(
      (entry) =>
        entry.type === 'takeOff' &&
        entry.state === 'laid' &&
        entry.layerId === layerId &&
        entry.shareTakenOff === 1,
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
  return liftFrom({ scenario, layerIds, day, areaM2: bed.areaM2, share });
}

type CarriedOut = {
  readonly entries: readonly EntryRecord[];
  readonly lot: LotRecord | null;
  readonly movements: readonly MovementRecord[];
};

/** What a lift wrote when it was sent before; null when it is new. Ids of all it writes follow from its own. */
function carriedOutBefore(stores: Stores, bed: BedRecord, { id, to }: LiftDraft): CarriedOut | null {
  const off = stores.entries.listOf(bed.id).filter((one) => one.id.startsWith(`${id}-off-`));
  if (off.length === 0) return null;
  if (to.place === 'bed') {
    const on = stores.entries.listOf(to.bedId).filter((one) => one.id.startsWith(`${id}-on-`));
    return { entries: [...off, ...on], lot: null, movements: [] };
  }
  const movements = stores.movements.listOf(bed.gardenId).filter((one) => one.id.startsWith(`${id}-in-`));
  return { entries: off, lot: requireFound(stores.lots.find(`${id}-lot`), 'lot'), movements };
}

interface Lift {
  readonly stores: Stores;
  readonly bed: BedRecord;
  readonly draft: LiftDraft;
}

/** Writes the taking off, and the laying or receiving of what came up. */
function carryOut({ stores, bed, draft, lifted }: Lift & { readonly lifted: readonly Lifted[] }): CarriedOut {
  const { id, date, note, layerIds, share, to } = draft;
  const off = layerIds.map((layerId, i) =>
    stores.entries.insert({
      id: `${id}-off-${i + 1}`,
      bedId: bed.id,
      type: 'takeOff',
      state: 'laid',
      date,
      note,
      layerId,
      shareTakenOff: share,
      humusShareTakenOff: LIFTED_HUMUS_SHARE * share,
    }),
  );
  const parts = lifted.map(({ basis, massFreshKg }, i) => {
    const what = i === 0 ? '' : ', char';
    const name = `Lifted from ${bed.name}, ${date}${what}`.slice(0, 80);
    const material = stores.materials.insert({
      id: `${id}-stuff-${i + 1}`,
      gardenId: bed.gardenId,
      name,
      basis,
      note,
    });
    return { material, massFreshKg, number: i + 1 };
  });
  if (to.place === 'stock') {
    const { lot, movements } = receive({ stores, bed, draft }, parts, to.lotName);
    return { entries: off, lot, movements };
  }
  const on = parts.map(({ material, massFreshKg, number }) =>
    stores.entries.insert({
      id: `${id}-on-${number}`,
      bedId: to.bedId,
      type: 'lay',
      state: 'laid',
      date,
      note,
      materialId: material.id,
      lotId: null,
      amount: massFreshKg,
      unit: 'kg',
      massFreshKg,
      dugDepthCm: to.dugDepthCm,
      seasonedMonths: 0,
    }),
  );
  return { entries: [...off, ...on], lot: null, movements: [] };
}

interface LiftedPart {
  readonly material: MaterialRecord;
  readonly massFreshKg: number;
  readonly number: number;
}

function receive({ stores, bed, draft }: Lift, parts: readonly LiftedPart[], lotName: string) {
  const { id, date, note } = draft;
  const { gardenId } = bed;
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
  const movements = parts.map(({ material, massFreshKg, number }) =>
    stores.movements.insert({
      id: `${id}-in-${number}`,
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
    }),
  );
  return { lot, movements };
}

/** Layers lifted off a path or a bed: what the bed loses, the pile or the other bed gains. */
export const liftRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/beds/:bedId/lifts', body(liftDraft), (c) => {
    const draft = c.req.valid('json');
    const { to } = draft;
    return stores.atomically(() => {
      const bed = requireFound(stores.beds.find(c.req.param('bedId')), 'bed');
      if (to.place === 'bed') requireOtherBed(stores, bed, to.bedId);
      const known = carriedOutBefore(stores, bed, draft);
      if (known) return c.json(known, 200);
      const written = carryOut({
        stores,
        bed,
        draft,
        lifted: lifted({ stores, bed, draft, today: today() }),
      });
      for (const bedId of new Set(written.entries.map((entry) => entry.bedId))) {
        const about = written.entries.filter((entry) => entry.bedId === bedId).map(({ id }) => id);
        requireSoundBooks({ stores, bedId, today: today(), change: { about } });
      }
      if (written.lot) {
        const about = written.movements.map(({ id }) => id);
        requireSoundStock({ stores, gardenId: bed.gardenId, about });
      }
      return c.json(written, 201);
    });
  });

/** Throws InputError when what is lifted would go back where it came from, or to another garden. */
function requireOtherBed(stores: Stores, bed: BedRecord, toId: string): void {
  const to = stores.beds.find(toId);
  if (to?.gardenId !== bed.gardenId || to.id === bed.id) {
    throw new InputError(['to', 'bedId'], 'namesNone', { what: 'otherBed', got: toId });
  }
}
