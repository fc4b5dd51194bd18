import { messagesIn } from '../../messages';
import type { FaceModel, HalfFace } from '../faceModel';
import { ellipse, mix, portion, type Point } from '../point';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

const dots = (centres: readonly Point[], radiusMm: number): GuideShape =>
  patch(
    centres.map((p) => ellipse(p, radiusMm, radiusMm, 0, 14)),
    0.1,
  );

/** Small stones or dots from the outer corner upwards, clear of the lash line. */
function outerDots(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const [corner, tail] = [half.at('eye_outer'), half.at('brow_tail')];
  const along = Array.from({ length: 4 }, (_, i) =>
    mix(
      [corner[0] + 4.5, corner[1] - 1],
      [tail[0] + 1.5, tail[1] + 5],
      (i / 3) * Math.min(1.2, params.reach / 100),
    ),
  );
  return {
    ...dots(along, 1.1 * k),
    handles: { reach: along[3]!, width: [along[0]![0] + 3 * k, along[0]![1] + 3] },
  };
}

/** Small dots under the lower lashes. */
function underDots(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const lid = portion(half.lowerLid, 0.08, 0.55, 1).map(([x, y]): Point => [x, y + 4.5]);
  const k = params.width / 100;
  const row = Array.from({ length: 4 }, (_, i) => lid[Math.round((i / 3) * (lid.length - 1))]!);
  return { ...dots(row, 0.9 * k), handles: { width: [row[1]![0], row[1]![1] + 3 * k] } };
}

/** One mark above the mouth corner; on one side only it is a beauty spot. */
function mouthSpot(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [x, y] = half.at('mouth_corner');
  const k = params.width / 100;
  const at: Point = [x - 1, y - 7 - params.liftMm];
  return { ...dots([at], k), handles: { liftMm: [at[0], at[1] - 4], width: [at[0] + 3 * k, at[1]] } };
}

/** One mark between the brows, or a little above; larger by width. */
function foreheadPoint(_half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [, y] = face.landmarks.glabella;
  const k = params.width / 100;
  const at: Point = [0, y - params.liftMm];
  return { ...dots([at], 2.2 * k), handles: { liftMm: [0, at[1] - 5], width: [3 + 2.2 * k, at[1]] } };
}

/** Dots that follow the brow just above it, largest at the arch. */
function browPoints(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const line = portion(half.brow, 0.15, Math.min(0.98, 0.15 + 0.75 * (params.reach / 100)), 0.5).map(
    ([x, y]): Point => [x, y - 5 - params.liftMm],
  );
  const row = Array.from({ length: 5 }, (_, i) => line[Math.round((i / 4) * (line.length - 1))]!);
  return {
    ...patch(
      row.map((p, i) =>
        ellipse(
          p,
          k * (0.7 + 0.35 * Math.sin((Math.PI * (i + 0.5)) / 5)),
          k * (0.7 + 0.35 * Math.sin((Math.PI * (i + 0.5)) / 5)),
          0,
          14,
        ),
      ),
      0.1,
    ),
    handles: {
      reach: row[4]!,
      liftMm: [row[2]![0], row[2]![1] - 4],
      width: [row[2]![0] + 3 * k, row[2]![1]],
    },
  };
}

export const ADORNMENT_GUIDES = messagesIn(['label', 'where'], {
  foreheadPoint: {
    kind: 'adornment',
    label: 'Mark on the forehead',
    where: 'between the brows',
    central: true,
    adjustable: ['liftMm', 'width'],
    build: foreheadPoint,
  },
  browPoints: {
    kind: 'adornment',
    label: 'Dots above the brow',
    where: 'in a row just above the brow',
    central: false,
    adjustable: ['reach', 'liftMm', 'width'],
    build: browPoints,
  },
  outerDots: {
    kind: 'adornment',
    label: 'Stones at the outer corner',
    where: 'from the outer corner up towards the brow tail',
    central: false,
    adjustable: ['reach', 'width'],
    build: outerDots,
  },
  underDots: {
    kind: 'adornment',
    label: 'Dots under the eye',
    where: 'in a row under the lower lashes',
    central: false,
    adjustable: ['width'],
    build: underDots,
  },
  mouthSpot: {
    kind: 'adornment',
    label: 'Spot by the mouth',
    where: 'above the mouth corner',
    central: false,
    adjustable: ['liftMm', 'width'],
    build: mouthSpot,
  },
} as const satisfies Record<string, GuideDefinition>);
