import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { PLAIN_FEATURES, readZip, zipText } from '@toile/core';
import type { Browser, Page } from 'playwright-core';
import { eventually, openAs, openBrowser, openClient, openContext, openPart, PHONE } from './browser';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'owner', PHONE));
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const dialog = () => page.getByRole('dialog').last();

test('an enquiry of a party in under a minute of touches: a client, a visit asked for, a party', async () => {
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByRole('link', { name: 'An enquiry' }).click();
  await button('Keep the enquiry').click();
  await page.getByText('▲ Write a name').waitFor();
  // Somebody known is told while the name is written, and only then.
  const known = page.getByText('Somebody of this name is here already', { exact: false });
  await page.getByLabel('Who asks').fill('penhallow  isaura');
  await known.waitFor();
  await page.getByRole('link', { name: /^Isaura Penhallow/ }).waitFor();
  await page.getByLabel('Who asks').fill('Perpetua Lisle');
  await known.waitFor({ state: 'detached' });
  await page.getByLabel('Phone').fill('+00 555 0177');
  await page.getByLabel('Date').fill('2027-06-12');
  await page.getByLabel('From').fill('07:30');
  await page.getByLabel('How many').fill('6');
  await page.getByLabel('Where').fill('Mill House');
  await button('Keep the enquiry').click();
  await page.getByRole('heading', { name: 'Perpetua Lisle, wedding' }).waitFor();
  await openClient(page, 'Perpetua Lisle');
  await page.getByRole('button', { name: /wedding at 07:30, Mill House/ }).waitFor();
});

