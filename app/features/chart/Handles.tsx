import { useMemo, useRef } from 'react';
import {
  clamp,
  GUIDE_PARAMETERS,
  guideNamed,
  INITIAL_PARAMS,
  outlineOf,
  term,
  type ClientSnapshot,
  type GuideParameter,
  type GuideParams,
  type Placement,
  type Point,
} from '@toile/core';
import { DragTarget } from '../../ui';

type Guided = Extract<Placement, { guide: string }>;

type HandlesProps = {
  readonly placement: Guided;
  readonly client: ClientSnapshot;
  readonly toPixels: (p: Point) => Point;
  readonly mmPerPixel: number;
  /** While a handle is moved: at most once a frame. */
  readonly onMove: (placement: Placement, values: GuideParams) => void;
  /** When it is let go, or moved by a key. */
  readonly onChange: (placement: Placement) => void;
};

const MARKS: Record<GuideParameter, string> = {
  reach: '→',
  liftMm: '↑',
  width: '↔',
  start: '⇤',
  fade: '░',
  upperMm: '↑',
  lowerMm: '↓',
  frontMm: '⇤',
  archMm: '∧',
  tailMm: '⇥',
  innerMm: '1',
  middleMm: '2',
  outerMm: '3',
};
/** Handles nearer than this are moved apart: a finger takes hold of one at a time, px. */
const APART_PX = 40;

/** Where the handles sit on the client's left shape, or the only one. */
function handlesAt(placement: Guided, client: ClientSnapshot): { readonly [name in GuideParameter]?: Point } {
  return outlineOf(placement, client.landmarks, client.features)[0]?.handles ?? {};
}

/** Places moved apart until no two cover each other, the first staying nearest to where it belongs. */
export function spreadOut(places: readonly Point[], apart = APART_PX): Point[] {
  const moved = places.map(([x, y]): [number, number] => [x, y]);
  for (let round = 0; round < 12; round++) {
    for (let i = 0; i < moved.length; i++) {
      for (let k = i + 1; k < moved.length; k++) {
        const [a, b] = [moved[i]!, moved[k]!];
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        const gap = Math.hypot(dx, dy);
        if (gap >= apart) continue;
        const [ux, uy] = gap > 0.5 ? [dx / gap, dy / gap] : [Math.cos(k * 2.4), Math.sin(k * 2.4)];
        const by = (apart - gap) / 2;
        moved[i] = [a[0] - ux * by * 0.6, a[1] - uy * by * 0.6];
        moved[k] = [b[0] + ux * by * 1.4, b[1] + uy * by * 1.4];
      }
    }
  }
  return moved;
}

/** The handles of one placement: each slides along what it means, wherever the finger goes. */
export function Handles({ placement, client, toPixels, mmPerPixel, onMove, onChange }: HandlesProps) {
  const params = useMemo((): GuideParams => ({ ...INITIAL_PARAMS, ...placement.params }), [placement.params]);
  const at = handlesAt(placement, client);
  const names = guideNamed(placement.guide).adjustable.filter((name) => at[name]);
  const places = spreadOut(names.map((name) => toPixels(at[name]!)));
  return (
    <>
      {names.map((name, i) => (
        <Handle
          key={name}
          name={name}
          at={places[i]!}
          params={params}
          placement={placement}
          client={client}
          mmPerPixel={mmPerPixel}
          onMove={onMove}
          onChange={onChange}
        />
      ))}
    </>
  );
}

type HandleProps = Omit<HandlesProps, 'toPixels'> & {
  readonly name: GuideParameter;
  readonly at: Point;
  readonly params: GuideParams;
};

function Handle({ name, at, params, placement, client, mmPerPixel, onMove, onChange }: HandleProps) {
  const start = useRef<{ params: GuideParams; way: Point } | null>(null);
  const asked = useRef<Placement | null>(null);
  const frame = useRef(0);
  const spec = GUIDE_PARAMETERS[name];
  const withValue = (value: number): Placement => ({
    ...placement,
    params: { ...placement.params, [name]: clamp(value, spec.minimum, spec.maximum) },
  });
  // A screen draws sixty times a second; a finger reports more often than that.
  const move = (value: number): void => {
    asked.current = withValue(value);
    if (frame.current !== 0) return;
    frame.current = requestAnimationFrame(() => {
      frame.current = 0;
      if (asked.current && 'guide' in asked.current)
        onMove(asked.current, { ...INITIAL_PARAMS, ...asked.current.params });
    });
  };
  return (
    <DragTarget
      label={term(spec.label)}
      name={name}
      mark={MARKS[name]}
      x={at[0]}
      y={at[1]}
      value={Math.round(params[name] * 10) / 10}
      minimum={spec.minimum}
      maximum={spec.maximum}
      unit={spec.unit}
      onStart={() => (start.current = { params, way: wayOf(placement, params, client, name) })}
      onDrag={(dx, dy) => {
        if (start.current)
          move(along(start.current.params, start.current.way, name, [dx * mmPerPixel, dy * mmPerPixel]));
      }}
      onEnd={() => {
        cancelAnimationFrame(frame.current);
        frame.current = 0;
        if (asked.current) onChange(asked.current);
        asked.current = null;
        start.current = null;
      }}
      onNudge={(by) => onChange(withValue(params[name] + by * spec.step))}
    />
  );
}

/** How a handle moves, in mm, as its parameter grows by one: found by moving it a little. */
function wayOf(placement: Guided, from: GuideParams, client: ClientSnapshot, name: GuideParameter): Point {
  const spec = GUIDE_PARAMETERS[name];
  const small = (spec.maximum - spec.minimum) / 40;
  const [low, high] = [
    Math.max(spec.minimum, from[name] - small),
    Math.min(spec.maximum, from[name] + small),
  ];
  const before = handlesAt({ ...placement, params: { ...from, [name]: low } }, client)[name];
  const after = handlesAt({ ...placement, params: { ...from, [name]: high } }, client)[name];
  if (!before || !after) return [0, 0];
  return [(after[0] - before[0]) / (high - low), (after[1] - before[1]) / (high - low)];
}

/** The value a drag asks for: the finger's way projected on the way the handle itself takes. */
function along(from: GuideParams, way: Point, name: GuideParameter, dragMm: Point): number {
  const spec = GUIDE_PARAMETERS[name];
  const length2 = way[0] ** 2 + way[1] ** 2;
  if (length2 < 1e-9) return from[name];
  return clamp(from[name] + (dragMm[0] * way[0] + dragMm[1] * way[1]) / length2, spec.minimum, spec.maximum);
}

/** The value of a parameter after a drag in mm from where its handle is. */
export function dragged(
  placement: Guided,
  from: GuideParams,
  client: ClientSnapshot,
  name: GuideParameter,
  dragMm: Point,
): number {
  return along(from, wayOf(placement, from, client, name), name, dragMm);
}
