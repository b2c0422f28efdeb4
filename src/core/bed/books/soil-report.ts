import type { SoilNitrogenUnit } from '../../../records/vocabulary.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { type SampledSoil, mineralNitrogenGPerM2 } from '../../ground/index.ts';
import { ORGANIC_MATTER_PER_CARBON } from '../../model/index.ts';

/** More mineral nitrogen than any garden soil holds, g/m2: 600 kg/ha (set here). */
export const MOST_MINERAL_NITROGEN_G_PER_M2 = 60;
/** Organic matter outside this is not of a garden bed, %: a figure below was meant as a share (set here). */
export const ORGANIC_MATTER_PCT = { least: 0.2, most: 95 } as const;

interface TestedFigures {
  readonly amount: number;
  readonly unit: SoilNitrogenUnit;
  readonly organicMatterPct: number | null;
}

/** Throws InputError naming the field when figures of a soil test can only be in another unit. */
export function checkSoilTest({ amount, unit, organicMatterPct }: TestedFigures, soil: SampledSoil): void {
  const gPerM2 = mineralNitrogenGPerM2(amount, unit, soil);
  if (gPerM2 > MOST_MINERAL_NITROGEN_G_PER_M2) {
    throw new InputError(['amount'], 'tooMuchMineralNitrogen', { gPerM2 });
  }
  if (organicMatterPct === null) return;
  if (organicMatterPct < ORGANIC_MATTER_PCT.least || organicMatterPct > ORGANIC_MATTER_PCT.most) {
    throw new InputError(['organicMatterPct'], 'organicMatterImpossible', {
      pct: organicMatterPct,
      ...ORGANIC_MATTER_PCT,
    });
  }
}

/** What a laboratory's report says of one sample; null for what it does not say. */
export interface SoilReport {
  readonly sample: string;
  /** ISO date. */
  readonly date: string | null;
  readonly mineralNitrogen: { readonly amount: number; readonly unit: SoilNitrogenUnit } | null;
  readonly sampledDepthCm: number | null;
  readonly ph: number | null;
  readonly organicMatterPct: number | null;
}

type Meaning =
  'sample' | 'date' | 'ph' | 'organicMatter' | 'organicCarbon' | 'mineral' | 'nitrate' | 'ammonium' | 'depth';

const MEANINGS: readonly (readonly [Meaning, RegExp])[] = [
  ['sample', /^(sample|bed|name|id|plot)\b/],
  ['date', /^(date|sampled on|sampling date|taken on)\b/],
  ['ph', /^ph\b/],
  ['organicMatter', /^(organic matter|som|om)\b/],
  ['organicCarbon', /^(organic carbon|soc|toc|corg)\b/],
  ['mineral', /^(mineral n|mineral nitrogen|n-?min|inorganic n)/],
  ['nitrate', /^(nitrate|no3)/],
  ['ammonium', /^(ammonium|nh4)/],
  ['depth', /^(depth|sampled depth|sampling depth)\b/],
];

const PPM_PER_PCT = 10_000;
const CM_PER_INCH = 2.54;

interface Column {
  readonly meaning: Meaning;
  readonly index: number;
  /** As it stands in the header, lower case: %, ppm, mg/kg, kg/ha ... */
  readonly unit: string;
}

function columnOf(header: string, index: number): Column | null {
  const text = header.trim().toLowerCase().replaceAll('_', ' ');
  const unit =
    /[([]\s*([^)\]]+?)\s*[)\]]/.exec(text)?.[1] ??
    /(%|ppm|mg\/kg|kg\/ha|lb\/acre|g\/m2|g\/kg|cm|in)$/.exec(text)?.[1] ??
    '';
  const meaning = MEANINGS.find(([, pattern]) => pattern.test(text))?.[0];
  return meaning ? { meaning, index, unit } : null;
}

const NITROGEN_UNITS: Readonly<Record<string, SoilNitrogenUnit>> = {
  'mg/kg': 'mgPerKg',
  ppm: 'mgPerKg',
  'kg/ha': 'kgPerHa',
  'lb/acre': 'lbPerAcre',
  'lbs/acre': 'lbPerAcre',
  'g/m2': 'gPerM2',
  'g/m²': 'gPerM2',
};

