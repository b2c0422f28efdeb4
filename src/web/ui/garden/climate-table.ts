import { celsiusFromFahrenheit } from '../../../core/ground/index.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import type { ClimateField } from './climate-form.ts';

/** What was found in a pasted table: twelve months each, January first, in C and mm. */
export type FoundMonths = Partial<Record<ClimateField, readonly number[]>>;

const MONTHS = 12;
const MONTH_STARTS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MM_PER_INCH = 25.4;
const MM_PER_CM = 10;
/** No place has such a mean in C, nor less in F over a year of gardening. */
const HOTTEST_MEAN_C = 45;

/** Twelve figures of one thing, with what stood before or above them. */
interface Series {
  readonly label: string;
  readonly figures: readonly number[];
}

const cellsOf = (line: string): string[] =>
  line
    .replaceAll(/[\u2212\u2013]/g, '-')
    .split(/\t|;|\||\s{2,}|,\s+/)
    .flatMap((cell) => (isBareNumbers(cell) ? cell.trim().split(/\s+/) : [cell.trim()]))
    .filter((cell) => cell !== '');

/** "3.1 4.2 5.0": a row whose cells are apart by one space. */
const isBareNumbers = (cell: string): boolean =>
  /^\s*-?\d+(?:[.,]\d+)?(?:\s+-?\d+(?:[.,]\d+)?)+\s*$/.test(cell);

/** The figure a cell begins with, "-3.5 (25.7)" as -3.5; undefined when it begins with something else. */
function figureIn(cell: string): number | undefined {
  const found = /^-?\d+(?:[.,]\d+)?/.exec(cell)?.[0];
  return found === undefined ? undefined : Number(found.replace(',', '.'));
}

const figuresIn = (cells: readonly string[]): number[] => cells.flatMap((cell) => figureIn(cell) ?? []);

const monthOf = (cell: string): number => MONTH_STARTS.indexOf(cell.trim().slice(0, 3).toLowerCase());

/** Series in rows: a name and twelve figures, or thirteen with the year. */
function rowsIn(lines: readonly (readonly string[])[]): Series[] {
  const header = lines.find((cells) => cells.filter((cell) => monthOf(cell) >= 0).length >= MONTHS);
  const first = header?.map(monthOf).find((month) => month >= 0) ?? 0;
  return lines.flatMap((cells) => {
    const label = cells[0] !== undefined && figureIn(cells[0]) === undefined ? cells[0] : '';
    const figures = figuresIn(label === '' ? cells : cells.slice(1));
    if (figures.length < MONTHS || figures.length > MONTHS + 1) return [];
    return [{ label, figures: fromJanuary(figures.slice(0, MONTHS), first) }];
  });
}

/** The same twelve months with January first. */
const fromJanuary = (figures: readonly number[], firstMonth: number): number[] =>
  figures.map((_, month) => figures[(month - firstMonth + MONTHS) % MONTHS]!);

/** Series in columns: twelve lines that begin with a month or are one figure each, and the names above them. */
function columnsIn(lines: readonly (readonly string[])[]): Series[] {
  const months = lines.filter((cells) => monthOf(cells[0] ?? '') >= 0 && figuresIn(cells).length > 0);
  if (months.length === MONTHS) {
    const sorted = months.toSorted((a, b) => monthOf(a[0]!) - monthOf(b[0]!));
    const header = lines[lines.indexOf(months[0]!) - 1] ?? [];
    const width = Math.min(...months.map((cells) => figuresIn(cells).length));
    const labels = header.slice(-width);
    return Array.from({ length: width }, (_, column) => ({
      label: labels[column] ?? '',
      figures: sorted.map((cells) => figuresIn(cells.slice(1))[column]!),
    }));
  }
  const single = lines.filter((cells) => cells.length === 1 && figureIn(cells[0]!) !== undefined);
  return single.length === MONTHS
    ? [{ label: '', figures: single.map((cells) => figureIn(cells[0]!)!) }]
    : [];
}

type Kind = ClimateField | 'highC' | 'lowC';
const KINDS: readonly (readonly [RegExp, Kind | null])[] = [
  [/record|days|hours|sun|humid|wind|dew|snow/i, null],
  [/evap|et0|pet\b/i, 'evapotranspirationMm'],
  [/precip|rain/i, 'rainMm'],
  [/high|max/i, 'highC'],
  [/low|min/i, 'lowC'],
  [/temp|mean|average|avg|°/i, 'temperatureC'],
];

/** Without names: temperature comes first, then rain, then what evaporates. */
const UNNAMED: readonly ClimateField[] = ['temperatureC', 'rainMm', 'evapotranspirationMm'];

function kindOf(label: string, unnamedBefore: number): Kind | null {
  if (label === '') return UNNAMED[unnamedBefore] ?? null;
  return KINDS.find(([pattern]) => pattern.test(label))?.[1] ?? null;
}

/** Whether one unit is named, and before the other. */
function isIn(label: string, unit: RegExp, other: RegExp): boolean {
  const [at, otherAt] = [label.search(unit), label.search(other)];
  return at >= 0 && (otherAt < 0 || at < otherAt);
}

function inBase({ label, figures }: Series, kind: Kind, system: UnitSystem): number[] {
  if (kind === 'rainMm' || kind === 'evapotranspirationMm') {
    const isNamed = /mm|cm|inch|\bin\b|"/i.test(label);
    const isInches = isNamed ? isIn(label, /inch|\bin\b|"/i, /mm|cm/i) : system === 'customary';
    const factor = isInches ? MM_PER_INCH : isIn(label, /cm/i, /mm|inch|\bin\b|"/i) ? MM_PER_CM : 1;
    return figures.map((figure) => figure * factor);
  }
  const isNamed = /°\s*[cf]|celsius|fahrenheit/i.test(label);
  const isHot = Math.max(...figures) > HOTTEST_MEAN_C;
  const isFahrenheit = isNamed
    ? isIn(label, /°\s*f|fahrenheit/i, /°\s*c|celsius/i)
    : system === 'customary' || isHot;
  return isFahrenheit ? figures.map(celsiusFromFahrenheit) : [...figures];
}

/**
 * Reads twelve months out of what was copied from anywhere: rows or columns, in any order, with or without names, in C or
 * F, mm, cm or inches. Where only highs and lows are given their middle is the mean. Empty when nothing was understood.
 */
export function readClimateTable(text: string, system: UnitSystem): FoundMonths {
  const lines = text
    .split(/\r?\n/)
    .map(cellsOf)
    .filter((cells) => cells.length > 0);
  const rows = rowsIn(lines);
  const found: Partial<Record<Kind, number[]>> = {};
  let unnamed = 0;
  for (const series of rows.length > 0 ? rows : columnsIn(lines)) {
    const kind = kindOf(series.label, unnamed);
    if (series.label === '') unnamed += 1;
    if (kind !== null) found[kind] ??= inBase(series, kind, system);
  }
  const { highC, lowC, ...months } = found;
  const middle = highC && lowC ? { temperatureC: highC.map((high, i) => (high + lowC[i]!) / 2) } : {};
  return { ...middle, ...months };
}
