import { describe, expect, it } from 'vitest';
import type { BedPlan } from '../core/bed/plan/bed-plan.ts';
import type { PlanChange } from '../core/bed/plan/plan-changes.ts';
import type { Conflict } from '../core/bed/advice/conflicts.ts';
import { SCHOOL_RULES } from '../core/bed/advice/schools.ts';
import type { HarvestWait } from '../core/bed/advice/waits.ts';
import { BUILD_UP_NOTES } from '../core/bed/build-ups/build-up.ts';
import { BUILD_UPS } from '../core/bed/build-ups/build-up-library.ts';
import { dayNumberFromIso } from '../core/ground/climate/calendar.ts';
import { findLibraryCrop } from '../core/ground/crops/crop-library.ts';
import { findLibraryMaterial } from '../core/ground/materials/library.ts';
import { drawScenario } from '../core/bed/projection/draws.ts';
import type { LikelyRange } from '../core/bed/projection/likely-range.ts';
import { PARAMETER_TABLE } from '../core/model/simulation/parameters.ts';
import { bedScenario } from '../core/bed/books/bed-scenario.ts';
import { bedOf, MILD, plantingOf } from '../../tests/fixtures/books.ts';
import { layOf } from '../../tests/fixtures/laid.ts';
import { BUILD_UP_WORDS, buildUpNote, waitWords } from './build-up-words.ts';
import { conflictInWords, waitInWords } from './conflict-words.ts';
import { cropSentences, monthSpans, phCaution } from './crop-words.ts';
import { measuresOf } from './measures.ts';
import { planChangeSentence } from './plan-change-words.ts';
import { inputWords, rangeSentences } from './range-words.ts';
import { counterpartyWords } from './words.ts';
import { doseWorking, lockUpWorking, plantingWorking } from './workings-words.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const today = day('2026-05-14');
const metric = measuresOf({ measures: 'metric' });
const customary = measuresOf({ measures: 'customary' });
const records = { entry: (id: string) => `Entry ${id}`, planting: (id: string) => `Crop ${id}` };
const names = { crops: () => 'Kale', layer: (id: string) => `Layer ${id}` };

const isSentence = (words: string) => {
  expect(words).toMatch(/^[A-Z0-9].*[.)]$/s);
  expect(words).not.toMatch(/undefined|NaN|!|\[object/);
};

describe('what a plan made anew changes, in words', () => {
  const at = (iso: string) => ({ day: day(iso), cropIds: ['kale'] });
  const all: (readonly [PlanChange, string])[] = [
    [
      { code: 'doseAdded', nitrogenGPerM2: 4, ...at('2026-07-11') },
      'New: feed 20 g of nitrogen on 11 July for kale.',
    ],
    [
      { code: 'doseGone', nitrogenGPerM2: 4, ...at('2026-07-11') },
      'The dose of 11 July (20 g) is no longer planned.',
    ],
    [
      {
        code: 'doseChanged',
        fromDay: day('2026-07-11'),
        fromGPerM2: 8,
        nitrogenGPerM2: 4,
        ...at('2026-07-11'),
      },
      'The dose of 11 July drops from 40 g to 20 g.',
    ],
    [
      {
        code: 'doseChanged',
        fromDay: day('2026-06-13'),
        fromGPerM2: 4,
        nitrogenGPerM2: 8,
        ...at('2026-07-08'),
      },
      'The dose of 13 June moves to 8 July and rises from 20 g to 40 g.',
    ],
    [
      { code: 'missedShare', cropId: 'kale', fromShare: 0.02, share: 0.2 },
      'Kale, fed as planned, will miss 20 % of the nitrogen it needs; it was 2 %.',
    ],
    [
      { code: 'startMoved', start: 'seedlings', fromDay: today, day: day('2026-06-03') },
      'Sow from 3 June; it was now.',
    ],
    [
      { code: 'startMoved', start: 'transplants', fromDay: today, day: null },
      'Transplant not within a year; it was now.',
    ],
  ];
  it.each(all)('%o', (change, sentence) => {
    expect(planChangeSentence(change, { areaM2: 5, today, names, measures: metric })).toBe(sentence);
    isSentence(planChangeSentence(change, { areaM2: 5, today, names, measures: customary }));
  });
});

