import { readLook, readZip, writeLook, writeZip, zipText, type Look } from '@toile/core';
import {
  newId,
  type ImportLooksAnswer,
  type LookAnswer,
  type LookSummary,
  type Problem,
} from '@toile/contract';
import type { Agent } from 'supertest';
import { asBytes, demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const bytes = (agent: Agent, url: string) => asBytes(agent.get(url));
const library = async (agent: Agent): Promise<{ name: string; text: string }[]> => {
  const { body, headers } = await bytes(agent, '/api/looks/export');
  expect(headers['content-type']).toBe('application/zip');
  const read = readZip(new Uint8Array(body as Buffer), { files: 100, bytes: 10_000_000 });
  if (!read.ok) throw new Error(read.message);
  return [...read.files].map(([name, file]) => ({ name, text: zipText(file) }));
};
const importLooks = (agent: Agent, files: readonly { name: string; text: string }[]) =>
  agent.post('/api/looks/import').set(keyed()).send({ files });
const look = (agent: Agent, id: string): Promise<LookAnswer> =>
  agent
    .get(`/api/looks/${id}`)
    .expect(200)
    .then((res) => res.body as LookAnswer);

test('the library is a zip of look files, and brought in where it came from nothing changes', async () => {
  const files = await library(artist);
  expect(files.map(({ text }) => (JSON.parse(text) as Look).name).sort()).toEqual(
    demo.looks.map((l) => l.name).sort(),
  );
  for (const { text } of files) expect(readLook(text).ok).toBe(true);
  const { body } = await importLooks(artist, files).expect(201);
  expect(body as ImportLooksAnswer).toEqual({ taken: [], same: demo.looks.length });
});

test('another studio takes them in, and its own library is the same', async () => {
  const stranger = await server.signedIn('stranger');
  const files = await library(artist);
  const before = (await stranger.get('/api/looks')).body as LookSummary[];
  const { body } = await importLooks(stranger, files).expect(201);
  expect((body as ImportLooksAnswer).taken).toHaveLength(files.length);
  const after = (await stranger.get('/api/looks')).body as LookSummary[];
  expect(after).toHaveLength(before.length + files.length);
  const theirs = await look(stranger, demo.looks[0]!.id);
  expect(theirs.look.steps).toEqual(demo.looks[0]!.steps);
  expect(theirs.look.reason).toMatch(/^From a file/);
});

test('one that is here otherwise gets the file as its next version; what was stays', async () => {
  const own = demo.looks[1]!;
  const changed = { ...own, name: 'Lamplight, calmer', steps: own.steps.slice(0, -1) };
  const { body } = await importLooks(artist, [{ name: 'a.json', text: writeLook(changed) }]).expect(201);
  expect(body).toEqual({ taken: [{ id: own.id, name: 'Lamplight, calmer', version: 2 }], same: 0 });
  const now = await look(artist, own.id);
  expect(now.versions.map((v) => v.version)).toEqual([2, 1]);
  expect(now.look).toMatchObject({ version: 2, parent: 1, author: 'Teodor Marsh' });
  const first = (await artist.get(`/api/looks/${own.id}?version=1`)).body as LookAnswer;
  expect(first.look.steps).toEqual(own.steps);
});

test('ten hands bringing in one new look at once make one version of it', async () => {
  const fresh = { ...demo.looks[2]!, id: newId() };
  const answers = await Promise.all(
    Array.from({ length: 10 }, () => importLooks(artist, [{ name: 'a.json', text: writeLook(fresh) }])),
  );
  const all = answers.map((a) => a.body as ImportLooksAnswer);
  expect(answers.map((a) => a.status)).toEqual(Array.from({ length: 10 }, () => 201));
  expect(all.filter((a) => a.taken.length === 1)).toHaveLength(1);
  expect((await look(artist, fresh.id)).versions).toHaveLength(1);
});

test('one bad file among good ones takes none in, and says which, where and what', async () => {
  const good = { ...demo.looks[3]!, id: newId() };
  const bad = { ...demo.looks[4]!, id: newId(), steps: [{ ...demo.looks[4]!.steps[0]!, tool: 'trowel' }] };
  const answer = await importLooks(artist, [
    { name: 'looks/good.json', text: writeLook(good) },
    { name: 'looks/bad.json', text: JSON.stringify(bad, null, 2) },
    { name: 'looks/none.json', text: '{"format":' },
  ]);
  expect(answer.status).toBe(422);
  const { code, fields = [] } = answer.body as Problem;
  expect(code).toBe('bad-file');
  expect(fields.map((f) => f.path)).toEqual(
    expect.arrayContaining(['looks/bad.json/steps/0/tool', 'looks/none.json']),
  );
  expect(fields.find((f) => f.path.endsWith('tool'))!.line).toBeGreaterThan(1);
  await artist.get(`/api/looks/${good.id}`).expect(404);
});

test('the same look in two files, no file, and too many are refused', async () => {
  const text = writeLook({ ...demo.looks[0]!, id: newId() });
  for (const files of [
    [
      { name: 'a.json', text },
      { name: 'b.json', text },
    ],
    [],
    Array.from({ length: 501 }, (_, i) => ({ name: `${i}.json`, text: '{}' })),
  ])
    expect((await importLooks(artist, files)).status).toBe(422);
});

test('a retired look is told as that, stays readable, and comes back', async () => {
  const { id } = demo.looks[5]!;
  const retire = (retired: boolean) =>
    artist.post(`/api/looks/${id}/retirements`).set(keyed()).send({ retired }).expect(200);
  const listed = async () =>
    ((await artist.get('/api/looks')).body as LookSummary[]).find((l) => l.id === id)!.retired;
  expect(await listed()).toBe(false);
  await retire(true);
  await retire(true);
  expect([await listed(), (await look(artist, id)).retired]).toEqual([true, true]);
  await retire(false);
  expect([await listed(), (await look(artist, id)).retired]).toEqual([false, false]);
});

test('one look is a file by its name, as it was written', async () => {
  const { text, headers } = await artist.get(`/api/looks/${demo.looks[0]!.id}/export`).expect(200);
  expect(headers['content-disposition']).toMatch(/filename="harbour-morning-[0-9a-f]{8}\.json"/);
  expect(JSON.parse(text)).toEqual(demo.looks[0]);
  const packed = writeZip(new Map([['a.json', text]]));
  expect(packed.length).toBeLessThan(text.length);
});
