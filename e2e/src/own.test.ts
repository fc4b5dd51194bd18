import type { Browser } from 'playwright-core';
import { eventually, openBrowser, openContext, PHONE } from './browser';

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test('an empty installation to a first saved chart, on a phone, without the demo', async () => {
  const url = process.env.TOILE_EMPTY_URL;
  if (!url) throw new Error('TOILE_EMPTY_URL is not set: run the interface tests through npm test');
  const context = await openContext(browser, { viewport: PHONE, hasTouch: true, serviceWorkers: 'block' });
  const page = await context.newPage();
  page.setDefaultTimeout(30_000);
  await page.goto(url);
  await page.getByRole('heading', { name: 'Set up your studio' }).waitFor();
  await page.getByLabel('Name of the studio').fill('Reed and Rush');
  await page.getByLabel('Time zone').fill('Europe/Lisbon');
  await page.getByLabel('Your name').fill('Ines Marlow');
  await page.getByLabel('Email').fill('ines@reed.example');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Set up and go in' }).click();
  await page.getByText('▲ At least 12 letters').waitFor();
  await page.getByLabel('Password').fill('three small lanterns');
  await page.getByRole('button', { name: 'Set up and go in' }).click();
  await page.getByRole('heading', { name: 'Today' }).waitFor();

  // The way to a first chart stands there; it is gone step by step.
  const steps = page.getByRole('group', { name: 'First steps' });
  for (const step of [/^1 +Add a client/, /^2 +Read the skin/, /^3 +Fill the kit/, /^4 +Fit a look/])
    await steps.getByRole('link', { name: step }).waitFor();

  // Looks came along; the first client is added and traced.
  await page.getByRole('link', { name: 'Looks', exact: true }).click();
  await page
    .getByRole('link', { name: /Harbour Morning/ })
    .first()
    .waitFor();
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByRole('button', { name: 'New client' }).first().click();
  await page.getByLabel('Name', { exact: true }).fill('Perpetua Lisle');
  await page.getByRole('button', { name: 'Save, then trace the face' }).click();
  await eventually(async () => page.url().includes('/trace'));
  await page.getByLabel('Face length, mm').fill('186');
  await page.getByRole('button', { name: 'Save the face' }).click();

  await page.getByRole('group', { name: 'How a first reading is done' }).waitFor();
  // Her skin, typed as a reader gave it, in two zones.
  await page.getByRole('button', { name: 'Type CIELAB values' }).click();
  for (const zone of ['Cheek', 'Neck']) {
    await page.getByRole('radio', { name: new RegExp(`^${zone}:`) }).click();
    for (const L of ['58', '58.3', '57.8']) {
      await page.getByLabel('L*').fill(L);
      await page.getByLabel('a*').fill('12');
      await page.getByLabel('b*').fill('19');
      await page.getByRole('button', { name: 'Add these values' }).click();
    }
    await page.getByRole('radio', { name: `${zone}: steady` }).waitFor();
  }
  await page.getByRole('button', { name: /^Keep 2 of 7 zones/ }).click();
  // Kept, it leads back by itself.
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);

  // The first product of the kit, and a look that came along, fitted and saved; what the kit has nothing for
  // is said.
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await page
    .getByRole('group', { name: 'Kinds to fill in' })
    .getByRole('link', { name: 'base', exact: true })
    .click();
  await page.getByLabel('Maker', { exact: true }).fill('Own Bench');
  await page.getByLabel('Line', { exact: true }).fill('Veil');
  await page.getByLabel('Shade', { exact: true }).fill('Four');
  await page.getByRole('button', { name: 'Add to the kit' }).click();
  await page
    .getByRole('heading', { name: /Veil|Own Bench/ })
    .first()
    .waitFor();
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await page.getByRole('link', { name: /^Perpetua Lisle/ }).click();
  await page.getByRole('button', { name: 'Fit a look' }).click();
  await page.getByRole('button', { name: /^Quiet Linen/ }).click();
  await page.getByRole('button', { name: 'Save version 1' }).click();
  await page.waitForURL(/\/charts\/[0-9a-f-]{36}$/);
  await page.getByText(/Quiet Linen · trial, .* · version 1$/).waitFor();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  for (const step of [/^✓ +Add a client/, /^✓ +Read the skin/, /^3 +Fill the kit/, /^✓ +Fit a look/])
    await steps.getByRole('link', { name: step }).waitFor();
  await steps.getByText(/Still without prep, primer, concealer/).waitFor();
  await page.goBack();
  await page.getByRole('tab', { name: 'Look over' }).click();
  // Many of one kind are read as one, and each where it is asked for.
  await page.getByText(/A step without a product, \d+ times: .* and /).waitFor();
  await page.getByRole('button', { name: 'Each by itself' }).first().click();
  await page
    .getByText(/has no product yet/)
    .first()
    .waitFor();

  // Another device of the same person, in the middle of something.
  const other = await openContext(browser, { viewport: PHONE, hasTouch: true, serviceWorkers: 'block' });
  const elsewhere = await other.newPage();
  elsewhere.setDefaultTimeout(30_000);
  await elsewhere.goto(`${url}/clients`);
  await elsewhere.getByLabel('Email').fill('ines@reed.example');
  await elsewhere.getByLabel('Password').fill('three small lanterns');
  await elsewhere.getByRole('button', { name: 'Sign in' }).click();
  await elsewhere.getByRole('link', { name: /^Perpetua Lisle/ }).waitFor();

  // The password changed; the old one opens nothing. What the page shows is answered before its scripts are
  // there, as on a phone: who comes in again afterwards is told apart from who was in then.
  await page.route('**/_expo/static/js/**', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 700));
    await route.continue();
  });
  await page.goto(`${url}/settings`);
  await page.getByRole('button', { name: 'Change password' }).click();
  await page.getByLabel('Password now').fill('three small lanterns');
  await page.getByLabel('Next password').fill('four tall herons here');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByText('✓ Changed. Your other devices are signed out.').waitFor();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByLabel('Email').fill('ines@reed.example');
  await page.getByLabel('Password').fill('three small lanterns');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByText(/Email and password do not fit/).waitFor();
  await page.getByLabel('Password').fill('four tall herons here');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page
    .getByRole('heading', { name: /Today|Settings/ })
    .first()
    .waitFor();

  // The other device comes to the door as soon as it asks for anything, and goes on from where it was.
  await elsewhere.getByRole('link', { name: /^Perpetua Lisle/ }).click();
  await elsewhere.getByText('You were signed out meanwhile. Sign in to go on where you were.').waitFor();
  await elsewhere.getByLabel('Email').fill('ines@reed.example');
  await elsewhere.getByLabel('Password').fill('four tall herons here');
  await elsewhere.getByRole('button', { name: 'Sign in' }).click();
  await elsewhere.getByRole('heading', { name: 'Perpetua Lisle' }).waitFor();
  await other.close();
  await context.close();
});
