import type { Finish, ProductKind, Texture } from './product';

/*
 * What lists and makers call things, spelled out: every form at least once, a number or the rest of a word
 * standing as 3 or x.
 */
const told = ([text]: TemplateStringsArray): readonly string[] => text!.trim().split(/\s*[|\n]\s*/);

export const KIND_FORMS: Readonly<Partial<Record<ProductKind, readonly string[]>>> = {
  primer: told`
  primer | primers | pore filler | lid base | shadow base | lash base`,
  spray: told`
  setting spray | fixing spray | finishing spray | makeup spray | make-up spray | setting sprays
  setting mist | setting mists | setting fixer | setting fixers | spray | sprays`,
  adjuster: told`
  adjuster | adjusters | mixing medium | mixing drops | mixing pigment | shade adjust | color adjust
  colour adjust | lightening adjust | darkening adjust | white adjust | shade adjustx | shade drops
  mixer | mixers`,
  'lip liner': told`
  lipliner | lip liner | lip-liner | lipliners | lippencil | lippencils | lipcontour | lipcontours`,
  brow: told`
  brow | eyebrow | eye brow | brows`,
  prep: told`
  lip balm | lip balms | lip mask | lip masks | lip scrub | lip scrubs | lip oil | lip oils
  lip treatment | lip treatments | tinted lip balm | tinted lip balms | prep | preps | moisturiser
  moisturizer | moisturisers | cleanser | cleansers | toner | toners | serum | serums | spf | spf3 | spf 3
  sunscreen | sun screen | sun-screen | sunscreens | suncream | suncreams | sunblock | sunblocks
  micellar | micellar water | face cream | eye cream | day cream | night cream | hydrating cream
  barrier cream | face creams | face mist | face mists | face gel | face gels | face oil | face oils
  face mask | face masks | face patches | essence | essences | skincare | skin care | skin-care | remover
  removers | exfoliatx`,
  base: told`
  foundation | foundations | tinted moisturiser | tinted moisturizer | tinted moisturisers | bbcream
  cccream | ddcream | bb cream | bbcreams | bb | cc | skin tint | skin tints | complexion | cushion
  cushions`,
  'lip colour': told`
  lipstick | lip stick | lipsticks | gloss | lip gloss | glosses | lipcolor | lip color | lipcolour
  lipcolors | liptint | liptints | lipstain | lipstains | lipcream | lipcreams | lippaint | lippaints
  liplacquer | liplacquers | lipcrayon | lipcrayons | liquid lip | liquid lips | lip | lips`,
  lashes: told`
  falselash | striplash | individuallash | clusterlash | fauxlash | false lash | falseeyelash
  falseeye lash | falselashes | lash strip | lash strips | lash band | lash bands | lash cluster
  lash clusters | lashes | eyelashes | eye lashes | falsies`,
  mascara: told`
  mascara | mascaras`,
  liner: told`
  eyeliner | eye liner | eye-liner | eyeliners | liner | liners | kajal | kajals | kohl | kohls`,
  shadow: told`
  eyeshadow | eye shadow | eye-shadow | eyeshadows | shadow | shadows | eye color | eye colour
  eye colors | eye pigment | eye pigments | eye palette | eye palettes | eye tint | eye tints | pigment
  pigments | glitter | glitters`,
  corrector: told`
  corrector | correctors | correcting | correction | neutraliser | neutralizer | neutralisers`,
  concealer: told`
  concealer | concealers | camouflage`,
  contour: told`
  contour | contours | contouring | sculpt | sculpting | sculptor`,
  bronzer: told`
  bronzer | bronzers | bronzing`,
  blush: told`
  blush | blushes | blusher | blushers | cheek tint | cheek tints | cheek color | cheek colour
  cheek colors | cheek stain | cheek stains | rouge | rouges`,
  highlight: told`
  highlight | highlighter | highlighters | highlighting | illuminator | illuminators | illuminating
  luminizer | luminizers | strobe | strobes | strobing`,
  powder: told`
  powder | powders`,
};

export const TEXTURE_FORMS: Readonly<Partial<Record<Texture, readonly string[]>>> = {
  pencil: told`
  pencil | pencils | crayon | crayons | kajal | kajals | kohl | kohls`,
  stick: told`
  stick | sticks`,
  loose: told`
  loose | pigment | pigments | glitter | glitters`,
  pressed: told`
  pressed | compact | baked | pan | powder`,
  gel: told`
  gel | gels | jelly`,
  cream: told`
  cream | creams | creme | crème | cremes | mousse | pomade | pomades | balm | balms | putty | souffle
  soufflé`,
  liquid: told`
  liquid | liquids | fluid | fluids | serum | serums | drops | gloss | glosses | ink | tint | tints`,
};

export const FINISH_FORMS: Readonly<Partial<Record<Finish, readonly string[]>>> = {
  shimmer: told`
  shimmer | shimmerx | glitter | glitters | metallic | sparklx | pearl | pearlx | frost | frostx`,
  dewy: told`
  dewy | glow | glowy | glowing | radianx | luminous | gloss | glosses | glossy`,
  matte: told`
  matt | matte | mattifying`,
  satin: told`
  satin`,
};

/** Goes with what is laid on, and is none of it. */
export const NO_PRODUCT_FORMS = told`
  glue | glues | adhesive | adhesives | brush | brushes | sponge | sponges | puff | puffs | tool | tools
  curler | curlers | tweezer | tweezers | sharpener | sharpeners | palette knife`;

/** Meant for the eyes. */
export const FOR_EYES_FORMS = told`
  eyeprimer | eye primer | eye-primer | eyebase | eyeconcealer | eyecream | eyesafe | undereye | under eye
  under-eye | lid primer | lid base | eyeprimers`;

/** Not meant for them, or not said to be. */
export const NOT_FOR_EYES_FORMS = told`
  glitter | glitters | pigment | pigments | not for eye | not for the eye | not for eyes | body`;

/** Holds in tears. */
export const WATERPROOF_FORMS = told`
  waterproof | sweatproof | tearproof | rainproof | swimproof | water proof | water-proof | waterresist
  waterresistx | tubing`;

/** Holds for long. */
export const LONG_FORMS = told`
  long | longwear | long wear | long-wear | longlast | longstay | longhold | longwearx | 10h | 20h | 10 h
  10-h | 10hr | 10hrs | 10hour | 10hours | allday | all day | all-day | hold | strong | stay | stayx`;

/** Leaves no trace. */
export const TRANSFER_FORMS = told`
  transferproof | kissproof | smudgeproof | budgeproof | transfer proof | transfer-proof | transferresist
  transferresistx | transferfree | notransfer | nontransfer | no transfer | no-transfer | notransferx
  stain | longwear liquid | long-wear liquid`;
