import { msg } from '../messages';

export const OCCASIONS = ['trial', 'wedding', 'gala', 'portrait', 'party', 'other'] as const;
export const OCCASION_LIGHTS = ['daylight', 'indoor', 'led', 'flash', 'candle'] as const;
/** What a day does to a face. */
export const CONDITIONS = ['heat', 'humidity', 'tears', 'dancing', 'meals', 'wind', 'rain'] as const;
export const METALS = ['silver', 'gold'] as const;

/** An occasion as far as products are judged by it. */
export type DayAsked = {
  readonly kind: (typeof OCCASIONS)[number];
  readonly lights: readonly (typeof OCCASION_LIGHTS)[number][];
  readonly hoursToLast: number;
  readonly camera: boolean;
  readonly conditions?: readonly (typeof CONDITIONS)[number][];
  readonly metal?: (typeof METALS)[number];
};

/** What the day does to a face, as far as it is known or usual for its kind. */
export type Day = {
  readonly hours: number;
  /** Hours enough that what is laid has to be made to last. */
  readonly long: boolean;
  readonly heat: boolean;
  readonly humidity: boolean;
  readonly tears: boolean;
  readonly dancing: boolean;
  readonly meals: boolean;
  readonly wind: boolean;
  readonly rain: boolean;
  /** Water, sweat or streaming eyes: what is not waterproof prints. */
  readonly wet: boolean;
  readonly flash: boolean;
  readonly camera: boolean;
  /** Warm or weak light, which eats colour. */
  readonly dim: boolean;
  readonly metal: (typeof METALS)[number] | null;
  /** In words, what of it asks for hold: 'nine hours, tears, dancing'; empty where nothing does. */
  readonly words: string;
};

/** From these hours on what is laid has to be made to last. */
export const LONG_HOURS = 8;
/** Below this a meal is not counted on. */
const MEAL_HOURS = 4;

/** What is usual where nobody said: people cry at weddings and dance at parties. */
const USUAL: Readonly<Record<DayAsked['kind'], readonly (typeof CONDITIONS)[number][]>> = {
  wedding: ['tears', 'dancing', 'meals'],
  gala: ['dancing', 'meals'],
  party: ['dancing', 'meals'],
  portrait: [],
  trial: [],
  other: [],
};

/** What a day of this kind usually brings, for where nobody said. */
export function usualConditions(kind: DayAsked['kind']): readonly (typeof CONDITIONS)[number][] {
  return USUAL[kind];
}

/** What an occasion asks of what is worn; what is noted of it stands before what is usual. */
export function dayOf(occasion: DayAsked): Day {
  const conditions = occasion.conditions ?? usualConditions(occasion.kind);
  const has = (what: (typeof conditions)[number]): boolean => conditions.includes(what);
  const long = occasion.hoursToLast >= LONG_HOURS;
  const meals = has('meals') && occasion.hoursToLast >= MEAL_HOURS;
  const words = [
    long ? msg`${occasion.hoursToLast} hours` : null,
    has('tears') ? msg`tears` : null,
    has('dancing') ? msg`dancing` : null,
    has('heat') ? msg`heat` : null,
    has('humidity') ? msg`humid air` : null,
    has('rain') ? msg`rain` : null,
    has('wind') ? msg`wind` : null,
    meals ? msg`a meal` : null,
  ];
  return {
    hours: occasion.hoursToLast,
    long,
    heat: has('heat'),
    humidity: has('humidity'),
    tears: has('tears'),
    dancing: has('dancing'),
    meals,
    wind: has('wind'),
    rain: has('rain'),
    wet: (['tears', 'dancing', 'heat', 'humidity', 'rain', 'wind'] as const).some(has),
    flash: occasion.lights.includes('flash'),
    camera: occasion.camera || occasion.lights.includes('flash'),
    dim:
      occasion.lights.length > 0 &&
      !occasion.lights.includes('daylight') &&
      occasion.lights.some((l) => l === 'candle' || l === 'indoor'),
    metal: occasion.metal ?? null,
    words: words.filter((w) => w !== null).join(', '),
  };
}
