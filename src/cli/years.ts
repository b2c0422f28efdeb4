import type { Habit } from '../records/habit.ts';
import {
  HABIT_TEMPLATE_IDS,
  booksAsPlanned,
  booksWithHabit,
  endOfYears,
  habitFromTemplate,
  runYears,
  withMinerals,
} from '../core/long-run/index.ts';
import { TEMPLATE_WORDS } from '../words/years-words.ts';
import { MOST_YEARS } from '../records/vocabulary.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import { yearsTable } from '../contract/tables/years-table.ts';
import { numberOption, oneWord, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, isGardenFile, readJson } from './files.ts';
import { bedInQuestion, scenarioUntil } from './garden-question.ts';
import { csvText, jsonText } from './output.ts';

function yearsAsked({ options }: Arguments): number {
  const years = numberOption('years', options.years) ?? 0;
  if (!(Number.isInteger(years) && years >= 1 && years <= MOST_YEARS)) {
    throw new UsageError(`--years must be a whole number from 1 to ${MOST_YEARS}; got ${years}`);
  }
  return years;
}

interface NamedHabit extends Habit {
  readonly id: string;
  readonly name: string;
}

/** The habits that every garden has, by the names of the page. */
const BUILT_IN = HABIT_TEMPLATE_IDS.map((id): NamedHabit => ({
  id,
  name: TEMPLATE_WORDS[id].name,
  ...habitFromTemplate(id),
}));

/** A bed of a garden year by year, as planned or under a habit of its book or a built-in one. */
export function years(args: Arguments): string {
  const json = readJson(oneWord(args, 'a garden file'));
  if (!isGardenFile(json)) throw new UsageError('Years are worked out for a bed of a garden file.');
  const file = gardenIn(json);
  const asked = bedInQuestion(file, args);
  const count = yearsAsked(args);
  const { habit: wanted } = args.options;
  const habits: readonly NamedHabit[] = [...file.habits, ...BUILT_IN];
  const habit = habits.find(({ id, name }) => id === wanted || name.toLowerCase() === wanted?.toLowerCase());
  if (wanted !== undefined && !habit) {
    const names = habits.map(({ name }) => name).join(', ');
    throw new UsageError(`--habit must be one of these: ${names}.`);
  }
  const setting = { findMaterial: asked.findMaterial, today: asked.today, years: count };
  const books = habit ? booksWithHabit(asked.books, habit, setting) : booksAsPlanned(asked.books, setting);
  const scenario = scenarioUntil({ ...asked, books }, endOfYears(asked.today, count));
  const run = runYears(scenario, asked.today, count);
  const { largestRelativeError } = run;
  const points = withMinerals(run.points, books, asked.findMaterial);
  if (args.options.csv) {
    const { areaM2 } = asked.books.bed;
    return csvText(yearsTable([{ bed: asked.name, habit: habit?.name ?? 'as planned', areaM2, points }]));
  }
  return jsonText({
    model: MODEL_VERSION,
    bed: asked.name,
    habit: habit?.name ?? null,
    points,
    largestRelativeError,
  });
}
