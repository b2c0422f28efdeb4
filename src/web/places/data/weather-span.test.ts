import { describe, expect, it } from 'vitest';
import { unreadSpan } from './weather-span.ts';

describe('the days to read from a weather station', () => {
  it('follow the last measured day and end yesterday', () => {
    const weather = [{ date: '2026-04-30' }, { date: '2026-05-10' }];
    expect(unreadSpan(weather, '2026-05-14')).toEqual({ from: '2026-05-11', until: '2026-05-13' });
  });

  it('go over the end of a year and a leap day', () => {
    expect(unreadSpan([{ date: '2027-12-31' }], '2028-03-01')).toEqual({
      from: '2028-01-01',
      until: '2028-02-29',
    });
  });

  it('are four months when nothing was measured yet', () => {
    expect(unreadSpan([], '2026-05-14')).toEqual({ from: '2026-01-14', until: '2026-05-13' });
  });

  it('are none when yesterday was read already', () => {
    const { from, until } = unreadSpan([{ date: '2026-05-13' }], '2026-05-14');
    expect(from > until).toBe(true);
  });
});
