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
} from './browser';

// A lesson for the client's own hands: proposed, changed, read on another phone, printed, taken back.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const kept = () => page.getByRole('group', { name: 'What is kept' });
const stepsKept = async (): Promise<number> => {
  const said = await kept()
    .getByText(/^(\d+ steps|one step), about/)
    .innerText();
  return said.startsWith('one') ? 1 : Number(/^\d+/.exec(said)![0]);
};

test('fewer minutes keep fewer steps; one more by hand is more than there is time for, and says so', async () => {
  await openClient(page, 'Morwenna Penhallow');
  await page.getByRole('link', { name: /Choir Loft/ }).click();
  await page.waitForURL(/\/charts\//);
  await more(page, 'Lesson for at home');
  const twenty = await stepsKept();
  for (let i = 0; i < 3; i++)
    await page
      .getByRole('button', { name: /^Minutes there are.*less|less.*Minutes|−|-/i })
      .first()
      .click();
  expect(await stepsKept()).toBeLessThan(twenty);
  await shot(page, 'lesson');
  const before = await stepsKept();
  await kept()
    .getByText(/: For days with more time\.$/)
    .first()
    .click();
  expect(await stepsKept()).toBe(before + 1);
  await kept()
    .getByText(/^▲ That is more than the 5 minutes/)
    .waitFor();
  await page
    .getByRole('group', { name: 'As the client reads it' })
    .getByText(/see a doctor/)
    .waitFor();
});

test('a tool that is not at home is stood in for, or the step is left and says why', async () => {
  const tools = page.getByRole('group', { name: 'Tools at home' });
  const reads = page.getByRole('group', { name: 'As the client reads it' });
  for (const box of await tools.getByRole('checkbox').all()) await box.click();
  await reads
    .getByText(/^With a finger: /)
    .first()
    .waitFor();
  expect(await reads.getByText(/^With the (damp sponge|dense brush|small brush)/).count()).toBe(0);
  await kept()
    .getByText(/Nothing to do it with: it wants an? /)
    .first()
    .waitFor();
  await shot(page, 'lesson-tools');
  for (const box of await tools.getByRole('checkbox').all()) await box.click();
  expect(
    await kept()
      .getByText(/Nothing to do it with/)
      .count(),
  ).toBe(0);
});

test('by a link it is read on another phone, and no more once it is taken back; on paper it is a PDF', async () => {
  await page.getByRole('button', { name: 'Make a link', exact: true }).click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const context = await openContext(browser, { viewport: PHONE });
  const theirs = await context.newPage();
  await theirs.goto(link);
  await theirs.getByRole('heading', { name: 'Choir Loft, at home' }).waitFor();
  await theirs.getByText(/your left is on the left/).waitFor();
  expect(await theirs.getByText(/client/i).count()).toBe(0);
  await shot(theirs, 'lesson-page');
  // Kept on the phone it was opened on: it is read before a mirror without a network.
  await theirs.waitForFunction(
    async () =>
      navigator.serviceWorker.controller?.state === 'activated' &&
      (await caches.match(window.location.href)) !== undefined,
  );
  await context.setOffline(true);
  // A worker that has only just begun may miss the first asking.
  await eventually(async () => {
    await theirs.reload().catch(() => undefined);
    return (await theirs.getByRole('heading', { name: 'Choir Loft, at home' }).count()) === 1;
  });
  await context.setOffline(false);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF, A4' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^lesson-.*\.pdf$/);
  if (SHOTS) await download.saveAs(`${SHOTS}/lesson.pdf`);
  await page
    .getByRole('list', { name: 'Links to this lesson' })
    .getByRole('button', { name: /^Take back the link of/ })
    .first()
    .click();
  await page
    .getByRole('list', { name: 'Links to this lesson' })
    .getByText(/taken back$/)
    .first()
    .waitFor();
  await theirs.reload();
  await theirs.getByRole('heading', { name: 'This link shows nothing' }).waitFor();
  // What was taken back is not shown from before either.
  await context.setOffline(true);
  await theirs.reload().catch(() => undefined);
  expect(await theirs.getByRole('heading', { name: 'Choir Loft, at home' }).count()).toBe(0);
  await context.close();
  expect(complaints).toEqual([]);
});
