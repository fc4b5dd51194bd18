import {
  chromaOf,
  depthOf,
  labOfHue,
  lightnessAtDepth,
  neutralSkinAt,
  shiftDepth,
  undertoneOf,
  type Lab,
} from '../../colour';
import { PLAIN_FEATURES, type Features } from '../../face';
import type { ShadeRole } from '..';
import { bareLip, BROW_HAIR, chromaShare, missesOf, type Miss, type Strictness, type Wearer } from '.';

/*
 * Where each range ends, in shade steps: the trade's numbers by role (docs/decisions/0010) written down a
 * second time, and each border found by halving. What is proposed keeps the first, what is found has left the
 * second.
 */
const FAIR: Lab = [lightnessAtDepth(3.2), 7, 15];
const MEDIUM: Lab = [lightnessAtDepth(9), 12, 18];
const DEEP: Lab = [lightnessAtDepth(16), 11, 14];
const wearer = (skin: Lab, more: Partial<Wearer> = {}, features: Partial<Features> = {}): Wearer => ({
  skin,
  undertone: undertoneOf(skin).undertone,
  contrast: 'soft',
  ...more,
  features: { ...PLAIN_FEATURES, ...features },
});
const LINED: Partial<Features> = { age: 'mature' };

type Ask = {
  readonly role: ShadeRole;
  readonly by?: Wearer;
  readonly asked?: number;
  readonly finish?: 'matte' | 'shimmer';
  /** What is not swept stays so many steps from the skin. */
  readonly own?: number;
  readonly shown?: number;
};
const at = (
  { role, by = wearer(MEDIUM), asked, finish = 'matte', own, shown }: Ask,
  how: Strictness,
  steps: number,
): readonly Miss['name'][] =>
  missesOf(
    role,
    { own: shiftDepth(by.skin, own ?? steps), shown: shiftDepth(by.skin, shown ?? steps), finish },
    by,
    how,
    asked ?? null,
  ).map(({ name }) => name);
/** The steps at which a miss begins between one where it is not and one where it is. */
function border(ask: Ask, how: Strictness, name: Miss['name'], quiet: number, found: number): number {
  expect([
    ask.role,
    how,
    name,
    at(ask, how, quiet).includes(name),
    at(ask, how, found).includes(name),
  ]).toEqual([ask.role, how, name, false, true]);
  let [not, is] = [quiet, found];
  for (let i = 0; i < 30; i++) {
    const middle = (not + is) / 2;
    if (at(ask, how, middle).includes(name)) is = middle;
    else not = middle;
  }
  return is;
}

type Row = readonly [
  what: string,
  ask: Ask,
  name: Miss['name'],
  quiet: number,
  found: number,
  propose: number,
  find: number,
];
const medium = wearer(MEDIUM);
const fair = wearer(FAIR);
const deep = wearer(DEEP);
const bold = wearer(MEDIUM, { contrast: 'bold' });
const lined = wearer(MEDIUM, {}, LINED);

