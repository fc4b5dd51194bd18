import { clamp } from '../../math';
import { messagesIn } from '../../messages';
import { ribbon } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import {
  distanceToLine,
  ellipse,
  measureLine,
  mix,
  normalsOf,
  portion,
  type Point,
  type Polygon,
  type Polyline,
} from '../point';
import { intersectRegions, subtractRegion, type Region } from '../region';
import { faded, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/** Half-widths in mm at the back and at the front of a contour. */
const CONTOUR_BACK = 5.2;
const CONTOUR_FRONT = 2;
const BLUSH_HALF = 6.6;
/** How far the cheek line bows outwards from the straight line, as a share of its length. */
const BOW = 0.19;
/** Clear distances in mm: from the iris rim line, the smile line and mouth-corner height. */
export const CLEAR_OF_RIM = 1.5;
export const CLEAR_OF_SMILE = 8;
export const CLEAR_OF_MOUTH = 10;

/**
 * From the ear towards the mouth corner along the lower edge of the cheekbone. A long face (length over
 * cheekbones above 1.36) is given a flatter line, which adds width; a wide one a steeper line.
 */
export function cheekLine(half: HalfFace, face: FaceModel): Polyline {
  return cheekOf(half, face).line;
}

type Cheek = {
  readonly line: Polyline;
  readonly lawful: readonly [start: number, end: number];
  readonly outline: Polygon;
};
const cheeks = new WeakMap<HalfFace, Cheek>();

/**
 * What every cheek guide starts from, worked out once for a half: a handle that is moved asks for it at every
 * frame.
 */
function cheekOf(half: HalfFace, face: FaceModel): Cheek {
  let cheek = cheeks.get(half);
  if (!cheek) {
    const line = aimedLine(half, face);
    cheeks.set(
      half,
      (cheek = { line, lawful: lawfulSpan(half, line), outline: face.outline.map(half.fromFace) }),
    );
  }
  return cheek;
}

function aimedLine(half: HalfFace, face: FaceModel): Polyline {
  const from = half.earAttachment;
  const corner = half.at('mouth_corner');
  const flatter = clamp(110 * (face.lengthRatio - 1.36), -14, 14);
  const aim: Point = [corner[0], corner[1] - flatter];
  const chord = [aim[0] - from[0], aim[1] - from[1]] as const;
  const control: Point = [(from[0] + aim[0]) / 2 - BOW * -chord[1], (from[1] + aim[1]) / 2 + BOW * -chord[0]];
  return Array.from({ length: 81 }, (_, i): Point => {
    const t = i / 80;
    const [u, v, w] = [(1 - t) * (1 - t), 2 * t * (1 - t), t * t];
    return [u * from[0] + v * control[0] + w * aim[0], u * from[1] + v * control[1] + w * aim[1]];
  });
}

/** Fractions of the cheek line between which contour keeps every limit. */
export function lawfulSpan(half: HalfFace, line: Polyline): readonly [start: number, end: number] {
  const { lengthMm: total, at } = measureLine(line);
  const top = half.earAttachment[1] + 5;
  const floor = half.at('mouth_corner')[1] - CLEAR_OF_MOUTH;
  let start = 0;
  for (let s = 0; s < total; s += 0.5) {
    const p = at(s / total);
    if (p[1] < top) {
      start = (s + 0.5) / total;
      continue;
    }
    const inside =
      p[0] - CONTOUR_BACK < half.irisRim - CLEAR_OF_RIM ||
      p[1] > floor ||
      distanceToLine(p, half.smileLine) < CLEAR_OF_SMILE;
    if (inside) return [start, Math.max(start + 0.1, s / total)];
  }
  return [start, 1];
}

/**
 * Where a stroke runs between two fractions of its line, with its start and reach adjusted; never shorter
 * than a tenth.
 */
function between(from: number, to: number, { start, reach }: GuideParams): [number, number] {
  const begin = from + (to - from) * (Math.max(0, start) / 100);
  return [begin, Math.max(begin + 0.1, Math.min(1, from + (to - from) * (reach / 100)))];
}

/** Handles stand this far off the stroke, so that a finger on one does not cover it or the next. */
const HANDLE_CLEAR = 9;

function contour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const cheek = cheekOf(half, face);
  const line = shifted(cheek.line, -params.liftMm);
  const [start, lawful] = cheek.lawful;
  const spine = portion(line, ...between(start, lawful, params));
  const scale = params.width / 100;
  const halfWidth = (t: number): number =>
    scale * (CONTOUR_BACK + (CONTOUR_FRONT - CONTOUR_BACK) * t) * Math.min(1, 0.45 + 4 * t);
  return stroke(half, face, spine, halfWidth, faded([1, 0.35], params.fade), 3);
}

/** Above the contour, up and back along the bone, outside the eye area. */
function blushLifted(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const cheek = cheekOf(half, face);
  const scale = params.width / 100;
  const line = shifted(cheek.line, -(CONTOUR_BACK + BLUSH_HALF - 0.8 + params.liftMm));
  const [start, lawful] = cheek.lawful;
  const front = firstFraction(line, (p) => p[0] < half.at('pupil')[0] + 9);
  const spine = portion(line, ...between(start + 0.03, Math.min(lawful, front), params));
  const bead = (t: number): number =>
    scale * BLUSH_HALF * Math.max(0.3, Math.sin(Math.PI * clamp(0.12 + 0.8 * t, 0, 1)));
  const shape = stroke(half, face, spine, bead, faded([0.55, 1], params.fade), 5);
  const line0 = half.at('eye_outer')[1] + BLUSH_TOP;
  const above: Region = [
    [
      [0, -200],
      [120, -200],
      [120, line0],
      [0, line0],
    ],
  ];
  return { ...shape, region: subtractRegion(subtractRegion(shape.region, [half.orbit]), above) };
}

