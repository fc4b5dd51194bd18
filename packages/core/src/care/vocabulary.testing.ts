import type { HeedKind } from './heedWords';
import type { DislikeKind } from './dislikeWords';

/*
 * What is understood, spelled out: every form of every word at least once, a number or the rest of a word
 * standing as 3 or x. A pattern that loses one of them no longer reads what somebody may write.
 */
const told = ([text]: TemplateStringsArray): readonly string[] => text!.trim().split(/\s*[|\n]\s*/);

export const HEED_FORMS: Readonly<Record<HeedKind, readonly string[]>> = {
  'eyes treated': told`
  laser eye | eye laser | lasik | eye surgery | eyelid surgery | cataract surgery | lid surgery
  eyes surgery | eye operation | eye op | eye lift | blepharoplasty | surgery on my eye
  surgery to my eye | surgery on the eye | surgery on both eye | surgery on one eye
  surgery on my left eye | surgery on my right eye | surgery on my eyes | cataract | cataracts | glaucoma
  detached retina | cornea x | corneal x | eyedrops | eye drops | dry eye disease | dry eye syndrome`,
  'lash extensions': told`
  lashext | eyelashext | eye lashext | lashesext | lash ext | lashextension | lashexts | extension on lash
  extensions on lash | extension of lash | extension to lash | extension on my lash
  extension on the lash | extension on eyelash | extension on eye lash | extension on lashes
  russian lash | hybrid lash | volume lash | semi-permanent lash | semi permanent lash
  russian volume lash | russian eyelash | russian eye lash | russian lashes | lash infill | lash infills
  individual lashes put | cluster lashes put | individual eyelashes put | individual eye lashes put
  individual lashes were put | individual lashes are put | individual lashes applied
  individual lashes done | individual lashes worn | individual lashes for | individual lashes by
  individual lashes since`,
  'lashes or brows treated': told`
  lash lift | eyelash lift | eye lash lift | lashes lift | lash lifted | lash lifting | lash perm
  lash permed | lash tint | lash tinted | lash tinting | lash dye | lash dyed | lash done | lash treatment
  brow done | eyebrow done | eye brow done | brows done | brow treatment | brow lift | brow lifted
  brow lamination | brow laminated | brow tint | brow tinted | brow tinting | brow dye | brow dyed
  brow henna | brow tattoo | brow tattoos | brow tattooed | brow microbladx | microbladx | micro bladx
  henna brow | hennaed brow | henna eyebrow | henna eye brow | henna brows | laminated brow
  laminated eyebrow | laminated eye brow | laminated brows | tinted brows | tinted eyebrows
  tinted eye brows | tinted lashes | tattooed brow | tattooed eyebrow | tattooed eye brow | tattooed brows
  permanent makeup | semi-permanent makeup | semi permanent makeup | permanent make-up | permanent make up
  pmu | lip blush | lip blushing | lip tattoo | lip tattooed | micropigmentx | micro pigmentx
  micro-pigmentx | tattooed liner | permanent liner | tattooed eyeliner | tattooed eye liner
  liner tattoo | eyeliner tattoo | eye liner tattoo`,
  injected: told`
  filler | fillers | botx | botxx | botulin | botulinx | antiwrinkle inj | anti-wrinkle inj
  anti wrinkle inj | antiwrinkle injx | injectable | injectables | skin booster | skin boosters | lip flip
  thread lift | thread in | threads in | lip done | lips done | lip was done | lip were done
  lip are done | lip been done | lip got done | lip injected | lips injected | cheek injected
  cheeks injected | chin injected | jaw injected | forehead injected | face injected | frown injected
  lip was injected | lip were injected | lip got injected | lip been injected | lip injection
  lip injections | lip augmentx`,
  thinned: told`
  retinol | retinols | retinal | retinaldehyde | retinoid | retinoids | retinoic acid | tretinoin
  isotretinoin | tret | retin | vitamin a cream | vitamin a creams | vitamin a serum | vitamin a serums
  adapalene | tazarotene | benzoyl peroxide | hydroquinone | steroid cream | cortisone cream
  hydrocortisone cream | steroid creams | steroid ointment | steroid ointments | cortisone
  hydrocortisone | acne tablet | acne tablets | acne pill | acne pills | acne medication | acne medicine
  acne treatment | glycolic acid | salicylic acid | lactic acid | mandelic acid | azelaic acid
  strong acid | exfoliating acid | fruit acid | face acid | peeling acid | glycolic acids | aha | ahas
  bha | bhas | acid toner | acid toners | acid serum | acid serums`,
  'treated lately': told`
  peel | chemical peel | fruit peel | acid peel | enzyme peel | face peel | skin peel | tca peel
  lactic peel | glycolic peel | deep peel | peels | peeling | peeled | laser | lasers | lasered | ipl
  light therapy | microneedlx | micro needlx | micro-needlx | dermarollx | derma rollx | derma-rollx
  dermaplanx | derma planx | derma-planx | microdermabrasion | micro dermabrasion | micro-dermabrasion
  dermabrasion | rf needling | radiofrequency | radio frequency | electrolysis | cryo | cryotherapy
  extraction | extractions | facial | facials | waxed | waxing | threaded | threading | sugared | sugaring
  depilatx | epilated | epilating | epilation | hair removal | hair removal cream | upper lip wax
  lip wax | face wax | facial wax | chin wax | full face wax | mole removed | mole was removed
  mole has been removed | removal of mole | removal of a mole | removal of the mole | face surgery
  facial surgery | face operation | cosmetic surgery | plastic surgery | reconstructive surgery
  nose surgery | jaw surgery | surgery on nose | surgery to nose | surgery on my nose
  surgery on the nose | surgery on face | surgery on jaw | surgery on chin | surgery on lip
  surgery on lips | nose done | nose was done | nose were done | nose been done | hifu | nose job
  rhinoplasty | facelift | face lift`,
  'open or infected': told`
  coldsore | cold sore | cold-sore | coldsores | herpes | fever blister | fever blisters | stye | styes
  sty | stys | chalazion | chalazia | conjunctivitis | pinkeye | pink eye | pink-eye | pinkeyes | infected
  infection | infections | impetigo | ringworm | ring worm | ring-worm | shingles | chickenpox
  chicken pox | chicken-pox | wart | warts | molluscum | scabies | lice | blepharitis | boil | boils
  abscess | abscessx | cellulitis | open wound | open wounds | open cut | open cuts | open sore
  open sores | open skin | open spot | open spots | cut myself | cut my x | wound | wounds | a cut
  small cut | fresh cut | deep cut | some cut | few cut | healing cut | shaving cut | a cuts | a scratch
  a scratches | a graze | a nick | a nicks | cut on | cuts on | scratch on | scratches on | nick on
  nicks on | cut over | cut above | cut below | cut near | cut under | cut at | cut from | nicked | graze
  grazed | ulcer | ulcers | swollen | swelling | sore eye | sore eyelid | sore eyes | sore lid | sore lids
  sore lip | sore lips | sore spot | sore spots | sore patch | sore patches | sore mouth | sore nose
  insect bite | midge bite | mosquito bite | spider bite | tick bite | bee bite | wasp bite
  jellyfish bite | insect bites | insect sting | insect stings | stung | picked spot | picking spot
  picked at spot | picked my spot | picked the spot | picked spots | picked skin | picked face | staph
  staphx | thrush | stitches | sutures | weeping skin | weeping spot | weeping spots | weeping patch
  weeping patches | weeping eczema | weeping sore | weeping sores | weeping eye | weeping eyes | oozing
  bleeds | bleeding | crusts | crusted | crusty | scab | scabs | scabbed | scabby | blister | blisters
  blistered | sunburn | sun burn | sun-burn | sunburnx | burnt | a burn | steam burn | hot oil burn
  curling iron burn | straightener burn | wax burn | razor burn | shaving burn | friction burn | a burns
  windburn | wind burn | wind-burn | windburnx`,
  'easily broken': told`
  eczema | dermatitis | psoriasis | rosacea | ichthyosis | lupus | epidermolysis | pemphigx | cystic acne
  severe acne | bad acne | inflamed acne | flareup | flare-up | flare up | flareups | broken skin
  cracked skin | cracked lip | cracked lips | cracked corners | chapped | flaky | flaking | flakes
  perioral x | chemo | chemotherapy | radiotherapy | radio therapy | radiation treatment
  radiation therapy | hives | rash | rashes | sore skin | irritated | itchy | itching | itches | inflamed
  chafed | allergic reaction | glue reaction | dye reaction | tint reaction | lash reaction
  allergic reactions | cheilitis | split at | cracked at | split in | split on | split lip | split lips
  skin cancer | melanoma | keratosx | biopsy | biopsies | biopsied | lesion | lesions | raw skin
  raw patch | raw patches | raw spot | raw spots`,
  tan: told`
  selftan | faketan | spraytan | falsetan | bottletan | self-tan | self tan | selftans | selftanned
  selftanning | selftanner | sunbed | sun bed | sun-bed | sunbeds | tanning bed | tanning beds
  tanning salon | tanning salons | tanning drops | tanning mousse | tanning lotion | tanned
  tan from a bottle | tan out of a bottle`,
};

