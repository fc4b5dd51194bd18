import { capital } from '../capital';
import { clock, minuteOfDay } from '../calendar';
import { productName } from '../kit';
import { setsSkin, stepsOfVariant, type Chart, type Step } from '../look';
import { msg } from '../messages';
import { allowedIn } from '../shade';
import { liesOn } from './liesOn';
import type { TrialZone } from './measures';
import { trialZoneWords, wearOutlook, type ZoneOutlook } from './outlook';
import { worthTouchUps } from './touchUpTimes';
import { holdChance } from './wearCurve';
import type { WearGroup } from './wearGroups';
import { wornByZone } from './wearCheck';
import { wearSettingOf } from './wearSetting';

/** What a touch-up costs of a day, minutes: fewer bad ones than that are not worth it. */
const VISIT_MINUTES = 10;
const MOST_VISITS = 3;
const STEP_MINUTES = 15;
/** After a touch-up it holds so much as long as fresh. */
const AFTER = 0.8;
/** A zone that still holds on more of such days than this is left alone. */
const HOLDS = 0.75;

export type TouchUp = {
  /** After it was put on. */ readonly minutes: number;
  /** By the clock, HH:MM; null where nobody said when the day begins. */ readonly at: string | null;
  /** The weakest first. */ readonly zones: readonly TrialZone[];
  /** What to do there, each in a sentence. */ readonly does: readonly string[];
};
export type TouchUpPlan = {
  readonly visits: readonly TouchUp[];
  /** What is carried for them. */ readonly bag: readonly string[];
};

/** How a chart's zones are likely to hold to the end of its day, by the studio's wears. */
export const chartOutlook = (chart: Chart, wears: readonly WearGroup[]): ZoneOutlook[] =>
  wearOutlook(wears, { worn: wornByZone(chart), setting: wearSettingOf(chart) }, chart.occasion.hoursToLast);

/**
 * When touching up one face leaves the least bad time of its day (exact, by `worthTouchUps`), what is due
 * then by how each zone is likely to hold, and with what of its own chart. `readyBy` is the minute of the day
 * at which the face is ready, where somebody other than the chart says so.
 */
export function touchUpPlan(
  chart: Chart,
  outlook: readonly ZoneOutlook[],
  readyBy: number | null = chart.occasion.begins ? minuteOfDay(chart.occasion.begins) : null,
): TouchUpPlan {
  const until = Math.round(chart.occasion.hoursToLast * 60);
  if (outlook.length === 0) return { visits: [], bag: [] };
  const allowed = Array.from({ length: Math.floor(until / STEP_MINUTES) }, (_, i) => (i + 1) * STEP_MINUTES);
  const { atMinutes } = worthTouchUps(
    outlook.map(({ zone, curve }) => ({ zone, curve, weight: 1 / outlook.length })),
    until,
    allowed,
    { costMinutes: VISIT_MINUTES, most: MOST_VISITS, afterFactor: AFTER },
  );
  const own = productsOf(chart);
  const visits = atMinutes.map((minutes, i): TouchUp => {
    const before = atMinutes[i - 1];
    const hours = before === undefined ? minutes / 60 : (minutes - before) / 60 / AFTER;
    const zones = zonesDue(outlook, hours);
    return {
      minutes,
      at: readyBy === null ? null : clock(readyBy + minutes),
      zones,
      does: doesIn(zones, own),
    };
  });
  const due = new Set(visits.flatMap(({ zones }) => zones));
  const carried = [...due].flatMap((zone) => CARRIED[zone].flatMap((layer) => own(layer, zone)));
  const powders = [...due].some((zone) => CARRIED[zone].includes('powder') && own('powder', zone).length > 0);
  return {
    visits,
    bag:
      visits.length === 0
        ? []
        : [
            ...new Set([
              ...carried,
              msg`blotting sheets`,
              msg`tissues`,
              ...(powders ? [msg`a clean puff`] : []),
            ]),
          ],
  };
}

/**
 * Zones to see to so many hours after it was put on, the weakest first: whoever is there anyway sees to that
 * one, even where it most likely holds.
 */
function zonesDue(outlook: readonly ZoneOutlook[], hours: number): TrialZone[] {
  return outlook
    .map(({ zone, curve }) => ({ zone, mean: holdChance(curve, hours).mean }))
    .sort((a, b) => a.mean - b.mean)
    .filter(({ mean }, k) => k === 0 || mean < HOLDS)
    .map(({ zone }) => zone);
}
const doesIn = (zones: readonly TrialZone[], own: Own): string[] =>
  zones.map((zone) => `${capital(trialZoneWords(zone))}: ${DOES[zone](own)}`);

