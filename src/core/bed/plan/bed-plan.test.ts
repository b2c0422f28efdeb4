import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { projectBed, telltaleDays } from '../projection/bed-projection.ts';
import { changesSoil, outlook } from '../../long-run/years/outlook.ts';
import type { BedBooks } from '../books/bed-books.ts';
import type { Entry } from '../../../records/entry.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { endingOn } from '../../model/simulation/scenario.ts';
import { planBed, projectForAdvice, type BedPlan } from './bed-plan.ts';
import { layingCautions } from '../advice/cautions.ts';
import { SCHOOL_RULES, type SchoolRules } from '../advice/schools.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const bed: BedBooks['bed'] = bedOf({ areaM2: 6, organicMatterPct: 5 });

const chips = (dugDepthCm: number, materialId = 'chips_branch'): Entry => ({
  id: 'chips',
  type: 'lay',
  state: 'laid',
  date: '2026-05-14',
  materialId,
  massFreshKg: 118,
  dugDepthCm,
  seasonedMonths: 0,
});

const tomato = plantingOf({
  id: 'tomato',
  state: 'planned',
  cropId: 'tomato',
  plantedOn: '2026-05-28',
  clearedOn: '2026-10-08',
  nitrogenDemandGPerM2: 14,
  rootDepthCm: 80,
});

function advised(entries: Entry[], plantings = [tomato], rules: SchoolRules = SCHOOL_RULES.byDepth): BedPlan {
  const site = {
    climate: MILD,
    depositionGPerM2Year: 1,
  };
  const books = { site, bed, crops: [], entries, plantings };
  const scenario = bedScenario({
    books,
    findMaterial: findLibraryMaterial,
    today: TODAY,
    endDay: TODAY + 900,
  });
  return planBed({
    scenario,
    books,
    findMaterial: findLibraryMaterial,
    ...projectForAdvice(scenario, TODAY),
    projection: projectBed(scenario, 7, telltaleDays(scenario, TODAY)),
    today: TODAY,
    advice: {
      isPath: false,
      isForSowing: true,
      rules,
      feeding: {
        plantings: plantings.map(({ id }) => ({ id, isWoody: false, isSown: false })),
        product: { materialId: 'feather_meal', isQuick: false, largestDoseGPerM2: 12 },
        quickProduct: { materialId: 'blood_meal', isQuick: true, largestDoseGPerM2: 8 },
        reserveShare: rules.reserveShare,
        harmlessShare: rules.harmlessShare,
        postponed: new Map(),
      },
    },
  });
}

