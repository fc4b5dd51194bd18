import { changedDay, changeWords, doesKind, priceOf, type DayChange } from './changes';
import type { ExplainOptions } from './explain';
import { howLate } from './howLate';
import type { PartyDay } from './instance';
import { wholeDay, type OpenDay } from './wholeDay';

/** A way out, in words and as what is changed; the day as it would be. */
export type WayOut = {
  readonly changes: readonly DayChange[];
  readonly words: string;
  readonly day: PartyDay;
  /** Weighted minutes late that remain. */ readonly lateAfter: number;
  /** What it is held to cost, in points: the list goes by it. */ readonly price: number;
};

/** Minutes of ready-by put off, and of beginning earlier, that are tried. */
const STEPS = [15, 30, 45, 60] as const;
/** Pairs of changes told at most. */
const MOST_PAIRS = 4;

/**
 * What would make a day possible, each change by itself; of beginning earlier and of being ready later the
 * least that serves. Only where nothing by itself is enough, two together, the cheapest first. Yields as it
 * finds.
 */
export function* waysOut(given: OpenDay, options: ExplainOptions = {}): Generator<WayOut> {
  const day = wholeDay(given);
  const serves = (changes: readonly DayChange[]): WayOut | null => {
    const changed = changes.reduce(changedDay, day);
    const { late } = howLate(changed, options);
    if (late > 0) return null;
    return {
      changes,
      words: changes.map((change) => changeWords(day, change)).join('; '),
      day: changed,
      lateAfter: late,
      price: priceIn(day, changes),
    };
  };
  let any = false;
  for (const steps of singlesIn(day)) {
    for (const change of steps) {
      const way = serves([change]);
      if (!way) continue;
      any = true;
      yield way;
      break;
    }
  }
  if (any) return;
  let told = 0;
  for (const pair of pairsIn(day)) {
    const way = serves(pair);
    if (!way) continue;
    yield way;
    if (++told === MOST_PAIRS) return;
  }
}

const priceIn = (day: PartyDay, changes: readonly DayChange[]): number =>
  changes.reduce((sum, change) => sum + priceOf(day, change), 0);

/** Changes that may be enough by themselves; of each list the first that serves. */
function singlesIn(day: PartyDay): DayChange[][] {
  const chairs = new Map(day.chairs.map((chair) => [`${chair.place} ${chair.kind}`, chair]));
  return [
    ...lighterIn(day).map((change) => [change]),
    ...[...chairs.values()].map(({ place, kind }): DayChange[] => [{ kind: 'chair', place, chair: kind }]),
    STEPS.map((minutes): DayChange => ({ kind: 'earlier', minutes })),
    ...day.people.map(({ id }) =>
      STEPS.map((minutes): DayChange => ({ kind: 'later', person: id, minutes })),
    ),
    ...handsIn(day).map((change) => [change]),
  ];
}

/** Two changes together, the cheapest first: lighter ways of two people, more hands, beginning earlier. */
function pairsIn(day: PartyDay): (readonly [DayChange, DayChange])[] {
  const earlier = [30, 60].map((minutes): DayChange => ({ kind: 'earlier', minutes }));
  const all = [...lighterIn(day), ...handsIn(day), ...earlier];
  const together = (a: DayChange, b: DayChange): boolean =>
    a.kind !== b.kind ||
    a.kind === 'hands' ||
    (a.kind === 'lighter' && b.kind === 'lighter' && a.person !== b.person);
  return all
    .flatMap((a, i) => all.slice(i).map((b) => [a, b] as const))
    .filter(([a, b]) => together(a, b))
    .sort((a, b) => priceIn(day, a) - priceIn(day, b));
}

const lighterIn = (day: PartyDay): DayChange[] =>
  day.people.flatMap((person) =>
    person.ways
      .filter((way) => way.relax && !day.relaxed?.includes(`${person.id}/${way.id}`))
      .map((way): DayChange => ({ kind: 'lighter', person: person.id, way: way.id })),
  );

const handsIn = (day: PartyDay): DayChange[] =>
  (['makeup', 'hair'] as const)
    .filter((does) => day.workers.some((worker) => doesKind(day, worker, does)))
    .map((does): DayChange => ({ kind: 'hands', does }));
