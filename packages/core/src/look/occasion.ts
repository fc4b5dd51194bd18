import { listed } from '../listed';
import { minuteOfDay } from '../calendar';
import { msg, plural, term } from '../messages';
import { usualConditions } from '../shade';
import { CHART_FORMAT, type Chart, type Occasion } from './document';

type Kind = Occasion['kind'];

/**
 * What is usual of an occasion where nobody was asked. Trade sense, not measurement: a trial is worn for an
 * afternoon, a wedding from the morning into the night.
 */
const USUAL: Readonly<Record<Kind, Pick<Occasion, 'lights' | 'hoursToLast' | 'camera'>>> = {
  trial: { lights: ['daylight', 'flash'], hoursToLast: 5, camera: false },
  wedding: { lights: ['daylight', 'flash'], hoursToLast: 10, camera: true },
  gala: { lights: ['indoor', 'flash'], hoursToLast: 6, camera: true },
  portrait: { lights: ['daylight', 'flash'], hoursToLast: 3, camera: true },
  party: { lights: ['indoor', 'flash'], hoursToLast: 6, camera: true },
  other: { lights: ['daylight'], hoursToLast: 6, camera: false },
};

/** The longest a face is asked to hold, in hours. */
export const ASKED_HOURS = { least: 0.5, most: 24 } as const;

/**
 * An occasion as usual for its kind, said to be that: nobody was asked. Hours, lights, camera, what it
 * brings.
 */
export function usualOccasion(kind: Kind, date: string): Occasion {
  const { lights, hoursToLast, camera } = USUAL[kind];
  return {
    kind,
    date,
    lights: [...lights],
    hoursToLast,
    camera,
    conditions: [...usualConditions(kind)],
    asked: false,
  };
}

/** Whether somebody was asked; charts from before it could be said count as not. */
export const isAsked = (occasion: Occasion): boolean => occasion.asked === true;

/**
 * Hours from `begins` to `ends` (HH:MM where it is), to the half hour upwards: what it must hold. An end
 * before the beginning is on the next day; both alike say nothing, null.
 */
export function hoursToHold(begins: string | undefined, ends: string | undefined): number | null {
  const [from, until] = [minuteOfDay(begins ?? ''), minuteOfDay(ends ?? '')];
  if (from === null || until === null) return null;
  const minutes = (until - from + 24 * 60) % (24 * 60);
  return minutes === 0 ? null : Math.ceil(minutes / 30) / 2;
}

/**
 * What an occasion asks, in one line without its date: '10 hours, 11:30 to 23:00; by daylight; heat, rain'.
 */
export function occasionInWords(occasion: Occasion): string {
  const { hoursToLast, begins, ends, lights, camera, metal, outfit = [], theme } = occasion;
  const conditions = occasion.conditions ?? usualConditions(occasion.kind);
  return [
    `${plural(hoursToLast)`${hoursToLast} hour|${hoursToLast} hours`}${begins && ends ? msg`, ${begins} to ${ends}` : ''}`,
    lights.length > 0 ? msg`by ${listed(lights.map((one) => term(one)))}` : null,
    camera ? msg`photographed` : null,
    conditions.length > 0 ? listed(conditions.map((one) => term(one))) : null,
    outfit.length > 0 ? msg`wearing ${listed(outfit.map(({ name }) => name))}` : null,
    metal ? msg`${term(metal)} jewellery` : null,
    theme ?? null,
  ]
    .filter((part) => part !== null)
    .join('; ');
}

/** What can differ, by its name. */
const DIFFERENCES = [
  ['kind', (o) => term(o.kind)],
  ['day', (o) => o.date],
  ['hours', (o) => String(o.hoursToLast)],
  ['ready at', (o) => o.begins ?? ''],
  ['until', (o) => o.ends ?? ''],
  ['light', (o) => listed([...o.lights.map((one) => term(one))].sort())],
  ['camera', (o) => (o.camera ? msg`photographed` : msg`no camera`)],
  [
    'the day brings',
    (o) => listed([...(o.conditions ?? usualConditions(o.kind)).map((one) => term(one))].sort()),
  ],
  ['worn', (o) => listed((o.outfit ?? []).map(({ name, lab }) => `${name} ${lab.join(' ')}`))],
  ['jewellery', (o) => (o.metal ? term(o.metal) : '')],
  ['theme', (o) => o.theme ?? ''],
  ['place', (o) => o.place ?? ''],
] as const satisfies readonly (readonly [string, (o: Occasion) => string])[];

/** What differs between two occasions, a line each: 'hours: 4 instead of 12'. */
export function occasionDifference(before: Occasion, after: Occasion): string[] {
  return DIFFERENCES.flatMap(([what, of]) => {
    const [was, is] = [of(before), of(after)];
    return was === is ? [] : [msg`${term(what)}: ${is || msg`nothing`} instead of ${was || msg`nothing`}`];
  });
}

/**
 * A chart made for another occasion: nothing else of it is touched, what that changes is for the review to
 * say.
 */
export function withOccasion(chart: Chart, occasion: Occasion): Chart {
  return { ...chart, format: CHART_FORMAT, occasion };
}
