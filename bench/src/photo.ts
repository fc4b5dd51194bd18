import { openAs, openBrowser } from '@toile/e2e';
import { TEMPLATE, zoneMeans, type Affine, type Picture } from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const [WIDTH, HEIGHT] = [3000, 4000];
/** Twelve pixels a millimetre: a face that fills the picture. */
const FACE: Affine = [12, 0, 0, 12, 1500, 1500];

/** All zones of a face on twelve megapixels, against reading every pixel once. */
export function zoneRows(): Row[] {
  const picture: Picture = {
    width: WIDTH,
    height: HEIGHT,
    rgba: new Uint8Array(4 * WIDTH * HEIGHT).fill(120),
  };
  let sum = 0;
  const ours = medianMs(() => (sum += zoneMeans(picture, TEMPLATE, FACE).length), 5);
  const every = medianMs(() => {
    for (let at = 0; at < picture.rgba.length; at += 4)
      sum += picture.rgba[at]! + picture.rgba[at + 1]! + picture.rgba[at + 2]!;
  }, 5);
  if (sum === 0) throw new Error('nothing was measured');
  return [row('14 half zones measured on 12 megapixels', ours, 'every pixel read once', every)];
}

type Held = { readonly took: number; readonly heldUp: number };

/** A pair of 12-megapixel photographs measured in the worker, and how long the page stood still meanwhile. */
export async function photoRows(): Promise<Row[]> {
  const browser = await openBrowser();
  try {
    const { page } = await openAs(browser, 'owner');
    // What runs benches wraps named functions in a helper the page has not got.
    await page.evaluate('globalThis.__name = (f) => f');
    const [ours, onPage] = await page.evaluate(
      async ([width, height, landmarks]) => {
        const canvas = new OffscreenCanvas(width, height);
        const ink = canvas.getContext('2d')!;
        for (let i = 0; i < 400; i++) {
          ink.fillStyle = `hsl(${(i * 7) % 360} 40% ${30 + (i % 40)}%)`;
          ink.fillRect((i % 20) * (width / 20), Math.floor(i / 20) * (height / 20), width / 20, height / 20);
        }
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
        const at = ([x, y]: readonly [number, number]): [number, number] => [12 * x + 1500, 12 * y + 1500];
        const taps = {
          pupil_right: at(landmarks.pupil_right),
          pupil_left: at(landmarks.pupil_left),
          gnathion: at(landmarks.gnathion),
        };
        /** How long the page stood still at most while some work went on. */
        const watched = async (work: () => Promise<unknown>): Promise<Held> => {
          let [last, longest, on] = [performance.now(), 0, true];
          const beat = (): void => {
            longest = Math.max(longest, performance.now() - last);
            last = performance.now();
            if (on) setTimeout(beat, 0);
          };
          beat();
          const start = performance.now();
          await work();
          const took = performance.now() - start;
          on = false;
          beat();
          return { took, heldUp: longest };
        };
        const worker = new Worker('/workers/photo.worker.js', { type: 'module' });
        const ask = (id: number): Promise<unknown> =>
          new Promise((resolve) => {
            worker.onmessage = ({ data }: MessageEvent<{ answer?: unknown; error?: string }>) =>
              ('answer' in data || 'error' in data) && resolve(data);
            const photo = { blob, taps, bare: [1500, 1900] };
            worker.postMessage({
              id,
              kind: 'cast',
              request: { day: photo, flash: photo, landmarks, skin: [60, 14, 18] },
            });
          });
        await ask(0);
        const inWorker = await watched(() => ask(1));
        worker.terminate();
        const here = await watched(async () => {
          for (let i = 0; i < 2; i++) {
            const bitmap = await createImageBitmap(blob);
            const sheet = document.createElement('canvas');
            [sheet.width, sheet.height] = [bitmap.width, bitmap.height];
            const pen = sheet.getContext('2d')!;
            pen.drawImage(bitmap, 0, 0);
            pen.getImageData(0, 0, bitmap.width, bitmap.height);
          }
        });
        return [inWorker, here] as const;
      },
      [WIDTH, HEIGHT, TEMPLATE] as const,
    );
    return [
      row(
        'a pair of 12-megapixel photographs measured in a worker',
        ours.took,
        'only unpacked, on the page',
        onPage.took,
      ),
      row('the page stood still meanwhile, at most', ours.heldUp, 'unpacked on the page', onPage.heldUp),
      {
        what: 'the same',
        ours: ms(ours.heldUp),
        peer: 'limit 50 ms',
        ratio: `${(50 / ours.heldUp).toFixed(1)} x`,
      },
    ];
  } finally {
    await browser.close();
  }
}
