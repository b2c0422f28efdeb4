import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { Link, NavLink, Outlet, useParams } from 'react-router';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { GardenProvider } from '../app/garden-context.ts';
import { backupsQuery } from '../api/data.ts';
import { ProblemFailure } from '../api/failures.ts';
import { gardenBooksQuery } from '../api/gardens.ts';
import { Connection } from './Connection.tsx';
import { FileState } from './FileState.tsx';
import { GardenSwitch } from './GardenSwitch.tsx';
import { KeyHelp } from './KeyHelp.tsx';
import { rememberGarden } from '../app/last-garden.ts';
import { Trouble } from '../app/Trouble.tsx';

/** What is wanted every day. */
const DAILY = [
  { path: 'calendar', name: 'Calendar', isUnder: false },
  { path: 'laying', name: 'Spreading day', isUnder: true },
  { path: 'log', name: 'Logbook', isUnder: false },
  { path: 'pale', name: 'Why is it pale?', isUnder: true },
  { path: 'trials', name: 'Trials', isUnder: true },
  { path: 'year', name: 'Year sheet', isUnder: true },
  { path: 'years', name: 'Years', isUnder: false },
] as const;

/** The places of the yard, in the order of the work. */
const WORK = [
  { path: 'stock', name: 'Stock', isUnder: false },
  { path: 'share', name: 'Share out', isUnder: true },
  { path: 'materials', name: 'Materials', isUnder: true },
  { path: 'prepare', name: 'Mixing bench', isUnder: false },
  { path: 'prepare/heaps', name: 'Heaps', isUnder: true },
  { path: 'prepare/char', name: 'Char yard', isUnder: true },
  { path: 'prepare/ash', name: 'Ash', isUnder: true },
  { path: 'prepare/brews', name: 'Brews', isUnder: true },
] as const;

/** How it is worked out, and where it is kept. */
const ABOUT = [
  { path: 'method', name: 'Method', isUnder: false },
  { path: 'data', name: 'Your data', isUnder: false },
] as const;

/** The account book: index tabs in the margin, the open page beside it. */
export function Book() {
  const { gardenId = '' } = useParams();
  const { data: books, error } = useQuery(gardenBooksQuery(gardenId));
  const isThere = books !== undefined;
  useEffect(() => {
    if (isThere) rememberGarden(gardenId);
  }, [gardenId, isThere]);
  const bedIds = useMemo(() => books?.beds.map(({ id }) => id) ?? [], [books]);
  return (
    <div className="book">
      <nav className="margin" aria-label="Places">
        <div className="cover">
          <NavLink className="brand" to={`/garden/${gardenId}`} end>
            Vine Ledger
          </NavLink>
          <GardenSwitch gardenId={gardenId} />
        </div>
        <ul className="tabs">
          <li>
            <NavLink to={`/garden/${gardenId}`} end>
              Garden
            </NavLink>
          </li>
          {books?.beds.map((bed) => (
            <li key={bed.id} className="bed-tab own-bed">
              <NavLink to={`/garden/${gardenId}/bed/${bed.id}`}>{bed.name}</NavLink>
            </li>
          ))}
          <Tabs places={DAILY} gardenId={gardenId} />
          <Tabs places={WORK} gardenId={gardenId} />
          <Tabs places={ABOUT} gardenId={gardenId} />
        </ul>
        <KeyHelp gardenId={gardenId} bedIds={bedIds} />
      </nav>
      <main>
        <Connection />
        <FileState gardenId={gardenId} />
        <Open books={books} error={error} />
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
      <Outlet />
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
          <Link to="/">Create the gardens at another garden</Link>
        </p>
      )}
      {data?.state.kind === 'damaged' && (
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
  readonly places: readonly { readonly path: string; readonly name: string; readonly isUnder: boolean }[];
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
