import fc from 'fast-check';
import { depthOf, lightnessAtDepth, shiftDepth, type Lab } from '../colour';
import type { GuideName, LayerKind } from '../face';
import { COVERAGE_WORDS, FAMILIES, type Product, type ProductKind } from '../kit';
import type { LookStep } from '../look';
import { client, kitOf, LOOK, product } from '../look/look.testing';
import { excludedBecause, isOwned, matchStep, skinTarget, wantedColour, type ShadeContext } from '.';

const CONTOUR = LOOK.steps.find((s) => s.title === 'Contour')!;
const BASE = LOOK.steps.find((s) => s.title === 'Base')!;
const DATE = '2031-05-14';
const skinAt = (depth: number): Lab => shiftDepth([lightnessAtDepth(depth), 12, 19], 0, {});
/** A kit of bases and shadows round a skin, none of them exact. */
const kitRound = (skin: Lab, offs: readonly number[]): Product[] =>
  offs.flatMap((off, i) => [
    product(100 + i, 'base', shiftDepth(skin, off / 3)),
    product(200 + i, 'contour', shiftDepth(skin, off), { finish: 'matte', coverage: 'full' }),
  ]);
const anyKit = fc.array(fc.double({ min: -4, max: 6, noNaN: true }), { minLength: 1, maxLength: 7 });
const anyDepth = fc.double({ min: 4, max: 20.5, noNaN: true });
const contextFor = (
  skin: Lab,
  products: readonly Product[],
  more: Partial<ShadeContext> = {},
): ShadeContext => ({
  client: client(skin),
  kit: kitOf(...products),
  date: DATE,
  ...more,
});

test('whatever the kit and skin: what is proposed keeps its range, costs what its parts cost, and a gap is told when nothing does', () => {
  fc.assert(
    fc.property(anyDepth, anyKit, fc.constantFrom(BASE, CONTOUR), (depth, offs, step) => {
      const skin = skinAt(depth);
      const { answers, outside, gap } = matchStep(step, contextFor(skin, kitRound(skin, offs)), {
        outside: true,
      });
      for (const answer of answers) {
        expect(answer.misses).toEqual([]);
        expect(answer.costs.reduce((sum, c) => sum + c.units, 0)).toBeCloseTo(answer.cost, 9);
        expect(answer.madeMg).toBeGreaterThanOrEqual(0.95 * answer.need.takenMg - 1e-6);
        if (step === CONTOUR) expect(answer.steps!.own).toBeGreaterThan(0.5);
      }
      expect(outside.every((answer) => answer.misses.length > 0)).toBe(true);
      expect([...answers].sort((a, b) => a.cost - b.cost).map((a) => a.cost)).toEqual(
        answers.map((a) => a.cost),
      );
      expect(gap === null).toBe(answers.some(isOwned));
      if (gap)
        expect([/^[A-Z][^:]*: (nothing|no )/.test(gap.words), gap.buy!.length > 0]).toEqual([true, true]);
    }),
    { numRuns: 60 },
  );
});

test('answers differ by their products, and a mix is nearer or does it for less than each of its own', () => {
  let mixed = 0;
  fc.assert(
    fc.property(anyDepth, anyKit, fc.constantFrom(BASE, CONTOUR), (depth, offs, step) => {
      const skin = skinAt(depth);
      const { answers } = matchStep(step, contextFor(skin, kitRound(skin, offs)), { count: 12 });
      const idsIn = ({ parts }: (typeof answers)[number]) => parts.map(({ product: one }) => one.id);
      const sets = answers.map((answer) => [...idsIn(answer)].sort().join());
      expect(new Set(sets).size).toBe(sets.length);
      const singles = answers.filter(({ parts }) => parts.length === 1);
      for (const mix of answers.filter(({ parts }) => parts.length > 1)) {
        mixed++;
        for (const single of singles.filter((one) => idsIn(mix).includes(idsIn(one)[0]!)))
          expect(mix.cost < single.cost || mix.deltaE! < single.deltaE!).toBe(true);
      }
    }),
    { numRuns: 120 },
  );
  expect(mixed).toBeGreaterThan(20);
});

