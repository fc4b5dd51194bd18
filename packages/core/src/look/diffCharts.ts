import {
  describePlacement,
  GUIDE_PARAMETERS,
  INITIAL_PARAMS,
  type GuideParameter,
  type Placement,
} from '../face';
import { canonicalJson } from '../canonicalJson';
import { listed } from '../listed';
import { msg, plural, term } from '../messages';
import { measuresInWords } from '../shade';
import { SCHOOL_NAMES, SCHOOL_QUESTIONS } from './schools';
import type { Chart, Step } from './document';
import { howInWords } from './howInWords';
import { occasionDifference } from './occasion';
import { productsInWords } from './propose';

export type ChartDifference = {
  readonly stepId: string | null;
  readonly what:
    | 'client'
    | 'skin'
    | 'look'
    | 'occasion'
    | 'school'
    | 'forbidden'
    | 'variants'
    | 'added'
    | 'removed'
    | 'title'
    | 'product'
    | 'amount'
    | 'wish'
    | 'how'
    | 'place'
    | 'note'
    | 'order';
  /** The difference in a sentence. */
  readonly words: string;
};
type Note = (what: ChartDifference['what'], words: string) => void;

/**
 * What differs from chart a to chart b, in words: whose and what for, then the steps in the order of b's.
 * Empty when nothing a reader would see differs.
 */
export function diffCharts(a: Chart, b: Chart): ChartDifference[] {
  const whole: ChartDifference[] = [];
  wholeDifferences(a, b, (what, words) => void whole.push({ stepId: null, what, words }));
  const old = new Map(a.steps.map((step) => [step.id, step]));
  const kept = new Set(b.steps.map((step) => step.id));
  return [
    ...whole,
    ...a.steps
      .filter((step) => !kept.has(step.id))
      .map((step) => ({
        stepId: step.id,
        what: 'removed' as const,
        words: msg`${step.title} was taken out.`,
      })),
    ...b.steps.flatMap((step): ChartDifference[] => {
      const before = old.get(step.id);
      return before
        ? stepDifferences(before, step, { a, b })
        : [{ stepId: step.id, what: 'added', words: msg`${step.title} was added.` }];
    }),
    ...orderDifference(a, b),
  ];
}

function wholeDifferences(a: Chart, b: Chart, note: Note): void {
  if (a.client.id !== b.client.id) note('client', msg`For ${b.client.name} instead of ${a.client.name}.`);
  else {
    if (a.client.readingId !== b.client.readingId) note('skin', msg`Another reading of the skin was used.`);
    const [before, now] = [a.client.sensitivities, b.client.sensitivities];
    const since = now.filter((one) => !before.includes(one));
    const gone = before.filter((one) => !now.includes(one));
    if (since.length > 0) note('client', msg`Minded now: ${listed(since)}.`);
    if (gone.length > 0) note('client', msg`No longer minded: ${listed(gone)}.`);
  }
  if (a.look.id !== b.look.id) note('look', msg`${b.look.name} instead of ${a.look.name}.`);
  else if (a.look.version !== b.look.version)
    note('look', msg`By version ${b.look.version} of the look instead of ${a.look.version}.`);
  const occasion = occasionDifference(a.occasion, b.occasion);
  if (occasion.length > 0) note('occasion', msg`For another occasion: ${occasion.join('; ')}.`);
  for (const school of SCHOOL_NAMES) {
    const [was, is] = [a.schools[school], b.schools[school]];
    if (was !== is)
      note(
        'school',
        msg`${SCHOOL_QUESTIONS[school]}: ${is ? term(is) : msg`not said`} instead of ${was ? term(was) : msg`not said`}.`,
      );
  }
  if (!same(a.forbids, b.forbids)) note('forbidden', msg`What the look does not allow is not the same.`);
  const names = ({ variants }: Chart): string => listed(variants.map(({ name }) => name)) || msg`none`;
  if (names(a) !== names(b)) note('variants', msg`Variants: ${names(b)} instead of ${names(a)}.`);
}

type Both = { readonly a: Chart; readonly b: Chart };

