import type { ZoneCast } from '@toile/core';
import { blindWords, photosForTrial } from './blindView';
import { asLetters, besides, castRows, castWords, keepingWords, missingWords } from './photosView';

const cast = (zone: ZoneCast['zone'], more: Partial<ZoneCast> = {}): ZoneCast => ({
  zone,
  side: 'left',
  burnt: false,
  added: 0,
  error: 0.002,
  deltaL: 0,
  cast: false,
  ...more,
});

test.each([
  [[{}], 'nothing'],
  [[{ deltaL: 0.49 }], 'nothing'],
  [[{ deltaL: 1.2 }], '1.2 lighter than by day: does not show'],
  [[{ deltaL: 3, cast: true }], 'white: 3.0 lighter than by day'],
  [
    [
      { deltaL: 3, cast: true },
      { deltaL: 1, cast: false },
    ],
    'white: 2.0 lighter than by day',
  ],
  [[{ deltaL: 2.2, cast: null }], 'the pictures cannot tell'],
  [[{ burnt: true, cast: true, deltaL: 9 }], 'burnt out: take it again, further away'],
  [[{ burnt: true, cast: true, deltaL: 9 }, {}], 'nothing'],
] as const)('%j is said as %s', (parts, words) => {
  expect(castWords(parts.map((part) => cast('chin', part)))).toBe(words);
});

test('zones are told once each, in the order of the face; one white side is enough', () => {
  const rows = castRows([
    cast('forehead'),
    cast('forehead', { side: 'right', cast: true, deltaL: 4 }),
    cast('chin', { burnt: true, cast: true }),
  ]);
  expect(rows.map(({ title, white }) => [title, white])).toEqual([
    ['Forehead', true],
    ['Chin', false],
  ]);
});

test('a trial is judged by what was taken since both halves were on, in its own light', () => {
  const photo = (id: string, at: string, light: 'daylight' | 'flash') => ({ id, at, light });
  const photos = [
    photo('before', '2031-05-14T08:59:59Z', 'daylight'),
    photo('at', '2031-05-14T09:00:00.000Z', 'daylight'),
    photo('flash', '2031-05-14T12:00:00Z', 'flash'),
    photo('late', '2031-05-14T18:00:00+02:00', 'daylight'),
  ];
  const ids = (
    ...of: Parameters<typeof photosForTrial> extends [unknown, ...infer Rest] ? Rest : never
  ): string[] => photosForTrial(photos, ...of).map(({ id }) => id);
  expect(ids('shine', '2031-05-14T09:00:00Z')).toEqual(['at', 'late']);
  expect(ids('flash', '2031-05-14T09:00:00Z')).toEqual(['flash']);
  expect(ids('camera', '2031-05-14T09:00:00Z')).toEqual(['at', 'flash', 'late']);
  expect(ids('shine', '2031-05-14T17:00:00Z')).toEqual([]);
  expect(ids('shine', null)).toEqual([]);
});

test('how well the eye could tell is said only where enough was shown twice, and plainly where it could not', () => {
  const seen = [{ photoId: 'a', zone: 'nose', side: 'left', value: 1 }] as const;
  const words = (alike: number, of: number, reliable: boolean | null): string =>
    blindWords({ seen, repeats: { alike, of }, reliable });
  expect(words(2, 2, null)).toMatch(/2 of them alike\. Under 5 nothing is said/);
  expect(words(5, 6, true)).toBe('Of 6 judged twice, 5 were judged alike.');
  expect(words(3, 6, false)).toMatch(/^▲ .* could not tell them apart reliably/);
  expect(blindWords({ seen: [], repeats: { alike: 0, of: 0 }, reliable: null })).toMatch(
    /go through it again/,
  );
});

test('photographs of both places are told once each, the newest first', () => {
  const one = (id: string, at: string, where: 'device' | 'studio') => ({ id, at, where });
  const here = [one('a', '2031-05-14T09:00:00Z', 'device'), one('b', '2031-05-16T09:00:00Z', 'device')];
  const there = [one('c', '2031-05-15T09:00:00Z', 'studio'), one('a', '2031-05-14T09:00:00Z', 'studio')];
  expect(besides(here, there).map(({ id, where }) => [id, where])).toEqual([
    ['b', 'device'],
    ['c', 'studio'],
    ['a', 'studio'],
  ]);
  expect(besides([], [])).toEqual([]);
});

test('bytes are told in base64 whatever they are and however many', () => {
  for (const length of [0, 1, 2, 3, 0x8000, 0x8001, 100_003]) {
    const bytes = Uint8Array.from({ length }, (_, i) => (i * 31 + (i >> 8)) & 0xff);
    expect(Buffer.from(asLetters(bytes), 'base64').equals(Buffer.from(bytes))).toBe(true);
  }
});

test('where they go is said before, and what cannot be fetched is counted', () => {
  expect(keepingWords(false)).toMatch(/this device alone and never sent/);
  expect(keepingWords(true)).toMatch(/^Kept with the studio.*no longer agrees or is erased/);
  expect(missingWords(1)).toMatch(/^One photograph is/);
  expect(missingWords(3)).toMatch(/^3 photographs are/);
});
