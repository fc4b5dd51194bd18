import fc from 'fast-check';
import {
  areaOf,
  inferLandmarks,
  intersectRegions,
  outlineOf,
  placementArea,
  SIDES,
  subtractRegion,
  uniteOutlines,
  type Landmarks,
  type Placement,
  type Region,
  type Side,
} from '../face';
import { stepsOfVariant, type Chart, type Step } from '../look';
import { aSideAt, drawPlaces } from './draw';
import { compareHalves, comparePlaces, type SeenHalf } from './compareHalves';
import { applied, BASE, CHART, event, ids, otherBase, shine, trialOf } from './halfTrial.testing';
import { changedSteps, swapStep, trialZoneOutlines } from './halves';
import { TRIAL_ZONES, type TrialZone } from './measures';
import { questionsSoFar } from './questions';
import { trialNow } from './trial';
import { asCounted, trialWords, wayAt } from './trialWords';
import { verdictOf } from './verdict';
import { isLocal, withPlaces, type OtherPlace } from './withHalves';

const POWDER: Step = {
  ...BASE,
  id: '0190a000-0000-7000-8000-000000000777',
  phase: 'set',
  role: 'powder',
  title: 'Powder',
  placements: [
    { guide: 'zone.foreheadCentre', side: 'both' },
    { guide: 'zone.noseBridge', side: 'both' },
    { guide: 'zone.apple', side: 'both' },
    { guide: 'zone.underEye', side: 'both' },
    { guide: 'zone.chin', side: 'both' },
    {
      outline: [
        [20, -10],
        [60, -5],
        [55, 60],
        [18, 50],
      ],
      featherMm: 3,
      side: 'both',
    },
  ],
  use: BASE.use.map((use) => ({ ...use, parts: 4 })),
};
const powdered = (landmarks: Landmarks = CHART.client.landmarks): Chart => ({
  ...CHART,
  client: { ...CHART.client, landmarks },
  steps: [...CHART.steps, POWDER],
});
const made = (chart: Chart, other: readonly OtherPlace[]): Step[] =>
  stepsOfVariant(
    withPlaces(chart, swapStep(chart, POWDER.id, { tool: 'dense brush' })!, {
      variant: 't',
      other,
      newId: ids(3000),
    }).steps,
    't',
  ).filter((step) => step.title.endsWith('Powder'));

const region = (placements: readonly Placement[], { client }: Chart): Region =>
  uniteOutlines(
    placements.flatMap((p) => outlineOf(p, client.landmarks, client.features).flatMap((s) => s.region)),
  );
const zonesOf = (other: readonly OtherPlace[], { client }: Chart): Region =>
  uniteOutlines(other.flatMap(({ zone, side }) => trialZoneOutlines(zone, client.landmarks, side)));

const places = fc
  .uniqueArray(fc.constantFrom(...TRIAL_ZONES), { minLength: 2, maxLength: 7 })
  .chain((zones) =>
    fc.tuple(
      ...zones.map((zone) => fc.constantFrom<Side>(...SIDES).map((side): OtherPlace => ({ zone, side }))),
    ),
  );
const faces: readonly Landmarks[] = [
  CHART.client.landmarks,
  inferLandmarks({ faceLength: 200, cheekboneWidth: 124 }),
  inferLandmarks({ faceLength: 164, cheekboneWidth: 143 }),
  inferLandmarks({ jawWidth: 96, faceLength: 178 }),
  inferLandmarks({ jawWidth: 124, faceLength: 188 }),
];

