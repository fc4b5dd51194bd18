import { ensureCluster, ensureDatabase } from './cluster.mjs';

/**
 * A cluster for tests: nothing in it is worth waiting for the disk, and what an earlier run left in it is
 * gone.
 */
export async function testCluster() {
  const cluster = await ensureCluster('test', {
    fsync: 'off',
    synchronous_commit: 'off',
    full_page_writes: 'off',
    max_connections: 200,
  });
  dropDatabases(cluster, ['toile_template', 'toile_template_making', 'toile_e2e', 'toile_empty']);
  const database = ensureDatabase(cluster, 'toile_e2e');
  return {
    cluster,
    database,
    /** What the server's tests are told. */
    env: {
      TOILE_TEST_SUPER_URL: cluster.superUrl,
      TOILE_TEST_OWNER_URL: database.ownerUrl,
      TOILE_TEST_APP_URL: database.appUrl,
    },
  };
}

/** Drops databases with whoever is in them. */
export function dropDatabases(cluster, names) {
  for (const name of names) {
    cluster.psql(`update pg_database set datallowconn = true where datname = '${name}'`);
    cluster.psql(`drop database if exists ${name} with (force)`);
  }
}