const ROWS: readonly Row[] = [
  ['a contour in the pan', { role: 'contour', shown: 2 }, 'does nothing', 2.5, 0, 1.6, 0.8],
  ['a contour as it shows', { role: 'contour', own: 2.5 }, 'does nothing', 2, 0, 0.8, 0.45],
  ['a contour as it shows', { role: 'contour', own: 2.5 }, 'stripe', 2, 6, 2.85, 3.7],
  ['a contour in the pan', { role: 'contour', shown: 2 }, 'stripe', 2, 7, 4.2, 5],
  ['a contour lighter than the skin', { role: 'contour' }, 'lighter than the skin', 1, -1, -0.2, -0.2],
  ['a contour of a bold school', { role: 'contour', by: bold, shown: 2 }, 'does nothing', 3, 0, 2.4, 0.8],
  [
    'a contour of a bold school as it shows',
    { role: 'contour', by: bold, own: 3 },
    'does nothing',
    3,
    0,
    1.2,
    0.45,
  ],
  [
    'a contour of a bold school as it shows',
    { role: 'contour', by: bold, own: 3 },
    'stripe',
    2,
    6,
    3.85,
    4.3,
  ],
  ['a contour on lined skin', { role: 'contour', by: lined, shown: 1.5 }, 'does nothing', 2, 0, 1.28, 0.8],
  [
    'a contour on lined skin as it shows',
    { role: 'contour', by: lined, own: 2 },
    'does nothing',
    2,
    0,
    0.64,
    0.45,
  ],
  ['a contour on lined skin as it shows', { role: 'contour', by: lined, own: 2 }, 'stripe', 1, 6, 2.35, 3],
  ['a contour on lined skin in the pan', { role: 'contour', by: lined, shown: 1.5 }, 'stripe', 2, 7, 3.6, 5],
  [
    'a contour asked for at one step',
    { role: 'contour', asked: 1, shown: 1 },
    'does nothing',
    2,
    0,
    0.8,
    0.8,
  ],
  [
    'a contour asked for at one step as it shows',
    { role: 'contour', asked: 1, own: 2 },
    'does nothing',
    2,
    0,
    0.6,
    0.45,
  ],
  [
    'a contour asked for at three steps as it shows',
    { role: 'contour', asked: 3, own: 3 },
    'stripe',
    2,
    6,
    3.35,
    3.7,
  ],
  ['a light', { role: 'light' }, 'deeper than the skin', -2, 1, 0.2, 0.2],
  ['a light', { role: 'light' }, 'does nothing', -2, 0, -1.2, -0.5],
  ['a light on fair skin', { role: 'light', by: fair }, 'does nothing', -1, 0, -0.5, -0.25],
  ['a light', { role: 'light' }, 'mask', -2, -8.5, -4.6, -7],
  ['a light on deep skin', { role: 'light', by: deep }, 'mask', -2, -9, -4.6, -7],
  ['a blush', { role: 'blush', own: 1 }, 'chalk', 0, -3, -1, -1.7],
  ['a blush on deep skin', { role: 'blush', by: deep, own: 1 }, 'chalk', 0, -3, -0.7, -1.4],
  ['a blush on deep skin in the pan', { role: 'blush', by: deep, shown: 0 }, 'chalk', 0, -5, -2.2, -3.2],
  ['a blush', { role: 'blush', own: 1 }, 'heavy', 1, 6, 3, 3.5],
  ['a bronzer in the pan', { role: 'bronzer', shown: 1 }, 'does nothing', 2, 0, 0.8, 0.4],
  ['a bronzer as it shows', { role: 'bronzer', own: 2 }, 'does nothing', 2, 0, 0.3, 0.12],
  ['a bronzer as it shows', { role: 'bronzer', own: 2 }, 'heavy', 1, 4, 2.1, 2.7],
  ['a bronzer in the pan', { role: 'bronzer', shown: 1 }, 'heavy', 2, 7, 4.2, 5.2],
  ['a bronzer lighter than the skin', { role: 'bronzer' }, 'lighter than the skin', 1, -1, -0.2, -0.2],
  ['a lighter concealer', { role: 'brighten' }, 'mask', -1, -4, -2.15, -2.45],
  ['a lighter concealer of a bold school', { role: 'brighten', by: bold }, 'mask', -1, -4, -2.65, -2.95],
  ['a lighter concealer on lined skin', { role: 'brighten', by: lined }, 'mask', -1, -4, -1.35, -1.65],
  ['a lighter concealer on deep skin', { role: 'brighten', by: deep }, 'mask', -1, -4, -1.65, -1.95],
  ['a concealer', { role: 'cover' }, 'halo', 0, -4, -0.6, -2.2],
  ['a concealer', { role: 'cover' }, 'deeper than the skin', 0, 2, 0.4, 0.85],
  ['a deeper edge', { role: 'deeper edge' }, 'mask', 1.5, -1, 0.9, 0.5],
  ['a deeper edge', { role: 'deeper edge' }, 'stripe', 1.5, 5, 2.6, 3],
  ['a deeper edge asked for at 0.7', { role: 'deeper edge', asked: 0.7 }, 'mask', 1.5, -1, 0.6, 0.2],
  ['a deeper edge asked for at 3', { role: 'deeper edge', asked: 3 }, 'stripe', 1.5, 5, 2.6, 3],
  ['a lighter centre', { role: 'lighter centre' }, 'mask', -1, -4, -1.6, -2],
  ['a lighter centre', { role: 'lighter centre' }, 'stripe', -1, 2, -0.4, 0],
  ['a lighter centre asked for at -0.4', { role: 'lighter centre', asked: -0.4 }, 'stripe', -1, 2, -0.3, 0.1],
  ['a setting powder', { role: 'powder', own: 0 }, 'cast', 0, -2, -0.55, -0.9],
  ['a setting powder on deep skin', { role: 'powder', by: deep, own: 0 }, 'ash', 0, -2, -0.55, -0.9],
  ['a setting powder as it shows', { role: 'powder', own: 0 }, 'patch', 0, 2, 0.5, 1],
  ['a setting powder in the pan', { role: 'powder', shown: 0 }, 'patch', 0, 4, 1.3, 2.2],
  ['a powder under the eye', { role: 'under-eye powder', own: 0 }, 'cast', 0, -3, -1.05, -1.4],
  ['a powder under the eye', { role: 'under-eye powder', own: 0 }, 'patch', 0, 2, 0.3, 1],
  ['a lid colour', { role: 'lid' }, 'chalk', 0, -8, -4.2, -5.8],
  ['a lid colour', { role: 'lid' }, 'patch', 0, 12, 8, 8.8],
  ['a lid colour of a bold school', { role: 'lid', by: bold }, 'patch', 0, 13, 10, 10.8],
  ['a shadow in the socket', { role: 'socket' }, 'does nothing', 2, 0, 0.8, 0.3],
  ['a shadow in the socket', { role: 'socket' }, 'patch', 2, 12, 6.2, 7.5],
  ['a shadow in the socket of a bold school', { role: 'socket', by: bold }, 'patch', 2, 13, 9.2, 10.5],
];

