import { mixed, object } from 'yup';
import { RULES, SEVERITIES, type RuleGrades } from '@toile/core';

const GRADES: readonly string[] = [...SEVERITIES, 'off'];

/** How the studio does things: so far, how it grades the rules of the review. */
export const studioSettingsSchema = object({
  ruleGrades: mixed<RuleGrades>(
    (value): value is RuleGrades =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(([id, grade]) => RULES.some((r) => r.id === id) && typeof grade === 'string' && GRADES.includes(grade)),
  )
    .typeError('Each rule is a note, a caution, a stop, or off')
    .required(),
}).noUnknown('${unknown} is not known here');
export type StudioSettings = { ruleGrades: RuleGrades };
