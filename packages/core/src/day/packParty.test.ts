import fc from 'fast-check';
import { addDays } from '../calendar';
import {
  disposablesFor,
  packProducts,
  partyRunUp,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  sharedAtOnce,
  toolsAtOnce,
  workingDaysBefore,
  type PackUnit,
  type Take,
} from '.';

const take = (person: string, mg: number, change: Partial<Take> = {}): Take => ({
  productId: 'base',
  person,
  worker: 'm1',
  place: 'house',
  start: 500,
  end: 540,
  mg,
  ...change,
});
const unit = (id: string, mg: number, change: Partial<PackUnit> = {}): PackUnit => ({
  id,
  productId: 'base',
  mg,
  opened: false,
  usableUntil: null,
  ...change,
});
const product = { id: 'base', powder: false, unitMg: 30_000 };

test('three faces by sponge against what is left: short, one bottle, by when', () => {
  const takes = [1200, 900, 800].map((mg, i) => take(`p${i}`, mg / 0.75));
  const [packed] = packProducts(
    '2027-06-12',
    takes,
    [product],
    [unit('a', 2000), unit('b', 1500, { usableUntil: '2027-06-11' })],
  );
  expect(packed).toMatchObject({
    haveMg: 2000,
    buy: 1,
    buyBy: '2027-06-03',
    units: ['a'],
    left: [{ unit: 'b', because: 'past' }],
  });
  expect(packed!.needMg).toBeCloseTo(4833.33, 1);
  expect(packed!.shortMg).toBeCloseTo(2833.33, 1);
});

test('of each product its own units are taken, whatever else lies in the cases', () => {
  const other = { id: 'lip', powder: false, unitMg: 3_000 };
  const takes = [take('a', 600), take('a', 90, { productId: 'lip' })];
  const units = [
    unit('a', 2000),
    unit('b', 1500, { productId: 'lip' }),
    unit('c', 900, { productId: 'brow' }),
  ];
  const packed = packProducts('2027-06-12', takes, [product, other], units);
  expect(packed.map(({ productId, haveMg, units: some }) => [productId, haveMg, some])).toEqual([
    ['base', 2000, ['a']],
    ['lip', 1500, ['b']],
  ]);
  const none = packProducts('2027-06-12', takes, [product, other], [units[0]!]);
  expect(none.map(({ haveMg, shortMg }) => [haveMg, shortMg > 0])).toEqual([
    [2000, false],
    [0, true],
  ]);
});

test('the last day of its life is good, the next is not; withdrawn is never taken', () => {
  const packed = (date: string) =>
    packProducts(
      date,
      [take('a', 100)],
      [product],
      [unit('a', 2000, { usableUntil: '2027-06-12' }), unit('b', 2000, { withdrawn: true })],
    )[0]!;
  expect(packed('2027-06-12')).toMatchObject({
    units: ['a'],
    shortMg: 0,
    buyBy: null,
    left: [{ unit: 'b', because: 'withdrawn' }],
  });
  expect(packed('2027-06-13')).toMatchObject({ units: [], buy: 1 });
});

test('opened units go first, and no more are carried than are needed', () => {
  const units = [
    unit('full', 30_000),
    unit('open', 9000, { opened: true }),
    unit('rest', 400, { opened: true }),
  ];
  expect(packProducts('2027-06-12', [take('a', 1000)], [product], units)[0]!.units).toEqual(['open']);
  expect(packProducts('2027-06-12', [take('a', 20_000)], [product], units)[0]!.units).toEqual(['full']);
  expect(packProducts('2027-06-12', [take('a', 29_000)], [product], units)[0]!.units).toEqual([
    'open',
    'full',
  ]);
});

test('powder has the smaller margin, a face takes at least a measure, a ferry brings buying forward', () => {
  const powder = packProducts(
    '2027-06-12',
    [take('a', 100, { measureMg: 300 })],
    [{ ...product, powder: true }],
    [],
  )[0]!;
  expect(powder.needMg).toBeCloseTo(345, 6);
  expect(
    packProducts('2027-06-12', [take('a', 100)], [product], [], { lastShop: '2027-05-30' })[0]!.buyBy,
  ).toBe('2027-05-30');
  expect(
    packProducts('2027-06-12', [take('a', 100)], [product], [], { lastShop: '2027-06-11' })[0]!.buyBy,
  ).toBe('2027-06-03');
});