test('no answer is given twice, however many searches find it', () => {
  let mixed = 0;
  for (let depth = 4; depth <= 20; depth += 2)
    for (const offs of [
      [-1, 5],
      [0.4, 4.5, 6],
      [-2, 0.2, 5, 6],
    ]) {
      const skin = skinAt(depth);
      const { answers } = matchStep(CONTOUR, contextFor(skin, kitRound(skin, offs)));
      const names = answers.map(({ parts }) =>
        parts.map(({ product: { id: of }, measures }) => `${measures} ${of}`).join(),
      );
      expect(new Set(names).size).toBe(names.length);
      mixed += answers.filter(({ parts }) => parts.length > 1).length;
    }
  expect(mixed).toBeGreaterThan(20);
});

test('what to stir in is said where somebody makes it and would stir it in: within four steps of what is asked', () => {
  for (const [by, said] of [
    [-3.1, true],
    [-4.4, false],
    [5.6, false],
  ] as const) {
    const skin = skinAt(12);
    const wanted = wantedColour(BASE, client(skin))!;
    const { gap } = matchStep(BASE, contextFor(skin, [product(1, 'base', shiftDepth(wanted, by))]));
    expect([by, gap!.mixNeeds !== null]).toEqual([by, said]);
  }
  // Of no surface: a base that is as yellow as nothing is.
  const skin = skinAt(12);
  const rosy: Lab = [wantedColour(BASE, client(skin))![0], 45, -20];
  expect(matchStep(BASE, contextFor(skin, [product(1, 'base', rosy)])).gap!.mixNeeds).toBeNull();
});

test('the order in which a kit lies in the case does not matter', () => {
  fc.assert(
    fc.property(anyDepth, anyKit, fc.infiniteStream(fc.nat()), (depth, offs, noise) => {
      const skin = skinAt(depth);
      const products = kitRound(skin, offs);
      const shuffled = products
        .map((p) => ({ p, at: noise.next().value as number }))
        .sort((a, b) => a.at - b.at);
      const costs = (list: readonly Product[]) =>
        matchStep(CONTOUR, contextFor(skin, list)).answers.map((a) => Number(a.cost.toFixed(6)));
      expect(costs(shuffled.map(({ p }) => p))).toEqual(costs(products));
    }),
    { numRuns: 30 },
  );
});

test('the shade asked for itself is taken before one that is half a step off, on every depth', () => {
  for (let depth = 4; depth <= 20; depth += 0.5) {
    const skin = skinAt(depth);
    const wanted = wantedColour(BASE, client(skin))!;
    const [near, far] = [product(1, 'base', wanted), product(2, 'base', shiftDepth(wanted, 0.5))];
    expect(matchStep(BASE, contextFor(skin, [far, near])).answers[0]!.parts.map((p) => p.product.id)).toEqual(
      [near.id],
    );
  }
});

test('what is in no case comes after all that is, and the gap names it', () => {
  const skin = skinAt(10);
  const it = product(1, 'base', skin, { line: 'Wanted' });
  const { answers, gap } = matchStep(BASE, { ...contextFor(skin, [it]), kit: { products: [it], units: [] } });
  expect(answers.map(isOwned)).toEqual([false]);
  expect(gap!.words).toContain('which is in no case');
  expect(gap!.buy).toContain('Wanted');
});

test('a gap out of range says how far, what stirred in would do it, and what to buy, free of what she must not meet', () => {
  const skin = skinAt(14);
  const far = product(1, 'contour', shiftDepth(skin, -0.4), { finish: 'matte' });
  const context = { ...contextFor(skin, [far]), client: { ...client(skin), sensitivities: ['lanolin'] } };
  const { gap, answers } = matchStep(CONTOUR, context);
  expect(answers).toEqual([]);
  expect(gap!.words).toContain('lighter than the skin');
  expect(gap!.nearest!.parts[0]!.product.id).toBe(far.id);
  expect(gap!.mixNeeds).toContain('half and half with one about depth');
  expect(gap!.buy).toMatch(/^a matte contour, about depth .*, free of lanolin$/);
});

