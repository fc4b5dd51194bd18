import { array, mixed, number, object, string, type InferType } from 'yup';
import {
  ChartSchema,
  DeviationSchema,
  isPlausibleSkin,
  LookSchema,
  OCCASIONS,
  SKIN_ZONES,
  type Chart,
  type Deviation,
  type Lab,
  type Look,
  type SkinZone,
} from '@toile/core';
import { uuid } from './client';
import { documentPart } from './shapes';

export const signInSchema = object({
  email: string().trim().required('Write your email').email('This is not an email address').max(200),
  password: string().required('Write your password').max(200),
}).noUnknown('${unknown} is not known here');
export type SignIn = InferType<typeof signInSchema>;

/** CIELAB typed by hand: within what skin can be. */
export const labSchema = mixed<Lab>(
  (value): value is Lab => Array.isArray(value) && value.length === 3 && value.every((v) => typeof v === 'number' && Number.isFinite(v)),
)
  .typeError('Three numbers: L*, a* and b*')
  .test('skin', 'No skin has this colour. L* is 12 to 90, a* and b* mostly 3 to 30', (value) => value === undefined || isPlausibleSkin(value));

const samples = array().of(labSchema.required()).min(1, 'At least one sample').max(40, 'At most 40 samples');

/** A skin reading: the raw samples of each zone, kept as they were taken. */
export const readingInputSchema = object({
  id: uuid().required(),
  at: string()
    .required()
    .matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?Z$/, 'an instant in UTC'),
  source: string()
    .oneOf(['reader', 'typed', 'import'] as const)
    .required(),
  zones: object(Object.fromEntries(SKIN_ZONES.map((zone) => [zone, samples.default(undefined)])))
    .noUnknown('${unknown} is not a zone')
    .test('some', 'Read at least one zone', (value) => Object.values(value ?? {}).some((v) => v !== undefined)),
}).noUnknown('${unknown} is not known here');
export type ReadingInput = Omit<InferType<typeof readingInputSchema>, 'zones'> & { zones: { readonly [zone in SkinZone]?: readonly Lab[] } };

export const sampleRequestSchema = object({
  clientId: uuid().required(),
  zone: string()
    .oneOf([...SKIN_ZONES])
    .required('Choose a zone'),
}).noUnknown();
export type SampleRequest = { clientId: string; zone: SkinZone };

const chartPart = documentPart<Chart>(ChartSchema, 'The chart');
export const newChartSchema = object({ chart: chartPart.required(), visitId: uuid().nullable().default(null) }).noUnknown('${unknown} is not known here');
export type NewChart = { chart: Chart; visitId: string | null };

export const newVersionSchema = object({
  parent: number().integer().min(1).required('Say which version this starts from'),
  reason: string().trim().default('').max(4000, 'At most 4000 letters'),
  chart: chartPart.required(),
}).noUnknown('${unknown} is not known here');
export type NewVersion = { parent: number; reason: string; chart: Chart };

export const chairEventSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  stepId: uuid().required(),
  kind: string()
    .oneOf(['done', 'undone', 'deviation'] as const)
    .required(),
  at: string()
    .required()
    .matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?Z$/, 'an instant in UTC'),
  deviation: documentPart<Deviation>(DeviationSchema, 'The deviation').when('kind', ([kind], schema) =>
    kind === 'deviation' ? schema.required('Say what was different') : schema,
  ),
}).noUnknown('${unknown} is not known here');
export type ChairEventInput = { id: string; version: number; stepId: string; kind: 'done' | 'undone' | 'deviation'; at: string; deviation?: Deviation };

export const newLookSchema = object({ look: documentPart<Look>(LookSchema, 'The look').required() }).noUnknown('${unknown} is not known here');
export type NewLook = { look: Look };

export const importChartSchema = object({ text: string().required('Choose a file').max(2_000_000, 'The file is too large to be a chart') }).noUnknown();
export type ImportChart = { text: string };

export const visitInputSchema = object({
  id: uuid().required(),
  clientId: uuid().required(),
  kind: string()
    .oneOf([...OCCASIONS])
    .required(),
  date: string()
    .required('Choose a date')
    .matches(/^\d{4}-\d{2}-\d{2}$/, 'A date, as 2031-05-14'),
  startsAt: string()
    .required('Choose a time')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time, as 09:20'),
  readyBy: string()
    .nullable()
    .default(null)
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'A time, as 11:30', excludeEmptyString: true }),
  place: string().trim().default('').max(200),
  partyId: uuid().nullable().default(null),
}).noUnknown('${unknown} is not known here');
export type VisitInput = InferType<typeof visitInputSchema>;