describe('advice', () => {
  it('finds nothing locked on a bare bed, and young plants may start', () => {
    const { contact, root, planting } = advised([]);
    expect([contact, root]).toEqual([null, null]);
    expect(planting.map(({ day, waitFor }) => [day, waitFor])).toEqual([
      [TODAY, null],
      [TODAY, null],
    ]);
  });

  it('finds the contact zone alone locked under chips, and both zones where they are dug in', () => {
    const onTop = advised([chips(0)]);
    expect(onTop.contact!.peakG).toBeGreaterThan(1);
    expect(onTop.root).toBeNull();
    const dug = advised([chips(20)]);
    expect(dug.root!.peakG).toBeGreaterThan(4);
    expect(dug.root!.halfBackDay!).toBeGreaterThan(dug.root!.peakDay);
    expect(dug.contact).not.toBeNull();
  });

  it('asks for more nitrogen where chips are dug in than where they lie on top, and prices it', () => {
    const total = ({ feeding }: BedPlan) =>
      feeding!.doses.reduce((sum, { nitrogenGPerM2 }) => sum + nitrogenGPerM2, 0);
    const dug = advised([chips(20)]);
    expect(total(dug)).toBeGreaterThan(total(advised([chips(0)])) + 5);
    expect(dug.feeding!.priceGPerM2).toBeGreaterThan(5);
    const [cause] = dug.root!.causes;
    expect(cause).toMatchObject({ layerId: 'chips' });
    expect(cause.share).toBeGreaterThan(0.9);
    expect(dug.prospects[0].verdict).toBe('losesGrowth');
    // The tomato is not there yet: its first dose is no work for today.
    expect(dug.status).toBe('held');
  });

  it('shows how the layer comes to lack nitrogen, in figures that add up', () => {
    const [working] = advised([chips(20)]).workings;
    expect(working.layerId).toBe('chips');
    expect(working.carbonToNitrogen).toBeCloseTo(50, 6);
    expect(working.lackingG).toBeCloseTo(working.wantedG - working.broughtG, 12);
    expect(working.carbonG).toBeCloseTo((118 / 6) * 1000 * 0.55 * 0.49, 6);
  });

  it('changes with the school in what it minds and asks for, never in what it finds', () => {
    const of = (school: keyof typeof SCHOOL_RULES) => advised([chips(0)], [tomato], SCHOOL_RULES[school]);
    const [cautious, byDepth, relaxed] = [of('cautious'), of('byDepth'), of('relaxed')];
    expect(cautious.contact!.peakG).toBe(relaxed.contact!.peakG);
    expect(cautious.contact!.fromDay).toBeLessThanOrEqual(byDepth.contact!.fromDay);
    expect(byDepth.contact!.fromDay).toBeLessThanOrEqual(relaxed.contact!.fromDay);
    const asked = ({ feeding }: BedPlan) =>
      feeding!.doses.reduce((sum, { nitrogenGPerM2 }) => sum + nitrogenGPerM2, 0);
    const dug = (school: keyof typeof SCHOOL_RULES) => advised([chips(20)], [tomato], SCHOOL_RULES[school]);
    expect(asked(dug('cautious'))).toBeGreaterThan(asked(dug('byDepth')));
    expect(cautious.prospects[0].shortG).toBe(relaxed.prospects[0].shortG);
  });

  it('tells cover over the seed of a coming crop once, with that crop', () => {
    const spinach = plantingOf({
      id: 'spinach',
      state: 'planned',
      cropId: 'spinach',
      startsAs: 'seed',
      plantedOn: '2026-05-28',
    });
    const { coming, conflicts } = advised([chips(0)], [spinach]);
    expect(coming[0].objections.map(({ code }) => code)).toContain('cover');
    expect(conflicts).toEqual([]);
    const { conflicts: ofSown } = advised(
      [chips(0)],
      [{ ...spinach, state: 'laid', plantedOn: '2026-05-14' }],
    );
    expect(ofSown.map(({ code }) => code)).toEqual(['coverOverSeed']);
  });

  it('lets young plants wait where their nitrogen is locked up', () => {
    const { planting } = advised([chips(20, 'sawdust_softwood')]);
    expect(planting[0].waitFor).toBe('lockedUp');
    expect(planting[0].day === null || planting[0].day > TODAY).toBe(true);
  });

  it('sees more organic matter in ten years with chips than without', () => {
    const site = { climate: CLIMATE_PATTERNS[0], depositionGPerM2Year: 1 };
    const books = { site, bed, crops: [], entries: [chips(0)], plantings: [] };
    const years = outlook(
      bedScenario({ books, findMaterial: findLibraryMaterial, today: TODAY, endDay: TODAY + 3700 }),
      TODAY,
      10,
    );
    expect(years).toHaveLength(11);
    const last = years.at(-1)!;
    expect(last.organicMatterPct).toBeGreaterThan(last.bareOrganicMatterPct);
    expect(last.bareOrganicMatterPct).toBeLessThan(years[0].bareOrganicMatterPct);
    expect(changesSoil(years)).toBe(true);
    const bare = bedScenario({
      books: { ...books, entries: [] },
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: TODAY + 3700,
    });
    expect(changesSoil(outlook(bare, TODAY, 10))).toBe(false);
  });

  it('follows a scenario only as far as it is told', () => {
    const site = { climate: CLIMATE_PATTERNS[0], depositionGPerM2Year: 1 };
    const scenario = bedScenario({
      books: { site, bed, entries: [chips(0)], crops: [], plantings: [tomato] },
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: TODAY + 900,
    });
    const short = endingOn(scenario, TODAY);
    expect(short.events).toHaveLength(0);
    expect(short.crops).toHaveLength(0);
  });
});

describe('cautions', () => {
  const codes = (materialId: string, change = {}, kind: BedBooks['bed']['kind'] = 'annual', clayPct = 20) =>
    layingCautions(
      {
        date: '2026-05-14',
        material: findLibraryMaterial(materialId)!,
        dugDepthCm: 0,
        thicknessCm: 5,
        ...change,
      },
      { kind, clayPct },
    ).map(({ code }) => code);

  it.each<[string[], ReturnType<typeof codes>]>([
    [['rawManure', 'persistentWeedkiller'], codes('cattle_fym')],
    [['urine'], codes('urine')],
    [['charDust', 'unchargedChar'], codes('biochar_raw')],
    [['charDust'], codes('biochar_charged')],
    [['compostDust'], codes('compost_yard')],
    [['persistentWeedkiller'], codes('straw_cereal')],
    [['keepOffTrunk', 'deepLayer'], codes('chips_branch', { thicknessCm: 12 }, 'treeRing')],
    [['wetClay'], codes('chips_branch', { dugDepthCm: 20 }, 'annual', 45)],
    [[], codes('chips_branch')],
  ])('%j', (expected, actual) => {
    expect(actual).toEqual(expected);
  });

  it('counts the days from raw manure to harvest', () => {
    const [first] = layingCautions(
      {
        date: '2026-05-14',
        material: findLibraryMaterial('cattle_fym')!,
        dugDepthCm: 0,
        thicknessCm: 3,
      },
      bed,
    );
    expect(first).toEqual({ code: 'rawManure', touchingSoilDay: TODAY + 120, otherwiseDay: TODAY + 90 });
  });
});
