import { dayNumberFromIso } from '../core/ground/index.ts';
import { readScenarioFile, type ScenarioRequest } from '../contract/scenario-file.ts';
import { reportScenario } from '../contract/scenario-report.ts';
import { oneWord, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, isGardenFile, readJson } from './files.ts';
import { bedInQuestion, scenarioUntil } from './garden-question.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

const WEEK = 7;
const YEAR = 365;

/** A bed of a garden file as a request: from its opening day to `--until`, or a year from today. */
function bedRequest(json: unknown, args: Arguments): ScenarioRequest {
  const asked = bedInQuestion(gardenIn(json), args);
  const { until } = args.options;
  const endDay = until === undefined ? asked.today + YEAR : dayNumberFromIso(until, ['--until']) + 1;
  if (endDay <= asked.today && until === undefined)
    throw new UsageError('--until must lie after the first entry.');
  return { name: asked.name, scenario: scenarioUntil(asked, endDay), reportEveryDays: WEEK };
}

/** Runs a scenario, or a bed of a garden, day by day. */
export function simulate(args: Arguments): string {
  const json = readJson(oneWord(args, 'a scenario or a garden file'));
  const request = isGardenFile(json) ? bedRequest(json, args) : readScenarioFile(json);
  const report = reportScenario(request);
  return args.options.csv ? csvText(rowsOf(report.weekly)) : jsonText(report);
}
