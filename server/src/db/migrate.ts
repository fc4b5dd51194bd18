import { Kysely, Migrator, PostgresDialect, type Migration } from 'kysely';
import { Pool } from 'pg';
import { ground } from './migrations/2026_11_23_01_ground';
import { kit } from './migrations/2026_11_23_02_kit';
import { settings } from './migrations/2026_11_23_03_settings';
import { trace } from './migrations/2026_11_23_04_trace';
import { shares } from './migrations/2026_11_23_05_shares';
import { oldKeys } from './migrations/2026_11_26_06_old_keys';
import { partyPlans } from './migrations/2026_11_27_07_party_plans';
import { partyLog } from './migrations/2026_11_27_16_party_log';
import { passwords } from './migrations/2026_11_27_08_passwords';
import { patchTests } from './migrations/2026_11_27_11_patch_tests';
import { runUp } from './migrations/2026_11_27_12_run_up';
import { sheetLinks } from './migrations/2026_11_27_17_sheet_links';
import { team } from './migrations/2026_11_27_10_team';
import { backup } from './migrations/2026_11_27_15_backup';
import { care } from './migrations/2026_11_27_14_care';
import { retiredLooks } from './migrations/2026_11_27_13_retired_looks';
import { wear } from './migrations/2026_11_27_18_wear';
import { zoneWearsTable } from './migrations/2026_11_27_20_zone_wears';
import { practice } from './migrations/2026_11_27_21_practice';
import { lessonLinks } from './migrations/2026_11_27_22_lesson_links';
import { lessonTools } from './migrations/2026_11_27_24_lesson_tools';
import { compacts } from './migrations/2026_11_27_25_compacts';
import { tries } from './migrations/2026_11_27_23_tries';
import { trials } from './migrations/2026_11_27_19_trials';
import { wearSettings } from './migrations/2026_11_28_26_wear_settings';
import { photographs } from './migrations/2026_11_28_27_photographs';
import { nameThrees } from './migrations/2026_11_28_29_name_threes';
import { studioMarks } from './migrations/2026_11_28_28_studio_marks';
import { wornMixes } from './migrations/2026_11_30_30_worn_mixes';
import { visits } from './migrations/2026_11_27_09_visits';

/** In order of name; each runs once, in its own transaction. */
export const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '2026_11_23_01_ground': ground,
  '2026_11_23_02_kit': kit,
  '2026_11_23_03_settings': settings,
  '2026_11_23_04_trace': trace,
  '2026_11_23_05_shares': shares,
  '2026_11_26_06_old_keys': oldKeys,
  '2026_11_27_07_party_plans': partyPlans,
  '2026_11_27_08_passwords': passwords,
  '2026_11_27_09_visits': visits,
  '2026_11_27_10_team': team,
  '2026_11_27_11_patch_tests': patchTests,
  '2026_11_27_12_run_up': runUp,
  '2026_11_27_13_retired_looks': retiredLooks,
  '2026_11_27_14_care': care,
  '2026_11_27_15_backup': backup,
  '2026_11_27_16_party_log': partyLog,
  '2026_11_27_17_sheet_links': sheetLinks,
  '2026_11_27_18_wear': wear,
  '2026_11_27_19_trials': trials,
  '2026_11_27_20_zone_wears': zoneWearsTable,
  '2026_11_27_21_practice': practice,
  '2026_11_27_22_lesson_links': lessonLinks,
  '2026_11_27_23_tries': tries,
  '2026_11_27_24_lesson_tools': lessonTools,
  '2026_11_27_25_compacts': compacts,
  '2026_11_28_26_wear_settings': wearSettings,
  '2026_11_28_27_photographs': photographs,
  '2026_11_28_28_studio_marks': studioMarks,
  '2026_11_28_29_name_threes': nameThrees,
  '2026_11_30_30_worn_mixes': wornMixes,
};

/**
 * Brings a database, reached as its owner, to the newest schema, or to an earlier one by its migration's
 * name. Throws with the failing migration's name.
 */
export async function migrate(ownerUrl: string, to?: string): Promise<string[]> {
  const pool = new Pool({ connectionString: ownerUrl, max: 1 });
  // A connection lost under a query fails the query; nobody listening to its own event would end the process.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = new Kysely<unknown>({ dialect: new PostgresDialect({ pool }) });
  try {
    const migrator = new Migrator({
      db,
      provider: { getMigrations: () => Promise.resolve({ ...MIGRATIONS }) },
    });
    const { error, results } =
      to === undefined ? await migrator.migrateToLatest() : await migrator.migrateTo(to);
    if (error) {
      const failed = results?.find((r) => r.status === 'Error')?.migrationName ?? 'unknown';
      throw new Error(`migration ${failed} failed`, { cause: error });
    }
    return (results ?? []).map((r) => r.migrationName);
  } finally {
    await db.destroy();
  }
}
