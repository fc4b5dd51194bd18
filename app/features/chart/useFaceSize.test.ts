import * as fc from 'fast-check';
import { act, renderHook } from '@testing-library/react';
import { FACE_SIZES, faceHeights, firstSize, nearestSize, useFaceSize } from './useFaceSize';

test.each([
  [844, false, { tucked: 0, small: 169, full: 354 }],
  [844, true, { tucked: 0, small: 169, full: 279 }],
  [568, false, { tucked: 0, small: 120, full: 239 }],
  [1200, false, { tucked: 0, small: 180, full: 380 }],
  [390, false, { tucked: 0, small: 120, full: 200 }],
])('on a screen of %d px, a step open: %s', (height, open, heights) =>
  expect(faceHeights(height, open)).toEqual(heights),
);

test.each([
  [449, 'tucked'],
  [450, 'small'],
  [619, 'small'],
  [620, 'full'],
])('a screen of %d px begins with the face %s', (height, size) => expect(firstSize(height)).toBe(size));

test('a height goes to the size nearest to it, and every size to itself', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 200, max: 1400 }),
      fc.boolean(),
      fc.integer({ min: -200, max: 900 }),
      (h, open, to) => {
        const heights = faceHeights(h, open);
        const near = Math.abs(heights[nearestSize(to, heights)] - to);
        for (const size of FACE_SIZES) {
          expect(near).toBeLessThanOrEqual(Math.abs(heights[size] - to));
          expect(nearestSize(heights[size], heights)).toBe(size);
        }
      },
    ),
  );
});

describe('the face is', () => {
  // jsdom lays nothing out: the window's height is told to it.
  beforeAll(() => {
    Object.defineProperty(document.documentElement, 'clientHeight', { configurable: true, value: 844 });
    window.dispatchEvent(new Event('resize'));
  });
  const open = () => renderHook(() => useFaceSize(false)).result;

  test('dragged from full to tucked and back, and stays between its ends by keys', () => {
    const face = open();
    expect(face.current.size).toBe('full');
    act(() => face.current.onStart());
    act(() => face.current.onDrag(-400));
    act(() => face.current.onEnd());
    expect(face.current).toMatchObject({ size: 'tucked', height: 0 });
    act(() => face.current.onNudge(-1));
    expect(face.current.size).toBe('tucked');
    act(() => face.current.onNudge(1));
    expect(face.current.size).toBe('small');
    act(() => face.current.onNudge(1));
    act(() => face.current.onNudge(1));
    expect(face.current.size).toBe('full');
  });

  test('made smaller by a tap, and full again after the smallest; a trembling finger taps', () => {
    const face = open();
    const tap = (dy: number): void => {
      act(() => face.current.onStart());
      act(() => face.current.onDrag(dy));
      act(() => face.current.onEnd());
    };
    tap(7);
    expect(face.current.size).toBe('small');
    tap(-7);
    expect(face.current.size).toBe('tucked');
    tap(0);
    expect(face.current.size).toBe('full');
  });
});
