import { matchShades, matchStep, setAside, impossibleBecause } from '.';
import { fitLook } from '../look';
import { client, KIT, kitOf, LOOK, OCCASION, product, STAMP } from '../look/look.testing';

test.each<[Parameters<typeof impossibleBecause>[0], Parameters<typeof impossibleBecause>[1], RegExp]>([
  ['base', [63, 90, 10], /no colour of a base: one has L\* 8 to 97/],
  ['contour', [98, 2, 4], /no colour of a contour/],
  ['blush', [90, 60, 0], /No surface has the colour/],
  ['lip colour', [5, 60, 60], /No surface has the colour/],
  ['shadow', [0, 0, 0], /no colour of a shadow/],
])('a %s cannot be %j', (kind, lab, words) => expect(impossibleBecause(kind, lab)).toMatch(words));

test.each<[Parameters<typeof impossibleBecause>[0], Parameters<typeof impossibleBecause>[1]]>([
  ['base', [94, 0, 6]],
  ['base', [22, 9, 9]],
  ['powder', [98, 0, 2]],
  ['lip colour', [46, 62, 38]],
  ['shadow', [30, 10, -40]],
  ['adjuster', [82, 6, 58]],
  ['mascara', [8, 0, 0]],
  ['primer', null],
])('a %s can be %j', (kind, lab) => expect(impossibleBecause(kind, lab)).toBeNull());

test('one wrong product stops nothing: it is set aside by name, and the answer is as without it', () => {
  const wrong = product(90, 'base', [63, 110, -90], { shade: 'misread' });
  const contour = product(91, 'contour', [100, 50, 50], { finish: 'matte', shade: 'nonsense' });
  const kit = kitOf(...KIT.products, wrong, contour);
  const [fine, hurt] = [
    fitLook(LOOK, client(), KIT, OCCASION, STAMP),
    fitLook(LOOK, client(), kit, OCCASION, STAMP),
  ];
  expect(hurt.chart.steps.map((s) => s.use)).toEqual(fine.chart.steps.map((s) => s.use));
  expect(hurt.notes.filter((n) => n.includes('set aside'))).toHaveLength(2);
  expect(hurt.notes.join()).toContain('misread');
  const { sound, aside } = setAside(kit.products);
  expect(aside.map((a) => a.product.shade)).toEqual(['misread', 'nonsense']);
  expect([...sound, ...aside.map(({ product: it }) => it)].length).toBe(kit.products.length);
  expect(sound).toEqual(kit.products.filter(({ shade }) => shade !== 'misread' && shade !== 'nonsense'));
  const context = { client: client(), kit, date: OCCASION.date };
  expect(matchShades(context).limits.join()).toContain('misread is set aside');
  expect(
    matchStep(LOOK.steps[0]!, context).ruledOut.find((r) => r.product.shade === 'misread')!.why,
  ).toContain('set aside');
});
