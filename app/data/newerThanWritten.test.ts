/** @jest-environment @stryker-mutator/jest-runner/jest-env/node */
import { ROUTES } from '@toile/contract';
import { AFTER_WRITING_MS, changesWhatIsRead, newerThanWritten } from '../offline/newerThanWritten';

const KIT = 'http://127.0.0.1/api/kit';
const TODAY = 'http://127.0.0.1/api/today';
let time = 0;
const at = (ms: number): void => void (time = ms);
/** One request: begun, and answered where it says when. */
async function read(held: ReturnType<typeof newerThanWritten>, address: string, answeredAt: number | null) {
  const request = new Request(address);
  const state = {};
  const { plugin } = held;
  await plugin.requestWillFetch({ request, state });
  if (answeredAt !== null) {
    at(answeredAt);
    await plugin.fetchDidSucceed({ request, response: new Response('new'), state });
  }
  return {
    /** What stands in for an answer that is slow. */
    instead: async () =>
      (await plugin.cachedResponseWillBeUsed({ request, cachedResponse: new Response('old'), state })) !==
      undefined,
    fails: () => plugin.fetchDidFail({ request, state }),
  };
}

test.each([
  ['GET', '/api/kit', false],
  ['PUT', '/api/settings', true],
  ['POST', '/api/charts', true],
  ['DELETE', '/api/shares/one', true],
  ['POST', '/work.js', false],
])('%s %s changes what is read: %s', (method, pathname, changes) =>
  expect(changesWhatIsRead(method, pathname)).toBe(changes),
);

test.each(['createEvent', 'createPartyEvent', 'createTrialEvent', 'tellPractice'] as const)(
  'what goes through the outbox keeps nobody waiting: %s',
  (name) => {
    const { method, path } = ROUTES[name];
    expect(changesWhatIsRead(method, path.replace(':id', 'one'))).toBe(false);
  },
);

test('nothing written, what was read before stands in', async () => {
  at(0);
  expect(
    await (
      await read(
        newerThanWritten(() => time),
        KIT,
        null,
      )
    ).instead(),
  ).toBe(true);
});

test('what was asked for before a write does not, whenever it was answered; what was asked for after it does', async () => {
  const held = newerThanWritten(() => time);
  at(0);
  await read(held, TODAY, 10);
  at(20);
  // On its way while something is written.
  const state = {};
  await held.plugin.requestWillFetch({ request: new Request(KIT), state });
  at(30);
  held.wrote();
  at(40);
  await held.plugin.fetchDidSucceed({ request: new Request(KIT), response: new Response('new'), state });
  at(50);
  expect(await (await read(held, KIT, null)).instead()).toBe(false);
  expect(await (await read(held, TODAY, null)).instead()).toBe(false);
  expect(await (await read(held, 'http://127.0.0.1/api/looks', null)).instead()).toBe(false);
  await read(held, KIT, 60);
  expect(await (await read(held, KIT, null)).instead()).toBe(true);
  expect(await (await read(held, TODAY, null)).instead()).toBe(false);
});

test('without a network it does all the same, and so it does when the write is long ago', async () => {
  const held = newerThanWritten(() => time);
  at(100);
  held.wrote();
  const asked = await read(held, KIT, null);
  expect(await asked.instead()).toBe(false);
  await asked.fails();
  expect(await asked.instead()).toBe(true);
  const again = await read(held, KIT, null);
  at(100 + AFTER_WRITING_MS - 1);
  expect(await again.instead()).toBe(false);
  at(100 + AFTER_WRITING_MS);
  expect(await again.instead()).toBe(true);
});
