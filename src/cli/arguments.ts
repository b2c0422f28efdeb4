import { parseArgs } from 'node:util';
import { dayNumberFromIso } from '../core/ground/index.ts';

/** Something the caller can put right; its message says how. */
export class UsageError extends Error {}

const OPTIONS = {
  help: { type: 'boolean', short: 'h', default: false },
  csv: { type: 'boolean', default: false },
  bed: { type: 'string' },
  today: { type: 'string' },
  until: { type: 'string' },
  years: { type: 'string', default: '10' },
  habit: { type: 'string' },
  table: { type: 'string' },
  garden: { type: 'string' },
  pile: { type: 'string' },
  material: { type: 'string' },
  liters: { type: 'string' },
  from: { type: 'string' },
  dug: { type: 'string' },
  thick: { type: 'string' },
  with: { type: 'string' },
  'with-liters': { type: 'string' },
  water: { type: 'string', default: '0' },
  method: { type: 'string' },
  wood: { type: 'string' },
  char: { type: 'string' },
  temperature: { type: 'string', default: 'medium' },
  carbon: { type: 'string', default: '0.75' },
  area: { type: 'string' },
  clay: { type: 'string' },
} as const;

export interface Arguments {
  readonly command: string | undefined;
  /** What stands after the command. */
  readonly words: readonly string[];
  readonly options: ReturnType<typeof parseOptions>['values'];
}

const parseOptions = (args: readonly string[]) =>
  parseArgs({ args: [...args], options: OPTIONS, allowPositionals: true });

/** Throws UsageError for an option nobody knows. */
export function readArguments(args: readonly string[]): Arguments {
  try {
    const { values, positionals } = parseOptions(args);
    const [command, ...words] = positionals;
    return { command, words, options: values };
  } catch (error) {
    throw new UsageError((error as Error).message);
  }
}

/** A number given as an option; undefined when it is not given. */
export function numberOption(name: string, text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  const value = Number(text);
  if (text.trim() === '' || !Number.isFinite(value)) {
    throw new UsageError(`--${name} must be a number; got ${text}`);
  }
  return value;
}

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** `--today`, or the day of this machine's clock; ISO date. */
export function todayOf({ options }: Arguments): string {
  if (options.today !== undefined) {
    dayNumberFromIso(options.today, ['--today']);
    return options.today;
  }
  const now = new Date();
  return `${now.getFullYear()}-${twoDigits(now.getMonth() + 1)}-${twoDigits(now.getDate())}`;
}

/** The one word a command is about. */
export function oneWord({ words }: Arguments, what: string): string {
  const [word, ...rest] = words;
  if (word === undefined || rest.length > 0) throw new UsageError(`Name ${what}, and nothing else.`);
  return word;
}
