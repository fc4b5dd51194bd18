import { Value } from '@sinclair/typebox/value';
import { array, number, object, string, ValidationError, type InferType } from 'yup';
import {
  FeaturesSchema,
  LandmarksSchema,
  MEASUREMENT_NAMES,
  MEASUREMENTS,
  MOST_SENSITIVITIES,
  msg,
  questionMeasurements,
  questionTrace,
  TapsSchema,
  type Consult,
  type Features,
  type Landmarks,
  type MeasurementName,
  type Measurements,
  type Taps,
} from '@toile/core';
import { consultField } from './consult';
import { documentPart, isUuid } from './shapes';
import { text } from './text';

const uuid = () =>
  string().test(
    'uuid',
    () => msg`must be a UUID`,
    (value: string | null | undefined) => value === undefined || value === null || isUuid(value),
  );

/** One measurement of a form: an empty field means it was not taken. */
function measurement(name: MeasurementName) {
  return number()
    .transform((value: number, original: unknown) =>
      original === '' || original === null ? undefined : value,
    )
    .typeError(() => msg`${MEASUREMENTS[name].label} is a number in millimetres`);
}

/** Face measurements in mm, all optional: what is missing is inferred. */
export const measurementsSchema = object(
  Object.fromEntries(MEASUREMENT_NAMES.map((name) => [name, measurement(name)])),
)
  .noUnknown('${unknown} is not a measurement')
  .test('plausible', 'unlikely', function (value) {
    const given = Object.fromEntries(
      Object.entries(value).filter(([, v]) => v !== undefined && !Number.isNaN(v)),
    );
    const questions = questionMeasurements(given);
    if (questions.length === 0) return true;
    const at = (name: string): string => (this.path ? `${this.path}.${name}` : name);
    return new ValidationError(
      questions.map((q) => this.createError({ path: at(q.name), message: q.message })),
    );
  });

const phone = /^[+()\d\s./-]{5,40}$/;

/** What a new client's short form asks. */
export const clientFormSchema = object({
  name: text()
    .required(() => msg`Write a name`)
    .max(120, () => msg`At most 120 letters`),
  phone: text()
    .default('')
    .test(
      'phone',
      () => msg`Digits, spaces and + only`,
      (value) => value === '' || phone.test(value),
    ),
  email: text()
    .default('')
    .email(() => msg`This is not an email address`)
    .max(200, () => msg`At most 200 letters`),
  birthYear: number()
    .transform((value: number, original: unknown) => (original === '' || original === null ? null : value))
    .nullable()
    .default(null)
    .typeError(() => msg`A year, as 1994`)
    .integer(() => msg`A year, as 1994`)
    .min(1900, () => msg`A year after 1900`)
    .max(2100, () => msg`A year before 2100`),
  guardianConsent: text()
    .default('')
    .max(200, () => msg`At most 200 letters`),
  sensitivities: array()
    .of(
      text()
        .required(() => msg`Say what it is`)
        .max(120, () => msg`At most 120 letters each`),
    )
    .max(MOST_SENSITIVITIES, () => msg`At most ${MOST_SENSITIVITIES}`)
    .default([]),
  notes: string()
    .default('')
    .max(4000, () => msg`At most 4000 letters`),
}).noUnknown('${unknown} is not known here');
export type ClientForm = InferType<typeof clientFormSchema>;

/** A client as written: the form, the face and what is noted of it. */
export const clientInputSchema = clientFormSchema
  .shape({
    id: uuid().required(),
    features: documentPart<Features>(FeaturesSchema, () => msg`The features`).required(),
    measurements: measurementsSchema.required(),
    taps: documentPart<Taps>(TapsSchema, () => msg`The taps`).default({}),
    likeness: documentPart<Landmarks>(LandmarksSchema, () => msg`The face started from`)
      .nullable()
      .default(null),
    /** Left out: what was said before stays. */
    consult: consultField(),
  })
  .test(
    'drawable',
    () => msg`cannot be drawn`,
    function ({ taps, likeness }) {
      // What is no face at all is said of by itself.
      const read = Value.Check(TapsSchema, taps) && (!likeness || Value.Check(LandmarksSchema, likeness));
      const questions = read ? questionTrace({ measurements: {}, taps, likeness }) : [];
      return questions.length === 0 || this.createError({ path: 'taps', message: questions.join(' ') });
    },
  )
  .noUnknown('${unknown} is not known here');
export type ClientInput = Omit<
  InferType<typeof clientInputSchema>,
  'measurements' | 'taps' | 'likeness' | 'consult'
> & {
  measurements: Measurements;
  taps: Taps;
  likeness: Landmarks | null;
  consult?: Consult | undefined;
};

export { uuid };
