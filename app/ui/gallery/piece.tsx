import { useState, type ReactElement, type ReactNode } from 'react';
import type { Lab } from '@toile/core';

/** A part of the interface, by its file's name, in each state it can be in. */
export type Piece = {
  readonly name: string;
  /** When it is taken. */
  readonly use: string;
  readonly states: Readonly<Record<string, () => ReactElement>>;
};

export const nothing = (): void => undefined;
export const FAIREST: Lab = [92, 1, 12];
export const DEEPEST: Lab = [22, 6, 8];
export const LONG =
  'Words that take more than one line on a phone, so that it can be seen what becomes of what stands beside them';

/** Keeps a value as a screen would. */
export function Kept<T>({
  start,
  children,
}: {
  readonly start: T;
  readonly children: (value: T, keep: (value: T) => void) => ReactNode;
}) {
  const [value, setValue] = useState(start);
  return <>{children(value, setValue)}</>;
}