describe('a crop in words', () => {
  const at = { startsAs: 'transplant' as const, areaM2: 10, climate: MILD };
  it('tells when it starts here, its room, and what a harvest takes off, in either system', () => {
    const tomato = findLibraryCrop('tomato')!;
    const told = cropSentences(tomato, at, metric);
    told.forEach(isSentence);
    cropSentences(tomato, at, customary).forEach(isSentence);
    expect(told[0]).toMatch(/^Here it is planted out from [A-Z][a-z]+ to [A-Z][a-z]+\.$/);
    expect(told.join(' ')).toContain('takes off 110 g of nitrogen');
    expect(cropSentences(findLibraryCrop('rye')!, at, metric).join(' ')).not.toContain('harvest');
  });
  it('says where no month suits it, and where all do', () => {
    const cold = { ...at, climate: { ...MILD, temperatureC: MILD.temperatureC.map((mean) => mean - 20) } };
    expect(cropSentences(findLibraryCrop('tomato')!, cold, metric)[0]).toContain('no month suits');
    const hot = { ...at, climate: { ...MILD, temperatureC: MILD.temperatureC.map(() => 26) } };
    expect(cropSentences(findLibraryCrop('tomato')!, hot, metric)[0]).toContain('all year');
  });
  it('has months in a row as spans, over the turn of the year too', () => {
    expect(monthSpans([3, 4, 5, 9])).toBe('March to May and September');
    expect(monthSpans([1, 2, 11, 12])).toBe('November to February');
  });
  it('warns of soil that is too sour or too sweet for it, where that is known', () => {
    const blueberry = findLibraryCrop('blueberry')!;
    expect(phCaution(blueberry, { ph: 7.2 })).toContain('wants soil of pH 4.0 to 5.3');
    expect(phCaution(blueberry, { ph: 4.8 })).toBeNull();
    expect(phCaution(blueberry, { ph: null })).toBeNull();
  });
});

describe('conflicts in words', () => {
  const all: Conflict[] = [
    { code: 'limeWithAmmonium', limeId: 'a', nitrogenId: 'b', day: today },
    { code: 'ashOnHighPh', entryId: 'a', ph: 7.8 },
    { code: 'muchAsh', gPerM2: 180, day: today },
    { code: 'mulchOnTrunk', entryId: 'a' },
    { code: 'rawCharBeforeCrop', entryId: 'a', plantingId: 'p' },
    { code: 'wetClayWorked', entryId: 'a', day: today },
    { code: 'woodDugIntoClay', entryId: 'a' },
    { code: 'coverOverSeed', plantingId: 'p', coverCm: 8, deepestCm: 1.5 },
  ];
  it.each(all.map((one) => [one.code, one] as const))('%s says what to do', (_, conflict) => {
    isSentence(conflictInWords({ conflict, names: records, measures: metric, today }));
    isSentence(conflictInWords({ conflict, names: records, measures: customary, today }));
  });
  it('name what they are about, in the measures of the garden', () => {
    expect(conflictInWords({ conflict: all.at(-1)!, names: records, measures: metric, today })).toContain(
      'Crop p would be sown under 8 cm',
    );
    expect(conflictInWords({ conflict: all.at(-1)!, names: records, measures: customary, today })).toContain(
      'under 3.1 in',
    );
    expect(conflictInWords({ conflict: all[0], names: records, measures: metric, today })).toContain(
      'Entry a and entry b',
    );
  });
  it('put the rule and local rules beside every wait, and say when the plan is too early', () => {
    const wait: HarvestWait = {
      code: 'manure',
      entryId: 'm',
      plantingId: 'p',
      laidDay: day('2026-05-01'),
      days: 120,
      earliestDay: day('2026-08-29'),
      plannedDay: day('2026-08-01'),
      isTooEarly: true,
    };
    const words = waitInWords(wait, records, today);
    isSentence(words);
    expect(words).toContain('no earlier than 29 August');
    expect(words).toContain('120 days, US organic rule');
    expect(words).toContain('Local food-safety rules come first');
    expect(words).toContain('clear it on 1 August: too early');
    expect(waitInWords({ ...wait, code: 'urine', isTooEarly: false }, records, today)).not.toContain(
      'too early',
    );
  });
});

describe('the other side of a posting in words', () => {
  it('reads on after from or to', () => {
    expect(counterpartyWords('deposited', 'deposition', 'From rain and air')).toBe('rain and air');
    expect(counterpartyWords('nativeHumusToRootZone', 'humus', 'Humus')).toBe('native humus');
    expect(counterpartyWords('laidHumusToRootZone', 'humus', 'Humus')).toBe('humus');
    expect(counterpartyWords('harvested', 'harvested', 'Harvested')).toBe('the harvest');
  });
});

