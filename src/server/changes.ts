import {
  DAY_LISTS,
  TOLD_ORDER,
  type BooksChange,
  type BooksMark,
  type DayList,
  type ListChange,
} from '../contract/changes.ts';
import { COLLECTION_NAMES, type CollectionName } from '../records/collections.ts';
import type { Store, Stores, Versioned } from './stores.ts';

type AnyRecord = Versioned & {
  readonly gardenId?: string;
  readonly bedId?: string | null;
  readonly lotId?: string;
  readonly date?: string;
};

/** More than this is sent whole: a page would not take it in any sooner piece by piece. */
const MOST_TOLD = 400;

export const markOf = (stores: Stores, gardenId: string): BooksMark => ({
  epoch: stores.epoch(),
  number: stores.changes.numberOf(gardenId),
});

const isDayList = (name: CollectionName): name is DayList => (DAY_LISTS as readonly string[]).includes(name);
const isTold = (name: CollectionName): name is (typeof TOLD_ORDER)[number] =>
  (TOLD_ORDER as readonly string[]).includes(name);

/** Lists of the books leave out what leans on something that was removed. */
function isListed({
  stores,
  gardenId,
  name,
  record,
}: {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly name: CollectionName;
  readonly record: AnyRecord;
}): boolean {
  const isOwnBed = (bedId: string) => stores.beds.find(bedId)?.gardenId === gardenId;
  if (name === 'entries' || name === 'plantings') return isOwnBed(record.bedId ?? '');
  if (name === 'journal') return typeof record.bedId !== 'string' || isOwnBed(record.bedId);
  return name !== 'movements' || stores.lots.find(record.lotId ?? '') !== undefined;
}

/** A day of weather as the books tell it. */
const asDay = (record: AnyRecord): object => {
  const { id, version, createdAt, updatedAt, gardenId, ...day } = record;
  return day;
};

function listChange({
  stores,
  gardenId,
  name,
  ids,
}: {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly name: CollectionName;
  readonly ids: readonly string[];
}): ListChange {
  const store = stores[name] as unknown as Store<AnyRecord>;
  const written: AnyRecord[] = [];
  const removed: string[] = [];
  const dates = new Set<string>();
  for (const id of ids) {
    const kept = store.findEvenRemoved(id);
    const isThere = kept && !kept.isRemoved && isListed({ stores, gardenId, name, record: kept.record });
    if (isThere) written.push(kept.record);
    else if (name !== 'weather') removed.push(id);
    else if (kept) removed.push(kept.record.date ?? '');
    if (isThere && isDayList(name)) dates.add(kept.record.date ?? '');
  }
  return {
    written: (name === 'weather' ? written.map(asDay) : written) as ListChange['written'],
    removed,
    ...(isTold(name) ? { order: stores[name].listOf(gardenId).map(({ id }) => id) } : {}),
    ...(isDayList(name)
      ? {
          days: Object.fromEntries(
            [...dates].map((date) => [date, stores.changes.idsOfDay(name, gardenId, date)]),
          ),
        }
      : {}),
  };
}

/** What was written and removed in a garden since a mark. */
export function changesSince({
  stores,
  gardenId,
  since,
  today,
}: {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly since: BooksMark;
  readonly today: string;
}): BooksChange {
  const mark = markOf(stores, gardenId);
  if (since.epoch !== mark.epoch || since.number > mark.number) return { mark, isWhole: true };
  const changed = stores.changes.since(gardenId, since.number, MOST_TOLD + 1);
  if (changed.length > MOST_TOLD) return { mark, isWhole: true };
  const idsOf = (name: string) =>
    changed.filter(({ collection }) => collection === name).map(({ recordId }) => recordId);
  const lists = COLLECTION_NAMES.map((name) => ({ name, ids: idsOf(name) })).filter(
    ({ ids }) => ids.length > 0,
  );
  const garden = idsOf('garden').length > 0 ? stores.gardens.find(gardenId) : null;
  if (garden === undefined) return { mark, isWhole: true };
  return {
    mark,
    isWhole: false,
    today,
    garden,
    lists: Object.fromEntries(
      lists.map(({ name, ids }) => [name, listChange({ stores, gardenId, name, ids })]),
    ),
  };
}
