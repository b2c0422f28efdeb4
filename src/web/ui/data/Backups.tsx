import { counted } from '../../../words/counted.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { BackupCheck } from '../../../contract/backups.ts';
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
        A copy is made every day while Vine Ledger runs; the last fourteen are kept beside the books. Copy one
        to another machine now and then: these lie on the same disk.
      </p>
      {restored && (
        <p role="status" className="status status-good">
          Restored: {contentsWords(restored)}. What was there before is the newest backup.
        </p>
      )}
      {data?.backups.length === 0 && <p>There is none yet.</p>}
      <ul className="plain-list data-backups">
        {data?.backups.map(({ name, at, bytes }) => (
          <li key={name}>
            <span className="figure">{instantWords(at)}</span>
            <span className="soft">{bytesWords(bytes)}</span>
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
