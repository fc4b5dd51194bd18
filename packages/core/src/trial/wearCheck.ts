import { Type, type Static } from '@sinclair/typebox';
import type { Chart } from '../look';
import { msg } from '../messages';
import { closed, InstantSchema, oneOf, TextSchema, UuidSchema } from '../schema';
import { liesOn } from './liesOn';
import { TRIAL_ZONES, type TrialZone } from './measures';
import type { Wear } from './wear';
import { climateTold, WearSettingSchema, type PlaceSetting } from './wearSetting';

/** How a zone looks, worst last; only the last is failing. */
export const WEAR_STATES = ['holds', 'starting', 'needs a touch-up'] as const;
export type WearState = (typeof WEAR_STATES)[number];
/** What a day did to a face since it was looked at last. */
export const WEAR_MARKS = ['meal', 'tears', 'heat', 'rain', 'dancing'] as const;
export type WearMark = (typeof WEAR_MARKS)[number];
export const WEAR_JUDGES = ['client', 'artist'] as const;

const zoneWords = Type.Partial(
  Type.Object(Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, TextSchema])), closed),
);

/** One look at a face that is worn: `toile.wear/1`, a row of its own, added to and never changed. */
export const WearCheckSchema = Type.Object(
  {
    id: UuidSchema,
    chartId: UuidSchema,
    version: Type.Integer({ minimum: 1 }),
    clientId: UuidSchema,
    appliedAt: InstantSchema,
    at: InstantSchema,
    judge: oneOf(WEAR_JUDGES),
    by: TextSchema,
    zones: Type.Unsafe<Readonly<Partial<Record<TrialZone, WearState>>>>(
      Type.Object(
        Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, Type.Optional(oneOf(WEAR_STATES))])),
        closed,
      ),
    ),
    /** Zones that were touched up when this was seen. */
    touched: Type.Array(oneOf(TRIAL_ZONES), { maxItems: TRIAL_ZONES.length }),
    marks: Type.Array(oneOf(WEAR_MARKS), { maxItems: WEAR_MARKS.length }),
    /** It stings or burns: it was asked to be taken off. */
    stings: Type.Boolean(),
    /** What stands for each zone, by name, so that a wear can be read without its chart. */
    worn: Type.Unsafe<Readonly<Partial<Record<TrialZone, string>>>>(zoneWords),
    /** On what skin and for what day it was put on; looks told before it was kept have none. */
    setting: Type.Optional(WearSettingSchema),
  },
  closed,
);
export type WearCheck = Static<typeof WearCheckSchema>;

/** Nobody wears a face longer, hours. */
export const MOST_HOURS = 30;

/** Hours since it was put on. */
export const hoursAt = ({ appliedAt, at }: Pick<WearCheck, 'appliedAt' | 'at'>): number =>
  (Date.parse(at) - Date.parse(appliedAt)) / 3_600_000;

/** What is wrong with the times of a check, in words; null when nothing is. */
export function checkTimes(check: Pick<WearCheck, 'appliedAt' | 'at'>): string | null {
  const hours = hoursAt(check);
  if (Number.isNaN(hours)) return msg`This is no time`;
  if (hours < 0) return msg`It was looked at before it was put on`;
  return hours > MOST_HOURS ? msg`Nobody wears it for more than ${MOST_HOURS} hours` : null;
}

/**
 * The step that stands for a zone of a chart as it is planned, without its variants: the last base that lies
 * there on the skin, the last lip on the mouth.
 */
export const stepOnZone = (
  { steps }: Pick<Chart, 'steps'>,
  zone: TrialZone,
): Chart['steps'][number] | undefined =>
  steps.findLast(
    (one) =>
      one.variant === undefined &&
      one.use.length > 0 &&
      (zone === 'mouth' ? one.role === 'lip' : one.role === 'base' && liesOn(one, zone)),
  );

/** Between lines that are mixed, as it is kept. */
const WITH = ' with ';
/** Lines that stand together, in one order: two of the one with one of the other wear as the same mix. */
const mixOf = (lines: readonly string[]): string => [...new Set(lines)].sort().join(WITH);
/** What stands for a zone, for whoever reads it. */
export const wornTold = (worn: string): string => worn.split(WITH).join(msg` with `);

