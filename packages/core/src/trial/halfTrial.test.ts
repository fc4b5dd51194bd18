import fc from 'fast-check';
import { Value } from '@sinclair/typebox/value';
import { placementArea, SIDES, type Side } from '../face';
import { colourOfUse, stepsOfVariant } from '../look';
import { id } from '../look/look.testing';
import {
  asCounted,
  asksReason,
  changedSteps,
  decisionWords,
  differsBesides,
  followsCount,
  otherWay,
  questionLook,
  questionOf,
  questionsSoFar,
  skinGroupOf,
  swapProduct,
  swapSchool,
  swapStep,
  TrialEventSchema,
  trialNow,
  TrialSchema,
  trialWords,
  TRIAL_ZONES,
  verdictInWords,
  verdictOf,
  withHalves,
  zonesCompared,
  type Trial,
  type TrialEvent,
} from '.';
import { inAnotherLanguage } from '../messages/messages.testing';
import {
  after,
  applied,
  AT,
  BASE,
  CHART,
  event,
  halvesOf,
  ids,
  otherBase,
  shine,
  trialOf,
} from './halfTrial.testing';

const worked = (chart = halvesOf(otherBase())) => stepsOfVariant(chart.steps, 'trial');

describe('two halves of one face', () => {
  test('what differs becomes two steps, a half of the face each; all else is worked as it was, once', () => {
    for (const here of SIDES) {
      const there: Side = here === 'left' ? 'right' : 'left';
      const steps = worked(halvesOf(otherBase(), here));
      expect(steps.map((step) => step.title)).toEqual([
        `Client’s ${here}: Base`,
        `Client’s ${there}: Base`,
        ...CHART.steps.slice(1).map((step) => step.title),
      ]);
      const [mine, other] = steps;
      expect(mine!.use[0]!.product.line).toBe('Line');
      expect(other!.use[0]!.product.line).toBe('Other');
      const area = (step: typeof BASE): number =>
        step.placements.reduce((sum, p) => sum + placementArea(p, CHART.client.landmarks), 0);
      expect(area(mine!) + area(other!)).toBeCloseTo(area(BASE), 1);
      expect(mine!.use[0]!.parts).toBeLessThan(BASE.use[0]!.parts + 0.01);
      // The plan itself is as it was.
      expect(stepsOfVariant(halvesOf(otherBase(), here).steps, null)).toEqual(CHART.steps);
    }
  });

  test('an amount is halved to a quarter of a measure and never to nothing', () => {
    const tiny = {
      ...CHART,
      steps: CHART.steps.map((s) => ({ ...s, use: s.use.map((u) => ({ ...u, parts: 0.25 })) })),
    };
    const swap = swapStep(tiny, BASE.id, { tool: 'dense brush' })!;
    const steps = stepsOfVariant(
      withHalves(tiny, swap, { variant: 't', here: 'left', newId: ids(1) }).steps,
      't',
    );
    expect(steps[0]!.use[0]!.parts).toBe(0.25);
  });

  test('left out on one half, another tool, another technique: each is one step or two, the sides said', () => {
    const without = worked(halvesOf(swapStep(CHART, id(102), 'left out')!));
    expect(without.filter((s) => s.title.includes('Contour')).map((s) => s.title)).toEqual([
      'Client’s left: Contour',
    ]);
    expect(without).toHaveLength(CHART.steps.length);
    const tools = worked(halvesOf(swapStep(CHART, BASE.id, { tool: 'dense brush' })!));
    expect(tools.slice(0, 2).map((s) => s.tool)).toEqual([BASE.tool, 'dense brush']);
    const techniques = worked(halvesOf(swapStep(CHART, BASE.id, { technique: 'buff' })!));
    expect(techniques.slice(0, 2).map((s) => s.technique)).toEqual([BASE.technique, 'buff']);
  });

  test('what a chart does so already, or has not, is no trial', () => {
    expect(swapStep(CHART, BASE.id, { tool: BASE.tool })).toBeNull();
    expect(swapStep(CHART, id(999), 'left out')).toBeNull();
    expect(swapProduct(CHART, id(999), { parts: [], doseFactor: 1 })).toBeNull();
    expect(swapSchool(CHART, { concealer: CHART.schools.concealer })).toBeNull();
    const full = { ...CHART, variants: Array.from({ length: 12 }, (_, i) => ({ id: `${i}`, name: `${i}` })) };
    expect(() => halvesOf(otherBase(), 'left', full)).toThrow(RangeError);
  });

  test('another order of steps works each half in its own', () => {
    const swap = swapSchool(CHART, { contour: 'under base' })!;
    const other = otherWay(CHART, swap).steps.map((s) => s.title);
    const steps = worked(halvesOf(swap));
    for (const [side, order] of [
      ['left', CHART.steps.map((s) => s.title)],
      ['right', other],
    ] as const) {
      const mine = steps.flatMap((step) => {
        const [, of, title] = /^Client’s (left|right): (.*)$/.exec(step.title) ?? [];
        return of === undefined ? [step.title] : of === side ? [title!] : [];
      });
      expect(mine).toEqual(order);
    }
  });

  test('a second trial in one chart has a name of its own; the other way all over replaces in place', () => {
    const twice = withHalves(halvesOf(otherBase()), otherBase(), {
      variant: 'again',
      here: 'right',
      newId: ids(4000),
    });
    expect(twice.variants.map((v) => v.name)).toEqual(['Half-face trial', 'Half-face trial 2']);
    const won = otherWay(CHART, otherBase());
    expect(won.steps.map((s) => s.id)).toEqual(CHART.steps.map((s) => s.id));
    expect(won.steps[0]!.use[0]!.product.line).toBe('Other');
  });

  test('it is judged where it lies', () => {
    expect(zonesCompared(CHART, changedSteps(CHART, otherBase()))).toEqual(
      expect.arrayContaining(['forehead', 'nose', 'cheek', 'chin']),
    );
    const contour = swapStep(CHART, id(102), 'left out')!;
    expect(zonesCompared(CHART, changedSteps(CHART, contour))).toEqual(['cheek']);
    const nowhere = { ...CHART, steps: CHART.steps.map((s) => ({ ...s, placements: [] })) };
    expect(zonesCompared(nowhere, changedSteps(nowhere, swapStep(nowhere, BASE.id, 'left out')!))).toEqual(
      TRIAL_ZONES,
    );
  });

  test.each([
    ['a shade that is seen to differ', { lab: [40, 13, 17] as [number, number, number] }, /shades differ by/],
    ['much more of it', { mgPerMeasure: 900 }, /times as much/],
    ['another texture under the same tool', { texture: 'loose' as const }, /one is liquid, the other loose/],
  ])('more than was asked is told: %s', (_, more, says) => {
    expect(differsBesides(changedSteps(CHART, otherBase(more)), 'product').join(' ')).toMatch(says);
  });
  test('nothing is told where only the asked thing differs', () => {
    const lab = colourOfUse(BASE.use);
    const mg = BASE.use.reduce((sum, use) => sum + use.parts * use.product.mgPerMeasure, 0);
    const alike = otherBase({ lab: lab && [...lab], mgPerMeasure: mg / 2 });
    expect(differsBesides(changedSteps(CHART, alike), 'product')).toEqual([]);
    expect(
      differsBesides(changedSteps(CHART, swapStep(CHART, BASE.id, { tool: 'dense brush' })!), 'tool'),
    ).toEqual([]);
  });
});

