import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { PracticeTold, TrialTold } from '@toile/core';
import type { ChairEventInput, PartyEventInput } from '@toile/contract';
import { dropDraft, readDraft } from './drafts';

type Recorded = { readonly by: string; readonly account: string };
/** Something recorded at the chair. */
export type ChairOutgoing = Recorded & {
  readonly chartId: string;
  readonly partyId?: undefined;
  readonly trialId?: undefined;
  readonly practice?: undefined;
  readonly input: ChairEventInput;
};
/** Something told of a party's day or its packing. */
export type PartyOutgoing = Recorded & {
  readonly partyId: string;
  readonly chartId?: undefined;
  readonly trialId?: undefined;
  readonly practice?: undefined;
  readonly input: PartyEventInput;
};
/** What of a half-face trial may be told without a network: when it was put on, what somebody saw. */
export type ToldAway = Extract<TrialTold, { kind: 'applied' | 'looked' }>;
/** Something told of a half-face trial. */
export type TrialOutgoing = Recorded & {
  readonly trialId: string;
  readonly chartId?: undefined;
  readonly partyId?: undefined;
  readonly practice?: undefined;
  readonly input: ToldAway;
};
/** Something practised. */
export type PracticeOutgoing = Recorded & {
  readonly practice: true;
  readonly chartId?: undefined;
  readonly partyId?: undefined;
  readonly trialId?: undefined;
  readonly input: PracticeTold;
};
/**
 * Something on its way to the studio; `account` is the email it was recorded under, and is sent under no
 * other.
 */
export type Outgoing = ChairOutgoing | PartyOutgoing | TrialOutgoing | PracticeOutgoing;
/** What the studio would never take, with why. */
export type Refused = { readonly item: Outgoing; readonly why: string };

/**
 * Where what waits at the chair outlives the page. Each of these rejects when the device will not have it.
 */
export type OutboxStore = {
  /** What waits, oldest first, and what was refused; of every window of this device. */
  readonly read: () => Promise<{
    readonly waiting: readonly Outgoing[];
    readonly refused: readonly Refused[];
  }>;
  readonly add: (item: Outgoing) => Promise<void>;
  /** It has arrived. */
  readonly remove: (eventId: string) => Promise<void>;
  /** It will never be taken: out of what waits and into what is shown, at once. */
  readonly refuse: (refused: Refused) => Promise<void>;
  readonly clear: () => Promise<void>;
};

interface Schema extends DBSchema {
  /** In the order it was recorded: the key counts up. */
  waiting: { key: number; value: { readonly id: string; readonly item: Outgoing }; indexes: { id: string } };
  refused: { key: number; value: Refused };
}

const NAME = 'toile';
/** Where earlier versions of the app kept it: taken over once, then let go of. */
const OLD_KEYS = { waiting: 'outbox', refused: 'outbox.refused' } as const;

/**
 * The outbox in this device's IndexedDB, with what an earlier version of the app left elsewhere. Rejects
 * where there is none.
 */
export async function openOutboxStore(): Promise<OutboxStore> {
  const db = await openDB<Schema>(NAME, 1, {
    upgrade: (made) => {
      made.createObjectStore('waiting', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
      made.createObjectStore('refused', { autoIncrement: true });
    },
  });
  // A newer version of the app in another window needs the door: this one opens it again when it is asked.
  db.addEventListener('versionchange', () => db.close());
  await takeOver(db);
  return {
    read: async () => {
      const tx = db.transaction(['waiting', 'refused']);
      const [waiting, refused] = await Promise.all([
        tx.objectStore('waiting').getAll(),
        tx.objectStore('refused').getAll(),
      ]);
      return { waiting: waiting.map(({ item }) => item), refused };
    },
    add: async (item) => {
      await db.add('waiting', { id: item.input.id, item });
    },
    remove: async (eventId) => {
      const tx = db.transaction('waiting', 'readwrite');
      const key = await tx.store.index('id').getKey(eventId);
      if (key !== undefined) await tx.store.delete(key);
      await tx.done;
    },
    refuse: async (refused) => {
      const tx = db.transaction(['waiting', 'refused'], 'readwrite');
      const waiting = tx.objectStore('waiting');
      const key = await waiting.index('id').getKey(refused.item.input.id);
      if (key !== undefined) await waiting.delete(key);
      await tx.objectStore('refused').add(refused);
      await tx.done;
    },
    clear: async () => {
      const tx = db.transaction(['waiting', 'refused'], 'readwrite');
      await Promise.all([tx.objectStore('waiting').clear(), tx.objectStore('refused').clear()]);
      await tx.done;
    },
  };
}

/**
 * Brings what lay in the old place over, in its order and once; it is let go of there only when it is safe
 * here.
 */
async function takeOver(db: IDBPDatabase<Schema>): Promise<void> {
  const waiting = readDraft<readonly Outgoing[]>(OLD_KEYS.waiting) ?? [];
  const refused = readDraft<readonly Refused[]>(OLD_KEYS.refused) ?? [];
  if (waiting.length > 0 || refused.length > 0) {
    const tx = db.transaction(['waiting', 'refused'], 'readwrite');
    for (const item of waiting)
      if ((await tx.objectStore('waiting').index('id').getKey(item.input.id)) === undefined)
        await tx.objectStore('waiting').add({ id: item.input.id, item });
    for (const one of refused) await tx.objectStore('refused').add(one);
    await tx.done;
  }
  dropDraft(OLD_KEYS.waiting);
  dropDraft(OLD_KEYS.refused);
}
