import type { Random } from './random';

/** The same things in another order, by lot: the same order for the same lot. */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
  const left = [...list];
  return Array.from({ length: left.length }, () => left.splice(Math.floor(random() * left.length), 1)[0]!);
}
