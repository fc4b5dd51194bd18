import { clamp } from '../../math';
import { ribbon, throughPoints } from '../curve';
import { ellipse, portion, resample, type Point, type Polygon } from '../point';
import { intersectRegions, subtractRegion, uniteOutlines } from '../region';
import type { FaceModel, HalfFace } from '../faceModel';
import { stroke } from './cheek';
import type { GuideDefinition, GuideParams, GuideShape } from './definition';

const patch = (region: GuideShape['region'], featherMm: number, fade: GuideShape['fade'] = [1, 1], handles: GuideShape['handles'] = {}): GuideShape => ({
  region,
  line: null,
  handles,
  featherMm,
  fade,
});

/** The triangle between the brow arches and the middle of the hairline: contour leaves it free. */
export function freeTriangle(face: FaceModel): Polygon {
  return [face.landmarks.brow_arch_left, face.landmarks.brow_arch_right, face.landmarks.hairline_c];
}

/** From the hairline inwards, widest at its corner, tapering to nothing at both ends. */
function foreheadContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const hairline = resample(half.hairline, 2).filter(([x, y]) => x > 20 && y < half.at('brow_tail')[1] + 4);
  const depth = 11.5 * (params.width / 100);
  const cut = Math.max(3, Math.round(hairline.length * clamp(params.reach / 100, 0.3, 1)));
  const line = hairline.slice(-cut);
  const centre: Point = [0, half.at('brow_arch')[1]];
  const inner = line.map((p, i): Point => {
    const w = depth * Math.sin(Math.PI * (i / (line.length - 1))) ** 0.8;
    const length = Math.hypot(p[0] - centre[0], p[1] - centre[1]);
    return [p[0] + ((centre[0] - p[0]) / length) * w, p[1] + ((centre[1] - p[1]) / length) * w];
  });
  const triangle = freeTriangle(face).map(half.fromFace);
  const region = subtractRegion([[...line, ...inner.reverse()]], [triangle]);
  return { region, line, handles: { width: inner[Math.floor(inner.length / 2)]!, reach: line[0]! }, featherMm: 4, fade: [1, 1] };
}

/** Two thin lines on top of the bridge that meet in a small V under the tip. */
function noseContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { nasion, bridge_mid, nose_tip } = face.landmarks;
  const b = 0.58 * half.at('bridge_side')[0];
  const spine = throughPoints(
    [
      [1.2 * b, nasion[1] + 5],
      [b, bridge_mid[1]],
      [0.9 * b, nose_tip[1] - 6],
      [0.82 * b, nose_tip[1] - 1],
      [0.15, nose_tip[1] + 4.5],
    ],
    1,
  );
  const w = params.width / 100;
  return stroke(half, face, spine, (t) => w * (0.35 + 0.75 * Math.sin(Math.PI * clamp(t * 0.9 + 0.05, 0, 1))), [0.5, 1], 1.2);
}

/** Under the jaw edge and down into the neck, so that no line shows. */
function jawContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const top = half.at('jaw_ramus')[1] + 9;
  const front = half.at('mentolateral')[0] + 6;
  const edge = resample(half.outline, 2).filter(([x, y]) => y > top && x > front);
  const cut = edge.slice(0, Math.max(3, Math.round(edge.length * clamp(params.reach / 100, 0.3, 1))));
  const w = params.width / 100;
  const bell = (i: number): number => Math.sin(Math.PI * (i / (cut.length - 1)));
  const inside = cut.map((p, i): Point => [p[0] - w * 3.6 * bell(i) * 0.8, p[1] - w * 3.6 * bell(i) * 0.6]);
  const outside = cut.map((p, i): Point => [p[0] - w * 1.5 * bell(i), p[1] + w * 10.5 * bell(i)]);
  const local = (points: Polygon): Polygon => points.map(half.fromFace);
  const onFace = intersectRegions([[...cut, ...[...inside].reverse()]], [local(face.outline)]);
  const onNeck = intersectRegions([[...cut, ...[...outside].reverse()]], [local(face.neck)]);
  const middle = Math.floor(cut.length / 2);
  return {
    region: uniteOutlines([...onFace, ...onNeck]),
    line: cut,
    handles: { width: outside[middle]!, reach: cut[cut.length - 1]! },
    featherMm: 4,
    fade: [0.7, 1],
  };
}

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

/** A lobe from the inner corner along the lower lid, down to between pupil and wing of the nose. */
function underEyeLight(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const [inner, lid, outer, pupil, ala] = [half.at('eye_inner'), half.at('lid_lo_mid'), half.at('eye_outer'), half.at('pupil'), half.at('ala')];
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
  return patch([ribbon(spine, (t) => (params.width / 100) * (0.25 + 0.8 * Math.cos((Math.PI / 2) * t)))], 1.2);
}

function chinLight(_half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const k = params.width / 100;
  const centre: Point = [0, face.landmarks.chin_c[1] - params.liftMm];
  return patch([ellipse(centre, 8.5 * k, 5.5 * k)], 4, [1, 1], { width: [8.5 * k, centre[1]], liftMm: centre });
}

/** The brow itself, from behind its front to the tail. */
function browFill(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const spine = portion(half.brow, 0.06, clamp(params.reach / 100, 0.3, 1), 1);
  const k = params.width / 100;
  return stroke(half, face, spine, (t) => k * Math.max(0.2, 2.7 * Math.sin(Math.PI * (0.28 + 0.7 * t)) ** 0.9), [0.4, 1], 0.8);
}

export const BROW_AND_LIGHT_GUIDES = {
  foreheadContour: {
    kind: 'contour',
    label: 'Forehead contour',
    where: 'along the hairline at the side of the forehead, fading into the hair',
    central: false,
    adjustable: ['reach', 'width'],
    build: foreheadContour,
  },
  noseContour: {
    kind: 'contour',
    label: 'Nose contour',
    where: 'two thin lines on top of the bridge, meeting under the tip',
    central: true,
    adjustable: ['width'],
    build: noseContour,
  },
  jawContour: {
    kind: 'contour',
    label: 'Jaw contour',
    where: 'under the edge of the jaw, drawn down into the neck',
    central: false,
    adjustable: ['reach', 'width'],
    build: jawContour,
  },
  foreheadLight: {
    kind: 'highlight',
    label: 'Forehead and nose light',
    where: 'a bar above the brows and a line down the bridge',
    central: true,
    adjustable: ['reach', 'liftMm', 'width'],
    build: foreheadLight,
  },
  underEyeLight: {
    kind: 'conceal',
    label: 'Under-eye light',
    where: 'under the eye, down beside the nose',
    central: false,
    adjustable: ['reach', 'width'],
    build: underEyeLight,
  },
  bowLight: { kind: 'highlight', label: 'Bow light', where: 'just above the cupid’s bow', central: true, adjustable: ['width'], build: bowLight },
  chinLight: { kind: 'highlight', label: 'Chin light', where: 'in the middle of the chin', central: true, adjustable: ['liftMm', 'width'], build: chinLight },
  brow: { kind: 'brow', label: 'Brow', where: 'along the brow, lightest at the front', central: false, adjustable: ['reach', 'width'], build: browFill },
} as const satisfies Record<string, GuideDefinition>;
