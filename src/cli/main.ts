import { InputError } from '../refusals/input-error.ts';
import { refusalSentence } from '../words/refusal-words.ts';
import { readArguments, UsageError, type Arguments } from './arguments.ts';
import { char } from './char.ts';
import { completion } from './completion.ts';
import { convert } from './convert.ts';
import { doses } from './doses.ts';
import { HELP, helpFor } from './help.ts';
import { mix } from './mix.ts';
import { plan } from './plan.ts';
import { simulate } from './simulate.ts';
import { InvalidFile, validate } from './validate.ts';
import { ways } from './ways.ts';
import { years } from './years.ts';

const INVALID = 1;
const BAD_INPUT = 2;

const COMMANDS: Readonly<Record<string, (args: Arguments) => string>> = {
  simulate,
  mix,
  char,
  doses,
  plan,
  years,
  ways,
  validate,
  convert,
  completion,
};

function main(words: readonly string[]): string {
  const args = readArguments(words);
  if (args.command === undefined && args.options.help) return HELP;
  if (args.command === 'help') return helpFor(args.words[0]);
  const command = COMMANDS[args.command ?? ''];
  if (!command) throw new UsageError(HELP.trimEnd());
  return args.options.help ? helpFor(args.command) : command(args);
}

/** A refusal names its field as the file spells it: a terminal is used by those who write files. */
const textOf = (error: Error): string =>
  error instanceof InputError ? refusalSentence(error.path.join('.'), error.refusal) : error.message;

/** Whoever reads may have read enough (`| head`): then there is nothing left to say, and nothing went wrong. */
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

try {
  process.stdout.write(main(process.argv.slice(2)));
} catch (error) {
  const isOurs = error instanceof InputError || error instanceof UsageError || error instanceof InvalidFile;
  if (!isOurs) throw error;
  process.stderr.write(`${textOf(error)}\n`);
  process.exitCode = error instanceof InvalidFile ? INVALID : BAD_INPUT;
}
