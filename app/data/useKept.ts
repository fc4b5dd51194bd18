import { useState, type Dispatch, type SetStateAction } from 'react';

const kept = new Map<string, unknown>();

/**
 * A state that is there again when one comes back to its place, until the page is loaded anew: what was
 * typed, chosen, scrolled to. `key` names the place and the thing; one key holds one kind of value.
 */
export function useKept<T>(key: string, initial: T): readonly [T, Dispatch<SetStateAction<T>>] {
  const [value, setValue] = useState<T>(() => (kept.has(key) ? (kept.get(key) as T) : initial));
  const set: Dispatch<SetStateAction<T>> = (next) =>
    setValue((before) => {
      const after = next instanceof Function ? next(before) : next;
      kept.set(key, after);
      return after;
    });
  return [value, set];
}

/** Forgets all of it: whoever signs in next finds nothing of whoever was here. */
export const forgetKept = (): void => kept.clear();