/**
 * What is due on one face at an hour that is given, so many hours after it was put on, each in a sentence.
 */
export const touchUpDue = (chart: Chart, outlook: readonly ZoneOutlook[], hours: number): string[] =>
  doesIn(zonesDue(outlook, hours), productsOf(chart));

/** What a touch-up lays again. */
type Layer = Extract<Step['role'], 'powder' | 'blush' | 'conceal' | 'lip line' | 'lip'>;

/**
 * What a chart lays there of a layer, by name: where nothing of it lies there, what the face is set or
 * coloured with elsewhere. Nothing of its variants, and nothing its client must not have: asked of a chart as
 * it is minded now.
 */
function productsOf(chart: Chart): (layer: Layer, zone: TrialZone) => string[] {
  const steps = stepsOfVariant(chart.steps, null);
  return (layer, zone) => {
    const laid = steps.filter((step) => (layer === 'powder' ? setsSkin(step) : step.role === layer));
    const here = zone === 'mouth' ? laid : laid.filter((step) => liesOn(step, zone));
    const there = here.length > 0 || layer === 'conceal' ? here : laid;
    return [...new Set(there.flatMap((step) => allowedIn(step, chart.client).map(productName)))];
  };
}

const CARRIED: Readonly<Record<TrialZone, readonly Layer[]>> = {
  forehead: ['powder'],
  nose: ['powder'],
  chin: ['powder'],
  cheek: ['powder', 'blush'],
  underEye: ['conceal'],
  mouth: ['lip line', 'lip'],
  neck: [],
};
type Own = (layer: Layer, zone: TrialZone) => string[];
const shineOf =
  (zone: TrialZone) =>
  (own: Own): string => {
    const [powder] = own('powder', zone);
    return powder ? msg`blot, then press a little ${powder}.` : msg`blot, and leave it at that.`;
  };
/**
 * What is done at each. Only with what the face has on it: of anything else nobody knows whether it suits,
 * and it is not carried.
 */
const DOES: Readonly<Record<TrialZone, (own: Own) => string>> = {
  forehead: shineOf('forehead'),
  nose: shineOf('nose'),
  chin: shineOf('chin'),
  cheek: (own) => {
    const [blush] = own('blush', 'cheek');
    return blush ? msg`blot; where it has gone, ${blush}, edges out.` : msg`blot, and leave it at that.`;
  },
  underEye: (own) => {
    const [concealer] = own('conceal', 'underEye');
    return concealer
      ? msg`tap smooth with a clean finger; a dot of ${concealer} only where it has gone, no more powder.`
      : msg`tap smooth with a clean finger, no more powder.`;
  },
  mouth: (own) => {
    const [line, lip] = [own('lip line', 'mouth')[0], own('lip', 'mouth')[0]];
    if (line && lip) return msg`blot, ${line} along the edge, then ${lip}.`;
    const only = line ? msg`${line} along the edge` : lip;
    return only ? msg`blot, then ${only}.` : msg`blot, and leave it at that.`;
  },
  neck: () => msg`dab with a tissue; add nothing.`,
};

function whenOf({ at, minutes }: TouchUp): string {
  if (at !== null) return at;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (hours === 0) return msg`${rest} min on`;
  return rest === 0 ? msg`${hours} h on` : msg`${hours} h ${rest} min on`;
}

/** What to do at each, a line each: once where every visit asks the same, else by its hour. */
export function touchUpLines({ visits }: TouchUpPlan): string[] {
  const [first, ...rest] = visits;
  if (!first) return [];
  if (rest.every(({ does }) => does.join() === first.does.join()))
    return rest.length === 0 ? [...first.does] : first.does.map((words) => msg`Each time: ${words}`);
  return visits.flatMap((visit) => visit.does.map((words) => `${whenOf(visit)}: ${words}`));
}

/**
 * When, in a line: 'Touch up twice: 17:30, 20:15.'; hours after it was put on where nobody said when the day
 * begins.
 */
export function touchUpWhen({ visits }: TouchUpPlan): string {
  if (visits.length === 0) return msg`No touch-up is worth its minutes.`;
  const at = visits.map(whenOf);
  const often = at.length === 1 ? msg`once` : at.length === 2 ? msg`twice` : msg`${at.length} times`;
  return msg`Touch up ${often}: ${at.join(', ')}.`;
}