export const DISLIKE_FORMS: Readonly<Record<DislikeKind, readonly string[]>> = {
  'red lip': told`
  red lip | bright red lip | bold red lip | classic red lip | true red lip | red lips | red liptick
  red lipticks | red mouth | lip red | lips red | lip too red | lip in red | lip so red`,
  'dark lip': told`
  dark lip | deep lip | black lip | vampy lip | plum lip | brown lip | dark lips | dark liptick
  dark lipticks | dark lip color | dark lip colour | dark lip colors | dark mouth | lip too dark
  lips too dark | lip so dark`,
  'lip line': told`
  lipliner | lip liner | lip-liner | lipliners | lippencil | lippencils | lipline | liplines | lined lip
  overlined lip | over lined lip | over-lined lip | lined lips | lip lined | lips lined | lip overlined
  lip over lined | lip over-lined`,
  gloss: told`
  gloss | lip gloss | glossy | glosses | gloss lip | gloss lips | sticky lip | sticky lips`,
  lashes: told`
  false lash | fake lash | glued lash | glue-on lash | glue on lash | stick-on lash | stick on lash
  strip lash | artificial lash | big lash | heavy lash | false eyelash | false eye lash | false lashes
  falsies | lash band | lash bands | lash strip | lash strips | lash cluster | lash clusters | lash glue
  lashe glued | eyelashe glued | eye lashe glued | lashes glued | lashe glued on | band lash | band lashes
  any lashes | no lashes`,
  'drawn brows': told`
  drawnon brow | drawn-on brow | drawn on brow | drawnin brow | heavy brow | dark brow | blocky brow
  block brow | thick brow | strong brow | bold brow | painted brow | harsh brow | drawnon eyebrow
  drawnon eye brow | drawnon brows | brow drawn | eyebrow drawn | eye brow drawn | brows drawn
  brow filled | brow painted | brow too dark | brow too heavy | brow too strong | brow too thick
  brow pencil | eyebrow pencil | eye brow pencil`,
  'dark lid': told`
  smoky | smokey | smokyeye | smoky-eye | smoky eye | smokyeyes | smoky lid | smoky lids | smoky shadow
  smoky shadows | dark eye | black eye | heavy eye | deep eye | dark eyes | dark lid | dark lids
  dark shadow | dark eyeshadow | dark eye shadow | dark shadows | dark eye makeup | dark eye make-up
  panda eye | panda eyes`,
  liner: told`
  liner | eyeliner | eye liner | wing | wings | winged | wing liner | wing eye | wing eyes | cateye
  cat-eye | cat eye | cateyes | kohl | flick | flicks`,
  mascara: told`
  mascara`,
  gems: told`
  gem | face gem | gems | jewel | jewels | rhinestone | rhinestones | crystal | crystals | sequin
  sequins | stick-on stone | stick on stone | stick-on stones | stick-on pearl | stick-on pearls`,
  shimmer: told`
  shimmer | shimmerx | glitter | glitterx | sparkx | frosty | frosted | metallic | metallics | pearl
  pearly | pearlescent | disco`,
  highlight: told`
  highlight | high light | highlightx | strobx`,
  shine: told`
  shiny | shine | shining | dewy | greasy | grease | oily-looking | oily looking | wet-look | wet look
  wet-lookx | glow | glowy | glowing | sweaty`,
  contour: told`
  contour | contourx | sculpt | sculptx | stripe on cheek | stripes on cheek | line on cheek
  lines on cheek | stripe down cheek | stripe on my cheek | stripe on the cheek | stripe on cheeks
  stripe on nose | stripe on face`,
  bronze: told`
  bronzx | fake tan | orange | orange face | orange skin | tanned | tanned look`,
  blush: told`
  blush | blusher | rouge | pink cheek | red cheek | rosy cheek | doll cheek | pink cheeks | clown cheek
  clown cheeks`,
  'much base': told`
  heavy foundation | thick foundation | full foundation | full-coverage foundation
  full coverage foundation | too much foundation | lot of foundation | lots of foundation
  a lot of foundation | so much foundation | heavy base | heavy makeup | heavy make-up | heavy coverage
  heavy cover | heavy concealer | full-cover | full cover | full-coverage | cake | caked | cakey | caky
  cake face | cake faces | cake makeup | cake make-up | cake foundation | mask | masks | mask-like
  mask like | plastered | heavy`,
  matte: told`
  matt | matte | mat | flat | flat-looking | flat looking | chalky`,
  powder: told`
  powder | powdery | powdered | powders | baking | baked`,
  spray: told`
  spray | setting spray | fixing spray | face spray | sprays`,
  concealer: told`
  concealer | concealers`,
  base: told`
  foundation | foundations | base`,
  'lip colour': told`
  lipstick | lip stick | lipsticks | lip color | lip colour | lip colors | lip makeup | lip make-up
  coloured lip | coloured lips`,
  'eye colour': told`
  shadow | eyeshadow | eye shadow | shadows | eye makeup | eye make-up | coloured eyes | coloured lids`,
};

