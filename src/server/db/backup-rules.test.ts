import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeBackupName, KEPT, keptBackups, readBackupName } from './backup-rules.ts';

const DAY_MS = 86_400_000;
const TODAY = '2026-05-14';
/** So many days before today. */
const dayBefore = (days: number) => new Date(Date.parse(TODAY) - days * DAY_MS).toISOString().slice(0, 10);
const copy = (day: string, kind = 'daily', nth = 0) => `${day}_08000${nth}-00.${kind}.sqlite`;
const dailyFor = (days: number) => Array.from({ length: days }, (_, i) => copy(dayBefore(i)));

describe('copies of the books', () => {
  it('are called by when and why they were made, and never alike', () => {
    const now = '2026-05-14T08:15:30.123Z';
    const first = freeBackupName(now, 'manual', []);
    expect(first).toBe('2026-05-14_081530-00.manual.sqlite');
    expect(freeBackupName(now, 'daily', [first])).toBe('2026-05-14_081530-01.daily.sqlite');
    expect(freeBackupName(now, 'daily', ['2026-05-14_081530-00.sqlite'])).toContain('-01.daily');
    expect(readBackupName(first)).toEqual({ day: TODAY, kind: 'manual' });
    expect(readBackupName('2024-01-02_030405-00.sqlite')).toEqual({ day: '2024-01-02', kind: 'daily' });
    for (const none of ['books.sqlite', `${first}.part`, '2026-05-14_081530-00.other.sqlite', '../x.sqlite'])
      expect(readBackupName(none)).toBeNull();
  });
  it('of two years stay for fourteen days, eight weeks and twelve months', () => {
    const kept = keptBackups(dailyFor(730), TODAY);
    for (let i = 0; i < KEPT.days; i++) expect(kept).toContain(copy(dayBefore(i)));
    const days = [...kept].map((name) => readBackupName(name)!.day);
    expect(new Set(days.map((day) => day.slice(0, 7))).size).toBe(KEPT.months);
    expect(days.filter((day) => day > dayBefore(8 * 7)).length).toBeGreaterThanOrEqual(KEPT.days + 5);
    expect(kept.size).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
  });
  it('made by hand push out no daily ones, nor do those made before a restore', () => {
    const byHand = Array.from({ length: 30 }, (_, i) => copy(dayBefore(Math.floor(i / 5)), 'manual', i % 5));
    const before = Array.from({ length: 12 }, (_, i) => copy(dayBefore(i), 'beforeRestore'));
    const kept = [...keptBackups([...dailyFor(14), ...byHand, ...before], TODAY)];
    const count = (kind: string) => kept.filter((name) => name.includes(`.${kind}.`)).length;
    expect([count('daily'), count('manual'), count('beforeRestore')]).toEqual([14, 10, 10]);
  });
  it('of days to come, from a clock that was wrong, push out none either', () => {
    const ahead = Array.from({ length: 20 }, (_, i) => copy(dayBefore(-1 - i)));
    const kept = keptBackups([...ahead, copy(TODAY), copy(dayBefore(1))], TODAY);
    expect(kept).toContain(copy(TODAY));
    expect(kept).toContain(copy(dayBefore(1)));
    expect(kept.size).toBe(KEPT.days + 2);
  });
  it('the newest of each kind always stays, and one more copy never loses another kind', () => {
    const any = fc.record({
      back: fc.integer({ min: -40, max: 800 }),
      kind: fc.constantFrom('daily', 'manual', 'beforeRestore'),
      nth: fc.integer({ min: 0, max: 9 }),
    });
    fc.assert(
      fc.property(fc.uniqueArray(any, { maxLength: 80, selector: (one) => JSON.stringify(one) }), (all) => {
        const names = all.map(({ back, kind, nth }) => copy(dayBefore(back), kind, nth));
        const kept = keptBackups(names, TODAY);
        for (const kind of ['daily', 'manual', 'beforeRestore']) {
          const own = names.filter((name) => name.includes(`.${kind}.`) && name.slice(0, 10) <= TODAY).sort();
          if (own.length > 0) expect(kept).toContain(own.at(-1));
        }
        const more = keptBackups([...names, copy(TODAY, 'manual', 9)], TODAY);
        for (const name of kept) if (!name.includes('.manual.')) expect(more).toContain(name);
      }),
    );
  });
});
