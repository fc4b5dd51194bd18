import { shiftDepth, skinByZone, type Lab } from '../colour';
import {
  areaOf,
  checkLimits,
  contourFinder,
  faceModel,
  freeTriangle,
  HAIR_TONES,
  inferLandmarks,
  outlineOf,
  PLAIN_FEATURES,
  SIDES,
  type Features,
  type Landmarks,
  type Measurements,
  type Placement,
  type Point,
  type Polyline,
  type Side,
} from '../face';
import { ribbon } from '../face/curve';
import { centreOf, distance, measureLine } from '../face/point';
import { seededRandom, seedFromText, shuffled, type Random } from '../math';
import { brokenChart, type BrokenChart } from './broken';
import { CORRECTORS, shadowBeside } from './corrector';
import { laidOn } from './laidOn';
import { lineMiss } from './lineMiss';
import { practiceFace } from './practiceFace';
import type { LineGuide } from './scoreLine';
import { skillNamed, type AnswerSkill, type LineSkill, type PatchSkill } from './skills';
import type { SoftPatch } from './softOverlap';
import { STEPS, type PracticeStep } from './practiceSteps';
import { pumpsFor, type Pump } from './twoPumps';

/** How far a hand has come in a skill: pans lie closer, and on faces the usual line is further off. */
export const LEVELS = [0, 1, 2] as const;
export type Level = (typeof LEVELS)[number];

/** An invented face, nobody's, of any depth of skin. */
export type PracticeModel = {
  readonly landmarks: Landmarks;
  readonly features: Features;
  readonly skin: ReturnType<typeof skinByZone>;
};
type Common = { readonly skill: string; readonly seed: number; readonly level: Level; readonly asks: string };
export type LineExercise = Common & {
  readonly kind: 'line';
  readonly model: PracticeModel;
  readonly side: Side;
  readonly guide: LineGuide;
  readonly placement: Placement;
  /** The other half, done, where it is to be matched. */ readonly shown: Placement | null;
};
export type PatchExercise = Common & {
  readonly kind: 'patch';
  readonly model: PracticeModel;
  readonly side: Side;
  readonly placement: Placement;
  /** In the face's mm. */ readonly wanted: SoftPatch;
};
/** What is drawn on a face. */
export type DrawnExercise = LineExercise | PatchExercise;
export type PanExercise = Common & {
  readonly kind: 'depth' | 'undertone';
  readonly pans: readonly { readonly id: string; readonly lab: Lab }[];
};
export type CorrectorExercise = Common & {
  readonly kind: 'corrector';
  readonly under: Lab;
  readonly cheek: Lab;
  readonly pans: typeof CORRECTORS;
};
export type StepsExercise = Common & {
  readonly kind: 'steps';
  readonly steps: readonly PracticeStep[];
};
export type MixExercise = Common & {
  readonly kind: 'mix';
  readonly skin: Lab;
  readonly pans: readonly Pump[];
};
export type BrokenExercise = Common & {
  readonly kind: 'broken';
  readonly model: PracticeModel;
  readonly chart: BrokenChart;
};
export type Exercise =
  DrawnExercise | PanExercise | CorrectorExercise | MixExercise | StepsExercise | BrokenExercise;

/** Hair that leaves the ears to be seen: much begins there. */
const CLEAR_OF_EARS = ['tied back', 'cropped'] as const satisfies readonly Features['hair'][];
/** A skin from very light to very deep. */
const aSkin = (random: Random): Lab => shiftDepth([64, 12, 19], -5 + 17 * random());
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
/**
 * One exercise of a skill, the same for the same seed on every machine; null for a skill there is none of, or
 * where no likely face was found.
 */
export function exercise(skillId: string, seed: number, level: Level): Exercise | null {
  const skill = skillNamed(skillId);
  if (!skill) return null;
  const random = seededRandom(seedFromText(`${skillId} ${seed} ${level}`));
  if (skill.kind === 'line') return lineExercise(skill, seed, level, random);
  if (skill.kind === 'patch') return patchExercise(skill, seed, level, random);
  return answerExercise(skill, seed, level, random);
}

