import { capital } from '../capital';
import { placesInShort } from '../face';
import { productName, type ProductKind, type Tool } from '../kit';
import { stepsOfVariant, type Chart, type Step } from '../look';
import { localeNow, messages, msg, plural, term } from '../messages';
import { weaveSteps } from '../order';
import { barredIn } from '../shade';
import { withArticle } from '../withArticle';
import { minutesAtHome, standAlone, worthMost } from './keep';
import { bringsItsOwn, withToolsOf } from './tools';
import { CHECKS, FAULTS, howWorked, seenAs } from './words';

/** What a client can do at home, and with what. */
export type LessonAsk = {
  /** Minutes there are. */ readonly minutes: number;
  /** Steps chosen by hand; what the app proposes where nothing was chosen. */
  readonly keep?: readonly string[];
  /** Tools the client has; those of the chart when nobody was asked. */ readonly tools?:
    readonly Tool[] | null;
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
  /** What is so before the first step. */ readonly before: string;
  /** What was kept by choice and looks wrong alone, for whoever puts the lesson together. */
  readonly alone: readonly string[];
  /** What a skin needs to get used to, what to stop at, when to come back. */
  readonly minds: readonly string[];
};

/** 'one step', '7 steps'. */
export const stepsCounted = ({ steps }: Pick<Lesson, 'steps'>): string =>
  plural(steps.length)`one step|${steps.length} steps`;

const AT_HOME_NOT: Readonly<Partial<Record<Tool, string>>> = messages({
  airbrush: 'An airbrush is nothing for at home.',
});
const LEFT_OUT = messages({
  chosen: 'Left out by choice.',
  minutes: 'For days with more time.',
  adornment: 'For the day itself.',
  lashes: 'A band with glue is put on by the studio, after a patch test.',
  nothing: 'The chart has nothing chosen for it.',
  clean: 'Said before the first step.',
} as const);

const BEFORE = 'Begin with clean hands, clean tools, and a clean face that has settled.';

/**
 * A lesson for the client's own hands: fewer steps, as many as the minutes allow and worth the most, in an
 * order that fills the waits, where each goes on this face as the mirror shows it, amounts in sizes anybody
 * knows. Nothing of health, no notes, no contact, nobody else: only what stands here. Nothing the chart’s
 * client must not have: asked of a chart as it is minded now.
 */
export function lessonFrom(chart: Chart, ask: LessonAsk): Lesson {
  const planned = stepsOfVariant(chart.steps, null);
  const tools = ask.tools ?? null;
  const own = new Map(
    planned.map((step) => [step.id, tools ? withToolsOf(step, tools, chart.client) : step]),
  );
  const plan = planned.map((step) => own.get(step.id) ?? step);
  const never = new Map(
    plan.flatMap((step) => {
      const why =
        notAtHome(step) ??
        notForThem(step, chart.client) ??
        (own.get(step.id) ? null : msg`Nothing to do it with: it wants ${toolWords(step.tool)}.`);
      return why ? [[step.id, why] as const] : [];
    }),
  );
  const possible = plan.filter((step) => !never.has(step.id));
  const kept = ask.keep
    ? possible.filter((step) => ask.keep!.includes(step.id))
    : worthMost(
        possible.filter((step) => !cleans(step)),
        ask.minutes,
      );
  const { woven } = weaveSteps(kept.map(slower), chart.client, chart.schools);
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
        why: never.get(step.id) ?? whyLeft(step, ask),
        atHome: !never.has(step.id),
      })),
    before: term(BEFORE),
    alone: standAlone(plan, kept),
    minds: mindsOf(chart, ordered),
  };
}

/** A face is clean before a lesson begins: it takes none of its minutes, and is the first thing said. */
const cleans = ({ phase }: Step): boolean => phase === 'clean';
const whyLeft = (step: Step, { keep }: LessonAsk): string =>
  keep ? LEFT_OUT.chosen : cleans(step) ? LEFT_OUT.clean : LEFT_OUT.minutes;

/** What a client must not have, by what is noted of them: told to whoever puts the lesson together. */
function notForThem(step: Step, client: Chart['client']): string | null {
  const [first] = barredIn([step], client);
  return first ? `${productName(first.product)}: ${first.why}.` : null;
}

