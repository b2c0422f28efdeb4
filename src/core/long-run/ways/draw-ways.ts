import { drawScenario, type GardenRecords, type Spread } from '../../bed/index.ts';
import { total } from '../../ground/index.ts';
import { type RunYear, runYears } from '../years/run-years.ts';
import { spreadOf } from '../years/years-range.ts';
import type { WayAim } from './rank.ts';
import { type Scene, withWay } from './scene.ts';
import type { Way } from './way.ts';
import { lostIn, lostOnTheWay, WAY_YEARS, wayRecords, yearsScenarioOf } from './weigh.ts';

/** Draws of each way: few, because all ways share them, and what counts is how they differ. */
export const WAY_DRAWS = 16;
const SEED = 1;
const GRAMS_PER_KG = 1000;

/** What a way comes to with soil, materials, weather and parameters as they may be, beyond leaving the stuff where it is. */
export interface DrawnWay {
  /** Humus and char that outlasts a century after 20 years, kg C. */
  readonly soilKg: number;
  /** From the beds in three years, and on the way to them as reckoned, g. */
  readonly lostG: number;
  /** What crops of the bed miss unfed in two years, as a share of what they want. */
  readonly missedShare: number;
}

/** Draws ways, all of them with the same numbers; a draw of a bed without the stuff is worked out once. */
export function wayDrawer(scene: Scene): (way: Way, number: number) => DrawnWay {
  const known = new Map<string, readonly RunYear[]>();
  const follow = (records: GardenRecords, bedId: string, number: number): readonly RunYear[] => {
    const { scenario } = drawScenario(yearsScenarioOf(scene, records, bedId), SEED, number);
    return runYears(scenario, scene.today, WAY_YEARS).points;
  };
  const left = (bedId: string, number: number): readonly RunYear[] => {
    const key = `${bedId} ${number}`;
    const points = known.get(key) ?? follow(scene.records, bedId, number);
    known.set(key, points);
    return points;
  };
  return (way, number) => {
    const records = withWay(scene.records, wayRecords(scene, way));
    const areaOf = (bedId: string) => scene.records.beds.find(({ id }) => id === bedId)!.areaM2;
    const beds = way.bedIds.map((bedId) => ({
      areaM2: areaOf(bedId),
      now: follow(records, bedId, number),
      before: left(bedId, number),
    }));
    const beyond = (read: (points: readonly RunYear[]) => number) =>
      total(beds.map(({ areaM2, now, before }) => areaM2 * (read(now) - read(before))));
    const own = beds.find((_, i) => way.bedIds[i] === scene.bed.id)?.now ?? left(scene.bed.id, number);
    const wanted = total(own.slice(1, 3).map(({ cropWantG }) => cropWantG));
    return {
      soilKg: beyond(soilG) / GRAMS_PER_KG,
      lostG: lostOnTheWay(way) + beyond(lostIn),
      missedShare: wanted > 0 ? total(own.slice(1, 3).map(({ cropMissedG }) => cropMissedG)) / wanted : 0,
    };
  };
}

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
