import { messagesIn } from '../../messages';
import { ribbon, throughPoints } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { ellipse, mix, portion, type Point } from '../point';
import { intersectRegions, uniteOutlines } from '../region';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/** A lobe from the inner corner along the lower lid, down to between pupil and wing of the nose. */
function underEyeLight(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [inner, lid, outer, pupil, ala] = [
    half.at('eye_inner'),
    half.at('lid_lo_mid'),
    half.at('eye_outer'),
    half.at('pupil'),
    half.at('ala'),
  ];
  const depth = params.width / 100;
  const foot: Point = [(pupil[0] + ala[0]) / 2, lid[1] + 0.62 * (ala[1] - lid[1]) * depth];
  const outline = throughPoints(
    [
      [inner[0] + 3, inner[1] + 4],
      [lid[0] - 4, lid[1] + 4.2],
      [lid[0] + 4, lid[1] + 4.6],
      [outer[0] - (5 * (200 - params.reach)) / 100, outer[1] + 8],
      [pupil[0] + 5, lid[1] + 12 * depth],
      foot,
      [foot[0] - 6, foot[1] - 5],
      [inner[0] + 0.5, inner[1] + 9],
    ],
    1.5,
    true,
  );
  return patch([outline], 4, [1, 1], { width: foot, reach: [outer[0] - 5, outer[1] + 8] });
}

/** The hollow under the eye only, from the inner corner to under the pupil: where shadow sits. */
function correctUnderEye(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const lid = [...portion(half.lowerLid, 0.3, 0.97, 1)]
    .reverse()
    .map(([x, y]): Point => [x, y + Math.max(1.6, 4.2 - params.liftMm)]);
  const k = params.width / 100;
  return patch(
    [ribbon(lid, (t) => k * (0.7 + 2.1 * Math.sin(Math.PI * Math.min(1, 0.18 + 0.8 * t))))],
    2.5,
    [1, 1],
    {
      width: [lid[Math.floor(lid.length / 2)]![0], lid[Math.floor(lid.length / 2)]![1] + 3 * k],
      liftMm: lid[Math.floor(lid.length / 2)]!,
    },
  );
}

/** Around the wing of the nose, where it reddens. */
function correctNoseWing(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [x, y] = half.at('ala');
  const k = params.width / 100;
  return patch(
    intersectRegions([ellipse([x + 1.2, y + 0.5], 3.6 * k, 6 * k, -14)], [face.outline.map(half.fromFace)]),
    2,
    [1, 1],
    {
      width: [x + 1.2 + 3.6 * k, y],
    },
  );
}

/** Beside the mouth, under the corner, where it darkens. */
function correctMouthCorner(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [x, y] = half.at('mouth_corner');
  const k = params.width / 100;
  return patch([ellipse([x + 2.5, y + 4.5], 3.4 * k, 6.5 * k, -24)], 2.5, [1, 1], {
    width: [x + 2.5 + 3.4 * k, y + 4.5],
  });
}

/** A comma beside the nose at the inner corner; the rest of the under-eye stays free. */
function innerComma(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [inner, lid, ala] = [half.at('eye_inner'), half.at('lid_lo_mid'), half.at('ala')];
  const spine = throughPoints(
    [
      [inner[0] + 1, inner[1] + 4],
      [inner[0] + 2.5, inner[1] + 9],
      mix([lid[0], lid[1] + 12], ala, 0.3 * (params.reach / 100)),
    ],
    1,
  );
  const k = params.width / 100;
  return patch([ribbon(spine, (t) => k * (2.6 - 1.9 * t))], 2.5, [1, 1], {
    reach: spine[spine.length - 1]!,
    width: [inner[0] + 1 + 2.6 * k, inner[1] + 5],
  });
}

/**
 * A wedge from the outer corner back towards the temple, which lifts; left out where there are crow's feet.
 */
