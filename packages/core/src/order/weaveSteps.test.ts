import { linksOf, weaveSteps } from '.';
import type { Look, Step } from '../look';
import { CHART as chart, stepLike as step, WHO as who } from './order.testing';

const place = (
  guide: Exclude<Step['placements'][number], { outline: unknown }>['guide'],
): Step['placements'] => [{ guide, side: 'both' }];
const clean = step(1, { phase: 'clean', role: 'care', placements: [], handsOnMinutes: 2 });
const primer = step(2, { phase: 'prime', role: 'care', placements: place('zone.wholeFace'), waitMinutes: 5 });
const base = step(3, { phase: 'base', role: 'base', placements: place('zone.wholeFace'), handsOnMinutes: 8 });
const brows = step(4, { phase: 'brows', role: 'brow', placements: place('brow'), handsOnMinutes: 6 });
const lips = step(5, { phase: 'lips', role: 'lip', placements: [], handsOnMinutes: 3 });
const finish = step(6, { phase: 'finish', role: 'care', placements: [], handsOnMinutes: 2 });
const SCHOOLS: Look['schools'] = chart.schools;

test('lips are done while the powder settles, never before the base; finishing stays last', () => {
  const powder = step(8, {
    phase: 'set',
    role: 'powder',
    placements: place('zone.chin'),
    handsOnMinutes: 2,
    waitMinutes: 3,
  });
  const spray = step(9, { phase: 'set', role: 'powder', placements: place('zone.chin'), handsOnMinutes: 1 });
  const { given, woven } = weaveSteps([clean, base, powder, spray, lips, finish], who, SCHOOLS);
  expect(given.totalMinutes).toBe(2 + 8 + 2 + 3 + 1 + 3 + 2);
  expect(woven.totalMinutes).toBe(2 + 8 + 2 + 3 + 1 + 2);
  expect(woven.proven).toBe(true);
  expect(woven.steps.map((s) => s.stepId)).toEqual(
    [clean, base, powder, lips, spray, finish].map((s) => s.id),
  );
  const early = weaveSteps([clean, primer, base, lips, finish], who, SCHOOLS);
  expect(early.woven.totalMinutes).toBe(early.given.totalMinutes);
});

test('brows are worked while what lies on the face dries', () => {
  const { given, woven } = weaveSteps([clean, primer, base, brows, finish], who, SCHOOLS);
  expect(given.totalMinutes - woven.totalMinutes).toBe(5);
  expect(woven.steps.map((s) => s.stepId)).toEqual([clean, primer, brows, base, finish].map((s) => s.id));
});

test.each([
  ['brow', 'brows', 'brow'],
  ['eye', 'eyes', 'lid'],
  ['liner', 'eyes', 'liner'],
  ['lash', 'lashes', 'lashes'],
  ['lip', 'lips', 'lips'],
  ['lip line', 'lips', 'lipLine'],
] as const)('%s need not wait for the powder round it to settle, blush does', (role, phase, guide) => {
  const powder = step(8, {
    phase: 'set',
    role: 'powder',
    placements: place('zone.wholeFace'),
    handsOnMinutes: 2,
    waitMinutes: 3,
  });
  const lagBefore = (then: Step): number =>
    linksOf([powder, then], who, SCHOOLS).reduce((most, { lagMinutes }) => Math.max(most, lagMinutes), 0);
  expect(lagBefore(step(10, { phase, role, placements: place(guide) }))).toBe(0);
  expect(lagBefore(step(10, { phase: 'powder', role: 'blush', placements: place('blushLifted') }))).toBe(3);
});

test('the wait that costs most is named', () => {
  const { savers } = weaveSteps([clean, primer, base, finish], who, SCHOOLS);
  expect(savers).toEqual([{ stepId: primer.id, minutes: 5 }]);
});

test('the school says whether eyes come before the base or after', () => {
  const eyes = step(7, { phase: 'eyes', role: 'eye', placements: [], handsOnMinutes: 6 });
  const starts = (schools: Look['schools'], steps: Step[]) =>
    new Map(weaveSteps(steps, who, schools).woven.steps.map((s) => [s.stepId, s.startMinutes]));
  const faceFirst = starts({ ...SCHOOLS, eyesOrFace: 'face first' }, [clean, primer, base, eyes, finish]);
  expect(faceFirst.get(eyes.id)!).toBeGreaterThan(faceFirst.get(base.id)!);
  const eyesFirst = starts({ ...SCHOOLS, eyesOrFace: 'eyes first' }, [clean, primer, eyes, base, finish]);
  expect(eyesFirst.get(eyes.id)!).toBeLessThan(eyesFirst.get(base.id)!);
});

test('what lies over each other waits until it is dry; what does not, does not', () => {
  const [covered, apart] = [
    linksOf([primer, base], who, SCHOOLS),
    linksOf([{ ...primer, placements: place('lips') }, brows], who, SCHOOLS),
  ];
  expect(covered).toEqual([{ from: 0, to: 1, lagMinutes: 5 }]);
  expect(apart).toEqual([]);
});

test('every demo-like chart is woven into no more than it takes as it stands', () => {
  const { given, woven } = weaveSteps(chart.steps, who, chart.schools);
  expect(woven.totalMinutes).toBeLessThanOrEqual(given.totalMinutes);
  expect(new Set(woven.steps.map((s) => s.stepId)).size).toBe(chart.steps.length);
});
