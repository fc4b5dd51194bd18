import type { Chart } from '@toile/core';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { baseUrl, more, openAs, openBrowser, openClient, openContext, openPart } from './browser';

// A whole chart worked in a basement, handed over to a colleague, and a fault carried into the next version,
// in order.
let browser: Browser;
let context: BrowserContext;
let page: Page;
let address: string;

type Answer = {
  readonly chart: Chart;
  readonly events: readonly { readonly stepId: string; readonly kind: string }[];
};

beforeAll(async () => {
  browser = await openBrowser();
  ({ context, page } = await openAs(browser, 'owner', undefined, 'light', { serviceWorkers: 'allow' }));
});
afterAll(() => browser.close());

const button = (name: string | RegExp, on = page) =>
  on.getByRole('button', { name, exact: typeof name === 'string' });
const kept = (): Promise<Answer> =>
  page.evaluate(
    async (path) => (await fetch(path)).json() as Promise<Answer>,
    `/api${new URL(address).pathname}`,
  );

/** A new chart of a look for a day, open as its first version. */
async function fitted(day: string): Promise<void> {
  await page.goto(baseUrl());
  await openClient(page, 'Renske Halloran');
  await button('Fit a look').click();
  await page.getByLabel('Date').fill(day);
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
}

test('without a network the whole chart is worked; two reloads later nothing is lost, and with the network it arrives once', async () => {
  await openClient(page, 'Renske Halloran');
  await button('Fit a look').click();
  await page.getByLabel('Date').fill('2027-05-08');
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/· version 1$/).waitFor();
  address = page.url();
  // Opened once with the worker in place, so that the device has it.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.goto(`${address}/chair`);
  await page.getByText(/^Step 1 of/).waitFor();

  await context.setOffline(true);
  await page.reload();
  await page.getByText(/^Step 1 of/).waitFor();
  // The scripts by a rule of the browser's, without asking the worker for each.
  const takenBy = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.includes('/_expo/static/'))
      .map((one) => ('workerMatchedSourceType' in one ? one.workerMatchedSourceType : 'asked')),
  );
  expect(takenBy.length).toBeGreaterThan(5);
  expect([...new Set(takenBy)]).toEqual(['cache']);
  const total = Number(/of (\d+)/.exec((await page.getByText(/^Step 1 of/).textContent())!)![1]);
  const shown = async (): Promise<string> => (await page.getByText(/^Step \d+ of/).textContent())!;
  const done = async (): Promise<void> => {
    const before = await shown();
    await button('Done').click();
    await page.waitForFunction((text) => !document.body.textContent.includes(text), before);
  };
  await done();
  // The prep still dries, so a step that does not touch it is worked meanwhile.
  await page.getByText(/^◷ Worked now, while .* dries\.$/).waitFor();
  expect(await shown()).not.toBe(`Step 2 of ${total}`);
  for (let i = 2; i <= 3; i++) await done();
  await button('What I really did').click();
  await page.getByLabel('Note').fill('Powder later, in the car');
  await button('Record the note').click();
  const there = await shown();
  await page.reload();
  await page.getByText(there).waitFor();
  await page.getByText(/Noted: Powder later, in the car/).waitFor();
  for (let i = 4; i < total; i++) await done();
  await button('Done').click();
  await button('All done, close the chart').waitFor();
  await page.reload();
  await button('All done, close the chart').waitFor();
  await page.getByText(`${total + 1} unsent`, { exact: false }).waitFor();

  await context.setOffline(false);
  await page.getByText('✓ all saved').waitFor();
  const { chart, events } = await kept();
  expect(events).toHaveLength(total + 1);
  for (const step of chart.steps.filter((s) => s.variant === undefined))
    expect(events.filter((e) => e.stepId === step.id && e.kind === 'done')).toHaveLength(1);
});

test('a place opened before can be read without a network, with a word that there is none', async () => {
  await page.goto(address);
  await page.getByText(/· version 1$/).waitFor();
  await context.setOffline(true);
  await page.reload();
  await page.getByText(/· version 1$/).waitFor();
  await page.getByText(/No network\. What was opened before can be read/).waitFor();
  await context.setOffline(false);
  await page.getByText(/No network/).waitFor({ state: 'detached' });
});

test('a swipe goes from step to step; one that runs downwards does not', async () => {
  await page.goto(`${address}/chair`);
  const words = page.getByText(/^Step \d+ of/);
  await words.waitFor();
  const at = async (): Promise<number> => Number(/\d+/.exec((await words.textContent())!)![0]);
  const start = await at();
  const swipe = (dx: number, dy: number): Promise<void> =>
    page.getByRole('img', { name: /^Where: / }).evaluate(
      (element, [x, y]) => {
        const touch = (clientX: number, clientY: number) =>
          new Touch({ identifier: 1, target: element, clientX, clientY, pageX: clientX, pageY: clientY });
        const send = (type: string, t: Touch, on: Touch[]) =>
          element.dispatchEvent(
            new TouchEvent(type, {
              bubbles: true,
              cancelable: true,
              touches: on,
              targetTouches: on,
              changedTouches: [t],
            }),
          );
        const [down, up] = [touch(300, 400), touch(300 + x!, 400 + y!)];
        send('touchstart', down, [down]);
        send('touchend', up, []);
      },
      [dx, dy],
    );
  await swipe(140, 10);
  await page.getByText(new RegExp(`^Step ${start - 1} of`)).waitFor();
  await swipe(-140, 10);
  await page.getByText(new RegExp(`^Step ${start} of`)).waitFor();
  await swipe(140, 200);
  expect(await at()).toBe(start);
});

