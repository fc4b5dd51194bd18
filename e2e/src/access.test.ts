import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults, RunOptions } from 'axe-core';
import type { Browser, Page } from 'playwright-core';
import { baseUrl, openAs, openBrowser, openClient, openContext, PEOPLE, PHONE, tabTo, WIDE } from './browser';
import { drawn, findIds, PAGES, type Ids } from './pages';

// Every page looked over by axe, in both themes and both widths; the thread worked by keys alone.
let browser: Browser;
beforeAll(async () => void (browser = await openBrowser()));
afterAll(() => browser.close());

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');
const EVERYTHING: RunOptions = {
  runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] },
  // Good practice that is no part of the guidelines: whoever goes from heading to heading misses none.
  rules: { 'heading-order': { enabled: true } },
};
const CONTRAST: RunOptions = { runOnly: { type: 'rule', values: ['color-contrast'] } };

/** What axe has to say of a page as it stands, one line each. */
async function violations(page: Page, options: RunOptions): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(async (run) => {
    const { axe } = window as unknown as {
      axe: { run(on: Document | Element, how: RunOptions): Promise<AxeResults> };
    };
    const { violations: found } = await axe.run(document, run);
    const lines: string[] = [];
    for (const { id, nodes } of found)
      for (const { html, failureSummary, target } of nodes) {
        // Of a row cut in two by the edge of its list only some of the words can be seen: it is asked again
        // whole.
        const row = id === 'label-content-name-mismatch' ? document.querySelector(String(target[0])) : null;
        row?.scrollIntoView({ block: 'center' });
        const again = row ? await axe.run(row, { runOnly: { type: 'rule', values: [id] } }) : null;
        if (again?.violations.length === 0) continue;
        lines.push(`${id}: ${html.slice(0, 160)} ${failureSummary ?? ''}`);
      }
    return lines;
  }, options);
}

describe('axe finds nothing to complain of', () => {
  let page: Page;
  let ids: Ids;
  beforeAll(async () => {
    ({ page } = await openAs(browser, 'owner', PHONE));
    ids = await findIds(page);
  });

  test.each(PAGES)('%s', async (_name, path) => {
    await page.setViewportSize(PHONE);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.goto(`${baseUrl()}${path(ids)}`);
    await drawn(page);
    const found: Record<string, string[]> = {};
    for (const [width, viewport] of [
      ['phone', PHONE],
      ['wide', WIDE],
    ] as const) {
      await page.setViewportSize(viewport);
      await page.emulateMedia({ colorScheme: 'light' });
      await drawn(page);
      found[width] = await violations(page, EVERYTHING);
      await page.emulateMedia({ colorScheme: 'dark' });
      await page.waitForTimeout(200);
      found[`${width}, dark`] = await violations(page, CONTRAST);
    }
    expect(found).toEqual({ phone: [], wide: [], 'phone, dark': [], 'wide, dark': [] });
  });

  test('the chair', async () => {
    for (const viewport of [PHONE, WIDE]) {
      await page.setViewportSize(viewport);
      await page.emulateMedia({ colorScheme: 'light' });
      await page.goto(`${baseUrl()}/charts/${ids.chart}/chair`);
      await page.getByText(/^Step \d+ of/).waitFor();
      expect(await violations(page, EVERYTHING)).toEqual([]);
      await page.getByRole('button', { name: 'What I really did' }).click();
      expect(await violations(page, EVERYTHING)).toEqual([]);
      await page.emulateMedia({ colorScheme: 'dark' });
      await page.waitForTimeout(200);
      expect(await violations(page, CONTRAST)).toEqual([]);
    }
  });

  test('the door', async () => {
    const context = await openContext(browser, { viewport: PHONE });
    const door = await context.newPage();
    await door.goto(baseUrl());
    await door.getByLabel('Email').waitFor();
    expect(await violations(door, EVERYTHING)).toEqual([]);
    await context.close();
  });

  test('while the scripts are on their way', async () => {
    const context = await openContext(browser, { viewport: PHONE, serviceWorkers: 'block' });
    const door = await context.newPage();
    let letThrough = (): void => undefined;
    const held = new Promise<void>((resolve) => (letThrough = resolve));
    await door.route('**/_expo/**', async (route) => {
      await held;
      await route.continue();
    });
    await door.goto(baseUrl(), { waitUntil: 'commit' });
    const opening = door.getByRole('status', { name: 'Toile is opening' });
    await opening.waitFor();
    expect(await violations(door, EVERYTHING)).toEqual([]);
    letThrough();
    await door.getByLabel('Email').waitFor();
    expect(await opening.count()).toBe(0);
    await context.close();
  });

  test('an open step, in each of its parts, and each part of a chart', async () => {
    await page.setViewportSize(PHONE);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.goto(`${baseUrl()}/charts/${ids.chart}`);
    await page.getByRole('button', { name: /^Step \d+, Contour the cheek/ }).click();
    for (const part of ['With what', 'Where', 'How']) {
      await page.getByRole('radio', { name: part, exact: true }).click();
      await page.waitForTimeout(300);
      expect({ part, found: await violations(page, EVERYTHING) }).toEqual({ part, found: [] });
    }
    for (const part of ['Look over', 'Amounts and time', 'Versions']) {
      await page.getByRole('tab', { name: part }).click();
      await page.waitForTimeout(300);
      expect({ part, found: await violations(page, EVERYTHING) }).toEqual({ part, found: [] });
    }
  });
});