test.each(ROWS)('%s %j: %s', (_what, ask, name, quiet, found, propose, find) => {
  expect(border(ask, 'propose', name, quiet, found)).toBeCloseTo(propose, 2);
  expect(border(ask, 'find', name, quiet, found)).toBeCloseTo(find, 2);
});

test('a lighter concealer must show: a little lighter to be proposed, not plainly deeper to be left', () => {
  expect(border({ role: 'brighten' }, 'propose', 'does nothing', -1, -0.1)).toBeCloseTo(-0.25, 2);
  expect(at({ role: 'brighten' }, 'propose', 0.3)).toContain('deeper than the skin');
  expect(border({ role: 'brighten' }, 'find', 'deeper than the skin', 0, 2)).toBeCloseTo(0.55, 2);
  expect(at({ role: 'brighten' }, 'find', -0.1)).toEqual([]);
});

test('a lighter metal is no shadow in the socket; a lid on very fair skin may be chalk white', () => {
  for (const finish of ['shimmer', 'matte'] as const)
    expect(at({ role: 'socket', finish }, 'propose', -3)).toEqual(['does nothing']);
  expect(at({ role: 'lid', by: wearer([90, 4, 11]) }, 'find', -6)).toEqual([]);
});

test('brows keep within so many steps of the hair, either way', () => {
  const skin: Lab = [75, 8, 16];
  for (const tone of ['fair', 'red', 'grey'] as const) {
    const by = wearer(skin, {}, { hairTone: tone });
    const hair = BROW_HAIR[tone];
    const misses = (steps: number, how: Strictness): readonly string[] => {
      const own = shiftDepth([hair[0], hair[1], hair[2]], steps);
      // The hair's own colour at that depth: warmth is another matter.
      const lab: Lab = [own[0], hair[1], hair[2]];
      return missesOf('brow', { own: lab, shown: lab, finish: 'matte' }, by, how).map(({ name }) => name);
    };
    for (const [how, most] of [
      ['propose', 2.6],
      ['find', 3.7],
    ] as const) {
      expect([tone, how, misses(most - 0.05, how), misses(0.05 - most, how)]).toEqual([tone, how, [], []]);
      expect([misses(most + 0.05, how), misses(-most - 0.05, how)]).toEqual([
        ['borrowed brows'],
        ['borrowed brows'],
      ]);
    }
  }
});

