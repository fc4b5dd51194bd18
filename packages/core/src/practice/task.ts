import { deltaE2000, depthOf, shiftDepth, skinByZone, undertoneOf, type Lab } from '../colour';
import {
  areaOf,
  checkLimits,
  faceModel,
  HAIR_TONES,
  outlineOf,
  PLAIN_FEATURES,
  SIDES,
  type Features,
  type LimitBreach,
  type Landmarks,
  type Measurements,
  type Placement,
  type Point,
  type Polyline,
  type Side,
} from '../face';
import { ribbon } from '../face/curve';
import { measureLine, resample } from '../face/point';
import { shownOfStep, type Use } from '../look';
import { seededRandom, seedFromText, type Random } from '../math';
import { scoreOrder, scoreRegret, scoreSteps, type StepLink } from './answers';
import { feedback, type LineTask } from './feedback';
import { practiceFace } from './practiceFace';
import { gradeOf, type Grade } from './score';
import { scoreLine, type LineGuide } from './scoreLine';
import { skillNamed, type AnswerSkill, type LineSkill } from './skills';

/** How far a hand has come in a skill: pans lie closer, faces are less usual. */
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
export type PanExercise = Common & {
  readonly kind: 'depth' | 'undertone';
  readonly pans: readonly { readonly id: string; readonly lab: Lab }[];
};
export type CorrectorExercise = Common & {
  readonly kind: 'corrector';
  readonly under: Lab;
  readonly cheek: Lab;
  readonly pans: readonly { readonly id: string; readonly words: string; readonly lab: Lab }[];
};
export type StepsExercise = Common & {
  readonly kind: 'steps';
  readonly steps: readonly { readonly id: string; readonly words: string }[];
};
export type Exercise = LineExercise | PanExercise | CorrectorExercise | StepsExercise;

/** Hair that leaves the ears to be seen: much begins there. */
const CLEAR_OF_EARS = ['tied back', 'cropped'] as const satisfies readonly Features['hair'][];
/** A skin from very light to very deep. */
const aSkin = (random: Random): Lab => shiftDepth([64, 12, 19], -5 + 17 * random());
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
function shuffled<T>(random: Random, list: readonly T[]): T[] {
  const left = [...list];
  return Array.from({ length: left.length }, () => left.splice(Math.floor(random() * left.length), 1)[0]!);
}

/**
 * One exercise of a skill, the same for the same seed on every machine; null for a skill there is none of, or where no likely
 * face was found.
 */
export function exercise(skillId: string, seed: number, level: Level): Exercise | null {
  const skill = skillNamed(skillId);
  if (!skill) return null;
  const random = seededRandom(seedFromText(`${skillId} ${seed} ${level}`));
  if (skill.kind === 'line') return lineExercise(skill, seed, level, random);
  return answerExercise(skill, seed, level, random);
}

function lineExercise(skill: LineSkill, seed: number, level: Level, random: Random): LineExercise | null {
  const features: Features = {
    ...PLAIN_FEATURES,
    hair: pick(random, CLEAR_OF_EARS),
    hairTone: pick(random, HAIR_TONES),
    ...skill.features,
  };
  const side = pick(random, SIDES);
  const placement = { guide: skill.guide, side } as const;
  const facts: Measurements = Object.fromEntries(
    Object.entries(skill.facts ?? {}).map(([name, [from, to]]) => [name, from + (to - from) * random()]),
  );
  const landmarks = practiceFace(
    random,
    facts,
    (face) =>
      outlineOf(placement, face, features)[0]?.line !== null &&
      checkLimits(placement, face, features, skill.role).length === 0,
  );
  if (!landmarks) return null;
  const [shape] = outlineOf(placement, landmarks, features);
  if (!shape?.line) return null;
  return {
    kind: 'line',
    skill: skill.id,
    seed,
    level,
    asks: skill.asks,
    model: { landmarks, features, skin: skinByZone(aSkin(random)) },
    side,
    guide: { line: shape.line, widthMm: areaOf(shape.region) / Math.max(1, lengthOf(shape.line)) },
    placement,
    shown: skill.match ? { guide: skill.guide, side: side === 'left' ? 'right' : 'left' } : null,
  };
}

