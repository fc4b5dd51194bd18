import type { GuestRole } from './party';

const OF_WHOM = String.raw`(?: of (?:the )?(?:bride|groom|star|couple)s?)?`;
const WHOSE = String.raw`(?:(?:the )?(?:bride|groom|star)(?:['’]?s|s['’]) )?`;
const PARENTS = String.raw`(?:step-?)?(?:mother|father|mum|mummy|mom|mam|dad|daddy|parent)(?:[- ]in[- ]law)?|grand(?:mother|father|ma|pa|mum|dad)|gran|granny|nan|nana`;

/** Somebody there for what they do: a guest, and what they do is worth keeping. */
const OCCUPATIONS =
  'speaker|host(?:ess)?|presenter|moderator|singer|musician|dancer|performer|actor|actress|model|mc|officiant|planner';

/**
 * How a role is told in a list, by the role. Words in the second place are told before or after a name
 * without anything between ("MOB Helen"): no first or family name is one of them.
 */
const WORDS: readonly (readonly [role: GuestRole, alone: string, besideName: string])[] = [
  ['star', 'star|birthday (?:girl|boy)|celebrant', 'bride(?:-| )to(?:-| )be|bride|groom'],
  [
    'close',
    `close|${WHOSE}(?:${PARENTS}|sister|brother)`,
    `(?:${PARENTS}|(?:sister|brother)(?:[- ]in[- ]law)?)${OF_WHOM}|m\\.?o\\.?[bg]|f\\.?o\\.?[bg]`,
  ],
  [
    'attendant',
    'attendant|witness|usher',
    "bridesmaid|b[’']?maid|b\\.?m|(?:maid|matron|man|woman) of honou?r|m\\.?o\\.?h|best (?:man|woman|person)|groomsm[ae]n",
  ],
  [
    'child',
    'child|children|kid|girl(?!s)|boy(?!s)|toddler|daughter|son',
    'flower ?girl|page ?boy|ring ?bearer',
  ],
  [
    'guest',
    `guest|adult|girls|boys|lad(?:ies|s)|women|men|friend|cousin|aunt(?:ie|y)?|uncle|niece|nephew|colleague|${OCCUPATIONS}`,
    'wedding guest',
  ],
];
/** "Bridesmaid 2" is one of several. */
const ONE_OF = String.raw`(?: ?#?\d{1,2})?`;

/** The role a few words tell and nothing else; null where they say something else. */
export function roleTold(words: string): GuestRole | null {
  const plain = words
    .trim()
    .replace(/^(the|a|our|my) /i, '')
    .replace(/\.$/, '');
  return (
    WORDS.find(([, alone, beside]) =>
      new RegExp(`^(?:${alone}|${WHOSE}(?:${beside}))s?${ONE_OF}$`, 'i').test(plain),
    )?.[0] ?? null
  );
}

/** A name with a role right before or after it, told apart; null where there is none. */
export function roleBeside(words: string): { readonly name: string; readonly role: GuestRole } | null {
  for (const [role, , beside] of WORDS) {
    const told = `(?:the )?${WHOSE}(?:${beside})${ONE_OF}`;
    const name =
      new RegExp(`^${told}[ :]+(\\p{L}.*)$`, 'iu').exec(words)?.[1] ??
      new RegExp(`^(\\p{L}.*?),? +${told}$`, 'iu').exec(words)?.[1];
    // A role of two is a role: "sister of the bride" is nobody called so.
    if (name && !/^of\b/i.test(name) && roleTold(name) === null) return { name: name.trim(), role };
  }
  return null;
}

/** Whether words tell what somebody does, and nothing else: "speaker", "Dancer 2". */
export const tellsOccupation = (words: string): boolean =>
  new RegExp(`^(?:the )?(?:${OCCUPATIONS})s?${ONE_OF}$`, 'i').test(words.trim());
