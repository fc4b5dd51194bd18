import type { Illuminant, Observer } from '../../colour';
import { msg } from '../../messages';
import type { CgatsProblem, Fields } from './tables';

/** Under which light, and for which observer, a table's colours were computed. */
export type Conditions = {
  readonly illuminant: Illuminant & ('D50' | 'D65');
  readonly observer: Observer;
  /** Whether the file says under which light; if not, D50 is what the standard means. */
  readonly stated: boolean;
};

/**
 * Where a file says its light, the one that counts first: the weights colours were computed by, then the
 * source they were measured by, then the lamp's own name.
 */
const LIGHT_IN: readonly ((keyword: string, value: string) => string | undefined)[] = [
  (keyword, value) =>
    keyword === 'WEIGHTING_FUNCTION' ? /^illuminant\s*[,:=]?\s*(\S+)/i.exec(value)?.[1] : undefined,
  (keyword, value) =>
    keyword === 'MEASUREMENT_SOURCE'
      ? // In free words only what can be no word of them is a light.
        (/illuminat\w*\s*[=:]\s*([\w-]+)/i.exec(value)?.[1] ?? /\b(?:D|F)\d{1,2}\b/i.exec(value)?.[0])
      : undefined,
  (keyword, value) => (keyword === 'ILLUMINANT' ? firstWord(value) : undefined),
  (keyword, value) => (keyword === 'ILLUMINATION_NAME' ? firstWord(value) : undefined),
];
const OBSERVER_IN: readonly ((keyword: string, value: string) => string | undefined)[] = [
  (keyword, value) => (keyword === 'WEIGHTING_FUNCTION' ? /^observer\D*(\d+)/i.exec(value)?.[1] : undefined),
  (keyword, value) => (keyword === 'MEASUREMENT_SOURCE' ? /observer\D*(\d+)/i.exec(value)?.[1] : undefined),
  (keyword, value) =>
    keyword === 'OBSERVER' || keyword === 'OBSERVER_ANGLE' ? /(\d+)/.exec(value)?.[1] : undefined,
  // As it is told beside a light: D65/10.
  (keyword, value) => (keyword === 'ILLUMINANT' ? /\/\s*(\d+)/.exec(value)?.[1] : undefined),
];
const firstWord = (value: string): string | undefined => /[^\s,;/]+/.exec(value)?.[0];
const OBSERVERS: { readonly [told: string]: Observer | undefined } = { 2: 2, 10: 10, 1931: 2, 1964: 10 };

/** What the lines before a table say of its light and observer, or which line says what is not read. */
export function conditionsOf(said: readonly Fields[]): Conditions | CgatsProblem {
  const light = told(said, LIGHT_IN);
  const illuminant = light?.value.toUpperCase() ?? 'D50';
  if (illuminant !== 'D50' && illuminant !== 'D65')
    return {
      line: light!.line,
      message: msg`Only readings under D50 or D65 can be used, and these are said to be under ${light!.value}.`,
    };
  const field = told(said, OBSERVER_IN);
  const observer = field ? OBSERVERS[field.value] : 2;
  if (observer === undefined)
    return {
      line: field!.line,
      message: msg`Only the observers of 2 and of 10 degrees are known, and these are said to be for ${field!.value}.`,
    };
  return { illuminant, observer, stated: light !== undefined };
}

/** The first way in which something is said, where it is said last. */
function told(
  said: readonly Fields[],
  ways: readonly ((keyword: string, value: string) => string | undefined)[],
): { readonly line: number; readonly value: string } | undefined {
  for (const way of ways)
    for (const { line, fields } of [...said].reverse()) {
      const value = way(fields[0]!.toUpperCase(), fields.slice(1).join(' '));
      if (value !== undefined) return { line, value };
    }
  return undefined;
}
