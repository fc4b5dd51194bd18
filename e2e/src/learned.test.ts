import { randomUUID } from 'node:crypto';
import type { Browser, Page } from 'playwright-core';
import { baseUrl, openAs, openBrowser, openClient, PHONE } from './browser';

// What the studio's wears propose at a Repeat: shown with what speaks against it, refused, silent, heard
// again after news.
let browser: Browser;
let page: Page;
let complaints: readonly string[];
beforeAll(async () => {
  browser = await openBrowser();
  ({ page, complaints } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const panel = () => page.getByRole('group', { name: 'From your own evidence' });
const repeat = async (): Promise<void> => {
  await page.goto(`${baseUrl()}/`);
  await openClient(page, 'Ignace Dovrel');
  await page.getByRole('link', { name: /^Plain Cloth/ }).click();
  await page.getByRole('button', { name: 'Repeat', exact: true }).click();
  await page.getByRole('button', { name: /^Save version/ }).waitFor();
};
/** A wearing of this chart, looked at once, some days ago. */
async function worn(daysAgo: number): Promise<void> {
  const id = /charts\/([^/]+)/.exec(page.url())![1]!;
  const at = (hour: string): string =>
    `${new Date(Date.now() - daysAgo * 86_400_000).toISOString().slice(0, 10)}T${hour}:00:00Z`;
  const { chart } = (await (await page.request.get(`${baseUrl()}/api/charts/${id}`)).json()) as {
    chart: { version: number };
  };
  const answer = await page.request.post(`${baseUrl()}/api/charts/${id}/wear`, {
    headers: { 'idempotency-key': randomUUID(), origin: baseUrl() },
    data: {
      id: randomUUID(),
      version: chart.version,
      appliedAt: at('08'),
      at: at('11'),
      zones: { nose: 'needs a touch-up' },
    },
  });
  expect(answer.status()).toBe(201);
}

test('a line that left early is offered another, with counts and what speaks against it', async () => {
  await repeat();
  await panel()
    .getByText(
      /^Fennel & Rook Veil did not hold \d+ h on \d+ of \d+ looked-at wears \(nose(, [^)]*)?\); .* failed on \d+ of \d+/,
    )
    .waitFor();
  await panel()
    .getByText(/^Against it: (it held on \d+ of them|the days were no random choice)/)
    .waitFor();
  expect(await panel().getByRole('button', { name: /^Try / }).count()).toBeLessThanOrEqual(3);
});

test('refused it is silent, and speaks again after as much news as it asks for', async () => {
  while ((await panel().count()) > 0) {
    const refuse = panel().getByRole('button', { name: /^Not now/ });
    const before = await refuse.count();
    await refuse.first().click();
    await page.waitForFunction(
      (count) => [...document.querySelectorAll('[aria-label^="Not now"]')].length < count,
      before,
    );
  }
  await page.reload();
  await page.getByRole('button', { name: /^Save version/ }).waitFor();
  expect(await panel().count()).toBe(0);
  await worn(3);
  await repeat();
  expect(await panel().count()).toBe(0);
  await worn(2);
  await repeat();
  await panel()
    .getByText(/^Fennel & Rook Veil did not hold/)
    .waitFor();
  await page.getByText(/^▲ Last time this needed a touch-up: nose at 3\.0 h\.$/).waitFor();
});

test('tried, it is in the chart that is saved', async () => {
  const offer = /^Try (.*)$/.exec(
    await panel().getByRole('button', { name: /^Try / }).first().innerText(),
  )![1]!;
  await panel().getByRole('button', { name: /^Try / }).first().click();
  await page.getByText(`✓ ${offer} is in the chart instead of Fennel & Rook Veil.`).waitFor();
  await page.getByRole('button', { name: /^Save version/ }).click();
  await page.waitForURL(/\/charts\/[^/]+$/);
  await page.getByText(offer, { exact: false }).first().waitFor();
});

test('silenced for good it stands in Settings, and may be let speak again there', async () => {
  await page.goto(`${baseUrl()}/settings`);
  const list = page.getByRole('group', { name: 'Silenced proposals' });
  await list.getByText(/^Tamsin Vale Kept for Tamsin Vale Mouth \(mouth\): never, Runa Castellane/).waitFor();
  await list.getByRole('button', { name: /^Let it speak again: Tamsin Vale Kept/ }).click();
  await list.waitFor({ state: 'detached' });
  expect(complaints).toEqual([]);
});

test('a step that hands skip is asked about at the next fit of the look, and taken by one touch it is gone', async () => {
  const { clients } = {
    clients: (await (await page.request.get(`${baseUrl()}/api/clients`)).json()) as {
      id: string;
      name: string;
    }[],
  };
  // Three other clients whose chart of this look was worked without the blush.
  let skipped = 0;
  for (const { id } of clients) {
    const { charts } = (await (await page.request.get(`${baseUrl()}/api/clients/${id}`)).json()) as {
      charts: { id: string; lookName: string; version: number }[];
    };
    const one = charts.find(({ lookName }) => lookName === 'Choir Loft');
    if (!one || skipped === 3) continue;
    const { chart } = (await (await page.request.get(`${baseUrl()}/api/charts/${one.id}`)).json()) as {
      chart: { version: number; steps: { id: string; role: string; variant?: string; use: unknown[] }[] };
    };
    const blush = chart.steps.find(
      ({ role, variant, use }) => role === 'blush' && !variant && use.length > 0,
    );
    if (!blush) continue;
    const told = await page.request.post(`${baseUrl()}/api/charts/${one.id}/events`, {
      headers: { 'idempotency-key': randomUUID(), origin: baseUrl() },
      data: {
        id: randomUUID(),
        version: chart.version,
        stepId: blush.id,
        kind: 'deviation',
        deviation: { kind: 'skipped', note: '' },
        at: new Date(Date.now() - 3_600_000).toISOString(),
      },
    });
    expect(told.status()).toBe(201);
    skipped++;
  }
  expect(skipped).toBe(3);
  await page.goto(`${baseUrl()}/`);
  await openClient(page, 'Ignace Dovrel');
  await page.getByRole('button', { name: 'Fit a look' }).click();
  await page.getByRole('button', { name: /^Choir Loft/ }).click();
  await panel()
    .getByText(/ was skipped on 3 of the last 3 faces of this look: leave it out\?/)
    .waitFor();
  await panel()
    .getByRole('button', { name: /^Try leaving out / })
    .click();
  await page.getByText(/ is left out of the chart\.$/).waitFor();
  expect(
    await panel()
      .getByText(/was skipped on/)
      .count(),
  ).toBe(0);
});
