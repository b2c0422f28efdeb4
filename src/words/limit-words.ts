import type { BedLimit } from '../core/bed/index.ts';
import type { DayNumber } from '../core/ground/index.ts';
import { PHOSPHORUS_YEARLY_G_PER_M2 } from '../core/bed/index.ts';
import { dateNear } from './dates.ts';
import type { Measures } from './measures.ts';
import { RATING_WORDS } from './soil-words.ts';

/** Spreading less of next to nothing mends nothing, g/m2 a year. */
const LITTLE_BROUGHT_G = 1;

/** What is more than a guide value allows; the same sentence wherever it is told. */
export function limitInWords(limit: BedLimit, measures: Measures, today: DayNumber): string {
  switch (limit.code) {
    case 'manureNitrogen':
      return `${measures.rate(limit.gPerM2)} of nitrogen in manure and meals in the year to ${dateNear(limit.day, today)}: over ${measures.rate(limit.limitGPerM2)} (EU Nitrates Directive, from memory) it leaches. Local nutrient rules decide.`;
    case 'phosphorus':
      return phosphorusWords(limit, measures, today);
    case 'potassium':
      return `About ${measures.areaMass(limit.gPerM2Year)} of potassium a year with what was spread, and the soil test of ${dateNear(limit.tested.day, today)} found very much of it. Leave wood ash out: much potassium keeps magnesium from the plants.`;
    case 'washedOut': {
      const remedy =
        limit.broughtGPerM2Year > LITTLE_BROUGHT_G
          ? 'Spread less, or grow something over winter.'
          : 'Grow something over winter.';
      const brought =
        limit.broughtGPerM2Year > LITTLE_BROUGHT_G
          ? measures.rate(limit.broughtGPerM2Year)
          : 'next to nothing';
      return `By the model ${measures.rate(limit.gPerM2Year)} of nitrogen is washed out in a coming year that brings ${brought}. From ${measures.rate(limit.limitGPerM2Year)} on, the water that drains holds more than 50 parts of nitrate in a million (EU Nitrates Directive, from memory). ${remedy}`;
    }
  }
}

/** Phosphorus that is spread, against what crops take off and what a soil test found. */
function phosphorusWords(
  { gPerM2Year, limitGPerM2Year, tested }: Extract<BedLimit, { code: 'phosphorus' }>,
  measures: Measures,
  today: DayNumber,
): string {
  const spread = `About ${measures.areaMass(gPerM2Year)} of phosphorus a year with what was spread; crops take off about ${measures.areaMass(PHOSPHORUS_YEARLY_G_PER_M2)}.`;
  if (tested === null) return `${spread} It builds up: test before the next manure or compost.`;
  const found = `The soil test of ${dateNear(tested.day, today)} found ${RATING_WORDS[tested.rating]} of it`;
  return limitGPerM2Year === 0
    ? `${spread} ${found}: leave compost and manure out for some years.`
    : `${spread} ${found}, so up to ${measures.areaMass(limitGPerM2Year)} a year does no harm. Spread less.`;
}
