import type { Browser, Page } from 'playwright-core';
import { chooseFile, more, openAs, openBrowser, openClient, openPart, type Opened } from './browser';

// Colour from the reading to the saved chart, on a phone, in order.
let browser: Browser;
let opened: Opened;
let page: Page;
const CLIENT = 'Leocadia Brandt';

beforeAll(async () => {
  browser = await openBrowser();
  opened = await openAs(browser, 'owner');
  page = opened.page;
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name });

test('a file without the needed columns is refused with where and why; a good one fills the zones', async () => {
  await openClient(page, CLIENT);
  await button('Read skin').click();
  await chooseFile(
    page,
    'From a file',
    'wrong.txt',
    'CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID CMYK_C\nEND_DATA_FORMAT\nBEGIN_DATA\n1 2\nEND_DATA\n',
  );
  await page.getByText(/line 3: The needed columns are missing: LAB_L LAB_A LAB_B/).waitFor();
  const rows = [
    'Forehead 61.9 12.1 18.4',
    'Forehead 62.2 12.0 18.1',
    'Forehead 62.0 11.8 18.2',
    'Neck 63.4 9.8 18.9',
    'Neck 63.2 9.9 19.1',
    'Neck 63.6 10.0 18.8',
  ];
  const file = [
    'CGATS.17',
    'ILLUMINATION_NAME "D65"',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    'BEGIN_DATA',
    ...rows.map((r, i) => `${i + 1} ${r}`),
    'END_DATA',
  ];
  await chooseFile(page, 'From a file', 'reading.txt', file.join('\r\n'));
  await page.getByText('6 samples taken in: forehead 3, neck 3.').waitFor();
  await page.getByRole('radio', { name: 'Forehead: steady' }).waitFor();
});

test('an outlier is struck through, a spot is read and named', async () => {
  await page.getByRole('radio', { name: /^Cheek:/ }).click();
  await button('Type CIELAB values').click();
  const type = async (values: readonly (readonly [string, string, string])[]): Promise<void> => {
    for (const [L, a, b] of values) {
      await page.getByLabel('L*').fill(L);
      await page.getByLabel('a*').fill(a);
      await page.getByLabel('b*').fill(b);
      await button('Add these values').click();
    }
  };
  await type([
    ['61', '14', '18'],
    ['61,2', '14,1', '18,1'],
    ['60.8', '14', '17.8'],
    ['52', '19', '24'],
  ]);
  await page.getByLabel('sample 4, set aside').waitFor();
  expect(
    await page.getByLabel('sample 4, set aside').evaluate((e) => getComputedStyle(e).textDecorationLine),
  ).toBe('line-through');
  await button('Add a spot or place').click();
  await button('Add the place').click();
  await page.getByText('Name the place').waitFor();
  await page.getByLabel('What it is called').fill('Flush');
  await button('Add the place').click();
  await button('Type CIELAB values').click();
  await type([
    ['55', '23', '18.2'],
    ['55.3', '22.8', '18'],
    ['54.9', '23.2', '18.1'],
  ]);
  await page.getByText(/from the skin round it: /).waitFor();
  await button(/^Keep 3 of 7/).click();
  await page.getByText(/Read today by Runa Castellane/).waitFor();
});

test('a mix is matched, what is asked can be changed, any product is answered for', async () => {
  await button('Match, correct, sculpt').click();
  const pairs = page.getByRole('radiogroup', { name: 'Two, mixed' });
  await pairs.getByRole('radio').first().waitFor();
  const first = async () => (await pairs.getByRole('radio').first().getAttribute('aria-label'))!;
  expect(await first()).toMatch(/, \d : \d, \d\.\d off$/);
  await page.getByText(/mixes of \d+ products compared/).waitFor();
  await button('Change what is asked').click();
  await page
    .getByRole('group', { name: 'Only these finishes' })
    .getByRole('checkbox', { name: 'matte' })
    .click();
  await page.getByText(/only matte/).waitFor();
  await page.waitForFunction(() =>
    [...document.querySelectorAll('[role=radiogroup][aria-label="One product"] [role=radio]')].every((r) =>
      /Long Hours|Stage Cream/.test(r.getAttribute('aria-label')!),
    ),
  );
  await page
    .getByRole('group', { name: 'Only these finishes' })
    .getByRole('checkbox', { name: 'matte' })
    .click();
  await button('Change what is asked').click();
  await page.getByLabel('A product').fill('V8');
  await page.getByRole('button', { name: /^Why not .* V8/ }).click();
  await page.getByText(/Alone it is \d+\.\d off: .*deeper/).waitFor();
});

