/** Scripts named by their hash: what is kept under such an address never changes. */
const BY_HASH = '/_expo/static/*';

/** The part of a worker's `install` that is used here; the library of types has no rules yet. */
type Install = {
  readonly waitUntil: (work: Promise<unknown>) => void;
  readonly addRoutes?: (rules: {
    readonly condition: { readonly urlPattern: { readonly pathname: string } };
    readonly source: { readonly cacheName: string };
  }) => Promise<void>;
};

/**
 * Has the browser take the scripts out of the cache by itself, where it can (service worker static routing):
 * each by way of the worker, whose own start and turns the page has to wait for, opening took a quarter
 * longer. What the cache has not comes from the network; other browsers go on asking the worker.
 */
export function straightFromCache(event: Install, cacheName: string): void {
  const rule = { condition: { urlPattern: { pathname: BY_HASH } }, source: { cacheName } };
  if (event.addRoutes) event.waitUntil(event.addRoutes(rule));
}
