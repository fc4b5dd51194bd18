import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import {
  chromium,
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  type Page,
} from 'playwright-core';
import { SECOND_SIGN_IN, SIGN_INS } from '@toile/demo';
import { answerLate } from './lateAnswers';

export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };

const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Where the server under test listens. */
export function baseUrl(): string {
  const url = process.env.TOILE_URL;
  if (!url) throw new Error('TOILE_URL is not set: run the interface tests through npm test');
  return url;
}

/** Debian's Chromium, headless. */
export function openBrowser(): Promise<Browser> {
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
}

/**
 * The same with a profile, as a phone has one: a window without keeps no compiled script, however often a
 * page is opened. Closing it drops the profile.
 */
export async function openKeeping(viewport = PHONE): Promise<BrowserContext> {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'toile-profile-'));
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    args: FLAGS,
    viewport,
    hasTouch: viewport.width < 900,
  });
  context.on('close', () => rmSync(profile, { recursive: true, force: true }));
  return context;
}

export const PEOPLE = {
  owner: SIGN_INS[0],
  artist: SIGN_INS[1],
  assistant: SIGN_INS[2],
  stranger: SECOND_SIGN_IN,
};

export type Opened = {
  readonly context: BrowserContext;
  readonly page: Page;
  readonly complaints: readonly string[];
};

declare global {
  /** What the open pages show: asked by the tests' surroundings when one fails. */
  var toileSeen: (() => Promise<string>) | undefined;
}

const open = new Set<Page>();
globalThis.toileSeen = async () => {
  const said = [...open].map(async (page) => {
    // A page in the middle of going elsewhere answers nothing.
    const text = await page
      .locator('body')
      .innerText({ timeout: 2_000 })
      .catch(() => 'it did not answer');
    return `${page.url()} showed: ${text.replace(/\s*\n\s*/g, ' | ').slice(0, 1_500)}`;
  });
  return (await Promise.all(said)).join('\n');
};

/** A window of its own; what its pages show is told where a test fails. */
export async function openContext(
  browser: Browser,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> {
  const context = await browser.newContext(options);
  context.on('page', (one) => {
    open.add(one);
    one.on('close', () => open.delete(one));
  });
  const late = Number(process.env.TOILE_LATE_ANSWERS ?? 0);
  if (late > 0) await answerLate(context, late);
  return context;
}

/** A window of its own, signed in; what the page complains of is collected. */
export async function openAs(
  browser: Browser,
  who: keyof typeof PEOPLE,
  viewport = PHONE,
  colorScheme: 'light' | 'dark' = 'light',
  // What a test cuts off by an address would be answered by the worker: most tests run without it.
  {
    serviceWorkers = 'block',
    at = baseUrl(),
  }: { readonly serviceWorkers?: 'allow' | 'block'; readonly at?: string } = {},
): Promise<Opened> {
  const context = await openContext(browser, {
    viewport,
    colorScheme,
    hasTouch: viewport.width < 900,
    acceptDownloads: true,
    serviceWorkers,
  });
  const page = await context.newPage();
  page.setDefaultTimeout(Number(process.env.TOILE_PATIENCE_MS ?? 20_000));
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    // Before anyone signs in the session answers 401, which Chromium reports by itself.
    if (message.type() === 'error' && !message.text().includes('status of 4'))
      complaints.push(message.text());
  });
  await page.goto(at);
  await signIn(page, who);
  return { context, page, complaints };
}

/** Through the door that a page stands at. */
export async function signIn(page: Page, who: keyof typeof PEOPLE): Promise<void> {
  await page.getByLabel('Email').fill(PEOPLE[who].email);
  await page.getByLabel('Password').fill(PEOPLE[who].password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: 'Today' }).waitFor();
}

/**
 * Waits until something is so, asked again and again; fails when it is not in time. Playwright's own waiting
 * takes a promise for an answer that is so.
 */
export async function eventually(isSo: () => Promise<boolean>, patienceMs = 20_000): Promise<void> {
  const end = Date.now() + patienceMs;
  while (!(await isSo())) {
    if (Date.now() > end) throw new Error(`not so within ${patienceMs} ms: ${isSo.toString()}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** Connects the stand-in reader, once a window. */
export async function connectReader(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Connect the reader' }).click();
  await page.getByRole('button', { name: 'Stand-in reader, near' }).click();
  await page.getByRole('button', { name: 'Take a sample' }).waitFor();
}

/** Chooses a file by the button that asks for one. */
export async function chooseFile(
  page: Page,
  button: string,
  name: string,
  text: string | Buffer,
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
}

/** Goes to a part of an open chart: its steps, what is to be looked at, amounts and time, versions. */
export async function openPart(
  page: Page,
  part: 'Steps' | 'Look over' | 'Amounts and time' | 'Versions',
): Promise<void> {
  await page.getByRole('tab', { name: part }).click();
}

/** Does what is rarely done with a whole chart. */
export async function more(page: Page, words: string): Promise<void> {
  await page.getByRole('button', { name: 'More of this chart' }).click();
  const dialog = page.getByRole('dialog', { name: 'More of this chart' });
  await dialog.getByText(words, { exact: true }).click();
}

/** Opens a client's page through the list. */
export async function openClient(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByLabel('Find').fill(name.slice(0, 6));
  // The list narrows a moment later: aimed at before, the row would not be where it was.
  await page.waitForFunction((wanted) => {
    const field = document.querySelector('input[aria-label="Find"]');
    const below = [...document.querySelectorAll('[role="link"]')].filter(
      (row) => field && field.compareDocumentPosition(row) & Node.DOCUMENT_POSITION_FOLLOWING,
    );
    return below[0]?.getAttribute('aria-label')?.startsWith(wanted) ?? false;
  }, name);
  await page.getByRole('link', { name }).click();
  await page.getByRole('heading', { name, level: 1 }).waitFor();
}

/** Goes on by the Tab key until what has the focus is called so. */
export async function tabTo(page: Page, name: RegExp, most = 80): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    const on = await page.evaluate(() => {
      const e = document.activeElement;
      return e?.getAttribute('aria-label') ?? e?.textContent ?? '';
    });
    if (name.test(on)) return;
  }
  throw new Error(`nothing called ${String(name)} within ${most} tabs`);
}

/** Where pictures are put while somebody looks at what they do; none where it is not said. */
export const SHOTS = process.env.TOILE_SHOTS;

/** A picture of what is on the screen, for whoever asked for pictures. */
export async function shot(on: Page, name: string): Promise<void> {
  if (SHOTS) await on.screenshot({ path: `${SHOTS}/${name}.png` });
}
