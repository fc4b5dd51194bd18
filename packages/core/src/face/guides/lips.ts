import { messagesIn } from '../../messages';
import { LOWER_LIP, UPPER_LIP } from '../canonicalLines';
import { ribbon, throughPoints } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { ellipse, type Point, type Polyline } from '../point';
import { intersectRegions } from '../region';
import { patch, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/**
 * Both lips' edges on one half, moved over or inside the line by mm at the middle and by nothing at the
 * corners.
 */
function lipEdges(
  half: HalfFace,
  face: FaceModel,
  params: GuideParams,
): { readonly upper: Point[]; readonly lower: Point[] } {
  const wider = ((params.width - 100) / 100) * 2;
  const sign = half.side === 'left' ? 1 : -1;
  const carry = (line: Polyline, over: number): Point[] =>
    throughPoints(line, 0.8).map(([x, y]) => {
      const p = half.fromFace(face.warp.toFace([sign * x, y]));
      return [p[0], p[1] + over * Math.sqrt(Math.max(0, 1 - x / 20))];
    });
  return {
    upper: carry(UPPER_LIP, -(params.upperMm + wider)),
    lower: carry(LOWER_LIP, params.lowerMm + wider),
  };
}

const edgeHandles = (upper: readonly Point[], lower: readonly Point[]): GuideShape['handles'] => ({
  upperMm: upper[Math.round(upper.length * 0.25)]!,
  lowerMm: lower[lower.length - 1]!,
});

/** The lips to their natural line, over or inside it by millimetres, never at the corners. */
function lips(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { upper, lower } = lipEdges(half, face, params);
  return patch([[...upper, ...lower]], 0.3, [1, 1], edgeHandles(upper, lower));
}

/** The edge of the lips, drawn as a line. */
function lipLine(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { upper, lower } = lipEdges(half, face, params);
  const k = params.width / 100;
  const line = [...upper, ...lower];
  return {
    region: [ribbon(line, (t) => k * (0.45 + 0.35 * Math.sin(Math.PI * t)))],
    line,
    handles: {
      ...edgeHandles(upper, lower),
      width: [half.at('lip_low_mid')[0], half.at('lip_low_mid')[1] + 3 * k],
    },
    featherMm: 0.4,
    fade: [1, 1],
  };
}

/** The middle of both lips, lighter. */
function lipCentre(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { upper, lower } = lipEdges(half, face, { ...params, width: 100 });
  const k = params.width / 100;
  const [top, bottom] = [face.landmarks.lip_dip[1] + 1.4, face.landmarks.lip_low_c[1] - 1.2];
  const rx = half.at('cupid_peak')[0] * 1.5 * k;
  return patch(
    intersectRegions([ellipse([0, (top + bottom) / 2], rx, (bottom - top) / 2)], [[...upper, ...lower]]),
    2,
    [1, 1],
    {
      width: [rx, (top + bottom) / 2],
    },
  );
}

/** The lower lip only, to its line or over it. */
function lowerLipFull(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const { lower } = lipEdges(half, face, params);
  const middle = face.landmarks.stomion[1] + 0.8;
  return patch(
    [[[0, middle], [half.at('mouth_corner')[0] - 1.5, half.at('mouth_corner')[1] + 0.4], ...lower]],
    0.4,
    [1, 1],
    {
      lowerMm: lower[lower.length - 1]!,
    },
  );
}

export const LIP_GUIDES = messagesIn(['label', 'where'], {
  lips: {
    kind: 'lip',
    label: 'Lips',
    where: 'over both lips to their natural line',
    central: true,
    adjustable: ['upperMm', 'lowerMm'],
    build: lips,
  },
  lipCentre: {
    kind: 'lip',
    label: 'Centre of the lips',
    where: 'in the middle of both lips',
    central: true,
    adjustable: ['width'],
    build: lipCentre,
  },
  lowerLipOnly: {
    kind: 'lip',
    label: 'Lower lip',
    where: 'over the lower lip',
    central: true,
    adjustable: ['lowerMm'],
    build: lowerLipFull,
  },
  lipLine: {
    kind: 'lip line',
    label: 'Lip line',
    where: 'along the edge of the lips',
    central: true,
    adjustable: ['upperMm', 'lowerMm', 'width'],
    build: lipLine,
  },
} as const satisfies Record<string, GuideDefinition>);
