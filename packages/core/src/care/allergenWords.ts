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

/** What sticks to skin, as people name it. */
const STICKS =
  /\b(glues?|adhesives?|(sticking )?plasters?|band-? ?aids?|(surgical|medical|lash) tapes?|micropore|(eye)?lash extensions?)\b/;
/** Metal that is worn, as people name it. */
const WORN_METAL = /\b(metals?|jewell?er?y|jewelry|earrings?|piercings?|watch ?(straps?|buckles?)|zips?)\b/;

/** How a sensitivity is said in words of one's own, when the whole of a family is meant. */
export const SAID_AS: Readonly<Partial<Record<Sensitivity, RegExp>>> = {
  // Glue and plasters: what clings is one of these, and nobody who reacts to it knows which.
  latex: new RegExp(`\\b(latex|rubber|balloons?|condoms?)\\b|${STICKS.source}`),
  cyanoacrylate: new RegExp(`cyano-?acrylate|${STICKS.source}`),
  fragrance:
    /\b(fragrances?|perfumed?s?|parfums?|colognes?|scents?|scented|smells?|smelly|essential oils?)\b/,
  lanolin: /\b(lanolin|wool|sheep)\b/,
  nickel: new RegExp(`\\bnickel\\b|${WORN_METAL.source}`),
  chromium: new RegExp(`\\bchrom(e|ium|ates?)\\b|${WORN_METAL.source}`),
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
  // Stings are of their venom, not of their wax.
  beeswax: /\b(bees? ?wax|bee products?|bees)\b/,
  rosin: new RegExp(`\\b(rosin|colophon\\w*|tree resins?)\\b|${STICKS.source}`),
  'balsam of Peru': /\b(balsam of peru|peru balsam)\b/,
  'p-phenylenediamine':
    /\b(ppd|hair (dyes?|colou?rs?|tints?)|(lash|brow) tints?|henna|(p-?|para)phenylenediamine)\b/,
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
const FREE_ACRYLATES =
  /\b(isobornyl acrylate|(hydroxyethyl|hydroxypropyl|methyl|ethyl|butyl) methacrylate)\b(?! ?\/| ?(co|cross)polymer)/;
const UV_FILTERS = [
  /\b(avobenzone|butyl methoxydibenzoylmethane|octocrylene|homosalate|octisalate|octinoxate|ensulizole|padimate|drometrizole|bemotrizinol|bisoctrizole|ecamsule|enzacamene|iscotrizinol)\b/,
  /\b(benzophenone-\d+|oxybenzone|sulisobenzone|ethylhexyl (salicylate|methoxycinnamate|triazone|dimethyl paba)|isoamyl p-methoxycinnamate)/,
  /\b(bis-ethylhexyloxyphenol methoxyphenyl triazine|methylene bis-benzotriazolyl|phenylbenzimidazole sulfonic|diethylhexyl butamido triazone|diethylamino hydroxybenzoyl|4-methylbenzylidene camphor)/,
] as const;
const SULPHATES = [
  /\b(lauryl|laureth(-\d+)?|coco|coceth|myreth|trideceth)([ -]\d+)?[ -]sul(f|ph)ates?\b/,
] as const;
const PEGS = [/\bpeg[ -]?\d+/, /\b(polyethylene glycol|macrogol|polysorbate)/] as const;
/** Colours made of coal tar, by index, and by the names they have in some countries. */
const RED_DYES = [
  /\b(ci )?(1[2457]\d{3}|16035|16185|26100|45[134]\d{2}|73360)\b/,
  /\b(fd&?c |d&?c )?red (no\.? ?)?\d+\b/,
  /\b(carmine?s?|cochineal)\b/,
  /\b(ci )?75470\b/,
] as const;
const YELLOW_DYES = [
  /\b(ci )?(15985|19140|47000|47005)\b/,
  /\b(fd&?c |d&?c )?yellow (no\.? ?)?\d+\b/,
] as const;
const BLUE_DYES = [/\b(ci )?(42090|61570|73000)\b/, /\b(fd&?c |d&?c )?(blue|green) (no\.? ?)?\d+\b/] as const;
const DYES = [...RED_DYES, ...YELLOW_DYES, ...BLUE_DYES, /\b(ci )?(1[1-9]|2[0-8])\d{3}\b/] as const;
const TARTRAZINE = [/\b(ci )?19140\b/, /\byellow (no\.? ?)?5\b/, /\be ?102\b/, /\btartrazine\b/] as const;
const ALUMINIUM = [/\balumini?um\b/, /\b(ci )?77000\b/, /\balum\b/] as const;
const COBALT = [/\bcobalt\b/, /\b(ci )?77346\b/] as const;
const BEE_VENOM = [/\b(bee venom|apitoxin|melittin)\b/] as const;
const PETROLATUM = [/\b(petrolatum|petroleum|paraffin|paraffinum|mineral oil)\b/] as const;
/** Of one family of plants: who reacts to one is told to mind the others. */
const DAISIES = [
  ...CHAMOMILE,
  /\b(calendula|tagetes|arnica|echinacea|achillea|tanacetum|artemisia|chrysanthemum|taraxacum|bellis|helianthus|inula|parthenium)\b/,
] as const;
const SHELLFISH = [
  /\b(chitosan|chitin|glucosamine|crustacea|shrimp|crab|lobster|oyster|mussel)s?\b/,
] as const;
const FISH = [
  /\b(fish|caviar|roe|salmon|sturgeon|cod|marine collagen|guanine|pearl essence|isinglass)\b/,
  /\b(ci )?75170\b/,
] as const;
const ASCORBIC = [/ascorb(ic|yl|ate)/] as const;
const NIACIN = [/\b(niacinamide|nicotinamide|niacin|nicotinic acid|methyl nicotinate)\b/] as const;
const TOCOPHEROLS = [/tocopher/] as const;
const FRUIT_ACIDS = [
  /\b((glycolic|lactic|mandelic|malic|tartaric) acids?|glycolates?|fruit acids?|alpha hydroxy)\b/,
] as const;
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
  'vitamin a': RETINOIDS,
  'vitamin b3': NIACIN,
  b3: NIACIN,
  niacinamide: NIACIN,
  'vitamin c': ASCORBIC,
  'ascorbic acid': ASCORBIC,
  'vitamin e': TOCOPHEROLS,
  tocopherol: TOCOPHEROLS,
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
  // In a copolymer they are bound: every mascara would speak against who reacts to plasters.
  glue: [FREE_ACRYLATES],
  adhesive: [FREE_ACRYLATES],
  plaster: [FREE_ACRYLATES],
  'lash extension': [FREE_ACRYLATES],
  'gel nail': [FREE_ACRYLATES, /\bhema\b/],
  sunscreen: UV_FILTERS,
  'sun screen': UV_FILTERS,
  'sun cream': UV_FILTERS,
  suncream: UV_FILTERS,
  sunblock: UV_FILTERS,
  'sun block': UV_FILTERS,
  spf: UV_FILTERS,
  'uv filter': UV_FILTERS,
  sulphate: SULPHATES,
  sulfate: SULPHATES,
  sls: SULPHATES,
  sles: SULPHATES,
  peg: PEGS,
  'polyethylene glycol': PEGS,
  polysorbate: PEGS,
  'red dye': RED_DYES,
  'red colour': RED_DYES,
  'red food colouring': RED_DYES,
  'yellow dye': YELLOW_DYES,
  'yellow 5': TARTRAZINE,
  tartrazine: TARTRAZINE,
  'azo dye': DYES,
  'food colouring': DYES,
  'food coloring': DYES,
  'food dye': DYES,
  'artificial colour': DYES,
  'artificial color': DYES,
  dye: DYES,
  // What is meant by it is a family of its own, not every colour there is.
  'hair dye': [],
  daisy: DAISIES,
  daisies: DAISIES,
  ragweed: DAISIES,
  compositae: DAISIES,
  asteraceae: DAISIES,
  shellfish: SHELLFISH,
  crustacean: SHELLFISH,
  prawn: SHELLFISH,
  shrimp: SHELLFISH,
  crab: SHELLFISH,
  fish: FISH,
  'bee venom': BEE_VENOM,
  'bee sting': BEE_VENOM,
  'royal jelly': [/\broyal jelly\b/],
  pollen: [/\bpollen\b/],
  metal: COBALT,
  jewellery: COBALT,
  jewelry: COBALT,
  earring: COBALT,
  cobalt: COBALT,
  gold: [/\bgold\b/, /\b(ci )?77480\b/, /\baurum\b/],
  silver: [/\bsilver\b/, /\b(ci )?77820\b/, /\bargentum\b/],
  copper: [/\bcopper\b/, /\b(ci )?77400\b/, /\bcuprum\b/],
  aluminium: ALUMINIUM,
  aluminum: ALUMINIUM,
  glitter: [/\b(polyethylene terephthalate|pet glitter|glitters?)\b/],
  henna: [/\blawsonia\b/],
  'fruit acid': FRUIT_ACIDS,
  aha: FRUIT_ACIDS,
  'alpha hydroxy acid': FRUIT_ACIDS,
  'glycolic acid': [/\bglycol(ic|ates?)\b/],
  bha: [...SALICYLATES, /\bbutylated hydroxyanisole\b/, /\bbha\b/],
  'salicylic acid': SALICYLATES,
  bht: [/\b(bht|butylated hydroxytoluene)\b/],
  urea: [/\burea\b/],
  hyaluronic: [/\bhyaluron(ic|ate)\b/],
  collagen: [/collagen/],
  msg: [/\bglutamates?\b/],
  petroleum: PETROLATUM,
  vaseline: PETROLATUM,
  'mineral oil': PETROLATUM,
};