test('the mix goes into her chart and is saved with its reason', async () => {
  const pairs = page.getByRole('radiogroup', { name: 'Two, mixed' });
  await pairs.getByRole('radio').first().click();
  const label = (await pairs.getByRole('radio').first().getAttribute('aria-label'))!;
  await button(/^Put .* into the chart$/).click();
  await button(/^Save version \d+$/).waitFor();
  expect(await page.getByLabel('Why this version').inputValue()).toMatch(/^Base matched: .*, \d\.\d off$/);
  await button(/^Save version \d+$/).click();
  await button(/^Save version \d+$/).waitFor({ state: 'detached' });
  await openPart(page, 'Versions');
  await page.getByText(/^Saved by Runa Castellane/).waitFor();
  await page.reload();
  const base = page.getByRole('button', { name: /^Step \d+, Base/ });
  await base.waitFor();
  const shades = label.split(',')[0]!.split(' with ');
  for (const shade of shades) expect(await base.textContent()).toContain(shade);
});

test('the spot has correctors with doses and predicted layers, doing without among them', async () => {
  await openClient(page, CLIENT);
  await button('Match, correct, sculpt').click();
  await page.getByRole('radio', { name: 'Correct' }).click();
  await page.getByRole('radio', { name: 'Flush' }).click();
  await page.getByText(/redness: redder than the skin round it/).waitFor();
  await page.getByText(/ways predicted by a layer model/).waitFor();
  await page.getByRole('group', { name: 'Nothing: leave it to the base' }).waitFor();
  const names = await page
    .getByRole('group', { name: /Quiet/ })
    .evaluateAll((all) => all.map((g) => g.getAttribute('aria-label')!));
  for (const name of names) expect(name).toMatch(/green|lemon/);
  await page.getByRole('radio', { name: 'Sculpt' }).click();
  await page.getByText(/steps deeper than the skin, for a/).waitFor();
  await page.getByRole('radio', { name: 'highlight' }).click();
  await page.getByText(/steps lighter than the skin, for a/).waitFor();
});

test('the skin over time, with drift in shade steps', async () => {
  await openClient(page, 'Isaura Penhallow');
  await button('Over time').click();
  await page.getByRole('img', { name: /^Depth from \d+\.\d to \d+\.\d over 5 readings/ }).waitFor();
  await page.getByText(/^Since the reading of .*: \d+\.\d different, \d\.\d shade steps lighter/).waitFor();
  await page.getByText(/^Since the chart Harbour Morning/).waitFor();
  await page.getByRole('radio', { name: 'Neck', exact: true }).click();
  await page.getByText(/^Since the reading of/).waitFor();
});

test('the chart’s face under light: layers, before and after, flash', async () => {
  await openClient(page, 'Isaura Penhallow');
  await page.getByRole('link', { name: /^Harbour Morning/ }).click();
  await more(page, 'Under light');
  const href = () => page.locator('svg image').getAttribute('href');
  const changes = async (act: () => Promise<void>): Promise<void> => {
    const before = await href();
    await act();
    await page.waitForFunction(
      (old) => document.querySelector('svg image')?.getAttribute('href') !== old,
      before,
    );
  };
  await page.locator('svg image').waitFor();
  await changes(() => page.getByRole('radio', { name: 'flash' }).click());
  await changes(() => page.keyboard.press('2'));
  expect(await page.getByRole('radio', { name: 'lamp' }).getAttribute('aria-checked')).toBe('true');
  await changes(() => page.getByRole('switch', { name: 'Base' }).click());
  await changes(() => button('Show the face before').click());
  await changes(() => button('Show the make-up').click());
  await changes(() => page.getByRole('radio', { name: 'far camera' }).click());
});

test('nothing was complained of on the way', () => expect(opened.complaints).toEqual([]));
