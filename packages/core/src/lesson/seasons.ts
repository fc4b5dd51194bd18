import { productName } from '../kit';
import type { Chart, Step } from '../look';
import { msg } from '../messages';
import { acceptedRefit, productChange, type Refit, type RefitChange } from '../repeat';
import { allowedIn } from '../shade';
import { fullOf, notInPan, placeName, type Compact, type CompactPlace } from './compact';
import type { Lesson } from './lesson';

/** What a step of a compact comes to on the skin as it is now. */
export type SeasonLine = {
  readonly stepId: string;
  readonly title: string;
  readonly kind: 'holds' | 'mix' | 'swap' | 'nothing nearer';
  /** In a sentence, with how far off. */ readonly words: string;
  /**
   * From the colour asked for on the skin now, as it is and with the change, CIEDE2000; null where no colour
   * is asked for.
   */
  readonly off: number | null;
  readonly then: number | null;
};

/** Further off than this is seen: a pan that holds is nearer. */
const HOLDS = 2;

/**
 * The changes of a repeat that are about what is in a compact: its colours, what was wished of them, and what
 * may no longer be used.
 */
const OF_COLOURS: readonly RefitChange['kind'][] = ['keep', 'remix', 'substitute', 'without'];
const ofCompact = ({ stepIds }: Compact, { changes }: Refit) =>
  changes.filter(
    ({ id, stepId, kind }) =>
      stepId !== null &&
      stepIds.includes(stepId) &&
      (OF_COLOURS.includes(kind) || (kind === 'learned' && id === productChange(stepId))),
  );

/** Step by step what of a compact still holds on a newer reading, and what is to be mixed or swapped. */
export function seasonOf(compact: Compact, refit: Refit): SeasonLine[] {
  return ofCompact(compact, refit).map(({ stepId, title, kind, why, before, after }): SeasonLine => {
    const line = { stepId: stepId!, title, off: before.deltaE, then: after.deltaE };
    if (kind !== 'keep')
      return { ...line, kind: kind === 'remix' ? 'mix' : 'swap', words: `${title}: ${after.words}. ${why}` };
    if (before.deltaE === null) return { ...line, kind: 'holds', words: msg`${title} holds.` };
    const off = before.deltaE.toFixed(1);
    return before.deltaE <= HOLDS
      ? { ...line, kind: 'holds', words: msg`${title} holds: ${off} off.` }
      : {
          ...line,
          kind: 'nothing nearer',
          words: msg`${title} is ${off} off, and the kit has nothing nearer.`,
        };
  });
}

/** The chart's next version with what a compact needs on the skin as it is now, and nothing else changed. */
export function seasonChart(compact: Compact, refit: Refit): Chart {
  const taken = new Set(ofCompact(compact, refit).map(({ id }) => id));
  return acceptedRefit(
    refit.base,
    refit.changes,
    new Set(refit.changes.flatMap(({ id }) => (taken.has(id) ? [] : [id]))),
  );
}

const usedBy = (steps: readonly Step[]) => steps.flatMap(({ use }) => use.map(({ product }) => product));

/**
 * The compact for a newer version of its chart: what is still used stays where it lies, what is not makes
 * room for what is used in its stead, in the same place where it can, filled today. Steps that are gone fall
 * away; null where none are left.
 */
