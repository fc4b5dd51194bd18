import { isDeepStrictEqual } from 'node:util';
import { anything, array, assert, dictionary, integer, jsonValue, property, string } from 'fast-check';
import { interning } from './intern';

/** A value as it arrives: a copy of what was sent. */
const arrived = <T>(value: T): T => structuredClone(value);
const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

test('what is the same is one, what is not is not', () => {
  assert(
    property(jsonValue(), jsonValue(), (a, b) => {
      const intern = interning();
      const [one, again, other] = [intern(arrived(a)), intern(arrived(a)), intern(arrived(b))];
      expect(one).toEqual(a);
      if (isObject(one)) {
        expect(again).toBe(one);
        expect(other === one).toBe(JSON.stringify(a) === JSON.stringify(b));
      }
    }),
    { numRuns: 500 },
  );
});

test('parts that are the same are one wherever they stand', () => {
  assert(
    property(dictionary(string({ minLength: 1 }), jsonValue()), array(integer()), (part, more) => {
      const intern = interning();
      const first = intern(arrived({ part, more, which: 1 })) as { part: unknown; more: unknown };
      const second = intern(arrived({ which: 2, inside: [{ part }], more })) as {
        inside: { part: unknown }[];
        more: unknown;
      };
      expect(second.inside[0]!.part).toBe(first.part);
      expect(second.more).toBe(first.more);
      expect(second).not.toBe(first);
    }),
  );
});

test('whatever it is, nothing of it is changed', () => {
  assert(
    property(anything({ withBigInt: true, withTypedArray: true, withSparseArray: false }), (value) => {
      const intern = interning();
      intern(arrived(value));
      expect(isDeepStrictEqual(intern(arrived(value)), arrived(value))).toBe(true);
    }),
    { numRuns: 500 },
  );
});

test.each([
  ['a day', () => new Date(5)],
  ['a list by name', () => new Map([[1, { jaw: 104 }]])],
  ['a set', () => new Set([{ jaw: 104 }])],
  ['a buffer', () => Uint8Array.of(1, 2)],
  ['a pattern', () => /a/],
])('%s is left as it came, and so is what holds it', (_what, make) => {
  const intern = interning();
  const [one, other] = [make(), make()];
  expect(intern(one)).toBe(one);
  const holder = { inside: [other] };
  expect(intern(holder)).toBe(holder);
  expect(holder.inside[0]).toBe(other);
});

test.each([
  [0, -0],
  [1, '1'],
  [null, 'null'],
  [undefined, 'undefined'],
  [true, 'true'],
  [Number.NaN, 'NaN'],
  [[], {}],
  [['a,b'], ['a', 'b']],
  [{ a: 1, b: 2 }, { 'a:1,b': 2 }],
  [[[1], 2], [[1, 2]]],
])('%p is not %p', (a, b) => {
  const intern = interning();
  expect(intern([arrived(a)])).not.toBe(intern([arrived(b)]));
});

test('buffers and files stay their own, and so does what holds one', () => {
  const intern = interning();
  const held = (): { bytes: Uint8Array; face: { width: number } } => ({
    bytes: Uint8Array.of(1, 2),
    face: { width: 130 },
  });
  const [one, other] = [intern(held()), intern(held())] as [ReturnType<typeof held>, ReturnType<typeof held>];
  expect(other).not.toBe(one);
  expect(other.bytes).not.toBe(one.bytes);
});

test('what was not met again for long is let go of; what is met stays', () => {
  const intern = interning(100);
  const face = intern({ jaw: 104 });
  for (let i = 0; i < 50; i++) {
    expect(intern({ jaw: 104 })).toBe(face);
    intern(Array.from({ length: 60 }, (_, n) => ({ n: n + 1000 * i })));
  }
  const once = intern({ only: 'once' });
  for (let i = 0; i < 10; i++) intern(Array.from({ length: 120 }, (_, n) => ({ n: -n - 1000 * i })));
  expect(intern({ only: 'once' })).not.toBe(once);
});
