import type { Browser, Page } from 'playwright-core';
import catalogue from '../../packages/languages/src/id.json';
import { baseUrl, eventually, openAs, openBrowser, openContext, PEOPLE, PHONE } from './browser';
import { drawn, findIds, PAGES, type Ids } from './pages';

// The app in Indonesian: chosen on a device, and then nothing on any page is left in English that is a
// message.
let browser: Browser;
beforeAll(async () => void (browser = await openBrowser()));
afterAll(() => browser.close());

const TOLD: Readonly<Record<string, string>> = catalogue;
const INDONESIAN = { name: 'toile-language', value: 'id' };

const literal = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const VALUE = /\{\{\d+\}\}/;
/**
 * English messages as they would be read: each form of a number by itself. A message of one word may be data
 * by chance.
 */
const ENGLISH = Object.entries(TOLD)
  .filter(([key, told]) => key !== told)
  .flatMap(([key]) => key.split('|'))
  .map((key) => key.replace(/_(skin|theme|column|layer)$/, '').trim())
  .filter(
    (key) =>
      (
        key
          .split(VALUE)
          .join(' ')
          .match(/\p{L}{2,}/gu) ?? []
      ).length >= 2,
  )
  .map((key) => new RegExp(`^${key.split(VALUE).map(literal).join('.+')}$`, 'u'));

/** Everything a page says to a reader, or to a screen reader. */
const saidBy = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = new Set<string>();
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement;
      if (parent && !parent.closest('script,style,noscript')) said.add(walker.currentNode.textContent ?? '');
    }
    for (const e of document.querySelectorAll('[aria-label],[placeholder],[title],[alt],[aria-description]'))
      for (const name of ['aria-label', 'placeholder', 'title', 'alt', 'aria-description'])
        said.add(e.getAttribute(name) ?? '');
    return [...said].map((text) => text.trim()).filter((text) => text !== '');
  });

describe('in Indonesian', () => {
  let page: Page;
  let ids: Ids;
  /** What studios wrote themselves: every text of every answer. */
  const written = new Set<string>();
  beforeAll(async () => {
    const opened = await openAs(browser, 'owner', PHONE);
    page = opened.page;
    ids = await findIds(page);
    await opened.context.addCookies([{ ...INDONESIAN, url: baseUrl() }]);
    const keep = (value: unknown): void => {
      if (typeof value === 'string') written.add(value.trim());
      else if (value !== null && typeof value === 'object') Object.values(value).forEach(keep);
    };
    page.on('response', (response) => {
      if (response.url().includes('/api/') && response.headers()['content-type']?.includes('json'))
        void response.json().then(keep, () => undefined);
    });
  });
  afterAll(() => page.context().close());

  test.each(PAGES)('%s', async (_name, path) => {
    await page.goto(`${baseUrl()}${path(ids)}`);
    await drawn(page);
    const left = (await saidBy(page)).filter(
      (text) => !written.has(text.replace(/^[▲■✓] /, '')) && ENGLISH.some((one) => one.test(text)),
    );
    expect(left).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.lang)).toBe('id');
  });
});

test('it is what the browser asks for, and what is chosen is kept', async () => {
  const context = await openContext(browser, { viewport: PHONE, locale: 'id-ID', serviceWorkers: 'block' });
  const door = await context.newPage();
  await door.goto(baseUrl());
  await door.getByLabel('Surel').fill(PEOPLE.artist.email);
  await door.getByLabel('Sandi').fill('not this one');
  await door.getByRole('button', { name: 'Masuk' }).click();
  await door.getByRole('alert').getByText('Surel dan sandi tidak cocok.').waitFor();

  // By its own name, whichever is spoken; with the key.
  await door.getByRole('radio', { name: 'English' }).focus();
  await door.keyboard.press('Space');
  await door.getByLabel('Email').fill(PEOPLE.artist.email);
  await door.getByLabel('Password').fill(PEOPLE.artist.password);
  await door.getByRole('button', { name: 'Sign in' }).click();
  await door.getByRole('heading', { name: 'Today' }).waitFor();
  await door.reload();
  await door.getByRole('heading', { name: 'Today' }).waitFor();

  await door.goto(`${baseUrl()}/settings`);
  await door.getByRole('radio', { name: 'Bahasa Indonesia' }).click();
  await door.getByRole('heading', { name: 'Pengaturan' }).waitFor();
  await door
    .getByRole('radio', { name: '✓ Bahasa Indonesia' })
    .or(door.getByText('✓ Bahasa Indonesia'))
    .waitFor();
  await context.close();
});

test('without a network the app is still read in it', async () => {
  const { context, page } = await openAs(browser, 'owner', PHONE, 'light', { serviceWorkers: 'allow' });
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await context.addCookies([{ ...INDONESIAN, url: baseUrl() }]);
  const today = page.getByRole('heading', { name: TOLD.Today!, level: 1 });
  await page.reload();
  await today.waitFor();
  // Kept by the worker, not only by the browser's own cache, which lets go of what it likes.
  await eventually(() =>
    page.evaluate(async () => (await (await caches.open('toile-language')).keys()).length > 0),
  );
  await context.setOffline(true);
  await page.reload();
  await today.waitFor();
  await context.close();
});

test('somebody new is taken in, and what is opened within a page is told too', async () => {
  const { page, context } = await openAs(browser, 'artist', PHONE);
  const ids = await findIds(page);
  await context.addCookies([{ ...INDONESIAN, url: baseUrl() }]);
  await page.goto(`${baseUrl()}/clients/new`);
  await page.getByLabel('Nama', { exact: true }).fill('Ratna Wulandari');
  await page.getByRole('button', { name: 'Simpan, lalu telusuri wajah' }).click();
  await page.getByRole('heading', { name: 'Telusuri', level: 1 }).waitFor();
  await page.getByRole('button', { name: 'Simpan wajah' }).click();
  await page.getByText('Sentuh zona dengan alat baca lima kali', { exact: false }).waitFor();

  // A chart's parts, and a step opened: the review and the amounts are worked out by a worker, in Indonesian.
  await page.goto(`${baseUrl()}/charts/${ids.chart}`);
  const left: string[] = [];
  // Not its versions: why each was made is what somebody wrote.
  for (const part of ['Periksa', 'Jumlah dan waktu', 'Langkah']) {
    await page.getByRole('tab', { name: part }).click();
    await page.getByRole('progressbar').first().waitFor({ state: 'detached' });
    left.push(...(await saidBy(page)).filter((text) => ENGLISH.some((one) => one.test(text))));
  }
  await page.getByRole('button', { name: /^Langkah 3,/ }).click();
  await page.getByRole('radio', { name: 'Bagaimana' }).click();
  await page.getByText('Teknik', { exact: true }).waitFor();
  left.push(...(await saidBy(page)).filter((text) => ENGLISH.some((one) => one.test(text))));
  // Names of steps were given in English, and are as they were given.
  const given = await page.evaluate(
    async (id) => JSON.stringify(await (await fetch(`/api/charts/${id}`)).json()),
    ids.chart,
  );
  expect([...new Set(left)].filter((text) => !given.includes(JSON.stringify(text).slice(1, -1)))).toEqual([]);
  await context.close();
});
