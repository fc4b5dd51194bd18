import { lightnessAtDepth, shiftDepth, type Lab } from '../colour';
import { fitLook, newStep, type Chart, type Look } from '../look';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { refitChart } from '.';

// A powder that was taken to bring an inexact base to the skin is further from the skin, in the pan, than
// another may be: repeated, it stays while it still does that.
const { use: _use, ...set } = newStep('powder', id(190), [{ guide: 'tZonePowder', side: 'both' }]);
const look: Look = {
  ...LOOK,
  steps: [
    ...LOOK.steps.map((s) => (s.role === 'base' ? { ...s, wants: { kinds: ['base' as const] } } : s)),
    set,
  ],
};
const POWDER = { finish: 'natural' as const, texture: 'loose' as const, coverage: 'medium' as const };
const worlds = [6, 9, 12, 15, 18].flatMap((depth) =>
  [-1.4, -1, 1, 1.4].flatMap((baseOff) =>
    [-2, -1, 0.8].map((powderOff) => {
      const skin: Lab = [lightnessAtDepth(depth), 12, 19];
      const kit = kitOf(
        ...KIT.products.filter((p) => p.kind !== 'base'),
        product(60, 'base', shiftDepth(skin, baseOff)),
        product(61, 'powder', shiftDepth(skin, powderOff), POWDER),
        product(62, 'powder', [...skin], { ...POWDER, coverage: 'sheer' }),
      );
      return { skin, kit, chart: fitLook(look, client(skin), kit, OCCASION, STAMP).chart };
    }),
  ),
);
const takenFor = ({ adaptations = [] }: Chart) =>
  adaptations.find(({ id: name }) => name === 'base made exact by powder')?.stepId;
const again = (chart: Chart, skin: Lab, kit: (typeof worlds)[number]['kit']) =>
  refitChart(chart, client(skin), kit, OCCASION, { ...STAMP, version: 2 });

test('repeated on the same skin it stays, whatever lies nearer in the pan', () => {
  const exact = worlds.filter(({ chart }) => takenFor(chart) !== undefined);
  expect(exact.length).toBeGreaterThan(8);
  for (const { skin, kit, chart } of exact) {
    const { changes, chart: next } = again(chart, skin, kit);
    const powder = takenFor(chart);
    expect(changes.find((c) => c.id === `${powder} product`)).toMatchObject({ kind: 'keep' });
    expect(next.steps.find((s) => s.id === powder)).toEqual(chart.steps.find((s) => s.id === powder));
  }
});

test('on a skin it no longer brings the base to it is judged by itself, as one that was refused', () => {
  const moved = worlds
    .filter(({ chart }) => takenFor(chart) !== undefined)
    .map(({ skin, kit, chart }) => {
      const why = (from: Chart, on: Lab) =>
        again(from, on, kit).changes.find((c) => c.id === `${takenFor(chart)} product`)?.why ?? '';
      const refused = {
        ...chart,
        adaptations: chart.adaptations!.map((a) =>
          a.stepId === takenFor(chart) ? { ...a, refused: true as const } : a,
        ),
      };
      return [why(chart, skin), why(chart, shiftDepth(skin, 3)), why(refused, skin)];
    });
  for (const [same, deeper, refused] of moved) {
    expect(deeper).not.toContain('taken for the base');
    expect(refused).not.toContain('taken for the base');
    expect(same).not.toContain('closer');
  }
  expect(moved.some(([same]) => same!.includes('taken for the base'))).toBe(true);
});
