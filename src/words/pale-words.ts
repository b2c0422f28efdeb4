import type { Cause, EvidenceCode, Fit, PaleFacts, RemedyOutcome } from '../core/bed/index.ts';
import type { PlantSign } from '../records/vocabulary.ts';
import { dateNear } from './dates.ts';
import { plainFigure } from './figures.ts';
import { PLANT_SIGN_WORDS } from './journal-words.ts';
import type { Measures } from './measures.ts';

interface CauseWords {
  readonly name: string;
  /** The cheap test that would tell. */
  readonly test: (measures: Measures) => string;
  /** What to do when it is so; amounts stand beside it where they can be reckoned. */
  readonly remedy: (measures: Measures) => string;
}

export const CAUSE_WORDS: Record<Cause, CauseWords> = {
  lockUp: {
    name: 'Nitrogen locked up by what you spread',
    test: () =>
      'Compare with the same crop on bare soil beside it; or rake the layer off a small patch, feed that spot, and look again in ten days.',
    remedy: (m) =>
      `Feed quick nitrogen, or work composted manure or castings into the top ${m.rule('length', 2.5)}; leave the layer where it is.`,
  },
  hunger: {
    name: 'Simple nitrogen hunger',
    test: () =>
      'Feed one plant and not its neighbor: hunger answers within ten days, from the new leaves on.',
    remedy: () => 'Feed it, and plan compost for the next crop.',
  },
  coldSoil: {
    name: 'Cold soil',
    test: (m) =>
      `Put a thermometer a finger deep in the morning; below about ${m.warmth(9)} roots take up little, whatever is there.`,
    remedy: () =>
      'Wait, or cover with a fleece; draw the mulch aside so that the sun reaches the soil. Do not feed now.',
  },
  waterlogged: {
    name: 'Too wet for roots to breathe',
    test: () => 'Dig a hole a hand deep: does water stand in it after an hour, does it smell sour?',
    remedy: () =>
      'Draw the mulch aside, loosen with a fork without treading, let it dry; keep off clay. No feed until it drains.',
  },
  drought: {
    name: 'Drought',
    test: () =>
      'Scratch a finger deep under the mulch: is it dry there? Limp at noon and up by evening says the same.',
    remedy: () => 'Water slowly and deep, then cover again.',
  },
  phLockOut: {
    name: 'Wrong pH, or ash: nutrients locked out',
    test: () => 'A pH strip or a kit from the shop: below 5.6 or above 7.4 it is worth a laboratory.',
    remedy: () =>
      'No more ash or lime on high pH; on low pH lime by a soil test. Iron and manganese show it first.',
  },
  traceElements: {
    name: 'A trace element is missing',
    test: () =>
      'Pale between green veins, youngest leaves first? Spray one plant with seaweed or iron chelate and look in a week.',
    remedy: () => 'Have the soil tested before you buy anything; compost usually mends it over a season.',
  },
  magnesium: {
    name: 'Magnesium is missing',
    test: () =>
      'Pale between green veins on the older leaves, which stay green along the middle? Spray one plant with Epsom salts and look in a week.',
    remedy: () =>
      'Have the soil tested: dolomitic lime on sour ground, Epsom salts otherwise; too much potassium or ash holds it back.',
  },
  shade: {
    name: 'Too little light',
    test: () => 'Are the stems long and thin, leaning to the light, and the plants in the sun green?',
    remedy: () => 'Cut back what shades it, or grow leaf crops there. Feeding does not help.',
  },
  transplantShock: {
    name: 'Transplant shock',
    test: () => 'Is the newest leaf, grown since planting, of the right green? Then it is over.',
    remedy: () =>
      'Shade and water for a week; do not feed wilting plants. By the trade a pale week or two is usual.',
  },
  rootTrouble: {
    name: 'Root pests or disease',
    test: () => 'Dig up the worst plant and look: grubs, eaten or brown roots, knots.',
    remedy: () => 'Take out what is lost; the advisory service can name the culprit. Feeding does not help.',
  },
  rawChar: {
    name: 'Raw char taking up nitrogen',
    test: () => 'Was the char charged? Feed one end of the bed and compare in ten days.',
    remedy: () =>
      'Feed quick nitrogen now, or compost on top; charge char before use the next time. How long it locks up nitrogen is said to be weeks to seasons.',
  },
  scorch: {
    name: 'Burnt by salts: too much feed or manure at once',
    test: () => 'Brown dry edges after feeding? A conductivity strip or the smell of ammonia says the same.',
    remedy: () =>
      'Stop feeding; water through where nothing drains into a well or stream; scrape off fresh manure.',
  },
  other: {
    name: 'Something else: disease, virus, weedkiller, old leaves',
    test: () =>
      'Twisted leaves after straw, hay or manure: sow beans in a pot of that soil. Spots and mold: ask the advisory service with a photo.',
    remedy: () => 'Find out before you do anything.',
  },
};

export const FIT_WORDS: Record<Fit, { readonly mark: string; readonly word: string }> = {
  fitsBest: { mark: '●', word: 'fits best' },
  possible: { mark: '◐', word: 'possible' },
  unlikely: { mark: '○', word: 'unlikely' },
};

