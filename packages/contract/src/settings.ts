import { boolean, mixed, object, string } from 'yup';
import {
  AMOUNTS_FIRST,
  CLOCKS,
  DAY_ORDERS,
  FIRST_WEEKDAYS,
  isZone,
  msg,
  RULES,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SEVERITIES,
  TEMPERATURE_UNITS,
  type Manner,
  type RuleGrades,
  type SchoolAnswers,
} from '@toile/core';

const GRADES: readonly string[] = [...SEVERITIES, 'off'];

const oneOfThese = <T extends string>(options: readonly T[]) =>
  string<T>()
    .oneOf([...options], () => msg`one of ${options.join(', ')}`)
    .optional();

/** How days, hours, amounts and warmth are told; what is left out is as usual. */
export const mannerSchema = object({
  days: oneOfThese(DAY_ORDERS),
  clock: oneOfThese(CLOCKS),
  firstWeekday: oneOfThese(FIRST_WEEKDAYS),
  amounts: oneOfThese(AMOUNTS_FIRST),
  temperature: oneOfThese(TEMPERATURE_UNITS),
})
  .noUnknown('${unknown} is not known here')
  .optional()
  .default(undefined);

/**
 * How the studio does things: how it grades the rules of the review, and its way in questions schools answer
 * differently.
 */
export const studioSettingsSchema = object({
  ruleGrades: mixed<RuleGrades>(
    (value): value is RuleGrades =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(
        ([id, grade]) =>
          RULES.some((r) => r.id === id) && typeof grade === 'string' && GRADES.includes(grade),
      ),
  )
    .typeError(() => msg`Each rule is a note, a caution, a stop, or off`)
    .required(),
  schools: mixed<Partial<SchoolAnswers>>(
    (value): value is Partial<SchoolAnswers> =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(([name, answer]) =>
        SCHOOL_NAMES.some((s) => s === name && SCHOOL_ANSWERS[s].some((a) => a === answer)),
      ),
  )
    .typeError(() => msg`Each question is answered with one of its schools`)
    .optional(),
  zone: string()
    .optional()
    .test(
      'zone',
      () => msg`A time zone, as Europe/Lisbon`,
      (value) => value === undefined || isZone(value),
    ),
  manner: mannerSchema,
  keepsPhotographs: boolean().optional(),
}).noUnknown('${unknown} is not known here');
export type StudioSettings = {
  ruleGrades: RuleGrades;
  /** Left out, or a question left out: as each look says. */
  schools?: Partial<SchoolAnswers>;
  /** The time zone whose days the studio works by, as 'Europe/Lisbon'. Left out: that of whoever looks. */
  zone?: string;
  /** How it tells days, hours, amounts and warmth; what is left out is as usual. */
  manner?: Partial<Manner>;
  /** Photographs clients agreed to are kept with the studio; else on the device that has them alone. */
  keepsPhotographs?: boolean;
};
