import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { readLook, readZip, writeLook, writeZip, zipText, type Chart, type Look } from '@toile/core';
import { chooseFile, eventually, openAs, openBrowser, openClient, PHONE } from './browser';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const radio = (name: string) => page.getByRole('radio', { name, exact: true });
const inGroup = (group: string, name: string) =>
  page.getByRole('group', { name: group }).getByRole('checkbox', { name, exact: true });
const toLooks = () => page.getByRole('link', { name: 'Looks', exact: true }).click();
const kept = async (): Promise<Look> =>
  page.evaluate(
    async (path) => {
      const answer = await fetch(path);
      return ((await answer.json()) as { look: Look }).look;
    },
    `/api${new URL(page.url()).pathname}`,
  );

test('a look put together from nothing: layers, a place, a shade, what it asks of a kit, its name', async () => {
  await toLooks();
  await page.getByRole('link', { name: 'New look' }).click();
  await page.getByText('one step', { exact: true }).waitFor();
  await button('Add a layer').click();
  await radio('Base').click();
  await page.getByText('the skin’s own depth').first().waitFor();
  await inGroup('Finish', 'satin').click();
  await inGroup('How much it covers', 'light').click();
  await inGroup('Made of', 'silicone').click();
  await page
    .getByText(/base, satin, light cover, silicone based/)
    .first()
    .waitFor();
  await button('Add a layer').click();
  await radio('Blush').click();
  await page
    .getByRole('radiogroup', { name: 'Shade' })
    .getByRole('radio', { name: 'a colour of its own' })
    .click();
  await page.getByLabel('Colour by eye').fill('#c8697a');
  await button('Take this colour').click();
  await page
    .getByText(/blush · a fixed colour, L\* 5\d/)
    .first()
    .waitFor();
  await radio('Where').click();
  await page.getByRole('radiogroup', { name: 'To' }).getByRole('radio').first().click();
  await radio('How').click();
  await page.getByLabel('Name of the step').fill('Cheek, first');
  // Nothing is lost by going away in the middle of it.
  await page.reload();
  await page.getByRole('button', { name: /^Step 3, Cheek, first: / }).waitFor();
  await page.getByRole('tab', { name: 'About it' }).click();
  await page.getByText('▲ Give the look a name, under About it').waitFor();
  await page.getByLabel('Name', { exact: true }).fill('Morning Tide');
  await page.getByLabel('Tags').fill('own, light');
  await button('Keep the look').click();
  await page.waitForURL(/\/looks\/[0-9a-f-]{36}$/);
  const look = await kept();
  expect(look).toMatchObject({ name: 'Morning Tide', tags: ['own', 'light'], version: 1 });
  expect(look.steps.map((s) => s.role)).toEqual(['care', 'base', 'blush']);
  expect(look.steps[1]!.wants.finishes).toEqual(['satin']);
  expect(look.steps[2]).toMatchObject({ title: 'Cheek, first' });
  expect(look.steps[2]!.placements.length).toBeGreaterThan(0);
});

test('it is shown on three skins, and its next version takes a step in by keys', async () => {
  await button('On three skins').click();
  for (const skin of ['very fair', 'medium', 'very deep'])
    await page.getByRole('img', { name: `Morning Tide on ${skin} skin` }).waitFor();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await button('Add a layer').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('radiogroup', { name: 'Or care' }).getByRole('radio', { name: 'Mist' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: /^Step 4, Mist: spray/ }).waitFor();
  await button('Save version 2').click();
  await page.waitForURL(/\/looks\/[0-9a-f-]{36}$/);
  await eventually(async () => (await kept()).version === 2);
  expect((await kept()).steps.map((s) => s.title)).toEqual([
    'Prepare the skin',
    'Base',
    'Cheek, first',
    'Mist',
  ]);
});

test('somebody else saved meanwhile: both are told of, and one’s own goes on top', async () => {
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByRole('button', { name: /^Step 4, Mist/ }).waitFor();
  await page.evaluate(
    async (path) => {
      const { look } = (await (await fetch(path)).json()) as { look: Look };
      const next = { ...look, version: 3, parent: 2, reason: 'A calmer cheek', description: 'Theirs' };
      await fetch('/api/looks', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() },
        body: JSON.stringify({ look: next }),
      });
    },
    `/api${new URL(page.url()).pathname.replace(/\/edit$/, '')}`,
  );
  await page.getByRole('tab', { name: 'About it' }).click();
  await page.getByLabel('What it is for').fill('Mine');
  await button('Save version 3').click();
  await page.getByText('Version 3 is by Teodor Marsh.').waitFor();
  await button('Save mine as version 4').click();
  await page.waitForURL(/\/looks\/[0-9a-f-]{36}$/);
  await eventually(async () => (await kept()).version === 4);
  expect(await kept()).toMatchObject({ parent: 3, description: 'Mine' });
});

