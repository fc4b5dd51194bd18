import { clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;
/** Every built file with its hash, filled in when the app is built. */
declare const BUILT_FILES: PrecacheEntry[];

/** What was read of a studio; the page deletes it when someone signs in or out. */
const READ = 'toile-read';
/** After this long without an answer what was read before is shown, seconds. */
const PATIENCE_SECONDS = 4;
/** Files made for each asking, what is told as it happens, and whether there is a studio yet are never kept. */
const NEVER_KEPT = /\/(export|print|labels|live|setup|team|audit|devices)(\?|$)/;

// A new version takes over at once: nothing that waits to be sent is kept here, it is in the page's own
// storage.
void self.skipWaiting();
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(BUILT_FILES);
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /^\/s\//, /\.\w+$/] }),
);
registerRoute(
  ({ url, request }) =>
    request.method === 'GET' && url.pathname.startsWith('/api/') && !NEVER_KEPT.test(url.pathname),
  new NetworkFirst({ cacheName: READ, networkTimeoutSeconds: PATIENCE_SECONDS }),
);
