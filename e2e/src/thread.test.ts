import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { readChart, type Chart } from '@toile/core';
import { connectReader, more, openAs, openBrowser, openClient, openPart, type Opened } from './browser';

// The whole job on a phone, one test a stage, in order: each goes on where the last one stopped.
let browser: Browser;
let opened: Opened;
let page: Page;
let exported: { chart: Chart; text: string };
const NAME = 'Marguerite Åslund';

beforeAll(async () => {
  browser = await openBrowser();
  opened = await openAs(browser, 'artist');
  page = opened.page;
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name });
const stepButton = (title: string) => page.getByRole('button', { name: new RegExp(`^Step \\d+, ${title}`) });

test('Today shows what is next and what is due', async () => {
  await page.getByText('Renske Halloran').first().waitFor();
  // Drawn by a worker, once the words are there.
  await page.getByRole('img', { name: 'Renske Halloran’s face' }).waitFor();
  await page
    .getByText(/ask for the patch test result/)
    .first()
    .waitFor();
});

test('a client is found with a slip and without accents', async () => {
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByLabel('Find').fill('sola vester');
  await page.getByRole('link', { name: 'Søla Vestergård' }).waitFor();
  await page.getByLabel('Find').fill('tandeka');
  await page.getByRole('link', { name: 'Thandeka Moor' }).click();
  await page.getByRole('heading', { name: 'Thandeka Moor', level: 1 }).waitFor();
  await page.getByRole('img', { name: /Thandeka Moor, .* face/ }).waitFor();
  await page.getByRole('link', { name: /Lamplight/ }).waitFor();
});

test('a new client: errors beside the fields, then her face from a few measurements', async () => {
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await button('New client').click();
  await page.getByLabel('Email').fill('nowhere');
  await button(/Save, then trace/).click();
  await page.getByText('Write a name').waitFor();
  await page.getByText('This is not an email address').waitFor();
  await page.getByLabel('Name').fill(NAME);
  await page.getByLabel('Email').fill('m.aslund@post.example');
  await button(/Save, then trace/).click();

  await page.getByLabel('Face length, mm').waitFor();
  const outline = () =>
    page
      .locator('svg[aria-label^="The face as traced"] path')
      .evaluateAll((paths) => paths.map((p) => p.getAttribute('d')).join());
  const before = await outline();
  await button('All in a list').click();
  await page.getByLabel('Nose length, mm').fill('3');
  await page.getByText(/outside 30 to 70 mm/).waitFor();
  expect(await button('Look at the marked numbers').isDisabled()).toBe(true);
  await page.getByLabel('Nose length, mm').fill('49');
  await page.getByLabel('Face length, mm').fill('191');
  await page.getByLabel('Jaw width, mm').fill('101');
  await page.getByText('3 measured, the rest inferred').waitFor();
  // The drawing follows a moment after the fields.
  await page.waitForFunction(
    (old) =>
      [...document.querySelectorAll('svg[aria-label^="The face as traced"] path')]
        .map((p) => p.getAttribute('d'))
        .join() !== old,
    before,
  );
  await page
    .getByRole('radiogroup', { name: 'Lids, client’s left' })
    .getByRole('radio', { name: 'hooded', exact: true })
    .click();
  await button('Save the face').click();
});

test('the skin is read: an outlier set aside, one more asked for, values typed, a reload loses nothing', async () => {
  await connectReader(page);
  await page.getByText('Touch the zone with the reader five times').waitFor();
  await button('Type CIELAB values').click();
  const type = async (L: string, a: string, b: string): Promise<void> => {
    await page.getByLabel('L*').fill(L);
    await page.getByLabel('a*').fill(a);
    await page.getByLabel('b*').fill(b);
    await button('Add these values').click();
  };
  await type('62', '-30', '10');
  await page.getByText(/No skin has this colour/).waitFor();
  await type('62', '12', '18');
  await type('62,3', '12,1', '18,2');
  await page.getByText('One more sample.').waitFor();
  await type('61.8', '11.9', '17.9');
  await type('54', '16', '23');
  await page.getByLabel('sample 4, set aside').waitFor();
  await page.getByText('Enough. The mean is steady.').waitFor();
  await page.reload();
  await page.getByRole('radio', { name: 'Forehead: steady' }).click();
  await page.getByLabel('sample 4, set aside').waitFor();
  // What a base is chosen by is typed: the stand-in makes up another skin for each new client.
  await button('Type CIELAB values').click();
  for (const [zone, ...values] of [
    ['Cheek', ['62.4', '13.6', '17.5'], ['62.6', '13.8', '17.2'], ['62.3', '13.5', '17.6']],
    ['Neck', ['63.4', '10', '18.8'], ['63.6', '10.1', '18.5'], ['63.3', '10.2', '18.6']],
  ] as const) {
    await page.getByRole('radio', { name: new RegExp(`^${zone}:`) }).click();
    for (const [L, a, b] of values) await type(L, a, b);
    await page.getByRole('radio', { name: `${zone}: steady` }).waitFor();
  }
  await button('Use the shade reader').click();
  await page.getByRole('radio', { name: /^Chin:/ }).click();
  for (let i = 0; i < 3; i++) {
    await button('Take a sample').click();
    await page.getByLabel(new RegExp(`^sample ${i + 1}`)).waitFor();
  }
  // Left running, the reader stops by itself once the mean is steady.
  await page.getByRole('radio', { name: /^Under eye:/ }).click();
  await button('Start: Under eye').click();
  await page.getByRole('radio', { name: 'Under eye: steady' }).waitFor();
  await button('Stop').waitFor({ state: 'detached' });
  await button(/^Keep 5 of 7 zones/).click();
  await page.getByText(/Read today by Teodor Marsh/).waitFor();
});

