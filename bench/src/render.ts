import path from 'node:path';
import { build } from 'esbuild';
import { openBrowser } from '@toile/e2e';
import { row, type Row } from './measure';

type Measured = {
  readonly fullMs: number;
  readonly localMs: number;
  readonly fullReferenceMs: number;
  readonly localReferenceMs: number;
  readonly layers: number;
  readonly size: string;
};

/** The painted face in Chromium's own worker, against the 36-band reference in the same worker. */
export async function renderRows(): Promise<Row[]> {
  const entry = path.resolve(path.dirname(new URL(import.meta.url).pathname), 'render.worker.ts');
  const { outputFiles } = await build({
    entryPoints: [entry],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    logLevel: 'error',
  });
  const browser = await openBrowser();
  try {
    const page = await browser.newPage();
    const measured = await page.evaluate(
      (code) =>
        new Promise<Measured>((resolve, reject) => {
          const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
          worker.onmessage = ({ data }: MessageEvent<Measured>) => resolve(data);
          worker.onerror = (event) => reject(new Error(event.message));
        }),
      outputFiles[0]!.text,
    );
    const { fullMs, localMs, fullReferenceMs, localReferenceMs, layers, size } = measured;
    return [
      row(`painted face ${size}, ${layers} layers, whole`, fullMs, '36 bands', fullReferenceMs),
      row('the same, one local layer changed', localMs, '36 bands, that place', localReferenceMs),
    ];
  } finally {
    await browser.close();
  }
}
