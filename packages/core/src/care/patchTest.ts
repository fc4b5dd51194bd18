import { Type, type Static } from '@sinclair/typebox';
import { msg } from '../messages';
import type { Incident } from './incident';
import { closed, DateSchema, InstantSchema, NoteSchema, oneOf, TextSchema, UuidSchema } from '../schema';

export const PATCH_PLACES = ['inner arm', 'behind the ear', 'jaw', 'neck'] as const;
/** What is seen when a test is read: nothing, something, or neither surely. No word of what it is. */
export const PATCH_RESULTS = ['clear', 'reacted', 'unsure'] as const;
export type PatchResult = (typeof PATCH_RESULTS)[number];

export const PatchReadingSchema = Type.Object(
  { at: InstantSchema, by: TextSchema, result: oneOf(PATCH_RESULTS), note: NoteSchema },
  closed,
);
/** A product tried on a small place of a client's skin before it is used. */
export const PatchTestSchema = Type.Object(
  {
    id: UuidSchema,
    clientId: UuidSchema,
    productId: UuidSchema,
    product: TextSchema,
    unitId: Type.Union([UuidSchema, Type.Null()]),
    place: oneOf(PATCH_PLACES),
    plannedFor: DateSchema,
    laidAt: Type.Union([InstantSchema, Type.Null()]),
    readings: Type.Array(PatchReadingSchema, { maxItems: 12 }),
    note: NoteSchema,
  },
  closed,
);
export type PatchTest = Static<typeof PatchTestSchema>;

/** Hours after it was laid at which a test is read. */
export const READ_AT_HOURS = [24, 48] as const;
/** A reading counts for its hour when it comes at most so much before it, hours. */
const EARLY_HOURS = 4;
const HOUR_MS = 3_600_000;

export type PatchState =
  | { readonly is: 'planned'; readonly late: boolean }
  /** Laid, or read once: `dueAt` is when it is to be read next. */
  | { readonly is: 'laid' | 'clear so far'; readonly dueAt: Date; readonly late: boolean }
  | { readonly is: PatchResult };

/**
 * How far a test is. Any reaction stands, whatever was read before or after it; clear is only what was clear
 * at 48 hours and uncertain is what was seen last. `today` is the studio's day of `now`.
 */
export function patchState(test: PatchTest, now: Date, today: string): PatchState {
  const { laidAt, readings, plannedFor } = test;
  if (readings.some(({ result }) => result === 'reacted')) return { is: 'reacted' };
  if (laidAt === null) return { is: 'planned', late: plannedFor < today };
  // Of two at once what was not clear counts.
  const last = [...readings]
    .sort((a, b) => a.at.localeCompare(b.at) || a.result.localeCompare(b.result))
    .at(-1);
  if (last?.result === 'unsure') return { is: 'unsure' };
  const hours = last ? (Date.parse(last.at) - Date.parse(laidAt)) / HOUR_MS : 0;
  const next = READ_AT_HOURS.find((at) => last === undefined || hours < at - EARLY_HOURS);
  if (next === undefined) return { is: 'clear' };
  const dueAt = new Date(Date.parse(laidAt) + next * HOUR_MS);
  // Read too early it says nothing yet.
  const early = last === undefined || hours < READ_AT_HOURS[0] - EARLY_HOURS;
  return { is: early ? 'laid' : 'clear so far', dueAt, late: dueAt <= now };
}

export const PATCH_VERDICTS = ['reacted', 'suspected', 'unsure', 'missing', 'clear so far', 'clear'] as const;
export type PatchVerdict = (typeof PATCH_VERDICTS)[number];

/** What the tests of one product say together, as a chart minds it. */
export const PatchMindedSchema = Type.Object(
  { productId: UuidSchema, product: TextSchema, verdict: oneOf(PATCH_VERDICTS), on: DateSchema },
  closed,
);
export type PatchMinded = Static<typeof PatchMindedSchema>;

const GRAVITY: Readonly<Record<PatchState['is'], PatchVerdict>> = {
  planned: 'missing',
  laid: 'missing',
  'clear so far': 'clear so far',
  clear: 'clear',
  reacted: 'reacted',
  unsure: 'unsure',
};

/**
 * What is known of each product that was tested on a client or suspected after an incident: a reaction in any
 * test stands, then a suspicion, whatever tests say; otherwise what the test that was planned last says.
 * Products nobody tested or suspected are not in it.
 */
export function patchMinded(
  tests: readonly PatchTest[],
  now: Date,
  today: string,
  incidents: readonly Pick<Incident, 'on' | 'suspected'>[] = [],
): PatchMinded[] {
  const suspected = new Map(
    [...incidents]
      .sort((a, b) => a.on.localeCompare(b.on))
      .flatMap(({ on, suspected }) =>
        suspected.map(({ productId, product }): [string, PatchMinded] => [
          productId,
          { productId, product, verdict: 'suspected', on },
        ]),
      ),
  );
  const tested = testsMinded(tests, now, today).filter(
    ({ productId, verdict }) => verdict === 'reacted' || !suspected.has(productId),
  );
  const told = new Set(tested.map(({ productId }) => productId));
  return [...tested, ...[...suspected.values()].filter(({ productId }) => !told.has(productId))];
}

function testsMinded(tests: readonly PatchTest[], now: Date, today: string): PatchMinded[] {
  const byProduct = new Map<string, PatchTest[]>();
  for (const test of tests) byProduct.set(test.productId, [...(byProduct.get(test.productId) ?? []), test]);
  return [...byProduct.values()].map((own) => {
    const told = own
      .map((test) => ({ test, verdict: GRAVITY[patchState(test, now, today).is] }))
      .sort(
        (a, b) => a.test.plannedFor.localeCompare(b.test.plannedFor) || a.test.id.localeCompare(b.test.id),
      );
    const { test, verdict } = told.find((one) => one.verdict === 'reacted') ?? told.at(-1)!;
    return { productId: test.productId, product: test.product, verdict, on: test.plannedFor };
  });
}

/** Why a product is not to be used after its tests; null when nothing of them speaks against it. */
export function patchSpeaksAgainst(
  minded: readonly PatchMinded[] | undefined,
  productId: string,
): string | null {
  const told = minded?.find((one) => one.productId === productId);
  switch (told?.verdict) {
    case 'reacted':
      return msg`reacted in the patch test of ${told.on}`;
    case 'suspected':
      return msg`is left alone since the incident of ${told.on}`;
    case 'unsure':
      return msg`was not clear in the patch test of ${told.on}`;
    case 'missing':
      return msg`has a patch test of ${told.on} without a result`;
    default:
      return null;
  }
}
