import { Type, type Static, type TProperties } from '@sinclair/typebox';
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
  /** When it is due again; null for what was never tried. */ readonly due: string | null;
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

const dayOf = (at: string): string => at.slice(0, 10);

/** Where somebody's hand stands in every skill, from all they told, in any order. */
export function practiceNow(events: readonly PracticeTold[]): SkillNow[] {
  const sorted = [...events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return SKILLS.map(({ id }): SkillNow => {
    const attempts = sorted.filter((one): one is Attempt => one.kind === 'attempt' && one.skill === id);
    const shared = sorted.filter((one) => one.kind === 'shared' && one.skill === id).at(-1);
    const misses = attempts.map(({ miss }) => miss);
    const last = misses.slice(-LAST);
    return {
      skill: id,
      attempts: attempts.length,
      level: levelOf(attempts),
      due: dueOf(attempts)?.due.toISOString() ?? null,
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

/** Only a day's first attempt is rated: the rest is free practice. */
function dueOf(attempts: readonly Attempt[]): PracticeCard | null {
  let card: PracticeCard | null = null;
  let day = '';
  for (const { at, grade } of attempts) {
    if (dayOf(at) === day) continue;
    day = dayOf(at);
    card = practiceSchedule(card, grade, new Date(at));
  }
  return card;
}

/** Up after two good ones on different days, down after two that went wrong. */
function levelOf(attempts: readonly Attempt[]): Level {
  let level: Level = 0;
  let good: string | null = null;
  let wrong = 0;
  for (const { at, grade } of attempts) {
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
    else if (good === null) good = dayOf(at);
    else if (good !== dayOf(at)) {
      level = level === 0 ? 1 : 2;
      good = null;
    }
  }
  return level;
}

/** What is due: overdue longest first; then what was never tried. */
export function dueFirst(all: readonly SkillNow[], now: Date): SkillNow[] {
  const rank = (one: SkillNow): number =>
    one.due === null ? 1 : Date.parse(one.due) <= now.getTime() ? 0 : 2;
  return [...all].sort(
    (a, b) => rank(a) - rank(b) || Date.parse(a.due ?? '1970-01-01') - Date.parse(b.due ?? '1970-01-01'),
  );
}

/** A team's skill of the week: the newest that was set, for a week from its day; null when there is none. */
export function weekSkill(
  events: readonly PracticeEvent[],
  today: string,
): { readonly skill: string; readonly by: string; readonly from: string } | null {
  const last = events
    .filter((one): one is Extract<PracticeEvent, { kind: 'week' }> => one.kind === 'week')
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1);
  if (!last || last.skill === null || last.from > today) return null;
  const days = (Date.parse(today) - Date.parse(last.from)) / 86_400_000;
  return days < 7 ? { skill: last.skill, by: last.by, from: last.from } : null;
}
