import { addDays } from '../calendar';
import { messages } from '../messages';

/** A task before or after a party's day. */
export type RunUpTask = {
  readonly id: RunUpKind;
  /** The first and the last day to do it, YYYY-MM-DD. */ readonly from: string;
  readonly by: string;
  /** Past already when it was asked: what can still be done is done, it is not overdue. */
  readonly missed: boolean;
};

export const RUN_UP_KINDS = [
  'trial',
  'lastNew',
  'reread',
  'buy',
  'agree',
  'brows',
  'patchTest',
  'pack',
  'callSheet',
  'noTan',
  'onTheDay',
  'wearNotes',
  'rebook',
] as const;
export type RunUpKind = (typeof RUN_UP_KINDS)[number];

/** What each is, for whoever does it; in the words of the trade. */
export const RUN_UP_WORDS: Readonly<Record<RunUpKind, string>> = messages({
  trial: 'Trial, in the season and with the tan planned for the day',
  lastNew: 'No new skin care or treatments from now on',
  reread: 'Read the skin again; match anew if it moved by half a step',
  buy: 'Buy what is short',
  agree: 'Agree the hair plan with the stylist',
  brows: 'Brows shaped',
  patchTest: 'Patch test laid and read, if one is still due',
  pack: 'Pack',
  callSheet: 'Call sheets sent',
  noTan: 'No self-tan any more; rest, water, nothing new',
  onTheDay: 'Clean face, no oil under water-based bases, clothes that button in front',
  wearNotes: 'Ask how it wore',
  rebook: 'Ask whether and when again',
});

/** Those that concern a client, not the party or the kit. */
export const CLIENT_RUN_UP: readonly RunUpKind[] = [
  'trial',
  'lastNew',
  'reread',
  'agree',
  'patchTest',
  'brows',
  'noTan',
  'onTheDay',
  'wearNotes',
  'rebook',
];

/** Those that concern a party and the kit. */
export const PARTY_RUN_UP: readonly RunUpKind[] = ['buy', 'pack', 'callSheet', 'wearNotes'];
/** What was bought is held against skin so many days before it is worn. */
const SHADE_CHECK_DAYS = 2;
const DELIVERY_WORKING_DAYS = 5;

export type BuyingOptions = {
  readonly deliveryWorkingDays?: number;
  /** The last day with a shop before the place is out of reach. */ readonly lastShop?: string | null;
};

/**
 * The last day to order what is short for a party: delivered in time to check its shade, and no later than
 * the last shop.
 */
export function lastDayToBuy(
  date: string,
  { deliveryWorkingDays = DELIVERY_WORKING_DAYS, lastShop = null }: BuyingOptions = {},
): string {
  const ordered = workingDaysBefore(addDays(date, -SHADE_CHECK_DAYS), deliveryWorkingDays);
  return lastShop !== null && lastShop < ordered ? lastShop : ordered;
}

/** What of a party's plan says where there are shops. */
export type ShopsOfPlan = { readonly noShop?: boolean; readonly lastShop?: string | null };

/** The last shop before a party's place is out of reach; null: what is missing can be bought there. */
export const lastShopOf = (plan: ShopsOfPlan | null): string | null =>
  plan?.noShop ? (plan.lastShop ?? null) : null;

/** What is to be done for a party as dated tasks, earliest first. */
export function partyRunUp(date: string, plan: ShopsOfPlan | null): RunUpTask[] {
  return runUpTasks(date, { buyBy: lastDayToBuy(date, { lastShop: lastShopOf(plan) }) }).filter(({ id }) =>
    PARTY_RUN_UP.includes(id),
  );
}

/** Before a portrait or a gala nobody needs a trial or their brows shaped. */
const SHORT_RUN_UP: readonly RunUpKind[] = ['reread', 'patchTest', 'onTheDay', 'wearNotes', 'rebook'];

/**
 * The tasks of a client before and after an occasion: all for a wedding, few for others, none for a trial.
 */
export function clientRunUp(occasion: string): readonly RunUpKind[] {
  if (occasion === 'trial') return [];
  return occasion === 'wedding' ? CLIENT_RUN_UP : SHORT_RUN_UP;
}

export type RunUpState = 'done' | 'late' | 'now' | 'to come' | 'missed';

/**
 * Where a task stands on a day: done by hand, late, to be done by now, still to come, or too late when it was
 * booked.
 */
export function runUpState(task: RunUpTask, done: boolean, today: string): RunUpState {
  if (done) return 'done';
  if (task.missed) return 'missed';
  if (task.by < today) return 'late';
  return task.from <= today ? 'now' : 'to come';
}

/** Days before the event (below none: after it), from and by. */
const OFFSETS: Readonly<Record<Exclude<RunUpKind, 'buy'>, readonly [from: number, by: number]>> = {
  trial: [56, 28],
  lastNew: [42, 42],
  reread: [14, 14],
  agree: [10, 10],
  // Laid two days before it is read, and read two before the event.
  patchTest: [6, 4],
  brows: [3, 2],
  pack: [2, 2],
  callSheet: [1, 1],
  noTan: [1, 1],
  onTheDay: [0, 0],
  wearNotes: [-1, -1],
  rebook: [-14, -14],
};

export type RunUpOptions = {
  /** The day it was booked: what lies before is missed, not overdue. */ readonly bookedOn?: string;
  /** When what is short is to be bought. */ readonly buyBy?: string | null;
  /** Whether a product new to her is used. */ readonly patchTest?: boolean;
};

/** The run-up to an event as dated tasks, earliest first. Plain dates: they have no hour and no zone. */
export function runUpTasks(
  event: string,
  { bookedOn, buyBy, patchTest = false }: RunUpOptions = {},
): RunUpTask[] {
  const task = (id: RunUpKind, from: string, by: string): RunUpTask => ({
    id,
    from,
    by,
    missed: bookedOn !== undefined && by < bookedOn,
  });
  const dated = Object.entries(OFFSETS).flatMap(([id, [from, by]]) =>
    id === 'patchTest' && !patchTest
      ? []
      : [task(id as RunUpKind, addDays(event, -from), addDays(event, -by))],
  );
  if (buyBy) dated.push(task('buy', buyBy, buyBy));
  return dated.sort((a, b) => (a.by === b.by ? (a.id < b.id ? -1 : 1) : a.by < b.by ? -1 : 1));
}

/** A date some working days before another: Saturdays and Sundays are none. */
export function workingDaysBefore(day: string, days: number): string {
  let at = day;
  for (let left = days; left > 0;) {
    at = addDays(at, -1);
    const weekday = new Date(`${at}T00:00:00Z`).getUTCDay();
    if (weekday !== 0 && weekday !== 6) left--;
  }
  return at;
}
