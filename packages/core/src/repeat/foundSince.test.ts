import { fitLook, newStep, type Look } from '../look';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import type { Kit, Product } from '../kit';
import { acceptedRefit, refitChart } from '.';

// What a kit had nothing for when the look was worn may be in it by the time it is repeated.
const { use: _lip, ...lip } = newStep('lip', id(191), [{ guide: 'lips', side: 'both' }]);
const { use: _line, ...line } = newStep('lip line', id(192), [{ guide: 'lipLine', side: 'both' }]);
const look: Look = {
  ...LOOK,
  steps: [
    ...LOOK.steps,
    { ...lip, title: 'Lip', shade: { lab: [46, 34, 18] } },
    { ...line, title: 'Line', shade: { lab: [46, 34, 18] } },
  ],
};
const WORN_LIP = product(60, 'lip colour', [46, 34, 18]);
const kitWith = (...more: readonly Product[]): Kit => kitOf(...KIT.products, WORN_LIP, ...more);
const worn = (kit: Kit) => fitLook(look, client(), kit, OCCASION, STAMP).chart;
const again = (from: Kit, to: Kit) =>
  refitChart(worn(from), client(SKIN), to, OCCASION, { ...STAMP, version: 2 });
const about = ({ changes }: ReturnType<typeof again>) =>
  changes.filter(({ id: of }) => of === `${id(192)} product`);

test('what the kit has one for now is offered, and taken when asked', () => {
  const to = kitWith(product(61, 'lip liner', [45, 34, 18]));
  const refit = again(kitWith(), to);
  const [offered, ...more] = about(refit);
  expect(more).toEqual([]);
  expect(offered).toMatchObject({
    kind: 'substitute',
    title: 'Line',
    why: 'It had no product; the kit has one for it now.',
    onlyIfAsked: true,
    before: { lab: null },
    after: { words: 'Ordway Line S61', lab: [45, 34, 18] },
  });
  expect(refit.chart.steps.find((s) => s.id === id(192))!.use).toEqual([]);
  const taken = acceptedRefit(refit.base, refit.changes).steps.find((s) => s.id === id(192))!;
  expect(taken.use.map(({ product: p }) => p.shade)).toEqual(['S61']);
});

test('nothing is offered where the kit still has none, where it is in no case, or would be a ring', () => {
  expect(about(again(kitWith(), kitWith()))).toEqual([]);
  const liner = product(61, 'lip liner', [45, 34, 18]);
  const owned = kitWith(liner);
  const unowned = { ...owned, units: owned.units.filter(({ productId }) => productId !== liner.id) };
  expect(about(again(kitWith(), unowned))).toEqual([]);
  expect(about(again(kitWith(), kitWith(product(61, 'lip liner', [62, 30, 16]))))).toEqual([]);
});

test('a step that was worn with something is matched as ever', () => {
  const kit = kitWith(product(61, 'lip liner', [45, 34, 18]));
  expect(about(again(kit, kit))).toMatchObject([{ kind: 'keep' }]);
});
