import fc from 'fast-check';
import { depthOf, lightnessAtDepth, type Lab } from '../colour';
import { FAMILIES, isWet, mayBeStirred, TEXTURES, type Product } from '../kit';
import { client, kitOf, product } from '../look/look.testing';
import { isClear, matchStep, skinTarget, type ShadeAsk } from '.';

/*
 * What an artist's own case has and the demo's has not: a powder without a colour, one concealer, one contour
 * in a pan.
 */
const DATE = '2031-05-14';
const context = (skin: Lab, ...products: Product[]) => ({
  client: client(skin),
  kit: kitOf(...products),
  date: DATE,
});
const skinAt = (depth: number): Lab => [lightnessAtDepth(depth), 11, depth < 15 ? 18 : 14];
const SET: ShadeAsk = {
  role: 'powder',
  phase: 'set',
  title: 'Set',
  shade: { relative: { to: 'skin', depthSteps: 0 } },
  wants: { kinds: ['powder'] },
  placements: [{ guide: 'zone.noseSide', side: 'both' }],
  doseMgPerCm2: 0.3,
  passes: 1,
  tool: 'puff',
};
const clear = (shade: string, more: Partial<Product> = {}): Product =>
  product(1, 'powder', null, { line: 'Cloth', shade, texture: 'loose', coverage: 'medium', ...more });
const used = (ask: ShadeAsk, ...rest: Parameters<typeof context>): string | null =>
  matchStep(ask, context(...rest))
    .answers[0]?.parts.map(({ product: p }) => p.shade)
    .join('+') ?? null;

describe('a powder without a colour', () => {
  const banana = product(2, 'powder', [86, 3, 22], { shade: 'banana', texture: 'loose' });
  const cocoa = product(3, 'powder', [40, 12, 18], { shade: 'cocoa', texture: 'loose' });

  test.each(['translucent', 'Clear', 'colourless', 'Invisible', 'no colour'])('%s is clear', (shade) => {
    expect(isClear(clear(shade))).toBe(true);
    expect(isClear(clear(shade, { lab: [80, 4, 10] }))).toBe(false);
    expect(isClear(clear(shade, { kind: 'primer' }))).toBe(false);
  });
  test.each(['cocoa', 'nuclear', 'N2', ''])('“%s” says nothing of it', (shade) =>
    expect(isClear(clear(shade))).toBe(false),
  );

  test('sets light skin, where what has a colour does not suit, and is ash on deep skin', () => {
    const kit = [clear('translucent'), banana, cocoa];
    for (const depth of [7, 8, 9, 10, 11])
      expect([depth, used(SET, skinAt(depth), ...kit)]).toEqual([depth, 'translucent']);
    for (const depth of [17, 18, 19, 20, 21]) {
      const { answers, gap, outside } = matchStep(SET, context(skinAt(depth), clear('translucent')));
      expect([depth, answers]).toEqual([depth, []]);
      expect(gap!.words).toContain('lighter than the skin: ashy');
      expect(outside[0]!.misses[0]!.name).toBe('ash');
    }
  });

  test('where a step asks for no colour too: ash on deep skin, and what to buy has none', () => {
    const asks = { ...SET, shade: null };
    expect(used(asks, skinAt(7), clear('translucent'))).toBe('translucent');
    const { answers, gap } = matchStep(asks, context(skinAt(20), clear('translucent')));
    expect(answers).toEqual([]);
    expect(gap!.buy).toBe('a powder');
  });

  test('is told without a colour, and comes after one of the skin’s own depth', () => {
    const skin = skinAt(6);
    const [only] = matchStep(SET, context(skin, clear('translucent'))).answers;
    expect([only!.lab, only!.deltaE]).toEqual([null, null]);
    const own = product(4, 'powder', [...skinTarget(client(skin).skin)!], { shade: 'own', texture: 'loose' });
    expect(used(SET, skin, clear('translucent'), own)).toBe('own');
  });

  test('one that says nothing is judged by nobody: as before it is taken only where none has a colour', () => {
    expect(used(SET, skinAt(20), clear('dusk'))).toBe('dusk');
    expect(used(SET, skinAt(20), clear('dusk'), product(5, 'powder', [31, 12, 14], { shade: 'own' }))).toBe(
      'own',
    );
  });
});

