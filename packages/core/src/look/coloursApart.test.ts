import fc from 'fast-check';
import type { Lab } from '../colour';
import { snapshotOf } from '../kit';
import {
  alikeInWords,
  chosenApart,
  nearEnough,
  wornColourOf,
  pairsMeantApart,
  fitLook,
  newStep,
  toldApart,
  type LookStep,
} from '.';
import { brownAt, client, id, kitWithShadows, OCCASION, product, STAMP, TWO_SHADOWS } from './look.testing';

const at = brownAt;
const eye = (n: number, shade: LookStep['shade'], more: Partial<LookStep> = {}): LookStep => {
  const { use: _use, ...step } = newStep('eye', id(n), [{ guide: n % 2 ? 'lid' : 'socket', side: 'both' }]);
  return { ...step, title: `Eye ${n}`, shade, ...more };
};
const onLid: LookStep['placements'] = [{ guide: 'lid', side: 'both' }];
const lip = (n: number, shade: LookStep['shade'], more: Partial<LookStep> = {}): LookStep => {
  const { use: _use, ...step } = newStep('lip', id(n), [{ guide: 'lips', side: 'both' }]);
  return { ...step, title: `Lip ${n}`, shade, ...more };
};
const lab = (depth: number): LookStep['shade'] => ({ lab: [...at(depth)] });
const by = (depthSteps: number): LookStep['shade'] => ({ relative: { to: 'skin', depthSteps } });
const told = (steps: readonly LookStep[]) =>
  pairsMeantApart(steps).map(({ lighter, deeper }) => [lighter.title, deeper.title]);

describe('what a look means to be told apart', () => {
  test('a step and a half of depth and more, whichever comes first', () => {
    expect(told([eye(1, lab(8)), eye(2, lab(9.6))])).toEqual([['Eye 1', 'Eye 2']]);
    expect(told([eye(1, lab(9.6)), eye(2, lab(8))])).toEqual([['Eye 2', 'Eye 1']]);
    expect(told([eye(1, lab(8)), eye(2, lab(9.4))])).toEqual([]);
    expect(told([eye(1, by(-1)), eye(2, by(0.6))])).toEqual([['Eye 1', 'Eye 2']]);
  });

  test('every two of three', () =>
    expect(told([eye(1, lab(6)), eye(2, lab(16)), eye(3, lab(11))])).toEqual([
      ['Eye 1', 'Eye 2'],
      ['Eye 1', 'Eye 3'],
      ['Eye 3', 'Eye 2'],
    ]));

  test.each([
    ['one asks for no colour', [eye(1, lab(6)), eye(2, null)]],
    ['one is of itself, the other from the skin', [eye(1, lab(6)), eye(2, by(6))]],
    ['one is no eye', [eye(1, lab(6)), eye(2, lab(16), { role: 'liner' })]],
    ['they are of two variants', [eye(1, lab(6), { variant: 'a' }), eye(2, lab(16), { variant: 'b' })]],
    ['one stands for all of the eye', [eye(1, lab(6)), eye(2, lab(16), { variant: 'a' })]],
    ['one stands for the other', [eye(1, lab(6)), eye(2, lab(16), { variant: 'a', instead: id(1) })]],
    ['they are lips and pencil', [lip(1, lab(6)), lip(2, lab(16), { wants: { kinds: ['lip liner'] } })]],
    ['one is of the lips', [eye(1, lab(6)), lip(2, lab(16))]],
    [
      'they are halves of the lips',
      [
        lip(1, lab(6), { placements: [{ guide: 'lips', side: 'left' }] }),
        lip(2, lab(16), { placements: [{ guide: 'lips', side: 'right' }] }),
      ],
    ],
  ])('nothing where %s', (_, steps) => expect(told(steps)).toEqual([]));

  test('what lies on one eye each is never seen together, on one eye and both it is', () => {
    const on = (n: number, depth: number, side: 'left' | 'right' | 'both') =>
      eye(n, lab(depth), { placements: [{ guide: 'lid', side }] });
    expect(told([on(1, 6, 'left'), on(2, 16, 'right')])).toEqual([]);
    for (const [one, other] of [
      ['left', 'left'],
      ['left', 'both'],
      ['both', 'right'],
    ] as const)
      expect(told([on(1, 6, one), on(2, 16, other)])).toHaveLength(1);
    expect(told([on(1, 6, 'left'), eye(2, lab(16), { placements: [] })])).toHaveLength(1);
  });

  test.each<[string, Partial<LookStep>, Partial<LookStep>]>([
    ['of one variant', { variant: 'a' }, { variant: 'a' }],
    ['of a variant that does a third otherwise', {}, { variant: 'a', instead: id(3) }],
    ['either way round', { variant: 'a', instead: id(3) }, {}],
    ['at one place in two variants', { variant: 'a' }, { variant: 'b', placements: onLid }],
    ['at the place it stands for', {}, { variant: 'a', instead: id(1), placements: onLid }],
  ])('two are told apart %s', (_, one, other) =>
    expect(told([eye(1, lab(6), one), eye(2, lab(16), other), eye(3, null)])).toEqual([['Eye 1', 'Eye 2']]),
  );

  test.each<[Partial<LookStep>, Partial<LookStep>]>([
    [{}, {}],
    [{}, { variant: 'a' }],
    [{ variant: 'a' }, { variant: 'b' }],
    [{}, { variant: 'a', instead: id(1), placements: [] }],
  ])('two lips are, in whatever variants: %j %j', (one, other) =>
    expect(told([lip(1, lab(6), one), lip(2, lab(16), other)])).toEqual([['Lip 1', 'Lip 2']]),
  );
});

