import type { DayNumber } from '../../ground/index.ts';
import type { Start } from '../advice/planting-dates.ts';
import type { BedPlan } from './bed-plan.ts';
import type { FedOutcome, FeedingPlan, PlannedDose } from './feeding-plan.ts';
import type { PlannedBed } from './plan-of-bed.ts';

/** Something that reads otherwise after a plan was made anew. Amounts per m2. */
export type PlanChange =
  | {
      readonly code: 'doseAdded' | 'doseGone';
      readonly day: DayNumber;
      readonly nitrogenGPerM2: number;
      readonly cropIds: readonly string[];
    }
  | {
      /** The same dose in another amount, on another day, or both. */
      readonly code: 'doseChanged';
      readonly fromDay: DayNumber;
      readonly day: DayNumber;
      readonly fromGPerM2: number;
      readonly nitrogenGPerM2: number;
      readonly cropIds: readonly string[];
    }
  | {
      readonly code: 'missedShare';
      readonly cropId: string;
      readonly fromShare: number;
      readonly share: number;
    }
  | {
      /** Crops in general may start on another day; null is no day of the coming year. */
      readonly code: 'startMoved';
      readonly start: Start;
      readonly fromDay: DayNumber | null;
      readonly day: DayNumber | null;
    };

/** Doses of two plans further apart than this are not the same dose, days (set here). */
const SAME_DOSE_WITHIN_DAYS = 28;
/** Less than this is no news (set here). */
const NEWS = { doseShare: 0.1, doseGPerM2: 0.5, doseDays: 3, missedShare: 0.05, startDays: 7 } as const;

type Planned = Pick<PlannedBed, 'books' | 'plan'>;

/**
 * What is new in `after` for somebody who knew `before`: doses first, by their day, then what crops will miss, then when
 * crops in general may start.
 */
export function planChanges(before: Planned, after: Planned): PlanChange[] {
  const [old, now] = [before.plan.feeding, after.plan.feeding];
  return [
    ...doseChanges(old, now, feedingsSince(before, after)),
    ...missedChanges(old?.fed ?? [], now?.fed ?? []),
    ...startChanges(before.plan, after.plan),
  ];
}

function feedingsSince(before: Planned, after: Planned): number {
  const known = new Set(before.books.entries.map(({ id }) => id));
  return after.books.entries.filter(({ id, type }) => type === 'feed' && !known.has(id)).length;
}

/**
 * Every dose beside the one it was: by its number where it was postponed in between, else the nearest that is for one of
 * its crops. The first `given` of the old ones are gone because they were given, which is no news.
 */
function doseChanges(before: FeedingPlan | null, after: FeedingPlan | null, given: number): PlanChange[] {
  const left = new Set((before?.doses ?? []).slice(given));
  const wasMoved = (number: number) => before?.postponed.get(number) !== after?.postponed.get(number);
  const changes: PlanChange[] = [];
  const doses = (after?.doses ?? []).map((dose, i) => ({ dose, number: i + 1 }));
  for (const { dose, number } of doses.toSorted(
    (a, b) => Number(wasMoved(b.number)) - Number(wasMoved(a.number)),
  )) {
    const old = wasMoved(number) ? before?.doses[number - 1] : nearestTo(dose, left);
    if (old) left.delete(old);
    changes.push(...(old ? changeOf(old, dose) : [{ code: 'doseAdded' as const, ...factsOf(dose) }]));
  }
  const gone = [...left].map((dose) => ({ code: 'doseGone' as const, ...factsOf(dose) }));
  return [...changes, ...gone].toSorted((a, b) => dayOfChange(a) - dayOfChange(b));
}

const dayOfChange = (change: PlanChange): number => ('day' in change ? (change.day ?? Infinity) : Infinity);

const factsOf = ({ day, nitrogenGPerM2, cropIds }: PlannedDose) => ({ day, nitrogenGPerM2, cropIds });

function nearestTo(dose: PlannedDose, others: ReadonlySet<PlannedDose>): PlannedDose | undefined {
  const distance = ({ day }: PlannedDose) => Math.abs(day - dose.day);
  return [...others]
    .filter(
      (other) =>
        distance(other) <= SAME_DOSE_WITHIN_DAYS && other.cropIds.some((id) => dose.cropIds.includes(id)),
    )
    .toSorted((a, b) => distance(a) - distance(b))
    .at(0);
}

function changeOf(old: PlannedDose, dose: PlannedDose): PlanChange[] {
  const least = Math.max(NEWS.doseGPerM2, NEWS.doseShare * old.nitrogenGPerM2);
  const isNews =
    Math.abs(dose.nitrogenGPerM2 - old.nitrogenGPerM2) >= least ||
    Math.abs(dose.day - old.day) >= NEWS.doseDays;
  if (!isNews) return [];
  return [{ code: 'doseChanged', fromDay: old.day, fromGPerM2: old.nitrogenGPerM2, ...factsOf(dose) }];
}

const shareOf = ({ missedG, demandG }: FedOutcome): number => (demandG > 0 ? missedG / demandG : 0);

function missedChanges(before: readonly FedOutcome[], after: readonly FedOutcome[]): PlanChange[] {
  return after.flatMap((outcome): PlanChange[] => {
    const old = before.find(({ id }) => id === outcome.id);
    if (!old) return [];
    const [fromShare, share] = [shareOf(old), shareOf(outcome)];
    if (Math.abs(share - fromShare) < NEWS.missedShare) return [];
    return [{ code: 'missedShare', cropId: outcome.id, fromShare, share }];
  });
}

function startChanges(before: BedPlan, after: BedPlan): PlanChange[] {
  return after.planting.flatMap(({ start, day }): PlanChange[] => {
    const old = before.planting.find((one) => one.start === start);
    if (!old) return [];
    const fromDay = old.day;
    const isSame =
      day === null || fromDay === null ? day === fromDay : Math.abs(day - fromDay) < NEWS.startDays;
    return isSame ? [] : [{ code: 'startMoved', start, fromDay, day }];
  });
}
