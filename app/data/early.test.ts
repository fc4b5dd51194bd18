import { addressOf, pathTo, ROUTES } from '@toile/contract';
import { askEarly } from '../offline/page/askEarly';
import { call } from './call';
import { answeredEarly, forgetEarly, takeEarly } from './early';
import { rememberSignedIn, wasSignedIn } from '../offline/page/signedIn';
import { forgetWhatWasRead } from './offline';

const CHART = '0190a000-2e77-762e-83b0-4b2e41d0c9c9';
const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const TODAY = addressOf(ROUTES.today.path, {}, { zone: ZONE });
const SETTINGS = pathTo('studioSettings');
const SESSION = pathTo('session');
const SCRIPTS = { work: '/work.js', today: '/today.js' };

let asked: string[];
/** Opens a page: what the script that goes before all others asks for, answered with its address. */
async function open(address: string, signedIn = true): Promise<string[]> {
  asked = [];
  forgetEarly();
  document.head.replaceChildren();
  window.history.replaceState(null, '', address);
  globalThis.fetch = jest.fn((asks: string) => {
    asked.push(asks);
    const said = signedIn || asks !== SESSION ? { at: asks } : null;
    const answer = { ok: true, status: 200, json: () => Promise.resolve(said) };
    return Promise.resolve({ ...answer, clone: () => answer } as unknown as Response);
  }) as unknown as typeof fetch;
  askEarly(SCRIPTS);
  for (let i = 0; i < 20; i++) await Promise.resolve();
  return asked.sort();
}
afterEach(() => {
  forgetEarly();
  rememberSignedIn(false);
});

describe('what a page asks for before its scripts are there', () => {
  test.each([
    ['/', [SESSION, SETTINGS, TODAY]],
    [`/charts/${CHART}`, [SESSION, SETTINGS, pathTo('chart', { id: CHART }), pathTo('kit')]],
    [`/charts/${CHART}?version=2`, [SESSION, SETTINGS]],
    [`/charts/${CHART}/chair`, [SESSION, SETTINGS]],
    ['/charts/anything', [SESSION, SETTINGS]],
    ['/clients', [SESSION, SETTINGS]],
    ['/intake', []],
    ['/wear#token', []],
    ['/join/', []],
  ])('at %s', async (address, expected) => {
    expect(await open(address)).toEqual([...expected].sort());
  });

  test.each([
    ['/', ['/today.js']],
    ['/clients', []],
    ['/parties/', []],
    ['/parties/one', ['/work.js']],
    [`/charts/${CHART}`, ['/work.js']],
    ['/kit', ['/work.js']],
    ['/wear#token', ['/work.js']],
  ])('at %s the scripts that are fetched ahead are %p', async (address, ahead) => {
    const links = () => [...document.head.querySelectorAll('link')].map(({ href }) => new URL(href).pathname);
    await open(address);
    expect(links()).toEqual(ahead);
    rememberSignedIn(false);
    await open(address, false);
    expect(links()).toEqual(address.startsWith('/wear') ? ['/work.js'] : []);
  });

  test('of whoever is not signed in nothing but that is asked', async () => {
    expect(await open('/', false)).toEqual([SESSION]);
    expect([...answeredEarly()]).toEqual([[SESSION, { data: null }]]);
    // Whoever wants to know hears the same answer.
    expect(await call('session')).toBeNull();
    expect(asked).toEqual([SESSION]);
  });

  describe('where somebody was signed in last time', () => {
    beforeEach(() => rememberSignedIn(true));

    test('all of it is asked for before anybody answered', () => {
      void open('/');
      expect(asked.sort()).toEqual([SESSION, SETTINGS, TODAY].sort());
    });

    test('and nothing is asked for twice once it was', async () => {
      expect(await open(`/charts/${CHART}`)).toHaveLength(4);
      expect(document.head.querySelectorAll('link')).toHaveLength(1);
    });

    test('who is not any more is asked one after the other again', async () => {
      expect(await open('/', false)).toHaveLength(3);
      expect(await open('/', false)).toEqual([SESSION]);
    });

    test('the next after who signed out too', async () => {
      await forgetWhatWasRead();
      void open('/');
      expect(asked).toEqual([SESSION]);
    });

    test('a studio that cannot be reached leaves it as it was', async () => {
      forgetEarly();
      window.history.replaceState(null, '', '/');
      globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('away'))) as unknown as typeof fetch;
      askEarly(SCRIPTS);
      for (let i = 0; i < 20; i++) await Promise.resolve();
      expect(wasSignedIn()).toBe(true);
    });

    test('pages by a link ask for nothing of whoever is signed in here', async () => {
      expect(await open('/intake')).toEqual([]);
    });
  });

  test('a device that keeps nothing asks one after the other', async () => {
    const kept = jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new DOMException('not allowed', 'SecurityError');
    });
    const written = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const asking = open('/');
    expect(asked).toEqual([SESSION]);
    expect(await asking).toEqual([SESSION, SETTINGS, TODAY].sort());
    kept.mockRestore();
    written.mockRestore();
  });

  test('is drawn from at once, taken once, then asked for anew', async () => {
    await open('/');
    expect(answeredEarly().get(TODAY)).toEqual({ data: { at: TODAY } });
    expect(await call('session')).toMatchObject({ at: SESSION });
    expect(asked.filter((one) => one === SESSION)).toHaveLength(1);
    expect(await call('session')).toMatchObject({ at: SESSION });
    expect(asked.filter((one) => one === SESSION)).toHaveLength(2);
  });

  test('is not taken where the app asked first, and was answered later', async () => {
    await open('/');
    const late = globalThis.toileEarly!;
    globalThis.toileEarly = {};
    expect(await call('studioSettings')).toMatchObject({ at: SETTINGS });
    // Only now it is known to have been asked early: what the app was told is newer.
    globalThis.toileEarly = late;
    expect(await call('studioSettings')).toMatchObject({ at: SETTINGS });
    expect(asked.filter((one) => one === SETTINGS)).toHaveLength(3);
  });

  test('is old once anything was written', async () => {
    await open('/');
    await call('updateStudioSettings', { body: { ruleGrades: {} } as never, revision: 0 });
    expect(answeredEarly().size).toBe(0);
    await call('today', { query: { zone: ZONE } });
    expect(asked.filter((one) => one === TODAY)).toHaveLength(2);
  });

  test('is not what somebody finds who signs in afterwards', async () => {
    await open('/');
    await forgetWhatWasRead();
    expect(answeredEarly().size).toBe(0);
    expect(takeEarly(TODAY)).toBeUndefined();
  });

  test('is not taken any more when it is old, nor for a write', async () => {
    await open('/');
    const clock = jest.spyOn(performance, 'now').mockReturnValue(15_000);
    expect(answeredEarly().size).toBe(0);
    expect(takeEarly(TODAY)).toBeUndefined();
    clock.mockRestore();
    await open('/');
    await call('updateStudioSettings', { body: { ruleGrades: {} } as never, revision: 0 });
    expect(asked.filter((one) => one === SETTINGS)).toHaveLength(2);
  });

  test('where it failed on the way is asked for by whoever wants it', async () => {
    asked = [];
    forgetEarly();
    window.history.replaceState(null, '', '/');
    globalThis.fetch = jest.fn(() =>
      Promise.reject(new TypeError('Failed to fetch')),
    ) as unknown as typeof fetch;
    askEarly(SCRIPTS);
    await expect(call('session')).rejects.toThrow('cannot be reached');
    globalThis.fetch = jest.fn(() =>
      Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve('here') } as Response),
    ) as unknown as typeof fetch;
    expect(await call('session')).toBe('here');
  });
});
