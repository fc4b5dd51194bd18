import { firstSteps } from './firstSteps';

const someone = (id: string, more: { lastRead?: string; chartCount?: number } = {}) => ({
  id,
  name: id,
  lastRead: null,
  chartCount: 0,
  ...more,
});
const open = (...of: Parameters<typeof firstSteps>): string[] =>
  firstSteps(...of)
    .filter(({ done }) => !done)
    .map(({ title }) => title);

test('each step is open until what it is about is there, whatever came first', () => {
  expect(open([], ['base'])).toEqual(['Add a client', 'Read the skin', 'Fill the kit', 'Fit a look']);
  expect(open([], [])).toEqual(['Add a client', 'Read the skin', 'Fit a look']);
  expect(open([someone('a')], ['base'])).toEqual(['Read the skin', 'Fill the kit', 'Fit a look']);
  expect(open([someone('a'), someone('b', { lastRead: '2031-05-01' })], [])).toEqual(['Fit a look']);
  // A chart made on a skin nobody read yet leaves the reading to be done.
  expect(open([someone('a', { chartCount: 1 })], [])).toEqual(['Read the skin']);
});

test('gone, it is said no more', () => {
  expect(firstSteps([someone('a', { lastRead: '2031-05-01', chartCount: 2 })], [])).toEqual([]);
});

test('it leads to whom it can go on with: whose skin is read before anybody else', () => {
  const href = (title: string, clients: Parameters<typeof firstSteps>[0]): string | undefined =>
    firstSteps(clients, ['base']).find((step) => step.title === title)?.href;
  expect(href('Read the skin', [])).toBe('/clients');
  expect(href('Read the skin', [someone('a'), someone('b')])).toBe('/clients/a/read');
  expect(href('Fit a look', [someone('a'), someone('b', { lastRead: '2031-05-01' })])).toBe('/clients/b/fit');
});

test('a few of the missing kinds are named, the rest are counted', () => {
  const words = (missing: readonly string[]): string => firstSteps([], missing)[2]!.words;
  expect(words(['base'])).toBe('Still without base. A list from a file does it at once.');
  expect(words(['base', 'powder', 'blush', 'brow', 'lip colour', 'spray'])).toMatch(
    /^Still without base, powder, blush, brow and 2 more\./,
  );
});
