import type { Browser, Page } from 'playwright-core';
import catalogue from '../../packages/languages/src/id.json';
import { baseUrl, openAs, openBrowser, PHONE } from './browser';
import { drawn, findIds, PAGES, type Ids } from './pages';

// The app in Indonesian: chosen on a device, and then nothing on any page is left in English that is a message.
let browser: Browser;
beforeAll(async () => void (browser = await openBrowser()));
afterAll(() => browser.close());

const TOLD: Readonly<Record<string, string>> = catalogue;
const INDONESIAN = { name: 'toile-language', value: 'id' };

const literal = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const VALUE = /\{\{\d+\}\}/;
/** English messages as they would be read: each form of a number by itself. A message of one word may be data by chance. */
const ENGLISH = Object.entries(TOLD)
  .filter(([key, told]) => key !== told)
  .flatMap(([key]) => key.split('|'))
  .map((key) => key.replace(/_(skin|theme|column)$/, '').trim())
  .filter((key) => (key.split(VALUE).join(' ').match(/\p{L}{2,}/gu) ?? []).length >= 2)
  .map((key) => new RegExp(`^${key.split(VALUE).map(literal).join('.+')}$`, 'u'));

/** Everything a page says to a reader, or to a screen reader. */
const saidBy = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = new Set<string>();
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement;
      if (parent && !parent.closest('script,style,noscript')) said.add(walker.currentNode.textContent ?? '');
    }
    for (const e of document.querySelectorAll('[aria-label],[placeholder],[title],[alt],[aria-description]'))
      for (const name of ['aria-label', 'placeholder', 'title', 'alt', 'aria-description'])
        said.add(e.getAttribute(name) ?? '');
    return [...said].map((text) => text.trim()).filter((text) => text !== '');
  });

describe('in Indonesian', () => {
  let page: Page;
  let ids: Ids;
  /** What studios wrote themselves: every text of every answer. */
  const written = new Set<string>();
  beforeAll(async () => {
    const opened = await openAs(browser, 'owner', PHONE);
    page = opened.page;
    ids = await findIds(page);
    await opened.context.addCookies([{ ...INDONESIAN, url: baseUrl() }]);
    const keep = (value: unknown): void => {
      if (typeof value === 'string') written.add(value.trim());
      else if (value !== null && typeof value === 'object') Object.values(value).forEach(keep);
    };
    page.on('response', (response) => {
      if (response.url().includes('/api/') && response.headers()['content-type']?.includes('json'))
        void response.json().then(keep, () => undefined);
    });
  });
  afterAll(() => page.context().close());

  test.each(PAGES)('%s', async (_name, path) => {
    await page.goto(`${baseUrl()}${path(ids)}`);
    await drawn(page);
    const left = (await saidBy(page)).filter(
      (text) => !written.has(text.replace(/^[▲■✓] /, '')) && ENGLISH.some((one) => one.test(text)),
    );
    expect(left).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.lang)).toBe('id');
  });
});
