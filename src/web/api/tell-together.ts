import { notifyManager } from '@tanstack/react-query';

/**
 * Tells of all answers that came in one moment at once, so that the page is drawn once for them. Told one by one, sixty
 * beds would draw it sixty times.
 */
export function tellTogether(): void {
  let waiting: (() => void)[] = [];
  const tellAll = () => {
    const all = waiting;
    waiting = [];
    for (const tell of all) tell();
  };
  notifyManager.setScheduler((tell) => {
    if (waiting.length === 0) setTimeout(tellAll, 0);
    waiting.push(tell);
  });
}
