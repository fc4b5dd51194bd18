import { snapshotOf, TEXTURES, type Texture } from '../kit';
import { client, kitOf, LOOK, OCCASION, product, STAMP } from './look.testing';
import {
  fitLook,
  inOrder,
  laidInPhase,
  PHASES,
  relaid,
  SCULPTED,
  substituteInChart,
  type Look,
  type LookStep,
  type Step,
} from '.';

type Role = LookStep['role'];
const POWDERS: readonly Texture[] = ['pressed', 'loose'];
type Laid = readonly [texture: Texture, parts: number];
const used = (...laid: readonly Laid[]): Step['use'] =>
  laid.map(([texture, parts], n) => {
    const one = product(70 + n, 'blush', [60, 20, 14], { texture, mgPerMeasure: 10 });
    return { unitId: null, product: snapshotOf(one), parts, measure: one.measure };
  });
const laidIn = (phase: Step['phase'], role: Role, use: Step['use'], textures?: Texture[]): string =>
  laidInPhase({ phase, role, use, wants: { kinds: ['blush'], ...(textures ? { textures } : {}) } });

test('colour and light in powder go on when the face is set, cream before, whichever the look has them in', () => {
  for (const role of SCULPTED)
    for (const phase of ['sculpt', 'powder'] as const)
      for (const texture of TEXTURES) {
        // A pencil is neither: it stays where the look has it.
        const then = POWDERS.includes(texture) ? 'powder' : texture === 'pencil' ? phase : 'sculpt';
        expect([role, phase, texture, laidIn(phase, role, used([texture, 1]))]).toEqual([
          role,
          phase,
          texture,
          then,
        ]);
      }
});

test('of a mix what there is most of decides, of nothing chosen what is wanted, else the look', () => {
  expect(laidIn('sculpt', 'blush', used(['cream', 1], ['pressed', 2]))).toBe('powder');
  expect(laidIn('powder', 'blush', used(['cream', 2], ['pressed', 1]))).toBe('sculpt');
  expect(laidIn('sculpt', 'blush', [], ['pressed', 'loose'])).toBe('powder');
  expect(laidIn('powder', 'contour', [], ['cream', 'stick'])).toBe('sculpt');
  expect(laidIn('powder', 'contour', [], ['cream', 'pressed'])).toBe('sculpt');
  for (const phase of ['sculpt', 'powder'] as const) expect(laidIn(phase, 'bronze', [])).toBe(phase);
});

test('a base in powder sets what is cream, so that concealer and cream colour lie beneath it', () => {
  for (const texture of TEXTURES)
    expect([texture, laidIn('base', 'base', used([texture, 1]))]).toEqual([
      texture,
      POWDERS.includes(texture) ? 'set' : 'base',
    ]);
  expect(laidIn('base', 'base', used(['pressed', 1], ['liquid', 2]))).toBe('base');
  expect(laidIn('base', 'base', used(['pressed', 2], ['liquid', 1]))).toBe('set');
  expect(laidIn('base', 'base', [], ['loose'])).toBe('set');
  expect(laidIn('base', 'base', [], ['loose', 'liquid'])).toBe('base');
  expect(laidIn('base', 'base', [])).toBe('base');
});

test('nothing else leaves its phase for what it is made of', () => {
  for (const phase of PHASES)
    for (const texture of TEXTURES) {
      for (const role of ['conceal', 'powder', 'eye', 'lip', 'care'] as const)
        expect(laidIn(phase, role, used([texture, 1]))).toBe(phase);
      if (phase !== 'base') expect(laidIn(phase, 'base', used([texture, 1]))).toBe(phase);
      if (phase !== 'sculpt' && phase !== 'powder')
        expect(laidIn(phase, 'highlight', used([texture, 1]))).toBe(phase);
    }
});

const planned = (role: Role, n: number, phase: Step['phase'] = 'sculpt'): LookStep => ({
  ...LOOK.steps.find((s) => s.role === 'contour')!,
  id: `00000000-0000-4000-8000-00000000090${n}`,
  phase,
  role,
  title: role,
  shade: null,
  wants: { kinds: [role === 'powder' ? 'powder' : role === 'highlight' ? 'highlight' : 'blush'] },
  placements: [{ guide: role === 'powder' ? 'zone.wholeFace' : 'blushLifted', side: 'both' }],
});
const look: Look = {
  ...LOOK,
  steps: [planned('blush', 1), planned('highlight', 2), planned('powder', 3, 'set')],
};
const orderWith = (blush: Texture, light: Texture, schools = look.schools): string[] =>
  fitLook(
    { ...look, schools },
    client(),
    kitOf(
      product(81, 'blush', [58, 28, 16], { texture: blush }),
      product(82, 'highlight', [80, 6, 14], { texture: light }),
      product(83, 'powder', null, { texture: 'loose' }),
    ),
    OCCASION,
    STAMP,
  ).chart.steps.map((s) => s.role);

