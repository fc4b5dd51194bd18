import { asWorn } from '../chair';
import { fitLook, type Chart } from '../look';
import { client, kitOf, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { refitChart } from '.';

const cream = product(81, 'blush', [58, 28, 16], { texture: 'cream' });
const pressed = product(82, 'blush', [58, 28, 16], { texture: 'pressed' });
const set = product(83, 'powder', null, { texture: 'loose' });
const contour = LOOK.steps.find((s) => s.role === 'contour')!;
const look: typeof LOOK = {
  ...LOOK,
  steps: [
    {
      ...contour,
      role: 'blush',
      title: 'Blush',
      shade: null,
      wants: { kinds: ['blush'] },
      placements: [{ guide: 'blushLifted', side: 'both' }],
    },
    {
      ...contour,
      id: STAMP.id,
      phase: 'set',
      role: 'powder',
      title: 'Set',
      shade: null,
      wants: { kinds: ['powder'] },
      placements: [{ guide: 'zone.wholeFace', side: 'both' }],
    },
  ],
};
const titles = ({ steps }: Chart): string[] => steps.map((s) => s.title);

test('a repeat that takes powder for cream that is gone lays it when the face is set, and back again', () => {
  const again = (chart: Chart, ...kit: Parameters<typeof kitOf>): Chart =>
    refitChart(
      asWorn(chart, []),
      client(),
      kitOf(...kit),
      { ...OCCASION, date: '2031-06-01' },
      { ...STAMP, version: chart.version + 1 },
    ).chart;
  const first = fitLook(look, client(), kitOf(cream, set), OCCASION, STAMP).chart;
  expect(titles(first)).toEqual(['Blush', 'Set']);
  const powder = again(first, pressed, set);
  expect(titles(powder)).toEqual(['Set', 'Blush']);
  expect(powder.steps[1]!.use[0]!.product.id).toBe(pressed.id);
  const back = again(powder, cream, set);
  expect(titles(back)).toEqual(['Blush', 'Set']);
  expect(back.steps[0]!.use[0]!.product.id).toBe(cream.id);
});
