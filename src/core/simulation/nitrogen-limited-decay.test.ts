import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FLOW, FLOW_COUNT } from '../ledger/flows.ts';
import { createCohortTable } from './cohort-table.ts';
import { createDecayClasses, decayClassFor, updateDecayClasses } from './decay-classes.ts';
import { applyDecay, settleRequests, workOutPotentials, type DecayTask } from './nitrogen-limited-decay.ts';
import { defaultParameters } from './parameters.ts';
import { addPart, allowDraw, clearParts, createParts } from './parts.ts';

/** Cohorts that all draw on the contact zone, account 0, and give to it. */
const ZONE = 0;
const DAY_LOSS_MODIFIER = 1.2;

interface Feed {
  readonly quickC: number;
  readonly structuralC: number;
  readonly woodyC: number;
  /** C:N of all three. */
  readonly ratio: number;
  readonly microbialC: number;
  readonly reach: number;
  readonly cap: number;
}

function taskOf(feeds: readonly Feed[], availableG: number, draw = 0.5): DecayTask {
  const cohorts = createCohortTable(feeds.length);
  const classes = createDecayClasses();
  const mineralN = new Float64Array(2 + feeds.length);
  mineralN[ZONE] = availableG;
  const parts = createParts(feeds.length, mineralN.length);
  clearParts(parts);
  feeds.forEach((feed, i) => {
    cohorts.quickC[i] = feed.quickC;
    cohorts.structuralC[i] = feed.structuralC;
    cohorts.woodyC[i] = feed.woodyC;
    cohorts.quickN[i] = feed.quickC / feed.ratio;
    cohorts.structuralN[i] = feed.structuralC / feed.ratio;
    cohorts.woodyN[i] = feed.woodyC / feed.ratio;
    cohorts.microbialC[i] = feed.microbialC;
    cohorts.microbialN[i] = feed.microbialC / 10;
    cohorts.microbialCn[i] = 10;
    cohorts.count += 1;
    const part = addPart(parts, i, 1, decayClassFor(classes, 1, 0, 1), ZONE);
    allowDraw(parts, part, 0, ZONE, feed.reach, 1, feed.cap);
  });
  updateDecayClasses(classes, defaultParameters, DAY_LOSS_MODIFIER, DAY_LOSS_MODIFIER, 1);
  return {
    parts,
    cohorts,
    classes,
    mineralN,
    flows: new Float64Array(FLOW_COUNT),
    parameters: defaultParameters,
    microbialDraw: draw,
    biomassHumified: defaultParameters.biomassHumifiedShare,
    woodyHumified: defaultParameters.woodyHumifiedShare,
  };
}

function decayed(task: DecayTask): DecayTask {
  workOutPotentials(task);
  settleRequests(task, ZONE);
  applyDecay(task);
  return task;
}

const nitrogenIn = ({ cohorts: t, mineralN }: DecayTask): number => {
  let sum = mineralN[ZONE];
  for (let i = 0; i < t.count; i++) {
    sum += t.quickN[i] + t.structuralN[i] + t.woodyN[i] + t.microbialN[i] + t.humusN[i];
  }
  return sum;
};

const carbonIn = ({ cohorts: t }: DecayTask): number => {
  let sum = 0;
  for (let i = 0; i < t.count; i++) {
    sum += t.quickC[i] + t.structuralC[i] + t.woodyC[i] + t.microbialC[i] + t.humusC[i] + t.respiredC[i];
  }
  return sum;
};

const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
const feed: fc.Arbitrary<Feed> = fc.record({
  quickC: amount(200),
  structuralC: amount(800),
  woodyC: amount(800),
  ratio: fc.double({ min: 5, max: 600, noNaN: true }),
  microbialC: amount(50),
  reach: fc.double({ min: 0.05, max: 1, noNaN: true }),
  cap: fc.oneof(fc.constant(Infinity), amount(0.5)),
});
const feeds = fc.array(feed, { minLength: 1, maxLength: 6 });

const SAWDUST: Feed = {
  quickC: 50,
  structuralC: 400,
  woodyC: 300,
  ratio: 400,
  microbialC: 2,
  reach: 1,
  cap: Infinity,
};

describe('decay under shared nitrogen', () => {
  it('keeps every gram of carbon and nitrogen, whatever lies together', () => {
    fc.assert(
      fc.property(feeds, amount(20), (all, availableG) => {
        const task = taskOf(all, availableG);
        const before = [carbonIn(task), nitrogenIn(task)] as const;
        decayed(task);
        expect(Math.abs(carbonIn(task) - before[0])).toBeLessThanOrEqual(1e-9 * Math.max(1, before[0]));
        expect(Math.abs(nitrogenIn(task) - before[1])).toBeLessThanOrEqual(1e-9 * Math.max(1, before[1]));
      }),
      { numRuns: 300 },
    );
  });

  it('draws no more than microbes can reach, nor than a thread can lift', () => {
    fc.assert(
      fc.property(feeds, fc.double({ min: 0.01, max: 20, noNaN: true }), (all, availableG) => {
        const task = taskOf(all, availableG);
        workOutPotentials(task);
        const content = task.mineralN[ZONE];
        settleRequests(task, ZONE);
        const drawnG = content - task.mineralN[ZONE];
        const largestReach = Math.max(...all.map(({ reach }) => reach));
        expect(drawnG).toBeLessThanOrEqual(task.microbialDraw * largestReach * content * (1 + 1e-12) + 1e-12);
        all.forEach(({ cap }, i) => {
          expect(task.parts.got[i]).toBeLessThanOrEqual(Math.min(cap, task.parts.need[i]) + 1e-12);
        });
        expect(task.flows[FLOW.immobilizedFromContactZone]).toBeCloseTo(drawnG, 10);
      }),
      { numRuns: 300 },
    );
  });

  it('gives the same share to each of two that are alike, and the same sum as to one of both', () => {
    const half = { ...SAWDUST, quickC: 25, structuralC: 200, woodyC: 150, microbialC: 1 };
    const two = decayed(taskOf([half, half], 0.5));
    const one = decayed(taskOf([SAWDUST], 0.5));
    expect(two.parts.got[0]).toBe(two.parts.got[1]);
    expect(two.mineralN[ZONE]).toBeCloseTo(one.mineralN[ZONE], 12);
    expect(carbonIn(two) - two.cohorts.respiredC[0] * 2).toBeCloseTo(
      carbonIn(one) - one.cohorts.respiredC[0],
      10,
    );
  });

  it('slows without nitrogen down to its floor, and never stops', () => {
    const fed = decayed(taskOf([SAWDUST], 100));
    const starved = decayed(taskOf([SAWDUST], 0));
    expect(fed.cohorts.decayLimit[0]).toBe(1);
    expect(starved.cohorts.decayLimit[0]).toBe(defaultParameters.starvedDecayFloor);
    const lost = (task: DecayTask) => SAWDUST.structuralC - task.cohorts.structuralC[0];
    expect(lost(starved) / lost(fed)).toBeCloseTo(defaultParameters.starvedDecayFloor, 10);
  });

  it('draws nothing and gives something when the feed is rich', () => {
    const task = decayed(taskOf([{ ...SAWDUST, ratio: 8 }], 1));
    expect(task.parts.got[0]).toBe(0);
    expect(task.mineralN[ZONE]).toBeGreaterThan(1);
    expect(task.cohorts.releasedToContactZoneN[0]).toBeCloseTo(task.mineralN[ZONE] - 1, 12);
  });
});
