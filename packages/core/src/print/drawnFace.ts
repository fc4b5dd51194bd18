import { labToHex } from '../colour';
import {
  LAYER_LOOKS,
  lineArt,
  outlineOf,
  pathOf,
  type Eyes,
  type InkFill,
  type LayerKind,
  type PlacedShape,
  type Point,
} from '../face';
import { colourDrawn, type Chart, type Step } from '../look';
import { msg } from '../messages';
import { patternIn } from './patternIn';
import { INK, SOFT, type SheetOp } from './sheet';

const HAIR = {
  fair: '#d8d3c8',
  red: '#c9aea0',
  brown: '#a89f97',
  black: '#6a6764',
  grey: '#d4d4d4',
} as const;

const inkFills = (hair: string): Readonly<Record<InkFill, string>> => ({
  ink: '#242424',
  skin: '#fafafa',
  shade: '#dadada',
  hair,
  sheen: '#fafafa',
  cloth: '#cfcfcf',
  lip: '#e4e4e4',
  eyeWhite: '#ffffff',
  iris: '#8a8a8a',
  pupil: '#101010',
  catchlight: '#ffffff',
});

/** A step as it is drawn: numbered as it stands on the page, where and in what colour. */
export type Placed = {
  readonly number: number;
  readonly step: Step;
  readonly kind: LayerKind;
  readonly shapes: readonly PlacedShape[];
  readonly colour: string;
};

/** The steps that leave something to be seen, with eyes open or closed. */
export function placedSteps(chart: Chart, steps: readonly Step[], eyes: Eyes): Placed[] {
  const { landmarks, features } = chart.client;
  return steps.flatMap((step, i): Placed[] => {
    if (step.role === 'care') return [];
    const lab = colourDrawn(step, chart.client);
    const shapes = step.placements.flatMap((p) => outlineOf(p, landmarks, features, eyes));
    return [
      {
        number: i + 1,
        step,
        kind: step.role,
        shapes,
        colour: lab ? labToHex(lab) : LAYER_LOOKS[step.role].fallback,
      },
    ];
  });
}

/** How a layer is painted: in its colour under its pattern, or by outline and pattern alone. */
function layerOps({ kind, shapes, colour }: Placed, inColour: boolean): SheetOp[] {
  const { pattern } = LAYER_LOOKS[kind];
  const wide = kind === 'base' || kind === 'powder';
  return shapes.flatMap((shape): SheetOp[] => {
    const d = pathOf(shape.region, 2);
    if (d === '') return [];
    const solid = kind === 'liner' || kind === 'lash';
    const fill: SheetOp = inColour
      ? { op: 'path', d, fill: colour, opacity: wide ? 0.16 : 0.6 }
      : { op: 'path', d, fill: solid ? INK : null, opacity: 1, stroke: INK, strokeWidth: wide ? 0.12 : 0.25 };
    const marks = wide && inColour ? '' : pathOf(patternIn(shape.region, pattern), 2);
    return marks === ''
      ? [fill]
      : [fill, { op: 'path', d: marks, fill: INK, opacity: inColour ? 0.55 : 0.9 }];
  });
}

/** The middle of each of a layer's shapes, where its number may point. */
function numberPlaces({ shapes }: Placed): Point[] {
  return shapes.flatMap((shape): Point[] => {
    const points = shape.region.flat();
    if (points.length < 3) return [];
    const [x, y] = points.reduce<Point>((sum, p) => [sum[0] + p[0], sum[1] + p[1]], [0, 0]);
    return [[x / points.length, y / points.length]];
  });
}

/** Numbers beside the face, in two columns, each joined to its layer by a fine line. */
export function numberOps(
  placed: readonly Placed[],
  box: readonly [number, number, number, number],
  scale: number,
  frame: readonly [number, number, number, number],
): SheetOp[] {
  const [x, y] = box;
  const middle = frame[0] + frame[2] / 2;
  const toSheet = (p: Point): Point => [frame[0] + (p[0] - x) * scale, frame[1] + (p[1] - y) * scale];
  let left = 0;
  let right = 0;
  const named = placed
    .filter(({ kind }) => kind !== 'base' && kind !== 'powder')
    .flatMap((p) => {
      const places = numberPlaces(p).map(toSheet);
      const onLeft = places.find((at) => at[0] < middle - 2);
      const onRight = places.find((at) => at[0] >= middle - 2);
      // A layer on both sides is numbered where fewer numbers are.
      const at = onLeft && (!onRight || left <= right) ? onLeft : onRight;
      if (!at) return [];
      if (at === onLeft) left++;
      else right++;
      return [{ number: p.number, at }];
    });
  const ops: SheetOp[] = [];
  for (const side of ['left', 'right'] as const) {
    const own = named
      .filter(({ at }) => (side === 'left' ? at[0] < middle : at[0] >= middle))
      .sort((a, b) => a.at[1] - b.at[1]);
    const edge = side === 'left' ? frame[0] + 6 : frame[0] + frame[2] - 6;
    let last = -Infinity;
    for (const { number, at } of own) {
      const py = Math.max(at[1], last + 11, frame[1] + 8);
      last = py;
      ops.push({
        op: 'path',
        d: `M${at[0].toFixed(1)} ${at[1].toFixed(1)}L${(edge + (side === 'left' ? 5 : -5)).toFixed(1)} ${py.toFixed(1)}`,
        fill: null,
        opacity: 0.8,
        stroke: SOFT,
        strokeWidth: 0.35,
      });
      ops.push({
        op: 'text',
        x: edge,
        y: py + 3,
        size: 8.5,
        bold: true,
        fill: INK,
        text: String(number),
        middle: true,
      });
    }
  }
  return ops;
}

/** A face with its layers: what of it lies in `box` (mm), centred in `frame` (points). */
export function faceGroup(
  chart: Chart,
  placed: readonly Placed[],
  box: readonly [number, number, number, number],
  frame: readonly [number, number, number, number],
  eyes: Eyes,
  inColour: boolean,
): Extract<SheetOp, { op: 'group' }> {
  const { landmarks, features } = chart.client;
  const art = lineArt(landmarks, features, eyes);
  const fills = inkFills(HAIR[features.hairTone]);
  const inks = (list: typeof art.ground): SheetOp[] =>
    list.map((ink): SheetOp => ({ op: 'path', d: ink.d, fill: fills[ink.fill], opacity: ink.opacity }));
  const scale = Math.min(frame[2] / box[2], frame[3] / box[3]);
  // Centred in its frame.
  const origin: Point = [box[0] - (frame[2] / scale - box[2]) / 2, box[1] - (frame[3] / scale - box[3]) / 2];
  return {
    op: 'group',
    frame,
    scale,
    origin,
    ops: [...inks(art.ground), ...placed.flatMap((p) => layerOps(p, inColour)), ...inks(art.lines)],
  };
}

/** What the drawing shows, for whoever has it read out: which steps are drawn, by their numbers. */
export function faceInWords(name: string, steps: readonly Step[], placed: readonly Placed[]): string {
  const drawn = steps.flatMap((step, i) =>
    placed.some(({ number, shapes }) => number === i + 1 && shapes.length > 0)
      ? [`${i + 1} ${step.title}`]
      : [],
  );
  return drawn.length === 0
    ? msg`The face of ${name}; nothing is drawn on it`
    : msg`The face of ${name}, the eyes open and closed and the lips up close, with each layer in its place: ${drawn.join(', ')}`;
}
