import fc from 'fast-check';
import { TRIAL_ZONES, type TrialZone } from './measures';
import { outlookWords, wearOutlook } from './outlook';
import { CHART, halvesOf, otherBase } from './halfTrial.testing';
import { countOf, groupWears } from './wearGroups';
import { checkWears } from './wear';
import {
  checkTimes,
  hoursAt,
  zoneWears,
  type WearCheck,
  type WearState,
  type ZoneWear,
  wornByZone,
  wornTold,
} from './wearCheck';
import { SKIN_GROUPS } from './skinGroup';
import { writeWearCsv } from './wearCsv';
import { WEAR_CLIMATES } from './wearSetting';
import { inAnotherLanguage } from '../messages/messages.testing';

const START = Date.parse('2031-05-14T08:00:00Z');
let n = 0;
const look = (
  hours: number,
  zones: Partial<Record<TrialZone, WearState>>,
  more: Partial<WearCheck> = {},
): WearCheck => ({
  id: `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`,
  chartId: 'chart',
  version: 1,
  clientId: 'ada',
  appliedAt: new Date(START).toISOString(),
  at: new Date(START + hours * 3_600_000).toISOString(),
  judge: 'artist',
  by: 'Runa',
  zones,
  touched: [],
  marks: [],
  stings: false,
  worn: { nose: 'Veil', mouth: 'Kiss' },
  ...more,
});
const nose = (state: WearState) => ({ nose: state });
const wearOf = (checks: readonly WearCheck[], zone: TrialZone = 'nose') =>
  zoneWears(checks).find((one) => one.zone === zone)?.wear;

describe('a first wear out of looks', () => {
  test.each<[string, WearCheck[], { good: number; bad: number | null } | undefined]>([
    ['never looked at', [look(2, { cheek: 'holds' })], undefined],
    ['held so far', [look(2, nose('holds')), look(6, nose('holds'))], { good: 6, bad: null }],
    ['starting is holding', [look(2, nose('holds')), look(6, nose('starting'))], { good: 6, bad: null }],
    [
      'failed between two looks',
      [look(4, nose('holds')), look(6, nose('needs a touch-up'))],
      { good: 4, bad: 6 },
    ],
    ['failed at the first look', [look(4, nose('needs a touch-up'))], { good: 0, bad: 4 }],
    ['told out of order', [look(6, nose('needs a touch-up')), look(4, nose('holds'))], { good: 4, bad: 6 }],
    [
      'recovered without a touch: the first failing counts',
      [look(4, nose('needs a touch-up')), look(6, nose('holds'))],
      { good: 0, bad: 4 },
    ],
    [
      'a missed look stays missing',
      [look(2, nose('holds')), look(4, { cheek: 'holds' }), look(8, nose('needs a touch-up'))],
      { good: 2, bad: 8 },
    ],
    [
      'touched up because it failed: that is the failing, and what comes after is another wear',
      [look(4, nose('needs a touch-up'), { touched: ['nose'] }), look(6, nose('holds'))],
      { good: 0, bad: 4 },
    ],
    [
      'touched up while it held: nobody watched any longer',
      [look(4, nose('holds'), { touched: ['nose'] }), look(8, nose('needs a touch-up'))],
      { good: 4, bad: null },
    ],
    ['touched up unseen', [look(4, {}, { touched: ['nose'] })], { good: 4, bad: null }],
    [
      'it stings: counted against it',
      [look(2, nose('holds')), look(3, {}, { stings: true })],
      { good: 2, bad: 3 },
    ],
    [
      'of two in one minute the later told counts',
      [look(4, nose('needs a touch-up')), look(4, nose('holds'))],
      { good: 4, bad: null },
    ],
    ['failing when it was just put on', [look(0, nose('needs a touch-up'))], { good: 0, bad: 1 / 60 }],
    ['before it was put on is nothing', [look(-1, nose('needs a touch-up'))], undefined],
  ])('%s', (_, checks, wear) => expect(wearOf(checks)).toEqual(wear));

  test('the same chart put on another day is another wear; two clients’ are two', () => {
    const later = { appliedAt: '2031-05-15T08:00:00.000Z', at: '2031-05-15T11:00:00.000Z' };
    const wears = zoneWears([
      look(2, nose('holds')),
      look(0, nose('holds'), later),
      look(2, nose('holds'), { clientId: 'be', chartId: 'other' }),
    ]).filter((one) => one.zone === 'nose');
    expect(wears.map(({ clientId, wear }) => [clientId, wear.good])).toEqual([
      ['ada', 2],
      ['ada', 3],
      ['be', 2],
    ]);
  });

  test('whatever is told, in whatever order, a wear is one that can be', () => {
    const aLook = fc
      .record({
        hours: fc.double({ min: -2, max: 40, noNaN: true }),
        state: fc.constantFrom<WearState | null>('holds', 'starting', 'needs a touch-up', null),
        touched: fc.boolean(),
        stings: fc.boolean(),
      })
      .map(({ hours, state, touched, stings }) =>
        look(hours, state ? nose(state) : {}, { touched: touched ? ['nose'] : [], stings }),
      );
    fc.assert(
      fc.property(fc.array(aLook, { maxLength: 12 }), (checks) => {
        const wears = zoneWears(checks).map(({ wear }) => wear);
        expect(() => checkWears(wears)).not.toThrow();
        const sound = checks.filter((check) => checkTimes(check) === null);
        expect(zoneWears(sound)).toEqual(zoneWears(checks));
        const failing = sound.some((c) => c.stings || c.zones.nose === 'needs a touch-up');
        if (!failing) for (const wear of wears) expect(wear.bad).toBeNull();
      }),
    );
  });
});

