import { fitLook, trialVariant, type Chart, type Step } from '../look';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import type { Kit, Product, Unit } from '../kit';
import { newGuest, newPlan } from './newPlan';
import { packParty, type PackingList } from './packingList';
import { faceOf, type Guest, type PartyPlan } from './party';

const DATE = '2031-05-14';
const BASE = product(10, 'base', [64, 12, 19], {
  shade: 'Sand',
  mgPerMeasure: 200,
  ingredients: ['lanolin'],
});
const POWDER = product(11, 'powder', [80, 6, 15], { shade: 'Veil', texture: 'loose', mgPerMeasure: 50 });
const LIP = product(12, 'lip colour', [45, 30, 15], { shade: 'Rose', texture: 'stick', mgPerMeasure: 20 });
const BALM = product(13, 'lip colour', [55, 20, 12], { shade: 'Petal', texture: 'stick', mgPerMeasure: 20 });
const MASCARA = product(14, 'mascara', [12, 0, 0], { shade: 'Black', mgPerMeasure: 30, eyeSafe: true });
const LASHES = product(15, 'lashes', [12, 0, 0], {
  shade: 'Fan',
  mgPerMeasure: 10,
  singleUse: true,
  eyeSafe: true,
});

const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
let made = 0;
const step = (
  of: Product | null,
  {
    role,
    phase,
    tool = 'small brush',
    parts = 1,
    unitId = null,
    ...more
  }: Partial<Step> & {
    readonly role: Step['role'];
    readonly phase: Step['phase'];
    readonly parts?: number;
    readonly unitId?: string | null;
  },
): Step => ({
  ...fitted.steps[0]!,
  id: id(600 + made++),
  title: role,
  role,
  phase,
  tool,
  placements: role === 'powder' || role === 'base' ? [{ guide: 'zone.wholeFace', side: 'both' }] : [],
  use: of ? [{ product: of, measure: of.measure, parts, unitId }] : [],
  ...more,
});
const base = (more = {}): Step => step(BASE, { role: 'base', phase: 'base', tool: 'damp sponge', ...more });
const powder = (more = {}): Step =>
  step(POWDER, { role: 'powder', phase: 'set', tool: 'loose brush', ...more });
const lip = (more = {}): Step => step(LIP, { role: 'lip', phase: 'lips', tool: 'small brush', ...more });
const chartOf = (steps: readonly Step[], sensitivities: string[] = []): Chart => ({
  ...fitted,
  client: client(undefined, { sensitivities }),
  steps: [...steps],
});

const start = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
const guest = (name: string, more: Partial<Guest> = {}): Guest => ({
  ...newGuest(name, { name, role: 'guest', readyBy: 720, faceMinutes: 40, hairMinutes: null }, start),
  ...more,
});
const [ada, bel] = [guest('Ada'), guest('Bel')];
const TWO_PLACES = [...start.places, { id: 'church', name: 'Church' }];
const TWO_HANDS = [start.hands[0]!, { ...start.hands[0]!, id: 'hands-2', name: 'Sol' }];
const visit = (of: Guest, worker: string, at: number) => ({
  of: of.id,
  task: faceOf(of),
  worker,
  chair: null,
  start: at,
  minutes: 40,
});
const planned = (guests: readonly Guest[], more: Partial<PartyPlan> = {}): PartyPlan => ({
  ...start,
  guests: [...guests],
  ...more,
});
const timetable = (...visits: ReturnType<typeof visit>[]): PartyPlan['timetable'] => ({
  ways: {},
  visits,
  boundLate: 0,
  boundCost: 0,
  proven: true,
});
const packed = (
  charts: readonly (readonly [Guest, Chart])[],
  more: Partial<PartyPlan> = {},
  kit: Kit = kitOf(BASE, POWDER, LIP, BALM, MASCARA, LASHES),
  options: Partial<Parameters<typeof packParty>[4]> = {},
): PackingList =>
  packParty(
    { date: DATE },
    planned(
      charts.map(([one]) => one),
      more,
    ),
    new Map(charts.map(([one, chart]) => [one.id, chart])),
    kit,
    { today: '2031-04-01', ...options },
  );
