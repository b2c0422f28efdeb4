// Keeps the pages, and the books as they were last read, on the device: with no connection they can be looked at, and
// the logbook written. VERSION and FILES are put in front when the pages are built.
/* global self, caches, Response, URL, VERSION, FILES */
const SHELL = `vine-ledger-pages-${VERSION}`;
const BOOKS = 'vine-ledger-books';
const IS_READ_OFFLINE =
  /^\/api\/gardens(\/[^/]+\/books)?$|^\/api\/backups$|^\/api\/session$|^\/api\/instruments$/;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(SHELL)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

async function dropOldPages() {
  for (const name of await caches.keys()) if (name !== SHELL && name !== BOOKS) await caches.delete(name);
  await self.clients.claim();
}
self.addEventListener('activate', (event) => event.waitUntil(dropOldPages()));

/** The page of the server, or the one that is kept: all addresses show the same page. */
async function page(request) {
  try {
    return await fetch(request);
  } catch {
    return (await caches.match('/', { cacheName: SHELL })) ?? Response.error();
  }
}

/** Files of the pages are named after what is in them, so the one that is kept is the right one. */
async function file(request) {
  return (await caches.match(request, { cacheName: SHELL })) ?? fetch(request);
}

/** The books of the server, or as they were last read. */
async function books(request) {
  const cache = await caches.open(BOOKS);
  try {
    const answer = await fetch(request);
    if (answer.status === 401) await caches.delete(BOOKS);
    else if (answer.ok) await cache.put(request, answer.clone());
    return answer;
  } catch {
    return (await cache.match(request)) ?? Response.error();
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (pathname.startsWith('/assets/')) event.respondWith(file(request));
  else if (IS_READ_OFFLINE.test(pathname)) event.respondWith(books(request));
});

/** A notice of the day leads to the calendar, in a page that is open where there is one. */
async function openAddress(address) {
  const [open] = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  if (!open) return self.clients.openWindow(address);
  await open.navigate(address);
  return open.focus();
}
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(openAddress(event.notification.data.address));
});