export function renewedCompact(compact: Compact, before: Chart, after: Chart, today: string): Compact | null {
  const stepIds = compact.stepIds.filter((id) => after.steps.some((step) => step.id === id));
  if (stepIds.length === 0) return null;
  const steps = after.steps.filter(({ id }) => stepIds.includes(id));
  const now = new Map(
    steps.flatMap((step) => allowedIn(step, after.client).map((product) => [product.id, product] as const)),
  );
  const lying = new Set(compact.tins.flatMap(({ pans }) => pans.map(({ productId }) => productId)));
  const stays = new Set([...lying].filter((id) => now.has(id)));
  const fresh = [...now.values()].filter((product) => notInPan(product) === null && !lying.has(product.id));
  /** Who takes a place that falls free: what its own step uses now, before anything else. */
  const heir = (productId: string): string | undefined => {
    const own = before.steps
      .filter(({ use }) => use.some(({ product }) => product.id === productId))
      .map(({ id }) => id);
    const mine = usedBy(after.steps.filter(({ id }) => own.includes(id)));
    const next = fresh.findIndex(({ id }) => mine.some((product) => product.id === id));
    return next < 0 ? undefined : fresh.splice(next, 1)[0]!.id;
  };
  const taken = compact.tins.map((tin) => ({
    ...tin,
    pans: tin.pans.flatMap((pan) => {
      if (stays.has(pan.productId)) return [pan];
      const productId = heir(pan.productId);
      return productId ? [{ ...pan, productId }] : [];
    }),
  }));
  const tins = taken.map((tin) => {
    const held = new Set(tin.pans.map(({ row, column }) => row * tin.columns + column));
    const free = Array.from({ length: tin.rows * tin.columns }, (_, i) => i).filter((i) => !held.has(i));
    const more = fresh.splice(0, free.length).map(({ id }, i) => ({
      row: Math.floor(free[i]! / tin.columns),
      column: free[i]! % tin.columns,
      productId: id,
    }));
    return { ...tin, pans: [...tin.pans, ...more] };
  });
  const known = new Map(compact.fills.map((fill) => [fill.productId, fill]));
  const ids = tins.flatMap(({ pans }) => pans.map(({ productId }) => productId));
  return {
    ...compact,
    stepIds,
    tins,
    fills: ids.map(
      (productId) => known.get(productId) ?? { productId, mg: fullOf(now.get(productId)!), on: today },
    ),
  };
}

/** What is another in a compact than before, by its places: 'A2: Rosehip instead of Briar'. */
export function compactChanges(before: Compact, after: Compact, charts: readonly Chart[]): string[] {
  const names = new Map(
    charts.flatMap(({ steps }) => usedBy(steps)).map((one) => [one.id, productName(one)]),
  );
  const byPlace = (compact: Compact) =>
    new Map(
      compact.tins.flatMap(({ pans }, tin) =>
        pans.map(({ row, column, productId }) => {
          const place: CompactPlace = { tin, row, column };
          return [placeName(compact, place), productId] as const;
        }),
      ),
    );
  const [was, is] = [byPlace(before), byPlace(after)];
  const name = (id: string): string => names.get(id) ?? msg`what was there`;
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((place) => {
    const [from, to] = [was.get(place), is.get(place)];
    if (from === to) return [];
    if (from && to) return [msg`${place}: ${name(to)} instead of ${name(from)}`];
    return [to ? msg`${place}: ${name(to)}, new` : msg`${place}: ${name(from!)} is taken out`];
  });
}

/** What is another in a lesson than in the one before, as the client is told it; empty where nothing is. */
export function lessonChanges(before: Lesson, after: Lesson): string[] {
  const namesOf = (lesson: Lesson, numbers: readonly number[]): string[] =>
    numbers.map((number) => lesson.things.find((thing) => thing.number === number)!.name);
  const was = new Map(before.steps.map((step) => [step.stepId, step]));
  const is = new Set(after.steps.map(({ stepId }) => stepId));
  return [
    ...after.steps.flatMap((step) => {
      const old = was.get(step.stepId);
      if (!old) return [msg`${step.title} is new.`];
      const [from, to] = [namesOf(before, old.things), namesOf(after, step.things)];
      if (from.join() !== to.join())
        return [
          msg`${step.title}: ${to.join(msg` and `) || msg`nothing`} instead of ${from.join(msg` and `) || msg`nothing`}.`,
        ];
      if (old.amount !== step.amount && step.amount) return [msg`${step.title}: now ${step.amount}.`];
      return old.where.join() === step.where.join() ? [] : [msg`${step.title} lies elsewhere now.`];
    }),
    ...before.steps.flatMap((step) => (is.has(step.stepId) ? [] : [msg`${step.title} is left out.`])),
  ];
}
