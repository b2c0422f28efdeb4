import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import type { LabResultRecord } from '../../../records/lab-result.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveLab, useReportLab, useRestoreLab } from '../../api/stock.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { dayOf, shortDate } from '../../../words/dates.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import { LAB_FIGURES, readFigures, typedFigures } from '../../ui/materials/figure-fields.ts';
import { FigureInputs } from '../../ui/materials/FigureInputs.tsx';

type LabFigure =
  | 'moistureFractionWetBasis'
  | 'carbonFractionDryBasis'
  | 'nitrogenFractionDryBasis'
  | 'ammoniumShareOfNitrogen'
  | 'bulkDensityKgPerM3';

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
          None: the table’s figures count. A report counts from its day on; entries before that day stay as
          they are.
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
  const measures = useMeasures();
  const found = [
    report.moistureFractionWetBasis !== null && `moisture ${formatPercent(report.moistureFractionWetBasis)}`,
    report.carbonFractionDryBasis !== null && `${plainFigure(report.carbonFractionDryBasis * 100)} % C`,
    report.nitrogenFractionDryBasis !== null && `${plainFigure(report.nitrogenFractionDryBasis * 100)} % N`,
    report.ammoniumShareOfNitrogen !== null &&
      `${formatPercent(report.ammoniumShareOfNitrogen)} of it ammonium`,
    report.bulkDensityKgPerM3 !== null && measures.density(report.bulkDensityKgPerM3),
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
            onSuccess: () => offerUndo('The report is deleted.', () => restore.mutateAsync(report.id)),
          })
        }
      >
        Delete
      </Button>
    </li>
  );
}

function ReportForm({ materialId, onClose }: { materialId: string; onClose: () => void }) {
  const books = useBooks();
  const reader = useReader();
  const {
    fields: { laboratory, typed, date },
    set,
    wasTried,
    submitWith,
  } = useRecordForm(() => ({
    laboratory: '',
    typed: typedFigures(LAB_FIGURES, {}, reader),
    date: books.today,
  }));
  const read = readFigures(LAB_FIGURES, typed, reader);
  const [id] = useState(() => crypto.randomUUID());
  const report = useReportLab(books.garden.id);
  const troubles = sentencesOf(report.error);
  return (
    <form
      className="tool"
      aria-label="A laboratory report"
      onSubmit={submitWith(() => {
        if (Object.keys(read.troubles).length > 0) return;
        report.mutate(
          {
            id,
            materialId,
            date,
            laboratory,
            ...(read.values as Record<LabFigure, number | null>),
            note: '',
          },
          { onSuccess: onClose },
        );
      })}
    >
      <div className="band-fields">
        <DateField
          name="Sampled on"
          value={date}
          onChange={(sampledOn) => set({ date: sampledOn })}
          trouble={troubles['date']}
        />
        <TextField
          name="Laboratory"
          value={laboratory}
          onChange={(by) => set({ laboratory: by })}
          trouble={troubles['laboratory']}
          isNumber={false}
          width={170}
        />
        <FigureInputs
          fields={LAB_FIGURES}
          typed={typed}
          onChange={(figures) => set({ typed: figures })}
          troubles={{ ...troubles, ...(wasTried ? read.troubles : {}) }}
        />
      </div>
      <FormFoot
        label="Save the report"
        isSaving={report.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = ['date', 'laboratory', ...LAB_FIGURES.map(({ field }) => field)];