const lengthOf = (line: Polyline): number => measureLine(line).lengthMm;

/** Between two pans at each level: shade steps, or degrees of undertone. */
const SPACING = { depth: [1.5, 0.8, 0.4], undertone: [9, 5, 2.5] } as const;
const PANS = 5;

function answerExercise(skill: AnswerSkill, seed: number, level: Level, random: Random): Exercise {
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
      return { ...common, kind: 'depth', pans: pansOf(shuffled(random, labs)) };
    }
    case 'undertone': {
      const gap = SPACING.undertone[level];
      const base = shiftDepth([64, 12, 19], -3 + 8 * random());
      const labs = Array.from({ length: PANS }, (_, i): Lab => {
        const turned = turn(base, (i - (PANS - 1) / 2) * gap + 0.1 * gap * random());
        return [turned[0] + 2 * (random() - 0.5), turned[1], turned[2]];
      });
      return { ...common, kind: 'undertone', pans: pansOf(shuffled(random, labs)) };
    }
    case 'corrector': {
      const cheek = aSkin(random);
      const [L, a, b] = cheek;
      const under: Lab = [L - 5 - 5 * random(), a - 3 * random(), b - 5 - 6 * random()];
      return { ...common, kind: 'corrector', under, cheek, pans: shuffled(random, CORRECTORS) };
    }
    case 'steps':
      return { ...common, kind: 'steps', steps: shuffled(random, shuffled(random, STEPS).slice(0, 6)) };
  }
}

const pansOf = (labs: readonly Lab[]) => labs.map((lab, i) => ({ id: String.fromCharCode(97 + i), lab }));

/** The same lightness and chroma, its hue turned by degrees. */
function turn([L, a, b]: Lab, degrees: number): Lab {
  const angle = Math.atan2(b, a) + (degrees * Math.PI) / 180;
  const chroma = Math.hypot(a, b);
  return [L, chroma * Math.cos(angle), chroma * Math.sin(angle)];
}

const CORRECTORS: CorrectorExercise['pans'] = [
  { id: 'peach', words: 'peach', lab: [76, 18, 26] },
  { id: 'orange', words: 'orange', lab: [62, 32, 42] },
  { id: 'red', words: 'brick red', lab: [44, 36, 28] },
  { id: 'yellow', words: 'yellow', lab: [84, 4, 40] },
  { id: 'green', words: 'green', lab: [76, -16, 18] },
  { id: 'lilac', words: 'lilac', lab: [74, 14, -14] },
];
/** A thin film, mg a cm2. */
const FILM = 0.3;

/** How far the place under the eye is from the cheek when a corrector lies on it: predicted, CIEDE2000. */
export function corrected({ under, cheek }: Pick<CorrectorExercise, 'under' | 'cheek'>, lab: Lab): number {
  const use: Use = {
    unitId: null,
    parts: 1,
    measure: 'dot',
    product: {
      id: '00000000-0000-7000-8000-000000000000',
      maker: 'Practice',
      line: 'Corrector',
      shade: 'any',
      kind: 'corrector',
      lab: [...lab],
      coverage: 'medium',
      finish: 'natural',
      texture: 'cream',
      family: 'silicone',
      ingredients: [],
      measure: 'dot',
      mgPerMeasure: 40,
    },
  };
  const shown = shownOfStep({ use: [use], doseMgPerCm2: FILM, passes: 1 }, under);
  return shown === null ? Infinity : deltaE2000(shown, cheek);
}

const STEPS: StepsExercise['steps'] = [
  { id: 'clean', words: 'Clean hands, tools and skin' },
  { id: 'prep', words: 'Moisturise, and let it settle' },
  { id: 'prime', words: 'Primer where it shines' },
  { id: 'correct', words: 'Corrector under the eye' },
  { id: 'base', words: 'Base, thin, from the centre' },
  { id: 'conceal', words: 'Concealer where it still shows' },
  { id: 'cream', words: 'Cream contour' },
  { id: 'set', words: 'Powder to set' },
  { id: 'powder', words: 'Powder blush' },
  { id: 'spray', words: 'Setting spray, let it dry' },
  { id: 'check', words: 'Check in daylight and with the flash' },
];
/** What comes before what, and how much it matters: a broken order is seen on the skin, or is only untidy. */
const LINKS: readonly StepLink[] = STEPS.flatMap((one, i) =>
  STEPS.slice(i + 1).map(({ id }) => ({ before: one.id, after: id, weight: weightOf(one.id, id) })),
);
function weightOf(before: string, after: string): number {
  // Cream after powder cakes; anything before cleaning is no cleaning; base lies over corrector.
  if (
    before === 'clean' ||
    (after === 'powder' && before === 'cream') ||
    (before === 'cream' && after === 'set')
  )
    return 3;
  return before === 'base' && after === 'conceal' ? 1 : 2;
}