describe('the other way in some places', () => {
  test('over faces and draws: together they are the whole, nothing twice, the other way only where it was drawn', () => {
    fc.assert(
      fc.property(places, fc.constantFrom(...faces), (other, landmarks) => {
        const chart = powdered(landmarks);
        const where = zonesOf(other, chart);
        const whole = region(POWDER.placements, chart);
        // Where what differs does not lie at all there is nothing to try.
        fc.pre(areaOf(intersectRegions(whole, where)) > 60);
        const steps = made(chart, other);
        const there = steps.find((step) => step.title.startsWith('Only in places'));
        const here = steps.find((step) => step.title.startsWith('Not everywhere'));
        const [mine, others] = [region(here?.placements ?? [], chart), region(there!.placements, chart)];
        const missed = areaOf(subtractRegion(whole, uniteOutlines([...mine, ...others])));
        expect(missed / areaOf(whole)).toBeLessThan(0.02);
        expect(areaOf(intersectRegions(mine, others)) / areaOf(whole)).toBeLessThan(0.01);
        // A canonical outline carried to a face is a little off that face's own: it is told in millimetres,
        // not in nothing.
        expect(areaOf(subtractRegion(others, where)) / Math.max(1, areaOf(others))).toBeLessThan(0.04);
        expect(areaOf(intersectRegions(mine, where)) / areaOf(where)).toBeLessThan(0.04);
      }),
      { numRuns: 60 },
    );
  });

  test('each says where it lies, is measured by its share, and stands for the plan’s step; the plan is as it was', () => {
    const chart = powdered();
    const other: OtherPlace[] = [
      { zone: 'forehead', side: 'left' },
      { zone: 'nose', side: 'right' },
      { zone: 'chin', side: 'left' },
    ];
    const [here, there] = made(chart, other);
    expect(here!.title).toBe('Not everywhere: Powder');
    expect(there!.title).toBe('Only in places: Powder');
    expect(there!.note).toMatch(/^Only on the client’s left forehead and chin; on the client’s right nose\./);
    expect(here!.note).toMatch(/^Not on the client’s left forehead and chin; /);
    expect([here!.tool, there!.tool]).toEqual([POWDER.tool, 'dense brush']);
    expect([here!.instead, there!.instead]).toEqual([POWDER.id, POWDER.id]);
    const area = (step: Step): number =>
      step.placements.reduce((sum, p) => sum + placementArea(p, chart.client.landmarks), 0);
    for (const step of [here!, there!]) {
      const parts = (4 * area(step)) / area(POWDER);
      expect(Math.abs(step.use[0]!.parts - parts)).toBeLessThanOrEqual(0.125 + 1e-9);
    }
    const swap = swapStep(chart, POWDER.id, { tool: 'dense brush' })!;
    const after = withPlaces(chart, swap, { variant: 't', other, newId: ids(1) });
    expect(stepsOfVariant(after.steps, null)).toEqual(chart.steps);
  });

  test('left out in some places it is worked in the others alone, and in all of them nowhere', () => {
    const chart = { ...powdered(), steps: [{ ...POWDER, placements: POWDER.placements.slice(0, 1) }] };
    const without = swapStep(chart, POWDER.id, 'left out')!;
    const worked = (other: readonly OtherPlace[]) =>
      stepsOfVariant(withPlaces(chart, without, { variant: 't', other, newId: ids(1) }).steps, 't');
    const left = worked([{ zone: 'forehead', side: 'left' }]);
    expect(left.map((s) => s.title)).toEqual(['Not everywhere: Powder']);
    const pieces = region(left[0]!.placements, chart).filter((outline) => areaOf([outline]) > 0.1);
    expect(pieces.every((outline) => outline.every(([x]) => x < 0.1))).toBe(true);
    expect(areaOf(pieces)).toBeGreaterThan(1000);
    const nowhere = worked(SIDES.map((side) => ({ zone: 'forehead', side })));
    expect(nowhere).toHaveLength(1);
    expect(nowhere[0]!.placements).toEqual([]);
    expect(() => worked([{ zone: 'neck', side: 'left' }])).toThrow(RangeError);
  });

  test.each([
    ['powder', swapStep(powdered(), POWDER.id, 'left out')!, true],
    ['base', swapStep(powdered(), BASE.id, 'left out')!, false],
  ])('%s may be tried place by place: %s', (_, swap, local) =>
    expect(isLocal(changedSteps(powdered(), swap))).toBe(local),
  );
  test('primer and corrector may, a base may not, and nothing that differs is nothing', () => {
    const as = (more: Partial<Step>): boolean => isLocal([{ here: { ...BASE, ...more }, other: null }]);
    expect(as({ phase: 'prime', role: 'care' })).toBe(true);
    expect(as({ role: 'correct' })).toBe(true);
    expect(as({ role: 'care', phase: 'prep' })).toBe(false);
    expect(as({ role: 'conceal' })).toBe(false);
    expect(isLocal([])).toBe(false);
    expect(isLocal(changedSteps(CHART, otherBase()))).toBe(false);
  });
});

