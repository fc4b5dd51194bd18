import { seededRandom, seedFromText } from '@toile/core';

/** A steady UUIDv7 for a demo thing: the same name gives the same id on every machine. */
export function idFor(name: string): string {
  const random = seededRandom(seedFromText(name));
  const hex = (digits: number): string =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('');
  const variant = '89ab'[Math.floor(random() * 4)]!;
  return `0190a000-${hex(4)}-7${hex(3)}-${variant}${hex(3)}-${hex(12)}`;
}
