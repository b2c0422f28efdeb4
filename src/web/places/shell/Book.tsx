import { useQuery } from '@tanstack/react-query';
import { NavLink, Outlet, useParams } from 'react-router';
import { gardenBooksQuery } from '../../api/gardens.ts';
import { Trouble } from './Trouble.tsx';

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
        </ul>
      </nav>
      <main>{error ? <Trouble failure={error} /> : <Outlet />}</main>
    </div>
  );
}