function lineExercise(skill: LineSkill, seed: number, level: Level, random: Random): LineExercise | null {
  const features = featuresFor(random, skill.features);
  const side = pick(random, SIDES);
  const placement = { guide: skill.guide, side } as const;
  const facts: Measurements = Object.fromEntries(
    Object.entries(skill.facts ?? {}).map(([name, [from, to]]) => [name, from + (to - from) * random()]),
  );
  const accepts = (face: Landmarks): boolean =>
    outlineOf(placement, face, features)[0]?.line !== null &&
    checkLimits(placement, face, features, skill.role).length === 0;
  const faces = Array.from({ length: FACES_AT[level] }, () => practiceFace(random, facts, accepts)).filter(
    (face) => face !== null,
  );
  const landmarks = hardest(faces, (face) => habitMiss(placement, face, features));
  if (!landmarks) return null;
  const [shape] = outlineOf(placement, landmarks, features);
  if (!shape?.line) return null;
  const hollow = skill.hollow ? hollowOf(landmarks, features, side) : null;
  return {
    kind: 'line',
    skill: skill.id,
    seed,
    level,
    asks: skill.asks,
    model: { landmarks, features, skin: skinByZone(aSkin(random)) },
    side,
    guide: hollow?.guide ?? {
      line: shape.line,
      widthMm: areaOf(shape.region) / Math.max(1, lengthOf(shape.line)),
      fade: shape.fade,
    },
    placement: hollow?.placement ?? placement,
    shown: skill.match ? { guide: skill.guide, side: side === 'left' ? 'right' : 'left' } : null,
  };
}

function featuresFor(random: Random, more: Partial<Features> = {}): Features {
  return {
    ...PLAIN_FEATURES,
    hair: pick(random, CLEAR_OF_EARS),
    hairTone: pick(random, HAIR_TONES),
    ...more,
  };
}

/** The hollow is felt as a band so wide, mm. */
const HOLLOW_MM = 4;

/** The line sucking the cheeks in shows, and the band of it as something that can be laid on the face. */
function hollowOf(
  landmarks: Landmarks,
  features: Features,
  side: Side,
): { readonly guide: LineGuide; readonly placement: Placement } {
  const model = faceModel(landmarks, features);
  const line = contourFinder(model[side], model).hollowLine.map(model[side].toFace);
  const outline = laidOn(
    model,
    side,
    ribbon(line, () => HOLLOW_MM / 2),
  );
  return { guide: { line, widthMm: HOLLOW_MM }, placement: { outline, featherMm: 2, side } };
}

function patchExercise(skill: PatchSkill, seed: number, level: Level, random: Random): PatchExercise | null {
  const features = featuresFor(random, skill.features);
  const side = pick(random, SIDES);
  const placement = { guide: skill.guide, side } as const;
  const accepts = (face: Landmarks): boolean =>
    outlineOf(placement, face, features)[0]?.region.length === 1 &&
    checkLimits(placement, face, features, skill.role).length === 0;
  const faces = Array.from({ length: FACES_AT[level] }, () => practiceFace(random, {}, accepts)).filter(
    (face) => face !== null,
  );
  const landmarks = hardest(faces, (face) => habitBeside(placement, face, features));
  const shape = landmarks ? outlineOf(placement, landmarks, features)[0] : undefined;
  const outline = shape?.region[0];
  if (!landmarks || !shape || !outline) return null;
  const triangle = skill.triangle ? triangleOf(landmarks, features) : null;
  return {
    kind: 'patch',
    skill: skill.id,
    seed,
    level,
    asks: skill.asks,
    model: { landmarks, features, skin: skinByZone(aSkin(random)) },
    side: triangle ? 'left' : side,
    placement: triangle?.placement ?? placement,
    wanted: triangle?.wanted ?? { outline, featherMm: shape.featherMm },
  };
}

/** How softly the triangle's edge is judged, mm: it is left free, not painted. */
const TRIANGLE_FEATHER_MM = 4;

/** The part of the forehead contour leaves free, as a patch and as something that can be laid on the face. */
function triangleOf(
  landmarks: Landmarks,
  features: Features,
): { readonly placement: Placement; readonly wanted: SoftPatch } {
  const model = faceModel(landmarks, features);
  const outline = freeTriangle(model);
  return {
    wanted: { outline, featherMm: TRIANGLE_FEATHER_MM },
    placement: {
      outline: laidOn(model, 'left', outline),
      featherMm: TRIANGLE_FEATHER_MM,
      side: 'left',
    },
  };
}