/** Goes on by Tab until what has the focus is called so; fails when it is not reached. */
describe('without a mouse', () => {
  test('from the door to the last step at the chair, by keys alone', async () => {
    const context = await openContext(browser, { viewport: WIDE });
    const page = await context.newPage();
    page.setDefaultTimeout(20_000);
    await page.goto(baseUrl());
    await page.getByLabel('Email').waitFor();
    await tabTo(page, /^Email$/);
    await page.keyboard.type(PEOPLE.owner.email);
    await tabTo(page, /^Password$/);
    await page.keyboard.type(PEOPLE.owner.password);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Today' }).waitFor();

    await page.keyboard.press('/');
    await page.getByLabel('Find').waitFor();
    await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Find');
    await page.keyboard.type('Ignace');
    await page.getByRole('link', { name: 'Morwenna Penhallow' }).waitFor({ state: 'detached' });
    await tabTo(page, /^Ignace Dovrel/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Ignace Dovrel', level: 1 }).waitFor();
    await tabTo(page, /^Fit a look$/);
    await page.keyboard.press('Enter');
    await tabTo(page, /^First Ferry/);
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Save version 1' }).waitFor();
    await tabTo(page, /^Save version 1$/);
    await page.keyboard.press('Enter');
    await page.getByText(/· version 1$/).waitFor();

    // The parts of a chart by arrows, a step opened and closed by Enter.
    await tabTo(page, /^Step 1, /);
    await page.keyboard.press('Enter');
    await page.getByRole('tab', { name: 'This step' }).waitFor();
    await tabTo(page, /^This step$/);
    await page.keyboard.press('End');
    await page.getByRole('tabpanel', { name: 'versions' }).waitFor();
    await page.keyboard.press('Home');
    await page.getByRole('tabpanel', { name: 'steps' }).waitFor();

    await tabTo(page, /^To the chair$/);
    await page.keyboard.press('Enter');
    await page.getByText(/^Step 1 of (\d+)$/).waitFor();
    const count = Number((await page.getByText(/^Step 1 of (\d+)$/).innerText()).split(' ').pop());
    // Space on what has the focus does that alone: the step is not ticked.
    await tabTo(page, /^What I really did$/);
    await page.keyboard.press(' ');
    await page.getByRole('button', { name: 'Close', exact: true }).waitFor();
    await page.getByText(/^Step 1 of/).waitFor();
    await page.keyboard.press(' ');
    await page.getByRole('button', { name: 'What I really did' }).waitFor();
    // A page-turner's two keys, whatever has the focus.
    for (let i = 0; i < count; i++) {
      await page.keyboard.press('PageDown');
      // What is worked next may be another than the next in the list, while something dries.
      await page
        .getByRole('button', { name: /^Step \d+, .*, done$/ })
        .nth(i)
        .waitFor();
    }
    await page.getByRole('button', { name: 'All done, close the chart' }).waitFor();
    await page.keyboard.press('PageUp');
    await tabTo(page, /^All done, close the chart$/);
    await page.keyboard.press('Enter');
    await page.getByText(/· version 1$/).waitFor();
    // Leaving the chair added no page: Back does not lead into it.
    await page.goBack();
    await page.waitForFunction(() => !location.pathname.endsWith('/chair'));
    await context.close();
  });
});

describe('nothing is lost', () => {
  test.each([
    ['320 px wide', { width: 320, height: 640 }],
    ['at 200 % zoom', { width: 195, height: 422 }],
    ['on its side', { width: 844, height: 390 }],
  ])('%s: the chart’s steps are read and opened, the chair is worked', async (_name, viewport) => {
    const { context, page } = await openAs(browser, 'owner', PHONE);
    await openClient(page, 'Isaura Penhallow');
    const chart = (await page.getByRole('link', { name: /^Harbour Morning/ }).getAttribute('href'))!;
    await page.setViewportSize(viewport);
    await page.goto(`${baseUrl()}${chart}`);
    await page.getByText('18 steps').waitFor();
    const step = page.getByRole('button', { name: /^Step 4, / });
    await step.click();
    await page.waitForTimeout(500);
    // What stays at the top leaves the step in view, and nothing is wider than the screen.
    const top = (await page.getByTestId('face and places').boundingBox())!;
    const box = (await step.boundingBox())!;
    expect(box.y).toBeGreaterThanOrEqual(top.y + top.height - 2);
    expect(box.y + 40).toBeLessThan(viewport.height);
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.goto(`${baseUrl()}${chart}/chair`);
    await page.getByText(/^Step \d+ of/).waitFor();
    expect(await overflow()).toBeLessThanOrEqual(0);
    const onward = (await page.getByRole('button', { name: 'Step after' }).boundingBox())!;
    expect(onward.y + onward.height).toBeLessThanOrEqual(viewport.height);
    expect(onward.x + onward.width).toBeLessThanOrEqual(viewport.width);
    await context.close();
  });
});
