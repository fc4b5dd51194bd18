// npm run lighthouse: how a phone's first visit is marked on the door, Today and a chart; medians of three.
// Lighthouse brings two hundred packages nothing else needs, so it is fetched when this is first run, into
// .toile.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './lib/paths.mjs';
import { ended, run } from './lib/run.mjs';
import { withServedDemo } from './lib/served.mjs';

const VERSION = '12.8.2';
const AT_LEAST = { performance: 85, accessibility: 100, 'best-practices': 100, seo: 100 };
const ROUNDS = 3;

const home = path.join(root, '.toile/lighthouse');
const installed = path.join(home, 'node_modules/lighthouse');
if (!existsSync(installed))
  run('npm', ['install', '--prefix', home, '--no-save', '--ignore-scripts', `lighthouse@${VERSION}`]);
const { default: lighthouse } = await import(pathToFileURL(path.join(installed, 'core/index.js')).href);

await withServedDemo('toile_lighthouse', async (url) => {
  const cookie = await signIn(url);
  const { visits } = await (await fetch(`${url}/api/today`, { headers: { cookie } })).json();
  const chart = visits.find((visit) => visit.chartId)?.chartId;
  const browser = await openBrowser();
  try {
    const pages = [
      ['the door', '/', undefined],
      ['Today', '/', { Cookie: cookie }],
      ['a chart', `/charts/${chart}`, { Cookie: cookie }],
    ];
    for (const [name, address, extraHeaders] of pages) {
      const marks = [];
      for (let round = 0; round < ROUNDS; round++)
        marks.push(await marksOf(`${url}${address}`, browser.port, extraHeaders));
      tell(name, marks);
    }
  } finally {
    await browser.close();
  }
});

async function signIn(url) {
  const [{ email, password }] = JSON.parse(
    readFileSync(path.join(root, '.toile/demo/sign-ins.json'), 'utf8'),
  );
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  if (!answer.ok) throw new Error(`signing in was answered ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
}

/** A browser of its own to be driven from outside, and the port it listens on. */
async function openBrowser() {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'toile-lighthouse-'));
  const child = spawn(
    '/usr/bin/chromium',
    [
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
    ],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const port = await new Promise((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`the browser ended with ${code} before it listened`)));
    child.stderr.on('data', (text) => {
      const found = /ws:\/\/127\.0\.0\.1:(\d+)\//.exec(String(text));
      if (found) resolve(Number(found[1]));
    });
  });
  const close = async () => {
    child.kill('SIGTERM');
    await ended(child);
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 });
  };
  return { port, close };
}

/** Marks of one visit by category, of 100, and what lost some where all are wanted. */
async function marksOf(address, port, extraHeaders) {
  const { lhr } = await lighthouse(address, {
    port,
    logLevel: 'error',
    onlyCategories: Object.keys(AT_LEAST),
    extraHeaders,
  });
  if (lhr.runtimeError) throw new Error(`${address}: ${lhr.runtimeError.message}`);
  const lost = Object.values(lhr.categories)
    .filter(({ id }) => AT_LEAST[id] === 100)
    .flatMap(({ auditRefs }) => auditRefs)
    .filter(({ id, weight }) => weight > 0 && lhr.audits[id].score !== null && lhr.audits[id].score < 1)
    .map(({ id }) => lhr.audits[id].title);
  const of = (id) => Math.round(lhr.categories[id].score * 100);
  return { marks: Object.fromEntries(Object.keys(AT_LEAST).map((id) => [id, of(id)])), lost };
}

function tell(name, all) {
  const median = (id) => all.map(({ marks }) => marks[id]).sort((a, b) => a - b)[Math.floor(all.length / 2)];
  const words = Object.entries(AT_LEAST).map(([id, least]) => {
    const got = median(id);
    return `${id} ${got}${got < least ? ` (at least ${least} wanted)` : ''}`;
  });
  console.log(`${name}: ${words.join(', ')}`);
  for (const title of new Set(all.flatMap(({ lost }) => lost))) console.log(`  ${title}`);
}