describe('a coin for each place', () => {
  test('one seed, one draw; each place falls either way as often, whatever the others did', () => {
    expect(drawPlaces('studio-7/trial-2', ['nose', 'chin'])).toEqual(
      drawPlaces('studio-7/trial-2', ['nose', 'chin']),
    );
    const many = Array.from({ length: 2000 }, (_, i) => drawPlaces(`s/${i}`, ['nose', 'chin', 'cheek']));
    const share = (of: (one: (typeof many)[number]) => boolean): number =>
      many.filter(of).length / many.length;
    for (const i of [0, 1, 2])
      expect(Math.abs(share((one) => one[i]!.aSide === 'left') - 0.5)).toBeLessThan(0.04);
    for (const [i, j] of [
      [0, 1],
      [1, 2],
      [0, 2],
    ] as const)
      expect(Math.abs(share((one) => one[i]!.aSide === one[j]!.aSide) - 0.5)).toBeLessThan(0.04);
  });

  test('a place nothing was drawn for is refused', () =>
    expect(() => aSideAt({ places: [{ zone: 'nose', aSide: 'left' }] }, 'chin')).toThrow(RangeError));

  const declared = { measure: 'shine', by: 'client', zones: ['nose', 'chin', 'cheek'], margin: 0.5 } as const;
  const seen = fc.array(
    fc.record({
      hour: fc.constantFrom(0, 2, 4, 8),
      zone: fc.constantFrom(...declared.zones),
      side: fc.constantFrom<Side>(...SIDES),
      measure: fc.constant('shine' as const),
      by: fc.constant('client' as const),
      value: fc.integer({ min: 0, max: 3 }),
    }),
    { maxLength: 30 },
  );
  const drawn = fc
    .tuple(...declared.zones.map(() => fc.constantFrom<Side>(...SIDES)))
    .map((sides) => ({ places: declared.zones.map((zone, i) => ({ zone, aSide: sides[i]! })) }));

  test('it is as if every place had A on one side, seen in a mirror where it had not', () => {
    fc.assert(
      fc.property(seen, drawn, (looks: SeenHalf[], sides) => {
        const turned = looks.map((one): SeenHalf =>
          aSideAt(sides, one.zone) === 'left'
            ? one
            : { ...one, side: one.side === 'left' ? 'right' : 'left' },
        );
        const { leftMinusRight: _mirrored, ...plain } = compareHalves('left', declared, turned);
        const { leftMinusRight, ...own } = comparePlaces(sides, declared, looks);
        expect(own).toEqual(plain);
        expect(leftMinusRight).toEqual(compareHalves('left', declared, looks).leftMinusRight);
      }),
    );
  });
});

const placesTrial = (sides: Readonly<Partial<Record<TrialZone, Side>>>) => {
  const zones = TRIAL_ZONES.filter((zone) => sides[zone]);
  const one = trialOf('left');
  return {
    ...one,
    declared: { ...one.declared, zones, design: 'places' as const },
    draw: {
      seed: 's',
      at: one.draw.at,
      by: 'Ada',
      places: zones.map((zone) => ({ zone, number: 0.2, aSide: sides[zone]! })),
    },
  };
};

