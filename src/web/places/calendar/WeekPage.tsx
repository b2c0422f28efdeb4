import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../../words/dates.ts';
import { digestText, weekDigest } from '../../../words/week-digest.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { useAgenda } from '../../ui/planning/use-agenda.ts';
import './calendar.css';

/** The week on one page, to print, or to copy as text. */
export function WeekPage() {
  const books = useBooks();
  const measures = useMeasures();
  const [copied, setCopied] = useState<'yes' | 'failed' | null>(null);
  const { items, waiting, refusals } = useAgenda(books);
  const digest = weekDigest(items, { today: dayOf(books.today), names: books, measures });
  const copy = () =>
    navigator.clipboard.writeText(digestText(digest)).then(
      () => setCopied('yes'),
      () => setCopied('failed'),
    );
  return (
    <div className="page week-page">
      <header className="page-head">
        <div>
          <PageHeading>{digest.title}</PageHeading>
          {waiting > 0 && (
            <p className="soft" role="status">
              Working out {waiting} more …
            </p>
          )}
        </div>
        <div className="actions">
          <Button onClick={() => window.print()} disabled={waiting > 0}>
            Print
          </Button>
          <Button onClick={() => void copy()} disabled={waiting > 0}>
            Copy as text
          </Button>
          <Link className="button-link" to={`/garden/${books.garden.id}/calendar`}>
            Calendar
          </Link>
        </div>
      </header>
      {copied === 'yes' && <p role="status">Copied: paste it into a message or a document.</p>}
      {copied === 'failed' && (
        <>
          <p role="status">The browser did not let it be copied. Mark it here and copy it by hand:</p>
          <textarea
            className="week-text"
            readOnly
            rows={12}
            value={digestText(digest)}
            aria-label="The week as text"
          />
        </>
      )}
      {refusals.map((sentence) => (
        <p key={sentence} className="trouble" role="alert">
          {sentence}
        </p>
      ))}
      {digest.sections.length === 0 && waiting === 0 && <p>Nothing is to be done.</p>}
      {digest.sections.map(({ name, lines }) => (
        <section key={name} className={name === 'Late' ? 'agenda is-late' : 'agenda'} aria-label={name}>
          <h2>{name}</h2>
          <ul className="week-lines">
            {lines.map(({ key, when, what, howLong, why }) => (
              <li key={key}>
                <span className="task-date figure">{when}</span>
                <span>
                  <span className="task-what">{what}</span>
                  {howLong !== '' && <span className="task-minutes"> {howLong}</span>}
                  {why !== '' && <span className="soft"> {why}</span>}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
