import { type RefObject, useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { useIsPhone } from '../app/use-phone.ts';

/** On a phone the tabs lie in a row that is pushed aside: the one of the open page comes into sight. */
export function useTabInSight(isThere: boolean): RefObject<HTMLUListElement | null> {
  const tabs = useRef<HTMLUListElement>(null);
  const { pathname } = useLocation();
  const isPhone = useIsPhone();
  useEffect(() => {
    if (!isPhone) return;
    const row = tabs.current;
    const open = row?.querySelector('a.active')?.closest('li');
    if (!row || !open) return;
    row.scrollLeft = open.offsetLeft - row.offsetLeft - (row.clientWidth - open.offsetWidth) / 2;
  }, [pathname, isThere, isPhone]);
  return tabs;
}
