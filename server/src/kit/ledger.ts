import { sql } from 'kysely';
import { takenFromUnits, type Chart, type Unit } from '@toile/core';
import { newId, type LedgerEntry } from '@toile/contract';
import { stepTold } from '../charts/told';
import type { Tx } from '../db/connection';

type Movement = {
  readonly id?: string;
  readonly unitId: string;
  /** Put in above zero, taken out below. */
  readonly mg: number;
  readonly reason: LedgerEntry['reason'];
  readonly note: string;
  readonly step?: { readonly chartId: string; readonly version: number; readonly stepId: string };
};

/**
 * Writes a movement and moves what is left, never below nothing: what was taken was there, the count was
 * wrong.
 */
export async function addToLedger(
  tx: Tx,
  caller: { studioId: string; name: string },
  movement: Movement,
): Promise<void> {
  const { unitId, mg, reason, note, step } = movement;
  await tx
    .insertInto('unit_ledger')
    .values({
      studio_id: caller.studioId,
      id: movement.id ?? newId(),
      unit_id: unitId,
      by_name: caller.name,
      mg,
      reason,
      note,
      chart_id: step?.chartId ?? null,
      version: step?.version ?? null,
      step_id: step?.stepId ?? null,
    })
    .execute();
  await tx
    .updateTable('units')
    .set({
      document: sql<string>`jsonb_set(document, '{remainingMg}', to_jsonb(greatest(0, (document->>'remainingMg')::double precision + ${mg}::double precision)))`,
    })
    .where('id', '=', unitId)
    .execute();
}

/** Rows of one insert: PostgreSQL takes 65,535 values in all. */
const AT_ONCE = 1000;

/** Adds units; what is in each stands first in its ledger. */
export async function insertUnits(
  tx: Tx,
  caller: { studioId: string; name: string },
  units: readonly Unit[],
): Promise<void> {
  for (let i = 0; i < units.length; i += AT_ONCE) {
    const some = units.slice(i, i + AT_ONCE);
    await tx
      .insertInto('units')
      .values(
        some.map((unit) => ({
          studio_id: caller.studioId,
          id: unit.id,
          product_id: unit.productId,
          document: JSON.stringify(unit),
        })),
      )
      .execute();
    await tx
      .insertInto('unit_ledger')
      .values(
        some.map((unit) => ({
          studio_id: caller.studioId,
          id: newId(),
          unit_id: unit.id,
          by_name: caller.name,
          mg: unit.remainingMg,
          reason: 'bought' as const,
          note: '',
        })),
      )
      .execute();
  }
}

/** Less than this is rounding, mg. */
const NOTHING = 1e-6;

/**
 * Brings the ledger in line with what happened at the chair to one step: what it should have taken of each
 * unit by all events so far, less what is written already. Told twice it writes nothing the second time, also
 * where the second is told with another version in which the step is the same; at another sitting it is.
 */
export async function settleStep(
  tx: Tx,
  caller: { studioId: string; name: string },
  chart: Chart,
  stepId: string,
): Promise<void> {
  const { versions, sittings } = await stepTold(tx, chart, stepId);
  const should = takenFromUnits(chart, stepId, sittings);
  const written = await tx
    .selectFrom('unit_ledger')
    .select((eb) => ['unit_id', eb.fn.sum<number>('mg').as('mg')])
    .where('chart_id', '=', chart.id)
    .where('version', 'in', versions)
    .where('step_id', '=', stepId)
    .groupBy('unit_id')
    .execute();
  const already = new Map(written.map((r) => [r.unit_id, -r.mg]));
  const unitIds = [...new Set([...should.keys(), ...already.keys()])].sort();
  if (unitIds.length === 0) return;
  // In order of id, so that two chairs never wait for each other in a ring; a unit gone from the kit is left
  // out.
  const owned = await tx
    .selectFrom('units')
    .select('id')
    .where('id', 'in', unitIds)
    .orderBy('id')
    .forUpdate()
    .execute();
  const title = chart.steps.find((s) => s.id === stepId)?.title ?? '';
  for (const { id } of owned) {
    const mg = (should.get(id) ?? 0) - (already.get(id) ?? 0);
    if (Math.abs(mg) < NOTHING) continue;
    await addToLedger(tx, caller, {
      unitId: id,
      mg: -mg,
      reason: 'chart',
      note: `${chart.client.name}, ${title}`.slice(0, 200),
      step: { chartId: chart.id, version: chart.version, stepId },
    });
  }
}
