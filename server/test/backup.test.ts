import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import { addDays, canonicalJson, documentHash, readZip, writeZip, zipText } from '@toile/core';
import { BUNDLE_TABLES, type StudioBundle } from '@toile/contract';
import { secondStudio } from '@toile/demo';
import { inStudio } from '../src/db/connection';
import { exportStudio } from '../src/studio/exportStudio';
import { CARRIED } from '../src/studio/tables';
import { keepOne } from './aPhotograph';
import { backUpIfDue, studioList } from '../src/backup/nightly';
import { readBackup } from '../src/backup/readBackup';
import { restoreBackup } from '../src/backup/restore';
import { backupFile, toLetGo } from '../src/backup/rotation';
import { backupSettings } from '../src/backup/settings';
import { writeBackup } from '../src/backup/writeBackup';
import { asBytes, demo, keyed, testServer, TODAY, type TestServer } from './testServer';

const NOW = new Date(`${TODAY}T08:00:00Z`);
let server: TestServer;
let folder: string;
beforeAll(async () => {
  server = await testServer();
  folder = mkdtempSync(path.join(tmpdir(), 'toile-backup-'));
});
const empties: TestServer[] = [];
/** An installation with nobody in it, stopped at the end whatever comes of the test. */
const emptyServer = async (): Promise<TestServer> => {
  const made = await testServer({}, []);
  empties.push(made);
  return made;
};
afterAll(async () => {
  for (const empty of empties) await empty.stop();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const backUp = async (from: TestServer = server, studioId = demo.studio.id): Promise<Uint8Array> => {
  const pieces: Uint8Array[] = [];
  await writeBackup(from.db, studioId, NOW, (piece) => void pieces.push(piece));
  return new Uint8Array(Buffer.concat(pieces));
};
const state = (from: TestServer, studioId = demo.studio.id): Promise<StudioBundle> =>
  inStudio(from.db, studioId, async (tx) => ({
    ...(await exportStudio(tx)),
    photographs: await CARRIED.photographs.giveOut(tx),
  }));
/** A backup with some of its files changed, or left out by null, the manifest as it was. */
const spoilt = (zip: Uint8Array, change: Readonly<Record<string, string | null>>): Uint8Array => {
  const read = readZip(zip, { files: 10_000, bytes: 1e9 });
  if (!read.ok) throw new Error(read.message);
  const files = new Map<string, string | Uint8Array>(read.files);
  for (const [name, text] of Object.entries(change))
    if (text === null) files.delete(name);
    else files.set(name, text);
  return writeZip(files);
};
const textOf = (zip: Uint8Array, name: string): string => {
  const read = readZip(zip, { files: 10_000, bytes: 1e9 });
  if (!read.ok) throw new Error(read.message);
  return zipText(read.files.get(name)!);
};

test('backed up, wiped and restored into an empty installation it is identical by hash, table by table', async () => {
  // Something in every table that travels.
  const owner = await server.signedIn('owner');
  const put = () => ({ ...keyed(), 'if-match': '0' });
  await owner.put('/api/settings').set(put()).send({ ruleGrades: {}, zone: 'Europe/Lisbon' }).expect(200);
  await owner
    .post(`/api/looks/${demo.looks[5]!.id}/retirements`)
    .set(keyed())
    .send({ retired: true })
    .expect(200);
  await owner
    .post(`/api/clients/${demo.clients[0]!.id}/incidents`)
    .set(keyed())
    .send({ id: demo.readings[0]!.id, on: TODAY, seen: 'Red lids' })
    .expect(201);
  await owner
    .post(`/api/units/${demo.units[0]!.id}/counts`)
    .set(keyed())
    .send({ id: demo.readings[0]!.id, remainingMg: 1234, note: 'weighed' })
    .expect(201);
  await keepOne(server, demo.charts[0]!);
  const zip = await backUp();
  const empty = await emptyServer();
  const restored = await restoreBackup(empty.db, zip, NOW);
  expect(restored).toMatchObject({ ok: true, studio: demo.studio });
  const [before, after] = [await state(server), await state(empty)];
  for (const table of BUNDLE_TABLES) {
    expect([table, before[table].length > 0]).toEqual([table, true]);
    expect([table, documentHash({ rows: after[table] })]).toEqual([
      table,
      documentHash({ rows: before[table] }),
    ]);
  }
  // And what is backed up from there is the same, byte by byte but for nothing.
  expect(Buffer.compare(Buffer.from(await backUp(empty)), Buffer.from(zip))).toBe(0);
});

test('nobody’s password is in it; each owner chooses one by a link, and the old one opens nothing', async () => {
  const zip = await backUp();
  const { rows } = await server.pool.query<{ password_hash: string }>('select password_hash from accounts');
  const read = readZip(zip, { files: 10_000, bytes: 1e9 });
  if (!read.ok) throw new Error(read.message);
  for (const file of read.files.values())
    for (const { password_hash: hash } of rows) expect(zipText(file)).not.toContain(hash);
  const empty = await emptyServer();
  const restored = await restoreBackup(empty.db, zip, NOW);
  if (!restored.ok) throw new Error('not restored');
  expect(restored.links.map((l) => l.email)).toEqual(['runa@quayside.example']);
  const signIn = (password: string) =>
    empty.agent().post('/api/session').send({ email: 'runa@quayside.example', password });
  await signIn('lantern-quay').expect(401);
  const token = restored.links[0]!.path.split('#')[1]!;
  await empty
    .agent()
    .post('/api/invites/take')
    .send({ token, name: 'Runa Castellane', password: 'four tall herons here' })
    .expect(201);
  await signIn('four tall herons here').expect(200);
});

test('into an installation that has the studio nothing is restored', async () => {
  const before = await state(server);
  const restored = await restoreBackup(server.db, await backUp(), NOW);
  expect(restored).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringMatching(/is here already/) }],
  });
  expect(canonicalJson(await state(server))).toBe(canonicalJson(before));
});

