import fc from 'fast-check';
import {
  deltaE2000,
  depthOf,
  labUnder,
  mixSpectra,
  reconstructSpectrum,
  shiftDepth,
  type Lab,
} from '../colour';
import { BASES, client, id, KIT, kitOf, product, SKIN } from '../look/look.testing';
import type { Kit } from '../kit';
import {
  barredBecause,
  besideInWords,
  calibrateTinting,
  chooseCorrector,
  correctorHue,
  doseForCoverage,
  flashback,
  flashGradeOf,
  GAP_FROM,
  huesAgainst,
  identifyPan,
  layOver,
  matchable,
  matchShades,
  needsSubstitute,
  opticsOf,
  readSpot,
  sculptShades,
  shadeMap,
  skinTarget,
  substitute,
  unitToTake,
  unusableBecause,
  whyNot,
  type ShadeContext,
  type Discolouration,
} from '.';

const context = (
  more: { kit?: Kit; skin?: Lab; features?: object; sensitivities?: string[]; date?: string } = {},
): ShadeContext => ({
  client: client(more.skin ?? SKIN, { features: more.features, sensitivities: more.sensitivities }),
  kit: more.kit ?? KIT,
  date: more.date ?? '2031-05-14',
});
const skinSpectrum = (lab: Lab) => reconstructSpectrum(lab, 'D65', 'skin').spectrum;

describe('match', () => {
  test('best of each kind, nearest first, with amounts in whole measures and daylight as in the bowl', () => {
    const found = matchShades(context());
    expect(found.target).toEqual(skinTarget(context().client.skin));
    for (const list of [found.singles, found.pairs]) {
      expect(list.length).toBeGreaterThan(0);
      for (const match of list) {
        expect(match.deltaE).toBeCloseTo(deltaE2000(found.target!, match.lab), 9);
        expect(match.amount.measures.every((m) => Number.isInteger(2 * m) && m > 0)).toBe(true);
        expect(match.cost).toBeCloseTo(
          match.costs.reduce((sum, c) => sum + c.units, 0),
          9,
        );
        expect(match.amount.takenMg).toBeCloseTo(
          match.parts.reduce((sum, p, i) => sum + match.amount.measures[i]! * p.product.mgPerMeasure, 0),
          6,
        );
        expect(match.amount.ml).toBeCloseTo(match.amount.takenMg / 1050, 9);
      }
    }
    expect(found.singles[0]!.deltaE).toBeLessThanOrEqual(found.singles.at(-1)!.deltaE + 0.1);
  });

  test('the weights move the target from the face to the neck', () => {
    const face = matchShades(context(), { weights: { face: 100, neck: 0, decollete: 0 } }).target!;
    const neck = matchShades(context(), { weights: { face: 0, neck: 100, decollete: 0 } }).target!;
    expect(deltaE2000(neck, context().client.skin.neck!)).toBeLessThan(1e-9);
    expect(deltaE2000(face, neck)).toBeGreaterThan(1);
  });

  test('wishes leave out what does not meet them, sensitivities and dates too', () => {
    const kit = kitOf(
      product(60, 'base', [64, 12, 19], { finish: 'matte' }),
      product(61, 'base', [63, 12, 19], { ingredients: ['lanolin'] }),
      product(62, 'base', [62, 12, 19], { withdrawn: true }),
      product(63, 'base', [61, 12, 19]),
      product(64, 'adjuster', [94, 0, 2], { finish: 'matte', measure: 'drop', mgPerMeasure: 35 }),
    );
    const ids = (wishes = {}, who = context({ kit })) =>
      matchable(who, wishes).map((p) => Number(p.id.slice(-3)));
    expect(ids()).toEqual([60, 61, 63, 64]);
    expect(ids({}, context({ kit, sensitivities: ['lanolin'] }))).toEqual([60, 63, 64]);
    expect(ids({ filter: { finishes: ['natural'] } })).toEqual([61, 63, 64]);
    expect(ids({}, context({ kit, date: '2035-01-01' }))).toEqual([]);
    expect(matchShades(context({ kit: { products: [], units: [] } })).limits).toEqual([
      'No product of the kit meets these wishes.',
    ]);
    expect(matchShades({ ...context(), client: { ...context().client, skin: {} } }).limits[0]).toMatch(
      /Nothing of the skin/,
    );
  });

  test('families that do not agree are never stirred together; an adjuster is never worn alone', () => {
    const kit = kitOf(
      product(60, 'base', [70, 11, 19], { family: 'water' }),
      product(61, 'base', [58, 12, 19]),
      product(64, 'adjuster', [94, 0, 2], { measure: 'drop', mgPerMeasure: 35 }),
    );
    const found = matchShades(context({ kit }));
    expect(found.singles.map((m) => m.parts[0]!.product.kind)).toEqual(['base', 'base']);
    for (const match of [...found.pairs, ...found.triples])
      expect(new Set(match.parts.map((p) => p.product.family)).size).toBe(1);
    expect(found.pairs.length).toBeGreaterThan(0);
  });

  test('a pinned product is in every answer; why not answers for any product', () => {
    const pin = BASES[3]!.id;
    const found = matchShades(context(), { pin });
    for (const match of [...found.singles, ...found.pairs, ...found.triples])
      expect(match.parts.some((p) => p.product.id === pin)).toBe(true);
    expect(whyNot(pin, context())).toMatch(/Alone it is \d+\.\d off: .* deeper.*best of all is \d/);
    expect(whyNot(id(20), context())).toMatch(/is a contour/);
    expect(whyNot(id(999), context())).toMatch(/not in this studio/);
    expect(whyNot(BASES[0]!.id, context(), { filter: { finishes: ['matte'] } })).toMatch(
      /its finish is natural/,
    );
    expect(whyNot(BASES[0]!.id, context({ sensitivities: [], kit: { ...KIT, units: [] } }))).toMatch(
      /not in any case/,
    );
  });

  test('more is taken for more skin, and less for a sheer veil than for full cover', () => {
    const taken = (wishes: object) => matchShades(context(), wishes).singles[0]!.amount.onFaceMg;
    expect(taken({ zones: ['wholeFace', 'neck', 'decollete'] })).toBeGreaterThan(
      taken({ zones: ['wholeFace'] }),
    );
    expect(taken({ coverage: 'full' })).toBeGreaterThan(taken({ coverage: 'sheer' }));
  });

  test('says what would be opened and what does not suffice', () => {
    const [one] = BASES;
    const kit: Kit = {
      products: [one!],
      units: [{ id: id(500), productId: one!.id, openedOn: null, remainingMg: 20, place: '' }],
    };
    const notes = matchShades(context({ kit })).singles[0]!.notes.join('; ');
    expect(notes).toMatch(/would be opened/);
    expect(notes).toMatch(/not enough/);
    const opened = { ...kit, units: [{ ...kit.units[0]!, openedOn: '2031-05-01', remainingMg: 20_000 }] };
    expect(matchShades(context({ kit: opened })).singles[0]!.notes.join('; ')).not.toMatch(
      /opened|not enough|nearly out/,
    );
  });
});

