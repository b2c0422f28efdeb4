import assert from 'node:assert/strict';
import { type BedPlan, type PlannedBed, atEndOf, nextStep, planOfBed } from '../../src/core/bed/index.ts';
import {
  type DayNumber,
  airTemperatureC,
  calendarDateOf,
  dayNumberFromIso,
  findLibraryCrop,
  isSouthern,
  isoDateOf,
} from '../../src/core/ground/index.ts';
import { bedAgenda } from '../../src/core/season/index.ts';
import type { DrawnBed } from './beds.ts';

const TOLERANCE = 1e-6;
const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['day']);

/** Throws where the plan of a bed contradicts itself, or what is made of it. */
export function requireConsistentPlan(drawn: DrawnBed): void {
  const planned = planOfBed({ records: drawn.records, bedId: 'bed', todayIso: drawn.todayIso });
  assert(planned);
  requireSoundDoses(planned, drawn);
  requireNothingFailsSilently(planned.plan);
  requireOneState(planned, drawn);
  requireWaits(planned);
  requireGoodDays(planned, drawn);
}

/** None late, in the cold, out of season, below the threshold, too near the next, or over the cap. */
function requireSoundDoses({ plan, scenario, today, books }: PlannedBed, { records }: DrawnBed): void {
  const { feeding } = plan;
  if (!feeding) return;
  const isSouth = isSouthern(records.garden.climate);
  feeding.doses.forEach((dose, i) => {
    assert(dose.day >= today, 'a dose lies before today');
    assert(dose.nitrogenGPerM2 - dose.reserveGPerM2 >= 1 - TOLERANCE, 'a dose is not worth the walk');
    assert(
      airTemperatureC(records.garden.climate, dose.day) >= 6.9 || dose.day === today,
      'a dose falls into the cold',
    );
    if (i > 0) assert(dose.day >= feeding.doses[i - 1].day + 14, 'two doses overlap');
    const lasts = dose.cropIds.map((id) => {
      const crop = scenario.crops.find((one) => one.id === id)!;
      const planting = books.plantings.find((one) => id === one.id || id.startsWith(`${one.id}:`))!;
      assert(!crop.isLegume, 'a legume is fed');
      const { year } = calendarDateOf(dose.day);
      const isWoody = findLibraryCrop(planting.cropId)!.isWoody;
      const midsummer = dayOf(isSouth ? `${year}-12-31` : `${year}-06-30`);
      return Math.min(crop.harvestDay - 21, isWoody ? midsummer : Infinity);
    });
    assert(dose.day <= Math.max(...lasts), 'a dose comes too late for all it is for');
  });
  assert(feeding.yearG <= feeding.capG + TOLERANCE || feeding.doses.length === 0, 'a year is over its cap');
}

/** Whoever goes short is named with a reason, and feeding never leaves a crop worse off as a whole. */
function requireNothingFailsSilently({ feeding, prospects, rules }: BedPlan): void {
  if (!feeding) return;
  const named = new Set(feeding.unmet.map(({ cropId }) => cropId));
  for (const { id, missedG, demandG } of feeding.fed) {
    if (missedG > rules.harmlessShare * demandG) assert(named.has(id), 'a crop goes short without a word');
  }
  const unfedG = prospects
    .filter(({ id }) => feeding.cropIds.includes(id))
    .reduce((sum, { shortG }) => sum + shortG, 0);
  const fedG = feeding.fed.reduce((sum, { missedG }) => sum + missedG, 0);
  if (feeding.doses.length > 0) assert(fedG <= unfedG + feeding.cropIds.length * 2, 'feeding does harm');
}

/** State, next step and calendar follow from the plan; the lock-up is that of the drawing. */
function requireOneState(planned: PlannedBed, { records, todayIso }: DrawnBed): void {
  const { plan, projection, today, books } = planned;
  const doses = plan.feeding?.doses ?? [];
  if (plan.status === 'short')
    assert(
      doses.some(({ day }) => day <= today + 14),
      'short, and nothing to do',
    );
  const standing = atEndOf(projection, today).crops.map(({ id }) => id);
  if (doses.some(({ day, cropIds }) => day <= today + 14 && cropIds.some((id) => standing.includes(id)))) {
    assert(plan.status === 'short' || plan.status === 'pale', 'a dose is due, and the bed is not short');
  }
  const step = nextStep(plan, [], []);
  assert.equal(step?.day ?? null, doses[0]?.day ?? null);
  const tasks = bedAgenda({ records, bedId: 'bed', todayIso, planned }).filter(
    ({ what }) => what.code === 'dose',
  );
  assert.deepEqual(
    tasks.map(({ day }) => day),
    doses.map(({ day }) => day).filter((day) => tasks.some((task) => task.day === day)),
  );
  for (const { what } of tasks) {
    assert(what.code === 'dose');
    const grams = doses.map(({ nitrogenGPerM2 }) => nitrogenGPerM2 * books.bed.areaM2);
    assert(
      grams.some((g) => Math.abs(g - what.nitrogenG) < TOLERANCE),
      'the calendar has another dose',
    );
  }
  const drawnNow = atEndOf(projection, today);
  if (plan.root) assert.equal(plan.root.nowG, drawnNow.heldRootG);
  if (plan.contact) assert.equal(plan.contact.nowG, drawnNow.heldContactG);
}

/** A build-up that is not ready lets nobody sow. */
function requireWaits({ plan, books }: PlannedBed): void {
  for (const { day } of plan.planting) {
    if (day === null) continue;
    for (const entry of books.entries) {
      if (entry.type !== 'lay' || !entry.plantFrom || dayOf(entry.date) > day) continue;
      assert(day >= dayOf(entry.plantFrom), 'a build-up is planted before its time');
    }
  }
}

/** A day that is offered is good when that very crop is planted on it. */
function requireGoodDays({ plan }: PlannedBed, { records, todayIso }: DrawnBed): void {
  for (const coming of plan.coming) {
    const offered = [coming.goodBefore, coming.goodAfter].flatMap((day) => day ?? []);
    for (const day of offered) {
      const plantings = records.plantings.map((one) =>
        one.id === coming.plantingId
          ? {
              ...one,
              plantedOn: isoDateOf(day),
              clearedOn: one.clearedOn && isoDateOf(dayOf(one.clearedOn) + day - dayOf(one.plantedOn)),
            }
          : one,
      );
      const moved = planOfBed({ records: { ...records, plantings }, bedId: 'bed', todayIso })!.plan;
      const again = moved.coming.find(({ plantingId }) => plantingId === coming.plantingId);
      const codes = (again?.objections ?? []).map(({ code }) => code).filter((code) => code !== 'cover');
      assert.deepEqual(codes, [], `${coming.cropId} is not good on ${isoDateOf(day)}`);
    }
  }
}
