import { GUIDE_NAMES, liesOver, touchesEyes, type Placement } from '../face';
import { FINISHES, isWet, TEXTURES, type Finish, type ProductKind, type Texture } from '../kit';
import type { Step } from '../look';
import { kitOf, product } from '../look/look.testing';
import { CHECKS, FAULTS, seenAs } from './words';

type Guide = (typeof GUIDE_NAMES)[number];
const at = (...guides: readonly Guide[]): Placement[] => guides.map((guide) => ({ guide, side: 'both' }));
const seen = (role: Step['role'], ...guides: readonly Guide[]) =>
  seenAs({ role, placements: at(...guides), use: [] });

test.each<[Step['role'], readonly Guide[], ReturnType<typeof seenAs>]>([
  ['conceal', ['underEyeLight', 'outerWedge'], 'conceal'],
  ['conceal', ['zone.underEye', 'zone.ala'], 'conceal'],
  ['conceal', ['zone.ala', 'zone.chin'], 'spot'],
  ['conceal', ['zone.mobileLid'], 'on the lid'],
  ['conceal', ['zone.browBone'], 'spot'],
  ['conceal', ['brow'], 'spot'],
  ['powder', ['zone.mobileLid', 'zone.crease'], 'on the lid'],
  ['powder', ['zone.mobileLid', 'zone.noseBridge'], 'powder'],
  ['base', ['lips'], 'on the lips'],
  ['base', ['zone.wholeFace', 'zone.neck'], 'base'],
  ['base', ['zone.neck', 'zone.decollete'], 'on the neck'],
  ['powder', ['zone.neck'], 'powder'],
  ['care', ['lips'], 'care'],
  ['care', ['zone.mobileLid'], 'care'],
  ['eye', ['lid'], 'eye'],
  ['lip', ['lips'], 'lip'],
  ['conceal', [], 'conceal'],
])('%s on %j is looked at as %s', (role, guides, as) => expect(seen(role, ...guides)).toBe(as));

test('a concealer anywhere: under the eye what creases, on lids what gathers, else a spot', () => {
  for (const guide of GUIDE_NAMES) {
    const as = seen('conceal', guide);
    if (liesOver(guide, 'under the eyes')) expect(as).toBe('conceal');
    else if (touchesEyes(at(guide))) expect(as).toBe('on the lid');
    else expect(['spot', 'on the lips']).toContain(as);
  }
  const outline: [number, number][] = [
    [20, 0],
    [30, 0],
    [25, 5],
  ];
  const drawn: Placement = { outline, featherMm: 2, side: 'left' };
  expect(seenAs({ role: 'conceal', placements: [drawn], use: [] })).toBe('spot');
});

const laid = (role: Step['role'], finish: Finish, texture: Texture, kind: ProductKind = 'highlight') =>
  seenAs({
    role,
    placements: at(role === 'eye' ? 'lid' : 'cheekboneLight'),
    use: kitOf(product(81, kind, [60, 8, 12], { finish, texture })).products.map((one) => ({
      unitId: null,
      parts: 1,
      measure: 'swipe',
      product: one,
    })),
  });
test('cream on a lid gathers, powder falls; light that is matt is no light that moves', () => {
  for (const texture of TEXTURES)
    expect(laid('eye', 'satin', texture)).toBe(isWet({ texture, kind: 'shadow' }) ? 'on the lid' : 'eye');
  for (const finish of FINISHES)
    expect(laid('highlight', finish, 'cream')).toBe(
      finish === 'matte' || finish === 'natural' ? 'light' : 'highlight',
    );
  for (const kind of ['concealer', 'base'] as const)
    expect(laid('highlight', 'dewy', 'liquid', kind)).toBe('light');
  expect(seen('highlight', 'cheekboneLight')).toBe('highlight');
  expect(laid('blush', 'matte', 'cream')).toBe('blush');
});

test('each thing that is looked at has a check, each fault what helps, said once', () => {
  const checks = Object.values(CHECKS);
  const faults = Object.values(FAULTS).flatMap(({ seen: of, cure }) => [of, cure]);
  for (const words of [...checks, ...faults]) expect(words).toMatch(/^[A-Z].{3,}/);
  expect(new Set(checks).size).toBe(checks.length);
  for (const cure of Object.values(FAULTS).map((one) => one.cure)) expect(cure).toMatch(/\.$/);
  // What is put on and then left alone goes wrong in no way that a reader can mend.
  expect(Object.keys(CHECKS).filter((as) => !(as in FAULTS))).toEqual([
    'on the lips',
    'correct',
    'lip line',
    'care',
    'bronze',
    'highlight',
    'adornment',
  ]);
});

test('nobody is sent to the inner corner for a spot, nor with a wet sponge to a lid', () => {
  expect(FAULTS[seen('conceal', 'zone.chin')]!.cure).not.toMatch(/corner/);
  expect(FAULTS[seen('powder', 'zone.mobileLid')]!.cure).not.toMatch(/sponge/);
  expect(CHECKS[seen('base', 'zone.neck')]).toMatch(/jaw/);
});
