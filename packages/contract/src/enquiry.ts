import { number, object, string } from 'yup';
import { isZone, OCCASIONS, type Occasion } from '@toile/core';
import { clientFormSchema, uuid } from './client';
import { visitInputSchema } from './visit';

const { name, phone, email, notes } = clientFormSchema.fields;
const { date, startsAt, place } = visitInputSchema.fields;

/** An enquiry as it comes in by telephone: who, when, where, how many, what for. Ids make a second sending harmless. */
export const enquirySchema = object({
  clientId: uuid().required(),
  visitId: uuid().required(),
  partyId: uuid().required(),
  name,
  phone,
  email,
  kind: string()
    .oneOf([...OCCASIONS])
    .required('Choose what it is for'),
  date,
  startsAt,
  place,
  /** Who is to be made up in all: more than one is a party. */
  people: number()
    .transform((value: number, original: unknown) =>
      original === '' || original === null ? undefined : value,
    )
    .typeError('A number of people')
    .integer('A whole number')
    .min(1, 'At least one')
    .max(200, 'At most 200')
    .required('How many?'),
  notes,
  zone: string()
    .required()
    .test('zone', 'A time zone, as Europe/Lisbon', (value) => value === undefined || isZone(value)),
}).noUnknown('${unknown} is not known here');
export type Enquiry = {
  clientId: string;
  visitId: string;
  partyId: string;
  name: string;
  phone: string;
  email: string;
  kind: Occasion['kind'];
  date: string;
  startsAt: string;
  place: string;
  people: number;
  notes: string;
  zone: string;
};

export type EnquiryAnswer = {
  readonly clientId: string;
  readonly visitId: string;
  /** Null for one person alone. */
  readonly partyId: string | null;
};
