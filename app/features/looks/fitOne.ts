import { msg, type FittedLook, type Kit, type Look, type Occasion, type SchoolAnswers } from '@toile/core';
import { newId, type ClientAnswer } from '@toile/contract';
import { askFitting } from '../../workers';
import { snapshotOfClient } from '../clients/snapshot';

export type FittedClient = {
  readonly clientId: string;
  readonly name: string;
  readonly fitted: FittedLook | null;
  /** What stops the look here; null when it could be fitted. */
  readonly stops: string | null;
  readonly savedAs: string | null;
};

/** The look fitted to one client, or what stops it, in a sentence. */
export async function fitOne(
  look: Look,
  client: ClientAnswer,
  kit: Kit,
  occasion: Occasion,
  author: string,
  schools: Partial<SchoolAnswers>,
): Promise<FittedClient> {
  const own = { clientId: client.id, name: client.name, savedAs: null };
  const snapshot = snapshotOfClient(client);
  if (Object.keys(snapshot.skin).length === 0)
    return {
      ...own,
      fitted: null,
      stops: msg`The skin has not been read: read it, then shades can be chosen.`,
    };
  try {
    const stamp = {
      id: newId(),
      author,
      at: new Date().toISOString(),
      reason: msg`${look.name} for several.`,
    };
    const fitted = await askFitting('fit', { look, client: snapshot, kit, occasion, stamp, schools });
    return { ...own, fitted, stops: null };
  } catch (error) {
    return { ...own, fitted: null, stops: error instanceof Error ? error.message : String(error) };
  }
}
