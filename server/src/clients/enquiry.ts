import { minuteOfDay, msg, newGuest, newPlan, PLAIN_FEATURES, type PartyPlan } from '@toile/core';
import type { Enquiry, EnquiryAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import type { Caller } from '../http/caller';
import { ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';
import { studioDay } from '../studio/day';
import { settingsNow } from '../studio/settings';

/**
 * An enquiry becomes a client, a visit that is asked for, and a party where there are more people: all or
 * nothing.
 */
export function registerEnquiry(services: Services): void {
  write(services, 'createEnquiry', async ({ tx, caller, body, now }) => {
    const inserted = await tx
      .insertInto('clients')
      .values({
        studio_id: caller.studioId,
        id: body.clientId,
        name: body.name,
        contact: JSON.stringify({ phone: body.phone, email: body.email }),
        birth_year: null,
        guardian_consent: '',
        sensitivities: '[]',
        notes: body.notes,
        features: JSON.stringify(PLAIN_FEATURES),
        measurements: '{}',
        updated_at: now,
      })
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    const partyId = body.people > 1 ? await party(tx, caller, body) : null;
    await tx
      .insertInto('visits')
      .values({
        studio_id: caller.studioId,
        id: body.visitId,
        client_id: body.clientId,
        party_id: partyId,
        kind: body.kind,
        date: body.date,
        starts_at: body.startsAt,
        ready_by: null,
        place: body.place,
        chart_id: null,
        state: 'asked',
        occasion: null,
        booked_on: await studioDay(tx, now, body.zone),
      })
      .execute();
    const answer: EnquiryAnswer = { clientId: body.clientId, visitId: body.visitId, partyId };
    return { status: 201, body: answer, subject: body.clientId };
  });
}

/** Minutes from the beginning until whoever asked is to be ready, until somebody says. */
const READY_AFTER = 240;

/** The party, with whoever asked in it and room named for the others. */
async function party(tx: Tx, caller: Caller, body: Enquiry): Promise<string> {
  const { settings } = await settingsNow(tx);
  const template = body.kind === 'wedding' ? 'morning' : body.kind === 'portrait' ? 'portraits' : 'evening';
  const plan = newPlan(template, {
    place: body.place,
    zone: settings.zone ?? body.zone,
    artist: caller.name,
    ...(body.kind === 'trial' ? {} : { kind: body.kind }),
  });
  const from = minuteOfDay(body.startsAt) ?? 0;
  const withGuest: PartyPlan = {
    ...plan,
    guests: [
      {
        ...newGuest(
          body.visitId,
          {
            name: body.name,
            role: body.kind === 'wedding' ? 'star' : 'guest',
            readyBy: Math.min(from + READY_AFTER, 24 * 60 - 1),
            faceMinutes: 45,
            hairMinutes: null,
          },
          plan,
        ),
        clientId: body.clientId,
      },
    ],
  };
  await tx
    .insertInto('parties')
    .values({
      studio_id: caller.studioId,
      id: body.partyId,
      name: `${body.name}, ${body.kind}`.slice(0, 120),
      date: body.date,
      place: body.place,
      notes: msg`${body.people} people in all, as asked for.`,
      plan: JSON.stringify(withGuest),
    })
    .execute();
  return body.partyId;
}
