import type { SoilTestEntry } from '../../../records/entry.ts';
import {
  SOIL_FIGURE_FIELDS,
  type SoilExtraction,
  type SoilFigureField,
  type SoilNitrogenUnit,
  type SoilNutrientField,
} from '../../../records/vocabulary.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { type SampledSoil, mineralNitrogenGPerM2 } from '../../ground/index.ts';
import { ORGANIC_MATTER_PER_CARBON } from '../../model/index.ts';
import {
  CMOL_PER_KG,
  columnOf,
  DS_PER_M,
  extractionIn,
  type Meaning,
  MG_PER_KG,
  NITROGEN_UNITS,
  PCT,
  type ReportColumn,
} from './report-columns.ts';

/** More mineral nitrogen than any garden soil holds, g/m2: 600 kg/ha (set here). */
export const MOST_MINERAL_NITROGEN_G_PER_M2 = 60;
/** Organic matter outside this is not of a garden bed, %: a figure below was meant as a share (set here). */
export const ORGANIC_MATTER_PCT = { least: 0.2, most: 95 } as const;

type TestedFigures = Pick<SoilTestEntry, 'amount' | 'unit' | 'ph' | 'organicMatterPct' | SoilFigureField>;

/** Throws InputError naming the field when a soil test has no figure, or figures that can only be in another unit. */
export function checkSoilTest(test: TestedFigures, soil: SampledSoil): void {
  const { amount, unit, organicMatterPct } = test;
  if (
    [amount, test.ph, organicMatterPct, ...SOIL_FIGURE_FIELDS.map((field) => test[field])].every(
      (one) => one == null,
    )
  ) {
    throw new InputError(['amount'], 'nothingTested');
  }
  if (amount != null && !unit) throw new InputError(['unit'], 'unitNeeded');
  const gPerM2 = amount == null || !unit ? 0 : mineralNitrogenGPerM2(amount, unit, soil);
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
  /** As it is written there; empty where the table has none. */
  readonly date: string;
  readonly mineralNitrogen: { readonly amount: number; readonly unit: SoilNitrogenUnit } | null;
  readonly sampledDepthCm: number | null;
  readonly ph: number | null;
  readonly organicMatterPct: number | null;
  /** How nutrients were extracted; null where the table does not say. */
  readonly extraction: SoilExtraction | null;
  /** Nutrients, salts and texture that the table has. */
  readonly figures: Readonly<Partial<Record<SoilFigureField, number>>>;
}

const PPM_PER_PCT = 10_000;
const CM_PER_INCH = 2.54;
const NO_FINDINGS: ReadonlySet<Meaning> = new Set(['sample', 'date', 'depth', 'method']);

/** How many columns of a header are known, and how many of them tell what was found, not only of which sample. */
export function reportColumnsIn(header: readonly string[]): {
  readonly known: number;
  readonly findings: number;
} {
  const columns = header.flatMap((name, i) => columnOf(name, i) ?? []);
  return {
    known: columns.length,
    findings: columns.filter(({ meaning }) => !NO_FINDINGS.has(meaning)).length,
  };
}

/**
 * Samples of a laboratory's table, header first. Columns are known by their names, units by what stands in brackets
 * behind them. Throws InputError naming row and column for what cannot be read.
 */
export function soilReports(rows: readonly (readonly string[])[]): SoilReport[] {
  const [header = [], ...lines] = rows;
  const columns = header.flatMap((name, i) => columnOf(name, i) ?? []);
  if (reportColumnsIn(header).findings === 0) {
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
  readonly columns: readonly ReportColumn[];
  readonly header: readonly string[];
  readonly row: number;
}): SoilReport {
  const textOf = (meaning: Meaning) => {
    const column = columns.find((one) => one.meaning === meaning);
    return column ? (line[column.index] ?? '').trim() : '';
  };
  const figure = (meaning: Meaning): ReadFigure | null => {
    const column = columns.find((one) => one.meaning === meaning);
    const text = column ? (line[column.index] ?? '').trim() : '';
    // A cell that only says that nothing was measured.
    if (!column || /^(|-+|–|n\/?a|nd|none)$/i.test(text)) return null;
    const value = Number(text.replace(',', '.').replace(/^</, ''));
    const at = `row ${row}, ${header[column.index].trim()}`;
    if (!Number.isFinite(value) || value < 0) throw new InputError([at], 'noNumber', { text });
    return { value, unit: column.unit, elementShare: column.elementShare, at };
  };
  const depth = figure('depth');
  return {
    sample: textOf('sample'),
    date: textOf('date'),
    sampledDepthCm: depth ? depth.value * (/^in/.test(depth.unit) ? CM_PER_INCH : 1) : null,
    ph: phOf(figure('ph')),
    organicMatterPct: organicPctOf(figure('organicMatter'), figure('organicCarbon')),
    mineralNitrogen: mineralOf([figure('mineral')]) ?? mineralOf([figure('nitrate'), figure('ammonium')]),
    extraction:
      extractionIn(textOf('method')) ?? columns.find(({ extraction }) => extraction)?.extraction ?? null,
    figures: figuresOf(columns, figure),
  };
}

/** The factors of the units that a figure may be reported in; nutrients are the rest. */
const FACTORS: Readonly<
  Record<Exclude<SoilFigureField, SoilNutrientField>, Readonly<Record<string, number>>>
> = {
  conductivityDsPerM: DS_PER_M,
  cationExchangeCmolPerKg: CMOL_PER_KG,
  sandPct: PCT,
  siltPct: PCT,
  clayPct: PCT,
};

const isSoilFigure = (meaning: Meaning): meaning is SoilFigureField =>
  /(MgPerKg|DsPerM|CmolPerKg|Pct)$/.test(meaning);

function figuresOf(
  columns: readonly ReportColumn[],
  figure: (meaning: Meaning) => ReadFigure | null,
): Partial<Record<SoilFigureField, number>> {
  const fields = columns.flatMap(({ meaning }) => (isSoilFigure(meaning) ? [meaning] : []));
  return Object.fromEntries(
    fields.flatMap((field) => {
      const read = figure(field);
      if (!read) return [];
      const factors =
        (FACTORS as Readonly<Record<string, Readonly<Record<string, number>>>>)[field] ?? MG_PER_KG;
      if (!(read.unit in factors)) {
        const units = Object.keys(factors).filter((unit) => unit !== '');
        throw new InputError([read.at], 'needsFigureUnit', { unit: read.unit, units });
      }
      return [[field, read.value * factors[read.unit] * read.elementShare]];
    }),
  );
}

interface ReadFigure {
  readonly value: number;
  readonly unit: string;
  readonly elementShare: number;
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
