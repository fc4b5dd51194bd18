import {
  ALSO_CALLED,
  FAMILIES_OF_ALLERGENS,
  SAID_AS,
  SENSITIVITIES,
  type Sensitivity,
} from './allergenWords';
import { plainWords } from '../plainWords';
import { PLANTS } from './plantsByName';

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
  if (saysNone(text)) return [];
  const exact = SENSITIVITIES.find((name) => plain(name) === text);
  return exact ? [exact] : SENSITIVITIES.filter((name) => SAID_AS[name]?.test(text) === true);
}

/**
 * Whether other names of what is noted are known here; if not, only the words themselves are looked for in
 * lists.
 */
export const isKnownByName = (sensitivity: string): boolean => {
  const { families, things } = meant(sensitivity);
  return families.length + things.length > 0;
};

/** Own words longer than this are named by what they mean, letters. */
const LONG_WORDS = 24;
/**
 * What is noted in few words, to be read on a shelf: 'latex gloves give me a rash' is 'latex'. Where no name
 * is known, and where they are few, the words themselves.
 */
export function mindedInShort(sensitivity: string): string[] {
  const { families, names } = meant(sensitivity);
  const known: readonly string[] = [...families, ...names];
  return sensitivity.length > LONG_WORDS && known.length > 0 ? [...known] : [sensitivity];
}

/** Of what is noted, what there is to mind: not 'none' or 'no known allergies'. */
export const toBeMinded = (sensitivities: readonly string[]): string[] =>
  sensitivities.filter((noted) => !saysNone(plain(noted)));

/** Nothing but that there is nothing: what goes on after it, "no allergies, only latex", is something. */
const NONE =
  /^(none|nil|nothing|no|nope|not? any|n\/?a|nka|nkda|not applicable|((no|none|not|without|has no|no longer)( (any|known|skin|food|drug))* ?(allerg(y|ies|ic)|sensitivit(y|ies)|reactions?)))( (known|that i know( of)?|i know of|so far|yet|noted|at all))*[.! ]*$/;
const saysNone = (text: string): boolean => /^[\s.–—-]*$/.test(text) || NONE.test(text);

/* eslint-disable no-restricted-syntax -- words people write about themselves, not words of ours */
/** Words that say nothing of what she is sensitive to. */
const IDLE = new Set(
  (
    'allergic allergy allergies sensitive sensitivity reacts react reaction reactions bad badly skin makes make from with after when last some most sometimes any all the and her ' +
    'itchy itching itch rash hives swells swelling burns burning stings sting eyes eye face lips lip oil oils extract butter wax water seed powder product products anything containing contains ' +
    'free avoid avoids please summer winter year years mild mildly severe strong strongly only very red redness sore dry blotchy blotches spots breaks breakouts headache headaches ' +
    'asthma eczema cream creams lotion lotions soap shampoo makeup cosmetics brand brands certain cheap hand hands body hair nails nail lash lashes mascara ' +
    'foundation lipstick carries pen kind kinds type types other also maybe possibly think once was were has had not but for her his their gets get goes turns comes'
  ).split(' '),
);
/* eslint-enable no-restricted-syntax */

/**
 * Things known by more than one name, the longest first: what is read as 'tea tree' is not read as 'tea'
 * again.
 */
const THINGS: readonly {
  readonly name: string;
  readonly said: RegExp;
  readonly called: readonly RegExp[];
}[] = [...new Set([...Object.keys(PLANTS), ...Object.keys(ALSO_CALLED)])]
  .sort((a, b) => b.length - a.length)
  .map((name) => ({
    name,
    said: new RegExp(`\\b${eitherNumber(name)}\\b`, 'g'),
    called: [
      ...(ALSO_CALLED[name] ?? []),
      ...(PLANTS[name] === undefined
        ? []
        : [new RegExp(`\\b${eitherNumber(name)}\\b`), new RegExp(`\\b(${PLANTS[name]})\\b`)]),
    ],
  }));

type Meant = {
  readonly families: readonly Sensitivity[];
  /** Things by the names they were said by, and what lists call them. */
  readonly names: readonly string[];
  readonly things: readonly RegExp[];
  /** What is left to be looked for as it is written. */ readonly words: readonly string[];
};

function meant(sensitivity: string): Meant {
  const families = familiesMeant(sensitivity);
  let rest = plain(sensitivity).replace(/\bvit\b\.?/g, 'vitamin');
  if (saysNone(rest)) return { families: [], names: [], things: [], words: [] };
  const told = THINGS.filter(({ said }) => {
    const before = rest;
    rest = rest.replace(said, ' ');
    return rest !== before;
  });
  for (const name of families)
    rest = rest.replace(SAID_AS[name] ?? plain(name), ' ').replace(plain(name), ' ');
  const words = rest
    .split(/[^a-z0-9-]+/)
    .filter((word) => word.length >= 3 && !IDLE.has(word) && !IDLE.has(word.replace(/s$/, '')));
  return {
    families,
    names: told.map(({ name }) => name),
    things: told.flatMap(({ called }) => called),
    words,
  };
}

const kept = new Map<string, readonly RegExp[]>();
function wordsFor(sensitivity: string): readonly RegExp[] {
  let words = kept.get(sensitivity);
  if (words) return words;
  const { families, things, words: own } = meant(sensitivity);
  words = [
    ...families.flatMap((name): readonly RegExp[] => FAMILIES_OF_ALLERGENS[name]),
    ...things,
    ...own.map((word) => new RegExp(`\\b${eitherNumber(word)}\\b`)),
  ];
  if (kept.size > 500) kept.clear();
  kept.set(sensitivity, words);
  return words;
}

/** One of it or many: 'cherry' and 'cherries', 'nut' and 'nuts', 'peach' and 'peaches'. */
function eitherNumber(word: string): string {
  return /(ies|[^aeiou]y)$/.test(word)
    ? `${escaped(word.replace(/(ies|y)$/, ''))}(y|ies)`
    : `${escaped(word.replace(/s$/, ''))}(s|es)?`;
}
function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}

/** Lower case, no accents, 'C.I. 75470' as 'ci 75470'. */
function plain(text: string): string {
  return plainWords(text)
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
