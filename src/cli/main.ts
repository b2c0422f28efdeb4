import { readFileSync } from 'node:fs';
import { InputError } from '../core/input-error.ts';
import { readScenarioFile } from '../contract/scenario-file.ts';
import { reportScenario } from '../contract/scenario-report.ts';

const USAGE = `Usage: npm run -s vine -- simulate scenario.json

Reads a scenario (one bed, one square metre; see docs/scenario-file.md), runs it day by day and prints the
report as JSON. A dash instead of a file name reads standard input.`;

const BAD_INPUT = 2;

/** Something the caller can put right; its message is one sentence. */
class UsageError extends Error {}

function readJson(fileName: string): unknown {
  let content: string;
  try {
    content = readFileSync(fileName === '-' ? 0 : fileName, 'utf8');
  } catch {
    throw new UsageError(`The scenario file ${fileName} cannot be read.`);
  }
  try {
    return JSON.parse(content);
  } catch (error) {
    throw new UsageError(`${fileName} is not valid JSON: ${(error as Error).message}`);
  }
}

function main([command, fileName, ...rest]: readonly string[]): string {
  if (command === '--help' || command === 'help') return USAGE;
  if (command !== 'simulate' || fileName === undefined || rest.length > 0) throw new UsageError(USAGE);
  return JSON.stringify(reportScenario(readScenarioFile(readJson(fileName))), null, 1);
}

try {
  process.stdout.write(`${main(process.argv.slice(2))}\n`);
} catch (error) {
  if (!(error instanceof InputError || error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message}${error instanceof InputError ? '.' : ''}\n`);
  process.exitCode = BAD_INPUT;
}