test('warm on grey hair is told, and on no other', () => {
  const warm = (more: number): Lab => {
    const [L, a, b] = BROW_HAIR.grey;
    const scale = (chromaOf([L, a, b]) + more) / chromaOf([L, a, b]);
    return [L, a * scale, b * scale];
  };
  const names = (more: number, how: Strictness, hairTone: Features['hairTone'] = 'grey') =>
    missesOf(
      'brow',
      { own: warm(more), shown: warm(more), finish: 'matte' },
      wearer(MEDIUM, {}, { hairTone }),
      how,
    ).map(({ part }) => part);
  expect([names(9.9, 'propose'), names(10.1, 'propose')]).toEqual([[], ['hue']]);
  expect([names(13.9, 'find'), names(14.1, 'find')]).toEqual([[], ['hue']]);
  expect(names(20, 'find', 'fair')).not.toContain('hue');
});

describe('grey', () => {
  /** A colour so many steps deeper with so large a share of what healthy skin would have there. */
  const withShare = (skin: Lab, steps: number, share: number): Lab => {
    const lab = shiftDepth(skin, steps);
    const scale = share / chromaShare(lab, skin);
    return [lab[0], lab[1] * scale, lab[2] * scale];
  };
  type Grey = readonly [
    ShadeRole,
    Lab,
    steps: number,
    shows: readonly [number, number],
    pan: readonly [number, number],
  ];
  const GREYS: readonly Grey[] = [
    ['contour', MEDIUM, 2, [0.62, 0.55], [0.5, 0.4]],
    ['contour', DEEP, 2, [0.62, 0.55], [0.5, 0.4]],
    ['contour', FAIR, 2, [0.4, 0.4], [0.2, 0.2]],
    ['bronzer', MEDIUM, 1.5, [0.75, 0.65], [0.7, 0.5]],
    ['brighten', MEDIUM, -1, [0.68, 0.6], [0.55, 0.45]],
    ['brighten', DEEP, -1, [0.68, 0.6], [0.55, 0.45]],
    ['cover', MEDIUM, 0, [0.7, 0.6], [0.6, 0.45]],
    ['cover', DEEP, 0, [0.7, 0.6], [0.6, 0.45]],
    ['powder', MEDIUM, 0, [0.72, 0.6], [0, 0]],
    ['powder', DEEP, 0, [0.72, 0.6], [0, 0]],
  ];
  test.each(GREYS)(
    'a %s on %j is, below its share as it shows or in the pan',
    (role, skin, steps, shows, pan) => {
      const by = wearer(skin);
      const isGrey = (own: number, shown: number, how: Strictness): boolean =>
        missesOf(
          role,
          { own: withShare(skin, steps, own), shown: withShare(skin, steps, shown), finish: 'matte' },
          by,
          how,
        ).some(({ name, part }) => name === 'ash' && part === 'chroma');
      (['propose', 'find'] as const).forEach((how, i) => {
        expect([how, isGrey(1, shows[i]! + 0.02, how), isGrey(1, shows[i]! - 0.02, how)]).toEqual([
          how,
          false,
          true,
        ]);
        if (pan[i]! === 0) return expect(isGrey(0.02, 1, how)).toBe(false);
        expect([how, isGrey(pan[i]! + 0.02, 1, how), isGrey(pan[i]! - 0.02, 1, how)]).toEqual([
          how,
          false,
          true,
        ]);
      });
    },
  );

  test('a light is icy below a share that grows with depth, and on light skin never', () => {
    const icy = (skin: Lab, share: number, how: Strictness): boolean => {
      const lab = shiftDepth(skin, -2);
      const scale = (share * Math.max(6, chromaOf(skin))) / chromaOf(lab);
      const own: Lab = [lab[0], lab[1] * scale, lab[2] * scale];
      return missesOf('light', { own, shown: own, finish: 'shimmer' }, wearer(skin), how).some(
        ({ part }) => part === 'chroma',
      );
    };
    const between: Lab = [55, 13, 18];
    for (const [skin, how, share] of [
      [DEEP, 'propose', 0.75],
      [DEEP, 'find', 0.6],
      [between, 'propose', 0.4],
      [between, 'find', 0.4],
    ] as const)
      expect([skin, how, icy(skin, share + 0.02, how), icy(skin, share - 0.02, how)]).toEqual([
        skin,
        how,
        false,
        true,
      ]);
    expect(icy([66, 10, 17], 0.01, 'propose')).toBe(false);
  });

  test('too light on deep skin, it is ash where it is paler than the skin, and a stripe where it is as warm', () => {
    const own = (share: number): Lab => {
      const [, a, b] = DEEP;
      return [lightnessAtDepth(16 - 8), a * share, b * share];
    };
    const told = (share: number, skin: Lab = DEEP) =>
      missesOf('light', { own: own(share), shown: own(share), finish: 'shimmer' }, wearer(skin), 'find')
        .filter(({ part }) => part === 'depth')
        .map(({ name, words }) => [name, /icy/.test(words), /stripe/.test(words)]);
    expect(told(0.88)).toEqual([['ash', true, false]]);
    expect(told(0.92)).toEqual([['mask', false, true]]);
    expect(told(0.92, [lightnessAtDepth(15.5), 11, 14])).toEqual([['mask', false, true]]);
  });
});