const flat = (colour: Lab) => ({ lab: colour, shimmers: false });
const metal = (colour: Lab) => ({ lab: colour, shimmers: true });
test.each([
  ['seven tenths of a step deeper', flat(at(10)), flat(at(10.71)), true],
  ['less than that, of the same colour', flat(at(10)), flat(at(10.69)), false],
  ['as deep, of another colour', flat(at(10)), flat(at(10, 24, -8)), true],
  ['as deep, six apart', flat(at(10)), flat(at(10, 17)), true],
  ['as deep, five apart', flat(at(10)), flat(at(10, 14.5)), false],
  ['a little lighter, of another colour', flat(at(10)), flat(at(9.6, 24, -8)), true],
  ['lighter by more than half a step, of whatever colour', flat(at(10)), flat(at(9.4, 24, -8)), false],
  ['the same', flat(at(10)), flat(at(10)), false],
  ['as deep, under a lid that shimmers', metal(at(10)), flat(at(10)), true],
  ['a step and a half lighter than one that shimmers', metal(at(10)), flat(at(8.6)), true],
  ['lighter than that', metal(at(10)), flat(at(8.4)), false],
  ['as deep, both shimmer', metal(at(10)), metal(at(10)), false],
  ['as deep and shimmering under a matte lid', flat(at(10)), metal(at(10)), false],
])('beside a colour of depth 10: %s', (_, lighter, deeper, apart) =>
  expect(toldApart(lighter, deeper)).toBe(apart),
);

