import { chromaOf, depthOf, lightnessAtDepth, shiftDepth, undertoneOf, type Lab } from '../../colour';
import { PLAIN_FEATURES, type Features } from '../../face';
import { shadeRoleOf, skinTarget, wantedColour, type ShadeRole } from '..';
import { bareLip, BROW_HAIR, browHair, chromaShare, missesOf, type Wearer } from '.';
import { client } from '../../look/look.testing';

/** Every half step of depth by every undertone. */
const SKINS: readonly Lab[] = (['cool', 'neutral', 'warm', 'olive'] as const).flatMap((undertone) =>
  Array.from({ length: 37 }, (_, i) => shiftDepth([lightnessAtDepth(3.5 + i / 2), 12, 18], 0, { undertone })),
);
const wearer = (skin: Lab, more: Partial<Wearer> = {}, features: Partial<Features> = {}): Wearer => ({
  skin,
  undertone: undertoneOf(skin).undertone,
  contrast: 'soft',
  ...more,
  features: { ...PLAIN_FEATURES, ...features },
});
const found = (role: ShadeRole, own: Lab, by: Wearer, shown: Lab = own) =>
  missesOf(role, { own, shown, finish: 'matte' }, by, 'find').map((m) => m.name);
const with2 = ([L]: Lab, share: number, from: Lab): Lab => {
  const scale = share * (chromaOf(from) / Math.max(1e-9, chromaOf(from)));
  return [L, from[1] * scale, from[2] * scale];
};

test('contour, on every skin: a step deeper is left alone, lighter and nothing and six steps are found', () => {
  for (const skin of SKINS) {
    const by = wearer(skin);
    for (const steps of [1.2, 2, 2.5, 3])
      expect([skin, steps, found('contour', shiftDepth(skin, steps), by)]).toEqual([skin, steps, []]);
    expect(found('contour', shiftDepth(skin, -1), by)).toContain('lighter than the skin');
    expect(found('contour', shiftDepth(skin, 0.3), by)).toContain('does nothing');
    expect(found('contour', shiftDepth(skin, 6), by)).toContain('stripe');
  }
});

test('ash, on every skin: its own colour and half of it on fair skin are right, a tenth is grey on all', () => {
  for (const skin of SKINS) {
    const shadow = shiftDepth(skin, 2.2);
    const by = wearer(skin);
    expect(found('contour', shadow, by)).not.toContain('ash');
    expect(found('contour', with2(shadow, 0.1, shadow), by)).toContain('ash');
    expect(found('contour', with2(shadow, 0.8, shadow), by)).not.toContain('ash');
    if (skin[0] < 46)
      expect(found('contour', [shadow[0], shadow[1] + 4, shadow[2] - 2], by)).not.toContain('ash');
    if (skin[0] > 73) expect(found('contour', with2(shadow, 0.55, shadow), by)).not.toContain('ash');
    expect(chromaShare(skin, skin)).toBeCloseTo(1, 1);
  }
});

test('light, powder and base, on every skin, on both sides of their borders', () => {
  for (const skin of SKINS) {
    const by = wearer(skin);
    if (skin[0] < 74) expect([skin, found('light', shiftDepth(skin, -2.5), by)]).toEqual([skin, []]);
    expect(found('light', shiftDepth(skin, 1), by)).toContain('deeper than the skin');
    expect(found('powder', shiftDepth(skin, 0.3), by)).toEqual([]);
    expect(found('powder', shiftDepth(skin, 2.6), by)).toContain('patch');
    expect(found('base', shiftDepth(skin, 0.2), by)).toEqual([]);
    expect(found('base', shiftDepth(skin, 2.5), by)).toContain('mask');
    if (depthOf(skin) > 6)
      expect(found('powder', shiftDepth(skin, -2), by).some((n) => n === 'ash' || n === 'cast')).toBe(true);
  }
});

test('lips: her own is left alone on every skin, concealer is not; bright colours are no chalk', () => {
  for (const skin of SKINS) {
    const by = wearer(skin);
    expect(found('lip', bareLip(skin), by)).toEqual([]);
    expect(found('lip', [Math.min(40, skin[0]), 52, 30], by)).toEqual([]);
    if (skin[0] < 60) expect(found('lip', [80, 6, 8], by)).toContain('chalk');
  }
});

test('brows follow the hair, and dark hair is never lighter than the skin it grows on', () => {
  for (const skin of SKINS)
    for (const tone of ['fair', 'red', 'brown', 'black', 'grey'] as const) {
      const features = { ...PLAIN_FEATURES, hairTone: tone };
      const hair = browHair(features, skin);
      expect(found('brow', hair, wearer(skin, {}, { hairTone: tone }))).toEqual([]);
      if (tone === 'brown' || tone === 'black') expect(depthOf(hair)).toBeGreaterThan(depthOf(skin));
    }
  expect(found('brow', BROW_HAIR.black, wearer([70, 10, 18], {}, { hairTone: 'fair' }))).toContain(
    'borrowed brows',
  );
});