test('the dose for a coverage class is 1 mg/cm2 for a product of that class', () => {
  for (const coverage of ['sheer', 'light', 'medium', 'full'] as const)
    expect(doseForCoverage(opticsOf({ lab: [66, 12, 20], coverage }), coverage)).toBeCloseTo(1, 6);
});

test('a colour beside another in words', () => {
  expect(besideInWords([64, 12, 19], [64, 12, 19])).toBe('the same');
  expect(besideInWords([64, 12, 19], shiftDepth([64, 12, 19], 1))).toMatch(/^1\.0 steps deeper/);
  expect(besideInWords([64, 12, 19], [64, 9, 21])).toMatch(/yellower/);
});

test('the unit that ends first is taken first, opened before sealed, never an empty one', () => {
  const p = product(10, 'base', SKIN);
  const unit = (n: number, openedOn: string | null, remainingMg = 100) => ({
    id: id(n),
    productId: p.id,
    openedOn,
    remainingMg,
    place: '',
  });
  const kit = {
    products: [p],
    units: [
      unit(1, null),
      unit(2, '2031-04-01'),
      unit(3, '2031-01-01'),
      unit(4, '2030-09-01', 0),
      unit(5, '2029-01-01'),
    ],
  };
  expect(unitToTake(p, { kit, date: '2031-05-14' })!.id).toBe(id(3));
  expect(unusableBecause(p, context({ kit: { ...kit, units: [unit(4, '2031-01-01', 0)] } }))).toBe('used up');
});

