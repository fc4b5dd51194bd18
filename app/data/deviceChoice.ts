import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export type DeviceChoice<T extends string> = {
  readonly use: () => T;
  readonly choose: (option: T) => void;
};

/** Something chosen once for a device, the first option until then; whatever shows it follows at once. */
export function deviceChoice<T extends string>(name: string, options: readonly [T, ...T[]]): DeviceChoice<T> {
  const key = `toile.${name}`;
  let chosen: T | null = null;
  const read = (): T => {
    if (chosen !== null) return chosen;
    const kept = globalThis.localStorage?.getItem(key);
    return options.find((option) => option === kept) ?? options[0];
  };
  return {
    use: () => useSyncExternalStore(subscribe, read, read),
    choose: (option) => {
      chosen = option;
      try {
        globalThis.localStorage?.setItem(key, option);
      } catch {
        // A full device follows the choice until the page is loaded anew.
      }
      for (const listener of listeners) listener();
    },
  };
}
