import type { Browser } from 'playwright-core';
import { baseUrl, eventually, openAs, openBrowser, PHONE, WIDE, shot } from './browser';

// A studio's own manner of telling days and hours: chosen once by its owner, seen everywhere by everybody of
// it.
let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test('twelve hours, month first and weeks from Sunday: on another’s phone, in the plan, on a sheet; then as usual again', async () => {
  const { page, complaints, context } = await openAs(browser, 'owner', WIDE);
  const choose = async (group: string, option: string): Promise<void> => {
    const one = page
      .getByRole('radiogroup', { name: group })
      .getByRole('radio', { name: option, exact: true });
    await one.click();
    await eventually(async () => (await one.getAttribute('aria-checked')) === 'true');
    await eventually(
      async () =>
        (await page.getByRole('group', { name: 'How things are told' }).getAttribute('aria-busy')) !== 'true',
    );
  };
  await page.goto(`${baseUrl()}/settings`);
  await page.getByRole('group', { name: 'How things are told' }).waitFor();
  await choose('Days', 'Fri Nov 14');
  await choose('Hours', '2:05 pm');
  await choose('A week begins on', 'Sunday');
  await choose('Amounts of what runs', '0.80 ml, 2 pumps');
  await choose('Warmth', '°F');
  await shot(page, 'manner');

  const other = await openAs(browser, 'artist', PHONE);
  await other.page.goto(baseUrl());
  await other.page
    .getByText(/\d{1,2}:\d\d (am|pm)/)
    .first()
    .waitFor();
  await other.page
    .getByText(/^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) [A-Z][a-z]+ \d{1,2}, /)
    .first()
    .waitFor();
  expect(await other.page.getByText(/(?<!\d)([01]\d|2[0-3]):[0-5]\d(?! ?[ap]m)/).count()).toBe(0);
  await shot(other.page, 'today-manner');
  expect(other.complaints).toEqual([]);
  await other.context.close();

  await page.goto(`${baseUrl()}/settings`);
  await choose('Days', 'Fri 14 Nov');
  await choose('Hours', '14:05');
  await choose('A week begins on', 'Monday');
  await choose('Amounts of what runs', '2 pumps');
  await choose('Warmth', '°C');
  await page.goto(baseUrl());
  await page
    .getByText(/^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d{1,2} [A-Z][a-z]+, /)
    .first()
    .waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
