import type { Page } from 'playwright-core';

/** Makes a party with the people of a pasted list, the way a user does. */
export async function newParty(page: Page, name: string, list: string, date = '2031-06-14'): Promise<void> {
  await page.getByRole('link', { name: 'Parties', exact: true }).click();
  await page.getByRole('link', { name: 'New party' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Date').fill(date);
  await page.getByLabel('Where people get ready').fill('Quay House');
  await page.getByRole('button', { name: 'Save, then add the people' }).click();
  await page.getByRole('button', { name: 'Paste a list' }).click();
  await page.getByLabel('People, one a line').fill(list);
  await page.getByRole('button', { name: /^Add \d/ }).click();
}

/** Goes to a part of an open party. */
export const openPartyPart = (page: Page, name: string | RegExp): Promise<void> =>
  page.getByRole('tab', { name }).click();

/** Plans the day of an open party and keeps what was found. */
export async function planAndKeep(page: Page): Promise<void> {
  await openPartyPart(page, 'The day');
  await page.getByRole('button', { name: 'Plan the day', exact: true }).click();
  await page.getByText(/Of 100 such days/).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Keep this timetable' }).click();
  await page.getByRole('button', { name: 'Call sheets' }).waitFor();
}
