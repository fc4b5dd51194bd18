import { clamp } from '../../math';
import { messagesIn } from '../../messages';
import { ribbon, throughPoints } from '../curve';
import { ellipse, mix, resample, type Point, type Polygon } from '../point';
import { intersectRegions, subtractRegion, uniteOutlines } from '../region';
import type { FaceModel, HalfFace } from '../faceModel';
import { stroke } from './cheek';
import { faded, patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/** The triangle between the brow arches and the middle of the hairline: contour leaves it free. */
export function freeTriangle(face: FaceModel): Polygon {
  return [face.landmarks.brow_arch_left, face.landmarks.brow_arch_right, face.landmarks.hairline_c];
}

/** Share of the face, hairline to chin, that is forehead on the canonical face. */
export const USUAL_FOREHEAD = 52 / 180.2;

/** From the hairline inwards, widest at its corner, tapering to nothing at both ends. */
function foreheadContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const hairline = resample(half.hairline, 2).filter(([x, y]) => x > 20 && y < half.at('brow_tail')[1] + 4);
  // A small forehead has no width to give, a high one takes more: the usual depth at the usual share of the
  // face.
  const share =
    (face.landmarks.glabella[1] - face.landmarks.hairline_c[1]) /
    (face.landmarks.gnathion[1] - face.landmarks.hairline_c[1]);
  const depth = 11.5 * (params.width / 100) * clamp(1 + 6 * (share - USUAL_FOREHEAD), 0.6, 1.35);
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
  return {
    region,
    line,
    handles: { width: inner[Math.floor(inner.length / 2)]!, reach: line[0]! },
    featherMm: 4,
    fade: [1, 1],
  };
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
  return stroke(
    half,
    face,
    spine,
    (t) => w * (0.35 + 0.75 * Math.sin(Math.PI * clamp(t * 0.9 + 0.05, 0, 1))),
    faded([0.5, 1], params.fade),
    1.2,
  );
}

/**
 * From the inner end of the brow down beside the bridge: the crease shade run on, so that the shadow looks
 * grown there.
 */
function noseFromCrease(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { nasion, bridge_mid } = face.landmarks;
  const b = 0.62 * half.at('bridge_side')[0];
  const [browX, browY] = half.at('brow_inner');
  const spine = throughPoints(
    [
      [browX - 0.5, browY + 4.5],
      [0.62 * browX, (browY + nasion[1]) / 2 + 3],
      [1.3 * b, nasion[1] + 6],
      [b, nasion[1] + 6 + (bridge_mid[1] - nasion[1] - 6) * clamp(params.reach / 100, 0.3, 1.3)],
    ],
    1,
  );
  const w = params.width / 100;
  return stroke(half, face, spine, (t) => w * (1.5 - 0.9 * t), faded([0.9, 0.25], params.fade), 2);
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

/** A soft bar under the tip of the nose, which shortens it. */
function tipContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [, tip] = face.landmarks.nose_tip;
  const side = half.at('tip_side')[0] * 0.8;
  const height = tip + 5.2 - params.liftMm;
  const w = params.width / 100;
  const spine = throughPoints(
    [
      [0, height + 0.8],
      [side * 0.6, height + 0.3],
      [side, height - 1.2],
    ],
    0.6,
  );
  return patch([ribbon(spine, (t) => w * (1.5 - 0.9 * t))], 1.5, [1, 1], {
    width: [side, height + 1.5 * w],
    liftMm: [0, height],
  });
}

/** Over the corner of the jaw, which rounds it. */
function jawCornerContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const corner = half.at('gonion');
  const k = params.width / 100;
  const centre: Point = [corner[0] - 3.5, corner[1] - 1 - params.liftMm];
  const region = intersectRegions([ellipse(centre, 8 * k, 14 * k, 30)], [face.outline.map(half.fromFace)]);
  return patch(region, 5, [1, 1], { width: [centre[0] - 8 * k, centre[1]], liftMm: centre });
}

/** Straight under the jaw from its corner to the chin, which builds a squarer edge. */
function jawEdgeContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [corner, front] = [half.at('gonion'), half.at('mentolateral')];
  const reach = clamp(params.reach / 100, 0.3, 1.2);
  const end = mix(corner, [front[0] - 2, front[1] + 2.5], Math.min(1, reach));
  const spine = resample([[corner[0] + 1, corner[1] - 5], [corner[0] - 1.5, corner[1] + 5], end], 1.5);
  const w = params.width / 100;
  const body = ribbon(spine, (t) => w * (3.4 - 1.6 * t));
  const faceAndNeck = uniteOutlines([face.outline.map(half.fromFace), face.neck.map(half.fromFace)]);
  return {
    region: intersectRegions([body], faceAndNeck),
    line: spine,
    handles: {
      reach: end,
      width: [corner[0] - 6 * w, corner[1] + 2],
      fade: mix(corner, end, 0.9 - 0.3 * (params.fade / 100)),
    },
    featherMm: 2,
    fade: faded([1, 0.7], params.fade),
  };
}

/** A touch in the groove under the lower lip, which makes the lip look fuller. */
function underLipContour(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const [, low] = face.landmarks.lip_low_c;
  const height = mix(face.landmarks.lip_low_c, face.landmarks.mentolabial, 0.4)[1];
  const reach = half.at('lip_low_mid')[0] * 0.75 * (params.reach / 100);
  const spine = throughPoints(
    [
      [0, height],
      [reach * 0.6, height - 0.4],
      [reach, low + 0.6],
    ],
    0.6,
  );
  const w = params.width / 100;
  return patch([ribbon(spine, (t) => w * (1.4 - 1.1 * t))], 1.5, [1, 1], {
    reach: [reach, low + 0.6],
    width: [0, height + 1.4 * w],
  });
}

export const SHADOW_GUIDES = messagesIn(['label', 'where'], {
  foreheadContour: {
    kind: 'contour',
    label: 'Forehead contour',
    where: 'along the hairline at the side of the forehead, fading into the hair',
    central: false,
    adjustable: ['reach', 'width'],
    build: foreheadContour,
  },
  noseFromCrease: {
    kind: 'contour',
    label: 'Nose shade from the crease',
    where: 'from the inner end of the brow down beside the bridge',
    central: false,
    adjustable: ['reach', 'width', 'fade'],
    build: noseFromCrease,
  },
  noseContour: {
    kind: 'contour',
    label: 'Nose contour',
    where: 'two thin lines on top of the bridge, meeting under the tip',
    central: true,
    adjustable: ['width', 'fade'],
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
  tipContour: {
    kind: 'contour',
    label: 'Nose tip contour',
    where: 'under the tip of the nose',
    central: true,
    adjustable: ['liftMm', 'width'],
    build: tipContour,
  },
  jawCornerContour: {
    kind: 'contour',
    label: 'Jaw corner contour',
    where: 'over the corner of the jaw, to round it',
    central: false,
    adjustable: ['liftMm', 'width'],
    build: jawCornerContour,
  },
  jawEdgeContour: {
    kind: 'contour',
    label: 'Jaw edge contour',
    where: 'straight under the jaw from its corner to the chin, to square it',
    central: false,
    adjustable: ['reach', 'width', 'fade'],
    build: jawEdgeContour,
  },
  underLipContour: {
    kind: 'contour',
    label: 'Under-lip contour',
    where: 'in the groove under the lower lip',
    central: true,
    adjustable: ['reach', 'width'],
    build: underLipContour,
  },
} as const satisfies Record<string, GuideDefinition>);
