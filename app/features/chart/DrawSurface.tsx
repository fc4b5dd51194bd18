import { useRef, type PointerEvent, type WheelEvent } from 'react';
import { getStroke } from 'perfect-freehand';
import { msg, snapToGuide, type ClientSnapshot, type Point, type Step, type StrokePoint } from '@toile/core';
import { useColours } from '../../ui';

export type Box = readonly [x: number, y: number, width: number, height: number];
export type DrawnStroke = { readonly outline: readonly Point[]; readonly stroke: readonly StrokePoint[] };

type DrawSurfaceProps = {
  readonly client: ClientSnapshot;
  readonly step: Step;
  readonly tool: 'draw' | 'erase';
  readonly radiusMm: number;
  readonly snap: boolean;
  readonly view: Box;
  readonly toMm: (p: Point) => Point;
  readonly mmPerPixel: number;
  readonly onStroke: (stroke: DrawnStroke) => void;
  readonly onView: (view: Box) => void;
};

type Finger = { readonly x: number; readonly y: number };
type Sample = [x: number, y: number, pressure: number];
const MOST_WIDE_MM = 190;
const LEAST_WIDE_MM = 18;

/** Zooms a box about a place, held between a close look at an eye and the whole face. */
export function zoomed([x, y, w, h]: Box, about: Point, factor: number): Box {
  const k = Math.max(LEAST_WIDE_MM / w, Math.min(MOST_WIDE_MM / w, factor));
  return [about[0] - (about[0] - x) * k, about[1] - (about[1] - y) * k, w * k, h * k];
}

const outlineFor = (samples: readonly Sample[], size: number, pen: boolean): Point[] =>
  getStroke([...samples], {
    size,
    thinning: pen ? 0.6 : 0,
    smoothing: 0.5,
    streamline: 0.35,
    simulatePressure: false,
    last: true,
  }).map(([x, y]): Point => [x!, y!]);

/**
 * The face as something to draw on: one finger, pen or mouse draws or wipes, two fingers or the wheel zoom
 * and move.
 */
export function DrawSurface({
  client,
  step,
  tool,
  radiusMm,
  snap,
  view,
  toMm,
  mmPerPixel,
  onStroke,
  onView,
}: DrawSurfaceProps) {
  const c = useColours();
  const fingers = useRef(new Map<number, Finger>());
  const samples = useRef<Sample[]>([]);
  const preview = useRef<SVGPathElement>(null);
  const pinch = useRef<{ gap: number; middle: Point } | null>(null);
  const penSeen = useRef(false);
  const size = (2 * radiusMm) / mmPerPixel;

  const at = (event: PointerEvent<HTMLDivElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const show = (pen: boolean): void => {
    const outline = samples.current.length === 0 ? [] : outlineFor(samples.current, size, pen);
    preview.current?.setAttribute(
      'd',
      outline.length < 3 ? '' : `M${outline.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}Z`,
    );
  };
  const give = (): void => {
    samples.current = [];
    show(false);
  };

  const down = (event: PointerEvent<HTMLDivElement>): void => {
    if (event.pointerType === 'pen') penSeen.current = true;
    // A palm beside a pen is not a second finger.
    if (event.pointerType === 'touch' && penSeen.current) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = at(event);
    fingers.current.set(event.pointerId, { x, y });
    if (fingers.current.size === 1) samples.current = [[x, y, event.pressure || 0.5]];
    else {
      give();
      pinch.current = spread([...fingers.current.values()]);
    }
  };
  const move = (event: PointerEvent<HTMLDivElement>): void => {
    if (!fingers.current.has(event.pointerId)) return;
    const [x, y] = at(event);
    fingers.current.set(event.pointerId, { x, y });
    if (fingers.current.size >= 2 && pinch.current) {
      const now = spread([...fingers.current.values()]);
      const about = toMm(now.middle);
      const [vx, vy, vw, vh] = zoomed(view, about, pinch.current.gap / Math.max(1, now.gap));
      onView([
        vx - (now.middle[0] - pinch.current.middle[0]) * mmPerPixel,
        vy - (now.middle[1] - pinch.current.middle[1]) * mmPerPixel,
        vw,
        vh,
      ]);
      pinch.current = now;
      return;
    }
    if (samples.current.length === 0) return;
    for (const part of event.nativeEvent.getCoalescedEvents?.() ?? [event.nativeEvent]) {
      const box = event.currentTarget.getBoundingClientRect();
      samples.current.push([part.clientX - box.left, part.clientY - box.top, part.pressure || 0.5]);
    }
    show(event.pointerType === 'pen');
  };
  const up = (event: PointerEvent<HTMLDivElement>): void => {
    if (!fingers.current.delete(event.pointerId)) return;
    if (fingers.current.size < 2) pinch.current = null;
    const drawn = samples.current;
    if (drawn.length < 2 || fingers.current.size > 0) return give();
    const pen = event.pointerType === 'pen';
    const stroke = drawn.map(([x, y, pressure]): StrokePoint => [
      ...toMm([x, y]),
      radiusMm * (pen ? 0.4 + 1.2 * pressure : 1),
    ]);
    const { role } = step;
    const followed =
      snap && tool === 'draw' && role !== 'care'
        ? snapToGuide(stroke, role, client.landmarks, client.features)
        : stroke;
    const outline =
      followed === stroke
        ? outlineFor(drawn, size, pen).map(toMm)
        : outlineFor(
            followed.map(([x, y, radius]): Sample => [x * 10, y * 10, Math.min(1, radius / (2 * radiusMm))]),
            20 * radiusMm,
            pen,
          ).map(([x, y]): Point => [x / 10, y / 10]);
    give();
    if (outline.length >= 3) onStroke({ outline, stroke: followed });
  };
  const wheel = (event: WheelEvent<HTMLDivElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    onView(
      zoomed(
        view,
        toMm([event.clientX - box.left, event.clientY - box.top]),
        Math.exp(event.deltaY * 0.0015),
      ),
    );
  };

  return (
    <div
      role="application"
      aria-label={tool === 'draw' ? msg`Draw ${step.title} on the face` : msg`Wipe off ${step.title}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={(event) => {
        fingers.current.delete(event.pointerId);
        give();
      }}
      onWheel={wheel}
      style={{ position: 'absolute', inset: 0, touchAction: 'none', cursor: 'crosshair', userSelect: 'none' }}
    >
      <svg width="100%" height="100%" aria-hidden style={{ pointerEvents: 'none' }}>
        <path
          ref={preview}
          fill={tool === 'draw' ? c.woad : c.surface}
          stroke={tool === 'draw' ? 'none' : c.madder}
          opacity={0.55}
        />
      </svg>
    </div>
  );
}

/** How far two fingers are apart and where their middle is, px. */
function spread(fingers: readonly Finger[]): { gap: number; middle: Point } {
  const [a, b] = [fingers[0]!, fingers[1] ?? fingers[0]!];
  return { gap: Math.max(1, Math.hypot(a.x - b.x, a.y - b.y)), middle: [(a.x + b.x) / 2, (a.y + b.y) / 2] };
}
