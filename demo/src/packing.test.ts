import fc from 'fast-check';
import {
  addDays,
  packParty,
  chartOutlook,
  isOfTrial,
  touchUpPlan,
  productName,
  type Chart,
  type Guest,
  type Kit,
  type PartyPlan,
  newGuest,
  newPlan,
} from '@toile/core';
import { demoStudio } from '.';

const TODAY = '2031-05-14';
const DATE = '2031-06-14';
const studio = demoStudio(TODAY);
const kit: Kit = { products: studio.products, units: studio.units };
const newest = [...new Map(studio.charts.map((chart) => [chart.id, chart])).values()];
const start = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });

/**
 * A party of so many, each with one of the demo's charts, and a timetable in which they follow each other or
 * not.
 */
function partyOf(charts: readonly Chart[], atOnce = false): { plan: PartyPlan; charts: Map<string, Chart> } {
  const guests = charts.map((_, i): Guest => ({
    ...newGuest(
      `g${i}`,
      { name: `Guest ${i}`, role: 'guest', readyBy: 780, faceMinutes: 40, hairMinutes: null },
      start,
    ),
  }));
  const visits = guests.map((guest, i) => ({
    of: guest.id,
    task: `${guest.id}.face`,
    worker: atOnce ? `hands-${i}` : 'hands-1',
    chair: 'chair-1',
    start: atOnce ? 500 : 500 + 45 * i,
    minutes: 40,
  }));
  return {
    plan: {
      ...start,
      guests,
      timetable: { ways: {}, visits, boundLate: 0, boundCost: 0, proven: false },
    },
    charts: new Map(charts.map((chart, i) => [`g${i}`, chart])),
  };
}
const some = fc.array(fc.constantFrom(...newest), { minLength: 1, maxLength: 8 });
const options = { today: TODAY };
/** What is worn to a party: nobody comes as two halves of a trial. */
const lookOf = ({ steps }: Chart) => steps.filter((step) => !isOfTrial(step));

test('every product of every chart is packed, short or told to be gone, and nothing else is', () => {
  fc.assert(
    fc.property(some, (charts) => {
      const { plan, charts: byGuest } = partyOf(charts);
      const list = packParty({ date: DATE }, plan, byGuest, kit, options);
      const used = new Set(
        charts.flatMap((chart) => lookOf(chart).flatMap((s) => s.use.map((u) => productName(u.product)))),
      );
      const told = new Set([
        ...list.products.map(({ title }) => title),
        ...list.short.map(({ name }) => name),
        ...list.gone,
      ]);
      expect(told).toEqual(used);
      const keys = [...list.products, ...list.tools, ...list.disposables, ...list.bags].map(({ key }) => key);
      expect(new Set(keys).size).toBe(keys.length);
      expect(list.bags).toHaveLength(charts.length);
    }),
    { numRuns: 60 },
  );
});

test('what only a half of a trial lays stays at home, though its trial is not decided', () => {
  const sealed = newest.filter(({ steps }) => steps.some(isOfTrial));
  expect(sealed.length).toBeGreaterThan(0);
  for (const chart of sealed) {
    const { plan, charts } = partyOf([chart]);
    const { products, tools, bags } = packParty({ date: DATE }, plan, charts, kit, options);
    const plain = packParty(
      { date: DATE },
      plan,
      new Map([['g0', { ...chart, steps: lookOf(chart) }]]),
      kit,
      options,
    );
    expect({ products, tools, bags }).toEqual({
      products: plain.products,
      tools: plain.tools,
      bags: plain.bags,
    });
  }
});

test('what is needed is at least what the charts take and a fifth more, by another sum; short is what is not there', () => {
  fc.assert(
    fc.property(some, fc.double({ min: 0, max: 1, noNaN: true }), (charts, left) => {
      const poor: Kit = {
        ...kit,
        units: kit.units.map((unit) => ({ ...unit, remainingMg: unit.remainingMg * left * 0.02 })),
      };
      const { plan, charts: byGuest } = partyOf(charts);
      const { short } = packParty({ date: DATE }, plan, byGuest, poor, options);
      for (const one of short) {
        let taken = 0;
        for (const chart of charts)
          for (const step of lookOf(chart))
            for (const use of step.use)
              if (productName(use.product) === one.name) taken += use.parts * use.product.mgPerMeasure;
        expect(one.needMg).toBeGreaterThanOrEqual(1.15 * taken - 1e-6);
        expect(one.haveMg).toBeLessThan(one.needMg);
        expect(one.buy).toBeGreaterThanOrEqual(1);
      }
    }),
    { numRuns: 40 },
  );
});

