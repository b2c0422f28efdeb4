import { describe, expect, it } from 'vitest';
import { rulesFor, SCHOOL_RULES } from './schools.ts';

describe('the schools', () => {
  it('run from cautious over by depth to relaxed in all they let pass', () => {
    const { cautious, byDepth, relaxed } = SCHOOL_RULES;
    for (const rule of ['feltFromG', 'harmlessShare', 'blamedShare'] as const) {
      expect(cautious[rule]).toBeLessThan(byDepth[rule]);
      expect(byDepth[rule]).toBeLessThan(relaxed[rule]);
    }
    expect(cautious.reserveShare).toBeCloseTo(1 / 3, 12);
    expect([byDepth.reserveShare, relaxed.reserveShare]).toEqual([0, 0]);
  });
  it('let half as much pass on sand and on hard-cropped ground, the relaxed one excepted', () => {
    const loam = { clayPct: 20, croppingBefore: 'ordinary' };
    expect(rulesFor('byDepth', loam)).toBe(SCHOOL_RULES.byDepth);
    expect(rulesFor('byDepth', { ...loam, clayPct: 6 }).harmlessShare).toBe(0.05);
    expect(rulesFor('cautious', { ...loam, croppingBefore: 'hard' }).blamedShare).toBe(0.01);
    expect(rulesFor('relaxed', { ...loam, clayPct: 6 })).toBe(SCHOOL_RULES.relaxed);
  });
});
