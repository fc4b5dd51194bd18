import { sql } from 'kysely';
import { ROUTES, type SampleAnswer } from '@toile/contract';
import {
  panAt,
  seededRandom,
  seedFromText,
  simulateSample,
  simulatedPan,
  skinByZone,
  tinAsPalette,
  writeCgats,
  type Cell,
  type Lab,
  type SkinZone,
} from '@toile/core';
import { chartVersion } from '../charts/queries';
import { inStudio, type Tx } from '../db/connection';
import { found } from '../http/problem';
import { allowed, checkedBody, read, write, type Services } from '../http/register';
import { readingAnswer } from './skin';

/** Skin readings, and the stand-in for a shade reader that ships with the app. */
export function registerReadings(services: Services): void {
  write(services, 'createReading', async ({ tx, caller, body, params }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id).executeTakeFirst());
    const row = await tx
      .insertInto('readings')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: params.id,
        at: body.at,
        by_name: caller.name,
        source: body.source,
        zones: JSON.stringify(body.zones),
        extras: JSON.stringify(body.extras),
      })
      .returningAll()
      .executeTakeFirstOrThrow();
    return { status: 201, body: readingAnswer(row), subject: body.id };
  });

  read(services, 'exportReading', async ({ tx, params }) => {
    const row = found(
      await tx.selectFrom('readings').selectAll().where('id', '=', params.id).executeTakeFirst(),
    );
    return {
      body: writeCgats(row.zones, { at: row.at.toISOString() }),
      file: `reading-${row.at.toISOString().slice(0, 10)}.txt`,
      type: 'text/plain',
    };
  });

  // A sample is the device's, not a write: nothing is kept until the reading is.
  services.app.post(ROUTES.sample.path, async (req, res) => {
    const caller = allowed(req, 'sample');
    const asked = await checkedBody('sample', req.body);
    const truth = await inStudio(services.db, caller.studioId, (tx) =>
      asked.pan !== undefined
        ? colourOfPan(tx, asked.pan)
        : asked.productId !== undefined
          ? colourOfProduct(tx, asked.productId)
          : skinOrSpot(tx, asked.clientId, asked.zone, asked.spot ?? false),
    );
    const answer: SampleAnswer = {
      lab: simulateSample(truth, services.random),
      illuminant: 'D65',
      simulated: true,
    };
    res.json(answer);
  });
}

/**
 * What a spot of each zone differs by on made-up skin: shadows under the eyes, redness in the middle, sun
 * marks above and below.
 */
const SPOT_OFFSETS: Readonly<Record<SkinZone, Lab>> = {
  forehead: [-7, 1, 1.5],
  cheek: [-6, 9, 0],
  underEye: [-6, 1, -4],
  mouthSide: [-6, 2, -3],
  chin: [-6, 8, 0.5],
  neck: [-5, 7, 0],
  decollete: [-7, 1, 1.5],
};

async function skinOrSpot(tx: Tx, clientId: string, zone: SkinZone, spot: boolean): Promise<Lab> {
  const skin = await simulatedTruth(tx, clientId, zone);
  if (!spot) return skin;
  const scale = (skin[0] + 16) / 90;
  const [dL, da, db] = SPOT_OFFSETS[zone];
  return [skin[0] + dL * scale, skin[1] + da * scale, skin[2] + db * scale];
}

/** The colour of a product held by itself: as it is known, made up where nobody has read it. */
async function colourOfProduct(tx: Tx, productId: string): Promise<Lab> {
  const { document } = found(
    await tx.selectFrom('products').select('document').where('id', '=', productId).executeTakeFirst(),
  );
  return document.lab ?? simulatedPan(document);
}

/** The colour of the product that really lies in a place of a palette; 404 for an empty place. */
async function colourOfPan(
  tx: Tx,
  { paletteId, row, column }: { paletteId: string; row: number; column: number },
): Promise<Lab> {
  const palette = await tx
    .selectFrom('palettes')
    .select('document')
    .where('id', '=', paletteId)
    .executeTakeFirst();
  if (!palette) return colourInTin(tx, paletteId, { row, column });
  const pan = found(panAt(palette.document, { row, column }));
  const product = found(
    await tx.selectFrom('products').select('document').where('id', '=', pan.productId).executeTakeFirst(),
  ).document;
  return product.lab ?? simulatedPan(product);
}

/** The colour of a pan in a tin of a client's compact: as the chart it is for remembers its product. */
async function colourInTin(tx: Tx, tinId: string, cell: Cell): Promise<Lab> {
  const row = found(
    await tx
      .selectFrom('compacts')
      .select(['document', 'chart_id', 'version'])
      .where(sql<boolean>`document -> 'tins' @> ${JSON.stringify([{ id: tinId }])}::jsonb`)
      .executeTakeFirst(),
  );
  const tin = row.document.tins.findIndex(({ id }) => id === tinId);
  const pan = found(panAt(tinAsPalette(row.document, tin), cell));
  const chart = await chartVersion(tx, row.chart_id, row.version);
  const laid = chart.steps.flatMap(({ use }) => use).find(({ product }) => product.id === pan.productId);
  return found(laid?.product.lab);
}

/**
 * The colour the stand-in sees: set for demo clients, otherwise made up once and for all from the client's
 * id.
 */
async function simulatedTruth(tx: Tx, clientId: string, zone: SkinZone): Promise<Lab> {
  found(await tx.selectFrom('clients').select('id').where('id', '=', clientId).executeTakeFirst());
  const row = await tx
    .selectFrom('simulated_skins')
    .select('skin')
    .where('client_id', '=', clientId)
    .executeTakeFirst();
  const known = row?.skin[zone];
  if (known) return known;
  const random = seededRandom(seedFromText(clientId));
  const L = 34 + 42 * random();
  return skinByZone([L, 10 + 3 * random(), 14 + 6 * random() - Math.max(0, 45 - L) * 0.25])[zone];
}
