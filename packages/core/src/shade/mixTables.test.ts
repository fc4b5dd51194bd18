import fc from 'fast-check';
import { deltaE2000, type Lab } from '../colour';
import { client, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { fitLook } from '../look';
import { matchShades, shadeMap, substitute, type Coloured } from '.';
import { nearestToStir, spreadToStir } from './mixTables';

const coloured = (n: number, lab: Lab, kind: Coloured['kind'] = 'base'): Coloured => ({
  ...product(n, kind, lab),
  lab: [...lab],
});
const labs = fc
  .tuple(
    fc.double({ min: 15, max: 90, noNaN: true }),
    fc.double({ min: 0, max: 30, noNaN: true }),
    fc.double({ min: 0, max: 35, noNaN: true }),
  )
  .map((lab): Lab => lab);
const kits = fc.array(fc.tuple(labs, fc.boolean()), { minLength: 1, maxLength: 40 });

test('stirred into a colour are the nearest to it, and what is there to be stirred in', () =>
  fc.assert(
    fc.property(kits, labs, fc.integer({ min: 4, max: 30 }), (some, target, most) => {
      const kit = some.map(([lab, adjuster], i) => coloured(i, lab, adjuster ? 'adjuster' : 'base'));
      const kept = nearestToStir(kit, target, most);
      expect(kept.length).toBeLessThanOrEqual(most);
      if (kit.length <= most) return expect(kept).toBe(kit);
      const off = (one: Coloured): number => deltaE2000(target, one.lab);
      const bases = (list: readonly Coloured[]) => list.filter(({ kind }) => kind === 'base');
      const out = bases(kit).filter((one) => !kept.includes(one));
      const furthest = Math.max(0, ...bases(kept).map(off));
      for (const one of out) expect(off(one)).toBeGreaterThanOrEqual(furthest);
      expect(kept.filter(({ kind }) => kind === 'adjuster').length).toBe(
        Math.min(Math.floor(most / 4), kit.length - bases(kit).length),
      );
      return undefined;
    }),
  ));

test('as unlike as there are: what is left out is nearer to one taken than any two taken to each other', () =>
  fc.assert(
    fc.property(kits, fc.integer({ min: 1, max: 30 }), (some, most) => {
      const kit = some.map(([lab], i) => coloured(i, lab));
      const taken = spreadToStir(kit, most);
      expect(new Set(taken).size).toBe(Math.min(most, kit.length));
      const nearest = (one: Coloured, list: readonly Coloured[]): number =>
        Math.min(...list.filter((two) => two !== one).map((two) => deltaE2000(two.lab, one.lab)));
      const apart = Math.min(...taken.map((one) => nearest(one, taken)));
      for (const one of kit)
        if (!taken.includes(one)) expect(nearest(one, taken)).toBeLessThanOrEqual(apart + 1e-9);
    }),
  ));

test('three hundred of one colour are still so many, each once', () => {
  const kit = Array.from({ length: 300 }, (_, i) => coloured(i, [60, 12, 18]));
  expect(new Set(spreadToStir(kit)).size).toBe(160);
});

describe('a case with more bases than can be stirred two by two', () => {
  const many = Array.from({ length: 300 }, (_, i) =>
    coloured(1000 + i, [30 + (i % 50), 8 + (i % 6), 14 + (i % 7)]),
  );
  const unit = KIT.units[0]!;
  const kit = {
    products: [...KIT.products, ...many],
    units: [...KIT.units, ...many.map(({ id }) => ({ ...unit, id: id.replace(/^./, '9'), productId: id }))],
  };
  const context = { client: client(), kit, date: OCCASION.date };

  test('is fitted, matched, replaced from and mapped', () => {
    const { chart } = fitLook(LOOK, client(), kit, OCCASION, STAMP);
    expect(chart.steps.filter(({ role }) => role === 'base').every(({ use }) => use.length > 0)).toBe(true);
    expect(matchShades(context).singles.length).toBeGreaterThan(0);
    expect(substitute(many[0]!, context, {}).length).toBeGreaterThan(0);
    expect(shadeMap(kit.products).points.length).toBeGreaterThan(300);
  });

  test('what is asked for by name is tried, however far it is', () => {
    const { target } = matchShades(context);
    const off = (one: Coloured): number => deltaE2000(target!, one.lab);
    const furthest = many.reduce((far, one) => (off(one) > off(far) ? one : far));
    const { pairs } = matchShades(context, { pin: furthest.id });
    expect(pairs.length).toBeGreaterThan(0);
    for (const { parts } of pairs) expect(parts.map(({ product: p }) => p.id)).toContain(furthest.id);
  });

  test('the nearest single is as near as with any number', () => {
    const { target, singles } = matchShades(context);
    const best = Math.min(
      ...kit.products.flatMap(({ kind, lab }) => (kind === 'base' && lab ? [deltaE2000(target!, lab)] : [])),
    );
    expect(Math.min(...singles.map(({ deltaE }) => deltaE))).toBeCloseTo(best, 6);
  });
});