describe('what is not there', () => {
  const { plan, charts } = partyOf(newest.slice(0, 3));
  const emptied: Kit = { ...kit, units: kit.units.map((unit) => ({ ...unit, remainingMg: 0 })) };
  const shortOn = (date: string, today: string, more: Partial<PartyPlan> = {}) =>
    packParty({ date }, { ...plan, ...more }, charts, emptied, { today }).short;

  test('is bought by a day that leaves time to check its shade, and before the last shop', () => {
    const usual = shortOn(DATE, TODAY);
    expect(usual.length).toBeGreaterThan(5);
    for (const one of usual) {
      expect(one.buyBy < addDays(DATE, -6)).toBe(true);
      expect(one.tooLate).toBe(false);
    }
    for (const one of shortOn(DATE, TODAY, { noShop: true, lastShop: '2031-05-20' }))
      expect(one.buyBy).toBe('2031-05-20');
    for (const more of [{ noShop: true, lastShop: '2031-06-13' }, { lastShop: '2031-05-20' }])
      for (const one of shortOn(DATE, TODAY, more)) expect(one.buyBy).toBe(usual[0]!.buyBy);
  });

  test('on the last day it can still be bought it is not too late, the day after it is', () => {
    const { buyBy } = shortOn(DATE, TODAY)[0]!;
    expect(shortOn(DATE, buyBy).every((one) => !one.tooLate)).toBe(true);
    expect(shortOn(DATE, addDays(buyBy, 1)).every((one) => one.tooLate)).toBe(true);
  });

  test('past its months on the day it does not count, though today it is good', () => {
    const opened = '2030-06-20';
    const units = kit.units.map((unit) => ({ ...unit, openedOn: opened }));
    const products = kit.products.map((product) => ({ ...product, monthsAfterOpening: 12 }));
    const list = (date: string) => packParty({ date }, plan, charts, { products, units }, options);
    expect(list('2031-06-20').short.filter((one) => one.left.includes('past'))).toEqual([]);
    const after = list('2031-06-21');
    expect(after.products).toEqual([]);
    expect(after.short.every((one) => one.left.includes('past'))).toBe(true);
  });

  test('withdrawn it is not packed, and that is why', () => {
    const products = kit.products.map((product) => ({ ...product, withdrawn: true }));
    const list = packParty({ date: DATE }, plan, charts, { ...kit, products }, options);
    expect(list.products).toEqual([]);
    expect(list.short.every((one) => one.left.includes('withdrawn'))).toBe(true);
  });

  test('a bag says when its face is touched up and carries what that asks, once', () => {
    const touchUps = new Map(
      [...charts].map(([guest, chart]) => [guest, touchUpPlan(chart, chartOutlook(chart, []))]),
    );
    const plain = packParty({ date: DATE }, plan, charts, kit, options).bags;
    const { bags } = packParty({ date: DATE }, plan, charts, kit, { ...options, touchUps });
    expect(bags.map(({ key }) => key)).toEqual(plain.map(({ key }) => key));
    for (const [i, { detail, key }] of bags.entries()) {
      const own = touchUps.get(key.replace('bag:', ''))!;
      if (own.visits.length === 0) expect(detail).toBe(plain[i]!.detail);
      else expect(detail.startsWith('Touch up ')).toBe(true);
      for (const thing of plain[i]!.detail.split(', ')) expect(detail).toContain(thing);
      expect(detail.match(/blotting sheets/g)).toHaveLength(1);
      expect(detail.match(/tissues/g)).toHaveLength(1);
      expect(detail.match(/a clean puff/g)?.length ?? 0).toBeLessThanOrEqual(1);
    }
    expect(bags.some(({ detail }) => /^Touch up (once|twice|3 times): /.test(detail))).toBe(true);
  });

  test('out of the kit altogether it is named', () => {
    const list = packParty({ date: DATE }, plan, charts, { products: [], units: [] }, options);
    expect(list.gone.length).toBeGreaterThan(5);
    expect(list.products).toEqual([]);
  });
});

