import { expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, NO_STOCK, plantingOf } from '../../../tests/fixtures/books.ts';
import { isoDateOf } from '../../core/ground/index.ts';
import type { Journaled } from '../../records/journal.ts';
import { emptyMemory } from '../../core/yard/index.ts';
import { workedOutBeds } from '../ahead/worked-out-beds.ts';
import { gardenAgenda } from './garden-calendars.ts';

const TODAY = '2026-05-01';
const garden = { ...GARDEN, climate: MILD, version: 1, createdAt: '', updatedAt: '' };
const beds = [bedOf({ organicMatterPct: 1 })];
const plantings = [
  plantingOf({
    id: 'kale',
    cropId: 'kale',
    plantedOn: '2026-04-20',
    clearedOn: '2026-10-20',
    nitrogenDemandGPerM2: 20,
  }),
];
const yard = { ...NO_STOCK, garden, beds, plantings, entries: [], materials: [] };

const dosesWith = async (journal: readonly Journaled[]) => {
  const books = Buffer.from(JSON.stringify({ ...yard, journal, today: TODAY }));
  const memory = emptyMemory();
  const garden = await workedOutBeds(memory)({ books, tag: 'as they are' });
  return gardenAgenda(garden, memory).filter(({ what }) => what.code === 'dose');
};

it('the calendar works a postponed dose out anew, as the pages do', async () => {
  const [first, second] = await dosesWith([]);
  const untilDate = isoDateOf(first.day + 25);
  const mark = {
    id: 'mark',
    kind: 'mark' as const,
    date: TODAY,
    note: '',
    taskKey: first.key,
    dueOn: isoDateOf(first.day),
    state: 'snoozed' as const,
    untilDate,
  };
  const [later, next] = await dosesWith([mark]);
  expect(later.key).toBe(first.key);
  expect([isoDateOf(later.day), isoDateOf(later.shownDay)]).toEqual([untilDate, untilDate]);
  expect(later.what).toMatchObject({ code: 'dose', waitingCostsG: expect.any(Number) as number });
  expect(next.day).toBeGreaterThanOrEqual(later.day + 14);
  expect(next.day).toBeGreaterThan(second.day);
});
