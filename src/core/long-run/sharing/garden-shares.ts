import { type BedBooks, atEndOf, bedScenario, projectBed, rulesFor } from '../../bed/index.ts';
import {
  type DayNumber,
  type FindMaterial,
  LITRES_PER_CUBIC_METRE,
  MULCH_KINDS,
  type Material,
  findCrop,
  total,
} from '../../ground/index.ts';
import type { BedKind, School } from '../../../records/vocabulary.ts';
import {
  type BedScenario,
  FLOW_COUNT,
  charCarbon,
  heldNitrogen,
  nitrogenGiven,
  organicCarbon,
  readPostings,
  runTo,
  startRun,
} from '../../model/index.ts';
import { textureOf } from '../years/held-more.ts';
import {
  mostOnBedL,
  type ByPurpose,
  type ShareBed,
  type ShareGain,
  type SharePile,
} from './share-problem.ts';

/** A pile with what it is. */
export interface MaterialPile extends SharePile {
  readonly material: Material;
}

const SEASON_DAYS = 182;
const YEAR_DAYS = 365;
const HUMUS_AFTER_YEARS = 5;
/** A gap in organic matter is meant to be closed in five years, two seasons each. */
const SEASONS_TO_CLOSE = 10;
/** A first dose of char is spread over two years. */
const SEASONS_TO_CHAR = 4;

/** Cover that is aimed at, cm (common practice, no source). */
const COVER_AIM_CM: Readonly<Record<BedKind, number>> = {
  annual: 4,
  raised: 4,
  seedbed: 0,
  perennial: 6,
  shrubs: 8,
  treeRing: 10,
  container: 2,
  path: 10,
  resting: 6,
};
/** Char carbon aimed at, kg/m2: a kilogram of char where the soil holds little of itself (set here). */
const CHAR_AIM_KG_PER_M2 = { sand: 0.75, loam: 0.25, clay: 0 } as const;
/** Crops that miss less than this are not fed for it, g/m2. */
const LEAST_FEED_G_PER_M2 = 0.5;
/** From this shortage on a bed is as urgent as can be, g/m2 (set here). */
const URGENT_FEED_G_PER_M2 = 6;
/** Nitrogen that may be held back, in multiples of what a school calls felt: where seed is sown, where roots are shallow, where they are deep (set here). */
const LOCK_LIMIT_FACTOR = { seed: 1, shallow: 4, deep: 16, path: 400 } as const;
const DEEP_BEDS: ReadonlySet<BedKind> = new Set(['shrubs', 'treeRing', 'path', 'resting']);

export interface WantSetting {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  readonly school: School;
  readonly aimOrganicMatterPct: number;
}

/** What a bed wants of the stock now and half a year from now, its plans carried out. */
export function shareBed(setting: WantSetting): ShareBed {
  const { books, findMaterial, today, aimOrganicMatterPct } = setting;
  const { bed } = books;
  const scenario = bedScenario({ books, findMaterial, today, endDay: today + YEAR_DAYS + 2 });
  const days = [today, today + SEASON_DAYS, today + YEAR_DAYS];
  const projection = projectBed(
    scenario,
    scenario.endDay - scenario.startDay,
    days.map((day) => day + 1),
  );
  const [now, next, inAYear] = days.map((day) => atEndOf(projection, day));
  const isPath = bed.kind === 'path';
  const aimCm = COVER_AIM_CM[bed.kind];
  const gapCm = Math.max(0, aimCm - now.mulchCm);
  const laterGapCm = Math.max(0, aimCm - next.mulchCm - gapCm);
  const carbonPerPct = organicCarbon({ ...scenario.soil, organicMatterPct: 1 });
  const humusGapPct = isPath ? 0 : Math.max(0, aimOrganicMatterPct - now.organicMatterPct);
  const humusKg = (humusGapPct * carbonPerPct * bed.areaM2) / 1000 / SEASONS_TO_CLOSE;
  const charAim = isPath ? 0 : CHAR_AIM_KG_PER_M2[textureOf(bed.clayPct)];
  const charGap = Math.max(0, charAim - now.charCarbonG / 1000);
  const missed = [next.cropShortG - now.cropShortG, inAYear.cropShortG - next.cropShortG];
  const feedG = missed.map((g) => (g >= LEAST_FEED_G_PER_M2 ? g * bed.areaM2 : 0));
  const wants = (coverCm: number, feed: number): ByPurpose => ({
    cover: coverCm * 10 * bed.areaM2,
    humus: humusKg,
    feed,
    char: (charGap * bed.areaM2) / SEASONS_TO_CHAR,
  });
  return {
    id: bed.id,
    kind: bed.kind,
    areaM2: bed.areaM2,
    clayPct: bed.clayPct,
    wants: { now: wants(gapCm, feedG[0]), next: wants(laterGapCm, feedG[1]) },
    urgency: {
      cover: aimCm > 0 ? Math.min(1, (gapCm + laterGapCm) / aimCm) : 0,
      humus: Math.min(1, humusGapPct / aimOrganicMatterPct),
      feed: Math.min(1, Math.max(...missed) / URGENT_FEED_G_PER_M2),
      char: charAim > 0 ? charGap / charAim : 0,
    },
    lockLimitG: lockLimit(setting) * bed.areaM2,
    rootsReachDeep: rootsReachDeep(books),
  };
}

/** Shrubs and trees, and what stands there for years with roots below the contact zone. */
function rootsReachDeep({ bed, plantings, crops }: BedBooks): boolean {
  const standing = plantings.filter(({ cropId }) => findCrop(cropId, crops)?.isPerennial);
  return DEEP_BEDS.has(bed.kind) || (bed.kind === 'perennial' && standing.length > 0);
}

function lockLimit({ books, school }: WantSetting): number {
  const { bed } = books;
  const { feltFromG } = rulesFor(school, bed);
  if (bed.kind === 'path') return feltFromG * LOCK_LIMIT_FACTOR.path;
  if (bed.kind === 'seedbed') return feltFromG * LOCK_LIMIT_FACTOR.seed;
  return feltFromG * (rootsReachDeep(books) ? LOCK_LIMIT_FACTOR.deep : LOCK_LIMIT_FACTOR.shallow);
}

/** What a layer of each pile does on a bed, per liter, by running it there for five years beside the bare bed. */
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
  return piles.flatMap((pile): ShareGain[] => {
    const layerL = mostOnBedL(pile, bed) / bed.areaM2 / 2;
    if (layerL <= 0) return [];
    const { material } = pile;
    const massFreshKgPerM2 = (layerL * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE;
    const laid = followed(
      {
        ...bare,
        events: [
          {
            type: 'apply',
            day: today,
            id: pile.id,
            material,
            massFreshKgPerM2,
            dugDepthCm: 0,
            exposure: books.bed.exposure,
            isOnPath: books.bed.kind === 'path',
          },
        ],
      },
      today,
      bed.rootsReachDeep,
    );
    const isCover = MULCH_KINDS.has(pile.kind);
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
        lockedGPerL: Math.max(0, laid.heldG - without.heldG) / layerL,
      },
    ];
  });
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
