import { describe, expect, it } from 'vitest';
import { plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import type { FeedingPlan } from '../plan/feeding-plan.ts';
import { nextStep } from './next-step.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const feed = (date: string, state: Entry['state']): Entry => ({
  id: date,
  type: 'feed',
  state,
  date,
  nitrogenG: 5,
});
const plant = (plantedOn: string): Planting =>
  plantingOf({ id: plantedOn, state: 'planned', plantedOn, clearedOn: '2027-01-01' });
const dosed = (...doses: [string, number][]) => ({
  feeding: {
    doses: doses.map(([iso, nitrogenGPerM2]) => ({ day: day(iso), nitrogenGPerM2 })),
  } as unknown as FeedingPlan,
});
const nothing = { feeding: null };

describe('the next step', () => {
  it('is none on a bed without doses or plans', () => {
    expect(nextStep(nothing, [feed('2026-05-01', 'laid')], [])).toBeNull();
    expect(nextStep(dosed(), [], [])).toBeNull();
  });
  it('is the earliest of dose, entry and planting', () => {
    const doses = dosed(['2026-06-15', 4], ['2026-07-13', 2]);
    expect(nextStep(doses, [], [])).toEqual({ code: 'dose', day: day('2026-06-15'), nitrogenGPerM2: 4 });
    expect(nextStep(doses, [feed('2026-06-10', 'planned')], [])).toMatchObject({
      code: 'entry',
      day: day('2026-06-10'),
    });
    expect(nextStep(doses, [feed('2026-06-10', 'planned')], [plant('2026-06-01')])).toMatchObject({
      code: 'planting',
    });
  });
  it('is first of all what is overdue', () => {
    expect(nextStep(dosed(['2026-05-14', 4]), [feed('2026-04-01', 'planned')], [])).toMatchObject({
      code: 'entry',
      day: day('2026-04-01'),
    });
  });
});
