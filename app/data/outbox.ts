import { useSyncExternalStore } from 'react';
import { msg } from '@toile/core';
import { call, CallError } from './call';
import { inTime } from './inTime';
import { openOutboxStore, type Outgoing, type OutboxStore, type Refused } from './outboxStore';

export type {
  ChairOutgoing,
  Outgoing,
  PartyOutgoing,
  PracticeOutgoing,
  Refused,
  ToldAway,
  TrialOutgoing,
} from './outboxStore';

export type OutboxState = {
  /** Whether what earlier visits left on the device has been read. */
  readonly ready: boolean;
  /** Not sent yet, oldest first. */
  readonly waiting: readonly Outgoing[];
  /** Of those, the events this device could not keep: they are in this page only, and lost with it. */
  readonly onPageOnly: ReadonlySet<string>;
  /** Arrived since the chart was last asked for: shown until its answer holds them. */
  readonly arrived: readonly Outgoing[];
  /** Would never be taken, with why: shown, not sent again. */
  readonly refused: readonly Refused[];
  /** Why nothing is sent just now; null while all goes well. */
  readonly failure: string | null;
};

/** Between two tries while the studio cannot be reached, ms: soon at first, then ever less often. */
const RETRY_MS = [1500, 4000, 10_000, 30_000];
const EMPTY: OutboxState = {
  ready: false,
  waiting: [],
  onPageOnly: new Set(),
  arrived: [],
  refused: [],
  failure: null,
};

let state: OutboxState = EMPTY;
/** Who is signed in: what someone else of this device recorded waits until they are. */
let account: string | null = null;
let opened: Promise<OutboxStore> | null = null;
/** Events on their way to the device's store. */
let keeping: ReadonlySet<string> = new Set();
let sending: Promise<void> | null = null;
let again = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | null = null;
const listeners = new Set<() => void>();

function change(more: Partial<OutboxState>): void {
  state = { ...state, ...more };
  for (const listener of listeners) listener();
}

/** Does something with what the device keeps; false when it has no store, or the store is full or broken. */
async function onDevice(work: (store: OutboxStore) => Promise<void>): Promise<boolean> {
  try {
    opened ??= openOutboxStore();
    await work(await inTime(opened));
    return true;
  } catch {
    // Opened anew next time: storage comes back when something else is thrown away.
    opened = null;
    return false;
  }
}

/** Takes in what the device keeps, of every window, and tries again to keep there what only this page has. */
async function gather(): Promise<void> {
  await onDevice(async (store) => {
    for (const item of state.waiting.filter((w) => state.onPageOnly.has(w.input.id))) {
      await store.add(item);
      change({ onPageOnly: without(state.onPageOnly, item.input.id) });
    }
    const kept = await store.read();
    const arrived = idsOf(state.arrived);
    const [waitingIds, refusedIds] = [idsOf(kept.waiting), idsOf(kept.refused.map((r) => r.item))];
    change({
      // What was recorded while this was read comes last.
      waiting: [
        ...kept.waiting.filter((w) => !arrived.has(w.input.id)),
        ...state.waiting.filter((w) => !waitingIds.has(w.input.id)),
      ],
      refused: [...kept.refused, ...state.refused.filter((r) => !refusedIds.has(r.item.input.id))],
    });
  });
  // Without a store there is nothing to wait for.
  if (!state.ready) change({ ready: true });
}

const idsOf = (items: readonly Outgoing[]): ReadonlySet<string> =>
  new Set(items.map((item) => item.input.id));
const without = (ids: ReadonlySet<string>, id: string): ReadonlySet<string> =>
  new Set([...ids].filter((other) => other !== id));

/**
 * Puts something in the outbox and sends what is there. Shown at once; kept on the device before it is sent.
 */
export function post(item: Outgoing): void {
  account = item.account;
  change({ waiting: [...state.waiting, item] });
  void keep(item).then(flush);
}

async function keep(item: Outgoing): Promise<void> {
  const { id } = item.input;
  keeping = new Set([...keeping, id]);
  const kept = await onDevice((store) => store.add(item));
  keeping = without(keeping, id);
  if (!kept) change({ onPageOnly: new Set([...state.onPageOnly, id]) });
}

/**
 * Sends what waits, in order and one at a time, under keys that make a second arrival the same as the first.
 * Asked while it is at it, it looks once more for what has come; done when nothing that can go is left, or
 * nothing goes.
 */
