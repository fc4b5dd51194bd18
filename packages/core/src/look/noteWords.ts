import type { LookStep } from './document';

/** A thing said to be without a substance, whichever way round it is said. */
const without = (english: string, other: string): string =>
  `\\b${english}[- ]free\\b|\\bfree (of|from) ${english}\\b|\\b(no|non|not|without)[- ]${english}\\b|\\b(tanpa|bebas|bukan) ${other}\\b`;

/**
 * What is looked for in what is noted at a step, each by the words that stand for it, in every language
 * notes are written in; `but` is what sounds like it and is not: 'no touch-ups', a cleansing balm.
 */
const LOOKED_FOR: Readonly<
  Record<
    'touch-up' | 'lip balm' | 'patch test' | 'latex-free' | 'nickel-free',
    { readonly words: RegExp; readonly but?: RegExp }
  >
> = {
  'touch-up': {
    words:
      /\btouch(es|ed|ing)?[- ]?ups?\b|\bre-?touch(ed|ing)?\b|\btop(s|ped|ping)?[- ]?ups?\b|\bre-?appl(y|ied|ies|ying)\b/i,
    but: /\b(no|not|never|without|tanpa)( \w+){0,2} (touch(es|ed|ing)?[- ]?ups?|re-?touch\w*|top(s|ped|ping)?[- ]?ups?|re-?appl\w+)/gi,
  },
  'lip balm': {
    words: /\bbalm\b|\bpelembap bibir\b/i,
    but: /\b(no|not|without|cleans\w+|clean|remov\w+|melting|milk|oil|face|facial|skin|moisturi[sz]\w+|day|night|beard|shav\w+|glow\w*|eye|brow|cheek|hair|hand) balm\b/gi,
  },
  'patch test': {
    words: /\b(patch|skin|glue)[- ]?test(s|ed)?\b|\btested (the|its) glue\b|\buji tempel\b/i,
    but: /\b(no|not|never|without|tanpa|refused|declined|skipped|missed)( a| the| any)? ((patch|skin|glue)[- ]?test(s|ed)?|uji tempel)\b|\b(patch|skin|glue)[- ]?tests?( is| was)? (not|never|refused|declined|skipped|missed|missing)\b/gi,
  },
  'latex-free': { words: new RegExp(without('latex', 'lateks'), 'i') },
  'nickel-free': {
    words: new RegExp(`${without('nickel', 'nikel')}|\\bplastic spatula|\\bspatula plastik`, 'i'),
  },
};
export type Noted = keyof typeof LOOKED_FOR;
export const NOTED = Object.keys(LOOKED_FOR) as readonly Noted[];

/** Whether words say one of the things that are looked for. */
export const says = (text: string, what: Noted): boolean => {
  const { words, but } = LOOKED_FOR[what];
  return words.test(but ? text.replace(but, '') : text);
};

/**
 * Whether a step lays balm on the lips before they are painted: one that is placed there, or says so in its
 * title or in what is noted of it.
 */
export const laysBalm = (step: Pick<LookStep, 'phase' | 'title' | 'note' | 'placements'>): boolean =>
  ['clean', 'prep', 'prime'].includes(step.phase) &&
  (says(`${step.title}. ${step.note}`, 'lip balm') ||
    step.placements.some((p) => 'guide' in p && p.guide === 'lips'));