describe('one question', () => {
  test('is the same whichever of both the chart has, and in every shade; not by another measure', () => {
    const one = questionOf(CHART, otherBase(), 'shine');
    const turned = otherWay(CHART, otherBase());
    const back = swapProduct(turned, BASE.id, {
      parts: [
        {
          product: { ...otherProduct(), shade: 'S99' },
          unit: { id: id(1), productId: id(10), openedOn: null, remainingMg: 1, place: '' },
          pumps: 1,
        },
      ],
      doseFactor: 1,
    })!;
    const other = questionOf(turned, back, 'shine');
    expect(other.question).toEqual(one.question);
    expect(other.chartHas).not.toBe(one.chartHas);
    expect(questionOf(CHART, otherBase(), 'creasing').question.key).not.toBe(one.question.key);
    expect(one.question.text).toBe('Which stays less shiny: Ordway Line or Ordway Other?');
  });
  test('shades of one line are told apart by shade, where it is the shade that is asked', () => {
    const { question } = questionOf(CHART, otherBase({ line: 'Line', shade: 'S77' }), 'coverage');
    expect([question.a.words, question.b.words]).toContain('Ordway Line S77');
    expect(question.a.key).not.toBe(question.b.key);
  });
  test('is the same in every language, asked in its words', () => {
    const swaps = [
      otherBase(),
      otherBase({ line: 'Line', shade: 'S77' }),
      swapStep(CHART, id(102), 'left out')!,
      swapSchool(CHART, { contour: 'under base' })!,
    ];
    for (const swap of swaps) {
      const one = questionOf(CHART, swap, 'shine');
      const told = inAnotherLanguage(() => questionOf(CHART, swap, 'shine'));
      expect([told.question.key, told.question.a.key, told.question.b.key, told.chartHas]).toEqual([
        one.question.key,
        one.question.a.key,
        one.question.b.key,
        one.chartHas,
      ]);
      expect(told.question.text).toMatch(/^«/);
    }
  });
  test('with and without a step, and another order, have names a newcomer reads', () => {
    expect(questionOf(CHART, swapStep(CHART, id(102), 'left out')!, 'camera').question.text).toBe(
      'Which looks better to the camera: with “Contour” or without “Contour”?',
    );
    expect(questionOf(CHART, swapSchool(CHART, { contour: 'under base' })!, 'shine').question.text).toBe(
      'Which stays less shiny: contour: over base or contour: under base?',
    );
  });
});
const otherProduct = () => ({
  ...BASE.use[0]!.product,
  withdrawn: false,
  singleUse: false,
  eyeSafe: false,
  tintingStrength: 1,
  monthsAfterOpening: 12 as const,
});

