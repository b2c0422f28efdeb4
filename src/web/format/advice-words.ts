import { total } from '../../core/numerics/total.ts';
import type { BedAdvice, BedStanding, CropProspect } from '../../core/advice/bed-advice.ts';
import { feedingCautions } from '../../core/advice/cautions.ts';
import type { LockUpWindow, Zone } from '../../core/advice/lock-up.ts';
import { HARMLESS_SHARE, type PlantingDate } from '../../core/advice/planting-dates.ts';
import { CONTACT_ZONE_CM } from '../../core/simulation/scenario.ts';
import type { DayNumber } from '../../core/climate/calendar.ts';
import { aboutWhen, dateNear } from './dates.ts';
import { percent } from './figures.ts';
import type { Measures } from './measures.ts';

/** An answer as it stands on the page: a headline, and the sentences beneath it. */
export interface Answer {
  readonly headline: string;
  readonly details: readonly string[];
  readonly isStop: boolean;
}

const topWords = (measures: Measures): string => `Top ${measures.thickness(CONTACT_ZONE_CM)}`;

const zoneWords = (zone: Zone, measures: Measures): string =>
  zone === 'contact' ? topWords(measures) : 'Root zone';

/** A lock-up that begins within this is as good as going on. */
const AT_HAND_DAYS = 21;

/** Until when a lock-up lasts that is going on or at hand, or from when one that is still to come. */
function untilWords({ fromDay, halfBackDay }: LockUpWindow, today: DayNumber): string {
  if (fromDay > today + AT_HAND_DAYS) return `from ${aboutWhen(fromDay, today)}`;
  return halfBackDay === null ? 'for more than two years' : `until ${aboutWhen(halfBackDay, today)}`;
}

function windowSentence(window: LockUpWindow, today: DayNumber, measures: Measures): string {
  const { fromDay, peakDay, peakG, nowG, zone } = window;
  const since = fromDay <= today ? `since ${aboutWhen(fromDay, today)}` : `from ${aboutWhen(fromDay, today)}`;
  const now = fromDay <= today ? `, ${measures.rate(nowG)} now` : '';
  const most =
    peakDay > today || fromDay > today
      ? `, at most ${measures.rate(peakG)} in ${aboutWhen(peakDay, today)}`
      : `, past its peak of ${measures.rate(peakG)}`;
  return `${zoneWords(zone, measures)}: held ${since}${now}${most}.`;
}

/** Where nitrogen is locked up, and until when half of it is back. */
export function lockUpAnswer({ contact, root, today }: BedStanding, measures: Measures): Answer {
  if (root) {
    const also = contact ? [windowSentence(contact, today, measures)] : [];
    return {
      headline: `Root zone, ${untilWords(root, today)}`,
      details: [windowSentence(root, today, measures), ...also],
      isStop: true,
    };
  }
  if (contact) {
    return {
      headline: `${topWords(measures)} only, ${untilWords(contact, today)}`,
      details: [windowSentence(contact, today, measures), 'The root zone is hardly touched.'],
      isStop: false,
    };
  }
  return {
    headline: 'Nothing locked up',
    details: ['Decomposers leave the soil its nitrogen, in both zones.'],
    isStop: false,
  };
}

/** What grows, as a sentence can name it. */
export type CropNames = (cropIds: readonly string[]) => string;

/** A price smaller than this, for a whole bed, is rounding. */
const WORTH_SAYING_G = 0.5;

function missedWords(prospects: readonly CropProspect[]): string[] {
  return prospects.map(({ shortG, demandG, shortWithoutMaterialsG, paleDays }) => {
    const share = shortG / demandG;
    const bare = shortWithoutMaterialsG / demandG;
    const pale = paleDays > 0 ? `, pale for ${paleDays} days` : '';
    return `Unfed it misses ${percent(share)} of its need (${percent(bare)} on bare soil)${pale}.`;
  });
}

/** How much nitrogen to add, and when. */
export function doseAnswer(
  { doses, prospects, today }: BedStanding,
  areaM2: number,
  names: CropNames,
  measures: Measures,
): Answer {
  if (!doses) {
    return {
      headline: 'Nothing to feed',
      details: ['Nothing grows here and nothing is planned.'],
      isStop: false,
    };
  }
  const given = doses.doses.filter(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0);
  const concerned = prospects.filter(({ id, demandG }) => doses.cropIds.includes(id) && demandG > 0);
  const crop = names(doses.cropIds);
  if (given.length === 0) {
    const isShort = concerned.some(({ shortG, demandG }) => shortG > HARMLESS_SHARE * demandG);
    return {
      headline: isShort ? 'No dose is worth its cost' : 'No feed needed',
      details: [isShort ? 'What is missing cannot be made good by feeding now.' : `${crop} finds enough.`],
      isStop: false,
    };
  }
  const totalG = total(given.map(({ nitrogenGPerM2 }) => nitrogenGPerM2)) * areaM2;
  const priceG = total(doses.doses.map(({ priceGPerM2 }) => priceGPerM2)) * areaM2;
  const dates = given
    .map(
      ({ day, nitrogenGPerM2 }) => `${measures.nitrogen(nitrogenGPerM2 * areaM2)} on ${dateNear(day, today)}`,
    )
    .join(', ');
  const price =
    priceG > WORTH_SAYING_G
      ? [`${measures.nitrogen(priceG)} is the price of what was laid.`]
      : priceG < -WORTH_SAYING_G
        ? [`Bare soil would want ${measures.nitrogen(-priceG)} more.`]
        : [];
  const largestG = Math.max(...given.map(({ nitrogenGPerM2 }) => nitrogenGPerM2));
  const unmet = doses.doses.some(({ isMet }) => !isMet) ? ['Not all of the need can be met.'] : [];
  return {
    headline: `${measures.nitrogen(totalG)} nitrogen${given.length > 1 ? ` in ${given.length} doses` : ''}`,
    details: [
      `${dates}, for ${crop.toLowerCase()}; ${measures.mass(doses.featherMealKgPerM2 * areaM2)} of feather meal in all.`,
      ...price,
      ...unmet,
      ...missedWords(concerned),
      ...feedingCautions(largestG).map(
        () => 'Split the larger doses: much at once burns, and leaches to groundwater.',
      ),
    ],
    isStop: true,
  };
}

const REASONS = { cold: 'it is too cold before', lockedUp: 'nitrogen is locked up now' } as const;

function startWords({ day, waitFor }: PlantingDate, today: DayNumber): string {
  if (day === null) return waitFor === 'cold' ? 'too cold all year' : 'not within a year, unless fed';
  if (day === today) return 'now';
  return `from ${dateNear(day, today)}`;
}

/** When young plants may go in. */
export function plantingAnswer({ planting, today, status }: BedAdvice): Answer {
  const [seedlings, transplants] = planting;
  if (!seedlings || !transplants) {
    return {
      headline: 'Not for planting',
      details: status === 'path' ? ['It is a path.'] : [],
      isStop: false,
    };
  }
  const reason =
    seedlings.waitFor && seedlings.day !== today ? [`Seeds: ${REASONS[seedlings.waitFor]}.`] : [];
  const isHungry =
    seedlings.day !== null && Math.min(seedlings.missedShareBare, seedlings.missedShare) > HARMLESS_SHARE;
  return {
    headline: `Sow ${startWords(seedlings, today)}`,
    details: [
      `Transplants ${startWords(transplants, today)}.`,
      ...reason,
      ...(isHungry ? ['This soil is hungry by itself: feed a little at sowing.'] : []),
    ],
    isStop: seedlings.waitFor === 'lockedUp' && seedlings.day !== today,
  };
}
