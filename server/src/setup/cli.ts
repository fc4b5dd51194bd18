import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { openDb, openPool } from '../db/connection';
import { migrate } from '../db/migrate';
import { hashPassword } from '../session/passwords';
import { askOwner, type Ask } from './askOwner';
import { nobodyYet, setUp } from './studio';

// Sets up the first studio and its owner by asking, before anybody can reach the first page. Nothing is taken
// from arguments: they stand in the list of processes.
const say = (line: string): void => void process.stdout.write(`${line}\n`);

function setting(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`the environment variable ${name} is not set`);
  return value;
}

/** Questions at the terminal, or lines piped in; what is hidden is not echoed. */
function atTerminal(): { readonly ask: Ask; readonly close: () => void } {
  let quiet = false;
  const output = new Writable({
    write: (chunk: Buffer, _encoding, done) => {
      if (!quiet) process.stdout.write(chunk);
      done();
    },
  });
  const lines = createInterface({ input: process.stdin, output, terminal: process.stdin.isTTY === true });
  const waiting: string[] = [];
  let take: ((line: string) => void) | null = null;
  let ended = false;
  let fail: ((error: Error) => void) | null = null;
  lines.on('line', (line) => {
    if (!take) return void waiting.push(line);
    take(line);
    take = null;
  });
  lines.on('close', () => {
    ended = true;
    fail?.(new Error('The answers ended before all was asked: nothing was set up.'));
  });
  return {
    ask: async (question, hidden) => {
      process.stdout.write(`${question}: `);
      quiet = hidden;
      const line = await new Promise<string>((resolve, reject) => {
        const kept = waiting.shift();
        if (kept !== undefined) return resolve(kept);
        if (ended) return reject(new Error('The answers ended before all was asked: nothing was set up.'));
        take = resolve;
        fail = reject;
      });
      quiet = false;
      if (hidden) process.stdout.write('\n');
      return line;
    },
    close: () => lines.close(),
  };
}

async function main(): Promise<void> {
  await migrate(setting('TOILE_OWNER_URL'));
  const pool = openPool(setting('TOILE_APP_URL'), () => undefined);
  const db = openDb(pool);
  const terminal = atTerminal();
  try {
    if (!(await nobodyYet(db))) {
      say('This installation has its owner already: further people are invited from Team.');
      process.exitCode = 1;
      return;
    }
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const body = await askOwner(terminal.ask, say, zone);
    const owner = await setUp(db, body, await hashPassword(body.password), new Date());
    say(`${body.studio} is set up. ${owner.name} signs in with ${owner.email}.`);
  } finally {
    terminal.close();
    await pool.end();
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
});
