import { median } from '../math';
import type { Chart, Phase, Step } from '../look';
import { linksOf } from '../order';
import type { ChairEvent } from './event';
import { sittingsOf } from './sittings';

/** Kinds of work that go at one pace, by the phases that belong to each. */
const WORKS = {
  'clean and prep': ['clean', 'prep'],
  'prime and correct': ['prime', 'correct'],
  'base and conceal': ['base', 'conceal'],
  sculpt: ['sculpt'],
  set: ['set', 'powder'],
  brows: ['brows'],
  eyes: ['eyes'],
  lashes: ['lashes'],
  lips: ['lips'],
  finish: ['finish'],
} as const satisfies Record<string, readonly Phase[]>;
export type Work = keyof typeof WORKS;
const WORK_NAMES = Object.keys(WORKS) as readonly Work[];

/** One step as somebody really worked it. */
export type WorkSample = {
  readonly by: string;
  readonly work: Work;
  readonly plannedMinutes: number;
  readonly minutes: number;
};

/** How somebody's hands compare with what is planned, for one kind of work. */
export type OwnTiming = {
  readonly work: Work;
  /** Real minutes over planned ones: above 1 is slower. */
  readonly factor: number;
  /** How often it was timed. */
  readonly times: number;
};

/** Steps ticked faster than this were ticked together afterwards, minutes. */
const TOGETHER = 0.4;
/** Longer than this many times its plan, or this much over it, there was a break in it. */
const BREAK_FACTOR = 3;
const BREAK_MINUTES = 12;
/** Fewer are chance. */
const LEAST_TIMES = 3;

/** The kind of work a step is, by which timings are kept. */
export const workOf = ({ phase }: Pick<Step, 'phase'>): Work =>
  WORK_NAMES.find((work) => WORKS[work].some((p) => p === phase)) ?? 'finish';

/**
 * Minutes really worked, from when steps were ticked: each from the tick before it by the same hands, or from
 * when what lies under it was dry, to its own. The first of a sitting has no start and is left out; so are
 * ticks given together and those with a break in them.
 */
export function workSamples(chart: Chart, events: readonly ChairEvent[]): WorkSample[] {
  return sittingsOf(events).flatMap((sitting) => samplesOf(chart, sitting));
}

function samplesOf(chart: Chart, events: readonly ChairEvent[]): WorkSample[] {
  const ticked = new Map<string, ChairEvent>();
  for (const event of events) {
    if (event.kind === 'done') ticked.set(event.stepId, event);
    if (event.kind === 'undone') ticked.delete(event.stepId);
  }
  const at = (event: ChairEvent): number => Date.parse(event.at) / 60_000;
  const inTime = [...ticked.values()].sort((a, b) => at(a) - at(b));
  const links = linksOf(chart.steps, chart.client, chart.schools);
  return inTime.flatMap((event, i): WorkSample[] => {
    const index = chart.steps.findIndex((s) => s.id === event.stepId);
    const step = chart.steps[index];
    const before = inTime
      .slice(0, i)
      .reverse()
      .find((e) => e.by === event.by);
    if (!step || !before || step.handsOnMinutes === 0) return [];
    const dry = links
      .filter((l) => l.to === index && l.lagMinutes > 0)
      .flatMap((l) => {
        const under = ticked.get(chart.steps[l.from]!.id);
        return under ? [at(under) + l.lagMinutes] : [];
      });
    // Worked on the wet all the same: the wait explains nothing then.
    const start = Math.max(at(before), ...dry.filter((time) => time < at(event)));
    const minutes = at(event) - start;
    const most = Math.max(BREAK_FACTOR * step.handsOnMinutes, step.handsOnMinutes + BREAK_MINUTES);
    return minutes < TOGETHER || minutes > most
      ? []
      : [{ by: event.by, work: workOf(step), plannedMinutes: step.handsOnMinutes, minutes }];
  });
}

/**
 * The middle of what was timed for each kind of work that was timed at least three times, most often timed
 * first.
 */
export function ownTimings(samples: readonly WorkSample[]): OwnTiming[] {
  const byWork = new Map<Work, number[]>();
  for (const { work, minutes, plannedMinutes } of samples)
    byWork.set(work, [...(byWork.get(work) ?? []), minutes / plannedMinutes]);
  return [...byWork]
    .filter(([, factors]) => factors.length >= LEAST_TIMES)
    .map(([work, factors]) => ({ work, factor: median(factors), times: factors.length }))
    .sort((a, b) => b.times - a.times);
}

/** A chart with the minutes these hands need, to the half minute and never nothing. */
export function withOwnTimings(chart: Chart, timings: readonly OwnTiming[]): Chart {
  const factors = new Map(timings.map((t) => [t.work, t.factor]));
  return {
    ...chart,
    steps: chart.steps.map((step) => {
      const factor = factors.get(workOf(step));
      if (factor === undefined || step.handsOnMinutes === 0) return step;
      const handsOnMinutes = Math.min(120, Math.max(0.5, Math.round(step.handsOnMinutes * factor * 2) / 2));
      return handsOnMinutes === step.handsOnMinutes ? step : { ...step, handsOnMinutes };
    }),
  };
}