describe('the choice that keeps them apart', () => {
  const choice = (depth: number | null, cost: number, missesFinish = false) => {
    const { measure, ...shadow } = product(1, 'shadow', depth === null ? null : at(depth));
    return {
      use: [{ unitId: null, product: { ...snapshotOf({ ...shadow, measure }) }, parts: 1, measure }],
      cost,
      costs: missesFinish ? [{ part: 'finish' as const, units: 1, words: 'shimmer, not matte' }] : [],
    };
  };
  const steps = (n: number) => Array.from({ length: n }, (_, i) => eye(i + 1, lab(5 + 4 * i)));
  const choices = (n: number) =>
    fc.array(
      fc.array(
        fc.tuple(fc.integer({ min: 4, max: 12 }), fc.nat(28)).map(([d, cost]) => choice(d, cost)),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
      { minLength: n, maxLength: n },
    );
  type Choices = readonly (readonly ReturnType<typeof choice>[])[];
  const alikeOf = (all: Choices, indices: readonly number[]): number =>
    pairsMeantApart(steps(all.length)).filter(({ lighter, deeper }) => {
      const of = (title: string) => {
        const i = Number(title.slice(4)) - 1;
        return wornColourOf(all[i]![indices[i]!]!.use)!;
      };
      return !toldApart(of(lighter.title), of(deeper.title));
    }).length;
  const costOf = (all: Choices, indices: readonly number[]): number =>
    indices.reduce((sum, index, i) => sum + all[i]![index]!.cost, 0);
  const found = (all: Choices): number[] => {
    const own = steps(all.length);
    const taken = chosenApart(own, (step) => all[own.indexOf(step)]!);
    return own.map((step) => taken.get(step.id) ?? 0);
  };

  test('of two: as few alike as can be, for as little as that costs', () => {
    fc.assert(
      fc.property(choices(2), (all) => {
        const sorted = all.map((list) => [...list].sort((a, b) => a.cost - b.cost));
        // All of one colour, lighter or deeper: what is dearer by more than twenty is another look.
        const near = sorted.map((list) =>
          [...list.keys()].filter((i) => list[i]!.cost <= list[0]!.cost + 20),
        );
        const every = near[0]!.flatMap((i) => near[1]!.map((j) => [i, j]));
        const least = Math.min(...every.map((indices) => alikeOf(sorted, indices)));
        const cheapest = Math.min(
          ...every.filter((i) => alikeOf(sorted, i) === least).map((i) => costOf(sorted, i)),
        );
        const taken = found(sorted);
        expect(alikeOf(sorted, taken)).toBe(least);
        expect(costOf(sorted, taken)).toBe(cheapest);
      }),
    );
  });

  test('what is dearer by more than eight stands in only where it is the same colour, lighter or deeper', () => {
    const best = choice(8, 0);
    const other = (depth: number, [a, b]: readonly [number, number], cost: number) => {
      const made = choice(depth, cost);
      const lab: [number, number, number] = [at(depth)[0], a, b];
      return { ...made, use: made.use.map((u) => ({ ...u, product: { ...u.product, lab } })) };
    };
    const [brown, plum, green] = [
      [8, 14],
      [24, -8],
      [-14, 10],
    ] as const;
    for (const depth of [3, 6, 11, 16])
      for (const [hue, most] of [
        [brown, 20],
        [plum, 8],
        [green, 8],
      ] as const) {
        expect([hue, nearEnough(best, other(depth, hue, most))]).toEqual([hue, true]);
        expect([hue, nearEnough(best, other(depth, hue, most + 0.01))]).toEqual([hue, false]);
      }
    // What this face should not have stands in for nothing, unless the best is no better.
    const ill = (units: number, cost: number) => ({
      ...other(11, brown, cost),
      costs: [{ part: 'face' as const, units, words: 'shimmer settles on lined lids' }],
    });
    expect(nearEnough(best, ill(7.9, 12))).toBe(true);
    expect(nearEnough(best, ill(8, 2))).toBe(false);
    expect(nearEnough(ill(8, 0), ill(8, 2))).toBe(true);
    // What has no colour is no other tone of anything.
    expect(nearEnough(best, choice(null, 8))).toBe(true);
    expect(nearEnough(best, choice(null, 8.1))).toBe(false);
    expect(nearEnough(choice(null, 0), choice(8, 8.1))).toBe(false);
  });

  test('of four: never more alike than the best of each, and those where nothing is alike', () => {
    fc.assert(
      fc.property(choices(4), (all) => {
        const first = [0, 0, 0, 0];
        const taken = found(all);
        expect(alikeOf(all, taken)).toBeLessThanOrEqual(alikeOf(all, first));
        if (alikeOf(all, first) === 0) expect(taken).toEqual(first);
      }),
    );
  });

  test('another finish than was asked is taken only where it is cheaper by four', () => {
    const [one, two] = steps(2);
    const pick = (more: number): number[] => {
      const of = [[choice(8, 0)], [choice(8, 0), choice(9, 1, true), choice(10, 1 + more)]];
      const taken = chosenApart([one!, two!], (s) => of[s === one ? 0 : 1]!);
      return [...taken.values()];
    };
    expect(pick(3.9)).toEqual([0, 2]);
    expect(pick(4.1)).toEqual([0, 1]);
    // Where the best had another finish too, it is nothing to keep to.
    const of = [[choice(8, 0)], [choice(8, 0, true), choice(9, 1, true), choice(10, 2)]];
    expect([...chosenApart([one!, two!], (s) => of[s === one ? 0 : 1]!).values()]).toEqual([0, 1]);
  });

  test('what has no colour, or nothing to take, is left alone', () => {
    const [one, two] = steps(2);
    const alike = choice(8, 1);
    expect([...chosenApart([one!, two!], (s) => (s === one ? [] : [alike])).values()]).toEqual([]);
    const none = choice(null, 0);
    expect([...chosenApart([one!, two!], () => [none, alike]).values()]).toEqual([0, 0]);
  });
});

describe('fitted', () => {
  const fitted = (skinDepth: number, ...depths: readonly number[]) => {
    const who = client(brownAt(skinDepth, 10, 16));
    const fit = fitLook(TWO_SHADOWS, who, kitWithShadows(...depths), OCCASION, STAMP);
    const of = (title: string) => fit.chart.steps.find((s) => s.title === title)!;
    return { ...fit, lid: of('Lid'), socket: of('Socket') };
  };
  const shadeOf = ({ use }: { readonly use: readonly { readonly product: { readonly shade: string } }[] }) =>
    use.map(({ product: { shade } }) => shade).join();

  test('where the best of both is one shadow, the next that keeps them apart is taken, first, and said', () => {
    const { lid, socket, notes, proposals } = fitted(3, 6.8, 8.2);
    expect([shadeOf(lid), shadeOf(socket)]).toEqual(['S6.8', 'S8.2']);
    for (const step of [lid, socket]) expect(shadeOf(proposals[step.id]![0]!)).toBe(shadeOf(step));
    const alone = fitted(3, 8.2);
    expect([shadeOf(alone.lid), shadeOf(alone.socket)]).toEqual(['S8.2', 'S8.2']);
    expect(alone.notes).toContain(
      'Socket is meant deeper than lid and comes out alike: the kit has nothing further apart.',
    );
    expect(notes.filter((note) => note.includes('alike'))).toEqual([]);
  });

  test('what is moved says what it is instead of, only that, and only where it is moved', () => {
    let moved = 0;
    for (const skinDepth of [2, 3, 4, 5, 6, 8, 12, 16])
      for (const depths of [
        [5.5, 7.9],
        [6.8, 8.2],
        [4, 9],
        [14, 19],
        [10, 10.2, 11],
      ]) {
        const { lid, socket, notes, chart } = fitted(skinDepth, ...depths);
        const said = notes.filter((note) => note.includes('stay apart'));
        for (const step of [lid, socket]) {
          // Alone in the look each takes what is best for it.
          const rest = TWO_SHADOWS.steps.filter((s) => s.role !== 'eye' || s.title === step.title);
          const alone = fitLook(
            { ...TWO_SHADOWS, steps: rest },
            chart.client,
            kitWithShadows(...depths),
            OCCASION,
            STAMP,
          ).chart.steps.find((s) => s.title === step.title)!;
          const [own, best] = [shadeOf(step), shadeOf(alone)];
          const about = said.filter((note) => note.startsWith(`${step.title}: `));
          expect(about).toEqual(
            own === best
              ? []
              : [
                  `${step.title}: Ordway Line ${own} instead of Ordway Line ${best}, so that the colours of the eye stay apart.`,
                ],
          );
          if (own !== best) moved++;
        }
      }
    expect(moved).toBeGreaterThan(2);
  });

  test.each([2, 4, 7, 10, 14, 18, 21])('with a shadow at every other step, skin of depth %d', (depth) => {
    const { lid, socket } = fitted(depth, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 26);
    const depths = [lid, socket].map((step) => Number(shadeOf(step).slice(1)));
    expect(depths[1]! - depths[0]!).toBeGreaterThanOrEqual(2);
  });
});

test.each([
  [8, 8, 'comes out alike'],
  [8, 7.6, 'comes out alike'],
  [8, 7.4, 'is 0.6 steps lighter'],
  [12, 8, 'is 4.0 steps lighter'],
] as const)('a lid of depth %d and a socket of %d: it %s', (lid, socket, said) => {
  const step = (title: string, depth: number) => ({
    title,
    use: [
      {
        unitId: null,
        product: snapshotOf(product(1, 'shadow', brownAt(depth, 10, 16))),
        parts: 1,
        measure: 'dot' as const,
      },
    ],
  });
  expect(alikeInWords({ lighter: step('Lid', lid), deeper: step('Socket', socket) })).toBe(
    `Socket is meant deeper than lid and ${said}`,
  );
});
