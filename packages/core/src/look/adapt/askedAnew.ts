import {
  forbidsOf,
  type Adaptation,
  type Chart,
  type ClientSnapshot,
  type Occasion,
  type Step,
} from '../document';
import { adaptedStep, adaptedTo, ADAPTERS, derivedId } from './adaptLook';
import { oneOfEach, type AdaptTo } from './adapter';
import { ADDERS } from './day';
import { isWholeStep, withoutAdaptations, withoutSentence } from './refuse';

/** Whom a chart was made for, and what for. */
export type MadeFor = { readonly client: ClientSnapshot; readonly occasion: Occasion };

/** What a step is asked anew: by whom it is for now, and by their day. */
export type AskedAnew = {
  readonly stepId: string;
  readonly title: string;
  /** The step as it is asked now, its products as they were; null where it falls away. */
  readonly step: Step | null;
  /** Whether the chart has no such step yet: it comes without a product. */
  readonly isNew: boolean;
  /** What is asked now and was not before, or otherwise. */
  readonly come: readonly Adaptation[];
  /** What was asked and is no longer. */
  readonly gone: readonly Adaptation[];
  /** What stands recorded of the step from now on. */
  readonly adaptations: readonly Adaptation[];
};

const KNOWN: ReadonlySet<string> = new Set(ADAPTERS.map(({ id }) => id));
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * What the chart’s client, as they are now, and its day ask of its steps and `before` did not: the lashes
 * that are extensions by now, the skin that has become dry, the meal and the tears of this day; and what they
 * ask no longer. Only what differs between the two is touched: what was refused stays refused, what was
 * changed by hand stays changed.
 */
export function askedAnew(chart: Chart, before: MadeFor): readonly AskedAnew[] {
  const look = {
    name: chart.look.name,
    forbids: forbidsOf(chart),
    schools: chart.schools,
    steps: lookStepsOf(chart),
  };
  const then = adaptedTo(look, before.client, before.occasion);
  const now = adaptedTo(look, chart.client, chart.occasion);
  const added = addedAnew(chart, then, now);
  const taken = new Set(added.map(({ stepId }) => stepId));
  return [
    ...chart.steps.filter(({ id }) => !taken.has(id)).flatMap((step) => ofStep(step, chart, then, now) ?? []),
    ...broughtBack(chart, then, now),
    ...added,
  ];
}

const recordedOf = (chart: Chart, stepId: string): readonly Adaptation[] =>
  (chart.adaptations ?? []).filter((a) => a.stepId === stepId);
const idsOf = (adaptations: readonly Adaptation[]): ReadonlySet<string> =>
  new Set(adaptations.map(({ id }) => id));

function ofStep(step: Step, chart: Chart, then: AdaptTo, now: AdaptTo): AskedAnew | null {
  const recorded = recordedOf(chart, step.id);
  const refused = idsOf(recorded.filter((a) => a.refused));
  const mine = madeOf(chart, step.id);
  const plain = asTheLookHadIt(step, mine);
  const [asked, asks] = [then, now].map((to) => adaptedStep(plain, to, (id) => !refused.has(id)));
  const told = { stepId: step.id, title: step.title, isNew: false };
  if (asks!.out !== null)
    return asked!.out !== null
      ? null
      : {
          ...told,
          step: null,
          come: [asks!.out],
          gone: [],
          adaptations: [...recorded, { ...asks!.out, was: { ...step, use: [] } }],
        };
  const [had, did, does] = [mine, asked!.made, asks!.made].map(idsOf);
  const setOf = (all: readonly Adaptation[], id: string): unknown => all.find((a) => a.id === id)?.now;
  const come = asks!.made.filter(({ id }) => !did!.has(id) && !had!.has(id));
  // Asked both times, but of other places or in other words: a band for eyes that were measured anew.
  const other = asks!.made.filter(
    ({ id, now: set }) => had!.has(id) && did!.has(id) && !same(set, setOf(asked!.made, id)),
  );
  const gone = mine.filter(({ id }) => did!.has(id) && !does!.has(id));
  if (come.length + other.length + gone.length === 0) return null;
  const wanted = idsOf([...come, ...mine.filter(({ id }) => !gone.some((a) => a.id === id))]);
  const next = adaptedStep(plain, now, (id) => wanted.has(id));
  return {
    ...told,
    step: withHandsKept(step, mine, next.step),
    come: [...come, ...other],
    gone,
    adaptations: [...recorded.filter((a) => !mine.includes(a)), ...next.made],
  };
}

/** A chart's steps as its look had them, with those that were left out and without those that were added. */
function lookStepsOf(chart: Chart): readonly Step[] {
  const all = chart.adaptations ?? [];
  const added = idsOfSteps(all.filter((a) => a.change === 'added'));
  const left = all.flatMap((out) =>
    out.change === 'left out' &&
    out.was &&
    isWholeStep(out.was) &&
    !chart.steps.some(({ id }) => id === out.stepId)
      ? [withoutAdaptations(out.was, recordedOf(chart, out.stepId))]
      : [],
  );
  return [
    ...chart.steps
      .filter(({ id }) => !added.has(id))
      .map((step) => asTheLookHadIt(step, madeOf(chart, step.id))),
    ...left,
  ];
}