/** Before a mention it is denied. */
export const NO_FORMS = told`
  no | not | never | none | nothing | without | neither | nor | havent | haven't | hasnt | hasn't | hadnt
  hadn't | didnt | didn't | dont | don't | doesnt | doesn't | free of | free from | clear of`;

/** Between a no and a mention it is none. */
export const NOT_A_NO_FORMS = told`
  since | after | because | except | apart | besides | only | sure | know | think | remember | idea | stop
  stops | stopped | certain | longer than | healed | gone | over | better | clear | cleared | well
  long ago | yet | tolerate | stand | other than | so far`;

/** No part of a face. */
export const ELSEWHERE_FORMS = told`
  leg | legs | bikini | brazilian | arm | arms | underarm | underarms | armpit | armpits | my back
  the back | on back | lower back | upper back | full back | whole back | back wax | back waxed
  back waxing | back acne | back and | back of | chest | feet | foot | toe | toes | hand | hands | finger
  fingers | knee | knees | elbow | elbows | shin | shins | stomach | belly | bum | thigh | thighs | body
  ankle | ankles | hip | hips`;

/** Parts of one. */
export const FACE_FORMS = told`
  face | faces | lip | lips | brow | brows | eyebrow | eyebrows | chin | cheek | cheeks | nose | forehead
  eye | eyes | eyelid | eyelids | lid | lids | jaw | neck | temple | temples | mouth | hairline
  moustache | head | scalp | ear | ears`;

