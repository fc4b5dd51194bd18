import fc from 'fast-check';
import { listed, listedFew } from '../listed';
import { withArticle } from '../withArticle';
import {
  asKept,
  languageNow,
  localeNow,
  messageKey,
  messages,
  messagesIn,
  msg,
  numberTold,
  plural,
  tellIn,
  term,
} from '.';

/** A language that says what it was asked for. */
const asked: { key: string; values: readonly unknown[]; count?: number }[] = [];
const echo = {
  language: 'id',
  translate: (key: string, values: readonly unknown[], count?: number): string | undefined => {
    asked.push({ key, values, count });
    return key === 'not known' ? undefined : `«${key}»`;
  },
};
afterEach(() => {
  tellIn(() => null);
  asked.length = 0;
});

const word = fc.string({ maxLength: 12 });

describe('in English', () => {
  test('a message is its own text, whatever its values are', () => {
    fc.assert(
      fc.property(word, fc.integer(), word, (shade, count, place) => {
        expect(msg`Put ${shade} (${count}) in ${place}.`).toBe(`Put ${shade} (${count}) in ${place}.`);
      }),
    );
  });

  test.each([
    [0, '0 steps left'],
    [1, '1 step left'],
    [2, '2 steps left'],
    [1.5, '1.5 steps left'],
  ])('%d takes its form', (n, told) => {
    expect(plural(n)`${n} step left|${n} steps left`).toBe(told);
  });

  test('either form may have values of its own, or none', () => {
    expect(plural(1)`the one in ${'the case'}|all ${3} of ${'three'} cases`).toBe('the one in the case');
    expect(plural(3)`the one in ${'the case'}|all ${3} of ${'three'} cases`).toBe('all 3 of three cases');
    expect(plural(1)`one pass|${4} passes`).toBe('one pass');
    expect(plural(4)`one pass|${4} passes`).toBe('4 passes');
  });

  test('words, numbers and lists', () => {
    expect(term('light', 'skin')).toBe('light');
    expect(numberTold(12_345)).toBe('12,345');
    expect([languageNow(), localeNow()]).toEqual(['en', 'en-GB']);
    expect(['adjuster', 'base', 'Eyebrow'].map(withArticle)).toEqual(['an adjuster', 'a base', 'an Eyebrow']);
    expect(listed(['a', 'b', 'c'])).toBe('a, b and c');
    expect(listedFew(['a', 'b', 'c', 'd', 'e', 'f'], 4)).toBe('a, b, c, d and 2 more');
  });
});

describe('in another language', () => {
  beforeEach(() => tellIn(() => echo));

  test('is asked for by the English key, with the values in their order and the number', () => {
    expect(msg`Put ${'rose'} in ${3}`).toBe('«Put {{0}} in {{1}}»');
    expect(plural(2)`${2} step|${2} steps`).toBe('«{{0}} step|{{1}} steps»');
    expect(term('light', 'skin')).toBe('«light_skin»');
    expect(asked).toEqual([
      { key: 'Put {{0}} in {{1}}', values: ['rose', 3], count: undefined },
      { key: '{{0}} step|{{1}} steps', values: [2, 2], count: 2 },
      { key: 'light_skin', values: [], count: undefined },
    ]);
  });

  test('what it does not know stays English, the number kept', () => {
    tellIn(() => ({ ...echo, translate: () => undefined }));
    expect([msg`Not ${1}`, plural(1)`${1} step|${1} steps`, term('cheek')]).toEqual([
      'Not 1',
      '1 step',
      'cheek',
    ]);
  });

  test('numbers are written as it writes them', () => {
    expect(numberTold(12_345)).toBe('12.345');
    expect([languageNow(), localeNow()]).toEqual(['id', 'id']);
  });
});

describe('what is kept', () => {
  beforeEach(() => tellIn(() => echo));
  const table = messages({ base: 'Base' });

  test('is told in the language of the keys, tables too, whoever asks', () => {
    expect(
      asKept(() => [msg`Put ${1}`, term('light', 'skin'), plural(2)`a step|${2} steps`, table.base]),
    ).toEqual(['Put 1', 'light', '2 steps', 'Base']);
    expect([msg`Put ${1}`, languageNow()]).toEqual(['«Put {{0}}»', 'id']);
  });

  test('what goes wrong in it leaves the language as it was', () => {
    expect(() =>
      asKept(() => {
        throw new RangeError('no such thing');
      }),
    ).toThrow(RangeError);
    expect(table.base).toBe('«Base»');
  });
});

describe('a table', () => {
  const table = messages({ base: 'Base', more: { lip: 'Lip' }, list: ['one', 'two'], ok: true, n: 3 });
  const named = messagesIn(['label', 'hints'], {
    cheek: { id: 'cheek', label: 'Cheek', hints: ['soft', 'high'], find: () => 'cheek' },
  });

  test('is told when it is read, and not when it was written', () => {
    expect(table).toEqual({ base: 'Base', more: { lip: 'Lip' }, list: ['one', 'two'], ok: true, n: 3 });
    tellIn(() => echo);
    expect(table).toEqual({
      base: '«Base»',
      more: { lip: '«Lip»' },
      list: ['«one»', '«two»'],
      ok: true,
      n: 3,
    });
    tellIn(() => null);
    expect(table.base).toBe('Base');
  });

  test('tells what has one of the names, in lists under them too, and leaves ids alone', () => {
    tellIn(() => echo);
    expect(named.cheek).toMatchObject({ id: 'cheek', label: '«Cheek»', hints: ['«soft»', '«high»'] });
    expect(named.cheek.find()).toBe('cheek');
  });

  test('is copied and sent as it is told', () => {
    tellIn(() => echo);
    expect(JSON.parse(JSON.stringify(table)).more).toEqual({ lip: '«Lip»' });
    expect(structuredClone(table).list).toEqual(['«one»', '«two»']);
    expect({ ...table }.base).toBe('«Base»');
  });

  test('a table in a table is told as its own, and is not read by the other', () => {
    const inner = messages({ name: 'Deep' }, 'skin');
    tellIn(() => echo);
    const outer = messagesIn(['name'], { inner, name: 'All' });
    expect(asked).toEqual([]);
    expect(outer).toEqual({ inner: { name: '«Deep_skin»' }, name: '«All»' });
    tellIn(() => null);
    expect(outer).toEqual({ inner: { name: 'Deep' }, name: 'All' });
  });

  test('a context goes with every word of it', () => {
    const depths = messages([[5, 'light']] as const, 'skin');
    tellIn(() => echo);
    expect(depths[0]).toEqual([5, '«light_skin»']);
  });
});

test('a key numbers its values from none', () => {
  expect(messageKey(['', ' of ', ''])).toBe('{{0}} of {{1}}');
  expect(messageKey(['plain'])).toBe('plain');
});
