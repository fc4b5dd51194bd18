import fc from 'fast-check';
import { Value } from '@sinclair/typebox/value';
import { chromaOf, COLOUR_WORD_NAMES, COLOUR_WORDS, deltaE2000, hueOf, labToHex } from '../colour';
import { checkLimits, inferLandmarks, LAYER_KINDS, outlineOf, PLAIN_FEATURES } from '../face';
import { LookSchema } from './document';
import { fitLook } from './fitLook';
import { client, id, KIT, OCCASION, STAMP } from './look.testing';
import {
  COLOUR_TONES,
  colourOfWord,
  lookTakenDown,
  placesFor,
  usualTaken,
  type TakenStep,
} from './takenDown';

const ids = () => {
  let n = 500;
  return () => id(n++);
};
const down = (...steps: TakenStep[]) => lookTakenDown('As she did it', steps, STAMP, ids());
const usual = (...roles: (typeof LAYER_KINDS)[number][]) => down(...roles.map(usualTaken));

test('every word is a colour of its own that can be seen and shown, paler and deeper of one hue', () => {
  expect([...COLOUR_WORD_NAMES].sort()).toEqual(Object.keys(COLOUR_WORDS).sort());
  for (const [i, one] of COLOUR_WORD_NAMES.entries()) {
    for (const other of COLOUR_WORD_NAMES.slice(i + 1))
      expect(deltaE2000(COLOUR_WORDS[one], COLOUR_WORDS[other])).toBeGreaterThan(5);
    const [pale, plain, deep] = COLOUR_TONES.map((tone) => colourOfWord(one, tone));
    expect(pale![0]).toBeGreaterThan(plain![0]);
    expect(deep![0]).toBeLessThan(plain![0]);
    if (chromaOf(plain!) > 2) {
      expect(hueOf(pale!)).toBeCloseTo(hueOf(plain!), 6);
      expect(hueOf(deep!)).toBeCloseTo(hueOf(plain!), 6);
    }
    for (const lab of [pale!, plain!, deep!]) expect(labToHex(lab)).toMatch(/^#[0-9a-f]{6}$/);
  }
});

test.each(LAYER_KINDS)(
  '%s: the usual has a place, and every place offered is one on a face, within its limits',
  (role) => {
    const face = inferLandmarks({});
    const places = placesFor(role);
    expect(usualTaken(role).guides).toEqual(places.slice(0, 1));
    expect(places.length).toBeGreaterThan(0);
    expect(new Set(places).size).toBe(places.length);
    for (const guide of places)
      expect(outlineOf({ guide, side: 'both' }, face, PLAIN_FEATURES).length).toBeGreaterThan(0);
    expect(checkLimits({ guide: places[0]!, side: 'both' }, face, PLAIN_FEATURES, role)).toEqual([]);
  },
);

test('any list of steps is a sound look of the open format, in the order taken, and is fitted like another', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          role: fc.constantFrom(...LAYER_KINDS),
          depthSteps: fc.integer({ min: -9, max: 9 }),
          word: fc.constantFrom(...COLOUR_WORD_NAMES),
          tone: fc.constantFrom(...COLOUR_TONES),
          by: fc.constantFrom('skin', 'word', 'none', 'usual'),
        }),
        { minLength: 1, maxLength: 12 },
      ),
      (rows) => {
        const look = down(
          ...rows.map(({ role, by, depthSteps, word, tone }): TakenStep => {
            const step = usualTaken(role);
            if (by === 'skin') return { ...step, shade: { by, depthSteps } };
            if (by === 'word') return { ...step, shade: { by, word, tone } };
            return by === 'none' ? { ...step, shade: { by } } : step;
          }),
        );
        expect([...Value.Errors(LookSchema, look)]).toEqual([]);
        expect(look.steps.map(({ role }) => role)).toEqual(rows.map(({ role }) => role));
        expect(new Set(look.steps.map(({ title }) => title)).size).toBe(rows.length);
        expect(fitLook(look, client(), KIT, OCCASION, STAMP).chart.steps).toHaveLength(rows.length);
      },
    ),
    { numRuns: 25 },
  );
});

test.each([
  [['base', 'contour'], { contour: 'over base' }],
  [['contour', 'base'], { contour: 'under base' }],
  [['base', 'bronze'], { contour: 'bronzer only' }],
  [['base', 'blush'], { contour: 'none' }],
  [['eye', 'base'], { eyesOrFace: 'eyes first' }],
  [['base', 'eye'], { eyesOrFace: 'face first' }],
  [['conceal', 'base'], { concealer: 'under base' }],
  [['base', 'conceal'], { concealer: 'over base' }],
  [['eye', 'contour'], { eyesOrFace: 'face first', contour: 'over base' }],
] as const)('what came first shows the way of doing: %j is %j', (roles, schools) =>
  expect(usual(...roles).schools).toMatchObject(schools),
);

test('a reading and a finish are asked for as they were; a second of a kind is called so', () => {
  const look = down(
    {
      ...usualTaken('lip'),
      shade: { by: 'reading', lab: [41.26, 30.04, 12.91] },
      finish: 'satin',
      tool: 'finger',
    },
    usualTaken('lip'),
  );
  expect(look.steps[0]).toMatchObject({
    shade: { lab: [41.3, 30, 12.9] },
    tool: 'finger',
    wants: { finishes: ['satin'] },
  });
  expect(look.steps.map(({ title }) => title)).toEqual(['Lip', 'Lip 2']);
});

test('nothing taken down, or no name, is refused in words', () => {
  expect(() => down()).toThrow(/at least one step/);
  expect(() => lookTakenDown('  ', [usualTaken('lip')], STAMP, ids())).toThrow(/a name/);
});
