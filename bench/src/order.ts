import { asGiven, greedyWeave, seededRandom, weave, type Link, type Task } from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const random = seededRandom(7);
const between = (low: number, high: number): number => low + Math.floor((high - low + 1) * random());

type Problem = { readonly tasks: readonly Task[]; readonly links: readonly Link[] };

/** Thirty steps as a full face has them: chains of a few that wait for each other, some waits to fill. */
function thirtySteps(): Problem {
  const tasks = Array.from({ length: 30 }, (_, i): Task => ({
    id: String(i),
    minutes: between(1, 8),
    tailMinutes: random() < 0.3 ? between(1, 3) : 0,
  }));
  const links = tasks.flatMap((_, i): Link[] =>
    i % 6 === 5 || i === 29 ? [] : [{ from: i, to: i + 1, lagMinutes: random() < 0.4 ? between(1, 6) : 0 }],
  );
  return { tasks, links };
}

/**
 * Thirty steps where taking whatever is free soonest goes wrong: every chain has short steps with long waits,
 * and work that stands by itself is long enough to hold up what would have to go on.
 */
function thirtyTempting(): Problem {
  const tasks = Array.from({ length: 30 }, (_, i): Task =>
    i < 18
      ? { id: String(i), minutes: between(1, 4), tailMinutes: i % 6 === 5 ? between(10, 25) : 0 }
      : { id: String(i), minutes: between(6, 12), tailMinutes: 0 },
  );
  const links = tasks
    .slice(0, 18)
    .flatMap((_, i): Link[] => (i % 6 === 5 ? [] : [{ from: i, to: i + 1, lagMinutes: between(14, 22) }]));
  return { tasks, links };
}

/** Minutes of the woven order against the given and the greedy one, and what finding it takes. */
export function orderRows(): Row[] {
  const problems = Array.from({ length: 40 }, thirtySteps);
  const minutesOf = (solve: typeof weave | typeof asGiven): number =>
    problems.reduce((sum, p) => sum + solve(p.tasks, p.links).totalMinutes, 0) / problems.length;
  const [ours, given] = [minutesOf(weave), minutesOf(asGiven)];
  const tempting = Array.from({ length: 40 }, thirtyTempting);
  const [best, greedy] = [weave, greedyWeave].map(
    (solve) => tempting.reduce((sum, p) => sum + solve(p.tasks, p.links).totalMinutes, 0) / tempting.length,
  );
  const temptingProven = tempting.filter((p) => weave(p.tasks, p.links).proven).length;
  const temptingMs = tempting
    .map((p) => medianMs(() => void weave(p.tasks, p.links), 1))
    .sort((a, b) => a - b);
  const proven = problems.filter((p) => weave(p.tasks, p.links).proven).length;
  const times = problems.map((p) => medianMs(() => void weave(p.tasks, p.links), 3)).sort((a, b) => a - b);
  const greedyMs =
    medianMs(() => problems.forEach((p) => greedyWeave(p.tasks, p.links)), 3) / problems.length;
  const minutes = (value: number): string => `${value.toFixed(1)} min`;
  return [
    {
      what: '30 steps woven: length of the day',
      ours: minutes(ours),
      peer: `as given ${minutes(given)}`,
      ratio: `${(given / ours).toFixed(3)} x`,
    },
    {
      what: `30 steps with long waits (${temptingProven} of ${tempting.length} proven, worst ${ms(temptingMs.at(-1)!)})`,
      ours: minutes(best!),
      peer: `greedy ${minutes(greedy!)}`,
      ratio: `${(greedy! / best!).toFixed(3)} x`,
    },
    row(
      `30 steps woven: time to find, median (${proven} of ${problems.length} proven)`,
      times[20]!,
      'greedy, no proof',
      greedyMs,
    ),
    {
      what: 'the same, worst',
      ours: ms(times.at(-1)!),
      peer: 'limit 100 ms',
      ratio: `${(100 / times.at(-1)!).toFixed(1)} x`,
    },
  ];
}
