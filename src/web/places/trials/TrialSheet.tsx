import { useBooks } from '../../app/garden-context.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { Button } from 'antd';
import type { TrialRecord } from '../../../records/journal.ts';
import { compareTreatments, placePlots } from '../../../core/season/index.ts';
import { TrialResultChart } from '../../charts/trial-result.tsx';
import { TrialPlots } from '../../drawing/trial-plots.tsx';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveJournal, useRestoreJournal, useWriteJournal } from '../../api/journal.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { studentT } from '../../statistics/student-t.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';
import { differenceInWords, TRIAL_PLACE_WORDS, TRIAL_VERDICT_WORDS } from '../../../words/trial-words.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';

/** One trial: its layout, what was measured, and what that shows. */
export function TrialSheet({ trial }: { trial: TrialRecord }) {
  const books = useBooks();
  const readings = books.journal
    .filter((one) => one.kind === 'plotReading')
    .filter(({ trialId }) => trialId === trial.id);
  const plots = placePlots(trial);
  const result = compareTreatments(trial, readings, studentT);
  const latest = new Map(readings.map(({ plot, value }) => [plot, value]));
  const remove = useRemoveJournal();
  const restore = useRestoreJournal();
  const offerUndo = useUndo();
  const showFailure = useFailureNotice();
  const { many } = TRIAL_PLACE_WORDS[trial.place];
  const deleteIt = async () => {
    await remove.mutateAsync(trial);
    offerUndo(`The trial “${trial.name}” is deleted.`, () => restore.mutateAsync(trial.id));
  };
  return (
    <section aria-label={trial.name} className="trial-sheet">
      <div className="section-head">
        <h2>{trial.name}</h2>
        <span className="soft">
          {plots.length} {many} since {fullDate(dayOf(trial.date))}
          {trial.bedId !== null && `, on ${books.beds.find(({ id }) => id === trial.bedId)?.name ?? 'a bed'}`}
        </span>
        <Button
          size="small"
          type="text"
          onClick={() => {
            deleteIt().catch((failure: unknown) => showFailure('The trial was not deleted.', failure));
          }}
        >
          Delete
        </Button>
      </div>
      {/* Readings stand in the unit that the gardener named. */}
      <div className="trial-columns" translate="no">
        <div>
          <Pictured title="Plots of the trial">
            <TrialPlots
              plots={plots}
              treatments={trial.treatments}
              arePots={trial.place === 'pots'}
              captionOf={(plot) => (latest.has(plot) ? plainFigure(latest.get(plot)!) : '')}
            />
          </Pictured>
          <Readings key={readings.length} trial={trial} />
        </div>
        <div>
          <Pictured title="Results of the trial">
            <TrialResultChart
              bars={result.treatments.map(({ treatment, values, mean }) => ({
                name: trial.treatments[treatment]!,
                values,
                mean,
              }))}
              unit={trial.unit}
              format={(value) => plainFigure(value)}
            />
          </Pictured>
          <ul className="trial-verdicts">
            {result.differences.map((difference) => (
              <li key={difference.treatment} className={`verdict-${difference.verdict}`}>
                <span aria-hidden="true">{TRIAL_VERDICT_WORDS[difference.verdict].mark}</span>{' '}
                {differenceInWords(difference, trial)}
              </li>
            ))}
          </ul>
          <p className="soft hint">
            The last reading of every {TRIAL_PLACE_WORDS[trial.place].one}: mean differences with their 95 %
            intervals by Student’s t, within rows where all are measured, otherwise by Welch’s; widened for{' '}
            {trial.treatments.length - 1} comparison{trial.treatments.length === 2 ? '' : 's'}. A trial in one
            garden speaks for that garden.
          </p>
        </div>
      </div>
    </section>
  );
}

interface ReadingFields {
  readonly date: string;
  /** By the number of the plot, as typed. */
  readonly typed: Readonly<Record<number, string>>;
}

/** Readings of all plots on one day; only those typed are written. */
function Readings({ trial }: { trial: TrialRecord }) {
  const books = useBooks();
  const { fields, set, submitWith } = useRecordForm<ReadingFields>(() => ({ date: books.today, typed: {} }));
  const { date, typed } = fields;
  const write = useWriteJournal(books.garden.id);
  const plots = placePlots(trial);
  const given = Object.entries(typed).filter(([, text]) => text.trim() !== '');
  const wrong = given
    .filter(([, text]) => !Number.isFinite(numberFromText(text)))
    .map(([plot]) => Number(plot));
  const send = () => {
    if (given.length === 0 || wrong.length > 0) return;
    write.mutate(
      given.map(([plot, text]) => ({
        kind: 'plotReading' as const,
        id: crypto.randomUUID(),
        date,
        note: '',
        trialId: trial.id,
        plot: Number(plot),
        value: numberFromText(text),
      })),
    );
  };
  return (
    <form className="trial-readings" aria-label="Readings" onSubmit={submitWith(send)}>
      <div className="band-fields">
        <DateField name="Measured on" value={date} onChange={(next) => set({ date: next })} />
      </div>
      <div className="reading-cells">
        {plots.map(({ plot, treatment }) => (
          <TextField
            key={plot}
            name={`${plot + 1}: ${trial.treatments[treatment]!}`}
            value={typed[plot] ?? ''}
            onChange={(text) => set({ typed: { ...typed, [plot]: text } })}
            width={84}
            trouble={wrong.includes(plot) ? 'a figure' : undefined}
          />
        ))}
      </div>
      <div className="band-foot">
        <Button htmlType="submit" loading={write.isPending} disabled={given.length === 0}>
          Save {trial.measure}
          {trial.unit === '' ? '' : `, ${trial.unit}`}
        </Button>
        {Object.values(sentencesOf(write.error)).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}
