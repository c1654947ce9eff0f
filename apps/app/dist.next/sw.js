// Opens the app with no signal: the build's own files come from here, the server's answers never do.
const VERSION = '__VERSION__';
const FILES = ['__PRECACHE__'];
const CACHE = `nook-${VERSION}`;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name))))
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  if (request.mode === 'navigate') {
    // The kept page first: in a cellar with a weak signal nobody waits for the network to give up. A new build takes over
    // when its own worker has fetched all of it.
    event.respondWith(caches.match('/').then((kept) => kept ?? fetch(request)));
    return;
  }
  event.respondWith(caches.match(request, { ignoreSearch: true }).then((kept) => kept ?? fetch(request)));
});