describe('more than one pair of hands', () => {
  const at = (worker: string | null, start: number, change: Partial<Take> = {}) =>
    take(`${worker} ${start}`, 100, { start, end: start + 40, worker, ...change });
  const packed = (takes: readonly Take[], units: readonly PackUnit[]) =>
    packProducts('2027-06-12', takes, [product], units)[0]!;
  const told = (takes: readonly Take[], units: readonly PackUnit[]) =>
    sharedAtOnce(takes, [packed(takes, units)]);
  const two = [unit('a', 2000), unit('b', 1500)];

  test('two at once each take a unit along where there are two; with one it is told', () => {
    const takes = [at('m1', 500), at('m2', 539)];
    expect(packed(takes, two).units).toEqual(['a', 'b']);
    expect(packed(takes, two).sharing).toMatchObject([
      { workers: ['m1'], units: ['a'], covered: true },
      { workers: ['m2'], units: ['b'], covered: true },
    ]);
    expect(told(takes, two)).toEqual([]);
    expect(told(takes, [two[0]!])).toEqual([{ productId: 'base', workers: ['m1', 'm2'], how: 'at once' }]);
  });

  test('one ends as the other begins: one unit goes from hand to hand, and no second is carried', () => {
    const takes = [at('m1', 500), at('m2', 540)];
    expect(packed(takes, two).units).toEqual(['a']);
    expect(told(takes, [two[0]!])).toEqual([]);
  });

  test('in different places each needs one, though never at once; whoever goes from one to the other carries it', () => {
    const there = { place: 'chapel' };
    const apart = [at('m1', 500), at('m2', 600, there)];
    expect(packed(apart, two).units).toEqual(['a', 'b']);
    expect(told(apart, [two[0]!])).toEqual([{ productId: 'base', workers: ['m1', 'm2'], how: 'apart' }]);
    const carried = [at('m1', 500), at('m2', 540), at('m2', 700, there)];
    expect(packed(carried, two).units).toEqual(['a']);
    const back = [at('m1', 500), at('m2', 600, there), at('m1', 700)];
    expect(packed(back, two).units).toEqual(['a', 'b']);
  });

  test('a second unit that does not hold what is taken from it is told; where all of it is too little, it is bought', () => {
    const takes = [at('m1', 500, { mg: 1000 }), at('m2', 510, { mg: 1000 })];
    const scanty = [unit('a', 5000), unit('b', 1249)];
    expect(packed(takes, scanty).shortMg).toBe(0);
    expect(told(takes, scanty)).toMatchObject([{ how: 'at once' }]);
    expect(told(takes, [scanty[0]!, unit('b', 1250)])).toEqual([]);
    expect(told(takes, [unit('a', 100)])).toEqual([]);
    expect(packed(takes, [unit('a', 100)])).toMatchObject({ buy: 1 });
    expect(packed(takes, [])).toMatchObject({ buy: 2 });
  });

  test('whom nobody is planned for takes from what there is', () => {
    const takes = [at(null, 500), at(null, 500), at('m1', 510)];
    expect(packed(takes, two).sharing).toHaveLength(1);
    expect(told(takes, [two[0]!])).toEqual([]);
  });

  test('empty units are not carried', () =>
    expect(packed([at('m1', 500)], [unit('a', 0, { opened: true }), unit('b', 5)]).units).toEqual(['b']));

  const anyTakes = fc.array(
    fc.record({
      worker: fc.constantFrom('m1', 'm2', 'm3', 'm4'),
      place: fc.constantFrom('house', 'chapel'),
      slot: fc.nat({ max: 9 }),
      mg: fc.integer({ min: 10, max: 900 }),
    }),
    { minLength: 1, maxLength: 9 },
  );
  const anyUnits = fc.array(fc.integer({ min: 1, max: 3000 }), { maxLength: 6 });

  /**
   * The morning played minute by minute: where each unit is and in whose hands, by nothing of how it was
   * planned.
   */
  function playable(takes: readonly Take[]): boolean {
    let at: Take | null = null;
    for (let minute = 0; minute <= 500; minute++) {
      const now = takes.filter((one) => one.start <= minute && minute < one.end);
      if (new Set(now.map((one) => one.worker)).size > 1) return false;
      for (const one of now) {
        if (at && at.worker !== one.worker && at.place !== one.place) return false;
        at = one;
      }
    }
    return true;
  }

  test('any morning can be played out of what is packed, or it is told that it cannot', () => {
    fc.assert(
      fc.property(anyTakes, anyUnits, (drawn, sizes) => {
        // Nobody is in two places, or at two faces, at once.
        const takes = [...new Map(drawn.map((one) => [`${one.worker} ${one.slot}`, one])).values()].map(
          ({ worker, place, slot, mg }, i) =>
            take(`g${i}`, mg, { worker, place, start: slot * 30, end: slot * 30 + 40 - (slot % 2) * 20 }),
        );
        fc.pre(
          takes.every((one) =>
            takes.every(
              (other) =>
                one === other ||
                one.worker !== other.worker ||
                one.end <= other.start ||
                other.end <= one.start,
            ),
          ),
        );
        const units = sizes.map((mg, i) => unit(`u${i}`, mg));
        const list = packed(takes, units);
        // Everybody takes from one group's units, and each group's takes follow one another.
        expect(list.sharing.flatMap(({ persons }) => persons).sort()).toEqual(
          takes.map((t) => t.person).sort(),
        );
        for (const { persons } of list.sharing)
          expect(playable(takes.filter((one) => persons.includes(one.person)))).toBe(true);
        if (playable(takes)) expect(list.sharing).toHaveLength(1);
        const carried = list.sharing.flatMap((one) => one.units);
        expect(new Set(carried).size).toBe(carried.length);
        expect(list.units).toEqual(carried);
        for (const { persons, units: theirs, covered } of list.sharing) {
          const want = takes.filter((one) => persons.includes(one.person)).reduce((sum, t) => sum + t.mg, 0);
          const have = theirs.reduce((sum, id) => sum + units.find((one) => one.id === id)!.mg, 0);
          expect(covered).toBe(have >= want * 1.25);
          // Without a unit only where there is none for everybody.
          if (theirs.length === 0) expect(units.length).toBeLessThan(list.sharing.length);
        }
        const wanting = list.sharing.some(({ covered }) => !covered);
        expect(list.shortMg > 0 || sharedAtOnce(takes, [list]).length > 0).toBe(wanting || list.shortMg > 0);
      }),
      { numRuns: 400 },
    );
  });
});