describe('a damaged backup is refused whole, with where', () => {
  let zip: Uint8Array;
  let empty: TestServer;
  beforeAll(async () => {
    zip = await backUp();
    empty = await emptyServer();
  });
  afterEach(async () => {
    const { rows } = await empty.pool.query<{ n: string }>('select count(*) as n from accounts');
    expect(rows[0]!.n).toBe('0');
  });
  const refusal = async (bytes: Uint8Array) => {
    const restored = await restoreBackup(empty.db, bytes, NOW);
    if (restored.ok) throw new Error('it was restored');
    return restored.problems[0]!;
  };

  test('no zip, no backup, and cut off at any place', async () => {
    expect(await refusal(new Uint8Array(Buffer.from('hello')))).toMatchObject({
      message: 'This is not a zip file.',
    });
    expect(await refusal(writeZip(new Map([['a.json', '[]']])))).toMatchObject({ file: 'manifest.json' });
    for (const share of [0.1, 0.5, 0.9, 0.999])
      await refusal(zip.subarray(0, Math.floor(zip.length * share)));
  });

  test('a missing document, one that was changed, one nobody named', async () => {
    expect(await refusal(spoilt(zip, { 'clients/00001.json': null }))).toEqual({
      file: 'clients/00001.json',
      message: 'Missing: the manifest names it.',
    });
    const changed = textOf(zip, 'clients/00001.json').replace('Isaura', 'Izaura');
    expect(await refusal(spoilt(zip, { 'clients/00001.json': changed }))).toMatchObject({
      file: 'clients/00001.json',
      message: expect.stringMatching(/Damaged or changed/),
    });
    expect(await refusal(spoilt(zip, { 'extra.json': '[]' }))).toMatchObject({ file: 'extra.json' });
  });

  test('any one byte of it turned is told, or changes nothing', async () => {
    await fc.assert(
      fc.asyncProperty(fc.nat(zip.length - 1), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const turned = Uint8Array.from(zip);
        turned[at] = (turned[at]! + by) % 256;
        const read = readBackup(turned);
        if (read.ok) expect(canonicalJson(read.bundle)).toBe(canonicalJson(readOk(zip)));
      }),
      { numRuns: 60 },
    );
  });
  const readOk = (bytes: Uint8Array): StudioBundle => {
    const read = readBackup(bytes);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    return read.bundle;
  };

  test('sealed anew around a wrong row: which file, line, column and what was expected', async () => {
    const rows = JSON.parse(textOf(zip, 'clients/00001.json')) as object[];
    const wrong = JSON.stringify([{ ...rows[0], birthYear: 'long ago' }, ...rows.slice(1)], null, 1);
    const manifest = JSON.parse(textOf(zip, 'manifest.json')) as {
      files: { name: string; sha256: string }[];
    };
    for (const file of manifest.files)
      if (file.name === 'clients/00001.json') file.sha256 = createHash('sha256').update(wrong).digest('hex');
    const problem = await refusal(
      spoilt(zip, { 'clients/00001.json': wrong, 'manifest.json': JSON.stringify(manifest) }),
    );
    expect(problem).toMatchObject({
      file: 'clients/00001.json',
      message: expect.stringMatching(/birthYear/),
    });
    expect(problem.line).toBeGreaterThan(1);
  });

  test('rows that point to nobody are refused by the database, and nothing is half written', async () => {
    const manifest = JSON.parse(textOf(zip, 'manifest.json')) as {
      files: { name: string; table: string; sha256: string }[];
    };
    const without = { ...manifest, files: manifest.files.filter((f) => f.table !== 'clients') };
    const bytes = spoilt(zip, { 'clients/00001.json': null, 'manifest.json': JSON.stringify(without) });
    await expect(restoreBackup(empty.db, bytes, NOW)).rejects.toThrow();
  });
});

