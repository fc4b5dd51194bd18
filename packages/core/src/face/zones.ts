import { messagesIn } from '../messages';
import {
  EAR_FOLD,
  HAIRLINE,
  LOWER_LIP,
  MOUTH_LINE,
  NECK,
  OUTLINE,
  SMILE_LINE,
  UPPER_LID,
  LOWER_LID,
  CREASE,
  UPPER_LIP,
} from './canonicalLines';
import { mirrored, ribbon, throughPoints } from './curve';
import { faceWarp } from './faceWarp';
import type { Landmarks, Side } from './landmarks';
import { ellipse, mirror, signedArea, type Point, type Polygon, type Polyline } from './point';

type ZoneDefinition = {
  readonly label: string;
  /** Canonical outline: the whole of a central zone, or the client's left one of a pair. */
  readonly outline: Polygon;
  readonly paired: boolean;
  /** Skin area over area seen from the front: how far the zone turns away. */
  readonly curvature: number;
};

const pts = (text: string): Polyline =>
  text.split(' ').map((pair): Point => {
    const [x, y] = pair.split(',').map(Number);
    return [x!, y!];
  });
const smooth = (text: string): Polygon => throughPoints(pts(text), 1.5, true);
const whole = (half: string): Polygon => throughPoints(mirrored(pts(half)), 1.5, true);
const below = (line: Polyline, from: number, to: number): Polygon => {
  const xs = throughPoints(line, 1);
  return [
    ...xs.map(([x, y]): Point => [x, y + from]),
    ...[...xs]
      .reverse()
      .map(([x, y]): Point => [x, y + to * Math.sin(Math.PI * (0.15 + 0.7 * ((x - 15.7) / 29.1)))]),
  ];
};

const FACE_OUTLINE: Polygon = mirrored([
  ...throughPoints(HAIRLINE, 2),
  ...throughPoints(OUTLINE, 2).slice(9),
]);

/**
 * Zones of face and neck: outlines on the canonical face, and how much more skin there is than a front view
 * shows.
 */
