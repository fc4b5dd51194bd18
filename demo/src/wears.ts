import {
  addDays,
  instantAt,
  seededRandom,
  TRIAL_ZONES,
  wearSettingOf,
  wornByZone,
  type Chart,
  type TrialZone,
  type WearCheck,
  type WearClimate,
  type WearState,
} from '@toile/core';
import { idFor } from './ids';
import { ZONE } from './parties';

/** Hours at which half of them are gone, where nothing particular is known. */
const USUAL: Readonly<Record<TrialZone, number>> = {
  forehead: 10,
  nose: 8,
  cheek: 13,
  underEye: 10,
  mouth: 7,
  chin: 10,
  neck: 14,
};
/** What is really so in this year: the base of the first chart leaves the nose early, whoever wears it. */
const EARLY_NOSE_HOURS = 3;
/** Weibull, as wear is guessed to go. */
const SHAPE = 2.2;
const LOOKS = [2, 4, 6, 8, 10] as const;

/** What the air of such days was like, in turn: the same whatever day the demo is made. */
const AIR: readonly WearClimate[] = ['mild', 'mild', 'hot', 'mild', 'wet'];

/**
 * A year of looks at worn faces. There is one real pattern in it (a base that leaves the nose early) and one
 * that only looks like one: the second chart's lip failed both times it was looked at, by chance.
 */
export function wearsOfAYear(charts: readonly Chart[], today: string): WearCheck[] {
  const random = seededRandom(20);
  const early = charts[0] && wornByZone(charts[0]).nose;
  return charts.flatMap((chart, c) => {
    const worn = wornByZone(chart);
    const usual = wearSettingOf(chart);
    const times = c === 1 ? 2 : 5 + (c % 3);
    return Array.from({ length: times }, (_, n): WearCheck[] => {
      const day = addDays(today, -(9 + n * 37 + c * 5));
      const putOn = 9 * 60 + 10 * c;
      const setting = { ...usual, climate: AIR[n % AIR.length]! };
      const fails = (zone: TrialZone): number => {
        if (c === 1 && zone === 'mouth') return 3;
        const median = zone === 'nose' && worn.nose === early ? EARLY_NOSE_HOURS : USUAL[zone];
        return median * (-Math.log(1 - random()) / Math.LN2) ** (1 / SHAPE);
      };
      const until = Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, fails(zone)]));
      const last = random() < 0.3 ? 3 : LOOKS.length;
      return LOOKS.slice(0, last)
        .filter(() => random() > 0.15)
        .map((hour): WearCheck => {
          const minute = putOn + hour * 60 + Math.round(20 * (random() - 0.5));
          const at = (minute - putOn) / 60;
          const state = (zone: TrialZone): WearState =>
            at >= until[zone]! ? 'needs a touch-up' : at >= 0.8 * until[zone]! ? 'starting' : 'holds';
          const byClient = random() < 0.6;
          return {
            id: idFor(`wear ${chart.id} ${n} ${hour}`),
            chartId: chart.id,
            version: chart.version,
            clientId: chart.client.id,
            appliedAt: instantAt(ZONE, day, putOn).toISOString(),
            at: instantAt(ZONE, day, minute).toISOString(),
            judge: byClient ? 'client' : 'artist',
            by: byClient ? chart.client.name : 'Teodor Marsh',
            zones: Object.fromEntries(
              TRIAL_ZONES.filter((zone) => worn[zone] !== undefined).map((zone) => [zone, state(zone)]),
            ),
            touched: [],
            marks: hour === 4 ? ['meal'] : hour === 8 ? ['dancing'] : [],
            stings: false,
            worn,
            setting,
          };
        });
    }).flat();
  });
}
