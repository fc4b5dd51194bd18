import { dayIn, isZone } from '@toile/core';
import type { StudioSettings } from '@toile/contract';
import type { Tx } from '../db/connection';
import { settingsNow } from './settings';

/** The day it is where the studio is: in its own zone, else in that of whoever asks, else in UTC. */
export async function studioDay(tx: Tx, now: Date, asksFrom?: string): Promise<string> {
  return dayOfStudio((await settingsNow(tx)).settings, now, asksFrom);
}

export function dayOfStudio(settings: StudioSettings, now: Date, asksFrom?: string): string {
  return dayIn(settings.zone ?? (asksFrom !== undefined && isZone(asksFrom) ? asksFrom : 'UTC'), now);
}
