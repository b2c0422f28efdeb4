import { COLLECTION_NAMES } from '../records/collections.ts';
import { modelFindings } from '../contract/check-garden.ts';
import { gardenFile, upgradeFile } from '../contract/garden-file.ts';
import { recordsOfFile } from '../contract/garden-records.ts';
import { type TitledRecords } from '../words/record-titles.ts';
import { titledSentence } from '../words/refusal-words.ts';
import { findingsOf, inGardenFile } from '../contract/problem-fields.ts';
import { readScenarioFile } from '../contract/scenario-file.ts';
import { reportScenario } from '../contract/scenario-report.ts';
import { oneWord, todayOf, type Arguments } from './arguments.ts';
import { isGardenFile, readJson } from './files.ts';
import { jsonText } from './output.ts';

/** A file that was read but is not valid; the text lists everything that is wrong with it. */
export class InvalidFile extends Error {}

function validGarden(json: unknown, args: Arguments): string {
  const read = gardenFile.safeParse(upgradeFile(json));
  if (!read.success)
    throw new InvalidFile(
      findingsOf(read.error)
        .map((found) => titledSentence(inGardenFile(found, json), json as TitledRecords))
        .join('\n'),
    );
  const file = read.data;
  const findings = modelFindings(recordsOfFile(file), todayOf(args));
  if (findings.length > 0)
    throw new InvalidFile(findings.map((found) => titledSentence(found, file)).join('\n'));
  const counts = Object.fromEntries(COLLECTION_NAMES.map((name) => [name, file[name].length]));
  return jsonText({
    valid: true,
    garden: file.garden.name,
    records: { ...counts, photos: file.photos?.length ?? 0 },
  });
}

function validScenario(json: unknown): string {
  const request = readScenarioFile(json);
  const { ledger } = reportScenario(request);
  return jsonText({ valid: true, scenario: request.name, ledger });
}

/** Checks a garden file or a scenario against its format and against the model. */
export function validate(args: Arguments): string {
  const json = readJson(oneWord(args, 'a garden file or a scenario'));
  return isGardenFile(json) ? validGarden(json, args) : validScenario(json);
}
