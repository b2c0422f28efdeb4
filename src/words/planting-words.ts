import type { BedPlan, ComingCrop, PlantingDate, PlantingObjection } from '../core/bed/index.ts';
import type { DayNumber } from '../core/ground/index.ts';
import type { Answer, BedNames } from './advice-words.ts';
import { dateNear } from './dates.ts';
import { formatPercent } from './figures.ts';
import type { Measures } from './measures.ts';

/** What the sentences about planting are made for. */
export interface PlantingWordsSetting {
  readonly measures: Measures;
  readonly names: BedNames;
}

const REASONS: Readonly<Record<NonNullable<PlantingDate['waitFor']>, string>> = {
  cold: 'it is too cold before',
  frost: 'frost is to be reckoned with before',
  frostBeforeHarvest: 'frost would come before the harvest',
  hot: 'it is too hot before',
  burn: 'what is fresh there would burn young roots before',
  buildUp: 'the build-up that lies there is not ready before',
  lockedUp: 'unfed they would starve before, because nitrogen is locked up',
};

const NEVER: Readonly<Record<NonNullable<PlantingDate['waitFor']>, string>> = {
  cold: 'too cold all year',
  frost: 'frost may come in any month',
  frostBeforeHarvest: 'not within a year: frost comes before the harvest',
  hot: 'too hot all year',
  burn: 'not within a year: too much is fresh there',
  buildUp: 'not within a year: the build-up is not ready',
  lockedUp: 'not within a year, unless fed',
};

function startWords({ day, waitFor }: PlantingDate, today: DayNumber): string {
  if (day === null) return NEVER[waitFor ?? 'lockedUp'];
  return day === today ? 'now' : `from ${dateNear(day, today)}`;
}

/** What speaks against a day, as the end of a sentence. */
export function objectionWords(objection: PlantingObjection, today: DayNumber, measures: Measures): string {
  switch (objection.code) {
    case 'cold':
      return `its first six weeks would be too cold (${measures.warmth(objection.meanC)} on average; it wants ${measures.warmth(objection.needsC)})`;
    case 'hot':
      return `its first six weeks would be too hot (${measures.warmth(objection.meanC)} on average; it bears ${measures.warmth(objection.bearsC)})`;
    case 'frost':
      return `frost is to be reckoned with until about ${dateNear(objection.untilDay, today)} (estimated from the monthly means): wait, or cover it in cold nights`;
    case 'frostBeforeHarvest':
      return `frost is to be reckoned with from about ${dateNear(objection.frostDay, today)} (estimated from the monthly means), before it has borne much`;
    case 'burn':
      return objection.untilDay === null
        ? `so much mineral nitrogen lies in the top ${measures.rule('length', 5)} that it burns young roots`
        : `what is fresh there burns young roots until ${dateNear(objection.untilDay, today)} (common practice)`;
    case 'buildUp':
      return `the build-up that lies there may be planted from ${dateNear(objection.untilDay, today)} (common practice)`;
    case 'cover':
      return `${measures.thickness(objection.coverCm)} of cover lies over the seed, which comes through ${measures.thickness(objection.deepestCm)} (common practice): rake a row clear, or sow into compost`;
    case 'rawManure':
      return `raw manure or urine was spread there, so it may be harvested from ${dateNear(objection.earliestDay, today)}, later than you mean to`;
    case 'lockedUp':
      return `it would miss ${formatPercent(objection.missedShare)} of the nitrogen it needs even when fed: what you spread takes it up`;
  }
}

/** The days on which nothing speaks against it, or that there are none. */
function betterDays({ goodBefore, goodAfter, objections }: ComingCrop, today: DayNumber): string {
  if (objections.every(({ code }) => code === 'cover')) return '';
  const days = [
    ...(goodBefore === null ? [] : [`${dateNear(goodBefore, today)} before it`]),
    ...(goodAfter === null ? [] : [`${dateNear(goodAfter, today)} after it`]),
  ];
  return days.length === 0
    ? ' No day within half a year of it is good.'
    : ` The nearest good day is ${days.join(', or ')}.`;
}

/** A planting still to come: that nothing speaks against its day, or what does, and the nearest days on which nothing does. */
export function comingSentence(
  coming: ComingCrop,
  today: DayNumber,
  { measures, names }: PlantingWordsSetting,
): string {
  const what = `${names.crops([coming.plantingId])} on ${dateNear(coming.day, today)}`;
  if (coming.objections.length === 0) return `${what}: nothing speaks against it.`;
  const against = coming.objections.map((one) => objectionWords(one, today, measures)).join('; and ');
  return `${what}: ${against}.${betterDays(coming, today)}`;
}

/** When crops in general may start. */
function inGeneral({ planting, today, rules }: BedPlan, measures: Measures): string[] {
  const [seedlings, transplants] = planting;
  if (!seedlings || !transplants) return [];
  const { waitFor, day, missedShare, missedShareBare, coverCm } = seedlings;
  const isHungry = day !== null && Math.min(missedShareBare, missedShare) > rules.harmlessShare;
  return [
    `Transplants ${startWords(transplants, today)}.`,
    ...(waitFor && day !== today ? [`Seeds: ${REASONS[waitFor]}.`] : []),
    ...(coverCm === null
      ? []
      : [
          `${measures.thickness(coverCm)} of cover lies over the seed: rake rows clear, or sow into compost.`,
        ]),
    ...(isHungry ? ['This soil is hungry by itself: feed a little at sowing.'] : []),
  ];
}

/** When something may be sown or planted: what is planned by itself, then crops in general. */
export function plantingAnswer(plan: BedPlan, setting: PlantingWordsSetting): Answer {
  const { coming, planting, today, status } = plan;
  const [seedlings] = planting;
  const told = coming.map((one) => comingSentence(one, today, setting));
  if (!seedlings) {
    return {
      headline: 'Not for sowing',
      details: [status === 'path' ? 'It is a path.' : 'Woody plants have it to themselves.', ...told],
      isStop: false,
    };
  }
  const sow = `Sow ${startWords(seedlings, today)}`;
  const general = inGeneral(plan, setting.measures);
  const isStop = seedlings.waitFor !== null && seedlings.waitFor !== 'cold' && seedlings.day !== today;
  const [first] = coming;
  if (!first) {
    return { headline: sow, details: ['For crops in general; nothing is planned here.', ...general], isStop };
  }
  const bad = coming.find(({ objections }) => objections.length > 0);
  const { plantingId, day } = bad ?? first;
  const name = setting.names.crops([plantingId]);
  const when = dateNear(day, today);
  return {
    headline: bad ? `${name} on ${when}: not a good day` : `${name} on ${when}`,
    details: [...told, `Crops in general: sow ${startWords(seedlings, today)}.`, ...general],
    isStop: bad !== undefined,
  };
}
