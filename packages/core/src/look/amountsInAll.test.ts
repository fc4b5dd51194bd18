import { amountsInAll, toolsForFace, type Step, type Use } from '.';
import { BASES, id, product } from './look.testing';

const use = (of: (typeof BASES)[number], parts: number, measure: Use['measure'] = 'pump'): Use => {
  const { id: productId, mgPerMeasure } = of;
  return { unitId: null, product: { ...of, id: productId, mgPerMeasure }, parts, measure };
};
const step = (n: number, ...uses: Use[]): Pick<Step, 'id' | 'use'> => ({ id: id(n), use: uses });

describe('amounts over some steps', () => {
  const [one, other] = BASES as [(typeof BASES)[number], (typeof BASES)[number]];
  test('of one product they are one amount, in the order it is first used, each step named once', () => {
    const all = amountsInAll([step(1, use(other, 1), use(one, 2), use(one, 0.5)), step(2, use(one, 3))]);
    expect(all.map(({ product: { id: of }, parts, mg, stepIds }) => [of, parts, mg, stepIds])).toEqual([
      [other.id, 1, 150, [id(1)]],
      [one.id, 5.5, 825, [id(1), id(2)]],
    ]);
    expect(amountsInAll([])).toEqual([]);
    expect(amountsInAll([step(1)])).toEqual([]);
  });

  test('in two measures it is told twice', () => {
    const all = amountsInAll([step(1, use(one, 1)), step(2, use(one, 2, 'drop')), step(3, use(one, 4))]);
    expect(all.map(({ measure, parts, stepIds }) => [measure, parts, stepIds])).toEqual([
      ['pump', 5, [id(1), id(3)]],
      ['drop', 2, [id(2)]],
    ]);
  });

  test('two of one name are two products', () => {
    const like = product(99, 'base', [76, 9, 17], { shade: one.shade });
    expect(amountsInAll([step(1, use(one, 1), use(like, 1))])).toHaveLength(2);
  });
});

describe('tools for one face', () => {
  const worked = (n: number, tool: Step['tool'], role: Step['role']) => ({ id: id(n), tool, role });

  test('layers of one kind share a tool, another kind takes another; fingers and pencils are none', () => {
    expect(
      toolsForFace([
        worked(1, 'loose brush', 'powder'),
        worked(2, 'loose brush', 'blush'),
        worked(3, 'loose brush', 'powder'),
        worked(4, 'finger', 'conceal'),
        worked(5, 'none', 'lip'),
      ]),
    ).toEqual([{ tool: 'loose brush', count: 2, stepIds: [id(1), id(2), id(3)] }]);
    expect(toolsForFace([])).toEqual([]);
  });

  test.each(['spoolie', 'spatula'] as const)('a %s is for one step alone', (tool) => {
    const steps = [worked(1, tool, 'lash'), worked(2, tool, 'lash'), worked(3, 'damp sponge', 'base')];
    expect(toolsForFace(steps)).toEqual([
      { tool, count: 2, stepIds: [id(1), id(2)] },
      { tool: 'damp sponge', count: 1, stepIds: [id(3)] },
    ]);
  });
});
