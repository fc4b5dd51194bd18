import fc from 'fast-check';
import { asWorn } from '../chair';
import { chromaOf, deltaE2000, depthOf, hueOf, labOfHue, shiftDepth, type Lab } from '../colour';
import { colourOfUse, fitLook, type Look, type NextTime, type Step } from '../look';
import { client, kitOf, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { goesTowards, wishedColour } from './learned';
import { refitChart } from '.';

const SKIN: Lab = [64, 12, 19];
const skins = [-6, -3, 0, 3, 6, 9].map((steps) => shiftDepth(SKIN, steps));
const wish = (role: Step['role'], nextTime: NextTime, lab: Lab): Lab | null =>
  wishedColour({ role }, lab, [{ wish: nextTime, sentence: '' }])?.lab ?? null;

describe('where a wish takes a colour', () => {
  test('what is to look like skin moves by less than a shade, the way it was said, on every skin', () => {
    for (const role of ['base', 'conceal', 'powder'] as const)
      for (const skin of skins) {
        const by = (nextTime: NextTime) => depthOf(wish(role, nextTime, skin)!) - depthOf(skin);
        expect(by('deeper')).toBeCloseTo(0.6, 6);
        expect(by('lighter')).toBeCloseTo(-0.6, 6);
        const turned = (nextTime: NextTime) => hueOf(wish(role, nextTime, skin)!) - hueOf(skin);
        expect([turned('warmer'), turned('cooler')].map((degrees) => Math.round(degrees))).toEqual([6, -6]);
        const stronger = (nextTime: NextTime) => chromaOf(wish(role, nextTime, skin)!) / chromaOf(skin);
        expect([stronger('bolder'), stronger('calmer')].map((factor) => factor.toFixed(2))).toEqual([
          '1.15',
          '0.85',
        ]);
      }
  });

  test('shadow is bolder deeper, light is bolder lighter; calmer is nearer to the skin', () => {
    for (const skin of skins) {
      for (const role of ['contour', 'bronze'] as const) {
        const worn = shiftDepth(skin, 2);
        const by = (nextTime: NextTime) => depthOf(wish(role, nextTime, worn)!) - depthOf(worn);
        expect([by('bolder'), by('deeper'), by('calmer'), by('lighter')].map(Math.round)).toEqual([
          1, 1, -1, -1,
        ]);
      }
      const light = shiftDepth(skin, -2);
      const by = (nextTime: NextTime) => wish('highlight', nextTime, light)![0] - light[0];
      expect([by('bolder'), by('lighter'), by('calmer'), by('deeper')].map(Math.round)).toEqual([
        4, 4, -4, -4,
      ]);
    }
  });

  test.each([
    ['a pink', 0, 15, 345],
    ['a red', 30, 45, 15],
    ['a gold', 85, 90, 70],
    ['a yellow', 90, 90, null],
    ['an olive', 110, 95, 125],
    ['a green', 140, 125, 155],
    ['a teal', 200, 185, 215],
    ['a blue', 235, 220, 240],
    ['an indigo', 250, 265, 240],
    ['a violet', 300, 315, 285],
    ['a magenta', 340, 355, 325],
  ])('%s, at %d degrees, is warmer at %d and cooler at %d', (_, hue, warmer, cooler) => {
    const lab = labOfHue(45, 30, hue);
    const to = (nextTime: NextTime) => (Math.round(hueOf(wish('eye', nextTime, lab)!)) + 360) % 360;
    expect(to('warmer')).toBe(warmer);
    if (cooler !== null) expect(to('cooler')).toBe(cooler);
  });

  test('warmer and cooler are ways apart, and take nothing of depth or strength', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        (hue, chroma) => {
          const lab = labOfHue(50, chroma, hue);
          const [warmer, cooler] = [wish('lip', 'warmer', lab)!, wish('lip', 'cooler', lab)!];
          // How far from the warmest, by the way round that does not cross the coolest.
          const cold = (of: Lab) => {
            const h = (hueOf(of) + 360) % 360;
            return h >= 90 && h <= 240 ? (h - 90) / 150 : (h < 90 ? 90 - h : 450 - h) / 210;
          };
          expect(cold(warmer)).toBeLessThanOrEqual(cold(lab) + 1e-9);
          expect(cold(cooler)).toBeGreaterThanOrEqual(cold(lab) - 1e-9);
          for (const one of [warmer, cooler]) {
            expect(one[0]).toBe(50);
            expect(chromaOf(one)).toBeCloseTo(chroma, 9);
          }
        },
      ),
    );
  });

  test('what has no colour of its own, or nothing, is asked for none', () => {
    expect(wish('care', 'deeper', SKIN)).toBeNull();
    expect(wish('lash', 'deeper', SKIN)).toBeNull();
    expect(wish('lip', 'more', SKIN)).toBeNull();
    expect(wishedColour({ role: 'lip' }, null, [{ wish: 'deeper', sentence: '' }])).toBeNull();
  });

  test.each<[string, Lab, boolean]>([
    ['there', [42, 40, 20], true],
    ['a third of the way', [47.3, 40, 20], false],
    ['a little more than that', [47.1, 40, 20], true],
    ['beyond it', [30, 40, 20], true],
    ['the other way', [55, 40, 20], false],
    ['nowhere', [50, 40, 20], false],
    ['as far aside as down', [42, 48, 20], true],
    ['further aside than that', [42, 50.1, 20], false],
  ])('from 50 to 42 in lightness, %s', (_, next, goes) => {
    expect(goesTowards([50, 40, 20], [42, 40, 20], next)).toBe(goes);
  });
});

