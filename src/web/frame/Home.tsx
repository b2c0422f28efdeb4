import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { gardensQuery } from '../api/gardens.ts';
import { lastGarden } from '../app/last-garden.ts';
import { Trouble } from '../app/Trouble.tsx';
import { pathToOpen } from './garden-to-open.ts';

/** Opens the garden that was open last, or else the first, or the page on which to make one. */
export function Home() {
  const { data, error } = useQuery(gardensQuery());
  if (error) return <Trouble failure={error} />;
  if (!data) return <p className="page soft">Opening the books …</p>;
  return <Navigate replace to={pathToOpen(data.gardens, lastGarden())} />;
}
