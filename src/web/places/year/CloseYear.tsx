import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import type { JournalRecord } from '../../../records/journal.ts';
import { YEAR_CHOICES, type YearChoice } from '../../../records/vocabulary.ts';
import { total } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveJournal, useRestoreJournal, useWriteJournal } from '../../api/journal.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { formatFixed, plainFigure } from '../../../words/figures.ts';
import { CHOICE_WORDS } from '../../../words/year-words.ts';
import { useUndo } from '../../app/use-undo.tsx';
import type { YearPartProps } from './SheetBody.tsx';

/** Less than this between then and now is rounding, g/m2. */
const SAME_G = 0.05;

/** The closing balances, kept as they were that day and carried forward as the opening of the next year. */
export function CloseYear({ sheet, bed }: YearPartProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [note, setNote] = useState('');
  const [choice, setChoice] = useState<YearChoice | null>(null);
  const write = useWriteJournal(books.garden.id);
  const remove = useRemoveJournal();
  const restore = useRestoreJournal();
  const offerUndo = useUndo();
  const carbonGPerM2 = total(sheet.carbon.assets.map(({ closingG }) => closingG));
  const nitrogenGPerM2 = total(sheet.nitrogen.assets.map(({ closingG }) => closingG));
  const closed = books.journal.find(
    (one): one is Extract<JournalRecord, { kind: 'yearClose' }> =>
      one.kind === 'yearClose' && one.bedId === bed.id && one.year === sheet.year,
  );
  const kg = (gPerM2: number) => measures.mass((gPerM2 * bed.areaM2) / 1000);
  const close = () =>
    write.mutate(
      [
        {
          kind: 'yearClose',
          id: crypto.randomUUID(),
          date: books.today,
          note: note.trim(),
          bedId: bed.id,
          year: sheet.year,
          choice,
          carbonGPerM2,
          nitrogenGPerM2,
          organicMatterPct: sheet.closingOrganicMatterPct,
        },
      ],
      {
        onSuccess: ({ records }) =>
          offerUndo(`The books of ${sheet.year} are closed.`, () => remove.mutateAsync(records[0]!)),
      },
    );
  if (closed) {
    const differs = sheet.isOver && Math.abs(closed.carbonGPerM2 - carbonGPerM2) > SAME_G;
    return (
      <section aria-label="Closed" className="year-close">
        <h2>Closed on {fullDate(dayOf(closed.date))}</h2>
        <p>
          Carried forward: {kg(closed.carbonGPerM2)} of carbon and {kg(closed.nitrogenGPerM2)} of nitrogen,{' '}
          {formatFixed(closed.organicMatterPct, 2)} % organic matter
          {closed.choice === null ? '' : `; then ${CHOICE_WORDS[closed.choice].name.toLowerCase()}`}.{' '}
          {closed.note}
        </p>
        {differs && (
          <p className="trouble">
            The records of {sheet.year} were changed since: the records now close with {kg(carbonGPerM2)} of
            carbon. Open it and close it again if that is right.
          </p>
        )}
        <Button
          onClick={() => {
            remove.mutate(closed, {
              onSuccess: () =>
                offerUndo(`The books of ${sheet.year} are open again.`, () => restore.mutateAsync(closed.id)),
            });
          }}
        >
          Open it again
        </Button>
      </section>
    );
  }
  return (
    <section aria-label="Close the year" className="year-close">
      <h2>Close the books of {sheet.year}</h2>
      <p className="soft">
        Closing keeps the balances as they are {sheet.isOver ? 'at the end of that year' : 'today'}:{' '}
        {kg(carbonGPerM2)} of carbon, {kg(nitrogenGPerM2)} of nitrogen,{' '}
        {plainFigure(sheet.closingOrganicMatterPct)} % organic matter. The book goes on from there by itself;
        if its records are changed later, this page says so.
      </p>
      <div className="band-fields">
        <div className="field">
          <span className="field-name">And then</span>
          <Select<YearChoice>
            aria-label="And then"
            {...(choice === null ? {} : { value: choice })}
            placeholder="not decided"
            allowClear
            onChange={(chosen: YearChoice | undefined) => setChoice(chosen ?? null)}
            style={{ width: 130 }}
            options={YEAR_CHOICES.map((value) => ({ value, label: CHOICE_WORDS[value].name }))}
          />
        </div>
        <div className="field">
          <span className="field-name">What to remember</span>
          <Input
            aria-label="What to remember"
            value={note}
            onChange={(event) => setNote(event.target.value)}
            maxLength={2000}
            style={{ width: 360, maxWidth: '100%' }}
          />
        </div>
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" loading={write.isPending} onClick={close}>
            Close {sheet.year}
          </Button>
        </div>
      </div>
      {Object.values(sentencesOf(write.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}
