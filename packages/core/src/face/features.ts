import { Type, type Static } from '@sinclair/typebox';

const one = <T extends string>(...values: readonly T[]) => Type.Union(values.map((v) => Type.Literal(v)));

export const LIDS = ['open', 'partly hooded', 'hooded'] as const;
export const EYE_SHAPES = ['almond', 'round', 'deep-set', 'down-turned'] as const;
export const BROWS = ['full', 'fine', 'sparse', 'tattooed'] as const;
export const HAIR_STYLES = ['tied back', 'long', 'curls', 'cropped', 'covered'] as const;
export const HAIR_TONES = ['fair', 'red', 'brown', 'black', 'grey'] as const;
export const NOSES = ['straight', 'rounded', 'fine', 'broad'] as const;
export const LINES = ['forehead', 'between brows', 'crow’s feet', 'under eye', 'smile', 'lip'] as const;
export const AGES = ['child', 'young', 'adult', 'mature'] as const;
export const OILY_ZONES = ['forehead', 'nose', 'chin', 'cheeks', 'lids'] as const;

/** What is noted of a face beside its measurements. Left and right are the client's. */
export const FeaturesSchema = Type.Object(
  {
    lids: Type.Object({ left: one(...LIDS), right: one(...LIDS) }, { additionalProperties: false }),
    eyes: one(...EYE_SHAPES),
    brows: one(...BROWS),
    nose: one(...NOSES),
    hair: one(...HAIR_STYLES),
    hairTone: one(...HAIR_TONES),
    age: one(...AGES),
    lines: Type.Array(one(...LINES)),
    narrowTemples: Type.Boolean(),
    texture: one('smooth', 'textured'),
    oily: Type.Array(one(...OILY_ZONES)),
    dry: Type.Boolean(),
    lenses: Type.Boolean(),
    headTremor: Type.Boolean(),
    beard: Type.Boolean(),
  },
  { additionalProperties: false },
);
export type Features = Static<typeof FeaturesSchema>;

/** A face about which nothing has been noted yet. */
export const PLAIN_FEATURES: Features = {
  lids: { left: 'open', right: 'open' },
  eyes: 'almond',
  brows: 'full',
  nose: 'straight',
  hair: 'tied back',
  hairTone: 'brown',
  age: 'adult',
  lines: [],
  narrowTemples: false,
  texture: 'smooth',
  oily: [],
  dry: false,
  lenses: false,
  headTremor: false,
  beard: false,
};
