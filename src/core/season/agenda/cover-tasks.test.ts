import { describe, expect, it } from 'vitest';
import { bedOf } from '../../../../tests/fixtures/books.ts';
import { gardenOf, layOf } from '../../../../tests/fixtures/laid.ts';
import { isoDateOf } from '../../ground/climate/calendar.ts';
import type { Entry } from '../../../records/entry.ts';
import type { GardenRecords } from '../../bed/books/garden-books.ts';
import { FINISHED_RECOGNIZABLE_SHARE } from '../../yard/index.ts';
import { bedAgenda } from './garden-agenda.ts';
import type { Task } from './tasks.ts';

const tasksOf = (records: GardenRecords) => bedAgenda({ records, bedId: 'bed', todayIso: '2026-05-14' });
const byCode = (tasks: readonly Task[], code: Task['what']['code']) =>
  tasks.filter(({ what }) => what.code === code);
const plan = (change: { id: string; date: string }) => ({ ...layOf(change), state: 'planned' }) as Entry;

describe('the tasks of a cover', () => {
  it('ask for more mulch when the model has it thin, and not when more is planned before', () => {
    const laid = layOf({ id: 'chips', date: '2025-04-01', massFreshKg: 84, seasonedMonths: 6 });
    const [topUp] = byCode(tasksOf(gardenOf([laid])), 'topUp');
    expect(topUp.what).toMatchObject({ materialId: 'chips_mixed' });
    const { nowCm, addCm } = topUp.what as Extract<Task['what'], { code: 'topUp' }>;
    expect(nowCm).toBeLessThan(3);
    expect(nowCm + addCm).toBeCloseTo(6, 6);
    const planned = plan({ id: 'more', date: isoDateOf(topUp.day - 20) });
    expect(byCode(tasksOf(gardenOf([laid, planned])), 'topUp')).toEqual([]);
  });
  it('lift the bottom of a path when the model has it as crumbs', () => {
    const path = { beds: [bedOf({ kind: 'path' })] };
    const straw = layOf({ id: 'old', date: '2024-01-10', materialId: 'straw_cereal', massFreshKg: 60 });
    const [lift] = byCode(tasksOf(gardenOf([straw], path)), 'liftPath');
    expect(lift.what).toMatchObject({ isCrumbs: true });
    const { recognizableShare, years } = lift.what as Extract<Task['what'], { code: 'liftPath' }>;
    expect(recognizableShare).toBeLessThan(FINISHED_RECOGNIZABLE_SHARE);
    expect(recognizableShare).toBeGreaterThan(FINISHED_RECOGNIZABLE_SHARE - 0.02);
    expect(years).toBeGreaterThan(2);
    expect(years).toBeLessThan(4);
  });
  it('look under a path after two and a half years where the model still has wood', () => {
    const path = { beds: [bedOf({ kind: 'path' })] };
    const [lift] = byCode(
      tasksOf(gardenOf([layOf({ id: 'old', date: '2024-01-10', massFreshKg: 150 })], path)),
      'liftPath',
    );
    expect([lift.key, isoDateOf(lift.day)]).toEqual(['lift:old', '2026-07-11']);
    expect(lift.what).toMatchObject({ isCrumbs: false });
    expect(byCode(tasksOf(gardenOf([layOf({ id: 'old', date: '2024-01-10' })])), 'liftPath')).toEqual([]);
  });
});