/** What stands recorded of a step as made by what is known still. */
const madeOf = (chart: Chart, stepId: string): readonly Adaptation[] =>
  recordedOf(chart, stepId).filter((a) => a.change === 'changed' && !a.refused && KNOWN.has(a.id));

/** The step without what was recorded of it; of a note that was written on, each sentence by itself. */
function asTheLookHadIt(step: Step, mine: readonly Adaptation[]): Step {
  const plain = withoutAdaptations(step, mine);
  return plain.note === step.note ? { ...plain, note: mine.reduceRight(withoutSentence, step.note) } : plain;
}

/** What was changed by hand since stays as it was set, but for notes, which are added to. */
function withHandsKept(step: Step, mine: readonly Adaptation[], next: Step): Step {
  const last: Partial<Step> = Object.assign({}, ...mine.map((a) => a.now ?? {}));
  const byHand = Object.keys(last).filter(
    (key) => key !== 'note' && !same(Reflect.get(step, key), Reflect.get(last, key)),
  );
  return { ...next, ...Object.fromEntries(byHand.map((key) => [key, Reflect.get(step, key)])) };
}

/** Steps that were left out for what is so no longer, as they are asked now. */
function broughtBack(chart: Chart, then: AdaptTo, now: AdaptTo): AskedAnew[] {
  return (chart.adaptations ?? []).flatMap((out): AskedAnew[] => {
    if (out.change !== 'left out' || out.refused || !out.was || !isWholeStep(out.was)) return [];
    if (chart.steps.some(({ id }) => id === out.stepId)) return [];
    const recorded = recordedOf(chart, out.stepId);
    const plain = withoutAdaptations(out.was, recorded);
    const refused = idsOf(recorded.filter((a) => a.refused));
    const [asked, asks] = [then, now].map((to) => adaptedStep(plain, to, (id) => !refused.has(id)));
    const [outThen, outNow] = [asked!.out, asks!.out];
    if (outThen === null || outNow?.id === out.id) return [];
    const told = { stepId: out.stepId, title: plain.title, gone: [out] };
    const refusals = recorded.filter((a) => a.refused);
    // Left out again, for another reason.
    if (outNow !== null)
      return outThen.id === outNow.id
        ? []
        : [
            {
              ...told,
              step: null,
              isNew: false,
              come: [outNow],
              adaptations: [...refusals, ...asks!.made, outNow],
            },
          ];
    return [
      {
        ...told,
        step: { ...asks!.step, use: [] },
        isNew: true,
        come: asks!.made,
        adaptations: [...refusals, ...asks!.made],
      },
    ];
  });
}

/**
 * Steps the client or the day ask for that the chart has not got, and those it has that nothing asks for any
 * more.
 */
function addedAnew(chart: Chart, then: AdaptTo, now: AdaptTo): AskedAnew[] {
  const recorded = (chart.adaptations ?? []).filter((a) => a.change === 'added');
  const added = idsOfSteps(recorded.filter((a) => !a.refused));
  const refused = idsOfSteps(recorded.filter((a) => a.refused));
  let steps: readonly Step[] = chart.steps.filter(({ id }) => !added.has(id));
  return ADDERS.flatMap((adder): AskedAnew[] => {
    const [asked, asks] = [then, now].map(
      (to) =>
        new Map(adder.add(steps, to).map((one, n) => [derivedId(chart.look.id, `${adder.id} ${n}`), one])),
    );
    const coming = [...asks!].flatMap(([id, { step, words, why }]): AskedAnew[] => {
      if (asked!.has(id) || refused.has(id) || chart.steps.some((s) => s.id === id)) return [];
      const plain: Step = { ...step, id, use: [], placements: step.placements.map(oneOfEach) };
      const made = adaptedStep(plain, now, () => true);
      const told: Adaptation = { id: adder.id, stepId: id, change: 'added', words, why };
      steps = [...steps, plain];
      return made.out !== null
        ? []
        : [
            {
              stepId: id,
              title: plain.title,
              step: made.step,
              isNew: true,
              come: [told, ...made.made],
              gone: [],
              adaptations: [told, ...made.made],
            },
          ];
    });
    const going = recorded.flatMap((a): AskedAnew[] => {
      const step = chart.steps.find(({ id }) => id === a.stepId);
      if (a.id !== adder.id || a.refused || !step || !asked!.has(a.stepId) || asks!.has(a.stepId)) return [];
      return [
        {
          stepId: step.id,
          title: step.title,
          step: null,
          isNew: false,
          come: [],
          gone: [a],
          adaptations: [],
        },
      ];
    });
    return [...coming, ...going];
  });
}

const idsOfSteps = (adaptations: readonly Adaptation[]): ReadonlySet<string> =>
  new Set(adaptations.map(({ stepId }) => stepId));
