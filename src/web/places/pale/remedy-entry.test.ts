import { describe, expect, it } from 'vitest';
import type { RemedyOutcome, RemedyWhat } from '../../../core/bed/diagnosis/remedies.ts';
import { isRemedyFor, remedyEntry } from './remedy-entry.ts';

const outcome = (what: RemedyWhat): RemedyOutcome => ({ what, greenDay: null, missedG: 0 });
const FEED = outcome({ code: 'feed', doses: [{ day: 20_587, nitrogenGPerM2: 4 }] });
const WATER = outcome({ code: 'water', waterMm: 12 });
const WORK_IN = outcome({ code: 'workIn', materialId: 'worm_castings', thicknessCm: 1, depthCm: 3 });
const WAIT = outcome({ code: 'wait' });
const ON = { areaM2: 8, date: '2026-05-14' };

describe('a remedy', () => {
  it('is offered for the causes it helps against; waiting is offered for all', () => {
    expect(isRemedyFor('lockUp', FEED)).toBe(true);
    expect(isRemedyFor('lockUp', WORK_IN)).toBe(true);
    expect(isRemedyFor('drought', FEED)).toBe(false);
    expect(isRemedyFor('drought', WATER)).toBe(true);
    expect(isRemedyFor('lockUp', WATER)).toBe(false);
    expect(isRemedyFor('drought', outcome({ code: 'water', waterMm: 0.2 }))).toBe(false);
    expect(isRemedyFor('drought', WAIT)).toBe(true);
  });

  it('is entered for the whole bed, with what it was against', () => {
    expect(remedyEntry(FEED, 'lockUp', ON)).toMatchObject({
      type: 'feed',
      state: 'laid',
      date: '2026-05-14',
      nitrogenG: 32,
    });
    expect(remedyEntry(WATER, 'drought', ON)).toMatchObject({ type: 'water', waterMm: 12 });
    expect(remedyEntry(WORK_IN, 'lockUp', ON)).toMatchObject({
      type: 'lay',
      amount: 1,
      unit: 'cm',
      dugDepthCm: 3,
      lotId: null,
    });
    expect(remedyEntry(FEED, 'drought', ON)!.note).toBe('Against: drought.');
    expect(remedyEntry(WAIT, 'drought', ON)).toBeNull();
  });
});