test('brown brows show on any skin, grow deeper with it without a jump, and are no deeper than black ones', () => {
  const on = (depth: number, hairTone: 'brown' | 'black'): number =>
    depthOf(browHair({ hairTone }, [lightnessAtDepth(depth), 10, 12]));
  const depths = Array.from({ length: 381 }, (_, i) => 3 + i / 20);
  for (const [i, depth] of depths.entries()) {
    const [brown, black] = [on(depth, 'brown'), on(depth, 'black')];
    expect(brown - depth).toBeGreaterThanOrEqual(Math.min(3, black - depth) - 1e-9);
    expect(brown).toBeLessThanOrEqual(black + 1e-9);
    if (i > 0) expect(Math.abs(brown - on(depths[i - 1]!, 'brown'))).toBeLessThanOrEqual(0.05 + 1e-9);
  }
  // A brown pencil for brown brows up to tan skin, a soft black on very deep skin, and not the other way.
  const pencils = { brown: [36, 7, 12], softBlack: [22, 3, 5] } as const;
  const suits = (pencil: Lab, depth: number): boolean => {
    const by = wearer([lightnessAtDepth(depth), 10, 12], {}, { hairTone: 'brown' });
    return found('brow', pencil, by).length === 0;
  };
  for (const depth of [4, 8, 12, 15]) expect([depth, suits(pencils.brown, depth)]).toEqual([depth, true]);
  for (const depth of [18, 19, 20, 21]) {
    expect([depth, suits(pencils.softBlack, depth)]).toEqual([depth, true]);
    if (depth >= 20) expect([depth, suits(pencils.brown, depth)]).toEqual([depth, false]);
  }
  for (const depth of [4, 8, 12]) expect([depth, suits(pencils.softBlack, depth)]).toEqual([depth, false]);
});

const STEPS = (from: number, to: number): number[] =>
  Array.from({ length: Math.round((to - from) / 0.05) + 1 }, (_, i) => Number((from + i * 0.05).toFixed(2)));

test.each([
  ['base', STEPS(-1.4, 2.4)],
  ['conceal', STEPS(-1.4, 0.3)],
  ['contour', STEPS(1, 3.5)],
] as const)(
  'what a %s asks for is always in its own range: no step between two roles wants what it may not have',
  (role, asks) => {
    const refused: unknown[] = [];
    for (const skin of SKINS.filter(([L]) => role !== 'contour' || L <= 72))
      for (const depthSteps of asks) {
        const who = client(skin);
        const ask = {
          role,
          shade: { relative: { to: 'skin' as const, depthSteps } },
          wants: { kinds: [] },
          placements: [],
        };
        const own = wantedColour(ask, who)!;
        const wearing = wearer(skinTarget(who.skin)!);
        const misses = missesOf(
          shadeRoleOf(ask)!,
          { own, shown: own, finish: 'matte' },
          wearing,
          'propose',
          depthSteps,
        );
        if (misses.length > 0) refused.push([skin, depthSteps, ...misses.map((m) => m.words)]);
      }
    expect(refused).toEqual([]);
  },
);

test('lined skin and soft schools narrow, bold ones widen', () => {
  const skin: Lab = [60, 13, 20];
  const at = (steps: number, more: Partial<Wearer>, features: Partial<Features> = {}) =>
    found('contour', shiftDepth(skin, steps), wearer(skin, more, features));
  expect(at(4, {})).toContain('stripe');
  expect(at(4, { contrast: 'bold' })).toEqual([]);
  expect(at(3.4, {})).toEqual([]);
  expect(at(3.4, {}, { age: 'mature' })).toContain('stripe');
});

test('what a step asks for moves with the skin: never a contour lighter, a light deeper, a blush of chalk', () => {
  for (const skin of SKINS) {
    const who = client(skin);
    const target = skinTarget(who.skin)!;
    const asks = (
      role: 'contour' | 'highlight' | 'blush',
      shade: Parameters<typeof wantedColour>[0]['shade'],
    ) => depthOf(wantedColour({ role, shade }, who)!) - depthOf(target);
    expect(asks('contour', { relative: { to: 'skin', depthSteps: 2 } })).toBeCloseTo(2, 5);
    expect(asks('highlight', { relative: { to: 'skin', depthSteps: -2 } })).toBeLessThan(0);
    const blush = asks('blush', { lab: [74, 24, 12] });
    expect(blush).toBeGreaterThanOrEqual(target[0] < 46 ? -0.6 : -1.6);
    expect(blush).toBeLessThanOrEqual(5.01);
  }
});
