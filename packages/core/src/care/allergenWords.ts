/**
 * What clients are usually sensitive to, and how ingredient lists write it: INCI and common names, colour
 * index and E numbers, families. Patterns are met with text in lower case, accents and dots taken off.
 * Starting points: the maker's own list decides.
 */
const FRAGRANCE = [
  /\b(fragrances?|parfums?|perfumes?|aromas?|flavou?rs?)\b/,
  /\b(linalool|limonene|citronellol|geraniol|citral|coumarin|eugenol|isoeugenol|farnesol|cinnamal|cinnamyl|hexyl cinnamal|amyl cinnamal|hydroxycitronellal)\b/,
  /\b(benzyl (alcohol|salicylate|benzoate|cinnamate)|alpha-isomethyl ionone|butylphenyl methylpropional|evernia)\b/,
  /\b(lavender|rose|orange|lemon|lime|mandarin|bergamot|grapefruit|neroli|lemongrass|citronella|(pepper|spear)?mint|rosemary|thyme|sage|basil|clove|cinnamon|jasmine|geranium|tea tree|patchouli|ylang( ylang)?|eucalyptus|sandalwood|cedarwood|vetiver|frankincense|myrrh|ch?amomile)( (flower|peel|leaf|bud|bark|seed|fruit|herb|petal|wood))? (essential )?oils?\b/,
  /\b(essential oils?|lavandula|citrus|rosa (damascena|centifolia|canina)|mentha|pelargonium|ylang|cananga|eucalyptus|melaleuca|rosmarinus|santalum)\b/,
] as const;
const FORMALDEHYDE = [
  /\b(formaldehyde|formalin|quaternium[- ]?15|dmdm hydantoin|imidazolidinyl urea|diazolidinyl urea|bronopol|2-bromo-2-nitropropane|5-bromo-5-nitro|methenamine)\b/,
  /hydroxymethylglycinate/,
] as const;
const ISOTHIAZOLINONES = [/isothiazolinone/, /\bmci ?\/? ?mi\b/] as const;
const PARABENS = [/paraben/] as const;
const BEES = [/\bpropolis\b/, /\bbees? ?wax\b/, /\bcera (alba|flava)\b/, /\bbee glue\b/] as const;

export const FAMILIES_OF_ALLERGENS = {
  latex: [/\blatex\b/, /\brubber\b/, /\bhevea\b/, /\bcaoutchouc\b/],
  cyanoacrylate: [/cyano-?acrylate/],
  fragrance: FRAGRANCE,
  lanolin: [
    /lanolin/,
    /\badeps lanae\b/,
    /\bwool (wax|fat|alcohols?|grease)\b/,
    /\blaneth\b/,
    /lanolate/,
    /\blanae cera\b/,
  ],
  nickel: [/\bnickel\b/, /\bchrom(ium|ic) (oxide|hydroxide)/, /\b(ci )?7728[89]\b/],
  chromium: [/\bchrom(ium|ic)\b/, /\bchromates?\b/, /\b(ci )?7728[89]\b/],
  carmine: [
    /\bcarmine?s?\b/,
    /\bcarminic\b/,
    /\bcochineal\b/,
    /\bcoccus cacti\b/,
    /\b(ci )?75470\b/,
    /\bnatural red 4\b/,
    /\be ?120\b/,
  ],
  'nut oils': [
    /\b(almonds?|hazelnuts?|walnuts?|macadamia|argan|peanuts?|groundnuts?|pistachios?|pecans?|cashews?|brazil nuts?)\b/,
    /\b(prunus (amygdalus|dulcis)|amygdalus|arachis|corylus|juglans|anacardium|argania|pistacia vera|bertholletia|carya)\b/,
    /\bnut oils?\b/,
  ],
  shea: [/\bshea\b/, /\bbutyrospermum\b/, /\bvitellaria\b/, /\bkarite\b/],
  coconut: [/\bcoconut\b/, /\bcocos nucifera\b/, /\bcopra\b/],
  fibres: [/\bfib(re|er)s?\b/, /\brayon\b/, /\bnylon-? ?(6|66|6\/6|611)\b/, /\bsilk fib/],
  bismuth: [/\bbismuth\b/, /\b(ci )?77163\b/],
  isothiazolinones: ISOTHIAZOLINONES,
  formaldehyde: FORMALDEHYDE,
  parabens: PARABENS,
  preservatives: [...ISOTHIAZOLINONES, ...FORMALDEHYDE, ...PARABENS, /\bphenoxyethanol\b/],
  propolis: BEES,
  beeswax: BEES,
  rosin: [/\brosin/, /\bcolophon/, /abiet(ic|ate)\b/, /\bpinus palustris\b/],
  'balsam of Peru': [/\bbalsam of peru\b/, /\bmyroxylon\b/, /\bperu balsam\b/, /\bbenzyl cinnamate\b/],
  'p-phenylenediamine': [/phenylenediamine/, /\bppd\b/, /\btoluene-?2\b/, /toluenediamine\b/],
  'cocamidopropyl betaine': [/\bcocamidopropyl\b/, /\bcapb\b/],
} as const satisfies Record<string, readonly RegExp[]>;

export type Sensitivity = keyof typeof FAMILIES_OF_ALLERGENS;
export const SENSITIVITIES = Object.keys(FAMILIES_OF_ALLERGENS) as readonly Sensitivity[];

