import { deltaE2000, depthOf, undertoneOf, type Lab } from '../colour';
import { checkLimits, faceModel, type LimitBreach, type Point, type Polyline } from '../face';
import { ribbon } from '../face/curve';
import { resample } from '../face/point';
import { shownOfStep, type Use } from '../look';
import { scoreOrder, scoreRegret, scoreSteps, type StepLink } from './answers';
import {
  STEPS,
  type CorrectorExercise,
  type Exercise,
  type LineExercise,
  type PanExercise,
} from './exercise';
import { feedback, type LineTask } from './feedback';
import { gradeOf, type Grade } from './score';
import { scoreLine } from './scoreLine';
import { skillNamed, type LineSkill } from './skills';

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
