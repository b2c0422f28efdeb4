import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import { z } from 'zod';
import { InputError } from '../../../refusals/input-error.ts';
import { requirementWords } from '../../../words/refusal-words.ts';
import { type SoilReport, checkSoilTest } from '../../../core/bed/index.ts';
import { entryFields } from '../../../records/entry.ts';
import { useReader } from '../forms/QuantityField.tsx';
import { quantityTroubles, troublesOf } from '../forms/troubles.ts';
import { figureOf } from '../forms/typed-quantity.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { blankSoilTest, sampledDepthOf, soilTestFieldsOf, withReport } from './soil-test-typed.ts';
import { ReportInput } from './ReportInput.tsx';
import { SoilTestInputs } from './SoilTestInputs.tsx';
import type { TilePanelProps } from './tile-panel-props.ts';

const testDraft = z.object(entryFields.soilTest).omit({ type: true, state: true, date: true, note: true });

/** A soil test, typed or out of a laboratory's table. It sets the book right on its day. */
export function SoilTestForm({ subject, book, onDone }: Omit<TilePanelProps, 'tile'>) {
  const books = useBooks();
  const reader = useReader();
  const bed = books.beds.find(({ id }) => id === subject.bedId)!;
  const { fields, set, submitWith } = useRecordForm(() => blankSoilTest(reader));
  const [troubles, setTroubles] = useState<Readonly<Record<string, string>>>({});

  const send = () => {
    const depth = sampledDepthOf(fields, reader);
    const parsed = testDraft.safeParse({ ...soilTestFieldsOf(fields), sampledDepthCm: figureOf(depth) });
    if (!parsed.success) {
      return setTroubles({
        ...troublesOf(parsed, null),
        ...quantityTroubles({ sampledDepthCm: depth }),
      });
    }
    const test = { ...parsed.data, type: 'soilTest' as const };
    try {
      checkSoilTest(test, { ...test, bulkDensityGPerCm3: bed.bulkDensityGPerCm3 });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return setTroubles({ [String(error.path.at(-1))]: requirementWords(error.refusal) });
    }
    onDone();
    void book.post({ subject, entry: test, words: `${bed.name}: soil test of ${subject.date}.` });
  };

  return (
    <form
      className="log-panel"
      aria-label="Soil test"
      onSubmit={submitWith(() => {
        setTroubles({});
        send();
      })}
    >
      <div className="band-fields">
        <SoilTestInputs test={fields} set={set} troubles={troubles} />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit">
            Save
          </Button>
        </div>
      </div>
      <ReportPaste bedName={bed.name} onReport={(report) => set(withReport(fields, report, reader))} />
    </form>
  );
}

/** A laboratory's table: the sample of this bed fills the form. */
function ReportPaste({ bedName, onReport }: { bedName: string; onReport: (report: SoilReport) => void }) {
  const [reports, setReports] = useState<readonly SoilReport[]>([]);
  const take = (found: readonly SoilReport[]) => {
    const own = found.filter(({ sample }) => sample.toLowerCase() === bedName.toLowerCase());
    const only = own.length === 1 ? own[0] : found.length === 1 ? found[0] : undefined;
    if (only) onReport(only);
    setReports(only ? [] : found);
  };
  return (
    <details className="report-paste">
      <summary>From a laboratory’s table</summary>
      <ReportInput onReports={take} />
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