describe('what to buy, in words', () => {
  const asking = (role: LayerKind, shade: Lab | null, kind: ProductKind): LookStep => ({
    ...CONTOUR,
    role,
    wants: { kinds: [kind] },
    shade: shade && { lab: [...shade] },
    placements: [],
  });
  test.each<[LayerKind, ProductKind, Lab, string]>([
    ['lip', 'lip colour', [42, 56, 32], 'a lip colour, red, L* 42, a* 56, b* 32'],
    ['liner', 'liner', [14, 0, 0], 'a liner, black, L* 14, a* 0, b* 0'],
    ['eye', 'shadow', [46, 16, 26], 'a shadow, bronze, L* 49'],
    ['blush', 'blush', [62, 38, 4], 'a blush, pink, L* 62'],
  ])('of %s by what a colour is called, and not by how deep a skin it is for', (role, kind, shade, words) => {
    const { buy } = matchStep(asking(role, shade, kind), contextFor(skinAt(9), [])).gap!;
    expect(buy).toContain(words);
    expect(buy).not.toMatch(/depth|golden|red-brown/);
  });

  test('of what is of the skin by how deep a skin it is for', () =>
    expect(matchStep(BASE, contextFor(skinAt(19), [])).gap!.buy).toMatch(
      /about depth 19\.\d \(very deep\), L\* \d+, a\* \d+, b\* \d+/,
    ));

  test('with contact lenses free of fibres at the eyes, and nowhere else', () => {
    const buy = (step: LookStep, lenses: boolean, sensitivities: string[] = []): string =>
      matchStep(step, {
        ...contextFor(skinAt(9), []),
        client: client(skinAt(9), { features: { lenses }, sensitivities }),
      }).gap!.buy!;
    const mascara = asking('lash', null, 'mascara');
    const lip = asking('lip', [42, 56, 32], 'lip colour');
    expect(buy(mascara, true)).toMatch(/free of fibres$/);
    expect(buy(mascara, true, ['latex', 'fibres'])).toMatch(/free of latex, fibres$/);
    expect(buy(mascara, false)).not.toContain('fibres');
    for (const step of [lip, BASE]) expect(buy(step, true)).not.toContain('free of');
    expect(buy(lip, true, ['fibres'])).toMatch(/free of fibres$/);
  });
});

describe('with contact lenses', () => {
  const fibred = (kind: ProductKind): Product =>
    product(70, kind, skinAt(9), { eyeSafe: true, ingredients: ['Nylon-66', 'water'] });
  const why = (kind: ProductKind, step: LookStep, lenses: boolean): string | null =>
    excludedBecause(fibred(kind), step, {
      ...contextFor(skinAt(9), [fibred(kind)]),
      client: client(skinAt(9), { features: { lenses } }),
    });
  const at = (role: LayerKind, kind: ProductKind, guide: GuideName): LookStep => ({
    ...CONTOUR,
    role,
    wants: { kinds: [kind] },
    placements: [{ guide, side: 'both' }],
  });

  test('what sheds fibres stays away from the eyes, whatever the layer, and from nowhere else', () => {
    for (const step of [
      at('lash', 'mascara', 'lashes'),
      at('powder', 'powder', 'zone.mobileLid'),
      at('highlight', 'highlight', 'lidCentre'),
    ]) {
      const kind = step.wants.kinds[0]!;
      expect(why(kind, step, true)).toBe('contains Nylon-66: fibres shed into contact lenses');
      expect(why(kind, step, false)).toBeNull();
    }
    for (const step of [at('powder', 'powder', 'zone.chin'), at('base', 'base', 'zone.wholeFace')])
      expect(why(step.wants.kinds[0]!, step, true)).toBeNull();
  });
});

test('where nothing can be used at all the commonest reasons are told, with how many', () => {
  const skin = skinAt(9);
  const withMica = [1, 2, 3].map((n) =>
    product(n, 'contour', shiftDepth(skin, 2), { finish: 'matte', ingredients: ['mica'] }),
  );
  const context = {
    ...contextFor(skin, [
      ...withMica,
      product(4, 'contour', shiftDepth(skin, 2), { finish: 'matte', withdrawn: true }),
    ]),
    client: { ...client(skin), sensitivities: ['mica'] },
  };
  expect(matchStep(CONTOUR, context).gap!.words).toMatch(
    /^Contour: no contour of the kit can be used: contains mica \(3 of 4\), withdrawn \(1 of 4\)\./,
  );
});

