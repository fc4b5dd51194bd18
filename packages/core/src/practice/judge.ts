import { capital } from '../capital';
import { depthOf, undertoneOf, type Lab } from '../colour';
import {
  checkLimits,
  contourFinder,
  faceModel,
  isInHollow,
  type LimitBreach,
  type Point,
  type Polyline,
} from '../face';
import { ribbon } from '../face/curve';
import { resample } from '../face/point';
import { msg } from '../messages';
import { scoreOrder, scorePicks, scoreRegret, scoreSteps, type StepLink } from './answers';
import type {
  BrokenExercise,
  CorrectorExercise,
  DrawnExercise,
  Exercise,
  LineExercise,
  MixExercise,
  PanExercise,
  PatchExercise,
  StepsExercise,
} from './exercise';
import { corrected } from './corrector';
import { feedback, type LineTask } from './feedback';
import { laidOn } from './laidOn';
import { STEPS } from './practiceSteps';
import { patchFeedback, patchMiss, scorePatch } from './patch';
import { gradeOf, type Grade } from './score';
import { scoreLine } from './scoreLine';
import { skillNamed, type LineSkill } from './skills';
import { judgePumps } from './twoPumps';

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
      /** How hard each point was pressed, where a pen told. */ readonly pressure?: readonly number[] | null;
    }
  | { readonly kind: 'order'; readonly ids: readonly string[] }
  | { readonly kind: 'picks'; readonly ids: readonly string[] }
  | { readonly kind: 'choice'; readonly id: string };

export type AttemptJudged = {
  readonly score: number;
  readonly grade: Grade;
  /** Mean miss in mm, or what a choice is off: what progress is shown by. */ readonly miss: number;
  readonly first: string;
  readonly well: string | null;
  /** Where it was farthest off, in the face's mm. */ readonly at: Point | null;
};

/**
 * A millimetre narrower than this on the screen is drawn by luck, px; where both sides are to be seen there
 * is less room.
 */
const LEAST_PX_PER_MM = { one: 3, both: 1.8, patch: 2.4 } as const;
const SAME = { depth: 0.3, undertone: 1 } as const;

/** Judges what was given to an exercise. Throws a RangeError for what is no answer to it. */
export function judge(task: Exercise, given: Given): AttemptJudged {
  switch (task.kind) {
    case 'line':
      return given.kind === 'line' ? judgeLine(task, given) : refuse();
    case 'depth':
    case 'undertone':
      return given.kind === 'order' ? judgePans(task, given.ids) : refuse();
    case 'patch':
      return given.kind === 'line' ? judgePatch(task, given) : refuse();
    case 'corrector':
      return given.kind === 'choice' ? judgeCorrector(task, given.id) : refuse();
    case 'mix':
      return given.kind === 'picks' ? judgeMix(task, given.ids) : refuse();
    case 'broken':
      return given.kind === 'picks' ? judgeBroken(task, given.ids) : refuse();
    case 'steps':
      return given.kind === 'order' ? judgeSteps(task, given.ids) : refuse();
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
    { ...task.guide, line: own(task.guide.line) },
    { breachMm: breach?.mm ?? 0, coarse: given.coarse, pressure: given.pressure ?? null },
  );
  const words: LineTask = { ...skill.words, side: task.side, breach: breach?.words ?? null };
  const told = feedback(scored.parts, scored.miss, { ...words, fade: scored.fade });
  const swapped = swappedIn(task, skill, own(given.drawn));
  return {
    score: scored.score,
    grade: scored.grade,
    miss: scored.miss.meanMm,
    first: `${tooSmall(task, given)}${swapped ?? told.first}`,
    well: swapped ? null : told.well,
    at: half.toFace(scored.miss.at),
  };
}

const tooSmall = (task: DrawnExercise, { mmPerPixel }: Extract<Given, { kind: 'line' }>): string =>
  mmPerPixel !== null &&
  mmPerPixel > 1 / LEAST_PX_PER_MM[task.kind === 'patch' ? 'patch' : task.shown ? 'both' : 'one']
    ? msg`Drawn too small to judge finely: zoom in. `
    : '';

