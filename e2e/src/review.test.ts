import type { Browser, Page } from 'playwright-core';
import { baseUrl, eventually, openAs, openBrowser, openClient, openPart, type Opened } from './browser';

// A chart looked over, mended, accepted and put in a shorter order, in order.
let browser: Browser;
let opened: Opened;
let page: Page;

beforeAll(async () => {
  browser = await openBrowser();
  opened = await openAs(browser, 'owner');
  page = opened.page;
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name });
const review = () => page.getByRole('group', { name: 'Review' });

test('a chart is looked over, with reasons', async () => {
  // A chart of her own, so that no other test waits for one of its versions.
  await openClient(page, 'Ottoline Grieve');
  await button('Fit a look').click();
  await page.getByRole('button', { name: /^Lamplight/ }).click();
  // Fitted, her lined lips have a liner; refused, the review asks for it.
  await openPart(page, 'Look over');
  await button('Show what was fitted').click();
  await button('Not here: A fine liner round the lips').first().click();
  await page.getByText('A fine liner round the lips: refused').first().waitFor();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
  await openPart(page, 'Look over');
  await review()
    .getByText(/^Looked over: /)
    .waitFor();
  await review().getByText('▲ Lip lines, and no liner holds the edge.').waitFor();
  await review()
    .getByText(/a fine liner and powder hold it/)
    .first()
    .waitFor();
});

test('a finding stays only with a reason, which is kept in the version', async () => {
  const before = await review().getByRole('button', { name: 'It stays' }).count();
  await review().getByRole('button', { name: 'It stays' }).first().click();
  await review().getByRole('button', { name: 'Accept' }).click();
  await page.getByText('Say why it stays, for the next pair of hands').waitFor();
  await page.getByLabel('Why it stays').fill('Asked for by the client');
  await review().getByRole('button', { name: 'Accept' }).click();
  await page.getByText(/“Asked for by the client”/).waitFor();
  expect(await review().getByRole('button', { name: 'It stays' }).count()).toBe(before - 1);
  await button(/^Save version \d+$/).click();
  await page.getByText(/· version 2$/).waitFor();
  await page.reload();
  await openPart(page, 'Look over');
  await page.getByText(/“Asked for by the client”/).waitFor();
});

test('the shorter order is shown on a strip, taken and saved', async () => {
  await openPart(page, 'Amounts and time');
  const time = page.getByRole('group', { name: 'Time' });
  await time.getByText(/\d+ min as it stands; \d+ with the waits filled, the shortest there is\./).waitFor();
  await page.getByRole('img', { name: /^Waits filled: \d+ minutes/ }).waitFor();
  const minutes = async (): Promise<number> =>
    parseInt(await time.getByText(/^\d+ min( as it stands|; no )/).innerText(), 10);
  const before = await minutes();
  const take = button(/^Take [\d.]+ min for \d+ moves?$/).last();
  const saved = parseFloat((await take.innerText()).replace('Take ', ''));
  await take.click();
  await time.getByText(new RegExp(`^${before} min`)).waitFor({ state: 'detached' });
  expect(Math.abs(before - saved - (await minutes()))).toBeLessThanOrEqual(1);
  await button(/^Save version \d+$/).click();
  await page.getByText(/· version 3$/).waitFor();
  await openPart(page, 'Versions');
  await page.getByText(/^Saved by Runa Castellane/).waitFor();
});

test('the owner switches a rule off, and it is quiet', async () => {
  await page.goto(`${baseUrl()}/rules`);
  await page.getByText(/^\d+ practices are looked for in every chart/).waitFor();
  await button(/^Grade The lip may bleed/).click();
  await page.getByRole('radiogroup', { name: 'Graded' }).getByRole('radio', { name: 'off' }).click();
  await page.getByRole('group', { name: 'The lip may bleed' }).getByText('○ The lip may bleed').waitFor();
  await openClient(page, 'Ottoline Grieve');
  await page.getByRole('link', { name: /^Lamplight/ }).click();
  await openPart(page, 'Look over');
  await review()
    .getByText(/^Looked over: /)
    .waitFor();
  // With the rule off there is nothing of it to show, not even what was accepted: only what the studio’s own
  // wears say is left.
  const ofTheRule = page.getByText(/no liner holds the edge/);
  await eventually(async () => (await ofTheRule.count()) === 0);
  const left = /^Looked over: (.*)\.$/.exec(
    await review()
      .getByText(/^Looked over: /)
      .innerText(),
  )?.[1];
  const byEvidence = await review()
    .getByText(/such days \(/)
    .count();
  expect([left, byEvidence > 0]).toEqual([left, left !== 'nothing to look at again']);
});

test('at the chair without a connection: kept through two reloads, sent once each when it is back', async () => {
  await openClient(page, 'Zenobia Achterberg');
  await button('Fit a look').click();
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
  const chartId = page.url().split('/').at(-1)!;
  await button('To the chair').click();
  await page.getByText(/^Step 1 of/).waitFor();
  await page.route('**/api/charts/*/events', (route) => route.abort());
  for (let i = 0; i < 3; i++) await button('Done').click();
  await button('3 unsent, send').waitFor();
  await page.reload();
  await button('3 unsent, send').waitFor();
  await page.reload();
  await button('3 unsent, send').waitFor();
  await page.goto(`${baseUrl()}/clients`);
  await button('3 recorded at the chair not sent, send now').waitFor();
  await page.unroute('**/api/charts/*/events');
  await button('3 recorded at the chair not sent, send now').click();
  await page.waitForFunction(
    async (id) =>
      ((await (await fetch(`/api/charts/${id}`)).json()) as { events: unknown[] }).events.length >= 3,
    chartId,
  );
  await button(/recorded at the chair not sent/).waitFor({ state: 'detached' });
  const { events } = (await (await page.request.get(`${baseUrl()}/api/charts/${chartId}`)).json()) as {
    events: { id: string; stepId: string; kind: string }[];
  };
  expect(events.map((e) => e.kind)).toEqual(['done', 'done', 'done']);
  expect(new Set(events.map((e) => e.stepId)).size).toBe(3);
});

test('nothing was complained of on the way', () =>
  expect(opened.complaints.filter((c) => !c.includes('net::ERR_FAILED'))).toEqual([]));
