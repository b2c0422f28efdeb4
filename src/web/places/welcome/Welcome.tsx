import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { backupsQuery } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { gardensQuery } from '../../api/gardens.ts';
import { DeletedGardens } from '../../ui/garden/DeletedGardens.tsx';
import { Backups } from '../../ui/data/Backups.tsx';
import '../../ui/data/data.css';
import { ImportWizard } from '../../ui/data/ImportWizard.tsx';
import '../../ui/garden/garden.css';
import { useOpenDemo } from '../../ui/guide/use-open-demo.ts';
import { BeginForm } from './BeginForm.tsx';

/** The first page of an empty book, or of one that cannot be read. */
export function Welcome() {
  const { data } = useQuery(backupsQuery());
  const [wasUnsound, setUnsound] = useState(false);
  const isUnsound = data !== undefined && data.state.kind !== 'sound';
  if (isUnsound && !wasUnsound) setUnsound(true);
  return wasUnsound ? <Rescue isUnsound={isUnsound} /> : <Begin />;
}

/** The file of the books, beyond reading: its backups are the way out. */
function Rescue({ isUnsound }: { isUnsound: boolean }) {
  return (
    <main className="page">
      <div className="empty data-page">
        <h1>Vine Ledger</h1>
        {isUnsound ? (
          <p role="alert" className="status-stop">
            The file of the books is damaged, and nothing in it can be read. It is left as it is; restore a
            backup, and the damaged file stays beside it.
          </p>
        ) : (
          <p>
            {/* Asked for anew: what is remembered of the damaged file is of no use any more. */}
            <a href="/">Open your gardens</a>
          </p>
        )}
        <Backups />
      </div>
    </main>
  );
}

/** Begin, look around, or bring a garden along. */
function Begin() {
  const navigate = useNavigate();
  const [isReading, setReading] = useState(false);
  const demo = useOpenDemo();
  const { data } = useQuery(gardensQuery());
  const hasGardens = (data?.gardens.length ?? 0) > 0;
  return (
    <main className="page">
      <div className="empty">
        <h1>Vine Ledger</h1>
        {hasGardens && (
          <p>
            <Link to="/">Back to your gardens</Link>
          </p>
        )}
        <p>
          Keep the carbon and nitrogen account of every bed: what you spread on it, what the season makes of
          it, what is locked up and until when, how much nitrogen to add, and what humus stays.
        </p>
        {isReading ? (
          <ImportWizard books={null} onClose={() => setReading(false)} />
        ) : (
          <>
            <p className="soft">
              Four questions to a first answer. What is called a guess may stay; all of it can be changed
              later. Or{' '}
              <Button
                type="link"
                size="small"
                className="in-line"
                loading={demo.isPending}
                onClick={demo.open}
              >
                look around in an invented garden
              </Button>{' '}
              first, or{' '}
              <Button type="link" size="small" className="in-line" onClick={() => setReading(true)}>
                open a garden file
              </Button>
              .
            </p>
            {Object.values(sentencesOf(demo.failure)).map((sentence) => (
              <p key={sentence} className="field-trouble" role="alert">
                {sentence}
              </p>
            ))}
            {data && <DeletedGardens deleted={data.deleted} />}
            {data && (
              <BeginForm
                today={data.today}
                onBegun={(gardenId, bedId) =>
                  void navigate(`/garden/${gardenId}${bedId === null ? '' : `/bed/${bedId}`}`)
                }
              />
            )}
          </>
        )}
      </div>
    </main>
  );
}
