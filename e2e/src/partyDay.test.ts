import { readFileSync } from 'node:fs';
import { instantAt, type PartyPlan } from '@toile/core';
import type { Browser, Page } from 'playwright-core';
import { baseUrl, eventually, openAs, openBrowser, openContext, PHONE } from './browser';
import { newParty, openPartyPart, planAndKeep } from './parties';

// A party's day as it goes, on two phones; its packing, one of them without a network; what each is told.
let browser: Browser;
beforeAll(async () => void (browser = await openBrowser()));
afterAll(() => browser.close());

const partyOf = (page: Page): Promise<{ date: string; plan: PartyPlan }> =>
  page.evaluate(
    async (path) => (await (await fetch(path)).json()) as { date: string; plan: PartyPlan },
    `/api${new URL(page.url()).pathname}`,
  );
const closed = (page: Page): Promise<void> =>
  eventually(async () => (await page.getByRole('dialog').count()) === 0);

test('the day run late on two phones: told on one, seen on the other, planned again with few changes', async () => {
  const one = await openAs(browser, 'owner', PHONE);
  const other = await openAs(browser, 'artist', PHONE);
  await newParty(
    one.page,
    'Breakwater wedding',
    'Ada Morrow, bride, 12:00, face 60\nBe Lund, mother, 11:30, face 40\nCy Orr, guest, 11:40, face 30\nDot Orr, guest, 11:50, face 30',
  );
  await closed(one.page);
  await planAndKeep(one.page);
  const { date, plan } = await partyOf(one.page);
  const visits = [...plan.timetable!.visits].sort((a, b) => a.start - b.start);
  const at = (minute: number): Date => instantAt(plan.zone, date, minute);
  const nameOf = (id: string): string => plan.guests.find((guest) => guest.id === id)!.name;
  const [first, second] = [visits[0]!, visits[1]!];
  for (const { page } of [one, other]) {
    await page.clock.setFixedTime(at(first.start));
    await page.goto(`${baseUrl()}/parties/${new URL(one.page.url()).pathname.split('/')[2]!}`);
    // On the day it opens where it goes on.
    await page.getByText('Nobody has told that anything began').waitFor();
  }
  const made = `${nameOf(first.of)}, make-up`;
  await one.page.getByRole('button', { name: `Begun: ${made}` }).click();
  await one.page.getByRole('button', { name: `Done: ${made}` }).waitFor();
  await other.page.getByRole('button', { name: `Done: ${made}` }).waitFor();

  // An hour over its time: seen on both by the clock alone.
  for (const { page } of [one, other]) await page.clock.setFixedTime(at(first.start + first.minutes + 60));
  for (const { page } of [one, other])
    await page
      .getByRole('status')
      .getByText(/min late|min behind/)
      .waitFor({ timeout: 30_000 });
  await other.page.getByRole('button', { name: `Done: ${made}` }).click();
  await one.page.getByRole('button', { name: `Begun: ${nameOf(second.of)}, make-up` }).waitFor();
  await one.page.getByRole('button', { name: 'What could be done' }).click();
  const could = one.page.getByRole('group', { name: 'What could be done' });
  await could
    .getByText(/Everybody in time|min late/)
    .first()
    .waitFor();
  await could
    .getByText(new RegExp(`${nameOf(second.of)}, your make-up is now at \\d\\d:\\d\\d`))
    .first()
    .waitFor();
  await could
    .getByRole('button', { name: /^Do it this way/ })
    .first()
    .click();
  await eventually(async () =>
    (await partyOf(one.page)).plan.timetable!.visits.some(
      (visit) => visit.of === second.of && visit.start > second.start,
    ),
  );
  const now = await partyOf(one.page);
  // What was over stays where it was; the other phone has the new times without being touched.
  const kept = now.plan.timetable!.visits.find(
    (visit) => visit.of === first.of && visit.task === first.task,
  )!;
  expect([kept.start, kept.minutes]).toEqual([first.start, first.minutes + 60]);
  await other.page
    .getByRole('status')
    .getByText(/Everything is in time|still be ready in time|min late/)
    .waitFor();
  await other.page
    .getByRole('group', { name: 'How it went' })
    .getByText(/60 min more/)
    .waitFor();
  expect([...one.complaints, ...other.complaints]).toEqual([]);
  await Promise.all([one.context.close(), other.context.close()]);
});

