import type { Browser, Page } from 'playwright-core';
import { productName, type Chart } from '@toile/core';
import { openAs, openBrowser, openClient, openPart, PHONE } from './browser';

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await openBrowser();
  ({ page } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const dialog = () => page.getByRole('dialog').last();
const WHO = 'Ignace Dovrel';
let chart = '';

test('a chart is made, and one of its products is to be tried first: planned, laid', async () => {
  await openClient(page, WHO);
  await button('Fit a look').click();
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\/[0-9a-f-]+$/);
  await page.getByText(/ · version 1$/).waitFor();
  chart = page.url();
  const kept = await page.evaluate(
    async (path) => (await fetch(path)).json() as Promise<{ chart: Chart }>,
    `/api${new URL(chart).pathname}`,
  );
  const product = productName(kept.chart.steps.find((step) => step.title === 'Base')!.use[0]!.product);

  await openClient(page, WHO);
  await button('Plan a test').click();
  await dialog().getByRole('button', { name: 'Plan it' }).click();
  await dialog().getByText('▲ Choose a product').waitFor();
  await dialog().getByLabel('Which product').fill(product);
  await dialog()
    .getByRole('button', { name: `${product}, base`, exact: true })
    .click();
  await dialog().getByRole('radio', { name: 'behind the ear' }).click();
  await dialog().getByRole('button', { name: 'Plan it' }).click();
  const row = page.getByRole('button', { name: /planned for .* · behind the ear/ });
  await row.click();
  await dialog().getByRole('button', { name: 'It is laid now' }).click();
  await page.getByRole('button', { name: /laid, to be read .* · behind the ear/ }).waitFor();
});

test('without a result it is a stop in the review that names the test; read bad it stays one, at the chair too', async () => {
  await page.goto(chart);
  await openPart(page, 'Look over');
  await page
    .getByText(/has a patch test of .* without a result\.$/)
    .first()
    .waitFor();
  await openClient(page, WHO);
  await page.getByRole('button', { name: /laid, to be read/ }).click();
  await dialog().getByRole('radio', { name: 'it reacted' }).click();
  await dialog().getByLabel('Note on it').fill('A red patch, gone after two hours.');
  await dialog().getByRole('button', { name: 'Note what was seen' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await page.getByText('▲ reacted: not to be used · behind the ear').waitFor();
  await page.goto(chart);
  await openPart(page, 'Look over');
  const stop = page.getByText(/reacted in the patch test of /).first();
  await stop.waitFor();
  await page.goto(`${chart}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();
  const said = page.getByText(/reacted in the patch test of /).first();
  // One step after another, each waited for: keys that come faster than steps are drawn would pass the one
  // that is meant.
  for (let step = 1; step < 18 && !(await said.isVisible()); step++) {
    await page.keyboard.press('ArrowRight');
    await page.getByText(new RegExp(`^Step ${step + 1} of`)).waitFor();
  }
  await said.waitFor();
});

test('its fix takes another product, and that one may be used', async () => {
  await page.goto(chart);
  await openPart(page, 'Look over');
  const finding = page.getByText(/reacted in the patch test of /).first();
  await finding.waitFor();
  await button(/^(Take |Leave it out)/)
    .first()
    .click();
  await finding.waitFor({ state: 'detached' });
  await button('Save version 2').click();
  await page.getByText(/ · version 2$/).waitFor();
});
