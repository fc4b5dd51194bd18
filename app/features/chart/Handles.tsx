import { useRef } from 'react';
import {
  clamp,
  guideNamed,
  GUIDE_PARAMETERS,
  INITIAL_PARAMS,
  outlineOf,
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
  readonly onChange: (placement: Placement) => void;
};

const MARKS: Record<GuideParameter, string> = { reach: '→', liftMm: '↑', width: '↔' };

/** Where a handle sits on the client's left shape (or the only one) for given parameters. */
function handleAt(placement: Guided, params: GuideParams, client: ClientSnapshot, name: GuideParameter): Point | null {
  const shape = outlineOf({ ...placement, params }, client.landmarks, client.features)[0];
  return shape?.handles[name] ?? null;
}

/** The handles of one placement: each slides along what it means, wherever the finger goes. */
export function Handles({ placement, client, toPixels, mmPerPixel, onChange }: HandlesProps) {
  const params: GuideParams = { ...INITIAL_PARAMS, ...placement.params };
  return (
    <>
      {guideNamed(placement.guide).adjustable.map((name) => {
        const at = handleAt(placement, params, client, name);
        return at ? (
          <Handle key={name} name={name} at={toPixels(at)} params={params} placement={placement} client={client} mmPerPixel={mmPerPixel} onChange={onChange} />
        ) : null;
      })}
    </>
  );
}

type HandleProps = Omit<HandlesProps, 'toPixels'> & { readonly name: GuideParameter; readonly at: Point; readonly params: GuideParams };

function Handle({ name, at, params, placement, client, mmPerPixel, onChange }: HandleProps) {
  const start = useRef(params);
  const spec = GUIDE_PARAMETERS[name];
  const set = (value: number): void => onChange({ ...placement, params: { ...params, [name]: clamp(value, spec.minimum, spec.maximum) } });
  return (
    <DragTarget
      label={spec.label}
      mark={MARKS[name]}
      x={at[0]}
      y={at[1]}
      value={Math.round(params[name] * 10) / 10}
      minimum={spec.minimum}
      maximum={spec.maximum}
      unit={spec.unit}
      onStart={() => (start.current = params)}
      onDrag={(dx, dy) => set(dragged(placement, start.current, client, name, [dx * mmPerPixel, dy * mmPerPixel]))}
      onNudge={(by) => set(params[name] + by * spec.step)}
    />
  );
}

/**
 * The value a drag asks for: the finger's way projected on the way the handle itself takes as the
 * parameter grows, found by moving it a little.
 */
export function dragged(placement: Guided, from: GuideParams, client: ClientSnapshot, name: GuideParameter, dragMm: Point): number {
  const spec = GUIDE_PARAMETERS[name];
  const small = (spec.maximum - spec.minimum) / 40;
  const before = handleAt(placement, { ...from, [name]: Math.max(spec.minimum, from[name] - small) }, client, name);
  const after = handleAt(placement, { ...from, [name]: Math.min(spec.maximum, from[name] + small) }, client, name);
  if (!before || !after) return from[name];
  const span = Math.min(spec.maximum, from[name] + small) - Math.max(spec.minimum, from[name] - small);
  const way: Point = [(after[0] - before[0]) / span, (after[1] - before[1]) / span];
  const length2 = way[0] ** 2 + way[1] ** 2;
  if (length2 < 1e-9) return from[name];
  return clamp(from[name] + (dragMm[0] * way[0] + dragMm[1] * way[1]) / length2, spec.minimum, spec.maximum);
}
