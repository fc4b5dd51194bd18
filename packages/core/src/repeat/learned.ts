import { chromaOf, type Lab } from '../colour';
import type { Step } from '../look';

type Wish = { readonly said: RegExp; readonly words: string; readonly towards: (lab: Lab) => Lab };

const chromaBy =
  (factor: number) =>
  ([L, a, b]: Lab): Lab => [L, a * factor, b * factor];
const lightBy =
  (by: number) =>
  ([L, a, b]: Lab): Lab => [L + by, a, b];

/** What was said of a colour at the chair, and where it should go next time. The first that fits counts. */
const WISHES: readonly Wish[] = [
  { said: /too (light|pale|white)|\b(darker|deeper)\b/i, words: 'deeper', towards: lightBy(-8) },
  { said: /too (dark|deep)|\blighter\b/i, words: 'lighter', towards: lightBy(8) },
  { said: /\b(calmer|softer|quieter|subtler)\b|too (strong|bright|red|pink|orange|loud|much colour)/i, words: 'calmer', towards: chromaBy(0.72) },
  { said: /\b(stronger|bolder|brighter|more colour)\b|too (dull|weak)/i, words: 'stronger', towards: chromaBy(1.25) },
];
const COLOURED: readonly Step['role'][] = ['lip', 'lip line', 'blush', 'bronze', 'eye', 'contour', 'highlight'];
/** A product that goes less than this share of the way is no answer. */
const LEAST_SHARE = 0.35;

/** The colour somebody wished for, said in a note about a coloured step: null when nothing was, or it has no colour. */
export function wishedColour(
  step: Pick<Step, 'role'>,
  lab: Lab | null,
  notes: readonly string[],
): { readonly lab: Lab; readonly words: string; readonly note: string } | null {
  if (!lab || !COLOURED.includes(step.role)) return null;
  for (const note of notes) {
    const wish = WISHES.find(({ said }) => said.test(note));
    if (wish) return { lab: wish.towards(lab), words: wish.words, note };
  }
  return null;
}

/** Whether another colour goes the way that was wished for, far enough to be worth it. */
export function goesTowards(was: Lab, wished: Lab, next: Lab): boolean {
  const along =
    Math.abs(wished[0] - was[0]) > 1 ? (next[0] - was[0]) / (wished[0] - was[0]) : (chromaOf(next) - chromaOf(was)) / (chromaOf(wished) - chromaOf(was));
  return along >= LEAST_SHARE;
}
