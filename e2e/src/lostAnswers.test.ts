import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer, request, type Server } from 'node:http';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { openAs, openBrowser, openClient } from './browser';

// Between phone and server things go wrong: an answer that never arrives, a release in the middle of it.
// Nothing is lost, nothing is there twice.
const ROOT = path.resolve(__dirname, '../..');
const [SERVER_PORT, PROXY_PORT] = [26311, 26312];
const AT = `http://127.0.0.1:${PROXY_PORT}`;
let browser: Browser;
let server: ChildProcess;
let proxy: Server;
/** Set while the next recorded step is to be the last thing the server does. */
let killAfterNext = false;
let killed = 0;
/** Set while nothing that is recorded gets through. */
let holdBack = false;
/** What is added to the service worker's file, as a new release would change it. */
let release = '';

function startServer(): Promise<ChildProcess> {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    TOILE_PORT: String(SERVER_PORT),
    TOILE_WEB_ROOT: path.join(ROOT, 'app/dist'),
    TOILE_LOG: 'silent',
  };
  const child = spawn('node', [path.join(ROOT, '.toile/server.mjs')], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`the server ended with ${code} before it listened`)));
  });
}

/** Hands everything on, until an answer is not to arrive. */
function startProxy(): Promise<Server> {
  const made = createServer((incoming, outgoing) => {
    const recording = incoming.method === 'POST' && incoming.url?.endsWith('/events');
    if (recording && holdBack) {
      outgoing.destroy();
      return;
    }
    if (incoming.url === '/sw.js') {
      const file = readFileSync(path.join(ROOT, 'app/dist/sw.js'), 'utf8');
      outgoing
        .writeHead(200, { 'content-type': 'text/javascript', 'cache-control': 'no-cache' })
        .end(file + release);
      return;
    }
    const onward = request(
      {
        host: '127.0.0.1',
        port: SERVER_PORT,
        path: incoming.url,
        method: incoming.method,
        headers: incoming.headers,
      },
      (answer) => {
        if (recording && killAfterNext) {
          killAfterNext = false;
          killed++;
          server.kill('SIGKILL');
          outgoing.destroy();
          return;
        }
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(outgoing);
      },
    );
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

type Recorded = { readonly stepId: string; readonly kind: string };

/** A chart fitted for Renske on a day of its own, at the chair. */
async function atTheChair(page: Page, date: string): Promise<string> {
  await openClient(page, 'Renske Halloran');
  await page.getByRole('button', { name: 'Fit a look' }).click();
  await page.getByLabel('Date').fill(date);
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await page.getByRole('button', { name: 'Save version 1' }).click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
  const { pathname } = new URL(page.url());
  await page.goto(`${page.url()}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();
  return pathname;
}
const recorded = (page: Page, chart: string): Promise<readonly Recorded[]> =>
  page.evaluate(
    async (at) => ((await (await fetch(at)).json()) as { events: Recorded[] }).events,
    `/api${chart}`,
  );
const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true });
const unsent = (page: Page, count: number) => page.getByText(`${count} unsent`, { exact: false });

test('killed between writing and answering: the step is recorded once', async () => {
  const { page, context } = await openAs(browser, 'owner', undefined, 'light', { at: AT });
  const chart = await atTheChair(page, '2027-07-03');
  killAfterNext = true;
  await done(page).click();
  await unsent(page, 1).waitFor();
  expect(killed).toBe(1);
  await done(page).click();
  await unsent(page, 2).waitFor();

  server = await startServer();
  await page.getByText('✓ all saved').waitFor();
  const events = await recorded(page, chart);
  expect(events.map((e) => e.kind)).toEqual(['done', 'done']);
  expect(new Set(events.map((e) => e.stepId)).size).toBe(2);
  await context.close();
});

test('a new release of the service worker takes over, and what waits to be sent is still there and arrives once', async () => {
  const { page, context } = await openAs(browser, 'owner', undefined, 'light', {
    at: AT,
    serviceWorkers: 'allow',
  });
  const chart = await atTheChair(page, '2027-07-10');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  holdBack = true;
  await done(page).click();
  await unsent(page, 1).waitFor();
  await done(page).click();
  await unsent(page, 2).waitFor();

  release = '\n// the next release';
  await page.evaluate(async () => {
    const taken = new Promise((resolve) =>
      navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
    );
    await (await navigator.serviceWorker.getRegistration())!.update();
    await taken;
  });
  await page.reload();
  await unsent(page, 2).waitFor();

  holdBack = false;
  await page.getByText('✓ all saved').waitFor();
  const events = await recorded(page, chart);
  expect(events.map((e) => e.kind)).toEqual(['done', 'done']);
  expect(new Set(events.map((e) => e.stepId)).size).toBe(2);
  await context.close();
});