test('packed on a phone without a network, and on another meanwhile: both are seen once it is back', async () => {
  const without = await openAs(browser, 'artist', PHONE, 'light', { serviceWorkers: 'allow' });
  await without.page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await without.page.reload();
  const other = await openAs(browser, 'owner', PHONE);
  for (const { page } of [without, other]) {
    await page.getByRole('link', { name: 'Parties', exact: true }).click();
    await page.getByRole('link', { name: /^Pell Skerry wedding/ }).click();
    await openPartyPart(page, 'Pack, and what is short');
    await page.getByRole('group', { name: 'Used once' }).waitFor();
  }
  const thing = (page: Page, name: RegExp) => page.getByRole('switch', { name });
  await without.context.setOffline(true);
  await without.page.getByRole('button', { name: 'Another case' }).click();
  await without.page.getByLabel('Name', { exact: true }).fill('Blue trolley');
  await without.page.getByRole('button', { name: 'Pack into it' }).click();
  await thing(without.page, /^Mascara wands/).click();
  await thing(without.page, /^Mascara wands.*in Blue trolley, by Teodor Marsh/).waitFor();
  await without.page.getByText(/^1 kept here, not sent yet/).waitFor();
  await thing(other.page, /^Spatulas/).click();
  await thing(other.page, /^Spatulas.*by Runa Castellane/).waitFor();
  expect(await thing(other.page, /^Mascara wands/).getAttribute('aria-checked')).toBe('false');
  await without.context.setOffline(false);
  await thing(other.page, /^Mascara wands.*in Blue trolley, by Teodor Marsh/).waitFor();
  await thing(without.page, /^Spatulas.*by Runa Castellane/).waitFor();
  await other.page.getByText(/^2 of \d+ packed/).waitFor();
  await thing(other.page, /^Mascara wands/).click();
  await without.page.getByText(/^1 of \d+ packed/).waitFor();
  await Promise.all([without.context.close(), other.context.close()]);
});

test('a call sheet on paper, and by a link on somebody else’s phone', async () => {
  const { context, page, complaints } = await openAs(browser, 'owner', PHONE);
  await page.getByRole('link', { name: 'Parties', exact: true }).click();
  await page.getByRole('link', { name: /^Lamp-room supper/ }).click();
  await openPartyPart(page, 'The day');
  await page.getByRole('button', { name: 'Call sheets' }).click();
  const dialog = page.getByRole('dialog', { name: 'Call sheets' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'PDF' }).click(),
  ]);
  expect(
    readFileSync(await download.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await dialog.getByRole('radio', { name: 'one person' }).click();
  await dialog.getByRole('radio', { name: 'Hedda Roskilly' }).click();
  await dialog.getByRole('button', { name: 'Make a link for Hedda Roskilly' }).click();
  const link = await dialog.getByLabel('The link for Hedda Roskilly, shown this once').inputValue();
  const phone = await openContext(browser, { viewport: PHONE });
  const theirs = await phone.newPage();
  await theirs.goto(link);
  await theirs.getByRole('heading', { name: 'Hedda Roskilly' }).waitFor();
  await theirs.getByText(/^Be at .*Lamp Room/).waitFor();
  await theirs.getByText('Ready by 11:30.').waitFor();
  expect(await theirs.getByText('Corisande').count()).toBe(0);
  expect(
    await theirs.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth),
  ).toBe(true);
  await dialog.getByRole('button', { name: 'Take back the link for Hedda Roskilly' }).click();
  await dialog.getByText(/Hedda Roskilly, by Runa Castellane, taken back/).waitFor();
  await theirs.reload();
  await theirs.getByRole('heading', { name: 'This link shows nothing' }).waitFor();
  expect(complaints).toEqual([]);
  await Promise.all([phone.close(), context.close()]);
});

test('what the minutes taught is proposed; a place with a ferry is written down; the party is made again', async () => {
  const { context, page, complaints } = await openAs(browser, 'owner', PHONE);
  await page.getByRole('link', { name: 'Parties', exact: true }).click();
  await page.getByRole('link', { name: /^Rope-walk christening/ }).click();
  await openPartyPart(page, 'Before');
  await page.getByRole('button', { name: 'The same for another date' }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByText('▲ Choose a date').waitFor();
  await page.getByLabel('Date', { exact: true }).fill('2032-05-02');
  await page.getByRole('button', { name: 'Make it' }).click();
  await page
    .getByText(/2 May 2032/)
    .first()
    .waitFor();
  await openPartyPart(page, 'Hands and chairs');
  await page.getByRole('button', { name: /^Teodor Marsh/ }).click();
  await page.getByText(/visits were timed: .*more than planned/).waitFor();
  await page.getByRole('button', { name: 'Plan with that' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: /^Teodor Marsh.*% more than planned/ }).waitFor();
  await closed(page);
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Lighthouse');
  await page.getByLabel('Leaves Old Rope-walk at').fill('6.40 tomorrow');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByText('▲ Times, as 06:40, 08:35').waitFor();
  await page.getByLabel('Leaves Old Rope-walk at').fill('06:40, 08:35');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: /^Lighthouse, 20 min to Old Rope-walk/ }).waitFor();
  // Shown before it is kept.
  await eventually(async () => (await partyOf(page)).plan.travel.length === 2);
  const { plan } = await partyOf(page);
  expect(plan.timetable).toBeNull();
  expect(plan.travel.map((way) => way.departures ?? null)).toEqual([[400, 515], null]);
  expect(complaints).toEqual([]);
  await context.close();
});
