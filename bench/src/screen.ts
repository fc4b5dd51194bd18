import type { Page } from 'playwright-core';
import { openAs, openBrowser, openClient } from '@toile/e2e';
import { ms, type Row } from './measure';

/** The chart screen's time to interactive in Chromium, processor at full speed and slowed four times. */
export async function screenRows(): Promise<Row[]> {
  const browser = await openBrowser();
  try {
    const { page, context } = await openAs(browser, 'owner');
    await openClient(page, 'Isaura Penhallow');
    await page.getByRole('link', { name: /Harbour Morning/ }).click();
    await page.getByText('18 steps').waitFor();
    const address = page.url();
    const times: number[] = [];
    const session = await context.newCDPSession(page);
    for (const rate of [1, 4]) {
      await session.send('Emulation.setCPUThrottlingRate', { rate });
      const rounds: number[] = [];
      for (let i = 0; i < 5; i++) {
        const start = performance.now();
        await page.goto(address);
        const step = page.getByRole('button', { name: /^Step 5,/ });
        await step.click();
        await page.getByRole('slider', { name: 'Reach' }).first().waitFor();
        rounds.push(performance.now() - start);
      }
      times.push(rounds.sort((a, b) => a - b)[2]!);
    }
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const longest = await longestTasks(page, address);
    const [full, slowed] = times;
    return [
      { what: 'chart opened by its address, first step opened with its handles', ours: ms(full!), peer: '', ratio: '' },
      { what: 'the same, processor slowed four times', ours: ms(slowed!), peer: `at full speed ${ms(full!)}`, ratio: `${(full! / slowed!).toFixed(2)} x` },
      holdUp('longest hold-up of the page while shades are searched', longest.search),
      holdUp('longest hold-up of the page while the face is painted', longest.paint),
    ];
  } finally {
    await browser.close();
  }
}

/** The observer reports tasks of 50 ms and more only: when it saw none, that is all there is to say. */
const holdUp = (what: string, longestMs: number): Row => ({
  what,
  ours: longestMs === 0 ? 'none seen' : ms(longestMs),
  peer: 'limit 50.0 ms',
  ratio: longestMs === 0 ? '' : `${(50 / longestMs).toFixed(1)} x`,
});

declare global {
  interface Window {
    toileLongest?: number;
  }
}

/** The longest task on the page's thread while a search and a painting run in their workers, by Chromium's own observer; 50 ms is where it starts to tell. */
async function longestTasks(page: Page, chartAddress: string): Promise<{ search: number; paint: number }> {
  const watch = (): Promise<void> =>
    page.evaluate(() => {
      window.toileLongest = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) window.toileLongest = Math.max(window.toileLongest ?? 0, entry.duration);
      }).observe({ type: 'longtask', buffered: false });
    });
  const longest = (): Promise<number> => page.evaluate(() => window.toileLongest ?? 0);
  await page.goto(chartAddress);
  await page.getByRole('button', { name: 'Under light' }).click();
  await page.locator('svg image').waitFor();
  await page.waitForTimeout(800);
  await watch();
  for (const light of ['flash', 'LED', 'lamp', 'daylight']) {
    await page.getByRole('radio', { name: light, exact: true }).click();
    await page.waitForTimeout(700);
  }
  const paint = await longest();
  await openClient(page, 'Isaura Penhallow');
  await page.getByRole('button', { name: 'Match, correct, sculpt' }).click();
  await page.getByText(/mixes of .* products compared/).waitFor();
  await watch();
  await page.getByRole('button', { name: 'Change what is asked' }).click();
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'Weight of the neck: more' }).click();
    await page.waitForTimeout(700);
  }
  return { search: await longest(), paint };
}
