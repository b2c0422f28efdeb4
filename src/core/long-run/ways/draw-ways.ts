import { drawScenario, type GardenRecords, type Spread } from '../../bed/index.ts';
import { total } from '../../ground/index.ts';
import { type RunYear, runYears } from '../years/run-years.ts';
import { spreadOf } from '../years/years-range.ts';
import type { WayAim } from './rank.ts';
import type { ProposedWay, Proposal } from './propose.ts';
import { type Scene, withWay } from './scene.ts';
import { lostIn, lostOnTheWay, WAY_YEARS, wayRecords, yearsScenarioOf } from './weigh.ts';

/** Draws of each way: few, because all ways share them, and what counts is how they differ. */
export const WAY_DRAWS = 16;
const SEED = 1;
const GRAMS_PER_KG = 1000;
/** Crops of so many years count. */
const CROP_YEARS = 2;

/** What a way comes to with soil, materials, weather and parameters as they may be, beyond leaving the stuff where it is. */
export interface DrawnWay {
  /** Humus and char that outlasts a century after 20 years, kg C. */
  readonly soilKg: number;
  /** From the beds in three years, and on the way to them as reckoned, g. */
  readonly lostG: number;
  /** What crops of the beds compared miss unfed in two years, as a share of what they want. */
  readonly missedShare: number;
}

/** Draws ways, all of them with the same numbers; a draw of a bed without the stuff is worked out once. */
export function wayDrawer({
  bedIds,
}: Pick<Proposal, 'bedIds'>): (one: ProposedWay, number: number) => DrawnWay {
  const known = new Map<string, readonly RunYear[]>();
  const follow = ({ scene, records, bedId }: Followed, number: number): readonly RunYear[] => {
    const { scenario } = drawScenario(yearsScenarioOf(scene, records, bedId), SEED, number);
    return runYears(scenario, scene.today, WAY_YEARS).points;
  };
  /** Without the stuff a bed is the same in all scenes of a proposal. */
  const left = (scene: Scene, bedId: string, number: number): readonly RunYear[] => {
    const key = `${bedId} ${number}`;
    const points = known.get(key) ?? follow({ scene, records: scene.records, bedId }, number);
    known.set(key, points);
    return points;
  };
  return ({ scene, way }, number) => {
    const areaOf = (bedId: string) => scene.records.beds.find(({ id }) => id === bedId)!.areaM2;
    const records = withWay(scene.records, wayRecords(scene, way));
    const beds = way.bedIds.map((bedId) => ({
      areaM2: areaOf(bedId),
      now: follow({ scene, records, bedId }, number),
      before: left(scene, bedId, number),
    }));
    const beyond = (read: (points: readonly RunYear[]) => number) =>
      total(beds.map(({ areaM2, now, before }) => areaM2 * (read(now) - read(before))));
    const ofAll = (read: (points: readonly RunYear[]) => number) =>
      Math.max(
        0,
        total(bedIds.map((bedId) => areaOf(bedId) * read(left(scene, bedId, number)))) + beyond(read),
      );
    const wantedG = ofAll(wantedSoon);
    return {
      soilKg: beyond(soilG) / GRAMS_PER_KG,
      lostG: lostOnTheWay(way) + beyond(lostIn),
      missedShare: wantedG > 0 ? ofAll(missedSoon) / wantedG : 0,
    };
  };
}

interface Followed {
  readonly scene: Scene;
  readonly records: GardenRecords;
  readonly bedId: string;
}

const soon = (points: readonly RunYear[]): readonly RunYear[] => points.slice(1, 1 + CROP_YEARS);
const wantedSoon = (points: readonly RunYear[]): number =>
  total(soon(points).map(({ cropWantG }) => cropWantG));
const missedSoon = (points: readonly RunYear[]): number =>
  total(soon(points).map(({ cropMissedG }) => cropMissedG));

const soilG = (points: readonly RunYear[]): number =>
  points.at(-1)!.humusCarbonG + points.at(-1)!.lastingCharG[1];

/** Within which what was drawn lies eight times out of ten. */
export interface WaySpread {
  readonly soilKg: Spread;
  readonly lostG: Spread;
}

export const spreadOfWay = (draws: readonly DrawnWay[]): WaySpread => ({
  soilKg: spreadOf(draws.map(({ soilKg }) => soilKg)),
  lostG: spreadOf(draws.map(({ lostG }) => lostG)),
});

/** What of a draw tells how well an aim is served, the more the better; nothing for what draws do not change. */
const SERVED: Readonly<Partial<Record<WayAim, (draw: DrawnWay) => number>>> = {
  foodNow: ({ missedShare }) => -missedShare,
  soilLater: ({ soilKg }) => soilKg,
  leastLoss: ({ lostG }) => -lostG,
};

/** In what share of the draws one way serves an aim better than another; null for an aim that draws say nothing of. */
export function aheadShare(
  first: readonly DrawnWay[],
  second: readonly DrawnWay[],
  aim: WayAim,
): number | null {
  const served = SERVED[aim];
  if (!served || first.length === 0 || first.length !== second.length) return null;
  return first.filter((draw, i) => served(draw) > served(second[i])).length / first.length;
}
