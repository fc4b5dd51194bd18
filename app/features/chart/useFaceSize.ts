import { useRef, useState } from 'react';
import { useWindowDimensions } from 'react-native';

export const FACE_SIZES = ['tucked', 'small', 'full'] as const;
export type FaceSize = (typeof FACE_SIZES)[number];

/**
 * Heights of the face on a phone of this height, px: some two fifths, a third while a step is worked under
 * it, a fifth, or put away.
 */
export function faceHeights(windowHeight: number, stepOpen: boolean): Readonly<Record<FaceSize, number>> {
  const within = (share: number, least: number, most: number): number =>
    Math.round(Math.min(most, Math.max(least, share * windowHeight)));
  return { tucked: 0, small: within(0.2, 120, 180), full: within(stepOpen ? 0.33 : 0.42, 200, 380) };
}

/** Screens lower than this, px, as a phone on its side, have room for a list and little else. */
const SHORT_PX = 450;

/**
 * The size a screen of this height begins with: what lies under the face has to be reached on a short one
 * too.
 */
export const firstSize = (windowHeight: number): FaceSize =>
  windowHeight < SHORT_PX ? 'tucked' : windowHeight < 620 ? 'small' : 'full';

/** The size nearest to a height, px. */
export function nearestSize(height: number, heights: Readonly<Record<FaceSize, number>>): FaceSize {
  const off = (size: FaceSize): number => Math.abs(heights[size] - height);
  return FACE_SIZES.reduce((best, size) => (off(size) < off(best) ? size : best));
}

export type FaceSizing = {
  readonly size: FaceSize;
  readonly height: number;
  /** Whether there is room for it to stay at the top. */
  readonly kept: boolean;
  readonly onStart: () => void;
  readonly onDrag: (dy: number) => void;
  readonly onEnd: () => void;
  readonly onNudge: (by: 1 | -1) => void;
};

/**
 * The face at the top of a phone: dragged, or by keys, between full, small and tucked away; a tap goes on by
 * one.
 */
export function useFaceSize(stepOpen: boolean): FaceSizing {
  const { height: windowHeight } = useWindowDimensions();
  const heights = faceHeights(windowHeight, stepOpen);
  const [chosen, setChosen] = useState<FaceSize | null>(null);
  const size = chosen ?? firstSize(windowHeight);
  const from = useRef({ height: 0, moved: false });
  return {
    size,
    height: heights[size],
    kept: windowHeight >= SHORT_PX,
    onStart: () => {
      from.current = { height: heights[size], moved: false };
    },
    onDrag: (dy) => {
      if (Math.abs(dy) < 8 && !from.current.moved) return;
      from.current.moved = true;
      setChosen(nearestSize(from.current.height + dy, heights));
    },
    onEnd: () => {
      if (!from.current.moved) setChosen(FACE_SIZES[(FACE_SIZES.indexOf(size) + 2) % 3] ?? 'full');
    },
    onNudge: (by) => setChosen(FACE_SIZES[FACE_SIZES.indexOf(size) + by] ?? size),
  };
}
