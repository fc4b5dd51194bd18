export {};

declare const self: ServiceWorkerGlobalScope;

/** Lessons that were opened on this phone, by their addresses. */
const OPENED = 'toile-lessons';
/** Says in an answer until when a lesson may be shown, as an instant; left out where it stays. */
const ENDS = 'toile-ends';

/**
 * A lesson as it is now; without a network as it was when it was last opened, as long as its link lasts. What
 * has ended or was taken back is forgotten as soon as the network says so.
 */
async function lesson(request: Request): Promise<Response> {
  const opened = await caches.open(OPENED);
  try {
    const answer = await fetch(request);
    if (answer.ok) await opened.put(request.url, answer.clone());
    else if (answer.status === 404 || answer.status === 410) await opened.delete(request.url);
    return answer;
  } catch (error) {
    const kept = await opened.match(request.url, { ignoreVary: true });
    const ends = kept?.headers.get(ENDS);
    if (kept && (!ends || Date.parse(ends) > Date.now())) return kept;
    if (kept) await opened.delete(request.url);
    throw error;
  }
}

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
  const { mode, method, url } = event.request;
  if (mode === 'navigate' && method === 'GET' && new URL(url).pathname.startsWith('/l/'))
    event.respondWith(lesson(event.request));
});
// The page that asked for this worker was opened before there was one: it is kept too.
self.addEventListener('message', (event: ExtendableMessageEvent) => {
  const url: unknown = event.data;
  if (typeof url === 'string' && url.startsWith(`${self.location.origin}/l/`))
    event.waitUntil(lesson(new Request(url)).catch(() => undefined));
});
