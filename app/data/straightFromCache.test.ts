import { straightFromCache } from '../offline/straightFromCache';

type Rule = { condition: { urlPattern: { pathname: string } }; source: { cacheName: string } };

/** A worker's own install, in a browser that can route by rules or cannot. */
function installed(routes: boolean): { readonly rules: Rule[]; readonly waited: unknown[] } {
  const rules: Rule[] = [];
  const waited: unknown[] = [];
  const event = Object.assign(new Event('install'), {
    waitUntil: (work: Promise<unknown>) => waited.push(work),
    ...(routes && { addRoutes: (rule: Rule) => Promise.resolve(void rules.push(rule)) }),
  });
  straightFromCache(event, 'kept');
  return { rules, waited };
}

test('scripts come out of the cache of this version without the worker', () => {
  const { rules, waited } = installed(true);
  expect(rules).toEqual([
    { condition: { urlPattern: { pathname: '/_expo/static/*' } }, source: { cacheName: 'kept' } },
  ]);
  expect(waited).toHaveLength(1);
});

test('a browser that knows no such rules asks the worker as before', () => {
  expect(installed(false)).toEqual({ rules: [], waited: [] });
});
