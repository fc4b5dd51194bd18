/**
 * Gives what comes over a message boundary its identity back. A message is a copy, so everything core keeps
 * by identity (a face's warp, a placement's outline, a kit's stock) would be worked out anew for each; here
 * every object and list that equals one seen before becomes that one, from the leaves up. Core changes
 * nothing it is given, so one may stand for all its equals.
 */
export type Interning = (value: unknown) => unknown;

/** Kept of the last messages; more lets older questions be asked again at no cost, for more memory. */
const KEPT = 120_000;

/** A memory of what came in, in two generations: what is not met again for a generation is let go of. */
export function interning(kept = KEPT): Interning {
  const idOf = new WeakMap<object, number>();
  let lastId = 0;
  let young = new Map<string, object>();
  let old = new Map<string, object>();

  const one = (key: string, made: object): object => {
    const known = young.get(key) ?? old.get(key);
    const kept = known ?? made;
    if (!known) idOf.set(made, ++lastId);
    young.set(key, kept);
    return kept;
  };
  const keyOf = (value: unknown): string => {
    if (typeof value === 'object' && value !== null) return `#${idOf.get(value) ?? '?'}`;
    // Numbers and texts that look alike are not the same; -0 is not 0.
    return typeof value === 'string'
      ? JSON.stringify(value)
      : Object.is(value, -0)
        ? '-0'
        : `${typeof value === 'bigint' ? 'n' : ''}${String(value)}`;
  };
  const intern = (value: unknown): unknown => {
    if (Array.isArray(value)) {
      const list: unknown[] = value;
      let key = '[';
      for (let i = 0; i < list.length; i++) {
        list[i] = intern(list[i]);
        if (isOpaque(list[i])) return list;
        key += `${keyOf(list[i])},`;
      }
      return one(key, list);
    }
    if (!isRecord(value)) return value;
    let key = '{';
    for (const name of Object.keys(value)) {
      value[name] = intern(value[name]);
      if (isOpaque(value[name])) return value;
      key += `${JSON.stringify(name)}:${keyOf(value[name])},`;
    }
    return one(key, value);
  };
  return (value) => {
    if (young.size > kept) {
      old = young;
      young = new Map();
    }
    return intern(value);
  };

  /** What has no identity here: a file, a buffer, or a list or object that holds one. */
  function isOpaque(value: unknown): boolean {
    return typeof value === 'object' && value !== null && !idOf.has(value);
  }
}

/** A plain object, of whichever realm it comes from. */
function isRecord(value: unknown): value is Record<string, unknown> {
  if (typeof value !== 'object' || value === null) return false;
  const above: unknown = Object.getPrototypeOf(value);
  return above !== null && Object.getPrototypeOf(above) === null;
}
