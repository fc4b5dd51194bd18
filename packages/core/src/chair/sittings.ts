import { canonicalJson } from '../canonicalJson';
import type { Chart, Step } from '../look';
import type { ChairEvent } from './event';

/**
 * Nobody stops for longer in the middle of a face, and between two faces lies a night: what is told later
 * than this is of another sitting, hours.
 */
export const SITTING_APART_HOURS = 8;
const APART_MS = SITTING_APART_HOURS * 3_600_000;

/** What was told of one time in the chair, in the order it arrived; never empty. */
export type Sitting<E extends ChairEvent = ChairEvent> = readonly E[];

/**
 * A chart may be put on more than once, at the trial and on the day: what was told, by sitting, the one told
 * of last at the end. An event that names a sitting (`sitting`, an event of it; its own id begins one) is of
 * that one; any other goes by the clock, whichever phone it was told on.
 */
export function sittingsOf<E extends ChairEvent>(events: readonly E[]): readonly Sitting<E>[] {
  const inTime = events
    .map((event, i) => ({ event, i }))
    .sort((a, b) => ms(a.event) - ms(b.event) || a.i - b.i);
  const byEvent = new Map<string, Gathered>();
  let newest: Gathered | null = null;
  const all = new Set<Gathered>();
  for (const { event, i } of inTime) {
    const { id } = event;
    // What puts others in order is of their sitting.
    const says = event.sitting ?? event.settles?.[0];
    // A clock that runs behind may name what comes later by its own.
    const named = byEvent.get(id ?? '') ?? (says === undefined ? undefined : byEvent.get(says));
    const byClock = newest !== null && says === undefined && ms(event) - newest.lastMs <= APART_MS;
    const its: Gathered = named ?? (byClock ? newest : null) ?? { places: [], lastMs: 0 };
    all.add(its);
    its.places.push(i);
    its.lastMs = ms(event);
    for (const name of [id, says]) if (name !== undefined && !byEvent.has(name)) byEvent.set(name, its);
    newest = its;
  }
  return [...all]
    .sort((a, b) => a.lastMs - b.lastMs)
    .map(({ places }) => places.sort((a, b) => a - b).map((i) => events[i]!));
}

type Gathered = { readonly places: number[]; lastMs: number };

const ms = ({ at }: Pick<ChairEvent, 'at'>): number => Date.parse(at);

/** When a sitting was told of last, ms since 1970. */
export const lastToldAt = (sitting: Sitting): number => Math.max(...sitting.map(ms));

/** Whether a sitting still goes on at an instant, ms since 1970. */
export const goesOn = (sitting: Sitting, nowMs: number): boolean => nowMs - lastToldAt(sitting) <= APART_MS;

/** The sitting of which something was told nearest to an instant, ms since 1970; null where nothing was. */
export function sittingNear<E extends ChairEvent>(events: readonly E[], atMs: number): Sitting<E> | null {
  const away = (sitting: Sitting<E>): number => Math.min(...sitting.map((e) => Math.abs(ms(e) - atMs)));
  return sittingsOf(events).reduce<Sitting<E> | null>(
    (best, one) => (best !== null && away(best) < away(one) ? best : one),
    null,
  );
}

/** Whether two versions of a step put the same on the same places of a face: words and times may differ. */
export const isSameWork = (one: Step, other: Step): boolean =>
  one.id === other.id && workKey(one) === workKey(other);

const workKey = ({ role, variant, instead, placements, passes, use }: Step): string =>
  canonicalJson({
    role,
    ...(variant === undefined ? {} : { variant }),
    ...(instead === undefined ? {} : { instead }),
    placements,
    passes,
    use: use.map(({ unitId, product, parts, measure }) => ({ unitId, product: product.id, parts, measure })),
  });

/** What was told of one version of a chart. */
export type ToldOf<E extends ChairEvent> = { readonly chart: Chart; readonly events: readonly E[] };

/**
 * What stands of what was told with versions before this one: of the sitting that went on when it was saved,
 * the steps that are the same work in it. In the order it arrived within each version, the oldest first.
 */
export const carriedInto = <E extends ChairEvent>(
  chart: Chart,
  earlier: readonly ToldOf<E>[],
): readonly E[] =>
  toldBefore(chart, earlier).flatMap(({ event, went, same }) => (went && same ? [event] : []));

/**
 * How far a face had come, by whichever version: all that was told with versions before this one, but for
 * steps that were changed while they were worked.
 */
export const stillOnFace = <E extends ChairEvent>(
  chart: Chart,
  earlier: readonly ToldOf<E>[],
): readonly E[] =>
  toldBefore(chart, earlier).flatMap(({ event, went, same }) => (!went || same ? [event] : []));

/** What was told before: whether its sitting went on when this version was saved, and it is the same work. */
function toldBefore<E extends ChairEvent>(chart: Chart, earlier: readonly ToldOf<E>[]) {
  const steps = new Map(chart.steps.map((step) => [step.id, step]));
  const going = new Set(
    sittingsOf(earlier.flatMap(({ events }) => events))
      .filter((sitting) => goesOn(sitting, Date.parse(chart.at)))
      .flat(),
  );
  return earlier.flatMap((version) => {
    const before = new Map(version.chart.steps.map((step) => [step.id, step]));
    return version.events.map((event) => {
      const [was, is] = [before.get(event.stepId), steps.get(event.stepId)];
      const same = was !== undefined && is !== undefined && isSameWork(was, is);
      return { event, went: going.has(event), same };
    });
  });
}

/** What was chosen at the chair: a sitting of before to go on with, or one to leave, by an event of it. */
export type SittingChoice = { readonly goOnWith: string | null; readonly left: string | null };

/** Where the chair stands. */
export type AtChair<E extends ChairEvent> = {
  /** What was told at this sitting so far. */
  readonly events: readonly E[];
  /** The sitting before, while nothing was told at this one. */
  readonly before: Sitting<E> | null;
  /** What the next event says of its sitting: an event of it, or that it begins one, else nothing. */
  readonly next: string | 'begins' | undefined;
};

/**
 * The sitting a chair opened at an instant (ms since 1970) stands at: the one told of last while it goes on,
 * unless another was chosen; else a new one.
 */
export function atChair<E extends ChairEvent>(
  events: readonly E[],
  openedAtMs: number,
  { goOnWith, left }: SittingChoice,
): AtChair<E> {
  const sittings = sittingsOf(events);
  const holds = (id: string) => (sitting: Sitting<E>) => sitting.some((event) => event.id === id);
  const chosen = goOnWith === null ? undefined : sittings.find(holds(goOnWith));
  if (goOnWith !== null && chosen) return { events: chosen, before: null, next: goOnWith };
  const last = sittings.at(-1);
  if (!last) return { events: [], before: null, next: undefined };
  if (left !== null && holds(left)(last)) return { events: [], before: last, next: 'begins' };
  return goesOn(last, openedAtMs)
    ? { events: last, before: null, next: undefined }
    : { events: [], before: last, next: undefined };
}
