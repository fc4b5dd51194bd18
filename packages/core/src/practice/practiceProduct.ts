import type { Lab } from '../colour';
import type { ProductKind, ProductSnapshot } from '../kit';
import { msg } from '../messages';

/** A product of no maker, as most of its kind are: something to practise with. */
export function practiceProduct(
  id: string,
  kind: ProductKind,
  lab: Lab | null,
  more: Partial<ProductSnapshot> = {},
): ProductSnapshot {
  return {
    id,
    maker: msg`Practice`,
    line: kind,
    shade: 'any',
    kind,
    lab: lab ? [...lab] : null,
    coverage: 'medium',
    finish: 'natural',
    texture: 'cream',
    family: 'silicone',
    ingredients: [],
    measure: 'dot',
    mgPerMeasure: 40,
    eyeSafe: true,
    ...more,
  };
}