/**
 * What stands for each zone of a chart, by its lines, as it is kept. Shades of one line, and a drop that
 * only adjusts one, wear as that line.
 */
export function wornByZone(chart: Pick<Chart, 'steps'>): Partial<Record<TrialZone, string>> {
  const nameOf = (zone: TrialZone): string | undefined => {
    const step = stepOnZone(chart, zone);
    if (!step) return undefined;
    const own = step.use.filter(({ product }) => product.kind !== 'adjuster');
    const lines = (own.length > 0 ? own : step.use).map(({ product }) => `${product.maker} ${product.line}`);
    return mixOf(lines);
  };
  return Object.fromEntries(
    TRIAL_ZONES.flatMap((zone) => {
      const name = nameOf(zone);
      return name === undefined ? [] : [[zone, name.slice(0, 200)]];
    }),
  );
}

/** A zone of one wearing, from fresh to its first failing or the last look. */
export type ZoneWear = {
  readonly zone: TrialZone;
  readonly clientId: string;
  readonly chartId: string;
  readonly appliedAt: string;
  /** What stood for the zone; null where nothing did. */ readonly worn: string | null;
  readonly setting: PlaceSetting;
  readonly wear: Wear;
};

/** Which wearing a check belongs to: the same chart, put on at the same time. */
const wearingOf = ({ chartId, appliedAt }: Pick<WearCheck, 'chartId' | 'appliedAt'>): string =>
  `${chartId} ${appliedAt}`;

/**
 * First wears of each zone from check-ins. Holding or starting is holding; the first look that asks for a
 * touch-up is the failing, also when it seemed to recover without one. A touch-up of what still held ends the
 * watch at that hour; what comes after a touch-up is another wear and no part of this. Of two looks in the
 * same minute the later told counts; a missed one stays missing. What stings counts against every zone:
 * missing because it was bad is not missing.
 */
export function zoneWears(checks: readonly WearCheck[]): ZoneWear[] {
  const wearings = new Map<string, WearCheck[]>();
  for (const check of checks) {
    if (checkTimes(check) !== null) continue;
    const key = wearingOf(check);
    wearings.set(key, [...(wearings.get(key) ?? []), check]);
  }
  return [...wearings.values()].flatMap((mine) =>
    TRIAL_ZONES.flatMap((zone): ZoneWear[] => {
      const wear = firstWear(mine, zone);
      const [first] = mine;
      if (!wear || !first) return [];
      const { clientId, chartId, appliedAt } = first;
      const setting = settingAt(mine, zone, wear);
      const worn = first.worn[zone];
      return [
        {
          zone,
          clientId,
          chartId,
          appliedAt,
          worn: worn === undefined ? null : mixOf(worn.split(WITH)),
          setting,
          wear,
        },
      ];
    }),
  );
}

/**
 * What a wear went through: what was told of the day up to its failing, since what came after did not do it.
 */
function settingAt(checks: readonly WearCheck[], zone: TrialZone, wear: Wear): PlaceSetting {
  const known = checks.find((check) => check.setting)?.setting;
  if (!known) return { skin: null, climate: null };
  const until = wear.bad ?? Infinity;
  const marks = checks.filter((check) => hoursAt(check) <= until).flatMap((check) => check.marks);
  return { skin: known.skin[zone] ?? null, climate: climateTold(known.climate, marks) };
}

function firstWear(checks: readonly WearCheck[], zone: TrialZone): Wear | null {
  const byMinute = new Map<number, WearCheck>();
  for (const check of checks)
    if (check.zones[zone] !== undefined || check.stings || check.touched.includes(zone))
      byMinute.set(Math.round(hoursAt(check) * 60), check);
  const looks = [...byMinute].sort(([a], [b]) => a - b);
  let good = 0;
  for (const [minute, check] of looks) {
    const hour = minute / 60;
    const failing = check.zones[zone] === 'needs a touch-up' || check.stings;
    // Failing when it had just been put on: as if a minute had passed, since it never held.
    if (failing) return { good, bad: Math.max(hour, good + 1 / 60) };
    if (check.zones[zone] !== undefined) good = hour;
    if (check.touched.includes(zone)) return { good: hour, bad: null };
  }
  return looks.length === 0 ? null : { good, bad: null };
}