test.each([
  [-0.001, 'before it was put on'],
  [0, null],
  [30, null],
  [30.01, 'more than 30 hours'],
])('%f h after it was put on', (hours, words) => {
  const said = checkTimes(look(hours, {}));
  if (words === null) expect(said).toBeNull();
  else expect(said).toContain(words);
});
test('no time is none', () => expect(checkTimes({ appliedAt: 'soon', at: 'later' })).toBe('This is no time'));

test('hours are by instants: a night on which clocks go back is an hour longer', () =>
  expect(hoursAt({ appliedAt: '2031-10-25T22:00:00+01:00', at: '2031-10-26T06:00:00+00:00' })).toBe(9));

const NOT_TOLD = { skin: null, climate: null } as const;
const wearing = (clientId: string, worn: string, wear: ZoneWear['wear'], i = 0): ZoneWear => ({
  zone: 'nose',
  clientId,
  chartId: `chart ${clientId}`,
  appliedAt: `2031-05-${String(1 + (i % 28)).padStart(2, '0')}T08:00:00Z`,
  worn,
  setting: NOT_TOLD,
  wear,
});
const many = (count: number, clientId: string, worn: string, wear: ZoneWear['wear']): ZoneWear[] =>
  Array.from({ length: count }, (_, i) => wearing(clientId, worn, wear, i));
const NOW = new Date('2031-06-01T08:00:00Z');
/** As if all were of today: what fades is tried by itself. */
const fresh = (wears: readonly ZoneWear[]): ZoneWear[] =>
  wears.map((one) => ({ ...one, appliedAt: NOW.toISOString() }));
const at = (wears: readonly ZoneWear[], clientId = 'ada', hours = 8) =>
  wearOutlook(groupWears(fresh(wears), clientId, NOW), { worn: { nose: 'Veil' } }, hours)[0]!;