/** How far the average face's patch has its middle from this face's, mm. */
function habitBeside(
  placement: Placement & { readonly side: Side },
  face: Landmarks,
  features: Features,
): number {
  const middle = (landmarks: Landmarks): Point => {
    const half = faceModel(landmarks, features)[placement.side];
    return centreOf((outlineOf(placement, landmarks, features)[0]?.region[0] ?? []).map(half.fromFace));
  };
  return distance(middle(AVERAGE), middle(face));
}

/** So many faces are looked at, of which the one is taken on which the usual line would be furthest off. */
const FACES_AT = [1, 2, 4] as const satisfies readonly number[];
const AVERAGE = inferLandmarks({});

function hardest(faces: readonly Landmarks[], missOf: (face: Landmarks) => number): Landmarks | null {
  const [first, ...rest] = faces;
  if (!first) return null;
  if (rest.length === 0) return first;
  return rest.reduce(
    (most, face) => {
      const miss = missOf(face);
      return miss > most.miss ? { face, miss } : most;
    },
    { face: first, miss: missOf(first) },
  ).face;
}

/** How far off a hand is that draws the average face's line on every face, mm: what practice is against. */
function habitMiss(
  placement: Placement & { readonly side: Side },
  face: Landmarks,
  features: Features,
): number {
  const own = (landmarks: Landmarks): Polyline => {
    const half = faceModel(landmarks, features)[placement.side];
    return (outlineOf(placement, landmarks, features)[0]?.line ?? []).map(half.fromFace);
  };
  return lineMiss(own(AVERAGE), own(face)).meanMm;
}

const lengthOf = (line: Polyline): number => measureLine(line).lengthMm;

/** Between two pans at each level: shade steps, or degrees of undertone. */
const SPACING = { depth: [1.5, 0.8, 0.4], undertone: [9, 5, 2.5] } as const;
const PANS = 5;

function answerExercise(skill: AnswerSkill, seed: number, level: Level, random: Random): Exercise | null {
  const common = { skill: skill.id, seed, level, asks: skill.asks };
  switch (skill.kind) {
    case 'depth': {
      const gap = SPACING.depth[level];
      const first = shiftDepth([64, 12, 19], -4 + 9 * random());
      const labs = Array.from({ length: PANS }, (_, i): Lab => {
        const [L, a, b] = shiftDepth(first, i * gap + 0.1 * gap * random());
        // Undertone pulls the eye away from depth.
        return [L, a + 3 * (random() - 0.5), b + 4 * (random() - 0.5)];
      });
      return { ...common, kind: 'depth', pans: pansOf(shuffled(labs, random)) };
    }
    case 'undertone': {
      const gap = SPACING.undertone[level];
      const base = shiftDepth([64, 12, 19], -3 + 8 * random());
      const labs = Array.from({ length: PANS }, (_, i): Lab => {
        const turned = turn(base, (i - (PANS - 1) / 2) * gap + 0.1 * gap * random());
        return [turned[0] + 2 * (random() - 0.5), turned[1], turned[2]];
      });
      return { ...common, kind: 'undertone', pans: pansOf(shuffled(labs, random)) };
    }
    case 'corrector': {
      const shadow = shadowBeside(aSkin(random), random);
      return shadow ? { ...common, kind: 'corrector', ...shadow, pans: shuffled(CORRECTORS, random) } : null;
    }
    case 'mix': {
      const skin = aSkin(random);
      const pans = pumpsFor(skin, level, random);
      return pans ? { ...common, kind: 'mix', skin, pans } : null;
    }
    case 'broken': {
      const landmarks = practiceFace(random);
      if (!landmarks) return null;
      const features = featuresFor(random);
      const skin = aSkin(random);
      const chart = brokenChart(landmarks, features, skin, random);
      const model = { landmarks, features, skin: skinByZone(skin) };
      return chart ? { ...common, kind: 'broken', model, chart } : null;
    }
    case 'steps':
      return { ...common, kind: 'steps', steps: shuffled(STEPS, random).slice(0, 6) };
  }
}

const pansOf = (labs: readonly Lab[]) => labs.map((lab, i) => ({ id: String.fromCharCode(97 + i), lab }));

/** The same lightness and chroma, its hue turned by degrees. */
function turn([L, a, b]: Lab, degrees: number): Lab {
  const angle = Math.atan2(b, a) + (degrees * Math.PI) / 180;
  const chroma = Math.hypot(a, b);
  return [L, chroma * Math.cos(angle), chroma * Math.sin(angle)];
}
