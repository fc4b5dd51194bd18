import { array, boolean, mixed, number, object, string } from 'yup';
import {
  msg,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SIDES,
  TECHNIQUES,
  TOOLS,
  TRIAL_JUDGES,
  TRIAL_MEASURE_NAMES,
  TRIAL_MEASURES,
  TRIAL_ZONES,
  TrialToldSchema,
  WEAR_MARKS,
  type Judge,
  type QuestionSoFar,
  type School,
  type SchoolAnswers,
  type Side,
  type Step,
  type Trial,
  type TrialEvent,
  type TrialMeasure,
  type TrialTold,
  type TrialZone,
  type WearMark,
} from '@toile/core';
import { uuid } from './client';
import { substitutionSchema } from './kit';
import { day, documentPart, instant } from './shapes';

const unknown = '${unknown} is not known here';

/** What the other half does otherwise; of a product what stands for it comes out of the kit. */
export type TrialAsk =
  | {
      readonly aspect: 'product';
      readonly stepId: string;
      readonly parts: readonly {
        readonly productId: string;
        readonly unitId: string;
        readonly pumps: number;
      }[];
      readonly doseFactor: number;
    }
  | { readonly aspect: 'tool'; readonly stepId: string; readonly tool: Step['tool'] }
  | { readonly aspect: 'technique'; readonly stepId: string; readonly technique: Step['technique'] }
  | { readonly aspect: 'step'; readonly stepId: string }
  | { readonly aspect: 'school'; readonly answers: Partial<SchoolAnswers> };

const stepId = uuid().required(() => msg`Choose a step`);
const { parts, doseFactor } = substitutionSchema.fields;
const ASKS = {
  product: object({ aspect: string().required(), stepId, parts, doseFactor }).noUnknown(unknown),
  tool: object({
    aspect: string().required(),
    stepId,
    tool: string()
      .oneOf([...TOOLS], () => msg`Choose a tool`)
      .required(() => msg`Choose a tool`),
  }).noUnknown(unknown),
  technique: object({
    aspect: string().required(),
    stepId,
    technique: string()
      .oneOf([...TECHNIQUES], () => msg`Choose how it is worked`)
      .required(() => msg`Choose how it is worked`),
  }).noUnknown(unknown),
  step: object({ aspect: string().required(), stepId }).noUnknown(unknown),
  school: object({
    aspect: string().required(),
    answers: mixed<Partial<SchoolAnswers>>(
      (value): value is Partial<SchoolAnswers> => value !== null && typeof value === 'object',
    )
      .required(() => msg`Choose the other way`)
      .test(
        'one',
        () => msg`Choose one question, answered the other way`,
        (value) => {
          const answered = Object.entries(value ?? {});
          return (
            answered.length === 1 &&
            answered.every(([name, answer]) => {
              const school = SCHOOL_NAMES.find((known): known is School => known === name);
              return school !== undefined && SCHOOL_ANSWERS[school].some((one) => one === answer);
            })
          );
        },
      ),
  }).noUnknown(unknown),
} as const;
const isAspect = (value: unknown): value is keyof typeof ASKS =>
  typeof value === 'string' && Object.hasOwn(ASKS, value);

