import { BUNDLE_TABLES, emptyBundle, type BundleTable, type StudioBundle } from '@toile/contract';
import type { Tx } from '../db/connection';
import { read, type Services } from '../http/register';
import { CARRIED } from './tables';

/**
 * The whole studio of a transaction as one document, without passwords, sessions, links and photographs,
 * which a backup holds.
 */
export async function exportStudio(tx: Tx): Promise<StudioBundle> {
  const studio = await tx.selectFrom('studios').select(['id', 'name']).executeTakeFirstOrThrow();
  let bundle = emptyBundle(studio);
  for (const table of BUNDLE_TABLES.filter((one) => one !== 'photographs'))
    bundle = await withTable(tx, table, bundle);
  return bundle;
}

const withTable = async <T extends BundleTable>(
  tx: Tx,
  table: T,
  bundle: StudioBundle,
): Promise<StudioBundle> => ({
  ...bundle,
  [table]: await CARRIED[table].giveOut(tx),
});

/** The studio as a file its owner can keep. */
export function registerExport(services: Services): void {
  read(services, 'exportStudio', async ({ tx, now }) => {
    const bundle = await exportStudio(tx);
    const name = bundle.studio.name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
    return { body: JSON.stringify(bundle), file: `${name}-${now.toISOString().slice(0, 10)}.json` };
  });
}
