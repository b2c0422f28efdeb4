import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import type { BedSample } from '../../bed/projection/bed-projection.ts';
import { expectationOf, leafStepsFor, type ExpectationSetting } from './expectation.ts';
import type { Brew, Observed } from '../../../records/journal.ts';
import { checkJournal, type JournalSetting } from './check-journal.ts';
import { checkSoilTest, soilReports } from '../../bed/books/soil-report.ts';

const setting = (
  change: Partial<BedSample> = {},
  more: Partial<ExpectationSetting> = {},
): ExpectationSetting => ({
  sample: {
    topsoilDryness: 0.2,
    mulchCm: 5,
    soilC: [14, 13],
    layers: [{ id: 'chips', kind: 'wood', isOnTop: true, thicknessCm: 5 }],
    crops: [{ id: 'kale', progress: 0.4, rootDepthCm: 30, paleness: 0.4 }],
    ...change,
  } as unknown as BedSample,
  day: dayNumberFromIso('2026-06-14', []),
  climate: MILD,
  cropIds: null,
  layerAges: new Map([['chips', 300]]),
  earlierYieldsKg: [],
  ...more,
});
const verdict = (observed: Observed, ...args: Parameters<typeof setting>) =>
  expectationOf(observed, setting(...args))?.verdict ?? null;

describe('what was seen against what the model expected', () => {
  it('takes leaves by the paleness of the crop', () => {
    expect([0, 0.2, 0.4, 0.8].map((paleness) => leafStepsFor(paleness))).toEqual([
      [3, 4],
      [3, 3],
      [2, 2],
      [1, 1],
    ]);
    expect(verdict({ type: 'leafColor', step: 2 })).toBe('asExpected');
    expect(verdict({ type: 'leafColor', step: 3 })).toBe('better');
    expect(verdict({ type: 'leafColor', step: 1 })).toBe('worse');
    expect(verdict({ type: 'leafColor', step: 2 }, { crops: [] })).toBeNull();
    expect(verdict({ type: 'leafColor', step: 2 }, {}, { cropIds: ['leek'] })).toBeNull();
    expect(verdict({ type: 'growth', vigor: 'steady' })).toBe('better');
  });
  it('takes a ruler for no better than it is', () => {
    const left = (thicknessCm: number) => verdict({ type: 'thickness', layerId: 'chips', thicknessCm });
    expect([left(4.2), left(5.8), left(3), left(7)]).toEqual(['asExpected', 'asExpected', 'better', 'worse']);
    expect(verdict({ type: 'thickness', layerId: 'gone', thicknessCm: 0.3 })).toBe('asExpected');
  });
  it('expects threads in old wood and worms where it is warm and moist', () => {
    expect(verdict({ type: 'threads', amount: 'many' })).toBe('asExpected');
    expect(verdict({ type: 'threads', amount: 'none' })).toBe('worse');
    expect(verdict({ type: 'threads', amount: 'some' }, {}, { layerAges: new Map([['chips', 20]]) })).toBe(
      'better',
    );
    expect(verdict({ type: 'worms', count: 1 })).toBe('worse');
    expect(verdict({ type: 'worms', count: 0 }, { topsoilDryness: 0.95 })).toBe('asExpected');
  });
  it('takes a bad smell and standing water for bad whatever the model says', () => {
    expect(verdict({ type: 'smell', smell: 'sour' })).toBe('worse');
    expect(verdict({ type: 'smell', smell: 'earthy' })).toBe('asExpected');
    expect(verdict({ type: 'waterBehavior', behavior: 'runsOff' })).toBe('worse');
  });
  it('takes the hand by the water of the topsoil', () => {
    expect(verdict({ type: 'squeeze', squeeze: 'dusty' }, { topsoilDryness: 0.9 })).toBe('asExpected');
    expect(verdict({ type: 'squeeze', squeeze: 'drops' }, { topsoilDryness: 0.9 })).toBe('better');
    expect(verdict({ type: 'squeeze', squeeze: 'dusty' })).toBe('worse');
  });
  it('holds a harvest against earlier ones, and a thermometer against the soil of the book', () => {
    expect(verdict({ type: 'yield', massKg: 5 })).toBeNull();
    expect(verdict({ type: 'yield', massKg: 5 }, {}, { earlierYieldsKg: [3, 4] })).toBe('better');
    expect(verdict({ type: 'soilTemperature', temperatureC: 4 })).toBe('worse');
    expect(verdict({ type: 'soilTemperature', temperatureC: 13 })).toBe('asExpected');
  });
  it('has no opinion on hours, notes and signs', () => {
    expect(verdict({ type: 'hours', hours: 2 })).toBeNull();
    expect(verdict({ type: 'note' })).toBeNull();
    expect(verdict({ type: 'signs', signs: [], beganOn: null })).toBeNull();
  });
});

