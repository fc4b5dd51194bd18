import type { Browser } from 'playwright-core';
import { eventually, openBrowser, PHONE } from './browser';

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test('an empty installation to a first face fitted with a look, on a phone, without the demo', async () => {
  const url = process.env.TOILE_EMPTY_URL;
  if (!url) throw new Error('TOILE_EMPTY_URL is not set: run the interface tests through npm test');
  const context = await browser.newContext({ viewport: PHONE, hasTouch: true, serviceWorkers: 'block' });
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
  await page.getByRole('button', { name: /^Save/ }).first().waitFor();
  await eventually(async () => page.url().includes('/trace'));

  // The password changed; the old one opens nothing.
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
  await context.close();
});