describe('what one face says', () => {
  const trial = placesTrial({ forehead: 'left', nose: 'right', chin: 'left' });
  const worn = (nose: readonly [number, number]) => [
    applied(),
    shine(4, 'forehead', 0, 3),
    shine(4, 'nose', ...nose),
    shine(4, 'chin', 0, 3),
  ];

  test('in how many places, and that a better side is no matter', () => {
    expect(wayAt(trial, 'left', 'forehead')).toBe(trial.question.a.words);
    expect(wayAt(trial, 'left', 'nose')).toBe(trial.question.b.words);
    const all = trialNow(trial, worn([2, 0]));
    expect(all.compared.outcome).toBe(1);
    expect(trialWords(trial, all)).toMatch(/ in 3 of 3 places \(.*Each place had a draw of its own/);
    const most = trialNow(trial, worn([0, 1]));
    expect(trialWords(trial, most)).toMatch(/ in 2 of 3 places \(.*nose against it/);
    expect(trialWords(trial, all) + trialWords(trial, most)).not.toMatch(
      /better side cannot be ruled out|p =|%/,
    );
  });

  test('where it stung both ways lay: nothing is counted against either', () => {
    const now = trialNow(trial, [
      ...worn([2, 0]),
      event({
        kind: 'looked',
        judge: 'client',
        lookedAt: '2031-05-14T13:00:00Z',
        seen: [],
        touched: [],
        marks: [],
        stings: 'left',
      }),
    ]);
    expect(now.compared.outcome).toBeNull();
    expect(trialWords(trial, now)).toMatch(/^It stung on the client’s left, where both ways lay/);
  });

  test('a guess of one side is none where each place had its own', () => {
    const judged = (one: ReturnType<typeof trialOf>) => ({
      trial: one,
      events: [...worn([2, 0]), event({ kind: 'judged', guess: 'left' })],
    });
    expect(questionsSoFar([judged(trial)])[0]!.guesses).toEqual({ right: 0, of: 0 });
    expect(questionsSoFar([judged(trialOf('left'))])[0]!.guesses).toEqual({ right: 1, of: 1 });
    expect(questionsSoFar([judged(trialOf('right'))])[0]!.guesses).toEqual({ right: 0, of: 1 });
  });

  test('of its question it is one client, by a fair coin the next draw does not lean on', () => {
    const now = { ...trialNow(trial, worn([2, 0])), judgedAt: '2031-05-14T18:00:00Z' };
    expect(asCounted(trial, now)).toMatchObject({ aSide: null, outcome: 1 });
    const half = { aSide: 'left', outcome: 1, leftMinusRight: 1 } as const;
    const own = { aSide: null, outcome: 1, leftMinusRight: 0.2 } as const;
    // Put before or behind, it changes neither what the leaning coin gave the others nor the evidence in all.
    expect(verdictOf([own, half, half]).evidence).not.toBe(verdictOf([half, half]).evidence);
    const lone = verdictOf([own]).evidence;
    expect(lone).toBeCloseTo(1, 12);
    expect(verdictOf([{ ...own, outcome: null }, half, half]).evidence).toBe(
      verdictOf([half, half]).evidence,
    );
  });

  test('with no difference at all the evidence stays fair: its mean over all draws is one', () => {
    // Halves lean on each other's draws, places do not: all sequences, each by its own chance.
    const kinds = ['half', 'places', 'half', 'half', 'places'] as const;
    const leftBetter = [true, false, true, true, false];
    let mean = 0;
    const walk = (
      i: number,
      surplus: number,
      chance: number,
      trials: Parameters<typeof verdictOf>[0],
    ): void => {
      if (i === kinds.length) {
        mean += chance * verdictOf(trials).evidence;
        return;
      }
      if (kinds[i] === 'places') {
        for (const outcome of [1, -1] as const)
          walk(i + 1, surplus, chance / 2, [...trials, { aSide: null, outcome, leftMinusRight: 0 }]);
        return;
      }
      const left = surplus === 0 ? 1 / 2 : surplus > 0 ? 1 / 3 : 2 / 3;
      for (const aSide of SIDES)
        walk(i + 1, surplus + (aSide === 'left' ? 1 : -1), chance * (aSide === 'left' ? left : 1 - left), [
          ...trials,
          {
            aSide,
            outcome: (aSide === 'left') === leftBetter[i] ? 1 : -1,
            leftMinusRight: leftBetter[i] ? 1 : -1,
          },
        ]);
    };
    walk(0, 0, 1, []);
    expect(mean).toBeCloseTo(1, 10);
  });
});
