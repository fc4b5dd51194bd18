import { PRODUCT_KINDS, productName, shelfLife, type Kit, type Product, type ProductKind, type Unit } from '@toile/core';

export type KitRow = { readonly product: Product; readonly units: readonly Unit[]; readonly fact: string; readonly past: boolean };

/** Products by kind, found by any word of their name, each with the one fact that matters. */
export function kitRows(kit: Kit, typed: string, today: string): { readonly kind: ProductKind; readonly rows: readonly KitRow[] }[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const groups = new Map<ProductKind, KitRow[]>();
  for (const product of [...kit.products].sort(inOrderOfUse)) {
    const name = [product.maker, product.line, product.shade, product.kind].join(' ').toLowerCase();
    if (!words.every((w) => name.includes(w))) continue;
    const units = kit.units.filter((u) => u.productId === product.id);
    const states = units.map((u) => shelfLife(u, product, today));
    const past = states.length > 0 && states.every((s) => s.state === 'past');
    const until = states.find((s) => s.until !== null)?.until;
    const fact = units.length === 0 ? 'not owned' : past ? '▲ past its date' : until ? `until ${until.slice(0, 7)}` : 'unopened';
    groups.set(product.kind, [...(groups.get(product.kind) ?? []), { product, units, fact, past }]);
  }
  return [...groups].map(([kind, rows]) => ({ kind, rows }));
}

/** Kinds as they come at the chair, then maker, line and shade. */
function inOrderOfUse(a: Product, b: Product): number {
  return PRODUCT_KINDS.indexOf(a.kind) - PRODUCT_KINDS.indexOf(b.kind) || productName(a).localeCompare(productName(b), 'en', { numeric: true });
}
