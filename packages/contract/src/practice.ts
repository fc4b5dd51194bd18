import { boolean, object, string } from 'yup';
import { msg, PracticeToldSchema, type PracticeTold, type SkillNow } from '@toile/core';
import { documentPart } from './shapes';

const unknown = '${unknown} is not known here';

/** Something told of practice; whose hands it was is the server's to say. */
export const practiceInputSchema = object({
  event: documentPart<PracticeTold>(PracticeToldSchema, () => msg`What was practised`).required(
    () => msg`Say what was practised`,
  ),
}).noUnknown(unknown);
export type PracticeInput = { event: PracticeTold };

/** One's own attempts let go of: of one skill, or of all. */
export const forgetPracticeSchema = object({
  skill: string()
    .max(40, () => msg`At most 40 letters`)
    .nullable()
    .default(null),
  sure: boolean()
    .oneOf([true], () => msg`Say that it is meant`)
    .required(() => msg`Say that it is meant`),
}).noUnknown(unknown);
export type ForgetPractice = { skill: string | null; sure: boolean };

/** What somebody of the team shares of a skill: no ranking, and nothing they did not share. */
export type SharedSkill = {
  readonly name: string;
  readonly skill: string;
  readonly last: SkillNow['last'];
  readonly attempts: number;
  readonly due: string | null;
  readonly at: string | null;
};
export type PracticeAnswer = {
  /** One's own, oldest first. */ readonly events: readonly PracticeTold[];
  readonly week: { readonly skill: string; readonly by: string; readonly from: string } | null;
  readonly team: readonly SharedSkill[];
};
