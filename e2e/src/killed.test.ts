import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, request, type Server } from 'node:http';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { openAs, openBrowser, openClient } from './browser';

// The server is killed after it has written what was sent and before it has answered: the phone sends again, and nothing is there twice.
const ROOT = path.resolve(__dirname, '../..');
const [SERVER_PORT, PROXY_PORT] = [46311, 46312];
let browser: Browser;
let server: ChildProcess;
let proxy: Server;
/** Set while the next recorded step is to be the last thing the server does. */
let killAfterNext = false;
let killed = 0;

function startServer(): Promise<ChildProcess> {
  const env = { ...process.env, NODE_ENV: 'production', TOILE_PORT: String(SERVER_PORT), TOILE_WEB_ROOT: path.join(ROOT, 'app/dist'), TOILE_LOG: 'silent' };
  const child = spawn('node', [path.join(ROOT, '.toile/server.mjs')], { cwd: ROOT, env, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`the server ended with ${code} before it listened`)));
  });
}

/** Hands everything on, until an answer is not to arrive. */
function startProxy(): Promise<Server> {
  const made = createServer((incoming, outgoing) => {
    const onward = request({ host: '127.0.0.1', port: SERVER_PORT, path: incoming.url, method: incoming.method, headers: incoming.headers }, (answer) => {
      if (killAfterNext && incoming.method === 'POST' && incoming.url?.endsWith('/events')) {
        killAfterNext = false;
        killed++;
        server.kill('SIGKILL');
        outgoing.destroy();
        return;
      }
      outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.pipe(outgoing);
    });
    onward.on('error', () => outgoing.destroy());
    incoming.pipe(onward);
  });
  return new Promise((resolve) => made.listen(PROXY_PORT, '127.0.0.1', () => resolve(made)));
}

beforeAll(async () => {
  [browser, server, proxy] = await Promise.all([openBrowser(), startServer(), startProxy()]);
});
afterAll(async () => {
  await browser.close();
  server.kill('SIGTERM');
  proxy.closeAllConnections();
  proxy.close();
});

test('killed between writing and answering: the step is recorded once', async () => {
  const { page, context } = await openAs(browser, 'owner', undefined, 'light', { at: `http://127.0.0.1:${PROXY_PORT}` });
  await openClient(page, 'Renske Halloran');
  await page.getByRole('button', { name: 'Fit a look' }).click();
  await page.getByLabel('Date').fill('2027-07-03');
  await page.getByRole('link', { name: /^Harbour Morning/ }).click();
  await page.getByRole('button', { name: 'Save version 1' }).click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/version 1$/).waitFor();
  const chart = new URL(page.url()).pathname;
  await page.goto(`${page.url()}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();

  killAfterNext = true;
  const done = page.getByRole('button', { name: 'Done', exact: true });
  await done.click();
  await page.getByText('1 unsent', { exact: false }).waitFor();
  expect(killed).toBe(1);
  await done.click();
  await page.getByText('2 unsent', { exact: false }).waitFor();

  server = await startServer();
  await page.getByText('✓ all saved').waitFor();
  const events = await page.evaluate(async (at) => ((await (await fetch(at)).json()) as { events: { stepId: string; kind: string }[] }).events, `/api${chart}`);
  expect(events.map((e) => e.kind)).toEqual(['done', 'done']);
  expect(new Set(events.map((e) => e.stepId)).size).toBe(2);
  await context.close();
});