const unit = (n: number, of: Product, remainingMg: number, more: Partial<Unit> = {}): Unit => ({
  id: id(n),
  productId: of.id,
  openedOn: '2031-03-01',
  remainingMg,
  place: `case ${n}`,
  ...more,
});
const titles = (things: readonly { title: string }[]): string[] => things.map(({ title }) => title);
const detailOf = (things: readonly { title: string; detail: string }[], of: string): string | undefined =>
  things.find(({ title }) => title === of)?.detail;

describe('products', () => {
  test('are units by their key, by name, with where each lies and for whom', () => {
    const { products, short, gone, shared } = packed([
      [ada, chartOf([base(), lip()])],
      [bel, chartOf([base()])],
    ]);
    expect(titles(products)).toEqual(['Ordway Line Rose', 'Ordway Line Sand']);
    expect(products[1]).toEqual({
      key: `unit:${id(500)}`,
      title: 'Ordway Line Sand',
      detail: 'case 1, A1 · for Ada, Bel',
    });
    expect([short, gone, shared]).toEqual([[], [], []]);
  });

  test('go with whose hands, where two work at once and each has one of their own', () => {
    const kit: Kit = { products: [BASE], units: [unit(31, BASE, 5000), unit(32, BASE, 5000)] };
    const faces = [
      [ada, chartOf([base()])],
      [bel, chartOf([base()])],
    ] as const;
    const together = packed(
      faces,
      { hands: TWO_HANDS, timetable: timetable(visit(ada, 'hands-1', 500), visit(bel, 'hands-2', 500)) },
      kit,
    );
    expect(together.products.map(({ detail }) => detail).sort()).toEqual([
      'case 31 · for Ada · goes with Runa',
      'case 32 · for Bel · goes with Sol',
    ]);
    // One after the other, in one place, one goes round.
    const inTurn = packed(
      faces,
      { hands: TWO_HANDS, timetable: timetable(visit(ada, 'hands-1', 500), visit(bel, 'hands-2', 600)) },
      kit,
    );
    expect(inTurn.products.map(({ detail }) => detail)).toEqual(['case 31 · for Ada, Bel']);
  });

  test.each([
    [500, 'at once'],
    [600, 'apart'],
  ] as const)('of one unit for two places, the second begun at %d, are shared %s', (at, how) => {
    const kit: Kit = { products: [BASE], units: [unit(31, BASE, 5000)] };
    const { shared } = packed(
      [
        [ada, chartOf([base()])],
        [{ ...bel, place: 'church' }, chartOf([base()])],
      ],
      {
        places: TWO_PLACES,
        hands: TWO_HANDS,
        timetable: timetable(visit(ada, 'hands-1', 500), visit(bel, 'hands-2', at)),
      },
      kit,
    );
    expect(shared).toEqual([{ productId: BASE.id, name: 'Ordway Line Sand', who: ['Runa', 'Sol'], how }]);
  });

  test.each([
    ['2031-04-01', false],
    ['2031-05-14', true],
  ])('that do not suffice are to be bought, by when; on %s it is too late: %s', (today, tooLate) => {
    const kit: Kit = {
      products: [BASE],
      units: [unit(31, BASE, 100), unit(32, BASE, 5000, { openedOn: '2029-01-01' }), unit(33, BASE, 0)],
    };
    const { short, products } = packed([[ada, chartOf([base({ parts: 3 })])]], {}, kit, { today });
    expect(products.map(({ key }) => key)).toEqual([`unit:${id(31)}`]);
    // Three measures, a quarter more for what is wet.
    expect(short).toEqual([
      {
        productId: BASE.id,
        name: 'Ordway Line Sand',
        needMg: 750,
        haveMg: 100,
        buy: 1,
        buyBy: expect.stringMatching(/^2031-0[45]-\d\d$/),
        tooLate,
        left: ['past'],
      },
    ]);
  });

  test('withdrawn are not taken, and are said as such', () => {
    const kit = kitOf({ ...BASE, withdrawn: true });
    const { short, products } = packed([[ada, chartOf([base()])]], {}, kit);
    expect(products).toEqual([]);
    expect(short[0]!.left).toEqual(['withdrawn']);
  });

  test('are known by their unit, else by kind and name; what is in no case any more is said once', () => {
    const renamed = { ...BASE, id: id(77) };
    // The same name under another id, as after a kit was brought in anew.
    const { products, gone } = packed([[ada, chartOf([base(), lip()])]], {}, kitOf(renamed));
    expect(titles(products)).toEqual(['Ordway Line Sand']);
    expect(gone).toEqual(['Ordway Line Rose']);
    // What a unit holds now is what is taken, whatever it is called by now.
    const byUnit = packed(
      [[ada, chartOf([base({ unitId: id(500) })])]],
      {},
      kitOf({ ...BASE, shade: 'Sand 2' }),
    );
    expect(titles(byUnit.products)).toEqual(['Ordway Line Sand 2']);
    const twice = packed([[ada, chartOf([lip(), lip()])]], {}, kitOf(BASE));
    expect(twice.gone).toEqual(['Ordway Line Rose']);
    // Of that name, but of another kind, it is another thing.
    expect(packed([[ada, chartOf([base()])]], {}, kitOf({ ...BASE, kind: 'concealer' })).gone).toEqual([
      'Ordway Line Sand',
    ]);
  });

  test('of a half of a trial are packed for nobody, nor is anything else of it', () => {
    const half = lip({ variant: trialVariant(id(55)) });
    const list = packed([[ada, chartOf([base(), half])]]);
    expect(titles(list.products)).toEqual(['Ordway Line Sand']);
    expect(titles(list.tools)).toEqual(['Damp sponge']);
    expect(detailOf(list.disposables, 'Lip tools')).toBe('2 to spare');
  });

  test('nobody may have are said with whom and why, each once', () => {
    const { barred } = packed([
      [ada, chartOf([base(), base()], ['lanolin'])],
      [bel, chartOf([base()])],
    ]);
    expect(barred).toEqual(['Ada: Ordway Line Sand contains lanolin']);
  });
});

