import type { Browser, Page } from 'playwright-core';
import { more, openAs, openBrowser, openClient, openPart, PHONE } from './browser';

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await openBrowser();
  ({ page } = await openAs(browser, 'artist', PHONE));
});
afterAll(() => browser.close());

const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const dialog = (name: string) => page.getByRole('dialog', { name });
const box = (name: string) => page.getByRole('checkbox', { name, exact: true });

test('a visit is asked for, booked, asked about, moved and cancelled with why', async () => {
  await openClient(page, 'Ambrose Tull');
  await button('Book a visit').click();
  await page.getByLabel('Date').fill('2031-08-16');
  await page.getByLabel('Starts at').fill('08:00');
  await page.getByLabel('Ready by').fill('11:00');
  await page.getByRole('radio', { name: 'wedding', exact: true }).click();
  await page.getByRole('radio', { name: 'asked' }).click();
  await button('Book').click();
  const row = button(/16 Aug 2031, .*: wedding at 08:00/);
  await page.getByText(/asked for, not booked yet · nobody was asked about the day yet/).waitFor();

  await row.click();
  await dialog('The visit').getByRole('radio', { name: 'booked' }).click();
  await button('Ask about the day').click();
  const asked = dialog('The occasion');
  await asked.getByLabel('Comes off at').fill('15:00');
  // The time it has to be ready is the visit's: the hours follow.
  await asked.getByText('4 h', { exact: true }).waitFor();
  for (const condition of ['tears', 'dancing', 'a meal']) await box(condition).click();
  await asked.getByRole('button', { name: 'Add a colour' }).click();
  await asked.getByRole('button', { name: 'Add this colour' }).click();
  await asked.getByText('▲ Name it, as sage silk').waitFor();
  await asked.getByLabel('What is it').fill('Sage silk');
  await asked.getByLabel('Colour by eye').fill('#7a8f7d');
  await asked.getByRole('button', { name: 'Add this colour' }).click();
  await asked.getByRole('radio', { name: 'gold' }).click();
  await asked.getByRole('button', { name: 'Take it' }).click();
  await dialog('The visit')
    .getByText(/^4 hours, 11:00 to 15:00; .*wearing Sage silk; gold jewellery\.$/)
    .waitFor();
  await button('Save the visit').click();
  await dialog('The visit').waitFor({ state: 'detached' });
  await page.getByText(/asked for, not booked/).waitFor({ state: 'detached' });

  await row.click();
  await dialog('The visit').getByRole('radio', { name: 'cancelled' }).click();
  await button('Save the visit').click();
  await page.getByText('▲ Say why it was cancelled').waitFor();
  await page.getByLabel('Why').fill('Put off to the autumn');
  await button('Save the visit').click();
  await page.getByText('▲ cancelled: Put off to the autumn').waitFor();
  await row.click();
  await dialog('The visit').getByRole('radio', { name: 'booked' }).click();
  await button('Save the visit').click();
  await page.getByText('▲ cancelled', { exact: false }).waitFor({ state: 'detached' });
});

test('a look is fitted for what was asked; nothing is asked twice, and what is only usual says so', async () => {
  await openClient(page, 'Philippa Renn');
  await button('Fit a look').click();
  await page.getByText(/Nobody was asked yet: this is what is usual/).waitFor();
  await page.getByLabel('Date').fill('2031-09-06');
  await button('Change the occasion').click();
  const asked = dialog('The occasion');
  await asked.getByRole('radio', { name: 'party' }).click();
  await asked.getByLabel('Ready at').fill('18:00');
  await asked.getByLabel('Comes off at').fill('22:00');
  await asked.getByText('4 h', { exact: true }).waitFor();
  for (const condition of ['dancing', 'a meal']) await box(condition).click();
  await asked.getByRole('button', { name: 'Take it' }).click();
  await page.getByText('✓ Asked and noted.').waitFor();
  await page.getByRole('button', { name: /^Harbour Morning/ }).click();
  await button('Save version 1').click();
  await page.waitForURL(/\/charts\//);
  await page.getByText(/party, .*6 Sept? 2031.* · version 1$/).waitFor();
});

test('four hours become twelve in the heat: what that changes is told before it is taken, and stands among what was fitted', async () => {
  await more(page, 'The occasion');
  const asked = dialog('The occasion');
  const told = asked.getByRole('status', { name: 'What this changes' });
  await told.getByText('Nothing yet.').waitFor();
  await asked.getByLabel('Comes off at').fill('06:00');
  await asked.getByText('12 h', { exact: true }).waitFor();
  await box('heat').click();
  await told.getByText(/hours: 12 instead of 4/).waitFor();
  await told.getByText('+ Base: laid in two thin layers: it has to hold: 12 hours, heat.').waitFor();
  await told.getByText(/^\+ .*sprayed twice, dried between/).waitFor();
  await asked.getByRole('button', { name: 'Take it' }).click();
  await button('Save version 2').waitFor();
  await openPart(page, 'Look over');
  await button('Show what was fitted').click();
  await page.getByText('Laid in two thin layers', { exact: true }).waitFor();
  await button('Save version 2').click();
  await page.getByText(/ · version 2$/).waitFor();
});

test('the run-up to a wedding is ticked on the client’s page, and Today tells it no longer', async () => {
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  const due = page.getByText(/Nadira Quill: late: agree the hair plan with the stylist/);
  await due.waitFor();
  await openClient(page, 'Nadira Quill');
  const task = page.getByRole('switch', { name: /Agree the hair plan with the stylist · ▲ late$/ });
  await task.click();
  await page.getByRole('switch', { name: /Agree the hair plan with the stylist · done$/ }).waitFor();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByText(/Zenobia Achterberg: late: agree the hair plan/).waitFor();
  await due.waitFor({ state: 'detached' });
});

test('eye, cheek and lip are coloured for what is worn, and one way is kept as a variant', async () => {
  await openClient(page, 'Philippa Renn');
  await page.getByRole('link', { name: /^Harbour Morning, party/ }).click();
  await page.getByText(/ · version 2$/).waitFor();
  await more(page, 'Colours for what is worn');
  await page.getByText(/Say first which colours are worn/).waitFor();
  await button('Say what is worn').click();
  const asked = dialog('The occasion');
  await asked.getByRole('button', { name: 'Add a colour' }).click();
  await asked.getByLabel('What is it').fill('Burgundy velvet');
  await asked.getByLabel('Colour by eye').fill('#6a2432');
  await asked.getByRole('button', { name: 'Add this colour' }).click();
  await asked.getByText(/worn: Burgundy velvet/).waitFor();
  await asked.getByRole('button', { name: 'Take it' }).click();
  await more(page, 'Colours for what is worn');
  const near = page.getByRole('group', { name: 'Near the Burgundy velvet' });
  await near
    .getByText(/, \d+\.\d off/)
    .first()
    .waitFor();
  await page.getByRole('group', { name: 'Against the Burgundy velvet' }).waitFor();
  await near.getByRole('button', { name: 'Keep as a variant' }).click();
  await near.getByText('✓ Kept as a variant.').waitFor();
  await page.getByRole('dialog').last().getByRole('button', { name: 'Close' }).click();
  await page.getByRole('radio', { name: 'Near the Burgundy velvet' }).click();
  await button('Save version 3').click();
  await page.getByText(/ · version 3$/).waitFor();
});
