type Asked = { readonly request: Request };
type Answered = Asked & { readonly response: Response };

/**
 * What is held already is not fetched again: its tag goes along, and where nothing has changed (304) the
 * answer held is the answer. Only weak tags are of a whole answer; a strong one is the revision of what would
 * be edited.
 */
export const onlyWhatIsNew = (held: (address: string) => Promise<Response | undefined>) => ({
  requestWillFetch: async ({ request }: Asked): Promise<Request> => {
    const tag = (await held(request.url))?.headers.get('etag');
    if (!tag?.startsWith('W/')) return request;
    const headers = new Headers(request.headers);
    headers.set('if-none-match', tag);
    return new Request(request, { headers });
  },
  fetchDidSucceed: async ({ request, response }: Answered): Promise<Response> => {
    if (response.status !== 304) return response;
    // Let go of meanwhile, as when somebody else signs in: asked for whole.
    return (await held(request.url)) ?? fetch(request.url);
  },
});
