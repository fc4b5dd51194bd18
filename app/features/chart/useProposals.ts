import { useEffect, useState } from 'react';
import type { ClientSnapshot, Kit, Look, Proposal, Step } from '@toile/core';
import { runPropose } from '../../workers/fitting';

export type Proposals = { readonly list: readonly Proposal[] | null; readonly error: string | null };

const NOTHING_FORBIDDEN: Look['forbids'] = { finishes: [], kinds: [] };

/** Products of the kit ranked for one step, worked out in the worker; null while it works. */
export function useProposals(step: Step | null, client: ClientSnapshot, date: string, kit: Kit | undefined, forbids: Look['forbids'] = NOTHING_FORBIDDEN): Proposals {
  const [state, setState] = useState<Proposals>({ list: null, error: null });
  const stepId = step?.id;
  useEffect(() => {
    if (!step || !kit) return;
    let current = true;
    setState({ list: null, error: null });
    runPropose({ step, context: { client, kit, date, forbids } }).then(
      (list) => current && setState({ list, error: null }),
      (error: unknown) => current && setState({ list: null, error: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      current = false;
    };
    // Only another step, kit, face or date asks again: a note typed or a product picked does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stepId, kit, client, date]);
  return state;
}
