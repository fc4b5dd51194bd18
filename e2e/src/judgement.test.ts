import type { Look } from '@toile/core';
import type { Browser, Page } from 'playwright-core';
import { baseUrl, eventually, openAs, openBrowser, openClient } from './browser';

// What is known of a client, a day, a product and a look is minded on every screen, in order.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
let chartUrl: string;

beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'owner'));
});
afterAll(() => browser.close());

const CLIENT = 'Caspian Orrell';
const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const radio = (name: string | RegExp) => page.getByRole('radio', { name, exact: typeof name === 'string' });
const step = (name: RegExp) =>
  page.getByRole('list', { name: 'Steps' }).getByRole('button', { name }).first();
const fitPlainCloth = async (date: string): Promise<void> => {
  await page.goto(`${baseUrl()}/clients`);
  await openClient(page, CLIENT);
  await button('Fit a look').click();
  await page.getByLabel('Date').fill(date);
  await page.getByRole('button', { name: /^Plain Cloth/ }).click();
  await button('Save version 1').waitFor();
};
const save = async (): Promise<void> => {
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
};

test('a sensitivity in her own words, typed letter by letter, is noted as it was typed', async () => {
  await fitPlainCloth('2027-03-06');
  await save();
  chartUrl = page.url();
  await openClient(page, CLIENT);
  await button('Change details').click();
  const words = page.getByLabel('Also, in the client’s own words');
  await words.pressSequentially('latex glue, mica');
  expect(await words.inputValue()).toBe('latex glue, mica');
  expect(
    await page.getByRole('checkbox', { name: 'latex', exact: true }).getAttribute('aria-checked'),
  ).not.toBe('true');
  const unknown = page.getByText(/^Only looked for as written: /);
  expect(await unknown.count()).toBe(0);
  await words.pressSequentially(', guaiazulene');
  await unknown.filter({ hasText: 'guaiazulene.' }).waitFor();
  await words.fill('latex glue, mica');
  await unknown.waitFor({ state: 'detached' });
  await button('Save the details').click();
  await page.getByRole('heading', { name: CLIENT, level: 1 }).waitFor();
  await button('Change details').click();
  expect(await page.getByLabel('Also, in the client’s own words').inputValue()).toBe('latex glue, mica');
});