test('one 1:1 test mix gives the tinting strength back', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 6, noNaN: true }),
      fc.constantFrom<Lab>([42, -4, -28], [82, 6, 58], [45, 42, 24]),
      (strength, adjuster) => {
        const base: Lab = [66, 12, 20];
        const spectrum = (lab: Lab) => reconstructSpectrum(lab, 'D65', 'oxide').spectrum;
        const read = labUnder(
          mixSpectra([
            { spectrum: spectrum(adjuster), parts: 1, tintingStrength: strength },
            { spectrum: spectrum(base), parts: 1 },
          ]),
          'D65',
        );
        const found = calibrateTinting(adjuster, base, read);
        expect(found.strength / strength).toBeCloseTo(1, 3);
        expect(found.deltaE).toBeLessThan(0.01);
        expect(found.before).toBeGreaterThanOrEqual(found.deltaE - 1e-9);
      },
    ),
    { numRuns: 25, seed: 4 },
  );
});

const atHue = (degrees: number): Lab => {
  const hue = (degrees * Math.PI) / 180;
  return [58, 30 * Math.cos(hue), 30 * Math.sin(hue)];
};

describe('correct', () => {
  test.each<[string, Lab, Lab, ReturnType<typeof readSpot>['kind']]>([
    ['a dark circle', [70, 10, 18], [62, 11, 14], 'shadow'],
    ['a flush', [70, 10, 18], [64, 19, 18], 'redness'],
    ['a sun mark', [70, 10, 18], [62, 11, 19], 'brown'],
    ['a scar', [60, 12, 19], [66, 10, 16], 'pale patch'],
    ['skin like the rest', [60, 12, 19], [60.5, 12, 19], 'none'],
  ])('%s is read as such', (_, skin, spot, kind) => expect(readSpot(skin, spot).kind).toBe(kind));

  // Of a spot as light as the skin round it, redder by so much: from two on redness, else what a base covers.
  test.each([
    [2.1, 'redness'],
    [1.9, 'none'],
    [4.1, 'redness'],
  ] as const)('%d redder and no darker is %s', (redder, kind) => {
    expect(readSpot([70, 10, 18], [70, 10 + redder, 18]).kind).toBe(kind);
    // Far enough from the skin to be seen at all.
    expect(readSpot([70, 10, 18], [70.4, 10 + redder, 19.6]).kind).toBe(kind);
  });

  test('families of corrector follow the discolouration and the depth', () => {
    expect(correctorHue([68, 24, 32])).toBe('peach');
    expect(correctorHue([58, 30, 32])).toBe('salmon');
    expect(correctorHue([48, 36, 42])).toBe('orange');
    expect(correctorHue([74, -16, 18])).toBe('green');
    expect(correctorHue([84, 2, 34])).toBe('yellow');
    expect(huesAgainst('shadow', 72)).not.toContain('orange');
    expect(huesAgainst('shadow', 38)).not.toContain('peach');
    expect(huesAgainst('redness', 60)).toContain('green');
    expect(huesAgainst('none', 60)).toEqual([]);
  });

  test.each<[Lab, string]>([
    // Either side of each border: of lightness where it is warm, of hue, degrees.
    [[65, 24, 32], 'peach'],
    [[64.9, 24, 32], 'salmon'],
    [[53, 24, 32], 'salmon'],
    [[52.9, 24, 32], 'orange'],
    [atHue(29.5), 'other'],
    [atHue(30.5), 'salmon'],
    [atHue(74.5), 'salmon'],
    [atHue(75.5), 'yellow'],
    [atHue(99.5), 'yellow'],
    [atHue(100.5), 'green'],
    [atHue(199.5), 'green'],
    [atHue(259.5), 'salmon'],
    [atHue(260.5), 'violet'],
    [atHue(339.5), 'violet'],
    [atHue(340.5), 'other'],
  ])('a corrector of %j is %s', (lab, hue) => expect(correctorHue(lab)).toBe(hue));

  test.each<[Discolouration, number, readonly string[]]>([
    ['shadow', 64.1, ['peach', 'salmon']],
    ['shadow', 63.9, ['peach', 'salmon', 'orange']],
    ['shadow', 48.1, ['peach', 'salmon', 'orange']],
    ['shadow', 47.9, ['salmon', 'orange']],
    ['brown', 70, ['peach', 'salmon', 'yellow']],
    ['brown', 55, ['peach', 'salmon', 'orange', 'yellow']],
    ['brown', 30, ['salmon', 'orange', 'yellow']],
    ['redness', 70, ['green', 'yellow']],
    ['redness', 30, ['green', 'yellow']],
    ['pale patch', 55, []],
    ['none', 55, []],
  ])('%s on skin of L* %d is answered by %j', (kind, skinL, hues) =>
    expect(huesAgainst(kind, skinL)).toEqual(hues),
  );

  const kit = kitOf(
    product(70, 'corrector', [68, 24, 32], { shade: 'peach', family: 'wax' }),
    product(71, 'corrector', [48, 36, 42], { shade: 'orange', family: 'wax' }),
    product(72, 'corrector', [74, -16, 18], { shade: 'green', family: 'wax' }),
    product(73, 'concealer', [70, 10, 18], { coverage: 'full', family: 'wax' }),
    product(74, 'concealer', [78, 9, 17], { coverage: 'full', family: 'wax' }),
    product(75, 'concealer', [41, 13, 16], { coverage: 'full', family: 'wax' }),
  );

  test('on light skin a shadow is left less visible, doing without is an answer, no orange is offered', () => {
    const { corrections, spot } = chooseCorrector([70, 10, 18], [62, 11, 14], context({ kit }));
    expect(corrections[0]!.deltaE).toBeLessThan(spot.deltaE / 2);
    expect(corrections.some((c) => c.layers.length === 0)).toBe(true);
    const used = corrections.flatMap((c) => c.layers.map((l) => l.product.shade));
    expect(used).not.toContain('orange');
    expect(used).not.toContain('green');
    for (const c of corrections) expect(c.deltaE).toBeCloseTo(deltaE2000(c.lab, [70, 10, 18]), 9);
  });

  test('a spot that hardly differs needs nothing', () => {
    const { corrections, words } = chooseCorrector([70, 10, 18], [69.5, 10, 18], context({ kit }));
    expect(corrections[0]!.layers).toEqual([]);
    expect(words).toMatch(/nothing is needed/);
  });

  test('a pale concealer over a shadow is warned of as a grey cast', () => {
    const { corrections } = chooseCorrector(
      [62, 12, 19],
      [54, 13, 15],
      context({ kit, skin: [62, 12, 19] }),
      { over: id(74), count: 40 },
    );
    expect(corrections.flatMap((c) => c.warnings).some((w) => w.includes('grey cast'))).toBe(true);
    const deep = chooseCorrector([38, 12, 15], [31, 12, 11], context({ kit, skin: [38, 12, 15] }), {
      over: id(74),
      count: 40,
    });
    expect(deep.corrections.flatMap((c) => c.warnings).some((w) => w.includes('ashy'))).toBe(true);
  });

  test.each([
    // A brown mark on deep skin, and a shadow that is neither blue nor yellow: there it is said.
    ['brown', [40, 12, 16], [33, 13, 19], true],
    ['brown', [70, 10, 18], [62, 11, 19], false],
    ['shadow', [70, 10, 18], [62, 10, 16], true],
    ['shadow', [70, 10, 18], [62, 11, 14], false],
  ] as const)('of a %s spot on %j the model says where it is not convincing', (kind, skin, spot, doubted) => {
    const bases = [skin, shiftDepth([...skin], -0.6), shiftDepth([...skin], 0.6)].map((lab, i) =>
      product(140 + i, 'concealer', [...lab], { coverage: 'full', family: 'wax' }),
    );
    const found = chooseCorrector(
      [...skin],
      [...spot],
      context({ kit: kitOf(...kit.products, ...bases), skin: [...skin] }),
    );
    expect(found.spot.kind).toBe(kind);
    expect(found.corrections[0]!.layers.length).toBeGreaterThan(0);
    expect(/not convincing/.test(found.words)).toBe(doubted);
    expect(found.words).toContain(`of ${found.spot.deltaE.toFixed(1)}.`);
  });

  test('without a corrector of the right colour that is said, with one it is not', () => {
    const words = (...numbers: number[]): string =>
      chooseCorrector(
        [70, 10, 18],
        [62, 11, 14],
        context({ kit: kitOf(...kit.products.filter(({ id: of }) => numbers.some((n) => id(n) === of))) }),
      ).words;
    expect(words(70, 73)).not.toContain('no corrector');
    expect(words(73)).toContain('no corrector of the right colour');
    // Green is for redness: against a shadow it is as none.
    expect(words(72, 73)).toContain('no corrector of the right colour');
  });

  test('answers that cost the same are shown as ties', () => {
    const twins = kitOf(
      product(73, 'concealer', [70, 10, 18], { coverage: 'full' }),
      product(76, 'concealer', [70, 10.05, 18], { coverage: 'full' }),
    );
    const { corrections } = chooseCorrector([70, 10, 18], [62, 11, 14], context({ kit: twins }));
    expect(corrections[1]!.tie).toBe(true);
    expect(corrections[0]!.tie).toBe(false);
  });
});

