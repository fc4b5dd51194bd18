import {
  ALSO_CALLED,
  FAMILIES_OF_ALLERGENS,
  SAID_AS,
  SENSITIVITIES,
  type Sensitivity,
} from './allergenWords';

export type AllergenMatch = {
  /** As it is noted of the client. */
  readonly sensitivity: string;
  /** As it stands in the list. */
  readonly ingredient: string;
};

/**
 * Ingredients that speak against a product for someone with these sensitivities, known ones or in her own
 * words. Names, numbers and families are met; 'latex-free', 'without', 'contains no' turn a word round. A
 * list of words, not a finding: an empty answer is no promise, and an empty list is unknown.
 */
export function matchAllergens(
  ingredients: readonly string[],
  sensitivities: readonly string[],
): AllergenMatch[] {
  return sensitivities.flatMap((sensitivity) => {
    const words = wordsFor(sensitivity);
    return ingredients
      .filter((ingredient) => says(ingredient, words))
      .map((ingredient) => ({ sensitivity, ingredient }));
  });
}

/** Whether a product's ingredients are known at all. */
export function ingredientsKnown(ingredients: readonly string[]): boolean {
  return ingredients.some(
    (ingredient) =>
      plain(ingredient) !== '' && !/^(unknown|not known|n\/?a|\?|-|tbc)$/.test(plain(ingredient)),
  );
}

/** What is known by name: the families a sensitivity means, whether chosen or said in words of one's own. */
export function familiesMeant(sensitivity: string): Sensitivity[] {
  const text = plain(sensitivity);
  const exact = SENSITIVITIES.find((name) => plain(name) === text);
  return exact ? [exact] : SENSITIVITIES.filter((name) => SAID_AS[name]?.test(text) === true);
}

/* eslint-disable no-restricted-syntax -- words people write about themselves, not words of ours */
/** Words that say nothing of what she is sensitive to. */
const IDLE = new Set(
  (
    'allergic allergy allergies sensitive sensitivity reacts react reaction reactions bad badly skin makes make from with after when last some most sometimes any all the and her ' +
    'itchy itching rash hives swells swelling burns burning stings eyes face lips oil oils extract butter wax water seed powder product products anything containing contains ' +
    'free avoid avoids please summer winter year years mild severe strong only very'
  ).split(' '),
);
/* eslint-enable no-restricted-syntax */

const kept = new Map<string, readonly RegExp[]>();
function wordsFor(sensitivity: string): readonly RegExp[] {
  let words = kept.get(sensitivity);
  if (words) return words;
  const text = plain(sensitivity);
  const families = familiesMeant(sensitivity).flatMap(
    (name): readonly RegExp[] => FAMILIES_OF_ALLERGENS[name],
  );
  const things = Object.entries(ALSO_CALLED).flatMap(([name, called]) =>
    new RegExp(`\\b${name}s?\\b`).test(text) ? called : [],
  );
  const own =
    families.length + things.length > 0
      ? []
      : text
          .split(/[^a-z0-9-]+/)
          .filter((word) => word.length >= 3 && !IDLE.has(word))
          .map((word) => new RegExp(`\\b${eitherNumber(word)}\\b`));
  words = [...families, ...things, ...own];
  if (kept.size > 500) kept.clear();
  kept.set(sensitivity, words);
  return words;
}

/** One of it or many: 'cherry' and 'cherries', 'nut' and 'nuts', 'peach' and 'peaches'. */
const eitherNumber = (word: string): string =>
  /(ies|[^aeiou]y)$/.test(word)
    ? `${escaped(word.replace(/(ies|y)$/, ''))}(y|ies)`
    : `${escaped(word.replace(/s$/, ''))}(s|es)?`;
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Lower case, no accents, 'C.I. 75470' as 'ci 75470'. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/\bc\.?\s?i\.?\s*(?=\d{5})/g, 'ci ')
    .replace(/[’']/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}

/** A clause that only lists what is not in it. */
const LISTS_WHAT_IS_NOT =
  /^\s*(is |are |made |formulated )?(free (from|of)|contains? no|does not contain|without( any)?|no)\b/;
/** Said right before a word, with at most two words between; 'non' and 'zero' turn the next word alone. */
const TURNED_BEFORE =
  /\b((no|not|without|free (from|of)|contains? no|does not contain|0 ?%( of)?)[ -]+(?:(?!and\b|or\b|with\b)[\w-]+ ){0,2}|(non|zero)[ -]+)$/;
/** Said right after it: 'latex-free', 'latex free', 'latex- and fragrance-free'. */
const TURNED_AFTER = /^( oil| wax)?([ -]*free\b|- ?(and|or|,|\/) ?[\w-]+[ -]free\b)/;

function says(ingredient: string, words: readonly RegExp[]): boolean {
  // Brackets hold the other name of the same thing; a positive word starts anew.
  const clauses = plain(ingredient)
    .replace(/(not )?\bcontains?\b(?! no)/g, (said: string, not: string | undefined) =>
      not ? said : `|${said}`,
    )
    .split(/[;.•|\n()[\]]+|\bbut\b|(?=\bmay contain\b)/);
  return clauses.some((clause) => {
    if (LISTS_WHAT_IS_NOT.test(clause)) return false;
    return clause.split(',').some((part) =>
      words.some((word) => {
        const all = part.matchAll(new RegExp(word.source, 'g'));
        return [...all].some(
          (m) =>
            !TURNED_AFTER.test(part.slice(m.index + m[0].length)) &&
            !TURNED_BEFORE.test(part.slice(0, m.index)),
        );
      }),
    );
  });
}
