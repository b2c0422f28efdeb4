import { type AgendaItem, needsStock, type TaskGroup } from '../../../core/season/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { BED_KINDS } from '../../../records/vocabulary.ts';
import { counted } from '../../../words/counted.ts';
import { BED_KIND_WORDS } from '../../../words/words.ts';

/** Which tasks of a calendar are shown. */
export interface CalendarFilter {
  /** One of `placesOf`. */
  readonly place: string;
  readonly hidden: ReadonlySet<TaskGroup>;
  readonly isOnlyFromStock: boolean;
}

export const WHOLE_GARDEN = 'all';
const YARD = 'yard';
export const ALL_TASKS: CalendarFilter = { place: WHOLE_GARDEN, hidden: new Set(), isOnlyFromStock: false };

type Bed = Pick<BedRecord, 'id' | 'name' | 'kind' | 'part'>;

export interface PlaceOption {
  readonly value: string;
  readonly label: string;
}

/** From this number of beds on a kind or a part of the garden is worth a choice of its own. */
const FEWEST_OF_GROUP = 2;

/** What tasks can be narrowed to: the whole garden, its parts, kinds of beds, single beds, and the yard. */
export function placesOf(beds: readonly Bed[]): PlaceOption[] {
  const group = (value: string, label: string, own: readonly Bed[]): PlaceOption[] =>
    own.length < FEWEST_OF_GROUP || own.length === beds.length
      ? []
      : [{ value, label: `${label}: ${counted(own.length, 'bed')}` }];
  const parts = [...new Set(beds.map(({ part }) => part))].filter((part) => part !== '').toSorted();
  return [
    { value: WHOLE_GARDEN, label: 'Whole garden' },
    ...parts.flatMap((part) =>
      group(
        `part:${part}`,
        part,
        beds.filter((bed) => bed.part === part),
      ),
    ),
    ...BED_KINDS.flatMap((kind) =>
      group(
        `kind:${kind}`,
        BED_KIND_WORDS[kind],
        beds.filter((bed) => bed.kind === kind),
      ),
    ),
    ...beds.map(({ id, name }) => ({ value: `bed:${id}`, label: name })),
    { value: YARD, label: 'Yard and fires' },
  ];
}

function isAt(bedId: string | null, place: string, beds: readonly Bed[]): boolean {
  if (place === WHOLE_GARDEN) return true;
  if (place === YARD) return bedId === null;
  const bed = beds.find(({ id }) => id === bedId);
  return bed !== undefined && [`bed:${bed.id}`, `part:${bed.part}`, `kind:${bed.kind}`].includes(place);
}

/** The tasks that pass. */
export const tasksFor = (
  items: readonly AgendaItem[],
  { place, hidden, isOnlyFromStock }: CalendarFilter,
  beds: readonly Bed[],
): AgendaItem[] =>
  items.filter(
    (item) =>
      !hidden.has(item.group) && isAt(item.bedId, place, beds) && (!isOnlyFromStock || needsStock(item)),
  );
