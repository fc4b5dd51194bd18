import { checkLimits, inferLandmarks } from '../face';
import { readLook } from '../formats';
import { shiftDepth } from '../colour';
import { fitLook, lookFromChart, type Chart, type LookChoices } from '.';
import { client, id, KIT, LOOK, OCCASION, SKIN, STAMP } from './look.testing';

const CHOICES: LookChoices = {
  name: 'Quay',
  description: 'From a trial',
  tags: ['soft'],
  parts: {},
  forbids: { finishes: ['shimmer'], kinds: [] },
};
const chart = (): Chart => fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const idOf = (title: string): string => LOOK.steps.find((s) => s.title === title)!.id;

test('a look cut from a chart is free of its client and kit, and reads as a look file', () => {
  const look = lookFromChart(chart(), CHOICES, STAMP);
  expect(readLook(JSON.stringify(look)).ok).toBe(true);
  expect(JSON.stringify(look)).not.toContain(client().name);
  expect(look.steps.map((s) => s.title)).toEqual(chart().steps.map((s) => s.title));
  expect(look).toMatchObject({ name: 'Quay', version: 1, forbids: { finishes: ['shimmer'], kinds: [] } });
  for (const step of look.steps) expect(Object.keys(step)).not.toContain('use');
});

test('fitted back to the same client it gives the same places and products', () => {
  const first = chart();
  const again = fitLook(
    lookFromChart(first, { ...CHOICES, forbids: { finishes: [], kinds: [] } }, STAMP),
    client(),
    KIT,
    OCCASION,
    STAMP,
  ).chart;
  expect(again.steps.map((s) => [s.title, s.placements, s.use.map((u) => u.product.id)])).toEqual(
    first.steps.map((s) => [s.title, s.placements, s.use.map((u) => u.product.id)]),
  );
});

test('essential steps keep texture, finish and cover, free ones may be left out, forbidden kinds are never proposed', () => {
  const parts = {
    [idOf('Contour')]: 'essential',
    [idOf('Light')]: 'free',
    [idOf('Mascara')]: 'forbidden',
    [idOf('Forehead')]: 'left out',
  } as const;
  const look = lookFromChart(chart(), { ...CHOICES, parts }, STAMP);
  const step = (title: string) => look.steps.find((s) => s.title === title);
  expect(step('Contour')!.wants.finishes).toEqual(['matte']);
  expect(step('Base')!.wants.coverages).toEqual([
    ...new Set(
      chart()
        .steps.find((s) => s.title === 'Base')!
        .use.map((u) => u.product.coverage),
    ),
  ]);
  expect(step('Contour')!.wants.coverages).toBeUndefined();
  expect(step('Light')).toMatchObject({ optional: true });
  expect(step('Light')!.wants.finishes).toBeUndefined();
  expect(step('Mascara')).toBeUndefined();
  expect(step('Forehead')).toBeUndefined();
  expect(look.forbids.kinds).toEqual(['mascara']);
});

test('a kind another step keeps is not forbidden with the step that is', () => {
  const look = lookFromChart(chart(), { ...CHOICES, parts: { [idOf('Forehead')]: 'forbidden' } }, STAMP);
  expect(look.forbids.kinds).toEqual([]);
});

test('a shade chosen otherwise is kept as steps from the skin; the kit’s small misses are not', () => {
  const plain = chart();
  const other = (steps: number): Chart => ({
    ...plain,
    steps: plain.steps.map((s) =>
      s.title === 'Contour'
        ? {
            ...s,
            doseMgPerCm2: 3,
            use: s.use.map((u) => ({
              ...u,
              product: { ...u.product, coverage: 'full', lab: [...shiftDepth(SKIN, steps)] },
            })),
          }
        : s,
    ),
  });
  const depth = (from: Chart) =>
    lookFromChart(from, CHOICES, STAMP).steps.find((s) => s.title === 'Contour')!.shade;
  expect(depth(other(2.6))).toEqual({ relative: { to: 'skin', depthSteps: 2.5 } });
  expect(depth(other(4.5))).toMatchObject({ relative: { depthSteps: expect.closeTo(4.5, 0) } });
});

test('without a step there is no look', () => {
  const parts = Object.fromEntries(chart().steps.map((s) => [s.id, 'left out' as const]));
  expect(() => lookFromChart(chart(), { ...CHOICES, parts }, STAMP)).toThrow('A look needs a step');
});

test('fitted to three faces it keeps every limit, and says what was moved', () => {
  const wide = {
    ...LOOK,
    steps: LOOK.steps.map((s) =>
      s.title === 'Contour'
        ? {
            ...s,
            placements: [{ guide: 'cheekContour' as const, side: 'both' as const, params: { reach: 150 } }],
          }
        : s,
    ),
  };
  for (const measurements of [{}, { faceLength: 198 }, { cheekboneWidth: 142, jawWidth: 118 }]) {
    const who = { ...client(), landmarks: inferLandmarks(measurements), id: id(77) };
    const { chart: fitted, notes } = fitLook(wide, who, KIT, OCCASION, STAMP);
    for (const step of fitted.steps)
      for (const p of step.placements)
        expect(checkLimits(p, who.landmarks, who.features, step.role)).toEqual([]);
    expect(notes.join(' ')).toMatch(
      /Contour was moved to keep its limits on this face\. Client’s left: it passes the line/,
    );
  }
});
