import { shiftDepth, type Chart, type Lab } from '@toile/core';
import { newId } from '@toile/contract';
import type { Browser, Page } from 'playwright-core';
import { more, openAs, openBrowser, openClient, PHONE, shot, tabTo, WIDE } from './browser';
import { facePicture, keepPicture, keptOf, linearOf, sitterWithChart } from './facePicture';

// Photographs: none without consent, kept on the device, a flash measured against daylight, gone with the
// client.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'owner', PHONE));
});
afterAll(() => browser.close());

const NAME = 'Wilhelmina Storr';
const SKIN: Lab = [46, 15, 22];
const CLIENT = newId();
const button = (name: string | RegExp) =>
  page.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name });
let chart: Chart;

const BARE = linearOf(SKIN);
const MADE = linearOf(shiftDepth(SKIN, 0.3));

test('a client with a chart, and nobody asked about photographs', async () => {
  chart = await sitterWithChart(page, { id: CLIENT, name: NAME, skin: SKIN });
  await page.getByText(`Nobody has asked ${NAME} yet.`, { exact: false }).waitFor();
  expect(await button('Choose a photograph').count()).toBe(0);
  await shot(page, 'no-consent');
});

test('refused in the first talk it is refused here; agreed to, it may begin', async () => {
  const say = async (answer: string): Promise<void> => {
    await button('To the first talk').click();
    await page
      .getByRole('radiogroup', { name: 'Photographs of your face' })
      .getByRole('radio', { name: answer, exact: true })
      .click();
    await button('Keep what was said').click();
    await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
    await page
      .getByRole('link', { name: /^Harbour Morning/ })
      .first()
      .click();
    await more(page, 'Photographs');
  };
  await say('none');
  await page.getByText(`${NAME} does not want photographs.`, { exact: false }).waitFor();
  await say('for the studio alone');
  await button('Choose a photograph').waitFor();
});

test('what is no photograph, or far too large, is refused with what to do', async () => {
  const choose = async (name: string, buffer: Buffer): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button('Choose a photograph').click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'image/png', buffer });
  };
  await choose('note.png', Buffer.from('not a picture at all, however it is called'));
  await page.getByText(/^▲ This is no photograph that can be read here: choose a JPEG or a PNG/).waitFor();
  const huge = Buffer.alloc(40);
  huge.writeUInt32BE(0x89504e47, 0);
  huge.writeUInt32BE(0x49484452, 12);
  huge.writeUInt32BE(10_000, 16);
  huge.writeUInt32BE(8000, 20);
  await choose('huge.png', huge);
  await page.getByText(/^▲ The photograph has 80 megapixels; up to 40 can be read here/).waitFor();
});

