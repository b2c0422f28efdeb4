import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { monthBooks } from '../../bed/projection/month-books.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import { monthStarts, partedAt, periodAround, type PeriodKind } from './periods.ts';
import { carbonStatement, nitrogenStatement } from './statement.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const run = { fromDay: day('2025-10-01'), untilDay: day('2027-02-15') };
const around = (iso: string, kind: PeriodKind) => {
  const { fromDay, untilDay } = periodAround(day(iso), kind, run);
  return [isoDateOf(fromDay), isoDateOf(untilDay)];
};

describe('periods', () => {
  it('are the calendar month, season or year that holds a day', () => {
    expect(around('2026-05-14', 'month')).toEqual(['2026-05-01', '2026-06-01']);
    expect(around('2026-05-14', 'season')).toEqual(['2026-03-01', '2026-06-01']);
    expect(around('2026-12-31', 'season')).toEqual(['2026-12-01', '2027-02-15']);
    expect(around('2026-01-31', 'season')).toEqual(['2025-12-01', '2026-03-01']);
    expect(around('2026-05-14', 'year')).toEqual(['2026-01-01', '2027-01-01']);
    expect(around('2026-05-14', 'all')).toEqual(['2025-10-01', '2027-02-15']);
  });
  it('end where the run begins and ends', () => {
    expect(around('2025-11-02', 'year')).toEqual(['2025-10-01', '2026-01-01']);
    expect(around('2027-02-10', 'month')).toEqual(['2027-02-01', '2027-02-15']);
  });
  it('are parted where the forecast begins, with no empty part', () => {
    const [from, until] = [day('2026-01-01'), day('2027-01-01')];
    const whole = { fromDay: from, untilDay: until };
    const cut = day('2026-05-15');
    expect(partedAt(whole, cut)).toEqual([
      { fromDay: from, untilDay: cut, basis: 'facts' },
      { fromDay: cut, untilDay: until, basis: 'forecast' },
    ]);
    expect(partedAt(whole, from)).toEqual([{ ...whole, basis: 'forecast' }]);
    expect(partedAt(whole, until)).toEqual([{ ...whole, basis: 'facts' }]);
  });
  it('follow each other without a gap', () => {
    const starts = monthStarts(run);
    expect(starts[0]).toBe(run.fromDay);
    expect(starts.at(-1)).toBe(run.untilDay);
    expect(starts).toHaveLength(18);
    expect(monthStarts({ fromDay: day('2026-05-10'), untilDay: day('2026-05-20') })).toHaveLength(2);
  });
});

describe('the books by month', () => {
  const today = day('2026-05-14');
  const scenario = bedScenario({
    books: {
      site: { climate: MILD, depositionGPerM2Year: 1 },
      bed: bedOf(),
      crops: [],
      plantings: [],
      entries: [
        {
          id: 'manure',
          type: 'lay',
          state: 'laid',
          date: '2026-03-02',
          materialId: 'cattle_fym',
          massFreshKg: 60,
          dugDepthCm: 0,
          seasonedMonths: 0,
        },
        {
          id: 'test',
          type: 'soilTest',
          state: 'laid',
          date: '2026-04-10',
          amount: 3,
          unit: 'gPerM2',
          sampledDepthCm: 30,
          ph: null,
          organicMatterPct: null,
        },
      ],
    },
    findMaterial: findLibraryMaterial,
    today,
    endDay: today,
  });
  const books = monthBooks(scenario, today);
  const months = books.samples.slice(1).map((closing, i) => [books.samples[i], closing] as const);
  it('balance in every month, and every account by its own postings', () => {
    for (const [opening, closing] of months) {
      for (const { assets, debitG, creditG } of [
        carbonStatement(opening, closing),
        nitrogenStatement(opening, closing),
      ]) {
        expect(Math.abs(debitG - creditG)).toBeLessThan(1e-9 * Math.max(1, debitG));
        for (const { openingG, inG, outG, closingG, postings } of assets) {
          const posted = postings.reduce((sum, { amountG }) => sum + amountG, 0);
          expect(openingG + posted).toBeCloseTo(closingG, 8);
          expect(inG - outG).toBeCloseTo(posted, 8);
        }
      }
    }
  });
  it('open each month with what the one before closed with', () => {
    months.slice(1).forEach(([opening], i) => expect(opening).toBe(months[i][1]));
  });
  it('post a soil test as an adjustment in its month', () => {
    const april = months.find(([opening]) => isoDateOf(opening.day) === '2026-04-01')!;
    const contact = nitrogenStatement(...april).assets.find(({ account }) => account === 'contactZone')!;
    const adjusted = contact.postings.find(({ counterparty }) => counterparty === 'soilTest');
    expect(adjusted).toBeDefined();
    const march = months.find(([opening]) => isoDateOf(opening.day) === '2026-03-01')!;
    const before = nitrogenStatement(...march).assets.find(({ account }) => account === 'contactZone')!;
    expect(before.postings.some(({ counterparty }) => counterparty === 'soilTest')).toBe(false);
  });
});