/**
 * Edge and hollow drawn for each other, said as what it is; null where neither was asked for or it was not
 * so.
 */
function swappedIn(task: LineExercise, skill: LineSkill, own: Polyline): string | null {
  const { landmarks, features } = task.model;
  if (skill.guide !== 'cheekContour') return null;
  const face = faceModel(landmarks, features);
  const finder = contourFinder(face[task.side], face);
  const low = own.filter((p) => isInHollow(p, finder)).length / Math.max(1, own.length);
  if (skill.hollow ? low > 1 - SWAPPED : low < SWAPPED) return null;
  const apart = Math.round(finder.gapMm);
  return skill.hollow
    ? msg`That is the edge a smile shows, where contour lies. The hollow is ${apart} mm lower: suck the cheeks in.`
    : msg`That is the hollow. The edge a smile shows is ${apart} mm higher: smile, and stay on the bone.`;
}
/** So much of a line nearer to the other one is that other one. */
const SWAPPED = 0.8;

function judgePatch(task: PatchExercise, given: Extract<Given, { kind: 'line' }>): AttemptJudged {
  const skill = skillNamed(task.skill);
  if (!skill || skill.kind !== 'patch') return refuse();
  const half = faceModel(task.model.landmarks, task.model.features)[task.side];
  const own = (outline: Polyline): Polyline => outline.map(half.fromFace);
  const miss = patchMiss(
    { outline: own(given.drawn), featherMm: task.wanted.featherMm },
    { outline: own(task.wanted.outline), featherMm: task.wanted.featherMm },
  );
  const breach = LIMITED.includes(skill.role)
    ? most(limitsOf(task, given.drawn, skill.role), limitsOf(task, task.wanted.outline, skill.role))
    : null;
  const scored = scorePatch(miss, { breachMm: breach?.mm ?? 0, coarse: given.coarse });
  const told = patchFeedback(miss, scored.grade, skill.words, breach?.words ?? null);
  return {
    ...scored,
    miss: miss.edgeMm,
    first: `${tooSmall(task, given)}${told.first}`,
    well: told.well,
    at: half.toFace(miss.at),
  };
}

/** Kinds of layer that have limits on the face. */
const LIMITED: readonly LineSkill['role'][] = ['contour', 'bronze', 'blush'];
/**
 * A guide begins at the edge of the face: whoever begins a little beyond it is told of the line, not of this.
 */
const LEAVES = 'face edge';
/** What the guide itself runs over, laid as wide: worked out once. */
const allowed = new WeakMap<LineExercise, readonly LimitBreach[]>();
/** A stroke is laid this fine when it is held against limits, mm. */
const COARSE_MM = 2;

/**
 * Where what was drawn runs further past a limit of the face than the guide laid as wide would: the guide
 * tapers, a stroke does not. Nothing within a third of a millimetre.
 */
function breachOf(
  task: LineExercise,
  skill: LineSkill,
  drawn: Polyline,
): { readonly mm: number; readonly words: string } | null {
  if (!LIMITED.includes(skill.role) || drawn.length < 2) return null;
  const over = (line: Polyline) =>
    limitsOf(
      task,
      ribbon(resample(line, COARSE_MM), () => task.guide.widthMm / 2),
      skill.role,
    );
  const own = allowed.get(task) ?? over(task.guide.line);
  allowed.set(task, own);
  return most(over(drawn), own);
}

/** The limits an outline in the face's mm runs over. */
function limitsOf({ model, side }: DrawnExercise, outline: Polyline, role: LineSkill['role']): LimitBreach[] {
  const { landmarks, features } = model;
  const canonical = laidOn(faceModel(landmarks, features), side, outline);
  return checkLimits({ outline: canonical, featherMm: 2, side }, landmarks, features, role);
}

/** The limit that is passed furthest beyond what the guide itself does; null for nothing worth a word. */
function most(
  drawn: readonly LimitBreach[],
  own: readonly LimitBreach[],
): { readonly mm: number; readonly words: string } | null {
  return drawn
    .filter(({ limit }) => limit !== LEAVES)
    .reduce<{ readonly mm: number; readonly words: string } | null>((worst, one) => {
      const mm =
        one.overMm - Math.max(0, ...own.filter(({ limit }) => limit === one.limit).map((g) => g.overMm));
      return mm > (worst?.mm ?? 0.3) ? { mm, words: one.message } : worst;
    }, null);
}