/** What somebody did. */
export type Given =
  | {
      readonly kind: 'line';
      readonly drawn: Polyline;
      readonly coarse: boolean;
      readonly mmPerPixel: number | null;
    }
  | { readonly kind: 'order'; readonly ids: readonly string[] }
  | { readonly kind: 'choice'; readonly id: string };

export type AttemptJudged = {
  readonly score: number;
  readonly grade: Grade;
  /** Mean miss in mm, or what a choice is off: what progress is shown by. */ readonly miss: number;
  readonly first: string;
  readonly well: string | null;
  /** Where it was farthest off, in the face's mm. */ readonly at: Point | null;
};

/** A millimetre narrower than this on the screen is drawn by luck, px; where both sides are to be seen there is less room. */
const LEAST_PX_PER_MM = { one: 3, both: 1.8 } as const;
const SAME = { depth: 0.3, undertone: 1 } as const;

/** Judges what was given to an exercise. Throws a RangeError for what is no answer to it. */
export function judge(task: Exercise, given: Given): AttemptJudged {
  switch (task.kind) {
    case 'line':
      return given.kind === 'line' ? judgeLine(task, given) : refuse();
    case 'depth':
    case 'undertone':
      return given.kind === 'order' ? judgePans(task, given.ids) : refuse();
    case 'corrector':
      return given.kind === 'choice' ? judgeCorrector(task, given.id) : refuse();
    case 'steps':
      return given.kind === 'order' ? judgeSteps(given.ids) : refuse();
  }
}
const refuse = (): never => {
  throw new RangeError('judge: that is no answer to this exercise');
};

function judgeLine(task: LineExercise, given: Extract<Given, { kind: 'line' }>): AttemptJudged {
  const skill = skillNamed(task.skill);
  if (!skill || skill.kind !== 'line') return refuse();
  const half = faceModel(task.model.landmarks, task.model.features)[task.side];
  const own = (line: Polyline): Polyline => line.map(half.fromFace);
  const breach = breachOf(task, skill, given.drawn);
  const scored = scoreLine(
    own(given.drawn),
    { line: own(task.guide.line), widthMm: task.guide.widthMm },
    { breachMm: breach?.mm ?? 0, coarse: given.coarse },
  );
  const words: LineTask = { ...skill.words, side: task.side, breach: breach?.words ?? null };
  const small =
    given.mmPerPixel !== null && given.mmPerPixel > 1 / LEAST_PX_PER_MM[task.shown ? 'both' : 'one'];
  const told = feedback(scored.parts, scored.miss, words);
  return {
    score: scored.score,
    grade: scored.grade,
    miss: scored.miss.meanMm,
    first: small ? `Drawn too small to judge finely: zoom in. ${told.first}` : told.first,
    well: told.well,
    at: half.toFace(scored.miss.at),
  };
}

/** Kinds of layer that have limits on the face. */
const LIMITED: readonly LineSkill['role'][] = ['contour', 'bronze', 'blush'];
/** A guide begins at the edge of the face: whoever begins a little beyond it is told of the line, not of this. */
const LEAVES = 'face edge';
/** What the guide itself runs over, laid as wide: worked out once. */
const allowed = new WeakMap<LineExercise, readonly LimitBreach[]>();
/** A stroke is laid this fine when it is held against limits, mm. */
const COARSE_MM = 2;

/**
 * Where what was drawn runs further past a limit of the face than the guide laid as wide would: the guide tapers, a stroke does
 * not. Nothing within a third of a millimetre.
 */
