import { clamp } from '../../math';
import { messagesIn } from '../../messages';
import { ribbon } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import type { Lid } from '../features';
import { measureLine, normalsOf, portion, resample, type Point, type Polygon, type Polyline } from '../point';
import { uniteOutlines } from '../region';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

const flat = (
  region: GuideShape['region'],
  featherMm: number,
  line: Polyline | null = null,
  fade: GuideShape['fade'] = [1, 1],
  handles: GuideShape['handles'] = {},
): GuideShape => ({
  ...patch(region, featherMm, fade, handles),
  line,
});

/** What is left of a lid over its lashes, however far its fold is brought down, mm. */
const LEAST_LID_MM = 0.8;

/** Where the lash line lies under a place of the lid. */
function lashesAt(half: HalfFace, x: number): number {
  const line = half.upperLid;
  const i = line.findIndex(([px], at) => at > 0 && px >= x);
  const [from, to] = i < 0 ? [line.at(-1)!, line.at(-1)!] : [line[i - 1]!, line[i]!];
  const share = to[0] === from[0] ? 0 : clamp((x - from[0]) / (to[0] - from[0]), 0, 1);
  return from[1] + share * (to[1] - from[1]);
}

/** A place of a fold moved up by mm; down below none, but never over the lashes into the eye. */
const movedUp = (half: HalfFace, [x, y]: Point, mm: number): Point => [
  x,
  Math.min(y - mm, Math.max(y, lashesAt(half, x) - LEAST_LID_MM)),
];

/** Lash line to crease, between two fractions of the lid's length. */
function lidBetween(half: HalfFace, from: number, to: number, above = 0): Polygon {
  const lashes = portion(half.upperLid, from, to, 0.8);
  // The drawn crease starts and ends outside the lid, so the inner and outer tenth are left off.
  const crease = portion(half.crease, 0.06 + from * 0.84, 0.06 + to * 0.84, 0.8).map((p) =>
    movedUp(half, p, above),
  );
  return [...lashes, ...[...crease].reverse()];
}

const creaseAt = (half: HalfFace, t: number, above: number): Point =>
  movedUp(half, measureLine(half.crease).at(0.06 + t * 0.84), above);

