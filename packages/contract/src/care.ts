import { array, boolean, mixed, object, string } from 'yup';
import { CONSULT_QUESTIONS, msg, type Consult, type ConsultKey } from '@toile/core';
import { uuid } from './client';
import { consultField } from './consult';
import { day } from './shapes';
import { text } from './text';
import { secretField } from './share';

/** How long a client may answer by a link, days. */
export const INTAKE_DAYS = 14;

/** A link for a client to answer by on a phone of their own; only the hash of its secret is kept. */
export const intakeInputSchema = object({ id: uuid().required(), secret: secretField() }).noUnknown(
  '${unknown} is not known here',
);
export type IntakeInput = { id: string; secret: string };

/** Where an intake link leads: its token stands behind the #, which no server and no log is sent. */
export const intakePath = (token: string): string => `/intake#${token}`;

const tokenField = () =>
  string()
    .required(() => msg`The link is not whole`)
    .max(200, () => msg`At most 200 letters`);
export const openIntakeSchema = object({ token: tokenField() }).noUnknown('${unknown} is not known here');
export type OpenIntake = { token: string };

export const sendIntakeSchema = object({
  token: tokenField(),
  answers: consultField().required(() => msg`Answer something first`),
}).noUnknown('${unknown} is not known here');
export type SendIntake = { token: string; answers: Consult };

const KEYS = CONSULT_QUESTIONS.map(({ key }) => key);
/** One answer of a client, taken over into the record or set aside. */
export const settleIntakeSchema = object({
  key: mixed<ConsultKey>()
    .oneOf([...KEYS], () => msg`Say which answer`)
    .required(() => msg`Say which answer`),
  taken: boolean().required(() => msg`Say whether it is taken over`),
}).noUnknown('${unknown} is not known here');
export type SettleIntake = { key: ConsultKey; taken: boolean };

export type IntakeAnswer = {
  readonly id: string;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly expiresAt: string;
  readonly state: 'open' | 'answered' | 'taken back' | 'ended';
  /** What the client said; null until then. */
  readonly answers: Consult | null;
  /** What became of each answer so far. */
  readonly settled: Readonly<Partial<Record<ConsultKey, 'taken' | 'set aside'>>>;
};
/** What whoever holds a link is shown: who asks. Nothing of what is kept. */
export type OpenIntakeAnswer = { readonly studio: string; readonly expiresAt: string };

/** Something that went wrong, as it is written down; the products' names are the server's to say. */
export const incidentInputSchema = object({
  id: uuid().required(),
  on: day().required(() => msg`Choose a day`),
  seen: text()
    .required(() => msg`Say what was seen or felt, in plain words`)
    .max(1000, () => msg`At most 1000 letters`),
  done: text()
    .default('')
    .max(4000, () => msg`At most 4000 letters`),
  chartId: uuid().nullable().default(null),
  suspected: array()
    .of(uuid().required())
    .max(40, () => msg`At most 40`)
    .default([]),
}).noUnknown('${unknown} is not known here');
export type IncidentInput = {
  id: string;
  on: string;
  seen: string;
  done: string;
  chartId: string | null;
  suspected: string[];
};

export const CHARTS_OF_ERASED = ['kept without the person', 'gone too'] as const;
/** A client's own records taken out; the name is typed again, so that it is meant. */
export const eraseClientSchema = object({
  name: string().required(() => msg`Write the name, as it stands above`),
  charts: mixed<(typeof CHARTS_OF_ERASED)[number]>()
    .oneOf([...CHARTS_OF_ERASED], () => msg`Say what becomes of the charts`)
    .required(() => msg`Say what becomes of the charts`),
}).noUnknown('${unknown} is not known here');
export type EraseClient = { name: string; charts: (typeof CHARTS_OF_ERASED)[number] };

/** What erasing a client would take. */
export type ErasureAnswer = {
  readonly readings: number;
  readonly visits: number;
  readonly charts: number;
  readonly versions: number;
  readonly patchTests: number;
  readonly incidents: number;
  readonly wearChecks: number;
  readonly trials: number;
  readonly compacts: number;
  readonly photographs: number;
  readonly intakes: number;
  readonly parties: number;
  /**
   * Other clients in whose own records the name stands, as a guardian or in a note: those are theirs and
   * stay.
   */
  readonly elsewhere: readonly string[];
};
export type ErasedAnswer = { readonly erased: string; readonly charts: EraseClient['charts'] };

/** A calendar by a secret link, of one's own. */
export const feedInputSchema = object({ secret: secretField() }).noUnknown('${unknown} is not known here');
export type FeedInput = { secret: string };
export type FeedAnswer = { readonly madeAt: string | null };
/** Where a calendar is fetched; a calendar program sends nothing behind a #. */
export const feedPath = (studioId: string, secret: string): string => `/c/${studioId}.${secret}.ics`;
