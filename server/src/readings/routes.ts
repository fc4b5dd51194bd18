import { readingInputSchema, sampleRequestSchema, ROUTES, type ReadingInput, type SampleAnswer, type SampleRequest } from '@toile/contract';
import { seededRandom, seedFromText, simulateSample, skinByZone, type Lab, type SkinZone } from '@toile/core';
import { inStudio, type Tx } from '../db/connection';
import { found } from '../http/problem';
import { callerOf, checkedBody, write, type Services } from '../http/register';
import { readingAnswer } from './skin';

/** Skin readings, and the stand-in for a shade reader that ships with the app. */
export function registerReadings(services: Services): void {
  write<ReadingInput>(services, 'createReading', readingInputSchema, async ({ tx, caller, body, params }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id!).executeTakeFirst());
    const row = await tx
      .insertInto('readings')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: params.id!,
        at: body.at,
        by_name: caller.name,
        source: body.source,
        zones: JSON.stringify(body.zones),
      })
      .returningAll()
      .executeTakeFirstOrThrow();
    return { status: 201, body: readingAnswer(row), subject: body.id };
  });

  // A sample is the device's, not a write: nothing is kept until the reading is.
  services.app.post(ROUTES.sample.path, async (req, res) => {
    const { clientId, zone } = await checkedBody<SampleRequest>(sampleRequestSchema, req.body);
    const truth = await inStudio(services.db, callerOf(req).studioId, (tx) => simulatedTruth(tx, clientId, zone));
    const answer: SampleAnswer = { lab: simulateSample(truth, services.random), illuminant: 'D65', simulated: true };
    res.json(answer);
  });
}

/** The colour the stand-in sees: set for demo clients, otherwise made up once and for all from the client's id. */
async function simulatedTruth(tx: Tx, clientId: string, zone: SkinZone): Promise<Lab> {
  found(await tx.selectFrom('clients').select('id').where('id', '=', clientId).executeTakeFirst());
  const row = await tx.selectFrom('simulated_skins').select('skin').where('client_id', '=', clientId).executeTakeFirst();
  const known = row?.skin[zone];
  if (known) return known;
  const random = seededRandom(seedFromText(clientId));
  const L = 34 + 42 * random();
  return skinByZone([L, 10 + 3 * random(), 14 + 6 * random() - Math.max(0, 45 - L) * 0.25])[zone];
}
