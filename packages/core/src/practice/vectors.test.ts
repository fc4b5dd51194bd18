import { expectNear } from '../math/near.testing';
import * as practice from '.';
import vectors from './vectors.testing.json';
import type { Grade, Part, PracticeCard, SoftPatch, StepLink } from '.';

type Points = readonly (readonly [number, number])[];

const DAY_MS = 86_400_000;
const GRADES: readonly Grade[] = ['again', 'near', 'good', 'sure'];

/** Each rating on the day the card is due. */
function scheduled(ratings: readonly number[]): { stability: number; difficulty: number; days: number }[] {
  let card: PracticeCard | null = null;
  let now = new Date('2027-01-04T09:00:00Z');
  return ratings.map((rating) => {
    card = practice.practiceSchedule(card, GRADES[rating - 1]!, now);
    const days = Math.round((card.due.getTime() - now.getTime()) / DAY_MS);
    now = card.due;
    return { stability: card.stability, difficulty: card.difficulty, days };
  });
}

/** How a vector's input is handed to the function of its name. */
const asked: Record<string, (input: never) => unknown> = {
  lineMiss: (i: { drawn: Points; guide: Points }) => practice.lineMiss(i.drawn, i.guide),
  lineMissFar: (i: { drawn: Points; guide: Points }) => practice.lineMiss(i.drawn, i.guide),
  softOverlap: (i: { drawn: SoftPatch; wanted: SoftPatch; stepMm: number }) =>
    practice.softOverlap(i.drawn, i.wanted, i.stepMm),
  scoreOfMiss: (i: { missMm: number; halfMm: number }) => practice.scoreOfMiss(i.missMm, i.halfMm),
  halfMissMm: (i: { meanWidthMm: number }) => practice.halfMissMm(i.meanWidthMm),
  joined: (i: { parts: Part[]; breachMm: number }) => practice.joined(i.parts, i.breachMm),
  scoreOrder: (i: { given: string[]; values: Record<string, number>; same: number }) =>
    practice.scoreOrder(i.given, i.values, i.same),
  scoreSteps: (i: { given: string[]; links: StepLink[] }) => practice.scoreSteps(i.given, i.links),
  scoreRegret: (i: { chosen: number; best: number; same: number; half: number }) =>
    practice.scoreRegret(i.chosen, i.best, i.same, i.half),
  spanOverlap: (i: { drawn: [number, number]; wanted: [number, number] }) =>
    practice.spanOverlap(i.drawn, i.wanted),
  scorePicks: (i: { picked: string[]; right: string[] }) => practice.scorePicks(i.picked, i.right),
  practiceSchedule: (i: { ratings: number[] }) => scheduled(i.ratings),
};

test.each(vectors.map((vector) => [vector.fn, vector.name, vector] as const))('%s: %s', (fn, _, vector) => {
  const call = asked[fn];
  if (!call) throw new Error(`no function is called ${fn}`);
  expectNear(call(vector.input as never), vector.expect, vector.tol);
});

test('the vectors are all there', () => expect(vectors.length).toBe(39));