describe('what is likely', () => {
  test('without any looks it is the trade’s guess, and says so', () => {
    const guess = at([]);
    expect(guess.holds.mean).toBeCloseTo(0.5, 3);
    expect(outlookWords(guess)).toContain('the trade’s guess: nobody looked yet');
    expect(outlookWords(guess)).toContain('roughly 5 of 10');
  });

  test('one failure moves little, many speak, and those of the client most', () => {
    const failed = { good: 2, bad: 4 };
    const guess = at([]).holds.mean;
    const one = at(many(1, 'be', 'Veil', failed)).holds.mean;
    const ten = at(many(10, 'be', 'Veil', failed)).holds.mean;
    const own = at([...many(5, 'be', 'Veil', failed), ...many(5, 'ada', 'Veil', failed)]).holds.mean;
    expect(one).toBeLessThan(guess);
    expect(guess - one).toBeLessThan(0.25);
    expect(ten).toBeLessThan(0.15);
    const mixed = at([...many(8, 'be', 'Veil', { good: 10, bad: null }), ...many(4, 'ada', 'Veil', failed)])
      .holds.mean;
    const hers = at(
      [...many(8, 'be', 'Veil', { good: 10, bad: null }), ...many(4, 'ada', 'Veil', failed)],
      'be',
    ).holds.mean;
    expect(mixed).toBeLessThan(hers - 0.2);
    expect(own).toBeLessThan(0.2);
  });

  test('another product in the same place moves it too, less surely, and no longer once this one was looked at', () => {
    const failed = { good: 2, bad: 4 };
    const other = at(many(6, 'be', 'Gauze', failed)).holds;
    const same = at(many(6, 'be', 'Veil', failed)).holds;
    expect(other.mean).toBeLessThan(at([]).holds.mean);
    expect(other.high - other.low).toBeGreaterThan(same.high - same.low);
    const width = (count: number): number => {
      const { low, high } = at(many(count, 'be', 'Veil', { good: 6, bad: 10 })).holds;
      return high - low;
    };
    expect([width(3), width(10), width(40)].sort((a, b) => b - a)).toEqual([width(3), width(10), width(40)]);
    expect(width(40)).toBeLessThan(0.25);
    const held = many(12, 'be', 'Veil', { good: 10, bad: null });
    expect(at([...held, ...many(6, 'be', 'Gauze', failed)]).holds.mean).toBeGreaterThan(0.7);
  });

  test('another zone moves nothing, and a zone nothing stands on is not spoken of', () => {
    const cheeks = many(9, 'be', 'Veil', { good: 0, bad: 1 }).map((one) => ({
      ...one,
      zone: 'cheek' as const,
    }));
    expect(at(cheeks).holds).toEqual(at([]).holds);
    expect(wearOutlook([], { worn: {} }, 8)).toEqual([]);
    expect(wearOutlook([], { worn: Object.fromEntries(TRIAL_ZONES.map((z) => [z, 'x'])) }, 8)).toHaveLength(
      TRIAL_ZONES.length,
    );
  });

  test('longer is never likelier, more that held never makes it less, the band holds the mean', () => {
    const aWear = fc
      .tuple(fc.integer({ min: 0, max: 12 }), fc.option(fc.integer({ min: 1, max: 6 })))
      .map(([good, more]) => ({ good, bad: more === null ? null : good + more }));
    fc.assert(
      fc.property(fc.array(aWear, { maxLength: 15 }), fc.integer({ min: 1, max: 11 }), (wears, hours) => {
        const all = wears.map((wear, i) =>
          wearing(i % 3 === 0 ? 'ada' : 'be', i % 2 ? 'Veil' : 'Gauze', wear, i),
        );
        const now = at(all, 'ada', hours).holds;
        expect(at(all, 'ada', hours + 1).holds.mean).toBeLessThanOrEqual(now.mean + 1e-12);
        const held = at([...all, wearing('ada', 'Veil', { good: 12, bad: null }, 27)], 'ada', hours).holds;
        expect(held.mean).toBeGreaterThanOrEqual(now.mean - 1e-9);
        expect(now.low).toBeLessThanOrEqual(now.mean + 1e-9);
        expect(now.high).toBeGreaterThanOrEqual(now.mean - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test.each([
    [9, 'roughly'],
    [10, 'about'],
  ])('of %i wears it says %s', (count, word) => {
    const words = outlookWords(at(many(count, 'be', 'Veil', { good: 6, bad: 8 })));
    expect(words).toContain(`holds on ${word} `);
    expect(words).toContain(`${count} wears of it looked at`);
    expect(words).not.toContain('%');
  });
});

describe('wears counted together', () => {
  const aWear = fc.record({
    good: fc.double({ min: 0, max: 14, noNaN: true }),
    more: fc.option(fc.double({ min: 0.01, max: 6, noNaN: true })),
    who: fc.constantFrom('ada', 'be', 'cy'),
    what: fc.constantFrom('Veil', 'Gauze', null),
    skin: fc.constantFrom(...SKIN_GROUPS, null),
    climate: fc.constantFrom(...WEAR_CLIMATES, null),
    days: fc.integer({ min: 0, max: 900 }),
  });
  const made = (
    { good, more, who, what, days, skin, climate }: typeof aWear extends fc.Arbitrary<infer T> ? T : never,
    i: number,
  ): ZoneWear => ({
    zone: 'nose',
    clientId: who,
    chartId: `chart ${i}`,
    appliedAt: new Date(NOW.getTime() - days * 86_400_000).toISOString(),
    worn: what,
    setting: { skin, climate },
    wear: { good, bad: more === null ? null : good + more },
  });

  test('none is lost, each is where it surely was, and the order they are told in is nothing to them', () => {
    fc.assert(
      fc.property(fc.array(aWear, { maxLength: 40 }), (told) => {
        const wears = told.map(made);
        const groups = groupWears(wears, 'ada', NOW);
        expect(countOf(groups)).toBe(wears.length);
        expect(countOf(groups.filter((one) => one.own))).toBe(
          wears.filter((one) => one.clientId === 'ada').length,
        );
        const backwards = groupWears([...wears].reverse(), 'ada', NOW);
        expect(backwards.map(({ weight: _weight, ...rest }) => rest)).toEqual(
          groups.map(({ weight: _weight, ...rest }) => rest),
        );
        backwards.forEach(({ weight }, i) => expect(weight).toBeCloseTo(groups[i]!.weight, 9));
        for (const { good, bad, weight, count } of groups) {
          expect(bad === null || bad > good).toBe(true);
          expect(weight).toBeGreaterThan(0);
          expect(weight).toBeLessThanOrEqual(count + 1e-9);
        }
        wears.forEach(({ wear, worn, clientId }) =>
          expect(
            groups.some(
              (one) =>
                one.worn === worn &&
                one.own === (clientId === 'ada') &&
                one.good <= wear.good + 1e-9 &&
                one.good > wear.good - 0.25 - 1e-6 &&
                (wear.bad === null ? one.bad === null : one.bad !== null && one.bad >= wear.bad - 1e-6),
            ),
          ).toBe(true),
        );
      }),
      { numRuns: 80 },
    );
  });

  test('what is a year and a half old counts half', () => {
    const old = {
      ...wearing('be', 'Veil', { good: 2, bad: 4 }),
      appliedAt: new Date(NOW.getTime() - 540 * 86_400_000).toISOString(),
    };
    expect(groupWears([old], null, NOW)[0]).toMatchObject({ count: 1, weight: 0.5, own: false });
  });

  test('to the quarter it says nearly what the very minutes say', () => {
    fc.assert(
      fc.property(fc.array(aWear, { minLength: 1, maxLength: 25 }), (told) => {
        const wears = told
          .map((one, i) => made({ ...one, days: 0 }, i))
          .map((one) => ({ ...one, worn: 'Veil' }));
        const exact = wears.map(({ wear }, i) => ({
          zone: 'nose' as const,
          worn: 'Veil',
          own: wears[i]!.clientId === 'ada',
          ...NOT_TOLD,
          ...wear,
          count: 1,
          weight: 1,
        }));
        const [one] = wearOutlook(groupWears(wears, 'ada', NOW), { worn: { nose: 'Veil' } }, 8);
        const [two] = wearOutlook(exact, { worn: { nose: 'Veil' } }, 8);
        expect(Math.abs(one!.holds.mean - two!.holds.mean)).toBeLessThan(0.05);
      }),
      { numRuns: 60 },
    );
  });
});

test('as CSV it has a row a look, and no cell that would run as a formula', () => {
  const [head, one, two, ...rest] = writeWearCsv([
    look(4.5, nose('starting'), { by: '=HYPERLINK("x")', marks: ['meal', 'tears'] }),
    look(6, {}, { stings: true, touched: ['nose', 'mouth'] }),
  ]).split('\n');
  expect(head).toBe(
    'put on,looked at,hours,judged by,by,forehead,nose,cheek,underEye,mouth,chin,neck,touched up,marks,stings',
  );
  expect(one).toBe(
    '2031-05-14T08:00:00.000Z,2031-05-14T12:30:00.000Z,4.50,artist,"\'=HYPERLINK(""x"")",,starting,,,,,,,meal tears,',
  );
  expect(two).toContain(',nose mouth,,yes');
  expect(rest).toEqual(['']);
});

test('what is worn is what is planned: halves of a trial and other variants stand for nothing', () => {
  const plain = wornByZone(CHART);
  expect(plain.nose).toBe('Ordway Line');
  expect(wornByZone(halvesOf(otherBase()))).toEqual(plain);
  // Two shades of one line, and a drop that adjusts it, are that line.
  const mixed = CHART.steps[0]!.use;
  expect(mixed.length).toBeGreaterThan(1);
  const [use] = mixed;
  const drop = { ...use!, product: { ...use!.product, kind: 'adjuster' as const, line: 'Drops' } };
  const adjusted = {
    ...CHART,
    steps: CHART.steps.map((step, i) => (i === 0 ? { ...step, use: [use!, drop] } : step)),
  };
  expect(wornByZone(adjusted).nose).toBe('Ordway Line');
});

test('a mix is the same mix whichever line is named first, and in every language', () => {
  const [use] = CHART.steps[0]!.use;
  const mixed = (...lines: string[]) =>
    wornByZone({
      ...CHART,
      steps: [
        { ...CHART.steps[0]!, use: lines.map((line) => ({ ...use!, product: { ...use!.product, line } })) },
      ],
    }).nose;
  expect(mixed('Silk', 'Dew')).toBe('Ordway Dew with Ordway Silk');
  expect(mixed('Dew', 'Silk', 'Dew')).toBe('Ordway Dew with Ordway Silk');
  const [wear] = zoneWears([look(2, { nose: 'holds' }, { worn: { nose: 'Ordway Silk with Ordway Dew' } })]);
  expect(wear!.worn).toBe(mixed('Silk', 'Dew'));
  expect(inAnotherLanguage(() => mixed('Silk', 'Dew'))).toBe('Ordway Dew with Ordway Silk');
  expect(inAnotherLanguage(() => wornTold('Ordway Dew with Ordway Silk'))).toBe(
    'Ordway Dew« with »Ordway Silk',
  );
});

test('of several bases each zone is told what lies there last, and nothing where none does', () => {
  const [first] = CHART.steps;
  const base = (
    line: string,
    ...guides: ('zone.wholeFace' | 'zone.neck' | 'zone.mobileLid' | 'zone.apple')[]
  ) => ({
    ...first!,
    id: `${first!.id.slice(0, -4)}${line.length.toString().padStart(4, '0')}`,
    role: 'base' as const,
    use: [{ ...first!.use[0]!, product: { ...first!.use[0]!.product, line } }],
    placements: guides.map((guide) => ({ guide, side: 'both' as const })),
  });
  const worn = (...steps: ReturnType<typeof base>[]) => wornByZone({ ...CHART, steps });
  const face = base('Face', 'zone.wholeFace');
  expect(worn(face).neck).toBeUndefined();
  expect(worn(face).nose).toBe('Ordway Face');
  const neck = base('Body cloth', 'zone.neck');
  expect(worn(face, neck)).toMatchObject({
    nose: 'Ordway Face',
    underEye: 'Ordway Face',
    neck: 'Ordway Body cloth',
  });
  expect(worn(base('Both of them', 'zone.wholeFace', 'zone.neck'))).toMatchObject({
    chin: 'Ordway Both of them',
    neck: 'Ordway Both of them',
  });
  // A lid's base, and one laid once more on the cheeks alone.
  const more = worn(face, base('Lid', 'zone.mobileLid'), base('Second', 'zone.apple'));
  expect(more).toMatchObject({ nose: 'Ordway Face', cheek: 'Ordway Second', forehead: 'Ordway Face' });
  expect(worn(base('Lid', 'zone.mobileLid'))).toEqual({});
  expect(worn({ ...face, placements: [] }).chin).toBe('Ordway Face');
});
