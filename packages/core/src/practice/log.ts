import { Type, type Static, type TProperties } from '@sinclair/typebox';
import { dayIn, daysBetween } from '../calendar';
import { median } from '../math';
import { closed, DateSchema, InstantSchema, oneOf, TextSchema, UuidSchema } from '../schema';
import { practiceSchedule, type PracticeCard } from './schedule';
import type { Grade } from './score';
import { SKILLS } from './skills';
import type { Level } from './exercise';

const GRADES = ['again', 'near', 'good', 'sure'] as const satisfies readonly Grade[];
const skill = Type.String({ minLength: 1, maxLength: 40 });

/**
 * What may happen in practice: somebody's own attempt, sharing a skill with the team, a skill set for the
 * week.
 */
const eventsWith = <T extends TProperties>(told: T) =>
  Type.Union([
    Type.Object(
      {
        ...told,
        kind: Type.Literal('attempt'),
        skill,
        seed: Type.Integer({ minimum: 0 }),
        level: Type.Integer({ minimum: 0, maximum: 2 }),
        score: Type.Number({ minimum: 0, maximum: 100 }),
        grade: oneOf(GRADES),
        miss: Type.Number({
          minimum: 0,
          maximum: 10_000,
          description: 'mm of a line, or what an answer is off',
        }),
        first: Type.String({ maxLength: 400, description: 'what was said, worst first' }),
      },
      closed,
    ),
    Type.Object({ ...told, kind: Type.Literal('shared'), skill, shared: Type.Boolean() }, closed),
    Type.Object(
      { ...told, kind: Type.Literal('week'), skill: Type.Union([skill, Type.Null()]), from: DateSchema },
      closed,
    ),
  ]);
export const PracticeToldSchema = eventsWith({ id: UuidSchema, at: InstantSchema });
export const PracticeEventSchema = eventsWith({ id: UuidSchema, at: InstantSchema, by: TextSchema });
export type PracticeTold = Static<typeof PracticeToldSchema>;
export type PracticeEvent = Static<typeof PracticeEventSchema>;
export type Attempt = Extract<PracticeTold, { kind: 'attempt' }>;

export type SkillNow = {
  readonly skill: string;
  readonly attempts: number;
  readonly level: Level;
  /** The day it is due again, YYYY-MM-DD; null for what was never tried. */ readonly due: string | null;
  /** The last five misses, oldest first, their median and range; null without any. */
  readonly last: {
    readonly misses: readonly number[];
    readonly median: number;
    readonly least: number;
    readonly most: number;
  } | null;
  readonly grade: Grade | null;
  /** The last five beat the first five by a quarter, from ten attempts on. */ readonly better: boolean;
  readonly shared: boolean;
};

const LAST = 5;
/** So many attempts before anything is said of getting better. */
const ENOUGH = 10;
const BETTER = 0.75;

/** An attempt with the day it was made on, where the studio is. */
type Dated = Attempt & { readonly day: string };

/**
 * Where somebody's hand stands in every skill, from all they told, in any order. Days are those of a time
 * zone: what is practised on one evening is one day's, wherever midnight is in Greenwich.
 */
export function practiceNow(events: readonly PracticeTold[], zone: string): SkillNow[] {
  const sorted = [...events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return SKILLS.map(({ id }): SkillNow => {
    const attempts = sorted.flatMap((one): Dated[] =>
      one.kind === 'attempt' && one.skill === id ? [{ ...one, day: dayIn(zone, new Date(one.at)) }] : [],
    );
    const shared = sorted.filter((one) => one.kind === 'shared' && one.skill === id).at(-1);
    const misses = attempts.map(({ miss }) => miss);
    const last = misses.slice(-LAST);
    return {
      skill: id,
      attempts: attempts.length,
      level: levelOf(attempts),
      due: dueOf(attempts),
      last:
        last.length === 0
          ? null
          : { misses: last, median: median(last), least: Math.min(...last), most: Math.max(...last) },
      grade: attempts.at(-1)?.grade ?? null,
      better: misses.length >= ENOUGH && median(last) < BETTER * median(misses.slice(0, LAST)),
      shared: shared?.kind === 'shared' && shared.shared,
    };
  });
}

/** The day it is due again. Only a day's first attempt is rated: the rest is free practice. */
function dueOf(attempts: readonly Dated[]): string | null {
  let card: PracticeCard | null = null;
  let last = '';
  for (const { day, grade } of attempts) {
    if (day === last) continue;
    last = day;
    // Noon of every day: whole days lie between any two.
    card = practiceSchedule(card, grade, new Date(`${day}T12:00:00Z`));
  }
  return card ? dayIn('UTC', card.due) : null;
}

/** Up after two good ones on different days, down after two that went wrong. */
function levelOf(attempts: readonly Dated[]): Level {
  let level: Level = 0;
  let good: string | null = null;
  let wrong = 0;
  for (const { day, grade } of attempts) {
    if (grade === 'again') {
      good = null;
      wrong++;
      if (wrong >= 2) {
        level = level === 2 ? 1 : 0;
        wrong = 0;
      }
      continue;
    }
    wrong = 0;
    if (grade === 'near') good = null;
    else if (good === null) good = day;
    else if (good !== day) {
      level = level === 0 ? 1 : 2;
      good = null;
    }
  }
  return level;
}

/** What is due on a day, overdue longest first; then what was never tried; then what comes later. */
export function dueFirst(all: readonly SkillNow[], today: string): SkillNow[] {
  const rank = ({ due }: SkillNow): number => (due === null ? 1 : due <= today ? 0 : 2);
  return [...all].sort(
    (a, b) => rank(a) - rank(b) || ((a.due ?? '') < (b.due ?? '') ? -1 : a.due === b.due ? 0 : 1),
  );
}

/** A team's skill of the week: the newest set that has begun, for a week from its day; null for none. */
export function weekSkill(
  events: readonly PracticeEvent[],
  today: string,
): { readonly skill: string; readonly by: string; readonly from: string } | null {
  const last = events
    .filter((one) => one.kind === 'week')
    .filter(({ from }) => from <= today)
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1);
  if (!last || last.skill === null) return null;
  return daysBetween(last.from, today) < 7 ? { skill: last.skill, by: last.by, from: last.from } : null;
}