function outerWedge(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [x, y] = half.at('eye_outer');
  const reach = 11 * (params.reach / 100);
  const k = params.width / 100;
  return patch(
    [
      [
        [x + 0.5, y + 3.5],
        [x + 1.5 + reach, y - 3 - params.liftMm],
        [x + 2.5 + reach * 0.9, y + 1 - params.liftMm],
        [x - 1, y + 3.5 + 5.5 * k],
      ],
    ],
    2.5,
    [1, 1],
    {
      reach: [x + 1.5 + reach, y - 2 - params.liftMm],
      width: [x - 1, y + 3.5 + 5.5 * k],
      liftMm: [x + 2.5 + reach * 0.5, y + 1 - params.liftMm],
    },
  );
}

/** Forehead, nose and chin: where skin shines first. */
function tZonePowder(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { forehead_c, nasion, nose_tip, chin_c } = face.landmarks;
  const k = params.width / 100;
  const bridge = half.at('bridge_side')[0] * 1.3 * k;
  const stem: Point[] = [
    [0, nasion[1] - 14],
    [bridge, nasion[1] - 10],
    [bridge, nose_tip[1] - 8],
    [half.at('ala')[0] * 0.85, nose_tip[1] + 1],
    [0, nose_tip[1] + 7],
  ];
  const half0 = (rx: number, ry: number, centre: Point): Point[] =>
    ellipse(centre, rx, ry).filter(([x]) => x > -rx);
  return patch(
    intersectRegions(
      uniteOutlines([
        half0(27 * k, 11 * k, [0, (forehead_c[1] + nasion[1]) / 2 - 6]),
        throughPoints(stem, 1.5, true),
        half0(11 * k, 8 * k, chin_c),
      ]),
      [
        [
          [0, -200],
          [120, -200],
          [120, 200],
          [0, 200],
        ],
      ],
    ),
    5,
    [1, 1],
    { width: [27 * k, (forehead_c[1] + nasion[1]) / 2 - 6] },
  );
}

/** Along the smile line, thinly, so that what lies there does not gather. */
function smilePowder(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const spine = portion(half.smileLine, 0, Math.min(1, params.reach / 100), 1);
  return patch([ribbon(spine, (t) => k * (1.2 + 1.8 * Math.sin(Math.PI * t)))], 2.5, [1, 1], {
    reach: spine[spine.length - 1]!,
  });
}

export const COVER_GUIDES = messagesIn(['label', 'where'], {
  correctUnderEye: {
    kind: 'correct',
    label: 'Under-eye shadow',
    where: 'in the hollow under the eye, from the inner corner to under the pupil',
    central: false,
    adjustable: ['liftMm', 'width'],
    build: correctUnderEye,
  },
  correctNoseWing: {
    kind: 'correct',
    label: 'Redness by the nose',
    where: 'around the wing of the nose',
    central: false,
    adjustable: ['width'],
    build: correctNoseWing,
  },
  correctMouthCorner: {
    kind: 'correct',
    label: 'Shadow by the mouth',
    where: 'beside and under the mouth corner',
    central: false,
    adjustable: ['width'],
    build: correctMouthCorner,
  },
  underEyeLight: {
    kind: 'conceal',
    label: 'Under-eye light',
    where: 'under the eye, down beside the nose',
    central: false,
    adjustable: ['reach', 'width'],
    build: underEyeLight,
  },
  innerComma: {
    kind: 'conceal',
    label: 'Inner comma',
    where: 'at the inner corner, down beside the nose',
    central: false,
    adjustable: ['reach', 'width'],
    build: innerComma,
  },
  outerWedge: {
    kind: 'conceal',
    label: 'Outer wedge',
    where: 'from the outer corner back towards the temple',
    central: false,
    adjustable: ['reach', 'liftMm', 'width'],
    build: outerWedge,
  },
  tZonePowder: {
    kind: 'powder',
    label: 'T-zone powder',
    where: 'on forehead, nose and chin',
    central: true,
    adjustable: ['width'],
    build: tZonePowder,
  },
  smilePowder: {
    kind: 'powder',
    label: 'Smile line powder',
    where: 'thinly along the smile line',
    central: false,
    adjustable: ['reach'],
    build: smilePowder,
  },
} as const satisfies Record<string, GuideDefinition>);
