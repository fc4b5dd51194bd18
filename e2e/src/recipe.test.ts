import type { Chart } from '@toile/core';
import type { Browser, Page } from 'playwright-core';
import { openAs, openBrowser, openClient, openPart } from './browser';

// A recipe put in order by hand and by keys, with a variant of its own, sprayed, counted and timed.
let browser: Browser;
let page: Page;
let complaints: readonly string[];

beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'owner'));
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const list = () => page.getByRole('list', { name: 'Steps' });
const titles = (): Promise<string[]> =>
  list()
    .getByRole('button', { name: /^Step \d+, / })
    .evaluateAll((all) =>
      all.map((row) => (row.getAttribute('aria-label') ?? '').replace(/^Step \d+, /, '').replace(/: .*/, '')),
    );
const open = async (title: RegExp): Promise<void> => {
  const row = list().getByRole('button', { name: title }).first();
  if ((await row.getAttribute('aria-expanded')) !== 'true') await row.click();
};
const kept = (): Promise<Chart> =>
  page.evaluate(
    async (path) => ((await (await fetch(path)).json()) as { chart: Chart }).chart,
    `/api${new URL(page.url()).pathname}`,
  );

test('a step is dragged two places down and brought back by keys', async () => {
  await openClient(page, 'Renske Halloran');
  await button('Fit a look').click();
  await page.getByLabel('Date').fill('2027-08-07');
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').waitFor();
  const before = await titles();
  // Tucked away by keys: the list has the screen to itself.
  await page.getByRole('button', { name: 'Size of the face: full' }).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: 'Size of the face: tucked' }).waitFor();
  const grip = page.getByRole('button', { name: `Move step 5, ${before[4]!}` });
  await grip.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const rows = list().locator('[data-step]');
  const target = (await rows.nth(6).boundingBox())!;
  const from = (await grip.boundingBox())!;
  await page.mouse.move(from.x + 22, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 22, from.y + 60, { steps: 4 });
  await page.mouse.move(from.x + 22, target.y + target.height / 2, { steps: 6 });
  await page.mouse.up();
  const moved = await titles();
  expect(moved.slice(4, 7)).toEqual([before[5], before[6], before[4]]);
  await page.getByRole('button', { name: `Move step 7, ${before[4]!}` }).focus();
  await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: `Move step 6, ${before[4]!}` }).focus();
  await page.keyboard.press('ArrowUp');
  expect(await titles()).toEqual(before);
});

test('a sprayed base says its flow and passes, and what nothing may do to it', async () => {
  await open(/, Base: /);
  await page.getByRole('radio', { name: 'How' }).click();
  await page.getByRole('radio', { name: 'airbrush' }).click();
  await page.getByRole('radio', { name: 'half open' }).click();
  await page.getByText(/airbrush · spray · 3 passes a side, flow half open/).waitFor();
  await page
    .getByText(/^Do not touch or rub it after/)
    .first()
    .waitFor();
  await page.getByRole('radio', { name: 'damp sponge' }).click();
  expect(await page.getByRole('radio', { name: 'half open' }).count()).toBe(0);
});

test('a higher dose asks for more on this face, and is taken by a touch', async () => {
  await open(/, Base: /);
  const how = page.getByRole('group', { name: 'How it is done' });
  await how.getByText(/^\d+ cm² of skin take \d+ mg with what the tool keeps: /).waitFor();
  for (let i = 0; i < 12; i++) await how.getByRole('button', { name: 'Dose: more' }).click();
  const take = how.getByRole('button', { name: /^Take \d/ });
  await take.click();
  await take.waitFor({ state: 'detached' });
});

