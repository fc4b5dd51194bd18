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

describe('what is laid on a lid or on the lips themselves', () => {
  const upon = [
    ['a primer of the lids', 'prime', 'care', 'zone.mobileLid', 'eye', 'eyes', 'lid'],
    ['a concealer of the lids', 'conceal', 'conceal', 'zone.mobileLid', 'eye', 'eyes', 'openLid'],
    ['a base carried over the lids', 'base', 'base', 'zone.mobileLid', 'liner', 'eyes', 'liner'],
    ['a powder pressed on the lids', 'powder', 'powder', 'zone.mobileLid', 'eye', 'eyes', 'outerLid'],
    ['a primer of the lashes', 'prime', 'care', 'lashes', 'lash', 'lashes', 'lashes'],
    ['a balm', 'prep', 'care', 'lips', 'lip', 'lips', 'lips'],
    ['a concealer of the lips', 'conceal', 'conceal', 'zone.lowerLip', 'lip line', 'lips', 'lipLine'],
    ['a cream under the brows', 'prep', 'care', 'brow', 'brow', 'brows', 'brow'],
  ] as const;
  const cases = upon.flatMap((one) =>
    (['face first', 'eyes first'] as const).map((eyesOrFace) => [...one, eyesOrFace] as const),
  );

  test.each(cases)(
    '%s comes first and dries before what lies upon it (%s %s at %s, then %s %s at %s; %s)',
    (_, phase, role, guide, featureRole, featurePhase, featureGuide, eyesOrFace) => {
      const schools = { ...SCHOOLS, eyesOrFace };
      const lower = step(20, { phase, role, placements: place(guide), handsOnMinutes: 1, waitMinutes: 4 });
      const feature = step(21, {
        phase: featurePhase,
        role: featureRole,
        placements: place(featureGuide),
        handsOnMinutes: 3,
      });
      expect(linksOf([lower, feature], who, schools)).toEqual([{ from: 0, to: 1, lagMinutes: 4 }]);
      // Nothing is gained by working it first, with what may fill the wait and without.
      for (const between of [[], [brows]]) {
        const { woven } = weaveSteps([clean, lower, ...between, feature, finish], who, schools);
        const at = new Map(woven.steps.map((one) => [one.stepId, one]));
        expect(at.get(feature.id)!.startMinutes).toBeGreaterThanOrEqual(at.get(lower.id)!.dryMinutes);
      }
      // The same on the forehead is no matter of theirs.
      const apart = step(22, { phase, role, placements: place('zone.foreheadCentre'), waitMinutes: 4 });
      for (const { lagMinutes } of linksOf([apart, feature], who, schools)) expect(lagMinutes).toBe(0);
    },
  );

  test('one place on the lid among others is enough', () => {
    const both = step(23, {
      phase: 'conceal',
      role: 'conceal',
      placements: [...place('zone.underEye'), ...place('zone.mobileLid')],
      waitMinutes: 2,
    });
    const shadow = step(24, { phase: 'eyes', role: 'eye', placements: place('lid') });
    const gloss = step(25, { phase: 'lips', role: 'lip', placements: place('lips') });
    expect(linksOf([both, shadow], who, SCHOOLS)[0]!.lagMinutes).toBe(2);
    expect(linksOf([both, gloss], who, SCHOOLS)[0]!.lagMinutes).toBe(0);
  });
});

describe('care that is placed nowhere', () => {
  const lotion = (phase: Step['phase']) =>
    step(30, { phase, role: 'care', placements: [], handsOnMinutes: 1, waitMinutes: 3 });
  const after = (then: Step, phase: Step['phase']): number | undefined =>
    linksOf([lotion(phase), then], who, SCHOOLS)[0]?.lagMinutes;

  test.each(['prep', 'prime', 'set', 'powder'] as const)(
    'goes all over the face: what comes upon it waits, %s',
    (phase) => {
      const upon = step(31, { phase: 'powder', role: 'blush', placements: place('blushLifted') });
      expect(after(upon, phase)).toBe(3);
      expect(after(lips, phase) ?? 0).toBe(0);
      expect(after({ ...brows, phase: 'brows' }, phase) ?? 0).toBe(0);
    },
  );

  test('another layer without a place covers nothing', () => {
    const nowhere = step(32, { phase: 'base', role: 'base', placements: [], waitMinutes: 3 });
    const upon = step(33, { phase: 'powder', role: 'powder', placements: place('zone.chin') });
    expect(linksOf([nowhere, upon], who, SCHOOLS)).toEqual([{ from: 0, to: 1, lagMinutes: 0 }]);
  });
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
