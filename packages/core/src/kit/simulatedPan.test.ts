import { impossibleBecause, isUnread } from '../shade';
import { id, product } from '../look/look.testing';
import { PRODUCT_KINDS, simulatedPan } from '.';

test('the stand-in sees a colour such a thing can have, the same each time, another for another', () => {
  for (const kind of PRODUCT_KINDS) {
    const seen = Array.from({ length: 60 }, (_, i) => simulatedPan({ id: id(i), kind }));
    for (const lab of seen) expect([kind, impossibleBecause(kind, lab)]).toEqual([kind, null]);
    expect(seen).toEqual(Array.from({ length: 60 }, (_, i) => simulatedPan({ id: id(i), kind })));
    expect(new Set(seen.map((lab) => lab.join())).size).toBe(60);
  }
});

test('made-up bases are for all skins, from very fair to very deep', () => {
  const L = Array.from({ length: 200 }, (_, i) => simulatedPan({ id: id(i), kind: 'base' })[0]);
  expect(Math.min(...L)).toBeLessThan(38);
  expect(Math.max(...L)).toBeGreaterThan(72);
});

test('once it is kept, a product is no longer unread', () => {
  const base = product(1, 'base', null, { coverage: 'medium' });
  expect(isUnread(base)).toBe(true);
  expect(isUnread({ ...base, lab: [...simulatedPan(base)] })).toBe(false);
});
