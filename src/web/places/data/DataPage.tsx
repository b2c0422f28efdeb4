import { useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { backupsQuery, sessionQuery, useLeave } from '../../api/data.ts';
import '../../theme/figures-table.css';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { Backups } from '../../ui/data/Backups.tsx';
import { DemoReset } from './DemoReset.tsx';
import { Gardens } from './Gardens.tsx';
import { ImportWizard } from '../../ui/data/ImportWizard.tsx';
import { PastImports } from './PastImports.tsx';
import { RoomTaken } from './RoomTaken.tsx';
import { TakeOut } from './TakeOut.tsx';
import { WeatherBand } from './WeatherBand.tsx';
import '../../ui/data/data.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** What goes out and comes in, copies of the books, and how they are kept. */
export function DataPage() {
  const books = useBooks();
  const [isReading, setReading] = useState(false);
  const { data: kept } = useQuery(backupsQuery());
  const isSound = kept?.state.kind === 'sound';
  return (
    <div className="page data-page">
      <header className="page-head">
        <div>
          <PageHeading>Your data</PageHeading>
          <p className="soft">
            Everything you recorded is yours: export it in open formats, import it from others, keep copies.
          </p>
        </div>
        <div className="actions">
          <Leave />
          <Button disabled={!isSound || isReading} onClick={() => setReading(true)}>
            Bring something in
          </Button>
        </div>
      </header>
      {isReading && <ImportWizard books={books} onClose={() => setReading(false)} />}
      <TakeOut />
      <PastImports gardenId={books.garden.id} />
      <WeatherBand />
      <Backups />
      <Gardens gardenId={books.garden.id} />
      <DemoReset gardenId={books.garden.id} />
      {/* Last: it comes when it has been counted, and moves nothing that is just being pressed. */}
      <RoomTaken gardenId={books.garden.id} />
    </div>
  );
}

/** Where a passphrase is needed, one can leave too. */
function Leave() {
  const { data } = useQuery(sessionQuery());
  const leave = useLeave();
  const showFailure = useFailureNotice();
  if (!data?.isNeeded) return null;
  return (
    <Button
      type="text"
      loading={leave.isPending}
      onClick={() => leave.mutate(null, { onError: (failure) => showFailure('You have not left.', failure) })}
    >
      Leave these books
    </Button>
  );
}
