import { type GardenRecords, recordsAbout } from '../../core/bed/index.ts';
import type { BedQuestion } from './core-worker.ts';

const keys = new WeakMap<object, string>();

/** Questions of the same content share an answer. Each is written out once, for its key is asked for at every render. */
export function keyOf(question: object): string {
  const known = keys.get(question);
  if (known !== undefined) return known;
  const key = JSON.stringify(question);
  keys.set(question, key);
  return key;
}

const asked = new WeakMap<GardenRecords, Map<string, BedQuestion>>();
const askedLast = new Map<string, BedQuestion>();

/**
 * Only what the answer depends on is part of the question. While that stays the same it is the same object, so that what is
 * being worked out for it goes on.
 */
export function questionAbout(records: GardenRecords, bedId: string, today: string): BedQuestion {
  const ofRecords = asked.get(records) ?? new Map<string, BedQuestion>();
  asked.set(records, ofRecords);
  const id = `${bedId} ${today}`;
  const question = ofRecords.get(id) ?? sameAsLast({ bedId, today, records: recordsAbout(records, bedId) });
  ofRecords.set(id, question);
  return question;
}

function sameAsLast(question: BedQuestion): BedQuestion {
  const last = askedLast.get(question.bedId);
  if (last && keyOf(last) === keyOf(question)) return last;
  askedLast.set(question.bedId, question);
  return question;
}
