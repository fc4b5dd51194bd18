import { readDocument, type DocumentProblem } from '@toile/core';
import { StudioBundleSchema, type StudioBundle } from '@toile/contract';
import { insertVersion } from '../charts/queries';
import { inStudio, type Db, type Tx } from '../db/connection';
import { hashPassword } from '../session/passwords';

export type ImportResult = { readonly ok: true; readonly name: string } | { readonly ok: false; readonly problems: readonly DocumentProblem[] };

/** Takes in a whole studio from its open JSON, all or nothing. Problems say line, column and what was expected. */
export async function importStudio(db: Db, text: string): Promise<ImportResult> {
  const read = readDocument(text, StudioBundleSchema);
  if (!read.ok) return read;
  const bundle = read.document;
  const hashes = new Map(await Promise.all(bundle.people.map(async (p) => [p.id, await hashPassword(p.password)] as const)));
  await inStudio(db, bundle.studio.id, (tx) => insertAll(tx, bundle, hashes));
  return { ok: true, name: bundle.studio.name };
}

/** Whether a studio is already here. */
export async function hasStudio(db: Db, studioId: string): Promise<boolean> {
  return inStudio(db, studioId, async (tx) => (await tx.selectFrom('studios').select('id').executeTakeFirst()) !== undefined);
}

async function insertAll(tx: Tx, bundle: StudioBundle, hashes: ReadonlyMap<string, string>): Promise<void> {
  const studio_id = bundle.studio.id;
  const json = JSON.stringify;
  await tx.insertInto('studios').values(bundle.studio).execute();
  for (const p of bundle.people) {
    await tx
      .insertInto('accounts')
      .values({ id: p.id, email: p.email, password_hash: hashes.get(p.id)! })
      .execute();
    await tx.insertInto('memberships').values({ studio_id, account_id: p.id, role: p.role, name: p.name }).execute();
  }
  for (const c of bundle.clients) {
    await tx
      .insertInto('clients')
      .values({
        studio_id,
        id: c.id,
        name: c.name,
        contact: json({ phone: c.phone, email: c.email }),
        birth_year: c.birthYear,
        guardian_consent: c.guardianConsent,
        sensitivities: json(c.sensitivities),
        notes: c.notes,
        features: json(c.features),
        measurements: json(c.measurements),
        taps: json(c.taps ?? {}),
        likeness: c.likeness ? json(c.likeness) : null,
        updated_at: new Date(),
      })
      .execute();
    if (Object.keys(c.simulatedSkin).length > 0)
      await tx
        .insertInto('simulated_skins')
        .values({ studio_id, client_id: c.id, skin: json(c.simulatedSkin) })
        .execute();
  }
  for (const r of bundle.readings) {
    await tx
      .insertInto('readings')
      .values({ studio_id, id: r.id, client_id: r.clientId, at: r.at, by_name: r.by, source: r.source, zones: json(r.zones), extras: json(r.extras ?? []) })
      .execute();
  }
  for (const p of bundle.products)
    await tx
      .insertInto('products')
      .values({ studio_id, id: p.id, document: json(p) })
      .execute();
  for (const u of bundle.units)
    await tx
      .insertInto('units')
      .values({ studio_id, id: u.id, product_id: u.productId, document: json(u) })
      .execute();
  for (const p of bundle.palettes ?? [])
    await tx
      .insertInto('palettes')
      .values({ studio_id, id: p.id, document: json(p) })
      .execute();
  for (const l of bundle.looks)
    await tx
      .insertInto('look_versions')
      .values({ studio_id, look_id: l.id, version: l.version, name: l.name, document: json(l) })
      .execute();
  for (const p of bundle.parties)
    await tx
      .insertInto('parties')
      .values({ studio_id, ...p })
      .execute();
  for (const chart of bundle.charts) {
    if (chart.version === 1) await tx.insertInto('charts').values({ studio_id, id: chart.id, client_id: chart.client.id }).execute();
    await insertVersion(tx, studio_id, chart);
  }
  for (const v of bundle.visits) {
    await tx
      .insertInto('visits')
      .values({
        studio_id,
        id: v.id,
        client_id: v.clientId,
        party_id: v.partyId,
        kind: v.kind,
        date: v.date,
        starts_at: v.startsAt,
        ready_by: v.readyBy,
        place: v.place,
        chart_id: v.chartId,
      })
      .execute();
  }
  for (const e of bundle.events) {
    const common = { stepId: e.stepId, at: e.at, by: e.by };
    const event = e.kind === 'deviation' ? { ...common, kind: e.kind, deviation: e.deviation } : { ...common, kind: e.kind };
    await tx
      .insertInto('chair_events')
      .values({ studio_id, id: e.id, chart_id: e.chartId, version: e.version, step_id: e.stepId, event: json(event), at: e.at })
      .execute();
  }
}
