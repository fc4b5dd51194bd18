import { Type, type TLiteral, type TUnion } from '@sinclair/typebox';

/** One of a list of words, as a schema with a closed type. */
export function oneOf<T extends string>(values: readonly T[], description?: string): TUnion<TLiteral<T>[]> {
  return Type.Union(
    values.map((value) => Type.Literal(value)),
    description ? { description } : {},
  );
}

/** One of a few numbers, as a schema with a closed type. */
export function oneOfNumbers<T extends number>(
  values: readonly T[],
  description: string,
): TUnion<TLiteral<T>[]> {
  return Type.Union(
    values.map((value) => Type.Literal(value)),
    { description },
  );
}

export const UuidSchema = Type.String({
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$',
  description: 'a UUID',
});
export const InstantSchema = Type.String({
  pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d+)?Z$',
  description: 'an instant in UTC, as 2031-05-14T09:20:00Z',
});
const LEAP_YEAR = '(?:\\d\\d(?:0[48]|[2468][048]|[13579][26])|(?:[02468][048]|[13579][26])00)';
/**
 * Days of the Gregorian calendar only, so that whoever reads the published schema refuses 31 February too.
 */
export const DateSchema = Type.String({
  pattern: `^(?:\\d{4}-(?:(?:0[13578]|1[02])-(?:0[1-9]|[12]\\d|3[01])|(?:0[469]|11)-(?:0[1-9]|[12]\\d|30)|02-(?:0[1-9]|1\\d|2[0-8]))|${LEAP_YEAR}-02-29)$`,
  description: 'a date, as 2031-05-14',
});
export const LabSchema = Type.Tuple(
  [
    Type.Number({ minimum: 0, maximum: 100 }),
    Type.Number({ minimum: -128, maximum: 128 }),
    Type.Number({ minimum: -128, maximum: 128 }),
  ],
  {
    description: 'CIELAB under D65, 2-degree observer',
  },
);
export const PointSchema = Type.Tuple(
  [Type.Number({ minimum: -500, maximum: 500 }), Type.Number({ minimum: -500, maximum: 500 })],
  {
    description: 'x, y in mm',
  },
);
export const TextSchema = Type.String({ minLength: 1, maxLength: 200 });
export const NoteSchema = Type.String({ maxLength: 4000 });
export const closed = { additionalProperties: false } as const;
