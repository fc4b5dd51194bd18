import { messagesIn } from '../../messages';
import { ribbon, throughPoints } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { ellipse, mix, portion, resample, type Point } from '../point';
import { intersectRegions, uniteOutlines } from '../region';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/**
 * Where the sun meets the face: temple, across the bone under the eye area, and the edge of the jaw, in one
 * sweep.
 */
function bronzeSweep(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const edge = face.outline.map(half.fromFace);
  const [temple, zygion, malar, jaw] = [
    half.at('temple'),
    half.at('zygion'),
    half.at('malar'),
    half.at('gonion'),
  ];
  const inwards = (p: Point, mm: number): Point => [p[0] - mm, p[1]];
  const front = mix(inwards(zygion, 6), [malar[0] - 2, malar[1] + 10], Math.min(1.2, params.reach / 100));
  const lift = (p: Point): Point => [p[0], p[1] - params.liftMm];
  const upper = throughPoints(
    [
      inwards(temple, 5),
      inwards([zygion[0], zygion[1] - 14], 5),
      inwards([zygion[0], zygion[1] + 3], 7),
      front,
    ].map(lift),
    1.5,
  );
  const lower = throughPoints(
    [inwards([zygion[0], zygion[1] + 8], 4), inwards(half.at('jaw_ramus'), 4), inwards(jaw, 3)].map(lift),
    1.5,
  );
  const k = params.width / 100;
  const region = intersectRegions(
    uniteOutlines([
      ribbon(upper, (t) => k * (3.5 + 2.5 * Math.sin(Math.PI * t))),
      ribbon(lower, (t) => k * (3.6 - 1.4 * t)),
    ]),
    [edge],
  );
  return patch(region, 6, [1, 0.7], {
    reach: lift(front),
    width: [upper[0]![0] - 6 * k, upper[0]![1]],
    liftMm: upper[Math.floor(upper.length / 3)]!,
  });
}

/** Along the hairline, melted into the hair. */
function bronzeHairline(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const line = portion(half.hairline, 0.25, Math.min(0.9, 0.25 + 0.6 * (params.reach / 100)), 2);
  const k = params.width / 100;
  return patch(
    intersectRegions(
      [ribbon(line, (t) => k * (1.5 + 5 * Math.sin(Math.PI * t)))],
      [face.outline.map(half.fromFace)],
    ),
    5,
    [1, 1],
    {
      reach: line[line.length - 1]!,
      width: [line[Math.floor(line.length / 2)]![0] - 6 * k, line[Math.floor(line.length / 2)]![1] + 5 * k],
    },
  );
}

/** Across the bridge and the apples, as the sun would. */
function bronzeBridge(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [, y] = face.landmarks.bridge_mid;
  const apple = half.at('cheek_apple');
  const end = mix(
    [half.at('bridge_side')[0], y + 2],
    [apple[0] - 4, apple[1] - 6],
    Math.min(1.2, params.reach / 100),
  );
  const spine = resample(
    [
      [0, y + 1 - params.liftMm],
      [half.at('bridge_side')[0] + 3, y + 4 - params.liftMm],
      [end[0], end[1] - params.liftMm],
    ],
    1,
  );
  const k = params.width / 100;
  const body = uniteOutlines([
    ribbon(spine, (t) => k * (3 + 1.2 * t)),
    ellipse([0, y + 1 - params.liftMm], 3, 3 * k),
  ]);
  return patch(
    intersectRegions(body, [
      [
        [0, -200],
        [120, -200],
        [120, 200],
        [0, 200],
      ],
    ]),
    5,
    [1, 0.6],
    { reach: spine[spine.length - 1]!, width: [0, y + 1 + 3 * k], liftMm: [0, y + 1 - params.liftMm] },
  );
}

const ALL = ['reach', 'liftMm', 'width'] as const;
export const SUN_GUIDES = messagesIn(['label', 'where'], {
  bronzeSweep: {
    kind: 'bronze',
    label: 'Bronze, side of the face',
    where: 'from the temple over the cheekbone to the jaw',
    central: false,
    adjustable: ALL,
    build: bronzeSweep,
  },
  bronzeHairline: {
    kind: 'bronze',
    label: 'Bronze, hairline',
    where: 'along the hairline, melted into the hair',
    central: false,
    adjustable: ['reach', 'width'],
    build: bronzeHairline,
  },
  bronzeBridge: {
    kind: 'bronze',
    label: 'Bronze, across the nose',
    where: 'across the bridge towards the apples',
    central: true,
    adjustable: ALL,
    build: bronzeBridge,
  },
} as const satisfies Record<string, GuideDefinition>);
