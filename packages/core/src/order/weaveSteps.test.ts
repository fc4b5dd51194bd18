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

describe('what keeps its order though it touches nothing', () => {
  const PHASES: readonly Step['phase'][] = [
    'clean',
    ...(['prep', 'prime', 'correct', 'base', 'conceal', 'sculpt', 'set', 'powder'] as const),
    ...(['brows', 'eyes', 'lashes', 'lips', 'finish'] as const),
  ];
  // A row is what is given first, a column what comes then: in the order of the list above.
  const FACE_FIRST = [
    '11111111111111',
    ...['111111111.11.1', '111111111.11.1', '111111111.1111', '111111111.1111', '111111111.1111'],
    ...['111111111....1', '111111111.11.1', '111111111....1'],
    ...['1........1...1', '1.........11.1', '1.........11.1', '1...........11', '1............1'],
  ];
  const EYES_FIRST = [
    '11111111111111',
    ...['111111111....1', '111111111....1', '111111111...11', '111111111...11', '111111111...11'],
    ...['111111111....1', '111111111....1', '111111111....1'],
    ...['1111111111...1', '111111111.11.1', '111111111.11.1', '1...........11', '1............1'],
  ];
  const nowhere = (n: number, phase: Step['phase']): Step =>
    step(n, { phase, role: 'powder', placements: [], waitMinutes: 2 });

  test.each([
    ['face first', FACE_FIRST],
    ['eyes first', EYES_FIRST],
  ] as const)('%s', (eyesOrFace, table) => {
    const found = PHASES.map((first) =>
      PHASES.map((then) => {
        const links = linksOf([nowhere(40, first), nowhere(41, then)], who, { ...SCHOOLS, eyesOrFace });
        // Only finishing, which lies over all, waits for what it does not touch.
        for (const { lagMinutes } of links) expect(lagMinutes).toBe(then === 'finish' ? 2 : 0);
        return links.length > 0 ? '1' : '.';
      }).join(''),
    );
    expect(found).toEqual(table);
  });
});

test.each(['face first', 'eyes first'] as const)(
  'what fell from the lids is swept off after the eyes, whatever it would save before (%s)',
  (eyesOrFace) => {
    const schools = { ...SCHOOLS, eyesOrFace };
    const eyes = step(50, { phase: 'eyes', role: 'eye', placements: place('lid'), handsOnMinutes: 6 });
    const sweep = step(51, { phase: 'clean', role: 'care', placements: [], waitMinutes: 4 });
    const blush = step(52, { phase: 'powder', role: 'blush', placements: place('blushLifted') });
    const given = [clean, base, eyes, sweep, blush, lips, finish];
    for (const order of [given, given.filter((one) => one !== base)]) {
      const ids = weaveSteps(order, who, schools).woven.steps.map((one) => one.stepId);
      expect(ids.indexOf(sweep.id)).toBeGreaterThan(ids.indexOf(eyes.id));
      expect(ids.indexOf(sweep.id)).toBeLessThan(ids.indexOf(blush.id));
    }
  },
);