test('two phones that knew nothing of each other: both versions are shown, and the one kept holds', async () => {
  await fitted('2027-06-12');
  const conflicting = page.url();
  const colleague = await openAs(browser, 'artist', undefined, 'light', { serviceWorkers: 'allow' });
  for (const { page: phone } of [{ page }, colleague]) {
    await phone.goto(`${conflicting}/chair`);
    await phone.getByText(/^Step 1 of/).waitFor();
  }
  const title = await page.getByRole('heading').first().textContent();
  await context.setOffline(true);
  await button('Done').click();
  await page.getByText('1 unsent', { exact: false }).waitFor();
  const theirs = colleague.page;
  await theirs.getByRole('button', { name: 'What I really did' }).click();
  await theirs.getByRole('button', { name: 'Skipped', exact: true }).click();
  await theirs.getByText('✓ all saved').waitFor();
  await context.setOffline(false);
  for (const phone of [page, theirs])
    await phone.getByText(`▲ Two versions of ${title!.toLowerCase()}`).waitFor();
  await theirs.getByRole('button', { name: 'Keep: Done, Runa Castellane' }).click();
  for (const phone of [page, theirs]) await phone.getByText(/^▲ Two versions/).waitFor({ state: 'detached' });
  const { events } = await page.evaluate(
    async (path) => (await fetch(path)).json() as Promise<{ events: { kind: string; settles?: string[] }[] }>,
    `/api${new URL(conflicting).pathname}`,
  );
  expect(events.map((e) => e.kind).sort()).toEqual(['deviation', 'done', 'done']);
  expect(events.at(-1)!.settles).toHaveLength(2);
  await colleague.context.close();
});

