import { messagesIn, msg, plainWords as plain, productFinder, term, type Product } from '@toile/core';
import type { LookSummary } from '@toile/contract';

/** Something that can be gone to. */
export type Found = {
  readonly kind: 'place' | 'client' | 'look' | 'product';
  readonly title: string;
  readonly detail: string;
  readonly href: string;
};

/** Places and first steps, by what people call them. */
export const ACTIONS: readonly Found[] = messagesIn(
  ['title', 'detail'],
  [
    { kind: 'place', title: 'Today', detail: 'What is next, what is due', href: '/' },
    { kind: 'place', title: 'Clients', detail: 'Everyone', href: '/clients' },
    { kind: 'place', title: 'New client', detail: 'Add someone', href: '/clients/new' },
    {
      kind: 'place',
      title: 'An enquiry',
      detail: 'Somebody asks: a booking, a date',
      href: '/clients/enquiry',
    },
    { kind: 'place', title: 'Looks', detail: 'The library', href: '/looks' },
    { kind: 'place', title: 'New look', detail: 'Write one from nothing', href: '/looks/new' },
    { kind: 'place', title: 'Take a look down', detail: 'From somebody at work', href: '/looks/take-down' },
    { kind: 'place', title: 'Bring in looks', detail: 'Import from files', href: '/looks/import' },
    { kind: 'place', title: 'Kit', detail: 'Everything in the cases', href: '/kit' },
    { kind: 'place', title: 'Add a product', detail: 'To the kit', href: '/kit/new' },
    {
      kind: 'place',
      title: 'Which pan is this?',
      detail: 'Identified by one reading',
      href: '/kit/identify',
    },
    {
      kind: 'place',
      title: 'Read the kit',
      detail: 'Colours of pans, one after the other',
      href: '/kit/colours',
    },
    { kind: 'place', title: 'Shade map', detail: 'The kit by depth and undertone', href: '/kit/map' },
    { kind: 'place', title: 'Palettes', detail: 'Which pan is which', href: '/kit/palettes' },
    { kind: 'place', title: 'Bring in a kit file', detail: 'Import a CSV list', href: '/kit/import' },
    { kind: 'place', title: 'Parties', detail: 'Who, where and by when', href: '/parties' },
    { kind: 'place', title: 'New party', detail: 'A wedding, a day with many faces', href: '/parties/new' },
    { kind: 'place', title: 'Import a chart', detail: 'From another studio', href: '/import' },
    {
      kind: 'place',
      title: 'How things hold',
      detail: 'What wore well, by product and zone',
      href: '/holds',
    },
    {
      kind: 'place',
      title: 'Questions tried',
      detail: 'Trials: one half against the other',
      href: '/trials',
    },
    {
      kind: 'place',
      title: 'Practice',
      detail: 'Train placing, matching, cause and cure',
      href: '/practice',
    },
    { kind: 'place', title: 'Team', detail: 'Who works here, invitations', href: '/team' },
    { kind: 'place', title: 'Letters', detail: 'Mail that waits to be sent', href: '/letters' },
    {
      kind: 'place',
      title: 'Rules of the review',
      detail: 'What charts are looked over for',
      href: '/rules',
    },
    {
      kind: 'place',
      title: 'Settings',
      detail: 'Theme, dark, zone, units, password, back-up, signing out',
      href: '/settings',
    },
  ],
);

type Named = { readonly id: string; readonly name: string };
type Sources = {
  /** As the studio found them by these words. */
  readonly clients: readonly Named[];
  readonly looks: readonly Pick<LookSummary, 'id' | 'name' | 'description'>[];
  readonly products: readonly Pick<
    Product,
    'id' | 'maker' | 'line' | 'shade' | 'kind' | 'texture' | 'finish'
  >[];
};

/** At most so many of each kind: what is meant is near the top or wants another letter. */
const MOST = 6;

/**
 * How well a name fits: 3 when it begins so, 2 when a word of it does, 1 when all words are in it, 0 when
 * not.
 */
function fit(words: string, name: string, more: string): 0 | 1 | 2 | 3 {
  const [wanted, title, text] = [plain(words.trim()), plain(name), plain(`${name} ${more}`)];
  if (wanted === '') return 0;
  if (title.startsWith(wanted)) return 3;
  if (title.split(/[\s’-]+/).some((word) => word.startsWith(wanted))) return 2;
  return wanted.split(/\s+/).every((word) => text.includes(word)) ? 1 : 0;
}

/**
 * What these words may mean: places, clients, looks, products; what begins so comes first, whatever it is.
 */
export function findIn(words: string, { clients, looks, products }: Sources): readonly Found[] {
  if (words.trim() === '') return [];
  const best = (all: readonly Found[], least: 0 | 1): { readonly one: Found; readonly how: number }[] =>
    all
      .map((one) => ({ one, how: fit(words, one.title, one.detail) }))
      .filter(({ how }) => how >= least)
      .sort((a, b) => b.how - a.how)
      .slice(0, MOST);
  const isFound = productFinder(words);
  return [
    ...best(ACTIONS, 1),
    // The studio forgives slips in a name: what it found stands, fitting or not.
    ...best(
      clients.map(({ id, name }) => ({
        kind: 'client',
        title: name,
        detail: msg`client`,
        href: `/clients/${id}`,
      })),
      0,
    ),
    ...best(
      looks.map(({ id, name, description }) => ({
        kind: 'look',
        title: name,
        detail: description,
        href: `/looks/${id}`,
      })),
      1,
    ),
    // By any name of its kind as well, which its row does not say.
    ...best(
      products.filter(isFound).map(({ id, maker, line, shade, kind }) => ({
        kind: 'product',
        title: `${line} ${shade}`,
        detail: `${maker}, ${term(kind)}`,
        href: `/kit/products/${id}`,
      })),
      0,
    ),
  ]
    .sort((a, b) => b.how - a.how)
    .map(({ one }) => one);
}