function stepDifferences(a: Step, b: Step, charts: Both): ChartDifference[] {
  const differences: ChartDifference[] = [];
  const note: Note = (what, words) =>
    void differences.push({ stepId: b.id, what, words: `${b.title}: ${words}.` });
  if (a.title !== b.title) note('title', msg`it was called ${a.title}`);
  const variant = (step: Step, { variants }: Chart): string =>
    step.variant === undefined
      ? msg`in every variant`
      : msg`in the variant ${variants.find(({ id }) => id === step.variant)?.name ?? step.variant}`;
  const [was, is] = [variant(a, charts.a), variant(b, charts.b)];
  if (was !== is) note('variants', msg`${is} instead of ${was}`);
  if ((a.optional === true) !== (b.optional === true))
    note('wish', b.optional ? msg`it may be left out` : msg`it may not be left out any more`);
  const ids = (step: Step): string => step.use.map((u) => u.product.id).join();
  const parts = (step: Step): string => step.use.map((u) => measuresInWords(u.parts, u.measure)).join(' + ');
  if (ids(a) !== ids(b)) note('product', msg`${productsInWords(b.use)} instead of ${productsInWords(a.use)}`);
  else if (parts(a) !== parts(b)) note('amount', msg`${parts(b)} instead of ${parts(a)}`);
  // What is taken follows the dose where there is something to take.
  else if (a.doseMgPerCm2 !== b.doseMgPerCm2)
    note('amount', msg`${doseInWords(b)} instead of ${doseInWords(a)}`);
  if (!same(a.shade, b.shade)) note('wish', msg`another colour is asked for`);
  if (!same(a.wants, b.wants)) note('wish', msg`another make of product is asked for`);
  if (howInWords(a) !== howInWords(b)) note('how', msg`${howInWords(b)} instead of ${howInWords(a)}`);
  b.placements.forEach((placement, i) => {
    const before = a.placements[i];
    const changes = before ? changesIn(before, placement) : '';
    if (!before || changes !== '')
      note('place', `${describePlacement(placement)}, ${before ? msg`moved (${changes})` : msg`new`}`);
  });
  const fewer = a.placements.length - b.placements.length;
  if (fewer > 0) note('place', msg`${plural(fewer)`${fewer} place|${fewer} places`} fewer`);
  if (a.note !== b.note)
    note('note', b.note === '' ? msg`no note any more; it was “${a.note}”` : msg`note “${b.note}”`);
  return differences;
}

const doseInWords = ({ doseMgPerCm2 }: Step): string => msg`${Number(doseMgPerCm2.toPrecision(3))} mg/cm²`;

/** Whether two parts of a document say the same, whatever order a database keeps their fields in. */
const same = (a: unknown, b: unknown): boolean => canonicalJson(a) === canonicalJson(b);

const PARAMETERS = Object.keys(GUIDE_PARAMETERS) as readonly GuideParameter[];

/**
 * What of a place is otherwise: every parameter that was turned, by its name and unit. Nothing where it is
 * the same.
 */
function changesIn(a: Placement, b: Placement): string {
  if (!('guide' in a) || !('guide' in b)) return same(a, b) ? '' : msg`redrawn`;
  const [from, to] = [
    { ...INITIAL_PARAMS, ...a.params },
    { ...INITIAL_PARAMS, ...b.params },
  ];
  const changed = [
    a.guide !== b.guide ? msg`another guide` : null,
    ...PARAMETERS.map((name) =>
      from[name] === to[name]
        ? null
        : msg`${GUIDE_PARAMETERS[name].label.toLowerCase()} ${from[name]} to ${to[name]} ${GUIDE_PARAMETERS[name].unit}`,
    ),
    a.side !== b.side ? msg`side ${term(a.side)} to ${term(b.side)}` : null,
    same(a.without ?? [], b.without ?? []) ? null : msg`wiped off otherwise`,
  ].filter((text) => text !== null);
  return changed.join(', ');
}

function orderDifference(a: Chart, b: Chart): ChartDifference[] {
  const shared = (chart: Chart, other: Chart): string[] =>
    chart.steps.map((s) => s.id).filter((id) => other.steps.some((s) => s.id === id));
  return shared(a, b).join() === shared(b, a).join()
    ? []
    : [{ stepId: null, what: 'order', words: msg`The steps are in another order.` }];
}