export const ZONES = messagesIn(['label'], {
  wholeFace: { label: 'Whole face', outline: FACE_OUTLINE, paired: false, curvature: 1.41 },
  foreheadCentre: {
    label: 'Forehead, centre',
    outline: whole('0,-70.5 14,-70 27,-67 34,-48 41,-27.5 26,-26 12.5,-22.5 0,-21'),
    paired: false,
    curvature: 1.14,
  },
  foreheadSide: {
    label: 'Forehead, side',
    outline: smooth('28.5,-66.5 38,-62 46,-55 51,-47 54,-38 53,-27 48,-26 42,-28 35,-47'),
    paired: true,
    curvature: 1.51,
  },
  temple: {
    label: 'Temple',
    outline: smooth('55.5,-37 60.5,-33 63,-26 64.4,-14 62,-6 58,-8 56.5,-18'),
    paired: true,
    curvature: 2.47,
  },
  browBone: {
    label: 'Brow bone',
    outline: smooth('14,-16.5 26,-19.5 42,-22 54,-17.5 48,-10.5 43,-10.5 37.4,-12.6 31,-13 24.6,-12 18,-9.5'),
    paired: true,
    curvature: 1.4,
  },
  mobileLid: {
    label: 'Lid',
    outline: [...throughPoints(UPPER_LID, 1), ...throughPoints([...CREASE].reverse(), 1)],
    paired: true,
    curvature: 1.2,
  },
  crease: {
    label: 'Crease',
    outline: ribbon(throughPoints(CREASE, 1), (t) => 0.4 + 1.5 * Math.sin(Math.PI * t)),
    paired: true,
    curvature: 1.2,
  },
  innerCorner: {
    label: 'Inner corner',
    outline: ellipse([14.6, 1.6], 3, 5.8, 12),
    paired: true,
    curvature: 1.3,
  },
  underEye: {
    label: 'Under eye',
    outline: below([...LOWER_LID].reverse(), 1.2, 14),
    paired: true,
    curvature: 1.17,
  },
  noseBridge: {
    label: 'Bridge of the nose',
    outline: whole('0,-8 5.4,-7 6.2,8 7,20 7.4,30 0,31'),
    paired: false,
    curvature: 1.3,
  },
  noseSide: {
    label: 'Side of the nose',
    outline: smooth('6.4,-5 10,-2 13,8 17,22 16.4,30 11,31.6 7.8,28 7,12'),
    paired: true,
    curvature: 1.5,
  },
  noseTip: { label: 'Tip of the nose', outline: ellipse([0, 37.6], 7.4, 7.4), paired: false, curvature: 1.9 },
  ala: { label: 'Wing of the nose', outline: ellipse([12, 36.6], 4.3, 5.6), paired: true, curvature: 1.7 },
  apple: { label: 'Apple of the cheek', outline: ellipse([37, 34], 15, 12.5), paired: true, curvature: 1.3 },
  cheekboneTop: {
    label: 'Top of the cheekbone',
    outline: smooth('45,17.5 53,10 60,2.5 64.4,3 64.4,12 56,20.5 48,25'),
    paired: true,
    curvature: 2,
  },
  hollow: {
    label: 'Hollow of the cheek',
    outline: smooth('64,14 62.6,28 57,43 48.5,53.5 40,57 43,45 50,32 56,20'),
    paired: true,
    curvature: 2.1,
  },
  jawline: {
    label: 'Jawline',
    outline: smooth(
      '61.8,43.5 57.5,58.5 52,71.5 45,82.5 36.5,91.8 27,99.4 16.5,105 16,93 26,86.5 34,77 40.5,66 45.5,55 50,43',
    ),
    paired: true,
    curvature: 1.76,
  },
  chin: {
    label: 'Chin',
    outline: whole('0,83 8,84 14,89 17,96 15,103.5 8,107 0,108'),
    paired: false,
    curvature: 1.12,
  },
  upperLipSkin: {
    label: 'Skin above the lip',
    outline: [
      ...mirrored(pts('22,62.4 19.2,61 14.5,58.5 10.6,56.6 7.6,55 5.3,54.4 3.3,55 1.3,56.2 0,56.6')),
      ...mirrored(pts('0,46 5,45 12,43.5 18,43.5 23.4,51 26.4,60')).slice().reverse(),
    ],
    paired: false,
    curvature: 1.05,
  },
  bow: {
    label: 'Cupid’s bow',
    outline: ribbon(
      throughPoints(mirrored(pts('9,54.2 5.3,53 2.6,54.2 0,55.2')), 1),
      (t) => 0.3 + 1.2 * Math.sin(Math.PI * t),
    ),
    paired: false,
    curvature: 1.05,
  },
  upperLip: {
    label: 'Upper lip',
    outline: [
      ...mirrored([...throughPoints(UPPER_LIP, 1)].reverse()),
      ...mirrored([...throughPoints(MOUTH_LINE, 1)]).reverse(),
    ],
    paired: false,
    curvature: 1.05,
  },
  lowerLip: {
    label: 'Lower lip',
    outline: [...mirrored(throughPoints(LOWER_LIP, 1)), ...mirrored(throughPoints(MOUTH_LINE, 1)).reverse()],
    paired: false,
    curvature: 1.05,
  },
  smileLine: {
    label: 'Smile line',
    outline: ribbon(throughPoints(SMILE_LINE, 1), () => 3),
    paired: true,
    curvature: 1.2,
  },
  ear: { label: 'Ear', outline: ribbon(throughPoints(EAR_FOLD, 1), () => 4), paired: true, curvature: 1.4 },
  neck: {
    label: 'Neck',
    outline: [
      ...mirrored(pts('45,82.6 37,91.7 27,99.8 16.5,105.3 8.2,107.7 0,108.2')),
      ...mirrored(throughPoints(NECK, 2).filter(([, y]) => y > 80 && y < 174))
        .slice()
        .reverse(),
    ],
    paired: false,
    curvature: 1.45,
  },
  decollete: {
    label: 'Decollete',
    outline: mirrored(pts('0,250 46,248 76,232 88,200 84,178 70,172 48,174 20,179 0,182')),
    paired: false,
    curvature: 1.12,
  },
} as const satisfies Record<string, ZoneDefinition>);

export type ZoneName = keyof typeof ZONES;
export const ZONE_NAMES = Object.keys(ZONES) as readonly ZoneName[];

/** A zone's outline on this face, one side of a pair or the whole of a central one. */
export function zoneOutline(zone: ZoneName, landmarks: Landmarks, side: Side = 'left'): Polygon {
  const { outline, paired } = ZONES[zone];
  const { toFace } = faceWarp(landmarks);
  return outline.map((p: Point) => toFace(paired && side === 'right' ? mirror(p) : p));
}

/**
 * Skin area of a zone in cm2, both sides together for a pair: area seen from the front times its curvature.
 */
export function zoneArea(zone: ZoneName, landmarks: Landmarks): number {
  const { paired, curvature } = ZONES[zone];
  const sides: readonly Side[] = paired ? ['left', 'right'] : ['left'];
  const mm2 = sides.reduce((sum, side) => sum + Math.abs(signedArea(zoneOutline(zone, landmarks, side))), 0);
  return (mm2 / 100) * curvature;
}
