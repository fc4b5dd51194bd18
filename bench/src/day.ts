import {
  judgeDay,
  planDay,
  replanDay,
  simulateDay,
  type DayAnswer,
  type Objective,
  type PartyDay,
  type Visit,
} from '@toile/core';
import { MORNINGS } from '../../packages/core/src/day/day.testing';
import { solvedByHighs, type Solved } from '../../packages/core/src/day/milp.testing';
import { medianMs, ms, row, type Row } from './measure';

const SECONDS = { few: 2, many: 10 } as const;

const words = ({ late, cost }: Objective): string => (late > 0 ? `${late} late, ${cost}` : `${cost}`);

/** What the general solver came to: its points, or none; with the rules its form cannot hold. */
function solverWords({ objective, status, broken }: Solved): string {
  const how = status === 'Optimal' ? 'proven' : status.toLowerCase();
  const but = broken.length > 0 ? `, breaks ${broken.join()}` : '';
  return objective ? `${words(objective)} (${how}${but})` : `none (${how})`;
}

/**
 * Who is to be ready first is begun first, by whoever is free soonest: as it is done on paper. A task with
 * nobody in time is given to who is free soonest all the same.
 */
function firstCome(day: PartyDay): Pick<DayAnswer, 'ways' | 'visits'> {
  const ways: Record<string, string> = {};
  const visits: Visit[] = [];
  const people = [...day.people].sort((a, b) => a.readyBy - b.readyBy);
  for (const person of people) {
    const way = person.ways.find((one) => !one.relax)!;
    ways[person.id] = way.id;
    for (const task of way.tasks) {
      let best: Visit | null = null;
      for (const [worker, minutes] of Object.entries(task.by)) {
        for (const chair of task.chair === false ? [null] : day.chairs.map((one) => one.id)) {
          for (let start = 360; start < 1400; start += day.grid) {
            const visit: Visit = { of: person.id, task: task.id, worker, chair, start, minutes };
            if (best && best.start + best.minutes <= start + minutes) break;
            if (fits(day, ways, [...visits, visit], visit)) {
              best = visit;
              break;
            }
          }
        }
      }
      if (best) visits.push(best);
    }
  }
  for (const round of day.rounds) {
    for (const [worker, minutes] of Object.entries(round.by)) {
      for (let start = round.from; start < round.from + 300; start += day.grid) {
        const visit: Visit = { of: round.id, task: round.id, worker, chair: null, start, minutes };
        if (!fits(day, ways, [...visits, visit], visit)) continue;
        visits.push(visit);
        break;
      }
      break;
    }
  }
  return { ways, visits };
}

function fits(day: PartyDay, ways: Record<string, string>, visits: readonly Visit[], visit: Visit): boolean {
  const key = `${visit.of} ${visit.task}`;
  return !judgeDay(day, { ways, visits }).conflicts.some(
    (one) => one.about.includes(key) && !['once', 'way', 'lunch'].includes(one.rule),
  );
}

/**
 * Timetables of mornings beside the best known, first come, first served, and a general solver given the same
 * time.
 */
export async function dayRows(): Promise<Row[]> {
  const rows: Row[] = [];
  for (const { day, best } of MORNINGS) {
    const n = day.people.length;
    if (![4, 8, 12, 16, 20, 30].includes(n) || /late|tight/.test(day.id)) continue;
    const seconds = n <= 20 ? SECONDS.few : SECONDS.many;
    const begun = performance.now();
    const answer = planDay(day, { limitMs: seconds * 1000 });
    const took = performance.now() - begun;
    const paper = judgeDay(day, firstCome(day)).objective;
    const gap = answer.proof.proven
      ? 'proven'
      : `gap ${((100 * (answer.objective.cost - answer.proof.bound.cost)) / answer.objective.cost).toFixed(1)} %`;
    const places = new Set(
      day.people.flatMap(({ ways }) => ways.flatMap(({ tasks }) => tasks.map((t) => t.place))),
    );
    const solver =
      places.size > 1 ? 'two places, not put to it' : solverWords(await solvedByHighs(day, seconds, true));
    rows.push({
      what: `a morning of ${n} in ${seconds} s: points (${gap}, ${ms(took)})`,
      ours: words(answer.objective),
      peer: `best known ${words(best)}; first come ${words(paper)}; HiGHS ${solver}`,
      ratio: `${(best.cost / answer.objective.cost).toFixed(3)} x`,
    });
  }
  const { day } = MORNINGS.find((one) => one.day.people.length === 12)!;
  const plan = planDay(day, { work: 200 });
  const mornings = medianMs(() => void simulateDay(day, plan, { mornings: 10_000 }), 3);
  rows.push(row('10,000 mornings of 12 people played', mornings, 'limit', 1000));
  const first = [...plan.visits].sort((a, b) => a.start - b.start)[0]!;
  const late: PartyDay = {
    ...day,
    now: first.start + first.minutes + 15,
    pinned: [
      {
        of: first.of,
        task: first.task,
        worker: first.worker,
        start: first.start,
        minutes: first.minutes + 15,
      },
    ],
  };
  const times = Array.from({ length: 21 }, (_, seed) =>
    medianMs(() => void replanDay(late, plan, { seed }), 1),
  ).sort((a, b) => a - b);
  rows.push(row('the rest planned again after a tick, 12 people, 95th percentile', times[19]!, 'limit', 200));
  rows.push(
    row(
      'a dragged visit judged, 12 people',
      medianMs(() => void judgeDay(day, plan), 200),
      'a frame',
      16.7,
    ),
  );
  return rows;
}
