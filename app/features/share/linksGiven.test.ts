import { endWords } from './LinksGiven';

const NOW = Date.parse('2031-05-14T12:00:00Z');

test.each([
  ['2031-05-20T12:00:00Z', null, /^until .*20 May/],
  ['2031-05-14T12:00:00Z', null, /^ended$/],
  ['2031-05-20T12:00:00Z', '2031-05-13T12:00:00Z', /^taken back$/],
  [null, null, /^stays$/],
  [null, '2031-05-13T12:00:00Z', /^taken back$/],
])('a link until %s, taken back %s', (expiresAt, revokedAt, words) => {
  expect(endWords({ id: 'x', expiresAt, revokedAt }, NOW)).toMatch(words);
});
