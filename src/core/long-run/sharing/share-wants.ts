import {
  type BedBooks,
  atEndOf,
  bedScenario,
  projectBed,
  roomToSpread,
  rulesFor,
  washedOutGuideG,
} from '../../bed/index.ts';
import { type DayNumber, type FindMaterial, findCrop, total } from '../../ground/index.ts';
import type { BedKind, School } from '../../../records/vocabulary.ts';
import { nitrogenFetchedBack, nitrogenWashedOut, organicCarbon } from '../../model/index.ts';
import { textureOf } from '../years/held-more.ts';
import {
  seasonStart,
  SHARE_SEASONS,
  sharingDay,
  type ByPurpose,
  type BySeason,
  type ShareBed,
  type ShareBound,
  type ShareSeason,
} from './share-problem.ts';

const YEAR_DAYS = 365;
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

const SEASONS_A_YEAR = 2;
/** Where the guide value is passed anyway, what is shared may add this share to what is washed out: no model tells it (set here). */
const UNNOTICED_SHARE = 0.1;

/** What a bed wants of the stock in each season, its plans carried out, and what it can bear. */
export function shareBed(setting: WantSetting): ShareBed {
  const { books, findMaterial, today, aimOrganicMatterPct } = setting;
  const { bed } = books;
  const days = [...SHARE_SEASONS.map((season) => seasonStart(today, season)), today + 2 * YEAR_DAYS];
  const scenario = bedScenario({ books, findMaterial, today, endDay: days.at(-1)! + 2 });
  const projection = projectBed(
    scenario,
    scenario.endDay - scenario.startDay,
    days.map((day) => day + 1),
  );
  const looks = days.map((day) => atEndOf(projection, day));
  const isPath = bed.kind === 'path';
  const aimCm = COVER_AIM_CM[bed.kind];
  const gapsCm = coverGaps(
    looks.slice(0, -1).map(({ mulchCm }) => mulchCm),
    aimCm,
  );
  const carbonPerPct = organicCarbon({ ...scenario.soil, organicMatterPct: 1 });
  const humusGapPct = isPath ? 0 : Math.max(0, aimOrganicMatterPct - looks[0].organicMatterPct);
  const humusKg = (humusGapPct * carbonPerPct * bed.areaM2) / 1000 / SEASONS_TO_CLOSE;
  const charAim = isPath ? 0 : CHAR_AIM_KG_PER_M2[textureOf(bed.clayPct)];
  const charGap = Math.max(0, charAim - looks[0].charCarbonG / 1000);
  const missed = SHARE_SEASONS.map((_, i) => looks[i + 1].cropShortG - looks[i].cropShortG);
  const wants = SHARE_SEASONS.map((season, i): [ShareSeason, ByPurpose] => [
    season,
    {
      cover: gapsCm[i] * 10 * bed.areaM2,
      humus: humusKg,
      feed: missed[i] >= LEAST_FEED_G_PER_M2 ? missed[i] * bed.areaM2 : 0,
      char: (charGap * bed.areaM2) / SEASONS_TO_CHAR,
    },
  ]);
  return {
    id: bed.id,
    kind: bed.kind,
    areaM2: bed.areaM2,
    clayPct: bed.clayPct,
    wants: Object.fromEntries(wants) as unknown as BySeason<ByPurpose>,
    urgency: {
      cover: aimCm > 0 ? Math.min(1, total(gapsCm) / aimCm) : 0,
      humus: Math.min(1, humusGapPct / aimOrganicMatterPct),
      feed: Math.min(1, Math.max(...missed) / URGENT_FEED_G_PER_M2),
      char: charAim > 0 ? charGap / charAim : 0,
    },
    bounds: boundsOf(
      setting,
      looks.map(({ flows }) => nitrogenWashedOut(flows) - nitrogenFetchedBack(flows)),
    ),
    rootsReachDeep: rootsReachDeep(books),
  };
}

/** Cover missing in each season beyond what was missing before: what is laid is taken to stay. */
function coverGaps(mulchCm: readonly number[], aimCm: number): number[] {
  let filledCm = 0;
  return mulchCm.map((cm) => {
    const gapCm = Math.max(0, aimCm - cm - filledCm);
    filledCm += gapCm;
    return gapCm;
  });
}

/** What a bed can bear beside its plans. `washedOutG` runs through the seasons to the end of the last, g/m2. */
function boundsOf(setting: WantSetting, washedOutG: readonly number[]): ShareBound[] {
  const { books, findMaterial, today } = setting;
  const { bed, entries, site } = books;
  const lockLimitG = lockLimit(setting) * bed.areaM2;
  const guideG = washedOutGuideG(site.climate);
  const days = SHARE_SEASONS.map((season) => sharingDay(today, season));
  const years = SHARE_SEASONS.flatMap((_, i) => (i % SEASONS_A_YEAR === 0 ? [i] : []));
  return [
    ...SHARE_SEASONS.map((season): ShareBound => ({ code: 'lockUp', seasons: [season], roomG: lockLimitG })),
    ...years.map((i): ShareBound => {
      const goneG = washedOutG[i + SEASONS_A_YEAR] - washedOutG[i];
      return {
        code: 'washedOut',
        seasons: SHARE_SEASONS.slice(i, i + SEASONS_A_YEAR),
        roomG: Math.max(guideG - goneG, UNNOTICED_SHARE * Math.max(guideG, goneG)) * bed.areaM2,
      };
    }),
    ...roomToSpread({ bed, entries, findMaterial }, days).map((room): ShareBound => ({
      code: room.code,
      seasons: room.days.map((day) => SHARE_SEASONS[days.indexOf(day)]),
      roomG: room.roomG,
    })),
  ];
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
