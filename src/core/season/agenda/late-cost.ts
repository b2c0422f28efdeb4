import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { nitrogenFetchedBack, nitrogenToAir, nitrogenWashedOut } from '../../model/index.ts';
import { type BedBooks, type BedProjection, bedScenario, projectBed } from '../../bed/index.ts';
import type { LateCost } from './tasks.ts';

/** How far the two runs are followed. */
const FOLLOWED_DAYS = 300;
/** Differences below these are not worth a word, g/m2 and days (set here). */
const TOLD_G = 0.1;
const TOLD_PALE_DAYS = 3;

const run = (books: BedBooks, findMaterial: FindMaterial, today: DayNumber): BedProjection =>
  projectBed(bedScenario({ books, findMaterial, today, endDay: today + FOLLOWED_DAYS }), FOLLOWED_DAYS * 10);

const missed = ({ crops }: BedProjection): number => crops.reduce((sum, { shortG }) => sum + shortG, 0);
const pale = ({ crops }: BedProjection): number => crops.reduce((sum, { paleDays }) => sum + paleDays, 0);

/** Gone to the air, or lying below the bed, by the end of a run, g/m2. */
function lost({ samples }: BedProjection): number {
  const { flows } = samples.at(-1)!;
  return nitrogenToAir(flows) + nitrogenWashedOut(flows) - nitrogenFetchedBack(flows);
}

/** A plan as it stands in the books of a bed, and the same books with it moved to today. */
interface Late {
  readonly books: BedBooks;
  readonly moved: BedBooks;
  /** ISO date it was planned for. */
  readonly plannedFor: string;
}

/**
 * What it costs that a planned entry or planting is done today instead of on its day: the bed rerun both ways. Null
 * when it is not late, or makes no difference worth telling.
 */
export function lateCost(
  { books, moved, plannedFor }: Late,
  findMaterial: FindMaterial,
  today: DayNumber,
): LateCost | null {
  const lateDays = today - dayNumberFromIso(plannedFor, ['date']);
  if (lateDays <= 0) return null;
  const onTime = run(books, findMaterial, today);
  const now = run(moved, findMaterial, today);
  const cost = {
    lateDays,
    cropMissesG: missed(now) - missed(onTime),
    paleDays: pale(now) - pale(onTime),
    lostNitrogenG: lost(now) - lost(onTime),
  };
  const counts =
    Math.abs(cost.cropMissesG) >= TOLD_G ||
    Math.abs(cost.lostNitrogenG) >= TOLD_G ||
    Math.abs(cost.paleDays) >= TOLD_PALE_DAYS;
  return counts ? cost : null;
}
