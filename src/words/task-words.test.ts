import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../tests/fixtures/books.ts';
import type { EntryRecord } from '../records/entry.ts';
import { PLANT_SIGNS } from '../records/vocabulary.ts';
import type { Observed } from '../records/journal.ts';
import { CHECKS, TASK_GROUPS, type Task, type TaskWhat } from '../core/season/agenda/tasks.ts';
import { CAUSES, EVIDENCE, type PaleFacts } from '../core/bed/diagnosis/causes.ts';
import type { Expected } from '../core/season/journal/expectation.ts';
import {
  expectedInWords,
  observationLine,
  observedInWords,
  PLANT_SIGN_WORDS,
  verdictWords,
} from './journal-words.ts';
import { learntSentences } from './learnt-words.ts';
import { measuresOf } from './measures.ts';
import { CAUSE_WORDS, evidenceWords, outcomeWords, remedyWords } from './pale-words.ts';
import {
  lateCostWords,
  minutesInWords,
  minutesOf,
  placeWords,
  TASK_GROUP_MARKS,
  TASK_GROUP_WORDS,
  taskReason,
  tasksWords,
  taskWords,
  warningWords,
} from './task-words.ts';
import { shortTaskWords } from './short-task-words.ts';
import { differenceInWords } from './trial-words.ts';
import { planWords, testSentences } from './year-words.ts';

