import { PLAIN_FEATURES } from '@toile/core';
import { newId, type Problem } from '@toile/contract';
import type { Agent } from 'supertest';
import { isUnkeepable } from '../src/db/connection';
import { unfitPart } from '../src/http/fitInput';
import { demo, keyed, testServer, type TestServer } from './testServer';

// Each layer by itself: behind one that lets something through there is another, which would hide it.
const nested = (levels: number): unknown => {
  let value: unknown = 1;
  for (let i = 0; i < levels; i++) value = { in: value };
  return value;
};

test.each<[string, unknown, string | null]>([
  ['plain words in any script', { name: 'Søla 織 ‮ 👩🏿', list: [1, -2.5, null, true] }, null],
  ['a whole pair of code units', { name: '\ud83d\ude00' }, null],
  ['NUL', { a: [{ name: 'x\u0000y' }] }, 'a[0].name'],
  ['half a pair, the first', { name: '\ud83d' }, 'name'],
  ['half a pair, the second', { name: 'x\ude00' }, 'name'],
  ['NUL in a name of a field', { 'a\u0000': 1 }, ''],
  ['a name of the language', { sub: JSON.parse('{"__proto__":{}}') as unknown }, 'sub'],
  ['another', { constructor: 1 }, ''],
  ['the largest whole number', { n: Number.MAX_SAFE_INTEGER }, null],
  ['one past it', { n: Number.MAX_SAFE_INTEGER + 1 }, 'n'],
  ['as far below', { n: -(2 ** 63) }, 'n'],
  ['a number JSON takes for infinite', JSON.parse('{"n":1e999}'), 'n'],
  ['as deep as may be', nested(40), null],
  ['one deeper', nested(41), Array.from({ length: 40 }, () => 'in').join('.')],
])('%s', (_, body, path) => expect(unfitPart(body)?.path ?? null).toBe(path));

test('however deep, it is looked at without a stack', () =>
  expect(unfitPart(JSON.parse(`${'['.repeat(100_000)}${']'.repeat(100_000)}`))?.message).toContain('levels'));

test.each([
  ['22003', true],
  ['22021', true],
  ['23502', true],
  ['23503', true],
  ['23514', true],
  ['23505', false],
  ['42P01', false],
  ['57014', false],
  ['2200', false],
])('SQLSTATE %s is the sender’s to mend: %p', (code, sender) =>
  expect(isUnkeepable(Object.assign(new Error('x'), { code }))).toBe(sender),
);

describe('at the door', () => {
  let server: TestServer;
  let artist: Agent;
  beforeAll(async () => {
    server = await testServer();
    artist = await server.signedIn('artist');
  });
  afterAll(() => server.stop());
  const send = async (more: object): Promise<Problem> =>
    (
      await artist
        .post('/api/clients')
        .set(keyed())
        .send({ id: newId(), name: 'Ilse Moor', features: PLAIN_FEATURES, measurements: {}, ...more })
        .expect(422)
    ).body as Problem;

  test('what cannot be kept is told beside its field', async () => {
    expect((await send({ notes: 'a\u0000b' })).fields?.map(({ path }) => path)).toEqual(['notes']);
    expect((await send({ birthYear: 2 ** 60 })).fields?.map(({ path }) => path)).toEqual(['birthYear']);
  });

  test('what a schema stumbles over is the sender’s to mend', async () => {
    const product = { ...demo.products[0]!, id: newId(), maker: [[[[]]]] };
    const answer = await artist.post('/api/products').set(keyed()).send(product).expect(422);
    expect((answer.body as Problem).code).toBe('bad-input');
  });

  test('a question behind the ? too', async () => {
    await artist.get('/api/clients?query=%00').expect(422);
    await artist.get('/api/clients?query=Isaura').expect(200);
  });

  test('an answer does not grow with what was sent', async () => {
    const long = await send({ ['x'.repeat(50_000)]: 1 });
    expect(JSON.stringify(long).length).toBeLessThan(2000);
    const many = Object.fromEntries(Array.from({ length: 500 }, (_, i) => [`field${i}`, 1]));
    expect(JSON.stringify(await send(many)).length).toBeLessThan(30_000);
  });
});
