import { Type, type Static } from '@sinclair/typebox';
import { closed, DateSchema, InstantSchema, NoteSchema, TextSchema, UuidSchema } from '../schema';

const named = Type.Object({ productId: UuidSchema, product: TextSchema }, closed);

/** Something that went wrong while or after a client was worked on: what was seen, never what it is. */
export const IncidentSchema = Type.Object(
  {
    id: UuidSchema,
    clientId: UuidSchema,
    on: DateSchema,
    seen: Type.String({ minLength: 1, maxLength: 1000 }),
    done: NoteSchema,
    /** The chart that was worked, and with it everything that was used. */
    chart: Type.Union([
      Type.Object({ id: UuidSchema, version: Type.Integer({ minimum: 1 }) }, closed),
      Type.Null(),
    ]),
    used: Type.Array(named, { maxItems: 200 }),
    /** Products that are left alone from now on. */
    suspected: Type.Array(named, { maxItems: 40 }),
    by: TextSchema,
    at: InstantSchema,
  },
  closed,
);
export type Incident = Static<typeof IncidentSchema>;
