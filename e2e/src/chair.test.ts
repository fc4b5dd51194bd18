import type { Chart } from '@toile/core';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { openAs, openBrowser, openClient } from './browser';

// A whole chart worked in a basement, handed over to a colleague, and a fault carried into the next version, in order.
let browser: Browser;
let context: BrowserContext;
let page: Page;
let address: string;

type Answer = { readonly chart: Chart; readonly events: readonly { readonly stepId: string; readonly kind: string }[] };

beforeAll(async () => {
  browser = await openBrowser();
  ({ context, page } = await openAs(browser, 'owner', undefined, 'light', { serviceWorkers: 'allow' }));
});
afterAll(() => browser.close());

const button = (name: string | RegExp, on = page) => on.getByRole('button', { name, exact: typeof name === 'string' });
const kept = (): Promise<Answer> => page.evaluate(async (path) => (await fetch(path)).json() as Promise<Answer>, `/api${new URL(address).pathname}`);

test('without a network the whole chart is worked; two reloads later nothing is lost, and with the network it arrives once', async () => {
  await openClient(page, 'Renske Halloran');
  await button('Fit a look').click();
  await page.getByLabel('Date').fill('2027-05-08');
  await page.getByRole('link', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/version 1$/).waitFor();
  address = page.url();
  // Opened once with the worker in place, so that the device has it.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.goto(`${address}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();

  await context.setOffline(true);
  await page.reload();
  await page.getByText(/^Step 1 of/).waitFor();
  const total = Number(/of (\d+)/.exec((await page.getByText(/^Step 1 of/).textContent())!)![1]);
  for (let i = 1; i <= 3; i++) {
    await button('Done').click();
    await page.getByText(`Step ${i + 1} of ${total}`).waitFor();
  }
  await button('What I really did').click();
  await page.getByLabel('Note').fill('Powder later, in the car');
  await button('Record the note').click();
  await page.reload();
  await page.getByText(`Step 4 of ${total}`).waitFor();
  await page.getByText(/Noted: Powder later, in the car/).waitFor();
  for (let i = 4; i <= total; i++) await button('Done').click();
  await button('All done, close the chart').waitFor();
  await page.reload();
  await button('All done, close the chart').waitFor();
  await page.getByText(`${total + 1} unsent`, { exact: false }).waitFor();

  await context.setOffline(false);
  await page.getByText('✓ all saved').waitFor();
  const { chart, events } = await kept();
  expect(events).toHaveLength(total + 1);
  for (const step of chart.steps.filter((s) => s.variant === undefined))
    expect(events.filter((e) => e.stepId === step.id && e.kind === 'done')).toHaveLength(1);
});

test('a place opened before can be read without a network, with a word that there is none', async () => {
  await page.goto(address);
  await page.getByText(/version 1$/).waitFor();
  await context.setOffline(true);
  await page.reload();
  await page.getByText(/version 1$/).waitFor();
  await page.getByText(/No network\. What was opened before can be read/).waitFor();
  await context.setOffline(false);
  await page.getByText(/No network/).waitFor({ state: 'detached' });
});

test('handed over mid-way: a colleague on another phone sees each step as it is done', async () => {
  const colleague = await openAs(browser, 'assistant');
  await colleague.page.goto(`${address}/chair`);
  await colleague.page.getByRole('button', { name: 'All done, close the chart' }).waitFor();
  const last = colleague.page.getByText(/^Done by /);
  await last.waitFor();
  const shown = await colleague.page.getByText(/^Step \d+ of/).textContent();
  await page.goto(`${address}/chair`);
  await page.getByText(shown!).waitFor();
  // The tick taken off at one phone leaves the other at once, and comes back with the name of who did it.
  await page.evaluate(
    async ([path, stepId, version]) => {
      const body = { id: crypto.randomUUID(), version: Number(version), stepId, kind: 'undone', at: new Date().toISOString() };
      await fetch(`${path}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': body.id },
        body: JSON.stringify(body),
      });
    },
    [`/api${new URL(address).pathname}`, (await kept()).chart.steps.at(-1)!.id, '1'],
  );
  await colleague.page.getByRole('button', { name: 'Done', exact: true }).waitFor();
  await button('Done').click();
  await colleague.page.getByText('Done by Runa Castellane').waitFor();
  await colleague.page.getByRole('button', { name: 'All done, close the chart' }).waitFor();
  await colleague.context.close();
});

test('what is seen is traced to its likely cause and changed in the chart, with a school taken by advice', async () => {
  await page.goto(address);
  await page.getByText(/version 1$/).waitFor();
  await button('Something looks wrong?').click();
  await page.getByRole('radio', { name: 'cakey, heavy' }).click();
  const finder = page.getByRole('group', { name: 'What do you see?' });
  await finder
    .getByText(/^Now: Press with a damp sponge, then mist\.$/)
    .first()
    .waitFor();
  await finder
    .getByText(/ · \d+ %$/)
    .first()
    .waitFor();
  await finder
    .getByRole('button', { name: /^Change it in this chart/ })
    .first()
    .click();
  await button('Change the school').click();
  await page.getByRole('radio', { name: 'eyes first' }).click();
  await page.getByText('▲ Fallout is cleaned before the base; brows and lids come before it.').waitFor();
  const steps = await page
    .getByRole('list', { name: 'Steps' })
    .getByRole('button', { name: /^Step \d+/ })
    .evaluateAll((all) => all.map((s) => s.getAttribute('aria-label') ?? ''));
  const at = (name: RegExp): number => steps.findIndex((s) => name.test(s));
  expect(at(/, (Brow|Lid|Eye)/i)).toBeGreaterThanOrEqual(0);
  expect(at(/, (Brow|Lid|Eye)/i)).toBeLessThan(at(/, Base/));
  await page.getByLabel('Why this version').fill('After the trial');
  await button('Save version 2').click();
  await page.getByText(/version 2$/).waitFor();
  expect((await kept()).chart.schools.eyesOrFace).toBe('eyes first');
});

test('a link shows the version to someone without an account until it is taken back', async () => {
  await page.goto(address);
  await page.getByText(/version 2$/).waitFor();
  await button('Share').click();
  await button('Make a link').click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const stranger = await browser.newContext();
  const seen = await stranger.newPage();
  await seen.goto(link);
  await seen.locator('text', { hasText: 'Renske Halloran' }).first().waitFor();
  expect(await seen.locator('text', { hasText: /^Mind:/ }).count()).toBe(0);
  await page.getByRole('list', { name: 'Links' }).getByRole('button', { name: 'Take back' }).click();
  await page.getByText(/^Version 2 by Runa Castellane, taken back/).waitFor();
  await seen.reload();
  await seen.getByRole('heading', { name: 'This link shows nothing' }).waitFor();
  await stranger.close();
});