test('fitted, it is bound to the kit; retired, it is no longer proposed; brought back, it is', async () => {
  const retire = async (words: string): Promise<void> => {
    await button('More of this look').click();
    await page.getByRole('dialog').getByText(words).click();
  };
  const look = page.url();
  await retire('Propose it no longer');
  await page.getByText('▲ No longer proposed. Charts made of it stay as they are.').waitFor();
  await openClient(page, 'Ottoline Grieve');
  await button('Fit a look').click();
  await page.getByRole('button', { name: /^Choir Loft/ }).waitFor();
  expect(await page.getByRole('button', { name: /^Morning Tide/ }).count()).toBe(0);
  await page.goto(look);
  await retire('Propose it again');
  await page.getByText('▲ No longer proposed').waitFor({ state: 'detached' });
  await openClient(page, 'Ottoline Grieve');
  await button('Fit a look').click();
  await page.getByRole('button', { name: /^Morning Tide/ }).click();
  await page.getByRole('button', { name: /^Step \d, Base: (?!no product)/ }).waitFor();
});

test('a chart from nothing: one layer, matched to the kit, saved', async () => {
  await button('Another look').click();
  await page.getByRole('button', { name: /^From nothing/ }).click();
  await page.getByText('one step', { exact: true }).waitFor();
  await button('Add a layer').click();
  await radio('Lip').click();
  await button(/^Asked for: lip colour/).click();
  await page
    .getByRole('radiogroup', { name: 'Shade' })
    .getByRole('radio', { name: 'a colour of its own' })
    .click();
  await page
    .getByText(/: colour|ΔE|off/)
    .first()
    .waitFor();
  const first = page.getByRole('radiogroup', { name: 'Products proposed' }).getByRole('radio').first();
  await first.click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\/[0-9a-f-]+$/);
  const chart = await page.evaluate(
    async (path) => ((await (await fetch(path)).json()) as { chart: Chart }).chart,
    `/api${new URL(page.url()).pathname}`,
  );
  expect(chart.look.name).toBe('From nothing');
  expect(chart.steps.find((s) => s.role === 'lip')!.use).toHaveLength(1);
});

test('the library goes out as a zip, comes in again, and a spoilt file takes nothing in', async () => {
  await toLooks();
  await button('More of the looks').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('dialog').getByText('Save the library as a file').click(),
  ]);
  const read = readZip(new Uint8Array(readFileSync(await download.path())), { files: 99, bytes: 9_000_000 });
  if (!read.ok) throw new Error(read.message);
  const looks = [...read.files.values()].map((file) => {
    const one = readLook(zipText(file));
    if (!one.ok) throw new Error(JSON.stringify(one.problems));
    return one.document;
  });
  expect(looks.map((l) => l.name)).toContain('Morning Tide');
  const own = looks.find((l) => l.name === 'Morning Tide')!;
  await page.goto(new URL('/looks/import', page.url()).toString());
  const spoilt = writeZip(
    new Map([
      ['looks/a.json', writeLook({ ...own, name: 'Evening Tide' })],
      ['looks/b.json', writeLook(own).replace('"care"', '"scare"')],
    ]),
  );
  await chooseFile(page, 'Choose a file', 'library.zip', Buffer.from(spoilt));
  await page
    .getByRole('alert')
    .getByText(/Line \d+, column \d+, at looks\/b\.json/)
    .waitFor();
  await page.getByText('Nothing in the studio has changed.').waitFor();
  const good = writeZip(new Map([['looks/a.json', writeLook({ ...own, name: 'Evening Tide' })]]));
  await chooseFile(page, 'Choose a file', 'library.zip', Buffer.from(good));
  await page.getByText('1 brought in').waitFor();
  await page.getByRole('link', { name: /^Evening Tide, version 5/ }).click();
  await page.getByRole('heading', { name: 'Evening Tide', level: 1 }).waitFor();
});

test('nothing was complained of on the way', () => expect(complaints).toEqual([]));
