import { counted } from '../../../words/counted.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { BackupCheck, BackupKind, SecondPlace } from '../../../contract/backups.ts';
import { backupCheckQuery, backupsQuery, useBackUp, useRestoreBackup } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { instantWords } from '../../../words/dates.ts';
import './data.css';
import { bytesWords } from '../../../words/figures.ts';

/** Copies of the books: made daily while Vine Ledger runs, or now; looked at before one is restored. */
export function Backups() {
  const { data, error } = useQuery(backupsQuery());
  const [looked, setLooked] = useState<string | null>(null);
  const make = useBackUp();
  const [restored, setRestored] = useState<BackupCheck | null>(null);
  const isSound = data?.state.kind === 'sound';
  const troubles = Object.values({ ...sentencesOf(error), ...sentencesOf(make.error) });
  return (
    <section aria-label="Backups">
      <div className="section-head">
        <h2>Backups</h2>
        <Button size="small" disabled={!isSound} loading={make.isPending} onClick={() => make.mutate(null)}>
          Make one now
        </Button>
      </div>
      <p className="soft">
        A copy of the books and their photos is made every day while Vine Ledger runs, and looked at page by
        page. Those of the last 14 days are kept, one of each of the last 8 weeks and 12 months, and the last
        10 that you made yourself.
      </p>
      {data && <Second place={data.secondPlace} />}
      {restored && (
        <p role="status" className="status status-good">
          Restored: {contentsWords(restored)}. What was there before is the newest backup.
        </p>
      )}
      {data?.backups.length === 0 && <p>There is none yet.</p>}
      <ul className="plain-list data-backups">
        {data?.backups.map(({ name, kind, at, bytes }) => (
          <li key={name}>
            <span className="figure">{instantWords(at)}</span>
            <span className="soft">
              {KIND_WORDS[kind]}, {bytesWords(bytes)}
            </span>
            <Button
              size="small"
              onClick={() => setLooked(looked === name ? null : name)}
              aria-expanded={looked === name}
            >
              Look inside
            </Button>
            {looked === name && (
              <Restore
                name={name}
                onRestored={(check) => {
                  setLooked(null);
                  setRestored(check);
                }}
              />
            )}
          </li>
        ))}
      </ul>
      {troubles.map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}

const KIND_WORDS: Readonly<Record<BackupKind, string>> = {
  daily: 'of the day',
  manual: 'made by hand',
  beforeRestore: 'before another was restored',
};

/** Where copies go besides, and whether the last one got there. */
function Second({ place }: { readonly place: SecondPlace | null }) {
  if (!place) {
    return (
      <p className="soft">
        They lie on the same disk as the books. Start Vine Ledger with{' '}
        <code>npm start -- --backup-to FOLDER</code> to have every copy on another disk too.
      </p>
    );
  }
  const { folder, lastAt, failure } = place;
  if (failure !== null) {
    return (
      <p className="field-trouble" role="alert">
        The last copy did not reach {folder}: {failure}
      </p>
    );
  }
  return (
    <p className="soft">
      Every copy goes to {folder} too{lastAt === null ? '' : `, the last one on ${instantWords(lastAt)}`}.
    </p>
  );
}

const contentsWords = ({ gardens, beds, entries, observations }: BackupCheck): string =>
  [
    gardens.length === 0 ? 'no garden' : gardens.join(', '),
    counted(beds, 'bed', 'beds'),
    counted(entries, 'entry', 'entries'),
    counted(observations, 'note in the log', 'notes in the log'),
  ].join(', ');

/** What a backup holds, and the button that puts it in the place of the books. */
function Restore({ name, onRestored }: { name: string; onRestored: (check: BackupCheck) => void }) {
  const { data: check, error } = useQuery(backupCheckQuery(name));
  const restore = useRestoreBackup();
  const troubles = Object.values({ ...sentencesOf(error), ...sentencesOf(restore.error) });
  return (
    <div className="data-restore">
      {!check && !error && <p className="soft">Looking inside …</p>}
      {check && (
        <>
          <p>
            Whole and sound: {contentsWords(check)}.{' '}
            {check.newestRecordAt !== null && <>Last written {instantWords(check.newestRecordAt)}.</>}
          </p>
          <Button
            type="primary"
            danger
            loading={restore.isPending}
            onClick={() => restore.mutate(name, { onSuccess: onRestored })}
          >
            Put it in the place of the books
          </Button>
          <span className="soft"> The books as they are now are backed up first.</span>
        </>
      )}
      {troubles.map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </div>
  );
}
