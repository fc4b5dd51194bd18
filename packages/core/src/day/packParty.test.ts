import {
  disposablesFor,
  packProducts,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  sharedAtOnce,
  toolSets,
  workingDaysBefore,
  type PackUnit,
  type Take,
} from '.';

const take = (person: string, mg: number, change: Partial<Take> = {}): Take => ({
  productId: 'base',
  person,
  worker: 'm1',
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

test('one unit and two artists at once is found, one after the other is not', () => {
  const packed = [
    { productId: 'base', needMg: 1, haveMg: 1, shortMg: 0, units: ['a'], left: [], buy: 0, buyBy: null },
  ];
  const at = (start: number, worker: string) => take(worker, 100, { start, end: start + 40, worker });
  expect(sharedAtOnce([at(500, 'm1'), at(520, 'm2')], packed)).toEqual([
    { productId: 'base', workers: ['m1', 'm2'], from: 520, to: 540 },
  ]);
  expect(sharedAtOnce([at(500, 'm1'), at(540, 'm2')], packed)).toEqual([]);
  expect(sharedAtOnce([at(500, 'm1'), at(520, 'm2')], [{ ...packed[0]!, units: ['a', 'b'] }])).toEqual([]);
});

test('tools: the most in use or being cleaned at once, and one more', () => {
  const faces = [
    [510, 550],
    [560, 600],
    [605, 645],
    [650, 690],
  ].map(([start, end]) => ({ start: start!, end: end! }));
  expect(toolSets(faces, 30)).toEqual({ sets: 2, spare: 1 });
  expect(toolSets(faces, null)).toEqual({ sets: 4, spare: 1 });
  expect(toolSets(faces, 5)).toEqual({ sets: 1, spare: 1 });
  expect(toolSets([], 30)).toEqual({ sets: 0, spare: 0 });
});

test('disposables: a fifth more, half more without a shop, at least two more', () => {
  expect(disposablesFor(10)).toEqual({
    wands: 48,
    lipTools: 36,
    spatulas: 12,
    capes: 12,
    cotton: 48,
    gloves: 12,
  });
  expect(disposablesFor(10, { shop: false }).wands).toBe(60);
  expect(disposablesFor(1)).toMatchObject({ capes: 3, wands: 6 });
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

  test('working days leave out week-ends', () => {
    expect(workingDaysBefore('2027-06-10', 5)).toBe('2027-06-03');
    expect(workingDaysBefore('2027-06-07', 1)).toBe('2027-06-04');
    expect(workingDaysBefore('2027-06-07', 0)).toBe('2027-06-07');
  });
});
