import { describePlacement, speakPlacement } from '../face';
import type { Tool } from '../kit';
import { stepsOfVariant, type Chart, type Step } from '../look';
import { weaveSteps } from '../order';

/** What a client can do at home, and with what. */
export type LessonAsk = {
  /** Minutes there are. */ readonly minutes: number;
  /** Steps chosen by hand; what the app proposes where nothing was chosen. */ readonly keep?: readonly string[];
};

export type LessonStep = {
  readonly stepId: string;
  readonly title: string;
  /** Numbers of what is used, as they stand in the list of things. */ readonly things: readonly number[];
  /** How much, in sizes anybody knows, with its width as a drop in mm where it has one. */
  readonly amount: string | null;
  readonly sizeMm: number | null;
  /** Where, on this face, as it is seen in the client's own mirror. */ readonly where: readonly string[];
  readonly how: string;
  readonly check: string;
  readonly fault: { readonly seen: string; readonly cure: string } | null;
  readonly minutes: number;
  readonly waitMinutes: number;
};
export type Lesson = {
  readonly look: string;
  readonly name: string;
  readonly minutes: number;
  readonly things: readonly { readonly number: number; readonly name: string }[];
  readonly steps: readonly LessonStep[];
  /** What is left out at home, and why. */ readonly left: readonly {
    readonly stepId: string;
    readonly title: string;
    readonly why: string;
    /** Whether it may be taken in by choice. */ readonly atHome: boolean;
  }[];
  /** What a skin needs to get used to, what to stop at, when to come back. */ readonly minds: readonly string[];
};

/** 'one step', '7 steps'. */
export const stepsCounted = ({ steps }: Pick<Lesson, 'steps'>): string =>
  steps.length === 1 ? 'one step' : `${steps.length} steps`;

/** Hands that do it twice a week need so many times as long. */
const UNPRACTISED = 1.6;
/** What each kind of step is worth to a face at home: trade sense. */
const WORTH: Readonly<Record<Step['role'], number>> = {
  base: 10,
  conceal: 9,
  brow: 9,
  lip: 8,
  blush: 8,
  lash: 7,
  powder: 6,
  care: 5,
  correct: 5,
  eye: 5,
  contour: 3,
  bronze: 3,
  highlight: 3,
  liner: 3,
  'lip line': 2,
  adornment: 0,
};
const AT_HOME_NOT: Readonly<Partial<Record<Tool, string>>> = {
  airbrush: 'An airbrush is nothing for at home.',
};
const LEFT_OUT = {
  chosen: 'Left out by choice.',
  minutes: 'For days with more time.',
  adornment: 'For the day itself.',
  lashes: 'A band with glue is put on by the studio, after a patch test.',
} as const;

/**
 * A lesson for the client's own hands: fewer steps, as many as the minutes allow and worth the most, in an order that fills the
 * waits, where each goes on this face as the mirror shows it, amounts in sizes anybody knows. Nothing of health, no notes, no
 * contact, nobody else: only what stands here.
 */
export function lessonFrom(chart: Chart, ask: LessonAsk): Lesson {
  const plan = stepsOfVariant(chart.steps, null);
  const never = new Map(
    plan.flatMap((step) => (notAtHome(step) ? [[step.id, notAtHome(step)!] as const] : [])),
  );
  const possible = plan.filter((step) => !never.has(step.id));
  const kept = ask.keep
    ? possible.filter((step) => ask.keep!.includes(step.id))
    : worthMost(possible, ask.minutes);
  const own = kept.map(slower);
  const { woven } = weaveSteps(own, chart.client, chart.schools);
  const ordered = woven.steps.map(({ stepId }) => kept.find((step) => step.id === stepId)!);
  const names = [...new Set(ordered.flatMap((step) => step.use.map(nameOf)))];
  return {
    look: chart.look.name,
    name: chart.client.name,
    minutes: Math.ceil(woven.totalMinutes),
    things: names.map((name, i) => ({ number: i + 1, name })),
    steps: ordered.map((step) => lessonStep(chart, step, names)),
    left: plan
      .filter((step) => !kept.includes(step))
      .map((step) => ({
        stepId: step.id,
        title: step.title,
        why: never.get(step.id) ?? (ask.keep ? LEFT_OUT.chosen : LEFT_OUT.minutes),
        atHome: !never.has(step.id),
      })),
    minds: mindsOf(chart, ordered),
  };
}

