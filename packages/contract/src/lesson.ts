import { array, number, object, string } from 'yup';
import { MOST_STEPS, msg, TOOLS, type Tool } from '@toile/core';
import { uuid } from './client';
import { secretField } from './share';

/** How long a link to a lesson shows it, days; 0: until it is taken back. */
export const LESSON_DAYS = [30, 180, 0] as const;
export type LessonDays = (typeof LESSON_DAYS)[number];

/** A link to a lesson: a version of a chart, which of its steps, in how many minutes. */
export const lessonLinkInputSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  minutes: number()
    .integer()
    .min(1, () => msg`At least a minute`)
    .max(180, () => msg`At most three hours`)
    .required(),
  keep: array()
    .of(uuid().required())
    .min(1, () => msg`Keep at least one step`)
    .max(MOST_STEPS)
    .required(),
  /** What the client has to work with; null: nobody was asked. */
  tools: array()
    .of(
      string()
        .oneOf([...TOOLS], () => msg`not a tool`)
        .required(),
    )
    .max(TOOLS.length)
    .nullable()
    .default(null),
  secret: secretField(),
  days: number()
    .oneOf([...LESSON_DAYS], () => msg`one of ${LESSON_DAYS.join(', ')}`)
    .required(),
}).noUnknown('${unknown} is not known here');
export type LessonLinkInput = {
  id: string;
  version: number;
  minutes: number;
  keep: string[];
  tools?: Tool[] | null;
  secret: string;
  days: LessonDays;
};

export type LessonLinkAnswer = {
  readonly id: string;
  readonly version: number;
  /** What it showed before it was moved on to this version; null where it never was. */
  readonly wasVersion: number | null;
  readonly steps: number;
  readonly madeBy: string;
  readonly madeAt: string;
  /** null: until it is taken back. */ readonly expiresAt: string | null;
  readonly revokedAt: string | null;
};

/** A link moved on to a newer version of its chart. */
export const lessonRenewalSchema = object({
  version: number().integer().min(1).required(),
}).noUnknown('${unknown} is not known here');
export type LessonRenewal = { version: number };

/** Where a link to a lesson leads, under the app's own address. */
export const lessonPath = (studioId: string, secret: string): string => `/l/${studioId}.${secret}`;
