import { dayIn, isZone, USUAL_MANNER, type Manner } from '@toile/core';
import type { StudioSettings } from '@toile/contract';
import type { Tx } from '../db/connection';
import { settingsNow } from './settings';

/** The day it is where the studio is: in its own zone, else in that of whoever asks, else in UTC. */
export async function studioDay(tx: Tx, now: Date, asksFrom?: string): Promise<string> {
  return dayOfStudio((await settingsNow(tx)).settings, now, asksFrom);
}

export const dayOfStudio = (settings: StudioSettings, now: Date, asksFrom?: string): string =>
  dayIn(zoneOfStudio(settings, asksFrom), now);

/** How a studio tells days, and whose they are. */
export type DaysTold = { readonly days: Manner['days']; readonly zone: string };
export async function daysTold(tx: Tx): Promise<DaysTold> {
  const { settings } = await settingsNow(tx);
  const { days } = { ...USUAL_MANNER, ...settings.manner };
  return { days, zone: zoneOfStudio(settings) };
}

/** The zone a studio's days are of: its own, else that of whoever asks, else UTC. */
export const zoneOfStudio = (settings: StudioSettings, asksFrom?: string): string =>
  settings.zone ?? (asksFrom !== undefined && isZone(asksFrom) ? asksFrom : 'UTC');