test('by hand from the app: the owner alone, and it can be restored from', async () => {
  const owner = await server.signedIn('owner');
  const { body, headers } = await asBytes(owner.get('/api/studio/backup'));
  expect(headers['content-disposition']).toMatch(/filename="[a-z-]+-[0-9a-f]{8}-2031-05-14\.zip"/);
  const read = readBackup(new Uint8Array(body as Buffer));
  expect(read.ok && read.manifest.studio).toEqual(demo.studio);
});

test('while it is written the studio goes on: what is saved meanwhile is in the next, not in half', async () => {
  const artist = await server.signedIn('artist');
  const names: string[] = [];
  const pieces: Uint8Array[] = [];
  let begun = (): void => undefined;
  const first = new Promise<void>((resolve) => void (begun = resolve));
  const writing = writeBackup(server.db, demo.studio.id, NOW, (piece) => {
    pieces.push(piece);
    begun();
  });
  // From its first piece on it is of one moment; what is saved before that is in it, or not.
  await first;
  for (let i = 0; i < 8; i++) {
    const name = `Meanwhile ${i}`;
    const id = demo.readings[0]!.id.replace(/.$/, String(i));
    await artist
      .post('/api/clients')
      .set(keyed())
      .send({ id, name, features: demo.clients[0]!.features, measurements: {} })
      .expect(201);
    names.push(name);
  }
  await writing;
  const read = readBackup(new Uint8Array(Buffer.concat(pieces)));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  expect(read.bundle.clients.length).toBe(demo.clients.length);
  const next = readBackup(await backUp());
  expect(next.ok && next.bundle.clients.length).toBe(demo.clients.length + names.length);
});

