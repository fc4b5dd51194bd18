import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const DEPLOYED = path.join(__dirname, '../../deploy/postgresql');
let home: string;
beforeEach(() => void (home = mkdtempSync(path.join(tmpdir(), 'kept-wal-'))));
afterEach(() => rmSync(home, { recursive: true, force: true }));
const at = (...names: string[]): string => path.join(home, ...names);
const run = (script: string, ...args: string[]) => {
  const { status, stderr } = spawnSync('sh', [path.join(DEPLOYED, script), ...args], { encoding: 'utf8' });
  return { status, said: stderr };
};

describe('a file of WAL', () => {
  const NAME = '000000010000000000000003';
  const keep = (text: string) => {
    writeFileSync(at('from'), text);
    mkdirSync(at('wal'), { recursive: true });
    return run('keep-wal.sh', at('from'), NAME, at('wal'));
  };

  test('is kept whole, and once when it is sent twice', () => {
    expect(keep('all of it').status).toBe(0);
    expect(keep('all of it').status).toBe(0);
    expect(readdirSync(at('wal'))).toEqual([NAME]);
    expect(readFileSync(at('wal', NAME), 'utf8')).toBe('all of it');
  });

  test('is never put in the place of another', () => {
    keep('of this cluster');
    const { status, said } = keep('of another');
    expect(status).not.toBe(0);
    expect(said).toContain('archive of another cluster');
    expect(readFileSync(at('wal', NAME), 'utf8')).toBe('of this cluster');
  });

  test('half copied when the machine stopped, it is copied anew', () => {
    mkdirSync(at('wal'));
    writeFileSync(at('wal', `${NAME}.part`), 'all o');
    expect(keep('all of it').status).toBe(0);
    expect(readdirSync(at('wal'))).toEqual([NAME]);
    expect(readFileSync(at('wal', NAME), 'utf8')).toBe('all of it');
  });

  test('that cannot be kept is not said to be', () => {
    writeFileSync(at('from'), 'all of it');
    expect(run('keep-wal.sh', at('from'), NAME, at('no such folder')).status).not.toBe(0);
  });
});

describe('a base backup', () => {
  /** Stands in for PostgreSQL's own programs: makes the folder, and says of it what it is told to. */
  const program = (name: string, text: string): void => {
    mkdirSync(at('bin'), { recursive: true });
    writeFileSync(at('bin', name), `#!/bin/sh\n${text}\n`, { mode: 0o755 });
  };
  const back = (sound: boolean, keep: string) => {
    program('pg_basebackup', 'mkdir -p "$2"; echo "$@" > "$2/asked"');
    program('pg_verifybackup', sound ? 'exit 0' : 'exit 1');
    mkdirSync(at('base'), { recursive: true });
    const script = path.join(DEPLOYED, 'base-backup.sh');
    const env = { ...process.env, PATH: `${at('bin')}:${process.env.PATH}` };
    return spawnSync('sh', [script, at('base'), keep, '-h', 'primary'], { encoding: 'utf8', env });
  };
  const older = (...names: readonly string[]) =>
    names.forEach((name) => mkdirSync(at('base', name), { recursive: true }));
  const OLD = ['20310501T020000Z', '20310508T020000Z', '20310515T020000Z'];

  test('that was checked takes its place, asked as it was told to be; of the older so many stay', () => {
    older(...OLD, 'notes');
    // A clock that lags makes it the oldest of all: it stays all the same.
    const { status, stdout } = back(true, '2');
    expect(status).toBe(0);
    const made = path.basename(stdout.trim());
    expect(made).toMatch(/^\d{8}T\d{6}Z$/);
    expect(readdirSync(at('base')).sort()).toEqual([made, ...OLD.slice(1), 'notes'].sort());
    expect(readFileSync(at('base', made, 'asked'), 'utf8')).toMatch(/ -X stream -c fast -h primary$/m);
  });

  test('that does not agree with its own list is called none, and nothing older is let go for it', () => {
    older(...OLD);
    expect(back(false, '1').status).not.toBe(0);
    expect(readdirSync(at('base')).filter((name) => !name.startsWith('.'))).toEqual(OLD);
  });
});

describe('a restore', () => {
  const base = (): string => {
    mkdirSync(at('base'));
    writeFileSync(at('base', 'backup_label'), 'START WAL LOCATION: 0/3000028');
    writeFileSync(at('base', 'postgresql.auto.conf'), "synchronous_standby_names = '*'\n");
    return at('base');
  };
  const lastSaid = (name: string): string | undefined =>
    readFileSync(at('data', 'postgresql.auto.conf'), 'utf8')
      .split('\n')
      .filter((line) => line.startsWith(`${name} =`))
      .at(-1);

  test('touches nothing where there is something already', () => {
    mkdirSync(at('data'));
    writeFileSync(at('data', 'PG_VERSION'), '15');
    const { status, said } = run('restore.sh', base(), at('wal'), at('data'));
    expect(status).not.toBe(0);
    expect(said).toContain('nothing was touched');
    expect(readdirSync(at('data'))).toEqual(['PG_VERSION']);
  });

  test('is made of a base backup only', () => {
    mkdirSync(at('other'));
    expect(run('restore.sh', at('other'), at('wal'), at('data'))).toMatchObject({
      said: expect.stringContaining('is no base backup') as string,
    });
    expect(readdirSync(home)).toEqual(['other']);
  });

  test.each([
    [[], undefined],
    [['2031-06-14 11:59:00+00'], "recovery_target_time = '2031-06-14 11:59:00+00'"],
  ])('up to %j: waits for no standby, and leaves the base as it was', (time, target) => {
    const from = base();
    expect(run('restore.sh', from, at('wal'), at('data'), ...time).status).toBe(0);
    expect(readdirSync(at('data')).sort()).toEqual([
      'backup_label',
      'postgresql.auto.conf',
      'recovery.signal',
    ]);
    expect(lastSaid('synchronous_standby_names')).toBe("synchronous_standby_names = ''");
    expect(lastSaid('restore_command')).toBe(`restore_command = 'cp "${at('wal')}/%f" "%p"'`);
    expect(lastSaid('recovery_target_time')).toBe(target);
    expect(readdirSync(from)).toHaveLength(2);
  });
});
