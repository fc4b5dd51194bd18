import {
  fitLook,
  usualOccasion,
  type Chart,
  type ClientSnapshot,
  type Look,
  type Occasion,
  type Step,
} from '../look';
import { shiftDepth } from '../colour';
import type { Kit } from '../kit';
import { BASES, client, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import { acceptedRefit, refitChart, type Refit } from '.';

// What a repeat asks of a look whose client or day is another by now, and what it does with products that do
// not have it.
const SHORT: Occasion = { ...OCCASION, conditions: [], hoursToLast: 4 };
const TEARS: Occasion = { ...SHORT, conditions: ['tears'] };
const plainMascara = product(40, 'mascara', [12, 0, 0], { eyeSafe: true, waterproof: false });
const tubing = product(41, 'mascara', [12, 0, 0], { eyeSafe: true, waterproof: true });
const KIT_DRY = kitOf(...BASES, plainMascara);
const KIT_BOTH = kitOf(...BASES, plainMascara, tubing);

const fit = (kit: Kit, occasion = SHORT, who = client(), look: Look = LOOK): Chart =>
  fitLook(look, who, kit, occasion, STAMP).chart;
const again = (worn: Chart, kit: Kit, occasion: Occasion, who: ClientSnapshot = worn.client): Refit =>
  refitChart(worn, who, kit, occasion, { ...STAMP, version: 2 });
const change = (refit: Refit, title: string, kind: string) =>
  refit.changes.find((c) => c.title === title && c.kind === kind);
const named = (chart: Chart, title: string): Step | undefined => chart.steps.find((s) => s.title === title);
const usedFor = (chart: Chart, title: string): readonly string[] =>
  named(chart, title)!.use.map((u) => u.product.id);

describe('a day of tears after one without', () => {
  const worn = fit(KIT_DRY);

  test('the mascara is exchanged for one that stays, and the step says so', () => {
    const refit = again(worn, KIT_BOTH, TEARS);
    expect(change(refit, 'Mascara', 'asked')!.why).toMatch(/^Waterproof mascara: /);
    expect(change(refit, 'Mascara', 'substitute')!.why).toMatch(/not noted as waterproof/);
    expect(usedFor(refit.chart, 'Mascara')).toEqual([tubing.id]);
    expect(named(refit.chart, 'Mascara')!.note).toContain('Waterproof');
  });

  test('refused, the old one stays; what is asked of the step is another choice', () => {
    const refit = again(worn, KIT_BOTH, TEARS);
    const some = acceptedRefit(
      refit.base,
      refit.changes,
      new Set([change(refit, 'Mascara', 'substitute')!.id]),
    );
    expect(usedFor(some, 'Mascara')).toEqual([plainMascara.id]);
    expect(named(some, 'Mascara')!.note).toContain('Waterproof');
  });

  test('where the kit has none it is kept, and that is said', () => {
    const refit = again(worn, KIT_DRY, TEARS);
    expect(change(refit, 'Mascara', 'substitute')).toBeUndefined();
    expect(change(refit, 'Mascara', 'keep')!.why).toMatch(/waterproof .*nothing better for it/);
  });

  test('what was so the last time too is no reason to change', () => {
    const wet = fit(KIT_DRY, TEARS);
    const refit = again(wet, KIT_BOTH, TEARS);
    expect(change(refit, 'Mascara', 'substitute')).toBeUndefined();
    expect(change(refit, 'Mascara', 'asked')).toBeUndefined();
    expect(usedFor(refit.chart, 'Mascara')).toEqual([plainMascara.id]);
  });

  test('and a day without them again takes the words back, not the mascara', () => {
    const wet = fit(KIT_BOTH, TEARS);
    const refit = again(wet, KIT_BOTH, SHORT);
    expect(change(refit, 'Mascara', 'asked')!.why).toBe('No longer asked: waterproof mascara.');
    expect(named(refit.chart, 'Mascara')!.note).not.toContain('Waterproof');
    expect(usedFor(refit.chart, 'Mascara')).toEqual([tubing.id]);
  });
});

test('matte on skin that has become dry is exchanged for what is not, at a like colour', () => {
  const matte = product(11, 'base', [64.5, 11.5, 20], { finish: 'matte' });
  const soft = product(14, 'base', [64.4, 11.4, 20], { finish: 'natural' });
  const worn = fit(kitOf(matte));
  const dry = client(SKIN, { features: { dry: true } });
  const refit = again(worn, kitOf(matte, soft), SHORT, dry);
  expect(change(refit, 'Base', 'substitute')!.why).toMatch(/matte shows every dry patch/);
  expect(usedFor(refit.chart, 'Base')).toEqual([soft.id]);
  // Skin that is as it was keeps it, though the other is there.
  expect(usedFor(again(worn, kitOf(matte, soft), SHORT).chart, 'Base')).toEqual([matte.id]);
});

test('a thinner base is less of it, of what is then used, and refused it is as much as before', () => {
  const fine = { measure: 'drop' as const, mgPerMeasure: 2 };
  const kit = kitOf(product(11, 'base', [64.5, 11.5, 20], fine));
  const worn = fit(kit);
  const lined = client(SKIN, { features: { age: 'mature' } });
  const refit = again(worn, kit, SHORT, lined);
  const mg = (chart: Chart): number =>
    named(chart, 'Base')!.use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);
  const asked = change(refit, 'Base', 'asked')!;
  expect(asked.why).toMatch(/^A thinner base, pressed: lined skin/);
  expect(asked.difference).toMatch(/^(11|12|13) % less product$/);
  expect(mg(refit.chart) / mg(worn)).toBeCloseTo(0.88, 1);
  expect(mg(acceptedRefit(refit.base, refit.changes, new Set([asked.id])))).toBe(mg(worn));
  // Of another product too, where that is taken beside it.
  const deeper = client(shiftDepth(SKIN, 4), { features: { age: 'mature' } });
  const both = kitOf(product(11, 'base', [64.5, 11.5, 20], fine), product(12, 'base', [52.5, 13, 20], fine));
  const other = again(worn, both, SHORT, deeper);
  expect(mg(other.chart) / mg(worn)).toBeCloseTo(0.88, 1);
});