describe('build-ups in words', () => {
  it('have a name, an aim, a wait and notes for every one', () => {
    for (const { id, wait, notes } of BUILD_UPS) {
      expect(BUILD_UP_WORDS[id].name).not.toBe('');
      isSentence(BUILD_UP_WORDS[id].aim);
      expect(waitWords(wait)).toMatch(/wait|plant/);
      for (const note of notes) isSentence(buildUpNote(note, metric));
    }
  });
  it('have no note that no build-up uses', () => {
    const used = new Set(BUILD_UPS.flatMap(({ notes }) => notes));
    expect(BUILD_UP_NOTES.filter((note) => !used.has(note))).toEqual([]);
  });
});

describe('the likely range in words', () => {
  const band = (low: number, high: number) => ({ low: [low], middle: [(low + high) / 2], high: [high] });
  const spread = (low: number, high: number) => ({ low, middle: (low + high) / 2, high });
  const range: LikelyRange = {
    draws: 400,
    drawsOfYears: 100,
    availableG: band(1, 2),
    heldG: band(1, 2),
    organicMatterPct: band(3.4, 4.2),
    enoughShare: 0.83,
    missedShare: spread(0, 0.16),
    peakHeldG: spread(2.1, 4.4),
    waterSavedMm: spread(40, 90),
    influences: [
      { input: 'humusDecayPerYear', correlation: -0.6 },
      { input: 'material:c:ratio', correlation: 0.4 },
    ],
    learnt: null,
  };
  it('says how often there is enough, how much is held, saved and left', () => {
    const sentences = rangeSentences({ range, crop: 'kale', names, measures: metric });
    sentences.forEach(isSentence);
    expect(sentences[0]).toBe(
      '8 times out of 10: no shortage for kale. Unfed it gets 84 % to 100 % of the nitrogen it needs.',
    );
    expect(sentences).toContain('Locked up at most in the coming year: 2.1 to 4.4 g/m².');
    expect(sentences).toContain('Organic matter in ten years: 3.4 to 4.2 %.');
    expect(sentences.join(' ')).toContain('40 mm to 90 mm of water a year');
  });
  it('says what to measure, apart from what nobody can', () => {
    const words = rangeSentences({ range, crop: 'kale', names, measures: metric }).join(' ');
    expect(words).toContain(PARAMETER_TABLE.humusDecayPerYear.meaning);
    expect(words).toContain('Of what you can measure: the C:N of the layer c');
    expect(inputWords('material:c:moisture', names)).toContain('weigh and dry');
    expect(inputWords('soil:organicMatter', names)).toContain('laboratory');
  });
  it('names no unit in what nobody can measure: a garden may measure in another', () => {
    const varied = Object.values(PARAMETER_TABLE).filter((row) => 'low' in row);
    expect(varied.length).toBeGreaterThan(20);
    expect(varied.filter(({ meaning }) => /\d ?(?:mm|cm|m|kg|g|L|°C)\b/.test(meaning))).toEqual([]);
  });
  it('has words for everything that is drawn', () => {
    const scenario = bedScenario({
      books: {
        site: { climate: MILD, depositionGPerM2Year: 1 },
        bed: bedOf(),
        entries: [layOf({ id: 'c', date: '2026-05-01', massFreshKg: 70 })],
        crops: [],
        plantings: [plantingOf()],
      },
      findMaterial: findLibraryMaterial,
      today,
      endDay: today + 300,
    });
    const { inputs } = drawScenario(scenario, 1, 1);
    const said = inputs.map(({ input }) => inputWords(input, names));
    expect(said.filter((words) => words.includes('undefined'))).toEqual([]);
    expect(new Set(said).size).toBeGreaterThan(20);
    for (const figure of ['ammonium', 'makeup', 'rate']) {
      expect(inputs.map(({ input }) => input)).toContain(`material:c:${figure}`);
      expect(inputWords(`material:c:${figure}`, names)).toContain('the layer c');
    }
  });
  it('keeps quiet about what it does not know', () => {
    const bare = {
      ...range,
      enoughShare: null,
      organicMatterPct: null,
      influences: [],
      waterSavedMm: spread(0, 0),
    };
    expect(rangeSentences({ range: bare, crop: 'kale', names, measures: metric })).toEqual([
      'Locked up at most in the coming year: 2.1 to 4.4 g/m².',
    ]);
    expect(
      rangeSentences({
        range: { ...bare, peakHeldG: spread(0, 0.04) },
        crop: 'kale',
        names,
        measures: metric,
      }),
    ).toEqual([]);
  });
});