describe('every night', () => {
  const at = (day: string, hour: number): Date => new Date(`${day}T${String(hour).padStart(2, '0')}:30:00`);
  const settings = (more = {}) => ({ folder, keep: 3, hour: 3, ...more });

  test('one of each studio a day, once, after its hour, by one server of several', async () => {
    expect(await backUpIfDue(server.db, settings(), at('2031-06-01', 2))).toEqual([]);
    const written = await Promise.all(
      Array.from({ length: 4 }, () => backUpIfDue(server.db, settings(), at('2031-06-01', 4))),
    );
    expect(written.flat().sort()).toEqual(
      (await studioList(server.db)).map((studio) => backupFile(studio, '2031-06-01')).sort(),
    );
    expect(await backUpIfDue(server.db, settings(), at('2031-06-01', 23))).toEqual([]);
    for (const file of readdirSync(folder)) {
      expect(readBackup(new Uint8Array(readFileSync(path.join(folder, file)))).ok).toBe(true);
      expect(statSync(path.join(folder, file)).mode & 0o077).toBe(0);
    }
  });

  test('the oldest of each go, and nothing else in the folder', async () => {
    writeFileSync(path.join(folder, 'letters.zip'), 'mine');
    for (let day = 2; day <= 6; day++)
      await backUpIfDue(server.db, settings(), at(addDays('2031-05-31', day), 4));
    const left = readdirSync(folder);
    expect(left).toContain('letters.zip');
    expect(left).toHaveLength(1 + 2 * 3);
    expect(left.filter((name) => name.endsWith('2031-06-06.zip'))).toHaveLength(2);
  });

  test('one that cannot be written leaves no half file under its name', async () => {
    const blocked = path.join(folder, 'blocked');
    writeFileSync(blocked, '');
    await expect(
      backUpIfDue(server.db, settings({ folder: blocked }), at('2031-06-09', 4)),
    ).rejects.toThrow();
    expect(readdirSync(folder).filter((name) => name.endsWith('.making'))).toEqual([]);
  });

  test('rotation keeps the newest of each studio, whatever the order; a name that is no backup never goes', () => {
    const day = fc.integer({ min: 0, max: 400 }).map((n) => addDays('2031-01-01', n));
    const studio = fc.constantFrom('quay-0001', 'mill-0002', 'quay');
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.tuple(studio, day).map(([s, d]) => `${s}-${d}.zip`),
          { maxLength: 40 },
        ),
        fc.integer({ min: 1, max: 9 }),
        (files, keep) => {
          const gone = toLetGo(['notes.txt', '2031-01-01.zip', ...files], keep);
          for (const own of ['quay-0001', 'mill-0002', 'quay']) {
            const days = files.filter((f) => f.slice(0, -15) === own).sort();
            expect(gone.filter((f) => f.slice(0, -15) === own).sort()).toEqual(
              days.slice(0, Math.max(0, days.length - keep)),
            );
          }
          expect(gone).not.toContain('notes.txt');
          expect(gone).not.toContain('2031-01-01.zip');
        },
      ),
    );
  });

  test('settings say what is wrong by the name of the variable', () => {
    expect(backupSettings({})).toBeNull();
    expect(backupSettings({ TOILE_BACKUP_DIR: '/b' })).toEqual({ folder: '/b', keep: 14, hour: 3 });
    expect(() => backupSettings({ TOILE_BACKUP_DIR: '/b', TOILE_BACKUP_HOUR: '24' })).toThrow(
      /TOILE_BACKUP_HOUR/,
    );
    expect(() => backupSettings({ TOILE_BACKUP_DIR: '/b', TOILE_BACKUP_KEEP: 'all' })).toThrow(
      /TOILE_BACKUP_KEEP/,
    );
  });
});

test('two studios of one name have files of their own', () => {
  const day = '2031-05-14';
  expect(backupFile(demo.studio, day)).not.toBe(
    backupFile({ ...secondStudio().studio, name: demo.studio.name }, day),
  );
  expect(backupFile({ id: demo.studio.id, name: '〇' }, day)).toMatch(/^[0-9a-f]{8}-2031-05-14\.zip$/);
});