const lid = (half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape =>
  flat([lidBetween(half, 0.06, 0.97, params.liftMm)], 1, null, [1, 1], {
    liftMm: creaseAt(half, 0.5, params.liftMm),
  });

/** How far above the natural fold colour has to go to be seen with the eye open, mm. */
export const ABOVE_FOLD: Readonly<Record<Lid, number>> = {
  open: 0.6,
  'partly hooded': 2.6,
  hooded: 4.2,
  'without a crease': 4.2,
};
/** How far above it a socket is drawn, mm; without a crease it is all that tells where one would be. */
const SOCKET_LIFT: Readonly<Record<Lid, number>> = {
  open: 0,
  'partly hooded': 2.2,
  hooded: 3.6,
  'without a crease': 3.6,
};

/**
 * The lid and on over the fold, as far as it has to go to show with the eye open: the more hooded the eye,
 * the further.
 */
function openLid(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const above = ABOVE_FOLD[face.features.lids[half.side]] + params.liftMm;
  return flat(uniteOutlines([lidBetween(half, 0.06, 0.97, above)]), 1.5, null, [1, 1], {
    liftMm: creaseAt(half, 0.5, above),
  });
}

/** The lower lashes, half as long as the upper and fewer. */
function lowerLashes(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const roots = portion(half.lowerLid, 0.06, clamp(0.06 + 0.84 * (params.reach / 100), 0.3, 0.95), 0.6);
  const hairs = Array.from({ length: 9 }, (_, i): Polygon => {
    const [x, y] = roots[Math.round((i / 8) * (roots.length - 1))]!;
    const lean = 1.2 * (0.5 - i / 8);
    return ribbon(
      [
        [x, y],
        [x + lean * 0.4, y + 1.2],
        [x + lean, y + 2.4],
      ],
      (t) => 0.24 * (1 - t) + 0.03,
    );
  });
  return flat(uniteOutlines(hairs), 0.2, roots, [1, 1], { reach: roots[roots.length - 1]! });
}

/** The outer third by rule; reach takes it further in or keeps it out. */
function outerLid(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const inner = clamp(1 - 0.36 * (params.reach / 100), 0.3, 0.9);
  const above = 1.2 + params.liftMm;
  return flat(uniteOutlines([lidBetween(half, inner, 1, above)]), 2, null, [0.4, 1], {
    reach: creaseAt(half, inner, above),
    liftMm: creaseAt(half, 0.9, above),
  });
}

/** The inner two thirds by rule. */
function innerLid(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const outer = clamp(0.06 + 0.6 * (params.reach / 100), 0.3, 0.95);
  return flat([lidBetween(half, 0.06, outer)], 1.5, null, [1, 1], { reach: creaseAt(half, outer, 0) });
}

/** The middle of the lid, above the pupil, where light rounds it. */
function lidCentre(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const half0 = 0.14 * (params.width / 100);
  return flat(
    [lidBetween(half, clamp(0.5 - half0, 0.06, 0.45), clamp(0.5 + half0, 0.55, 0.95))],
    1.5,
    null,
    [1, 1],
    { width: creaseAt(half, 0.5 + half0, 0) },
  );
}

/** The socket line; on hooded lids placed above the natural fold, where it shows with the eye open. */
function socket(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const lift = SOCKET_LIFT[face.features.lids[half.side]] + 1 + params.liftMm;
  const spine = portion(half.crease, 0.12, 0.97, 0.8).map((p) => movedUp(half, p, lift));
  const k = params.width / 100;
  const middle = spine[Math.floor(spine.length / 2)]!;
  return flat(
    [ribbon(spine, (t) => k * (0.3 + 1.5 * Math.sin(Math.PI * Math.min(1, t * 0.9 + 0.1))))],
    2,
    spine,
    [0.4, 1],
    {
      liftMm: middle,
      width: [middle[0] + 6, middle[1] - 2 * k],
    },
  );
}

/**
 * From the middle of the lash line outwards (from the inner corner when started earlier), thin, lifted at the
 * end and never down.
 */
function liner(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const from = clamp(0.42 + (params.start / 100) * 0.85, 0.05, 0.85);
  const along = portion(half.upperLid, from, 1, 0.6);
  const [cornerX, cornerY] = along[along.length - 1]!;
  const corner: Point = [cornerX, cornerY - 0.5];
  const flick = 4 * (params.reach / 100);
  const rise = Math.max(0.1, 0.62 + 0.12 * params.liftMm);
  const end: Point = [corner[0] + flick, corner[1] - flick * rise];
  const spine = [
    ...along.map(([x, y]): Point => [x, y - 0.5]),
    [corner[0] + flick * 0.5, corner[1] - flick * rise * 0.52] as Point,
    end,
  ];
  const k = params.width / 100;
  return flat(
    [ribbon(resample(spine, 0.5), (t) => k * (0.15 + 0.7 * Math.sin(Math.PI * Math.min(1, t * 0.8 + 0.1))))],
    0.3,
    spine,
    [0.6, 1],
    {
      start: spine[0]!,
      reach: end,
      liftMm: [end[0] + 5, end[1]],
      width: [spine[Math.floor(spine.length / 2)]![0], spine[Math.floor(spine.length / 2)]![1] - 4 - k],
    },
  );
}

/** Between the lashes of the upper lid, so thin that only the lashes look fuller. */
const tightLine = (half: HalfFace): GuideShape => {
  const spine = portion(half.upperLid, 0.12, 0.98, 0.6).map(([x, y]): Point => [x, y + 0.15]);
  return flat([ribbon(spine, () => 0.28)], 0.2, spine);
};

/** The outer two thirds of the lower lash line; reach takes it further in. */
function lowerLine(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const spine = portion(half.lowerLid, 0.02, clamp(0.02 + 0.64 * (params.reach / 100), 0.2, 0.97), 0.6).map(
    ([x, y]): Point => [x, y + 0.7],
  );
  const k = params.width / 100;
  return flat([ribbon(spine, (t) => k * (0.9 - 0.6 * t))], 0.8, spine, [1, 0.3], {
    reach: spine[spine.length - 1]!,
    width: [spine[0]![0] - 2, spine[0]![1] + 2 + k],
  });
}

/** How far a lash stands out seen from the front, over its length: most of it points at the viewer. */
const SEEN = 0.5;

/** Lash length in mm at a fraction of the lid from the inner corner: through the three lengths of the map. */
function mappedLength(t: number, { innerMm, middleMm, outerMm }: GuideParams): number {
  return t < 0.5 ? innerMm + (middleMm - innerMm) * t * 2 : middleMm + (outerMm - middleMm) * (t - 0.5) * 2;
}

/**
 * The upper lashes hair by hair: lengths at the inner corner, over the pupil and at the outer corner; start
 * and reach trim the strip.
 */
function lashes(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const from = clamp(0.08 + Math.max(0, params.start) / 100, 0.08, 0.7);
  const to = clamp(params.reach / 100, from + 0.2, 1);
  const roots = portion(half.upperLid, from, to, 0.6);
  const normals = normalsOf(roots);
  const hairs = Array.from({ length: 15 }, (_, i): Polygon => {
    const k = Math.round((i / 14) * (roots.length - 1));
    const t = from + ((to - from) * i) / 14;
    const length = SEEN * mappedLength(t, params);
    const [x, y] = roots[k]!;
    const lean = 2.6 * (t - 0.35);
    const tip: Point = [x + normals[k]![0] * length * 0.4 + lean, y - Math.abs(normals[k]![1]) * length];
    return ribbon(
      [[x, y], [(x + tip[0]) / 2 + 0.4, (y + tip[1]) / 2 + 0.5], tip],
      (s) => 0.34 * (1 - s) + 0.03,
    );
  });
  const band = ribbon(
    roots.map(([x, y]): Point => [x, y - 0.25]),
    () => 0.3,
  );
  const above = (t: number): Point => {
    const [x, y] = measureLine(half.upperLid).at(t);
    return [x + 2.6 * (t - 0.35), y - SEEN * mappedLength(t, params) - 1.5];
  };
  return flat(uniteOutlines([band, ...hairs]), 0.2, roots, [1, 1], {
    innerMm: above(0.15),
    middleMm: above(0.5),
    outerMm: above(0.97),
    start: roots[0]!,
    reach: roots[roots.length - 1]!,
  });
}

export const EYE_GUIDES = messagesIn(['label', 'where'], {
  lid: {
    kind: 'eye',
    label: 'Lid',
    where: 'over the lid from lashes to crease',
    central: false,
    adjustable: ['liftMm'],
    build: lid,
  },
  innerLid: {
    kind: 'eye',
    label: 'Inner lid',
    where: 'on the inner two thirds of the lid',
    central: false,
    adjustable: ['reach'],
    build: innerLid,
  },
  outerLid: {
    kind: 'eye',
    label: 'Outer lid',
    where: 'on the outer third of the lid',
    central: false,
    adjustable: ['reach', 'liftMm'],
    build: outerLid,
  },
  lidCentre: {
    kind: 'eye',
    label: 'Middle of the lid',
    where: 'above the pupil',
    central: false,
    adjustable: ['width'],
    build: lidCentre,
  },
  socket: {
    kind: 'eye',
    label: 'Socket',
    where: 'in the crease, placed with the eye open',
    central: false,
    adjustable: ['liftMm', 'width'],
    build: socket,
  },
  openLid: {
    kind: 'eye',
    label: 'Lid, eye open',
    where: 'over the lid and above the natural fold, placed with the eye open',
    central: false,
    adjustable: ['liftMm'],
    build: openLid,
  },
  lowerLashes: {
    kind: 'lash',
    label: 'Lower lashes',
    where: 'along the lower lashes',
    central: false,
    adjustable: ['reach'],
    build: lowerLashes,
  },
  lowerLine: {
    kind: 'eye',
    label: 'Lower line',
    where: 'along the outer two thirds of the lower lashes',
    central: false,
    adjustable: ['reach', 'width'],
    build: lowerLine,
  },
  liner: {
    kind: 'liner',
    label: 'Liner',
    where: 'along the upper lashes from the middle outwards, lifted at the end',
    central: false,
    adjustable: ['start', 'reach', 'liftMm', 'width'],
    build: liner,
  },
  tightLine: {
    kind: 'liner',
    label: 'Tight line',
    where: 'between the upper lashes',
    central: false,
    adjustable: [],
    build: tightLine,
  },
  lashes: {
    kind: 'lash',
    label: 'Lashes',
    where: 'along the upper lashes',
    central: false,
    adjustable: ['innerMm', 'middleMm', 'outerMm', 'start', 'reach'],
    build: lashes,
  },
} as const satisfies Record<string, GuideDefinition>);
