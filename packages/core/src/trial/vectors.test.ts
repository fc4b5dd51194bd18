import type { Side } from '../face';
import { expectNear } from '../math/near.testing';
import * as trial from '.';
import vectors from './vectors.testing.json';
import type {
  Counted,
  Curve,
  Declared,
  Outcome,
  QuestionTrial,
  Refused,
  SeenHalf,
  Strength,
  TouchUpOptions,
  Wear,
  Worn,
  WornZone,
} from '.';

type Guess = { readonly medianHours: number; readonly strength: number; readonly shape: number };
type Touched = {
  readonly zones: readonly (Guess & { zone: string; weight: number })[];
  readonly untilMinutes: number;
  readonly count: number;
  readonly allowedMinutes: readonly number[];
};

const curveOf = ({ medianHours, strength, shape }: Guess): Curve =>
  trial.guessedCurve(medianHours, strength, shape);
const zonesOf = (zones: readonly (Guess & { zone: string; weight: number })[]): WornZone[] =>
  zones.map((one) => ({ zone: one.zone, weight: one.weight, curve: curveOf(one) }));
const rateOf = (product: string, worn: readonly Worn[]) => trial.failureRate(product, worn);

/** How a vector's input is handed to the function of its name. */
const asked: Record<string, (input: never) => unknown> = {
  chanceOfALeft: (i: { earlierASides: Side[] }) => trial.chanceOfALeft(i.earlierASides),
  drawSides: (i: { seedText: string; earlierASides: Side[] }) => trial.drawSides(i.seedText, i.earlierASides),
  signTest: (i: { differences: number[]; margin: number }) => trial.signTest(i.differences, i.margin),
  signFlipTest: (i: { differences: number[] }) => trial.signFlipTest(i.differences),
  signedRankTest: (i: { differences: number[]; zeros: 'pratt' | 'dropped' }) =>
    trial.signedRankTest(i.differences, i.zeros),
  middleDifference: (i: { differences: number[]; level: number }) =>
    trial.middleDifference(i.differences, i.level),
  drawTest: (i: { trials: (QuestionTrial & { aSide: Side })[] }) => trial.drawTest(i.trials),
  evidenceOf: (i: { better: number; decided: number }) => trial.evidenceOf(i.better, i.decided),
  evidence: (i: { outcomes: Outcome[] }) => trial.evidence(i.outcomes),
  shareOf: (i: { better: number; ties: number; trials: number; level: number }) =>
    trial.shareOf(i.better, i.ties, i.trials, i.level),
  shrunkShares: (i: { groups: Counted[]; level: number }) => trial.shrunkShares(i.groups, i.level),
  trialsNeeded: (i: { better: number; decided: number; bar: number; most: number }) =>
    trial.trialsNeeded(i.better, i.decided, i.bar, i.most),
  compareHalves: (i: { aSide: Side; declared: Declared; seen: SeenHalf[] }) =>
    trial.compareHalves(i.aSide, i.declared, i.seen),
  turnbull: (i: { wears: Wear[] }) => trial.turnbull(i.wears),
  holdBand: (i: { wears: Wear[]; hour: number }) => trial.holdBand(trial.turnbull(i.wears), i.hour),
  guessedCurve: (i: Guess) => trial.guessedCurve(i.medianHours, i.strength, i.shape),
  wearCurve: (i: { prior: Guess; wears: Wear[] }) => trial.wearCurve(curveOf(i.prior), i.wears),
  holdChance: (i: { prior: Guess; wears: Wear[]; hour: number; level: number }) =>
    trial.holdChance(trial.wearCurve(curveOf(i.prior), i.wears), i.hour, i.level),
  nestedCurve: (i: { prior: Guess; wider: Wear[]; narrower: Wear[]; strength: number; hour: number }) => {
    const wider = trial.wearCurve(curveOf(i.prior), i.wider);
    const curve = trial.wearCurve(trial.asPrior(wider, i.strength), i.narrower);
    return { failed: curve.failed, held: curve.held, hold: trial.holdChance(curve, i.hour) };
  },
  goodHours: (i: Guess & { hours: number }) => trial.goodHours(curveOf(i), i.hours),
  dueMinutes: (i: Guess & { threshold: number; untilMinutes: number; stepMinutes: number }) =>
    trial.dueMinutes(curveOf(i), i.threshold, i.untilMinutes, i.stepMinutes),
  touchUpTimes: (i: Touched & TouchUpOptions) =>
    trial.touchUpTimes(zonesOf(i.zones), i.untilMinutes, i.count, i.allowedMinutes, i),
  touchUpTimesAround: (i: Touched & TouchUpOptions) =>
    trial.touchUpTimes(zonesOf(i.zones), i.untilMinutes, i.count, i.allowedMinutes, i),
  worthTouchUps: (i: Touched & { costMinutes: number; most: number }) =>
    trial.worthTouchUps(zonesOf(i.zones), i.untilMinutes, i.allowedMinutes, i),
  faded: (i: { daysAgo: number }) => trial.faded(i.daysAgo),
  failureRate: (i: { productId: string; worn: Worn[]; strength: number; halfLifeDays: number }) =>
    trial.failureRate(i.productId, i.worn, i),
  chanceGreater: (i: { a1: number; b1: number; a2: number; b2: number }) =>
    trial.chanceGreater(i.a1, i.b1, i.a2, i.b2),
  changeWorth: (i: { worn: Worn[]; now: string; other: string; shownBefore: boolean }) =>
    trial.changeWorth(rateOf(i.now, i.worn), rateOf(i.other, i.worn), i.shownBefore),
  speaksAgain: (i: { now: { failed: number; worn: number }; strength: Strength; refused: Refused | null }) =>
    trial.speaksAgain(i.now, i.strength, i.refused),
  amountProposal: (i: { planned: number; usedNewestFirst: number[]; step: number }) =>
    trial.amountProposal(i.planned, i.usedNewestFirst, i.step),
};

test.each(vectors.map((vector) => [vector.fn, vector.name, vector] as const))('%s: %s', (fn, _, vector) => {
  const call = asked[fn];
  if (!call) throw new Error(`no function is called ${fn}`);
  expectNear(call(vector.input as never), vector.expect, vector.tol);
});

test('the vectors are all there', () => expect(vectors.length).toBe(127));
