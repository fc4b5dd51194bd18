import { withServedDemo } from './scripts/lib/served.mjs';
await withServedDemo('toile_prof', async (url: string) => {
  process.env.TOILE_URL = url;
  const { openBrowser, openAs, openClient, more, PHONE, WIDE } = await import('./e2e/src/browser');
  const browser = await openBrowser();
  const { page } = await openAs(browser, 'owner', PHONE, 'dark');
  await openClient(page, 'Thandeka Moor');
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/l_client.png' });
  const names = await page.getByRole('button').allTextContents();
  console.log(names.join(' | '));
  const inc = page.getByRole('button', { name: /went wrong|incident|reaction/i }).first();
  if (await inc.count()) { await inc.click(); await page.waitForTimeout(800); await page.screenshot({ path: '/tmp/l_inc.png' });
   }
  await browser.close();
});
process.exit(0);
