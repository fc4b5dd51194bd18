import { clamp } from '../../math';
import { messagesIn } from '../../messages';
import { ribbon, throughPoints } from '../curve';
import { ellipse, portion, resample, type Point, type Polygon } from '../point';
import { uniteOutlines } from '../region';
import type { FaceModel, HalfFace } from '../faceModel';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/** A bar above the brows that thins to both sides and a stem down the bridge: the heart of the face. */
function foreheadLight(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const arch = half.at('brow_arch');
  const w = params.width / 100;
  const height = (arch[1] + face.landmarks.glabella[1]) / 2 - 11 - params.liftMm;
  const reach = Math.max(8, (arch[0] + 4) * clamp(params.reach / 100, 0.3, 1.1));
  const bar = Array.from({ length: 41 }, (_, i): Point => {
    const x = (i / 40) * reach;
    return [x, height + 3.5 * (x / reach) ** 2];
  });
  const thickness = (x: number): number => w * Math.max(0.25, 5.2 * (1 - (x / reach) ** 1.5));
  const upper = bar.map(([x, y]): Point => [x, y - thickness(x)]);
  const lower = bar.map(([x, y]): Point => [x, y + thickness(x)]).reverse();
  const stemHalf = 0.34 * half.at('bridge_side')[0] * w;
  const tip = face.landmarks.nose_tip[1] - 3;
  const stem: Polygon = [
    [0, height],
    [stemHalf * 2.2, height + 4],
    [stemHalf * 1.1, face.landmarks.nasion[1]],
    [stemHalf, tip - 4],
    [0, tip],
  ];
  return patch(uniteOutlines([[...upper, ...lower], throughPoints(stem, 1.5, false)]), 4, [1, 0.6], {
    width: [0, height - thickness(0)],
    reach: bar[40]!,
    liftMm: [0, height],
  });
}

function bowLight(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const peak = half.at('cupid_peak');
  const dip = face.landmarks.lip_dip;
  const spine = throughPoints(
    [
      [0, dip[1] - 2.4],
      [peak[0] * 0.5, (dip[1] + peak[1]) / 2 - 2.5],
      [peak[0], peak[1] - 2.3],
      [peak[0] + 4, peak[1] - 1.2],
    ],
    0.6,
  );
  const k = params.width / 100;
  return patch([ribbon(spine, (t) => k * (0.25 + 0.8 * Math.cos((Math.PI / 2) * t)))], 1.2, [1, 1], {
    width: [peak[0], peak[1] - 2.3 - 2 * k],
  });
}

function chinLight(_half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const centre: Point = [0, face.landmarks.chin_c[1] - params.liftMm];
  return patch([ellipse(centre, 8.5 * k, 5.5 * k)], 4, [1, 1], {
    width: [8.5 * k, centre[1]],
    liftMm: centre,
  });
}

/** A thin line of light down the bridge, between the nose's two shadows. */
function bridgeLight(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const top: Point = [0, face.landmarks.nasion[1] + 3];
  const bottom: Point = [
    0,
    face.landmarks.nasion[1] +
      3 +
      (face.landmarks.nose_tip[1] - 4 - face.landmarks.nasion[1] - 3) * Math.min(1.1, params.reach / 100),
  ];
  const spine = resample([top, bottom], 1);
  const w = (params.width / 100) * 0.26 * half.at('bridge_side')[0];
  return patch([ribbon(spine, (t) => w * (0.55 + 0.45 * Math.sin(Math.PI * t)))], 1.5, [1, 1], {
    reach: bottom,
    width: [w, (top[1] + bottom[1]) / 2],
  });
}

/** Under the brow's arch and tail, where light falls on the bone. */
function browBoneLight(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const under = portion(half.brow, 0.5, 0.94, 1).map(([x, y]): Point => [x - 0.8, y + 4.6 - params.liftMm]);
  const w = params.width / 100;
  return patch([ribbon(under, (t) => w * (0.5 + 1.3 * Math.sin(Math.PI * t)))], 2, [1, 1], {
    width: [under[0]![0], under[0]![1] + 3 * w],
    liftMm: under[Math.floor(under.length / 2)]!,
  });
}

/** The inner corner of the eye. */
function innerCornerLight(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [x, y] = half.at('eye_inner');
  const k = params.width / 100;
  return patch([ellipse([x - 1.2, y - 0.2], 2.1 * k, 3.2 * k, 18)], 1, [1, 1], {
    width: [x - 1.2 + 2.1 * k, y],
  });
}

export const LIGHT_GUIDES = messagesIn(['label', 'where'], {
  foreheadLight: {
    kind: 'highlight',
    label: 'Forehead and nose light',
    where: 'a bar above the brows and a line down the bridge',
    central: true,
    adjustable: ['reach', 'liftMm', 'width'],
    build: foreheadLight,
  },
  bowLight: {
    kind: 'highlight',
    label: 'Bow light',
    where: 'just above the cupid’s bow',
    central: true,
    adjustable: ['width'],
    build: bowLight,
  },
  chinLight: {
    kind: 'highlight',
    label: 'Chin light',
    where: 'in the middle of the chin',
    central: true,
    adjustable: ['liftMm', 'width'],
    build: chinLight,
  },
  bridgeLight: {
    kind: 'highlight',
    label: 'Bridge light',
    where: 'a thin line down the bridge of the nose',
    central: true,
    adjustable: ['reach', 'width'],
    build: bridgeLight,
  },
  browBoneLight: {
    kind: 'highlight',
    label: 'Brow bone light',
    where: 'under the arch and tail of the brow',
    central: false,
    adjustable: ['liftMm', 'width'],
    build: browBoneLight,
  },
  innerCornerLight: {
    kind: 'highlight',
    label: 'Inner corner light',
    where: 'at the inner corner of the eye',
    central: false,
    adjustable: ['width'],
    build: innerCornerLight,
  },
} as const satisfies Record<string, GuideDefinition>);
