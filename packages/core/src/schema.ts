import { Type, type TLiteral, type TUnion } from '@sinclair/typebox';
import { DATE_PATTERN, INSTANT_PATTERN, UUID_PATTERN } from './patterns';

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

export const UuidSchema = Type.String({ pattern: UUID_PATTERN, description: 'a UUID' });
export const InstantSchema = Type.String({
  pattern: INSTANT_PATTERN,
  description: 'an instant in UTC, as 2031-05-14T09:20:00Z',
});
export const DateSchema = Type.String({ pattern: DATE_PATTERN, description: 'a date, as 2031-05-14' });
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
