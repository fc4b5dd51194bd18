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
    const [full, slowed] = times;
    return [
      { what: 'chart opened by its address, first step opened with its handles', ours: ms(full!), peer: '', ratio: '' },
      { what: 'the same, processor slowed four times', ours: ms(slowed!), peer: `at full speed ${ms(full!)}`, ratio: `${(full! / slowed!).toFixed(2)} x` },
    ];
  } finally {
    await browser.close();
  }
}