describe('a brew that has ended', () => {
  const setting: JournalSetting = {
    today: '2026-05-14',
    beds: [bedOf({ id: 'bed' })],
    entries: [],
    plantings: [],
    trials: [],
    hasPhoto: () => false,
  };
  const brew = (change: Partial<Brew>): Brew => ({
    id: 'brew',
    date: '2026-05-01',
    kind: 'brew',
    brewId: 'nativeWater',
    litres: 10,
    state: 'used',
    note: '',
    ...change,
  });
  it.each<[string, Partial<Brew>, string | null]>([
    ['today', { endedOn: '2026-05-14', pouredOnBedId: 'bed' }, null],
    ['elsewhere', { endedOn: '2026-05-08', pouredOnBedId: null }, null],
    ['in an old book, which says nothing of it', {}, null],
    ['before it was begun', { endedOn: '2026-04-30' }, 'endedOn'],
    ['in the future', { endedOn: '2099-01-01' }, 'endedOn'],
    ['on a bed that is not there', { endedOn: '2026-05-08', pouredOnBedId: 'gone' }, 'pouredOnBedId'],
  ])('%s', (_, change, field) => {
    const check = () => checkJournal(brew(change), setting);
    expect(refusalOf(check)).toMatch(field ?? 'accepted');
  });
});

describe('figures of a soil test', () => {
  const soil = { sampledDepthCm: 30, bulkDensityGPerCm3: 1.2 };
  const test = { amount: 40, unit: 'kgPerHa' as const, ph: null, organicMatterPct: 4 };
  it('that can only be in another unit are refused by name, with what they come to', () => {
    expect(() => checkSoilTest(test, soil)).not.toThrow();
    expect(refusalOf(() => checkSoilTest({ ...test, amount: 900 }, soil))).toMatch(
      /^amount comes to 900 kg\/ha.*ppm/,
    );
    expect(refusalOf(() => checkSoilTest({ ...test, amount: 400, unit: 'mgPerKg' }, soil))).toMatch(
      /1440 kg\/ha/,
    );
    expect(refusalOf(() => checkSoilTest({ ...test, organicMatterPct: 0.04 }, soil))).toMatch(
      /share of 0.04 is 4 %/,
    );
    expect(refusalOf(() => checkSoilTest({ ...test, organicMatterPct: 40_000 }, soil))).toMatch(/10 000 ppm/);
  });
  it('may leave nitrogen out, but not everything', () => {
    const nothing = { ...test, amount: null, organicMatterPct: null };
    expect(refusalOf(() => checkSoilTest(nothing, soil))).toMatch(/^amount needs at least one figure/);
    expect(() => checkSoilTest({ ...nothing, potassiumMgPerKg: 120 }, soil)).not.toThrow();
    expect(() => checkSoilTest({ ...nothing, ph: 6.4 }, soil)).not.toThrow();
    expect(refusalOf(() => checkSoilTest({ ...test, unit: null }, soil))).toMatch(/^unit is needed/);
  });
});

