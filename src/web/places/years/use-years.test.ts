import { describe, expect, it } from 'vitest';
import type { YearsPlan } from '../../worker/years-answers.ts';
import { canBeShown, lineKey } from './use-years.ts';

const planOf = (lineIds: readonly string[], years = 5): YearsPlan => ({
  key: lineIds.join(),
  records: {} as YearsPlan['records'],
  today: '2026-05-14',
  years,
  bedIds: ['north', 'south'],
  habits: lineIds.map(() => 'planned'),
  lineIds,
  sparesPaths: false,
});
const known = (...keys: readonly string[]) =>
  new Map(keys.map((key) => [key, { points: [], opinions: null, draws: [] }]));
const FIRST_HABIT = [lineKey(0, 0), lineKey(1, 0)];

describe('what is known of the years', () => {
  const plan = planOf(['compost', 'nothing']);

  it('is shown as soon as one habit is known on every bed', () => {
    expect(canBeShown({ plan, lines: known(lineKey(0, 0), lineKey(0, 1)), shown: null })).toBe(false);
    expect(canBeShown({ plan, lines: known(...FIRST_HABIT), shown: null })).toBe(true);
    for (const other of [planOf(['compost']), planOf(['compost', 'nothing'], 10)])
      expect(canBeShown({ plan, lines: known(...FIRST_HABIT), shown: other })).toBe(true);
  });

  it('takes the place of the same lines only whole', () => {
    const shown = { ...plan, key: 'before a price was saved' };
    expect(canBeShown({ plan, lines: known(...FIRST_HABIT, lineKey(0, 1)), shown })).toBe(false);
    const all = known(...FIRST_HABIT, lineKey(0, 1), lineKey(1, 1));
    expect(canBeShown({ plan, lines: all, shown })).toBe(true);
  });
});
