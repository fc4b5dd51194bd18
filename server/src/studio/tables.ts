import type { Insertable } from 'kysely';
import { zoneWears } from '@toile/core';
import type { BundleRow, BundleTable } from '@toile/contract';
import { trialEventRow, trialRow } from '../care/trialRows';
import { learnedRow } from '../care/learned';
import { photographOf } from '../care/photographs';
import { zoneWearRow } from '../care/zoneWears';
import { eventOfRow, eventRow } from '../charts/events';
import { versionRow } from '../charts/queries';
import type { Tx } from '../db/connection';
import type { Database } from '../db/schema';
import { practiceRow } from '../practice/rows';
import { partyEventOf, partyEventRow } from '../parties/events';
import { NO_PASSWORD } from '../session/passwords';

/** What is known beside the bundle while it is taken in. */
export type TakingIn = {
  readonly studioId: string;
  /** Password hashes by email; whoever has none cannot sign in until one is set. */
  readonly passwordHashes: ReadonlyMap<string, string>;
};

/** How one table of a studio travels: its rows out of a bundle, and into one again. */
type Carried<T extends BundleTable> = {
  readonly takeIn: (tx: Tx, rows: readonly BundleRow<T>[], into: TakingIn) => Promise<void>;
  readonly giveOut: (tx: Tx) => Promise<BundleRow<T>[]>;
  /** The same in parts, for what is too large to be held at once. */
  readonly giveOutInParts?: (tx: Tx) => AsyncIterable<BundleRow<T>[]>;
};

const json = JSON.stringify;
/** Rows of one insert: PostgreSQL takes 65,535 values in all. */
const AT_ONCE = 1000;

async function insert<T extends keyof Database>(
  tx: Tx,
  table: T,
  rows: readonly Insertable<Database[T]>[],
): Promise<void> {
  for (let i = 0; i < rows.length; i += AT_ONCE)
    await tx
      .insertInto(table)
      .values(rows.slice(i, i + AT_ONCE))
      .execute();
}

