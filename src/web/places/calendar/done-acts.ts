import type { GardenAct } from '../../../contract/act.ts';
import type { JournalDraft } from '../../../contract/requests.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { JournalChange } from '../../../records/journal.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { plantedLater } from '../../../core/bed/index.ts';
import { isoDateOf } from '../../../core/ground/index.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { actOf } from '../../api/acts.ts';
import { entryAsChange, journalAsChange, movementAsChange, plantingAsChange } from '../../api/as-change.ts';

/** What was really spread, and when. */
export type ReallyLaid = Pick<Extract<Really, { as: 'laid' }>, 'date' | 'amount' | 'unit'>;

/** What a gardener says of how a task was done; without it, it was done as planned, today. */
export type Really =
  | { readonly as: 'laid'; readonly date: string; readonly amount: number; readonly unit: AmountUnit }
  | {
      readonly as: 'fed';
      readonly date: string;
      /** Fresh mass of the product; null for nitrogen of which nothing else is known. */
      readonly massFreshKg: number | null;
      readonly nitrogenG: number;
      readonly lotId: string | null;
    }
  | {
      readonly as: 'harvested';
      readonly date: string;
      /** Null where nobody weighed it. */
      readonly massKg: number | null;
      /** Otherwise it was picked over, and stays. */
      readonly isCleared: boolean;
      readonly note: string;
    };

/** What doing a task writes, and what is said once it is written. */
export interface DoneAct {
  readonly act: GardenAct;
  readonly said: string;
}

type MarkDraft = Extract<JournalDraft, { kind: 'mark' }>;

/** A task of the calendar marked. */
export const markOf = (
  item: AgendaItem,
  today: string,
  how: Pick<MarkDraft, 'state' | 'untilDate' | 'note'>,
): MarkDraft => ({
  kind: 'mark',
  id: crypto.randomUUID(),
  date: today,
  taskKey: item.key,
  dueOn: isoDateOf(item.day),
  ...how,
});

const DONE = { state: 'done', untilDate: null, note: '' } as const;

/** Doing a task: what it changes in the books, or what is only ticked off. */
export function doneAct(item: AgendaItem, books: GardenBooks, really: Really | null): DoneAct {
  const { record, what } = item;
  if (record?.type === 'entry') return entryDone(record.id, books, really?.as === 'laid' ? really : null);
  if (record?.type === 'planting') {
    return what.code === 'clear'
      ? harvestDone(item, books, really?.as === 'harvested' ? really : null)
      : plantingDone(record.id, books);
  }
  if (record?.type === 'movement') return movementDone(record.id, books);
  if (record?.type === 'brew') return brewDone(record.id, books);
  if (what.code === 'dose') return fedAct(item, books, really?.as === 'fed' ? really : null);
  if (what.code === 'turnHeap' && item.lotId !== null) return turnedAct(item.lotId, books.today);
  return { act: actOf({ journal: { creates: [markOf(item, books.today, DONE)] } }), said: 'Ticked off.' };
}

function entryDone(
  id: string,
  { entries, today }: GardenBooks,
  laid: Extract<Really, { as: 'laid' }> | null,
): DoneAct {
  const entry = entries.find((one) => one.id === id)!;
  const change = { ...entryAsChange(entry), state: 'laid' as const, date: laid?.date ?? today };
  const corrected =
    laid && change.type === 'lay' ? { ...change, amount: laid.amount, unit: laid.unit } : change;
  return {
    act: actOf({ entries: { changes: [{ id, ...corrected }] } }),
    said: 'Saved as done; stock and records follow.',
  };
}

function plantingDone(id: string, { plantings, today }: GardenBooks): DoneAct {
  const planting = plantings.find((one) => one.id === id)!;
  const change = { ...plantingAsChange(plantedLater(planting, today)), state: 'laid' as const };
  return { act: actOf({ plantings: { changes: [{ id, ...change }] } }), said: 'Saved as planted today.' };
}

/** Cleared it no longer stands, and is no longer fed; picked over it stays. What was weighed goes into the log. */
function harvestDone(
  item: AgendaItem,
  { plantings, today }: GardenBooks,
  really: Extract<Really, { as: 'harvested' }> | null,
): DoneAct {
  const planting = plantings.find(({ id }) => id === item.record!.id)!;
  const date = really?.date ?? today;
  const isCleared = really?.isCleared ?? true;
  const weighed: JournalDraft[] =
    really && really.massKg !== null
      ? [
          {
            kind: 'observation',
            id: crypto.randomUUID(),
            date,
            note: really.note,
            bedId: planting.bedId,
            plantingId: planting.id,
            photoId: null,
            observed: { type: 'yield', massKg: really.massKg },
          },
        ]
      : [];
  if (!isCleared)
    return { act: actOf({ journal: { creates: weighed } }), said: 'The harvest is in the log; it stays.' };
  return {
    act: actOf({
      journal: { creates: [markOf(item, today, DONE), ...weighed] },
      plantings: { changes: [{ id: planting.id, ...plantingAsChange(planting), clearedOn: date }] },
    }),
    said: 'Cleared; the plan of the bed follows.',
  };
}

function movementDone(id: string, { movements, today }: GardenBooks): DoneAct {
  const movement = movements.find((one) => one.id === id)!;
  const change = { ...movementAsChange(movement), state: 'laid' as const, date: today };
  return { act: actOf({ movements: { changes: [{ id, ...change }] } }), said: 'Saved as done.' };
}

function brewDone(id: string, { journal }: GardenBooks): DoneAct {
  const brew = journal.find((one) => one.id === id)!;
  const change = {
    ...(journalAsChange(brew) as Extract<JournalChange, { kind: 'brew' }>),
    state: 'used' as const,
  };
  return { act: actOf({ journal: { changes: [{ id, ...change }] } }), said: 'The brew is used up.' };
}

/** The product is laid, out of its lot where it lies in one; nitrogen alone where the product is another. */
function fedAct(
  item: AgendaItem,
  { today }: GardenBooks,
  really: Extract<Really, { as: 'fed' }> | null,
): DoneAct {
  if (item.what.code !== 'dose') throw new Error('only doses are fed');
  const { massFreshKg, nitrogenG, lotId, date } = really ?? { ...item.what, date: today };
  const common = { id: crypto.randomUUID(), state: 'laid' as const, date, note: '' };
  const draft =
    massFreshKg === null
      ? { ...common, type: 'feed' as const, nitrogenG }
      : {
          ...common,
          type: 'lay' as const,
          materialId: item.what.materialId,
          lotId,
          amount: massFreshKg,
          unit: 'kg' as const,
          dugDepthCm: RAKED_IN_CM,
          seasonedMonths: 0,
        };
  return {
    act: actOf({ entries: { creates: [{ bedId: item.bedId!, draft }] } }),
    said: lotId === null ? 'Fed; it is saved for the bed.' : 'Fed; bed and stock follow.',
  };
}

/** What is strewn to feed is raked in (common practice, no source). */
const RAKED_IN_CM = 3;

const turnedAct = (lotId: string, today: string): DoneAct => ({
  act: actOf({
    movements: {
      creates: [{ id: crypto.randomUUID(), type: 'turn', state: 'laid', date: today, note: '', lotId }],
    },
  }),
  said: 'Turned; the heap follows.',
});