test('tools: the most in use or being cleaned at once, and one more; each face as many as it takes', () => {
  const faces = (counts: readonly number[]) =>
    [
      [510, 550],
      [560, 600],
      [605, 645],
      [650, 690],
    ].map(([start, end], i) => ({ start: start!, end: end!, count: counts[i]! }));
  const one = faces([1, 1, 1, 1]);
  expect(toolsAtOnce(one, 30)).toEqual({ clean: 2, spare: 1 });
  expect(toolsAtOnce(one, null)).toEqual({ clean: 4, spare: 1 });
  expect(toolsAtOnce(one, 5)).toEqual({ clean: 1, spare: 1 });
  expect(toolsAtOnce([], 30)).toEqual({ clean: 0, spare: 0 });
  expect(toolsAtOnce(faces([3, 1, 1, 4]), 30)).toEqual({ clean: 5, spare: 1 });
  expect(toolsAtOnce(faces([3, 1, 1, 4]), null)).toEqual({ clean: 9, spare: 1 });
  expect(toolsAtOnce(faces([3, 1, 1, 4]), 5)).toEqual({ clean: 4, spare: 1 });
  // Clean again in the very minute the next begins.
  expect(toolsAtOnce(faces([2, 2, 2, 2]), 10).clean).toBe(4);
  expect(toolsAtOnce(faces([2, 2, 0, 0]), 10).clean).toBe(2);
});

test('disposables: a fifth more, half more without a shop, at least two more', () => {
  const all = (faces: number) => ({ faces, lashes: faces, lips: faces });
  expect(disposablesFor(all(10))).toEqual({
    wands: 48,
    lipTools: 36,
    spatulas: 12,
    capes: 12,
    cotton: 48,
    gloves: 12,
  });
  expect(disposablesFor(all(10), { shop: false }).wands).toBe(60);
  expect(disposablesFor(all(1))).toMatchObject({ capes: 3, wands: 6 });
  // Who wears extensions, or nothing on the lips, takes none; two are there for whoever comes besides.
  expect(disposablesFor({ faces: 10, lashes: 4, lips: 0 })).toMatchObject({
    capes: 12,
    wands: 20,
    lipTools: 2,
  });
});