test('at the chair it is said before the step, though the chart was written before anyone knew', async () => {
  await page.goto(`${chartUrl}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();
  const caution = page.getByRole('alert', { name: 'Before this step' });
  const total = Number(/of (\d+)/.exec((await page.getByText(/^Step 1 of/).textContent())!)![1]);
  let said = '';
  for (let i = 1; i <= total && !said.includes('mica'); i++) {
    await page.getByText(`Step ${i} of ${total}`).waitFor();
    said = (await caution.count()) > 0 ? await caution.innerText() : '';
    if (!said.includes('mica')) await page.keyboard.press('ArrowRight');
  }
  expect(said).toContain('mica');
  expect(said).toContain('A list of words is not a finding');
});

test('nothing with it goes home: the lesson leaves it out, and says why only to whoever puts it together', async () => {
  await page.goto(`${chartUrl}/lesson`);
  await page
    .getByRole('group', { name: 'What is kept' })
    .getByText(/: contains mica/)
    .first()
    .waitFor();
  const reads = page.getByRole('group', { name: 'As the client reads it' });
  expect((await reads.innerText()).toLowerCase()).not.toContain('mica');
});

test('fitted again nothing with it is taken; what is left open says why, and what to buy', async () => {
  await fitPlainCloth('2027-03-13');
  await step(/Take the shine/).click();
  const gap = page.getByRole('note', { name: 'Nothing in the kit does this' });
  await gap.getByText(/no powder of the kit can be used: contains mica \(\d+ of \d+\)/).waitFor();
  await gap.getByText(/^To buy: a .*powder, .*free of .*latex glue, mica.*\.$/).waitFor();
  await save();
});

test('a deeper edge is added in one touch, right after the base', async () => {
  const titles = (): Promise<string[]> =>
    page
      .getByRole('list', { name: 'Steps' })
      .getByRole('button', { name: /^Step \d+, / })
      .evaluateAll((all) =>
        all.map((row) =>
          (row.getAttribute('aria-label') ?? '').replace(/^Step \d+, /, '').replace(/: .*/, ''),
        ),
      );
  const before = await titles();
  await button('Add a layer').focus();
  await page.keyboard.press('Enter');
  await button('A deeper edge to the base').focus();
  await page.keyboard.press('Enter');
  await step(/Deeper edge/).waitFor();
  const base = before.indexOf('Even the skin');
  expect(await titles()).toEqual([...before.slice(0, base + 1), 'Deeper edge', ...before.slice(base + 1)]);
  const proposals = page.getByRole('radiogroup', { name: 'Products proposed' }).getByRole('radio');
  await proposals
    .or(page.getByRole('note', { name: 'Nothing in the kit does this' }))
    .first()
    .waitFor();
  await button('Save version 2').waitFor();
});

test('what is to be different next time is chosen at the chair with a sentence, and Repeat tells both', async () => {
  await page.goto(`${chartUrl}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();
  for (let i = 0; i < 30 && (await page.getByRole('heading', { name: 'Even the skin' }).count()) === 0; i++)
    await page.keyboard.press('ArrowRight');
  await button('What I really did').click();
  await radio('less').click();
  await page.getByLabel('Why, in a sentence').fill('Not too strong, perfect');
  await button('Next time: less').click();
  await page
    .getByText(/Next time: less/)
    .first()
    .waitFor();
  await page.getByText('✓ all saved').waitFor();
  const { events } = await page.evaluate(
    async (path) =>
      (await (await fetch(path)).json()) as {
        events: { kind: string; deviation?: { kind: string; nextTime?: string } }[];
      },
    `/api${new URL(chartUrl).pathname}`,
  );
  expect(events.map((e) => e.deviation)).toContainEqual(
    expect.objectContaining({ kind: 'next time', nextTime: 'less' }),
  );
  await page.goto(`${chartUrl}/repeat`);
  await page
    .getByText(/Chosen for next time: less\. “Not too strong, perfect”/)
    .first()
    .waitFor();
});

test('how a product wears is proposed from its make and confirmed in one touch', async () => {
  await page.goto(`${baseUrl()}/kit`);
  await button('Add a product').click();
  const wear = page.getByRole('group', { name: 'How it wears' });
  await wear.getByText(/^Proposed where nothing is stated, from its make and name: \d+ hours/).waitFor();
  await page.getByLabel('Maker', { exact: true }).fill('Hart & Yarrow');
  await page.getByLabel('Line', { exact: true }).fill('Waterproof Tubing');
  await wear.getByText(/: 1\d hours, waterproof/).waitFor();
  await wear.getByRole('button', { name: 'Confirm the proposal' }).click();
  expect(
    await wear
      .getByRole('radiogroup', { name: 'Waterproof' })
      .getByRole('radio', { name: 'yes' })
      .getAttribute('aria-checked'),
  ).toBe('true');
  await wear.getByRole('button', { name: 'Confirm the proposal' }).waitFor({ state: 'detached' });
});

test('a place a look never goes to is not offered in its charts', async () => {
  await page.getByRole('link', { name: 'Looks', exact: true }).click();
  await page.getByRole('link', { name: /^Plain Cloth/ }).click();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByRole('tab', { name: 'About it' }).click();
  await page
    .getByRole('group', { name: 'Never there' })
    .getByRole('checkbox', { name: 'no light on the brow bone' })
    .click();
  await button(/^Save/).click();
  const address = `/api${new URL(page.url()).pathname.replace(/\/edit$/, '')}`;
  await eventually(() =>
    page.evaluate(async (path) => {
      const { look } = (await (await fetch(path)).json()) as { look: Look };
      return look.forbids.places?.includes('brow bone light') ?? false;
    }, address),
  );
  await fitPlainCloth('2027-03-20');
  await button('Add a layer').click();
  await radio('Light').click();
  await radio('Where').click();
  const guides = page.getByRole('radiogroup', { name: 'Add a guide' });
  await guides.getByRole('radio').first().waitFor();
  expect(await guides.getByRole('radio', { name: /brow bone/i }).count()).toBe(0);
  expect(await guides.getByRole('radio').count()).toBeGreaterThan(2);
});

test('what somebody never wants again is quoted, and told where a fitted look has it', async () => {
  await page.goto(`${baseUrl()}/clients`);
  await openClient(page, CLIENT);
  await page.getByRole('link', { name: 'Ask at the table' }).click();
  await page.getByLabel('What do you dislike, or never want again?').fill('Powder, and being rushed');
  await button('Keep what was said').click();
  await page.getByText('▲ Never again, as said: “Powder, and being rushed”.').waitFor();
  // The fit that was left unsaved is still there, and says it too.
  await button('Fit a look').click();
  await page
    .getByText('▲ Never again, as said: “Powder”. It is in take the shine. Ask, or choose otherwise.')
    .waitFor();
});

test('nothing was complained of on the way', () => expect(complaints).toEqual([]));
