import { Type } from '@sinclair/typebox';
import { array, boolean, mixed, number, object, string } from 'yup';
import {
  checkTimes,
  LearnedAnswerSchema,
  msg,
  TRIAL_ZONES,
  WEAR_MARKS,
  WEAR_STATES,
  type TrialZone,
  type WearCheck,
  type WearMark,
  type WearState,
  type LearnedAnswer,
  type StudioDecision,
  type WearGroup,
  type WorkedHabit,
} from '@toile/core';
import { uuid } from './client';
import { documentPart, instant } from './shapes';
import { secretField } from './share';
import type { AskedOfHalves } from './trial';

/** How long a client may tell by a link, days: the day itself and the night after it. */
export const WEAR_LINK_DAYS = 2;

const zone = string().oneOf([...TRIAL_ZONES], () => msg`not a zone of the face`);

const look = {
  zones: mixed<Partial<Record<TrialZone, WearState>>>(
    (value): value is Partial<Record<TrialZone, WearState>> =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(
        ([key, state]) => TRIAL_ZONES.some((z) => z === key) && WEAR_STATES.some((s) => s === state),
      ),
  )
    .typeError(() => msg`Each zone holds, is starting, or needs a touch-up`)
    .required(() => msg`Say how it looks`),
  touched: array().of(zone.required()).max(TRIAL_ZONES.length).default([]),
  marks: array()
    .of(
      string()
        .oneOf([...WEAR_MARKS])
        .required(),
    )
    .max(WEAR_MARKS.length)
    .default([]),
  stings: boolean().default(false),
};
const somethingSeen = (value: { zones?: object; touched?: unknown[]; stings?: boolean }): boolean =>
  Object.keys(value.zones ?? {}).length > 0 || (value.touched ?? []).length > 0 || value.stings === true;

/** One look at a face that is worn, by whoever made it up. */
export const wearCheckInputSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  appliedAt: instant().required(() => msg`Say when it was put on`),
  at: instant().required(() => msg`Say when it was looked at`),
  ...look,
})
  .test('times', 'times', function (value) {
    const wrong =
      value.at && value.appliedAt ? checkTimes({ at: value.at, appliedAt: value.appliedAt }) : null;
    return wrong === null || this.createError({ path: 'at', message: wrong });
  })
  .test('some', () => msg`Say how at least one place looks`, somethingSeen)
  .noUnknown('${unknown} is not known here');
export type Look = {
  zones: Partial<Record<TrialZone, WearState>>;
  touched: TrialZone[];
  marks: WearMark[];
  stings: boolean;
};
export type WearCheckInput = Look & { id: string; version: number; appliedAt: string; at: string };

/** What was answered to something the studio's evidence proposes. */
export const learnedAnswerInputSchema = object({
  answer: documentPart<LearnedAnswerInput['answer']>(
    Type.Omit(LearnedAnswerSchema, ['at', 'by']),
    () => msg`The answer`,
  ).required(() => msg`Say what was answered`),
}).noUnknown('${unknown} is not known here');
export type LearnedAnswerInput = { answer: Omit<LearnedAnswer, 'at' | 'by'> };
/** What the studio's wears, decisions and answers come to, to propose from; a client's own wears apart. */
export type LearnedEvidenceAnswer = {
  readonly wears: readonly WearGroup[];
  readonly decisions: readonly StudioDecision[];
  readonly answers: readonly LearnedAnswer[];
  /** How the charts worked last were really worked, against their plans. */
  readonly habits: readonly WorkedHabit[];
};

/** A link by which a client tells how it wears. */
export const wearLinkInputSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  appliedAt: instant().required(() => msg`Say when it was put on`),
  secret: secretField(),
  trialId: uuid(),
}).noUnknown('${unknown} is not known here');
export type WearLinkInput = {
  id: string;
  version: number;
  appliedAt: string;
  secret: string;
  /** Both halves of this trial are asked about. */ trialId?: string;
};

const tokenField = () =>
  string()
    .required(() => msg`The link is not whole`)
    .max(200, () => msg`At most 200 letters`);
export const openWearSchema = object({ token: tokenField() }).noUnknown('${unknown} is not known here');
export type OpenWear = { token: string };
/** A client's own look at the face. */
export const sendWearSchema = object({
  token: tokenField(),
  id: uuid().required(),
  at: instant().required(),
  ...look,
})
  .test('some', () => msg`Say how at least one place looks`, somethingSeen)
  .noUnknown('${unknown} is not known here');
export type SendWear = Look & { token: string; id: string; at: string };

/** Where a link leads: its token stands behind the #, which no server and no log is sent. */
export const wearPath = (token: string): string => `/wear#${token}`;

export type WearLinkAnswer = {
  readonly id: string;
  readonly madeBy: string;
  readonly appliedAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};
/** A chart's wear: what was seen of it, and the studio's wears to judge by. */
export type ChartWearAnswer = {
  readonly checks: readonly WearCheck[];
  readonly history: readonly WearGroup[];
  readonly links: readonly WearLinkAnswer[];
  /** The last tick at the chair: when it was put on, as far as anybody knows. */
  readonly lastTickAt: string | null;
};
/**
 * What whoever holds a link is shown: who asks, since when it is worn, what was told so far. Nothing else
 * that is kept.
 */
export type OpenWearAnswer = {
  readonly studio: string;
  readonly appliedAt: string;
  readonly expiresAt: string;
  readonly told: readonly { readonly at: string; readonly zones: WearCheck['zones'] }[];
  /** Where both halves are asked about. */ readonly halves: AskedOfHalves | null;
};
/** Every first wear of the studio that was looked at, newest first. */
export type StudioWearAnswer = { readonly wears: readonly WearGroup[] };
