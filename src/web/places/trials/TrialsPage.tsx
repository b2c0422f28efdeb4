import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import type { TrialRecord } from '../../../records/journal.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { TRIAL_PLACE_WORDS } from '../../../words/trial-words.ts';
import { NewTrial } from './NewTrial.tsx';
import { TrialSheet } from './TrialSheet.tsx';
import './trials.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** Treatments side by side, placed by chance, measured plot by plot, and what that shows. */
export function TrialsPage() {
  const books = useBooks();
  const trials = books.journal.filter((one): one is TrialRecord => one.kind === 'trial').toReversed();
  const [isNew, setNew] = useState(false);
  const [openId, setOpenId] = useState<string | null>(trials[0]?.id ?? null);
  const open = trials.find(({ id }) => id === openId);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Trials</PageHeading>
          <p className="soft">
            Try it on a corner or in pots before you do it everywhere, and record which got what.
          </p>
        </div>
        <div className="actions">
          <Button type={trials.length === 0 ? 'primary' : 'default'} onClick={() => setNew(true)}>
            Begin a trial
          </Button>
        </div>
      </header>
      {isNew && (
        <NewTrial
          onClose={() => setNew(false)}
          onKept={(id) => {
            setNew(false);
            setOpenId(id);
          }}
        />
      )}
      {trials.length === 0 ? (
        !isNew && (
          <div className="empty">
            <h2>No trial yet</h2>
            <p>
              Four pots with char and four without say more than an opinion. Choose what to compare. The
              program places the plots at random and says whether the readings show a difference.
            </p>
          </div>
        )
      ) : (
        <div className="bed-chips" role="radiogroup" aria-label="Trial">
          {trials.map(({ id, name, date, place, treatments, repeats }) => (
            <button
              key={id}
              type="button"
              role="radio"
              className="chip"
              aria-checked={id === openId}
              onClick={() => setOpenId(id)}
              title={`${treatments.length * repeats} ${TRIAL_PLACE_WORDS[place].many} since ${fullDate(dayOf(date))}`}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      {open && <TrialSheet key={open.id} trial={open} />}
    </div>
  );
}
