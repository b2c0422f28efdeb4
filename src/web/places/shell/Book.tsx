import { useQuery } from '@tanstack/react-query';
import { NavLink, Outlet, useParams } from 'react-router';
import { gardenBooksQuery } from '../../api/gardens.ts';
import { Trouble } from './Trouble.tsx';

/** Places besides the garden and its beds, in the order of the work. */
const PLACES = [
  { path: 'stock', name: 'Stock', isUnder: false },
  { path: 'materials', name: 'Materials', isUnder: true },
  { path: 'prepare', name: 'Mixing bench', isUnder: false },
  { path: 'prepare/heaps', name: 'Heaps', isUnder: true },
  { path: 'prepare/char', name: 'Char yard', isUnder: true },
  { path: 'prepare/ash', name: 'Ash', isUnder: true },
  { path: 'prepare/brews', name: 'Brews', isUnder: true },
] as const;

/** The account book: index tabs in the margin, the open page beside it. */
export function Book() {
  const { gardenId = '' } = useParams();
  const { data: books, error } = useQuery(gardenBooksQuery(gardenId));
  return (
    <div className="book">
      <nav className="margin" aria-label="Places">
        <NavLink className="brand" to={`/garden/${gardenId}`} end>
          Vine Ledger
        </NavLink>
        <ul className="tabs">
          <li>
            <NavLink to={`/garden/${gardenId}`} end>
              Garden
            </NavLink>
          </li>
          {books?.beds.map((bed) => (
            <li key={bed.id} className="bed-tab">
              <NavLink to={`/garden/${gardenId}/bed/${bed.id}`}>{bed.name}</NavLink>
            </li>
          ))}
          {PLACES.map(({ path, name, isUnder }) => (
            <li key={path} className={isUnder ? 'bed-tab' : undefined}>
              <NavLink to={`/garden/${gardenId}/${path}`} end={path !== 'stock'}>
                {name}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <main>{error ? <Trouble failure={error} /> : <Outlet />}</main>
    </div>
  );
}
