import { product } from '../look/look.testing';
import {
  familiesAgree,
  FAMILIES,
  fullMg,
  isPowder,
  isWet,
  mayBeStirred,
  PRODUCT_KINDS,
  productName,
  shadeName,
  snapshotOf,
  TEXTURES,
  type Family,
} from '.';

test('what is powder and what stays wet, of every texture; a spray is no layer', () => {
  const powder = TEXTURES.filter((texture) => isPowder({ texture }));
  expect(powder).toEqual(['loose', 'pressed']);
  expect(TEXTURES.filter((texture) => isWet({ texture, kind: 'base' }))).toEqual([
    'liquid',
    'cream',
    'stick',
    'gel',
  ]);
  expect(TEXTURES.filter((texture) => isWet({ texture, kind: 'spray' }))).toEqual([]);
});

test('a snapshot keeps what is stated and the strength only where it was measured', () => {
  const whole = product(7, 'base', [60, 12, 18], {
    maker: 'Fennel',
    line: 'Veil',
    shade: 'V4',
    wearHours: 12,
  });
  const kept = snapshotOf({ ...whole, tintingStrength: 1, waterproof: undefined });
  expect(kept).toMatchObject({ id: whole.id, wearHours: 12 });
  expect(Object.keys(kept)).not.toEqual(
    expect.arrayContaining([expect.stringMatching(/months|withdrawn|singleUse|tinting|waterproof/)]),
  );
  for (const name of ['monthsAfterOpening', 'withdrawn', 'singleUse', 'tintingStrength', 'waterproof'])
    expect(kept).not.toHaveProperty(name);
  expect(snapshotOf({ ...whole, tintingStrength: 1.4 })).toHaveProperty('tintingStrength', 1.4);
  expect(productName(kept)).toBe('Fennel Veil V4');
});

test('which families go together, of every two: like with like, powder with all, oil with wax', () => {
  const agree = (a: Family, b: Family): boolean =>
    a === b || a === 'powder' || b === 'powder' || [a, b].sort().join() === 'oil,wax';
  for (const a of FAMILIES)
    for (const b of FAMILIES) expect([a, b, familiesAgree(a, b)]).toEqual([a, b, agree(a, b)]);
});

test('a full one of each kind holds what is usual, ten of a case of single ones, never less than a dose', () => {
  const full = (kind: (typeof PRODUCT_KINDS)[number], mgPerMeasure = 20, singleUse = false): number =>
    fullMg({ kind, mgPerMeasure, singleUse });
  for (const kind of PRODUCT_KINDS) expect(full(kind)).toBeGreaterThanOrEqual(500);
  expect([full('base'), full('liner'), full('spray')]).toEqual([30_000, 600, 80_000]);
  expect(full('lashes', 250, true)).toBe(2_500);
  expect(full('lashes', 250)).toBe(500);
  expect(full('liner', 4_000)).toBe(4_000);
});

test('a product is called by maker, line and shade; without a shade by no empty word', () => {
  const named = { maker: 'Oriel', line: 'Milk', shade: '' };
  expect([productName(named), shadeName(named)]).toEqual(['Oriel Milk', 'Milk']);
  const four = { ...named, line: 'Second Skin', shade: 'N4' };
  expect([productName(four), shadeName(four)]).toEqual(['Oriel Second Skin N4', 'Second Skin N4']);
});

test('nothing pressed is stirred into what is wet, whichever is named first; else the families decide', () => {
  for (const one of TEXTURES)
    for (const other of TEXTURES) {
      const stirred = (texture: (typeof TEXTURES)[number]) =>
        ({ texture, family: 'wax', kind: 'base' }) as const;
      const scraped =
        (one === 'pressed' && isWet({ texture: other, kind: 'base' })) ||
        (other === 'pressed' && isWet({ texture: one, kind: 'base' }));
      expect([one, other, mayBeStirred(stirred(one), stirred(other))]).toEqual([one, other, !scraped]);
    }
  const liquid = (family: Family) => ({ texture: 'liquid', family, kind: 'base' }) as const;
  expect(mayBeStirred(liquid('water'), liquid('silicone'))).toBe(false);
  expect(mayBeStirred(liquid('oil'), liquid('wax'))).toBe(true);
  // A spray lies wet on nothing.
  expect(
    mayBeStirred(
      { texture: 'pressed', family: 'water', kind: 'powder' },
      { ...liquid('water'), kind: 'spray' },
    ),
  ).toBe(true);
});
