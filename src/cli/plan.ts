import { type BedPlan, type LockUpWindow, planOfBed } from '../core/bed/index.ts';
import { type DayNumber, isoDateOf } from '../core/ground/index.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import { oneWord, type Arguments } from './arguments.ts';
import { gardenIn, readJson } from './files.ts';
import { bedInQuestion } from './garden-question.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

const dateOrNull = (day: DayNumber | null): string | null => (day === null ? null : isoDateOf(day));

const lockUpReport = (window: LockUpWindow | null) =>
  window && {
    from: isoDateOf(window.fromDay),
    peak: isoDateOf(window.peakDay),
    peak_g_per_m2: window.peakG,
    now_g_per_m2: window.nowG,
    half_back: dateOrNull(window.halfBackDay),
    causes: window.causes.map(({ layerId, share }) => ({ layer: layerId, share })),
  };

const dosesReport = ({ feeding }: BedPlan, areaM2: number) =>
  (feeding?.doses ?? []).map((dose) => ({
    date: isoDateOf(dose.day),
    needed: isoDateOf(dose.neededDay),
    product: dose.materialId,
    crops: dose.cropIds.join(' '),
    n_g_per_m2: dose.nitrogenGPerM2,
    n_g_for_the_bed: dose.nitrogenGPerM2 * areaM2,
    reserve_g_per_m2: dose.reserveGPerM2,
  }));

/** The plan of a bed of a garden file, as its page says. */
export function planReport(json: unknown, args: Arguments) {
  const asked = bedInQuestion(gardenIn(json), args);
  const { records, bedId, todayIso, name, books } = asked;
  const { plan } = planOfBed({ records, bedId, todayIso })!;
  return {
    model: MODEL_VERSION,
    bed: name,
    today: todayIso,
    status: plan.status,
    lock_up: { contact: lockUpReport(plan.contact), root: lockUpReport(plan.root) },
    doses: dosesReport(plan, books.bed.areaM2),
    unmet: (plan.feeding?.unmet ?? []).map(({ cropId, missedG, demandG, reason }) => ({
      crop: cropId,
      missed_share: missedG / demandG,
      reason,
    })),
    coming: plan.coming.map(({ plantingId, day, missedShare, objections, goodBefore, goodAfter }) => ({
      planting: plantingId,
      date: isoDateOf(day),
      missed_share: missedShare,
      objections: objections.map(({ code }) => code),
      good_before: dateOrNull(goodBefore),
      good_after: dateOrNull(goodAfter),
    })),
    planting: plan.planting.map(({ start, day, waitFor }) => ({
      start,
      from: dateOrNull(day),
      because: waitFor,
    })),
    waits: plan.waits.map(({ entryId, plantingId, earliestDay }) => ({
      entry: entryId,
      planting: plantingId,
      harvest_from: isoDateOf(earliestDay),
    })),
    conflicts: plan.conflicts.map(({ code }) => code),
    limits: plan.limits,
  };
}

/** What is to be said and done about a bed for fifteen months. */
export function plan(args: Arguments): string {
  const report = planReport(readJson(oneWord(args, 'a garden file')), args);
  return args.options.csv ? csvText(rowsOf(report.doses)) : jsonText(report);
}
