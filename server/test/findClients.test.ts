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

/**
 * The rule without the short way: every name is asked whether it holds what was typed, and how much it
 * resembles.
 */
const asRuled = async (typed: string): Promise<string[]> => {
  const { rows } = await inStudio(server.db, demo.studio.id, (tx) =>
    sql<{ name: string; plain: string; typed: string; likeness: number }>`
      select name, replace(folded, '''', '') as plain, replace(fold(${typed}), '''', '') as typed,
        word_similarity(fold(${typed}), folded)::float8 as likeness from clients`.execute(tx),
  );
  const words = (text: string): string =>
    text
      .split(/[^\p{L}\p{N}]+/u)
      .filter(Boolean)
      .join(' ');
  const holds = (plain: string, part: string): boolean =>
    /[\p{L}\p{N}]{3}/u.test(part)
      ? plain.includes(part)
      : words(part) !== '' && ` ${words(plain)}`.includes(` ${words(part)}`);
  return rows
    .filter((row) => holds(row.plain, row.typed) || row.likeness >= 0.35)
    .map(({ name }) => name)
    .sort();
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
  ['ж', 'Жанна Ли'],
  ['va', 'Zoë van der Berg'],
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

test('names are taken apart as the likeness of letters takes them apart', async () => {
  const names = [...demo.clients.map(({ name }) => name), ...MORE];
  const { rows } = await server.pool.query<{ ours: string[]; theirs: string[] }>(
    `select array(select unnest(threes(fold(name))) order by 1) as ours, array(select unnest(show_trgm(fold(name))) order by 1) as theirs
     from unnest($1::text[]) name`,
    [names],
  );
  expect(rows).toHaveLength(names.length);
  for (const { ours, theirs } of rows) {
    expect(ours).toHaveLength(theirs.length);
    // Beyond ASCII theirs are numbers.
    if (ours.every((three) => /^[ -~]+$/.test(three))) expect(ours).toEqual(theirs);
  }
});

test('who is renamed is found by the new name and not by the old, who is erased by none', async () => {
  const threesOf = (id: string): Promise<string[]> =>
    inStudio(server.db, demo.studio.id, async (tx) =>
      (await tx.selectFrom('name_threes').select('three').where('client_id', '=', id).execute())
        .map(({ three }) => three)
        .sort(),
    );
  const { body } = await artist.get('/api/clients').query({ query: "Ó'Brien" }).expect(200);
  const [one] = body as ClientSummary[];
  expect(await threesOf(one!.id)).toEqual(expect.arrayContaining(['bri', 'obr', '  o', 'sea']));
  await inStudio(server.db, demo.studio.id, (tx) =>
    tx.updateTable('clients').set({ name: 'Tam Li' }).where('id', '=', one!.id).execute(),
  );
  expect(await threesOf(one!.id)).toEqual(['  l', '  t', ' li', ' ta', 'am ', 'li ', 'tam']);
  expect([await found('tam'), await found("o'brien")]).toEqual([['Tam Li'], []]);
  await inStudio(server.db, demo.studio.id, (tx) => sql`select erase_client(${one!.id})`.execute(tx));
  expect([await threesOf(one!.id), await found('tam')]).toEqual([[], []]);
});