function judgePans(task: PanExercise, ids: readonly string[]): AttemptJudged {
  const valueOf = task.kind === 'depth' ? depthOf : (lab: Lab): number => undertoneOf(lab).hueOffset;
  const values = Object.fromEntries(task.pans.map(({ id, lab }) => [id, valueOf(lab)]));
  if (ids.length !== task.pans.length || new Set(ids).size !== ids.length) return refuse();
  const same = SAME[task.kind];
  const { score, worst } = scoreOrder(ids, values, same);
  if (!worst)
    return { score, grade: gradeOf(score), miss: 0, first: msg`All in order.`, well: null, at: null };
  const [first, then] = worst;
  const by = Math.abs(values[first]! - values[then]!);
  const [one, other, off] = [first.toUpperCase(), then.toUpperCase(), by.toFixed(1)];
  return {
    score,
    grade: gradeOf(score),
    miss: by,
    first:
      task.kind === 'depth'
        ? msg`${one} stands before ${other} and is deeper by ${off} of a step: put the lighter one first.`
        : msg`${one} stands before ${other} and is warmer by ${off} degrees: put the cooler one first.`,
    well: score >= 50 ? msg`The others stand as they should.` : null,
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
      ? msg`${capital(mine.words)} brings it nearest: ${mine.off.toFixed(1)} from the cheek.`
      : msg`${capital(best.words)} comes nearer: ${best.off.toFixed(1)} from the cheek, ${mine.words} ${mine.off.toFixed(1)}.`,
    well: !same && off.findIndex((pan) => pan.id === id) === 1 ? msg`Yours is the next best.` : null,
    at: null,
  };
}

function judgeMix(task: MixExercise, ids: readonly string[]): AttemptJudged {
  const [one, other] = ids;
  const judged =
    one === undefined || other === undefined || ids.length !== 2
      ? null
      : judgePumps(task.skin, task.pans, [one, other]);
  if (!judged) return refuse();
  const { score, off, first, well } = judged;
  return { score, grade: gradeOf(score), miss: off, first, well, at: null };
}

function judgeBroken({ chart }: BrokenExercise, ids: readonly string[]): AttemptJudged {
  const known = chart.choices.map(({ id }) => id);
  if (ids.length === 0 || new Set(ids).size !== ids.length || !ids.every((id) => known.includes(id)))
    return refuse();
  const score = scorePicks(ids, chart.right);
  const missed = chart.right.filter((id) => !ids.includes(id));
  const wrong = ids.length - (chart.right.length - missed.length);
  return {
    score,
    grade: gradeOf(score),
    miss: missed.length + wrong,
    first: chart.says.join(' '),
    well:
      missed.length === 0
        ? wrong === 0
          ? msg`You saw it.`
          : msg`You saw it; the rest is as it should be.`
        : missed.length < chart.right.length
          ? msg`You saw one of the two.`
          : null,
    at: null,
  };
}

function judgeSteps(task: StepsExercise, ids: readonly string[]): AttemptJudged {
  if (
    ids.length !== task.steps.length ||
    new Set(ids).size !== ids.length ||
    !ids.every((id) => task.steps.some((one) => one.id === id))
  )
    return refuse();
  const { score, broken } = scoreSteps(ids, LINKS);
  const wordsOf = (id: string): string => STEPS.find((one) => one.id === id)!.words;
  const worst = [...broken].sort((a, b) => weightOf(b.before, b.after) - weightOf(a.before, a.after))[0];
  return {
    score,
    grade: gradeOf(score),
    miss: broken.length,
    first: worst
      ? msg`“${wordsOf(worst.before)}” comes before “${wordsOf(worst.after)}”.`
      : msg`That order works.`,
    well: worst && broken.length === 1 ? msg`All else stands as it should.` : null,
    at: null,
  };
}
