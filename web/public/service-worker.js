// Keeps the board and today's lesson through a reload without network: what was fetched once for them is kept, and
// asked of the network first where it can change.
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
  else if (request.method === 'PUT' && LESSON.test(url.pathname))
    event.respondWith(newest(LESSONS, request, request.url));
  else if (request.method !== 'GET') return;
  else if (request.mode === 'navigate') event.respondWith(newest(SHELL, request, PAGE));
  else if (FIXED.test(url.pathname)) event.respondWith(kept(request));
  else if (LESSON.test(url.pathname) || BESIDE.test(url.pathname))
    event.respondWith(newest(LESSONS, request, request.url));
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
  if (answer.status === 401 || (answer.status === 204 && new URL(request.url).pathname === '/api/session'))
    await caches.delete(LESSONS);
  else if (answer.status === 200)
    await (name === SHELL ? keepPage(cache, answer.clone()) : keepLesson(cache, key, answer.clone()));
  return answer;
}

/** The page that all addresses share; with another release of it, what belonged to the one before goes. */
async function keepPage(cache, answer) {
  if (!answer.headers.get('content-type')?.startsWith('text/html')) return;
  const [before, now] = [await (await cache.match(PAGE))?.text(), await answer.clone().text()];
  if (before !== undefined && before !== now)
    for (const request of await cache.keys())
      if (FIXED.test(new URL(request.url).pathname)) await cache.delete(request);
  await cache.put(PAGE, answer);
}

/** A lesson without the teacher's own note, which the board does not show; anything else as it is. */
async function keepLesson(cache, key, answer) {
  if (!LESSON.test(new URL(key).pathname)) return cache.put(key, answer);
  const view = await answer.json();
  const kept = { ...view, lesson: { ...view.lesson, remark: null } };
  await cache.put(key, new Response(JSON.stringify(kept), { headers: { 'content-type': 'application/json' } }));
  return forgetOthers(cache, key);
}

/** Of lessons only the one that was opened last is kept. */
async function forgetOthers(cache, key) {
  for (const request of await cache.keys())
    if (request.url !== key && LESSON.test(new URL(request.url).pathname)) await cache.delete(request);
}

async function leaving(request) {
  const answer = await fetch(request);
  if (answer.ok) await caches.delete(LESSONS);
  return answer;
}
