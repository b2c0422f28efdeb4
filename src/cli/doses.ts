import { readScenarioFile } from '../contract/scenario-file.ts';
import { reportScenario } from '../contract/scenario-report.ts';
import { oneWord, UsageError, type Arguments } from './arguments.ts';
import { isGardenFile, readJson } from './files.ts';
import { csvText, jsonText, rowsOf } from './output.ts';
import { planReport } from './plan.ts';

/** What is locked up on a bed of a garden and what to feed, as its page says. */
function gardenDoses(json: unknown, args: Arguments) {
  const { model, bed, today, status, lock_up, doses } = planReport(json, args);
  return { model, bed, today, status, lock_up, doses };
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