test('the client answers on a phone of their own; what was said is taken over in part, by hand', async () => {
  await openClient(page, 'Perpetua Lisle');
  await button('Ask by a link').click();
  await dialog().getByRole('button', { name: 'Make the link' }).click();
  const link = await dialog().getByLabel('The link, shown this once').inputValue();
  expect(link).toMatch(/\/intake#[0-9a-f-]{36}\.[A-Za-z0-9_-]{32}$/);
  await page.keyboard.press('Escape');
  await page.goto(new URL('/letters', page.url()).toString());
  await page.getByText('To Perpetua Lisle', { exact: false }).waitFor();
  expect(await page.getByText(link, { exact: false }).count()).toBe(1);
  await page.goBack();

  const theirs = await openContext(browser, { viewport: PHONE, hasTouch: true, serviceWorkers: 'block' });
  const phone = await theirs.newPage();
  await phone.goto(link);
  await phone.getByRole('heading', { name: /^Before you sit with/ }).waitFor();
  expect(await phone.getByText('Perpetua').count()).toBe(0);
  await phone.getByLabel('What do you usually wear on your face?').fill('Mascara and nothing else');
  await phone.getByLabel('How many hours must it hold?').fill('14');
  await phone
    .getByRole('radiogroup', { name: 'Do you wear contact lenses?' })
    .getByRole('radio', { name: 'yes' })
    .click();
  // Nobody is asked about health before it was said that it may be kept.
  expect(await phone.getByLabel('What has your skin or have your eyes reacted to?').count()).toBe(0);
  await phone
    .getByRole('radiogroup', { name: /^May the studio keep/ })
    .getByRole('radio', { name: 'yes' })
    .click();
  await phone.getByLabel('What has your skin or have your eyes reacted to?').fill('latex, nickel');
  await phone.getByRole('button', { name: 'Send my answers' }).click();
  await phone.getByRole('heading', { name: 'Thank you' }).waitFor();
  await phone.reload();
  await phone.getByText('▲ This link was used, taken back or has ended. Ask for a new one.').waitFor();
  await theirs.close();

  await page.reload();
  await page.getByText('5 answers wait to be read').waitFor();
  expect(await page.getByText(/Wears contact lenses/).count()).toBe(0);
  await button('Take over: Contact lenses').click();
  await page.getByText(/Wears contact lenses/).waitFor();
  await button('Set aside: Usually').click();
  await page.getByText('3 answers wait to be read').waitFor();
  await button('Take over all 3').click();
  await page.getByText(/Sensitive to latex, nickel/).waitFor();
  await page.getByText(/answers? waits? to be read/).waitFor({ state: 'detached' });
  const talk = page.getByRole('group', { name: 'First talk' });
  await talk.getByText('14 hours').waitFor();
  expect(await talk.getByText('Mascara and nothing else').count()).toBe(0);
});

test('the same questions at the table, by keys; a no takes the words on health out', async () => {
  await page.getByRole('link', { name: 'Ask at the table' }).click();
  await page.getByLabel('Any treatment of the skin, lashes or lips in the last weeks?').fill('A peel in May');
  await button('Keep what was said').click();
  const talk = page.getByRole('group', { name: 'First talk' });
  await talk.getByText('A peel in May').waitFor();
  await page.getByRole('link', { name: 'Ask at the table' }).click();
  await page
    .getByRole('radiogroup', { name: /^May the studio keep/ })
    .getByRole('radio', { name: 'no' })
    .focus();
  await page.keyboard.press('Space');
  await button('Keep what was said').click();
  await talk.getByText('14 hours').waitFor();
  expect(await talk.getByText('A peel in May').count()).toBe(0);
  await page.getByText(/Sensitive to latex, nickel/).waitFor();
});

test('an incident leaves a product alone in the charts of this client', async () => {
  await openClient(page, 'Isaura Penhallow');
  await button('Something went wrong').click();
  await dialog().getByRole('button', { name: 'Write it down' }).click();
  await dialog()
    .getByText(/▲ Say what was seen or felt/)
    .waitFor();
  await dialog().getByLabel('What was seen or felt').fill('Hot red lids after an hour');
  const suspect = dialog()
    .getByRole('group', { name: 'Left alone from now on' })
    .getByRole('checkbox')
    .first();
  const product = (await suspect.getAttribute('aria-label'))!;
  await suspect.click();
  await dialog().getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await page.getByText(`Left alone since: ${product}`).waitFor();
  await page
    .getByRole('link', { name: /Version \d/ })
    .first()
    .click();
  await openPart(page, 'Look over');
  await page
    .getByText(/ is left alone since the incident of \d{4}-/)
    .first()
    .waitFor();
});

test('a calendar by link is read as a calendar does, and ends when it is renewed', async () => {
  await page.goto(new URL('/settings', page.url()).toString());
  const group = page.getByRole('group', { name: 'Calendar' });
  const made = async (words: string): Promise<string> => {
    await group.getByRole('button', { name: words }).click();
    const field = group.getByLabel('The link, shown this once');
    await field.waitFor();
    return field.inputValue();
  };
  const first = await made('Make the link');
  const answer = await fetch(first);
  expect(answer.status).toBe(200);
  const events = new ICAL.Component(ICAL.parse(await answer.text()) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
  expect(events.some((event) => event.summary === 'Perpetua Lisle, wedding (asked for)')).toBe(true);
  await group.getByRole('button', { name: 'A new link, the old one ends' }).click();
  await page.waitForFunction(
    (old) =>
      [...document.querySelectorAll('input')].some(
        (input) => input.value.endsWith('.ics') && input.value !== old,
      ),
    first,
  );
  expect((await fetch(first)).status).toBe(410);
});

test('everything of one client is a file, and erased the client is nowhere', async () => {
  await openClient(page, 'Perpetua Lisle');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    button('Everything as a file').click(),
  ]);
  const read = readZip(new Uint8Array(readFileSync(await download.path())), { files: 50, bytes: 9_000_000 });
  if (!read.ok) throw new Error(read.message);
  expect(zipText(read.files.get('client.json')!)).toContain('+00 555 0177');

  await button('Erase').click();
  await dialog()
    .getByText(/^Gone for good: contact, notes, face/)
    .waitFor();
  await dialog().getByLabel('Write Perpetua Lisle').fill('Perpetua');
  await dialog().getByRole('button', { name: 'Erase for good' }).click();
  await dialog().getByText('▲ Write Perpetua Lisle, as it stands above').waitFor();
  await dialog().getByLabel('Write Perpetua Lisle').fill('Perpetua Lisle');
  await dialog().getByRole('button', { name: 'Erase for good' }).click();
  await page.getByRole('heading', { name: 'Clients', level: 1 }).waitFor();
  await page.getByLabel('Find').fill('Perpetua');
  await page.getByText('Isaura').first().waitFor({ state: 'detached' });
  expect(await page.getByText('Perpetua Lisle').count()).toBe(0);
  const left = await page.evaluate(async () => {
    const stores = { ...localStorage, ...sessionStorage };
    const caches_ = await Promise.all((await caches.keys()).map((name) => caches.open(name)));
    const kept = await Promise.all(
      caches_.map(async (cache) =>
        Promise.all((await cache.matchAll()).map(async (one) => one.clone().text())),
      ),
    );
    return JSON.stringify([stores, kept]);
  });
  expect(left).not.toContain('Perpetua Lisle');
});

test('another phone that had read of somebody erased shows it no more once it has asked again', async () => {
  const NAME = 'Wystan Corrie';
  const other = await openAs(browser, 'artist', PHONE, 'light', { serviceWorkers: 'allow' });
  await other.page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await other.page.reload();
  // Somebody made for this alone: the demo's people are wanted by the other tests.
  await page.evaluate(
    async (body) => {
      await fetch('/api/clients', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
        body: JSON.stringify(body),
      });
    },
    { id: crypto.randomUUID(), name: NAME, features: PLAIN_FEATURES, measurements: {} },
  );
  await openClient(other.page, NAME);
  const address = other.page.url();
  const kept = () =>
    other.page.evaluate(async () => {
      const answers = await (await caches.open('toile-read')).matchAll();
      return (await Promise.all(answers.map((one) => one.text()))).join();
    });
  await eventually(async () => (await kept()).includes(NAME));
  const status = await page.evaluate(
    async ([id, name]) => {
      const answer = await fetch(`/api/clients/${id}/erasures`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
        body: JSON.stringify({ name, charts: 'gone too' }),
      });
      return answer.status;
    },
    [new URL(address).pathname.split('/')[2]!, NAME],
  );
  expect(status).toBe(200);
  await other.page.goto(address);
  await other.page.getByText('There is nothing here by that id.').first().waitFor();
  expect(await kept()).not.toContain(NAME);
  await other.context.close();
});

test('nothing was complained of on the way', () => expect(complaints).toEqual([]));
