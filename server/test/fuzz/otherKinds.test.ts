import { BODIES, type WriteName } from '@toile/contract';
import { ValidationError } from 'yup';
import { SOUND } from './bodies';

/** Where something else is written than was asked for: nothing, a word, a number, a list, a thing. */
const OTHERS = [null, 'x', '', 1, -1, true, [], {}, [1], ['x'], [null], { a: 1 }, [{}]];
/** No deeper, no further along a list, no more places of a body: beyond is what is like what stood before. */
const [MOST_DEEP, MOST_ALONG, MOST_PLACES] = [5, 12, 160];

type Place = readonly (string | number)[];
type Body = null | boolean | number | string | readonly Body[] | { readonly [key: string]: Body };

function placesOf(body: Body, at: Place = []): Place[] {
  if (at.length >= MOST_DEEP || typeof body !== 'object' || body === null) return [at];
  return [
    at,
    ...Object.entries(body)
      .slice(0, MOST_ALONG)
      .flatMap(([key, value]: [string, Body]) => placesOf(value, [...at, key])),
  ];
}
function spoilt(body: Body, [key, ...rest]: Place, by: unknown): unknown {
  if (key === undefined || typeof body !== 'object' || body === null) return by;
  const entries = Object.entries(body).map(([name, value]: [string, Body]) => [
    name,
    name === String(key) ? spoilt(value, rest, by) : value,
  ]);
  return Array.isArray(body) ? entries.map(([, value]) => value) : Object.fromEntries(entries);
}

test.each(Object.keys(SOUND) as WriteName[])(
  '%s: whatever stands anywhere in it, what is wrong is said beside its field',
  async (name) => {
    const body = JSON.parse(JSON.stringify(SOUND[name]().body)) as Body;
    let refused = 0;
    for (const place of placesOf(body).slice(0, MOST_PLACES))
      for (const other of OTHERS) {
        const sent = spoilt(body, place, other);
        const said: unknown = await BODIES[name]
          .validate(sent, { abortEarly: false, stripUnknown: false })
          .then(
            () => null,
            (error: unknown) => error,
          );
        if (said === null) continue;
        refused++;
        expect([place.join('.'), other, said]).toEqual([place.join('.'), other, expect.any(ValidationError)]);
      }
    expect(refused).toBeGreaterThan(0);
  },
);
