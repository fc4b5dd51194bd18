import { lastWorked } from './useWorn';

type Given = Parameters<typeof lastWorked>[0];
const answer = (version: number, events: number, worked: readonly number[]): Given => ({
  chart: { version },
  events: Array.from({ length: events }),
  versions: [4, 3, 2, 1].map((one) => ({ version: one, worked: worked.includes(one) })),
});

test.each<[string, Given, number | null]>([
  ['its own chair speaks', answer(4, 1, [4, 2]), null],
  ['nobody has worked by any', answer(4, 0, []), null],
  ['the newest of those before it', answer(4, 0, [1, 3, 2]), 3],
  ['not one that came after', answer(2, 0, [4, 3]), null],
  ['not itself', answer(2, 0, [2, 1]), 1],
])('whose chair speaks: %s', (_, given, version) => expect(lastWorked(given)).toBe(version));
