import { useSyncExternalStore } from 'react';

/** What a face is drawn on: the client's own skin once it has been read, or paper. */
export const GROUNDS = ['skin', 'paper'] as const;
export type Ground = (typeof GROUNDS)[number];

const KEY = 'toile.ground';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const read = (): Ground => (globalThis.localStorage?.getItem(KEY) === 'paper' ? 'paper' : 'skin');

/** Chosen once for this device and every face on it. */
export function chooseGround(ground: Ground): void {
  globalThis.localStorage?.setItem(KEY, ground);
  for (const listener of listeners) listener();
}

export const useGround = (): Ground => useSyncExternalStore(subscribe, read, read);
