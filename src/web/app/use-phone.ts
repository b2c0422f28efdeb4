import { useSyncExternalStore } from 'react';

/** Where the page has one column, as in the style sheets. */
const PHONE = '(max-width: 720px)';

const subscribe = (onChange: () => void): (() => void) => {
  const phone = window.matchMedia(PHONE);
  phone.addEventListener('change', onChange);
  return () => phone.removeEventListener('change', onChange);
};

/** Whether the page has the width of a phone: drawings then take less room across, so that letters keep their size. */
export const useIsPhone = (): boolean =>
  useSyncExternalStore(subscribe, () => window.matchMedia(PHONE).matches);
