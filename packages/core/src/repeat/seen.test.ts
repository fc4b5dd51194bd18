import { asWorn } from '../chair';
import { chromaOf, depthOf, hueOf, labOfHue, shiftDepth, type Lab } from '../colour';
import type { Product, ProductKind } from '../kit';
import { colourOfUse, fitLook, type Chart, type Look, type Step } from '../look';
import { client, id, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import { refitChart } from '.';

const KINDS = { base: 'base', conceal: 'concealer', contour: 'contour' } as const;
/** Of each kind one every half step and in three undertones, from very light to very deep. */
const DENSE = Object.values(KINDS).flatMap((kind, k) =>
  Array.from({ length: 123 }, (_, i) => {
    const lab = shiftDepth(SKIN, -8 + Math.floor(i / 3) / 2);
    return product(
      1000 * (k + 1) + i,
      kind,
      labOfHue(lab[0], chromaOf(lab), hueOf(lab) + 6 * ((i % 3) - 1)),
      {
        texture: 'cream',
        finish: kind === 'contour' ? 'matte' : 'natural',
      },
    );
  }),
);
const [FIRST] = LOOK.steps;
const lookOf = (...steps: readonly Partial<Look['steps'][number]>[]): Look => ({
  ...LOOK,
  steps: steps.map((more, i) => ({ ...FIRST!, id: id(400 + i), ...more })),
});
const SKINLIKE = lookOf(
  {
    role: 'base',
    title: 'base',
    wants: { kinds: ['base'] },
    shade: { relative: { to: 'skin', depthSteps: 0 } },
  },
  {
    role: 'conceal',
    title: 'conceal',
    wants: { kinds: ['concealer'] },
    shade: { relative: { to: 'skin', depthSteps: -0.5 } },
    placements: [{ guide: 'zone.underEye', side: 'both' }],
  },
  {
    role: 'contour',
    title: 'contour',
    wants: { kinds: ['contour'] },
    shade: { relative: { to: 'skin', depthSteps: 2 } },
    placements: [{ guide: 'cheekContour', side: 'both' }],
  },
);
const again = (chart: Chart, who = client(), kit = kitOf(...DENSE)) =>
  refitChart(chart, who, kit, { ...OCCASION, date: '2031-11-20' }, { ...STAMP, version: 2 });
const seenAt = (chart: Chart, step: Step, seen: string, cause: string): Chart =>
  asWorn(chart, [
    {
      kind: 'deviation',
      stepId: step.id,
      at: STAMP.at,
      by: 'Ada',
      deviation: { kind: 'fault', fault: { seen, cause }, note: '' },
    },
  ]);

/** What is exchanged after something was seen, over skins from very light to very deep. */
function exchanged(seen: string, cause: string) {
  return [-6, -4, -2, 0, 2, 4, 6, 8, 10].flatMap((depth) => {
    const skin = shiftDepth(SKIN, depth);
    const who = client(skin);
    const chart = fitLook(SKINLIKE, who, kitOf(...DENSE), OCCASION, STAMP).chart;
    return chart.steps.flatMap((step) => {
      const refit = again(seenAt(chart, step, seen, cause), who);
      const now = refit.chart.steps.find(({ id: of }) => of === step.id)!;
      const change = refit.changes.find((one) => one.id === `${step.id} product`)!;
      const [was, is] = [colourOfUse(step.use)!, colourOfUse(now.use)!];
      return [{ role: step.role, skin, was, is, kind: change.kind, why: change.why }];
    });
  });
}
const turned = (from: Lab, to: Lab): number => hueOf(to) - hueOf(from);

test.each<[string, string, (was: Lab, is: Lab) => number]>([
  ['grey', 'too-cool', (was, is) => turned(was, is)],
  ['orange', 'too-warm', (was, is) => -turned(was, is)],
  ['grey', 'too-light', (was, is) => depthOf(is) - depthOf(was)],
  ['creases', 'too-light', (was, is) => depthOf(is) - depthOf(was)],
])(
  'seen %s, by %s: another goes that way on every skin, or there is none and that is said',
  (seen, cause, by) => {
    const all = exchanged(seen, cause);
    const gone = all.filter(({ kind }) => kind === 'substitute');
    expect(gone.length).toBeGreaterThan(all.length / 2);
    for (const { was, is } of gone) expect(by(was, is)).toBeGreaterThan(0.2);
    for (const { kind, was, is, why } of all)
      if (kind === 'keep') {
        expect(is).toEqual(was);
        expect(why).toContain('nothing else');
      }
  },
);

test('a base that was too light goes no deeper than half a step or so beyond the skin', () => {
  for (const { role, skin, is } of exchanged('grey', 'too-light'))
    if (role === 'base') expect(depthOf(is) - depthOf(skin)).toBeLessThan(0.8);
});

test('a shade too light that sits on top is exchanged for one nearer to what is asked, if there is one', () => {
  for (const { role, was, is, kind } of exchanged('lifts', 'too-light'))
    if (role === 'base') expect([kind, is]).toEqual(['keep', was]);
  const off = DENSE.filter(({ kind, lab }) => kind === 'base' && depthOf(lab!) - depthOf(SKIN) < -0.9);
  const worn = fitLook(SKINLIKE, client(), kitOf(...off.slice(-3)), OCCASION, STAMP).chart;
  const base = worn.steps.find(({ role }) => role === 'base')!;
  if (base.use.length === 0) return;
  const next = again(seenAt(worn, base, 'lifts', 'too-light')).chart.steps.find(
    ({ id: of }) => of === base.id,
  )!;
  expect(Math.abs(depthOf(colourOfUse(next.use)!) - depthOf(SKIN))).toBeLessThan(0.8);
});

describe('what another has to be', () => {
  const made = (n: number, kind: ProductKind, more: Partial<Product>) =>
    product(n, kind, kind === 'mascara' ? [20, 0, 0] : null, { eyeSafe: true, ...more });
  const after = (role: Step['role'], kind: ProductKind, seen: string, cause: string, ...kit: Product[]) => {
    const look = lookOf({ role, title: 'It', wants: { kinds: [kind] }, shade: null, placements: [] });
    const chart = fitLook(look, client(), kitOf(kit[0]!), OCCASION, STAMP).chart;
    const [step] = chart.steps;
    expect(step!.use).toHaveLength(1);
    return again(seenAt(chart, step!, seen, cause), client(), kitOf(...kit)).chart.steps[0]!.use[0]!.product
      .id;
  };
  test.each<[string, ProductKind, Step['role'], string, string, Partial<Product>, Partial<Product>]>([
    ['a matte spray', 'spray', 'care', 'shine', 'spray', { finish: 'dewy' }, { finish: 'matte' }],
    [
      'a waterproof mascara',
      'mascara',
      'lash',
      'prints',
      'mascara',
      { waterproof: false },
      { waterproof: true },
    ],
    [
      'one that does not come off',
      'mascara',
      'lash',
      'prints',
      'mascara',
      { waterproof: false, transferProof: false },
      { transferProof: true },
    ],
    [
      'a powder that scatters less',
      'powder',
      'powder',
      'flash',
      'scatter',
      { flashGrade: 3, texture: 'loose' },
      { flashGrade: 1, texture: 'loose' },
    ],
  ])('%s', (_, kind, role, seen, cause, wrong, right) => {
    const [was, alike, better] = [made(1, kind, wrong), made(2, kind, wrong), made(3, kind, right)];
    expect(after(role, kind, seen, cause, was, alike, better)).toBe(better.id);
    // Of the same sort there is none that would mend it: it stays, to be decided at the chair.
    expect(after(role, kind, seen, cause, was, alike)).toBe(was.id);
  });
});

test('of a mix it is enough that another scatters less than what scattered', () => {
  const look = lookOf({
    role: 'powder',
    title: 'It',
    wants: { kinds: ['powder'] },
    shade: null,
    placements: [],
  });
  const [strong, veil, better] = [3, 0, 1].map((flashGrade, i) =>
    product(1 + i, 'powder', null, { texture: 'loose', flashGrade: flashGrade as 0 | 1 | 3 }),
  );
  const chart = fitLook(look, client(), kitOf(strong!), OCCASION, STAMP).chart;
  const [step] = chart.steps;
  const second = {
    ...step!.use[0]!,
    product: { ...step!.use[0]!.product, id: veil!.id, flashGrade: 0 as const },
  };
  const mixed: Chart = { ...chart, steps: [{ ...step!, use: [...step!.use, second] }] };
  const next = again(
    seenAt(mixed, step!, 'flash', 'scatter'),
    client(),
    kitOf(strong!, veil!, better!),
  ).chart;
  expect(next.steps[0]!.use.map(({ product: of }) => of.id)).toEqual([better!.id]);
});

test('on skin as it was something nearer waits for a yes; on skin that moved it is taken', () => {
  const chart = fitLook(SKINLIKE, client(), kitOf(...DENSE), OCCASION, STAMP).chart;
  const base = chart.steps.find(({ role }) => role === 'base')!;
  const off = DENSE.find(
    ({ kind, lab }) => kind === 'base' && Math.abs(depthOf(lab!) - depthOf(SKIN) - 1) < 0.1,
  )!;
  const chosen: Chart = {
    ...chart,
    steps: chart.steps.map((step) =>
      step === base
        ? { ...step, use: [{ ...step.use[0]!, product: { ...step.use[0]!.product, ...off } }] }
        : step,
    ),
  };
  const changeOf = (who = client()) => {
    const refit = again(chosen, who);
    return {
      change: refit.changes.find((one) => one.id === `${base.id} product`)!,
      use: refit.chart.steps.find(({ id: of }) => of === base.id)!.use,
    };
  };
  const same = changeOf();
  expect(same.change).toMatchObject({ onlyIfAsked: true, why: expect.stringMatching(/something closer/) });
  expect(same.use[0]!.product.id).toBe(off.id);
  const lighter = changeOf(client(shiftDepth(SKIN, -2)));
  expect(lighter.change.onlyIfAsked).toBeUndefined();
  expect(lighter.use[0]!.product.id).not.toBe(off.id);
});
