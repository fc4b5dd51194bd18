/** What a look may have that somebody never wants again. */
export const DISLIKE_KINDS = [
  'shimmer',
  'shine',
  'matte',
  'much base',
  'base',
  'concealer',
  'lashes',
  'mascara',
  'liner',
  'contour',
  'highlight',
  'blush',
  'bronze',
  'red lip',
  'dark lip',
  'gloss',
  'lip line',
  'lip colour',
  'dark lid',
  'eye colour',
  'drawn brows',
  'powder',
  'spray',
  'gems',
] as const;
export type DislikeKind = (typeof DISLIKE_KINDS)[number];

const anyOf = (...words: readonly RegExp[]): RegExp =>
  new RegExp(`\\b(?:${words.map(({ source }) => source).join('|')})\\b`, 'g');

/**
 * Words for each kind; what says more comes first and takes its words with it: a red lip is no lip colour at
 * all.
 */
export const DISLIKE_WORDS: readonly (readonly [DislikeKind, RegExp])[] = [
  [
    'red lip',
    anyOf(/(?:bright |bold |classic |true )?red (?:lips?(?:ticks?)?|mouth)/, /lips? (?:too |in |so )?red/),
  ],
  [
    'dark lip',
    anyOf(
      /(?:dark|deep|black|vampy|plum|brown) (?:lips?(?:ticks?| colou?rs?)?|mouth)/,
      /lips? (?:too |so )dark/,
    ),
  ],
  [
    'lip line',
    anyOf(/lip ?-?(?:liners?|pencils?|lines?)/, /(?:over ?-?)?lined lips?/, /lips? (?:over ?-?)?lined/),
  ],
  ['gloss', anyOf(/(?:lip )?gloss(?:y|es)?(?: lips?)?/, /sticky lips?/)],
  [
    'lashes',
    anyOf(
      /(?:false|fake|glued|glue[- ]on|stick[- ]on|strip|artificial|big|heavy) (?:eye ?)?lash(?:es)?/,
      /falsies/,
      /lash (?:bands?|strips?|clusters?|glue)/,
      /(?:eye ?)?lashes? glued(?: on)?/,
      /band lash(?:es)?/,
      /(?:any|no) lashes/,
    ),
  ],
  [
    'drawn brows',
    anyOf(
      /(?:drawn[- ]?(?:on|in)|heavy|dark|blocky|block|thick|strong|bold|painted|harsh) (?:eye ?)?brows?/,
      /(?:eye ?)?brows? (?:drawn|filled|painted|too (?:dark|heavy|strong|thick))/,
      /(?:eye ?)?brow pencil/,
    ),
  ],
  [
    'dark lid',
    anyOf(
      /smok(?:e?y|ey)(?:[- ]?eyes?| lids?| shadows?)?/,
      /(?:dark|black|heavy|deep) (?:eyes?|lids?|(?:eye ?)?shadows?|eye make-?up)/,
      /panda eyes?/,
    ),
  ],
  ['liner', anyOf(/(?:eye ?)?liner/, /wing(?:s|ed)?(?: liner| eyes?)?/, /cat[- ]?eyes?/, /kohl/, /flicks?/)],
  ['mascara', anyOf(/mascara/)],
  [
    'gems',
    anyOf(/(?:face )?(?:gems?|jewels?|rhinestones?|crystals?|sequins?)/, /stick[- ]on (?:stones?|pearls?)/),
  ],
  [
    'shimmer',
    anyOf(
      /shimmer\w*/,
      /glitter\w*/,
      /spark\w+/,
      /frost(?:y|ed)/,
      /metallics?/,
      /pearl(?:y|escent)?/,
      /disco/,
    ),
  ],
  ['highlight', anyOf(/high ?light\w*/, /strob\w+/)],
  [
    'shine',
    anyOf(
      /shin(?:y|e|ing)/,
      /dewy/,
      /greas(?:y|e)/,
      /oily[- ]looking/,
      /wet[- ]look\w*/,
      /glow(?:y|ing)?/,
      /sweaty/,
    ),
  ],
  [
    'contour',
    anyOf(/contour\w*/, /sculpt\w*/, /(?:stripes?|lines?) (?:on|down) (?:my |the )?(?:cheeks?|nose|face)/),
  ],
  [
    'bronze',
    anyOf(
      /bronz\w+/,
      /fake tan/,
      /orange(?! (?:lips?(?:ticks?)?|mouth|(?:eye ?)?shadows?|lids?|eyes?))(?: face| skin)?/,
      /tanned(?: look)?/,
    ),
  ],
  ['blush', anyOf(/blush(?:er)?/, /rouge/, /(?:pink|red|rosy|doll) cheeks?/, /clown cheeks?/)],
  [
    'much base',
    anyOf(
      /(?:heavy|thick|full|full[- ]coverage|too much|lots? of|a lot of|so much) (?:foundation|base|make-?up|coverage|cover|concealer)/,
      /full[- ]cover(?:age)?/,
      /cak(?:e|ed|ey|y)(?: faces?| make-?up| foundation)?/,
      /mask(?:s|[- ]like)?/,
      /plastered/,
      /heavy/,
    ),
  ],
  ['matte', anyOf(/matte?/, /mat/, /flat(?:[- ]looking)?/, /chalky/)],
  ['powder', anyOf(/powder(?:y|ed|s)?/, /bak(?:ing|ed)/)],
  ['spray', anyOf(/(?:setting |fixing |face )?sprays?/)],
  ['concealer', anyOf(/concealers?/)],
  ['base', anyOf(/foundations?/, /base/)],
  ['lip colour', anyOf(/lip ?sticks?/, /lip colou?rs?/, /lip make-?up/, /coloured lips?/)],
  ['eye colour', anyOf(/(?:eye ?)?shadows?/, /eye make-?up/, /coloured (?:eyes|lids)/)],
];