describe('where a trial stands', () => {
  test('the published example, told as events: .6875 of a grade, whichever side A was on', () => {
    const looks = [
      shine(0, 'nose', 0, 0),
      shine(2, 'nose', 0, 1),
      shine(4, 'nose', 1, 2),
      shine(8, 'nose', 1, 3),
      shine(0, 'forehead', 0, 0),
      shine(4, 'forehead', 1, 1),
      shine(8, 'forehead', 1, 2),
    ];
    for (const [aSide, outcome] of [
      ['left', 1],
      ['right', -1],
    ] as const) {
      const now = trialNow(trialOf(aSide), [applied(), ...looks]);
      expect(now.compared.difference).toBeCloseTo(outcome * 0.6875, 12);
      expect(now.compared.outcome).toBe(outcome);
      expect(now.state).toBe('worn');
    }
    const words = trialWords(trialOf('left'), trialNow(trialOf('left'), [applied(), ...looks]));
    expect(words).toBe(
      'Here Ordway Line stayed less shiny (nose 1.1, forehead .3 of a grade on average over 8 h). One face and one draw: a better side cannot be ruled out. Swap sides next time.',
    );
  });

  test('in whatever order it is told, it stands the same; and its events are what the schema says', () => {
    const all: TrialEvent[] = [
      applied(),
      shine(2, 'nose', 0, 1),
      shine(4, 'nose', 1, 2),
      shine(8, 'nose', 1, 3),
      event({ kind: 'judged', guess: 'left' }),
    ];
    all.forEach((one) => expect(Value.Check(TrialEventSchema, one)).toBe(true));
    expect(Value.Check(TrialSchema, trialOf('left'))).toBe(true);
    const straight = trialNow(trialOf('left'), all);
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (told) => {
        expect(trialNow(trialOf('left'), told)).toEqual(straight);
      }),
    );
    expect(straight).toMatchObject({ state: 'judged', guess: 'left' });
  });

  test('other judges, other measures and what is looked at long after are no part of the number', () => {
    const counted = [applied(), shine(4, 'nose', 0, 2)];
    const number = trialNow(trialOf('left'), counted).compared.difference;
    const beside = [
      { ...shine(4, 'nose', 3, 0), judge: 'artist' as const },
      shine(20, 'nose', 3, 0),
      shine(4, 'cheek', 3, 0),
    ];
    const now = trialNow(trialOf('left'), [...counted, ...beside]);
    expect(now.compared.difference).toBe(number);
    // Kept and shown for all that: an hour after the last planned one still counts, what comes later is told
    // apart.
    expect(now.seenLater.map(({ hour, value }) => [hour, value])).toEqual([
      [20, 3],
      [20, 0],
    ]);
    for (const [hour, later] of [
      [8, 0],
      [9, 0],
      [9.1, 2],
    ] as const) {
      const at = trialNow(trialOf('left'), [applied(), shine(hour, 'nose', 3, 0)]);
      expect([at.seen.length, at.seenLater.length]).toEqual([2 - later, later]);
    }
    expect(trialNow(trialOf('left'), [...counted, shine(8.5, 'nose', 3, 0)]).compared.difference).not.toBe(
      number,
    );
  });

  test('before it was put on nothing is seen; a half that stings lost, both stinging compare nothing', () => {
    expect(trialNow(trialOf('left'), [shine(4, 'nose', 0, 2)]).compared.outcome).toBeNull();
    const stings = (stung: Side | 'both') =>
      trialNow(trialOf('left'), [applied(), { ...shine(4, 'nose', 0, 3), stings: stung } as TrialEvent]);
    expect(stings('left').compared.outcome).toBe(-1);
    expect(stings('right').compared.outcome).toBe(1);
    expect(stings('both').compared.outcome).toBeNull();
    expect(stings('left').state).toBe('ended');
    expect(trialWords(trialOf('left'), stings('left'))).toMatch(/^Ordway Line stung/);
    const [left, right] = [
      { ...shine(1, 'nose', 0, 0), stings: 'left' },
      { ...shine(2, 'nose', 0, 0), stings: 'right' },
    ] as TrialEvent[];
    expect(trialNow(trialOf('left'), [applied(), left!, right!]).stung).toBe('both');
  });

  test.each([
    ['before it was put on', AT, { lookedAt: '2031-05-14T07:59:00Z' }, 'lookedAt'],
    ['nothing put on yet', null, {}, 'lookedAt'],
    ['nothing said', AT, { seen: [] }, 'seen'],
    [
      'a grade there is not',
      AT,
      { seen: [{ zone: 'nose', side: 'left', measure: 'shine', value: 4 }] },
      'seen[0].value',
    ],
    [
      'half a grade',
      AT,
      { seen: [{ zone: 'nose', side: 'left', measure: 'shine', value: 1.5 }] },
      'seen[0].value',
    ],
  ] as const)('a look that cannot be is told where: %s', (_, appliedAt, change, path) => {
    const look = { ...shine(2, 'nose', 0, 1), ...change } as Parameters<typeof questionLook>[1];
    expect(questionLook(appliedAt, look)?.path).toBe(path);
    expect(questionLook(AT, shine(2, 'nose', 0, 1))).toBeNull();
  });
  test('a colour may be between grades', () => {
    const look = {
      ...shine(2, 'nose', 0, 1),
      seen: [{ zone: 'nose', side: 'left', measure: 'colour', value: 2.4 }],
    } as never;
    expect(questionLook(AT, look)).toBeNull();
  });
});

