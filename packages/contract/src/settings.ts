import { mixed, object, string } from 'yup';
import {
  isZone,
  RULES,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SEVERITIES,
  type RuleGrades,
  type SchoolAnswers,
} from '@toile/core';

const GRADES: readonly string[] = [...SEVERITIES, 'off'];

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
    .typeError('Each rule is a note, a caution, a stop, or off')
    .required(),
  schools: mixed<Partial<SchoolAnswers>>(
    (value): value is Partial<SchoolAnswers> =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(([name, answer]) =>
        SCHOOL_NAMES.some((s) => s === name && SCHOOL_ANSWERS[s].some((a) => a === answer)),
      ),
  )
    .typeError('Each question is answered with one of its schools')
    .optional(),
  zone: string()
    .optional()
    .test('zone', 'A time zone, as Europe/Lisbon', (value) => value === undefined || isZone(value)),
}).noUnknown('${unknown} is not known here');
export type StudioSettings = {
  ruleGrades: RuleGrades;
  /** Left out, or a question left out: as each look says. */
  schools?: Partial<SchoolAnswers>;
  /** The time zone whose days the studio works by, as 'Europe/Lisbon'. Left out: that of whoever looks. */
  zone?: string;
};
