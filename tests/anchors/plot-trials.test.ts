import fc from 'fast-check';
import { tTestTwoSample, mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { studentT } from '../../src/web/statistics/student-t.ts';
import type { PlotReading } from '../../src/records/journal.ts';
import { compareTreatments } from '../../src/core/season/trials/comparison.ts';
import { placePlots } from '../../src/core/season/trials/placement.ts';

const trialOf = (treatments: string[], repeats: number, seed = 7) => ({
  treatments,
  repeats,
  seed,
  isMoreBetter: true,
});
const reading = (plot: number, value: number, date = '2026-05-01'): PlotReading => ({
  kind: 'plotReading',
  id: `r${plot}${date}`,
  date,
  note: '',
  trialId: 't',
  plot,
  value,
});
/** Readings by treatment, laid out as the trial is. */
function readingsFor(
  trial: ReturnType<typeof trialOf>,
  values: readonly (readonly number[])[],
): PlotReading[] {
  const left = values.map((own) => [...own]);
  return placePlots(trial).flatMap(({ plot, treatment }) => {
    const value = left[treatment].shift();
    return value === undefined ? [] : [reading(plot, value)];
  });
}

describe('placing by lot', () => {
  it('gives every block each treatment once, and the same for the same seed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 1, max: 25 }),
        fc.integer({ min: 1, max: 999_999 }),
        (n, repeats, seed) => {
          const trial = trialOf(
            Array.from({ length: n }, (_, i) => `t${i}`),
            repeats,
            seed,
          );
          const plots = placePlots(trial);
          expect(plots.map(({ plot }) => plot)).toEqual(Array.from({ length: n * repeats }, (_, i) => i));
          for (let block = 0; block < repeats; block++) {
            const own = plots.filter((one) => one.block === block).map(({ treatment }) => treatment);
            expect(own.toSorted((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i));
          }
          expect(placePlots(trial)).toEqual(plots);
        },
      ),
    );
  });
  it('puts each treatment about as often in each place', () => {
    const firsts = Array.from(
      { length: 3000 },
      (_, seed) => placePlots(trialOf(['a', 'b', 'c'], 1, seed + 1))[0].treatment,
    );
    for (const treatment of [0, 1, 2]) {
      const count = firsts.filter((one) => one === treatment).length;
      expect(Math.abs(count - 1000)).toBeLessThan(100);
    }
  });
});

describe('comparing', () => {
  /** Sleep gained under two drugs, ten people each: Student 1908, as in every textbook (from memory). */
  const FIRST = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2];
  const SECOND = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];
  const sleep = trialOf(['first', 'second'], 10);

  it('within blocks finds Student’s own result: 1.58 more, between 0.70 and 2.46', () => {
    const { differences } = compareTreatments(sleep, readingsFor(sleep, [FIRST, SECOND]), studentT);
    const [{ difference, low, high, verdict, method }] = differences;
    expect(difference).toBeCloseTo(1.58, 9);
    expect([low!.toFixed(2), high!.toFixed(2)]).toEqual(['0.70', '2.46']);
    expect([verdict, method]).toEqual(['better', 'withinBlocks']);
  });
  it('between groups finds Welch’s: between -0.21 and 3.37', () => {
    // One plot unread: the blocks are not complete any more, and the two groups are nearly those of the textbook.
    const both = readingsFor(sleep, [FIRST, SECOND]);
    const spare = trialOf(['first', 'second'], 11);
    const moved = readingsFor(spare, [FIRST, SECOND]);
    const [{ low, high, verdict, method, difference }] = compareTreatments(
      spare,
      moved,
      studentT,
    ).differences;
    expect(both).toHaveLength(20);
    expect(difference).toBeCloseTo(1.58, 9);
    expect([low!.toFixed(2), high!.toFixed(2)]).toEqual(['-0.21', '3.37']);
    expect([verdict, method]).toEqual(['cannotTell', 'betweenGroups']);
  });
  it('agrees with another package where spreads are equal', () => {
    const a = [10, 12, 14, 16, 18];
    const b = [13, 15, 17, 19, 21];
    const spare = trialOf(['a', 'b'], 6);
    const [{ difference, high }] = compareTreatments(spare, readingsFor(spare, [a, b]), studentT).differences;
    const t = tTestTwoSample(b, a)!;
    const standardError = (mean(b) - mean(a)) / t;
    expect(high! - difference!).toBeCloseTo(studentT.quantile(0.975, 8) * standardError, 8);
  });
  it('widens the intervals for every further treatment', () => {
    const three = trialOf(['none', 'some', 'much'], 10);
    const [{ low, high }] = compareTreatments(
      three,
      readingsFor(three, [FIRST, SECOND, FIRST]),
      studentT,
    ).differences;
    expect(high! - low!).toBeGreaterThan(2.46 - 0.7);
  });
  it('says when there are too few to tell, and how many it would take', () => {
    const two = trialOf(['a', 'b'], 2);
    expect(
      compareTreatments(
        two,
        readingsFor(two, [
          [1, 2],
          [9, 8],
        ]),
        studentT,
      ).differences[0].verdict,
    ).toBe('tooFew');
    const none = compareTreatments(two, [], studentT).differences[0];
    expect([none.verdict, none.difference]).toEqual(['tooFew', null]);
    const noisy = trialOf(['a', 'b'], 4);
    const [cannot] = compareTreatments(
      noisy,
      readingsFor(noisy, [
        [8, 14, 9, 15],
        [12, 9, 16, 13],
      ]),
      studentT,
    ).differences;
    expect(cannot.verdict).toBe('cannotTell');
    expect(cannot.repeatsToTell).toBeGreaterThan(4);
  });
  it('knows when less is better, and when a difference does not matter', () => {
    const pair = { ...trialOf(['a', 'b'], 10), isMoreBetter: false };
    expect(compareTreatments(pair, readingsFor(pair, [FIRST, SECOND]), studentT).differences[0].verdict).toBe(
      'worse',
    );
    const same = trialOf(['a', 'b'], 4);
    const close = compareTreatments(
      same,
      readingsFor(same, [
        [100, 101, 99, 100],
        [101, 100, 100, 99],
      ]),
      studentT,
    );
    expect(close.differences[0].verdict).toBe('noDifference');
    expect(close.treatments[0].standardDeviation).toBeCloseTo(
      sampleStandardDeviation([100, 101, 99, 100]),
      12,
    );
  });
  it('takes the last reading of a plot', () => {
    const pair = trialOf(['a', 'b'], 1);
    const { treatments } = compareTreatments(
      pair,
      [reading(0, 5, '2026-06-01'), reading(0, 1, '2026-05-01')],
      studentT,
    );
    expect(treatments.flatMap(({ values }) => values)).toEqual([5]);
  });
  it('holds the true difference 19 times in 20', () => {
    const next = (() => {
      let state = 1;
      return () => (state = (state * 48271) % 2147483647) / 2147483647;
    })();
    const gauss = () => Array.from({ length: 12 }, next).reduce((sum, one) => sum + one, -6);
    const pots = trialOf(['a', 'b'], 6);
    let held = 0;
    for (let i = 0; i < 400; i++) {
      const values = [0, 2].map((shift) => Array.from({ length: 6 }, () => 20 + shift + 3 * gauss()));
      const [{ low, high }] = compareTreatments(pots, readingsFor(pots, values), studentT).differences;
      if (low! <= 2 && high! >= 2) held += 1;
    }
    expect(held / 400).toBeGreaterThan(0.92);
    expect(held / 400).toBeLessThan(0.98);
  });
});
