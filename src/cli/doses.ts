import {
  ADVICE_DAYS,
  type LockUpWindow,
  adviceSetting,
  adviseBed,
  projectForAdvice,
} from '../core/bed/index.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import { type DayNumber, isoDateOf } from '../core/ground/index.ts';
import { readScenarioFile } from '../contract/scenario-file.ts';
import { reportScenario } from '../contract/scenario-report.ts';
import { oneWord, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, isGardenFile, readJson } from './files.ts';
import { bedInQuestion, scenarioUntil } from './garden-question.ts';
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

/** What is locked up on a bed of a garden and what to feed, as its page says. */
function gardenDoses(json: unknown, args: Arguments) {
  const file = gardenIn(json);
  const asked = bedInQuestion(file, args);
  const { today, books } = asked;
  const scenario = scenarioUntil(asked, today + ADVICE_DAYS);
  const setting = adviceSetting({ records: file, books, today });
  const advice = adviseBed({ scenario, projection: projectForAdvice(scenario, today), today, setting });
  return {
    model: MODEL_VERSION,
    bed: asked.name,
    today: asked.todayIso,
    status: advice.status,
    lock_up: { contact: lockUpReport(advice.contact), root: lockUpReport(advice.root) },
    doses: (advice.feeding?.doses ?? []).map((dose) => ({
      date: isoDateOf(dose.day),
      n_g_per_m2: dose.nitrogenGPerM2,
      n_g_for_the_bed: dose.nitrogenGPerM2 * books.bed.areaM2,
      reserve_g_per_m2: dose.reserveGPerM2,
      product: dose.materialId,
      needed: isoDateOf(dose.neededDay),
    })),
  };
}

function scenarioDoses(json: unknown) {
  const request = readScenarioFile(json);
  const { name, model, supplement } = reportScenario(request);
  if (!supplement) throw new UsageError('This scenario asks for no doses: it has no "supplement".');
  return { name, model, doses: supplement };
}

/** Least dated doses of nitrogen. */
export function doses(args: Arguments): string {
  const json = readJson(oneWord(args, 'a scenario or a garden file'));
  const result = isGardenFile(json) ? gardenDoses(json, args) : scenarioDoses(json);
  return args.options.csv ? csvText(rowsOf(result.doses)) : jsonText(result);
}
