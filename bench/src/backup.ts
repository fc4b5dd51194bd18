import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { newId, type StudioBundle } from '@toile/contract';
import { demoStudio } from '@toile/demo';
import { restoreBackup } from '../../server/src/backup/restore';
import { writeBackup } from '../../server/src/backup/writeBackup';
import { openDb, openPool, type Db } from '../../server/src/db/connection';
import { migrate } from '../../server/src/db/migrate';
import { importBundle } from '../../server/src/studio/importStudio';
import { row, type Row } from './measure';

const CLIENTS = 2000;
const CHARTS = 2500;
const VERSIONS = 4;

type Urls = { readonly ownerUrl: string; readonly appUrl: string };

/** The demo many times over: its clients and charts under new ids, everything else once. */
function large(): StudioBundle {
  const demo = demoStudio('2031-05-14');
  const clients = Array.from({ length: CLIENTS }, (_, i) => ({
    ...demo.clients[i % demo.clients.length]!,
    id: newId(),
  }));
  const charts = Array.from({ length: CHARTS }, (_, i) => ({ id: newId(), i })).flatMap(({ id, i }) => {
    const { hash: _hash, ...chart } = demo.charts[i % demo.charts.length]!;
    return Array.from({ length: VERSIONS }, (_, v) => ({
      ...chart,
      id,
      version: v + 1,
      parent: v === 0 ? null : v,
      client: { ...chart.client, id: clients[i % CLIENTS]!.id },
    }));
  });
  return {
    ...demo,
    clients,
    charts,
    readings: [],
    simulatedSkins: [],
    visits: [],
    patchTests: [],
    events: [],
    parties: [],
    partyEvents: [],
    wearChecks: [],
    trials: [],
    trialEvents: [],
  };
}

function urlsOf(name: 'TOILE_WHOLE' | 'TOILE_COPY'): Urls {
  return JSON.parse(process.env[name] ?? '{}') as Urls;
}

async function opened(urls: Urls): Promise<Db> {
  await migrate(urls.ownerUrl);
  return openDb(openPool(urls.appUrl, () => undefined));
}

const seconds = async (work: () => Promise<unknown> | unknown): Promise<number> => {
  const start = performance.now();
  await work();
  return (performance.now() - start) / 1000;
};

/** A command of PostgreSQL's on one of the databases; throws with what it said. */
function postgres(command: string, args: readonly string[]): void {
  const { status, stderr } = spawnSync(path.join(process.env.TOILE_PG_BIN ?? '', command), [...args], {
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`${command}: ${stderr}`);
}

/** As its superuser, whom row security lets see every row. */
function superUrlOf(urls: Urls): string {
  const url = new URL(process.env.TOILE_SUPER_URL ?? '');
  url.pathname = new URL(urls.appUrl).pathname;
  return url.toString();
}

/** Backup and restore of a large studio, beside PostgreSQL's own of the same rows. */
export async function backupRows(): Promise<Row[]> {
  const [whole, copy] = [urlsOf('TOILE_WHOLE'), urlsOf('TOILE_COPY')];
  const folder = mkdtempSync(path.join(tmpdir(), 'toile-bench-'));
  const bundle = large();
  const megabytes = bundle.charts.reduce((sum, chart) => sum + JSON.stringify(chart).length, 0) / 1e6;
  const db = await opened(whole);
  const into = await opened(copy);
  try {
    await importBundle(db, bundle);
    const pieces: Uint8Array[] = [];
    const out = await seconds(() =>
      writeBackup(db, bundle.studio.id, new Date(), (p) => void pieces.push(p)),
    );
    const zip = new Uint8Array(Buffer.concat(pieces));
    const dump = path.join(folder, 'whole.dump');
    const dumped = await seconds(() => postgres('pg_dump', ['-Fc', '-f', dump, superUrlOf(whole)]));
    const back = await seconds(async () => {
      const restored = await restoreBackup(into, zip, new Date());
      if (!restored.ok) throw new Error(restored.problems[0]?.message);
    });
    const restored = await seconds(() =>
      postgres('pg_restore', ['--clean', '--if-exists', '-d', superUrlOf(copy), dump]),
    );
    const rate = (took: number): string => `${(megabytes / took).toFixed(0)} MB/s`;
    const size = (bytes: number): string => `${(bytes / 1e6).toFixed(0)} MB`;
    const what = `${CLIENTS.toLocaleString('en')} clients, ${bundle.charts.length.toLocaleString('en')} chart versions, ${megabytes.toFixed(0)} MB of documents`;
    return [
      row(
        `backup of ${what}: ${rate(out)}, ${size(zip.length)}`,
        out * 1000,
        `pg_dump -Fc ${rate(dumped)}, ${size(statSync(dump).size)}`,
        dumped * 1000,
      ),
      row(`restore of the same: ${rate(back)}`, back * 1000, `pg_restore ${rate(restored)}`, restored * 1000),
    ];
  } finally {
    await db.destroy();
    await into.destroy();
    rmSync(folder, { recursive: true, force: true });
  }
}
