import fc from 'fast-check';
import { messageKey, msg, plural, tellIn, term } from '@toile/core';
import catalogue from './id.json';
import { LANGUAGE_IDS, LANGUAGES, languageFor } from './index';
import { speak } from './speak';
import { INDONESIAN } from './translator';

afterEach(() => tellIn(() => null));

describe('which language somebody reads', () => {
  test.each([
    [['id'], 'id'],
    [['id-ID', 'en'], 'id'],
    [['ID'], 'id'],
    // What older systems call it.
    [['in-ID'], 'id'],
    [['de', 'id'], 'id'],
    [['en-GB', 'id'], 'en'],
    [['fr', 'de'], 'en'],
    [['*'], 'en'],
    [[], 'en'],
  ])('%j is told in %s', (tags, language) => {
    expect(languageFor(tags)).toBe(language);
  });

  test('every language has a name of its own', () => {
    expect([...LANGUAGE_IDS].sort()).toEqual(Object.keys(LANGUAGES).sort());
  });
});

describe('Indonesian', () => {
  const told = Object.entries(catalogue);

  test('says every message, and none of a value left over', () => {
    const wrong = told.filter(([key]) => {
      const values = Array.from({ length: (key.match(/\{\{\d+\}\}/g) ?? []).length }, (_, i) => `v${i}`);
      const said = INDONESIAN.translate(key, values, key.includes('|') ? 3 : undefined);
      return said === undefined || /\{\{|\}\}|undefined/.test(said);
    });
    expect(wrong).toEqual([]);
  });

  test('keeps spaces at the edges of what is put together', () => {
    const edge = (text: string): [boolean, boolean] => [text.startsWith(' '), text.endsWith(' ')];
    const wrong = told.filter(
      ([key, text]) =>
        !key.includes('|') &&
        // Parts of words that are taken out of a sentence and put back, and 'is', which it does not say.
        !['client’s ', 'your ', ' is'].includes(key) &&
        String(edge(key)) !== String(edge(text)),
    );
    expect(wrong).toEqual([]);
  });

  test('puts values where its sentences want them', () => {
    tellIn(() => INDONESIAN);
    expect(msg`The client’s ${'mata'} ${'luar'} sits ${'2'} mm higher.`).toContain('mata');
    expect(plural(1)`${1} step|${1} steps`).toBe(plural(2)`${2} step|${2} steps`.replace('2', '1'));
    expect([term('light'), term('light', 'skin'), term('light', 'theme')]).toEqual([
      'ringan',
      'terang',
      'terang',
    ]);
    expect([term('left'), term('left', 'column')]).toEqual(['kiri', 'sisa']);
  });

  test('a name is a name, whatever is written in it', () => {
    tellIn(() => INDONESIAN);
    const key = messageKey(['Erase ', '']);
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.constantFrom('$t(Base)', '{{0}}', '{{count}}', '$1 & <b>', '{{- 0}}')),
        (name) => {
          expect(INDONESIAN.translate(key, [name])).toBe(`Hapus ${name}`);
        },
      ),
    );
  });

  test('what it does not know is left to whoever asks', () => {
    expect(INDONESIAN.translate('Something nobody says', [])).toBeUndefined();
    expect(INDONESIAN.translate('toString', [])).toBeUndefined();
  });
});

test('speaking is fetched, and given up for English again', async () => {
  await speak('id');
  expect(term('chin')).toBe('dagu');
  await speak('en');
  expect(term('chin')).toBe('chin');
});