/** How a sensitivity is said in words of one's own, when the whole of a family is meant. */
export const SAID_AS: Readonly<Partial<Record<Sensitivity, RegExp>>> = {
  latex: /\b(latex|rubber)\b/,
  cyanoacrylate: /cyano-?acrylate|\bsuper ?glue\b/,
  fragrance: /\b(fragrances?|perfumes?|parfums?|scents?|scented|essential oils?)\b/,
  lanolin: /\b(lanolin|wool)\b/,
  nickel: /\bnickel\b/,
  chromium: /\bchrom(e|ium|ates?)\b/,
  carmine: /\b(carmine|cochineal)\b/,
  'nut oils': /\b((tree )?nuts?|nut oils?)\b/,
  shea: /\b(shea|karite)\b/,
  coconut: /\bcoconut\b/,
  fibres: /\b(fibres?|fibers?)\b/,
  bismuth: /\bbismuth\b/,
  isothiazolinones: /isothiazolinones?|\bmi\b|\bmci\b/,
  formaldehyde: /\bformal(dehyde|in)\b/,
  parabens: /\bparabens?\b/,
  preservatives: /\bpreservatives?\b/,
  propolis: /\bpropolis\b/,
  beeswax: /\b(bees? ?wax|bee products?)\b/,
  rosin: /\b(rosin|colophon\w*)\b/,
  'balsam of Peru': /\b(balsam of peru|peru balsam)\b/,
  'p-phenylenediamine': /\b(ppd|hair dyes?|(p-?|para)phenylenediamine)\b/,
  'cocamidopropyl betaine': /\b(cocamidopropyl|capb)\b/,
};

const SOY = [/\bsoy(a|bean)?s?\b/, /\bsoja\b/, /\bglycine max\b/] as const;
const GLUTEN = [
  /\bgluten\b/,
  /\b(wheat|barley|rye|spelt|oats?)\b/,
  /\b(triticum|hordeum|secale|avena)\b/,
] as const;
const CHAMOMILE = [/\bch?amomile\b/, /\b(anthemis|matricaria|chamomilla)\b/] as const;
const SALICYLATES = [/salicyl/, /\b(willow|salix|wintergreen|gaultheria)\b/] as const;
const RETINOIDS = [/retin(ol|oate|yl|al)\b/, /\bretin(ol|yl|al)/, /\b(tretinoin|adapalene)\b/] as const;
const MILK = [/\b(milk|lac|lactose|caseins?|caseinate|whey|lactalbumin|lactoferrin|lactis)\b/] as const;

/** Single things people name, and what lists call them. */
export const ALSO_CALLED: Readonly<Record<string, readonly RegExp[]>> = {
  almond: [/\balmonds?\b/, /\bprunus (amygdalus|dulcis)\b/],
  peanut: [/\b(peanuts?|groundnuts?)\b/, /\barachis\b/],
  hazelnut: [/\bhazelnuts?\b/, /\bcorylus\b/],
  walnut: [/\bwalnuts?\b/, /\bjuglans\b/],
  argan: [/\bargan(ia)?\b/],
  soy: SOY,
  soya: SOY,
  wheat: [/\bwheat\b/, /\btriticum\b/],
  gluten: GLUTEN,
  coeliac: GLUTEN,
  celiac: GLUTEN,
  oat: [/\boats?\b/, /\bavena\b/],
  sesame: [/\bsesam(e|um)\b/],
  sunflower: [/\bsunflower\b/, /\bhelianthus\b/],
  lavender: [/\blavender\b/, /\blavandula\b/],
  'tea tree': [/\btea tree\b/, /\bmelaleuca\b/],
  rose: [/\brose\b/, /\brosa\b/],
  mint: [/\b(pepper|spear)?mint\b/, /\bmentha\b/, /\bmenthol\b/],
  peppermint: [/\bpeppermint\b/, /\bmentha\b/, /\bmenthol\b/],
  chamomile: CHAMOMILE,
  camomile: CHAMOMILE,
  arnica: [/\barnica\b/],
  aloe: [/\baloe\b/],
  castor: [/\bcastor\b/, /\bricinus\b/],
  talc: [/\b(talc|talcum)\b/, /\b(ci )?77718\b/],
  mica: [/\bmica\b/, /\b(ci )?77019\b/],
  silicone: [/methicone\b/, /siloxane/, /silicone/],
  // Of fat, as cetyl and stearyl, it is another thing.
  alcohol: [/^\s*(sd |ethyl |isopropyl |denatured )?alcohol\b/, /\bethanol\b/],
  salicylate: SALICYLATES,
  aspirin: SALICYLATES,
  retinol: RETINOIDS,
  retinoid: RETINOIDS,
  'vitamin e': [/tocopher/],
  milk: MILK,
  dairy: MILK,
  honey: [/\b(honey|mel)\b/],
  egg: [/\b(egg|ovum|albumen)\b/],
  iron: [/\biron oxides?\b/, /\b(ci )?7749[129]\b/],
  titanium: [/\btitanium\b/, /\b(ci )?77891\b/],
  zinc: [/\bzinc\b/, /\b(ci )?77947\b/],
  oxybenzone: [/\b(oxybenzone|benzophenone-3)\b/],
  acrylate: [/acrylates?\b/],
  'propylene glycol': [/\bpropylene glycol\b/],
};
