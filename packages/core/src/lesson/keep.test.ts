import fc from 'fast-check';
import { snapshotOf } from '../kit';
import { newStep, type Step } from '../look';
import { minutesAtHome, standAlone, worthMost } from './keep';
import { product } from '../look/look.testing';

const ROLES = ['base', 'conceal', 'correct', 'powder', 'lip', 'lip line', 'brow', 'blush', 'liner'] as const;
/** What the first of each is worth, written once more here: the sum is what the best set is compared by. */
const WORTH = {
  base: 20,
  conceal: 18,
  correct: 8,
  powder: 10,
  lip: 18,
  'lip line': 3,
  brow: 16,
  blush: 16,
  liner: 6,
};
const WET = snapshotOf(product(1, 'base', [60, 12, 18], { texture: 'liquid' }));
const id = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const stepOf = (role: (typeof ROLES)[number], handsOnMinutes: number, n: number): Step => ({
  ...newStep('base', id(n), [{ guide: 'zone.underEye', side: 'both' }]),
  role,
  title: `${role} ${n}`,
  handsOnMinutes,
  use:
    role === 'base' || role === 'conceal' ? [{ unitId: null, parts: 1, measure: 'pump', product: WET }] : [],
});
const plans = fc
  .array(fc.tuple(fc.constantFrom(...ROLES), fc.integer({ min: 1, max: 12 })), { minLength: 1, maxLength: 9 })
  .map((list) => list.map(([role, half], n) => stepOf(role, half / 2, n)));
/** The second of a kind counts half, the third a third, in the order of the plan. */
const worthOf = (plan: readonly Step[], kept: readonly Step[]): number =>
  kept.reduce((sum, step) => {
    const nth = plan.slice(0, plan.indexOf(step) + 1).filter(({ role }) => role === step.role).length;
    return sum + WORTH[step.role as keyof typeof WORTH] / nth;
  }, 0);
const minutesOf = (steps: readonly Step[]): number =>
  steps.reduce((sum, step) => sum + minutesAtHome(step), 0);
/** Whether each has what it looks wrong without, told by the roles alone. */
const stands = (plan: readonly Step[], kept: readonly Step[]): boolean => {
  const has = (steps: readonly Step[], ...roles: string[]): boolean =>
    steps.some(({ role }) => roles.includes(role));
  const covered = has(kept, 'base', 'conceal');
  return (
    (!has(kept, 'correct') || covered) &&
    (!has(kept, 'lip line') || has(kept, 'lip')) &&
    (!has(kept, 'powder') || covered || !has(plan, 'base', 'conceal')) &&
    (!has(kept, 'conceal') || has(kept, 'powder') || !has(plan, 'powder'))
  );
};

test('no set of steps within the minutes is worth more, by every set there is', () => {
  fc.assert(
    fc.property(plans, fc.integer({ min: 0, max: 40 }), (plan, minutes) => {
      const sets = Array.from({ length: 2 ** plan.length }, (_, bits) =>
        plan.filter((_step, i) => (bits >> i) & 1),
      );
      const possible = sets.filter((set) => minutesOf(set) <= minutes && stands(plan, set));
      const most = Math.max(...possible.map((set) => worthOf(plan, set)));
      const kept = worthMost(plan, minutes);
      expect(stands(plan, kept)).toBe(true);
      if (most > 0) {
        expect(minutesOf(kept)).toBeLessThanOrEqual(minutes);
        expect(worthOf(plan, kept)).toBeCloseTo(most, 9);
      } else expect(kept.length).toBeLessThanOrEqual(1);
      expect(standAlone(plan, kept)).toEqual([]);
    }),
    { numRuns: 300 },
  );
});

test('what stands alone is said exactly where it does', () => {
  fc.assert(
    fc.property(plans, fc.nat(), (plan, bits) => {
      const kept = plan.filter((_step, i) => (bits >> i) & 1);
      expect(standAlone(plan, kept).length === 0).toBe(stands(plan, kept));
    }),
  );
});

test('where nothing fits the minutes the one that gives the most a minute is taught, never one that cannot stand', () => {
  const plan = [
    stepOf('correct', 1, 0),
    stepOf('lip line', 0.5, 1),
    stepOf('brow', 4, 2),
    stepOf('lip', 3, 3),
  ];
  expect(worthMost(plan, 1).map(({ role }) => role)).toEqual(['lip']);
  expect(worthMost([stepOf('correct', 1, 0)], 30)).toEqual([]);
});

test('a primer holds nothing on bare skin; one of lids has shadow to hold', () => {
  const primer = (n: number, guide: 'zone.chin' | 'zone.mobileLid'): Step => ({
    ...stepOf('base', 2, n),
    role: 'care',
    wants: { kinds: ['primer'] },
    placements: [{ guide, side: 'both' }],
  });
  const [skin, lids] = [primer(80, 'zone.chin'), primer(81, 'zone.mobileLid')];
  const [base, blush] = [stepOf('base', 2, 82), stepOf('blush', 2, 83)];
  expect(standAlone([skin, base, blush], [skin, blush])).toHaveLength(1);
  expect(standAlone([skin, base, blush], [skin, base])).toEqual([]);
  expect(standAlone([lids, base, blush], [lids, blush])).toEqual([]);
  // Where the plan has no base at all there is nothing it was to hold.
  expect(standAlone([skin, blush], [skin, blush])).toEqual([]);
  expect(worthMost([skin, base, blush], 4).map(({ role }) => role)).toEqual(['base', 'blush']);
});

test.each([
  ['base', 10, 6.5],
  ['lip', 5, 3.5],
  ['conceal', 4, 3],
  ['blush', 3, 3],
  ['liner', 4, 6],
  ['liner', 0.1, 0.5],
] as const)('%s that takes the studio %d min takes %d at home', (role, minutes, atHome) => {
  expect(minutesAtHome(stepOf(role, minutes, 84))).toBe(atHome);
});

test('a powder of lids sets no concealer, and wants no cover', () => {
  const lids: Step = { ...stepOf('powder', 2, 90), placements: [{ guide: 'zone.mobileLid', side: 'both' }] };
  const [conceal, powder, blush] = [
    stepOf('conceal', 2, 91),
    stepOf('powder', 2, 92),
    stepOf('blush', 2, 93),
  ];
  const plan = [lids, conceal, powder, blush];
  expect(standAlone(plan, [conceal, powder])).toEqual([]);
  expect(standAlone(plan, [conceal, lids])).toHaveLength(1);
  expect(standAlone(plan, [lids, blush])).toEqual([]);
  expect(standAlone(plan, [powder, blush])).toHaveLength(1);
});

test('what evens a lid is no cover for powder on the skin, nor is a corrector of lids uncovered', () => {
  const laid = (role: (typeof ROLES)[number], n: number, guide: 'zone.mobileLid' | 'zone.chin'): Step => ({
    ...stepOf(role, 2, n),
    placements: [{ guide, side: 'both' }],
  });
  const base = stepOf('base', 2, 1);
  const powder = laid('powder', 2, 'zone.chin');
  const lid = laid('conceal', 3, 'zone.mobileLid');
  const spot = laid('conceal', 4, 'zone.chin');
  const plan = [base, powder, lid, spot];
  expect(standAlone(plan, [lid, powder])).toEqual([
    'powder 2 has nothing to go with: no base, no concealer.',
  ]);
  expect(standAlone(plan, [spot, powder])).toEqual([]);
  expect(standAlone(plan, [laid('correct', 5, 'zone.mobileLid')])).toEqual([]);
  expect(standAlone(plan, [laid('correct', 5, 'zone.chin')])).toHaveLength(1);
});
