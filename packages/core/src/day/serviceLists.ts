import { BULLET, namesIn } from './eachOfSeveral';

/** "Hair: Ada, Bel", "Make-up x3 - Ada, Bel & Coco", "Hair & makeup: Noor". */
const OF_SERVICE =
  /^\s*(hair|make-?\s?up|mua|face|hair\s*(?:&|and|\+)\s*(?:make-?\s?up|mua?|face)|(?:make-?\s?up|mua?|face)\s*(?:&|and|\+)\s*hair)(?:\s+only)?\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\))?\s*(?::|\s[-–—]\s)\s*(.+)$/i;
const NOBODY = /^(?:yes|no|none|nil|tbc|tba|n\/a|all|everyone|everybody|both)$/i;
/** Whether words are an answer, and nobody: "yes", "tbc", "everybody". */
export const isNobody = (words: string): boolean => NOBODY.test(words.trim());
const ONE_NAME = /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2}$/u;

/** What is done to whom, as lists by service tell it. */
export type Served = {
  readonly name: string;
  readonly hair: boolean;
  readonly face: boolean;
  /** The line that named them first, from 0. */ readonly line: number;
};

/**
 * Lists of names by what is done ("Hair: Ada, Bel" and "Make-up: Ada, Cy"), a person each with all that is
 * done, and the lines they stood in; nothing of a line that is none.
 */
export function servedIn(lines: readonly string[]): {
  readonly served: readonly Served[];
  readonly taken: ReadonlySet<number>;
} {
  const byName = new Map<string, Served>();
  const taken = new Set<number>();
  lines.forEach((line, i) => {
    const [, service, told = ''] = OF_SERVICE.exec(line.replace(BULLET, '')) ?? [];
    if (service === undefined) return;
    const several = namesIn(told);
    const names = several
      ? several.flatMap(({ name, own }) => (own === '' ? [name] : []))
      : ONE_NAME.test(told.trim()) && !isNobody(told)
        ? [told.trim()]
        : [];
    // A bracket says more than a list by service can hold.
    if (names.length === 0 || names.length !== (several?.length ?? 1)) return;
    taken.add(i);
    const hair = /hair/i.test(service);
    const face = !/^hair$/i.test(service.trim());
    for (const name of names) {
      const key = name.toLocaleLowerCase();
      const before = byName.get(key);
      byName.set(key, {
        name: before?.name ?? name,
        line: before?.line ?? i,
        hair: hair || before?.hair === true,
        face: face || before?.face === true,
      });
    }
  });
  return { served: [...byName.values()], taken };
}
