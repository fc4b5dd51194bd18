import { boolean, object, string, type InferType } from 'yup';
import { CLIENT_RUN_UP, msg, OCCASIONS, OccasionSchema, type Occasion, type RunUpKind } from '@toile/core';
import { uuid } from './client';
import { day, documentPart } from './shapes';
import { text } from './text';

/** How far a visit has come; one that was cancelled is kept, with why. */
export const VISIT_STATES = ['asked', 'booked', 'done', 'cancelled'] as const;
export type VisitState = (typeof VISIT_STATES)[number];

const clock = (example: string) =>
  string().matches(/^([01]\d|2[0-3]):[0-5]\d$/, {
    message: () => msg`A time, as ${example}`,
    excludeEmptyString: true,
  });

export const visitInputSchema = object({
  id: uuid().required(),
  clientId: uuid().required(),
  kind: string()
    .oneOf([...OCCASIONS], () => msg`Choose what it is for`)
    .required(() => msg`Choose what it is for`),
  date: day().required(() => msg`Choose a date`),
  startsAt: clock('09:20').required(() => msg`Choose a time`),
  readyBy: clock('11:30').nullable().default(null),
  place: text()
    .default('')
    .max(200, () => msg`At most 200 letters`),
  partyId: uuid().nullable().default(null),
  state: string()
    .oneOf([...VISIT_STATES])
    .default('booked'),
  reason: text()
    .default('')
    .max(400, () => msg`At most 400 letters`)
    .when('state', ([state], schema) =>
      state === 'cancelled' ? schema.required(() => msg`Say why it was cancelled`) : schema,
    ),
  occasion: documentPart<Occasion>(OccasionSchema, () => msg`The occasion`)
    .nullable()
    .default(null),
}).noUnknown('${unknown} is not known here');
export type VisitInput = Omit<InferType<typeof visitInputSchema>, 'occasion'> & {
  occasion: Occasion | null;
};

/** A task of the run-up to a visit, done or not after all. */
export const runUpInputSchema = object({
  task: string()
    .oneOf([...CLIENT_RUN_UP], () => msg`Say which task`)
    .required(() => msg`Say which task`),
  done: boolean().required(() => msg`Say whether it is done`),
}).noUnknown('${unknown} is not known here');
export type RunUpInput = { task: RunUpKind; done: boolean };
