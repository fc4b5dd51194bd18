import { lightnessAtDepth, type Lab } from '../colour';
import { client, kitOf, product } from '../look/look.testing';
import { substitute } from '.';

const DATE = '2031-05-14';
const skinAt = (depth: number): Lab => [lightnessAtDepth(depth), 12, 18];
const POWDER = { texture: 'loose', finish: 'matte' } as const;

test('what stands in for a clear powder is judged on this skin, the nearest to it first', () => {
  const clear = product(70, 'powder', null, POWDER);
  for (const depth of [4, 8, 12, 16, 20]) {
    const like = product(71, 'powder', skinAt(depth), POWDER);
    const deeper = product(72, 'powder', skinAt(depth + 6), { ...POWDER, coverage: 'full' });
    const other = product(73, 'powder', null, { ...POWDER, finish: 'natural' });
    const offered = substitute(clear, {
      client: client(skinAt(depth)),
      kit: kitOf(deeper, like, other),
      date: DATE,
    });
    const of = (id: string) => offered.find(({ parts }) => parts[0]!.product.id === id)!;
    expect(of(deeper.id).reasons.join()).toMatch(/here it shows .* deeper than the skin/);
    expect([of(like.id), of(other.id)].flatMap(({ reasons }) => reasons).join()).not.toContain('here it');
    expect(offered.at(-1)!.parts[0]!.product.id).toBe(deeper.id);
    expect(offered.map(({ deltaE }) => deltaE)).toEqual([null, null, null]);
  }
});

test('a brow product that is another hair than theirs says so', () => {
  const brown = product(80, 'brow', [35, 7, 12], { texture: 'pencil' });
  const fair = product(81, 'brow', [58, 7, 16], { texture: 'pencil' });
  const near = product(82, 'brow', [37, 7, 12], { texture: 'pencil' });
  const [first, second] = substitute(brown, { client: client(), kit: kitOf(fair, near), date: DATE });
  expect([first!.parts[0]!.product.id, second!.parts[0]!.product.id]).toEqual([near.id, fair.id]);
  expect(first!.reasons.join()).not.toContain('here it');
  expect(second!.reasons.join()).toMatch(/here it is .* lighter than brown brow hair/);
});