test('a look is fitted: base matched with how far off, contour on her own face, limits kept', async () => {
  await button('Fit a look').click();
  await page.getByLabel('Date').fill('');
  await page.getByText('Pick a day.').waitFor();
  await page.getByLabel('Date').fill('2026-12-19');
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').waitFor();
  await openPart(page, 'Look over');
  await page.getByText('✓ Every placement keeps its limits.').waitFor();
  await openPart(page, 'Steps');
  await stepButton('Base').click();
  const proposals = page.getByRole('radiogroup', { name: 'Products proposed' }).getByRole('radio');
  await proposals.first().waitFor();
  const names = await proposals.evaluateAll((all) => all.map((p) => p.getAttribute('aria-label') ?? ''));
  expect(names.some((n) => /mix \d : \d/.test(n))).toBe(true);
  expect(names.every((n) => /\d\.\d off, /.test(n))).toBe(true);
});

test('adjusted: another product, a placement by its handle out of its limits and back, a note, saved', async () => {
  const proposals = page.getByRole('radiogroup', { name: 'Products proposed' }).getByRole('radio');
  const second = (await proposals.nth(1).getAttribute('aria-label'))!.split(',')[0]!;
  await proposals.nth(1).click();
  await stepButton('Base').getByText(second).waitFor();

  await stepButton('Contour the cheek').click();
  const reach = page.getByRole('slider', { name: 'Reach' }).first();
  // The face stays in view while its step is open: no scrolling to take hold of a handle.
  const box = (await reach.boundingBox())!;
  expect(box.y).toBeGreaterThan(0);
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
  await page.mouse.move(box.x + 22, box.y + 22);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y + 70, { steps: 6 });
  await page.mouse.up();
  await page
    .getByText(/Contour the cheek, pupil line/)
    .first()
    .waitFor();
  await button('Bring it back').first().click();
  await button('Bring it back').waitFor({ state: 'detached' });
  await page.getByRole('radio', { name: 'Where', exact: true }).click();
  await button('Lift: more').first().click();
  await reach.focus();
  await page.keyboard.press('ArrowDown');
  expect(await reach.getAttribute('aria-valuetext')).toBe('95 %');
  await page.getByLabel('Note').fill('Soft at the front.');
  await page.getByLabel('Why this version').fill('Trial');
  await button('Save version 1').click();
  await page.getByText(/· version 1$/).waitFor();
  await openPart(page, 'Versions');
  await page.getByText('Saved by Teodor Marsh', { exact: false }).waitFor();
  await openPart(page, 'Steps');
});

test('a change becomes the next version, the old one stays to be read', async () => {
  await stepButton('Lip').click();
  await page.getByLabel('Note').fill('One tone calmer.');
  await page.getByLabel('Why this version').fill('Calmer lip');
  await page.reload();
  await button('Save version 2').waitFor();
  await button('Save version 2').click();
  await page.getByText(/· version 2$/).waitFor();
  await openPart(page, 'Versions');
  await button(/^Version 1 /).click();
  await page.getByText('An older version, to read only.').waitFor();
  await openPart(page, 'Versions');
  await button(/^Version 2 /).click();
  await page.getByText(/· version 2$/).waitFor();
  await openPart(page, 'Versions');
  await page.getByText('2 · Calmer lip').waitFor();
});

test('the chair: step by step, every target within the thumb’s reach, a deviation recorded', async () => {
  await button('To the chair').click();
  await page.getByText('Step 1 of 18').waitFor();
  const targets = await page.getByRole('button').evaluateAll((all) =>
    all.map((b) => ({
      name: b.textContent || b.getAttribute('aria-label'),
      box: b.getBoundingClientRect(),
    })),
  );
  for (const { name, box } of targets)
    expect({ name, big: box.width >= 44 && box.height >= 44 }).toEqual({ name, big: true });
  const done = (await button('Done').boundingBox())!;
  expect(done.y + done.height).toBeLessThanOrEqual(844);
  await button('Dark for a dim room').click();
  await button('Light for a bright room').click();
  await button('Done').click();
  await page
    .getByRole('timer')
    .getByText(/Clean and calm [0-3]:\d\d/)
    .waitFor();
  await page.getByText('◷ Worked now, while clean and calm dries.').waitFor();
  await button('What I really did').click();
  const amount = page.getByRole('group', { name: /Really used, planned/ });
  const planned = Number(/planned (\d+)/.exec((await amount.getAttribute('aria-label'))!)![1]);
  await amount.getByRole('button', { name: /more/ }).click();
  await button('Record the amount').click();
  await page.getByText(`▲ Really used ${planned + 1}`).waitFor();
  for (let i = 2; i <= 18; i++) await page.keyboard.press('PageDown');
  await button('All done, close the chart').waitFor();
  await page.getByText('✓ all saved').waitFor();
  await page.reload();
  await button('All done, close the chart').click();
});

