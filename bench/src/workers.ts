import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { fitLook, reviewChart, type Chart } from '@toile/core';
import { LOOKS } from '@toile/demo';
import { DEMO_PEOPLE, KITS, WEDDING } from '@toile/demo/src/corpus/ground';
import { interning } from '../../app/workers/intern';
import { medianMs, row, type Row } from './measure';

const STAMP = {
  id: '0190a000-0000-7000-8000-000000000900',
  author: '',
  at: '2031-05-01T09:00:00Z',
  reason: '',
};
const APP = path.resolve(path.dirname(new URL(import.meta.url).pathname), '../../app');

/** What it costs to ask a worker instead of the page, and to fetch it. */
export async function workerRows(): Promise<Row[]> {
  const kit = KITS.demo;
  const { chart } = fitLook(LOOKS[0]!, DEMO_PEOPLE[0]!, kit, WEDDING, STAMP);
  // A dose goes up and down, as under a thumb: all else is as it was.
  let turn = 0;
  const touched = (): Chart => ({
    ...chart,
    steps: chart.steps.map((s, i) =>
      i === 4 ? { ...s, doseMgPerCm2: s.doseMgPerCm2 * (1 + 0.01 * ++turn) } : s,
    ),
  });
  const page = medianMs(() => void reviewChart(touched(), kit));
  const known = interning();
  const sent = (made: unknown): { chart: Chart; kit: typeof kit } =>
    known(structuredClone(made)) as { chart: Chart; kit: typeof kit };
  const worker = medianMs(() => {
    const asked = sent({ chart: touched(), kit });
    reviewChart(asked.chart, asked.kit);
  });
  const copied = medianMs(() => {
    const asked = structuredClone({ chart: touched(), kit });
    reviewChart(asked.chart, asked.kit);
  });
  return [
    row(
      'a chart reviewed over a message boundary, copies known again',
      worker,
      'copies as they come',
      copied,
    ),
    row('the same', worker, 'in the page, nothing sent', page),
    await bytesRow(),
  ];
}

/** What the workers weigh as they are served, beside each built with all it uses of its own. */
async function bytesRow(): Promise<Row> {
  const built = path.join(APP, 'public/workers');
  const weigh = (bytes: Uint8Array): number => gzipSync(bytes).length / 1000;
  const ours = readdirSync(built).reduce((sum, file) => sum + weigh(readFileSync(path.join(built, file))), 0);
  const { outputFiles } = await build({
    entryPoints: ['fit', 'shade', 'paint'].map((name) => path.join(APP, `workers/${name}.worker.ts`)),
    outdir: '/unwritten',
    write: false,
    bundle: true,
    minify: true,
    format: 'esm',
    mainFields: ['browser', 'module', 'main'],
    legalComments: 'none',
    logLevel: 'error',
  });
  const apart = outputFiles.reduce((sum, { contents }) => sum + weigh(contents), 0);
  return {
    what: 'three workers, gzipped',
    ours: `${ours.toFixed(0)} kB`,
    peer: `each by itself ${apart.toFixed(0)} kB`,
    ratio: `${(apart / ours).toFixed(1)} x`,
  };
}
