import { useSyncExternalStore } from 'react';
import type { ChairEventInput } from '@toile/contract';
import { call, CallError } from './call';
import { readDraft, writeDraft } from './drafts';

/** Something recorded at the chair on its way to the studio; `account` is the email it was recorded under, and is sent under no other. */
export type Outgoing = { readonly chartId: string; readonly input: ChairEventInput; readonly by: string; readonly account: string };

export type OutboxState = {
  /** Not sent yet, oldest first: on the device until they have arrived. */
  readonly waiting: readonly Outgoing[];
  /** Arrived since the chart was last asked for: shown until its answer holds them. */
  readonly arrived: readonly Outgoing[];
  /** Would never be taken, with why: shown, not sent again. */
  readonly refused: readonly { readonly item: Outgoing; readonly why: string }[];
  /** Why nothing is sent just now; null while all goes well. */
  readonly failure: string | null;
};

const KEY = 'outbox';
const REFUSED_KEY = 'outbox.refused';
/** Between two tries while the studio cannot be reached, ms: soon at first, then ever less often. */
const RETRY_MS = [1500, 4000, 10_000, 30_000];

/** What is kept outlives the page: read anew before each change, so that two windows never lose each other's. */
const stored = (): readonly Outgoing[] => readDraft<readonly Outgoing[]>(KEY) ?? [];
const EMPTY: Omit<OutboxState, 'waiting'> = { arrived: [], refused: [], failure: null };

let state: OutboxState = { waiting: stored(), ...EMPTY, refused: readDraft<OutboxState['refused']>(REFUSED_KEY) ?? [] };
/** Who is signed in: what someone else of this device recorded waits until they are. */
let account: string | null = null;
const nextOwn = (): Outgoing | undefined => stored().find((item) => item.account === account);
let sending = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | null = null;
const listeners = new Set<() => void>();

function change(more: Partial<OutboxState>): void {
  state = { ...state, ...more };
  for (const listener of listeners) listener();
}

function keep(waiting: readonly Outgoing[]): void {
  writeDraft(KEY, waiting);
  change({ waiting });
}

/** Puts something in the outbox and sends what is there. */
export function post(item: Outgoing): void {
  account = item.account;
  keep([...stored(), item]);
  void flush();
}

/** Sends what waits, in order and one at a time, under keys that make a second arrival the same as the first. */
export async function flush(): Promise<void> {
  if (sending) return;
  sending = true;
  if (timer) clearTimeout(timer);
  timer = null;
  try {
    for (let item = nextOwn(); item; item = nextOwn()) {
      const why = await send(item);
      const rest = stored().filter((other) => other.input.id !== item!.input.id);
      if (why === null) change({ arrived: [...state.arrived, item] });
      else {
        change({ refused: [...state.refused, { item, why }] });
        writeDraft(REFUSED_KEY, state.refused);
      }
      keep(rest);
      tries = 0;
    }
    change({ failure: null });
  } catch (error) {
    change({ failure: error instanceof CallError ? error.message : 'Not sent. It is kept here.' });
    timer = setTimeout(() => void flush(), RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]);
  } finally {
    sending = false;
  }
}

/** Null when it arrived, else why it never will; throws when it is worth another try. */
async function send({ chartId, input }: Outgoing): Promise<string | null> {
  try {
    await call('createEvent', { params: { id: chartId }, body: input, idempotencyKey: `event-${input.id}` });
    return null;
  } catch (error) {
    const problem = error instanceof CallError ? error.problem : null;
    if (problem?.code === 'already-there') return null;
    const final = problem !== null && ['bad-input', 'not-found', 'bad-id', 'not-allowed', 'key-reused'].includes(problem.code);
    if (final && error instanceof CallError) return error.message;
    throw error;
  }
}

/** Lets go of what a chart's answer holds by now. */
export function settleArrived(eventIds: readonly string[]): void {
  const left = state.arrived.filter((a) => !eventIds.includes(a.input.id));
  if (left.length < state.arrived.length) change({ arrived: left });
}

/** Forgets everything, so that each test starts with an empty one. */
export function emptyOutbox(): void {
  if (timer) clearTimeout(timer);
  timer = null;
  tries = 0;
  writeDraft(KEY, []);
  writeDraft(REFUSED_KEY, []);
  change({ waiting: [], ...EMPTY });
}

/** Sends what an earlier visit of this account left, and whenever the network comes back. */
export function watchNetwork(signedInAs: string): () => void {
  account = signedInAs;
  const again = (): void => void flush();
  window.addEventListener('online', again);
  again();
  return () => window.removeEventListener('online', again);
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The outbox as it is now. */
export function useOutbox(): OutboxState {
  return useSyncExternalStore(subscribe, () => state);
}
