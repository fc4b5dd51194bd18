import { dayIn, isZone } from '@toile/core';
import type { Tx } from '../db/connection';
import { settingsNow } from './settings';

/** The day it is where the studio is: in its own zone, else in that of whoever asks, else in UTC. */
export async function studioDay(tx: Tx, now: Date, asksFrom?: string): Promise<string> {
  const { settings } = await settingsNow(tx);
  return dayIn(settings.zone ?? (asksFrom !== undefined && isZone(asksFrom) ? asksFrom : 'UTC'), now);
}