/**
 * What is no make-up, though it sounds so: scent, hair, jewellery, a mask that is worn, skin that flushes by
 * itself.
 */
export const NOT_MEANT = anyOf(
  /(?:heavy|strong) (?:perfumes?|scents?|smells?|fragrances?|jewell?ery|earrings|hair)/,
  /pearl (?:necklaces?|earrings|jewell?ery)/,
  /(?:hair[- ]?|hold )sprays?/,
  /(?:flat|shiny) hair/,
  /high ?lights? in (?:my |the )?hair/,
  /(?:face|sheet|clay|sleep) masks?/,
  /my (?:red|pink|rosy) cheeks/,
  /disco(?: music| lights?)/,
);

/** What turns a dislike round as it stands: "I do not mind shimmer". */
export const NOT_MINDED = anyOf(
  /(?:do not|don't|dont|does not|doesn't|wouldn't|would not) mind/,
  /no (?:problems?|issues?|objections?|trouble) with/,
  /not (?:bothered|fussed) (?:by|about)/,
  /nothing against/,
);
/** Like in what it says a thing is: a mask-like base, a face that looks like a clown's. */
export const IS_LIKE = anyOf(
  /(?:look|feel|seem|felt|sound)(?:s|ed|ing)? like/,
  /(?:mask|doll|clown|cake|plastic|paint)[- ]like/,
);
/** What somebody says they do like … */
export const LIKED = new RegExp(
  anyOf(
    /(?:fine|ok|okay|happy|good|comfortable) with/,
    /(?:love|like|prefer|want|enjoy)(?:s|d)?/,
    /(?:are|is) (?:fine|ok|okay|good|great|lovely)/,
    /rather/,
  ).source,
);
/** … unless that is denied, or is a wish for less. */
export const DENIED = new RegExp(
  anyOf(
    /no[tn]?/,
    /never/,
    /nothing/,
    /less/,
    /without/,
    /cannot/,
    /avoid\w*/,
    /\w+n't/,
    /dont/,
    /dislike\w*/,
  ).source,
);
