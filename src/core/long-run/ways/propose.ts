import type { GardenRecords } from '../../bed/index.ts';
import type { StockMemory } from '../../yard/index.ts';
import { waysByADetour } from './by-a-detour.ts';
import { waysOnTheBed } from './on-the-bed.ts';
import { type Scene, sceneOf } from './scene.ts';
import type { Way, WayQuestion } from './way.ts';

/** Sensible ways of using some stuff for a bed, each with its dates and amounts. Throws InputError for a question that cannot be. */
export function proposeWays(
  records: GardenRecords,
  question: WayQuestion,
  setting: { readonly todayIso: string; readonly memory: StockMemory; readonly prefix: string },
): { readonly scene: Scene; readonly ways: readonly Way[] } {
  const scene = sceneOf(records, question, setting);
  const ways = [...waysOnTheBed(scene), ...waysByADetour(scene)];
  return { scene, ways: ways.filter((way) => way !== null) };
}