describe('what a step asks of cover and of what a product is made of', () => {
  const anyCover = fc.constantFrom(...COVERAGE_WORDS);
  const anyFamily = fc.constantFrom(...FAMILIES);
  const named = (
    answer: { readonly parts: readonly { readonly product: Product }[] } | undefined,
  ): string[] => answer!.parts.map((part) => part.product.id);

  test('of one colour what covers as asked is taken, else the nearest class; nothing is ruled out by it', () => {
    fc.assert(
      fc.property(anyDepth, fc.uniqueArray(anyCover, { minLength: 1 }), anyCover, (depth, owned, asked) => {
        const skin = skinAt(depth);
        const step = { ...BASE, wants: { kinds: BASE.wants.kinds, coverages: [asked] } };
        const wanted = wantedColour(step, client(skin))!;
        // A sheer layer shows less, so all are asked what they are in the pan.
        const products = owned.map((coverage, i) => product(300 + i, 'base', wanted, { coverage }));
        const { answers } = matchStep(step, contextFor(skin, products));
        const off = (one: (typeof owned)[number]): number =>
          Math.abs(COVERAGE_WORDS.indexOf(one) - COVERAGE_WORDS.indexOf(asked));
        const nearest = Math.min(...owned.map(off));
        expect(off(answers[0]!.parts[0]!.product.coverage)).toBe(nearest);
        expect(new Set(answers.flatMap(named)).size).toBe(owned.length);
        for (const { costs, parts } of answers)
          expect(costs.some((c) => c.part === 'coverage')).toBe(parts[0]!.product.coverage !== asked);
      }),
      { numRuns: 60 },
    );
  });

  test('of one colour what is made of what was asked is taken before anything else', () => {
    fc.assert(
      fc.property(anyDepth, anyFamily, anyFamily, (depth, asked, other) => {
        fc.pre(asked !== other);
        const skin = skinAt(depth);
        const step = { ...BASE, wants: { kinds: BASE.wants.kinds, families: [asked] } };
        const wanted = wantedColour(step, client(skin))!;
        const [right, wrong] = [
          product(310, 'base', wanted, { family: asked }),
          product(311, 'base', wanted, { family: other }),
        ];
        const { answers } = matchStep(step, contextFor(skin, [wrong, right]));
        expect(answers.map(named)).toEqual([[right.id], [wrong.id]]);
        expect(answers[1]!.costs.map((c) => c.words)).toContain(`made of ${other}, not ${asked}`);
      }),
      { numRuns: 40 },
    );
  });

  test('a shade that is plainly wrong is not taken for its cover', () => {
    for (let depth = 4; depth <= 20; depth += 2) {
      const skin = skinAt(depth);
      const step = { ...BASE, wants: { kinds: BASE.wants.kinds, coverages: ['full' as const] } };
      const wanted = wantedColour(step, client(skin))!;
      const right = product(320, 'base', wanted, { coverage: 'medium' });
      const off = product(321, 'base', shiftDepth(wanted, 1.4), { coverage: 'full' });
      expect(named(matchStep(step, contextFor(skin, [off, right])).answers[0])).toEqual([right.id]);
    }
  });

  test('where nothing does it, what to buy says how it covers and what it is made of', () => {
    const step = {
      ...BASE,
      wants: { kinds: ['base' as const], coverages: ['sheer' as const], families: ['water' as const] },
    };
    expect(matchStep(step, contextFor(skinAt(9), [])).gap!.buy).toMatch(/sheer covering water based/);
  });
});

