import { Select } from 'antd';
import type { SoilReport } from '../../../core/bed/index.ts';
import { SOIL_FIGURE_FIELDS } from '../../../records/vocabulary.ts';
import { counted } from '../../../words/counted.ts';
import { plainFigure } from '../../../words/figures.ts';
import { SOIL_NITROGEN_WORDS, type Measures } from '../../../words/measures.ts';
import { SOIL_FIGURE_WORDS } from '../../../words/soil-words.ts';
import { actOf, undoOf, useAct } from '../../api/acts.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { DateField } from '../forms/DateField.tsx';
import { ownFigureOrder, readDate, shownDate } from '../forms/date-text.ts';
import { FormFoot } from '../forms/FormFoot.tsx';
import { isPastDay, pastDayTrouble } from '../forms/past-day.ts';
import { useReader } from '../forms/QuantityField.tsx';
import { USUAL_CM } from '../forms/usual-figures.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import './log.css';
import { bedOfSample } from './sample-match.ts';

interface SampleOfBed {
  readonly id: string;
  readonly report: SoilReport;
  /** Null while it is not told, or is to be left out. */
  readonly bedId: string | null;
}

const LEFT_OUT = 'leftOut';

interface ReportSamplesProps {
  readonly reports: readonly SoilReport[];
  readonly onClose: () => void;
}

/** Samples of a laboratory: each is matched to its bed, and all are written at once. */
export function ReportSamples({ reports, onClose }: ReportSamplesProps) {
  const books = useBooks();
  const reader = useReader();
  const measures = useMeasures();
  const act = useAct(books.garden.id);
  const offerUndo = useUndo();
  const { fields, set, wasTried, submitWith, forget } = useRecordForm<{
    date: string;
    samples: readonly SampleOfBed[];
  }>(() => ({
    date: books.today,
    samples: reports.map((report) => ({
      id: crypto.randomUUID(),
      report,
      bedId: bedOfSample(report.sample, books.beds),
    })),
  }));
  const { date, samples } = fields;
  const order = ownFigureOrder();
  const readDateOf = ({ report }: SampleOfBed): string | null => readDate(report.date, books.today, order);
  const dayOfSample = (one: SampleOfBed): string => readDateOf(one) ?? date;
  const chosen = samples.filter(({ bedId }) => bedId !== null);
  const isFuture = chosen.some((one) => !isPastDay(dayOfSample(one), books.today));
  const usualCm = USUAL_CM[reader.system].soilSample;

  const save = () => {
    if (chosen.length === 0 || isFuture) return;
    const creates = chosen.map((one) => ({
      bedId: one.bedId!,
      draft: entryOf(one, dayOfSample(one), usualCm),
    }));
    act.mutate(actOf({ entries: { creates } }), {
      onSuccess: (kept) => {
        forget();
        offerUndo(`${counted(kept.entries.length, 'soil test')} saved.`, () =>
          act.mutateAsync(undoOf(kept, books)),
        );
        onClose();
      },
    });
  };
  return (
    <form aria-label="Samples of a laboratory" onSubmit={submitWith(save)}>
      {samples.length > 0 && (
        <>
          <div className="band-fields">
            <DateField
              name="Sampled on"
              value={date}
              onChange={(next) => set({ date: next })}
              trouble={pastDayTrouble(date, books.today)}
              hint="where the table has no date"
            />
          </div>
          <div className="report-samples">
            <table className="ledger report-table">
              <thead>
                <tr>
                  <th className="words">sample</th>
                  <th className="words">bed</th>
                  <th className="words">on</th>
                  <th className="words">what was read</th>
                </tr>
              </thead>
              <tbody>
                {samples.map((one) => (
                  <tr key={one.id}>
                    <td className="words">{one.report.sample}</td>
                    <td className="words">
                      <Select
                        aria-label={`Bed of sample ${one.report.sample}`}
                        value={one.bedId ?? LEFT_OUT}
                        onChange={(bedId) =>
                          set({
                            samples: samples.map((other) =>
                              other.id === one.id
                                ? { ...other, bedId: bedId === LEFT_OUT ? null : bedId }
                                : other,
                            ),
                          })
                        }
                        style={{ width: 170 }}
                        options={[
                          { value: LEFT_OUT, label: 'leave it out' },
                          ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
                        ]}
                      />
                    </td>
                    <td className="words">
                      {shownDate(dayOfSample(one))}
                      {one.report.date !== '' && readDateOf(one) === null && (
                        <span className="field-trouble"> “{one.report.date}” cannot be read</span>
                      )}
                    </td>
                    <td className="words">{readWords(one.report, measures, usualCm)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
      <FormFoot
        label={`Save ${counted(chosen.length, 'test')}`}
        isSaving={act.isPending}
        onClose={onClose}
        troubles={[
          ...(wasTried && chosen.length === 0 ? ['Choose the bed of at least one sample.'] : []),
          ...(wasTried && isFuture ? ['No sample can have been taken after today: mend its date.'] : []),
          ...Object.values(sentencesOf(act.error)),
        ]}
      />
    </form>
  );
}

function entryOf({ id, report }: SampleOfBed, date: string, usualCm: number) {
  const { mineralNitrogen, sampledDepthCm, ph, organicMatterPct, extraction, figures } = report;
  return {
    id,
    type: 'soilTest' as const,
    state: 'laid' as const,
    date,
    note: `Sample ${report.sample} of the laboratory’s table.`,
    amount: mineralNitrogen?.amount ?? null,
    unit: mineralNitrogen?.unit ?? ('mgPerKg' as const),
    sampledDepthCm: sampledDepthCm ?? usualCm,
    ph,
    organicMatterPct,
    extraction,
    ...figures,
  };
}

/** The figures of a sample, in a row. */
function readWords(report: SoilReport, measures: Measures, usualCm: number): string {
  const { mineralNitrogen, ph, organicMatterPct, figures, sampledDepthCm } = report;
  return [
    mineralNitrogen &&
      `mineral N ${plainFigure(mineralNitrogen.amount)} ${SOIL_NITROGEN_WORDS[mineralNitrogen.unit]}`,
    ph !== null && `pH ${plainFigure(ph)}`,
    organicMatterPct !== null && `organic matter ${plainFigure(organicMatterPct)} %`,
    ...SOIL_FIGURE_FIELDS.map((field) => {
      const value = figures[field];
      const { name, unit } = SOIL_FIGURE_WORDS[field];
      return value !== undefined && `${name} ${plainFigure(value, 3)} ${unit}`;
    }),
    sampledDepthCm === null
      ? `depth not named, taken as ${measures.thickness(usualCm)}`
      : `down to ${measures.thickness(sampledDepthCm)}`,
  ]
    .filter((part) => typeof part === 'string')
    .join(', ');
}
