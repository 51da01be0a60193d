// Keeps the board and today's lesson through a reload without network: what was fetched once for them is kept, and asked of the network first where it can change.
// Nothing else of a school is kept, and nothing after signing out.
const SHELL = 'bold-shell';
const LESSONS = 'bold-lessons';
const LESSON = /^\/api\/schools\/[^/]+\/groups\/[^/]+\/lessons\/(\d{4}-\d{2}-\d{2})$/;
const BESIDE = /^\/api\/(session|facts|schools\/[^/]+\/(style|notes))$/;
const FIXED = /^\/(assets|pictures)\//;
const PAGE = '/index.html';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) return;
  if (request.method === 'DELETE' && /^\/api\/sessions?$/.test(url.pathname)) event.respondWith(leaving(request));
  // A lesson is opened with PUT, which may be asked as often as one likes.
  else if (request.method === 'PUT' && LESSON.test(url.pathname)) event.respondWith(newest(LESSONS, request, request.url));
  else if (request.method !== 'GET') return;
  else if (request.mode === 'navigate') event.respondWith(newest(SHELL, request, PAGE));
  else if (FIXED.test(url.pathname)) event.respondWith(kept(request));
  else if (LESSON.test(url.pathname) || BESIDE.test(url.pathname)) event.respondWith(newest(LESSONS, request, request.url));
});

/** What never changes under its name: from here when it is here. */
async function kept(request) {
  const cache = await caches.open(SHELL);
  const known = await cache.match(request.url);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request.url, answer.clone());
  return answer;
}

/** What may have changed: from the network, and from here when there is none. Who is signed out keeps nothing. */
async function newest(name, request, key) {
  const cache = await caches.open(name);
  let answer;
  try {
    answer = await fetch(request);
  } catch (offline) {
    const known = await cache.match(key);
    if (known) return known;
    throw offline;
  }
  if (answer.status === 401 || (answer.status === 204 && new URL(request.url).pathname === '/api/session')) await caches.delete(LESSONS);
  else if (answer.ok && answer.status === 200) {
    await cache.put(key, answer.clone());
    if (name === LESSONS) await forgetOthers(cache, key);
  }
  return answer;
}

/** Of lessons only the one that was opened last is kept. */
async function forgetOthers(cache, key) {
  if (!LESSON.test(new URL(key).pathname)) return;
  for (const request of await cache.keys()) if (request.url !== key && LESSON.test(new URL(request.url).pathname)) await cache.delete(request);
}

async function leaving(request) {
  const answer = await fetch(request);
  if (answer.ok) await caches.delete(LESSONS);
  return answer;
}
