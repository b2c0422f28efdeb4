import { describe, expect, it } from 'vitest';
import type { BedPlan } from '../core/bed/plan/bed-plan.ts';
import type { Caution } from '../core/bed/advice/cautions.ts';
import { dayNumberFromIso } from '../core/ground/climate/calendar.ts';
import { total } from '../core/ground/index.ts';
import type { FeedingPlan, PlannedDose } from '../core/bed/plan/feeding-plan.ts';
import { SCHOOL_RULES } from '../core/bed/advice/schools.ts';
import { lockUpAnswer, type BedNames } from './advice-words.ts';
import { doseAnswer } from './feeding-words.ts';
import { plantingAnswer } from './planting-words.ts';
import { measuresOf } from './measures.ts';
import { cautionInWords } from './words.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const today = day('2026-05-14');
const metric = measuresOf({ measures: 'metric' });
const customary = measuresOf({ measures: 'customary' });

const quiet: BedPlan = {
  today,
  status: 'resting',
  contact: null,
  root: null,
  heldNowG: { contact: 0, root: 0 },
  feeding: null,
  coming: [],
  planting: [],
  waits: [],
  conflicts: [],
  limits: [],
  prospects: [],
  workings: [],
  rules: SCHOOL_RULES.byDepth,
};
const window = {
  fromDay: day('2026-04-02'),
  peakDay: day('2026-08-15'),
  peakG: 3.2,
  nowG: 0.6,
  halfBackDay: day('2027-05-12'),
  causes: [
    { layerId: 'Chips', share: 0.7 },
    { layerId: 'Straw', share: 0.2 },
  ],
};
const contact = { zone: 'contact' as const, ...window };
const root = { zone: 'root' as const, ...window, peakG: 9 };

const dose = (iso: string, nitrogenGPerM2: number): PlannedDose => ({
  day: day(iso),
  neededDay: day(iso) + 7,
  nitrogenGPerM2,
  materialId: 'feather_meal',
  cropIds: ['crop'],
  unmetWithoutG: 1,
  unmetWithG: 0,
  reserveGPerM2: 0,
});
const withDoses = (doses: PlannedDose[], change: Partial<FeedingPlan> = {}): BedPlan => ({
  ...quiet,
  feeding: {
    cropIds: ['crop'],
    hungryIds: ['crop'],
    untilDay: day('2026-09-01'),
    doses,
    priceGPerM2: total(doses.map(({ nitrogenGPerM2 }) => nitrogenGPerM2)),
    postponed: new Map(),
    waitingCostsGPerM2: null,
    unmet: [],
    fed: [],
    yearG: 10,
    capG: 25,
    ...change,
  },
  prospects: [
    {
      id: 'crop',
      plantDay: today,
      harvestDay: day('2026-09-01'),
      demandG: 10,
      shortG: 4,
      paleDays: 30,
      firstPaleDay: null,
      shortWithoutMaterialsG: 1,
      paleDaysWithoutMaterials: 0,
      verdict: 'losesGrowth',
    },
  ],
});
const names: BedNames = { crops: () => 'Sweetcorn', layer: (id) => id };
const product = () => ({
  name: 'feather meal',
  dose: (g: number) => ({
    materialId: 'feather_meal',
    availability: 0.75,
    nitrogenGPerKg: 130,
    massFreshKg: g / 100,
    volumeL: g / 50,
    waterL: 0,
    parts: g > 7 ? 2 : 1,
  }),
});
const feedingSetting = { areaM2: 5, potCount: null, names, measures: metric, product };

describe('lock-up in words', () => {
  it('says that there is none', () =>
    expect(lockUpAnswer(quiet, names, metric).headline).toBe('Nothing locked up'));
  it('says what is still held once a lock-up is past, and what is too little to feel', () => {
    const held = (contactG: number, rootG: number) =>
      lockUpAnswer({ ...quiet, heldNowG: { contact: contactG, root: rootG } }, names, metric);
    expect(held(0, 0.04).headline).toBe('Nothing locked up');
    expect(held(0, 0.1)).toMatchObject({
      headline: 'Too little to feel',
      details: ['Decomposers hold 0.1 g/m² in the root zone: less than a crop feels.'],
    });
    expect(held(0.4, 1.2)).toMatchObject({
      headline: 'More than half is back',
      details: [
        'The lock-up is past. Decomposers still hold 0.4 g/m² in the top 5 cm and 1.2 g/m² in the root zone, and go on giving it back.',
      ],
    });
    expect(
      lockUpAnswer({ ...quiet, contact, heldNowG: { contact: 0.6, root: 1.2 } }, names, metric).details,
    ).toContain('In the root zone more than half is back; 1.2 g/m² is still held there.');
  });
  it('keeps the zones apart', () => {
    expect(lockUpAnswer({ ...quiet, contact }, names, metric)).toMatchObject({
      headline: 'Top 5 cm only, until mid May 2027',
      isStop: false,
      details: [
        'Top 5 cm: locked up since early April, 0.6 g/m² now, at most 3.2 g/m² in mid August.',
        'Locked up by chips (70 %), and partly by straw.',
        'The root zone is hardly touched.',
      ],
    });
    expect(lockUpAnswer({ ...quiet, contact, root }, names, metric)).toMatchObject({
      headline: 'Root zone, until mid May 2027',
      isStop: true,
    });
  });
  it('speaks in the measures of the garden', () => {
    expect(lockUpAnswer({ ...quiet, contact }, names, customary).headline).toBe(
      'Top 2 in only, until mid May 2027',
    );
  });
  it('says when it comes, and when no end is in sight', () => {
    const later = { ...contact, fromDay: day('2026-07-01'), halfBackDay: null };
    const answer = lockUpAnswer({ ...quiet, contact: later }, names, metric);
    expect(answer.headline).toBe('Top 5 cm only, from early July');
    const endless = lockUpAnswer({ ...quiet, contact: { ...contact, halfBackDay: null } }, names, metric);
    expect(endless.headline).toBe('Top 5 cm only, for more than two years');
    expect(answer.details[0]).toContain('locked up from early July, at most');
  });
});