/** A treatment then is over. */
export const LONG_AGO_FORMS = told`
  year ago | years ago | last year | a year ago | one year ago | over a year ago | about a year ago
  nearly a year ago | over a year | many years | several years | some years | few years | couple of years
  3 years | two years | three years | four years | five years | six years | seven years | eight years
  nine years | ten years | many months ago | several months ago | 3 months ago | 13 months ago
  three months ago | four months ago | five months ago | six months ago | seven months ago
  eight months ago | nine months ago | ten months ago | eleven months ago | twelve months ago
  half a year ago | as a child | as a kid | as a teen | as a teenx | as a baby | in my teens
  in my twenties | in my thirties`;

/** It goes on, or was done again. */
export const STILL_FORMS = told`
  still | again | every | regular | regularly | often | monthly | weekly | sometimes | on and off
  now and then | come back | comes back | keep | keeps | since | once a week | twice a week | times a week
  3 a week | 3x a week | once per week | once every week | once a month | once a year | yesterday | today
  this morning | this week | this month | last night | last week | last month | monday | tuesday
  wednesday | thursday | friday | saturday | sunday | for 3 years | for the 3 years | for last 3 years
  for past 3 years | for two years | for three years | for four years | for five years | for many years
  for several years | for some years`;

/** What comes back, however long ago. */
export const RETURNS_FORMS = told`
  coldsore | cold sore | cold-sore | coldsores | herpes | fever blister | fever blisters`;

