import { buildSync } from 'esbuild';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { guessMapping } from '@toile/core';
import { ProblemError } from '../src/http/problem';
import { printed, type PrintJob } from '../src/print/jobs';
import { readKitList, type KitList } from '../src/kit/kitList';
import { openPress, type Press } from '../src/print/press';
import { demo } from './testServer';

// Inside the project, so that what the worker needs is found from there.
const state = path.resolve(__dirname, '../../.toile');
let folder: string;
let worker: string;
let press: Press;
beforeAll(() => {
  mkdirSync(state, { recursive: true });
  folder = mkdtempSync(path.join(state, 'press-'));
  worker = path.join(folder, 'press.mjs');
  buildSync({
    entryPoints: [path.resolve(__dirname, '../src/print/pressWorker.ts')],
    outfile: worker,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['pdfkit', 'qrcode'],
    logLevel: 'error',
  });
  press = openPress(worker);
});
afterAll(async () => {
  await press.stop();
  rmSync(folder, { recursive: true, force: true });
});

const [chart] = demo.charts;
const svg: PrintJob = { kind: 'chart', chart: chart!, as: 'svg', paper: 'a4', colour: true, cautions: true };
/** A worker of a few words, to be slow, to grow or to break on purpose. */
const workerOf = (words: string): string => {
  const file = path.join(folder, `${words.length}-${words.replace(/\W+/g, '').slice(0, 20)}.mjs`);
  writeFileSync(file, `export default ${words};`);
  return file;
};
const busy = (work: Promise<unknown>): Promise<void> =>
  work.then(
    () => Promise.reject(new Error('it was made')),
    (error: unknown) => {
      expect(error).toBeInstanceOf(ProblemError);
      expect((error as ProblemError).problem).toMatchObject({ code: 'busy', status: 503 });
    },
  );

test('what a thread prints is what is printed here, letter for letter', async () => {
  const [there, here] = await Promise.all([press.print(svg), printed(svg)]);
  expect(there.equals(here)).toBe(true);
  const pdf = await press.print({ ...svg, as: 'pdf' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.subarray(-6).toString().trim()).toBe('%%EOF');
});

test('a list of ten thousand products is read in a thread as it is here, and this one goes on', async () => {
  const headers = ['maker', 'line', 'shade', 'kind', 'L', 'a', 'b'];
  const rows = Array.from({ length: 10_000 }, (_, i) =>
    ['Quoin', `Sheet ${i % 40}`, `S${i}`, i % 50 === 7 ? 'wig' : 'base', 30 + (i % 50), 10, 16].join(),
  );
  const job = {
    text: [headers.join(), ...rows].join('\n'),
    mapping: guessMapping(headers),
    kit: { products: [], units: [] },
    owned: true,
  };
  let turns = 0;
  const turning = setInterval(() => turns++, 1);
  const there = JSON.parse(String(await press.print({ kind: 'kit-list', ...job }))) as KitList;
  clearInterval(turning);
  expect(turns).toBeGreaterThan(40);
  expect(there).toEqual(JSON.parse(JSON.stringify(readKitList(job))));
  expect([there.good.length, there.wrong.length, there.wrongCount]).toEqual([9_800, 200, 200]);
  expect(there.wrong[0]).toMatchObject({ line: 9, problems: [{ column: 'kind' }] });
});

test('a zip holds the files as they are and each chart as PDF', async () => {
  const zip = await press.print({
    kind: 'zip',
    files: new Map([['words.txt', 'as they are']]),
    charts: new Map([['charts/one.pdf', chart!]]),
  });
  expect(zip.subarray(0, 2).toString()).toBe('PK');
  expect(zip.toString('latin1')).toContain('charts/one.pdf');
});

test('many at once all come out, in threads of their own while this one goes on', async () => {
  let turns = 0;
  const turning = setInterval(() => turns++, 1);
  const all = await Promise.all(Array.from({ length: 8 }, () => press.print({ ...svg, as: 'pdf' })));
  clearInterval(turning);
  expect(all.every((one) => one.length > 10_000)).toBe(true);
  // Printed here this thread would have turned a few times only, between one chart and the next.
  expect(turns).toBeGreaterThan(40);
});

test('more than may wait are told to come again, and those that wait are made', async () => {
  const slow = openPress(workerOf('() => new Promise((r) => setTimeout(() => r(new Uint8Array(3)), 300))'), {
    threads: 1,
    waiting: 2,
  });
  const taken = [slow.print(svg), slow.print(svg), slow.print(svg)];
  await busy(slow.print(svg));
  expect((await Promise.all(taken)).map((one) => one.length)).toEqual([3, 3, 3]);
  await slow.stop();
});

test('what never ends is ended, what grows without end too, and the next one is made', async () => {
  const endless = openPress(
    workerOf('({ job }) => { if (job.kind === "chart") for (;;); return new Uint8Array(1); }'),
    {
      ms: 400,
      threads: 1,
    },
  );
  const labels: PrintJob = { kind: 'zip', files: new Map(), charts: new Map() };
  await busy(endless.print(svg));
  expect(await endless.print(labels)).toHaveLength(1);
  await endless.stop();
  const growing = openPress(
    workerOf(
      '({ job }) => { const all = []; while (job.kind === "chart") all.push(new Array(1e5).fill({})); return new Uint8Array(2); }',
    ),
    { megabytes: 32, threads: 1, ms: 15_000 },
  );
  await busy(growing.print(svg));
  expect(await growing.print(labels)).toHaveLength(2);
  await growing.stop();
});

test('what breaks is told as what it is, not as busy', async () => {
  const broken = openPress(workerOf('() => { throw new TypeError("no paper"); }'));
  await expect(broken.print(svg)).rejects.toThrow('no paper');
  await broken.stop();
});