test('repeated for a new day from what was worn; a drifted reading is matched again and explained', async () => {
  await openClient(page, 'Thandeka Moor');
  await button('Read skin').click();
  for (const zone of ['Forehead', 'Cheek', 'Chin', 'Neck', 'Decollete']) {
    await page.getByRole('radio', { name: new RegExp(`^${zone}:`) }).click();
    for (let i = 0; i < 5; i++) {
      await button('Take a sample').click();
      await page.getByLabel(new RegExp(`^sample ${i + 1}`)).waitFor();
    }
  }
  await page.getByText(/Since the last reading: .* steps deeper/).waitFor();
  await button(/^Keep 5 of 7/).click();
  await page.getByRole('link', { name: /Lamplight/ }).click();
  await button('Repeat').click();
  await page.getByText(/The skin has moved \d\.\d since: \d\.\d steps deeper/).waitFor();
  await page.getByText(/Base: (mixed anew|replaced)/).waitFor();
  await page
    .getByText(/The skin is \d\.\d steps deeper than when this was chosen: \d\.\d off becomes \d\.\d/)
    .first()
    .waitFor();
  await page
    .getByText(/instead of [\d.]+, as worn/)
    .first()
    .waitFor();
  await page
    .getByText(/Asked for a calmer lip/)
    .first()
    .waitFor();
  // One change refused by itself, then all, then all taken but the dose.
  const changes = page.getByRole('checkbox', { name: /^Take the change to/ });
  const dose = page.getByRole('checkbox', { name: 'Take the change to Base, as worn' });
  await button('Keep all as it was').click();
  expect(
    await changes.evaluateAll(
      (all) => all.filter((box) => box.getAttribute('aria-checked') === 'true').length,
    ),
  ).toBe(0);
  await button(/^Take all \d+$/).click();
  await dose.click();
  expect(await dose.getAttribute('aria-checked')).toBe('false');
  expect(
    await changes.evaluateAll(
      (all) => all.filter((box) => box.getAttribute('aria-checked') === 'false').length,
    ),
  ).toBe(1);
  await dose.click();
  await button(/^Save version 2 for/).click();
  await openPart(page, 'Versions');
  await page
    .getByText(/Repeated as worn for .*; skin \d\.\d steps deeper/)
    .first()
    .waitFor();
  await page.getByText(/· version 2$/).waitFor();
});

test('exported as its open JSON', async () => {
  const [download] = await Promise.all([page.waitForEvent('download'), more(page, 'Export as a file')]);
  const text = readFileSync((await download.path())!, 'utf8');
  const read = readChart(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  exported = { chart: read.document, text };
  expect(exported.chart).toMatchObject({
    format: 'toile.chart/2',
    version: 2,
    client: { name: 'Thandeka Moor' },
  });
});

test('imported into another studio; a broken file is refused with where and why, and nothing changes', async () => {
  const other = await openAs(browser, 'stranger');
  const there = other.page;
  await there.goto(`${process.env.TOILE_URL}/import`);
  const choose = async (name: string, text: string): Promise<void> => {
    const [chooser] = await Promise.all([
      there.waitForEvent('filechooser'),
      there.getByRole('button', { name: 'Choose a file' }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  };
  await choose('cut.json', exported.text.slice(0, 2000));
  await there.getByText(/Line \d+, column \d+/).waitFor();
  await choose(
    'wrong.json',
    exported.text.replace('"phase": "base"', '"phase": "fundament"').replace(/"hash": "[^"]*"/, '"at2": 1'),
  );
  await there.getByText(/at \/steps\/\d+\/phase/).waitFor();
  await there.getByText('Nothing in the studio has changed.').waitFor();
  await there.getByRole('link', { name: 'Clients', exact: true }).click();
  await there.getByText('The studio has no clients yet.').waitFor();
  await there.goto(`${process.env.TOILE_URL}/import`);
  await choose('chart.json', exported.text);
  await there.getByRole('heading', { name: 'Thandeka Moor', level: 1 }).waitFor();
  await openPart(there, 'Versions');
  await there.getByText(/Imported from version 2 by Teodor Marsh/).waitFor();
  expect(other.complaints).toEqual([]);
  await other.context.close();
});

test('nothing was complained of on the way', () => expect(opened.complaints).toEqual([]));
