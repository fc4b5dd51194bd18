import type { ReactElement } from 'react';

/** Stands in for screens fetched later in tests of those that are there at once: they have not come yet. */
export const fetchWork = (): void => undefined;
export const fromWork =
  (_screen: unknown, meanwhile: ReactElement | null = null) =>
  () =>
    meanwhile;