/** Sounds like something to be minded and is not. */
export const SOUNDS_ALIKE_FORMS = told`
  burnt orange | burnt sienna | burnt umber | burnt sugar | burnt rose | burnt peach | burnt caramel
  burnt copper | lipcolor bleed | lip color bleed | lipcolour bleed | lipstick bleed | lipliner bleed
  liner bleed | gloss bleed | glosses bleed | lipsticks bleed | lipcolor that bleed | lipcolor which bleed
  lipcolor bleeds | lipcolor bleeding | bleed into lines | bleeds into lines | bleeding into lines
  bleed into the lines | bleed into my lines | bleed into lip lines | mascara flakes | powder flakes
  foundation flakes | base flakes | brow flakes | brows flakes | mascara that flakes | mascara flaking
  mascara flaky | flaky mascara | flaky powder | flaky foundation | orange peel | peeloff | peel-off
  peel off | banana peel | hyaluronic acid | hyaluronic acid x | facial hair | facial scar | facial scars
  facial palsy | facial paralysis | facial expression | facial expressions | beewax | beeswax | bee wax
  earwax | ear wax | brow wax | wax pencil | wax allergy | allergic to wax | allergic to beewax
  allergic to beeswax | allergic to bee wax | on the other hand | second-hand | first-hand | second hand
  sore throat | thread vein | thread veins`;

/** A treatment only where treatments were asked. */
export const ASKED_FORMS = told`
  wax | waxes | lift | tint | lamination | infill | infills | injection | injections | threads | laser
  lasers`;

/** Sounds like make-up and is none. */
export const NOT_MEANT_FORMS = told`
  heavy perfume | strong perfume | heavy perfumes | heavy scent | heavy scents | heavy smell
  heavy smells | heavy fragrance | heavy fragrances | heavy jewelery | heavy jewellery | heavy earrings
  heavy hair | pearl necklace | pearl necklaces | pearl earrings | pearl jewelery | pearl jewellery
  hairspray | hair-spray | hair spray | hold spray | hairsprays | flat hair | shiny hair
  highlight in hair | high light in hair | highlights in hair | highlight in my hair
  highlight in the hair | face mask | sheet mask | clay mask | sleep mask | face masks | my red cheeks
  my pink cheeks | my rosy cheeks | disco music | disco light | disco lights`;

/** Turns a dislike round. */
export const NOT_MINDED_FORMS = told`
  do not mind | don't mind | dont mind | does not mind | doesn't mind | wouldn't mind | would not mind
  no problem with | no problems with | no issue with | no issues with | no objection with
  no objections with | no trouble with | not bothered by | not fussed by | not bothered about
  nothing against`;

/** Says that it is liked. */
export const LIKED_FORMS = told`
  fine with | ok with | okay with | happy with | good with | comfortable with | love | like | prefer
  want | enjoy | loves | loved | are fine | is fine | are ok | are okay | are good | are great
  are lovely | rather`;

/** Says that it is not liked after all. */
export const DENIED_FORMS = told`
  no | not | non | never | nothing | less | without | cannot | avoid | avoidx | xn't | dont | dislike
  dislikex`;

/** Says what a thing is like, not that it is liked. */
export const IS_LIKE_FORMS = told`
  look like | feel like | seem like | felt like | sound like | looks like | looked like | looking like
  mask-like | doll-like | clown-like | cake-like | plastic-like | paint-like | mask like`;
