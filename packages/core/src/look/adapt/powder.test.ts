import type { Features, GUIDE_NAMES } from '../../face';
import { client, OCCASION } from '../look.testing';
import type { LookStep } from '../document';
import { adaptLook } from './adaptLook';
import { at, FULL, step } from './adapt.testing';

const adapted = (features: Partial<Features>, steps: LookStep[]) =>
  adaptLook({ ...FULL, steps }, client(undefined, { features }), OCCASION);

describe('powder where it is oily', () => {
  const sets = (n: number, title: string, ...guides: (typeof GUIDE_NAMES)[number][]) =>
    step(n, {
      phase: 'set',
      role: 'powder',
      title,
      wants: { kinds: ['powder'] },
      placements: at(...guides),
      doseMgPerCm2: 0.4,
    });
  const rest = FULL.steps.filter(({ role }) => role !== 'powder');
  const seen = (features: Partial<Features>, ...powders: LookStep[]) =>
    adapted(features, [...rest, ...powders]);
  const named = (all: readonly LookStep[], title: string) => all.find((one) => one.title === title);
  const guides = (all: readonly LookStep[], title: string) =>
    named(all, title)?.placements.map((p) => ('guide' in p ? p.guide : 'drawn'));

  test('what the look sets stays set, by whatever guide or hand; only what it leaves out comes', () => {
    const tZone = sets(310, 'T', 'tZonePowder');
    expect(guides(seen({ oily: ['chin'] }, tZone).steps, 'T')).toEqual(['tZonePowder']);
    expect(guides(seen({ oily: ['chin', 'cheeks'] }, tZone).steps, 'T')).toEqual([
      'tZonePowder',
      'zone.apple',
    ]);
    const outline: [number, number][] = [
      [20, 0],
      [30, 0],
      [25, 5],
    ];
    const drawn = { ...tZone, placements: [{ outline, featherMm: 2, side: 'left' as const }] };
    expect(guides(seen({ oily: ['chin'] }, drawn).steps, 'T')).toEqual(['drawn', 'zone.chin']);
    const all = { oily: ['forehead', 'nose', 'cheeks'] } satisfies Partial<Features>;
    expect(guides(seen(all, tZone).steps, 'T')).toEqual(['zone.wholeFace']);
  });

  test.each([
    [['chin'], ['tZonePowder'], 'A little more powder on chin'],
    [['cheeks', 'nose'], ['tZonePowder'], 'Powder on cheeks too'],
    [['cheeks', 'nose'], ['zone.chin'], 'Powder on cheeks and nose too'],
    [['forehead', 'cheeks', 'nose'], ['zone.chin'], 'Powder everywhere'],
  ] as const)('oily %j, set by %j: %s', (oily, where, words) => {
    const { steps, adaptations } = seen({ oily: [...oily] }, sets(310, 'T', ...where));
    expect(adaptations.find(({ id }) => id === 'set where oily')?.words).toBe(words);
    expect(named(steps, 'T')!.doseMgPerCm2).toBe(0.46);
  });

  test('powder of smile lines and under the eyes is none for the face; of two that are, the first', () => {
    const oily = { oily: ['chin', 'cheeks'] } satisfies Partial<Features>;
    const smile = sets(311, 'Smile', 'smilePowder');
    const eye = sets(312, 'Eye', 'zone.underEye');
    const { steps } = seen(oily, smile, eye, sets(313, 'T', 'zone.noseSide'), sets(314, 'More', 'zone.chin'));
    expect(guides(steps, 'Smile')).toEqual(['smilePowder']);
    expect(guides(steps, 'Eye')).toEqual(['zone.underEye']);
    expect(guides(steps, 'T')).toEqual(['zone.noseSide', 'zone.chin', 'zone.apple']);
    expect(guides(steps, 'More')).toEqual(['zone.chin']);
  });
});

test('heat asks more powder of the skin, and thin layers of a base there: neither of the lids', () => {
  const laid = (n: number, role: 'powder' | 'base', guide: (typeof GUIDE_NAMES)[number]) =>
    step(n, {
      phase: role === 'base' ? 'base' : 'set',
      role,
      title: `${role} ${guide}`,
      wants: { kinds: [role] },
      placements: at(guide),
      doseMgPerCm2: 0.4,
    });
  const hot = { ...OCCASION, conditions: ['heat' as const] };
  const steps = [
    laid(330, 'powder', 'zone.chin'),
    laid(331, 'powder', 'zone.mobileLid'),
    laid(332, 'base', 'zone.wholeFace'),
    laid(333, 'base', 'zone.mobileLid'),
  ];
  const asked = adaptLook({ ...FULL, steps }, client(), hot)
    .adaptations.filter(({ id }) => id === 'more powder for heat' || id === 'thin layers for long wear')
    .map(({ stepId }) => steps.findIndex(({ id }) => id === stepId));
  expect(asked.sort()).toEqual([0, 2]);
});
