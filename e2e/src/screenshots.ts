import path from 'node:path';
import type { Page } from 'playwright-core';
import { PHONE, WIDE, baseUrl, connectReader, more, openAs, openBrowser, openClient } from './browser';

const folder = path.resolve(path.dirname(new URL(import.meta.url).pathname), '../../docs/screenshots');

/** Each main view once: how to get there, from Today. */
const PHONE_VIEWS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  today: (page) => page.getByRole('img', { name: /’s face$/ }).waitFor(),
  client: (page) => openClient(page, 'Morwenna Penhallow'),
  trace: async (page) => {
    await openClient(page, 'Renske Halloran');
    await page.getByRole('button', { name: 'Trace the face' }).click();
    await page.getByLabel('Face length, mm').waitFor();
  },
  read: async (page) => {
    await openClient(page, 'Beatrix Lindqvist');
    await page.getByRole('button', { name: 'Read skin' }).click();
    await connectReader(page);
    for (let i = 0; i < 5; i++) {
      await page.getByRole('button', { name: 'Take a sample' }).click();
      await page.getByLabel(new RegExp(`^sample ${i + 1}`)).waitFor();
    }
  },
  chart: async (page) => {
    await openClient(page, 'Isaura Penhallow');
    await page.getByRole('link', { name: /^Harbour Morning/ }).click();
    await page.getByText('18 steps').waitFor();
  },
  match: async (page) => {
    await openClient(page, 'Leocadia Brandt');
    await page.getByRole('button', { name: 'Match, correct, sculpt' }).click();
    await page.getByRole('radiogroup', { name: 'Two, mixed' }).getByRole('radio').first().waitFor();
  },
  light: async (page) => {
    await openClient(page, 'Morwenna Penhallow');
    await page.getByRole('link', { name: /Choir Loft/ }).click();
    await more(page, 'Under light');
    await page.locator('svg image').waitFor();
    await page.waitForTimeout(800);
  },
  practice: async (page) => {
    await page.goto(`${baseUrl()}/practice/contour`);
    const pad = page.getByRole('application', { name: /^Draw here/ });
    await pad.waitFor();
    const box = (await pad.boundingBox())!;
    await page.mouse.move(box.x + 0.31 * box.width, box.y + 0.28 * box.height);
    await page.mouse.down();
    await page.mouse.move(box.x + 0.64 * box.width, box.y + 0.7 * box.height, { steps: 12 });
    await page.mouse.up();
    await page.getByRole('status', { name: 'What it was' }).waitFor();
  },
  print: async (page) => {
    await openClient(page, 'Isaura Penhallow');
    await page.getByRole('link', { name: /^Harbour Morning/ }).click();
    await page.getByText('18 steps').waitFor();
    const id = page.url().split('/').pop()!;
    const svg = await page.evaluate(
      async (address) => (await fetch(address)).text(),
      `/api/charts/${id}/print?as=svg&colour=no`,
    );
    // On a page of its own, as it is opened once saved: the app's pages take no fonts but theirs.
    await page.goto('about:blank');
    await page.setViewportSize({ width: 794, height: 1123 });
    await page.setContent(`<body style="margin:0">${svg}</body>`);
  },
  palette: async (page) => {
    await page.goto(`${baseUrl()}/kit/palettes`);
    await page.getByRole('link', { name: /^Creams/ }).click();
    await page.getByRole('grid').waitFor();
  },
  chair: async (page) => {
    await openClient(page, 'Isaura Penhallow');
    await page.getByRole('link', { name: /^Harbour Morning/ }).click();
    await page.getByRole('button', { name: 'To the chair' }).click();
    await page.getByText('Step 1 of 18').waitFor();
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Step after' }).click();
  },
  repeat: async (page) => {
    await openClient(page, 'Thandeka Moor');
    await page.getByRole('button', { name: 'Read skin' }).click();
    await connectReader(page);
    for (const zone of ['Forehead', 'Cheek', 'Chin', 'Neck', 'Decollete']) {
      await page.getByRole('radio', { name: new RegExp(`^${zone}:`) }).click();
      for (let i = 0; i < 5; i++) {
        await page.getByRole('button', { name: 'Take a sample' }).click();
        await page.getByLabel(new RegExp(`^sample ${i + 1}`)).waitFor();
      }
    }
    await page.getByRole('button', { name: /^Keep 5/ }).click();
    await page.getByRole('link', { name: /Lamplight/ }).click();
    await page.getByRole('button', { name: 'Repeat' }).click();
    await page.getByRole('button', { name: /^Save version/ }).waitFor();
  },
  kit: (page) => page.goto(`${baseUrl()}/kit`).then(() => page.getByText(/^\d+ of \d+ products$/).waitFor()),
};

const WIDE_VIEWS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  'wide-client': (page) => openClient(page, 'Ottoline Grieve'),
  'wide-chart': async (page) => {
    await openClient(page, 'Isaura Penhallow');
    await page.getByRole('link', { name: /^Harbour Morning/ }).click();
    await page.getByRole('button', { name: /^Step 5,/ }).click();
    await page.getByRole('radiogroup', { name: 'Products proposed' }).getByRole('radio').first().waitFor();
  },
  'wide-party': async (page) => {
    await page.getByRole('link', { name: 'Parties', exact: true }).click();
    await page.getByRole('link', { name: /Pell Skerry/ }).click();
    await page.getByRole('tab', { name: 'The day' }).click();
    await page.getByRole('button', { name: 'Plan the day', exact: true }).click();
    await page.getByRole('button', { name: 'Make it calmer' }).click({ timeout: 60_000 });
    const searching = page.getByRole('progressbar').first();
    await searching.waitFor();
    await searching.waitFor({ state: 'detached', timeout: 60_000 });
    await page.getByRole('button', { name: 'Keep this timetable' }).waitFor();
    await page.getByText(/Of 100 such days/).waitFor();
  },
  'wide-looks': async (page) => {
    await page.goto(`${baseUrl()}/looks`);
    await page.getByRole('img', { name: 'Plain Cloth on the pattern face' }).waitFor();
  },
  'wide-question': async (page) => {
    await page.goto(`${baseUrl()}/trials`);
    await page
      .getByText(/Long Hours/)
      .first()
      .click();
    await page
      .getByText(/did better on/)
      .first()
      .waitFor();
  },
  'wide-chair': async (page) => {
    await openClient(page, 'Thandeka Moor');
    await page
      .getByRole('link', { name: /^Lamplight/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the chair' }).click();
    await page.getByRole('button', { name: /^Step 5, / }).click();
  },
};

const browser = await openBrowser();
for (const [views, size] of [
  [PHONE_VIEWS, PHONE],
  [WIDE_VIEWS, WIDE],
] as const) {
  for (const [name, go] of Object.entries(views)) {
    const { page, context } = await openAs(browser, 'owner', size, name.endsWith('chair') ? 'dark' : 'light');
    await go(page);
    await page.waitForTimeout(600);
    await page.screenshot({ path: path.join(folder, `${name}.png`) });
    await context.close();
  }
}
await browser.close();