describe('orange, and pink on olive', () => {
  const turned = (lab: Lab, hue: number, share: number, skin: Lab): Lab => {
    const chroma = (chromaOf(lab) * share) / chromaShare(lab, skin);
    const a = (hue * Math.PI) / 180;
    return [lab[0], chroma * Math.cos(a), chroma * Math.sin(a)];
  };
  const misses = (role: ShadeRole, own: Lab, by: Wearer, how: Strictness) =>
    missesOf(role, { own, shown: own, finish: 'matte' }, by, how)
      .filter(({ part }) => part === 'hue')
      .map(({ name }) => name);
  const shadow = shiftDepth(FAIR, 2);

  test('a contour on very fair skin is orange where it is yellow and strong, both', () => {
    for (const [how, share] of [
      ['propose', 1.15],
      ['find', 1.25],
    ] as const) {
      expect(misses('contour', turned(shadow, 70, share + 0.05, FAIR), fair, how)).toEqual(['orange']);
      expect(misses('contour', turned(shadow, 70, share - 0.05, FAIR), fair, how)).toEqual([]);
      expect(misses('contour', turned(shadow, 66, share + 0.3, FAIR), fair, how)).toEqual([]);
    }
    expect(misses('contour', turned(shiftDepth(MEDIUM, 2), 75, 1.6, MEDIUM), medium, 'propose')).toEqual([]);
  });

  test('a bronzer is orange on a pink undertone where it is golden, grey on olive where it is pink', () => {
    const own = shiftDepth(MEDIUM, 1.5);
    const turnedBy = (degrees: number): Lab => turned(own, neutralSkinAt(own[0]).hue + degrees, 1, MEDIUM);
    const cool = wearer(MEDIUM, { undertone: 'cool' });
    const olive = wearer(MEDIUM, { undertone: 'olive' });
    expect([4.8, 5.2].map((d) => misses('bronzer', turnedBy(d), cool, 'propose'))).toEqual([[], ['orange']]);
    expect([5.8, 6.2].map((d) => misses('bronzer', turnedBy(d), cool, 'find'))).toEqual([[], ['orange']]);
    expect([-3.8, -4.2].map((d) => misses('bronzer', turnedBy(d), olive, 'find'))).toEqual([[], ['ash']]);
    for (const undertone of ['neutral', 'warm'] as const)
      for (const d of [-9, 9])
        expect(misses('bronzer', turnedBy(d), wearer(MEDIUM, { undertone }), 'propose')).toEqual([]);
    const golden = shiftDepth(FAIR, 1.5);
    const neutral = wearer(FAIR, { undertone: 'neutral' });
    expect([67, 69].map((hue) => misses('bronzer', turned(golden, hue, 1.4, FAIR), neutral, 'find'))).toEqual(
      [[], ['orange']],
    );
    expect(
      [1.25, 1.35].map((share) => misses('bronzer', turned(golden, 72, share, FAIR), neutral, 'find')),
    ).toEqual([[], ['orange']]);
  });
});

