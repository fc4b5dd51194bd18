import { fitLook, type Chart, type Look, type LookStep } from '../look';
import { client, KIT, LOOK, OCCASION, product, SKIN, STAMP, kitOf } from '../look/look.testing';
import { shiftDepth } from '../colour';
import { snapshotOf, type Kit } from '../kit';
import { productChange } from './change';
import { refitChart } from '.';

const kit = kitOf(
  ...KIT.products.filter(({ kind }) => kind !== 'contour'),
  ...[2, 2.5, 3, 3.5].map((by, i) => product(90 + i, 'contour', shiftDepth(SKIN, by), { finish: 'matte' })),
);
const worn = fitLook(LOOK, client(), kit, OCCASION, STAMP).chart;
const titled = (chart: Chart, title: string) => chart.steps.find((step) => step.title === title)!;
const idOf = (chart: Chart, title: string) => titled(chart, title).use[0]!.product.id;
/** The kit without what lies in its cases of some products. */
const lost = ({ products, units }: Kit, ...ids: readonly string[]): Kit => ({
  products,
  units: units.filter(({ productId }) => !ids.includes(productId)),
});
const again = (now: Kit, chart = worn, who = client()) => {
  const refit = refitChart(chart, who, now, { ...OCCASION, date: '2031-07-14' }, { ...STAMP, version: 2 });
  return {
    chart: refit.chart,
    of: (title: string) => refit.changes.find((c) => c.title === title && c.id === productChange(c.stepId!))!,
  };
};

test('what is in no case any more is replaced by the nearest at hand, said, and not waited for a yes', () => {
  const first = idOf(worn, 'Contour');
  const { chart, of } = again(lost(kit, first));
  expect(of('Contour')).toMatchObject({
    kind: 'substitute',
    why: expect.stringMatching(/is in no case any more/),
  });
  expect(of('Contour').onlyIfAsked).toBeFalsy();
  expect(idOf(chart, 'Contour')).not.toBe(first);
  expect(titled(chart, 'Contour').use.every(({ unitId }) => unitId !== null)).toBe(true);
});

test('of every step, whatever is lost: nothing comes in its stead that lies in no case either', () => {
  for (const { title, use } of worn.steps) {
    if (use.length === 0) continue;
    const ids = use.map((u) => u.product.id);
    const now = lost(kit, ...ids);
    const { chart, of } = again(now);
    const put = titled(chart, title).use.map((u) => u.product.id);
    if (of(title).kind === 'keep') {
      expect(of(title).why).toMatch(/in no case any more, and the kit has nothing else for it/);
      expect(put).toEqual(ids);
    } else
      for (const id of put)
        expect([title, now.units.some(({ productId }) => productId === id)]).toEqual([title, true]);
  }
});

test('where all like it is lost it stays, and that is said', () => {
  const contours = kit.products.filter(({ kind }) => kind === 'contour').map(({ id }) => id);
  const { chart, of } = again(lost(kit, ...contours));
  expect(of('Contour').kind).toBe('keep');
  expect(of('Contour').why).toMatch(/is in no case any more, and the kit has nothing else for it/);
  expect(idOf(chart, 'Contour')).toBe(idOf(worn, 'Contour'));
});

test('what never came out of a case is somebody’s own and stays', () => {
  const own: Chart = {
    ...worn,
    steps: worn.steps.map((step) => ({ ...step, use: step.use.map((u) => ({ ...u, unitId: null })) })),
  };
  const { of } = again(lost(kit, idOf(worn, 'Contour')), own);
  expect(of('Contour').why).not.toMatch(/in no case/);
});

test('with another unit of it at hand nothing is lost', () => {
  const id = idOf(worn, 'Contour');
  const spare = { ...kit.units.find(({ productId }) => productId === id)!, id: STAMP.id };
  expect(again({ ...lost(kit, id), units: [...lost(kit, id).units, spare] }).of('Contour').kind).toBe('keep');
});