describe('a laboratory’s table', () => {
  const read = (text: string) => soilReports(text.split('\n').map((line) => line.split(';')));
  it('is known by its headers and units', () => {
    expect(
      read(
        'Bed;Date;pH;Organic matter (%);Nitrate N (mg/kg);Ammonium N (mg/kg);Depth (in)\nNorth;2026-03-01;6,4;4,1;12;3;12',
      ),
    ).toEqual([
      {
        sample: 'North',
        date: '2026-03-01',
        ph: 6.4,
        organicMatterPct: 4.1,
        mineralNitrogen: { amount: 15, unit: 'mgPerKg' },
        sampledDepthCm: 30.48,
        extraction: null,
        figures: {},
      },
    ]);
  });
  it('gives every nutrient, salts and texture in the units of the books, whatever the laboratory writes', () => {
    const [british] = read('Sample;pH;Olsen P (mg/l);K (mg/l);Mg (mg/l);OM %\nLower;6.6;28;190;61;5.2');
    expect(british).toMatchObject({
      extraction: 'olsen',
      ph: 6.6,
      organicMatterPct: 5.2,
      figures: { phosphorusMgPerKg: 28, potassiumMgPerKg: 190, magnesiumMgPerKg: 61 },
      mineralNitrogen: null,
    });
    const [german] = read('Probe;sample;P2O5 CAL (mg/100 g);K2O (mg/100g);Mg (mg/100g)\n1;Lower;20;24;8');
    expect(german.extraction).toBe('cal');
    expect(german.figures.phosphorusMgPerKg).toBeCloseTo(87.3, 1);
    expect(german.figures.potassiumMgPerKg).toBeCloseTo(199.2, 1);
    expect(german.figures.magnesiumMgPerKg).toBeCloseTo(80, 9);
    const [american] = read(
      'Sample ID;Soil pH;M3-P lb/acre;K (lb/acre);Ca ppm;S ppm;B ppm;CEC (meq/100 g);EC mmhos/cm;Sand %;Silt %;Clay %\nLower;6.1;110;320;1450;n/a;0.6;11.2;0.3;40;38;22',
    );
    expect(american).toMatchObject({
      extraction: 'mehlich3',
      ph: 6.1,
      figures: {
        phosphorusMgPerKg: 55,
        potassiumMgPerKg: 160,
        calciumMgPerKg: 1450,
        boronMgPerKg: 0.6,
        cationExchangeCmolPerKg: 11.2,
        conductivityDsPerM: 0.3,
        sandPct: 40,
        siltPct: 38,
        clayPct: 22,
      },
    });
    expect(american.figures).not.toHaveProperty('sulfurMgPerKg');
    const [bracketed] = read('bed;P (Olsen) (mg/l);K (mg/l)\nLower;19;140');
    expect(bracketed).toMatchObject({
      extraction: 'olsen',
      figures: { phosphorusMgPerKg: 19, potassiumMgPerKg: 140 },
    });
    const [named] = read('bed;Method;Phosphorus ppm\nLower;Bray P1;33');
    expect(named).toMatchObject({ extraction: 'bray1', figures: { phosphorusMgPerKg: 33 } });
  });
  it('in ppm, percent, g/kg or organic carbon comes to the same', () => {
    expect(read('sample;OM (ppm)\na;41000')[0].organicMatterPct).toBeCloseTo(4.1, 9);
    expect(read('sample;SOM [g/kg]\na;41')[0].organicMatterPct).toBeCloseTo(4.1, 9);
    expect(read('sample;organic carbon (%)\na;2.378')[0].organicMatterPct).toBeCloseTo(4.1, 3);
    expect(read('sample;mineral N (%)\na;0.0015')[0].mineralNitrogen).toEqual({
      amount: 15,
      unit: 'mgPerKg',
    });
  });
  it.each([
    ['sample;color\na;brown', /no column for pH/],
    ['sample;pH\na;acid', /^row 2, pH must be a number/],
    ['sample;pH\na;64', /^row 2, pH must be between 2 and 11/],
    ['sample;OM (%)\na;41000', /in ppm it would be 4.1 %/],
    ['sample;mineral N\na;12', /needs a unit in its header/],
    ['sample;P\na;12', /needs a unit in its header: ppm, mg\/kg/],
    ['sample;K (cups)\na;12', /; got "cups"/],
    ['sample;nitrate (ppm);ammonium (kg/ha)\na;12;3', /must be in one unit/],
  ])('%j is refused by row and column', (text, sentence) =>
    expect(refusalOf(() => read(text))).toMatch(sentence),
  );
});