function breachOf(
  task: LineExercise,
  skill: LineSkill,
  drawn: Polyline,
): { readonly mm: number; readonly words: string } | null {
  if (!LIMITED.includes(skill.role) || drawn.length < 2) return null;
  const { landmarks, features } = task.model;
  const model = faceModel(landmarks, features);
  const over = (line: Polyline) => {
    const canonical = ribbon(resample(line, COARSE_MM), () => task.guide.widthMm / 2).map((p): Point => {
      const [x, y] = model.warp.toCanonical(p);
      return [task.side === 'right' ? -x : x, y];
    });
    return checkLimits(
      { outline: canonical, featherMm: 2, side: task.side },
      landmarks,
      features,
      skill.role,
    );
  };
  const own = allowed.get(task) ?? over(task.guide.line);
  allowed.set(task, own);
  return over(drawn)
    .filter(({ limit }) => limit !== LEAVES)
    .reduce<{ readonly mm: number; readonly words: string } | null>((most, one) => {
      const mm =
        one.overMm - Math.max(0, ...own.filter(({ limit }) => limit === one.limit).map((g) => g.overMm));
      return mm > (most?.mm ?? 0.3) ? { mm, words: one.message } : most;
    }, null);
}

function judgePans(task: PanExercise, ids: readonly string[]): AttemptJudged {
  const valueOf = task.kind === 'depth' ? depthOf : (lab: Lab): number => undertoneOf(lab).hueOffset;
  const values = Object.fromEntries(task.pans.map(({ id, lab }) => [id, valueOf(lab)]));
  if (ids.length !== task.pans.length || new Set(ids).size !== ids.length) return refuse();
  const same = SAME[task.kind];
  const { score, worst } = scoreOrder(ids, values, same);
  const [unit, more, less] =
    task.kind === 'depth' ? ['of a step', 'deeper', 'lighter'] : ['degrees', 'warmer', 'cooler'];
  if (!worst) return { score, grade: gradeOf(score), miss: 0, first: 'All in order.', well: null, at: null };
  const [first, then] = worst;
  const by = Math.abs(values[first]! - values[then]!);
  return {
    score,
    grade: gradeOf(score),
    miss: by,
    first: `${first.toUpperCase()} stands before ${then.toUpperCase()} and is ${more} by ${by.toFixed(1)} ${unit}: put the ${less} one first.`,
    well: score >= 50 ? 'The others stand as they should.' : null,
    at: null,
  };
}

function judgeCorrector(task: CorrectorExercise, id: string): AttemptJudged {
  const chosen = task.pans.find((pan) => pan.id === id);
  if (!chosen) return refuse();
  const off = task.pans
    .map((pan) => ({ ...pan, off: corrected(task, pan.lab) }))
    .sort((a, b) => a.off - b.off);
  const best = off[0]!;
  const mine = off.find((pan) => pan.id === id)!;
  const score = scoreRegret(mine.off, best.off);
  const same = mine.off - best.off <= 0.3;
  return {
    score,
    grade: gradeOf(score),
    miss: mine.off - best.off,
    first: same
      ? `${capital(mine.words)} brings it nearest: ${mine.off.toFixed(1)} from the cheek.`
      : `${capital(best.words)} comes nearer: ${best.off.toFixed(1)} from the cheek, ${mine.words} ${mine.off.toFixed(1)}.`,
    well: !same && off.findIndex((pan) => pan.id === id) === 1 ? 'Yours is the next best.' : null,
    at: null,
  };
}

function judgeSteps(ids: readonly string[]): AttemptJudged {
  if (new Set(ids).size !== ids.length || !ids.every((id) => STEPS.some((one) => one.id === id)))
    return refuse();
  const { score, broken } = scoreSteps(ids, LINKS);
  const wordsOf = (id: string): string => STEPS.find((one) => one.id === id)!.words;
  const worst = [...broken].sort((a, b) => weightOf(b.before, b.after) - weightOf(a.before, a.after))[0];
  return {
    score,
    grade: gradeOf(score),
    miss: broken.length,
    first: worst ? `“${wordsOf(worst.before)}” comes before “${wordsOf(worst.after)}”.` : 'That order works.',
    well: worst && broken.length === 1 ? 'All else stands as it should.' : null,
    at: null,
  };
}
const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);
