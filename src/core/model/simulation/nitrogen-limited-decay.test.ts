import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPostings, type Postings } from '../ledger/postings.ts';
import { emptyCohort, traits, type Cohort } from './cohort.ts';
import { decayClassFor, Modifiers, updateDecayClass, type DecayClass } from './decay-classes.ts';
import { askNitrogen, MineralAccount } from './decay-part.ts';
import { applyDecay, settleRequests, weighPart } from './nitrogen-limited-decay.ts';
import { defaultParameters } from './parameters.ts';

/** Cohorts that all draw on one zone and give to it. */
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

interface Task {
  readonly cohorts: readonly Cohort[];
  readonly feeds: readonly Feed[];
  readonly decay: DecayClass;
  readonly zone: MineralAccount;
  readonly postings: Postings;
  readonly draw: number;
}

const TRAITS = traits({
  id: 'fed',
  kind: 'wood',
  decayRateFactor: 1,
  sievedShare: 1,
  humificationFactor: 1,
  ammoniaExposure: 0,
  ammoniaProneShare: 0,
  vaporBarrier: 0,
  countsAsSoil: false,
  isLiftCapped: false,
});

function cohortOf(feed: Feed, decay: DecayClass): Cohort {
  const cohort = emptyCohort(TRAITS, decay, decay);
  cohort.quickC = feed.quickC;
  cohort.structuralC = feed.structuralC;
  cohort.woodyC = feed.woodyC;
  cohort.quickN = feed.quickC / feed.ratio;
  cohort.structuralN = feed.structuralC / feed.ratio;
  cohort.woodyN = feed.woodyC / feed.ratio;
  cohort.microbialC = feed.microbialC;
  cohort.microbialN = feed.microbialC / 10;
  cohort.microbialCn = 10;
  cohort.biomassHumified = defaultParameters.biomassHumifiedShare;
  cohort.woodyHumified = defaultParameters.woodyHumifiedShare;
  return cohort;
}

function taskOf(feeds: readonly Feed[], availableG: number, draw = 0.5): Task {
  const decay = decayClassFor([], 1, 1, 'contactZone');
  const modifiers = Object.assign(new Modifiers(), { contactZone: DAY_LOSS_MODIFIER });
  updateDecayClass(decay, defaultParameters, modifiers, 1);
  return {
    cohorts: feeds.map((feed) => cohortOf(feed, decay)),
    feeds,
    decay,
    zone: new MineralAccount('contactZone', availableG),
    postings: openPostings(),
    draw,
  };
}

/** Weighs all, lets givers give, and settles what the others ask. */
function weighed(task: Task): Task {
  const { cohorts, feeds, decay, zone, postings, draw } = task;
  cohorts.forEach((cohort, i) => {
    cohort.decayLimit = 0;
    weighPart(defaultParameters, cohort, cohort.contact, decay, 1);
    const { need } = cohort.contact;
    if (need > 0) askNitrogen(cohort.contact.first, zone, feeds[i].reach, 1, feeds[i].cap);
    else zone.nitrogenG -= need;
  });
  settleRequests(zone, draw, postings);
  return task;
}

function decayed(task: Task): Task {
  weighed(task);
  for (const cohort of task.cohorts) applyDecay(defaultParameters, cohort, cohort.contact, task.postings);
  return task;
}

const nitrogenIn = ({ cohorts, zone }: Task): number =>
  cohorts.reduce(
    (sum, t) => sum + t.quickN + t.structuralN + t.woodyN + t.microbialN + t.humusN,
    zone.nitrogenG,
  );

const carbonIn = ({ cohorts }: Task): number =>
  cohorts.reduce(
    (sum, t) => sum + t.quickC + t.structuralC + t.woodyC + t.microbialC + t.humusC + t.respiredC,
    0,
  );

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
        const task = weighed(taskOf(all, availableG));
        const drawnG = task.postings.immobilizedFromContactZone;
        const contentG = task.zone.nitrogenG + drawnG;
        const largestReach = Math.max(...all.map(({ reach }) => reach));
        expect(drawnG).toBeLessThanOrEqual(task.draw * largestReach * contentG * (1 + 1e-12) + 1e-12);
        all.forEach(({ cap }, i) => {
          const { got, need } = task.cohorts[i].contact;
          expect(got).toBeLessThanOrEqual(Math.min(cap, Math.max(0, need)) + 1e-12);
        });
      }),
      { numRuns: 300 },
    );
  });

  it('gives the same share to each of two that are alike, and the same sum as to one of both', () => {
    const half = { ...SAWDUST, quickC: 25, structuralC: 200, woodyC: 150, microbialC: 1 };
    const two = decayed(taskOf([half, half], 0.5));
    const one = decayed(taskOf([SAWDUST], 0.5));
    expect(two.cohorts[0].contact.got).toBe(two.cohorts[1].contact.got);
    expect(two.zone.nitrogenG).toBeCloseTo(one.zone.nitrogenG, 12);
    expect(two.cohorts[0].respiredC * 2).toBeCloseTo(one.cohorts[0].respiredC, 10);
  });

  it('gives the same to each part of one, whatever reach another has', () => {
    const other = { ...SAWDUST, reach: 0.2 };
    const half = { ...SAWDUST, quickC: 25, structuralC: 200, woodyC: 150, microbialC: 1 };
    const two = decayed(taskOf([half, half, other], 0.5));
    const one = decayed(taskOf([SAWDUST, other], 0.5));
    expect(two.zone.nitrogenG).toBeCloseTo(one.zone.nitrogenG, 12);
  });

  it('slows without nitrogen down to its floor, and never stops', () => {
    const fed = decayed(taskOf([SAWDUST], 100));
    const starved = decayed(taskOf([SAWDUST], 0));
    expect(fed.cohorts[0].decayLimit).toBe(1);
    expect(starved.cohorts[0].decayLimit).toBe(defaultParameters.starvedDecayFloor);
    const lost = (task: Task) => SAWDUST.structuralC - task.cohorts[0].structuralC;
    expect(lost(starved) / lost(fed)).toBeCloseTo(defaultParameters.starvedDecayFloor, 10);
  });

  it('draws nothing and gives something when the feed is rich', () => {
    const task = decayed(taskOf([{ ...SAWDUST, ratio: 8 }], 1));
    expect(task.cohorts[0].contact.got).toBe(0);
    expect(task.postings.immobilizedFromContactZone).toBe(0);
    expect(task.zone.nitrogenG).toBeGreaterThan(1);
  });
});
