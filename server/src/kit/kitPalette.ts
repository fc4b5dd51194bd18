import { productName, writeGimpPalette, type Kit } from '@toile/core';

/** The kit's colours with their names, as a GIMP palette. */
export function kitPalette(kit: Kit): string {
  return writeGimpPalette(
    'Kit',
    kit.products.flatMap((p) => (p.lab ? [{ name: productName(p), lab: p.lab }] : [])),
    8,
  );
}