test('faces without a chart are named; who has hair alone is none', () => {
  const plan = planned([ada, bel, guest('Coco', { faceMinutes: 0, hairMinutes: 30 })]);
  const list = packParty({ date: DATE }, plan, new Map([[ada.id, chartOf([base()])]]), KIT, { today: DATE });
  expect(list.without).toEqual(['Bel']);
  expect(titles(list.bags)).toEqual(['Touch-up bag: Ada']);
});

describe('tools', () => {
  const sets = (more: Partial<PartyPlan>, ...charts: Chart[]): Readonly<Record<string, string>> =>
    Object.fromEntries(
      packed(
        charts.map((chart, i) => [[ada, bel][i]!, chart] as const),
        more,
      ).tools.map(({ title, detail }) => [title, detail]),
    );

  test('a sponge is for one face; a brush in powder is cleaned between two, in what is wet it is not', () => {
    const chart = chartOf([base(), powder(), lip()]);
    const apart = { timetable: timetable(visit(ada, 'hands-1', 400), visit(bel, 'hands-1', 500)) };
    expect(sets(apart, chart, chart)).toEqual({
      'Damp sponge': '3: one a face, and 1 spare',
      'Small brush': '3: one a face, washed at home, and 1 spare',
      'Loose brush': '2: one a face, sprayed clean between faces, and 1 spare',
    });
  });

  test('a puff is for one face, as a sponge is, however dry what it lays', () => {
    const apart = { timetable: timetable(visit(ada, 'hands-1', 400), visit(bel, 'hands-1', 600)) };
    const puff = chartOf([powder({ tool: 'puff' })]);
    expect(sets(apart, puff, puff)).toEqual({ Puff: '3: one a face, and 1 spare' });
  });

  test.each([
    // Forty minutes from 500; clean again at 570.
    [569, 3],
    [570, 2],
  ])('a loose brush is clean for a face at %d: %d in all', (at, all) => {
    const plan = { timetable: timetable(visit(ada, 'hands-1', 500), visit(bel, 'hands-1', at)) };
    expect(sets(plan, chartOf([powder()]), chartOf([powder()]))['Loose brush']).toMatch(
      new RegExp(`^${all}:`),
    );
  });

  test('are counted by the charts, and nothing is packed for fingers', () => {
    const two = chartOf([lip(), step(LIP, { role: 'eye', phase: 'eyes', tool: 'small brush' })]);
    const one = chartOf([lip(), base({ tool: 'finger' }), powder({ tool: 'none' })]);
    const plan = { timetable: timetable(visit(ada, 'hands-1', 500), visit(bel, 'hands-1', 600)) };
    expect(sets(plan, two, one)).toEqual({
      'Small brush': '4: by each face’s chart, washed at home, and 1 spare',
    });
    expect(sets({}, two)['Small brush']).toBe('3: 2 a face, washed at home, and 1 spare');
  });
});

