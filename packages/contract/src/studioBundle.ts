import { Type, type Static } from '@sinclair/typebox';
import {
  ChartSchema,
  DeviationSchema,
  FeaturesSchema,
  LandmarksSchema,
  LookSchema,
  OCCASIONS,
  PaletteSchema,
  ProductSchema,
  SKIN_ZONES,
  TapsSchema,
  UnitSchema,
  type Lab,
  type SkinZone,
} from '@toile/core';
import { ROLES } from './roles';

const id = Type.String({ pattern: '^[0-9a-f-]{36}$' });
const closed = { additionalProperties: false } as const;
const text = Type.String({ maxLength: 4000 });
const words = <T extends string>(values: readonly T[]) => Type.Union(values.map((v) => Type.Literal(v)));
const lab = Type.Tuple([Type.Number(), Type.Number(), Type.Number()]);
const byZone = Type.Object(Object.fromEntries(SKIN_ZONES.map((zone) => [zone, Type.Optional(Type.Array(lab, { minItems: 1 }))])), closed);
const skinByZone = Type.Object(Object.fromEntries(SKIN_ZONES.map((zone) => [zone, Type.Optional(lab)])), closed);

/** A whole studio as one document, `toile.studio/1`: what the importer takes and the demo is written in. */
export const StudioBundleSchema = Type.Object(
  {
    format: Type.Literal('toile.studio/1'),
    studio: Type.Object({ id, name: text }, closed),
    people: Type.Array(Type.Object({ id, name: text, email: text, role: words(ROLES), password: text }, closed)),
    clients: Type.Array(
      Type.Object(
        {
          id,
          name: text,
          phone: text,
          email: text,
          birthYear: Type.Union([Type.Integer(), Type.Null()]),
          guardianConsent: text,
          sensitivities: Type.Array(text),
          notes: text,
          features: FeaturesSchema,
          measurements: Type.Record(Type.String(), Type.Number()),
          taps: Type.Optional(TapsSchema),
          likeness: Type.Optional(Type.Union([LandmarksSchema, Type.Null()])),
          simulatedSkin: Type.Unsafe<{ readonly [zone in SkinZone]?: Lab }>(skinByZone),
        },
        closed,
      ),
    ),
    readings: Type.Array(
      Type.Object(
        {
          id,
          clientId: id,
          at: text,
          by: text,
          source: words(['reader', 'typed', 'import'] as const),
          zones: Type.Unsafe<{ readonly [zone in SkinZone]?: readonly Lab[] }>(byZone),
          extras: Type.Optional(Type.Array(Type.Object({ name: text, beside: words(SKIN_ZONES), samples: Type.Array(lab, { minItems: 1 }) }, closed))),
        },
        closed,
      ),
    ),
    products: Type.Array(ProductSchema),
    units: Type.Array(UnitSchema),
    palettes: Type.Optional(Type.Array(PaletteSchema)),
    looks: Type.Array(LookSchema),
    parties: Type.Array(Type.Object({ id, name: text, date: text, place: text, notes: text }, closed)),
    visits: Type.Array(
      Type.Object(
        {
          id,
          clientId: id,
          kind: words(OCCASIONS),
          date: text,
          startsAt: text,
          readyBy: Type.Union([text, Type.Null()]),
          place: text,
          partyId: Type.Union([id, Type.Null()]),
          chartId: Type.Union([id, Type.Null()]),
        },
        closed,
      ),
    ),
    charts: Type.Array(ChartSchema),
    events: Type.Array(
      Type.Object(
        {
          id,
          chartId: id,
          version: Type.Integer({ minimum: 1 }),
          stepId: id,
          kind: words(['done', 'undone', 'deviation'] as const),
          at: text,
          by: text,
          deviation: Type.Optional(DeviationSchema),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type StudioBundle = Static<typeof StudioBundleSchema>;
