import fc from 'fast-check';

/** What no field of ours can hold, or only just: the edges of JSON, of PostgreSQL and of the calendar. */
export const POISON: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  'a\u0000b',
  '\ud800',
  'x\udc00y',
  '\u202eecho',
  'é'.repeat(5000),
  'x'.repeat(70_000),
  '__proto__',
  '%00',
  '../../etc',
  "'; drop table clients; --",
  '0000-00-00',
  '2031-02-29',
  '2031-02-30T09:00:00Z',
  '9999-12-31',
  '275760-09-13T00:00:00Z',
  '2031-05-14T25:61:61Z',
  '99:99',
  '24:00',
  '00000000-0000-0000-0000-000000000000',
  '0190A000-0000-7000-8000-000000000001',
  0,
  -0,
  -1,
  0.1,
  2 ** 31,
  2 ** 53,
  -(2 ** 63),
  1e308,
  [],
  [null],
  [[[[]]]],
  {},
  { toString: 1 },
  { then: 'x' },
  { constructor: { prototype: { admin: true } } },
  JSON.parse('{"__proto__":{"role":"owner"}}') as unknown,
  Array.from({ length: 3000 }, (_, i) => i),
];

/** Text that is no JSON, or JSON nobody should walk down. */
export const RAW: readonly string[] = [
  '',
  '{',
  'null',
  '"text"',
  '7',
  '[]',
  'NaN',
  '{"a":1,"a":2}',
  '{"name":"\\ud800"}',
  `${'['.repeat(20_000)}${']'.repeat(20_000)}`,
  `${'{"a":'.repeat(5_000)}1${'}'.repeat(5_000)}`,
  '{"id":1e999}',
  '\ufeff{}',
];

/** Where a place of a document is: the keys down to it. */
export type Way = readonly (string | number)[];

/** Every place of a document, the outermost first, at most `most` of them. */
export function waysOf(document: unknown, most = 400): Way[] {
  const ways: Way[] = [];
  const waiting: [Way, unknown][] = [[[], document]];
  for (let next = waiting.shift(); next && ways.length < most; next = waiting.shift()) {
    const [way, value] = next;
    ways.push(way);
    if (value === null || typeof value !== 'object') continue;
    const entries: [string | number, unknown][] = Array.isArray(value)
      ? value.slice(0, 4).map((v, i): [number, unknown] => [i, v])
      : Object.entries(value);
    for (const [key, inner] of entries) waiting.push([[...way, key], inner]);
  }
  return ways;
}

/** A copy with one place put otherwise, taken out, or with a field beside it that nobody knows. */
export function spoilt(document: unknown, way: Way, how: Spoiling): unknown {
  const [key, ...rest] = way;
  if (key === undefined) {
    if (how.kind === 'instead') return how.value;
    const plain = document !== null && typeof document === 'object' && !Array.isArray(document);
    return how.kind === 'beside' && plain ? { ...document, [how.key]: how.value } : document;
  }
  if (Array.isArray(document)) {
    if (rest.length === 0 && how.kind === 'out') return document.filter((_, i) => i !== key);
    return document.map((v: unknown, i) => (i === key ? spoilt(v, rest, how) : v));
  }
  return Object.fromEntries(
    Object.entries(document ?? {}).flatMap(([k, v]: [string, unknown]): [string, unknown][] =>
      k !== key ? [[k, v]] : rest.length === 0 && how.kind === 'out' ? [] : [[k, spoilt(v, rest, how)]],
    ),
  );
}

export type Spoiling =
  | { readonly kind: 'instead'; readonly value: unknown }
  | { readonly kind: 'beside'; readonly key: string; readonly value: unknown }
  | { readonly kind: 'out' };

export const spoiling: fc.Arbitrary<Spoiling> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ kind: fc.constant('instead' as const), value: fc.constantFrom(...POISON) }),
  },
  { weight: 2, arbitrary: fc.constant({ kind: 'out' as const }) },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('beside' as const),
      key: fc.constantFrom('__proto__', 'constructor', 'studioId', 'revision', 'nmae', 'a\u0000'),
      value: fc.constantFrom(...POISON.slice(0, 12)),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ kind: fc.constant('instead' as const), value: fc.jsonValue({ maxDepth: 4 }) }),
  },
);

/** What stands where an id should. */
export const anId: fc.Arbitrary<string> = fc.constantFrom(
  '00000000-0000-0000-0000-000000000000',
  'no-id',
  '%00',
  '%ED%A0%80',
  '%E0%A4%A',
  '..%2f..',
  'x'.repeat(4000),
  '1%27%20or%20%271%27=%271',
);

/** What stands in a header, and behind the ?. */
export const aHeader: fc.Arbitrary<string> = fc.constantFrom(
  '',
  '*',
  '"-1"',
  '0',
  '2147483648',
  '99999999999999999999999',
  '1e9',
  'W/"1"',
  'x'.repeat(4000),
  'é',
  'bytes=0-99999999999999999999',
);
export const aQuery: fc.Arbitrary<string> = fc.constantFrom(
  '',
  '%00',
  '%ED%A0%80',
  '%E0%A4%A',
  '-1',
  '2147483648',
  '99999999999999999999999',
  '2031-13-45',
  '2031-05-14T00:00:00.000Z',
  '9999-99-99T99:99:99Z',
  'x'.repeat(4000),
);
