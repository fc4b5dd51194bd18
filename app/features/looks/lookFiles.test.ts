import { writeZip } from '@toile/core';
import { lookFilesOf } from './lookFiles';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

test('one file is itself, whatever is in it: the studio says what is wrong with it', () => {
  expect(lookFilesOf('a.json', bytes('{"x":1}'))).toEqual({
    ok: true,
    files: [{ name: 'a.json', text: '{"x":1}' }],
  });
});

test('of a zip every look file is taken, and nothing else', () => {
  const zip = writeZip(
    new Map([
      ['looks/a.json', '{}'],
      ['looks/b.json', '[]'],
      ['read me.txt', 'hello'],
    ]),
  );
  expect(lookFilesOf('library.zip', zip)).toEqual({
    ok: true,
    files: [
      { name: 'looks/a.json', text: '{}' },
      { name: 'looks/b.json', text: '[]' },
    ],
  });
});

test('a zip without looks, a bomb and a cut one are told in words', () => {
  expect(lookFilesOf('x.zip', writeZip(new Map([['a.txt', 'x']])))).toMatchObject({
    ok: false,
    message: expect.stringMatching(/no look files/),
  });
  expect(lookFilesOf('x.zip', writeZip(new Map([['a.json', 'x'.repeat(9_000_000)]])))).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^a\.json: Unpacked it would be more than 8 MB/),
  });
  const whole = writeZip(new Map([['a.json', '{}']]));
  expect(lookFilesOf('x.zip', whole.subarray(0, whole.length - 12)).ok).toBe(false);
});
