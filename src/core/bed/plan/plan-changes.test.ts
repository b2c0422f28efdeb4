import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { gardenOf, layOf } from '../../../../tests/fixtures/laid.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { isoDateOf } from '../../ground/index.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import { doseKey } from './dose-key.ts';
import { planChanges } from './plan-changes.ts';
import { type PlannedBed, planOfBed } from './plan-of-bed.ts';

const TODAY = '2026-05-01';
const CABBAGE = plantingOf({
  id: 'cabbage',
  cropId: 'cabbage',
  plantedOn: '2026-04-25',
  clearedOn: '2026-09-20',
  nitrogenDemandGPerM2: 20,
  rootDepthCm: 60,
});

interface Case {
  readonly entries?: readonly Entry[];
  readonly plantings?: readonly Planting[];
  readonly journal?: GardenRecords['journal'];
  readonly organicMatterPct?: number;
}

const AREA_M2 = 8;

function planned({
  entries = [],
  plantings = [CABBAGE],
  journal = [],
  organicMatterPct = 1.2,
}: Case): PlannedBed {
  const records = gardenOf(entries, {
    garden: { ...GARDEN, climate: MILD, feedMaterialId: 'blood_meal' },
    beds: [bedOf({ organicMatterPct, areaM2: AREA_M2 })],
    plantings: plantings.map((planting) => ({ ...planting, bedId: 'bed' })),
    journal,
  });
  return planOfBed({ records, bedId: 'bed', todayIso: TODAY })!;
}

const postponed = (number: number, untilDate: string): GardenRecords['journal'][number] => ({
  kind: 'mark',
  id: 'mark',
  date: TODAY,
  taskKey: doseKey('cabbage', number),
  dueOn: TODAY,
  state: 'snoozed',
  untilDate,
  note: '',
});

const feed = (date: string, nitrogenG: number): Entry => ({
  id: `fed ${date}`,
  type: 'feed',
  state: 'laid',
  date,
  nitrogenG,
});

describe('what a plan made anew changes', () => {
  it('is nothing when the records are the same', () => {
    expect(planChanges(planned({}), planned({}))).toEqual([]);
  });

  it('tells a postponed dose by both its days, and what becomes of the doses after it', () => {
    const before = planned({});
    const [first] = before.plan.feeding!.doses;
    const until = first.day + 10;
    const changes = planChanges(before, planned({ journal: [postponed(1, isoDateOf(until))] }));
    expect(changes[0]).toMatchObject({ code: 'doseChanged', fromDay: first.day, day: until });
    const days = changes.flatMap((change) => (change.code === 'doseChanged' ? [change.day] : []));
    expect(days).toEqual(days.toSorted((a, b) => a - b));
  });

  it('does not call the dose gone that was given as planned', () => {
    const before = planned({});
    const [first] = before.plan.feeding!.doses;
    const after = planned({ entries: [feed(TODAY, first.nitrogenGPerM2 * AREA_M2)] });
    const gone = planChanges(before, after).filter(({ code }) => code === 'doseGone');
    expect(gone.map((change) => ('day' in change ? change.day : null))).not.toContain(first.day);
  });

  it('says that doses are no longer planned when the crop is cleared', () => {
    const before = planned({});
    const after = planned({ plantings: [{ ...CABBAGE, clearedOn: '2026-05-02' }] });
    const changes = planChanges(before, after);
    expect(changes.filter(({ code }) => code === 'doseGone')).toHaveLength(before.plan.feeding!.doses.length);
  });

  it('says when crops in general may start later because of what was dug in, and that they need more', () => {
    const sawdust = layOf({
      id: 'sawdust',
      materialId: 'sawdust_hardwood',
      date: '2026-04-30',
      massFreshKg: 40,
      dugDepthCm: 15,
    });
    const before = planned({ organicMatterPct: 4 });
    const after = planned({ organicMatterPct: 4, entries: [sawdust] });
    const changes = planChanges(before, after);
    expect(changes.map(({ code }) => code)).toContain('startMoved');
    expect(changes.some(({ code }) => code === 'doseChanged' || code === 'doseAdded')).toBe(true);
  });
});
