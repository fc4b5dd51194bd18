import { depthOf, hueOf, labOfHue, lightnessAtDepth, neutralSkinAt, type Lab } from '../../colour';
import { wantedColour } from '../../shade';
import { fitLook, lookFromChart, stepsForLook, type Chart, type Look, type LookStep } from '..';
import { client, KIT, kitOf, OCCASION, product, STAMP } from '../look.testing';
import { adaptLook, askedAnew } from '.';
import { at, FULL, step } from './adapt.testing';

const NUDE: Lab = [56, 30, 16];
const BRICK: Lab = [42, 40, 22];
const lip = (n: number, title: string, shade: LookStep['shade'], more: Partial<LookStep> = {}): LookStep =>
  step(n, {
    phase: 'lips',
    role: 'lip',
    title,
    shade,
    wants: { kinds: ['lip colour'] },
    placements: at('lips'),
    ...more,
  });
const [first, second] = [
  lip(401, 'Lip', { lab: [...NUDE] }),
  lip(402, 'Evening lip', { lab: [...BRICK] }, { variant: 'evening' }),
];
const lookOf = (...lips: readonly LookStep[]): Look => ({
  ...FULL,
  variants: [{ id: 'evening', name: 'Evening' }],
  steps: [...FULL.steps.filter(({ role }) => role !== 'lip'), ...lips],
});
/** Neutral skin of a depth. */
const skinOf = (depth: number): Lab => {
  const L = lightnessAtDepth(depth);
  const { chroma, hue } = neutralSkinAt(L);
  return labOfHue(L, chroma, hue);
};
const SKINS = Array.from({ length: 42 }, (_, i) => skinOf(1.5 + i / 2));
const fit = (look: Look, skin: Lab, kit = KIT): [Chart, readonly string[]] => {
  const { chart, notes } = fitLook(look, client(skin), kit, OCCASION, STAMP);
  return [chart, notes];
};
const asked = (look: Look, skin: Lab): Lab[] =>
  adaptLook(look, client(skin), OCCASION)
    .steps.filter(({ role }) => role === 'lip')
    .map((one) => wantedColour(one, client(skin))!);

describe('a deeper lip', () => {
  test('is deeper by two steps on every skin, of its own hue, and the first is left as it is', () => {
    for (const skin of SKINS) {
      const [nude, evening] = asked(lookOf(first!, second!), skin);
      expect(depthOf(evening!) - depthOf(nude!)).toBeGreaterThanOrEqual(2 - 1e-6);
      expect(hueOf(evening!)).toBeCloseTo(hueOf(BRICK), 3);
      expect(nude).toEqual(wantedColour(first!, client(skin)));
    }
  });

  test('stays what the look has where it is deeper anyway', () => {
    for (const skin of SKINS.filter((one) => depthOf(one) < 13.5))
      expect(asked(lookOf(first!, second!), skin)[1]).toEqual(BRICK);
  });

  test('is deeper by no more than its look has it', () => {
    const near = lip(403, 'Rosy lip', { lab: [51.5, 34, 16] });
    const meant = depthOf([51.5, 34, 16]) - depthOf(NUDE);
    expect(meant).toBeGreaterThan(1.5);
    expect(meant).toBeLessThan(2);
    const [nude, rosy] = asked(lookOf(first!, near), skinOf(18));
    expect(depthOf(rosy!) - depthOf(nude!)).toBeGreaterThanOrEqual(meant - 1e-6);
    expect(depthOf(rosy!) - depthOf(nude!)).toBeLessThan(meant + 0.5);
  });

  test('of three each is deeper than the one before, whatever their order', () => {
    const deepest = lip(404, 'Wine', { lab: [30, 36, 14] }, { variant: 'evening' });
    for (const order of [
      [first!, second!, deepest],
      [deepest, first!, second!],
    ]) {
      const depths = asked(lookOf(...order), skinOf(20)).map(depthOf);
      const [nude, brick, wine] = [first!, second!, deepest].map((one) => depths[order.indexOf(one)]!);
      expect(brick! - nude!).toBeGreaterThanOrEqual(2 - 1e-6);
      expect(wine! - brick!).toBeGreaterThanOrEqual(2 - 1e-6);
    }
  });

  test.each([
    ['a pencil that holds it', lip(405, 'Line', { lab: [...BRICK] }, { wants: { kinds: ['lip liner'] } })],
    ['a lip said from the skin', lip(405, 'Own', { relative: { to: 'skin', depthSteps: 3 } })],
    ['one without a colour', lip(405, 'Balm', null)],
    ['one that is hardly deeper', lip(405, 'Rose', { lab: [54, 30, 16] })],
  ])('%s is left alone', (_, other) => {
    const { adaptations } = adaptLook(lookOf(first!, other), client(skinOf(20)), OCCASION);
    expect(adaptations.map((a) => a.id)).not.toContain('a deeper lip stays deeper');
  });

  test('is told, can be refused, and a look cut from the chart has it as it was', () => {
    const lips = kitOf(
      ...KIT.products,
      product(801, 'lip colour', [34, 26, 14]),
      product(802, 'lip colour', [25, 26, 12]),
    );
    const look = lookOf(first!, second!);
    const [worn, told] = fit(look, skinOf(19), lips);
    expect(told).toContain(
      'Evening lip deeper than the look has it: on this skin the other lip is as deep, or nearly.',
    );
    expect(stepsForLook(worn).find((one) => one.step.title === 'Evening lip')!.step.shade).toEqual(
      second!.shade,
    );
    for (const kit of [lips, null]) {
      const cut = lookFromChart(
        worn,
        { name: 'Cut', description: '', tags: [], parts: {}, forbids: look.forbids },
        STAMP,
        kit,
      );
      expect(cut.steps.find(({ title }) => title === 'Evening lip')!.shade).toEqual(second!.shade);
    }
    const plain = adaptLook(look, client(skinOf(19)), OCCASION, ['a deeper lip stays deeper']);
    expect(plain.steps.find(({ title }) => title === 'Evening lip')!.shade).toEqual(second!.shade);
  });

  test('is asked anew where the skin has moved, not for a shade of difference', () => {
    const [chart] = fit(lookOf(first!, second!), skinOf(18));
    const before = { client: chart.client, occasion: chart.occasion };
    const later = (depth: number): readonly string[] =>
      askedAnew({ ...chart, client: client(skinOf(depth)) }, before).flatMap(({ title, come, gone }) => [
        ...come.map(({ id: which }) => `${title} ${which}`),
        ...gone.map(({ id: which }) => `no ${title} ${which}`),
      ]);
    expect(later(18.05)).toEqual([]);
    expect(later(20)).toEqual(['Evening lip a deeper lip stays deeper']);
    expect(later(12)).toEqual(['no Evening lip a deeper lip stays deeper']);
  });
});