test('what is asked deeper on a deeper skin is asked of the skin, and not waited for a yes', () => {
  const lip = (title: string, lab: [number, number, number], more: Partial<LookStep> = {}): LookStep => ({
    ...LOOK.steps[0]!,
    id: `${LOOK.steps[0]!.id.slice(0, -4)}${title === 'Lip' ? '0801' : '0802'}`,
    phase: 'lips',
    role: 'lip',
    title,
    shade: { lab },
    wants: { kinds: ['lip colour'] },
    placements: [{ guide: 'lips', side: 'both' }],
    ...more,
  });
  const look: Look = {
    ...LOOK,
    variants: [{ id: 'evening', name: 'Evening' }],
    steps: [
      ...LOOK.steps,
      lip('Lip', [56, 30, 16]),
      lip('Evening lip', [42, 40, 22], { variant: 'evening' }),
    ],
  };
  const lips = kitOf(
    ...kit.products,
    ...([56, 47, 42, 38, 34, 30, 26, 22] as const).map((L, i) =>
      product(95 + i, 'lip colour', [L, 0.7 * L, 0.35 * L]),
    ),
  );
  const deep = (L: number) => client([L, 12, 14]);
  const chart = fitLook(look, deep(52), lips, OCCASION, STAMP).chart;
  const { of } = again(lips, chart, deep(38));
  expect(of('Evening lip')).toMatchObject({
    kind: 'substitute',
    why: expect.stringMatching(/steps deeper than when/),
  });
  expect(of('Evening lip').onlyIfAsked).toBeFalsy();
});

test('powder in the stead of a cream comes with a brush, and that is said; what was worn so on purpose stays', () => {
  const cheek = (texture: 'cream' | 'pressed', n: number) =>
    product(n, 'blush', [60, 26, 14], { texture, line: texture });
  const flush: LookStep = {
    ...LOOK.steps[0]!,
    id: `${LOOK.steps[0]!.id.slice(0, -4)}0810`,
    phase: 'sculpt',
    role: 'blush',
    title: 'Flush',
    shade: { lab: [60, 26, 14] },
    wants: { kinds: ['blush'], textures: ['cream'] },
    placements: [{ guide: 'blushFull', side: 'both' }],
    tool: 'finger',
    technique: 'press',
  };
  const both = kitOf(...kit.products, cheek('cream', 81), cheek('pressed', 82));
  const chart = fitLook({ ...LOOK, steps: [...LOOK.steps, flush] }, client(), both, OCCASION, STAMP).chart;
  expect(titled(chart, 'Flush').use[0]!.product.line).toBe('cream');
  const { chart: next, of } = again(lost(both, idOf(chart, 'Flush')), chart);
  expect([titled(next, 'Flush').tool, titled(next, 'Flush').technique]).toEqual(['loose brush', 'sweep']);
  expect(of('Flush').difference).toMatch(/; with a loose brush$/);
  const pressed = cheek('pressed', 83);
  const others = kitOf(...both.products, pressed);
  const onPurpose: Chart = {
    ...chart,
    steps: chart.steps.map((step) =>
      step.title === 'Flush'
        ? { ...step, use: step.use.map((u) => ({ ...u, product: snapshotOf(pressed), unitId: STAMP.id })) }
        : step,
    ),
  };
  const gone = again(lost(others, pressed.id, idOf(chart, 'Flush')), onPurpose);
  expect(titled(gone.chart, 'Flush').use[0]!.product.line).toBe('pressed');
  expect(titled(gone.chart, 'Flush').tool).toBe('finger');
});

test('a cream that was thinned and sprayed is sprayed again', () => {
  const creams = kitOf(
    ...kit.products.map((p) => (p.kind === 'base' ? { ...p, texture: 'cream' as const } : p)),
  );
  const laid = fitLook(LOOK, client(), creams, OCCASION, STAMP).chart;
  const sprayed: Chart = {
    ...laid,
    steps: laid.steps.map((step) => (step.role === 'base' ? { ...step, tool: 'airbrush' } : step)),
  };
  const { of } = again(creams, sprayed);
  expect(of('Base').kind).toBe('keep');
  expect(of('Base').why).not.toMatch(/airbrush/);
});