export function flush(): Promise<void> {
  again = true;
  sending ??= sendAll().finally(() => {
    sending = null;
    // Asked for in the moment between the last look and this one.
    if (again) void flush();
  });
  return sending;
}

/**
 * Sends what waits and says whether all of what is asked about has been taken: what goes past the outbox, and
 * must not overtake it, asks this first.
 */
export async function allTaken(own: (item: Outgoing) => boolean): Promise<boolean> {
  const refused = (): number => state.refused.filter(({ item }) => own(item)).length;
  const before = refused();
  // What is just being kept is on the device before it is asked what waits there.
  await flush();
  // Asked for once more while it was ending.
  while (sending) await sending;
  return !state.waiting.some(own) && refused() === before;
}

async function sendAll(): Promise<void> {
  if (timer) clearTimeout(timer);
  timer = null;
  try {
    while (again) {
      again = false;
      await gather();
      for (let item = nextOwn(); item; item = nextOwn()) {
        await settle(item, await send(item));
        tries = 0;
      }
    }
    change({ failure: null });
  } catch (error) {
    // The next try is the clock's.
    again = false;
    change({ failure: error instanceof CallError ? error.message : msg`Not sent. It is kept here.` });
    timer = setTimeout(() => void flush(), RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]);
  }
}

/** The oldest of this account; one that is just being kept goes when it is. */
function nextOwn(): Outgoing | undefined {
  const own = state.waiting.find((item) => item.account === account);
  return own && keeping.has(own.input.id) ? undefined : own;
}

/** Takes out what has arrived (`why` null) or was refused: here at once, then on the device. */
async function settle(item: Outgoing, why: string | null): Promise<void> {
  const { id } = item.input;
  const waiting = state.waiting.filter((other) => other.input.id !== id);
  const onPageOnly = without(state.onPageOnly, id);
  if (why === null) change({ waiting, onPageOnly, arrived: [...state.arrived, item] });
  else change({ waiting, onPageOnly, refused: [...state.refused, { item, why }] });
  await onDevice((store) => (why === null ? store.remove(id) : store.refuse({ item, why })));
}

/** Null when it arrived, else why it never will; throws when it is worth another try. */
async function send(item: Outgoing): Promise<string | null> {
  const idempotencyKey = `event-${item.input.id}`;
  try {
    if (item.chartId !== undefined)
      await call('createEvent', { params: { id: item.chartId }, body: item.input, idempotencyKey });
    else if (item.partyId !== undefined)
      await call('createPartyEvent', { params: { id: item.partyId }, body: item.input, idempotencyKey });
    else if (item.practice) await call('tellPractice', { body: { event: item.input }, idempotencyKey });
    else
      await call('createTrialEvent', {
        params: { id: item.trialId },
        body: { event: item.input, intoChart: false },
        idempotencyKey,
      });
    return null;
  } catch (error) {
    const problem = error instanceof CallError ? error.problem : null;
    if (problem?.code === 'already-there') return null;
    const final =
      problem !== null &&
      ['bad-input', 'not-found', 'bad-id', 'not-allowed', 'key-reused', 'judged-already'].includes(
        problem.code,
      );
    if (final && error instanceof CallError) return error.message;
    throw error;
  }
}

/** Lets go of what the studio's own answer holds by now. */
export function settleArrived(eventIds: readonly string[]): void {
  const left = state.arrived.filter((a) => !eventIds.includes(a.input.id));
  if (left.length < state.arrived.length) change({ arrived: left });
}

/** Forgets everything, so that each test starts with an empty one. */
export async function emptyOutbox(): Promise<void> {
  if (timer) clearTimeout(timer);
  timer = null;
  tries = 0;
  account = null;
  await onDevice((store) => store.clear());
  opened = null;
  change(EMPTY);
}

/**
 * Sends what an earlier visit of this account left, and whenever the network comes back; asks before unkept
 * work is closed.
 */
export function watchNetwork(signedInAs: string): () => void {
  account = signedInAs;
  const online = (): void => void flush();
  const leaving = (event: BeforeUnloadEvent): void => {
    if (state.onPageOnly.size > 0) event.preventDefault();
  };
  window.addEventListener('online', online);
  window.addEventListener('beforeunload', leaving);
  online();
  return () => {
    window.removeEventListener('online', online);
    window.removeEventListener('beforeunload', leaving);
  };
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The outbox as it is now. */
export function useOutbox(): OutboxState {
  return useSyncExternalStore(subscribe, () => state);
}