describe('sculpt', () => {
  test('contour: matte, about two steps deeper; shimmer is ruled out with its reason', () => {
    const { candidates, ruledOut, wanted } = sculptShades('contour', context());
    expect(depthOf(wanted!) - depthOf(skinTarget(context().client.skin)!)).toBeCloseTo(2, 1);
    expect(candidates[0]!.product.finish).toBe('matte');
    expect(ruledOut.map((r) => r.why)).toContain('shimmer: shine undoes a shadow');
    expect(candidates.every((c) => c.steps >= 1.6)).toBe(true);
    expect(candidates.map((c) => c.cost)).toEqual(candidates.map((c) => c.cost).sort((a, b) => a - b));
  });

  test('mature skin is eased and gets satin light, not shimmer', () => {
    const young = sculptShades('highlight', context());
    const mature = sculptShades('highlight', context({ features: { age: 'mature' } }));
    expect(mature.candidates[0]!.product.finish).toBe('satin');
    expect(mature.words).toMatch(/eased/);
    expect(depthOf(mature.wanted!)).toBeGreaterThan(depthOf(young.wanted!));
    expect(
      mature.candidates
        .find((c) => c.product.finish === 'shimmer')!
        .reasons.some((r) => r.words.includes('shimmer settles in lines')),
    ).toBe(true);
  });

  const blushes = kitOf(
    product(80, 'blush', [74, 24, 12], { shade: 'shell' }),
    product(81, 'blush', [36, 40, 20], { shade: 'clay' }),
  );
  test.each<[Lab, string]>([
    [[36, 13, 13], 'clay'],
    [[78, 9, 15], 'shell'],
  ])('blush on skin %j is %s', (skin, shade) =>
    expect(sculptShades('blush', context({ kit: blushes, skin })).candidates[0]!.product.shade).toBe(shade),
  );

  const bronzers = kitOf(
    product(82, 'bronzer', [56, 15, 16], { shade: 'rose' }),
    product(83, 'bronzer', [56, 11, 26], { shade: 'gold' }),
  );
  test('bronzer goes by undertone', () => {
    const cool: Lab = shiftDepth([66, 12, 18], 0, { undertone: 'cool' });
    const olive: Lab = shiftDepth([60, 12, 18], 0, { undertone: 'olive' });
    const first = (neck: Lab) =>
      sculptShades('bronzer', {
        ...context({ kit: bronzers }),
        client: { ...context().client, skin: { neck } },
      }).candidates[0]!;
    expect(first(cool).product.shade).toBe('rose');
    expect(first(olive).product.shade).toBe('gold');
  });
});

