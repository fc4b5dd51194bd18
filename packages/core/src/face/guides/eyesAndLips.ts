import { LOWER_LIP, UPPER_LIP } from '../canonicalLines';
import { ribbon, throughPoints } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { portion, resample, type Point, type Polygon, type Polyline } from '../point';
import { uniteOutlines } from '../region';
import type { GuideDefinition, GuideParams, GuideShape } from './definition';

const flat = (region: GuideShape['region'], featherMm: number, line: Polyline | null = null, fade: GuideShape['fade'] = [1, 1]): GuideShape => ({
  region,
  line,
  handles: {},
  featherMm,
  fade,
});

/** Lash line to crease, between two fractions of the lid's length. */
function lidBetween(half: HalfFace, from: number, to: number, above = 0): Polygon {
  const lashes = portion(half.upperLid, from, to, 0.8);
  // The drawn crease starts and ends outside the lid, so the inner and outer tenth are left off.
  const crease = portion(half.crease, 0.06 + from * 0.84, 0.06 + to * 0.84, 0.8).map(([x, y]): Point => [x, y - above]);
  return [...lashes, ...[...crease].reverse()];
}

const lid = (half: HalfFace): GuideShape => flat([lidBetween(half, 0.06, 0.97)], 1);
const outerLid = (half: HalfFace): GuideShape => flat(uniteOutlines([lidBetween(half, 0.64, 1, 1.2)]), 2, null, [0.4, 1]);
const innerLid = (half: HalfFace): GuideShape => flat([lidBetween(half, 0.06, 0.66)], 1.5);

/** The socket line; on hooded lids placed above the natural fold, where it shows with the eye open. */
function socket(half: HalfFace, face: FaceModel): GuideShape {
  const lift = { open: 1, 'partly hooded': 2.2, hooded: 3.6 }[face.features.lids[half.side]];
  const spine = portion(half.crease, 0.12, 0.97, 0.8).map(([x, y]): Point => [x, y - lift]);
  return flat([ribbon(spine, (t) => 0.3 + 1.5 * Math.sin(Math.PI * Math.min(1, t * 0.9 + 0.1)))], 2, spine, [0.4, 1]);
}

/** From the middle of the lash line outwards, thin, lifted at the end and never down. */
function liner(half: HalfFace, _face: FaceModel, params: GuideParams): GuideShape {
  const along = portion(half.upperLid, 0.42, 1, 0.6);
  const corner = along[along.length - 1]!;
  const flick = 4 * (params.reach / 100);
  const spine = [
    ...along.map(([x, y]): Point => [x, y - 0.5]),
    [corner[0] + flick * 0.5, corner[1] - flick * 0.32],
    [corner[0] + flick, corner[1] - flick * 0.62],
  ] as const;
  return flat(
    [ribbon(resample(spine, 0.5), (t) => (params.width / 100) * (0.15 + 0.7 * Math.sin(Math.PI * Math.min(1, t * 0.8 + 0.1))))],
    0.3,
    spine,
    [0.6, 1],
  );
}

/** The outer two thirds of the lower lash line. */
function lowerLine(half: HalfFace): GuideShape {
  const spine = portion(half.lowerLid, 0.02, 0.66, 0.6).map(([x, y]): Point => [x, y + 0.7]);
  return flat([ribbon(spine, (t) => 0.9 - 0.6 * t)], 0.8, spine, [1, 0.3]);
}

/** Both lash lines as thin bands. */
function lashes(half: HalfFace): GuideShape {
  const upper = portion(half.upperLid, 0.08, 1, 0.6).map(([x, y]): Point => [x, y - 1.6]);
  return flat([ribbon(upper, (t) => 0.5 + 1.2 * t)], 0.5, upper);
}

/** The lips to their natural line; width over 100 goes over the line at the bow, never at the corners. */
function lips(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const over = ((params.width - 100) / 100) * 2;
  const sign = half.side === 'left' ? 1 : -1;
  const carry = (line: Polyline, direction: 1 | -1): Point[] =>
    throughPoints(line, 0.8).map(([x, y]) => {
      const p = half.fromFace(face.warp.toFace([sign * x, y]));
      const reach = Math.max(0, 1 - x / 20);
      return [p[0], p[1] + direction * over * Math.sqrt(reach)];
    });
  return flat([[...carry(UPPER_LIP, -1), ...carry(LOWER_LIP, 1)]], 0.3);
}

export const EYE_AND_LIP_GUIDES = {
  lid: { kind: 'eye', label: 'Lid', where: 'over the lid from lashes to crease', central: false, adjustable: [], build: lid },
  innerLid: { kind: 'eye', label: 'Inner lid', where: 'on the inner two thirds of the lid', central: false, adjustable: [], build: innerLid },
  outerLid: { kind: 'eye', label: 'Outer lid', where: 'on the outer third of the lid', central: false, adjustable: [], build: outerLid },
  socket: { kind: 'eye', label: 'Socket', where: 'in the crease, placed with the eye open', central: false, adjustable: [], build: socket },
  liner: {
    kind: 'liner',
    label: 'Liner',
    where: 'along the upper lashes from the middle outwards, lifted at the end',
    central: false,
    adjustable: ['reach', 'width'],
    build: liner,
  },
  lowerLine: { kind: 'eye', label: 'Lower line', where: 'along the outer two thirds of the lower lashes', central: false, adjustable: [], build: lowerLine },
  lashes: { kind: 'lash', label: 'Lashes', where: 'along the upper lashes', central: false, adjustable: [], build: lashes },
  lips: { kind: 'lip', label: 'Lips', where: 'over both lips to their natural line', central: true, adjustable: ['width'], build: lips },
} as const satisfies Record<string, GuideDefinition>;
