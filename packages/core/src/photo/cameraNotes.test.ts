import fc from 'fast-check';
import { holdsCameraNotes, pictureSize, withoutCameraNotes } from '.';

const segment = (mark: number, body: readonly number[]): number[] => [
  0xff,
  mark,
  ((body.length + 2) >> 8) & 0xff,
  (body.length + 2) & 0xff,
  ...body,
];
const text = (words: string): number[] => [...words].map((letter) => letter.charCodeAt(0));
const frame = segment(0xc0, [8, 0, 60, 0, 80, 1, 1, 1, 1]);
/** A scan: its head, then what stands for the picture, in which 0xff is followed by zero or a restart. */
const scan = [...segment(0xda, [1, 2, 3]), 7, 0xff, 0, 9, 0xff, 0xd0, 5, 0xff, 0, 0xe1];
const END = [0xff, 0xd9];
const jpegOf = (...parts: readonly (readonly number[])[]): Uint8Array =>
  Uint8Array.from([0xff, 0xd8, ...parts.flat(), ...END]);
const exif = segment(0xe1, text('Exif\0\0MM'));
const jfif = segment(0xe0, [...text('JFIF\0'), 1, 2, 0, 0, 1, 0, 1, 0, 0]);

test.each<[string, Uint8Array, boolean]>([
  ['none', jpegOf(frame, scan), false],
  [
    'how it is shown',
    jpegOf(jfif, segment(0xe2, text('ICC_PROFILE\0x')), segment(0xee, text('Adobe')), frame, scan),
    false,
  ],
  ['first', jpegOf(exif, frame, scan), true],
  ['after others', jpegOf(jfif, exif, frame, scan), true],
  ['behind room filled', jpegOf([0xff, 0xff, 0xff], exif, frame, scan), true],
  ['behind what is no mark', jpegOf([0, 1, 2], exif, frame, scan), true],
  ['of a program', jpegOf(segment(0xe1, text('http://ns.adobe.com/xap/1.0/\0')), frame, scan), true],
  ['of a newspaper', jpegOf(segment(0xed, text('Photoshop 3.0\0')), frame, scan), true],
  ['words', jpegOf(segment(0xfe, text('at the quay')), frame, scan), true],
  ['a small picture', jpegOf(segment(0xe0, text('JFXX\0')), frame, scan), true],
  ['a second picture', jpegOf(segment(0xe2, text('MPF\0')), frame, scan), true],
  ['of another maker', jpegOf(segment(0xee, text('Adobf')), frame, scan), true],
  ['between two scans', jpegOf(frame, scan, exif, scan), true],
  ['behind its end', Uint8Array.from([...jpegOf(frame, scan), ...jpegOf(exif, frame)]), true],
  ['cut off', Uint8Array.from([0xff, 0xd8, ...exif.slice(0, 7)]), true],
  ['as a part of a table', jpegOf(segment(0xdb, exif), frame, scan), false],
  ['no picture', Uint8Array.from([]), false],
])('what is told of a picture: %s', (what, bytes, holds) => {
  expect(holdsCameraNotes(bytes)).toBe(holds);
  const without = withoutCameraNotes(bytes);
  expect(holdsCameraNotes(without)).toBe(false);
  expect(pictureSize(without)).toEqual(
    what === 'cut off' || what === 'no picture' ? null : { width: 80, height: 60 },
  );
  if (!holds) expect(without).toEqual(bytes);
});

const shown = fc.constantFrom(jfif, frame, segment(0xdb, [0, 1, 2]), segment(0xc4, [9]), scan);
const telling = fc
  .tuple(fc.constantFrom(0xe1, 0xe3, 0xe7, 0xed, 0xef, 0xfe), fc.uint8Array({ maxLength: 40 }))
  .map(([mark, body]) => segment(mark, [...body]));
const piece = fc.oneof(
  shown.map((bytes) => ({ bytes, keeps: true })),
  telling.map((bytes) => ({ bytes, keeps: false })),
);

test('whatever stands among its pieces, what shows the picture is left as it was and nothing else', () => {
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 12 }), fc.uint8Array({ maxLength: 20 }), (pieces, behind) => {
      const whole = Uint8Array.from([...jpegOf(...pieces.map(({ bytes }) => bytes)), ...behind]);
      const kept = jpegOf(...pieces.filter(({ keeps }) => keeps).map(({ bytes }) => bytes));
      expect(withoutCameraNotes(whole)).toEqual(kept);
      expect(holdsCameraNotes(whole)).toBe(pieces.some(({ keeps }) => !keeps) || behind.length > 0);
    }),
  );
});

/** Bytes among which marks are not rare. */
const anyBytes = fc.array(
  fc.oneof(
    fc.constantFrom(0xff, 0xff, 0xe1, 0xfe, 0xe0, 0xd9, 0xda, 0xd0, 0, 2, 4),
    fc.integer({ min: 0, max: 255 }),
  ),
  { maxLength: 80 },
);

test('what is left is no new mark', () => {
  const whole = Uint8Array.from([0xff, 0xd8, 0xff, 0xff, 0xfe, 0, 2, 0xe1, 0, 9, 1, 2, 3, 4, 5, 6, 7]);
  const left = withoutCameraNotes(whole);
  expect(left).toEqual(Uint8Array.from([0xff, 0xd8, ...whole.slice(7)]));
  expect(holdsCameraNotes(left)).toBe(false);
});

test('of any bytes nothing is told any more, and once is enough', () => {
  fc.assert(
    fc.property(anyBytes, fc.boolean(), (bytes, begins) => {
      const whole = Uint8Array.from(begins ? [0xff, 0xd8, ...bytes] : bytes);
      const once = withoutCameraNotes(whole);
      expect(withoutCameraNotes(once)).toEqual(once);
      expect(holdsCameraNotes(once)).toBe(false);
      expect(once.length).toBeLessThanOrEqual(whole.length);
    }),
  );
});
