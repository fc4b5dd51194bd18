import { GIVEN, testsOf } from './collectTests.mjs';

/** A bundle as it is built: `__wants(file)` before what a file holds. */
const bundle = (body: string) => new Function(...GIVEN, body);
const none = () => {
  throw new Error('nothing is required here');
};
const TWO_FILES = `
  if (__wants('a.test.ts')) {
    test('alone', () => {});
    describe('outer', () => {
      beforeEach(() => log.push('before'));
      afterEach(() => log.push('after'));
      it('inner', () => { log.push('worked'); throw new Error('no'); });
    });
    test('without hooks', () => log.push('bare'));
  }
  if (__wants('b.test.ts')) {
    test.each([[1, 2], [3, 4]])('%d and %d', (a, b) => expect(a + 1).toBe(b));
    describe.each(['x', 'y'])('of %s', (letter) => { test('is x', () => expect(letter).toBe('x')); });
    test('same', () => {});
    test('same', () => {});
  }`;
const collected = (files?: ReadonlySet<string>) => {
  const log: string[] = [];
  const body = new Function('log', `return function (${GIVEN.join(', ')}) {${TWO_FILES}}`)(log);
  return { log, tests: testsOf(body, none, files) };
};

test('each has an id by its file and name, also of two called the same', () => {
  expect(collected().tests.map(({ id }) => id)).toEqual([
    'a.test.ts › alone',
    'a.test.ts › outer › inner',
    'a.test.ts › without hooks',
    'b.test.ts › 1 and 2',
    'b.test.ts › 3 and 4',
    'b.test.ts › of x › is x',
    'b.test.ts › of y › is x',
    'b.test.ts › same',
    'b.test.ts › same (2)',
  ]);
});

test('only the files that are asked for are read', () => {
  expect(collected(new Set(['b.test.ts'])).tests.every(({ id }) => id.startsWith('b.test.ts'))).toBe(true);
  expect(collected(new Set()).tests).toEqual([]);
});

test('nothing is worked until it is asked for, then what belongs before and after it too, though it fails', async () => {
  const { log, tests } = collected();
  expect(log).toEqual([]);
  await expect(tests[1]!.run()).rejects.toThrow('no');
  expect(log).toEqual(['before', 'worked', 'after']);
  await tests[2]!.run();
  expect(log).toEqual(['before', 'worked', 'after', 'bare']);
});

test('a value of a table fails or passes by itself', async () => {
  const { tests } = collected();
  const passed = await Promise.all(
    tests.map(({ run }) =>
      run().then(
        () => true,
        () => false,
      ),
    ),
  );
  expect(passed).toEqual([true, false, true, true, true, true, false, true, true]);
});

test('what a bundle throws while it is read is thrown', () => {
  expect(() => testsOf(bundle(`throw new Error('unreadable')`), none)).toThrow('unreadable');
});
