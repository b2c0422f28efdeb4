import { useSyncExternalStore } from 'react';

function listen(onChange: () => void): () => void {
  for (const event of ['online', 'offline']) window.addEventListener(event, onChange);
  return () => {
    for (const event of ['online', 'offline']) window.removeEventListener(event, onChange);
  };
}

/** Said while the device has no connection. */
export function Connection() {
  const isOnline = useSyncExternalStore(listen, () => navigator.onLine);
  if (isOnline) return null;
  return (
    <p className="no-connection" aria-live="polite">
      No connection: the books are shown as they were last read. What you write in the logbook waits on this
      device.
    </p>
  );
}
