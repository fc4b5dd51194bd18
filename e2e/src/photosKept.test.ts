import { holdsCameraNotes, pictureSize, type Chart, type Lab } from '@toile/core';
import { newId } from '@toile/contract';
import type { Browser, Page } from 'playwright-core';
import { eventually, more, openAs, openBrowser, openClient, PHONE, shot, tabTo, WIDE } from './browser';
import { facePicture, keepPicture, keptOf, linearOf, sitterWithChart } from './facePicture';

// Photographs the studio keeps: sent smaller and without the camera's notes, seen on another phone, gone with
// the consent.
let browser: Browser;
let page: Page;
let other: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'owner', PHONE));
  ({ page: other } = await openAs(browser, 'artist', PHONE, 'dark'));
});
afterAll(async () => {
  await keepsWith(page, 'on the device that took them');
  await browser.close();
});

const NAME = 'Odalys Brandreth';
const CLIENT = newId();
const SKIN: Lab = [28, 11, 15];
const button = (on: Page, name: string | RegExp) =>
  on.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name });
async function keepsWith(on: Page, words: string): Promise<void> {
  await on.goto(new URL('/settings', on.url()).toString());
  const choice = on
    .getByRole('radiogroup', { name: 'Photographs clients agreed to are kept' })
    .getByRole('radio', { name: words, exact: true });
  await choice.click();
  await eventually(async () => (await choice.getAttribute('aria-checked')) === 'true');
}
const kept = (on: Page, count: number) =>
  on.getByRole('group', { name: 'Kept photographs' }).getByText(`${count} kept`).waitFor();
let chart: Chart;
/** What the studio holds of the chart: each picture's bytes. */
const held = async (): Promise<Uint8Array[]> => {
  const all = await page.evaluate(async (id) => {
    const { photographs } = (await (await fetch(`/api/charts/${id}/photographs`)).json()) as {
      photographs: { id: string }[];
    };
    return Promise.all(
      photographs.map(async (one) => [
        ...new Uint8Array(await (await fetch(`/api/photographs/${one.id}`)).arrayBuffer()),
      ]),
    );
  }, chart.id);
  return all.map((bytes) => Uint8Array.from(bytes));
};

test('the owner says the studio keeps them, and the button says where a photograph goes', async () => {
  await keepsWith(page, 'with the studio');
  chart = await sitterWithChart(page, {
    id: CLIENT,
    name: NAME,
    skin: SKIN,
    said: { consult: { photos: 'for the studio alone' } },
  });
  await page.getByText('Kept with the studio, made smaller', { exact: false }).waitFor();
});

/** The same picture as a camera saves it: a JPEG that says where it was taken. */
async function asTaken(picture: Buffer): Promise<Buffer> {
  const letters = await page.evaluate(async (png) => {
    const bytes = Uint8Array.from(atob(png), (letter) => letter.charCodeAt(0));
    const image = await createImageBitmap(new Blob([bytes], { type: 'image/png' }));
    const canvas = new OffscreenCanvas(image.width * 4, image.height * 4);
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
    return [...new Uint8Array(await blob.arrayBuffer())];
  }, picture.toString('base64'));
  const note = Buffer.from('Exif\0\0GPS 38.7 N 9.1 W');
  const segment = Buffer.concat([Buffer.from([0xff, 0xe1, 0, note.length + 2]), note]);
  const plain = Buffer.from(letters);
  return Buffer.concat([plain.subarray(0, 2), segment, plain.subarray(2)]);
}

test('kept with the studio it is no longer on the phone, is made smaller, and says nothing of the place', async () => {
  const { landmarks } = chart.client;
  const bare = linearOf(SKIN);
  const taken = await asTaken(await facePicture(page, landmarks, () => bare, bare, [1, 1, 1]));
  expect(holdsCameraNotes(taken)).toBe(true);
  expect(pictureSize(taken)!.height).toBe(3040);
  await keepPicture(page, landmarks, taken, 'daylight', 'Keep it with the studio');
  await kept(page, 1);
  await page.getByText('With the studio', { exact: true }).waitFor();
  expect(await keptOf(page, CLIENT)).toBe(0);
  const [there, ...rest] = await held();
  expect(rest).toEqual([]);
  expect(holdsCameraNotes(there!)).toBe(false);
  expect(pictureSize(there!)).toEqual({ width: 1263, height: 1600 });
  await shot(page, 'studio-keeps');
});

test('without a network it stays on this phone and says so; a touch sends it later', async () => {
  const { landmarks } = chart.client;
  const bare = linearOf(SKIN);
  const picture = await facePicture(page, landmarks, () => bare, bare, [1.1, 1.1, 1.1]);
  await page.route('**/api/charts/*/photographs', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await keepPicture(page, landmarks, picture, 'flash', 'Keep it with the studio');
  await page.getByText('▲ It is on this device and not with the studio yet.', { exact: false }).waitFor();
  await kept(page, 2);
  expect(await keptOf(page, CLIENT)).toBe(1);
  expect(await held()).toHaveLength(1);
  await shot(page, 'not-sent-yet');
  await page.unroute('**/api/charts/*/photographs');
  await button(page, /^Keep with the studio: the photograph of .*, flash$/).click();
  await eventually(async () => (await keptOf(page, CLIENT)) === 0);
  await kept(page, 2);
  expect(await held()).toHaveLength(2);
});

test('another phone sees both and measures them; dropped there after it was asked, it is gone here', async () => {
  await openClient(other, NAME);
  await other
    .getByRole('link', { name: /^Harbour Morning/ })
    .first()
    .click();
  await more(other, 'Photographs');
  await kept(other, 2);
  await button(other, 'Measure the pair').click();
  await other.getByRole('table', { name: 'What the flash threw back' }).waitFor();
  await shot(other, 'other-phone-dark');
  await other.setViewportSize(WIDE);
  await shot(other, 'kept-wide-dark');
  await other.setViewportSize(PHONE);
  await button(other, /^Drop the photograph of .*, flash$/).click();
  const asked = other.getByRole('dialog', { name: 'Drop it for everybody?' });
  await asked.getByRole('button', { name: 'Close' }).click();
  await kept(other, 2);
  // By keys alone.
  await tabTo(other, /^Drop the photograph of .*, flash$/);
  await other.keyboard.press('Enter');
  await asked.waitFor();
  await tabTo(other, /^Drop it$/);
  await other.keyboard.press('Enter');
  await kept(other, 1);
  await page.reload();
  await kept(page, 1);
});

test('taken back in the first talk, none is left anywhere', async () => {
  await openClient(page, NAME);
  await page.getByRole('link', { name: 'Ask at the table' }).click();
  await page
    .getByRole('radiogroup', { name: 'Photographs of your face' })
    .getByRole('radio', { name: 'none', exact: true })
    .click();
  await button(page, 'Keep what was said').click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  expect(await held()).toEqual([]);
  await other.reload();
  await other.getByText(`${NAME} does not want photographs.`, { exact: false }).waitFor();
});

test('nothing was complained of on the way', () =>
  expect(complaints.filter((one) => !one.includes('ERR_FAILED'))).toEqual([]));
