import {
  deltaE2000,
  depthOf,
  labUnder,
  lightnessAtDepth,
  reconstructSpectrum,
  shiftDepth,
  type Lab,
} from '../colour';
import { layOver, opticsOf, skinTarget } from '../shade';
import { fitLook, newStep, type Look } from '.';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, STAMP } from './look.testing';

const { use: _use, ...set } = newStep('powder', id(190), [{ guide: 'tZonePowder', side: 'both' }]);
const powdered: Look = {
  ...LOOK,
  steps: [
    ...LOOK.steps.map((s) => (s.role === 'base' ? { ...s, wants: { kinds: ['base' as const] } } : s)),
    set,
  ],
};
const others = KIT.products.filter((p) => p.kind !== 'base');
const POWDER = { finish: 'natural' as const, texture: 'loose' as const, coverage: 'medium' as const };
const fitOn = (skin: Lab, baseOff: number, powderOff: number) =>
  fitLook(
    powdered,
    client(skin),
    kitOf(
      ...others,
      product(60, 'base', shiftDepth(skin, baseOff)),
      product(61, 'powder', shiftDepth(skin, powderOff), POWDER),
    ),
    OCCASION,
    STAMP,
  );

test('a base out of range is made exact by powder where the film over it really brings it there, and left a gap where none does', () => {
  let [made, left] = [0, 0];
  for (const depth of [6, 9, 12, 15, 18])
    for (const baseOff of [-1.4, -1, 1, 1.4, 3])
      for (const powderOff of [-2, -1, 0.8]) {
        const skin: Lab = [lightnessAtDepth(depth), 12, 19];
        const { chart } = fitOn(skin, baseOff, powderOff);
        const base = chart.steps.find((s) => s.role === 'base')!;
        const adaptation = chart.adaptations?.find((a) => a.id === 'base made exact by powder');
        if (!adaptation) {
          left++;
          continue;
        }
        made++;
        const powder = chart.steps.find((s) => s.id === adaptation.stepId)!;
        const film = { ...product(61, 'powder', null, POWDER), lab: powder.use[0]!.product.lab! };
        const target = skinTarget(chart.client.skin)!;
        const ground = reconstructSpectrum(base.use[0]!.product.lab!, 'D65', 'oxide').spectrum;
        const over = labUnder(layOver(ground, opticsOf(film), powder.doseMgPerCm2), 'D65');
        expect(deltaE2000(over, target)).toBeLessThanOrEqual(2.01);
        expect(deltaE2000(over, target)).toBeLessThan(deltaE2000(base.use[0]!.product.lab!, target));
        expect(depthOf(film.lab) - depthOf(target)).toBeLessThanOrEqual(1.2);
        expect(powder.placements).toEqual([{ guide: 'zone.wholeFace', side: 'both' }]);
      }
  expect([made > 0, left > 0]).toEqual([true, true]);
});

test('it is the powder of the skin that goes over the base: one of lids, and one under the eye, stay theirs', () => {
  const at = (n: number, title: string, guide: 'zone.mobileLid' | 'zone.underEye') => {
    const { use: _own, ...step } = newStep('powder', id(n), [{ guide, side: 'both' }]);
    return { ...step, title };
  };
  const [lids, under] = [
    at(191, 'Set the lids', 'zone.mobileLid'),
    at(192, 'Set under the eye', 'zone.underEye'),
  ];
  const before: Look = { ...powdered, steps: [...powdered.steps.slice(0, -1), lids, under, set] };
  const kit = (skin: Lab) =>
    kitOf(
      ...others,
      product(60, 'base', shiftDepth(skin, 1)),
      product(61, 'powder', shiftDepth(skin, -1), POWDER),
    );
  const skins = [6, 9, 12, 15, 18].map((depth): Lab => [lightnessAtDepth(depth), 12, 19]);
  const made = skins.flatMap((skin) => {
    const { chart } = fitLook(before, client(skin), kit(skin), OCCASION, STAMP);
    const adaptation = chart.adaptations?.find((a) => a.id === 'base made exact by powder');
    for (const one of [lids, under])
      expect(chart.steps.find(({ title }) => title === one.title)!.placements).toEqual(one.placements);
    return adaptation ? [chart.steps.find((s) => s.id === adaptation.stepId)!.title] : [];
  });
  expect(made.length).toBeGreaterThan(0);
  expect(new Set(made)).toEqual(new Set([set.title]));
});