describe('the decision is hers', () => {
  const count = (outcomes: readonly (1 | -1 | 0)[], own: 1 | -1 | 0 | null = 1) => ({
    outcome: own,
    verdict: verdictOf(
      outcomes.map((outcome, i) => ({ aSide: SIDES[i % 2]!, outcome, leftMinusRight: outcome })),
    ),
  });
  test.each([
    ['a', 'client', count([1]), true, null],
    ['b', 'client', count([1]), false, /against/],
    ['either', 'client', count([1]), false, /against/],
    ['either', 'client', count([0], 0), true, null],
    ['more', 'studio', count([1]), true, null],
    ['a', 'studio', count([1, 1]), true, /Too few/],
    ['a', 'studio', count([1, 1, 1, 1, 1, 1]), true, null],
    ['b', 'studio', count([1, 1, 1, 1, 1, 1]), false, /against/],
    ['b', 'client', count([1, 1, 1, 1, 1, 1], -1), true, null],
  ] as const)('%s for %s', (choice, scope, counted, follows, reason) => {
    expect(followsCount(choice, scope, counted)).toBe(follows);
    const asked = asksReason(choice, scope, counted);
    if (reason === null) expect(asked).toBeNull();
    else expect(asked).toMatch(reason);
  });

  test('against the count it is told with its reason', () => {
    const trial = trialOf('left');
    const decided = event({
      kind: 'decided',
      choice: 'b',
      scope: 'client',
      follows: false,
      reason: 'the feel of it',
      neck: 'yes',
      camera: 'no',
      by: 'Mara Oduya',
    }) as never;
    expect(
      decisionWords(trial.question, decided, { counts: { better: 4, worse: 1, ties: 0, trials: 5 } }),
    ).toBe('Decided for Ordway Other against the count (Ordway Line 4 of 5): the feel of it. Mara Oduya.');
  });

  test('what a question says: counts, the next such client, and never more than it can', () => {
    const trials = [1, 1, 1, 1, -1].map((outcome, i) => ({
      aSide: SIDES[i % 2]!,
      outcome: outcome as 1 | -1,
      leftMinusRight: 1,
    }));
    const said = verdictInWords(trialOf('left').question, trials).join(' ');
    expect(said).toContain(
      'Ordway Line did better on 4 of 5. On the next such client about 7 of 10 (5 to 9).',
    );
    expect(said).toContain('Too few to tell.');
    expect(said).toMatch(/At best \d+ more trials/);
    expect(verdictInWords(trialOf('left').question, [])).toEqual(['None has been judged yet.']);
    // Turned about, the other leads by as much.
    const turned = trials.map((t) => ({ ...t, outcome: -t.outcome as 1 | -1 }));
    expect(verdictInWords(trialOf('left').question, turned).join(' ')).toContain(
      'Ordway Other did better on 4 of 5. On the next such client about 7 of 10 (5 to 9).',
    );
  });

  test('a trial nobody judged keeps the place of its draw and counts for nothing', () => {
    const trial = trialOf('left');
    expect(asCounted(trial, trialNow(trial, [applied(), shine(4, 'nose', 0, 2)]))).toEqual({
      aSide: 'left',
      outcome: null,
      leftMinusRight: null,
    });
    const judged = trialNow(trial, [applied(), shine(4, 'nose', 0, 2), event({ kind: 'judged' })]);
    expect(asCounted(trial, judged)).toMatchObject({ outcome: 1 });
    expect(after(1) > AT).toBe(true);
  });
});