const metric = measuresOf({ measures: 'metric' });
const customary = measuresOf({ measures: 'customary' });
const stamp = { version: 1, createdAt: '', updatedAt: '', note: '' };
const chips: EntryRecord = {
  ...stamp,
  id: 'chips',
  bedId: 'bed',
  type: 'lay',
  state: 'laid',
  date: '2026-03-01',
  materialId: 'chips_mixed',
  lotId: null,
  amount: 5,
  unit: 'cm',
  massFreshKg: 70,
  dugDepthCm: 0,
  seasonedMonths: 0,
};
const names = {
  beds: [bedOf({ name: 'North' })],
  entries: [chips],
  plantings: [plantingOf()],
  materials: [],
  crops: [],
  lots: [],
};
const taskOf = (what: TaskWhat): Task => ({
  key: 'k',
  group: 'laying',
  what,
  bedId: 'bed',
  lotId: null,
  day: 739_750,
  record: null,
  warnings: [],
  lateCost: null,
});
const isClean = (text: string) => {
  expect(text).not.toMatch(/undefined|NaN|null|\[object|—/);
  expect(text.length).toBeGreaterThan(2);
};
const entry = { ...stamp, id: 'e', bedId: 'bed', state: 'planned' as const, date: '2026-06-01' };

const WHATS: readonly TaskWhat[] = [
  { code: 'entry', entry: { ...chips, state: 'planned' } },
  { code: 'entry', entry: { ...entry, type: 'feed', nitrogenG: 20 } },
  { code: 'entry', entry: { ...entry, type: 'water', waterMm: 10 } },
  { code: 'entry', entry: { ...entry, type: 'dig', layerId: 'chips', dugDepthCm: 10 } },
  { code: 'entry', entry: { ...entry, type: 'dig', layerId: null, dugDepthCm: 10 } },
  { code: 'entry', entry: { ...entry, type: 'takeOff', layerId: 'chips', shareTakenOff: 0.5 } },
  {
    code: 'entry',
    entry: {
      ...entry,
      type: 'soilTest',
      amount: 1,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
      ph: null,
      organicMatterPct: null,
    },
  },
  { code: 'plant', cropId: 'leek', isSown: false, objections: [] },
  {
    code: 'plant',
    cropId: 'leek',
    isSown: true,
    objections: [
      { code: 'cold', meanC: 5, needsC: 8 },
      { code: 'hot', meanC: 30, bearsC: 26 },
      { code: 'burn', untilDay: null },
      { code: 'burn', untilDay: 739_760 },
      { code: 'buildUp', untilDay: 739_760 },
      { code: 'cover', coverCm: 8, deepestCm: 1.5 },
      { code: 'rawManure', earliestDay: 739_800 },
      { code: 'lockedUp', missedShare: 0.4 },
    ],
  },
  { code: 'clear', cropId: 'leek' },
  {
    code: 'dose',
    nitrogenG: 12,
    materialId: 'blood_meal',
    massFreshKg: 0.12,
    lotId: null,
    cropIds: ['planting'],
    missedWithoutG: 5,
    missedWithG: 1,
    waitingCostsG: 2,
  },
  {
    code: 'dose',
    nitrogenG: 12,
    materialId: 'blood_meal',
    massFreshKg: 0.12,
    lotId: null,
    cropIds: ['planting'],
    missedWithoutG: 0,
    missedWithG: 0,
    waitingCostsG: null,
  },
  { code: 'topUp', nowCm: 2.4, addCm: 3.6, materialId: 'chips_mixed' },
  { code: 'liftPath', layerIds: ['chips'], years: 2.5, recognizableShare: 0.3, isCrumbs: true },
  { code: 'liftPath', layerIds: ['chips'], years: 2.5, recognizableShare: 0.8, isCrumbs: false },
  { code: 'safe', start: 'seedlings' },
  { code: 'harvestFrom', cropId: 'leek', raw: 'manure' },
  { code: 'firstFrost', plantingIds: ['planting'], firstDay: 739_760 },
  { code: 'lateFrost', plantingId: 'planting', untilDay: 739_760 },
  { code: 'heat', plantingId: 'planting', meanC: 26 },
  ...CHECKS.map((check): TaskWhat => ({
    code: 'check',
    check,
    aboutId: check === 'leaves' ? 'planting' : 'chips',
  })),
  { code: 'retest', what: 'soil' },
  { code: 'retest', what: 'phAfterAsh' },
  { code: 'closeYear', year: 2026 },
  { code: 'charReady' },
  { code: 'stirCharge' },
  { code: 'coldCheck' },
  { code: 'measureChar' },
  { code: 'turnHeap', days: 10 },
  { code: 'seasoned' },
  { code: 'finished' },
  { code: 'short', missingL: 120 },
  { code: 'brewStep', brewId: 'nativeStarter', step: 'lookForMould' },
  { code: 'brewReady', brewId: 'nativeStarter', lastDay: 739_760 },
  { code: 'brewUseBy', brewId: 'nativeStarter' },
];

describe('tasks in words', () => {
  it('say what is to be done', () => {
    expect(WHATS.map((what) => taskWords(taskOf(what), names, metric))).toEqual([
      'Spread Wood chips, mixed branches and stems: 5 cm thick (70 kg)',
      'Feed 20 g of nitrogen',
      'Water with 10 mm',
      'Dig in wood chips, mixed branches and stems, 10 cm deep',
      'Dig in everything on top, 10 cm deep',
      'Take off 50 % of wood chips, mixed branches and stems',
      'Have the soil tested, as planned',
      'Plant leek',
      'Sow leek',
      'Harvest and clear leek',
      'Feed leek: 12 g of nitrogen as 120 g of blood meal',
      'Feed leek: 12 g of nitrogen as 120 g of blood meal',
      'Top up with 3.6 cm of wood chips, mixed branches and stems',
      'Lift the bottom of the path: it has become crumbs',
      'Look under the path: is its bottom crumbs yet?',
      'From here seed may be sown: what you spread no longer starves them',
      'From here leek may be harvested after the raw manure',
      'Pick or cover before the first frost: leek',
      'Cover leek when a cold night is forecast',
      'Shade and water leek: the heat begins',
      'Look under the cover: wood chips, mixed branches and stems should be dark and smell sweet',
      'Look for worms in the wood chips, mixed branches and stems',
      'Is the wood chips, mixed branches and stems dark crumbs by now?',
      'Look for white threads under the wood chips, mixed branches and stems',
      'Look at the leaves of the leek: nitrogen is locked up beneath them',
      'Measure how much of the wood chips, mixed branches and stems is left',
      'Sample the soil: mineral nitrogen, pH, organic matter',
      'Test the pH before any more ash',
      'Close the books of 2026',
      'Charged char is ready',
      'Stir the charge',
      'Feel for warmth to the bottom of the fire pit: heaps re-light hours later',
      'Measure what the fire gave',
      'Turn the heap',
      'Seasoned: down to half of the lock-up it had when fresh',
      'Finished compost',
      'Will be short by 120 L of what is planned',
      'Native-soil starter: look at its mold: white, yellow or pink is right; blue, green or black is not',
      'Native-soil starter is ready',
      'Native-soil starter: last day to use it',
    ]);
  });

  it('say it in a few words where there is little room, and never a code', () => {
    const short = WHATS.map((what) => shortTaskWords(taskOf(what), names));
    for (const words of short) {
      isClean(words);
      expect(words.length, words).toBeLessThan(50);
      expect(words.replace('pH', '')).not.toMatch(/[a-z][A-Z]|_/);
    }
    expect(short.slice(0, 10)).toEqual([
      'Spread wood chips, mixed branches and stems',
      'Feed',
      'Water',
      'Dig in',
      'Dig in',
      'Take off mulch',
      'Test the soil',
      'Plant leek',
      'Sow leek',
      'Clear leek',
    ]);
  });
  it('say once what is to be done on several beds, a check without a name of any layer', () => {
    const onBeds = (what: TaskWhat, ...bedIds: string[]) =>
      tasksWords(
        bedIds.map((bedId) => ({ ...taskOf(what), bedId })),
        names,
        metric,
      );
    expect(onBeds({ code: 'closeYear', year: 2026 }, 'a', 'b', 'c')).toBe('3 beds: Close the books of 2026');
    expect(onBeds({ code: 'check', check: 'threads', aboutId: 'chips' }, 'a', 'a', 'a')).toBe(
      '3 times: Look for white threads under the layers',
    );
    for (const check of CHECKS) {
      const words = onBeds({ code: 'check', check, aboutId: 'chips' }, 'a', 'b', 'b');
      expect(words).toMatch(/^2 beds: [A-Z]/);
      expect(words).not.toContain('wood chips');
    }
  });
  it.each(WHATS.map((what) => [what.code, what] as const))('%s', (_, what) => {
    for (const measures of [metric, customary]) {
      isClean(taskWords(taskOf(what), names, measures));
      const reason = taskReason(taskOf(what), measures, 739_750);
      if (reason !== '') expect(reason).toMatch(/[.]$/);
    }
  });
  it('say about how long they take, where anything is to be done', () => {
    expect([null, 0, 2, 22, 58, 95, 200].map(minutesInWords)).toEqual([
      '',
      '',
      'about 5 min',
      'about 20 min',
      'about 1 h',
      'about 1.5 h',
      'about 3.5 h',
    ]);
    for (const what of WHATS) {
      const minutes = minutesOf(taskOf(what), names);
      if (minutes !== null) expect(minutes, what.code).toBeGreaterThan(0);
    }
    // 70 kg of chips are one barrow.
    expect(minutesOf(taskOf(WHATS[0]), names)).toBe(24);
  });
  it('say where, and have a word and a mark of their own for every group', () => {
    expect(placeWords(taskOf(WHATS[0]), names)).toBe('North');
    expect(placeWords({ bedId: null, lotId: null }, names)).toBe('');
    expect(new Set(TASK_GROUPS.map((group) => TASK_GROUP_MARKS[group])).size).toBe(TASK_GROUPS.length);
    for (const group of TASK_GROUPS) isClean(TASK_GROUP_WORDS[group]);
  });
  it('say what being late costs, or gains, and what the ground is like', () => {
    const cost = { lateDays: 12, cropMissesG: 1.2, paleDays: 5, lostNitrogenG: -0.4 };
    expect(lateCostWords(cost, 5, metric)).toBe(
      '12 days late: done today instead, the crops miss 6.0 g of nitrogen more, 5 pale days more, 2.0 g less goes to air and groundwater.',
    );
    expect(
      lateCostWords({ lateDays: 1, cropMissesG: 0, paleDays: 0, lostNitrogenG: 0 }, 5, metric),
    ).toContain('no difference');
    expect(warningWords({ code: 'coldSoil', temperatureC: 5 }, metric)).toContain('5 °C');
    expect(warningWords({ code: 'wetClay', rainMm: null }, customary)).toContain(
      'that month brings more rain',
    );
    expect(warningWords({ code: 'wetClay', rainMm: 22 }, metric)).toContain('22 mm of rain were measured');
    expect(warningWords({ code: 'downpour', rainMm: 40 }, metric)).toContain('soon washed out');
  });
});

describe('the log in words', () => {
  const seen: readonly Observed[] = [
    { type: 'leafColor', step: 2 },
    { type: 'growth', vigor: 'slow' },
    { type: 'threads', amount: 'some' },
    { type: 'worms', count: 1 },
    { type: 'thickness', layerId: null, thicknessCm: 3 },
    { type: 'smell', smell: 'sour' },
    { type: 'squeeze', squeeze: 'dusty' },
    { type: 'waterBehavior', behavior: 'runsOff' },
    { type: 'hours', hours: 2 },
    { type: 'soilTemperature', temperatureC: 12 },
    { type: 'yield', massKg: 3 },
    { type: 'signs', signs: ['greenVeins', 'soilDry'], beganOn: null },
    { type: 'signs', signs: [], beganOn: null },
    { type: 'note' },
  ];
  it('says everything that can be seen', () => {
    for (const observed of seen) isClean(observedInWords(observed, customary));
    expect(observationLine({ observed: { type: 'note' }, note: 'slugs' }, metric)).toBe('slugs');
    expect(observationLine({ observed: { type: 'note' }, note: '' }, metric)).toBe('Photo');
    expect(observationLine({ observed: { type: 'worms', count: 1 }, note: 'pink' }, metric)).toBe(
      '1 worm in a spadeful. pink',
    );
    for (const sign of PLANT_SIGNS) isClean(PLANT_SIGN_WORDS[sign]);
  });
  it('says what was expected, and calls rot and warmth by their own words', () => {
    const expected: readonly Expected[] = [
      { type: 'leafColor', low: 3, high: 4 },
      { type: 'leafColor', low: 2, high: 2 },
      { type: 'growth', vigor: 'steady' },
      { type: 'thickness', thicknessCm: 4 },
      { type: 'soilTemperature', temperatureC: 11 },
      { type: 'squeeze', low: 'drops', high: 'holds' },
      { type: 'yield', massKg: 2 },
      { type: 'life', isDue: true },
    ];
    for (const one of expected) isClean(expectedInWords(one, metric));
    expect(verdictWords({ expected: expected[3], verdict: 'better' }).word).toContain('faster');
    expect(verdictWords({ expected: expected[4], verdict: 'worse' }).word).toContain('colder');
    expect(verdictWords({ expected: expected[0], verdict: 'worse' }).word).toBe('worse than expected');
  });
});

describe('the diagnosis in words', () => {
  const facts: PaleFacts = {
    paleness: 0.4,
    heldInRootsReachG: 1,
    availableInReachG: 2,
    isLegume: false,
    daysSincePlanting: 30,
    daysFromMulchToSigns: 20,
    isWoodDugIn: true,
    temperatureC: 12,
    topsoilDryness: 0.3,
    isWetMonth: false,
    isHeavyClay: false,
    ph: 6.5,
    magnesiumRating: null,
    ashLastYearGPerM2: 120,
    rawCharWithinDays: 40,
    fedRecentlyG: 4,
    isSown: true,
    isShortByPlan: true,
  };
  it('names every cause with a test and a remedy, and every piece of evidence', () => {
    for (const cause of CAUSES) {
      const { name, test, remedy } = CAUSE_WORDS[cause];
      [name, test(metric), remedy(metric)].forEach(isClean);
    }
    for (const { code } of EVIDENCE) isClean(evidenceWords(code, facts, metric));
  });
  it('says remedies with amounts for the bed and what the model expects after them', () => {
    const doses = [
      { day: 739_750, nitrogenGPerM2: 3 },
      { day: 739_764, nitrogenGPerM2: 2 },
    ];
    const feed = { what: { code: 'feed', doses } as const, greenDay: 739_760, missedG: 1 };
    const setting = { areaM2: 5, measures: metric, today: 739_750 };
    expect(remedyWords(feed, setting)).toMatch(/^Feed 15 g today and 10 g on .* of quick nitrogen$/);
    expect(
      remedyWords(
        { ...feed, what: { code: 'workIn', materialId: 'worm_castings', thicknessCm: 1, depthCm: 3 } },
        setting,
      ),
    ).toContain('50 L');
    expect(remedyWords({ ...feed, what: { code: 'water', waterMm: 12 } }, setting)).toContain('60 L');
    expect(
      outcomeWords({
        outcome: feed,
        isPaleByModel: true,
        nothingMissedG: 3,
        areaM2: 5,
        measures: metric,
        today: 739_750,
      }),
    ).toMatch(/^Green again about .* the crop misses 10 g less\.$/);
    expect(
      outcomeWords({
        outcome: { ...feed, greenDay: null },
        isPaleByModel: true,
        nothingMissedG: 1,
        areaM2: 5,
        measures: metric,
        today: 739_750,
      }),
    ).toContain('Still pale');
    expect(
      outcomeWords({
        outcome: { ...feed, what: { code: 'wait' } },
        isPaleByModel: false,
        nothingMissedG: 1,
        areaM2: 5,
        measures: metric,
        today: 739_750,
      }),
    ).toContain('does not see it pale today');
  });
});

describe('trials, years and learning in words', () => {
  const trial = {
    ...stamp,
    kind: 'trial' as const,
    id: 't',
    gardenId: 'g',
    date: '2026-05-01',
    bedId: null,
    name: 'Pots',
    place: 'pots' as const,
    treatments: ['none', 'some'],
    repeats: 4,
    seed: 1,
    measure: 'height',
    unit: 'cm',
    isMoreBetter: true,
  };
  const difference = {
    treatment: 1,
    difference: 2,
    low: 1,
    high: 3,
    method: 'withinBlocks' as const,
    repeatsToTell: null,
  };
  it('never say more than the pots do', () => {
    expect(differenceInWords({ ...difference, verdict: 'better' }, trial)).toBe(
      'some: better than none in height. +2 cm (between +1 and +3 cm, 19 times in 20), each pot compared with its neighbor.',
    );
    expect(differenceInWords({ ...difference, verdict: 'tooFew', low: null, high: null }, trial)).toContain(
      'too few pots to tell',
    );
    expect(differenceInWords({ ...difference, verdict: 'cannotTell', repeatsToTell: 12 }, trial)).toContain(
      'about 12 pots of each',
    );
    expect(differenceInWords({ ...difference, verdict: 'noDifference' }, trial)).toContain('that matters');
    expect(differenceInWords({ ...difference, verdict: 'tooFew', difference: null }, trial)).toBe(
      'some: not measured yet.',
    );
  });
  it('say what a choice plans and what a test found', () => {
    const outcome = {
      mulchNextSpringCm: 1,
      peakHeldG: 1,
      feedNextYearG: 0,
      organicMatterInThreeYearsPct: 4,
      pulledCarbonG: 0,
    };
    expect(planWords({ ...outcome, choice: 'stack', plan: [] }, () => 'chips')).toContain('planned already');
    expect(
      planWords(
        { ...outcome, choice: 'pull', plan: [{ type: 'takeOff', date: '2026-11-11', layerId: 'chips' }] },
        () => 'chips',
      ),
    ).toBe('11 Nov 2026: chips off');
    const test = {
      entryId: 't',
      day: 1,
      mineralNitrogenG: 3,
      expectedMineralNitrogenG: 2,
      organicMatterPct: 4.2,
      expectedOrganicMatterPct: 4,
      ph: 6.4,
      nutrients: [],
    };
    expect(testSentences(test, metric)).toHaveLength(3);
  });
  it('say what was learnt, and when the evidence was weakened', () => {
    const sentences = learntSentences(
      {
        points: 1,
        draws: 400,
        effectiveDraws: 30,
        evidenceUsed: 0.6,
        rates: [
          { layerId: 'chips', factor: 1.4, low: 1.1, high: 1.8 },
          { layerId: 'chips', factor: 1, low: 0.8, high: 1.2 },
        ],
        inputs: [{ input: 'exposure', before: 0.5, after: 0.7 }],
      },
      { crops: () => 'Leek', layer: () => 'Hazel chips' },
    );
    expect(sentences[0]).toBe(
      'Hazel chips: rotting here about 1.4 times as fast as the model expects (likely 1.1 to 1.8).',
    );
    expect(sentences[1]).toContain('about as fast as the model expects');
    expect(sentences[2]).toContain('rather high in its range (50 % before, 70 % now)');
    expect(sentences[3]).toContain(
      'Learned from 1 measurement, at 60 % of their weight, since few of the likely beds fit them: 30 of 400 likely beds agree',
    );
  });
});
