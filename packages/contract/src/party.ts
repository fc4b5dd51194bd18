import { Value } from '@sinclair/typebox/value';
import { object, string } from 'yup';
import {
  isZone,
  msg,
  PARTY_EVENT_KINDS,
  PartyPlanSchema,
  type ChairTicks,
  type PackingList,
  type PartyEvent,
  type PartyPlan,
  type Timed,
} from '@toile/core';
import { uuid } from './client';
import { day, documentPart, instant } from './shapes';
import { text } from './text';

/** Whether it is a plan at all: what is none is said of by itself. */
const isPlan = (plan: unknown): plan is PartyPlan => Value.Check(PartyPlanSchema, plan);

/** A party: what it is called, when and where, and how its day is to go. */
export const partyInputSchema = object({
  id: uuid().required(),
  name: text()
    .required(() => msg`Name the party`)
    .max(120, () => msg`At most 120 letters`),
  date: day().required(() => msg`Choose a date`),
  place: text()
    .default('')
    .max(200, () => msg`At most 200 letters`),
  notes: text()
    .default('')
    .max(4000, () => msg`At most 4,000 letters`),
  plan: documentPart<PartyPlan>(PartyPlanSchema, () => msg`The plan`)
    .required(() => msg`Say how the day is to go`)
    .test(
      'zone',
      () => msg`A time zone, as Europe/Lisbon`,
      (plan) => !isPlan(plan) || isZone(plan.zone),
    )
    .test(
      'once',
      () => msg`Somebody is there twice`,
      (plan) => {
        if (!isPlan(plan)) return true;
        const ids = [...plan.guests, ...plan.rounds].map((one) => one.id);
        return new Set(ids).size === ids.length;
      },
    ),
}).noUnknown('${unknown} is not known here');
export type PartyInput = {
  id: string;
  name: string;
  date: string;
  place: string;
  notes: string;
  plan: PartyPlan;
};

/** Something told of a party's day or its packing; whose hands it was is the server's to say. */
export const partyEventInputSchema = object({
  id: uuid().required(),
  kind: string()
    .oneOf([...PARTY_EVENT_KINDS], () => msg`Say what happened`)
    .required(() => msg`Say what happened`),
  item: string()
    .required(() => msg`Say of what`)
    .max(160, () => msg`At most 160 letters`),
  at: instant().required(),
  into: string()
    .min(1)
    .max(60, () => msg`At most 60 letters`),
  device: string().max(60, () => msg`At most 60 letters`),
}).noUnknown('${unknown} is not known here');
export type PartyEventInput = Omit<PartyEvent, 'by'>;

/** A party's day as it goes: what was told, and how far each chart of its people has come on that day. */
export type PartyLogAnswer = {
  readonly events: readonly PartyEvent[];
  readonly chairs: Readonly<Record<string, ChairTicks>>;
};
/** Past visits as planned and as they went, the newest first. */
export type VisitMinutesAnswer = readonly Timed[];
export type PackingAnswer = PackingList;
