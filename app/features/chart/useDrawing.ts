import { useCallback, useState } from 'react';
import type { Box } from './DrawSurface';

export const BREADTHS = { fine: 0.8, thin: 1.6, medium: 3.5, broad: 7 } as const;
export type Breadth = keyof typeof BREADTHS;

export type Drawing = {
  readonly tool: 'draw' | 'erase';
  readonly breadth: Breadth;
  readonly mirrored: boolean;
  readonly snap: boolean;
  /** null: the step's own frame. */
  readonly view: Box | null;
};

export type DrawingState = {
  /** null while nothing is drawn by hand. */
  readonly drawing: Drawing | null;
  readonly start: () => void;
  readonly stop: () => void;
  readonly set: (change: Partial<Drawing>) => void;
};

/** What the hand holds while a layer is drawn: pen or eraser, how broad, one side or both. */
export function useDrawing(): DrawingState {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const stop = useCallback(() => setDrawing(null), []);
  return {
    drawing,
    start: () => setDrawing({ tool: 'draw', breadth: 'medium', mirrored: true, snap: false, view: null }),
    stop,
    set: (change) => setDrawing((d) => (d ? { ...d, ...change } : d)),
  };
}