test('one unit wanted at two chairs at once is said; one after the other it is not, nor before there is a timetable', () => {
  const twice = [newest[0]!, newest[0]!];
  const single: Kit = {
    ...kit,
    units: [...new Map(kit.units.map((unit) => [unit.productId, unit])).values()],
  };
  const at = partyOf(twice, true);
  const after = partyOf(twice, false);
  expect(packParty({ date: DATE }, at.plan, at.charts, single, options).shared.length).toBeGreaterThan(3);
  expect(packParty({ date: DATE }, after.plan, after.charts, single, options).shared).toEqual([]);
  expect(
    packParty({ date: DATE }, { ...at.plan, timetable: null }, at.charts, single, options).shared,
  ).toEqual([]);
});

test('two at work in two places, or at one time, each have their own where there are two, and brushes too', () => {
  const twice = [newest[0]!, newest[0]!];
  const double: Kit = {
    ...kit,
    units: kit.units.flatMap((unit) => [unit, { ...unit, id: `${unit.id} again`, remainingMg: 50_000 }]),
  };
  const after = partyOf(twice, false);
  const [first, second] = after.plan.guests;
  const apart: PartyPlan = {
    ...after.plan,
    places: [...after.plan.places, { id: 'chapel', name: 'Chapel' }],
    hands: [after.plan.hands[0]!, { ...after.plan.hands[0]!, id: 'hands-2', name: 'Teodor' }],
    guests: [first!, { ...second!, place: 'chapel' }],
    timetable: {
      ...after.plan.timetable!,
      visits: after.plan.timetable!.visits.map((visit, i) =>
        i === 0 ? { ...visit, worker: after.plan.hands[0]!.id } : { ...visit, worker: 'hands-2' },
      ),
    },
  };
  const list = packParty({ date: DATE }, apart, after.charts, double, options);
  expect(list.shared).toEqual([]);
  const titles = [...new Set(list.products.map(({ title }) => title))];
  for (const title of titles) {
    const details = list.products.filter((one) => one.title === title).map(({ detail }) => detail);
    expect(details.filter((detail) => detail.endsWith('for Guest 0 · goes with Runa'))).toHaveLength(1);
    expect(details.filter((detail) => detail.endsWith('for Guest 1 · goes with Teodor'))).toHaveLength(1);
  }
  const single = packParty({ date: DATE }, after.plan, after.charts, double, options);
  expect(single.products.some(({ detail }) => detail.includes('goes with'))).toBe(false);
  // Colour of one kind of layer is not carried into another: as many as there are kinds, on each face, and
  // one to spare in each place.
  const brushes = list.tools.filter(({ title }) => title.endsWith('brush'));
  expect(brushes.length).toBeGreaterThan(2);
  const kinds = (title: string): number =>
    new Set(newest[0]!.steps.filter(({ tool }) => tool === title.toLowerCase()).map(({ role }) => role)).size;
  for (const { title, detail } of brushes) expect(parseInt(detail, 10)).toBe(2 * kinds(title) + 2);
  expect(Math.max(...brushes.map(({ title }) => kinds(title)))).toBeGreaterThan(1);
});

test('soft tools are one a face and a tenth more; brushes in cream too; what is used once is more where there is no shop', () => {
  const list = (n: number, shop: boolean) => {
    const { plan, charts } = partyOf(Array.from({ length: n }, () => newest[0]!));
    return packParty({ date: DATE }, { ...plan, noShop: !shop }, charts, kit, options);
  };
  const count = (n: number, key: string, shop = true): number => {
    const { tools, disposables } = list(n, shop);
    return parseInt([...tools, ...disposables].find((one) => one.key === key)?.detail ?? '0', 10);
  };
  const sponge = newest[0]!.steps.some((step) => step.tool === 'damp sponge')
    ? 'tool:damp sponge'
    : 'tool:puff';
  expect([count(1, sponge), count(8, sponge)]).toEqual([2, 9]);
  expect([count(1, 'once:capes'), count(10, 'once:capes')]).toEqual([3, 12]);
  expect(count(10, 'once:capes', false)).toBe(15);
  expect(count(10, 'once:wands', false)).toBeGreaterThan(count(10, 'once:wands'));
});