/** A trial as it is declared: what is compared, and by what it will be judged, before the sides are drawn. */
export const trialInputSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  date: day().required(() => msg`Say on which day`),
  ask: mixed<TrialAsk>((value): value is TrialAsk => value !== null && typeof value === 'object')
    .typeError(() => msg`Say what is compared`)
    .required(() => msg`Say what is compared`)
    .test(
      'ask',
      () => msg`Say what is compared`,
      function (value) {
        if (value === undefined) return true;
        const aspect: unknown = value.aspect;
        if (!isAspect(aspect))
          return this.createError({ path: 'ask.aspect', message: msg`Say what is compared` });
        return ASKS[aspect].validate(value, { strict: true }).then(
          () => true,
          (wrong: { path?: string; message: string }) =>
            this.createError({ path: `ask.${wrong.path ?? 'aspect'}`, message: wrong.message }),
        );
      },
    ),
  measure: string()
    .oneOf([...TRIAL_MEASURE_NAMES], () => msg`Say by what it is judged`)
    .required(() => msg`Say by what it is judged`),
  by: string()
    .oneOf([...TRIAL_JUDGES], () => msg`Say who judges`)
    .required(() => msg`Say who judges`),
  zones: array()
    .of(
      string()
        .oneOf([...TRIAL_ZONES], () => msg`not a zone of the face`)
        .required(),
    )
    .min(1, () => msg`Choose at least one place`)
    .max(TRIAL_ZONES.length)
    .required(() => msg`Choose at least one place`),
  design: string()
    .oneOf(['half', 'places'], () => msg`half or places`)
    .default('half'),
  hours: array()
    .of(
      number()
        .min(0, () => msg`At least 0`)
        .max(24, () => msg`At most 24`)
        .required(),
    )
    .min(1, () => msg`Choose at least one hour`)
    .max(12, () => msg`At most twelve looks`)
    .required(() => msg`Choose at least one hour`),
}).noUnknown(unknown);
export type TrialInput = {
  id: string;
  version: number;
  date: string;
  ask: TrialAsk;
  measure: TrialMeasure;
  by: Judge;
  zones: TrialZone[];
  /** One draw for the whole face, or one for each place: only for what is local. */
  design?: 'half' | 'places';
  hours: number[];
};

/** Something told of a trial; a decision may go into the chart at once. */
export const trialEventInputSchema = object({
  event: documentPart<TrialTold>(TrialToldSchema, () => msg`What was told`).required(
    () => msg`Say what happened`,
  ),
  intoChart: boolean().default(false),
}).noUnknown(unknown);
export type TrialEventInput = { event: TrialTold; intoChart: boolean };

/** A client's look at both halves, on a phone of their own. */
export const sendTrialSchema = object({
  token: string()
    .required(() => msg`The link is not whole`)
    .max(200, () => msg`At most 200 letters`),
  id: uuid().required(),
  at: instant().required(),
  seen: array()
    .of(
      object({
        zone: string()
          .oneOf([...TRIAL_ZONES], () => msg`not a zone of the face`)
          .required(),
        side: string()
          .oneOf([...SIDES])
          .required(),
        value: number().min(0).max(100).required(),
      }).noUnknown(unknown),
    )
    .max(2 * TRIAL_ZONES.length)
    .default([]),
  touched: array()
    .of(
      string()
        .oneOf([...TRIAL_ZONES], () => msg`not a zone of the face`)
        .required(),
    )
    .max(TRIAL_ZONES.length)
    .default([]),
  marks: array()
    .of(
      string()
        .oneOf([...WEAR_MARKS])
        .required(),
    )
    .max(WEAR_MARKS.length)
    .default([]),
  stings: string().oneOf([...SIDES, 'both']),
}).noUnknown(unknown);
export type SendTrial = {
  token: string;
  id: string;
  at: string;
  seen: { zone: TrialZone; side: Side; value: number }[];
  /** Touched up just now: what is compared there ends. */ touched: TrialZone[];
  marks: WearMark[];
  stings?: Side | 'both';
};

/** What whoever holds a link to a trial is asked besides: nothing says which half is which. */
export type AskedOfHalves = {
  readonly measure: TrialMeasure;
  readonly zones: readonly TrialZone[];
  readonly hours: readonly number[];
};

/**
 * A trial as it may be seen: which side is which stays sealed until it is judged, but for whoever opened it
 * to work at the chair.
 */
export type TrialAnswer = Omit<Trial, 'draw' | 'chartHas' | 'swap'> & {
  readonly clientName: string;
  readonly drawn: Pick<Trial['draw'], 'at' | 'by'>;
  readonly draw: Trial['draw'] | null;
  readonly chartHas: Trial['chartHas'] | null;
  readonly events: readonly TrialEvent[];
  /** What the question's trials say, to decide by; null while this one is sealed. */
  readonly soFar: QuestionSoFar | null;
};
/** What came of something told: the trial, and the chart's new version where the decision went into it. */
export type TrialToldAnswer = { readonly trial: TrialAnswer; readonly version: number | null };
/** The studio's questions, and whose their marks are. */
export type QuestionsAnswer = {
  readonly questions: readonly QuestionSoFar[];
  readonly names: Readonly<Record<string, string>>;
};
/** By default two halves count as equal under this. */
export const marginOf = (measure: TrialMeasure): number => TRIAL_MEASURES[measure].margin;
