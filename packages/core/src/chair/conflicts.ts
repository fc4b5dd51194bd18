import type { Use } from '../look';
import type { ChairEvent, RecordedEvent } from './event';

/**
 * Two records of one step, made on two devices neither of which knew of the other's, that cannot both be so.
 */
export type Conflict = {
  readonly stepId: string;
  readonly one: RecordedEvent;
  readonly other: RecordedEvent;
};

/** Contradictions nobody has settled yet, in the order they arose. `events` in the order they arrived. */
export function conflictsOf(events: readonly RecordedEvent[]): Conflict[] {
  const settled = new Set(events.flatMap((e) => e.settles ?? []));
  const open = events.filter((e) => !settled.has(e.id));
  return open.flatMap((other, j) =>
    open
      .slice(0, j)
      .filter(
        (one) =>
          one.stepId === other.stepId &&
          !sameDevice(one, other) &&
          !knew(other, one, events) &&
          contradict(one, other),
      )
      .map((one) => ({ stepId: one.stepId, one, other })),
  );
}

const sameDevice = (a: ChairEvent, b: ChairEvent): boolean =>
  a.device !== undefined && b.device !== undefined ? a.device === b.device : a.by === b.by;

/**
 * Whether a device had been told of an earlier event when it recorded a later one; one that does not say is
 * taken to have been.
 */
function knew(later: RecordedEvent, earlier: RecordedEvent, events: readonly RecordedEvent[]): boolean {
  if (later.seen === undefined) return true;
  if (later.seen === null) return false;
  const known = events.findIndex((e) => e.id === later.seen);
  return known >= 0 && events.findIndex((e) => e.id === earlier.id) <= known;
}

function contradict(a: ChairEvent, b: ChairEvent): boolean {
  const [one, other] = [claimOf(a), claimOf(b)];
  if (one === null || other === null || one.about !== other.about) return false;
  return one.what !== other.what;
}

/**
 * What an event says that another can deny: whether the step was done, or what was really used. Notes and
 * faults deny nothing.
 */
function claimOf(
  event: ChairEvent,
): { readonly about: 'doing' | 'amount' | 'product'; readonly what: string } | null {
  if (event.kind !== 'deviation') return { about: 'doing', what: event.kind };
  const { kind, measures, use } = event.deviation;
  if (kind === 'skipped') return { about: 'doing', what: 'skipped' };
  if (kind === 'amount') return { about: 'amount', what: String(measures) };
  if (kind === 'other product') return { about: 'product', what: (use ?? []).map(useKey).join() };
  return null;
}

const useKey = ({ product, parts, measure }: Use): string => `${product.id} ${parts} ${measure}`;
