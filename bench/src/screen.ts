import type { CDPSession, Page } from 'playwright-core';
import { openAs, openBrowser, openClient } from '@toile/e2e';
import { ms, type Row } from './measure';

/** The chart screen's time to interactive in Chromium, processor at full speed and slowed four times. */
export async function screenRows(): Promise<Row[]> {
  const browser = await openBrowser();
  try {
    const { page, context } = await openAs(browser, 'owner');
    await openClient(page, 'Thandeka Moor');
    await page.getByRole('link', { name: /^Lamplight/ }).click();
    await page.getByText('20 steps').waitFor();
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
    const handles = await handleRows(page, session);
    await page.evaluate(() => localStorage.clear());
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const opening = await openingMs(page, address);
    const longest = await longestTasks(page, address);
    const [full, slowed] = times;
    return [
      {
        what: 'chart opened by its address, first step opened with its handles',
        ours: ms(full!),
        peer: '',
        ratio: '',
      },
      {
        what: 'the same, processor slowed four times',
        ours: ms(slowed!),
        peer: `at full speed ${ms(full!)}`,
        ratio: `${(full! / slowed!).toFixed(2)} x`,
      },
      {
        what: 'chart of 20 steps opened from the client, drawn and ready to work',
        ours: ms(opening),
        peer: 'limit 1000 ms',
        ratio: `${(1000 / opening).toFixed(1)} x`,
      },
      ...handles,
      holdUp('longest hold-up of the page while shades are searched', longest.search),
      holdUp('longest hold-up of the page while the face is painted', longest.paint),
    ];
  } finally {
    await browser.close();
  }
}

/**
 * From a touch on the chart in the client's page until its face is drawn and its first step can be opened;
 * median of five.
 */
async function openingMs(page: Page, address: string): Promise<number> {
  const rounds: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(address);
    await page.getByText('20 steps').waitFor();
    await page.getByRole('button', { name: 'Back', exact: true }).click();
    const link = page.getByRole('link', { name: /^Lamplight/ });
    await link.waitFor();
    const start = performance.now();
    await link.click();
    await page.getByRole('button', { name: /^Step 1,/ }).waitFor();
    await page.locator('svg[aria-label^="Face chart of"] path').first().waitFor();
    rounds.push(performance.now() - start);
  }
  return rounds.sort((a, b) => a - b)[2]!;
}

/**
 * How long the page is at work for each report of a finger on a handle, processor slowed four times; a frame
 * is what it has.
 */
async function handleRows(page: Page, session: CDPSession): Promise<Row[]> {
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const handle = page.getByRole('slider', { name: 'Lift' }).first();
  const box = (await handle.boundingBox())!;
  await page.evaluate(() => {
    window.toileFrames = [];
    const draw = window.requestAnimationFrame.bind(window);
    // Time from the start of a frame's own work until the shape on the face has changed.
    let begun = 0;
    window.requestAnimationFrame = (work) =>
      draw((now) => {
        begun = performance.now();
        work(now);
      });
    new MutationObserver(() => window.toileFrames?.push(performance.now() - begun)).observe(document.body, {
      subtree: true,
      attributes: true,
      attributeFilter: ['d'],
    });
  });
  await page.mouse.move(box.x + 22, box.y + 22);
  await page.mouse.down();
  for (let i = 0; i < 60; i++) {
    await page.mouse.move(box.x + 22, box.y + 22 - i * 0.6);
    await page.waitForTimeout(20);
  }
  await page.mouse.up();
  const frames = (await page.evaluate(() => window.toileFrames ?? [])).sort((a, b) => a - b);
  if (frames.length < 20) throw new Error(`the handle was redrawn ${frames.length} times only`);
  const at = (share: number): number => frames[Math.floor((frames.length - 1) * share)]!;
  return [
    {
      what: 'a handle moved on a phone, processor slowed four times, per redrawn frame',
      ours: ms(at(0.5)),
      peer: 'a frame, 16.7 ms',
      ratio: `${(16.7 / at(0.5)).toFixed(1)} x`,
    },
    {
      what: 'the same, nine frames in ten',
      ours: ms(at(0.9)),
      peer: 'a frame, 16.7 ms',
      ratio: `${(16.7 / at(0.9)).toFixed(1)} x`,
    },
  ];
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
    toileFrames?: number[];
  }
}

/**
 * The longest task on the page's thread while a search and a painting run in their workers, by Chromium's own
 * observer; 50 ms is where it starts to tell.
 */
async function longestTasks(page: Page, chartAddress: string): Promise<{ search: number; paint: number }> {
  const watch = (): Promise<void> =>
    page.evaluate(() => {
      window.toileLongest = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries())
          window.toileLongest = Math.max(window.toileLongest ?? 0, entry.duration);
      }).observe({ type: 'longtask', buffered: false });
    });
  const longest = (): Promise<number> => page.evaluate(() => window.toileLongest ?? 0);
  await page.goto(`${chartAddress}/light`);
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
