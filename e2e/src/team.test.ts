import type { Browser, Page } from 'playwright-core';
import { baseUrl, openAs, openBrowser, openContext, type Opened, PHONE, WIDE } from './browser';

let browser: Browser;
let owner: Opened;
let page: Page;
let link = '';
beforeAll(async () => {
  browser = await openBrowser();
  owner = await openAs(browser, 'owner', WIDE);
  page = owner.page;
});
afterAll(() => browser.close());

const EMAIL = 'noor@studio.example';
const PASSWORD = 'three small lanterns';
const button = (name: string, on = page) => on.getByRole('button', { name, exact: true });

/** A second browser, as somebody else's phone. */
async function elsewhere(address: string): Promise<Page> {
  const context = await openContext(browser, { viewport: PHONE, hasTouch: true, serviceWorkers: 'block' });
  const theirs = await context.newPage();
  theirs.setDefaultTimeout(30_000);
  await theirs.goto(address);
  return theirs;
}

test('somebody is invited; what is missing is said beside its field, and the link is shown once', async () => {
  await page.goto(`${baseUrl()}/settings`);
  await button('See the team').click();
  await button('Invite somebody').click();
  await button('Make the link').click();
  await page.getByText('▲ Write a name').waitFor();
  await page.getByText('▲ Write their email').waitFor();
  await page.getByLabel('Their name').fill('Noor');
  await page.getByLabel('Their email').fill('artist@quayside.example');
  await page.getByRole('radio', { name: 'assistant' }).click();
  await page.getByLabel('Their email').fill(EMAIL);
  await button('Make the link').click();
  link = await page.getByLabel('The link, shown this once').inputValue();
  expect(link).toContain('/join#');
  const [file] = await Promise.all([page.waitForEvent('download'), button('Save as a mail').click()]);
  expect(file.suggestedFilename()).toBe('link.eml');
  await button('Close').click();
  await page.getByText(/^Invitation by .*, until /).waitFor();
});

test('the invited signs in on a second browser, is let in no longer, and is out; let in again, signs in', async () => {
  const theirs = await elsewhere(link);
  await theirs.getByText(`You sign in as ${EMAIL}.`).waitFor();
  await theirs.getByLabel('Your name').fill('Noor Hale');
  await theirs.getByLabel('Password').fill('short');
  await button('Come in', theirs).click();
  await theirs.getByText('▲ At least 12 letters').waitFor();
  await theirs.getByLabel('Password').fill(PASSWORD);
  await button('Come in', theirs).click();
  await theirs.getByRole('heading', { name: 'Today' }).waitFor();

  // The link is worth nothing now.
  const late = await elsewhere(link);
  await late.getByText(/This link was used, taken back or has ended/).waitFor();

  await page.goto(`${baseUrl()}/team`);
  await page.getByRole('button', { name: /^Noor Hale/ }).click();
  await button('Let in no longer').click();
  await page.getByText(/is signed out everywhere at once/).waitFor();
  await button('Let Noor Hale in no longer').click();
  await page.getByRole('button', { name: /^Noor Hale.*out since/ }).waitFor();

  await theirs.reload();
  await button('Sign in', theirs).waitFor();
  await theirs.getByLabel('Email').fill(EMAIL);
  await theirs.getByLabel('Password').fill(PASSWORD);
  await button('Sign in', theirs).click();
  await theirs.getByText(/Email and password do not fit/).waitFor();

  await page.getByRole('button', { name: /^Noor Hale/ }).click();
  await button('Let in again').click();
  await page.getByRole('button', { name: /^Noor Hale.*assistant/ }).waitFor();
  await button('Sign in', theirs).click();
  await theirs.getByRole('heading', { name: 'Today' }).waitFor();
});

test('what was done is told, of all and of one; the only owner stays one', async () => {
  await page.goto(`${baseUrl()}/team`);
  await page.getByRole('tab', { name: 'Who did what' }).click();
  await page.getByText('Invitation taken up, or a new password chosen by link').first().waitFor();
  await page.getByRole('radio', { name: 'Noor Hale' }).click();
  const lines = page.getByRole('list', { name: 'Who did what' }).getByRole('listitem');
  await lines
    .getByText(/^Noor Hale, /)
    .first()
    .waitFor();
  for (const text of await lines.allTextContents()) expect(text).toContain('Noor Hale');
  await page.getByRole('tab', { name: 'People' }).click();
  await page.getByRole('button', { name: /\(you\)/ }).click();
  await page.getByRole('radio', { name: 'assistant' }).click();
  await button('Save').click();
  await page.getByText('▲ A studio keeps at least one owner.', { exact: false }).waitFor();
});