function notAtHome(step: Step): string | null {
  if (step.role === 'adornment') return LEFT_OUT.adornment;
  if (step.use.some(({ product }) => product.kind === 'lashes')) return LEFT_OUT.lashes;
  return AT_HOME_NOT[step.tool] ?? null;
}

const slower = (step: Step): Step => ({ ...step, handsOnMinutes: minutesAtHome(step) });
const minutesAtHome = ({ handsOnMinutes }: Step): number =>
  Math.max(0.5, Math.round(2 * UNPRACTISED * handsOnMinutes) / 2);

/** The steps worth the most within the minutes, waits left aside: exact, by half minutes. Always at least one. */
function worthMost(steps: readonly Step[], minutes: number): Step[] {
  const halves = Math.max(0, Math.floor(2 * minutes));
  type Best = { readonly worth: number; readonly kept: readonly Step[] };
  let best: Best[] = Array.from({ length: halves + 1 }, () => ({ worth: 0, kept: [] }));
  for (const step of steps) {
    const takes = Math.round(2 * minutesAtHome(step));
    best = best.map((without, room) => {
      const before = room >= takes ? best[room - takes]! : null;
      const withIt = before && before.worth + WORTH[step.role];
      return withIt !== null && before && withIt > without.worth
        ? { worth: withIt, kept: [...before.kept, step] }
        : without;
    });
  }
  const { kept } = best.at(-1)!;
  if (kept.length > 0) return [...kept];
  const first = [...steps].sort(
    (a, b) => WORTH[b.role] / minutesAtHome(b) - WORTH[a.role] / minutesAtHome(a),
  )[0];
  return first ? [first] : [];
}

const nameOf = ({ product }: Step['use'][number]): string =>
  `${product.maker} ${product.line} ${product.shade}`;

function lessonStep(chart: Chart, step: Step, names: readonly string[]): LessonStep {
  const { landmarks, features } = chart.client;
  const size = sizeOf(step);
  return {
    stepId: step.id,
    title: step.title,
    things: [...new Set(step.use.map(nameOf))].map((name) => names.indexOf(name) + 1),
    amount: size?.words ?? null,
    sizeMm: size?.mm ?? null,
    where: [
      ...new Set(step.placements.map((placement) => capital(inMirror(said(placement, landmarks, features))))),
    ],
    how: howAtHome(step),
    check: CHECKS[step.role],
    fault: FAULTS[step.role] ?? null,
    minutes: minutesAtHome(step),
    waitMinutes: step.waitMinutes,
  };
}

/** A place in words for this face, without its area in cm²: nobody measures that before a mirror. */
function said(...[placement, landmarks, features]: Parameters<typeof speakPlacement>): string {
  const words =
    'guide' in placement ? speakPlacement(placement, landmarks, features) : describePlacement(placement);
  const plain = words.replace(/, [\d.]+ cm²$/, '');
  // A zone is named twice: what it is, and over what.
  const [first = '', then = '', ...rest] = plain.split(', ');
  return then === `over the ${first}` ? [then, ...rest].join(', ') : plain;
}

const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/** The client's sides are the reader's own; in a mirror one's left is on the left. */
function inMirror(words: string): string {
  return words
    .replaceAll('client’s ', 'your ')
    .replaceAll('the client flushes', 'you flush')
    .replaceAll('the client', 'you');
}

/** A drop of so many mg is so wide, mm: a ball of about the weight of water. */
const widthOf = (mg: number): number => Math.round(10 * ((6 * mg) / Math.PI) ** (1 / 3)) / 10;
const SIZES: readonly (readonly [underMg: number, words: string])[] = [
  [8, 'a pinhead'],
  [20, 'half a grain of rice'],
  [45, 'a grain of rice'],
  [90, 'a lentil'],
  [220, 'a pea'],
  [500, 'a hazelnut'],
  [Infinity, 'a cherry'],
];
const DRY: readonly Step['use'][number]['product']['texture'][] = ['pressed', 'loose', 'pencil', 'stick'];

