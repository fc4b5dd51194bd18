import type { Browser, Page } from 'playwright-core';
import {
  baseUrl,
  eventually,
  more,
  openAs,
  openBrowser,
  openClient,
  openContext,
  PHONE,
  shot,
  SHOTS,
} from './browser';

// How it wears: told by the artist, by the client on a phone of their own, once without a network; what it
// comes to.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (on: Page, name: string) => on.getByRole('button', { name, exact: true });
const zone = (on: Page, name: string, state: string) =>
  on.getByRole('radiogroup', { name, exact: true }).getByRole('radio', { name: state, exact: true });
/** Yesterday noon, on the fields of the page: a time that is over whenever this runs. */
const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);

test('what is likely is said before anyone looked closely; a look told by the artist counts at once', async () => {
  await openClient(page, 'Morwenna Penhallow');
  await page
    .getByRole('link', { name: /^(?!.*trial).*, version|Harbour|Lamplight|Choir/ })
    .first()
    .click();
  await page.waitForURL(/\/charts\//);
  await more(page, 'How it wears');
  const likely = page.getByRole('group', { name: 'What is likely' });
  await likely.getByText(/^The weakest: .* of 10 such days/).waitFor();
  await likely.getByText(/^Touch up|^No touch-up/).waitFor();
  // What is due then, and a card of it for whoever wears it.
  await likely
    .getByText(/: blot/)
    .first()
    .waitFor();
  const [card] = await Promise.all([
    page.waitForEvent('download'),
    button(page, 'Card for the client, A4').click(),
  ]);
  expect(card.suggestedFilename()).toMatch(/^touch-ups-.*\.pdf$/);
  if (SHOTS) await card.saveAs(`${SHOTS}/touch-ups.pdf`);
  await shot(page, 'wear');
  await page.getByLabel('Put on, day').fill(yesterday);
  await page.getByLabel('Put on at', { exact: true }).fill('09:00');
  await page.getByLabel('Looked at, day').fill(yesterday);
  await page.getByLabel('Looked at', { exact: true }).fill('08:00');
  await button(page, 'Everything holds').click();
  await button(page, 'Keep this look').click();
  await page.getByText('It was looked at before it was put on').waitFor();
  await page.getByLabel('Looked at', { exact: true }).fill('13:30');
  await zone(page, 'Nose', 'touch up').click();
  await page
    .getByRole('group', { name: 'Touched up just now' })
    .getByRole('checkbox', { name: 'nose' })
    .click();
  await button(page, 'Keep this look').click();
  await page
    .getByRole('group', { name: 'What was seen' })
    .getByText(/^After 4\.5 h: nose needs a touch-up; the rest holds; touched up: nose$/)
    .waitFor();
});

test('the client tells on a phone of their own, once with the network gone in between', async () => {
  // A link is for what is worn now: put on two hours ago, at whatever hour this runs.
  const putOn = new Date(Date.now() - 2 * 3_600_000).toISOString();
  await page.getByLabel('Put on, day').fill(putOn.slice(0, 10));
  await page.getByLabel('Put on at', { exact: true }).fill(putOn.slice(11, 16));
  await button(page, 'Make a link').click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const context = await openContext(browser, { viewport: PHONE });
  const theirs = await context.newPage();
  await theirs.goto(link);
  await theirs.getByRole('heading', { name: 'How does it look now?' }).waitFor();
  await button(theirs, 'Everything holds').click();
  await zone(theirs, 'Mouth', 'starting').click();
  await context.setOffline(true);
  await button(theirs, 'Tell it').click();
  await theirs
    .getByText(/It was not sent\. What you chose is still here|cannot be reached|not sent/i)
    .first()
    .waitFor();
  expect(await zone(theirs, 'Mouth', 'starting').getAttribute('aria-checked')).toBe('true');
  await context.setOffline(false);
  await button(theirs, 'Tell it').click();
  await theirs.getByText('✓ Told. Thank you; tell again whenever you look.').waitFor();
  await theirs.getByText(/^Told so far: after \d+\.\d h\.$/).waitFor();
  await theirs.getByRole('switch', { name: 'It stings or burns' }).click();
  await theirs.getByText(/^▲ Take it off now/).waitFor();
  await page.reload();
  await page
    .getByText(/by the client$/)
    .first()
    .waitFor();
  await button(page, 'Take back').click();
  await theirs.reload();
  await theirs.getByText(/^▲ This link was used, taken back or has ended/).waitFor();
  await context.close();
});

test('the studio sees what holds, the numbers beside the curve, and no more sureness than there is', async () => {
  await page.goto(`${baseUrl()}/settings`);
  await page.getByRole('link', { name: 'See what holds' }).click();
  await page.getByRole('heading', { name: 'How things hold' }).waitFor();
  const first = page.getByRole('button', { name: /of 10 such days/ }).first();
  await first.click();
  const table = page.getByRole('table').first();
  await table.getByText('12 h').waitFor();
  const shares = (await table.getByRole('cell').allInnerTexts()).filter((text) => text.includes('('));
  const means = shares.map((text) => Number.parseInt(text, 10));
  expect(means).toHaveLength(6);
  expect([...means].sort((a, b) => b - a)).toEqual(means);
  expect(await page.getByText('%').count()).toBe(0);
  const before = await first.innerText();
  for (let i = 0; i < 5; i++)
    await page
      .getByRole('button', { name: /More.*To hold for|To hold for.*more|\+/ })
      .first()
      .click();
  await eventually(async () => (await first.innerText()) !== before);
  expect(complaints).toEqual([]);
});
