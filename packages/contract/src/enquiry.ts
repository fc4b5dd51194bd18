import { number, string, type InferType } from 'yup';
import { isZone, msg, OCCASIONS } from '@toile/core';
import { clientFormSchema, uuid } from './client';
import { visitInputSchema } from './visit';

/**
 * An enquiry as it comes in by telephone: who, when, where, how many, what for. Ids make a second sending
 * harmless.
 */
export const enquirySchema = clientFormSchema
  .pick(['name', 'phone', 'email', 'notes'])
  .concat(visitInputSchema.pick(['date', 'startsAt', 'place']))
  .shape({
    clientId: uuid().required(),
    visitId: uuid().required(),
    partyId: uuid().required(),
    kind: string()
      .oneOf([...OCCASIONS], () => msg`Choose what it is for`)
      .required(() => msg`Choose what it is for`),
    /** Who is to be made up in all: more than one is a party. */
    people: number()
      .transform((value: number, original: unknown) =>
        original === '' || original === null ? undefined : value,
      )
      .typeError(() => msg`A number of people`)
      .integer(() => msg`A whole number`)
      .min(1, () => msg`At least one`)
      .max(200, () => msg`At most 200`)
      .required(() => msg`How many?`),
    zone: string()
      .required()
      .test(
        'zone',
        () => msg`A time zone, as Europe/Lisbon`,
        (value) => value === undefined || isZone(value),
      ),
  })
  .noUnknown('${unknown} is not known here');
export type Enquiry = InferType<typeof enquirySchema>;

export type EnquiryAnswer = {
  readonly clientId: string;
  readonly visitId: string;
  /** Null for one person alone. */
  readonly partyId: string | null;
};
