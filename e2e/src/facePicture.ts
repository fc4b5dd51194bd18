import type { Page } from 'playwright-core';
import {
  labToSrgb,
  linearChannel,
  mapped,
  PLAIN_FEATURES,
  trialZoneOutlines,
  TRIAL_ZONES,
  type Affine,
  type Chart,
  type Lab,
  type Landmarks,
  type Point,
  type TrialZone,
} from '@toile/core';
import { newId } from '@toile/contract';
import { eventually, more, openClient } from './browser';

/** How a generated picture shows a face: 600 by 760 pixels, three a millimetre. */
const CAMERA: Affine = [3, 0, 0, 3, 300, 310];
const SIZE = [600, 760] as const;
/** Where it shows skin without make-up. */
const BARE: Point = [40, 40];
type Linear = readonly [r: number, g: number, b: number];

const hex = (rgb: Linear): string =>
  `#${rgb
    .map((v) => Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)))
    .map((v) => Math.max(0, Math.min(255, v)).toString(16).padStart(2, '0'))
    .join('')}`;

/**
 * A picture of a face in flat colours: bare skin in a corner, and each zone as a camera with these gains sees
 * it.
 */
export async function facePicture(
  page: Page,
  landmarks: Landmarks,
  zoneColour: (zone: TrialZone) => Linear,
  bare: Linear,
  gains: Linear,
): Promise<Buffer> {
  const seen = (c: Linear): string => hex([c[0] * gains[0], c[1] * gains[1], c[2] * gains[2]]);
  const shapes = TRIAL_ZONES.flatMap((zone) =>
    trialZoneOutlines(zone, landmarks).map((outline) => ({
      colour: seen(zoneColour(zone)),
      points: outline.map((p) => mapped(CAMERA, p)),
    })),
  );
  const base64 = await page.evaluate(
    ({ size, ground, spot, all }) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = size;
      const ink = canvas.getContext('2d')!;
      ink.fillStyle = ground;
      ink.fillRect(0, 0, canvas.width, canvas.height);
      for (const { colour, points } of all) {
        ink.fillStyle = colour;
        ink.beginPath();
        for (const [x, y] of points) ink.lineTo(x!, y!);
        ink.fill();
      }
      ink.fillStyle = spot;
      ink.fillRect(0, 0, 80, 80);
      return canvas.toDataURL('image/png').split(',')[1]!;
    },
    {
      size: [...SIZE] as [number, number],
      ground: '#777777',
      spot: seen(bare),
      all: shapes.map(({ colour, points }) => ({ colour, points: points.map((p) => [...p]) })),
    },
  );
  return Buffer.from(base64, 'base64');
}

/** Chooses a generated picture and taps where the face lies on it, as a thumb would. */
export async function keepPicture(
  page: Page,
  landmarks: Landmarks,
  picture: Buffer,
  light: 'daylight' | 'flash',
  keep = 'Keep it on this device',
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a photograph', exact: true }).click(),
  ]);
  await chooser.setFiles({ name: `${light}.png`, mimeType: 'image/png', buffer: picture });
  await page.getByRole('radiogroup', { name: 'Light' }).getByRole('radio', { name: light }).click();
  const photo = page.getByRole('img', { name: 'The photograph to be kept' });
  await photo.waitFor();
  const places: readonly (readonly [words: RegExp, at: Point])[] = [
    [/^the middle of the client’s right pupil.*: move it/, mapped(CAMERA, landmarks.pupil_right)],
    [/^the middle of the client’s left pupil: move it/, mapped(CAMERA, landmarks.pupil_left)],
    [/^the underside of the chin: move it/, mapped(CAMERA, landmarks.gnathion)],
    [/^skin without make-up.*: move it/, BARE],
  ];
  for (const [words, [x, y]] of places) {
    await eventually(async () => {
      const box = await photo.boundingBox();
      if (!box) return false;
      const at = box.y + (y / SIZE[1]) * box.height;
      // Clear of the head of the page and of its foot.
      if (at > 200 && at < 640) return true;
      await page.mouse.move(200, 400);
      await page.mouse.wheel(0, at - 420);
      return false;
    });
    const box = (await photo.boundingBox())!;
    await page.mouse.click(box.x + (x / SIZE[0]) * box.width, box.y + (y / SIZE[1]) * box.height);
    await page.getByRole('button', { name: words }).waitFor();
  }
  await page.getByRole('button', { name: keep, exact: true }).click();
  await page.getByRole('button', { name: keep, exact: true }).waitFor({ state: 'detached' });
}

/** How many photographs this device keeps of a client. */
export const keptOf = (page: Page, clientId: string): Promise<number> =>
  page.evaluate(
    (id) =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('toile-photos');
        opening.onsuccess = () => {
          const names = opening.result.transaction('photos').objectStore('photos').getAllKeys();
          names.onsuccess = () => {
            resolve(names.result.filter((name) => String(name).startsWith(`${id}/`)).length);
            opening.result.close();
          };
        };
        // No photograph was ever kept here.
        opening.onupgradeneeded = () => opening.transaction?.abort();
        opening.onerror = () => resolve(0);
      }),
    clientId,
  );

/** A colour as light, as pictures are mixed of. */
export function linearOf(lab: Lab): [number, number, number] {
  const [r, g, b] = labToSrgb(lab).map(linearChannel);
  return [r!, g!, b!];
}

type Sitter = { readonly id: string; readonly name: string; readonly skin: Lab; readonly said?: object };

/** A client who was read, with a look fitted and saved; the page of the chart's photographs is open. */
export async function sitterWithChart(
  page: Page,
  { id, name, skin, said: known = {} }: Sitter,
): Promise<Chart> {
  const post = (path: string, body: unknown): Promise<number> =>
    page.evaluate(
      async ([to, sent]) =>
        (
          await fetch(to!, {
            method: 'POST',
            headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
            body: sent!,
          })
        ).status,
      [`/api${path}`, JSON.stringify(body)],
    );
  const said = { id, name, features: PLAIN_FEATURES, measurements: { faceLength: 184 }, ...known };
  expect(await post('/clients', said)).toBe(201);
  const reading = {
    id: newId(),
    at: new Date(Date.now() - 60_000).toISOString(),
    source: 'typed',
    zones: Object.fromEntries(['cheek', 'neck', 'forehead'].map((zone) => [zone, [skin, skin, skin]])),
    extras: [],
  };
  expect(await post(`/clients/${id}/readings`, reading)).toBe(201);
  await openClient(page, name);
  await page.getByRole('button', { name: 'Fit a look', exact: true }).click();
  await page
    .getByRole('button', { name: /^Harbour Morning/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Save version 1', exact: true }).click();
  await page.waitForURL(/\/charts\/[0-9a-f-]{36}$/);
  const chart = await page.evaluate(
    async (path) => ((await (await fetch(path)).json()) as { chart: Chart }).chart,
    `/api/charts/${page.url().split('/').at(-1)!}`,
  );
  await more(page, 'Photographs');
  return chart;
}