type ModelEvidence = Exclude<EvidenceCode, PlantSign>;

const EVIDENCE_WORDS: Record<ModelEvidence, (facts: PaleFacts, measures: Measures) => string> = {
  modelHolds: ({ heldInRootsReachG }, m) =>
    `according to the model ${m.rate(heldInRootsReachG)} are locked up where the roots are`,
  modelPale: () => 'according to the model the crop is short of nitrogen now',
  modelFed: ({ availableInReachG }, m) =>
    `according to the model ${m.rate(availableInReachG)} are available to the roots: enough`,
  planShort: () => 'the plan of the bed has a dose due for it',
  modelShortWithoutHold: () => 'according to the model it is short, yet nothing is locked up',
  beganAfterMulch: ({ daysFromMulchToSigns }) => `wood or straw went on ${daysFromMulchToSigns} days before`,
  beganBeforeMulch: () => 'it began before wood or straw went on',
  noMulch: () => 'no wood, straw or leaves were spread within a year',
  woodDugIn: () => 'wood or straw was dug in within a year',
  legume: () => 'it is a legume and feeds itself',
  coldNow: ({ temperatureC }, m) => `the soil is at about ${m.warmth(temperatureC)} according to the model`,
  warmNow: ({ temperatureC }, m) =>
    `the soil is at about ${m.warmth(temperatureC)} according to the model: warm enough`,
  wetGround: () => 'the ground is full of water according to the model',
  dryGround: () => 'the topsoil has dried out according to the model',
  moistGround: () => 'the topsoil is moist according to the model, neither dry nor full',
  highPh: ({ ph }) => `pH ${plainFigure(ph ?? 0)} is high`,
  lowPh: ({ ph }) => `pH ${plainFigure(ph ?? 0)} is low`,
  goodPh: ({ ph }) => `pH ${plainFigure(ph ?? 0)} is in the usual range`,
  magnesiumLow: () => 'the last soil test found little magnesium',
  magnesiumEnough: () => 'the last soil test found enough magnesium',
  muchAsh: ({ ashLastYearGPerM2 }, m) => `${m.areaMass(ashLastYearGPerM2)} of ash within a year`,
  rawCharRecent: ({ rawCharWithinDays }) => `raw char went in ${rawCharWithinDays} days ago`,
  noRawChar: () => 'no raw char within four months',
  muchFed: ({ fedRecentlyG }, m) => `${m.rate(fedRecentlyG)} of quick nitrogen within three weeks`,
  littleFed: () => 'hardly any quick nitrogen within three weeks',
  justPlanted: ({ daysSincePlanting }) => `planted ${daysSincePlanting ?? 'a few'} days ago`,
  longPlanted: ({ daysSincePlanting }) => `has stood for ${daysSincePlanting} days`,
};

export function evidenceWords(code: EvidenceCode, facts: PaleFacts, measures: Measures): string {
  return code in EVIDENCE_WORDS
    ? EVIDENCE_WORDS[code as ModelEvidence](facts, measures)
    : PLANT_SIGN_WORDS[code as PlantSign];
}

const LIST = new Intl.ListFormat('en');

/** What a remedy is, with the amount for this bed. */
export function remedyWords(
  { what }: RemedyOutcome,
  {
    areaM2,
    measures,
    today,
  }: { readonly areaM2: number; readonly measures: Measures; readonly today: number },
): string {
  switch (what.code) {
    case 'wait':
      return 'Do nothing';
    case 'feed':
      return `Feed ${LIST.format(
        what.doses.map(
          ({ day, nitrogenGPerM2 }) =>
            `${measures.nitrogen(nitrogenGPerM2 * areaM2)} ${day === today ? 'today' : `on ${dateNear(day, today)}`}`,
        ),
      )} of quick nitrogen`;
    case 'workIn':
      return `Work ${measures.volume(what.thicknessCm * 10 * areaM2)} of worm castings into the top ${measures.thickness(what.depthCm)}`;
    case 'water':
      return `Water with ${measures.liquid(what.waterMm * areaM2)} (${measures.water(what.waterMm)}), slowly`;
  }
}

/** What the model expects after it. */
export function outcomeWords({
  outcome: { greenDay, missedG, what },
  isPaleByModel,
  nothingMissedG,
  areaM2,
  measures,
  today,
}: {
  readonly outcome: RemedyOutcome;
  readonly isPaleByModel: boolean;
  readonly nothingMissedG: number;
  readonly areaM2: number;
  readonly measures: Measures;
  readonly today: number;
}): string {
  const gained = (nothingMissedG - missedG) * areaM2;
  const saved =
    what.code === 'wait'
      ? `the crop misses ${measures.nitrogen(missedG * areaM2)}`
      : Math.abs(gained) < 0.05
        ? 'it makes no difference to the crop'
        : `the crop misses ${measures.nitrogen(Math.abs(gained))} ${gained > 0 ? 'less' : 'more'}`;
  if (!isPaleByModel) return `The model does not see it pale today. In the four months from today ${saved}.`;
  return greenDay === null
    ? `Still pale in four months according to the model; ${saved}.`
    : `Green again about ${dateNear(greenDay, today)} according to the model; ${saved}.`;
}
