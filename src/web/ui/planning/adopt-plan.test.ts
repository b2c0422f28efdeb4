import { describe, expect, it } from 'vitest';
import type { EntryRecord } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { habitFromTemplate, type HabitTemplateId } from '../../../core/long-run/years/habit-templates.ts';
import { bedOf, GARDEN, MILD, NO_STOCK } from '../../../../tests/fixtures/books.ts';
import { bedPlan, countsOf, newStamp, takenBack, type BedPlan } from './adopt-plan.ts';

const entry = (id: string, change: object = {}) =>
  ({
    id,
    version: 3,
    createdAt: '',
    updatedAt: '',
    note: '',
    bedId: 'bed',
    type: 'lay',
    state: 'planned',
    date: '2026-11-01',
    materialId: 'chips_branch',
    amount: 5,
    unit: 'cm',
    massFreshKg: 70,
    dugDepthCm: 0,
    seasonedMonths: 0,
    ...change,
  }) as EntryRecord;

const booksOf = (entries: readonly EntryRecord[] = []): GardenBooks => ({
  ...NO_STOCK,
  today: '2026-05-14',
  garden: {
    ...GARDEN,
    climate: {
      ...MILD,
      temperatureC: [...MILD.temperatureC],
      rainMm: [...MILD.rainMm],
      evapotranspirationMm: [...MILD.evapotranspirationMm],
    },
    version: 1,
    createdAt: '',
    updatedAt: '',
  },
  beds: [bedOf()],
  entries,
  crops: [],
  plantings: [],
  materials: [],
  buildUps: [],
  recipes: [],
});

const adopted = (template: HabitTemplateId, years = 2) => ({
  id: template,
  name: template,
  habit: habitFromTemplate(template),
  years,
});
/** The entries a plan has written, as the book has them afterwards. */
const written = ({ entries }: BedPlan): EntryRecord[] =>
  entries.creates.map((one) => entry(one.id, { ...one, version: 1 }));

describe('a habit on its way into the plan', () => {
  it('makes room of what was planned to be laid in those years, and of nothing else', () => {
    const books = booksOf([
      entry('plan'),
      entry('later', { date: '2030-11-01' }),
      entry('fact', { state: 'laid', date: '2025-11-01' }),
      entry('feed', { type: 'feed', nitrogenG: 20 }),
      entry('elsewhere', { bedId: 'other' }),
    ]);
    const plan = bedPlan({ bedId: 'bed', adopted: adopted('compostYearly'), books, stamp: newStamp() });
    expect(plan.entries.removals).toEqual([{ id: 'plan', version: 3 }]);
    expect(plan.entries.creates.map((one) => one.date)).toEqual(['2027-03-15', '2028-03-15']);
    expect(countsOf([plan])).toEqual({ written: 2, replaced: 1 });
  });
  it('planned once more changes nothing; for longer it adds the years', () => {
    const first = bedPlan({
      bedId: 'bed',
      adopted: adopted('compostYearly'),
      books: booksOf(),
      stamp: newStamp(),
    });
    const books = booksOf(written(first));
    expect(
      countsOf([bedPlan({ bedId: 'bed', adopted: adopted('compostYearly'), books, stamp: newStamp() })]),
    ).toEqual({
      written: 0,
      replaced: 0,
    });
    expect(
      countsOf([bedPlan({ bedId: 'bed', adopted: adopted('compostYearly', 5), books, stamp: newStamp() })]),
    ).toEqual({
      written: 3,
      replaced: 0,
    });
  });
  it('taken back and planned again has ids of its own, for the old ones are still held', () => {
    const ids = (stamp: string) =>
      bedPlan({
        bedId: 'bed',
        adopted: adopted('compostYearly'),
        books: booksOf(),
        stamp,
      }).entries.creates.map(({ id }) => id);
    const [one, two] = [ids('-r0001'), ids('-r0002')];
    expect(one.some((id) => two.includes(id))).toBe(false);
    for (const id of one) expect(id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
  });
  it('what is pulled names the layer as it was written', () => {
    const { creates } = bedPlan({
      bedId: 'bed',
      adopted: adopted('pullYearly', 3),
      books: booksOf(),
      stamp: '-rabcd',
    }).entries;
    const laid = new Set(creates.filter(({ type }) => type === 'lay').map(({ id }) => id));
    const pulled = creates.flatMap((one) => (one.type === 'takeOff' ? [one.layerId] : []));
    expect(pulled.length).toBeGreaterThan(0);
    for (const layerId of pulled) expect(laid).toContain(layerId);
  });
  it('a shorter or another plan of the same habit takes the surplus off', () => {
    const long = bedPlan({
      bedId: 'bed',
      adopted: adopted('compostYearly', 5),
      books: booksOf(),
      stamp: newStamp(),
    });
    const shorter = bedPlan({
      bedId: 'bed',
      adopted: adopted('compostYearly', 1),
      books: booksOf(written(long)),
      stamp: newStamp(),
    });
    expect(countsOf([shorter])).toEqual({ written: 0, replaced: 4 });
  });
  it('the way back takes what was written and brings again what made room', () => {
    const plan = bedPlan({
      bedId: 'bed',
      adopted: adopted('coverCrops', 1),
      books: booksOf([entry('plan')]),
      stamp: '-r0001',
    });
    const kept = {
      entries: [],
      plantings: plan.plantings.creates.map(({ id }) => ({ id, version: 1 })),
    };
    const back = takenBack(plan, kept);
    expect(back.entries.restores).toEqual(['plan']);
    expect(back.plantings.removals).toHaveLength(3);
    expect(back.plantings.creates).toEqual([]);
  });
});