function notAtHome(step: Step): string | null {
  if (step.role === 'adornment') return LEFT_OUT.adornment;
  if (step.use.some(({ product }) => product.kind === 'lashes')) return LEFT_OUT.lashes;
  if (step.wants.kinds.length > 0 && step.use.length === 0) return LEFT_OUT.nothing;
  return AT_HOME_NOT[step.tool] ?? null;
}

const toolWords = (tool: Tool): string => withArticle(term(tool));
const slower = (step: Step): Step => ({ ...step, handsOnMinutes: minutesAtHome(step) });

const nameOf = ({ product }: Step['use'][number]): string => productName(product);

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
      ...placesInShort(step.placements, landmarks, features).map((words) => capital(inMirror(words))),
      ...(features.beard && sitsOnHairs(step) ? [msg`Up to the beard, not into it`] : []),
    ],
    how: howAtHome(step),
    check: CHECKS[seenAs(step)],
    fault: FAULTS[seenAs(step)] ?? null,
    minutes: minutesAtHome(step),
    waitMinutes: step.waitMinutes,
  };
}

/** What lies over the whole face and is seen on the hairs of a beard. */
const sitsOnHairs = ({ role, placements }: Step): boolean =>
  (role === 'base' || role === 'powder') &&
  placements.some((one) => 'guide' in one && one.guide === 'zone.wholeFace');

/** The client's sides are the reader's own; in a mirror one's left is on the left. */
function inMirror(words: string): string {
  return words
    .replaceAll(msg`client’s `, msg`your `)
    .replaceAll(msg`the client flushes`, msg`you flush`)
    .replaceAll(msg`the client`, msg`you`);
}

/** A drop of so many mg is so wide, mm: a ball of about the weight of water. */
const widthOf = (mg: number): number => Math.round(10 * ((6 * mg) / Math.PI) ** (1 / 3)) / 10;
const SIZES: readonly (readonly [underMg: number, words: string])[] = messages([
  [8, 'a pinhead'],
  [20, 'half a grain of rice'],
  [45, 'a grain of rice'],
  [90, 'a lentil'],
  [220, 'a pea'],
  [500, 'a hazelnut'],
  [Infinity, 'a cherry'],
]);
const DRY: readonly Step['use'][number]['product']['texture'][] = ['pressed', 'loose', 'pencil', 'stick'];

function sizeOf(step: Step): { readonly words: string; readonly mm: number | null } | null {
  if (step.use.length === 0) return null;
  const all = (kind: ProductKind): boolean => step.use.every(({ product }) => product.kind === kind);
  const parts = step.use.reduce((sum, use) => sum + use.parts, 0);
  const times = Math.max(1, Math.round(parts));
  if (all('spray')) return { words: plural(times)`one spray|${times} sprays`, mm: null };
  if (all('mascara'))
    return { words: plural(step.passes)`one thin coat|${step.passes} thin coats`, mm: null };
  const mg = step.use.reduce((sum, use) => sum + use.parts * use.product.mgPerMeasure, 0);
  if (step.use.every(({ product }) => DRY.includes(product.texture))) {
    return { words: plural(times)`one touch of it|${Math.min(times, 6)} touches of it`, mm: null };
  }
  return { words: msg`as much as ${SIZES.find(([under]) => mg < under)![1]}`, mm: widthOf(mg) };
}

const howAtHome = (step: Step): string => capital(`${withWhat(step)}${howWorked(step)}.`);

function withWhat(step: Step): string {
  const own = bringsItsOwn(step);
  if (own) return own === 'its wand' ? msg`With its own wand: ` : msg`With the pencil itself: `;
  if (step.tool === 'none') return '';
  return step.tool === 'finger' ? msg`With a finger: ` : msg`With the ${term(step.tool)}: `;
}

function mindsOf(chart: Chart, steps: readonly Step[]): string[] {
  const base = steps.some((step) => step.role === 'base');
  return [
    ...(base
      ? [
          msg`A skin takes two to four weeks to get used to another kind of base: wear it every other day at first, and take it off well.`,
        ]
      : []),
    msg`If anything stings, burns, swells or reddens, take it off with plenty of water and do not put it on again. If it does not pass, or an eye is hurt, see a doctor. The maker’s directions come first.`,
    msg`What is used at the eyes is yours alone, and thrown away when the maker says.`,
    msg`The shades are of ${monthOf(chart.occasion.date)}. When your skin has more or less sun on it than then, come by for another shade.`,
  ];
}

const monthOf = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString(localeNow(), {
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