describe('the one concealer of a case', () => {
  const BRIGHTEN: ShadeAsk = {
    ...SET,
    role: 'conceal',
    phase: 'conceal',
    title: 'Conceal',
    shade: { relative: { to: 'skin', depthSteps: -1 } },
    wants: { kinds: ['concealer'] },
    placements: [{ guide: 'underEyeLight', side: 'both' }],
    doseMgPerCm2: 1.4,
  };
  const skin = skinAt(8);
  const at = (n: number, steps: number, more: Partial<Product> = {}): Product => {
    const [L, a, b] = skinTarget(client(skin).skin)!;
    return product(n, 'concealer', [lightnessAtDepth(depthOf([L, a, b]) + steps), a, b], {
      shade: `at ${steps}`,
      coverage: 'full',
      texture: 'cream',
      ...more,
    });
  };

  test('covers as deep as the skin, where nothing lightens; deeper and far lighter do not', () => {
    for (const steps of [-0.1, 0, 0.2]) {
      const { answers, gap } = matchStep(BRIGHTEN, context(skin, at(1, steps)));
      expect([steps, gap, answers[0]!.misses]).toEqual([steps, null, []]);
      expect(answers[0]!.costs[0]).toMatchObject({ part: 'depth', units: 2 });
    }
    for (const steps of [1, 2, -4])
      expect([steps, used(BRIGHTEN, skin, at(1, steps))]).toEqual([steps, null]);
  });

  test('is no light: that is lighter or left out', () => {
    const light = { ...BRIGHTEN, role: 'highlight' as const };
    for (const steps of [-0.1, 0, 0.2])
      expect([steps, used(light, skin, at(1, steps))]).toEqual([steps, null]);
    expect(used(light, skin, at(1, -1))).toBe('at -1');
  });

  test('is passed over for one that lightens, not for one that is in no case', () => {
    expect(used(BRIGHTEN, skin, at(1, 0), at(2, -1))).toBe('at -1');
    const owned = context(skin, at(1, 0), at(2, -1));
    const units = owned.kit.units.filter((u) => u.productId === owned.kit.products[0]!.id);
    const { answers } = matchStep(BRIGHTEN, { ...owned, kit: { ...owned.kit, units } });
    expect(answers.map((a) => a.parts[0]!.product.shade)).toEqual(['at 0', 'at -1']);
  });
});

test('nothing pressed is stirred into what is wet; families must agree', () => {
  const of = (texture: Product['texture'], family: Product['family'] = 'silicone') =>
    product(1, 'contour', [50, 10, 14], { texture, family });
  for (const one of TEXTURES)
    for (const other of TEXTURES) {
      const scraped = [one, other].includes('pressed') && [one, other].some((t) => isWet(of(t)));
      expect([one, other, mayBeStirred(of(one), of(other))]).toEqual([one, other, !scraped]);
      for (const family of FAMILIES)
        if (family === 'water') expect(mayBeStirred(of(one), of(other, family))).toBe(false);
    }
});

test('of a case of anything at all no answer stirs a pressed powder into cream', () => {
  const any = fc.record({
    depth: fc.double({ min: 4, max: 21, noNaN: true }),
    texture: fc.constantFrom(...TEXTURES),
  });
  const CONTOUR: ShadeAsk = {
    ...SET,
    role: 'contour',
    phase: 'sculpt',
    title: 'Contour',
    shade: { relative: { to: 'skin', depthSteps: 2 } },
    wants: { kinds: ['contour'], mix: true },
    placements: [{ guide: 'cheekContour', side: 'both' }],
    doseMgPerCm2: 0.9,
  };
  let mixed = 0;
  fc.assert(
    fc.property(
      fc.array(any, { minLength: 2, maxLength: 6 }),
      fc.double({ min: 4, max: 20, noNaN: true }),
      (all, depth) => {
        const kit = all.map((one, i) =>
          product(i + 1, 'contour', [lightnessAtDepth(one.depth), 10, 15], {
            texture: one.texture,
            finish: 'matte',
          }),
        );
        for (const { parts } of matchStep(CONTOUR, context(skinAt(depth), ...kit)).answers) {
          if (parts.length > 1) mixed++;
          const textures = parts.map(({ product: p }) => p.texture);
          expect(textures.includes('pressed') && parts.some(({ product: p }) => isWet(p))).toBe(false);
        }
      },
    ),
    { numRuns: 60, seed: 42 },
  );
  expect(mixed).toBeGreaterThan(20);
});
