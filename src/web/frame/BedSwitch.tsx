import { lazy, Suspense } from 'react';
import { NavLink, useMatch } from 'react-router';
import type { BedListProps } from './BedList.tsx';

/** More beds than these are chosen from a list instead of standing in the margin. */
const MOST_TABS = 10;

const BedList = lazy(async () => ({ default: (await import('./BedList.tsx')).BedList }));

/** The way from bed to bed: a tab each, or one list to search when there are many. */
export function BedSwitch({ gardenId, beds }: BedListProps) {
  const open = useMatch('/garden/:gardenId/bed/:bedId')?.params.bedId;
  const shown = beds.length <= MOST_TABS ? beds : beds.filter(({ id }) => id === open);
  return (
    <>
      {beds.length > MOST_TABS && (
        <li className="bed-list">
          <Suspense fallback={null}>
            <BedList gardenId={gardenId} beds={beds} />
          </Suspense>
        </li>
      )}
      {shown.map((bed) => (
        <li key={bed.id} className="bed-tab own-bed">
          <NavLink to={`/garden/${gardenId}/bed/${bed.id}`}>{bed.name}</NavLink>
        </li>
      ))}
    </>
  );
}