/**
 * Samples of a laboratory's table, header first. Columns are known by their names, units by what stands in brackets
 * behind them. Throws InputError naming row and column for what cannot be read.
 */
export function soilReports(rows: readonly (readonly string[])[]): SoilReport[] {
  const [header = [], ...lines] = rows;
  const columns = header.flatMap((name, i) => columnOf(name, i) ?? []);
  if (!columns.some(({ meaning }) => meaning !== 'sample' && meaning !== 'date' && meaning !== 'depth')) {
    throw new InputError(['report'], 'noColumns');
  }
  return lines
    .filter((line) => line.some((cell) => cell.trim() !== ''))
    .map((line, i) => reportOf({ line, columns, header, row: i + 2 }));
}

function reportOf({
  line,
  columns,
  header,
  row,
}: {
  readonly line: readonly string[];
  readonly columns: readonly Column[];
  readonly header: readonly string[];
  readonly row: number;
}): SoilReport {
  const textOf = (meaning: Meaning) => {
    const column = columns.find((one) => one.meaning === meaning);
    return column ? (line[column.index] ?? '').trim() : '';
  };
  const figure = (meaning: Meaning): { value: number; unit: string; at: string } | null => {
    const column = columns.find((one) => one.meaning === meaning);
    const text = column ? (line[column.index] ?? '').trim() : '';
    if (!column || text === '') return null;
    const value = Number(text.replace(',', '.').replace(/^</, ''));
    const at = `row ${row}, ${header[column.index].trim()}`;
    if (!Number.isFinite(value) || value < 0) throw new InputError([at], 'noNumber', { text });
    return { value, unit: column.unit, at };
  };
  const depth = figure('depth');
  const date = textOf('date');
  return {
    sample: textOf('sample'),
    date: /^\d{4}-\d\d-\d\d$/.test(date) ? date : null,
    sampledDepthCm: depth ? depth.value * (/^in/.test(depth.unit) ? CM_PER_INCH : 1) : null,
    ph: phOf(figure('ph')),
    organicMatterPct: organicPctOf(figure('organicMatter'), figure('organicCarbon')),
    mineralNitrogen: mineralOf([figure('mineral')]) ?? mineralOf([figure('nitrate'), figure('ammonium')]),
  };
}

interface ReadFigure {
  readonly value: number;
  readonly unit: string;
  readonly at: string;
}

function phOf(read: ReadFigure | null): number | null {
  if (read && !(read.value >= 2 && read.value <= 11)) {
    throw new InputError([read.at], 'outOfRange', { min: 2, max: 11, got: read.value });
  }
  return read?.value ?? null;
}

function asPct({ value, unit, at }: ReadFigure): number {
  const pct = unit === 'ppm' || unit === 'mg/kg' ? value / PPM_PER_PCT : unit === 'g/kg' ? value / 10 : value;
  if (pct > 100) {
    throw new InputError([at], 'moreThanAll', { pct: value, asPpmPct: value / PPM_PER_PCT });
  }
  return pct;
}

function organicPctOf(matter: ReadFigure | null, carbon: ReadFigure | null): number | null {
  if (matter) return asPct(matter);
  return carbon ? asPct(carbon) * ORGANIC_MATTER_PER_CARBON : null;
}

/** Nitrate and ammonium together; both in one unit. */
function mineralOf(reads: readonly (ReadFigure | null)[]): SoilReport['mineralNitrogen'] {
  const known = reads.filter((read) => read !== null);
  if (known.length === 0) return null;
  const [first] = known;
  if (known.some(({ unit }) => unit !== first.unit)) {
    throw new InputError([first.at], 'mixedNitrogenUnits');
  }
  const amount = known.reduce((sum, { value }) => sum + value, 0);
  if (first.unit === '%') return { amount: amount * PPM_PER_PCT, unit: 'mgPerKg' };
  const unit = first.unit === '' ? undefined : NITROGEN_UNITS[first.unit];
  if (!unit) {
    throw new InputError([first.at], 'needsNitrogenUnit', { unit: first.unit });
  }
  return { amount, unit };
}
