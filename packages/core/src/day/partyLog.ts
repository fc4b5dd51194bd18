import { Type, type Static } from '@sinclair/typebox';
import { closed, InstantSchema, oneOf, TextSchema, UuidSchema } from '../schema';

/**
 * What is told of a party's day: of a visit, that it began, ended, or neither after all; of a thing, that it
 * is packed.
 */
export const PARTY_EVENT_KINDS = ['began', 'ended', 'undone', 'packed', 'unpacked'] as const;
export type PartyEventKind = (typeof PARTY_EVENT_KINDS)[number];

const ItemSchema = Type.String({
  minLength: 1,
  maxLength: 160,
  description: 'a visit as "person task", or a thing of the packing list by its key',
});

export const PartyEventSchema = Type.Object(
  {
    id: UuidSchema,
    kind: oneOf(PARTY_EVENT_KINDS),
    item: ItemSchema,
    at: InstantSchema,
    by: TextSchema,
    into: Type.Optional(Type.String({ minLength: 1, maxLength: 60, description: 'the case it lies in' })),
    device: Type.Optional(Type.String({ maxLength: 60 })),
  },
  closed,
);
export type PartyEvent = Static<typeof PartyEventSchema>;

/** When a visit really began and ended: instants. */
export type VisitTimes = { readonly beganAt: string | null; readonly endedAt: string | null };

/**
 * Each visit's times by what was told last, in the order it was recorded. Told twice that it began, the first
 * is meant: two phones were at the same chair; told anew after it was taken back, the new one.
 */
export function visitTimes(events: readonly PartyEvent[]): ReadonlyMap<string, VisitTimes> {
  const times = new Map<string, VisitTimes>();
  for (const { kind, item, at } of events) {
    const known = times.get(item) ?? { beganAt: null, endedAt: null };
    if (kind === 'began') times.set(item, { ...known, beganAt: known.beganAt ?? at });
    if (kind === 'ended') times.set(item, { ...known, endedAt: at });
    if (kind === 'undone')
      times.set(
        item,
        known.endedAt === null ? { beganAt: null, endedAt: null } : { ...known, endedAt: null },
      );
  }
  return times;
}

/** What is packed: by whom, and in which case. */
export type Packed = { readonly by: string; readonly into: string | null };

/** What lies in a case by now, by its key: what was told last counts. */
export function packedThings(events: readonly PartyEvent[]): ReadonlyMap<string, Packed> {
  const packed = new Map<string, Packed>();
  for (const { kind, item, by, into } of events) {
    if (kind === 'packed') packed.set(item, { by, into: into ?? null });
    if (kind === 'unpacked') packed.delete(item);
  }
  return packed;
}
