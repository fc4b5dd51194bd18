import { Type, type Static } from '@sinclair/typebox';
import { listed } from '../listed';
import { msg, term } from '../messages';
import { SIDES, type Side } from './landmarks';

const one = <T extends string>(...values: readonly T[]) => Type.Union(values.map((v) => Type.Literal(v)));

const CREASED_LIDS = ['open', 'partly hooded', 'hooded'] as const;
export const LIDS = [...CREASED_LIDS, 'without a crease'] as const;
export type Lid = (typeof LIDS)[number];
export const EYE_SHAPES = ['almond', 'round', 'deep-set', 'down-turned'] as const;
export const BROWS = ['full', 'fine', 'sparse', 'tattooed'] as const;
export const HAIR_STYLES = [
  'tied back',
  'long',
  'bob',
  'short waves',
  'braids',
  'curls',
  'cropped',
  'covered',
] as const;
export const HAIR_TONES = ['fair', 'red', 'brown', 'black', 'grey'] as const;
export const NOSES = ['straight', 'rounded', 'fine', 'broad', 'arched', 'turned up'] as const;
export const LIP_EDGES = ['clear', 'blurred'] as const;
export const LINES = ['forehead', 'between brows', 'crow’s feet', 'under eye', 'smile', 'lip'] as const;
export const AGES = ['child', 'young', 'adult', 'mature'] as const;
export const LASHES = ['full', 'sparse', 'straight', 'extensions'] as const;
export const OILY_ZONES = ['forehead', 'nose', 'chin', 'cheeks', 'lids'] as const;
export const DRY_ZONES = ['forehead', 'nose', 'chin', 'cheeks', 'under the eyes', 'round the mouth'] as const;
export type DryZone = (typeof DRY_ZONES)[number];

/** What may be noted of each side by itself. */
const sided = {
  eyes: one(...EYE_SHAPES),
  brows: one(...BROWS),
  lines: Type.Array(one(...LINES)),
  narrowTemples: Type.Boolean(),
  texture: one('smooth', 'textured'),
};
const lipEdge = Type.Optional(one(...LIP_EDGES));

/**
 * What is noted of a face beside its measurements. Left and right are the client's. What is said once
 * holds for both sides; `right` says where the client's right differs.
 */
export const FeaturesSchema = Type.Object(
  {
    lids: Type.Object({ left: one(...LIDS), right: one(...LIDS) }, { additionalProperties: false }),
    ...sided,
    /** Clear when it is not said. */
    lipEdge,
    right: Type.Optional(Type.Partial(Type.Object({ ...sided, lipEdge }), { additionalProperties: false })),
    nose: one(...NOSES),
    hair: one(...HAIR_STYLES),
    hairTone: one(...HAIR_TONES),
    age: one(...AGES),
    oily: Type.Array(one(...OILY_ZONES)),
    /** Dry all over. */
    dry: Type.Boolean(),
    lenses: Type.Boolean(),
    headTremor: Type.Boolean(),
    beard: Type.Boolean(),
    /** Not said where nothing was noted. */
    lashes: Type.Optional(one(...LASHES)),
    cannotRecline: Type.Optional(Type.Boolean()),
    /** Where it is dry without being so all over. */
    dryZones: Type.Optional(Type.Array(one(...DRY_ZONES), { maxItems: DRY_ZONES.length })),
  },
  { additionalProperties: false },
);
const creased = one(...CREASED_LIDS);
/** As the first form of a chart knows it. */
export const FeaturesV1Schema = Type.Object(
  {
    ...Type.Omit(FeaturesSchema, ['dryZones']).properties,
    lids: Type.Object({ left: creased, right: creased }, { additionalProperties: false }),
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

/** What may differ between the sides, lids apart, which always say both. */
export type SidedFeatures = NonNullable<Features['right']>;

const merged = new WeakMap<Features, Features>();

/**
 * What is noted of one side of a face. The same object for the same features, as drawings are cached by it.
 */
export function featuresOn(side: Side, features: Features): Features {
  if (side === 'left' || !features.right) return features;
  let right = merged.get(features);
  if (!right) merged.set(features, (right = { ...features, ...features.right }));
  return right;
}

/** The sides of which something holds, client's left first. */
export function sidesWhere(features: Features, holds: (side: Features) => boolean): readonly Side[] {
  return SIDES.filter((side) => holds(featuresOn(side, features)));
}

/** Where the skin is dry while it is not so all over; none where it is, or nowhere. */
export const dryPatches = ({ dry, dryZones = [] }: Pick<Features, 'dry' | 'dryZones'>): readonly DryZone[] =>
  dry ? [] : dryZones;

/** Whether the skin is dry there: all over, or at that place. */
export const isDryAt = ({ dry, dryZones = [] }: Pick<Features, 'dry' | 'dryZones'>, zone: DryZone): boolean =>
  dry || dryZones.includes(zone);

/** 'dry skin', 'dry chin and cheeks'; null where it is nowhere dry. */
export function drynessInWords(features: Pick<Features, 'dry' | 'dryZones'>): string | null {
  if (features.dry) return msg`dry skin`;
  const patches = dryPatches(features);
  return patches.length === 0 ? null : msg`dry ${listed(patches.map((one) => term(one)))}`;
}
