import { useBooks } from '../../app/garden-context.ts';
import { Button, Input } from 'antd';
import Papa from 'papaparse';
import { useState } from 'react';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence, requirementWords } from '../../../words/refusal-words.ts';
import { type SoilReport, checkSoilTest, soilReports } from '../../../core/bed/index.ts';
import { SOIL_NITROGEN_UNITS, type SoilNitrogenUnit } from '../../../records/vocabulary.ts';
import { entryFields } from '../../../records/entry.ts';
import { plainFigure } from '../../../words/figures.ts';
import { SOIL_NITROGEN_WORDS } from '../../../words/measures.ts';
import { Choice, TextField } from '../forms/inputs.tsx';
import { USUAL_CM } from '../forms/usual-figures.ts';
import { askedOf } from '../forms/asked-of.ts';
import { numberFromText } from '../forms/parse-number.ts';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { quantityTrouble } from '../forms/troubles.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { readQuantity, typedFrom, type TypedQuantity } from '../forms/typed-quantity.ts';
import type { TilePanelProps } from './tile-panel-props.ts';

interface TestFields {
  readonly amount: string;
  readonly unit: SoilNitrogenUnit;
  readonly depth: TypedQuantity;
  readonly ph: string;
  readonly organicMatter: string;
}

const DEPTH = askedOf(entryFields.soilTest.sampledDepthCm);
const orNull = (text: string): number | null => (text.trim() === '' ? null : numberFromText(text));

/** A soil test, typed or out of a laboratory's table. It sets the book right on its day. */
export function SoilTestForm({ subject, book, onDone }: Omit<TilePanelProps, 'tile'>) {
  const books = useBooks();
  const reader = useReader();
  const bed = books.beds.find(({ id }) => id === subject.bedId)!;
  const { fields, set, submitWith } = useRecordForm<TestFields>(() => ({
    amount: '',
    unit: reader.system === 'metric' ? 'kgPerHa' : 'lbPerAcre',
    depth: typedFrom(USUAL_CM[reader.system].soilSample, 'length', reader),
    ph: '',
    organicMatter: '',
  }));
  const [trouble, setTrouble] = useState<{ field: string; sentence: string } | null>(null);
  const troubleOf = (field: string) => (trouble?.field === field ? trouble.sentence : undefined);

  const take = (report: SoilReport) => {
    const depthCm = report.sampledDepthCm;
    set({
      ...(report.mineralNitrogen
        ? { amount: plainFigure(report.mineralNitrogen.amount, 4), unit: report.mineralNitrogen.unit }
        : {}),
      ...(depthCm === null ? {} : { depth: typedFrom(depthCm, 'length', reader) }),
      ...(report.ph === null ? {} : { ph: plainFigure(report.ph) }),
      ...(report.organicMatterPct === null ? {} : { organicMatter: plainFigure(report.organicMatterPct) }),
    });
  };

  const send = () => {
    const depth = readQuantity(fields.depth, DEPTH, reader);
    if (!depth.ok) {
      const sentence = quantityTrouble(depth, 'sampledDepthCm')!;
      return setTrouble({ field: 'sampledDepthCm', sentence });
    }
    const test = {
      type: 'soilTest' as const,
      amount: numberFromText(fields.amount),
      unit: fields.unit,
      sampledDepthCm: depth.value!,
      ph: orNull(fields.ph),
      organicMatterPct: orNull(fields.organicMatter),
    };
    if (!(test.amount >= 0)) return setTrouble({ field: 'amount', sentence: 'a figure is needed here' });
    if (Number.isNaN(test.ph) || Number.isNaN(test.organicMatterPct)) {
      return setTrouble({
        field: Number.isNaN(test.ph) ? 'ph' : 'organicMatterPct',
        sentence: 'a figure, or nothing',
      });
    }
    try {
      checkSoilTest(test, {
        sampledDepthCm: test.sampledDepthCm,
        bulkDensityGPerCm3: bed.bulkDensityGPerCm3,
      });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return setTrouble({ field: String(error.path.at(-1)), sentence: requirementWords(error.refusal) });
    }
    onDone();
    void book.post({ subject, entry: test, words: `${bed.name}: soil test of ${subject.date}.` });
  };

  return (
    <form
      className="log-panel"
      aria-label="Soil test"
      onSubmit={submitWith(() => {
        setTrouble(null);
        send();
      })}
    >
      <div className="band-fields">
        <TextField
          name="Mineral nitrogen"
          value={fields.amount}
          onChange={(amount) => set({ amount })}
          trouble={troubleOf('amount')}
        />
        <Choice
          name="in"
          value={fields.unit}
          onChange={(unit) => set({ unit })}
          width={120}
          options={SOIL_NITROGEN_UNITS.map((unit) => ({ value: unit, label: SOIL_NITROGEN_WORDS[unit] }))}
        />
        <QuantityField
          name="Sampled to"
          quantity="length"
          value={fields.depth}
          onChange={(depth) => set({ depth })}
          trouble={troubleOf('sampledDepthCm')}
        />
        <TextField
          name="pH"
          value={fields.ph}
          onChange={(ph) => set({ ph })}
          width={70}
          trouble={troubleOf('ph')}
        />
        <TextField
          name="Organic matter, %"
          value={fields.organicMatter}
          onChange={(organicMatter) => set({ organicMatter })}
          trouble={troubleOf('organicMatterPct')}
        />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit">
            Save
          </Button>
        </div>
      </div>
      <ReportPaste bedName={bed.name} onReport={take} />
    </form>
  );
}

/** A laboratory's table, pasted or as a file: the sample of this bed fills the form. */
function ReportPaste({ bedName, onReport }: { bedName: string; onReport: (report: SoilReport) => void }) {
  const [reports, setReports] = useState<readonly SoilReport[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = (text: string) => {
    setTrouble(null);
    setReports([]);
    if (text.trim() === '') return;
    try {
      const found = soilReports(Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data);
      const own = found.filter(({ sample }) => sample.toLowerCase() === bedName.toLowerCase());
      const only = own.length === 1 ? own[0] : found.length === 1 ? found[0] : undefined;
      if (only) onReport(only);
      else setReports(found);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setTrouble(refusalSentence(error.path.join('.'), error.refusal));
    }
  };
  return (
    <details className="report-paste">
      <summary>From a laboratory’s table</summary>
      <Input.TextArea
        aria-label="The laboratory’s table"
        autoSize={{ minRows: 3, maxRows: 8 }}
        placeholder={'sample,pH,organic matter (%),nitrate N (mg/kg)'}
        onChange={(event) => read(event.target.value)}
      />
      <input
        type="file"
        accept=".csv,.txt,text/csv"
        aria-label="The laboratory’s file"
        onChange={(event) => void event.target.files?.[0]?.text().then(read)}
      />
      {trouble !== null && (
        <p className="field-trouble" role="alert">
          {trouble}
        </p>
      )}
      {reports.length > 1 && (
        <p>
          Which sample is of this bed?{' '}
          {reports.map((report, i) => (
            <Button key={`${report.sample} ${i}`} size="small" onClick={() => onReport(report)}>
              {report.sample || `row ${i + 1}`}
            </Button>
          ))}
        </p>
      )}
    </details>
  );
}