describe('the studio’s questions', () => {
  const n = (i: number) => id(8000 + i);
  const trialAt = (i: number, aSide: Side, client: number, more: Partial<Trial> = {}): Trial => ({
    ...trialOf(aSide),
    id: n(i),
    clientId: id(100 + client),
    draw: { ...trialOf(aSide).draw, at: after(24 * i) },
    ...more,
  });
  const won = (by: 'a' | 'b', aSide: Side): TrialEvent[] => {
    const low = (by === 'a') === (aSide === 'left') ? 'left' : 'right';
    return [
      applied(),
      shine(4, 'nose', low === 'left' ? 0 : 2, low === 'left' ? 2 : 0),
      event({ kind: 'judged', guess: aSide }),
    ];
  };

  test('six clients, sides in turn, A always better: the evidence of the published table', () => {
    const records = Array.from({ length: 6 }, (_, i) => {
      const aSide = SIDES[i % 2]!;
      return { trial: trialAt(i, aSide, i), events: won('a', aSide) };
    });
    const [question] = questionsSoFar(records);
    expect(question!.verdict.counts).toEqual({ better: 6, worse: 0, ties: 0, trials: 6 });
    expect(question!.verdict.words).toBe('leaning');
    expect(question!.guesses).toEqual({ right: 6, of: 6 });
    expect(question!.says[0]).toBe('Ordway Line did better on 6 of 6.');
    // Told in any order, it is the order of the draws that counts.
    expect(questionsSoFar([...records].reverse())).toEqual(questionsSoFar(records));
  });

  test('a client is one unit: the first judged trial counts, a repeated one does not move it', () => {
    const first = { trial: trialAt(0, 'left', 1), events: won('a', 'left') };
    const again = { trial: trialAt(1, 'right', 1), events: won('b', 'right') };
    const sealed = { trial: trialAt(2, 'left', 1), events: [applied(), shine(4, 'nose', 0, 2)] };
    const [question] = questionsSoFar([first, again, sealed]);
    expect(question!.verdict.counts).toEqual({ better: 1, worse: 0, ties: 0, trials: 1 });
    expect(question!.marks.map(({ outcome, counts, state }) => [outcome, counts, state])).toEqual([
      [1, true, 'judged'],
      [-1, false, 'judged'],
      [null, false, 'worn'],
    ]);
  });

  test('kinds of skin lean on the whole, and are told only where there is more than one', () => {
    const oily = Array.from({ length: 6 }, (_, i) => ({
      trial: trialAt(i, SIDES[i % 2]!, i),
      events: won(i < 5 ? 'a' : 'b', SIDES[i % 2]!),
    }));
    expect(questionsSoFar(oily)[0]!.groups).toEqual([]);
    const dry = [6, 7, 8, 9].map((i) => ({
      trial: trialAt(i, SIDES[i % 2]!, i, { skin: 'dry' }),
      events: won(i < 8 ? 'a' : 'b', SIDES[i % 2]!),
    }));
    const one = { trial: trialAt(10, 'left', 10, { skin: 'mixed' }), events: won('b', 'left') };
    const means = questionsSoFar([...oily, ...dry, one])[0]!.groups.map(({ share }) => share.mean);
    expect(means.map((mean) => Number(mean.toFixed(4)))).toEqual([0.6853, 0.5504, 0.4943]);
  });

  test('questions are kept apart by what is asked', () => {
    const other = { ...trialOf('left').question, key: 'another', text: 'Another?' };
    const records = [
      { trial: trialAt(0, 'left', 1), events: [] },
      { trial: trialAt(1, 'left', 2), events: [] },
      { trial: trialAt(2, 'left', 3, { question: other }), events: [] },
    ];
    expect(questionsSoFar(records).map(({ question, marks }) => [question.text, marks.length])).toEqual([
      [trialOf('left').question.text, 2],
      ['Another?', 1],
    ]);
    expect(questionsSoFar([])).toEqual([]);
  });

  test.each([
    [['nose'], false, ['nose'], 'oily'],
    [['nose'], true, ['nose'], 'mixed'],
    [['nose'], true, ['chin'], 'dry'],
    [['nose'], false, ['chin', 'cheek'], 'normal'],
    [['cheeks'], false, ['chin', 'cheek'], 'oily'],
    [['lids'], false, ['underEye', 'mouth', 'neck'], 'normal'],
  ] as const)('skin that shines at %j, dry %j, judged at %j is %s', (oily, dry, zones, group) => {
    expect(skinGroupOf({ oily: [...oily], dry }, zones)).toBe(group);
  });
});
