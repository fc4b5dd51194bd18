/** Scripts named by their hash: what is kept under such an address never changes. */
const BY_HASH = '/_expo/static/*';
/** A language that is not everybody's lies in a cache of its own, which the worker knows. */
const LANGUAGE = '/_expo/static/*/translator-*.js';

type Rule = {
  readonly condition: { readonly urlPattern: { readonly pathname: string } };
  readonly source: 'fetch-event' | { readonly cacheName: string };
};
/** The part of a worker's `install` that is used here; the library of types has no rules yet. */
type Install = {
  readonly waitUntil: (work: Promise<unknown>) => void;
  /** The first rule that fits holds. */
  readonly addRoutes?: (rules: readonly Rule[]) => Promise<void>;
};

/**
 * Has the browser take the scripts out of the cache by itself, where it can (service worker static routing):
 * each by way of the worker, whose own start and turns the page has to wait for, opening took a quarter
 * longer. What the cache has not comes from the network; other browsers go on asking the worker.
 */
export function straightFromCache(event: Install, cacheName: string): void {
  const rule = (pathname: string, source: Rule['source']): Rule => ({
    condition: { urlPattern: { pathname } },
    source,
  });
  if (event.addRoutes)
    event.waitUntil(event.addRoutes([rule(LANGUAGE, 'fetch-event'), rule(BY_HASH, { cacheName })]));
}
