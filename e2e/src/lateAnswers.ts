import type { BrowserContext } from 'playwright-core';
import { seededRandom } from '@toile/core';

/** Most answers take up to this long, some up to that: ms. */
const LATE_MS = { most: 400, some: 2000 } as const;
/** Share of the answers that are very late. */
const SOME = 0.3;

/**
 * Lets everything a window asks of the studio wait, each by chance, so that answers come in another order
 * than they were asked for. What is told as it happens goes straight through.
 */
export async function answerLate(context: BrowserContext, seed: number): Promise<void> {
  const random = seededRandom(seed);
  await context.route('**/api/**', async (route) => {
    if (new URL(route.request().url()).pathname.endsWith('/live')) return route.fallback();
    const ms = random() * (random() < SOME ? LATE_MS.some : LATE_MS.most);
    await new Promise((resolve) => setTimeout(resolve, ms));
    // A window that was closed meanwhile asks no more.
    await route.fallback().catch(() => undefined);
  });
}
