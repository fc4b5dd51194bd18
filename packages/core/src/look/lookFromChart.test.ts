import { checkLimits, inferLandmarks } from '../face';
import { readLook } from '../formats';
import { shiftDepth } from '../colour';
import {
  fitLook,
  lookFromChart,
  stepsForLook,
  trialVariant,
  type Chart,
  type ClientSnapshot,
  type Look,
  type LookChoices,
} from '.';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from './look.testing';

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

describe('what one client or one day asked for stays with their chart', () => {
  const KIT_SHOWN = kitOf(
    ...KIT.products,
    product(50, 'primer', null, { finish: 'dewy' }),
    product(51, 'primer', null, { finish: 'matte' }),
    product(60, 'lip colour', [40, 22, 14]),
    product(61, 'lip colour', [58, 22, 14]),
    product(62, 'lip colour', [30, 18, 10]),
  );
  const plain = LOOK.steps[0]!;
  const WITH_LIP: Look = {
    ...LOOK,
    steps: [
      {
        ...plain,
        id: id(120),
        phase: 'prime',
        role: 'care',
        title: 'Prime',
        shade: null,
        wants: { kinds: ['primer'], finishes: ['natural', 'matte'] },
      },
      ...LOOK.steps,
      {
        ...plain,
        id: id(121),
        phase: 'lips',
        role: 'lip',
        title: 'Lip',
        shade: { lab: [60, 20, 14] },
        wants: { kinds: ['lip colour'] },
        placements: [{ guide: 'lips', side: 'both' }],
      },
    ],
  };
  const cutFrom = (who: ClientSnapshot, parts: LookChoices['parts'] = {}) => {
    const worn = fitLook(WITH_LIP, who, KIT_SHOWN, OCCASION, STAMP).chart;
    return {
      worn,
      look: lookFromChart(worn, { ...CHOICES, parts, forbids: { finishes: [], kinds: [] } }, STAMP),
    };
  };
  const named = (look: Look, title: string) => look.steps.find((s) => s.title === title);

  test('a step left out for lash extensions stands in the look, where its phase comes, as the look had it', () => {
    const { worn, look } = cutFrom(client(SKIN, { features: { lashes: 'extensions' } }));
    expect(worn.steps.some((s) => s.title === 'Mascara')).toBe(false);
    expect(look.steps.map((s) => s.title)).toEqual(WITH_LIP.steps.map((s) => s.title));
    expect(named(look, 'Mascara')).toEqual(WITH_LIP.steps.find((s) => s.title === 'Mascara'));
    const told = stepsForLook(worn).find(({ step }) => step.title === 'Mascara')!;
    expect(told).toMatchObject({
      part: 'essential',
      why: expect.stringMatching(/^Left out of this chart: lash/),
    });
    // Said otherwise, it is otherwise.
    const without = cutFrom(client(SKIN, { features: { lashes: 'extensions' } }), {
      [told.step.id]: 'left out',
    });
    expect(named(without.look, 'Mascara')).toBeUndefined();
    const never = cutFrom(client(SKIN, { features: { lashes: 'extensions' } }), {
      [told.step.id]: 'forbidden',
    });
    expect(never.look.forbids.kinds).toEqual(['mascara']);
  });

  test('a step added for somebody is out unless it is asked for, and the list says so', () => {
    const who = client(SKIN, { features: { oily: ['nose'] } });
    const { worn } = cutFrom(who);
    const added = stepsForLook(worn).find(({ part }) => part === 'left out')!;
    expect(added.why).toMatch(/^Added for this chart: oily/);
    expect(named(cutFrom(who).look, added.step.title)).toBeUndefined();
    expect(named(cutFrom(who, { [added.step.id]: 'essential' }).look, added.step.title)).toBeDefined();
  });

  test('halves of a trial are out, in no variant of the look, unless they are asked for', () => {
    const { worn } = cutFrom(client());
    const [base] = worn.steps;
    const variant = trialVariant(id(77));
    const halved: Chart = {
      ...worn,
      variants: [
        { id: variant, name: 'Half face' },
        { id: 'evening', name: 'Evening' },
      ],
      steps: [
        ...worn.steps,
        { ...base!, id: id(701), variant, instead: base!.id },
        { ...base!, id: id(702), variant: 'evening', instead: base!.id },
      ],
    };
    const partOf = (of: string) => stepsForLook(halved).find(({ step }) => step.id === of)!;
    expect(partOf(id(701))).toMatchObject({ part: 'left out', why: 'A half of a trial.' });
    expect(partOf(id(702))).toMatchObject({ part: 'essential', why: null });
    const cut = (parts: LookChoices['parts']) => lookFromChart(halved, { ...CHOICES, parts }, STAMP, KIT);
    expect(cut({}).variants.map((one) => one.id)).toEqual(['evening']);
    expect(cut({}).steps.some((one) => one.variant === variant)).toBe(false);
    expect(cut({ [id(701)]: 'essential' }).variants).toHaveLength(2);
  });

  test('the primer of a dry client leaves what the look wants of a primer alone', () => {
    const { worn, look } = cutFrom(client(SKIN, { features: { dry: true } }));
    expect(worn.steps.find((s) => s.title === 'Prime')!.use[0]!.product.finish).toBe('dewy');
    expect(named(look, 'Prime')!.wants.finishes).toEqual(['natural', 'matte']);
  });

  test('a nude that went deep with deep skin is the look’s nude again; another that was chosen moves it by as much', () => {
    const deep = client([28, 9, 10]);
    const { worn, look } = cutFrom(deep);
    const used = worn.steps.find((s) => s.title === 'Lip')!.use[0]!.product;
    expect(used.id).toBe(id(62));
    expect(named(look, 'Lip')!.shade).toEqual({ lab: [60, 20, 14] });
    const red: Chart = {
      ...worn,
      steps: worn.steps.map((s) =>
        s.title === 'Lip'
          ? {
              ...s,
              use: s.use.map((u) => ({
                ...u,
                product: { ...u.product, lab: [used.lab![0], 48, 22] as const },
              })),
            }
          : s,
      ),
    };
    const shade = lookFromChart(red, CHOICES, STAMP).steps.find((s) => s.title === 'Lip')!.shade;
    if (!shade || !('lab' in shade)) throw new Error('no colour of its own');
    expect(shade.lab[1]).toBeGreaterThan(40);
    expect(shade.lab[0]).toBeGreaterThan(50);
  });
});
