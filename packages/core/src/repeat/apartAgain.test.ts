import {
  comeOutAlike,
  contextOf,
  wornColourOf,
  pairsMeantApart,
  fitLook,
  proposeProducts,
  toldApart,
  type Chart,
} from '../look';
import { brownAt, client, kitWithShadows, OCCASION, STAMP, TWO_SHADOWS } from '../look/look.testing';
import { refitChart } from '.';

const who = (depth: number) => client(brownAt(depth, 10, 16));
const again = (depth: number, later: number, ...depths: readonly number[]) => {
  const kit = kitWithShadows(...depths);
  const worn = fitLook(TWO_SHADOWS, who(depth), kit, OCCASION, STAMP).chart;
  return {
    worn,
    ...refitChart(worn, who(later), kit, { ...OCCASION, date: '2031-11-20' }, { ...STAMP, version: 2 }),
  };
};
const shadeOf = (chart: Chart, title: string): string =>
  chart.steps
    .find((s) => s.title === title)!
    .use.map(({ product }) => product.shade)
    .join();
const alike = (chart: Chart): number => pairsMeantApart(chart.steps).filter(comeOutAlike).length;

test('tanned or paler, what was worn apart stays apart', () => {
  let saved = 0;
  for (const depths of [
    [6, 8, 10, 12],
    [6.8, 8.2],
    [5, 7, 9, 11, 13, 15],
    [4, 8, 12, 16, 20],
  ])
    for (const depth of [3, 5, 8, 12])
      for (const by of [-2, 1, 2]) {
        const { worn, chart, changes } = again(depth, depth + by, ...depths);
        if (alike(worn) > 0) continue;
        const inRange = ['Lid', 'Socket'].map((title) =>
          proposeProducts(
            chart.steps.find((s) => s.title === title)!,
            contextOf(chart, kitWithShadows(...depths)),
          ).filter(({ cost }, _, [best]) => cost <= best!.cost + 8),
        );
        const could = inRange[0]!.some((a) =>
          inRange[1]!.some((b) => toldApart(wornColourOf(a.use)!, wornColourOf(b.use)!)),
        );
        if (could) expect(alike(chart)).toBe(0);
        saved += changes.filter(({ why }) => why.includes('another colour of the eye')).length;
      }
  expect(saved).toBeGreaterThan(3);
});

test('where the nearest is what the other colour is, what was worn is kept and that is said', () => {
  const { worn, chart, changes } = again(3, 5, 6.8, 8.2);
  expect([shadeOf(worn, 'Lid'), shadeOf(worn, 'Socket')]).toEqual(['S6.8', 'S8.2']);
  expect([shadeOf(chart, 'Lid'), shadeOf(chart, 'Socket')]).toEqual(['S6.8', 'S8.2']);
  expect(changes.find(({ title }) => title === 'Lid')).toMatchObject({
    kind: 'keep',
    part: null,
    difference: '',
    why: 'The nearest, Ordway Line S8.2, would come out as another colour of the eye does.',
  });
});

test('what was worn alike is as it was wished: it is matched by itself', () => {
  const { worn, base, changes } = again(3, 5, 8.2);
  expect(alike(worn)).toBe(1);
  expect(alike(base)).toBe(1);
  expect(changes.filter(({ why }) => why.includes('another colour of the eye'))).toEqual([]);
});

test('on skin as it was what was taken for its neighbour’s sake is not proposed away', () => {
  for (const depth of [2, 3, 4, 5])
    for (const depths of [
      [6.8, 8.2],
      [5.5, 7.9],
      [6, 8, 10, 12],
    ]) {
      const { worn, chart, changes } = again(depth, depth, ...depths);
      expect(changes.filter(({ kind, title }) => kind !== 'keep' && /Lid|Socket/.test(title))).toEqual([]);
      expect(chart.steps).toEqual(worn.steps);
    }
});

test('what something was said of at the chair is not made another for its neighbour’s sake', () => {
  const kit = kitWithShadows(6.8, 8.2);
  const worn = fitLook(TWO_SHADOWS, who(3), kit, OCCASION, STAMP).chart;
  const said: Chart = {
    ...worn,
    steps: worn.steps.map((step) =>
      step.role === 'eye'
        ? {
            ...step,
            done: {
              at: STAMP.at,
              by: 'Ada',
              ticked: true,
              deviations: [{ kind: 'note' as const, note: 'as it should be' }],
            },
          }
        : step,
    ),
  };
  const repeated = (chart: Chart) =>
    refitChart(
      chart,
      who(5),
      kit,
      { ...OCCASION, date: '2031-11-20' },
      { ...STAMP, version: 2 },
    ).changes.filter(({ why }) => why.includes('another colour of the eye'));
  expect(repeated(worn)).toHaveLength(1);
  expect(repeated(said)).toEqual([]);
});
