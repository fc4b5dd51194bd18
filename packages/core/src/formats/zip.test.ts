import fc from 'fast-check';
import { zipSync } from 'fflate';
import { readZip, writeZip, zipText } from './zip';

const LIMITS = { files: 50, bytes: 100_000 };
const text = (files: ReadonlyMap<string, Uint8Array>): [string, string][] =>
  [...files].map(([name, body]) => [name, zipText(body)]);

test('what was packed comes out, every letter of it, and packed again it is the same bytes', () => {
  const name = fc
    .array(fc.stringMatching(/^[a-zé0-9 _-]{1,8}$/), { minLength: 1, maxLength: 3 })
    .map((parts) => `${parts.join('/')}.json`);
  fc.assert(
    fc.property(
      fc.dictionary(name, fc.string({ unit: 'grapheme', maxLength: 200 }), { maxKeys: 12 }),
      (all) => {
        const files = new Map(Object.entries(all));
        const packed = writeZip(files);
        expect(writeZip(files)).toEqual(packed);
        const read = readZip(packed, LIMITS);
        if (!read.ok) throw new Error(read.message);
        expect(text(read.files).sort()).toEqual([...files].sort());
      },
    ),
    { numRuns: 150 },
  );
});

test.each(['../out.json', 'a/../../out.json', '/etc/out.json', 'C:out.json', 'a\\out.json'])(
  'a name that climbs out is refused by its name: %s',
  (name) => {
    const packed = zipSync({ [name]: new Uint8Array([1]) });
    expect(readZip(packed, LIMITS)).toMatchObject({ ok: false, file: name });
  },
);

test('a bomb is refused by what it says it holds, before it is unpacked', () => {
  const bomb = zipSync({ 'a.json': new Uint8Array(20_000_000) }, { level: 9 });
  expect(bomb.length).toBeLessThan(40_000);
  expect(readZip(bomb, LIMITS)).toMatchObject({
    ok: false,
    file: 'a.json',
    message: expect.stringMatching(/more than/),
  });
  expect(readZip(bomb, { ...LIMITS, bytes: 20_000_000 }).ok).toBe(true);
  const many = zipSync(
    Object.fromEntries(Array.from({ length: 51 }, (_, i) => [`${i}.json`, new Uint8Array(0)])),
  );
  expect(readZip(many, LIMITS)).toMatchObject({
    ok: false,
    message: expect.stringMatching(/more than 50 files/),
  });
});

test('a bomb that lies about its size unpacks to no more than it said', () => {
  const bomb = zipSync({ 'a.json': new Uint8Array(5_000_000) }, { level: 9 });
  const view = new DataView(bomb.buffer, bomb.byteOffset);
  // The size in the central directory, which is what is read: 24 bytes behind its signature.
  for (let at = 0; at + 4 <= bomb.length; at++)
    if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 10, true);
  const read = readZip(bomb, LIMITS);
  if (read.ok) for (const body of read.files.values()) expect(body.length).toBeLessThanOrEqual(10);
});

test('what is no zip, or one that is cut off anywhere, is refused and never thrown', () => {
  expect(readZip(new Uint8Array(0), LIMITS)).toMatchObject({
    ok: false,
    message: expect.stringMatching(/not a zip/),
  });
  expect(readZip(new TextEncoder().encode('{"format":"toile.look/1"}'), LIMITS).ok).toBe(false);
  const whole = writeZip(new Map([['a.json', 'x'.repeat(3000)]]));
  for (let cut = 4; cut < whole.length - 1; cut++)
    expect(readZip(whole.subarray(0, cut), LIMITS)).toMatchObject({ ok: false });
});

test('folders of their own are passed over', () => {
  const packed = zipSync({ 'looks/': new Uint8Array(0), 'looks/a.json': new Uint8Array([123]) });
  const read = readZip(packed, LIMITS);
  expect(read.ok && [...read.files.keys()]).toEqual(['looks/a.json']);
});