test('a fit lays what its kit has in powder after what sets the face, also where colour lies under the base', () => {
  expect(orderWith('cream', 'cream')).toEqual(['blush', 'highlight', 'powder']);
  expect(orderWith('pressed', 'cream')).toEqual(['highlight', 'powder', 'blush']);
  expect(orderWith('stick', 'loose')).toEqual(['blush', 'powder', 'highlight']);
  expect(orderWith('pressed', 'loose')).toEqual(['powder', 'blush', 'highlight']);
  const under = { ...look.schools, contour: 'under base' as const };
  expect(orderWith('pressed', 'cream', under)).toEqual(['highlight', 'powder', 'blush']);
});

describe('a chart whose colour becomes powder, or cream again', () => {
  const kit = (blush: Texture) =>
    kitOf(
      product(81, 'blush', [58, 28, 16], { texture: blush }),
      product(82, 'highlight', [80, 6, 14], { texture: 'cream' }),
      product(83, 'powder', null, { texture: 'loose' }),
    );
  const { chart } = fitLook(look, client(), kit('cream'), OCCASION, STAMP);
  const blush = chart.steps.find((s) => s.role === 'blush')!;
  const withBlush = (...laid: readonly Laid[]): typeof chart => ({
    ...chart,
    steps: chart.steps.map((s) => (s === blush ? { ...s, use: used(...laid) } : s)),
  });
  const roles = (of: typeof chart): string[] => of.steps.map((s) => s.role);

  test('is laid where its phase comes now, and only then moves', () => {
    expect(roles(chart)).toEqual(['blush', 'highlight', 'powder']);
    const powdered = relaid(chart, withBlush(['pressed', 1]));
    expect(roles(powdered)).toEqual(['highlight', 'powder', 'blush']);
    expect(powdered.steps.at(-1)).toEqual({ ...blush, use: used(['pressed', 1]) });
    // Back among the creams, the last of them.
    expect(
      roles(
        relaid(powdered, { ...powdered, steps: powdered.steps.map((s) => (s.id === blush.id ? blush : s)) }),
      ),
    ).toEqual(['highlight', 'blush', 'powder']);
    for (const same of [
      ['stick', 2],
      ['liquid', 1],
    ] as const)
      expect(relaid(chart, withBlush(same))).toEqual(withBlush(same));
  });

  test('stays where it is without a product, and where somebody put it by hand', () => {
    expect(relaid(chart, withBlush())).toEqual(withBlush());
    const byHand = { ...chart, steps: [...chart.steps].reverse() };
    expect(relaid(byHand, byHand)).toEqual(byHand);
    const added = {
      ...chart,
      steps: [...chart.steps, { ...blush, id: STAMP.id, use: used(['pressed', 1]) }],
    };
    expect(relaid(chart, added)).toEqual(added);
  });

  test('by a substitute', () => {
    const pressed = product(91, 'blush', [58, 28, 16], { texture: 'pressed' });
    const [unit] = kitOf(pressed).units;
    const instead = {
      parts: [{ product: pressed, unit: unit!, pumps: 1 }],
      doseFactor: 1,
    };
    const next = substituteInChart(chart, blush.use[0]!.product.id, instead)!;
    expect(roles(next)).toEqual(['highlight', 'powder', 'blush']);
    expect(next.steps.at(-1)!.use[0]!.product.id).toBe(pressed.id);
  });
});

test('cream stirred with powder comes last among creams', () => {
  const of = (id: string, ...laid: readonly Laid[]): Step => ({
    ...look.steps[0]!,
    id,
    use: used(...laid),
  });
  const mixed = of('mixed', ['cream', 3], ['pressed', 1]);
  const set = { ...look.steps[2]!, use: used(['loose', 1]) };
  const order = inOrder([mixed, of('powder', ['pressed', 1]), set, of('cream', ['stick', 1])], look);
  expect(order.map((s) => s.id)).toEqual(['cream', 'mixed', set.id, 'powder']);
});

test('an order that is asked of steps without products is the look’s own', () => {
  expect(inOrder(look.steps, look).map((s) => s.role)).toEqual(['blush', 'highlight', 'powder']);
});
