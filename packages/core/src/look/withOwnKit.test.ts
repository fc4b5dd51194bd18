import { deltaE2000, shiftDepth, skinByZone } from '../colour';
import { besideInWords, wantedColour } from '../shade';
import { BASES, client, KIT, kitOf, LOOK, product, SKIN } from './look.testing';
import { PATTERN_SKIN_NAMES, patternClient } from './onPattern';
import { usualTaken, lookTakenDown } from './takenDown';
import { withOwnKit } from './withOwnKit';

const DAY = '2031-05-14';
let n = 900;
const nextId = () => `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`;
const STAMP = { id: nextId(), author: 'Ada', at: `${DAY}T09:00:00Z`, reason: '' };

test.each(PATTERN_SKIN_NAMES)(
  'on %s skin every step that lays something has a line, in the look’s order',
  (skin) => {
    const lines = withOwnKit(LOOK, patternClient(skin), KIT, DAY);
    const laying = LOOK.steps.filter(({ wants, variant }) => wants.kinds.length > 0 && !variant);
    expect(lines.map(({ stepId }) => stepId)).toEqual(laying.map(({ id }) => id));
    for (const { met, off, words, ours } of lines) {
      expect(words).not.toMatch(/undefined|NaN|null/);
      if (met === 'nothing') expect(ours).toBeNull();
      if (met === 'met' && off !== null) expect(off).toBeLessThanOrEqual(2);
      if (met === 'near') expect(off! > 2 && off! <= 5).toBe(true);
      if (met === 'far') expect(off).toBeGreaterThan(5);
      if (off !== null && met !== 'nothing') expect(words).toContain(`${off.toFixed(1)} off`);
    }
  },
);

test('an empty kit has nothing for anything, and says so', () => {
  const lines = withOwnKit(LOOK, client(), kitOf(), DAY);
  expect(lines.length).toBeGreaterThan(3);
  expect(lines.every(({ met }) => met === 'nothing')).toBe(true);
});

test.each([-3, -1.5, 1.5, 3])(
  'a base %d steps off on a kit of one is told how far and which way',
  (steps) => {
    const look = lookTakenDown('Base', [usualTaken('base')], STAMP, nextId);
    const only = kitOf(product(50, 'base', shiftDepth(SKIN, steps), { texture: 'liquid' }));
    const [line] = withOwnKit(look, client(), only, DAY);
    const asked = wantedColour(look.steps[0]!, client(), look.schools.contrast)!;
    if (line!.met === 'nothing') return expect(line!.words.length).toBeGreaterThan(10);
    expect(line!.met).toMatch(/near|far/);
    expect(line!.words).toContain(steps > 0 ? 'deeper' : 'lighter');
    expect(line!.words).toContain(besideInWords(asked, line!.ours!));
    return expect(deltaE2000(asked, line!.ours!)).toBeGreaterThan(1.5);
  },
);

test('more in the kit is never further off', () => {
  const look = lookTakenDown('Base', [usualTaken('base')], STAMP, nextId);
  for (const depth of [-4, -2, 0, 2, 4]) {
    const who = client(shiftDepth(SKIN, depth));
    const offs = [1, 2, BASES.length].map((count) => {
      const [line] = withOwnKit(look, who, kitOf(...BASES.slice(0, count)), DAY);
      return line!.off ?? Infinity;
    });
    expect([...offs].sort((a, b) => b - a)).toEqual(offs);
  }
});

test('a step without a colour is met by whatever is of its kind', () => {
  const look = lookTakenDown('Lashes', [usualTaken('lash')], STAMP, nextId);
  const [line] = withOwnKit(
    look,
    { ...client(), skin: skinByZone(SKIN) },
    kitOf(product(60, 'mascara', [12, 0, 0], { eyeSafe: true })),
    DAY,
  );
  expect(line).toMatchObject({ met: 'met', off: null });
});
