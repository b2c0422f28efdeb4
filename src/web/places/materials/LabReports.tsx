import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import type { LabResultRecord } from '../../../records/lab-result.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveLab, useReportLab, useRestoreLab } from '../../api/stock.ts';
import { DateField, TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { dayOf, shortDate } from '../../../words/dates.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';

const BLANK = {
  laboratory: '',
  moisturePct: '',
  carbonPct: '',
  nitrogenPct: '',
  ammoniumPct: '',
  density: '',
};
const optional = (text: string, scale = 1): number | null =>
  text.trim() === '' ? null : numberFromText(text) / scale;

/** Dated reports on one material; from its day on, a report takes the place of the table. */
export function LabReports({ materialId }: { materialId: string }) {
  const books = useBooks();
  const [isOpen, setOpen] = useState(false);
  const reports = books.labResults.filter((one) => one.materialId === materialId);
  return (
    <>
      <div className="section-head">
        <h2>Laboratory reports</h2>
        {!isOpen && (
          <Button size="small" onClick={() => setOpen(true)}>
            Add a report
          </Button>
        )}
      </div>
      {reports.length === 0 && !isOpen && (
        <p className="soft">
          None: the table’s figures count. A report counts from its day on; what was laid before stays as it
          was.
        </p>
      )}
      <ul className="plain-list">
        {reports.toReversed().map((report) => (
          <Report key={report.id} report={report} />
        ))}
      </ul>
      {isOpen && <ReportForm materialId={materialId} onClose={() => setOpen(false)} />}
    </>
  );
}

function Report({ report }: { report: LabResultRecord }) {
  const remove = useRemoveLab();
  const restore = useRestoreLab();
  const offerUndo = useUndo();
  const found = [
    report.moistureFractionWetBasis !== null && `${formatPercent(report.moistureFractionWetBasis)} water`,
    report.carbonFractionDryBasis !== null && `${plainFigure(report.carbonFractionDryBasis * 100)} % C`,
    report.nitrogenFractionDryBasis !== null && `${plainFigure(report.nitrogenFractionDryBasis * 100)} % N`,
    report.ammoniumShareOfNitrogen !== null && `${formatPercent(report.ammoniumShareOfNitrogen)} of it ready`,
    report.bulkDensityKgPerM3 !== null && `${plainFigure(report.bulkDensityKgPerM3)} kg/m³`,
  ].filter((one) => one !== false);
  return (
    <li>
      <strong>{shortDate(dayOf(report.date))}</strong>
      {report.laboratory !== '' && `, ${report.laboratory}`}: {found.join(', ')}
      {report.note !== '' && <span className="soft"> · {report.note}</span>}{' '}
      <Button
        type="text"
        size="small"
        onClick={() =>
          remove.mutate(report, {
            onSuccess: () => offerUndo('The report is struck out.', () => restore.mutateAsync(report.id)),
          })
        }
      >
        strike out
      </Button>
    </li>
  );
}

function ReportForm({ materialId, onClose }: { materialId: string; onClose: () => void }) {
  const books = useBooks();
  const [form, setForm] = useState(BLANK);
  const [date, setDate] = useState(books.today);
  const [id] = useState(() => crypto.randomUUID());
  const report = useReportLab(books.garden.id);
  const troubles = sentencesOf(report.error);
  const field = ({
    name,
    key,
    trouble,
    width = 100,
  }: {
    readonly name: string;
    readonly key: keyof typeof BLANK;
    readonly trouble: string;
    readonly width?: number;
  }) => (
    <TextField
      name={name}
      value={form[key]}
      onChange={(value) => setForm({ ...form, [key]: value })}
      trouble={troubles[trouble]}
      isNumber={key !== 'laboratory'}
      width={width}
    />
  );
  return (
    <form
      className="tool"
      aria-label="A laboratory report"
      onSubmit={(event) => {
        event.preventDefault();
        report.mutate(
          {
            id,
            materialId,
            date,
            laboratory: form.laboratory,
            moistureFractionWetBasis: optional(form.moisturePct, 100),
            carbonFractionDryBasis: optional(form.carbonPct, 100),
            nitrogenFractionDryBasis: optional(form.nitrogenPct, 100),
            ammoniumShareOfNitrogen: optional(form.ammoniumPct, 100),
            bulkDensityKgPerM3: optional(form.density),
            note: '',
          },
          { onSuccess: onClose },
        );
      }}
    >
      <div className="band-fields">
        <DateField name="Sampled on" value={date} onChange={setDate} trouble={troubles['date']} />
        {field({ name: 'Laboratory', key: 'laboratory', trouble: 'laboratory', width: 170 })}
        {field({ name: 'Water, %', key: 'moisturePct', trouble: 'moistureFractionWetBasis' })}
        {field({ name: 'Carbon, % of dry', key: 'carbonPct', trouble: 'carbonFractionDryBasis', width: 120 })}
        {field({
          name: 'Nitrogen, % of dry',
          key: 'nitrogenPct',
          trouble: 'nitrogenFractionDryBasis',
          width: 130,
        })}
        {field({
          name: 'Ready, % of the N',
          key: 'ammoniumPct',
          trouble: 'ammoniumShareOfNitrogen',
          width: 130,
        })}
        {field({ name: 'Lies at, kg/m³', key: 'density', trouble: 'bulkDensityKgPerM3', width: 110 })}
      </div>
      <FormFoot
        label="Keep the report"
        isSaving={report.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = [
  'date',
  'laboratory',
  'moistureFractionWetBasis',
  'carbonFractionDryBasis',
  'nitrogenFractionDryBasis',
  'ammoniumShareOfNitrogen',
  'bulkDensityKgPerM3',
];
