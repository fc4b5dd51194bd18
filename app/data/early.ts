/**
 * What app/offline/page/askEarly.ts asked for, by its address; where it was answered well before the scripts
 * were there, what it said.
 */
type Early = { readonly response: Promise<Response>; readonly data?: unknown };
declare global {
  var toileEarly: Record<string, Early> | undefined;
}

/**
 * After this long nothing that was asked early is taken any more: it may be otherwise by now, ms since the
 * page began.
 */
const FRESH_MS = 15_000;

/** What was asked for by the app itself: what was asked early is older than what it was told then. */
const askedSince = new Set<string>();

/**
 * The answer to an address that was asked for before the scripts were there, to whoever asks for it first;
 * undefined where it is to be asked for now.
 */
export function takeEarly(address: string): Promise<Response> | undefined {
  const first = !askedSince.has(address);
  askedSince.add(address);
  const early = globalThis.toileEarly?.[address];
  if (!early) return undefined;
  delete globalThis.toileEarly?.[address];
  if (!first) return undefined;
  return performance.now() < FRESH_MS ? early.response : undefined;
}

/** What was answered already, by address: to be drawn at once. */
export function answeredEarly(): ReadonlyMap<string, { readonly data: unknown }> {
  const all = performance.now() < FRESH_MS ? Object.entries(globalThis.toileEarly ?? {}) : [];
  return new Map(all.flatMap(([address, { data }]) => (data === undefined ? [] : [[address, { data }]])));
}

/**
 * Forgets all of it: whoever signs in next finds nothing of whoever was here, and what is written makes it
 * old.
 */
export function forgetEarly(): void {
  globalThis.toileEarly = undefined;
  askedSince.clear();
}
