import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../../../tests/fixtures/books.ts';
import { gardenOf } from '../../../../tests/fixtures/laid.ts';
import type { Planting } from '../../../records/planting.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { frostDates } from '../../ground/climate/frost.ts';
import { STATIONS, normalsOf } from '../../ground/climate/stations.ts';
import { bedAgenda } from './garden-agenda.ts';
import type { Task } from './tasks.ts';

const at = (name: string) => normalsOf(STATIONS.find((one) => one.name === name)!);

function weather(place: string, today: string, plantings: readonly Partial<Planting>[]): Task[] {
  const records = gardenOf([], {
    beds: [bedOf()],
    plantings: plantings.map((one, i) => ({ ...plantingOf({ id: `p${i}`, ...one }), bedId: 'bed' })),
  });
  const garden = { ...records.garden, climate: at(place) };
  return bedAgenda({ records: { ...records, garden }, bedId: 'bed', todayIso: today }).filter(({ what }) =>
    ['firstFrost', 'lateFrost', 'heat'].includes(what.code),
  );
}
const told = (tasks: readonly Task[]) => tasks.map(({ key, day }) => [key, isoDateOf(day)]);

const TOMATO = { cropId: 'tomato', plantedOn: '2026-06-01', clearedOn: '2026-11-20' };

describe('frost and heat in the calendar', () => {
  it('the first frost is told once a bed, a week before, for what it kills and still stands then', () => {
    const dates = frostDates(at('Chicago'));
    if (typeof dates === 'string') throw new Error('Chicago has frost, and a summer');
    const first = dates.firstDay - dayNumberFromIso('2025-01-01', []);
    const day = isoDateOf(dayNumberFromIso('2026-01-01', []) + first - 7);
    const tasks = weather('Chicago', '2026-08-01', [
      { ...TOMATO, areaShare: 0.3 },
      { ...TOMATO, cropId: 'basil', areaShare: 0.3 },
      { cropId: 'leek', plantedOn: '2026-06-01', clearedOn: '2027-02-01', areaShare: 0.3 },
      { ...TOMATO, clearedOn: '2026-09-01', areaShare: 0.1 },
    ]);
    expect(told(tasks)).toEqual([['frost:bed:2026', day]]);
    expect(tasks[0].what).toMatchObject({ plantingIds: ['p0', 'p1'] });
  });
  it('what was set out too early is to be covered until the last frost, and no longer', () => {
    const early = { ...TOMATO, plantedOn: '2026-05-01', clearedOn: '2026-09-01' };
    expect(told(weather('Helsinki', '2026-05-05', [early]))).toEqual([['late-frost:p0', '2026-05-05']]);
    expect(weather('Helsinki', '2026-06-20', [early])).toEqual([]);
    expect(
      weather('Helsinki', '2026-05-05', [{ ...early, state: 'planned', plantedOn: '2026-06-10' }]),
    ).toEqual([]);
  });
  it('nothing is told where there is no frost, nor of what bears it', () => {
    expect(weather('Singapore', '2026-05-14', [{ ...TOMATO }])).toEqual([]);
    expect(weather('Chicago', '2026-08-01', [{ cropId: 'kale', clearedOn: '2026-12-20' }])).toEqual([]);
  });
  it('heat is told from the day on which the days grow warmer than a crop bears', () => {
    const [task] = weather('Phoenix', '2026-03-01', [
      { cropId: 'lettuce', plantedOn: '2026-02-20', clearedOn: '2026-06-20' },
    ]);
    expect(task).toMatchObject({ key: 'heat:p0', what: { code: 'heat', meanC: 26 } });
    expect(isoDateOf(task.day)).toMatch(/^2026-05/);
    expect(weather('Phoenix', '2026-08-01', [{ cropId: 'lettuce', plantedOn: '2026-07-20' }])).toEqual([]);
  });
});