test('lash extensions take mascara out, and it is back with the kit’s best when they are gone', () => {
  const worn = fit(KIT_BOTH);
  const wears = client(SKIN, { features: { lashes: 'extensions' } });
  const without = again(worn, KIT_BOTH, SHORT, wears);
  expect(change(without, 'Mascara', 'asked')).toMatchObject({
    difference: 'the step falls away',
    after: { words: 'left out' },
  });
  expect(named(without.chart, 'Mascara')).toBeUndefined();
  const kept = acceptedRefit(
    without.base,
    without.changes,
    new Set([change(without, 'Mascara', 'asked')!.id]),
  );
  expect(usedFor(kept, 'Mascara')).toEqual([plainMascara.id]);

  const later = again({ ...without.chart, version: 2 }, KIT_BOTH, SHORT, client());
  expect(change(later, 'Mascara', 'asked')).toMatchObject({
    difference: 'a step more',
    before: { words: 'left out' },
  });
  expect(change(later, 'Mascara', 'asked')!.why).toMatch(/^What left mascara out is so no longer/);
  expect(usedFor(later.chart, 'Mascara')).toHaveLength(1);
  expect(later.chart.steps.map(({ title }) => title)).toEqual(worn.steps.map(({ title }) => title));
  expect(later.chart.adaptations ?? []).toEqual(worn.adaptations ?? []);
});