describe('flash', () => {
  const skin = skinSpectrum([40, 12, 15]);
  test('no layer no cast, more and stronger layers a lighter photo, deep skin most', () => {
    expect(flashback(skin, []).deltaL).toBe(0);
    const at = (grade: 0 | 1 | 2 | 3, dose: number, lab: Lab = [40, 12, 15]) =>
      flashback(skinSpectrum(lab), [{ grade, doseMgPerCm2: dose }]).deltaL;
    expect(at(0, 1)).toBe(0);
    expect(at(3, 1)).toBeGreaterThan(at(1, 1));
    expect(at(2, 1)).toBeGreaterThan(at(2, 0.2));
    expect(at(2, 0.5)).toBeGreaterThan(at(2, 0.5, [70, 11, 18]));
    expect(flashback(skin, [{ grade: 3, doseMgPerCm2: 1 }]).cast).toBe(true);
  });
  test('the studio’s own result goes before the guess', () => {
    const powder = product(1, 'powder', [90, 0, 2], {
      texture: 'loose',
      finish: 'shimmer',
      ingredients: ['silica'],
    });
    expect(flashGradeOf(powder)).toBe(3);
    expect(flashGradeOf({ ...powder, flashGrade: 0 })).toBe(0);
    expect(flashGradeOf(product(2, 'base', SKIN))).toBe(0);
  });
});

