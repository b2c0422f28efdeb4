import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { Link, NavLink, Outlet, useParams } from 'react-router';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { isTelling, wasTold } from '../app/day-notices.ts';
import { GardenProvider } from '../app/garden-context.ts';
import { backupsQuery } from '../api/data.ts';
import { ProblemFailure } from '../api/failures.ts';
import { gardenBooksQuery } from '../api/gardens.ts';
import { BedSwitch } from './BedSwitch.tsx';
import { Connection } from './Connection.tsx';
import { FileState } from './FileState.tsx';
import { GardenSwitch } from './GardenSwitch.tsx';
import { KeyHelp } from './KeyHelp.tsx';
import { PlanNews } from './PlanNews.tsx';
import { ABOUT, DAILY, WORK, type Place } from './places.ts';
import { Search } from './search/Search.tsx';
import { useTabInSight } from './use-tab-in-sight.ts';
import { VisitorBand } from './VisitorBand.tsx';
import { ConflictDialog } from '../app/ConflictDialog.tsx';
import { LeaveGuard } from '../app/LeaveGuard.tsx';
import { rememberGarden } from '../app/last-garden.ts';
import { Trouble } from '../app/Trouble.tsx';

const DayNotice = lazy(async () => ({ default: (await import('./DayNotice.tsx')).DayNotice }));

/** The account book: index tabs in the margin, the open page beside it. */
export function Book() {
  const { gardenId = '' } = useParams();
  const { data: books, error } = useQuery(gardenBooksQuery(gardenId));
  const isThere = books !== undefined;
  useEffect(() => {
    if (isThere) rememberGarden(gardenId);
  }, [gardenId, isThere]);
  const tabs = useTabInSight(isThere);
  const bedIds = useMemo(() => books?.beds.map(({ id }) => id) ?? [], [books]);
  return (
    <div className="book">
      <nav className="margin" aria-label="Places">
        <div className="cover">
          <NavLink className="brand" to={`/garden/${gardenId}`} end>
            Vine Ledger
          </NavLink>
          <GardenSwitch gardenId={gardenId} />
          {books && <Search books={books} />}
        </div>
        <ul className="tabs" ref={tabs}>
          <li>
            <NavLink to={`/garden/${gardenId}`} end>
              Garden
            </NavLink>
          </li>
          {books && <BedSwitch gardenId={gardenId} beds={books.beds} />}
          <Tabs places={DAILY} gardenId={gardenId} />
          <Tabs places={WORK} gardenId={gardenId} />
          <Tabs places={ABOUT} gardenId={gardenId} />
        </ul>
        <KeyHelp gardenId={gardenId} bedIds={bedIds} />
      </nav>
      <main>
        <Connection />
        <VisitorBand />
        <FileState gardenId={gardenId} />
        <Open books={books} error={error} />
        <LeaveGuard />
      </main>
    </div>
  );
}

/** The page that is open, once there are books for it; another garden starts its pages from nothing. */
function Open({ books, error }: { books: GardenBooks | undefined; error: Error | null }) {
  if (error) return <Unreadable failure={error} />;
  if (!books) return <p className="page soft">Opening the books …</p>;
  return (
    <GardenProvider key={books.garden.id} value={books}>
      <PlanNews />
      {isTelling() && !wasTold(books.garden.id, books.today) && (
        <Suspense fallback={null}>
          <DayNotice />
        </Suspense>
      )}
      <Outlet />
      <ConflictDialog />
    </GardenProvider>
  );
}

const Backups = lazy(async () => ({ default: (await import('../ui/data/Backups.tsx')).Backups }));

/** Books that cannot be shown; when it is their file that is at fault, its backups are the way out. */
function Unreadable({ failure }: { failure: Error }) {
  const { data } = useQuery(backupsQuery());
  return (
    <>
      <Trouble failure={failure} />
      {failure instanceof ProblemFailure && failure.problem.status === 404 && (
        <p className="page">
          <Link to="/">Open another garden</Link>
        </p>
      )}
      {(data?.state.kind === 'damaged' || data?.state.kind === 'overwritten') && (
        <div className="page">
          <Suspense fallback={null}>
            <Backups />
          </Suspense>
        </div>
      )}
    </>
  );
}

interface TabsProps {
  readonly places: readonly Place[];
  readonly gardenId: string;
}

function Tabs({ places, gardenId }: TabsProps) {
  return places.map(({ path, name, isUnder }) => (
    <li key={path} className={isUnder ? 'bed-tab' : undefined}>
      <NavLink to={`/garden/${gardenId}/${path}`} end={path !== 'stock'}>
        {name}
      </NavLink>
    </li>
  ));
}
