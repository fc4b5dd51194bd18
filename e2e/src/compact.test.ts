import type { Browser, Page } from 'playwright-core';
import {
  eventually,
  more,
  openAs,
  openBrowser,
  openClient,
  openContext,
  PHONE,
  shot,
  SHOTS,
  WIDE,
} from './browser';

// What a client takes home: put together from her lesson, moved about in, printed, found again by a reading,
// and brought into another season, the lesson with it.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (name: string | RegExp, on = page) => on.getByRole('button', { name, exact: true });
const cell = (name: RegExp) => page.getByRole('gridcell', { name });
const download = async (name: string): Promise<string> => {
  const [file] = await Promise.all([page.waitForEvent('download'), button(name).click()]);
  if (SHOTS) await file.saveAs(`${SHOTS}/${file.suggestedFilename().replace(/-[0-9a-f-]{36}/, '')}`);
  return file.suggestedFilename();
};
let chartId = '';

test('put together from the lesson’s steps: laid out light to dark, in smaller tins, kept', async () => {
  await openClient(page, 'Isaura Penhallow');
  await page
    .getByRole('link', { name: /Lantern|wedding/i })
    .first()
    .click();
  await page.waitForURL(/\/charts\//);
  chartId = /charts\/([0-9a-f-]+)/.exec(page.url())![1]!;
  await more(page, 'Lesson for at home');
  await page.getByRole('link', { name: 'Put a compact together' }).click();
  await page.waitForURL(/compact\?steps=/);
  const pans = page.getByRole('list', { name: 'Its pans' }).getByRole('listitem');
  await pans.first().waitFor();
  const all = await pans.count();
  expect(await page.getByRole('grid').count()).toBe(1);
  await page.getByRole('radio', { name: 'light to dark' }).click();
  await button('Columns of a tin: less').click();
  await button('Columns of a tin: less').click();
  await button('Rows of a tin: less').click();
  await eventually(async () => (await page.getByRole('grid').count()) === Math.min(6, all));
  await button('Rows of a tin: more').click();
  await eventually(async () => (await page.getByRole('grid').count()) === Math.ceil(all / 2));
  await shot(page, 'compact-new');
  await button('Keep this compact').click();
  await page.getByRole('group', { name: 'On paper' }).waitFor();
});

test('by keys a pan changes places, by a touch it goes to another tin; saved, and there after a reload', async () => {
  const first = cell(/^A1 /).first();
  const name = (await first.getAttribute('aria-label'))!.replace('A1 ', '');
  await first.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await cell(new RegExp(`^B1 ${name}`)).waitFor();
  await button('Save the compact').click();
  await page.getByRole('group', { name: 'On paper' }).waitFor();
  await page.reload();
  await cell(new RegExp(`^B1 ${name}`)).waitFor();
  const list = page.getByRole('list', { name: 'Its pans' });
  expect(await list.getByText(/fill again by .*(used up|past its time)/).count()).toBeGreaterThan(0);
});

test('labels and card are files; a pan that lost its label is read and named by its place', async () => {
  expect(await download('Labels')).toMatch(/^compact-labels-.*\.pdf$/);
  expect(await download('Card for the lid, A4')).toMatch(/^compact-card-.*\.pdf$/);
  const which = page.getByRole('group', { name: 'Which pan is this?' });
  const read = which.getByRole('button', { name: /^Read / }).first();
  const called = (await read.innerText()).trim();
  await read.click();
  await which.getByText(new RegExp(`^${called} .* from its colour$`)).waitFor();
  await shot(page, 'compact');
});

test('months later: what holds, what to mix or swap; taken over by one touch, the lesson’s link says what is new', async () => {
  await page.goto(page.url().replace(/\/compact.*/, '/lesson'));
  await button('Make a link').click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const clientId = await page.evaluate(async (id) => {
    const { chart } = (await (await fetch(`/api/charts/${id}`)).json()) as {
      chart: { client: { id: string; skin: { cheek: number[] } } };
    };
    const [L, a, b] = chart.client.skin.cheek as [number, number, number];
    const zones = Object.fromEntries(
      ['forehead', 'cheek', 'underEye', 'mouthSide', 'chin', 'neck', 'decollete'].map((zone) => [
        zone,
        [[L - 9, a + 1, b + 2]],
      ]),
    );
    await fetch(`/api/clients/${chart.client.id}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
      body: JSON.stringify({
        id: crypto.randomUUID().replace(/^(.{14})./, '$17'),
        at: new Date().toISOString(),
        source: 'typed',
        zones,
      }),
    });
    return chart.client.id;
  }, chartId);
  expect(clientId).toMatch(/^[0-9a-f-]{36}$/);
  await page.goto(page.url().replace(/\/lesson.*/, '/compact'));
  await button('What still holds?').click();
  const lines = page.getByRole('list', { name: 'What still holds' });
  await lines.waitFor();
  expect(await lines.getByText(/▲ .*(off becomes|another product|off, and the kit)/).count()).toBeGreaterThan(
    0,
  );
  await shot(page, 'season');
  await button('Take it over').click();
  await page.getByText('Taken over.').waitFor();
  await page.getByText('The lesson’s link shows it, and what is new.').waitFor();
  const other = await openContext(browser, { viewport: PHONE });
  const theirs = await other.newPage();
  await theirs.goto(link);
  await theirs.getByRole('heading', { name: 'What is new' }).waitFor();
  await theirs
    .getByText(/ instead of /)
    .first()
    .waitFor();
  await shot(theirs, 'lesson-new');
  await other.close();
  // What came new had no place in the full tin: another tin takes it.
  const beside = page.getByRole('group', { name: 'Beside it' });
  await beside.getByText(/there is no place left in its tins/).waitFor();
  await button('Another tin').click();
  await button('Save the compact').click();
  await eventually(async () => (await page.getByRole('grid').count()) === 2);
  expect(await beside.getByText(/no place left/).count()).toBe(0);
  expect(complaints).toEqual([]);
});

test('an assistant sees a compact and changes nothing; wide, its tins lie beside what is known of them', async () => {
  const assistant = await openAs(browser, 'assistant', WIDE, 'dark');
  await assistant.page.goto(page.url());
  await assistant.page.getByRole('grid').first().waitFor();
  expect(await button('Put another together', assistant.page).count()).toBe(0);
  expect(await button('Take it over', assistant.page).count()).toBe(0);
  await shot(assistant.page, 'compact-wide');
  expect(assistant.complaints).toEqual([]);
  await assistant.context.close();
});
