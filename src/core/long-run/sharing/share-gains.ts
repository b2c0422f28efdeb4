import { type BedBooks, bedScenario, broughtBy, countedBy } from '../../bed/index.ts';
import {
  type DayNumber,
  LITRES_PER_CUBIC_METRE,
  MULCH_KINDS,
  type Material,
  total,
} from '../../ground/index.ts';
import {
  type ApplyMaterial,
  type BedScenario,
  FLOW_COUNT,
  charCarbon,
  heldNitrogen,
  nitrogenFetchedBack,
  nitrogenGiven,
  nitrogenWashedOut,
  readPostings,
  runTo,
  startRun,
  withTrialLayer,
} from '../../model/index.ts';
import { mostOnBedL, sharingDay, type ShareBed, type ShareGain, type SharePile } from './share-problem.ts';
import type { WantSetting } from './share-wants.ts';

/** A pile with what it is. */
export interface MaterialPile extends SharePile {
  readonly material: Material;
}

const YEAR_DAYS = 365;
const HUMUS_AFTER_YEARS = 5;

/**
 * What a layer of each pile does on a bed, per liter: by running it there for five years beside the bare bed, and for a year
 * among what grows there for what is washed out.
 */
export function shareGains(setting: WantSetting, bed: ShareBed, piles: readonly MaterialPile[]): ShareGain[] {
  const { books, findMaterial, today } = setting;
  const base = bedScenario({
    books: { ...books, entries: [], plantings: [] },
    findMaterial,
    today,
    endDay: today + 2,
  });
  const bare = {
    ...base,
    startDay: today,
    endDay: today + HUMUS_AFTER_YEARS * YEAR_DAYS + 1,
    stepsPerDay: 1,
  };
  const without = followed(bare, today, bed.rootsReachDeep);
  const washedOut = washedOutBy(setting);
  // A bed that gets too much phosphorus already is spared compost and manure; wood and leaves are not why it does.
  const isPastMinerals = bed.bounds.some(
    ({ code, roomG }) => (code === 'phosphorus' || code === 'potassium') && roomG === 0,
  );
  return piles.flatMap((pile): ShareGain[] => {
    const layerL = mostOnBedL(pile, bed) / bed.areaM2 / 2;
    if (layerL <= 0) return [];
    const { material } = pile;
    const massFreshKgPerM2 = (layerL * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE;
    const laid = followed(
      { ...bare, events: [layingOf(books, { material, massFreshKgPerM2 }, today)] },
      today,
      bed.rootsReachDeep,
    );
    const isCover = MULCH_KINDS.has(pile.kind);
    const countsMinerals = !isCover || !isPastMinerals;
    // As the plan of the bed will count it once it is written there.
    const brought = broughtBy(
      {
        materialId: pile.materialId,
        massFreshKg: material.bulkDensityKgPerM3 / LITRES_PER_CUBIC_METRE,
      },
      findMaterial,
    );
    return [
      {
        pileId: pile.id,
        bedId: bed.id,
        perL: {
          cover: isCover ? 1 : 0,
          humus: Math.max(0, laid.humusG - without.humusG) / 1000 / layerL,
          feed: Math.max(0, laid.givenG - without.givenG) / layerL,
          char: laid.charG / 1000 / layerL,
        },
        usesGPerL: {
          lockUp: Math.max(0, laid.heldG - without.heldG) / layerL,
          washedOut: washedOut({ material, massFreshKgPerM2 }) / layerL,
          manureNitrogen: countedBy('manureNitrogen', brought),
          phosphorus: countsMinerals ? countedBy('phosphorus', brought) : 0,
          potassium: countsMinerals ? countedBy('potassium', brought) : 0,
        },
      },
    ];
  });
}

/** A layer of something on a square meter. */
type Layer = Pick<ApplyMaterial, 'material' | 'massFreshKgPerM2'>;

const layingOf = ({ bed }: BedBooks, layer: Layer, day: DayNumber): ApplyMaterial => ({
  type: 'apply',
  day,
  id: 'shared',
  ...layer,
  dugDepthCm: 0,
  exposure: bed.exposure,
  isOnPath: bed.kind === 'path',
});

/** How much more is washed out in the year after a layer is laid, its plans carried out and its crops growing, g/m2. */
function washedOutBy({ books, findMaterial, today }: WantSetting): (layer: Layer) => number {
  const day = sharingDay(today, 'now');
  const run = startRun(bedScenario({ books, findMaterial, today, endDay: day + YEAR_DAYS + 1 }));
  runTo(run, day);
  const untilDay = day + YEAR_DAYS;
  const inAYear = (layer: ApplyMaterial | null): number =>
    withTrialLayer(run, { layer, untilDay }, ({ state }) => {
      const flows = new Float64Array(FLOW_COUNT);
      readPostings(state.postings, flows);
      return nitrogenWashedOut(flows) - nitrogenFetchedBack(flows);
    });
  const withoutG = inAYear(null);
  return (layer) => Math.max(0, inAYear(layingOf(books, layer, day)) - withoutG);
}

/** Per m2: humus and char after five years, nitrogen given and most held back where the roots are in the first. */
function followed(scenario: BedScenario, today: DayNumber, rootsReachDeep: boolean) {
  const run = startRun(scenario);
  let heldG = 0;
  for (let day = today + 14; day <= today + YEAR_DAYS; day += 14) {
    runTo(run, day);
    const [, contact, root] = heldNitrogen(run.bed);
    heldG = Math.max(heldG, rootsReachDeep ? root : contact + root);
  }
  runTo(run, today + YEAR_DAYS);
  const flows = new Float64Array(FLOW_COUNT);
  readPostings(run.bed.state.postings, flows);
  runTo(run, scenario.endDay);
  const { cohorts, activeHumusC, slowHumusC } = run.bed.state;
  return {
    heldG,
    givenG: nitrogenGiven(flows),
    humusG: activeHumusC + slowHumusC + total(cohorts.map(({ humusC }) => humusC)),
    charG: total(cohorts.map(charCarbon)),
  };
}
