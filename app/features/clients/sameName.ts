import { plainWords } from '@toile/core';

/**
 * Whether two names are one as people write them: capitals, accents, spaces and the order of its words aside.
 */
export function sameName(one: string, other: string): boolean {
  const words = (name: string): string => (plainWords(name).match(/[\p{L}\d']+/gu) ?? []).sort().join(' ');
  const told = words(one);
  return told !== '' && told === words(other);
}