function blushFull(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const apple = half.at('cheek_apple');
  const scale = params.width / 100;
  const centre: Point = [apple[0] + 2 + (params.reach - 100) * 0.12, apple[1] - params.liftMm];
  const [rx, ry] = [15 * scale, 11.5 * scale];
  return {
    region: subtractRegion([ellipse(centre, rx, ry, -18)], [half.orbit]),
    line: null,
    handles: { liftMm: [centre[0], centre[1] - ry], width: [centre[0] + rx, centre[1]], reach: centre },
    featherMm: 6,
    fade: [1, 1],
  };
}

/** Lifted blush stops this far under the outer eye corner, mm; the light on the bone begins there. */
const BLUSH_TOP = 5;
/** How far light and blush may melt into each other, mm. */
const MELT = 1.5;

const belowLine = (y: number): Region => [
  [
    [0, y],
    [150, y],
    [150, 300],
    [0, 300],
  ],
];

/**
 * Light on top of the bone, between eye corner and cheekbone, outside the eye area and clear of a lifted
 * blush.
 */
function cheekboneLight(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const scale = params.width / 100;
  const bone = mix(half.at('eye_outer'), half.at('zygion'), 0.56);
  const top = half.at('eye_outer')[1] + BLUSH_TOP;
  const centre: Point = [bone[0] + 1, Math.min(bone[1], top - 2.5) - params.liftMm];
  const long = 9.5 * (params.reach / 100);
  const lit = subtractRegion([ellipse(centre, long, 2.9 * scale, -54)], [half.orbit]);
  const region = subtractRegion(lit, belowLine(top + MELT - Math.min(0, params.liftMm)));
  return {
    region,
    line: null,
    handles: {
      liftMm: centre,
      reach: [centre[0] + long * 0.59, centre[1] - long * 0.81],
      width: [centre[0] + 2.3 * scale, centre[1] + 1.7 * scale],
    },
    featherMm: 2.5,
    fade: [0.7, 1],
  };
}

/** Where the client flushes anyway: between apple and bone, low and wide. */
function blushNatural(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const flush = mix(half.at('cheek_apple'), half.at('malar'), 0.45);
  const centre: Point = [flush[0] + 1 + (params.reach - 100) * 0.12, flush[1] + 3 - params.liftMm];
  const [rx, ry] = [17 * k, 9.5 * k];
  return {
    region: subtractRegion([ellipse(centre, rx, ry, -12)], [half.orbit]),
    line: null,
    handles: { liftMm: [centre[0], centre[1] - ry], width: [centre[0] + rx, centre[1]], reach: centre },
    featherMm: 7,
    fade: [1, 1],
  };
}

function firstFraction(line: Polyline, test: (p: Point) => boolean): number {
  const { at } = measureLine(line);
  for (let i = 0; i <= 100; i++) if (test(at(i / 100))) return i / 100;
  return 1;
}

/** A line moved sideways by mm; positive is outwards and down the face. */
function shifted(line: Polyline, mm: number): Polyline {
  const normals = normalsOf(line);
  return line.map((p, i): Point => [p[0] + normals[i]![0] * mm, p[1] + normals[i]![1] * mm]);
}

/** A stroke clipped to the face, with its handles. */
export function stroke(
  half: HalfFace,
  face: FaceModel,
  spine: Polyline,
  halfWidth: (t: number) => number,
  fade: readonly [number, number],
  featherMm: number,
): GuideShape {
  const normals = normalsOf(spine);
  const beside = (t: number, mm: number): Point => {
    const i = Math.round(t * (spine.length - 1));
    return [spine[i]![0] + normals[i]![0] * mm, spine[i]![1] + normals[i]![1] * mm];
  };
  return {
    region: intersectRegions([ribbon(spine, halfWidth)], [cheekOf(half, face).outline]),
    line: spine,
    handles: {
      reach: spine[spine.length - 1]!,
      liftMm: beside(0.5, -HANDLE_CLEAR),
      width: beside(0.15, halfWidth(0.15) + HANDLE_CLEAR),
      start: spine[0]!,
      // Slides back along the line as more is lost.
      fade: beside(0.9 - 0.15 * Math.abs(fade[0] - fade[1]), halfWidth(0.8) + HANDLE_CLEAR),
    },
    featherMm,
    fade,
  };
}

const PATCH = ['reach', 'liftMm', 'width'] as const;
const ALL = [...PATCH, 'start', 'fade'] as const;
export const CHEEK_GUIDES = messagesIn(['label', 'where'], {
  cheekContour: {
    kind: 'contour',
    label: 'Cheek contour',
    where: 'from the ear towards the mouth corner, under the cheekbone',
    central: false,
    adjustable: ALL,
    build: contour,
  },
  blushLifted: {
    kind: 'blush',
    label: 'Lifted blush',
    where: 'along the cheekbone, up and back',
    central: false,
    adjustable: ALL,
    build: blushLifted,
  },
  blushFull: {
    kind: 'blush',
    label: 'Blush on the apple',
    where: 'on the apple of the cheek',
    central: false,
    adjustable: PATCH,
    build: blushFull,
  },
  blushNatural: {
    kind: 'blush',
    label: 'Natural blush',
    where: 'between the apple and the bone, where the client flushes',
    central: false,
    adjustable: PATCH,
    build: blushNatural,
  },
  cheekboneLight: {
    kind: 'highlight',
    label: 'Cheekbone light',
    where: 'along the top of the cheekbone',
    central: false,
    adjustable: PATCH,
    build: cheekboneLight,
  },
} as const satisfies Record<string, GuideDefinition>);
