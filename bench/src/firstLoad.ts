import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import compression from 'compression';
import express from 'express';
import type { Browser, Page } from 'playwright-core';
import { guessMapping } from '@toile/core';
import { openAs, openBrowser, openKeeping, PHONE, signIn } from '@toile/e2e';
import { ms, type Row } from './measure';

const root = path.resolve(import.meta.dirname, '../..');
const OURS = path.join(root, 'app/dist');
const EMPTY = path.join(root, '.toile/empty-app');
/** Loads of a page whose median is taken. */
const ROUNDS = 5;

/**
 * Builds the least page this platform has, and serves it as the app is served; gives its address and an end
 * to it.
 */
async function serveEmpty(): Promise<{ readonly url: string; readonly stop: () => void }> {
  const built = spawnSync('npx', ['expo', 'export', '--platform', 'web', '--output-dir', EMPTY], {
    cwd: path.join(root, 'bench/empty-app'),
    env: { ...process.env, CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (built.status !== 0) throw new Error('the empty page could not be built');
  const app = express();
  app.use(compression());
  app.use(express.static(EMPTY, { maxAge: '1y', index: 'index.html' }));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((listening) => server.once('listening', listening));
  const { port } = server.address() as AddressInfo;
  return { url: `http://127.0.0.1:${port}`, stop: () => server.close() };
}

/** Bytes of script, gzipped, that a browser fetches for a page of a built app until it is `ready`. */
async function scriptBytes(
  browser: Browser,
  url: string,
  dist: string,
  ready: (page: Page) => Promise<unknown>,
): Promise<number> {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  const fetched = new Set<string>();
  page.on('request', (request) => {
    if (request.resourceType() === 'script') fetched.add(decodeURIComponent(new URL(request.url()).pathname));
  });
  await page.goto(url);
  await ready(page);
  await context.close();
  return [...fetched].reduce((sum, file) => sum + gzipSync(readFileSync(path.join(dist, file))).length, 0);
}

type Load = { readonly cold: number; readonly warm: number };

/** How a page is loaded: the processor slowed so many times, the studio so many ms away. */
type How = { readonly rate: number; readonly awayMs: number };

const reach = (latency: number) => ({
  offline: false,
  latency,
  downloadThroughput: latency > 0 ? 500_000 : -1,
  uploadThroughput: latency > 0 ? 200_000 : -1,
});

/** After a page is there the browser keeps what it compiled of it, ms. */
const KEEPS_MS = 1_000;
/** Loads after which a browser has all it keeps. */
const KEPT_AFTER = 3;

/** From the address until `ready`, without and with what the browser kept; medians. */
async function loadMs(
  page: Page,
  url: string,
  ready: (page: Page) => Promise<unknown>,
  { rate, awayMs }: How,
): Promise<Load> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', reach(awayMs));
  const once = async (): Promise<number> => {
    await page.goto('about:blank');
    const start = performance.now();
    await page.goto(url, { waitUntil: 'commit' });
    await ready(page);
    const took = performance.now() - start;
    await page.waitForTimeout(KEEPS_MS);
    return took;
  };
  const median = async (before: () => Promise<unknown>): Promise<number> => {
    const rounds: number[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      await before();
      rounds.push(await once());
    }
    return rounds.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
  };
  const { origin } = new URL(url);
  const storageTypes = 'cache_storage,service_workers';
  const cold = await median(async () => {
    await session.send('Network.clearBrowserCache');
    await session.send('Storage.clearDataForOrigin', { origin, storageTypes });
  });
  for (let i = 0; i < KEPT_AFTER; i++) await once();
  const warm = await median(async () => undefined);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await session.send('Network.emulateNetworkConditions', reach(0));
  await session.detach();
  return { cold, warm };
}

const row = (what: string, ours: string, peer: string, ratio: number, limit: number): Row => ({
  what,
  ours,
  peer: `empty page ${peer}`,
  ratio: `${ratio.toFixed(2)} x (at most ${limit})`,
});

/**
 * What the first load weighs and how long it takes, beside the least page of the platform in the same run.
 */
export async function firstLoadRows(doorUrl: string): Promise<Row[]> {
  const empty = await serveEmpty();
  const browser = await openBrowser();
  try {
    const ours = await scriptBytes(browser, doorUrl, OURS, (p) => p.getByLabel('Email').waitFor());
    const least = await scriptBytes(browser, empty.url, EMPTY, (p) => p.getByRole('heading').waitFor());
    const rows = [
      row(
        'script until the door is drawn, gzipped',
        `${Math.round(ours / 1000)} kB`,
        `${Math.round(least / 1000)} kB`,
        ours / least,
        1.35,
      ),
    ];
    const keeping = await openKeeping();
    const page = await keeping.newPage();
    await page.goto(doorUrl);
    await signIn(page, 'owner');
    const chart = await page.evaluate(async () => {
      const today = (await (await fetch('/api/today')).json()) as { visits: { chartId: string | null }[] };
      return today.visits.find((v) => v.chartId !== null)?.chartId ?? '';
    });
    const at = new URL(page.url()).origin;
    const emptyPage = await openKeeping();
    const bare = await emptyPage.newPage();
    for (const [words, how] of [
      ['', { rate: 1, awayMs: 0 }],
      [', processor slowed four times', { rate: 4, awayMs: 0 }],
      [', 200 ms away', { rate: 1, awayMs: 200 }],
    ] as const) {
      const none = await loadMs(bare, empty.url, (p) => p.getByRole('heading').waitFor(), how);
      const today = await loadMs(page, at, (p) => p.getByText(/^Next, /).waitFor(), how);
      const opened = await loadMs(
        page,
        `${at}/charts/${chart}`,
        (p) => p.getByRole('button', { name: /^Step 1, / }).waitFor(),
        how,
      );
      for (const kind of ['cold', 'warm'] as const) {
        const peer = ms(none[kind]);
        rows.push(
          row(`Today to be read, ${kind}${words}`, ms(today[kind]), peer, today[kind] / none[kind], 1.4),
          row(
            `a chart by its address, ${kind}${words}`,
            ms(opened[kind]),
            peer,
            opened[kind] / none[kind],
            1.8,
          ),
        );
      }
    }
    rows.push(...(await placeRows(page, at)), ...(await searchRows(browser)));
    await keeping.close();
    await emptyPage.close();
    return rows;
  } finally {
    await browser.close();
    empty.stop();
  }
}

/** From a touch on a place until its heading and first row stand there, once everything has been fetched. */
async function placeRows(page: Page, at: string): Promise<Row[]> {
  await page.goto(at);
  await page.getByText(/^Next, /).waitFor();
  const took: Record<string, number[]> = {};
  for (let i = 0; i < 6; i++)
    for (const place of ['Clients', 'Looks', 'Kit', 'Parties', 'Today']) {
      const link = page.getByRole('link', { name: place, exact: true });
      const ms = await link.evaluate(async (element, name) => {
        const start = performance.now();
        (element as HTMLElement).click();
        while (document.querySelector('h1, [role=heading][aria-level="1"]')?.textContent !== name)
          await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        return performance.now() - start;
      }, place);
      // The first round fetches; it is not counted.
      if (i > 0) (took[place] ??= []).push(ms);
      await page.waitForTimeout(300);
    }
  const worst = Object.entries(took)
    .map(([place, all]) => ({ place, ms: all.sort((a, b) => a - b)[Math.floor(all.length / 2)]! }))
    .sort((a, b) => b.ms - a.ms)[0]!;
  return [
    {
      what: `from place to place, the slowest of five (${worst.place}), median`,
      ours: ms(worst.ms),
      peer: 'limit 100 ms',
      ratio: `${(100 / worst.ms).toFixed(1)} x`,
    },
  ];
}

/**
 * A kit of five thousand: from a key in its search until the list stands, and whether the list scrolls to its
 * end.
 */
async function searchRows(browser: Browser): Promise<Row[]> {
  const { page, context } = await openAs(browser, 'stranger');
  const headers = ['maker', 'line', 'shade', 'kind', 'L', 'a', 'b'];
  const text = [headers.join(',')]
    .concat(Array.from({ length: 5000 }, (_, i) => `Quoin,Sheet ${i % 40},S${i},base,${30 + (i % 50)},10,16`))
    .join('\n');
  const body = JSON.stringify({ text, mapping: guessMapping(headers), leaveOutWrong: true, owned: true });
  const status = await page.evaluate(async (sent) => {
    const answer = await fetch('/api/kit/import', {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
      body: sent,
    });
    return `${answer.status} ${(await answer.text()).slice(0, 300)}`;
  }, body);
  if (!status.startsWith('20')) throw new Error(`the large kit was not taken in: ${status}`);
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  const start = performance.now();
  await page.getByText(/of 5\d\d\d products$/).waitFor();
  const listed = performance.now() - start;
  const keys: number[] = [];
  const field = page.getByLabel('Find');
  await field.focus();
  for (const key of ['Q', 'u', 'o', 'i', 'n', ' ', 'S', '4', '9', '9']) {
    const taken = page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          addEventListener(
            'keydown',
            () => {
              const from = performance.now();
              requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from), 0));
            },
            { once: true },
          );
        }),
    );
    await page.keyboard.press(key === ' ' ? 'Space' : key);
    keys.push(await taken);
    await page.waitForTimeout(150);
  }
  await field.fill('');
  await page.getByText(/^5\d\d\d of 5\d\d\d products$/).waitFor();
  const end = await page.evaluate(async () => {
    const list = document.querySelector('[aria-label="Products"]')!;
    const scroller = [...document.querySelectorAll('div')].find(
      (d) => d.contains(list) && d.scrollHeight > d.clientHeight + 1000,
    )!;
    const from = performance.now();
    for (let i = 0; i < 400 && scroller.scrollTop + scroller.clientHeight < scroller.scrollHeight - 4; i++) {
      scroller.scrollTop = scroller.scrollHeight;
      await new Promise(requestAnimationFrame);
    }
    return { ms: performance.now() - from, text: list.textContent?.slice(-60) ?? '' };
  });
  await context.close();
  keys.sort((a, b) => a - b);
  return [
    {
      what: 'a key in the search of 5,000 products until the next frame, worst of ten',
      ours: ms(keys.at(-1)!),
      peer: 'limit 50 ms',
      ratio: `${(50 / keys.at(-1)!).toFixed(1)} x`,
    },
    { what: '5,000 products listed', ours: ms(listed), peer: '', ratio: '' },
    { what: 'that list scrolled to its end', ours: ms(end.ms), peer: '', ratio: '' },
  ];
}
