import type { Agent } from 'supertest';
import { matchAllergens, type Chart, type Features } from '@toile/core';
import type { DueItem, TodayAnswer, VisitAnswer } from '@toile/contract';
import { barredDue, type NotedClient } from '../src/today/barredDue';
import { demo, noteOf, testServer, TODAY, type TestServer } from './testServer';

const NOW = new Date(`${TODAY}T08:00:00Z`);
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => NOW });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

/** A visit of the demo that is still to come, with its chart and whose it is. */
const visit = demo.visits.find(
  ({ date, chartId, state }) => date >= TODAY && chartId !== null && state !== 'cancelled',
)!;
const chart = demo.charts.filter(({ id }) => id === visit.chartId).at(-1)!;
const person = demo.clients.find(({ id }) => id === visit.clientId)!;
const used = chart.steps.flatMap((step) => step.use.map(({ product }) => ({ step, product })));
const found = used.flatMap(({ step: of, product: one }) =>
  one.ingredients.flatMap((each) =>
    matchAllergens([each], [each]).length > 0 ? [{ step: of, product: one, ingredient: each }] : [],
  ),
);
const { step, product, ingredient } = found[0]!;

describe('told of a chart', () => {
  const coming: VisitAnswer[] = [{ ...visit, clientName: person.name } as unknown as VisitAnswer];
  const FEATURES: Features = { ...chart.client.features, lenses: false, lashes: 'full', age: 'adult' };
  const noted = (more: Partial<NotedClient> = {}): NotedClient => ({
    id: person.id,
    name: person.name,
    sensitivities: [],
    birthYear: null,
    features: FEATURES,
    patchTests: [],
    incidents: [],
    ...more,
  });
  const bare: Chart = {
    ...chart,
    client: { ...chart.client, sensitivities: [], patchTests: [], features: FEATURES },
  };
  const due = (more: Partial<NotedClient>, charts: readonly Chart[] = [bare], visits = coming): DueItem[] =>
    barredDue(visits, charts, [noted(more)], TODAY, NOW);

  test('nothing where nothing is noted, of nobody who does not come, of nobody’s chart', () => {
    expect(due({})).toEqual([]);
    expect(due({ sensitivities: [ingredient] }, [bare], [])).toEqual([]);
    expect(due({ sensitivities: [ingredient], id: 'somebody else' })).toEqual([]);
    expect(due({ sensitivities: ['nothing that is in it'] })).toEqual([]);
  });

  test('an ingredient, with the step, the product and why, in one line that opens the chart', () => {
    const [item, ...more] = due({ sensitivities: [ingredient] });
    expect(more).toEqual([]);
    expect(item).toMatchObject({ kind: 'barred', clientId: person.id, chartId: chart.id });
    expect(item!.words.startsWith(`${person.name}: `)).toBe(true);
    expect(item!.words).toContain(
      `${step.title}: ${product.maker} ${product.line} ${product.shade} contains`,
    );
  });

  test('more than two are counted, not listed; a product twice in a step is said once', () => {
    const every = [...new Set(found.map((one) => one.ingredient))];
    const [item] = due({ sensitivities: every });
    expect(item!.words).toMatch(/; and \d+ more$/);
    expect(item!.words.split(' contains ').length).toBe(3);
    const of = step.use.find((one) => one.product.id === product.id)!;
    const twice = { ...bare, steps: [{ ...step, use: [of, of] }] };
    expect(due({ sensitivities: [ingredient] }, [twice])[0]!.words).not.toContain(';');
  });

  test('lash extensions, a child by year, and what was suspected when something went wrong', () => {
    const lash = bare.steps.find(({ use }) => use.some((one) => one.product.kind === 'mascara'));
    if (lash)
      expect(due({ features: { ...FEATURES, lashes: 'extensions' } })[0]!.words).toContain(
        'lash extensions are worn',
      );
    const band = {
      ...bare,
      steps: [{ ...step, use: [{ ...step.use[0]!, product: { ...product, kind: 'lashes' as const } }] }],
    };
    expect(due({ birthYear: Number(TODAY.slice(0, 4)) - 8 }, [band])[0]!.words).toContain(
      'no lashes on a child',
    );
    expect(due({ birthYear: Number(TODAY.slice(0, 4)) - 30 }, [band])).toEqual([]);
    const went = { on: '2031-04-01', suspected: [{ productId: product.id, product: 'it' }] };
    expect(due({ incidents: [went] })[0]!.words).toContain('is left alone since the incident of 2031-04-01');
  });
});

test('noted after a chart was made it stands on Today, and goes with the note', async () => {
  const barred = async (): Promise<readonly DueItem[]> =>
    ((await artist.get('/api/today').expect(200)).body as TodayAnswer).due.filter(
      ({ kind, chartId }) => kind === 'barred' && chartId === chart.id,
    );
  const note = (sensitivities: readonly string[]) => noteOf(server, person.id, sensitivities);
  const before = await barred();
  await note([...person.sensitivities, ingredient]);
  const [item] = (await barred()).filter(({ words }) => !before.some((one) => one.words === words));
  expect(item!.words).toContain(`${step.title}: `);
  expect(item!.words).toContain(ingredient);
  await note(person.sensitivities);
  expect(await barred()).toEqual(before);
});