describe('substitute', () => {
  const gone = product(90, 'base', [60, 12, 19]);
  const kit = kitOf(
    product(91, 'base', [60.5, 12, 19], { finish: 'shimmer', family: 'water', coverage: 'sheer' }),
    product(92, 'base', [61, 12, 19]),
    product(93, 'base', [66, 11, 18]),
    product(94, 'base', [54, 13, 19]),
    product(95, 'concealer', [60, 12, 19]),
  );

  test('nearest by colour and character; other kinds never', () => {
    const found = substitute(gone, context({ kit }), { count: 40 });
    expect(found.find((s) => s.parts.length === 1)!.parts[0]!.product.id).toBe(id(92));
    expect(found.map((s) => s.cost)).toEqual(found.map((s) => s.cost).sort((a, b) => a - b));
    expect(found.every((s) => s.parts.every((p) => p.product.kind === 'base'))).toBe(true);
    const sheer = found.find((s) => s.parts.length === 1 && s.parts[0]!.product.id === id(91));
    expect(sheer!.doseFactor).toBeGreaterThan(1.5);
    expect(sheer!.reasons.join('; ')).toMatch(
      /shimmer instead of natural.*sheer coverage instead of medium.*take .* times the dose/,
    );
    for (const s of found)
      expect(s.onSkin!.deltaE).toBeCloseTo(deltaE2000(s.onSkin!.before, s.onSkin!.after), 9);
  });

  test('what is not packed, forbidden or unsafe is not offered', () => {
    const ids = (options = {}, who = context({ kit })) =>
      substitute(gone, who, options).flatMap((s) => s.parts.map((p) => p.product.id));
    expect(ids({ notPacked: [id(92)] })).not.toContain(id(92));
    expect(ids({ forbids: { finishes: ['shimmer'], kinds: [] } })).not.toContain(id(91));
    expect(substitute(gone, context({ kit, sensitivities: ['lanolin'], date: '2040-01-01' }))).toEqual([]);
  });

  test('what goes to the eyes is replaced by what is meant for them, by its kind or by the steps it is used in', () => {
    const lid = product(80, 'shadow', [50, 12, 14], { texture: 'pressed', eyeSafe: true });
    const near = product(81, 'shadow', [50, 12, 14.5], { texture: 'pressed' });
    const far = product(82, 'shadow', [58, 10, 12], { texture: 'pressed', eyeSafe: true });
    const glitter = product(83, 'shadow', [51, 12, 14], {
      texture: 'loose',
      finish: 'shimmer',
      eyeSafe: true,
    });
    const palette = kitOf(near, far, glitter);
    const ids = (who: ShadeContext, options = {}) =>
      substitute(lid, who, options).map((s) => s.parts[0]!.product.id);
    expect(ids(context({ kit: palette }))).toEqual([id(83), id(82)]);
    expect(ids(context({ kit: palette, features: { lenses: true } }))).toEqual([id(82)]);
    // A shadow that shapes brows alone may be any.
    expect(ids(context({ kit: palette }), { steps: [{ role: 'brow' }] })).toContain(id(81));
    expect(ids(context({ kit: palette }), { steps: [{ role: 'brow' }, { role: 'liner' }] })).not.toContain(
      id(81),
    );
    for (const kind of ['liner', 'mascara'] as const)
      expect(
        substitute(product(84, kind, [20, 2, 2]), context({ kit: kitOf(product(85, kind, [20, 2, 2])) })),
      ).toEqual([]);
    // A light that is laid on the lid, though its kind is none for the eyes.
    const light = product(86, 'highlight', [80, 5, 12]);
    const lights = kitOf(product(87, 'highlight', [80, 5, 12]));
    expect(substitute(light, context({ kit: lights }))).toHaveLength(1);
    expect(
      substitute(light, context({ kit: lights }), { steps: [{ role: 'highlight' }, { role: 'eye' }] }),
    ).toEqual([]);
  });

  test('of a mix it is told which ingredients nobody knows, to whoever must mind them', () => {
    const known = product(71, 'base', [55, 12, 19]);
    const unknown = product(72, 'base', [65, 12, 19], { ingredients: [] });
    const said = (sensitivities: string[]): string[] =>
      substitute(gone, context({ kit: kitOf(known, unknown), sensitivities }), { count: 40 })
        .filter(({ parts }) => parts.some((part) => part.product.id === id(72)))
        .flatMap(({ parts, reasons }) =>
          reasons.filter((why) => /not known/.test(why)).map((why) => `${parts.length} ${why}`),
        );
    expect(said([])).toEqual([]);
    const words = said(['lanolin']);
    expect(words.some((why) => /^2 the ingredients of Ordway Line S72 are not known/.test(why))).toBe(true);
    expect(words.some((why) => /^1 its ingredients are not known/.test(why))).toBe(true);
    expect(words.join()).not.toContain('S71');
  });

  test('a product without colour is replaced by its character', () => {
    const spray = product(96, 'spray', null, { finish: 'matte' });
    const sprays = kitOf(
      product(97, 'spray', null, { finish: 'dewy' }),
      product(98, 'spray', null, { finish: 'natural' }),
    );
    const found = substitute(spray, context({ kit: sprays }));
    expect(found[0]!.parts[0]!.product.id).toBe(id(98));
    expect(found[0]!.deltaE).toBeNull();
  });

  test('says why one is needed', () => {
    expect(needsSubstitute(gone, context({ kit }))).toMatch(/no longer in the kit/);
    expect(needsSubstitute(product(92, 'base', [61, 12, 19]), context({ kit }))).toBeNull();
    expect(needsSubstitute(product(92, 'base', [61, 12, 19]), context({ kit }), [id(92)])).toMatch(
      /not packed/,
    );
    expect(needsSubstitute(product(92, 'base', [61, 12, 19]), context({ kit, date: '2035-05-14' }))).toMatch(
      /shelf life/,
    );
  });
});

