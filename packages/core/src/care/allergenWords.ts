/**
 * What clients are usually sensitive to, and how ingredient lists write it: INCI and common names, colour
 * index and E numbers, families. Patterns are met with text in lower case, accents and dots taken off.
 * Starting points: the maker's own list decides.
 */
const FRAGRANCE = [
  /\b(fragrance|parfum|perfume|aroma|flavou?r)\b/,
  /\b(linalool|limonene|citronellol|geraniol|citral|coumarin|eugenol|isoeugenol|farnesol|cinnamal|cinnamyl|hexyl cinnamal|amyl cinnamal|hydroxycitronellal)\b/,
  /\b(benzyl (alcohol|salicylate|benzoate|cinnamate)|alpha-isomethyl ionone|butylphenyl methylpropional|evernia)\b/,
  /\b(essential oil|lavandula|citrus|rosa (damascena|centifolia|canina)|mentha|pelargonium|ylang|cananga|eucalyptus|melaleuca|rosmarinus|santalum)\b/,
] as const;
const FORMALDEHYDE = [
  /\b(formaldehyde|formalin|quaternium-?15|dmdm hydantoin|imidazolidinyl urea|diazolidinyl urea|bronopol|2-bromo-2-nitropropane|methenamine)\b/,
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
  rosin: [/\brosin/, /\bcolophon/, /\babietic\b/, /\babietate\b/, /\bpinus palustris\b/],
  'balsam of Peru': [/\bbalsam of peru\b/, /\bmyroxylon\b/, /\bperu balsam\b/, /\bbenzyl cinnamate\b/],
  'p-phenylenediamine': [/phenylenediamine/, /\bppd\b/, /\btoluene-2 ?5-diamine\b/],
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

/** Single things people name, and what lists call them. */
export const ALSO_CALLED: Readonly<Record<string, readonly RegExp[]>> = {
  almond: [/\balmonds?\b/, /\bprunus (amygdalus|dulcis)\b/],
  peanut: [/\b(peanuts?|groundnuts?)\b/, /\barachis\b/],
  hazelnut: [/\bhazelnuts?\b/, /\bcorylus\b/],
  walnut: [/\bwalnuts?\b/, /\bjuglans\b/],
  argan: [/\bargan(ia)?\b/],
  soy: [/\bsoy(a|bean)?\b/, /\bglycine (soja|max)\b/],
  wheat: [/\bwheat\b/, /\btriticum\b/],
  gluten: [/\bgluten\b/, /\b(triticum|hordeum|secale|avena)\b/],
  oat: [/\boats?\b/, /\bavena\b/],
  sesame: [/\bsesam(e|um)\b/],
  sunflower: [/\bsunflower\b/, /\bhelianthus\b/],
  lavender: [/\blavender\b/, /\blavandula\b/],
  'tea tree': [/\btea tree\b/, /\bmelaleuca\b/],
  rose: [/\brose\b/, /\brosa\b/],
  mint: [/\b(pepper|spear)?mint\b/, /\bmentha\b/, /\bmenthol\b/],
  peppermint: [/\bpeppermint\b/, /\bmentha\b/, /\bmenthol\b/],
  chamomile: [/\bc?hamomile\b/, /\b(anthemis|matricaria|chamomilla)\b/],
  arnica: [/\barnica\b/],
  aloe: [/\baloe\b/],
  castor: [/\bcastor\b/, /\bricinus\b/],
  talc: [/\b(talc|talcum)\b/, /\b(ci )?77718\b/],
  mica: [/\bmica\b/, /\b(ci )?77019\b/],
  silicone: [/methicone\b/, /siloxane/, /silicone/],
  alcohol: [/\balcohol( denat)?$/, /\balcohol denat\b/, /\bethanol\b/],
  salicylate: [/salicyl/],
  aspirin: [/salicyl/],
  retinol: [/\bretin(ol|yl|al)/],
  'vitamin e': [/tocopher/],
  milk: [/\b(milk|lac|casein|whey)\b/],
  honey: [/\b(honey|mel)\b/],
  egg: [/\b(egg|ovum|albumen)\b/],
  iron: [/\biron oxides?\b/, /\b(ci )?7749[129]\b/],
  titanium: [/\btitanium\b/, /\b(ci )?77891\b/],
  zinc: [/\bzinc\b/, /\b(ci )?77947\b/],
  oxybenzone: [/\b(oxybenzone|benzophenone-3)\b/],
  acrylate: [/acrylates?\b/],
  'propylene glycol': [/\bpropylene glycol\b/],
};
