/** For so long what was read before a write is not shown for a slow network's answer, ms. */
export const AFTER_WRITING_MS = 60_000;

/** Where the outbox sends to. */
const TOLD = /\/(events|log)$|^\/api\/practice$/;

/**
 * Whether sending this changes what is read. What goes through the outbox is shown from the device until it
 * is known to have arrived: nothing has to wait for it.
 */
export const changesWhatIsRead = (method: string, pathname: string): boolean =>
  method !== 'GET' && pathname.startsWith('/api/') && !TOLD.test(pathname);

/** What is remembered of one request on its way, as workbox has it. */
type State = Record<string, unknown>;
type Asked = { readonly request: Request; readonly state?: State };

/**
 * Where the network is slow, what was read before stands in for its answer; but not what was read before
 * something was written here: that would show a change as undone. Without a network it does. `now` tells ms.
 */
export function newerThanWritten(now: () => number = Date.now) {
  let wroteAt = -Infinity;
  const askedAt = new Map<string, number>();
  return {
    /** Something is sent to be written. */
    wrote: (): void => void (wroteAt = now()),
    plugin: {
      requestWillFetch: ({ request, state }: Asked): Promise<Request> => {
        if (state) state.askedAt = now();
        return Promise.resolve(request);
      },
      fetchDidSucceed: ({
        request,
        response,
        state,
      }: Asked & { readonly response: Response }): Promise<Response> => {
        if (typeof state?.askedAt === 'number') askedAt.set(request.url, state.askedAt);
        return Promise.resolve(response);
      },
      fetchDidFail: ({ state }: Asked): Promise<void> => {
        if (state) state.failed = true;
        return Promise.resolve();
      },
      cachedResponseWillBeUsed: ({
        request,
        cachedResponse,
        state,
      }: Asked & { readonly cachedResponse?: Response }): Promise<Response | undefined> => {
        const older = (askedAt.get(request.url) ?? -Infinity) <= wroteAt;
        const waits = older && now() - wroteAt < AFTER_WRITING_MS && state?.failed !== true;
        return Promise.resolve(waits ? undefined : cachedResponse);
      },
    },
  };
}
