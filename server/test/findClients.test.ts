import * as fc from 'fast-check';
import { sql } from 'kysely';
import { newId, type ClientSummary } from '@toile/contract';
import type { Agent } from 'supertest';
import { inStudio } from '../src/db/connection';
import { demo, keyed, testServer, type TestServer } from './testServer';

const MORE = [
  "Ó'Brien Séamus",
  'Anna-Lena Straße',
  'Æsa Ødegård',
  'Li',
  'Zoë van der Berg',
  'ana',
  'Anaïs',
  'X Æ',
  'Жанна Ли',
];
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
  const { id: _id, ...like } = demo.clients[0]!;
  for (const name of MORE) {
    const { body, status } = await artist.post('/api/clients').set(keyed()).send({
      id: newId(),
      name,
      phone: '',
      email: '',
      birthYear: null,
      guardianConsent: '',
      sensitivities: [],
      notes: '',
      features: like.features,
      measurements: {},
      taps: {},
      likeness: null,
    });
    expect([name, status, body.fields ?? null]).toEqual([name, 201, null]);
  }
}, 60_000);
afterAll(() => server.stop());

const found = async (typed: string): Promise<string[]> =>
  ((await artist.get('/api/clients').query({ query: typed }).expect(200)).body as ClientSummary[])
    .map(({ name }) => name)
    .sort();

/** The rule without the short way: every name is asked how much it resembles. */
const asRuled = async (typed: string): Promise<string[]> => {
  const pattern = `%${typed.replace(/[\\%_]/g, '\\$&')}%`;
  const { rows } = await inStudio(server.db, demo.studio.id, (tx) =>
    sql<{ name: string }>`
      select name from clients
      where replace(folded, '''', '') like replace(fold(${pattern}), '''', '') or word_similarity(fold(${typed}), folded) >= 0.35`.execute(
      tx,
    ),
  );
  return rows.map(({ name }) => name).sort();
};

test.each([
  ['isau', 'Isaura Penhallow'],
  ['ISAVRA', 'Isaura Penhallow'],
  ['penhalow', 'Isaura Penhallow'],
  ['seamus', "Ó'Brien Séamus"],
  ["o'brian", "Ó'Brien Séamus"],
  ['obrien', "Ó'Brien Séamus"],
  ['O’Brien', "Ó'Brien Séamus"],
  ['strasse', 'Anna-Lena Straße'],
  ['odegard', 'Æsa Ødegård'],
  ['zoe berk', 'Zoë van der Berg'],
  ['l', 'Li'],
  ['Жан', 'Жанна Ли'],
  ['жана', 'Жанна Ли'],
])('“%s” finds %s', async (typed, name) => expect(await found(typed)).toContain(name));

test('nothing is found of what resembles nobody, and what means something to a pattern is a letter', async () => {
  expect(await found('qqqqqq')).toEqual([]);
  expect(await found('%')).toEqual([]);
  expect(await found('_')).toEqual([]);
});

test('the short way leaves nobody out and lets nobody in: parts of names, turned letters, words together', async () => {
  const names = [...demo.clients.map(({ name }) => name), ...MORE];
  const typed = fc
    .record({
      name: fc.constantFrom(...names),
      from: fc.nat(8),
      length: fc.integer({ min: 1, max: 14 }),
      at: fc.nat(12),
      turn: fc.constantFrom('', 'e', 'x', ' ', "'", '-', 'é'),
    })
    .map(({ name, from, length, at, turn }) => {
      const part = name.slice(from, from + length);
      return turn === '' ? part : part.slice(0, at) + turn + part.slice(at + 1);
    })
    .filter((text) => text.trim() !== '');

  await fc.assert(
    fc.asyncProperty(typed, async (text) => {
      expect([text, await found(text)]).toEqual([text, await asRuled(text.trim())]);
    }),
    { numRuns: 150 },
  );
}, 60_000);