test('a pair of pictures: where the flash threw white back it says so, where the face was only nearer it does not', async () => {
  const { landmarks } = chart.client;
  const added = 0.07;
  const white = (c: number): number => 1.2 * (c + added * (1 - c) ** 2);
  const day = await facePicture(page, landmarks, () => MADE, BARE, [0.95, 0.8, 0.6]);
  const flash = await facePicture(
    page,
    landmarks,
    (zone) =>
      zone === 'forehead'
        ? [white(MADE[0]), white(MADE[1]), white(MADE[2])]
        : [1.2 * MADE[0], 1.2 * MADE[1], 1.2 * MADE[2]],
    BARE,
    [0.7, 0.75, 0.9],
  );
  await page
    .getByText('Tap the middle of the client’s right pupil', { exact: false })
    .waitFor({ state: 'detached' });
  await keepPicture(page, landmarks, day, 'daylight');
  await page.getByText('Still needed: one with the flash, each with a bare place tapped.').waitFor();
  await keepPicture(page, landmarks, flash, 'flash');
  await button('Measure the pair').click();
  const row = (zone: string) =>
    page.getByRole('table', { name: 'What the flash threw back' }).getByRole('row').filter({ hasText: zone });
  await row('Forehead')
    .getByText(/^▲ white: \d+\.\d lighter than by day$/)
    .waitFor();
  for (const zone of ['Nose', 'Chin', 'Cheek'])
    await row(zone)
      .getByText(/^nothing$|does not show$/)
      .waitFor();
  await shot(page, 'flash');
  await row('Neck').scrollIntoViewIfNeeded();
  await shot(page, 'flash-table');
  await page.setViewportSize(WIDE);
  await page.emulateMedia({ colorScheme: 'dark' });
  await row('Forehead').waitFor();
  await shot(page, 'flash-wide-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize(PHONE);
});

test('what it showed is noted as a product’s own grade, and the kit says by what', async () => {
  const note = button(/^Note it: /).first();
  const name = (await note.getAttribute('aria-label'))!.replace('Note it: ', '');
  await note.click();
  await button(`Noted: ${name}`).waitFor();
  const kept = await page.evaluate(async () => {
    const { products } = (await (await fetch('/api/kit')).json()) as {
      products: { maker: string; line: string; shade: string; flashGrade?: number }[];
    };
    return products.map((p) => ({ name: `${p.maker} ${p.line} ${p.shade}`, grade: p.flashGrade }));
  });
  expect(kept.find((p) => p.name === name)!.grade).toBeGreaterThanOrEqual(0);
});

test('by keys alone: the picture is reached, a place put in its middle, moved in small steps and large, and kept', async () => {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    tabTo(page, /^Choose a photograph$/).then(() => page.keyboard.press('Enter')),
  ]);
  const { landmarks } = chart.client;
  const picture = await facePicture(page, landmarks, () => MADE, BARE, [1, 1, 1]);
  await chooser.setFiles({ name: 'keys.png', mimeType: 'image/png', buffer: picture });
  await page.getByRole('img', { name: 'The photograph to be kept' }).waitFor();
  const put = async (words: RegExp, keys: readonly string[]): Promise<void> => {
    await tabTo(page, /^The photo: tap the place/);
    await page.keyboard.press('Enter');
    await tabTo(page, words);
    for (const key of keys) await page.keyboard.press(key);
  };
  const place = (words: RegExp) =>
    page.getByRole('button', { name: words }).evaluate((e) => [e.style.left, e.style.top]);
  await put(/^the middle of the client’s right pupil.*: move it/, [
    'Shift+ArrowLeft',
    'Shift+ArrowLeft',
    'Shift+ArrowLeft',
    'ArrowUp',
  ]);
  // 600 by 760 pixels: thirty to the left of the middle, one above it.
  expect(await place(/^the middle of the client’s right pupil.*: move it/)).toEqual(['45%', '49.8684%']);
  await put(/^the middle of the client’s left pupil: move it/, [
    'Shift+ArrowRight',
    'Shift+ArrowRight',
    'Shift+ArrowRight',
  ]);
  await put(
    /^the underside of the chin: move it/,
    Array.from({ length: 12 }, () => 'Shift+ArrowDown'),
  );
  await tabTo(page, /^Keep it on this device$/);
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: 'Kept photographs' }).getByText('3 kept').waitFor();
  await button(/^Drop the photograph of .*, daylight$/)
    .first()
    .click();
  await page.getByRole('group', { name: 'Kept photographs' }).getByText('2 kept').waitFor();
});

test('they outlive the page, one is dropped by its button, and all are gone with the client', async () => {
  await page.reload();
  await page.getByRole('group', { name: 'Kept photographs' }).getByText('2 kept').waitFor();
  expect(await keptOf(page, CLIENT)).toBe(2);
  await button(/^Drop the photograph of .*, flash$/).click();
  await page.getByRole('group', { name: 'Kept photographs' }).getByText('1 kept').waitFor();
  await openClient(page, NAME);
  await button(/^Erase/).click();
  await page.getByLabel(`Write ${NAME}`).fill(NAME);
  await button('Erase for good').click();
  await page.waitForURL(/\/clients$/);
  await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
  expect(await keptOf(page, CLIENT)).toBe(0);
});

test('nothing was complained of on the way', () => expect(complaints).toEqual([]));
