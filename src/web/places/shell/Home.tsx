import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { gardensQuery } from '../../api/gardens.ts';
import { Trouble } from './Trouble.tsx';

/** Opens the first garden, or the page on which to make one. */
export function Home() {
  const { data, error } = useQuery(gardensQuery());
  if (error) return <Trouble failure={error} />;
  if (!data) return <p className="page soft">Opening the books …</p>;
  const first = data.gardens.at(0);
  return <Navigate replace to={first ? `/garden/${first.id}` : '/welcome'} />;
}