/** Every table of a bundle, once. A table that is added to a bundle does not compile until it stands here. */
export const CARRIED: { readonly [T in BundleTable]: Carried<T> } = {
  people: {
    takeIn: async (tx, rows, { studioId, passwordHashes }) => {
      const accounts = rows.map((p) => ({
        id: p.id,
        email: p.email,
        password_hash: passwordHashes.get(p.email) ?? NO_PASSWORD,
      }));
      await insert(tx, 'accounts', accounts);
      await insert(
        tx,
        'memberships',
        rows.map((p) => ({
          studio_id: studioId,
          account_id: p.id,
          role: p.role,
          name: p.name,
          deactivated_at: p.deactivatedAt ?? null,
        })),
      );
    },
    giveOut: async (tx) => {
      const rows = await tx
        .selectFrom('memberships as m')
        .innerJoin('accounts as a', 'a.id', 'm.account_id')
        .select(['a.id', 'm.name', 'a.email', 'm.role', 'm.deactivated_at'])
        .orderBy('a.id')
        .execute();
      return rows.map(({ deactivated_at: since, ...person }) => ({
        ...person,
        ...(since === null ? {} : { deactivatedAt: since.toISOString() }),
      }));
    },
  },
  clients: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'clients',
        rows.map((c) => ({
          studio_id: studioId,
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
          consult: json(c.consult ?? {}),
          updated_at: new Date(),
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('clients').selectAll().orderBy('id').execute()).map((c) => ({
        id: c.id,
        name: c.name,
        ...c.contact,
        birthYear: c.birth_year,
        guardianConsent: c.guardian_consent,
        sensitivities: c.sensitivities,
        notes: c.notes,
        features: c.features,
        measurements: { ...c.measurements },
        taps: c.taps,
        likeness: c.likeness,
        ...(Object.keys(c.consult).length > 0 ? { consult: c.consult } : {}),
      })),
  },
  simulatedSkins: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'simulated_skins',
        rows.map((s) => ({ studio_id: studioId, client_id: s.clientId, skin: json(s.skin) })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('simulated_skins').selectAll().orderBy('client_id').execute()).map((s) => ({
        clientId: s.client_id,
        skin: s.skin,
      })),
  },
  readings: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'readings',
        rows.map((r) => ({
          studio_id: studioId,
          id: r.id,
          client_id: r.clientId,
          at: r.at,
          by_name: r.by,
          source: r.source,
          zones: json(r.zones),
          extras: json(r.extras ?? []),
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('readings').selectAll().orderBy('id').execute()).map((r) => ({
        id: r.id,
        clientId: r.client_id,
        at: r.at.toISOString(),
        by: r.by_name,
        source: r.source,
        zones: r.zones,
        extras: r.extras.map((extra) => ({ ...extra })),
      })),
  },
  products: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'products',
        rows.map((p) => ({ studio_id: studioId, id: p.id, document: json(p) })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('products').select('document').orderBy('id').execute()).map((p) => p.document),
  },
  units: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'units',
        rows.map((u) => ({ studio_id: studioId, id: u.id, product_id: u.productId, document: json(u) })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('units').select('document').orderBy('id').execute()).map((u) => u.document),
  },
  ledger: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'unit_ledger',
        rows.map((l) => ({
          studio_id: studioId,
          id: l.id,
          unit_id: l.unitId,
          at: l.at,
          by_name: l.by,
          mg: l.mg,
          reason: l.reason,
          note: l.note,
          chart_id: l.chartId,
          version: l.version,
          step_id: l.stepId,
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('unit_ledger').selectAll().orderBy('seq').execute()).map((l) => ({
        id: l.id,
        unitId: l.unit_id,
        at: l.at.toISOString(),
        by: l.by_name,
        mg: l.mg,
        reason: l.reason,
        note: l.note,
        chartId: l.chart_id,
        version: l.version,
        stepId: l.step_id,
      })),
  },
  palettes: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'palettes',
        rows.map((p) => ({ studio_id: studioId, id: p.id, document: json(p) })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('palettes').select('document').orderBy('id').execute()).map((p) => p.document),
  },
  settings: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'studio_settings',
        rows.slice(0, 1).map((document) => ({ studio_id: studioId, document: json(document) })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('studio_settings').select('document').execute()).map((s) => s.document),
  },
  looks: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'look_versions',
        rows.map((l) => ({
          studio_id: studioId,
          look_id: l.id,
          version: l.version,
          name: l.name,
          document: json(l),
        })),
      ),
    giveOut: async (tx) =>
      (
        await tx
          .selectFrom('look_versions')
          .select('document')
          .orderBy('look_id')
          .orderBy('version')
          .execute()
      ).map((l) => l.document),
  },
  retiredLooks: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'retired_looks',
        rows.map(({ lookId }) => ({ studio_id: studioId, look_id: lookId })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('retired_looks').select('look_id').orderBy('look_id').execute()).map((row) => ({
        lookId: row.look_id,
      })),
  },
  parties: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'parties',
        rows.map(({ plan, ...p }) => ({ studio_id: studioId, ...p, plan: plan ? json(plan) : null })),
      ),
    giveOut: (tx) =>
      tx
        .selectFrom('parties')
        .select(['id', 'name', 'date', 'place', 'notes', 'plan'])
        .orderBy('id')
        .execute(),
  },
  charts: {
    takeIn: async (tx, rows, { studioId }) => {
      const first = new Map(rows.map((chart) => [chart.id, chart.client.id]));
      await insert(
        tx,
        'charts',
        [...first].map(([id, client_id]) => ({ studio_id: studioId, id, client_id })),
      );
      await insert(
        tx,
        'chart_versions',
        rows.map((chart) => versionRow(studioId, chart)),
      );
    },
    giveOut: async (tx) =>
      (
        await tx
          .selectFrom('chart_versions')
          .select('document')
          .orderBy('chart_id')
          .orderBy('version')
          .execute()
      ).map((v) => v.document),
  },
  visits: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'visits',
        rows.map((v) => ({
          studio_id: studioId,
          id: v.id,
          client_id: v.clientId,
          party_id: v.partyId,
          kind: v.kind,
          date: v.date,
          starts_at: v.startsAt,
          ready_by: v.readyBy,
          place: v.place,
          chart_id: v.chartId,
          state: v.state ?? 'booked',
          reason: v.reason ?? '',
          occasion: v.occasion ? json(v.occasion) : null,
          ...(v.bookedOn === undefined ? {} : { booked_on: v.bookedOn }),
          run_up: v.runUp ? [...v.runUp] : [],
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('visits').selectAll().orderBy('id').execute()).map((v) => ({
        id: v.id,
        clientId: v.client_id,
        kind: v.kind,
        date: v.date,
        startsAt: v.starts_at,
        readyBy: v.ready_by,
        place: v.place,
        partyId: v.party_id,
        chartId: v.chart_id,
        // What every visit has until somebody says otherwise is not said.
        ...(v.state === 'booked' ? {} : { state: v.state }),
        ...(v.reason === '' ? {} : { reason: v.reason }),
        ...(v.occasion === null ? {} : { occasion: v.occasion }),
        bookedOn: v.booked_on,
        ...(v.run_up.length === 0 ? {} : { runUp: v.run_up }),
      })),
  },
  patchTests: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'patch_tests',
        rows.map((p) => ({
          studio_id: studioId,
          id: p.id,
          client_id: p.clientId,
          product_id: p.productId,
          document: json(p),
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('patch_tests').select('document').orderBy('id').execute()).map((p) => p.document),
  },
  incidents: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'incidents',
        rows.map((i) => ({
          studio_id: studioId,
          id: i.id,
          client_id: i.clientId,
          document: json(i),
          at: i.at,
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('incidents').select('document').orderBy('id').execute()).map((i) => i.document),
  },
  events: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'chair_events',
        rows.map(({ chartId, version, event }) => eventRow(studioId, chartId, version, event)),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('chair_events').selectAll().orderBy('seq').execute()).map((row) => ({
        chartId: row.chart_id,
        version: row.version,
        event: eventOfRow(row),
      })),
  },
  wearChecks: {
    takeIn: async (tx, rows, { studioId }) => {
      await insert(
        tx,
        'wear_checks',
        rows.map((check) => ({
          studio_id: studioId,
          id: check.id,
          client_id: check.clientId,
          chart_id: check.chartId,
          document: json(check),
          at: check.at,
        })),
      );
      // What is read out of the looks does not travel: it is read out of them here.
      await insert(
        tx,
        'zone_wears',
        zoneWears(rows).map((wear) => zoneWearRow(studioId, wear)),
      );
    },
    giveOut: async (tx) =>
      (await tx.selectFrom('wear_checks').select('document').orderBy('seq').execute()).map(
        (row) => row.document,
      ),
  },
  trials: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'trials',
        rows.map((trial) => trialRow(studioId, trial)),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('trials').select('document').orderBy('seq').execute()).map((row) => row.document),
  },
  compacts: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'compacts',
        rows.map((row) => ({
          studio_id: studioId,
          id: row.compact.id,
          client_id: row.clientId,
          chart_id: row.chartId,
          version: row.version,
          document: json(row.compact),
          made_by: row.madeBy,
          made_at: row.madeAt,
        })),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('compacts').selectAll().orderBy('made_at').orderBy('id').execute()).map((row) => ({
        compact: row.document,
        clientId: row.client_id,
        chartId: row.chart_id,
        version: row.version,
        madeBy: row.made_by,
        madeAt: row.made_at.toISOString(),
      })),
  },
  learnedAnswers: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'learned_answers',
        rows.map((answer) => learnedRow(studioId, answer)),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('learned_answers').select('document').orderBy('seq').execute()).map(
        (row) => row.document,
      ),
  },
  practiceEvents: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'practice_events',
        rows.map(({ accountId, event }) => practiceRow(studioId, accountId, event)),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('practice_events').select(['account_id', 'event']).orderBy('seq').execute()).map(
        (row) => ({
          accountId: row.account_id,
          event: row.event,
        }),
      ),
  },
  trialEvents: {
    takeIn: async (tx, rows, { studioId }) => {
      const clients = new Map(
        (await tx.selectFrom('trials').select(['id', 'client_id']).execute()).map((row) => [
          row.id,
          row.client_id,
        ]),
      );
      await insert(
        tx,
        'trial_events',
        rows.map(({ trialId, event }) =>
          trialEventRow(studioId, { id: trialId, clientId: clients.get(trialId) ?? '' }, event),
        ),
      );
    },
    giveOut: async (tx) =>
      (await tx.selectFrom('trial_events').select(['trial_id', 'event']).orderBy('seq').execute()).map(
        (row) => ({
          trialId: row.trial_id,
          event: row.event,
        }),
      ),
  },
  photographs: {
    takeIn: async (tx, rows, { studioId }) => {
      for (const { photograph: one, jpeg } of rows)
        await insert(tx, 'photographs', [
          {
            studio_id: studioId,
            id: one.id,
            client_id: one.clientId,
            chart_id: one.chartId,
            taken_at: one.at,
            light: one.light,
            taps: json(one.taps),
            bare: one.bare === null ? null : json(one.bare),
            picture: Buffer.from(jpeg, 'base64'),
            kept_by: one.by,
            kept_at: one.keptAt,
          },
        ]);
    },
    giveOut: async (tx) => {
      const all: BundleRow<'photographs'>[] = [];
      for await (const part of photographsInParts(tx)) all.push(...part);
      return all;
    },
    giveOutInParts: photographsInParts,
  },
  partyEvents: {
    takeIn: (tx, rows, { studioId }) =>
      insert(
        tx,
        'party_events',
        rows.map(({ partyId, event }) => partyEventRow(studioId, partyId, event)),
      ),
    giveOut: async (tx) =>
      (await tx.selectFrom('party_events').selectAll().orderBy('seq').execute()).map((row) => ({
        partyId: row.party_id,
        event: partyEventOf(row),
      })),
  },
};

/** So many pictures are held at once. */
const PICTURES_AT_ONCE = 20;

async function* photographsInParts(tx: Tx): AsyncIterable<BundleRow<'photographs'>[]> {
  for (let last = ''; ;) {
    let asked = tx.selectFrom('photographs').selectAll().orderBy('id').limit(PICTURES_AT_ONCE);
    if (last !== '') asked = asked.where('id', '>', last);
    const rows = await asked.execute();
    if (rows.length === 0) return;
    yield rows.map((row) => ({ photograph: photographOf(row), jpeg: row.picture.toString('base64') }));
    last = rows.at(-1)!.id;
  }
}
