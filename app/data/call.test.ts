import { PLAIN_FEATURES } from '@toile/core';
import { visitInputSchema, type ClientInput } from '@toile/contract';
import { ValidationError } from 'yup';
import { errorsByField } from './errorsByField';
import { call, CallError, currentOf, fieldErrors, onSignedOut } from './call';
import { dropDraft, readDraft, writeDraft } from './drafts';

const answer = (status: number, body: unknown): Response =>
  ({
    status,
    ok: status < 400,
    json: () => (body === undefined ? Promise.reject(new Error('no body')) : Promise.resolve(body)),
  }) as Response;
const fetchMock = jest.fn<Promise<Response>, [string, RequestInit]>();
beforeEach(() => {
  fetchMock.mockReset();
  globalThis.fetch = fetchMock as unknown as typeof fetch;
});
const sent = (): { url: string; headers: Record<string, string>; init: RequestInit } => {
  const [url, init] = fetchMock.mock.calls.at(-1)!;
  return { url, init, headers: init.headers as Record<string, string> };
};

const client: ClientInput = {
  id: '7',
  name: 'Ilse Moor',
  phone: '',
  email: '',
  birthYear: null,
  guardianConsent: '',
  sensitivities: [],
  notes: '',
  features: PLAIN_FEATURES,
  measurements: {},
  taps: {},
  likeness: null,
};

test('a read has no key, a write always has one, and an edit says where it starts from', async () => {
  fetchMock.mockResolvedValue(answer(200, { ok: 1 }));
  expect(await call('listClients', { query: { query: 'Zoë' } })).toEqual({ ok: 1 });
  expect(sent().url).toBe('/api/clients?query=Zo%C3%AB');
  expect(sent().headers['idempotency-key']).toBeUndefined();
  await call('updateClient', { params: { id: '7' }, body: client, revision: 3 });
  expect(sent().headers).toMatchObject({
    'if-match': '"3"',
    'content-type': 'application/json',
    'idempotency-key': expect.stringMatching(/^[0-9a-f-]{36}$/),
  });
  await call('createClient', { body: client, idempotencyKey: 'kept' });
  expect(sent().headers['idempotency-key']).toBe('kept');
});

test('a refused write is an error with its words and its fields', async () => {
  fetchMock.mockResolvedValue(
    answer(422, {
      title: 'Some fields need another look.',
      code: 'bad-input',
      fields: [{ path: 'name', message: 'Write a name' }],
    }),
  );
  const error = await call('createClient', { body: client }).catch((e: unknown) => e);
  expect(error).toBeInstanceOf(CallError);
  expect((error as CallError).message).toBe('Some fields need another look.');
  expect(fieldErrors(error)).toEqual({ name: 'Write a name' });
  expect(fieldErrors(new Error('x'))).toEqual({});
});

test('whoever comes second is shown what is there, and only then', async () => {
  fetchMock.mockResolvedValue(
    answer(409, { title: 'Someone else saved.', code: 'stale', current: { name: 'Ilse Tull' } }),
  );
  const error = await call('updateClient', { params: { id: '7' }, body: client, revision: 3 }).catch(
    (e: unknown) => e,
  );
  expect(currentOf('updateClient', error)).toEqual({ name: 'Ilse Tull' });
  fetchMock.mockResolvedValue(
    answer(409, { title: 'Already here.', code: 'already-there', current: { name: 'Ilse Tull' } }),
  );
  const other = await call('createClient', { body: client }).catch((e: unknown) => e);
  expect(currentOf('updateClient', other)).toBeNull();
  expect(currentOf('updateClient', new Error('x'))).toBeNull();
});

test('who is in is asked again where nobody is signed in any more, and only there', async () => {
  const told: string[] = [];
  const end = onSignedOut(() => void told.push('once'));
  const endOther = onSignedOut(() => void told.push('too'));
  const refused = async (status: number, code: string): Promise<void> => {
    fetchMock.mockResolvedValue(answer(status, { title: 'No.', code }));
    await expect(call('kit')).rejects.toThrow('No.');
  };
  for (const [status, code] of [
    [401, 'wrong-sign-in'],
    [403, 'not-allowed'],
    [404, 'not-found'],
  ] as const)
    await refused(status, code);
  expect(told).toEqual([]);
  await refused(401, 'signed-out');
  expect(told).toEqual(['once', 'too']);
  end();
  await refused(401, 'signed-out');
  expect(told).toEqual(['once', 'too', 'too']);
  endOther();
  await refused(401, 'signed-out');
  expect(told).toHaveLength(3);
});

test('no connection and an answer that is none are told as what to do', async () => {
  fetchMock.mockRejectedValue(new TypeError('Failed to fetch'));
  await expect(call('kit')).rejects.toThrow('cannot be reached. Check the connection');
  fetchMock.mockResolvedValue(answer(502, undefined));
  await expect(call('kit')).rejects.toThrow('did not answer');
});

test('nothing comes back from what answers nothing', async () => {
  fetchMock.mockResolvedValue(answer(204, undefined));
  expect(await call('signOut')).toBeUndefined();
});

test('drafts outlive the page, broken ones are none, dropped ones are gone', () => {
  writeDraft('chart.1', { note: 'softer' });
  expect(readDraft('chart.1')).toEqual({ note: 'softer' });
  dropDraft('chart.1');
  expect(readDraft('chart.1')).toBeNull();
  localStorage.setItem('toile.draft.torn', '{"note":');
  expect(readDraft('torn')).toBeNull();
});

test('the first thing wrong with a field is the one told', async () => {
  const error = await visitInputSchema
    .validate({ kind: 'trial', date: '2031-05-14', startsAt: '' }, { abortEarly: false })
    .catch((e: unknown) => e);
  if (!(error instanceof ValidationError)) throw new Error('expected a validation error');
  expect(errorsByField(error)).toMatchObject({ startsAt: 'Choose a time' });
});
