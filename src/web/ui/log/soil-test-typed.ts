import { entryFields, type EntryRecord } from '../../../records/entry.ts';
import {
  SOIL_FIGURE_FIELDS,
  type SoilExtraction,
  type SoilFigureField,
  type SoilNitrogenUnit,
} from '../../../records/vocabulary.ts';
import type { SoilReport } from '../../../core/bed/index.ts';
import { plainFigure } from '../../../words/figures.ts';
import { askedOf } from '../forms/asked-of.ts';
import { numberFromText } from '../forms/parse-number.ts';
import { readQuantity, typedFrom, type Reader, type TypedQuantity } from '../forms/typed-quantity.ts';
import { USUAL_CM } from '../forms/usual-figures.ts';

/** A soil test as it is being typed. */
export interface TypedSoilTest {
  readonly amount: string;
  readonly unit: SoilNitrogenUnit;
  readonly sampledDepth: TypedQuantity;
  readonly ph: string;
  readonly organicMatterPct: string;
  readonly extraction: SoilExtraction | null;
  readonly figures: Readonly<Partial<Record<SoilFigureField, string>>>;
}

const DEPTH = askedOf(entryFields.soilTest.sampledDepthCm);
const SIGNIFICANT = 4;

export const blankSoilTest = (reader: Reader): TypedSoilTest => ({
  amount: '',
  unit: reader.system === 'metric' ? 'kgPerHa' : 'lbPerAcre',
  sampledDepth: typedFrom(USUAL_CM[reader.system].soilSample, 'length', reader),
  ph: '',
  organicMatterPct: '',
  extraction: null,
  figures: {},
});

const typed = (value: number | null | undefined): string => (value == null ? '' : String(value));

/** A test that was kept, back in the form. */
export const typedSoilTest = (
  entry: Extract<EntryRecord, { type: 'soilTest' }>,
  reader: Reader,
): TypedSoilTest => ({
  amount: typed(entry.amount),
  unit: entry.unit ?? blankSoilTest(reader).unit,
  sampledDepth: typedFrom(entry.sampledDepthCm, 'length', reader),
  ph: typed(entry.ph),
  organicMatterPct: typed(entry.organicMatterPct),
  extraction: entry.extraction ?? null,
  figures: Object.fromEntries(SOIL_FIGURE_FIELDS.map((field) => [field, typed(entry[field])])),
});

/** What a laboratory's table says, over what stands in the form. */
export function withReport(before: TypedSoilTest, report: SoilReport, reader: Reader): TypedSoilTest {
  const { mineralNitrogen, sampledDepthCm, ph, organicMatterPct, extraction, figures } = report;
  const told = (value: number): string => plainFigure(value, SIGNIFICANT);
  return {
    ...before,
    ...(mineralNitrogen ? { amount: told(mineralNitrogen.amount), unit: mineralNitrogen.unit } : {}),
    ...(sampledDepthCm === null ? {} : { sampledDepth: typedFrom(sampledDepthCm, 'length', reader) }),
    ...(ph === null ? {} : { ph: told(ph) }),
    ...(organicMatterPct === null ? {} : { organicMatterPct: told(organicMatterPct) }),
    ...(extraction === null ? {} : { extraction }),
    figures: {
      ...before.figures,
      ...Object.fromEntries(
        SOIL_FIGURE_FIELDS.flatMap((field) =>
          figures[field] === undefined ? [] : [[field, told(figures[field])]],
        ),
      ),
    },
  };
}

/** A figure that may be left out. */
const optional = (text: string | undefined): number | null =>
  text === undefined || text.trim() === '' ? null : numberFromText(text);

export const sampledDepthOf = ({ sampledDepth }: TypedSoilTest, reader: Reader) =>
  readQuantity(sampledDepth, DEPTH, reader);

/** The fields of the record but its depth, which is a quantity; NaN for what is no number. */
export const soilTestFieldsOf = (test: TypedSoilTest) => ({
  amount: optional(test.amount),
  unit: test.unit,
  ph: optional(test.ph),
  organicMatterPct: optional(test.organicMatterPct),
  extraction: test.extraction,
  ...Object.fromEntries(SOIL_FIGURE_FIELDS.map((field) => [field, optional(test.figures[field])])),
});
