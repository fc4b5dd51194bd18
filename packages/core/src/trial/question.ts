import { SCHOOL_NAMES, SCHOOL_QUESTIONS, type Chart, type SchoolAnswers, type Step } from '../look';

import { changedSteps, type Swap } from './halves';
import type { TrialMeasure } from './measures';
import type { Question } from './trial';
import { asKept, messages, messagesIn, msg, term } from '../messages';

/** How the better half is spoken of, by what was judged: 'stayed less shiny'. */
export const BETTER_WORDS: Readonly<Record<TrialMeasure, string>> = messages({
  coverage: 'covered longer',
  comfort: 'felt better',
  camera: 'looked better to the camera',
  flash: 'stood the flash better',
  shine: 'stayed less shiny',
  creasing: 'creased less',
  transfer: 'came off less',
  colour: 'kept its colour better',
});
const ASKS: Readonly<Record<TrialMeasure, string>> = messages({
  coverage: 'covers longer',
  comfort: 'feels better',
  camera: 'looks better to the camera',
  flash: 'stands the flash better',
  shine: 'stays less shiny',
  creasing: 'creases less',
  transfer: 'comes off less',
  colour: 'keeps its colour better',
});
/** Grades of a measure in words, worst or none first as it is numbered. */
export const GRADE_WORDS: Readonly<Record<Exclude<TrialMeasure, 'colour'>, readonly string[]>> = messagesIn(
  ['coverage', 'comfort', 'camera', 'flash', 'shine', 'creasing', 'transfer'],
  {
    coverage: ['gone', 'mostly gone', 'half', 'nearly all', 'as fresh'],
    comfort: ['not to be borne', 'bothers', 'felt', 'hardly felt', 'not felt'],
    camera: ['poor', 'fair', 'good', 'very good', 'as fresh'],
    flash: ['white mask', 'much cast', 'some cast', 'hardly any', 'none'],
    shine: ['none', 'a little', 'clearly', 'wet'],
    creasing: ['none', 'a first line', 'clearly', 'deep'],
    transfer: ['none', 'a trace', 'clearly', 'much'],
  },
);

type Way = Question['a'];

/**
 * The question two ways ask: the same key for all trials that may be counted together, whatever the shade,
 * the client or which of both a chart had. Its ways are in the same order on every client; `chartHas` says
 * which is the chart's.
 */
export function questionOf(
  chart: Chart,
  swap: Swap,
  measure: TrialMeasure,
): { readonly question: Question; readonly chartHas: 'a' | 'b' } {
  // Words for whoever reads, keys as they are kept: trials of a team of two languages are counted together.
  const [[keptHere, keptOther], what] = asKept(() => [
    waysOf(chart, swap),
    swap.aspect === 'school' ? Object.keys(swap.answers).join(' ') : whereOf(chart, swap),
  ]);
  const [toldHere, toldOther] = waysOf(chart, swap);
  const [here, other] = [
    { ...toldHere, key: keptHere.key },
    { ...toldOther, key: keptOther.key },
  ];
  const chartHas = here.key <= other.key ? 'a' : 'b';
  const [a, b] = chartHas === 'a' ? [here, other] : [other, here];
  return {
    question: {
      key: [swap.aspect, what, a.key, b.key, measure].join(' | ').slice(0, 600),
      text: msg`Which ${ASKS[measure]}: ${a.words} or ${b.words}?`.slice(0, 200),
      aspect: swap.aspect,
      a,
      b,
    },
    chartHas,
  };
}

/** What the differing steps are for: 'base', 'conceal and powder'; care is told by its phase. */
function whereOf(chart: Chart, swap: Swap): string {
  const what = ({ role, phase }: Step): string => (role === 'care' ? phase : role);
  const steps = changedSteps(chart, swap).flatMap(({ here, other }) => here ?? other ?? []);
  return [...new Set(steps.map(what))].sort().join(msg` and `);
}

function waysOf(chart: Chart, swap: Swap): [Way, Way] {
  if (swap.aspect === 'school') return schoolWays(chart, swap.answers);
  const changed = changedSteps(chart, swap);
  const one = (pick: (step: Step) => string, steps: readonly (Step | null)[]): Way => {
    const words = [...new Set(steps.flatMap((step) => (step ? [pick(step)] : [])))]
      .filter((w) => w !== '')
      .join(msg` and `);
    return wayFrom(words === '' ? msg`nothing` : words);
  };
  const [here, other] = [changed.map((c) => c.here), changed.map((c) => c.other)];
  switch (swap.aspect) {
    case 'product':
      return linesApart(here, other);
    case 'tool':
      return [one((step) => term(step.tool), here), one((step) => term(step.tool), other)];
    case 'technique':
      return [one((step) => term(step.technique), here), one((step) => term(step.technique), other)];
    case 'step': {
      const title = here.flatMap((step) => (step ? [step.title] : [])).join(msg` and `);
      const where = whereOf(chart, swap);
      const way = (word: 'with' | 'without'): Way => ({
        key: `${word} ${where}`.slice(0, 200),
        words: (word === 'with' ? msg`with “${title}”` : msg`without “${title}”`).slice(0, 200),
      });
      return [way('with'), way('without')];
    }
  }
}

/**
 * The lines one way has that the other has not; shades of one line are the same line, where it is not the
 * shade that is asked.
 */
function linesApart(here: readonly (Step | null)[], other: readonly (Step | null)[]): [Way, Way] {
  const names = (steps: readonly (Step | null)[], shades: boolean): string[] => [
    ...new Set(
      steps.flatMap(
        (step) =>
          step?.use.map(
            ({ product }) => `${product.maker} ${product.line}${shades ? ` ${product.shade}` : ''}`,
          ) ?? [],
      ),
    ),
  ];
  const onlyIn = (these: readonly string[], those: readonly string[]): string =>
    these
      .filter((name) => !those.includes(name))
      .sort()
      .join(' with ');
  for (const shades of [false, true]) {
    const [one, two] = [names(here, shades), names(other, shades)];
    const [left, right] = [onlyIn(one, two), onlyIn(two, one)];
    if (left !== '' || right !== '')
      return [wayFrom(left || msg`nothing more`), wayFrom(right || msg`nothing more`)];
  }
  return [wayFrom(msg`as it is`), wayFrom(msg`otherwise`)];
}

function schoolWays(chart: Chart, answers: Partial<SchoolAnswers>): [Way, Way] {
  const names = SCHOOL_NAMES.filter((name) => answers[name] !== undefined);
  const say = (from: Partial<SchoolAnswers>): string =>
    names
      .map((name) => {
        const answer = from[name];
        return `${SCHOOL_QUESTIONS[name].toLowerCase()}: ${answer === undefined ? msg`not said` : term(answer)}`;
      })
      .join(', ');
  return [wayFrom(say(chart.schools)), wayFrom(say(answers))];
}

const wayFrom = (words: string): Way => ({
  key: words.toLowerCase().slice(0, 200),
  words: words.slice(0, 200),
});
