import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../core/ground/climate/calendar.ts';
import { aboutWhen, ageInWords, dateNear, monthTick } from './dates.ts';
import { formatAtMost, formatCell, formatFigure, formatFixed, plainFigure, roundFigure } from './figures.ts';
import { measuresOf } from './measures.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);

describe('figures', () => {
  it('part thousands, keep a real minus and never say minus nothing', () => {
    expect(formatFixed(12_345.678, 1)).toBe('12 345.7');
    expect(formatFixed(-3.14, 1)).toBe('−3.1');
    expect(formatFixed(-0.001, 1)).toBe('0.0');
    expect([0, 5.12, 23.19, 113.2, -113.2].map((value) => formatAtMost(value, 2))).toEqual([
      '0.00',
      '5.12',
      '23.2',
      '113',
      '−113',
    ]);
  });
  it('keep significant places without scientific notation', () => {
    expect([formatFigure(0.004567), formatFigure(4.567), formatFigure(4567)]).toEqual([
      '0.00457',
      '4.57',
      '4 567',
    ]);
    expect([plainFigure(16), plainFigure(2.5), plainFigure(0.1)]).toEqual(['16', '2.5', '0.1']);
  });
  it('round what is carried to two places', () => {
    expect([roundFigure(237), roundFigure(23.7), roundFigure(2.37)]).toEqual(['240', '24', '2.4']);
  });
  it('dash nothing', () => {
    expect([formatCell(0.04, 1), formatCell(0.06, 1)]).toEqual(['—', '0.1']);
  });
});

describe('dates', () => {
  const today = day('2026-05-14');
  it('name the year only where it differs', () => {
    expect(dateNear(day('2026-06-20'), today)).toBe('20 June');
    expect(dateNear(day('2027-01-02'), today)).toBe('2 January 2027');
    expect(aboutWhen(day('2026-06-20'), today)).toBe('mid June');
    expect(aboutWhen(day('2027-03-25'), today)).toBe('late March 2027');
    expect([monthTick(day('2026-12-01')), monthTick(day('2027-01-01'))]).toEqual(['Dec', 'Jan 27']);
  });
  it('say how old something is', () => {
    expect([0, 1, 5, 30, 200, 731].map(ageInWords)).toEqual([
      'today',
      '1 day',
      '5 days',
      '4 weeks',
      '7 months',
      '2 years',
    ]);
  });
});

describe('measures', () => {
  it('say the same in both systems', () => {
    const metric = measuresOf({ measures: 'metric' });
    const customary = measuresOf({ measures: 'customary' });
    expect([metric.thickness(7), customary.thickness(7.62)]).toEqual(['7 cm', '3 in']);
    expect([metric.rate(10), customary.rate(10)]).toEqual(['10.0 g/m²', '2.05 lb/1000 sq ft']);
    expect([metric.mass(2.5), customary.mass(2.5)]).toEqual(['2.5 kg', '5.51 lb']);
    expect([metric.area(6), customary.area(6)]).toEqual(['6 m²', '65 sq ft']);
    expect([metric.nitrogen(60), customary.nitrogen(60)]).toEqual(['60 g', '2.1 oz']);
  });
});