describe('what is used once', () => {
  const once = (noShop: boolean, ...charts: Chart[]) =>
    packed(
      charts.map((chart, i) => [[ada, bel][i]!, chart] as const),
      { noShop },
    ).disposables;
  const mascara = step(MASCARA, { role: 'lash', phase: 'lashes', tool: 'spoolie' });

  test('is counted by the faces that take it, with spares, more where there is no shop', () => {
    const list = once(false, chartOf([mascara, lip()]), chartOf([lip()]));
    expect(detailOf(list, 'Mascara wands')).toBe('6 for 1 face');
    expect(detailOf(list, 'Lip tools')).toBe('8 for 2 faces');
    expect(detailOf(list, 'Cape covers')).toBe('4 for 2 faces');
    const far = once(true, chartOf([mascara, lip()]), chartOf([lip()]));
    expect(detailOf(far, 'Lip tools')).toBe('9 for 2 faces, more since there is no shop');
  });

  test('is there to spare where nobody takes it, and not at all without a face', () => {
    expect(detailOf(once(false, chartOf([base()])), 'Mascara wands')).toBe('2 to spare');
    // A step for the lips that has no product asks for no tool.
    expect(detailOf(once(false, chartOf([step(null, { role: 'lip', phase: 'lips' })])), 'Lip tools')).toBe(
      '2 to spare',
    );
    expect(once(false)).toEqual([]);
  });
});

describe('a bag for touching up', () => {
  const bag = (chart: Chart, touchUps?: Parameters<typeof packParty>[4]['touchUps']): string =>
    packed([[ada, chart]], {}, undefined, touchUps && { touchUps }).bags[0]!.detail;

  test('has what is on the lips, one powder with a puff, sheets and tissues', () => {
    expect(bag(chartOf([base(), powder(), lip(), lip()]))).toBe(
      'Ordway Line Rose, Ordway Line Veil, a clean puff, 3 blotting sheets, tissues',
    );
    expect(bag(chartOf([base()]))).toBe('3 blotting sheets, tissues');
  });

  test('has glue where lashes are worn', () => {
    const lashes = step(LASHES, { role: 'lash', phase: 'lashes' });
    expect(bag(chartOf([lashes]))).toBe('3 blotting sheets, lash glue, tissues');
  });

  test('has nothing its person must not have', () => {
    const minded = {
      ...lip(),
      use: lip().use.map((use) => ({ ...use, product: { ...LIP, ingredients: ['lanolin'] } })),
    };
    expect(bag(chartOf([minded, step(BALM, { role: 'lip', phase: 'lips' })], ['lanolin']))).toBe(
      'Ordway Line Petal, 3 blotting sheets, tissues',
    );
  });

  test('says when it is called for, and has what is asked then beside what is always in', () => {
    const touchUps = new Map([
      [ada.id, { visits: [], bag: ['blotting sheets', 'Ordway Line Petal', 'tissues', 'Ordway Line Rose'] }],
    ]);
    expect(bag(chartOf([lip()]), touchUps)).toBe(
      'Ordway Line Rose, Ordway Line Petal, 3 blotting sheets, tissues',
    );
    expect(bag(chartOf([lip()]), new Map([['somebody', touchUps.get(ada.id)!]]))).toBe(
      'Ordway Line Rose, 3 blotting sheets, tissues',
    );
  });
});
