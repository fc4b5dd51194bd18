import {
  guessMapping,
  readKitCsv,
  shelfLife,
  type Kit,
  type Palette,
  type Product,
  type Step,
  type Unit,
} from '@toile/core';
import {
  newId,
  type ChartSummary,
  type KitAnswer,
  type LedgerAnswer,
  type PaletteAnswer,
} from '@toile/contract';
import type { Agent } from 'supertest';
import { chartSummariesOfRows, chartSummariesQuery, summaryOf } from '../src/charts/queries';
import { inStudio } from '../src/db/connection';
import { together } from '../src/db/together';
import { wholeKit, wholeKitText } from '../src/kit/queries';
import { openedUnitsQuery } from '../src/today/openedUnits';
import { demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const kitNow = async (): Promise<KitAnswer> => (await artist.get('/api/kit').expect(200)).body;
const post = (path: string, body: object) => artist.post(path).set(keyed()).send(body);
const put = (path: string, revision: number, body: object) =>
  artist
    .put(path)
    .set({ ...keyed(), 'if-match': `"${revision}"` })
    .send(body);
const fresh = (more: Partial<Product> = {}): Product => ({
  ...demo.products[0]!,
  id: newId(),
  shade: `New ${newId().slice(-6)}`,
  ...more,
});

describe('what the database puts together by itself', () => {
  const whole = () => inStudio(server.db, demo.studio.id, wholeKit);
  test('is the kit as it is read, row by row; of another studio nothing is in it', async () => {
    expect(await kitNow()).toEqual(await whole());
    const stranger = await server.signedIn('stranger');
    const theirs: KitAnswer = (await stranger.get('/api/kit').expect(200)).body;
    const ours = new Set((await kitNow()).products.map(({ id }) => id));
    expect(theirs.products.filter(({ id }) => ours.has(id))).toEqual([]);
  });

  test('counts what is opened as it is counted unit by unit', async () => {
    const { products, units } = await whole();
    const states = (today: string): string[] =>
      units.flatMap((unit) => {
        const product = products.find(({ id }) => id === unit.productId);
        return product && unit.openedOn !== null ? [shelfLife(unit, product, today).state] : [];
      });
    const { opened } = await inStudio(server.db, demo.studio.id, (tx) =>
      together(tx, { opened: openedUnitsQuery() }),
    );
    for (const today of ['2031-05-14', '2032-01-01', '2040-01-01'])
      for (const state of ['good', 'soon', 'past'])
        expect(
          opened.reduce(
            (sum, one) => (shelfLife(one, one, today).state === state ? sum + one.units : sum),
            0,
          ),
        ).toBe(states(today).filter((one) => one === state).length);
    expect(opened.length).toBeGreaterThan(3);
  });

  test('tells a client’s charts as their documents do', async () => {
    const clients = [...new Set(demo.charts.map((chart) => chart.client.id))];
    expect(clients.length).toBeGreaterThan(5);
    for (const id of clients) {
      const newest = new Map(
        demo.charts
          .filter((chart) => chart.client.id === id)
          .sort((a, b) => a.version - b.version)
          .map((chart) => [chart.id, chart]),
      );
      const told = await inStudio(server.db, demo.studio.id, async (tx) =>
        chartSummariesOfRows((await together(tx, { charts: chartSummariesQuery(id) })).charts),
      );
      const byId = (a: ChartSummary, b: ChartSummary): number => a.id.localeCompare(b.id);
      expect([...told].sort(byId)).toEqual([...newest.values()].map(summaryOf).sort(byId));
    }
  });

  test('of an empty kit it is an empty kit', async () => {
    const empty = newId();
    const kit: unknown = JSON.parse(await inStudio(server.db, empty, wholeKitText));
    expect(kit).toEqual({ products: [], units: [], revisions: {} });
  });
});

describe('products and units', () => {
  test('a product is added, changed from its revision, and a stale change shows both', async () => {
    const product = fresh();
    await post('/api/products', product).expect(201);
    expect((await kitNow()).revisions[product.id]).toBe(1);
    const changed = { ...product, withdrawn: true };
    expect((await put(`/api/products/${product.id}`, 1, changed).expect(200)).headers.etag).toBe('"2"');
    const { body } = await put(`/api/products/${product.id}`, 1, { ...product, shade: 'Mine' }).expect(409);
    expect(body).toMatchObject({ code: 'stale', current: { withdrawn: true }, yours: { shade: 'Mine' } });
  });

  test('bad fields are named; a product twice is refused', async () => {
    const { body } = await post(
      '/api/products',
      fresh({ maker: ' ', lab: [120, 0, 0], mgPerMeasure: -3 }),
    ).expect(422);
    expect(
      Object.fromEntries(body.fields.map((f: { path: string; message: string }) => [f.path, f.message])),
    ).toEqual({
      maker: 'Write the maker',
      lab: '120 / 0 / 0 is no colour of a base: one has L* 8 to 97 and a chroma of at most 60. Read the swatch again.',
      mgPerMeasure: 'More than 0 mg',
    });
    const product = fresh();
    await post('/api/products', product).expect(201);
    await post('/api/products', product).expect(409);
  });

  test('a colour its kind cannot have is refused with what is possible; what a day asks of a product is kept', async () => {
    const { body } = await post('/api/products', fresh({ kind: 'base', lab: [60, 70, 0] })).expect(422);
    expect(body.fields).toEqual([
      {
        path: 'lab',
        message:
          '60 / 70 / 0 is no colour of a base: one has L* 8 to 97 and a chroma of at most 60. Read the swatch again.',
      },
    ]);
    const worn = { wearHours: 14, waterproof: true, transferProof: false, smallestShare: 0.5 } as const;
    const product = fresh({ kind: 'base', lab: [60, 12, 18], ...worn });
    await post('/api/products', product).expect(201);
    expect((await kitNow()).products.find((p) => p.id === product.id)).toMatchObject(worn);
  });

  test('to whoever holds it as it is it is not given again; any write of it, the chair’s too, makes it another', async () => {
    const tagNow = async (): Promise<string> => (await artist.get('/api/kit').expect(200)).headers.etag!;
    const changed = async (tag: string): Promise<boolean> => {
      const { status, text, headers } = await artist.get('/api/kit').set('if-none-match', tag);
      expect([200, 304]).toContain(status);
      expect(status === 304 ? text : '').toBe('');
      if (status === 304) expect(headers.etag).toBe(tag);
      return status === 200;
    };
    const first = await tagNow();
    expect(first).toMatch(/^W\/"/);
    expect(await changed(first)).toBe(false);
    expect(await changed('W/"another"')).toBe(true);
    // So a browser's own fetch sends a tag.
    const asFetched = { 'if-none-match': first, 'cache-control': 'no-cache', pragma: 'no-cache' };
    await artist.get('/api/kit').set(asFetched).expect(304);

    const product = fresh();
    await post('/api/products', product).expect(201);
    const second = await tagNow();
    expect(await changed(first)).toBe(true);
    await put(`/api/products/${product.id}`, 1, { ...product, withdrawn: true }).expect(200);
    expect(await changed(second)).toBe(true);

    // What a count takes writes no revision: the tag knows all the same.
    const third = await tagNow();
    const unit = demo.units[4]!;
    await post(`/api/units/${unit.id}/counts`, { id: newId(), remainingMg: 7 }).expect(201);
    expect(await changed(third)).toBe(true);
    const answer = await artist.get('/api/kit').set('if-none-match', third);
    expect((answer.body as KitAnswer).units.find(({ id }) => id === unit.id)!.remainingMg).toBe(7);

    // A studio’s tag is not its neighbour’s, and the kit of nobody signed in is nobody’s.
    const stranger = await server.signedIn('stranger');
    await stranger
      .get('/api/kit')
      .set('if-none-match', await tagNow())
      .expect(200);
    expect(
      (
        await server
          .agent()
          .get('/api/kit')
          .set('if-none-match', await tagNow())
      ).status,
    ).toBe(401);
  });

  test('what is asked for again and is the same is not sent again; a revision alone says nothing of the rest', async () => {
    const path = `/api/clients/${demo.clients[0]!.id}`;
    const { headers } = await artist.get(path).expect(200);
    expect(headers.etag).toMatch(/^"\d+"$/);
    await artist.get(path).set('if-none-match', headers.etag!).expect(200);
    const today = await artist.get('/api/today').expect(200);
    await artist
      .get('/api/today')
      .set({ 'if-none-match': today.headers.etag!, 'cache-control': 'no-cache' })
      .expect(304);
    await artist.get('/api/today').set('if-none-match', 'W/"5-other"').expect(200);
  });

  test('an assistant may count what is left but not change the kit', async () => {
    const assistant = await server.signedIn('assistant');
    await assistant.post('/api/products').set(keyed()).send(fresh()).expect(403);
    const unit = demo.units[3]!;
    await assistant
      .post(`/api/units/${unit.id}/counts`)
      .set(keyed())
      .send({ id: newId(), remainingMg: 12, note: 'weighed' })
      .expect(201);
    const { body } = await assistant.get(`/api/units/${unit.id}/ledger`).expect(200);
    expect(body).toMatchObject({
      remainingMg: 12,
      entries: [{ reason: 'count', note: 'weighed', by: 'Wilhelmina Fry', mg: 12 - unit.remainingMg }],
    });
  });

  test('a unit’s amount moves by the ledger alone', async () => {
    const product = fresh();
    await post('/api/products', product).expect(201);
    const unit: Unit = {
      id: newId(),
      productId: product.id,
      openedOn: null,
      remainingMg: 5000,
      place: 'case 2',
    };
    await post('/api/units', unit).expect(201);
    await put(`/api/units/${unit.id}`, 1, { ...unit, openedOn: '2031-05-01', remainingMg: 1 }).expect(200);
    const kept = (await kitNow()).units.find((u) => u.id === unit.id)!;
    expect(kept).toMatchObject({ openedOn: '2031-05-01', remainingMg: 5000 });
    const ledger: LedgerAnswer = (await artist.get(`/api/units/${unit.id}/ledger`)).body;
    expect(ledger.entries).toMatchObject([{ reason: 'bought', mg: 5000 }]);
    await post(`/api/units/${unit.id}/counts`, { id: newId(), remainingMg: -1 }).expect(422);
    await put(`/api/units/${unit.id}`, 2, { ...unit, openedOn: '2031-13-45' }).expect(422);
    await put(`/api/units/${unit.id}`, 2, { ...unit, productId: demo.products[0]!.id }).expect(422);
  });
});

describe('the ledger follows the chair', () => {
  const chart = demo.charts[0]!;
  const step = chart.steps.find((s): s is Step => s.use.some((u) => u.unitId !== null))!;
  const used = step.use.find((u) => u.unitId !== null)!;
  const planned = used.parts * used.product.mgPerMeasure;
  const event = (kind: string, more: object = {}) =>
    post(`/api/charts/${chart.id}/events`, {
      id: newId(),
      version: chart.version,
      stepId: step.id,
      kind,
      at: '2031-05-14T10:00:00Z',
      ...more,
    });
  const left = async (): Promise<number> =>
    (await kitNow()).units.find((u) => u.id === used.unitId)!.remainingMg;

  test('done takes, a larger amount takes the rest, undone gives back, once each', async () => {
    const before = await left();
    await event('done').expect(201);
    expect(await left()).toBeCloseTo(before - planned, 6);
    const measures = 3 * step.use.reduce((sum, u) => sum + u.parts, 0);
    await event('deviation', { deviation: { kind: 'amount', measures, note: '' } }).expect(201);
    expect(await left()).toBeCloseTo(Math.max(0, before - 3 * planned), 6);
    await event('undone').expect(201);
    expect(await left()).toBeCloseTo(before, 6);
    const { entries }: LedgerAnswer = (await artist.get(`/api/units/${used.unitId}/ledger`)).body;
    expect(entries.filter((e) => e.reason === 'chart').reduce((sum, e) => sum + e.mg, 0)).toBeCloseTo(0, 6);
    expect(entries[0]).toMatchObject({ chartId: chart.id, note: `${chart.client.name}, ${step.title}` });
  });

  test('a repeated send takes nothing twice', async () => {
    const before = await left();
    const key = keyed();
    const body = {
      id: newId(),
      version: chart.version,
      stepId: step.id,
      kind: 'done',
      at: '2031-05-14T11:00:00Z',
    };
    for (let i = 0; i < 3; i++)
      await artist.post(`/api/charts/${chart.id}/events`).set(key).send(body).expect(201);
    // The larger amount noted before still stands.
    expect(await left()).toBeCloseTo(before - 3 * planned, 6);
  });
});

describe('files', () => {
  const head = 'maker,line,shade,kind,L*,a*,b*,opened on,remaining mg,place';
  const mapping = Object.fromEntries(head.split(',').map((h) => [h, h]));

  test('a file with wrong rows changes nothing unless they are left out on purpose', async () => {
    const before = await kitNow();
    const text = [
      head,
      'Ordway,File,F1,base,60,12,18,2031-04-01,900,case 9',
      'Ordway,File,F2,bass,60,12,18,,,',
      'Ordway,File,F3,base,200,12,18,,,',
      'Ordway,File,F1,base,60,12,18,,400,case 8',
    ].join('\n');
    const { body } = await post('/api/kit/import', { text, mapping }).expect(422);
    expect(body).toMatchObject({
      code: 'bad-file',
      fields: [
        { path: 'kind', line: 3 },
        { path: 'L*', line: 4 },
      ],
    });
    expect(await kitNow()).toEqual(before);
    const { body: taken } = await post('/api/kit/import', { text, mapping, leaveOutWrong: true }).expect(201);
    expect(taken).toEqual({ products: 1, units: 2, leftOut: 2 });
    const after = await kitNow();
    const added = after.products.filter((p) => p.line === 'File');
    expect(added.map((p) => p.shade)).toEqual(['F1']);
    expect(
      after.units
        .filter((u) => u.productId === added[0]!.id)
        .map((u) => u.place)
        .sort(),
    ).toEqual(['case 8', 'case 9']);
  });

  test('of a quantity so many units come in, each by itself; none of what is not owned', async () => {
    const text = 'maker,line,shade,kind,qty,size\nOrdway,Several,S1,base,3,15 ml\nOrdway,Several,S2,base,0,';
    const { body } = await post('/api/kit/import', {
      text,
      mapping: guessMapping(text.split('\n')[0]!.split(',')),
    });
    expect(body).toEqual({ products: 2, units: 3, leftOut: 0 });
    const kit = await kitNow();
    const ids = new Set(kit.products.filter((p) => p.line === 'Several').map((p) => p.id));
    const units = kit.units.filter((u) => ids.has(u.productId));
    expect(units.map((u) => u.remainingMg)).toEqual([15_000, 15_000, 15_000]);
    expect(new Set(units.map((u) => u.id)).size).toBe(3);
  });

  test('ten thousand rows land', async () => {
    const text = [
      head,
      ...Array.from({ length: 10_000 }, (_, i) => `Ordway,Many,M${i},base,60,12,18,,100,store`),
    ].join('\n');
    const stranger = await server.signedIn('stranger');
    const { body } = await stranger.post('/api/kit/import').set(keyed()).send({ text, mapping }).expect(201);
    expect(body).toEqual({ products: 10_000, units: 10_000, leftOut: 0 });
  });

  test('what is exported is read back as the same kit', async () => {
    const kit = await kitNow();
    const { text, headers } = await artist.get('/api/kit/export?as=csv').expect(200);
    expect(headers['content-disposition']).toContain('kit.csv');
    const { rows } = readKitCsv(text);
    const names = (k: Pick<Kit, 'products'>) => k.products.map((p) => `${p.line} ${p.shade}`).sort();
    expect([...new Set(rows.map((r) => `${r.product!.line} ${r.product!.shade}`))].sort()).toEqual(
      [...new Set(names(kit))].sort(),
    );
    expect(rows.filter((r) => r.unit)).toHaveLength(kit.units.length);
    const gpl = (await artist.get('/api/kit/export?as=gpl').expect(200)).text.split('\n');
    expect(gpl[0]).toBe('GIMP Palette');
    expect(gpl.length).toBeGreaterThan(kit.products.filter((p) => p.lab).length);
  });

  test('a mapping that names no column and a text that is none are refused', async () => {
    await post('/api/kit/import', { text: 'a,b\n1,2', mapping: { nonsense: 'a' } }).expect(422);
    const { body } = await post('/api/kit/import', { text: 'a,b\n1,2', mapping: {} }).expect(422);
    expect(body.fields[0].message).toMatch(/Say which column holds/);
  });
});

describe('palettes', () => {
  const palettes = async (): Promise<PaletteAnswer[]> => (await artist.get('/api/palettes').expect(200)).body;

  test('a palette is added, rearranged from its revision, and never with two pans in a place', async () => {
    const palette: Palette = {
      id: newId(),
      name: 'Mine',
      rows: 2,
      columns: 2,
      pans: [{ row: 0, column: 0, productId: demo.products[0]!.id }],
    };
    await post('/api/palettes', { palette }).expect(201);
    await put(`/api/palettes/${palette.id}`, 1, {
      palette: { ...palette, pans: [{ ...palette.pans[0]!, row: 1 }] },
    }).expect(200);
    expect((await palettes()).find((p) => p.palette.id === palette.id)).toMatchObject({
      revision: 2,
      palette: { pans: [{ row: 1 }] },
    });
    await put(`/api/palettes/${palette.id}`, 1, { palette }).expect(409);
    const doubled = {
      ...palette,
      pans: [palette.pans[0]!, { ...palette.pans[0]!, productId: demo.products[1]!.id }],
    };
    const { body } = await put(`/api/palettes/${palette.id}`, 2, { palette: doubled }).expect(422);
    expect(body.fields[0].message).toMatch(/A1 holds two pans/);
    const foreign = { ...palette, id: newId(), pans: [{ row: 0, column: 0, productId: newId() }] };
    await post('/api/palettes', { palette: foreign }).expect(422);
    await post('/api/palettes', { palette: { ...palette, rows: 99 } }).expect(422);
  });

  test('labels are a PDF with embedded fonts', async () => {
    const { body, headers } = await artist
      .get(`/api/palettes/${demo.palettes![0]!.id}/labels`)
      .buffer(true)
      .expect(200);
    expect(headers['content-type']).toContain('application/pdf');
    const text = Buffer.from(body).toString('latin1');
    expect(text.startsWith('%PDF')).toBe(true);
    expect(text).toContain('/FontFile2');
  });

  test('the stand-in reads a pan near its product’s colour, and no empty place', async () => {
    const palette = demo.palettes![1]!;
    const pan = palette.pans[0]!;
    const { body } = await artist
      .post('/api/reader/samples')
      .send({ pan: { paletteId: palette.id, row: pan.row, column: pan.column } })
      .expect(200);
    const lab = demo.products.find((p) => p.id === pan.productId)!.lab!;
    expect(Math.hypot(...lab.map((v, i) => v - body.lab[i]))).toBeLessThan(6);
    await artist
      .post('/api/reader/samples')
      .send({ pan: { paletteId: palette.id, row: 11, column: 11 } })
      .expect(404);
    await artist.post('/api/reader/samples').send({}).expect(422);
  });
});

describe('substitutes', () => {
  test('uses are found in newest versions; a substitute makes a new version of each chart, all or none', async () => {
    const chart = demo.charts.find(
      (c) => c.version === 1 && !demo.charts.some((d) => d.id === c.id && d.version > 1),
    )!;
    const step = chart.steps.find((s) => s.role === 'lip' && s.use.length === 1)!;
    const gone = step.use[0]!.product;
    const uses = (await artist.get(`/api/products/${gone.id}/uses`).expect(200)).body.charts as {
      id: string;
      version: number;
    }[];
    expect(uses.map((c) => c.id)).toContain(chart.id);
    const unit = demo.units.find(
      (u) => demo.products.find((p) => p.id === u.productId)!.kind === gone.kind && u.productId !== gone.id,
    )!;
    const parts = [{ productId: unit.productId, unitId: unit.id, pumps: 1 }];
    const unknown = await post(`/api/products/${gone.id}/substitutions`, {
      chartIds: [chart.id, newId()],
      parts,
    }).expect(404);
    expect(unknown.body.code).toBe('not-found');
    expect((await artist.get(`/api/charts/${chart.id}`)).body.chart.version).toBe(1);
    const { body } = await post(`/api/products/${gone.id}/substitutions`, {
      chartIds: uses.map((c) => c.id),
      parts,
    }).expect(201);
    expect(body.changed).toHaveLength(uses.length);
    const after = (await artist.get(`/api/charts/${chart.id}`)).body.chart;
    expect(after).toMatchObject({ version: 2, parent: 1 });
    expect(after.reason).toMatch(/replaced by/);
    expect(JSON.stringify(after.steps.map((s: Step) => s.use))).not.toContain(gone.id);
    expect((await artist.get(`/api/products/${gone.id}/uses`)).body.charts).toEqual([]);
    await post(`/api/products/${gone.id}/substitutions`, { chartIds: [chart.id], parts }).expect(422);
    const wrongUnit = [{ productId: demo.products[0]!.id, unitId: unit.id, pumps: 1 }];
    await post(`/api/products/${unit.productId}/substitutions`, {
      chartIds: [chart.id],
      parts: wrongUnit,
    }).expect(422);
  });
});

describe('a substitute that is right for one and must not be used on another', () => {
  test('goes into the one chart, by what is noted of each client now; where it suits nobody it is refused', async () => {
    const shared = demo.products.filter(
      ({ id }) => newestOf().filter((chart) => usesOf(chart).includes(id)).length > 1,
    );
    const gone = shared.find(({ kind }) => kind === 'powder' || kind === 'lip colour' || kind === 'blush')!;
    const [mine, theirs] = newestOf().filter((chart) => usesOf(chart).includes(gone.id));
    const inPlace = { ...gone, id: newId(), shade: 'In place', ingredients: ['Lanolin'], withdrawn: false };
    await post('/api/products', inPlace).expect(201);
    const unit = { id: newId(), productId: inPlace.id, openedOn: null, remainingMg: 9000, place: 'case' };
    await post('/api/units', unit).expect(201);
    // Noted after both charts were written.
    const { body: client } = await artist.get(`/api/clients/${theirs!.client.id}`).expect(200);
    const { id, name, features, measurements, taps, likeness, consult, notes } = client;
    const input = { id, name, notes, features, measurements, taps, likeness, consult };
    const sensitivities = [...client.sensitivities, 'lanolin'];
    await put(`/api/clients/${id}`, client.revision, { ...input, sensitivities }).expect(200);
    const parts = [{ productId: inPlace.id, unitId: unit.id, pumps: 1 }];
    const into = (chartIds: readonly string[]) =>
      post(`/api/products/${gone.id}/substitutions`, { chartIds, parts });
    const { body: refused } = await into([theirs!.id]).expect(422);
    expect(refused.fields[0]).toMatchObject({
      path: 'chartIds',
      message: expect.stringMatching(
        new RegExp(`^The chart of ${theirs!.client.name} stays as it is\\. .* contains Lanolin`),
      ),
    });
    const { body } = await into([mine!.id, theirs!.id]).expect(201);
    expect(body.changed.map((one: { chartId: string }) => one.chartId)).toEqual([mine!.id]);
    expect(body.left).toMatchObject([{ chartId: theirs!.id, clientName: theirs!.client.name }]);
    const kept = (await artist.get(`/api/charts/${theirs!.id}`)).body.chart;
    expect(usesOf(kept)).toContain(gone.id);
    expect(usesOf(kept)).not.toContain(inPlace.id);
  });

  const newestOf = () => [...new Map(demo.charts.map((chart) => [chart.id, chart])).values()];
  const usesOf = (chart: { steps: readonly Step[] }): string[] =>
    chart.steps.flatMap(({ use }) => use.map(({ product }) => product.id));
});

describe('readings in full', () => {
  test('places beside the zones are kept, and a reading is exported as CGATS.17', async () => {
    const client = demo.clients[0]!;
    const id = newId();
    const extras = [{ name: 'Old scar', beside: 'cheek', samples: [[58, 14, 15]] }];
    const { body } = await post(`/api/clients/${client.id}/readings`, {
      id,
      at: '2031-05-14T09:00:00Z',
      source: 'typed',
      zones: { cheek: [[64, 12, 18]] },
      extras,
    }).expect(201);
    expect(body.extras).toEqual(extras);
    const { text } = await artist.get(`/api/readings/${id}/export`).expect(200);
    expect(text).toContain('1 "Cheek" 64.000 12.000 18.000');
    await post(`/api/clients/${client.id}/readings`, {
      id: newId(),
      at: '2031-05-14T09:00:00Z',
      source: 'typed',
      zones: { cheek: [[64, 12, 18]] },
      extras: [{ name: '', beside: 'elbow', samples: [] }],
    }).expect(422);
  });

  test('a spot is read as another colour than the skin round it', async () => {
    const clientId = demo.clients[0]!.id;
    const sample = async (spot: boolean) =>
      (await artist.post('/api/reader/samples').send({ clientId, zone: 'cheek', spot }).expect(200)).body
        .lab as number[];
    const [skin, spot] = [await sample(false), await sample(true)];
    expect(spot[1]! - skin[1]!).toBeGreaterThan(4);
  });
});
