import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { projectBed } from '../projection/bed-projection.ts';
import { BALANCE_TOLERANCE, runTo, startRun } from '../../model/simulation/run.ts';
import type { Movement } from '../../../records/movement.ts';
import { bedScenario } from './bed-scenario.ts';
import { booksOfBed, materialFinder, takesOf, type GardenRecords } from './garden-books.ts';
import { recordsAbout } from './records-about.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const UNTIL = TODAY + 400;

const LOT = {
  id: 'pile',
  name: 'Chips',
  form: 'pile' as const,
  keeping: 'covered' as const,
  isTurned: false,
  isHot: false,
};
const received = (date: string, change: object = {}): Movement => ({
  id: 'in',
  type: 'receive',
  state: 'laid',
  date,
  lotId: 'pile',
  materialId: 'chips_mixed',
  amount: 2000,
  unit: 'litre',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  ...change,
});
type Entry = GardenRecords['entries'][number];
const laid = (change: Partial<Extract<Entry, { type: 'lay' }>>): Entry => ({
  id: 'layer',
  bedId: 'north',
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  materialId: 'chips_mixed',
  amount: 5,
  unit: 'cm',
  massFreshKg: 70,
  dugDepthCm: 0,
  seasonedMonths: 0,
  ...change,
});

const records = (change: Partial<GardenRecords>): GardenRecords => ({
  garden: { ...GARDEN, climate: MILD },
  beds: [bedOf({ id: 'north' }), bedOf({ id: 'south' })],
  entries: [],
  crops: [],
  plantings: [],
  materials: [],
  labResults: [],
  lots: [LOT],
  movements: [],
  journal: [],
  ...change,
});

const scenarioOf = (all: GardenRecords) =>
  bedScenario({
    books: booksOfBed(all, 'north')!,
    findMaterial: materialFinder(all),
    today: TODAY,
    endDay: UNTIL,
  });

describe('a bed that draws on the stock', () => {
  it('fares as if fresh stuff had been laid on it straight away', () => {
    const straight = scenarioOf(records({ entries: [laid({})] }));
    const fromStock = scenarioOf(
      records({ entries: [laid({ lotId: 'pile' })], movements: [received('2026-05-01')] }),
    );
    const looks = (scenario: typeof straight) => projectBed(scenario, 60, []).samples;
    looks(straight).forEach((sample, i) => {
      const other = looks(fromStock)[i];
      expect(other.availableContactG).toBeCloseTo(sample.availableContactG, 9);
      expect(other.layers[0]?.thicknessCm ?? 0).toBeCloseTo(sample.layers[0]?.thicknessCm ?? 0, 9);
    });
  });

  it('fares as if seasoned stuff had been laid when the pile has lain as long', () => {
    const straight = scenarioOf(records({ entries: [laid({ seasonedMonths: 12 })] }));
    const fromStock = scenarioOf(
      records({ entries: [laid({ lotId: 'pile' })], movements: [received('2025-05-01')] }),
    );
    const lockedIn = (scenario: typeof straight) =>
      projectBed(scenario, 30, []).samples.at(-1)!.layers[0].drawnNitrogenG;
    expect(lockedIn(fromStock) / lockedIn(straight)).toBeCloseTo(1, 2);
  });

  it('keeps books that balance, dug in or on top, charged char among it', () => {
    const all = records({
      entries: [laid({ lotId: 'pile', dugDepthCm: 15 }), laid({ id: 'top', lotId: 'pile', amount: 3 })],
      movements: [
        received('2025-05-01'),
        {
          ...received('2025-05-02', { id: 'char', materialId: 'biochar_raw', amount: 100 }),
        },
        { ...received('2025-05-03', { id: 'feed', materialId: 'urine', amount: 20 }) },
      ],
    });
    const scenario = scenarioOf(all);
    const run = startRun(scenario);
    runTo(run, scenario.endDay);
    expect(run.largestRelativeError).toBeLessThan(BALANCE_TOLERANCE);
  });

  it('is refused by its field when it names no lot', () => {
    expect(() => scenarioOf(records({ entries: [laid({ lotId: 'gone' })] }))).toThrow(/lotId/);
  });
});

describe('what decides how a bed fares', () => {
  const all = records({
    entries: [
      laid({ id: 'a', lotId: 'pile' }),
      laid({ id: 'b', bedId: 'south', lotId: 'pile' }),
      laid({ id: 'c', bedId: 'south' }),
    ],
    movements: [received('2026-04-01')],
  });
  it('is its own, and everything that draws on the same stock', () => {
    expect(recordsAbout(all, 'north').entries.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(recordsAbout(all, 'north').lots).toHaveLength(1);
    const dry = { ...all, entries: all.entries.filter(({ id }) => id === 'c') };
    expect(recordsAbout(dry, 'south')).toMatchObject({ lots: [], movements: [] });
  });
  it('lists what beds take, over their areas, and forgets beds that are gone', () => {
    expect(takesOf(all).map(({ entryId, areaM2 }) => [entryId, areaM2])).toEqual([
      ['a', 5],
      ['b', 5],
    ]);
    expect(takesOf({ ...all, beds: [bedOf({ id: 'north' })] }).map(({ entryId }) => entryId)).toEqual(['a']);
  });
});

describe('laboratory reports', () => {
  const report = (date: string, nitrogen: number | null, moisture: number | null = null) => ({
    materialId: 'straw_cereal',
    date,
    moistureFractionWetBasis: moisture,
    carbonFractionDryBasis: null,
    nitrogenFractionDryBasis: nitrogen,
    ammoniumShareOfNitrogen: null,
    bulkDensityKgPerM3: null,
  });
  const find = materialFinder(
    records({ labResults: [report('2026-03-01', 0.009, 0.2), report('2025-03-01', 0.004)] }),
  );
  const on = (date?: string) =>
    find('straw_cereal', date === undefined ? undefined : dayNumberFromIso(date, []))!;
  it('count from their day on, the newest first, and leave what they did not measure', () => {
    expect(on('2024-12-31').nitrogenFractionDryBasis).toBe(0.006);
    expect(on('2025-03-01').nitrogenFractionDryBasis).toBe(0.004);
    expect(on('2025-03-01').moistureFractionWetBasis).toBe(0.12);
    expect(on('2026-03-02')).toMatchObject({
      nitrogenFractionDryBasis: 0.009,
      moistureFractionWetBasis: 0.2,
    });
    expect(on().nitrogenFractionDryBasis).toBe(0.009);
  });
});
