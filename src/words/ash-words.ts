import type { AshReason, AshUse } from '../core/yard/index.ts';
import { GRAMS_PER_OUNCE, LITRES_PER_GALLON, type DayNumber } from '../core/ground/index.ts';
import { formatRule } from '../quantities/format-quantity.ts';
import { dateNear, MONTH_LETTERS } from './dates.ts';
import { formatFixed, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';

/** The trade's recipes as the trade words them, in its own units. */
export const ASH_RECIPE_WORDS: Record<string, string> = {
  kgPerTenM2: '1 kg on 10 m²',
  cupPerM2: 'a cup to a square meter',
  quartPerFourByEight: 'a quart on a bed of 4 by 8 ft',
  cupPerTenLitres: 'a cup to 10 L of compost',
  oneToFive: 'one part to five of compost',
  quartPerTopsoil: 'a quart to 25 to 30 gal of topsoil',
  spoonPerGallon: 'a tablespoon to a gallon of potting mix',
};

/** Why ash may not go on a bed, or what to mind. */
export function ashReasonWords(reason: AshReason, today: DayNumber, measures: Measures): string {
  switch (reason.code) {
    case 'phTooHigh':
      return `pH ${formatFixed(reason.ph, 1)}: above 7.5 no ash goes on a bed. It would lock up iron, manganese and phosphorus. A little in an acid compost is another matter.`;
    case 'phUnknown':
      return 'Nobody has measured the pH here. Test it first: on ground above 7.5 ash does harm.';
    case 'retestFirst':
      return `Sour ground had its double dose on ${dateNear(reason.since, today)}: test the pH in spring before any more.`;
    case 'nearAmmonium':
      return `Ammonium, urine or fresh manure went on (or is planned) on ${dateNear(reason.day, today)}: with ash its ammonia is driven off and lost. From ${dateNear(reason.freeFrom, today)} on it may. Finished compost would be fine: its nitrogen is bound, not ammonium.`;
    case 'capReached':
      return `${measures.areaMass(reason.givenGPerM2)} has gone on within a year: that is the limit. Again from ${dateNear(reason.againFrom, today)}.`;
    case 'wrongSeason':
      return `Spread it from ${MONTH_LETTERS[reason.fromMonth - 1]} to ${MONTH_LETTERS[reason.untilMonth - 1]}, never in heat, in wind or before a downpour.`;
    case 'growingPlants':
      return 'Something grows here: keep ash off leaves and stems, it is caustic.';
    case 'summerHeat':
      return 'Not in summer heat while something grows here: caustic ash burns leaves, and roots just below it. Wait for autumn, or for the bed to be cleared.';
    case 'sooty':
      return 'Sooty ash goes only through compost, never straight on a bed.';
    case 'dirtyWood':
      return 'Ash of painted or treated wood, card, coal or briquettes never goes on soil.';
    case 'sieveFirst':
      return 'Sieve it first: nails, and lumps that burn what they touch.';
    case 'damp':
      return 'Damp ash has washed out and holds water: it counts for about 60 % of its weight, so more of it is weighed out.';
  }
}

const OUNCES_PER_GALLON_IN_A_GRAM_PER_LITRE = LITRES_PER_GALLON / GRAMS_PER_OUNCE;

/** A recipe's ash, from one rate to another: on an area, or in a volume of something. */
export function ashRateWords(
  [low, high]: readonly [low: number, high: number],
  use: AshUse,
  { system }: Measures,
): string {
  const isOnArea = use === 'bed';
  if (isOnArea) return formatRule([low, high], 'massPerArea', system);
  const [scale, unit] = system === 'metric' ? [1, 'g/L'] : [OUNCES_PER_GALLON_IN_A_GRAM_PER_LITRE, 'oz/gal'];
  const [from, to] = [low, high].map((rate) => plainFigure(rate * scale, 2));
  return from === to ? `${from!} ${unit}` : `${from!} to ${to!} ${unit}`;
}

export const ASH_CAUTION =
  'Ash is caustic dust: gloves, mask and eye cover, no wind. Embers live in it for days: keep it in a lidded steel drum away from the house.';