function sizeOf(step: Step): { readonly words: string; readonly mm: number | null } | null {
  if (step.use.length === 0) return null;
  const mg = step.use.reduce((sum, use) => sum + use.parts * use.product.mgPerMeasure, 0);
  if (step.use.every(({ product }) => DRY.includes(product.texture))) {
    const times = Math.max(1, Math.round(step.use.reduce((sum, use) => sum + use.parts, 0)));
    return { words: times === 1 ? 'one touch of it' : `${Math.min(times, 6)} touches of it`, mm: null };
  }
  return { words: `as much as ${SIZES.find(([under]) => mg < under)![1]}`, mm: widthOf(mg) };
}

const HOW: Readonly<Record<Step['technique'], string>> = {
  press: 'press it on, do not rub',
  stipple: 'dab it on lightly, over and over',
  sweep: 'sweep it on',
  buff: 'work it in with small circles',
  flick: 'short strokes, the way the hair grows',
  draw: 'draw it on',
  spray: 'spray from an arm’s length, eyes and mouth closed',
  'dot and melt': 'set dots, wait a little, and press their edges away',
  line: 'draw a thin line, the hand at rest',
};
const howAtHome = ({ tool, technique }: Step): string =>
  `${tool === 'none' ? '' : tool === 'finger' ? 'With a finger: ' : `With the ${tool}: `}${HOW[technique]}.`;

const CHECKS: Readonly<Record<Step['role'], string>> = {
  base: 'By the window: no edge at the jaw, and it agrees with the neck.',
  conceal: 'Look up: nothing lies in a line.',
  correct: 'The shadow is gone, not the skin.',
  brow: 'Both begin alike; brush them through.',
  lip: 'The middle and both corners are covered.',
  'lip line': 'It follows the edge, and meets in the middle.',
  blush: 'Both sides alike, from an arm’s length.',
  lash: 'Nothing on the lid; look down until it is dry.',
  powder: 'The skin is soft to the back of the hand, not dusty.',
  care: 'It has settled before the next.',
  eye: 'Eyes open and straight ahead: both sides alike.',
  contour: 'Turn the head: a shadow, no stripe.',
  bronze: 'As if the sun had been there.',
  highlight: 'It shows when you turn, and not straight on.',
  liner: 'No gap between lashes and line.',
  adornment: 'It holds.',
};
const FAULTS: Readonly<Partial<Record<Step['role'], { readonly seen: string; readonly cure: string }>>> = {
  base: { seen: 'It looks like a mask', cure: 'Take half of it, and press a clean damp sponge over it.' },
  conceal: { seen: 'It creases', cure: 'Less of it, at the inner corner only, pressed.' },
  brow: { seen: 'Too hard', cure: 'Brush it through; next time begin further out.' },
  blush: { seen: 'Too much', cure: 'Press what is left in the base sponge over it.' },
  lash: { seen: 'It smudges', cure: 'Let it dry with the eyes down, and powder below.' },
  powder: { seen: 'It looks dusty', cure: 'Press a damp sponge over it, once.' },
  contour: { seen: 'A stripe', cure: 'Blend its lower edge upwards with nothing on the brush.' },
  eye: { seen: 'It falls on the cheek', cure: 'Tap the brush off first, and sweep the cheek clean.' },
  liner: { seen: 'It wobbles', cure: 'Rest the elbow, and join three short strokes.' },
  lip: { seen: 'It bleeds', cure: 'Blot it, and press a little powder over a tissue.' },
};

function mindsOf(chart: Chart, steps: readonly Step[]): string[] {
  const base = steps.some((step) => step.role === 'base');
  return [
    ...(base
      ? [
          'A skin takes two to four weeks to get used to another kind of base: wear it every other day at first, and take it off well.',
        ]
      : []),
    'If anything stings, burns, swells or reddens, take it off with plenty of water and do not put it on again. If it does not pass, or an eye is hurt, see a doctor. The maker’s directions come first.',
    'What is used at the eyes is yours alone, and thrown away when the maker says.',
    `The shades are of ${chart.occasion.date.slice(0, 7)}. When your skin has more or less sun on it than then, come by for another shade.`,
  ];
}
