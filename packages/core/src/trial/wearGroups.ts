import type { TrialZone } from './measures';
import { faded } from './proposals';
import type { Wear } from './wear';
import type { ZoneWear } from './wearCheck';
import type { PlaceSetting } from './wearSetting';

/**
 * First wears of one thing in one place that lasted alike, counted together: what a studio's wears come to,
 * small however many there were. Hours are kept to the quarter that is surely right: seen holding before it,
 * failing by it.
 */
export type WearGroup = {
  readonly zone: TrialZone;
  readonly worn: string | null;
  /** Of the client who is asked about. */ readonly own: boolean;
  readonly skin: PlaceSetting['skin'];
  readonly climate: PlaceSetting['climate'];
  readonly good: number;
  readonly bad: number | null;
  readonly count: number;
  /** How much they still count: each fades by half in a year and a half. */ readonly weight: number;
};

const QUARTER = 0.25;
const NEAR = 1e-9;

/**
 * A wear in whole quarters of an hour: surely still holding before the one, surely failed by the other, never
 * the same one.
 */
export function quartersOf({ good, bad }: Wear): { readonly good: number; readonly bad: number | null } {
  const from = Math.floor(good / QUARTER + NEAR);
  return { good: from, bad: bad === null ? null : Math.max(Math.ceil(bad / QUARTER - NEAR), from + 1) };
}

const DAY_MS = 86_400_000;

/** Wears counted together, as of an instant; of a client's own where one is asked about. */
export function groupWears(wears: readonly ZoneWear[], clientId: string | null, at: Date): WearGroup[] {
  const groups = new Map<string, WearGroup>();
  for (const { zone, worn, setting, clientId: whose, appliedAt, wear } of wears) {
    const own = whose === clientId;
    const quarters = quartersOf(wear);
    const good = quarters.good * QUARTER;
    const bad = quarters.bad === null ? null : quarters.bad * QUARTER;
    const { skin, climate } = setting;
    const key = JSON.stringify([zone, worn, own, skin, climate, good, bad]);
    const known = groups.get(key) ?? { zone, worn, own, skin, climate, good, bad, count: 0, weight: 0 };
    const weight = faded(Math.max(0, (at.getTime() - Date.parse(appliedAt)) / DAY_MS));
    groups.set(key, { ...known, count: known.count + 1, weight: known.weight + weight });
  }
  return [...groups.values()].sort(byGroup);
}

/** One order, so that two ways of counting can be compared. */
export function byGroup(a: WearGroup, b: WearGroup): number {
  const key = ({ zone, worn, own, skin, climate }: WearGroup): string =>
    `${zone} ${worn ?? ''} ${own} ${skin ?? ''} ${climate ?? ''}`;
  const [one, two] = [key(a), key(b)];
  return one < two ? -1 : one > two ? 1 : a.good - b.good || (a.bad ?? Infinity) - (b.bad ?? Infinity);
}

/** How many wears groups stand for. */
export const countOf = (groups: readonly WearGroup[]): number =>
  groups.reduce((sum, one) => sum + one.count, 0);
