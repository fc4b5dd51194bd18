import { object, string } from 'yup';
import { isZone, PartyPlanSchema, type PartyPlan } from '@toile/core';
import { uuid } from './client';
import { day, documentPart } from './shapes';

/** A party: what it is called, when and where, and how its day is to go. */
export const partyInputSchema = object({
  id: uuid().required(),
  name: string().trim().required('Name the party').max(120, 'At most 120 letters'),
  date: day().required('Choose a date'),
  place: string().trim().default('').max(200, 'At most 200 letters'),
  notes: string().trim().default('').max(4000, 'At most 4,000 letters'),
  plan: documentPart<PartyPlan>(PartyPlanSchema, 'The plan')
    .required('Say how the day is to go')
    .test('zone', 'A time zone, as Europe/Lisbon', (plan) => plan === undefined || isZone(plan.zone))
    .test('once', 'Somebody is there twice', (plan) => {
      const ids = [...(plan?.guests ?? []), ...(plan?.rounds ?? [])].map((one) => one.id);
      return new Set(ids).size === ids.length;
    }),
}).noUnknown('${unknown} is not known here');
export type PartyInput = {
  id: string;
  name: string;
  date: string;
  place: string;
  notes: string;
  plan: PartyPlan;
};
