import { useMemo } from 'react';
import type { Kit, ShadeContext } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { snapshotOfClient } from '../clients/snapshot';
import { todayText } from '../words/dates';

/** Client and kit as the shade search takes them; another object only when either changes. */
export function useShadeContext(client: ClientAnswer, kit: Kit | undefined, date: string = todayText()): ShadeContext | null {
  return useMemo(() => (kit ? { client: snapshotOfClient(client), kit, date } : null), [client, kit, date]);
}
