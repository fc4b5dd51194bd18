import {
  colourDrawn,
  labToHex,
  outlineOf,
  type ClientSnapshot,
  type Eyes,
  type PlacedShape,
  type Step,
} from '@toile/core';
import type { PaintedLayer } from '../face/FaceLayers';

export type Emphasis = NonNullable<PaintedLayer['emphasis']>;
type Kept = {
  readonly client: ClientSnapshot;
  readonly shapes: readonly PlacedShape[];
  readonly layers: Partial<Record<Emphasis, PaintedLayer>>;
};

// A step that has not changed keeps its layer: only what is touched is drawn again.
const kept: Readonly<Record<Eyes, WeakMap<Step, Kept>>> = { open: new WeakMap(), closed: new WeakMap() };

/**
 * What a step paints on a client’s face; null for steps without a place, and for care, which leaves nothing
 * to be seen, unless it stands out. The same object for the same step.
 */
export function layerOfStep(
  step: Step,
  client: ClientSnapshot,
  emphasis: Emphasis = 'plain',
  eyes: Eyes = 'open',
): PaintedLayer | null {
  const { role } = step;
  if ((role === 'care' && emphasis !== 'lit') || step.placements.length === 0) return null;
  let held = kept[eyes].get(step);
  if (
    !held ||
    held.client.landmarks !== client.landmarks ||
    held.client.features !== client.features ||
    held.client.skin !== client.skin
  ) {
    held = {
      client,
      shapes: step.placements.flatMap((p) => outlineOf(p, client.landmarks, client.features, eyes)),
      layers: {},
    };
    kept[eyes].set(step, held);
  }
  const known = held.layers[emphasis];
  if (known) return known;
  const lab = colourDrawn(step, client);
  const layer: PaintedLayer = {
    id: step.id,
    kind: role,
    shapes: held.shapes,
    colour: lab ? labToHex(lab) : null,
    emphasis,
  };
  held.layers[emphasis] = layer;
  return layer;
}

/** The layers of some steps, the selected one standing out. */
export function layersOf(
  client: ClientSnapshot,
  steps: readonly Step[],
  selected: string | null,
  eyes: Eyes = 'open',
): PaintedLayer[] {
  return steps.flatMap(
    (step) =>
      layerOfStep(step, client, selected === null ? 'plain' : selected === step.id ? 'lit' : 'faint', eyes) ??
      [],
  );
}