test('a variant does one step otherwise; the plan keeps its own, and the chair works either', async () => {
  await button('Add a variant').click();
  await page.getByLabel('Name of the variant').fill('evening LIP');
  await page.getByText('There is one of this name').waitFor();
  await page.getByLabel('Name of the variant').fill('Dance floor');
  await button('Add it').click();
  await open(/, Blush/);
  await page.getByRole('radio', { name: 'How' }).click();
  const plan = await titles();
  await button('Do it otherwise in Dance floor').click();
  await page.getByLabel('Name of the step').fill('Blush, twice as strong');
  expect(await titles()).toEqual(
    plan.map((title) => (/^Blush/.test(title) ? 'Blush, twice as strong' : title)),
  );
  await page.getByRole('radio', { name: 'as planned' }).click();
  expect(await titles()).toEqual(plan);
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
  const chart = await kept();
  const floor = chart.variants.find((v) => v.name === 'Dance floor')!;
  const own = chart.steps.filter((s) => s.variant === floor.id);
  expect(own.map((s) => s.title)).toEqual(['Blush, twice as strong']);
  expect(chart.steps.find((s) => s.id === own[0]!.instead)!.title).toMatch(/^Blush/);

  const at = page.url();
  await page.goto(`${at}/chair`);
  await page.getByText(/^Step \d+ of/).waitFor();
  await page.getByRole('radio', { name: 'Dance floor' }).click();
  const place = plan.findIndex((title) => /^Blush/.test(title));
  for (let i = 0; i < place; i++) await button('Step after').click();
  await page.getByRole('heading', { name: 'Blush, twice as strong' }).waitFor();
  await page.goto(at);
});

test('amounts in all add up what the steps take', async () => {
  const chart = await kept();
  const used = chart.steps.filter((s) => s.variant === undefined).flatMap((s) => s.use);
  const products = new Set(used.map((u) => `${u.product.id} ${u.measure}`)).size;
  await openPart(page, 'Amounts and time');
  await page.getByText(`What it takes in all, ${products} products`).waitFor();
  const amounts = page.getByRole('group', { name: 'Amounts in all' });
  await amounts
    .getByText(/^step \d+(, \d+)*$/)
    .first()
    .waitFor();
  expect(await amounts.getByText(/ (mg|g)$/).count()).toBe(products);
});

test('minutes learned at the chair are taken into the plan', async () => {
  await openPart(page, 'Amounts and time');
  const learned = page.getByRole('group', { name: 'Minutes learned at the chair' });
  await learned.getByText(/eyes 1\.4 × the plan/).waitFor();
  const minutes = async (): Promise<number[]> =>
    (await kept()).steps.filter((s) => s.phase === 'eyes' && !s.variant).map((s) => s.handsOnMinutes);
  const planned = await minutes();
  await learned.getByRole('button', { name: /^Plan with these minutes/ }).click();
  await button('Save version 2').click();
  await button('Save version 2').waitFor({ state: 'detached' });
  await page.getByText(/· version 2$/).waitFor();
  expect(await minutes()).toEqual(planned.map((m) => Math.round(m * 1.4 * 2) / 2));
});

test('a contour shows both ways to find it and how far they lie apart on this face', async () => {
  await openPart(page, 'Steps');
  await open(/, Contour the cheek: /);
  await page.getByRole('radio', { name: 'Where' }).click();
  const note = page.getByRole('note', { name: 'Smile line and hollow line' });
  await note.getByText(/the dotted line, \d+ mm.* from it and too low\./).waitFor();
});

test('a studio has its way in what schools do differently, and leaves it to the look again', async () => {
  const other = await openAs(browser, 'stranger');
  await other.page.getByRole('link', { name: 'Settings' }).click();
  const way = other.page.getByRole('group', { name: 'The studio’s way' });
  await way.getByText('Every look is done as it says.').waitFor();
  await way.getByRole('button', { name: 'Change the studio’s way' }).click();
  await way.getByRole('radio', { name: 'powder, then spray' }).click();
  await way.getByText('Spray and powder: powder, then spray').waitFor();
  await other.page.reload();
  await way.getByText('Spray and powder: powder, then spray').waitFor();
  await way.getByRole('button', { name: 'Change the studio’s way' }).click();
  await way.getByRole('button', { name: 'Spray and powder: as the look says' }).click();
  await way.getByText('Every look is done as it says.').waitFor();
  await other.context.close();
});

test('nothing was complained of on the way', () => expect(complaints).toEqual([]));