describe('what a step was done with, whatever it is called', () => {
  const lip = product(60, 'lip colour', [48, 40, 20], { finish: 'natural' });
  const kit = kitOf(...BASES, lip, product(61, 'blush', [49, 38, 20]), product(62, 'adjuster', [95, 0, 2]));
  const blush: Look = {
    ...LOOK,
    steps: [
      ...LOOK.steps,
      {
        ...LOOK.steps[3]!,
        id: '0190a000-0000-7000-8000-000000000190',
        role: 'blush',
        title: 'Blush',
        shade: { lab: [49, 38, 20] },
        wants: { kinds: ['blush'] },
      },
    ],
  };
  const withUse = (chart: Chart, title: string, use: Step['use']): Chart => ({
    ...chart,
    steps: chart.steps.map((s) => (s.title === title ? { ...s, use } : s)),
  });
  const use = (p: (typeof kit.products)[number], parts = 1): Step['use'][number] => {
    const { monthsAfterOpening: _m, withdrawn: _w, singleUse: _s, ...snapshot } = p;
    return { product: snapshot, parts, unitId: null, measure: p.measure };
  };

  test('a lip colour on the cheek is nothing to replace by itself; withdrawn it is', () => {
    const worn = withUse(fit(kit, SHORT, client(), blush), 'Blush', [use(lip)]);
    for (const { why } of again(worn, kit, SHORT).changes) expect(why).not.toMatch(/not what this step asks/);
    const gone = { ...kit, products: kit.products.map((p) => (p === lip ? { ...p, withdrawn: true } : p)) };
    const said = again(worn, gone, SHORT).changes.filter((c) => c.title === 'Blush' && c.kind !== 'asked');
    expect(said.map(({ why }) => why)).toEqual([expect.stringMatching(/withdrawn/)]);
  });

  test('an adjuster stirred into a base is part of it', () => {
    const worn = withUse(fit(kit), 'Base', [use(BASES[1]!, 4), use(kit.products.at(-1)!, 1)]);
    for (const { why } of again(worn, kit, SHORT).changes) expect(why).not.toMatch(/not what this step asks/);
    const gone = { ...kit, products: kit.products.filter(({ kind }) => kind !== 'adjuster') };
    expect(again(worn, gone, SHORT).changes.find((c) => c.title === 'Base')!.why).toMatch(
      /no longer in the kit/,
    );
  });
});

describe('why something is closer now', () => {
  const whyOf = (worn: Chart, kit: Kit, who: ClientSnapshot): string =>
    again(worn, kit, SHORT, who).changes.find(
      (c) => c.title === 'Base' && ['remix', 'substitute'].includes(c.kind),
    )!.why;
  const worn = fit(kitOf(BASES[1]!));
  const kit = kitOf(...BASES, product(15, 'base', [58, 12.5, 20]), product(16, 'base', [64, 20, 19]));

  test.each([
    [2, /^The skin is 2\.\d steps deeper than when this was chosen/],
    [-2, /^The skin is 2\.\d steps lighter than when this was chosen/],
  ])('the skin, %d steps', (steps, words) => {
    expect(whyOf(worn, kit, client(shiftDepth(SKIN, steps)))).toMatch(words);
  });

  test('the skin, redder at one depth', () => {
    expect(whyOf(worn, kit, client([SKIN[0], SKIN[1] + 8, SKIN[2]]))).toMatch(
      /^The skin here is of another colour than when this was chosen, \d\.\d from it: /,
    );
  });

  test('the kit alone', () => {
    const better = product(17, 'base', [64, 12, 19]);
    const off = fit(kitOf(product(18, 'base', [65.2, 11, 19])));
    expect(whyOf(off, kitOf(product(18, 'base', [65.2, 11, 19]), better), client())).toMatch(
      /^The kit now has something closer: /,
    );
  });
});

test('for another day as long and as warm nothing is asked anew of anything', () => {
  const day = usualOccasion('wedding', '2031-05-14');
  const refit = again(fit(KIT_BOTH, day), KIT_BOTH, { ...day, date: '2031-06-01' });
  expect(refit.changes.filter(({ kind }) => kind !== 'keep')).toEqual([]);
});
