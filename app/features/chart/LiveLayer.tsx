import { useImperativeHandle, useRef, type Ref } from 'react';
import {
  outlineOf,
  pathOf,
  type ClientSnapshot,
  type GuideParameter,
  type Placement,
  type Point,
} from '@toile/core';
import type { Box } from './DrawSurface';

/** Draws a placement while its handle is held, and moves the handles with it. */
export type Live = {
  readonly show: (placement: Placement, values: Readonly<Partial<Record<GuideParameter, number>>>) => void;
};

type LiveLayerProps = {
  readonly ref: Ref<Live>;
  readonly client: ClientSnapshot;
  readonly frame: Box;
  readonly colour: string;
  readonly toPixels: (p: Point) => Point;
};

/**
 * The one layer that is being moved, over the drawing and past React: at each frame only its outline and its
 * handles change, so that it follows the finger on a slow phone too.
 */
export function LiveLayer({ ref, client, frame, colour, toPixels }: LiveLayerProps) {
  const svg = useRef<SVGSVGElement>(null);
  const path = useRef<SVGPathElement>(null);
  useImperativeHandle(ref, () => ({
    show: (placement, values) => {
      const shapes = outlineOf(placement, client.landmarks, client.features);
      path.current?.setAttribute('d', shapes.map((shape) => pathOf(shape.region, 1)).join(''));
      for (const [name, at] of Object.entries(shapes[0]?.handles ?? {})) {
        const handle = svg.current?.parentElement?.querySelector<HTMLElement>(`[data-handle="${name}"]`);
        if (!handle) continue;
        const [x, y] = toPixels(at);
        handle.style.left = `${x - 22}px`;
        handle.style.top = `${y - 22}px`;
        const value = values[name as GuideParameter];
        if (value !== undefined) handle.setAttribute('aria-valuenow', String(Math.round(value * 10) / 10));
      }
    },
  }));
  return (
    <svg
      ref={svg}
      width="100%"
      height="100%"
      viewBox={frame.join(' ')}
      preserveAspectRatio="xMidYMid meet"
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      <path ref={path} fill={colour} opacity={0.75} stroke="#161616" strokeWidth={0.4} />
    </svg>
  );
}