describe('workings in words', () => {
  const advice: BedPlan = {
    today,
    status: 'short',
    rules: SCHOOL_RULES.byDepth,
    prospects: [],
    root: null,
    heldNowG: { contact: 1, root: 0 },
    contact: {
      zone: 'contact',
      fromDay: today,
      peakDay: today + 60,
      peakG: 3.2,
      nowG: 1,
      halfBackDay: null,
      causes: [{ layerId: 'c', share: 1 }],
    },
    workings: [
      {
        layerId: 'c',
        day: today,
        massFreshKg: 10,
        carbonG: 2695,
        nitrogenG: 27,
        carbonToNitrogen: 100,
        quickAndStructuralC: 1860,
        woodyC: 835,
        growthEfficiency: 0.41,
        woodyGrowthEfficiency: 0.12,
        microbialCn: 9.64,
        woodyHumifiedShare: 0.13,
        humusCn: 11,
        wantedG: 99.4,
        broughtG: 27,
        lackingG: 72.4,
      },
    ],
    feeding: {
      cropIds: ['crop'],
      hungryIds: ['crop'],
      untilDay: today + 100,
      doses: [
        {
          day: today,
          neededDay: today + 7,
          nitrogenGPerM2: 4,
          materialId: 'feather_meal',
          cropIds: ['crop'],
          reserveGPerM2: 0,
          unmetWithoutG: 3,
          unmetWithG: 0.4,
        },
      ],
      priceGPerM2: 3,
      postponed: new Map(),
      waitingCostsGPerM2: null,
      unmet: [],
      fed: [],
      yearG: 4,
      capG: 25,
    },
    coming: [],
    waits: [],
    conflicts: [],
    limits: [],
    planting: [
      {
        start: 'seedlings',
        day: null,
        waitFor: 'lockedUp',
        missedShare: 0.4,
        missedShareBare: 0.1,
        coverCm: null,
      },
      {
        start: 'transplants',
        day: today + 7,
        waitFor: null,
        missedShare: 0.05,
        missedShareBare: 0,
        coverCm: null,
      },
    ],
  };
  const product = () => ({
    name: 'feather meal',
    dose: (nitrogenGPerM2: number) => ({
      materialId: 'feather_meal',
      availability: 0.8,
      nitrogenGPerKg: 130,
      massFreshKg: (nitrogenGPerM2 * 10) / 104,
      volumeL: 1,
      waterL: 0,
      parts: 1,
    }),
  });
  const setting = { areaM2: 10, names, measures: metric };
  it('are small sums with this bed’s figures, and say why', () => {
    const steps = [
      ...lockUpWorking(advice, setting),
      ...doseWorking(advice, setting, product),
      ...plantingWorking(advice),
    ];
    expect(steps.map(({ title }) => title)).toEqual([
      expect.stringMatching(/^Layer /),
      'Locked up in the top 5 cm at one time',
      expect.stringMatching(/^Nitrogen on /),
      'As feather meal',
      'Sowing',
      'Planting out',
    ]);
    for (const { rows, result, why } of steps) {
      isSentence(why);
      for (const { name, value } of [...rows, result]) {
        expect(`${name} ${value}`).not.toMatch(/undefined|NaN/);
      }
    }
  });
  it('add up: what microbes need less what the layer brings is what they take', () => {
    const [{ rows, result }] = lockUpWorking(advice, setting);
    expect(rows.slice(1).map(({ value }) => value)).toEqual(['994 g', '− 270 g']);
    expect(result.value).toBe('724 g');
  });
  it('lead from nitrogen to so much of a product, in either system', () => {
    const [, metricStep] = doseWorking(advice, setting, product);
    // 40 g of nitrogen; a kilogram holds 130 g, of which 80 % act.
    expect(metricStep.rows.map(({ value }) => value)).toEqual(['130 g of nitrogen', '104 g', '40 g ÷ 104 g']);
    expect(metricStep.result).toEqual({ name: 'feather meal', value: '380 g' });
    const [, customaryStep] = doseWorking(advice, { ...setting, measures: customary }, product);
    expect(customaryStep.rows[0]).toEqual({ name: '1 lb of it holds', value: '2.08 oz of nitrogen' });
    expect(JSON.stringify(customaryStep)).not.toMatch(/\d (g|kg)\b/);
  });
});
