import type { Browser, Page } from 'playwright-core';
import { baseUrl, eventually, openAs, openBrowser, PHONE, WIDE, shot } from './browser';

// Somebody else's look: taken down while watching, by thumb and by keys, and held against the studio's own
// kit.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (name: string) => page.getByRole('button', { name, exact: true });
const radio = (group: string, name: string) =>
  page.getByRole('radiogroup', { name: group }).getByRole('radio', { name, exact: true });
const done = () => page.getByRole('list', { name: 'As it was done' });

test('a look of six layers is taken down in under three minutes, kept through a reload, put in order', async () => {
  const began = Date.now();
  await page.goto(`${baseUrl()}/looks/take-down`);
  for (const kind of ['Base', 'Conceal', 'Blush', 'Eye', 'Lash', 'Lip'])
    await radio('Now comes', kind).click();
  await eventually(async () => (await done().getByRole('listitem').count()) === 6);
  // The last is open: a deep berry, satin, with a finger.
  await radio('Its colour', 'berry').click();
  await radio('Its tone', 'deep').click();
  await radio('Finish', 'satin').click();
  await radio('With', 'finger').click();
  await done()
    .getByText(/deep berry; satin; finger/)
    .waitFor();
  await shot(page, 'take-down');
  await button('Step 6 earlier').click();
  await done()
    .getByText(/^5\. .*deep berry/)
    .waitFor();
  await page.reload();
  await page.getByText('Taken up where it was left on this device.').waitFor();
  await done()
    .getByText(/^5\. .*deep berry/)
    .waitFor();
  await button('Keep the look').click();
  await page.getByText('Give the look a name').waitFor();
  await page.getByLabel('Name of the look').fill('Seen at Ostermouth');
  await button('Keep the look').click();
  await page.waitForURL(/\/looks\/[0-9a-f-]{36}/);
  expect(Date.now() - began).toBeLessThan(180_000);
});

test('beside it stands what our kit has: how many as asked, how far off the rest, on three skins', async () => {
  const ours = page.getByRole('group', { name: 'With our kit' });
  const said = ours.getByRole('status');
  await said.getByText(/^\d of 6 as asked/).waitFor();
  const lines = ours.getByRole('list', { name: 'Step by step' }).getByRole('listitem');
  expect(await lines.count()).toBe(6);
  expect(await ours.getByRole('img', { name: /as (asked|ours)$/ }).count()).toBe(2);
  await shot(page, 'with-our-kit');
  const before = await lines.allInnerTexts();
  await radio('On skin that is', 'very deep').click();
  await eventually(async () => {
    const now = await lines.allInnerTexts();
    return now.length === 6 && now.join() !== before.join();
  });
  await said.scrollIntoViewIfNeeded();
  await shot(page, 'with-our-kit-deep');
});

test('nothing taken down is refused with what to do; by keys alone a layer is added and opened', async () => {
  await page.goto(`${baseUrl()}/looks/take-down`);
  await button('Keep the look').click();
  await page
    .getByRole('alert')
    .getByText(/Take down at least one step/)
    .waitFor();
  const first = page.getByRole('radiogroup', { name: 'Now comes' }).getByRole('radio').first();
  await first.focus();
  await page.keyboard.press('Space');
  await eventually(async () => (await done().getByRole('listitem').count()) === 1);
  await button('Take it out').focus();
  await page.keyboard.press('Enter');
  await eventually(async () => (await done().getByRole('listitem').count()) === 0);
  expect(complaints).toEqual([]);
});

test('a look of the library is held against the kit from its own page, wide and dark', async () => {
  const wide = await openAs(browser, 'owner', WIDE, 'dark');
  await wide.page.goto(`${baseUrl()}/looks`);
  await wide.page.getByRole('link').filter({ hasText: 'Harbour Morning' }).first().click();
  await wide.page.getByRole('button', { name: 'With our kit', exact: true }).click();
  await wide.page
    .getByRole('group', { name: 'With our kit' })
    .getByText(/^\d+ of \d+ as asked/)
    .waitFor();
  await shot(wide.page, 'with-our-kit-wide');
  expect(wide.complaints).toEqual([]);
  await wide.context.close();
});
