import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../../../tests/fixtures/books.ts';
import { gardenOf, layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import type { Brew, Journaled, TaskMark } from '../../../records/journal.ts';
import type { Entry } from '../../../records/entry.ts';
import { carriedForward, type GardenRecords } from '../../bed/books/garden-books.ts';
import { agendaOf } from './agenda.ts';
import { bedAgenda, yardAgenda } from './garden-agenda.ts';
import { layingDay } from './laying-day.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import type { Task } from './tasks.ts';

const TODAY = '2026-05-14';
const day = (iso: string) => dayNumberFromIso(iso, []);
const tasksOf = (records: GardenRecords, today = TODAY) =>
  bedAgenda({ records, bedId: 'bed', todayIso: today });
const byCode = (tasks: readonly Task[], code: Task['what']['code']) =>
  tasks.filter(({ what }) => what.code === code);
const plan = (change: Partial<Entry> & { id: string; date: string }) =>
  ({ ...layOf(change as Parameters<typeof layOf>[0]), state: 'planned' }) as Entry;
const MARK: Omit<TaskMark, 'state' | 'untilDate'> = {
  kind: 'mark',
  id: 'mark',
  date: TODAY,
  note: 'rain',
  taskKey: 'entry:plan',
  dueOn: '2026-05-20',
};

describe('the tasks of a bed', () => {
  it('are its plans on their days, under names that stay when the day moves', () => {
    const before = byCode(tasksOf(gardenOf([plan({ id: 'plan', date: '2026-05-20' })])), 'entry');
    const after = byCode(tasksOf(gardenOf([plan({ id: 'plan', date: '2026-07-01' })])), 'entry');
    expect(before.map(({ key, day: due }) => [key, isoDateOf(due)])).toEqual([['entry:plan', '2026-05-20']]);
    expect(after.map(({ key, day: due }) => [key, isoDateOf(due)])).toEqual([['entry:plan', '2026-07-01']]);
  });
  it('say what it costs that a plan is late: the bed rerun with the real day', () => {
    const feed: Entry = {
      id: 'feed',
      type: 'feed',
      state: 'planned',
      date: '2026-06-01',
      nitrogenG: 40,
    };
    const records = gardenOf([feed], {
      beds: [bedOf({ organicMatterPct: 1.5 })],
      plantings: [{ ...plantingOf({ plantedOn: '2026-05-01', nitrogenDemandGPerM2: 16 }), bedId: 'bed' }],
    });
    const cost = (today: string) => tasksOf(records, today).find(({ key }) => key === 'entry:feed')!.lateCost;
    expect(cost('2026-06-01')).toBeNull();
    const [three, many] = [cost('2026-06-22')!, cost('2026-09-01')!];
    expect([three.lateDays, many.lateDays]).toEqual([21, 92]);
    // Three weeks hardly matter: the crop catches up. Three months cost it growth.
    expect(Math.abs(three.cropMissesG)).toBeLessThan(0.5);
    expect(many.cropMissesG).toBeGreaterThan(1);
  });
  it('close no year that ended before the books of the bed began', () => {
    const closing = (entries: readonly Entry[]) =>
      byCode(tasksOf(gardenOf(entries), '2026-11-30'), 'closeYear').map(({ day: due }) => isoDateOf(due));
    expect(closing([])).toEqual(['2027-11-01']);
    expect(closing([layOf({ id: 'new', date: '2026-11-30' })])).toEqual(['2027-11-01']);
    expect(closing([layOf({ id: 'old', date: '2026-04-01' })])).toEqual(['2026-11-01']);
  });
  it('name what a dose weighs, and ask for less once that is laid', () => {
    const hungry = (entries: readonly Entry[]) => {
      const records = gardenOf(entries, {
        beds: [bedOf({ organicMatterPct: 1 })],
        plantings: [{ ...plantingOf({ plantedOn: '2026-05-01', nitrogenDemandGPerM2: 18 }), bedId: 'bed' }],
      });
      const garden = { ...records.garden, feedMaterialId: 'feather_meal' };
      return byCode(tasksOf({ ...records, garden }), 'dose');
    };
    const neededG = (tasks: readonly Task[]) =>
      tasks.reduce((sum, { what }) => sum + (what.code === 'dose' ? what.nitrogenG : 0), 0);
    const before = hungry([]);
    const [{ what }] = before;
    if (what.code !== 'dose') throw new Error('no dose');
    expect(what).toMatchObject({ materialId: expect.any(String) as string, lotId: null });
    expect(what.massFreshKg).toBeGreaterThan(0.01);
    const fed = layOf({
      id: 'fed',
      date: TODAY,
      materialId: what.materialId,
      massFreshKg: what.massFreshKg!,
      dugDepthCm: 3,
    });
    expect(neededG(hungry([fed]))).toBeLessThan(neededG(before) - what.nitrogenG * 0.5);
  });
  it('say the same of a crop that is planted late', () => {
    const crop = (state: 'planned' | 'laid') => ({
      beds: [bedOf({ organicMatterPct: 2 })],
      plantings: [
        {
          ...plantingOf({
            state,
            plantedOn: '2026-04-01',
            clearedOn: '2026-07-20',
            nitrogenDemandGPerM2: 12,
          }),
          bedId: 'bed',
        },
      ],
    });
    const [late] = byCode(tasksOf(gardenOf([], crop('planned')), '2026-06-15'), 'plant');
    expect(late.lateCost).toMatchObject({ lateDays: 75 });
    expect(byCode(tasksOf(gardenOf([], crop('planned')), '2026-03-20'), 'plant')[0].lateCost).toBeNull();
    expect(byCode(tasksOf(gardenOf([], crop('laid')), '2026-06-15'), 'plant')).toEqual([]);
  });
  it('warn of cold soil by the seasons of the hemisphere, and of wet clay', () => {
    const sow = (plantedOn: string, records: Partial<GardenRecords> = {}) =>
      byCode(
        tasksOf(
          gardenOf([], {
            plantings: [
              {
                ...plantingOf({ state: 'planned', startsAs: 'seed', plantedOn, clearedOn: '2027-03-01' }),
                bedId: 'bed',
              },
            ],
            ...records,
          }),
        ),
        'plant',
      )[0].warnings.map(({ code }) => code);
    const clay = { beds: [bedOf({ clayPct: 40 })] };
    expect(sow('2026-06-10', clay)).toEqual([]);
    expect(sow('2026-12-20', clay)).toEqual(['coldSoil', 'wetClay']);
    const { temperatureC, ...rest } = gardenOf([]).garden.climate;
    const south = [...temperatureC.slice(6), ...temperatureC.slice(0, 6)];
    const garden = { ...gardenOf([]).garden, climate: { ...rest, temperatureC: south } };
    expect(sow('2026-12-20', { garden })).toEqual([]);
    expect(sow('2026-07-10', { garden })).toContain('coldSoil');
  });
  it('go by the rain that was measured: wet clay in a dry month, dry clay in a wet one, no feed after a downpour', () => {
    const rain = (today: string, ...mm: number[]) => ({
      weather: mm.map((rainMm, i) => ({
        id: `w${i}`,
        date: isoDateOf(day(today) - mm.length + i),
        temperatureC: 12,
        rainMm,
        evapotranspirationMm: null,
      })),
    });
    const warned = (today: string, records: Partial<GardenRecords>) => {
      const planting = plantingOf({
        state: 'planned',
        startsAs: 'transplant',
        plantedOn: today,
        clearedOn: '2027-03-01',
      });
      const feed = {
        id: 'f',
        bedId: 'bed',
        type: 'feed',
        state: 'planned',
        date: today,
        nitrogenG: 10,
      } as const;
      const tasks = tasksOf(
        gardenOf([feed], {
          beds: [bedOf({ clayPct: 40 })],
          plantings: [{ ...planting, bedId: 'bed' }],
          ...records,
        }),
        today,
      );
      return ['plant', 'entry'].map((code) =>
        tasks.find(({ what }) => what.code === code)!.warnings.map((one) => one.code),
      );
    };
    expect(warned('2026-06-10', {})).toEqual([[], []]);
    expect(warned('2026-06-10', rain('2026-06-10', 20, 25, 6))).toEqual([['wetClay'], ['downpour']]);
    expect(warned('2026-11-10', {})[0]).toContain('wetClay');
    expect(warned('2026-11-10', rain('2026-11-10', 0, 1, 0))[0]).not.toContain('wetClay');
    expect(warned('2026-06-10', rain('2026-06-10', 50, 50))).toEqual([[], []]);
  });
  it('look under manure at two weeks, seven and ninety days, and at leaves over a lock-up', () => {
    const manure = layOf({ id: 'm', date: '2026-05-01', materialId: 'cattle_fym', massFreshKg: 40 });
    const checks = byCode(tasksOf(gardenOf([manure])), 'check').map(({ key, day: due }) => [
      key,
      due - day('2026-05-01'),
    ]);
    expect(checks).toEqual([
      ['check:m:sweetManure', 14],
      ['check:m:manureWorms', 50],
      ['check:m:manureCrumbs', 90],
    ]);
    const sawdust = layOf({
      id: 's',
      date: '2026-05-01',
      materialId: 'sawdust_hardwood',
      massFreshKg: 25,
      dugDepthCm: 15,
    });
    const crop = { plantings: [{ ...plantingOf({ plantedOn: '2026-05-10' }), bedId: 'bed' }] };
    expect(tasksOf(gardenOf([sawdust], crop)).some(({ key }) => key === 'check:planting:leaves')).toBe(true);
    expect(tasksOf(gardenOf([], crop)).some(({ key }) => key === 'check:planting:leaves')).toBe(false);
  });
  it('sample the soil a year after the last test, before growth begins where there was none for long', () => {
    const test = (date: string, state: 'laid' | 'planned' = 'laid'): Entry => ({
      id: `t${date}`,
      type: 'soilTest',
      state,
      date,
      amount: 20,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
      ph: 6.5,
      organicMatterPct: null,
    });
    const due = (...entries: Entry[]) =>
      byCode(tasksOf(gardenOf(entries)), 'retest').map((one) => isoDateOf(one.day));
    expect(due()).toEqual(['2027-03-01']);
    expect(due(test('2026-04-20'))).toEqual(['2027-04-20']);
    expect(due(test('2025-04-20'))).toEqual(['2026-04-20']);
    expect(due(test('2023-04-20'))).toEqual(['2027-03-01']);
    expect(due(test('2027-02-20', 'planned'))).toEqual([]);
  });
  it('feed what the crop will miss, with what that saves', () => {
    const crop = {
      plantings: [{ ...plantingOf({ plantedOn: '2026-05-10', nitrogenDemandGPerM2: 18 }), bedId: 'bed' }],
    };
    const doses = byCode(tasksOf(gardenOf([], crop)), 'dose');
    expect(doses.length).toBeGreaterThan(0);
    expect(new Set(doses.map(({ key }) => key)).size).toBe(doses.length);
    const first = doses[0].what as Extract<Task['what'], { code: 'dose' }>;
    expect(first.nitrogenG).toBeGreaterThan(1);
    expect(first.missedWithG).toBeLessThanOrEqual(first.missedWithoutG);
  });
});

describe('what was ticked off and postponed', () => {
  const tasks = tasksOf(gardenOf([plan({ id: 'plan', date: '2026-05-20' })]));
  const stateOn = (journal: Journaled[], today = TODAY) =>
    agendaOf(tasks, journal, day(today)).find(({ key }) => key === 'entry:plan')!;
  it('is open and late by itself', () => {
    expect(stateOn([]).state).toBe('open');
    expect(stateOn([], '2026-05-30').lateDays).toBe(10);
  });
  it('goes by the last mark, with its reason, until its day', () => {
    const snoozed: TaskMark = { ...MARK, state: 'snoozed', untilDate: '2026-05-28' };
    const item = stateOn([snoozed]);
    expect([item.state, isoDateOf(item.shownDay), item.mark?.note]).toEqual([
      'snoozed',
      '2026-05-28',
      'rain',
    ]);
    expect(stateOn([snoozed], '2026-05-28').state).toBe('open');
    expect(stateOn([snoozed, { ...MARK, id: 'b', state: 'done', untilDate: null }]).state).toBe('done');
  });
  it('comes up again when the task comes round a year later', () => {
    const lastYear: TaskMark = { ...MARK, dueOn: '2025-05-20', state: 'done', untilDate: null };
    expect(stateOn([lastYear]).state).toBe('open');
  });
  it('counts a check as done by what was written in the log', () => {
    const manure = layOf({ id: 'm', date: '2026-05-01', materialId: 'cattle_fym', massFreshKg: 40 });
    const checks = tasksOf(gardenOf([manure]));
    const smelled: Journaled = {
      kind: 'observation',
      id: 'o',
      date: TODAY,
      note: '',
      bedId: 'bed',
      plantingId: null,
      photoId: null,
      observed: { type: 'smell', smell: 'earthy' },
    };
    const state = (journal: Journaled[], key: string) =>
      agendaOf(checks, journal, day(TODAY)).find((one) => one.key === key)!.state;
    expect(state([smelled], 'check:m:sweetManure')).toBe('done');
    expect(state([smelled], 'check:m:manureWorms')).toBe('open');
    expect(state([{ ...smelled, bedId: 'other' }], 'check:m:sweetManure')).toBe('open');
  });
});

describe('plans gone by', () => {
  it('count from today, crops for as long as they were meant to stand', () => {
    const records = gardenOf(
      [plan({ id: 'late', date: '2026-05-01' }), layOf({ id: 'done', date: '2026-05-01' })],
      {
        plantings: [
          {
            ...plantingOf({ state: 'planned', plantedOn: '2026-05-04', clearedOn: '2026-09-01' }),
            bedId: 'bed',
          },
        ],
      },
    );
    const forward = carriedForward(records, TODAY);
    expect(forward.entries.map(({ date }) => date)).toEqual([TODAY, '2026-05-01']);
    expect(forward.plantings.map(({ plantedOn, clearedOn }) => [plantedOn, clearedOn])).toEqual([
      [TODAY, '2026-09-11'],
    ]);
    expect(carriedForward(records, '2026-04-30')).toEqual(records);
  });
});

describe('the tasks of the yard', () => {
  const brew: Brew = {
    kind: 'brew',
    id: 'b',
    date: '2026-05-10',
    note: '',
    brewId: 'nativeStarter',
    litres: 2,
    state: 'going',
  };
  const lot = {
    id: 'char',
    name: 'Char',
    form: 'drum' as const,
    keeping: 'shut' as const,
    isTurned: false,
    isHot: false,
    reserveL: 0,
  };
  const yard = (movements: Parameters<typeof yardAgenda>[0]['records']['movements'], brews: Brew[] = []) =>
    yardAgenda({ records: { ...gardenOf([]), lots: [lot], movements }, brews, todayIso: TODAY }).map(
      ({ key, day: due }) => [key, isoDateOf(due)],
    );
  const charge = {
    id: 'make',
    type: 'make',
    state: 'laid',
    date: '2026-05-12',
    lotId: 'char',
    ingredients: [{ lotId: null, materialId: 'biochar_raw', amount: 40, unit: 'litre' }],
    waterL: 10,
    isLayered: false,
    chargeRecipe: 'nitrogenSoak',
  } as const;
  it('stir a charge on the way and say when it is ready', () => {
    expect(yard([{ ...charge, readyOn: '2026-05-21' }])).toEqual([
      ['stir:make:1', '2026-05-15'],
      ['stir:make:2', '2026-05-18'],
      ['ready:make', '2026-05-21'],
    ]);
    expect(yard([{ ...charge, readyOn: null }])).toEqual([]);
  });
  it('feel a fire pit for warmth on the next day, until that is written down', () => {
    const burn = {
      id: 'burn',
      type: 'burn',
      state: 'laid',
      date: '2026-05-13',
      lotId: 'char',
      feedstock: [{ lotId: null, materialId: 'log_wood', amount: 50, unit: 'kg' }],
      charTemperature: 'high',
      yield: null,
      unburntShare: 0,
    } as const;
    expect(yard([{ ...burn, log: { coldCheckedOn: null } }])).toEqual([
      ['cold:burn', '2026-05-14'],
      ['yield:burn', '2026-05-14'],
    ]);
    expect(yard([{ ...burn, log: { coldCheckedOn: '2026-05-14' } }]).map(([key]) => key)).toEqual([
      'yield:burn',
    ]);
  });
  it('follow a brew step by step while it is going', () => {
    expect(yard([], [brew]).map(([, due]) => due)).toEqual(['2026-05-17', '2026-05-17', '2026-08-22']);
    expect(yard([], [{ ...brew, state: 'used' }])).toEqual([]);
  });
});

describe('a spreading day', () => {
  it('lists what is planned by then, bed after bed from the soil upwards, with trips and cautions', () => {
    const records = gardenOf([
      plan({ id: 'chips', date: '2026-05-18' }),
      plan({ id: 'manure', date: '2026-05-16', materialId: 'cattle_fym', massFreshKg: 100 }),
      plan({ id: 'later', date: '2026-06-01' }),
    ]);
    const list = layingDay({
      records,
      findMaterial: findLibraryMaterial,
      taken: new Map(),
      untilDay: day('2026-05-20'),
    });
    expect(list.lines.map(({ entry }) => entry.id)).toEqual(['manure', 'chips']);
    expect(list.lines[0].cautions.map(({ code }) => code)).toContain('rawManure');
    expect(list.lines[0].effort.trips).toBe(2);
    expect(list.total.massFreshKg).toBeCloseTo(170, 9);
  });
});
