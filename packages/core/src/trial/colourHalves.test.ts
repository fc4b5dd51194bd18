import fc from 'fast-check';
import { deltaE2000, lightnessAtDepth, shiftDepth, simulateSample, type Lab } from '../colour';
import { seededRandom } from '../math';
import { colourSeen, freshColour, noShiftUnder, shiftInWords, type TrialEvent } from '.';

type Looked = Extract<TrialEvent, { kind: 'looked' }>;
const look = (hour: number, seen: Looked['seen']): Pick<Looked, 'lookedAt' | 'seen'> => ({
  lookedAt: new Date(Date.UTC(2031, 4, 14, 9) + hour * 3_600_000).toISOString(),
  seen,
});
const at = (lab: Lab, side: 'left' | 'right' = 'left'): Looked['seen'][number] => ({
  zone: 'cheek',
  side,
  measure: 'colour',
  value: 0,
  lab: [...lab],
});
const SKIN: Lab = [60, 14, 18];

test('the first reading of a half is the fresh one, in whatever order the looks were told; each half has its own', () => {
  const looks = [look(4, [at([58, 14, 20])]), look(0, [at(SKIN), at([61, 13, 17], 'right')])];
  expect(freshColour(looks, 'cheek', 'left')).toEqual(SKIN);
  expect(freshColour([...looks].reverse(), 'cheek', 'right')).toEqual([61, 13, 17]);
  expect(freshColour(looks, 'chin', 'left')).toBeNull();
  // A grade by eye is no reading.
  expect(freshColour([look(0, [{ ...at(SKIN), lab: undefined }])], 'cheek', 'left')).toBeNull();
});

test('what is read is kept as its mean and its difference from fresh; two touches are too few, an outlier does not count', () => {
  fc.assert(
    fc.property(fc.double({ min: -6, max: 6, noNaN: true }), (by) => {
      const now: Lab = [SKIN[0] + by, SKIN[1], SKIN[2]];
      const first = colourSeen({ cheek: { left: [SKIN, SKIN, SKIN] } }, []);
      expect(first).toEqual([{ ...at(SKIN), value: 0 }]);
      const [later] = colourSeen({ cheek: { left: [now, now, now, now, [90, 0, 0]] } }, [look(0, first)]);
      expect(later!.value).toBeCloseTo(deltaE2000(SKIN, now), 6);
      expect(later!.lab![0]).toBeCloseTo(now[0], 6);
    }),
  );
  expect(colourSeen({ cheek: { left: [SKIN, SKIN], right: [] } }, [])).toEqual([]);
  expect(colourSeen({}, [])).toEqual([]);
});

test('by the stand-in reader, on every depth: unchanged it says so some 95 times of 100, and sees a shift of three steps of lightness', () => {
  const random = seededRandom(11);
  const touches = (of: Lab, n: number): Lab[] => Array.from({ length: n }, () => simulateSample(of, random));
  for (let depth = 4; depth <= 20; depth += 4)
    for (const n of [3, 5, 8]) {
      const skin = shiftDepth([lightnessAtDepth(depth), 12, 19], 0, {});
      let [same, moved] = [0, 0];
      for (let i = 0; i < 400; i++) {
        const fresh = colourSeen({ cheek: { left: touches(skin, n) } }, []);
        const value = (of: Lab): number | undefined =>
          colourSeen({ cheek: { left: touches(of, n) } }, [look(0, fresh)])[0]?.value;
        const [unchanged, shifted] = [value(skin), value([skin[0] - 3, skin[1], skin[2]])];
        if (unchanged === undefined || unchanged < noShiftUnder(n)) same++;
        if (shifted !== undefined && shifted >= noShiftUnder(n)) moved++;
      }
      // Four standard errors round 92 and 98.
      expect([depth, n, same / 400 > 0.87 && same < 400]).toEqual([depth, n, true]);
      if (n >= 5) expect([depth, n, moved / 400 > 0.9]).toEqual([depth, n, true]);
    }
});

test.each([
  [1.24, 5, 'no shift seen (under 1.25 the reader itself may differ)'],
  [1.26, 5, '1.3 from fresh'],
  [1.26, 4, 'no shift seen (under 1.7 the reader itself may differ)'],
  [1, 8, '1.0 from fresh'],
])('%s after %s touches is said as %s', (deltaE, touches, words) =>
  expect(shiftInWords(deltaE, touches)).toBe(words),
);
