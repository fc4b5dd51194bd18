import { ALA, NOSE_TIP, NOSTRIL } from '../canonicalLines';
import { throughPoints } from '../curve';
import type { FaceModel } from '../faceModel';
import type { Features } from '../features';
import type { Point, Polyline } from '../point';
import { filled, inked, type Ink } from './ink';

type NoseForm = {
  /** Weight of the wings' lines against the plain one. */
  readonly wing: number;
  /** How far the wings reach out at their widest, mm. */
  readonly flare: number;
  /** How far the tip hangs below the plain one, mm; less than nothing turns it up. */
  readonly drop: number;
  /** Half-width of the tip against the plain one. */
  readonly tip: number;
  /** Height of the nostrils against the plain ones. */
  readonly nostril: number;
  /** The side of the bridge, canonical. */
  readonly bridge: Polyline;
  readonly bridgeInk: number;
};

const STRAIGHT: Polyline = [
  [6.8, -13],
  [5.4, -4],
  [5.6, 5],
];
const FORMS: Readonly<Record<Features['nose'], NoseForm>> = {
  straight: { wing: 1, flare: 0, drop: 0, tip: 1, nostril: 1, bridge: STRAIGHT, bridgeInk: 0.4 },
  rounded: {
    wing: 1.05,
    flare: 0.5,
    drop: 0.9,
    tip: 1.45,
    nostril: 0.9,
    bridge: [
      [7.6, -12],
      [6.8, -5],
      [6.6, 1],
    ],
    bridgeInk: 0.26,
  },
  fine: {
    wing: 0.75,
    flare: -0.9,
    drop: -0.3,
    tip: 0.7,
    nostril: 0.75,
    bridge: [
      [6, -14],
      [4.6, -3],
      [4.4, 10],
      [4.8, 19],
    ],
    bridgeInk: 0.42,
  },
  broad: {
    wing: 1.25,
    flare: 1.4,
    drop: 0.3,
    tip: 1.3,
    nostril: 1.15,
    bridge: [
      [8.2, -11],
      [7.8, -6],
      [7.9, -1],
    ],
    bridgeInk: 0.2,
  },
  arched: {
    wing: 0.95,
    flare: -0.2,
    drop: 1.5,
    tip: 0.85,
    nostril: 0.8,
    bridge: [
      [7, -14],
      [5, -3],
      [6.6, 8],
      [5.6, 20],
    ],
    bridgeInk: 0.5,
  },
  'turned up': {
    wing: 0.9,
    flare: 0,
    drop: -1.6,
    tip: 1.1,
    nostril: 1.5,
    bridge: [
      [6.8, -11],
      [5.8, -4],
      [5.4, 1],
    ],
    bridgeInk: 0.3,
  },
};

/** The nose without an outline: wings, nostrils, tip and a breath of the bridge, each form with its own. */
export function noseInk(face: FaceModel): Ink[] {
  const form = FORMS[face.features.nose];
  const flared = ([x, y]: Point): Point => [x + form.flare * Math.max(0, 1 - Math.abs(y - 37) / 5.5), y];
  // The tip is drawn through the middle, so that its two halves meet.
  const tip = NOSE_TIP.map(([x, y]): Point => [x * form.tip, y + form.drop * Math.max(0.25, 1 - x / 5.2)]);
  const nostril = NOSTRIL.map(([x, y]): Point => [
    x * (1 + form.flare / 30),
    42.1 + (y - 42.1) * form.nostril + form.drop * 0.2,
  ]);
  return ([1, -1] as const).flatMap((sign): Ink[] => {
    const carry = (line: Polyline): Point[] =>
      throughPoints(line, 0.7).map(([x, y]) => face.warp.toFace([sign * x, y]));
    return [
      inked('nose wing', carry(ALA.map(flared)), [0.05, 0.2, 0.42 * form.wing, 0.5 * form.wing, 0.36, 0.1]),
      filled('nostril', [carry([...nostril, nostril[0]!])], 'ink', 0.8, 2),
      inked('nose tip', carry(tip), [0.06, 0.34, 0.34, 0.3], 0.9),
      inked('nose bridge', carry(form.bridge), [0.02, 0.2, 0.16, 0.02], form.bridgeInk),
      inked(
        'nose side',
        carry([
          [8.2 * form.tip, 25.5],
          [7.4 * form.tip, 31],
          [6.6 * form.tip, 35.5],
        ]),
        [0.02, 0.16 * form.wing, 0.02],
        0.4,
      ),
    ];
  });
}
