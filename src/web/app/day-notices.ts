import { remember, remembered } from './device-memory.ts';

const WANTED = 'vine-ledger:day-notices';
const TOLD = 'vine-ledger:day-notice-told';

/** Whether this browser can show a notice of its own: on this machine itself or over https only. */
export const canTell = (): boolean => 'Notification' in window && 'serviceWorker' in navigator;

/** Whether the gardener wants a notice once a day on this device, and the browser allows it. */
export const isTelling = (): boolean =>
  canTell() && remembered(WANTED) !== null && Notification.permission === 'granted';

/** Asks the browser to allow notices; true when they will come. */
export async function beginTelling(): Promise<boolean> {
  if (!canTell() || (await Notification.requestPermission()) !== 'granted') return false;
  remember(WANTED, 'yes');
  return true;
}

export const stopTelling = (): void => remember(WANTED, null);

const keyOf = (gardenId: string): string => `${TOLD}:${gardenId}`;

/** Whether the notice of a day was shown already. */
export const wasTold = (gardenId: string, date: string): boolean => remembered(keyOf(gardenId)) === date;

/** Shows a notice through the service worker, which opens the calendar when it is tapped, once a day and garden. */
export async function tell(
  notice: { readonly title: string; readonly body: string },
  { gardenId, date }: { readonly gardenId: string; readonly date: string },
): Promise<void> {
  remember(keyOf(gardenId), date);
  const { ready } = navigator.serviceWorker;
  await (
    await ready
  ).showNotification(notice.title, {
    body: notice.body,
    tag: `day of ${gardenId}`,
    icon: '/icon-192.png',
    data: { address: `/garden/${gardenId}/calendar` },
  });
}