describe('which pan', () => {
  const pans = [
    product(1, 'shadow', [60, 10, 10]),
    product(2, 'shadow', [60.6, 10, 10.4]),
    product(3, 'shadow', [30, 20, 5]),
  ];
  test('one far from all others is sure, two alike stay a choice, a stranger is none', () => {
    expect(identifyPan([30.3, 20, 5.2], pans)).toMatchObject({
      verdict: 'sure',
      guesses: [{ product: { id: id(3) } }],
    });
    expect(identifyPan([60.3, 10, 10.2], pans).verdict).toBe('between');
    expect(identifyPan([80, -30, 40], pans)).toMatchObject({ verdict: 'none', guesses: [] });
    expect(identifyPan([50, 0, 0], [])).toMatchObject({ verdict: 'none', none: 1 });
  });
  test('chances sum to one', () => {
    const { guesses, none } = identifyPan([59, 10, 11], pans);
    expect(guesses.reduce((sum, g) => sum + g.certainty, none)).toBeGreaterThan(0.97);
    expect(identifyPan([59, 10, 11], pans, ['blush']).guesses).toEqual([]);
  });
});

test.each([
  ['mascara', 'extensions', true],
  ['lashes', 'extensions', true],
  ['liner', 'extensions', false],
  ['mascara', 'sparse', false],
] as const)('%s over lashes that are %s is barred: %s', (kind, lashes, barred) => {
  const worn = client(SKIN, { features: { lashes } });
  const why = barredBecause(product(7, kind, [20, 0, 0]), { role: 'lash' }, worn);
  expect(why !== null && /extensions/.test(why)).toBe(barred);
});

test('the shade map names the skins nothing comes near', () => {
  const { points, gaps } = shadeMap(BASES);
  expect(points).toHaveLength(BASES.length);
  for (const gap of gaps)
    expect(Math.min(...BASES.map((p) => deltaE2000(p.lab!, gap.lab)))).toBeCloseTo(gap.nearest, 9);
  expect(gaps.some((g) => g.depth > 18)).toBe(true);
  // What comes near enough is no gap, by itself or mixed.
  expect(gaps.every((g) => g.nearestMix > GAP_FROM && g.nearestMix <= g.nearest)).toBe(true);
  expect(gaps.length).toBeLessThan(48);
  expect(shadeMap([]).gaps).toHaveLength(48);
});

test('films: two layers of one product equal one of both doses', () => {
  const optics = opticsOf({ lab: [66, 12, 20], coverage: 'medium' });
  const ground = skinSpectrum([52, 13, 17]);
  const twice = layOver(layOver(ground, optics, 0.4), optics, 0.7);
  const once = layOver(ground, optics, 1.1);
  twice.forEach((r, i) => expect(r).toBeCloseTo(once[i]!, 10));
});