describe('what is said of an order', () => {
  const long = step(60, { phase: 'prep', role: 'care', placements: place('zone.chin'), waitMinutes: 9 });
  const upon = step(61, { phase: 'base', role: 'base', placements: place('zone.chin'), handsOnMinutes: 5 });
  const settles = step(62, { phase: 'set', role: 'powder', placements: place('zone.chin'), waitMinutes: 3 });

  test('nothing to gain: it stands as given, and that is proven', () => {
    const { woven, given, choices } = weaveSteps([clean, base, finish], who, SCHOOLS);
    expect(choices).toEqual([]);
    expect(woven.steps).toEqual(given.steps);
    expect(woven).toMatchObject({ totalMinutes: 12, boundMinutes: 12, proven: true });
  });

  test('every shorter order refused: it stands as given, and nothing is proven', () => {
    const { woven, given, choices } = weaveSteps([primer, base, brows], who, SCHOOLS, () => false);
    expect(choices).toEqual([]);
    expect(woven.steps).toEqual(given.steps);
    expect(woven).toMatchObject({ totalMinutes: 4 + 5 + 8 + 6, boundMinutes: 4 + 5 + 8 + 1, proven: false });
  });

  test('a choice is proven where it is as short as can be, and not where that is refused', () => {
    const ids = (list: readonly Step[]): string => list.map((one) => one.id).join();
    const [lash, gloss] = [
      step(63, { phase: 'lashes', role: 'lash', placements: [], handsOnMinutes: 2 }),
      step(64, { phase: 'lips', role: 'lip', placements: [], handsOnMinutes: 2 }),
    ];
    const steps = [settles, upon, brows, gloss, lash];
    const schools = { ...SCHOOLS, eyesOrFace: 'eyes first' } as const;
    const free = weaveSteps(steps, who, schools);
    expect(free.woven).toMatchObject({ proven: true, totalMinutes: free.woven.boundMinutes });
    const only = ids([settles, lash, upon, brows, gloss]);
    const kept = weaveSteps(steps, who, schools, (order) => order.join() === only);
    expect(kept.woven.steps.map((one) => one.stepId).join()).toBe(only);
    expect(kept.woven.totalMinutes).toBe(free.woven.totalMinutes + 1);
    expect(kept.woven).toMatchObject({ proven: false, boundMinutes: free.woven.totalMinutes });
    expect(kept.choices[0]).toMatchObject({ moves: 1, savedMinutes: 2, movedIds: [lash.id] });
  });

  test('waits by what each costs, most first; one that costs nothing is not named', () => {
    const dries = step(65, { phase: 'finish', role: 'care', placements: [], waitMinutes: 0 });
    const { savers } = weaveSteps([long, upon, settles, dries], who, SCHOOLS);
    expect(savers).toEqual([
      { stepId: long.id, minutes: 9 },
      { stepId: settles.id, minutes: 3 },
    ]);
    const filled = step(66, { phase: 'lips', role: 'lip', placements: [], handsOnMinutes: 9 });
    expect(weaveSteps([long, filled], who, SCHOOLS).savers).toEqual([]);
  });
});

test.each([0, 1, 2, 5])(
  'of %d steps as they stand each begins where hands and waits allow, and is dry after its wait',
  (n) => {
    const steps = [clean, primer, base, brows, finish].slice(0, n);
    const { given, woven } = weaveSteps(steps, who, SCHOOLS);
    expect(given.steps.map(({ stepId }) => stepId)).toEqual(steps.map(({ id }) => id));
    let time = 0;
    given.steps.forEach(({ startMinutes, endMinutes, dryMinutes }, i) => {
      // The base lies on the primer and waits; nothing else here waits for what it touches.
      const waits = steps[i] === base ? primer.waitMinutes : 0;
      expect(startMinutes).toBe(time + waits);
      expect(endMinutes).toBe(startMinutes + steps[i]!.handsOnMinutes);
      expect(dryMinutes).toBe(endMinutes + steps[i]!.waitMinutes);
      time = endMinutes;
    });
    expect(given.totalMinutes).toBe(Math.max(0, ...given.steps.map(({ dryMinutes }) => dryMinutes)));
    expect(woven.totalMinutes).toBeLessThanOrEqual(given.totalMinutes);
  },
);

test('what cleans the face leaves the brows to be worked while it dries; a balm on the lips does not', () => {
  const toner = step(90, {
    phase: 'clean',
    role: 'care',
    placements: place('zone.wholeFace'),
    waitMinutes: 4,
  });
  expect(linksOf([toner, brows], who, SCHOOLS)).toEqual([{ from: 0, to: 1, lagMinutes: 0 }]);
  const balm = step(91, { phase: 'lips', role: 'care', placements: place('lips'), waitMinutes: 4 });
  const lip = step(92, { phase: 'lips', role: 'lip', placements: place('lips') });
  expect(linksOf([balm, lip], who, SCHOOLS)).toEqual([{ from: 0, to: 1, lagMinutes: 4 }]);
});
