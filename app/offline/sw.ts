import { cacheNames, clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { neverKept } from './neverKept';
import { changesWhatIsRead, newerThanWritten } from './newerThanWritten';
import { onlyWhatIsNew } from './onlyWhatIsNew';
import { straightFromCache } from './straightFromCache';

declare const self: ServiceWorkerGlobalScope;
/** Every built file with its hash, filled in when the app is built. */
declare const BUILT_FILES: PrecacheEntry[];

/** What was read of a studio; the page deletes it when someone signs in or out. */
const READ = 'toile-read';
/** After this long without an answer what was read before is shown, seconds. */
const PATIENCE_SECONDS = 4;
/**
 * One client by the id: gone only when erased, and then lists and days that were read before name them too.
 */
const ONE_CLIENT = /^\/api\/clients\/[0-9a-f-]{36}$/;

/** What the studio no longer has is not shown from before either, when there is no network later. */
const forgetsWhatIsGone = {
  fetchDidSucceed: async ({ request, response }: { request: Request; response: Response }) => {
    if (response.status === 404 || response.status === 410) {
      if (ONE_CLIENT.test(new URL(request.url).pathname)) await caches.delete(READ);
      else await (await caches.open(READ)).delete(request);
    }
    return response;
  },
};

const held = async (address: string): Promise<Response | undefined> =>
  (await caches.open(READ)).match(address);

// A new version takes over at once: nothing that waits to be sent is kept here, it is in the page's own
// storage.
void self.skipWaiting();
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(BUILT_FILES);
// After Workbox, so that its own `install` has begun to keep what is routed here.
self.addEventListener('install', (event) => straightFromCache(event, cacheNames.precache));
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/api\//, /^\/[spl]\//, /\.\w+$/],
  }),
);
// A language that is not everybody's, by its hash: kept once it was read.
registerRoute(
  ({ url }) => /\/translator-\w+\.js$/.test(url.pathname),
  new CacheFirst({ cacheName: 'toile-language' }),
);
const written = newerThanWritten();
self.addEventListener('fetch', ({ request }) => {
  if (changesWhatIsRead(request.method, new URL(request.url).pathname)) written.wrote();
});
registerRoute(
  ({ url, request }) =>
    request.method === 'GET' && url.pathname.startsWith('/api/') && !neverKept(url.pathname),
  new NetworkFirst({
    cacheName: READ,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    plugins: [forgetsWhatIsGone, onlyWhatIsNew(held), written.plugin],
  }),
);