test('handed over mid-way: a colleague on another phone sees each step as it is done', async () => {
  const colleague = await openAs(browser, 'assistant');
  await colleague.page.goto(`${address}/chair`);
  await colleague.page.getByRole('button', { name: 'All done, close the chart' }).waitFor();
  const last = colleague.page.getByText(/^Done by /);
  await last.waitFor();
  const shown = await colleague.page.getByText(/^Step \d+ of/).textContent();
  await page.goto(`${address}/chair`);
  await page.getByText(shown!).waitFor();
  // The tick taken off at one phone leaves the other at once, and comes back with the name of who did it.
  await page.evaluate(
    async ([path, stepId, version]) => {
      const body = {
        id: crypto.randomUUID(),
        version: Number(version),
        stepId,
        kind: 'undone',
        at: new Date().toISOString(),
      };
      await fetch(`${path}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': body.id },
        body: JSON.stringify(body),
      });
    },
    [`/api${new URL(address).pathname}`, (await kept()).chart.steps.at(-1)!.id, '1'],
  );
  await colleague.page.getByRole('button', { name: 'Done', exact: true }).waitFor();
  await button('Done').click();
  await colleague.page.getByText('Done by Runa Castellane').waitFor();
  await colleague.page.getByRole('button', { name: 'All done, close the chart' }).waitFor();
  await colleague.context.close();
});

test('what is seen is traced to its likely cause and changed in the chart, with a school taken by advice', async () => {
  await page.goto(address);
  await page.getByText(/· version 1$/).waitFor();
  await openPart(page, 'Look over');
  await button('Something looks wrong?').click();
  await page.getByRole('radio', { name: 'cakey, heavy' }).click();
  const finder = page.getByRole('group', { name: 'What do you see?' });
  await finder
    .getByText(/^Now: Press with a damp sponge, then mist\.$/)
    .first()
    .waitFor();
  await finder
    .getByText(/ · \d+ %$/)
    .first()
    .waitFor();
  await finder
    .getByRole('button', { name: /^Change it in this chart/ })
    .first()
    .click();
  await openPart(page, 'Look over');
  await button('Change the school').click();
  await page.getByRole('radio', { name: 'eyes first' }).click();
  await page.getByText('▲ Fallout is cleaned before the base; brows and lids come before it.').waitFor();
  await openPart(page, 'Steps');
  const steps = await page
    .getByRole('list', { name: 'Steps' })
    .getByRole('button', { name: /^Step \d+/ })
    .evaluateAll((all) => all.map((s) => s.getAttribute('aria-label') ?? ''));
  const at = (name: RegExp): number => steps.findIndex((s) => name.test(s));
  expect(at(/, (Brow|Lid|Eye)/i)).toBeGreaterThanOrEqual(0);
  expect(at(/, (Brow|Lid|Eye)/i)).toBeLessThan(at(/, Base/));
  await page.getByLabel('Why this version').fill('After the trial');
  await button('Save version 2').click();
  await button('Save version 2').waitFor({ state: 'detached' });
  await page.getByText(/· version 2$/).waitFor();
  expect((await kept()).chart.schools.eyesOrFace).toBe('eyes first');
});

test('a link shows the version to someone without an account until it is taken back', async () => {
  await page.goto(address);
  await page.getByText(/· version 2$/).waitFor();
  await more(page, 'Share');
  await button('Make a link').click();
  const link = await page.getByLabel('The link, shown this once').inputValue();
  const stranger = await openContext(browser);
  const seen = await stranger.newPage();
  await seen.goto(link);
  await seen.locator('text', { hasText: 'Renske Halloran' }).first().waitFor();
  expect(await seen.locator('text', { hasText: /^Mind:/ }).count()).toBe(0);
  await page.getByRole('list', { name: 'Links' }).getByRole('button', { name: 'Take back' }).click();
  await page.getByText(/^Version 2 by Runa Castellane, taken back/).waitFor();
  await seen.reload();
  await seen.getByRole('heading', { name: 'This link shows nothing' }).waitFor();
  await stranger.close();
});

test('a newer version with fewer steps is worked on from where one stands, and it is said', async () => {
  await page.goto(`${address}/chair`);
  await page.getByText(/^Step \d+ of/).waitFor();
  const total = Number(/of (\d+)/.exec((await page.getByText(/^Step \d+ of/).textContent())!)![1]);
  for (;;) {
    const after = button('Step after');
    if (await after.isDisabled()) break;
    await after.click();
  }
  await page.getByText(`Step ${total} of ${total}`).waitFor();
  // A colleague takes the last two steps out.
  const version = await page.evaluate(
    async (path) => {
      const { chart } = (await (await fetch(path)).json()) as Answer;
      const main = chart.steps.filter((s) => s.variant === undefined);
      const gone = new Set(main.slice(-2).map((s) => s.id));
      const body = {
        parent: chart.version,
        reason: 'Shorter',
        chart: { ...chart, steps: chart.steps.filter((s) => !gone.has(s.id)) },
      };
      const headers = { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() };
      const saved = await fetch(`${path}/versions`, { method: 'POST', headers, body: JSON.stringify(body) });
      if (!saved.ok) throw new Error(await saved.text());
      return chart.version + 1;
    },
    `/api${new URL(address).pathname}`,
  );
  await page.getByText(new RegExp(`^▲ Version ${version} was saved meanwhile`)).waitFor();
  await page.getByText(`Step ${total - 2} of ${total - 2}`).waitFor();
  await button('Step before').click();
  await page.getByText(`Step ${total - 3} of ${total - 2}`).waitFor();
});

test('a chart worked another day is open again; that day is gone on with, or it is put on once more', async () => {
  await fitted('2027-06-19');
  address = page.url();
  const steps = (await kept()).chart.steps.filter(({ variant }) => variant === undefined);
  await page.evaluate(
    async ([path, ids]) => {
      const at = new Date(Date.now() - 26 * 3_600_000).toISOString();
      for (const stepId of ids) {
        const headers = { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() };
        const body = { id: crypto.randomUUID(), version: 1, stepId, kind: 'done', at };
        const told = await fetch(`${path}/events`, { method: 'POST', headers, body: JSON.stringify(body) });
        if (!told.ok) throw new Error(await told.text());
      }
    },
    [`/api${new URL(address).pathname}`, steps.slice(0, -1).map(({ id }) => id)] as const,
  );
  const total = steps.length;
  await page.goto(`${address}/chair`);
  await page.getByText(`Step 1 of ${total}`).waitFor();
  await page
    .getByRole('status')
    .getByText(new RegExp(`: ${total - 1} of ${total} steps\\.$`))
    .waitFor();
  await button('Go on with that one').click();
  await page.getByText(`Step ${total} of ${total}`).waitFor();
  await button('Done').click();
  await button('All done, close the chart').waitFor();
  // Told of that day, so this day's is still to come.
  await page.getByText('✓ all saved').waitFor();
  await page.reload();
  await button('All done, close the chart').waitFor();
  await button('Put it on again, from the first step').click();
  await page.getByText(`Step 1 of ${total}`).waitFor();
  await button('Done').click();
  await page.getByText('✓ all saved').waitFor();
  await page.reload();
  await page.getByText(/^Step \d+ of/).waitFor();
  await button('Done').waitFor();
  const { events } = await kept();
  expect(events).toHaveLength(total + 1);
  expect(events.filter(({ stepId }) => stepId === steps[0]!.id)).toHaveLength(2);
});