describe('a lip', () => {
  const misses = (own: Lab, shown: Lab, skin: Lab, how: Strictness) =>
    missesOf('lip', { own, shown, finish: 'satin' }, wearer(skin), how).map(({ part }) => part);
  /** A colour of so many times the chroma of her own lip, so many steps from the skin. */
  const colour = (skin: Lab, steps: number, times: number): Lab => {
    const bare = bareLip(skin);
    return [shiftDepth(skin, steps)[0], bare[1] * times, bare[2] * times];
  };

  test('is chalk where it shows lighter than the skin without being bright', () => {
    for (const [how, most] of [
      ['propose', 1.6],
      ['find', 2.1],
    ] as const) {
      const shows = (steps: number, times: number) =>
        misses(colour(MEDIUM, steps, times), colour(MEDIUM, steps, times), MEDIUM, how).includes('depth');
      expect([shows(0.05 - most, 1.3), shows(-most - 0.05, 1.3)]).toEqual([false, true]);
      expect([shows(-most - 0.05, 1.4), shows(-most - 8, 1.4)]).toEqual([false, false]);
    }
  });

  /** So many steps from the skin, its chroma so many times its lightness. */
  const saturated = (skin: Lab, steps: number, times: number): Lab => {
    const [L] = shiftDepth(skin, steps);
    return labOfHue(L, times * L, 28);
  };
  test('on deep skin is chalk the lighter and duller it is: bright by up to six steps more', () => {
    for (const skin of [DEEP, shiftDepth(DEEP, 2), shiftDepth(DEEP, 4)])
      for (const [how, most] of [
        ['propose', 0.9],
        ['find', 1.2],
      ] as const)
        for (const [times, more] of [
          [0.5, 0],
          [0.71, 0],
          [0.82, 3],
          [0.93, 6],
          [1.2, 6],
        ] as const) {
          const shows = (steps: number) => {
            const own = saturated(skin, steps, times);
            return misses(own, own, skin, how).includes('depth');
          };
          expect([times, shows(0.1 - most - more), shows(-0.1 - most - more)]).toEqual([times, false, true]);
        }
  });

  test('mahogany a step lighter than ebony is no chalk, a dusty rose is', () => {
    const ebony: Lab = [28, 8, 9];
    expect(misses([29, 24, 13], [29, 24, 13], ebony, 'propose')).toEqual([]);
    expect(misses([50, 28, 12], [50, 28, 12], ebony, 'propose')).toContain('depth');
  });

  test('is dull where it has less colour than the lip, near its hue and not much deeper', () => {
    for (const [how, share] of [
      ['propose', 0.85],
      ['find', 0.65],
    ] as const) {
      const dull = (times: number, steps = 0.5): boolean =>
        misses(colour(MEDIUM, steps, times), colour(MEDIUM, steps, times), MEDIUM, how).includes('chroma');
      expect([dull(share + 0.02), dull(share - 0.02)]).toEqual([false, true]);
      // Two steps deeper than the lip itself it is a colour of its own.
      const lip = depthOf(bareLip(MEDIUM)) - depthOf(MEDIUM);
      expect([dull(0.3, lip + 1.95), dull(0.3, lip + 2.05)]).toEqual([true, false]);
      const violet: Lab = [bareLip(MEDIUM)[0], 2, -6];
      expect(misses(violet, violet, MEDIUM, how)).not.toContain('chroma');
    }
  });
});

test('how far past a border it is, is told: no more than it is past', () => {
  for (const [, ask, name, quiet, found, , find] of ROWS) {
    const past = find + (found > quiet ? 0.4 : -0.4);
    const misses = missesOf(
      ask.role,
      {
        own: shiftDepth((ask.by ?? medium).skin, ask.own ?? past),
        shown: shiftDepth((ask.by ?? medium).skin, ask.shown ?? past),
        finish: 'matte',
      },
      ask.by ?? medium,
      'find',
      ask.asked ?? null,
    ).filter((one) => one.name === name);
    for (const { over } of misses) {
      expect(over).toBeGreaterThan(0);
      expect(over).toBeLessThan(4);
    }
  }
});