test('who has no chart is named and packed nothing for; who has only hair is neither', () => {
  const { plan, charts } = partyOf(newest.slice(0, 2));
  const guests = [
    ...plan.guests,
    { ...plan.guests[0]!, id: 'x', name: 'Uncharted' },
    { ...plan.guests[0]!, id: 'y', name: 'Only hair', faceMinutes: 0, hairMinutes: 30 },
  ];
  expect(packParty({ date: DATE }, { ...plan, guests }, charts, kit, options).without).toEqual(['Uncharted']);
});

describe('by what each face takes', () => {
  const [one] = newest.filter(
    ({ steps }) =>
      steps.some(({ use }) => use.some(({ product }) => product.kind === 'mascara')) &&
      steps.some(({ role, use }) => role === 'lip' && use.length > 0),
  );
  const bare: Chart = {
    ...one!,
    steps: one!.steps.filter(
      ({ role, use }) =>
        role !== 'lip' && role !== 'lip line' && !use.some(({ product }) => product.kind === 'mascara'),
    ),
  };
  const listOf = (...charts: Chart[]) => {
    const { plan, charts: byGuest } = partyOf(charts);
    return packParty({ date: DATE }, plan, byGuest, kit, options);
  };
  const once = (key: string, ...charts: Chart[]) =>
    listOf(...charts).disposables.find((thing) => thing.key === `once:${key}`)!.detail;

  test('wands and lip tools for the faces that have lashes and lips done, capes for all', () => {
    expect(once('wands', one!, one!, bare)).toBe('10 for 2 faces');
    expect(once('lipTools', one!, bare, bare)).toBe('5 for 1 face');
    expect(once('capes', one!, bare, bare)).toBe('5 for 3 faces');
    expect(once('wands', bare)).toBe('2 to spare');
  });

  test('a bag has what is on the lips and sets the skin: not the lip colour of a cheek, nor the powder of a lid', () => {
    const lip = one!.steps.find(({ role, use }) => role === 'lip' && use.length > 0)!;
    const powder = one!.steps.find(({ role, use }) => role === 'powder' && use.length > 0)!;
    const named = (step: Chart['steps'][number]) => productName(step.use[0]!.product);
    const bagOf = (...steps: Chart['steps'][number][]) => listOf({ ...one!, steps }).bags[0]!.detail;
    expect(bagOf(lip, powder)).toContain(named(lip));
    expect(bagOf(lip, powder)).toContain(named(powder));
    // A puff goes with powder, and with nothing else.
    expect(bagOf(lip, powder).match(/a clean puff/g)).toHaveLength(1);
    expect(bagOf(lip)).not.toContain('puff');
    const onLid = { ...powder, placements: [{ guide: 'zone.mobileLid' as const, side: 'both' as const }] };
    expect(bagOf({ ...lip, role: 'blush' as const }, onLid)).toBe('3 blotting sheets, tissues');
  });

  test('nothing its person must not have by now', () => {
    const lip = one!.steps.find(({ role, use }) => role === 'lip' && use.length > 0)!;
    const { product } = lip.use[0]!;
    const tested = { productId: product.id, product: 'it', verdict: 'reacted' as const, on: '2031-05-01' };
    const minded = { ...one!, client: { ...one!.client, patchTests: [tested] } };
    expect(listOf(one!).bags[0]!.detail).toContain(productName(product));
    expect(listOf(minded).bags[0]!.detail).not.toContain(productName(product));
    expect(listOf(one!).barred).toEqual([]);
    expect(listOf(one!, minded, minded).barred).toEqual(
      ['Guest 1', 'Guest 2'].map(
        (who) => `${who}: ${productName(product)} reacted in the patch test of 2031-05-01`,
      ),
    );
  });
});
