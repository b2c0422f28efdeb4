import { useBooks } from '../../app/garden-context.ts';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { backupsQuery, importsQuery } from '../../api/data.ts';
import { gardensQuery } from '../../api/gardens.ts';
import { instrumentsQuery } from '../../api/instruments.ts';
import '../../theme/figures-table.css';
import { useVisitor } from '../../app/visitor.ts';
import { Backups } from '../../ui/data/Backups.tsx';
import { DemoReset } from './DemoReset.tsx';
import { Gardens } from './Gardens.tsx';
import { ImportWizard } from '../../ui/data/ImportWizard.tsx';
import { Leave } from '../../ui/data/Leave.tsx';
import { PastImports } from './PastImports.tsx';
import { People } from './People.tsx';
import { RoomTaken } from './RoomTaken.tsx';
import { TakeOut } from './TakeOut.tsx';
import { WeatherBand } from './WeatherBand.tsx';
import '../../ui/data/data.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** What goes out and comes in, copies of the books, and how they are kept. */
export function DataPage() {
  const books = useBooks();
  const [isReading, setReading] = useState(false);
  const role = useVisitor()?.role;
  const isKeeper = role === 'keeper';
  const isOwner = isKeeper || role === 'owner';
  const backups = useQuery({ ...backupsQuery(), enabled: isKeeper });
  const asked = useQueries({
    queries: [
      { ...importsQuery(books.garden.id), enabled: isOwner },
      { ...instrumentsQuery(), enabled: isOwner },
      { ...gardensQuery(), enabled: isKeeper },
    ],
  });
  // Sections that came one by one would move what is just being pressed.
  const isComing = [backups, ...asked].some(({ isLoading }) => isLoading);
  const isSound = backups.data?.state.kind === 'sound' || role === 'owner';
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
          {isKeeper && <Leave />}
          {isOwner && (
            <Button disabled={!isSound || isReading} onClick={() => setReading(true)}>
              Import a file or table
            </Button>
          )}
        </div>
      </header>
      {isReading && <ImportWizard books={books} onClose={() => setReading(false)} />}
      <TakeOut />
      {isComing ? (
        <p className="soft">Reading the rest …</p>
      ) : (
        <Sections gardenId={books.garden.id} {...{ isOwner, isKeeper }} />
      )}
    </div>
  );
}

interface SectionsProps {
  readonly gardenId: string;
  readonly isOwner: boolean;
  readonly isKeeper: boolean;
}

function Sections({ gardenId, isOwner, isKeeper }: SectionsProps) {
  return (
    <>
      {isOwner && (
        <>
          <PastImports gardenId={gardenId} />
          <WeatherBand />
        </>
      )}
      {isKeeper && (
        <>
          <Backups />
          <Gardens gardenId={gardenId} />
          <DemoReset gardenId={gardenId} />
        </>
      )}
      {/* Last: they come when they have been asked for, and move nothing that is just being pressed. */}
      {isOwner && (
        <>
          <People gardenId={gardenId} />
          <RoomTaken gardenId={gardenId} />
        </>
      )}
    </>
  );
}
