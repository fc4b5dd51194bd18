/** @jest-environment @stryker-mutator/jest-runner/jest-env/node */
import { onlyWhatIsNew } from '../offline/onlyWhatIsNew';

const AT = 'http://127.0.0.1/api/kit';
const holding = (etag: string | null, body = 'held') =>
  onlyWhatIsNew((address) =>
    Promise.resolve(address === AT && etag !== null ? new Response(body, { headers: { etag } }) : undefined),
  );
const tagSent = async (etag: string | null): Promise<string | null> => {
  const request = new Request(AT, { headers: { accept: 'application/json' } });
  const sent = await holding(etag).requestWillFetch({ request });
  expect(sent.headers.get('accept')).toBe('application/json');
  return sent.headers.get('if-none-match');
};

test('the tag of what is held goes along, and of nothing else', async () => {
  expect(await tagSent('W/"a1"')).toBe('W/"a1"');
  expect(await tagSent(null)).toBeNull();
  // The revision of what would be edited says nothing of the rest of the answer.
  expect(await tagSent('"7"')).toBeNull();
});

test('where nothing has changed what is held is the answer; what is new is the answer itself', async () => {
  const request = new Request(AT);
  const same = await holding('W/"a1"').fetchDidSucceed({
    request,
    response: new Response(null, { status: 304 }),
  });
  expect([same.status, await same.text()]).toEqual([200, 'held']);
  for (const status of [200, 404, 503]) {
    const response = new Response('new', { status });
    expect(await holding('W/"a1"').fetchDidSucceed({ request, response })).toBe(response);
  }
});

test('what was let go of meanwhile is asked for whole', async () => {
  const fetched = jest.spyOn(globalThis, 'fetch').mockResolvedValue(new Response('whole'));
  const answer = await holding(null).fetchDidSucceed({
    request: new Request(AT, { headers: { 'if-none-match': 'W/"a1"' } }),
    response: new Response(null, { status: 304 }),
  });
  expect(await answer.text()).toBe('whole');
  expect(fetched).toHaveBeenCalledWith(AT);
  fetched.mockRestore();
});