const BASE_LOOK: Look = {
  ...LOOK,
  steps: [
    { ...LOOK.steps[0]!, shade: { relative: { to: 'skin', depthSteps: 0 } }, wants: { kinds: ['base'] } },
  ],
};
/** A base every half step and in three undertones, from very light to very deep. */
const DENSE = Array.from({ length: 123 }, (_, i) => {
  const lab = shiftDepth(SKIN, -8 + Math.floor(i / 3) / 2);
  return product(i + 100, 'base', labOfHue(lab[0], chromaOf(lab), hueOf(lab) + 6 * ((i % 3) - 1)));
});

describe('what is asked for of a base', () => {
  const asked = (skin: Lab, now: Lab, nextTime: NextTime, kit = kitOf(...DENSE)) => {
    const chart = fitLook(BASE_LOOK, client(skin), kitOf(...DENSE), OCCASION, STAMP).chart;
    const [step] = chart.steps;
    const worn = asWorn(chart, [
      {
        kind: 'deviation',
        stepId: step!.id,
        at: STAMP.at,
        by: 'Ada',
        deviation: { kind: 'next time', nextTime, note: 'In the photographs.' },
      },
    ]);
    const refit = refitChart(
      worn,
      client(now),
      kit,
      { ...OCCASION, date: '2031-11-20' },
      { ...STAMP, version: 2 },
    );
    const change = refit.changes.find((one) => one.id === `${step!.id} product`)!;
    return {
      was: step!,
      change,
      lab: colourOfUse(refit.chart.steps[0]!.use)!,
      plain: colourOfUse(step!.use)!,
    };
  };

  test('deeper is deeper than the skin of now, by a shade at most, whatever the skin did since', () => {
    for (const skin of skins)
      for (const steps of [-2, 0, 2]) {
        const now = shiftDepth(skin, steps);
        const { change, lab } = asked(skin, now, 'deeper');
        expect(change).toMatchObject({
          kind: 'learned',
          why: expect.stringContaining('In the photographs.'),
        });
        expect(depthOf(lab) - depthOf(now)).toBeGreaterThan(0.2);
        expect(depthOf(lab) - depthOf(now)).toBeLessThan(1.2);
      }
  });

  test('a wish the kit has nothing for is said, and the skin of now is matched all the same', () => {
    const few = kitOf(...DENSE.filter(({ lab }) => Math.abs(depthOf(lab!) - depthOf(SKIN)) < 0.3));
    const { change, lab, plain } = asked(SKIN, SKIN, 'deeper', few);
    expect(change).toMatchObject({ kind: 'keep', difference: '' });
    expect(change.why).toMatch(
      /^Still .* Chosen for next time: deeper\. “In the photographs\.” The kit has nothing for it that is deeper\.$/,
    );
    expect(lab).toEqual(plain);
    const tanned = shiftDepth(SKIN, 2);
    const only = kitOf(...DENSE.filter(({ lab }) => depthOf(lab!) - depthOf(SKIN) < 2.1));
    const browner = asked(SKIN, tanned, 'deeper', only);
    expect(['remix', 'substitute']).toContain(browner.change.kind);
    expect(browner.change.why).toMatch(/^The skin is 2\.0 steps deeper.*nothing for it that is deeper\.$/);
    expect(deltaE2000(browner.lab, tanned)).toBeLessThan(2);
  });

  test('where the skin has come to meet it, what was worn stays, and that is said', () => {
    const { change, lab, plain } = asked(SKIN, shiftDepth(SKIN, -0.6), 'deeper');
    expect(change).toMatchObject({ kind: 'keep', part: null });
    expect(change.why).toContain('On the skin as it is now it is that already.');
    expect(lab).toEqual(plain);
  });

  test('what is no longer in the kit goes the way that was wished too, or is replaced and that said', () => {
    const { was } = asked(SKIN, SKIN, 'deeper');
    const worn = was.use.map(({ product: { id: of } }) => of);
    const without = kitOf(...DENSE.filter((one) => !worn.includes(one.id)));
    const gone = asked(SKIN, SKIN, 'deeper', without);
    expect(gone.change).toMatchObject({ kind: 'learned' });
    expect(gone.change.why).toMatch(/^It is no longer in the kit\. Chosen for next time: deeper\./);
    expect(depthOf(gone.lab)).toBeGreaterThan(depthOf(SKIN) + 0.2);
    const asDeep = kitOf(
      ...DENSE.filter((one) => !worn.includes(one.id) && Math.abs(depthOf(one.lab!) - depthOf(SKIN)) < 0.3),
    );
    const replaced = asked(SKIN, SKIN, 'deeper', asDeep);
    expect(replaced.change).toMatchObject({ kind: 'substitute' });
    expect(replaced.change.why).toMatch(/^It is no longer in the kit\. .*nothing for it that is deeper\.$/);
  });

  test('another product where there is none is said', () => {
    const alone = asked(SKIN, SKIN, 'other product');
    expect(alone.change.kind).toBe('learned');
    const own = alone.was.use.map(({ product: { id: of } }) => of);
    const none = asked(SKIN, SKIN, 'other product', kitOf(...DENSE.filter((one) => own.includes(one.id))));
    expect(none.change).toMatchObject({ kind: 'keep' });
    expect(none.change.why).toContain('The kit has no other for it.');
  });
});
