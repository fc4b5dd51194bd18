import { useState } from 'react';
import type { ClientAnswer, ClientInput } from '@toile/contract';
import { msg } from '@toile/core';
import { call, CallError, currentOf, fieldErrors } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { clientBody } from './clientBody';

export type SaveFailure = {
  readonly words: string;
  /** What someone else saved in between, when that is the reason. */
  readonly theirs: ClientAnswer | null;
  readonly fields: Readonly<Record<string, string>>;
};

export type ClientSaving = {
  readonly busy: boolean;
  readonly failure: SaveFailure | null;
  /** Saves changes on top of a revision: the saved client, or why not. */
  readonly save: (
    changes: Partial<ClientInput>,
    over?: ClientAnswer,
  ) => Promise<
    | { readonly saved: ClientAnswer; readonly refused?: undefined }
    | { readonly saved?: undefined; readonly refused: SaveFailure }
  >;
  /** Gives up one's own changes for what someone else saved. */
  readonly takeTheirs: () => void;
};

/**
 * Changes to a known client: from the revision they began at, or knowingly over someone else's. `onTaken`
 * hears of theirs when one's own are given up.
 */
export function useSaveClient(
  client: ClientAnswer,
  onTaken: (theirs: ClientAnswer) => void = () => undefined,
): ClientSaving {
  const refresh = useRefresh();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<SaveFailure | null>(null);
  const show = (answer: ClientAnswer): Promise<void> =>
    refresh({ name: 'client', params: { id: client.id }, answer });
  return {
    busy,
    failure,
    save: async (changes, over) => {
      setBusy(true);
      setFailure(null);
      try {
        const base = over ?? client;
        const answer = await call('updateClient', {
          params: { id: client.id },
          body: { ...clientBody(base), ...changes },
          revision: base.revision,
        });
        await show(answer);
        return { saved: answer };
      } catch (error) {
        const refused: SaveFailure = {
          words: error instanceof CallError ? error.message : msg`Something went wrong. Try again.`,
          theirs: currentOf('updateClient', error),
          fields: fieldErrors(error),
        };
        setFailure(refused);
        return { refused };
      } finally {
        setBusy(false);
      }
    },
    takeTheirs: () => {
      setFailure(null);
      if (!failure?.theirs) return;
      onTaken(failure.theirs);
      void show(failure.theirs);
    },
  };
}
