import { seededRandom } from '../math';
import { MORNINGS, randomDay } from './day.testing';
import { solvedByHighs } from './milp.testing';
import { judgeDay, planDay, type PartyDay } from '.';

/** In one place and without rests, which rows of a program say exactly. */
const plain = (day: PartyDay): PartyDay => ({
  ...day,
  workers: day.workers.map((worker) => ({ ...worker, at: 'house', maxWork: null })),
  chairs: day.chairs.map((chair) => ({ ...chair, place: 'house' })),
  people: day.people.map((person) => ({
    ...person,
    ways: person.ways.map((way) => ({
      ...way,
      tasks: way.tasks.map((task) => ({ ...task, place: 'house' })),
    })),
  })),
  rounds: [],
});
const DAYS: readonly (readonly [string, PartyDay])[] = [
  ...[3, 8, 14, 21, 29, 40].map(
    (seed) => [`seed ${seed}`, plain(randomDay(seededRandom(seed), 2 + (seed % 2)))] as const,
  ),
  ...MORNINGS.filter(({ day }) => ['open-03-6', 'open-04-8'].includes(day.id)).map(
    ({ day }) => [day.id, day] as const,
  ),
];

// A second way that shares nothing but the costs of a start: a general solver of integer programs.
test.each(DAYS)(
  '%s: what is proven the best is what a general solver proves',
  async (_, day) => {
    const ours = planDay(day);
    expect(ours.proof.proven).toBe(true);
    expect(judgeDay(day, ours).conflicts).toEqual([]);
    const theirs = await solvedByHighs(day, 60, ours.objective.late === 0);
    expect(theirs.status).toBe('Optimal');
    expect(theirs.broken).toEqual([]);
    expect(theirs.objective).toEqual(ours.objective);
  },
  120_000,
);