describe('the run-up', () => {
  const by = (tasks: ReturnType<typeof runUpTasks>) =>
    Object.fromEntries(tasks.map((task) => [task.id, [task.from, task.by]]));

  test('dates of a June wedding', () =>
    expect(by(runUpTasks('2027-06-12', { buyBy: '2027-06-03', patchTest: true }))).toMatchObject({
      trial: ['2027-04-17', '2027-05-15'],
      lastNew: ['2027-05-01', '2027-05-01'],
      reread: ['2027-05-29', '2027-05-29'],
      buy: ['2027-06-03', '2027-06-03'],
      agree: ['2027-06-02', '2027-06-02'],
      brows: ['2027-06-09', '2027-06-10'],
      pack: ['2027-06-10', '2027-06-10'],
      callSheet: ['2027-06-11', '2027-06-11'],
      wearNotes: ['2027-06-13', '2027-06-13'],
      rebook: ['2027-06-26', '2027-06-26'],
    }));

  test('booked late: what is past is missed, not overdue; no new product, no patch test', () => {
    const tasks = runUpTasks('2027-06-12', { bookedOn: '2027-06-01' });
    expect(tasks.filter((task) => task.missed).map((task) => task.id)).toEqual([
      'lastNew',
      'trial',
      'reread',
    ]);
    expect(tasks.some((task) => task.id === 'patchTest' || task.id === 'buy')).toBe(false);
    expect(tasks.map((task) => task.by)).toEqual([...tasks.map((task) => task.by)].sort());
  });

  test('a task is to come, to be done by now, late, done, or too late from the beginning: both sides of each day', () => {
    const brows = (bookedOn?: string) =>
      runUpTasks('2027-06-12', bookedOn ? { bookedOn } : {}).find((task) => task.id === 'brows')!;
    const state = (today: string, done = false) => runUpState(brows(), done, today);
    expect(['2027-06-08', '2027-06-09', '2027-06-10', '2027-06-11'].map((day) => state(day))).toEqual([
      'to come',
      'now',
      'now',
      'late',
    ]);
    expect(state('2027-06-11', true)).toBe('done');
    expect(runUpState(brows('2027-06-10'), false, '2027-06-11')).toBe('late');
    expect(runUpState(brows('2027-06-11'), false, '2027-06-11')).toBe('missed');
    for (const { id } of runUpTasks('2027-06-12', { buyBy: '2027-06-03', patchTest: true }))
      expect(RUN_UP_WORDS[id].length).toBeGreaterThan(3);
  });

  test('a party buys by the day its packing list says, before its last shop where there is none after', () => {
    const buying = (plan: Parameters<typeof partyRunUp>[1]) =>
      partyRunUp('2027-06-12', plan).find(({ id }) => id === 'buy')!.by;
    expect(buying(null)).toBe('2027-06-03');
    expect(buying({ noShop: true, lastShop: '2027-06-02' })).toBe('2027-06-02');
    expect(buying({ noShop: true, lastShop: '2027-06-03' })).toBe('2027-06-03');
    expect(buying({ noShop: true, lastShop: '2027-06-04' })).toBe('2027-06-03');
    expect(buying({ noShop: true })).toBe('2027-06-03');
    // A day that was typed and taken back with the switch counts no more.
    expect(buying({ noShop: false, lastShop: '2027-05-20' })).toBe('2027-06-03');
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 800 }).map((days) => addDays('2027-01-01', days)),
        fc.option(fc.integer({ min: 1, max: 40 })),
        (date, before) => {
          const lastShop = before === null ? null : addDays(date, -before);
          const packed = packProducts(date, [take('a', 100)], [product], [], { lastShop })[0]!.buyBy;
          expect(partyRunUp(date, { noShop: true, lastShop }).find(({ id }) => id === 'buy')!.by).toBe(
            packed,
          );
        },
      ),
    );
  });

  test('working days leave out week-ends', () => {
    expect(workingDaysBefore('2027-06-10', 5)).toBe('2027-06-03');
    expect(workingDaysBefore('2027-06-07', 1)).toBe('2027-06-04');
    expect(workingDaysBefore('2027-06-07', 0)).toBe('2027-06-07');
  });
});
