import {
  LANDMARKS,
  landmarksOf,
  PLAIN_FEATURES,
  TAPPED_LANDMARKS,
  TEMPLATE,
  type Chart,
  type Taps,
} from '@toile/core';
import { newId, type ChartAnswer, type ClientAnswer, type LookAnswer, type Problem } from '@toile/contract';
import { demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Awaited<ReturnType<TestServer['signedIn']>>;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const taps: Taps = Object.fromEntries(
  TAPPED_LANDMARKS.map((name) => [
    name,
    [Math.round(TEMPLATE[name][0] * 103) / 100, Math.round(TEMPLATE[name][1] * 97) / 100],
  ]),
);
const client = (more: object = {}) => ({
  id: newId(),
  name: 'Ilse Moor',
  features: PLAIN_FEATURES,
  measurements: {},
  ...more,
});
const chartOf = (name: string): Chart => demo.charts.filter((c) => c.client.name === name).at(-1)!;
const print = (query: string) => artist.get(`/api/charts/${chartOf('Isaura Penhallow').id}/print?${query}`);

describe('a traced face', () => {
  test('taps and the face started from come back as they were sent, and the drawing with them', async () => {
    const likeness = landmarksOf({ measurements: { faceLength: 196 } });
    const made = (await artist.post('/api/clients').set(keyed()).send(client({ taps, likeness })).expect(201))
      .body as ClientAnswer;
    expect(made.taps).toEqual(taps);
    expect(made.likeness).toEqual(JSON.parse(JSON.stringify(likeness)));
    const read = (await artist.get(`/api/clients/${made.id}`).expect(200)).body as ClientAnswer;
    const drawn = landmarksOf({ measurements: {}, taps, likeness });
    for (const name of LANDMARKS)
      for (const axis of [0, 1] as const)
        expect(landmarksOf(read)[name][axis]).toBeCloseTo(drawn[name][axis], 6);
  });

  test('a client without taps has none', async () => {
    const made = (await artist.post('/api/clients').set(keyed()).send(client()).expect(201))
      .body as ClientAnswer;
    expect(made).toMatchObject({ taps: {}, likeness: null });
  });

  test('swapped sides are refused by field, and nothing is written', async () => {
    const swapped = { ...taps, zygion_left: taps.zygion_right, zygion_right: taps.zygion_left };
    const body = client({ taps: swapped });
    const problem = (await artist.post('/api/clients').set(keyed()).send(body).expect(422)).body as Problem;
    expect(problem.fields).toEqual([{ path: 'taps', message: expect.stringContaining('crossed') as string }]);
    await artist.get(`/api/clients/${body.id}`).expect(404);
    const strange = (
      await artist
        .post('/api/clients')
        .set(keyed())
        .send(client({ taps: { elbow: [1, 2] } }))
        .expect(422)
    ).body as Problem;
    expect(strange.fields?.[0]?.path).toContain('taps');
  });
});

describe('looks in versions', () => {
  test('each version can be seen again, newest first', async () => {
    const look = demo.looks[1]!;
    const next = {
      ...look,
      version: look.version + 1,
      parent: look.version,
      reason: 'No lashes',
      forbids: { finishes: [], kinds: ['lashes'] },
    };
    const kept = (await artist.post('/api/looks').set(keyed()).send({ look: next }).expect(201))
      .body as LookAnswer;
    expect(kept.versions.map((v) => [v.version, v.reason])).toEqual([
      [look.version + 1, 'No lashes'],
      [look.version, look.reason],
    ]);
    const older = (await artist.get(`/api/looks/${look.id}?version=${look.version}`).expect(200))
      .body as LookAnswer;
    expect(older.look.forbids).toEqual(look.forbids);
    await artist.get(`/api/looks/${look.id}?version=99`).expect(404);
  });
});

describe('a chart drawn by hand', () => {
  test('strokes and what was wiped off come back identical', async () => {
    const newest = (await artist.get(`/api/charts/${chartOf('Morwenna Penhallow').id}`).expect(200))
      .body as ChartAnswer;
    const square: [number, number][] = [
      [40.25, 20.5],
      [46, 20.5],
      [46, 26.01],
    ];
    const placements = [
      {
        outline: square,
        featherMm: 2.4,
        side: 'both' as const,
        stroke: [[41, 21, 1.6] as const, [45, 25, 1.6] as const],
        without: [square],
      },
      { guide: 'lashes' as const, side: 'left' as const, params: { outerMm: 13, reach: 90 } },
    ];
    const chart: Chart = {
      ...newest.chart,
      steps: newest.chart.steps.map((s, i) =>
        i === newest.chart.steps.length - 1 ? { ...s, placements } : s,
      ),
    };
    const saved = (
      await artist
        .post(`/api/charts/${chart.id}/versions`)
        .set(keyed())
        .send({ parent: newest.chart.version, reason: 'By hand', chart })
        .expect(201)
    ).body as ChartAnswer;
    expect(saved.chart.steps.at(-1)!.placements).toEqual(placements);
    const wild = {
      ...chart,
      steps: chart.steps.map((s) => ({
        ...s,
        placements: [{ guide: 'cheekContour' as const, side: 'both' as const, params: { liftMm: 400 } }],
      })),
    };
    const problem = (
      await artist
        .post(`/api/charts/${chart.id}/versions`)
        .set(keyed())
        .send({ parent: saved.chart.version, reason: '', chart: wild })
        .expect(422)
    ).body as Problem;
    expect(problem.fields?.[0]?.path).toContain('steps');
  });
});

describe('print', () => {
  test.each(['a4', 'letter', 'phone'])(
    'a chart is one PDF page on %s with its fonts in it',
    async (paper) => {
      const { body, headers } = await print(`as=pdf&paper=${paper}`).buffer(true).expect(200);
      expect(headers['content-type']).toContain('application/pdf');
      const text = (body as Buffer).toString('latin1');
      expect(text.startsWith('%PDF-')).toBe(true);
      expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
      expect(text).toMatch(/\/FontFile2/);
    },
  );

  test('the SVG carries fonts, name, steps and amounts; contact and cautions are not there unless asked for', async () => {
    const chart = chartOf('Isaura Penhallow');
    const { body, headers } = await print('as=svg&colour=no').buffer(true).expect(200);
    expect(headers['content-type']).toContain('image/svg+xml');
    const svg = (body as Buffer).toString('utf8');
    expect(svg).toContain('@font-face');
    expect(svg).toContain('Isaura Penhallow');
    for (const step of chart.steps.filter((s) => s.variant === undefined))
      expect(svg).toContain(step.title.split(' ')[0]!);
    expect(svg).toMatch(/swipe|pump/);
    const person = demo.clients.find((c) => c.name === 'Isaura Penhallow')!;
    if (person.phone) expect(svg).not.toContain(person.phone);
    expect(svg).not.toContain('Mind:');
    if (chart.client.sensitivities.length > 0)
      expect(((await print('as=svg&cautions=yes').buffer(true)).body as Buffer).toString()).toContain(
        'Mind:',
      );
  });

  test('an unknown paper or form is told by its field', async () => {
    expect(((await print('paper=a3').expect(422)).body as Problem).fields).toEqual([
      { path: 'paper', message: 'one of a4, letter, phone' },
    ]);
    expect(((await print('as=gif').expect(422)).body as Problem).fields).toEqual([
      { path: 'as', message: 'pdf or svg' },
    ]);
  });
});
