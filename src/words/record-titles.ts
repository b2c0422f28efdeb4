import type { Bed } from '../records/bed.ts';
import type { CollectionName } from '../records/collections.ts';
import type { OwnCrop } from '../records/crop.ts';
import type { Entry } from '../records/entry.ts';
import type { Journaled } from '../records/journal.ts';
import type { Movement } from '../records/movement.ts';
import type { Planting } from '../records/planting.ts';
import { findCrop, findLibraryMaterial } from '../core/ground/index.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** The records that titles are made from, as far as they are at hand. */
export interface TitledRecords {
  readonly beds?: readonly (Pick<Bed, 'id'> & { readonly name?: string })[];
  readonly entries?: readonly (Entry & { readonly bedId: string })[];
  readonly plantings?: readonly (Planting & { readonly bedId: string })[];
  readonly materials?: readonly { readonly id: string; readonly name?: string }[];
  readonly crops?: readonly OwnCrop[];
  readonly lots?: readonly Named[];
  readonly movements?: readonly Movement[];
  readonly journal?: readonly Journaled[];
  readonly labResults?: readonly {
    readonly id?: string;
    readonly materialId: string;
    readonly date: string;
  }[];
  readonly recipes?: readonly Named[];
  readonly buildUps?: readonly Named[];
  readonly habits?: readonly Named[];
  readonly weather?: readonly { readonly id?: string; readonly date: string }[];
}

const DONE: Readonly<Record<Entry['type'], string>> = {
  lay: 'laid',
  dig: 'dug in',
  takeOff: 'taken off',
  feed: 'fed',
  soilTest: 'soil test',
  water: 'watered',
};
const MOVED: Readonly<Record<Movement['type'], string>> = {
  receive: 'received',
  make: 'made',
  move: 'moved',
  takeOut: 'taken out',
  stocktake: 'counted',
  keep: 'kept otherwise',
  turn: 'turned',
  water: 'watered',
  reading: 'measured',
  sign: 'looked at',
  burn: 'burnt',
  crush: 'crushed',
};
const WRITTEN: Readonly<Record<Journaled['kind'], string>> = {
  observation: 'observation',
  mark: 'task',
  brew: 'brew',
  trial: 'trial',
  plotReading: 'plot reading',
  yearClose: 'closed year',
};

const nameIn = (list: readonly { readonly id: string; readonly name?: string }[] | undefined, id: string) =>
  list?.find((one) => one.id === id)?.name;

const materialNamed = (id: string, { materials }: TitledRecords): string =>
  nameIn(materials, id) ?? findLibraryMaterial(id)?.name ?? 'a material';

/** " on Ferry Strip", when the bed is known. */
const onBed = (bedId: string, { beds }: TitledRecords): string => {
  const name = nameIn(beds, bedId);
  return name === undefined ? '' : ` on ${name}`;
};

function entryTitle(entry: Entry & { readonly bedId: string }, records: TitledRecords): string {
  const what =
    entry.type === 'lay'
      ? `${(entry.lotId && nameIn(records.lots, entry.lotId)) || materialNamed(entry.materialId, records)}, `
      : '';
  return `${what}${DONE[entry.type]}${onBed(entry.bedId, records)} on ${entry.date}`;
}

function plantingTitle(planting: Planting & { readonly bedId: string }, records: TitledRecords): string {
  const crop = findCrop(planting.cropId, records.crops ?? [])?.name ?? 'a crop';
  return `${crop}, planted${onBed(planting.bedId, records)} on ${planting.plantedOn}`;
}

/** What a gardener calls a record: its own name, or what was done where and when. Never its id. */
export function recordTitle(
  collection: CollectionName | 'garden' | 'photos',
  id: string,
  records: TitledRecords,
): string {
  const find = <Kept extends { readonly id?: string }>(list: readonly Kept[] | undefined) =>
    list?.find((one) => one.id === id);
  switch (collection) {
    case 'entries': {
      const entry = find(records.entries);
      return entry ? entryTitle(entry, records) : 'an entry';
    }
    case 'plantings': {
      const planting = find(records.plantings);
      return planting ? plantingTitle(planting, records) : 'a planting';
    }
    case 'movements': {
      const movement = find(records.movements);
      if (!movement) return 'a stock posting';
      const lot = nameIn(records.lots, movement.lotId);
      return `${lot === undefined ? 'stock' : lot}, ${MOVED[movement.type]} on ${movement.date}`;
    }
    case 'journal': {
      const record = find(records.journal);
      return record ? `${WRITTEN[record.kind]} of ${record.date}` : 'a record of the log';
    }
    case 'labResults': {
      const result = find(records.labResults);
      return result ? `report on ${materialNamed(result.materialId, records)} of ${result.date}` : 'a report';
    }
    case 'weather':
      return `weather of ${find(records.weather)?.date ?? 'a day'}`;
    case 'photos':
      return 'a photo';
    case 'garden':
      return 'the garden';
    default:
      return nameIn(records[collection], id) ?? 'a record without a name';
  }
}
