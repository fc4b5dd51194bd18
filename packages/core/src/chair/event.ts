import { Type, type Static } from '@sinclair/typebox';
import { DeviationSchema } from '../look';
import { closed, InstantSchema, TextSchema, UuidSchema } from '../schema';

const common = {
  id: UuidSchema,
  stepId: UuidSchema,
  at: InstantSchema,
  by: TextSchema,
  device: Type.Optional(
    Type.String({ maxLength: 60, description: 'the device it was recorded on, by a name of its own' }),
  ),
  seen: Type.Optional(
    Type.Union([UuidSchema, Type.Null()], {
      description:
        'the last event of this step the device had been told of; null when it knew of none, left out when it did not say',
    }),
  ),
  sitting: Type.Optional(
    Type.String({
      pattern: UuidSchema.pattern,
      description:
        'an event of the sitting it belongs to, its own id where it begins one; left out where the clock says it',
    }),
  ),
  settles: Type.Optional(
    Type.Array(UuidSchema, {
      maxItems: 20,
      description: 'events that contradict each other and that this one puts in order: they count no longer',
    }),
  ),
};

/** What happened at the chair to one step: one definition for what is sent, kept and carried in files. */
export const RecordedEventSchema = Type.Union([
  Type.Object({ ...common, kind: Type.Union([Type.Literal('done'), Type.Literal('undone')]) }, closed),
  Type.Object({ ...common, kind: Type.Literal('deviation'), deviation: DeviationSchema }, closed),
]);
export type RecordedEvent = Static<typeof RecordedEventSchema>;
export type EventKind = RecordedEvent['kind'];
export const EVENT_KINDS = ['done', 'undone', 'deviation'] as const satisfies readonly EventKind[];

type WithoutId<E> = E extends unknown ? Omit<E, 'id'> & { readonly id?: string } : never;
/** An event that may not be recorded yet. */
export type ChairEvent = WithoutId<RecordedEvent>;

/**
 * What a device tells: an event before it is known whose hands it was; the kind and its deviation beside each
 * other, as forms have them.
 */
export type Told = Pick<RecordedEvent, 'id' | 'stepId' | 'at' | 'device' | 'seen' | 'sitting' | 'settles'> & {
  readonly kind: EventKind;
  readonly deviation?: Extract<RecordedEvent, { kind: 'deviation' }>['deviation'];
};

/**
 * What was told, as somebody's event: what was not said stays unsaid. Throws a RangeError for a deviation
 * that says nothing.
 */
export function recordedBy(
  by: string,
  { id, stepId, at, kind, deviation, device, seen, sitting, settles }: Told,
): RecordedEvent {
  const common = {
    id,
    stepId,
    at,
    by,
    ...(device !== undefined && { device }),
    ...(seen !== undefined && { seen }),
    ...(sitting !== undefined && { sitting }),
    ...(settles !== undefined && { settles }),
  };
  if (kind !== 'deviation') return { ...common, kind };
  if (deviation === undefined) throw new RangeError(`event ${id}: a deviation says what was different`);
  return { ...common, kind, deviation };
}
