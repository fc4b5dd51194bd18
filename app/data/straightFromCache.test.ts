import { straightFromCache } from '../offline/straightFromCache';

type Rule = {
  readonly condition: { readonly urlPattern: { readonly pathname: string } };
  readonly source: 'fetch-event' | { readonly cacheName: string };
};

/** A worker's own install, in a browser that can route by rules or cannot. */
function installed(routes: boolean): { readonly rules: Rule[]; readonly waited: unknown[] } {
  const rules: Rule[] = [];
  const waited: unknown[] = [];
  const event = Object.assign(new Event('install'), {
    waitUntil: (work: Promise<unknown>) => waited.push(work),
    ...(routes && { addRoutes: (added: readonly Rule[]) => Promise.resolve(void rules.push(...added)) }),
  });
  straightFromCache(event, 'kept');
  return { rules, waited };
}

/** Where an address is taken from: by the first rule that fits. */
const takenFrom = (rules: readonly Rule[], address: string): Rule['source'] | undefined =>
  rules.find(({ condition: { urlPattern } }) =>
    new RegExp(`^${urlPattern.pathname.replaceAll('.', '\\.').replaceAll('*', '.*')}$`).test(address),
  )?.source;

test.each([
  ['/_expo/static/js/web/entry-3dd5e2498c54.js', { cacheName: 'kept' }],
  ['/_expo/static/js/web/[id]-7e2ba0843d71.js', { cacheName: 'kept' }],
  ['/_expo/static/js/web/translator-146d3eaa1b88.js', 'fetch-event'],
  ['/workers/translator-DFF7SM4A.js', undefined],
  ['/api/session', undefined],
  ['/', undefined],
])('%s is taken from %p', (address, source) => {
  const { rules, waited } = installed(true);
  expect(takenFrom(rules, address)).toEqual(source);
  expect(waited).toHaveLength(1);
});

test('a browser that knows no such rules asks the worker as before', () => {
  expect(installed(false)).toEqual({ rules: [], waited: [] });
});