describe('doses in words', () => {
  it('says when there is nothing to feed, or no need', () => {
    expect(doseAnswer(quiet, feedingSetting).headline).toBe('Nothing to feed');
    expect(doseAnswer(withDoses([], { hungryIds: [] }), feedingSetting)).toMatchObject({
      headline: 'No feed needed',
      details: ['Sweetcorn finds enough.'],
    });
  });
  it.each([
    ['tooLate', /so close to the harvest/],
    ['afterMidsummer', /soft shoots that frost takes/],
    ['cap', /more than 25.0 g\/m² of nitrogen in a year/],
    ['atOnce', /no more can be given at a time/],
    ['swallowed', /what you spread would take up more/],
    ['littleEach', /enough missing to be worth a walk/],
    ['tooCold', /too cold to feed/],
  ] as const)('says why a need stays unmet: %s', (reason, words) => {
    const standing = withDoses([], {
      unmet: [{ cropId: 'crop', missedG: 3, demandG: 12, reason }],
    });
    const { headline, details } = doseAnswer(standing, feedingSetting);
    expect(headline).toBe('No dose is worth its cost');
    expect(details[0]).toMatch(/^Sweetcorn will still miss 25 % of its need: /);
    expect(details[0]).toMatch(words);
  });
  it('adds the doses up for the whole bed, dates them, names crop and product, and prices them', () => {
    const { headline, details } = doseAnswer(
      withDoses([dose('2026-05-20', 6), dose('2026-06-17', 4)]),
      feedingSetting,
    );
    expect(headline).toBe('50 g nitrogen in 2 doses');
    expect(details.slice(0, 2)).toEqual([
      '30 g on 20 May for sweetcorn: 60 g or 0.51 cups of feather meal.',
      '20 g on 17 June for sweetcorn: 40 g or 0.34 cups of feather meal.',
    ]);
    expect(details).toContain('50 g of it is needed because of what you spread.');
    expect(details).toContain(
      'Unfed, sweetcorn gets 60 % of the nitrogen it needs (90 % on bare soil), pale for 30 days.',
    );
  });
  it('says what bare soil would want', () => {
    const { details } = doseAnswer(withDoses([dose('2026-05-20', 8)], { priceGPerM2: -2 }), feedingSetting);
    expect(details).toContain('Bare soil would need 10 g more.');
  });
});

describe('planting in words', () => {
  const inMetric = { measures: metric, names };
  const dates = (seedlings: number | null, waitFor: 'cold' | 'lockedUp' | null, missed = 0) => ({
    ...quiet,
    planting: (['seedlings', 'transplants'] as const).map((start) => ({
      start,
      day: start === 'seedlings' ? seedlings : today,
      waitFor,
      missedShare: missed,
      missedShareBare: missed,
      coverCm: null,
    })),
  });
  it('says now, when, why, or never', () => {
    expect(plantingAnswer(dates(today, null), inMetric)).toMatchObject({
      headline: 'Sow now',
      details: ['For crops in general; nothing is planned here.', 'Transplants now.'],
      isStop: false,
    });
    expect(plantingAnswer(dates(day('2026-06-20'), 'lockedUp'), inMetric)).toMatchObject({
      headline: 'Sow from 20 June',
      isStop: true,
    });
    expect(plantingAnswer(dates(day('2027-03-01'), 'cold'), inMetric).details).toContain(
      'Seeds: it is too cold before.',
    );
    expect(plantingAnswer(dates(null, 'lockedUp'), inMetric).headline).toBe(
      'Sow not within a year, unless fed',
    );
    expect(plantingAnswer({ ...quiet, status: 'path' }, inMetric).headline).toBe('Not for sowing');
  });
  it('tells a hungry soil from a locked one', () => {
    expect(plantingAnswer(dates(today, null, 0.3), inMetric).details.at(-1)).toContain('hungry by itself');
  });
});

describe('cautions in words', () => {
  const all: Caution[] = [
    { code: 'rawManure', touchingSoilDay: day('2026-09-11'), otherwiseDay: day('2026-08-12') },
    { code: 'urine', harvestDay: day('2026-06-13') },
    { code: 'persistentWeedkiller' },
    { code: 'metals' },
    { code: 'plastic' },
    { code: 'compostDust' },
    { code: 'charDust' },
    { code: 'unchargedChar' },
    { code: 'keepOffTrunk' },
    { code: 'deepLayer' },
    { code: 'wetClay' },
    { code: 'veryDeep', thicknessCm: 90, ifFeetCm: 27.4 },
    { code: 'muchNitrogen', gPerM2: 8 },
  ];
  it.each(all.map((caution) => [caution.code, caution] as const))('%s is a whole sentence', (_, caution) => {
    expect(cautionInWords(caution, metric)).toMatch(/^[A-Z0-9].*\.$/);
    expect(cautionInWords(caution, metric)).not.toMatch(/undefined|NaN|!/);
  });
  it('name the dates and put local rules first', () => {
    expect(cautionInWords(all[0], metric)).toContain('11 September 2026');
    expect(cautionInWords(all[0], metric)).toContain('local food-safety rules come first');
  });
});
