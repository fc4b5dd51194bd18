import { appOut, isUnfetched, renewIfNewer } from './appOut';

const page = (script: string): string => `<html><script src="/${script}" defer></script></html>`;
const out = (text: string | null, ok = true): void => {
  globalThis.fetch = jest.fn(() =>
    text === null
      ? Promise.reject(new TypeError('Failed to fetch'))
      : Promise.resolve({ ok, text: () => Promise.resolve(text) } as Response),
  ) as unknown as typeof fetch;
};
beforeEach(() => {
  sessionStorage.clear();
  document.head.innerHTML = page('web/entry-aa11.js');
});
afterEach(() => jest.restoreAllMocks());

test('another script at the beginning is another app', async () => {
  out(page('web/entry-aa11.js'));
  expect(await appOut()).toBe('same');
  out(page('web/entry-bb22.js'));
  expect(await appOut()).toBe('newer');
  // Never from what was held: that is the very page that is old.
  expect(fetch).toHaveBeenCalledWith('/index.html', { cache: 'no-store' });
  out(null);
  expect(await appOut()).toBe('unreachable');
  out(page('web/entry-bb22.js'), false);
  expect(await appOut()).toBe('unreachable');
  document.head.innerHTML = '';
  out(page('web/entry-bb22.js'));
  expect(await appOut()).toBe('same');
});

test('a newer app is opened, once a minute at most; the same is not', async () => {
  const reload = jest.fn();
  out(page('web/entry-aa11.js'));
  expect(await renewIfNewer(reload)).toBe(false);
  out(page('web/entry-bb22.js'));
  expect(await renewIfNewer(reload)).toBe(true);
  expect(await renewIfNewer(reload)).toBe(false);
  expect(reload).toHaveBeenCalledTimes(1);
  const later = Date.now() + 60_000;
  jest.spyOn(Date, 'now').mockReturnValue(later);
  expect(await renewIfNewer(reload)).toBe(true);
  expect(reload).toHaveBeenCalledTimes(2);
});

test('what could not be fetched is told from what went wrong in it', () => {
  const named = Object.assign(new Error('anything'), { name: 'AsyncRequireError' });
  expect(isUnfetched(named)).toBe(true);
  expect(isUnfetched(new Error('Loading module /_expo/static/js/web/work-1.js failed.\n(error: x)'))).toBe(
    true,
  );
  expect(isUnfetched(new TypeError('Failed to fetch dynamically imported module: /x.js'))).toBe(true);
  expect(isUnfetched(new TypeError('Cannot read properties of undefined'))).toBe(false);
});
