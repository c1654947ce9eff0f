// Opens the app with no signal: the build's own files come from here, the server's answers never do.
const VERSION = '__VERSION__';
// What the first screens take, kept before this version takes over.
const FIRST = ['__FIRST__'];
// What few screens take, kept when the page says that it has nothing else to do.
const LATER = ['__LATER__'];
const CACHE = `nook-${VERSION}`;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(FIRST))
      .then(() => self.skipWaiting()),
  );
});

/** What an older version has kept and this one has under the same name is not fetched again. */
async function takeOver() {
  const cache = await caches.open(CACHE);
  for (const path of LATER) {
    const known = await caches.match(path);
    if (known) await cache.put(path, known);
  }
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name)));
  await self.clients.claim();
}

async function fetchRest() {
  const cache = await caches.open(CACHE);
  for (const path of LATER) {
    if (await cache.match(path)) continue;
    // Without a line the rest follows the next time.
    await cache.add(path).catch(() => undefined);
  }
}

self.addEventListener('activate', (event) => event.waitUntil(takeOver()));
self.addEventListener('message', (event) => {
  if (event.data === 'fetch the rest') event.waitUntil(fetchRest());
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  if (request.mode === 'navigate') {
    // The kept page first: in a cellar with a weak signal nobody waits for the network to give up. A new build takes over
    // when its own worker has fetched all that the first screens take.
    event.respondWith(caches.match('/').then((kept) => kept ?? fetch(request)));
    return;
  }
  event.respondWith(caches.match(request, { ignoreSearch: true }).then((kept) => kept ?? fetch(request)));
});

// A reminder leads to the page it speaks of, in the window that is open if there is one.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const path = event.notification.data ?? '/';
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then(([open]) => {
      if (!open) return self.clients.openWindow(path);
      return open.focus().then((window) => window.navigate(path));
    }),
  );
});
