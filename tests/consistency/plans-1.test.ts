import fc from 'fast-check';
import { expect, it } from 'vitest';
import { stormy } from '../storm/size.ts';
import { drawnBed } from './beds.ts';
import { requireConsistentPlan } from './plan-rules.ts';

/** Half of the beds; the other half runs in a process of its own. */
const BEDS = stormy(250);

it('plans of beds drawn at random keep every rule', { timeout: 600_000 }, () => {
  expect(() =>
    fc.assert(fc.property(drawnBed, requireConsistentPlan), { numRuns: BEDS, seed: 1 }),
  ).not.toThrow();
});