describe('an eye colour on any skin', () => {
  const eye = (lab: Lab, guide: 'lid' | 'socket' | 'openLid'): typeof CONTOUR => ({
    ...CONTOUR,
    role: 'eye',
    shade: { lab: [...lab] },
    wants: { kinds: ['shadow'] },
    placements: [{ guide, side: 'both' }],
  });
  /** Steps from the skin of what is asked there, of a colour so many steps from it. */
  const held = (skinDepth: number, steps: number, guide: 'lid' | 'socket' | 'openLid', contrast?: 'bold') => {
    const who = client(skinAt(skinDepth));
    const own = depthOf(skinTarget(who.skin)!);
    return depthOf(wantedColour(eye([lightnessAtDepth(own + steps), 8, 14], guide), who, contrast)!) - own;
  };
  const RANGE = { lid: [-4, 6], openLid: [-4, 6], socket: [1.5, 6] } as const;

  test('keeps its range, and what a look has deeper stays deeper', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 20, noNaN: true }),
        fc.double({ min: -14, max: 18, noNaN: true }),
        fc.double({ min: 0.5, max: 10, noNaN: true }),
        fc.constantFrom('lid' as const, 'socket' as const, 'openLid' as const),
        (skinDepth, steps, deeper, guide) => {
          // No colour is lighter than white or deeper than black.
          fc.pre(skinDepth + steps > 1.5 && skinDepth + steps + deeper < 26);
          const [from, to] = RANGE[guide];
          const [one, other] = [held(skinDepth, steps, guide), held(skinDepth, steps + deeper, guide)];
          expect(one).toBeGreaterThanOrEqual(from - 1e-6);
          expect(other).toBeLessThanOrEqual(to + 1e-6);
          expect(other).toBeGreaterThan(one);
        },
      ),
      { numRuns: 200 },
    );
  });

  // As it is far from the ends of its range, drawn together towards them.
  test.each([
    ['lid', -1.4, -1.4],
    ['lid', 3.4, 3.4],
    ['openLid', 1, 1],
    ['socket', 3.1, 3.1],
    ['socket', 4.4, 4.4],
    ['lid', 6, 3.5 + 2.5 * (1 - Math.exp(-0.5))],
    ['lid', 8.5, 3.5 + 2.5 * (1 - Math.exp(-1))],
    ['socket', 14.5, 4.5 + 1.5 * (1 - Math.exp(-2))],
    ['lid', -6.5, -1.5 - 2.5 * (1 - Math.exp(-1))],
    ['socket', -2, 3 - 1.5 * (1 - Math.exp(-1))],
  ] as const)('at the %s, %d steps from the skin: %d', (guide, steps, asked) => {
    for (const skinDepth of [8, 11, 14]) expect(held(skinDepth, steps, guide)).toBeCloseTo(asked, 6);
  });

  test('bold contrast lets it go three steps deeper', () => {
    expect(held(6, 20, 'lid', 'bold')).toBeGreaterThan(8);
    expect(held(6, 20, 'lid', 'bold')).toBeLessThanOrEqual(9);
    expect(held(6, 20, 'lid')).toBeLessThanOrEqual(6);
  });
});

describe('what is stirred into a base', () => {
  const drop = (n: number, lab: Lab, tintingStrength: number, mgPerMeasure: number) =>
    product(n, 'adjuster', lab, { measure: 'drop', tintingStrength, mgPerMeasure });
  const adjusters = (mg: number) => [
    drop(301, [94, -0.5, 2], 1.1, mg),
    drop(302, [82, 6, 58], 1.6, mg),
    drop(303, [42, -4, -28], 2.4, mg),
    drop(304, [45, 42, 24], 2, mg),
  ];
  const stirredIn = ({ parts }: { readonly parts: readonly { product: Product; measures: number }[] }) => {
    const mg = (kinds: readonly string[]): number =>
      parts
        .filter(({ product: p }) => kinds.includes(p.kind))
        .reduce((sum, { product: p, measures }) => sum + measures * p.mgPerMeasure, 0);
    return mg(['adjuster']) / mg(['adjuster', 'base']);
  };

  test('is never more than a third of it, on any skin, by any kit, of drops of any size', () => {
    let stirred = 0;
    fc.assert(
      fc.property(
        anyDepth,
        // Spread evenly: numbers at random are nearly none as often as not, and nothing is stirred into them.
        fc.array(
          fc.integer({ min: -40, max: 60 }).map((tenths) => tenths / 10),
          { minLength: 1, maxLength: 3 },
        ),
        fc.constantFrom(10, 35, 75, 150),
        (depth, offs, mg) => {
          const skin = skinAt(depth);
          const { answers } = matchStep(
            BASE,
            contextFor(skin, [
              ...kitRound(
                skin,
                offs.map((off) => off * 2),
              ),
              ...adjusters(mg),
            ]),
            { outside: true },
          );
          for (const answer of answers) {
            const share = stirredIn(answer);
            expect(share).toBeLessThanOrEqual(1 / 3 + 1e-9);
            if (share > 0) stirred++;
          }
        },
      ),
      { numRuns: 60 },
    );
    expect(stirred).toBeGreaterThan(10);
  });
});
